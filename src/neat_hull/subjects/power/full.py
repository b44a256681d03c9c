"""The electrics in full, on request."""

from neat_hull.model.cautions import FUSED, LITHIUM, NO_WAY_HOME, WET_BATTERY, WIRING
from neat_hull.model.power_day import Charging, FullPower
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.power.buying import ashore, to_buy
from neat_hull.subjects.power.chart import chart, load_rows, losses, told
from neat_hull.subjects.power.figures import lived
from neat_hull.subjects.power.supplies import supplies
from neat_hull.subjects.power.wiring import wired


def full_power(ev: Evaluated) -> FullPower:
    """Chart, loads by phase, where the energy goes, both supplies, and what to buy."""
    case = ev.once(wired).case
    day = None if case is None else told(ev)
    trouble = None
    if case is None:
        trouble = "No battery aboard yet."
    elif day is None:
        trouble = "The battery cannot supply what is on in the morning."
    return FullPower(
        trouble=trouble,
        chart=None if day is None else chart(ev, day),
        loads=[] if day is None else load_rows(day),
        losses=[] if day is None else losses(ev, day),
        supplies=supplies(ev),
        charging=_charging(ev),
        buy=to_buy(ev),
        ashore=ashore(ev),
        cautions=[FUSED, LITHIUM, WET_BATTERY, NO_WAY_HOME, WIRING],
    )


def _charging(ev: Evaluated) -> list[Charging]:
    report = ev.once(lived)
    return [
        Charging(name=row["name"], thing_id=int(row["battery"]), amps=row["amps"],
                 hours=row["hours"])
        for row in (report.report.get("charging", ()) if report is not None else ())
    ]  # fmt: skip
