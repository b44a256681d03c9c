"""How the figures of a boat full of water came about."""

from neat_hull.model.how import How, HowRow
from neat_hull.model.said import HowKind
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.explaining import at_rest_or_raise
from neat_hull.subjects.capsize import typical
from neat_hull.subjects.capsize.figures import as_fated, capsize
from neat_hull.subjects.capsize.flooding import lifting_kg
from neat_hull.subjects.capsize.setting import flooded_of, upset


def _row(label: str, value: float, kind: HowKind) -> HowRow:
    return HowRow(label=label, value=value, kind=kind)


def reserve(ev: Evaluated) -> How:
    """What is left to lift a full boat."""
    at_rest_or_raise(ev)
    of, found = ev.once(upset), ev.once(capsize)
    staying = of.staying(ev.once(as_fated))
    lifts = lifting_kg(of, flooded_of(ev), staying)
    return How(
        title="What is left to lift a full boat",
        plain="Water comes in wherever it can. What lifts then is what is no water: the hull's "
        "walls, foam and air bags, parts shut off, and what stays aboard. From that goes the "
        "weight of it all, and of you holding on.",
        formula="ρ·(walls + shut parts + foam · share + volumes) − (what stays + your hold)",
        rows=[
            _row("walls of the hull", lifts.walls, "mass"),
            _row("parts that are shut off", lifts.dry, "mass"),
            _row("foam, air bags, bottles", lifts.foam, "mass"),
            _row("what stays aboard lifts", lifts.things, "mass"),
            _row("weighs, with the hull", found.staying_kg, "mass"),
            _row("you holding on", typical.HANGS_KG, "mass"),
            _row("left", found.reserve_kg, "mass"),
        ],
        sure="Lost buoyancy (Rawson and Tupper, ch. 5). Typed boxes of foam are taken as they are; "
        "old foam drinks water. Float the boat full once, in the shallows, and believe that.",
    )


HOW = {"reserve": reserve}
