"""What of the batteries aboard a motor may draw on."""

from dataclasses import dataclass

from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.power.figures import lived, standing


@dataclass(frozen=True)
class Supply:
    """Wh that reach the motor; wired: through a wire of its own."""

    usable_wh: float
    wired: bool


def supply(ev: Evaluated, motor_id: int) -> Supply:
    """Of the bank that feeds it, less wire loss and what else that bank gives in the day; of all
    batteries aboard where none does."""
    stands = ev.once(standing)
    if stands is None:
        return Supply(0.0, False)
    usable = [row["usable_wh"] for row in stands.report["batteries"]]
    names = [one.name for one in stands.made.case.loads]
    for plan in stands.made.banks:
        fed = [names[i] for i in plan.loads]
        if str(motor_id) not in fed:
            continue
        whole = sum(usable[i] for i in plan.batteries)
        row = stands.report["loads"][names.index(str(motor_id))]
        others = 0.0
        day = ev.once(lived)
        if day is not None and day.report:
            told = {one["name"]: one["energy_wh"] for one in day.report["loads"]}
            others = sum(told.get(name, 0.0) for name in fed if name != str(motor_id))
        left = max(0.0, whole - others) * (1 - min(1.0, row["drop_share"]))
        return Supply(left, True)
    return Supply(sum(usable), False)
