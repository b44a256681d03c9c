"""What is typical of electrics where nobody has measured; each figure can be set by its owner."""

from math import log
from typing import NamedTuple

from neat_hull.model.power import Battery, Chemistry, Conductor, Known
from neat_hull.model.power_case import SecondRating
from neat_hull.model.thing import Thing
from neat_hull.physics.circuits.tables import BLOCK_V


class _Kind(NamedTuple):
    """A chemistry: ohms of a 12 V block are per_ah / capacity + electronics."""

    usable_share: float
    ohm_ah: float
    electronics_ohm: float
    rated_hours: float
    usable_wh_per_kg: float


# Ours, from what labels and meters say of ordinary 12 V packs.
_KINDS: dict[Chemistry, _Kind] = {
    "lead_acid": _Kind(0.5, 0.25, 0.0, 20.0, 17.0),
    "lifepo4": _Kind(0.9, 0.5, 0.005, 5.0, 105.0),
    "li_ion": _Kind(0.85, 0.45, 0.015, 5.0, 140.0),
}
JOINT_OHM = 0.001  # a crimp or a pin
DISCONNECT_OHM = 0.004  # a pair
FUSE_V = 0.08  # across a blade fuse at its rating
AROUND_C, HOT_HULL_C = 30.0, 50.0  # about a wire: in the open; in a closed hull or crate in the sun
# ± of a capacity or a draw, as a share, by how it is known.
KNOWN_SHARE: dict[Known, float] = {"measured": 0.03, "label": 0.10, "guess": 0.25}


def usable_share(one: Battery) -> float:
    """What of its charge its owner means to use."""
    return one.usable_share or _KINDS[one.chemistry].usable_share


def capacity_ah(thing: Thing, one: Battery) -> float:
    """As the label says, or typical of its weight."""
    if one.capacity_ah is not None:
        return one.capacity_ah
    usable_wh = _KINDS[one.chemistry].usable_wh_per_kg * thing.mass_kg
    return usable_wh / (BLOCK_V * one.series * usable_share(one))


def rated_hours(one: Battery) -> float:
    """Over how many hours its capacity is meant."""
    return one.rated_hours or _KINDS[one.chemistry].rated_hours


def second_rating(thing: Thing, one: Battery) -> SecondRating | None:
    """The other capacity of a label, where the two make sense: at more current no more of it."""
    if one.second_ah is None or one.second_hours is None:
        return None
    first_a = capacity_ah(thing, one) / rated_hours(one)
    second_a = one.second_ah / one.second_hours
    if first_a == second_a:
        return None
    k = log(one.second_hours / rated_hours(one)) / log(first_a / second_a)
    return SecondRating(capacity_ah=one.second_ah, hours=one.second_hours) if 1 <= k <= 2 else None


def resistance_ohm(thing: Thing, one: Battery) -> float:
    """Of the whole battery, full and warm."""
    if one.resistance_ohm is not None:
        return one.resistance_ohm
    kind = _KINDS[one.chemistry]
    return one.series * (kind.ohm_ah / capacity_ah(thing, one) + kind.electronics_ohm)


def joints_ohm(one: Conductor) -> float:
    """Of the whole loop: crimps, disconnects, and the fuse."""
    fuse = 0.0 if one.fuse_a is None else FUSE_V / one.fuse_a
    if one.joints_ohm is not None:
        return one.joints_ohm + fuse
    return one.joints * JOINT_OHM + one.disconnects * DISCONNECT_OHM + fuse
