"""Reels, tips, a place to park a rod, and what hides the view."""

from collections.abc import Iterable

import numpy as np

from neat_hull.model.said import Said
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rules import Found, against, rule
from neat_hull.subjects.rods.figures import parking, rod_ends


@rule("reel-over-the-water", topic="rods", many="{} reels: hang outside the gunwale")
def reel_over_the_water(ev: Evaluated) -> Iterable[Found]:
    """A reel hangs outside the gunwale. Our threshold."""
    for lie in ev.once(rod_ends):
        if lie.reel_out_m is not None:
            yield from against(
                ev,
                "reel out",
                lie.reel_out_m,
                Said.of(f"{ev.name(lie.thing_id)}: reel hangs {{}} outside", length=lie.reel_out_m),
                Said.of("Move it {} inboard", length=max(0.0, lie.reel_out_m)),
                thing_id=lie.thing_id,
            )


@rule("tip-far-out", topic="rods")
def tip_far_out(ev: Evaluated) -> Iterable[Found]:
    """A tip reaches far past the beam. Our threshold."""
    for lie in ev.once(rod_ends):
        yield from against(
            ev,
            "tip out",
            lie.tip_past_beam_m,
            Said.of(
                f"{ev.name(lie.thing_id)}: tip {{}} past the side",
                length=lie.tip_past_beam_m,
            ),
            Said.of("Turn its holder toward the bow or stern"),
            thing_id=lie.thing_id,
            at=lie.tip,
        )


@rule("tip-high", topic="rods")
def tip_high(ev: Evaluated) -> Iterable[Found]:
    """A tip stands high over the seat. Our threshold."""
    for lie in ev.once(rod_ends):
        yield from against(
            ev,
            "tip up",
            lie.tip_over_seat_m,
            Said.of(
                f"{ev.name(lie.thing_id)}: tip {{}} above the seat",
                length=lie.tip_over_seat_m,
            ),
            Said.of("Lay it flatter"),
            thing_id=lie.thing_id,
            at=lie.tip,
        )


@rule("tips-close", topic="rods", many="{} pairs of rod tips: too close")
def tips_close(ev: Evaluated) -> Iterable[Found]:
    """The tips of two rods in holders are close to each other. Our threshold."""
    lies = ev.once(rod_ends)
    if len(lies) < 2:
        return
    tips = np.array([lie.tip for lie in lies])
    apart = np.linalg.norm(tips[:, None] - tips[None, :], axis=2)
    for i, j in zip(*np.triu_indices(len(lies), 1), strict=True):
        one, other = sorted((lies[i].thing_id, lies[j].thing_id))
        gap = float(apart[i, j])
        yield from against(
            ev,
            "tips apart",
            gap,
            Said.of(f"{ev.name(one)} and {ev.name(other)}: tips only {{}} apart", length=gap),
            Said.of("Turn one of them away"),
            thing_id=one,
            other_id=other,
            at=lies[i].tip,
        )


@rule("nowhere-to-park-a-rod", topic="rods")
def nowhere_to_park_a_rod(ev: Evaluated) -> Iterable[Found]:
    """No tube or holder in hand for the rod, with a fish to unhook in both hands. Our threshold."""
    if not ev.rods:
        return
    if ev.once(parking)[1] is None:
        yield Found(
            "watch",
            Said.of("No place to park a rod while you unhook a fish"),
            "It takes both hands, and the rod ends up between your knees, or over the side.",
            Said.of("Put a tube or holder within reach of one hand"),
            badness=1.0,
            where="At the seat",
        )


RULES = (
    reel_over_the_water,
    tip_far_out,
    tip_high,
    tips_close,
    nowhere_to_park_a_rod,
)
