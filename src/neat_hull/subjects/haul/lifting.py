"""Lifting a boat by an end, by moments about the other, and what the back says to it: the lifting
equation of Waters, Putz-Anderson and Garg (NIOSH 94-110, 1994)."""

from dataclasses import dataclass
from math import cos, radians, sin

from neat_hull.errors import NoPosition
from neat_hull.model.haul_case import CaseLift, Niosh
from neat_hull.subjects.haul.weights import Weight

_LOAD_KG = 23.0


@dataclass(frozen=True)
class Lifted:
    """What each end bears; rwl_kg and index where the lifting equation was asked."""

    name: str
    hold_kg: float
    other_kg: float
    each_kg: float
    share: float
    rwl_kg: float | None
    index: float | None


def lifted(one: CaseLift, of: Weight, comfort_kg: float, field: str) -> Lifted:
    """Raises NoPosition where the place that is held is not away from the other."""
    way = 1.0 if one.hold_m[0] >= one.other_m[0] else -1.0
    angle = radians(one.angle_deg)

    def away(x_m: float, z_m: float) -> float:
        x_o, z_o = one.other_m
        return way * (x_m - x_o) * cos(angle) - (z_m - z_o) * sin(angle)

    arm = away(*one.hold_m)
    if arm <= 0:
        raise NoPosition(field, "the place held stands over the other, or behind it")
    hold = of.kg * away(of.x_m, of.z_m) / arm
    each = hold / one.people
    limit = None if one.niosh is None else rwl_kg(one.niosh)
    return Lifted(
        one.name,
        hold,
        of.kg - hold,
        each,
        each / comfort_kg,
        limit,
        each / limit if limit else None,
    )


def rwl_kg(of: Niosh) -> float:
    """The recommended weight limit."""
    across = 0.0 if of.h_cm > 63 else 25 / max(of.h_cm, 25.0)
    up = 0.0 if of.v_cm > 175 else 1 - 0.003 * abs(of.v_cm - 75)
    far = 0.0 if of.d_cm > 175 else 1.0 if of.d_cm < 25 else 0.82 + 4.5 / of.d_cm
    turned = 0.0 if of.a_deg > 135 else 1 - 0.0032 * of.a_deg
    return _LOAD_KG * across * up * far * turned * of.fm * of.cm
