"""How the boat lies, how steady it is, and what makes it less so."""

from collections.abc import Iterable

import numpy as np

from neat_hull.model.cautions import BOAT_ALONE
from neat_hull.model.said import Said
from neat_hull.rig import aboard
from neat_hull.rig.bands import bands
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rules import Found, against, past, rule
from neat_hull.rig.settling import at_rest
from neat_hull.subjects.afloat.figures import afloat, why_not_afloat

_ABOVE_M = 0.05  # over the gunwale and more counts as high
_HEAVY_KG = 0.5
_MIDDLE_SHARE = 0.30  # of the length, either way from where the boat sinks level


@rule("does-not-float", topic="level")
def does_not_float(ev: Evaluated) -> Iterable[Found]:
    """The boat goes under, or has no place of rest, with what is aboard."""
    why = ev.once(why_not_afloat)
    if why is not None:
        yield Found(
            "stop",
            Said.of("The boat can't carry this"),
            f"With this aboard it {why}.",
            Said.of("Take the heaviest items ashore"),
            badness=1.0,
        )


@rule("bow-or-stern-down", topic="level")
def bow_or_stern_down(ev: Evaluated) -> Iterable[Found]:
    """Trim either way. Our threshold; see the table."""
    lie, rest, band = ev.once(afloat), at_rest(ev), ev.once(bands)
    if lie is None or rest is None or band is None:
        return
    trim = lie.trim_deg
    end, other = ("stern", "bow") if trim > 0 else ("bow", "stern")
    over = np.radians(max(abs(trim) - ev.table["trim"].fine, 0.0))
    moment = over * rest.upright.gm_l_m * ev.rigged.loads.total_kg
    yield from against(
        ev,
        "trim",
        abs(trim),
        Said.of(f"Trim: {{}} {end} down", angle=abs(trim)),
        Said.of(f"Move weight toward the {other}: {{}}", moment=float(moment)),
        band=band.trim_deg,
    )


@rule("to-one-side", topic="level")
def to_one_side(ev: Evaluated) -> Iterable[Found]:
    """List. Our threshold; see the table."""
    lie, band = ev.once(afloat), ev.once(bands)
    if lie is None or band is None:
        return
    side, other = ("starboard", "port") if lie.heel_deg > 0 else ("port", "starboard")
    yield from against(
        ev,
        "list",
        abs(lie.heel_deg),
        Said.of(f"List: {{}} to {side}", angle=abs(lie.heel_deg)),
        Said.of(f"Move weight to {other}: {{}}", moment=abs(lie.offset_moment_kg_m)),
        band=band.list_deg,
    )


@rule("unsteady-seated", topic="steadiness")
def unsteady_seated(ev: Evaluated) -> Iterable[Found]:
    """GM of the boat at rest with the angler seated. Our threshold; see the table."""
    lie, band = ev.once(afloat), ev.once(bands)
    if lie is None or band is None:
        return
    short = max(0.0, ev.table["gm"].fine - lie.gm_m)
    yield from against(
        ev,
        "gm",
        lie.gm_m,
        Said.of("Stability (GM): only {}", length=lie.gm_m),
        Said.of("Lower weight, or the seat: {}", moment=short * ev.rigged.loads.total_kg),
        band=band.gm_m,
        caution=BOAT_ALONE,
    )


@rule("seat-high", topic="steadiness")
def seat_high(ev: Evaluated) -> Iterable[Found]:
    """The seat stands high over the floor. Our threshold; the price is told by GM."""
    seat = ev.setup.seat
    floor = ev.rigged.floating.hull.support_z_m(seat.x_m + 0.1, 0.0)
    high = seat.z_m - floor
    over = max(0.0, high - ev.table["seat height"].fine)
    yield from against(
        ev,
        "seat height",
        high,
        Said.of("Seat: {} above the floor", length=high),
        Said.of("Lower the seat {}", length=over),
        where="At the seat",
    )


@rule(
    "heavy-and-high", topic="steadiness", many="{} items: heavy and high", under="unsteady-seated"
)
def heavy_and_high(ev: Evaluated) -> Iterable[Found]:
    """One thing whose weight over the gunwale takes much steadiness. Our threshold."""
    rigged, hull = ev.rigged, ev.rigged.floating.hull
    mass, at = (rows[rigged.rows.things] for rows in (rigged.loads.mass_kg, rigged.loads.at_m))
    over = at[:, 2] - np.interp(at[:, 0], hull.x_m, hull.sheer_m[:, 1])
    high = (mass >= _HEAVY_KG) & (over > _ABOVE_M) & (mass * over > ev.table["high"].fine)
    for i in np.flatnonzero(high).tolist():
        stowed, kg, up = rigged.stowed[i], float(mass[i]), float(over[i])
        if not stowed.stand.on_body:
            yield from against(
                ev,
                "high",
                kg * up,
                Said.of(
                    f"{ev.name(stowed.thing_id)}: {{}}, {{}} above the gunwale", mass=kg, length=up
                ),
                Said.of("Lower it {}", length=up),
                thing_id=stowed.thing_id,
            )


@rule(
    "heavy-at-an-end",
    topic="level",
    many="{} items: heavy and far from the middle",
    under="bow-or-stern-down",
)
def heavy_at_an_end(ev: Evaluated) -> Iterable[Found]:
    """One heavy thing far from the middle. Our threshold."""
    hull = ev.rigged.floating.hull
    middle = hull.x_aft_m + 0.5 * hull.length_m
    for row in ev.once(aboard.rows).values():
        if row.depth:
            continue
        x = ev.rigged.by_id[row.thing_id].centre_m[0]
        out = abs(x - middle)
        beyond = out - _MIDDLE_SHARE * hull.length_m
        if beyond > 0 and past(ev, "ends", row.carries_kg * out):
            yield from against(
                ev,
                "ends",
                row.carries_kg * out,
                Said.of(
                    f"{ev.name(row.thing_id)}: {{}} far toward the "
                    f"{'bow' if x > middle else 'stern'}",
                    mass=row.carries_kg,
                ),
                Said.of("Move it {} toward the middle", length=beyond),
                thing_id=row.thing_id,
            )


RULES = (
    does_not_float,
    bow_or_stern_down,
    to_one_side,
    heavy_at_an_end,
    unsteady_seated,
    seat_high,
    heavy_and_high,
)
