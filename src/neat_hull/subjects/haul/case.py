"""What a bare case comes to: `neat-hull haul`."""

from collections.abc import Iterator
from dataclasses import asdict
from typing import Any

from neat_hull.errors import InputError, InputErrors
from neat_hull.model.haul_case import HaulCase
from neat_hull.subjects.haul.cart import wheeled
from neat_hull.subjects.haul.lifting import lifted
from neat_hull.subjects.haul.roof import on_bed, on_roof, pushed, slid
from neat_hull.subjects.haul.weights import weight, weights

Row = dict[str, Any]


def haul_report(case: HaulCase) -> Row:
    """All that the case comes to. Raises InputErrors, or NoPosition where it cannot be so."""
    wrong = list(_wrong(case))
    if wrong:
        raise InputErrors(wrong)
    bare, long, rule = weight(case, "bare"), case.boat.length_m, case.overhang_rule
    roof, slide, bed, cart = case.roof, case.slide, case.bed, case.cart
    return {
        "weights": weights(case),
        "lifts": [
            asdict(lifted(one, weight(case, one.state), case.comfort_kg, f"lifts[{i}]"))
            for i, one in enumerate(case.lifts)
        ],
        "roof": None
        if roof is None
        else asdict(on_roof(roof, bare, long, case.under, slide, rule)),
        "slide": None if slide is None else asdict(slid(pushed(slide, bare), bare, long, roof)),
        "bed": None if bed is None else asdict(on_bed(bed, bare, long, rule)),
        "cart": None
        if cart is None
        else asdict(wheeled(cart, weight(case, cart.state), long, case.under)),
    }


def _wrong(case: HaulCase) -> Iterator[InputError]:
    bed, cart = case.bed, case.cart
    if bed is not None and bed.front_support_m >= bed.length_m + bed.gate_m:
        yield InputError("bed.front_support_m", bed.front_support_m, "must be ahead of the gate")
    if cart is None:
        return
    for i, one in enumerate(cart.grounds):
        if (one.rolling is None) == (one.soil is None):
            yield InputError(f"cart.grounds[{i}]", one.name, "needs one of rolling and soil")
        if one.soil is not None and one.soil.n >= 3:
            yield InputError(f"cart.grounds[{i}].soil.n", one.soil.n, "must be less than 3")
    posts = cart.posts
    if posts is not None and posts.ring_mm <= posts.d_mm:
        yield InputError("cart.posts.ring_mm", posts.ring_mm, "must be wider than the post")
