"""What a boat weighs for the road, bare and loaded, and what had better come off."""

from collections.abc import Sequence
from dataclasses import asdict, dataclass

from neat_hull.model.haul_case import CaseThing, HaulCase, State


@dataclass(frozen=True)
class Weight:
    """A mass and where it acts, along and up."""

    kg: float
    x_m: float
    z_m: float


def weight(case: HaulCase, state: State) -> Weight:
    """With everything, or without what comes off."""
    things = [one for one in case.things if state == "loaded" or not one.comes_off]
    rows = [(case.boat.mass_kg, case.boat.x_m, case.boat.z_m)]
    rows += [(one.mass_kg, one.x_m, one.z_m) for one in things]
    mass = sum(kg for kg, _, _ in rows)
    return Weight(
        mass, sum(kg * x for kg, x, _ in rows) / mass, sum(kg * z for kg, _, z in rows) / mass
    )


def weights(case: HaulCase) -> dict[str, object]:
    """As it goes out."""
    told: dict[str, object] = {}
    states: tuple[State, ...] = ("bare", "loaded")
    for state in states:
        told |= {f"{state}_{name}": value for name, value in asdict(weight(case, state)).items()}
    off = [one for one in case.things if one.comes_off]
    loaded = weight(case, "loaded").kg
    return told | {
        "minutes_off": sum(one.minutes for one in off),
        "fewest_off": fewest_off(off, loaded, case.aim_kg),
    }


def fewest_off(off: Sequence[CaseThing], loaded_kg: float, aim_kg: float) -> list[str] | None:
    """Heaviest first, until no more than the aim is left; None where all of them do not do."""
    left, names = loaded_kg, []
    for one in sorted(off, key=lambda one: -one.mass_kg):
        if left <= aim_kg:
            break
        left -= one.mass_kg
        names.append(one.name)
    return names if left <= aim_kg else None
