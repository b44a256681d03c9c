"""A few things, and the demo boat with them put somewhere; shared by the tests."""

from typing import Any

from pydantic import TypeAdapter

from neat_hull.files.demo import demo_setups
from neat_hull.model.base import Model
from neat_hull.model.place import On, Place
from neat_hull.model.reach import Aboard
from neat_hull.model.setup import Setup
from neat_hull.model.thing import Thing
from neat_hull.rig.parents.base import Stand
from neat_hull.rig.rigging import rig
from neat_hull.whole.evaluate import evaluate

ON: TypeAdapter[On] = TypeAdapter(On)


def otherwise(thing: Thing, **changes: Any) -> Thing:
    """The thing with fields changed; of an aspect, the fields that are given alone."""
    for name, value in changes.items():
        old = getattr(thing, name)
        if isinstance(value, dict):
            kept = old.model_dump() if isinstance(old, Model) else {}
            changes[name] = kept | value
    return Thing.model_validate(thing.model_dump() | changes)


DEMO = demo_setups()[0]
CRATE, TRAY, ROD, HOLDER = 101, 102, 103, 104


def thing(name: str, size: tuple[float, float, float], **more: object) -> Thing:
    """A thing of 1 kg."""
    plain = {"name": name, "shape": "box", "mass_kg": 1.0, "evidence": "weighed",
             "length_m": size[0], "width_m": size[1], "height_m": size[2]}  # fmt: skip
    return Thing.model_validate(plain | more)


THINGS = {
    CRATE: thing("Crate", (0.34, 0.34, 0.30),
                 container={"length_m": 0.32, "width_m": 0.32, "height_m": 0.28}),
    TRAY: thing("Tray", (0.30, 0.20, 0.05)),
    ROD: thing("Rod", (2.0, 0.02, 0.02), shape="rod", rod={"reel": "under"}),
    HOLDER: thing("Holder", (0.06, 0.06, 0.25), shape="cylinder", holder={},
                  fixing={"by": "track bolt"}),
}  # fmt: skip


def at(x_m: float = 0.0, y_m: float = 0.0, **more: object) -> Place:
    """A place, level and ahead."""
    plain = {"x_m": x_m, "y_m": y_m, "z_m": None, "turn_deg": 0.0, "tilt_deg": 0.0}
    return Place.model_validate(plain | more)


def on(kind: str, **more: object) -> On:
    """What it is on."""
    return ON.validate_python({"kind": kind} | more)


def setup(**places: Place) -> Setup:
    """The demo boat with these things, named by their constants, and nothing else."""
    ids = {globals()[name.upper()]: place for name, place in places.items()}
    return DEMO.model_copy(update={"things": DEMO.things | THINGS, "places": ids})


def stand(of: Setup, thing_id: int) -> Stand:
    """Where a thing ends up."""
    return rig(of).placing.stand(thing_id)


def row(of: Setup, thing_id: int) -> Aboard:
    """The answer about a thing."""
    return next(one for one in evaluate(of).aboard if one.thing_id == thing_id)


IN_CRATE = on("thing", thing=CRATE, where="in")
