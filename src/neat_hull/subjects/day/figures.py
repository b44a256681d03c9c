"""All that is live of a day: its worst moments and what they came of, what runs out, the sun."""

from itertools import pairwise

import numpy as np

from neat_hull.model.day_case import Ice, Used
from neat_hull.model.day_figures import (
    Cause,
    DayFigure,
    DayFigures,
    GoneFigure,
    PackFigure,
    SunFigure,
    WorstFigure,
)
from neat_hull.model.said import plain
from neat_hull.physics.arrays import Array
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.day.case import Lived, Place
from neat_hull.subjects.day.hours import (
    JUDGED,
    Hours,
    judged_value,
    knots_only,
    shares,
    sun_known,
)
from neat_hull.subjects.day.setting import PULL, STAYS, thing_of
from neat_hull.subjects.day.stores import Powered

_CAUSES, _LEAST_KG = 3, 0.05


def day(ev: Evaluated) -> DayFigures | None:
    """None where nobody has said how the day goes, or it does not float as it leaves."""
    if ev.setup.outing.phases is None:
        return None
    found = ev.once(knots_only)
    return None if found is None else day_figures(ev, found)


def day_figures(ev: Evaluated, found: Hours) -> DayFigures:
    """Of the moments that were looked at."""
    of = found.lived
    share, seen = shares(ev, found), dict[int, _Moments]()
    told = [
        one for name in JUDGED if (one := _worst(ev, found, name, share[name], seen)) is not None
    ]
    told.sort(key=lambda one: -one.share)
    clock = of.clock
    home = next(
        (h for h, phase in zip(clock.bounds, clock.phases, strict=False)
         if phase.kind == "haul out"),
        clock.end,
    )  # fmt: skip
    sunk = np.flatnonzero(found.afloat & ~found.floats)
    cockpit = [n for n, one in ev.setup.outing.stores.items() if one.kind == "cockpit"]
    return DayFigures(
        start_h=clock.bounds[0],
        home_h=home,
        end_h=clock.end,
        worst=told[0] if told else None,
        figures=told,
        gone=_gone(ev, of),
        packs=[pack for one in of.power for pack in _packs(one)],
        dark_h={one.power.name: one.dark_h for one in of.power},
        sun=_sun(of) if sun_known(ev) else None,
        cockpit_kg=max((row.get(n, 0.0) for row in found.kg for n in cockpit), default=0.0),
        trouble=None
        if not len(sunk)
        else f"at {clock_text(found.at[int(sunk[0])].h)} it does not float",
    )


def clock_text(hour: float) -> str:
    """`13:30`; past midnight it begins anew."""
    minutes = int(60 * hour + 0.5) % (24 * 60)  # half a minute goes up, as on the screen
    return f"{minutes // 60}:{minutes % 60:02d}"


def cause_name(ev: Evaluated, cause: Cause) -> str:
    """What people call it, fit for words that hold amounts."""
    if cause.what == "pull":
        return "the pull of the anchor's line"
    return plain(cause.store) if cause.store is not None else ev.name(cause.thing_id or 0)


def _worst(
    ev: Evaluated, found: Hours, name: DayFigure, share: Array, seen: "dict[int, _Moments]"
) -> WorstFigure | None:
    """Where a figure is nearest to wanting a fix; the first moment of those alike."""
    if not np.isfinite(share).any():
        return None
    at = int(np.nanargmax(np.round(share, 9)))
    best = int(np.nanargmin(share))
    value = found.figures[name]
    moment = found.at[at]
    return WorstFigure(
        figure=name,
        h=moment.h,
        phase=found.phase[at],
        kind=found.lived.clock.at(moment.h, moment.after).kind,
        value=float(value[at]),
        at_first=float(value[0]),
        share=float(share[at]),
        verdict=ev.table[JUDGED[name]].verdict(float(judged_value(ev, name, value[at]))),
        causes=_causes(ev, name, _moments(found, best, seen), _moments(found, at, seen)),
    )


def _causes(ev: Evaluated, name: DayFigure, then: "_Moments", now: "_Moments") -> list[Cause]:
    """What differs most between the worst moment and the best, the greatest first."""
    axis = {"list_deg": 1, "trim_deg": 0, "gm_m": 2}.get(name)
    rows = []
    for key in {*then, *now}:
        kg0, at0 = then.get(key, (0.0, (0.0, 0.0, 0.0)))
        kg1, at1 = now.get(key, (0.0, (0.0, 0.0, 0.0)))
        by = kg1 - kg0 if axis is None else kg1 * at1[axis] - kg0 * at0[axis]
        if abs(by) > _LEAST_KG * (1.0 if axis is None else 0.1):
            thing = thing_of(ev.setup.outing.stores.get(key[1])) if key[0] == "store" else None
            rows.append(
                Cause(
                    what="store" if key[0] == "store" else "pull" if key[1] == PULL else "thing",
                    thing_id=thing if key[0] == "store" else _thing_id(key[1]),
                    store=key[1] if key[0] == "store" else None,
                    kg=kg1 - kg0,
                    by=by,
                )
            )
    rows.sort(key=lambda one: (-abs(one.by), one.store or "", one.thing_id or 0))
    return rows[:_CAUSES]


def _thing_id(name: str) -> int | None:
    return int(name) if name.isdecimal() else None


_Placed = tuple[float, Place]
_Moments = dict[tuple[str, str], _Placed]


def _moments(found: Hours, i: int, seen: dict[int, _Moments]) -> _Moments:
    """What is aboard at a moment, by what it is: kg, and where; gathered once for all figures."""
    if i in seen:
        return seen[i]
    of = found.lived
    told: _Moments = {
        ("load", name): (mass, place)
        for name, mass, place in of.aboard(found.at[i], found.phase[i])
        if name != STAYS
    }
    for one in of.stores:
        store = one.store
        z = getattr(store, "z_m", getattr(store, "floor_z_m", 0.0))
        told["store", store.name] = found.kg[i][store.name], (store.x_m, store.y_m, z)
    seen[i] = told
    return told


def _gone(ev: Evaluated, of: Lived) -> list[GoneFigure]:
    """Used stores and ice."""
    told = []
    for one in of.stores:
        if not isinstance(one.store, Used | Ice):
            continue
        track = one.frozen or one.kg
        thing_id = thing_of(ev.setup.outing.stores[one.store.name])
        told.append(
            GoneFigure(store=one.store.name, thing_id=thing_id or 0, h=track.gone_h(),
                       left_kg=track.at(of.clock.end, False))
        )  # fmt: skip
    return told


def _packs(one: Powered) -> list[PackFigure]:
    return [
        PackFigure(
            bank=one.power.name,
            battery=int(pack.load),
            left_wh=left.kg[-1],
            usable_wh=pack.usable_wh,
            empty_h=left.gone_h(),
        )
        for pack, left in zip(one.power.packs, one.left, strict=True)
    ]


def _sun(of: Lived) -> SunFigure:
    rise, set_ = of.sky.rise_and_set_h()
    afloat = [
        span for phase, span in zip(of.clock.phases, pairwise(of.clock.bounds), strict=True)
        if phase.kind != "haul out"
    ]  # fmt: skip
    return SunFigure(
        state=of.sky.state, rise_h=rise, set_h=set_,
        lights_h=sum(of.sky.dark_h(a, b) for a, b in afloat),
    )  # fmt: skip
