"""Curves, steps, lines and what tests give, on request."""

import numpy as np

from neat_hull.model.glide_figures import FullGlide, StepFigure, UsualEffort
from neat_hull.rig.drag.figures import bare_drag, full_drag
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.explaining import at_rest_or_raise
from neat_hull.subjects.glide import typical
from neat_hull.subjects.glide.driving import ring, steps
from neat_hull.subjects.glide.going import at_speed, efficiency, newtons
from neat_hull.subjects.glide.trials import band_n, drift_fit, pull_fit, run_fit
from neat_hull.subjects.glide.trolling import trolling

SPEEDS_M_S = np.linspace(0.4, 2.8, 49)


def full_glide(ev: Evaluated) -> FullGlide:
    """All that is not live. Raises DoesNotFloat or NoBalance."""
    at_rest_or_raise(ev)
    full, bare = ev.once(full_drag), ev.once(bare_drag)
    assert full is not None, "it floats"
    rows, share = newtons(ev, full, SPEEDS_M_S), efficiency(ev)
    all_steps, at = steps(ev), ev.once(at_speed)
    return FullGlide(
        name=ev.setup.name,
        wetted_area_m2=full.drag.wetted_area_m2,
        wet_length_m=full.drag.wet_length_m,
        displacement_kg=full.displacement_kg,
        curve=rows,
        bare=[] if bare is None else newtons(ev, bare, SPEEDS_M_S),
        effort_w=[max(0.0, one.total_n * one.speed_m_s / share) for one in rows],
        band_n=band_n(ev, SPEEDS_M_S).tolist(),
        band_at_n=None if at is None else float(band_n(ev, np.array([at.speed_m_s]))[0]),
        steps=all_steps,
        best_step=_best(all_steps),
        ring=ring(ev),
        trolling=trolling(ev),
        usual=[UsualEffort(words=w, effort_w=n) for w, n in typical.EFFORTS_W.items()],
        run_fit=run_fit(ev),
        pull_fit=pull_fit(ev),
        drift_fit=drift_fit(ev),
    )


def _best(all_steps: list[StepFigure]) -> float | None:
    """The step that goes farthest."""
    far = [(one.range_m, one.step) for one in all_steps if one.range_m is not None]
    return max(far)[1] if far else None
