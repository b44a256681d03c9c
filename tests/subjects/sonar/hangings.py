"""A boat with one transducer, and for each rule of the sonar what trips it and what just not."""

from typing import Any

from tests.judged import CLEAN, Case, case, put

from neat_hull.model.setup import Setup
from neat_hull.model.thing import Thing

SOUNDER = 50


def hung(x: float = 1.40, y: float = 0.0, z: float = -0.004, **transducer: Any) -> Setup:
    """With its face at a place."""
    thing = Thing.model_validate(
        {"name": "Sounder", "shape": "box", "mass_kg": 0.3, "evidence": "weighed",
         "length_m": 0.14, "width_m": 0.05, "height_m": 0.035, "use": "ashore",
         "fixing": {"by": "plate"}, "transducer": {"mount": "recess"} | transducer}
    )  # fmt: skip
    setup = CLEAN.model_copy(update={"things": {**CLEAN.things, SOUNDER: thing}})
    return put(setup, SOUNDER, x, y, z_m=z)


CASES: list[Case] = [
    case("sonar-out-of-water", lambda: hung(mount="arm", y=-0.50, z=0.02),
         lambda: hung(mount="arm", y=-0.50, z=0.0)),
    case("sonar-through-air", lambda: hung(mount="inside", z=0.02, through="plastic"),
         lambda: hung(mount="inside", z=0.005, through="plastic")),
    case("sonar-in-the-wash", lambda: hung(x=2.12 - 0.59), lambda: hung(x=2.12 - 0.61)),
    case("sonar-at-the-bow", lambda: hung(x=3.66 * 0.86, z=0.01),
         lambda: hung(x=3.66 * 0.84, z=0.01)),
    case("sonar-beam-cut-off", lambda: hung(y=0.0, z=0.05, side_beams=True),
         lambda: hung(y=0.0, z=0.05, side_beams=False)),
    case("sonar-meets-first", lambda: hung(z=-0.011), lambda: hung(z=-0.008)),
    case("sonar-temperature", lambda: hung(mount="inside", z=0.005),
         lambda: hung(mount="inside", z=0.005, reads_temperature=False)),
]  # fmt: skip
