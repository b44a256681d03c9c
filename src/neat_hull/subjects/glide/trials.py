"""What was tried on the water, and what it says of the boat: timed runs, pulls, drifts."""

from math import hypot

import numpy as np
import scipy  # its parts are loaded when first asked: they would hold up every start

from neat_hull.model.glide_figures import DriftFit, PullFit, RunFit
from neat_hull.physics.arrays import Array
from neat_hull.physics.resistance.drifting import drift
from neat_hull.physics.resistance.winds import Air
from neat_hull.rig.drag.figures import full_drag
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.glide import typical
from neat_hull.subjects.glide.going import total_of

# What a pull test may find: past it something else was measured.
FORM, WAVE = (0.05, 0.35), (0.4, 1.6)
_WIND = (0.3, 3.0)
_OFF_SHARE = 0.25  # of a pull, that the fit may miss it by


def run_fit(ev: Evaluated) -> RunFit | None:
    """The efficiency that a timed run both ways gives: speed and resistance are the mean of both
    ways', in the set wind."""
    run, full = ev.setup.glide.timed_run, ev.once(full_drag)
    if run is None or full is None:
        return None
    speed = run.distance_m / 2 * (1 / run.out_min + 1 / run.back_min) / 60
    heading, at = ev.setup.glide.heading_deg, np.array([speed])
    total = float(np.mean([total_of(ev, full, heading + way)(at)[0] for way in (0.0, 180.0)]))
    found = total * speed / run.effort_w
    return RunFit(
        speed_m_s=speed,
        total_n=total,
        efficiency=found if 0.05 <= found <= 1 else None,
        band=0.15 * found,
    )


def pull_fit(ev: Evaluated) -> PullFit | None:
    """Form and wave factor by least squares of the pulls, held to what a hull can have."""
    pulls, full = ev.setup.glide.pulls, ev.once(full_drag)
    if not pulls or full is None:
        return None
    speed = np.array([one.speed_m_s for one in pulls])
    pull = np.array([one.pull_n for one in pulls])
    drag, a = full.drag, full.drag.coefficients
    if len(set(speed.tolist())) < 2:
        return PullFit(form_factor=None, wave_factor=None, residual_n=[],
                       trouble="Pulls at two speeds or more tell friction from waves")  # fmt: skip
    flat = drag.friction_n(speed)
    press = 0.5 * drag.density_kg_m3 * drag.wetted_area_m2 * speed**2
    line = (flat / press - a.roughness) / (1 + a.form_factor)
    wave = drag.waves(speed)
    known = flat - press * line * a.form_factor + drag.base_n(speed) + drag.appendage_n(speed)
    left = pull - known
    matrix = np.column_stack((press * line, wave))
    fit = scipy.optimize.lsq_linear(
        matrix / pull[:, None], left / pull, bounds=([FORM[0], WAVE[0]], [FORM[1], WAVE[1]])
    )
    residual = left - matrix @ fit.x
    if (np.abs(residual) > _OFF_SHARE * pull).any():
        return PullFit(
            form_factor=None,
            wave_factor=None,
            residual_n=residual.tolist(),
            trouble="No hull pulls like that: wind, current or the scale was in it",
        )
    return PullFit(
        form_factor=float(fit.x[0]),
        wave_factor=float(fit.x[1]),
        residual_n=residual.tolist(),
        trouble=None,
    )


def drift_fit(ev: Evaluated) -> DriftFit | None:
    """How much more the wind gets hold of: drift goes with the root of it, near enough."""
    test, full = ev.setup.glide.drift_test, ev.once(full_drag)
    if test is None or full is None:
        return None
    speed = test.distance_m / (60 * test.minutes)
    found = drift(full.drag, hypot(*Air.of(test.wind_m_s, 0.0, 0.0, 0.0).relative))
    now = ev.setup.glide.wind_factor or 1.0
    if found is None or speed >= test.wind_m_s:
        return DriftFit(speed_m_s=speed, wind_factor=None, trouble="No boat drifts like that")
    seen, told = (
        speed / (test.wind_m_s - speed),
        found.speed_m_s / (test.wind_m_s - found.speed_m_s),
    )
    factor = now * (seen / told) ** 2
    if not _WIND[0] <= factor <= _WIND[1]:
        return DriftFit(
            speed_m_s=speed,
            wind_factor=None,
            trouble="Too far from what such a boat drifts: a current, or another wind, was in it",
        )
    return DriftFit(speed_m_s=speed, wind_factor=factor, trouble=None)


def band_n(ev: Evaluated, speed_m_s: Array) -> Array:
    """(n,) ± of the total at speeds (n,), N: of each part by how well that is known, in squares."""
    full = ev.once(full_drag)
    assert full is not None, "asked of a boat that floats"
    drag, plan = full.drag, ev.setup.glide
    tested = typical.TESTED if plan.wave_factor is not None else 1.0
    water = drag.friction_n(speed_m_s) + drag.base_n(speed_m_s)
    air = total_of(ev, full)(speed_m_s) - drag.water_n(speed_m_s)
    parts = (
        tested * typical.WAVE_BAND * drag.wave_n(speed_m_s),
        tested * typical.FRICTION_BAND * water,
        typical.APPENDAGE_BAND * drag.appendage_n(speed_m_s),
        typical.AIR_BAND * air,
    )
    return np.sqrt(sum(part**2 for part in parts))
