"""The boat through its day: every moment floated at once, and how far each is from a fix."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from neat_hull.model.day_case import DayCase
from neat_hull.model.day_figures import DayFigure
from neat_hull.model.judging import LimitKey
from neat_hull.physics.arrays import Array, Flags
from neat_hull.physics.water.loads import Loads
from neat_hull.physics.water.many import Lying, Upright, held_upright_each, lying
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.settling import at_rest
from neat_hull.subjects.day.case import Instant, Lived, turns
from neat_hull.subjects.day.setting import as_case, day_on
from neat_hull.subjects.day.stores import Clock, powered, stored
from neat_hull.subjects.day.sun import Sky
from neat_hull.subjects.load.figures import weight

# The row of the table that each figure is judged by, what it is as it is shown, and its sense.
JUDGED: dict[DayFigure, LimitKey] = {
    "total_kg": "share",
    "list_deg": "list",
    "trim_deg": "trim",
    "freeboard_m": "freeboard",
    "floor_dry_m": "floor",
    "gm_m": "gm",
}


@dataclass(frozen=True, eq=False)
class Hours:
    """Moments of a day (n): what is aboard at each, and each figure (n,), NaN where nothing is
    afloat or it does not float. level and rests: each load there is afloat, held upright and let
    go; each (d,): when it first is; alike: which of these it is, at all moments afloat."""

    lived: Lived
    at: list[Instant]
    phase: list[str]
    kg: list[dict[str, float]]
    loads: list[Loads]
    figures: dict[DayFigure, Array]
    draft_m: Array
    afloat: Flags
    floats: Flags
    each: NDArray[np.intp]
    alike: NDArray[np.intp]
    level: Upright | None
    rests: Lying | None


def lived(ev: Evaluated) -> Lived:
    """The plan of a setup, ready to be asked for any hour."""
    case: DayCase = ev.once(as_case)
    clock, day = Clock.of(case), case.day
    sky = Sky(day.date, day.latitude_deg, day.longitude_deg, day.utc_offset_h)
    return Lived(case, clock, sky, stored(case, clock), powered(case, clock), ev.rigged.floating)


def knots_only(ev: Evaluated) -> Hours | None:
    """Where the day turns: between, all is straight. None where it does not float at all."""
    of = ev.once(lived)
    return hours(ev, of, turns(of.case, of.clock), ev.was(knots_only) if ev.near else None)


def hours(
    ev: Evaluated, of: Lived, at: Sequence[Instant], near: Hours | None = None
) -> Hours | None:
    """Those moments, all floated at once; the search starts where they floated in `near`."""
    rest = at_rest(ev)
    if rest is None:
        return None
    phases = [of.clock.at(one.h, one.after) for one in at]
    kg = [{row.store.name: row.kg.at(one.h, one.after) for row in of.stores} for one in at]
    loads = [of.loads(one, phase.name, now) for one, phase, now in zip(at, phases, kg, strict=True)]
    afloat = np.array([phase.kind != "haul out" for phase in phases])
    density, hull = of.case.water_density_kg_m3, of.floating.hull
    mass = np.array([one.total_kg for one in loads])
    centre = np.array([one.centre_m for one in loads])
    carried = mass - _own_kg(ev)
    figures: dict[DayFigure, Array] = {name: np.full(len(at), np.nan) for name in JUDGED}
    draft, floats = np.full((len(at), 2), np.nan), np.zeros(len(at), dtype=np.bool_)
    figures["total_kg"] = np.where(afloat, carried, np.nan)
    rows, level, found = np.flatnonzero(afloat), None, None
    first, alike = _alike(np.column_stack((mass, centre))[rows])
    each = rows[first]
    if len(rows):
        level = held_upright_each(of.floating, mass[each] / density, centre[each],
                                  rest.settled.held,
                                  None if near is None else near.level)  # fmt: skip
        found = lying(of.floating, mass[each], centre[each], density, level,
                      None if near is None else near.rests)  # fmt: skip
        floats[rows] = found.floats[alike]
        rows, n = rows[floats[rows]], alike[floats[rows]]
        over = found.height_over_water_m(hull.sheer_points_m).min(axis=1)
        figures["list_deg"][rows] = np.degrees(found.heel_rad[n])
        figures["trim_deg"][rows] = np.degrees(found.trim_rad[n])
        figures["freeboard_m"][rows] = over[n]
        figures["gm_m"][rows] = level.gm_m[n]
        drains = [i for i, well in enumerate(hull.wells) if well.drains]
        if drains:
            corners = hull.floor_corners_m.reshape(-1, 4, 3)[drains].reshape(-1, 3)
            figures["floor_dry_m"][rows] = found.height_over_water_m(corners).min(axis=1)[n]
        cos = np.cos(found.heel_rad)
        for end, x in enumerate((hull.x_aft_m, hull.x_fwd_m)):
            draft[rows, end] = ((found.h_m - found.tau * x) / cos)[n]
    return Hours(of, list(at), [one.name for one in phases], kg, loads, figures, draft, afloat,
                 floats, each, alike, level, found)  # fmt: skip


def _alike(loads: Array) -> tuple[NDArray[np.intp], NDArray[np.intp]]:
    """Most of a day a boat carries what it carried before. Of loads (n, 4): the first of each kind
    (d,), in order, and of which kind each is (n,)."""
    kinds: dict[tuple[float, ...], int] = {}
    which = [kinds.setdefault(tuple(one), len(kinds)) for one in loads.tolist()]
    return np.array([which.index(n) for n in range(len(kinds))], np.intp), np.array(which, np.intp)


def joined(some: Sequence[Hours]) -> Hours:
    """The moments of one day, floated in some batches, in one; held upright no longer."""
    first = some[0]
    return Hours(
        first.lived,
        [at for one in some for at in one.at],
        [phase for one in some for phase in one.phase],
        [kg for one in some for kg in one.kg],
        [loads for one in some for loads in one.loads],
        {name: np.concatenate([one.figures[name] for one in some]) for name in first.figures},
        np.concatenate([one.draft_m for one in some]),
        np.concatenate([one.afloat for one in some]),
        np.concatenate([one.floats for one in some]),
        np.zeros(0, dtype=np.intp),
        np.zeros(0, dtype=np.intp),
        None,
        None,
    )


def _own_kg(ev: Evaluated) -> float:
    """Of the whole, what a rating does not count: what tubes let in, and often the boat itself."""
    rigged = ev.rigged
    boat_kg = float(rigged.loads.mass_kg[rigged.rows.hull])
    return rigged.lost_kg + (boat_kg if ev.setup.boat.rating_covers == "all aboard" else 0.0)


def shares(ev: Evaluated, of: Hours) -> dict[DayFigure, Array]:
    """(n,) each: 0 where a figure is fine, 1 where it wants a fix; NaN where it says nothing."""
    told: dict[DayFigure, Array] = {}
    for name, key in JUDGED.items():
        levels = ev.table[key]
        value = judged_value(ev, name, of.figures[name])
        span = levels.watch - levels.fine
        if span == 0:  # past fine wants a fix at once
            span = 1e-9 if not levels.rising else -1e-9
        told[name] = (value - levels.fine) / span
    return told


def judged_value(ev: Evaluated, name: DayFigure, value: Array) -> Array:
    """As the table has it: list and trim by their size, weight as a share of what the boat may
    carry."""
    if name in ("list_deg", "trim_deg"):
        return np.abs(value)
    if name == "total_kg":
        limit_kg = ev.once(weight).limit_kg
        if limit_kg is None:
            return np.full_like(value, np.nan)
        return value / max(limit_kg, 1.0)  # a boat so heavy that it may carry nothing
    return value


def sun_known(ev: Evaluated) -> bool:
    """Whether date and place are."""
    return day_on(ev) is not None and ev.setup.outing.latitude_deg is not None
