"""Days of a clean setup, and for each rule of the day what trips it and what just not."""

from typing import Any

from tests.judged import CLEAN, FLAG, FULL, Case, case, limit, put, without
from tests.subjects.glide.goings import with_thing

from neat_hull.model.day_plan import Catch, Cockpit, DayPhase, DayPlan, Ice, Used
from neat_hull.model.setup import Setup

TANK, PUMP, BOX = 74, 75, 76
SUMMER: dict[str, Any] = {"latitude_deg": 50.0, "longitude_deg": 15.0, "zone": "Etc/GMT-1"}


def out(setup: Setup = CLEAN, hours: float = 4.0, air_c: float = 20.0, **plan: Any) -> Setup:
    """Afloat for so long, then hauled out."""
    phases = [DayPhase(kind="fish", hours=hours, air_c=air_c), DayPhase(kind="haul out", hours=0.5)]
    usual: dict[str, Any] = {"phases": phases, "start_h": 8.0}
    made = setup.model_copy(update={"outing": DayPlan(**usual | plan)})
    return made.model_copy(update={"day": "2026-06-21"})


def boxed(
    setup: Setup = CLEAN, y: float = 0.0, kg: float = 3.0, x: float = 1.2, **more: Any
) -> Setup:
    """A box of drink on the deck: so much in it, half a kilo itself."""
    made = with_thing(setup, BOX, name="Canister", mass_kg=kg + 0.5, length_m=0.2, width_m=0.1,
                      height_m=0.2, fill={"empty_kg": 0.5}, **more)  # fmt: skip
    return put(made, BOX, x, y)


def drinking(kg: float, rate: float, hours: float = 4.0, air_c: float = 20.0) -> Setup:
    """So much to drink, and how fast it goes."""
    return out(boxed(kg=kg), hours, air_c, stores={"water": Used(thing=BOX, rate_kg_h=rate)})


def iced(kg: float, air_c: float = 25.0) -> Setup:
    """Ice under a catch in the same box: 1 W/K and 25 K melt 0.2695 kg an hour."""
    stores = {
        "ice": Ice(thing=BOX, ice_kg=kg, ua_w_k=1.0, lid="shade"),
        "catch": Catch(thing=BOX, rate_kg_h=0.0),
    }
    return out(boxed(kg=3.0), air_c=air_c, stores=stores)


def dark(hours: float, lit: bool = False) -> Setup:
    """Afloat from six in the evening on, at midsummer; sunset is at about 20:11."""
    made = without(CLEAN, FLAG)
    if lit:
        made = with_thing(made, PUMP, name="Torch", mass_kg=0.2, length_m=0.1, width_m=0.05,
                          height_m=0.05, serves=["light"])  # fmt: skip
        made = put(made, PUMP, 1.2, 0.0)
    return out(made, hours, start_h=18.0, **SUMMER)


def sitting_in(rate: float, bails: bool) -> Setup:
    """A cockpit that does not drain."""
    wells = [one.model_copy(update={"scuppers": "plugged"}) for one in CLEAN.boat.wells]
    made = CLEAN.model_copy(update={"boat": CLEAN.boat.model_copy(update={"wells": wells})})
    if bails:
        made = with_thing(made, PUMP, name="Pump", mass_kg=0.5, length_m=0.4, width_m=0.05,
                          height_m=0.05, bails="pump")  # fmt: skip
        made = put(made, PUMP, 1.2, 0.0)
    return out(made, stores={"cockpit": Cockpit(rate_kg_h=rate)})


def leaning(y: float) -> Setup:
    """A catch that grows off the middle."""
    made = out(boxed(y=y, kg=0.5, x=1.75), stores={"catch": Catch(thing=BOX, rate_kg_h=3.0)})
    return limit(made, "list", 1.0, 9.0)


def draining(share: float) -> Setup:
    """A battery that ends the day with so much."""
    return limit(out(FULL), "left in a battery", share)


CASES: list[Case] = [
    case("day-worst", lambda: leaning(0.35), lambda: leaning(0.0)),
    case("day-ice", lambda: iced(0.5), lambda: iced(1.1)),
    case("day-water", lambda: drinking(1.5, 0.4), lambda: drinking(2.0, 0.4)),
    case("day-pack", lambda: draining(0.9), lambda: draining(0.1)),
    case("day-dark", lambda: dark(3.0), lambda: dark(3.0, lit=True)),
    case("day-cockpit", lambda: sitting_in(1.5, bails=False), lambda: sitting_in(1.5, bails=True)),
    case("day-long", lambda: out(hours=5.1), lambda: out(hours=4.9)),
]  # fmt: skip
