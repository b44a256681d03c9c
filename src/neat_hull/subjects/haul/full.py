"""What is asked of the boat on land on request: other wheels, the axle elsewhere, least minutes."""

from typing import get_args

import numpy as np

from neat_hull.errors import NoPosition
from neat_hull.model.haul import Wheels
from neat_hull.model.haul_figures import AxleFigure, FullHaul, WheelsFigure
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.limits import RANK
from neat_hull.subjects.haul.aboard import RoadThing, rides
from neat_hull.subjects.haul.cart import level_hand_n, wheeled
from neat_hull.subjects.haul.figures import on_land
from neat_hull.subjects.haul.setting import as_cart, case, weights_of
from neat_hull.subjects.haul.steps import steps

_PLACES = 17  # along the middle third
_GRAIN_KG = 0.05


def full_haul(ev: Evaluated) -> FullHaul:
    """A setup as it is, on request."""
    found = ev.once(on_land)
    off = [one for one in ev.once(rides) if one.leaves == "off"]
    least = least_minutes(off, found.loaded.kg - found.aim_kg)
    done = steps(ev)
    hull = ev.rigged.floating.hull
    return FullHaul(
        figures=found,
        least_minutes=None if least is None else [one.thing_id for one in least],
        least_minutes_min=sum(one.minutes for one in least or []),
        wheels=list(_wheels(ev)),
        axles=list(_axles(ev)),
        steps=done,
        walked_m=sum(one.walked_m for one in done),
        outline=list(zip(hull.x_m.tolist(), hull.keel_z_m.tolist(), hull.sheer_m[:, 1].tolist(),
                         strict=True)),
    )  # fmt: skip


def least_minutes(off: list[RoadThing], need_kg: float) -> list[RoadThing] | None:
    """What to take off for so much less weight in the least time; None where all is not enough.

    Weights are rounded down to a grain, so that what is chosen is never too little.
    """
    need = max(0, int(np.ceil(need_kg / _GRAIN_KG - 1e-9)))
    if need == 0:
        return []
    grains = [int(one.kg / _GRAIN_KG + 1e-9) for one in off]
    if sum(grains) < need:
        return None
    best = np.full(need + 1, np.inf)
    best[0] = 0.0
    taken = np.zeros((len(off), need + 1), dtype=bool)
    at = np.arange(need + 1)
    for i, one in enumerate(off):
        with_it = best[np.maximum(at - grains[i], 0)] + one.minutes
        taken[i] = with_it < best - 1e-12
        best = np.where(taken[i], with_it, best)
    chosen, left = [], need
    for i in reversed(range(len(off))):
        if taken[i][left]:
            chosen.append(off[i])
            left = max(0, left - grains[i])
    return chosen[::-1]


def _wheels(ev: Evaluated) -> list[WheelsFigure]:
    """The whole way on each."""
    plan, of, told = ev.setup.haul.cart, ev.once(case), []
    if plan is None:
        return []
    for wheels in get_args(Wheels):
        other = plan.model_copy(update={"wheels": wheels, "radius_m": None, "width_m": None})
        try:
            cart = as_cart(ev, other, of)
            rows = wheeled(cart, ev.once(weights_of)[cart.state], of.boat.length_m, []).grounds
        except NoPosition:
            continue
        worst = max(rows, key=lambda row: row.pull_n)
        pressed = max(row.pressure_share for row in rows)
        verdicts = (ev.table["pull"].verdict(worst.pull_n), ev.table["ground"].verdict(pressed))
        told.append(
            WheelsFigure(
                wheels=wheels,
                pull_n=worst.pull_n,
                hardest=worst.name,
                pressure_share=pressed,
                verdict=max(verdicts, key=lambda word: RANK[word]),
            )
        )
    return told


def _axles(ev: Evaluated) -> list[AxleFigure]:
    """Along the middle third of the boat, where the hand stands it."""
    of, x_0, told = ev.once(case), ev.rigged.floating.hull.x_aft_m, []
    if of.cart is None:
        return []
    at = ev.once(weights_of)[of.cart.state]
    long = of.boat.length_m
    for x in np.linspace(at.x_m - long / 6, at.x_m + long / 6, _PLACES).tolist():
        try:
            told.append(AxleFigure(x_m=x + x_0, hand_up_n=level_hand_n(of.cart, at, x)))
        except NoPosition:
            continue
    return told
