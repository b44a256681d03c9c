"""A boat on two bars, slid up to them from the rear, or on the bed of a truck."""

from collections.abc import Sequence
from dataclasses import dataclass
from math import hypot, sqrt

from neat_hull.errors import NoPosition
from neat_hull.model.haul_case import (
    CaseBed,
    CaseRoof,
    CaseSlide,
    CaseUnder,
    OverhangRule,
)
from neat_hull.physics.water.gravity import GRAVITY_M_S2
from neat_hull.subjects.haul.weights import Weight


@dataclass(frozen=True)
class OverBar:
    """Something under the hull, and how it passes roof and bars; null without a slide."""

    name: str
    gap_m: float
    on_bar: bool
    drags_over_bar: bool | None


@dataclass(frozen=True)
class OnRoof:
    """What each bar bears, shares of their limits, and how far it reaches past the vehicle."""

    front_kg: float
    rear_kg: float
    share: float
    bar_share: float
    tips: bool
    overhang_rear_m: float
    overhang_front_m: float
    flags: list[str]
    under: list[OverBar]


@dataclass(frozen=True)
class Slid:
    """The hardest moment of sliding it up, and the first and last."""

    peak_n: float
    peak_kg: float
    peak_at_m: float
    peak_push_n: float
    peak_lift_n: float
    first_n: float
    last_n: float
    nose_down: bool | None


@dataclass(frozen=True)
class OnBed:
    """What gate and front bear, and how far it reaches past the gate."""

    gate_kg: float
    front_kg: float
    gate_share: float
    margin_m: float
    tips: bool
    overhang_m: float
    flags: list[str]


def on_roof(
    one: CaseRoof,
    of: Weight,
    length_m: float,
    under: Sequence[CaseUnder],
    slide: CaseSlide | None,
    rule: OverhangRule | None,
) -> OnRoof:
    """Moments about the rear bar."""
    x_r, s = one.rear_bar_x_m, one.spacing_m
    front = of.kg * (of.x_m - x_r) / s
    rear = of.kg - front
    behind = max(0.0, x_r - one.behind_bar_m)
    ahead = max(0.0, length_m - x_r - s - one.ahead_bar_m)
    greater = max(front, rear)
    return OnRoof(
        front_kg=front,
        rear_kg=rear,
        share=(of.kg + one.extras_kg) / one.limit_kg,
        bar_share=(greater + one.extras_kg / 2) / (one.limit_kg / 2),
        tips=not x_r <= of.x_m <= x_r + s,
        overhang_rear_m=behind,
        overhang_front_m=ahead,
        flags=_flags(rule, behind, ahead),
        under=[_over_bar(one, each, slide) for each in under if not each.comes_off],
    )


def _flags(rule: OverhangRule | None, rear_m: float, front_m: float | None = None) -> list[str]:
    if rule is None:
        return []
    over = {
        "flag": rear_m > rule.flag_rear_m,
        "rear": rear_m > rule.most_rear_m,
        "front": front_m is not None and front_m > rule.most_front_m,
    }
    return [name for name, is_over in over.items() if is_over]


def _over_bar(one: CaseRoof, each: CaseUnder, slide: CaseSlide | None) -> OverBar:
    x_r, s, half = one.rear_bar_x_m, one.spacing_m, one.bar_width_m / 2
    low, high = one.keel_z_m
    aft, fwd = min(each.x_m), max(each.x_m)

    def line(x: float) -> float:
        return low + (high - low) * (x - x_r) / s

    on = any(
        aft <= bar + half and fwd >= bar - half and each.z_m < line(bar) for bar in (x_r, x_r + s)
    )
    drags = None
    if slide is not None:
        start, end = slide.contact_m
        drags = aft <= start + half and fwd >= end - half
    gap = one.bar_over_roof_m + min(each.z_m - line(x) for x in (aft, fwd))
    return OverBar(each.name, gap, on, drags)


Row = tuple[float, float, float, float]


def pushed(one: CaseSlide, of: Weight) -> list[Row]:
    """Step by step: the force, where the bar is under it, what pushes and what lifts. Raises
    NoPosition where hands and bar cannot be so.

    A lever on a bar that rubs: of the weight square to the boat the bar bears what balances it
    about the hands, all of it once the centre is past the bar.
    """
    weight = of.kg * GRAVITY_M_S2
    rows: list[Row] = []
    for k in range(one.steps + 1):
        share = k / one.steps
        x = one.contact_m[0] + share * (one.contact_m[1] - one.contact_m[0])
        h = one.hand_height_m[0] + share * (one.hand_height_m[1] - one.hand_height_m[0])
        far = x - one.hand_x_m
        if far <= 0 or abs(one.bar_height_m - h) >= far:
            raise NoPosition("slide.contact_m", "the bar cannot be there with the hands so high")
        sin = (one.bar_height_m - h) / far
        square = weight * sqrt(1 - sin**2)
        borne = square * min(1.0, (of.x_m - one.hand_x_m) / far)
        lift, push = square - borne, weight * sin + one.friction * borne
        rows.append((hypot(push, lift), x, push, lift))
    return rows


def slid(rows: Sequence[Row], of: Weight, length_m: float, roof: CaseRoof | None) -> Slid:
    """The hardest moment of those."""
    peak = max(rows, key=lambda row: row[0])
    return Slid(
        peak_n=peak[0],
        peak_kg=peak[0] / GRAVITY_M_S2,
        peak_at_m=peak[1],
        peak_push_n=peak[2],
        peak_lift_n=peak[3],
        first_n=rows[0][0],
        last_n=rows[-1][0],
        nose_down=None if roof is None else length_m - of.x_m < roof.spacing_m,
    )


def on_bed(one: CaseBed, of: Weight, length_m: float, rule: OverhangRule | None) -> OnBed:
    """Moments about the front support, from the front wall, where one end lies."""
    u = length_m - of.x_m if one.end_in == "bow" else of.x_m
    edge = one.length_m + one.gate_m
    gate = of.kg * (u - one.front_support_m) / (edge - one.front_support_m)
    overhang = max(0.0, length_m - edge)
    return OnBed(
        gate_kg=gate,
        front_kg=of.kg - gate,
        gate_share=gate / one.gate_limit_kg,
        margin_m=edge - u,
        tips=edge - u < 0,
        overhang_m=overhang,
        flags=_flags(rule, overhang),
    )
