"""The boat held, in full: under its pull, by the side, and held elsewhere; the line as it hangs."""

import numpy as np

from neat_hull.model.cautions import CURRENT
from neat_hull.model.hold_figures import FullHold, HeldAt, Leaning
from neat_hull.physics.resistance.line import shape
from neat_hull.rig.drag.figures import full_drag, pull_n
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.explaining import at_rest_or_raise
from neat_hull.rig.held_at import held_at
from neat_hull.subjects.hold import typical
from neat_hull.subjects.hold.figures import hold, lies_at, lying
from neat_hull.subjects.hold.gear import as_case, out_m, tackle
from neat_hull.subjects.hold.leaning import Leans, leaning

_ELSEWHERE = 33


def full_hold(ev: Evaluated) -> FullHold:
    """All that is not live. Raises DoesNotFloat or NoBalance."""
    at_rest_or_raise(ev)
    hull, n = ev.rigged.floating.hull, ev.setup.demands
    full = ev.once(full_drag)
    assert full is not None, "it floats"
    side = pull_n(ev, "side", n.current_m_s, n.wind_m_s)
    found, live = ev.once(lying), ev.once(hold)
    middle = (hull.x_aft_m + hull.x_fwd_m) / 2
    _, height = hull.gunwale_m(middle)
    down = 0.0 if live is None or live.anchor is None else live.anchor.down_n
    return FullHold(
        held=_told(
            _leaning(ev, (0.0, 0.0), ev.once(held_at), 0.0)
            if found is None
            else _leaning(ev, (found.pull_ahead_n, found.pull_port_n), ev.once(held_at), down)
        ),
        by_the_side=_told(_leaning(ev, (0.0, side), (middle, 0.0, height), 0.0)),
        by_the_side_n=side,
        line=_line(ev),
        elsewhere=list(_elsewhere(ev)),
        lateral_x_m=full.drag.lateral[1],
        ends_x_m=(hull.x_aft_m, hull.x_fwd_m),
        surge_n=typical.CHOP * (0.0 if found is None else found.pull_n),
        cautions=[CURRENT],
    )


def _leaning(
    ev: Evaluated, level_n: tuple[float, float], at_m: tuple[float, float, float], down_n: float
) -> Leans | None:
    rigged, full = ev.rigged, ev.once(full_drag)
    assert full is not None, "it floats"
    return leaning(
        rigged.floating, rigged.loads, rigged.water_density_kg_m3, full.draft_m / 2, at_m, level_n,
        down_n,
    )  # fmt: skip


def _told(found: Leans | None) -> Leaning:
    heel, trim, edge = found or (None, None, None)
    return Leaning(heel_deg=heel, trim_deg=trim, least_freeboard_m=edge)


def _line(ev: Evaluated) -> list[tuple[float, float]]:
    """From the anchor on, along the bottom and up."""
    of, live, found = ev.once(tackle), ev.once(hold), ev.once(lying)
    if of is None or live is None or live.anchor is None or found is None:
        return []
    case = as_case(ev, of, out_m(ev, of, live.anchor.height_m))
    parts = [
        (case.chain_length_m, case.chain_n_per_m),
        (case.rope_length_m, case.rope_n_per_m),
    ]
    return shape(parts, found.pull_n, live.anchor.height_m)


def _elsewhere(ev: Evaluated) -> list[HeldAt]:
    """Held at places along the boat: where a trolley may stand, and where it may not."""
    hull, found = ev.rigged.floating.hull, []
    middle = (hull.x_aft_m + hull.x_fwd_m) / 2
    for x in np.linspace(hull.x_aft_m, hull.x_fwd_m, _ELSEWHERE).tolist():
        one = lies_at(ev, x)
        if one is not None:
            off = abs(one.pull_off_bow_deg)
            found.append(
                HeldAt(
                    x_m=x,
                    heading_deg=one.heading_deg,
                    pull_n=one.pull_n,
                    off_line_deg=off if x >= middle else 180.0 - off,
                )
            )
    return found
