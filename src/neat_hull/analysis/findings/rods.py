"""Reels, tips, a place to park a rod, and what hides the view."""

from collections.abc import Iterable

import numpy as np

from neat_hull.analysis.findings.case import Case, Found, against
from neat_hull.analysis.rods import parking
from neat_hull.analysis.sight import covered_deg, dead_arcs
from neat_hull.model.figures import Said


def reel_over_the_water(case: Case) -> Iterable[Found]:
    """A reel hangs outside the gunwale. Our threshold."""
    for lie in case.rods:
        if lie.reel_out_m is not None:
            yield from against(
                case, "reel out", lie.reel_out_m,
                Said.of(f"The reel of {case.name(lie.thing_id)} hangs {{}} outside",
                        length=lie.reel_out_m),
                Said.of("{} inward", length=max(0.0, lie.reel_out_m)), thing_id=lie.thing_id,
            )  # fmt: skip


def tip_far_out(case: Case) -> Iterable[Found]:
    """A tip reaches far past the beam. Our threshold."""
    for lie in case.rods:
        yield from against(
            case, "tip out", lie.tip_past_beam_m,
            Said.of(f"The tip of {case.name(lie.thing_id)} is {{}} past the side",
                    length=lie.tip_past_beam_m),
            Said(text="turn its holder toward the bow or stern"), thing_id=lie.thing_id,
            at=lie.tip,
        )  # fmt: skip


def tip_high(case: Case) -> Iterable[Found]:
    """A tip stands high over the seat. Our threshold."""
    for lie in case.rods:
        yield from against(
            case, "tip up", lie.tip_over_seat_m,
            Said.of(f"The tip of {case.name(lie.thing_id)} stands {{}} over the seat",
                    length=lie.tip_over_seat_m),
            Said(text="lay it flatter"), thing_id=lie.thing_id, at=lie.tip,
        )  # fmt: skip


def tips_close(case: Case) -> Iterable[Found]:
    """The tips of two rods in holders are close to each other. Our threshold."""
    lies = case.rods
    if len(lies) < 2:
        return
    tips = np.array([lie.tip for lie in lies])
    apart = np.linalg.norm(tips[:, None] - tips[None, :], axis=2)
    for i, j in zip(*np.triu_indices(len(lies), 1), strict=True):
        one, other = sorted((lies[i].thing_id, lies[j].thing_id))
        gap = float(apart[i, j])
        yield from against(
            case, "tips apart", gap,
            Said.of(f"The tips of {case.name(one)} and {case.name(other)} are {{}} "
                    "apart", length=gap),
            Said(text="turn one of them away"), thing_id=one, other_id=other, at=lies[i].tip,
        )  # fmt: skip


def nowhere_to_park_a_rod(case: Case) -> Iterable[Found]:
    """No tube or holder in hand for the rod, with a fish to unhook in both hands. Our threshold."""
    if not any(case.thing(i).shape == "rod" for i in case.rows):
        return
    if parking(case.rigged)[1] is None:
        yield Found(
            "watch", Said(text="Nowhere to park a rod while a fish is unhooked"),
            "It takes both hands, and the rod is then held between the knees, or lost.",
            Said(text="a tube or holder within a hand's reach"), badness=1.0, where="At the seat",
        )  # fmt: skip


def view_hidden(case: Case) -> Iterable[Found]:
    """Things hide the water ahead from the seated eye. Our threshold, in degrees of bearing."""
    arcs = dead_arcs(case.rigged)
    if not arcs:
        return
    worst = max(arcs, key=lambda arc: arc.to_deg - arc.from_deg)
    hidden = covered_deg(arcs)
    names = ", ".join(case.name(arc.thing_id) for arc in arcs)
    yield from against(
        case, "sight", hidden, Said.of("{} of the view ahead is hidden", angle=hidden),
        Said(text=f"lower or move {names}"), thing_id=worst.thing_id,
    )  # fmt: skip


RULES = (
    reel_over_the_water, tip_far_out, tip_high, tips_close, nowhere_to_park_a_rod, view_hidden,
)  # fmt: skip
