"""Boats that are held, and for each rule of holding what trips it and what just not."""

from typing import Any

from tests.judged import CLEAN, Case, case, put
from tests.subjects.glide.goings import with_thing

from neat_hull.model.hold import Trolley
from neat_hull.model.setup import Setup

ANCHOR, POLE, SHELF = 64, 65, 68


def asked(setup: Setup, **demands: Any) -> Setup:
    """With other numbers of depth, current, wind and scope."""
    return setup.model_copy(update={"demands": setup.demands.model_copy(update=demands)})


def held(setup: Setup, **hold: Any) -> Setup:
    """Held otherwise."""
    return setup.model_copy(update={"hold": setup.hold.model_copy(update=hold)})


def anchored(
    *, mass_kg: float = 3.0, at: float = 3.5, current: float = 0.8, wind: float = 0.0,
    depth: float = 4.0, scope: float = 7.0, bottom: str = "sand", trolley: Trolley | None = None,
    **anchor: Any,
) -> Setup:  # fmt: skip
    """An anchor with chain and line on the deck, in a current."""
    usual = {"type": "claw", "rope_m": 60.0, "chain_m": 2.0, "floats": True}
    made = with_thing(CLEAN, ANCHOR, name="Anchor", mass_kg=mass_kg, length_m=0.2, width_m=0.1,
                      height_m=0.1, anchor=usual | anchor)  # fmt: skip
    made = held(put(made, ANCHOR, 1.62, -0.3), at_x_m=at, bottom=bottom, trolley=trolley)
    return asked(made, current_m_s=current, wind_m_s=wind, depth_m=depth, scope=scope)


def poled(depth: float = 1.0, bottom: str = "sand", **hold: Any) -> Setup:
    """A pole of solid glass, at the stern, in half a metre a second."""
    made = with_thing(CLEAN, POLE, name="Pole", shape="pole", mass_kg=1.0, length_m=2.4,
                      width_m=0.02, height_m=0.02, anchor={"by": "pole"})  # fmt: skip
    made = held(put(made, POLE, 1.0, -0.35), at_x_m=0.3, bottom=bottom, **hold)
    return asked(made, current_m_s=0.4, wind_m_s=0.0, depth_m=depth)


def roped(over_m: float) -> Setup:
    """A trolley along the starboard side."""
    return anchored(trolley=Trolley(aft_x_m=0.3, fwd_x_m=3.4, over_m=over_m))


def quiet(setup: Setup) -> Setup:
    """Where one fishes by stealth."""
    return setup.model_copy(update={"fixing": setup.fixing.model_copy(update={"stalks": True})})


CASES: list[Case] = [
    case("hold-current", lambda: anchored(current=1.21), lambda: anchored(current=1.19)),
    case("hold-by-the-stern", lambda: anchored(at=0.1, current=0.61),
         lambda: anchored(at=0.1, current=0.59)),
    case("hold-short-line", lambda: anchored(scope=4.9), lambda: anchored(scope=5.0)),
    case("hold-anchor", lambda: anchored(mass_kg=2.15, current=1.0, type="grapnel", chain_m=0.0),
         lambda: anchored(mass_kg=2.19, current=1.0, type="grapnel", chain_m=0.0)),
    case("hold-lifts", lambda: anchored(scope=5.3, chain_m=0.0),
         lambda: anchored(scope=5.5, chain_m=0.0)),
    case("hold-oblique", lambda: anchored(at=2.15), lambda: anchored(at=2.25)),
    case("hold-line", lambda: anchored(current=2.0, wind=14.0, rope_mm=2.6),
         lambda: anchored(current=2.0, wind=14.0, rope_mm=2.8)),
    case("hold-pole", lambda: poled(1.53), lambda: poled(1.50)),
    case("hold-rope", lambda: roped(0.06), lambda: roped(0.04)),
    case("hold-no-float", lambda: anchored(floats=False, current=0.51),
         lambda: anchored(floats=False, current=0.49)),
    case("hold-noise", lambda: quiet(anchored(powered=True)), lambda: anchored(powered=True)),
]  # fmt: skip
