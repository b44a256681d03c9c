"""All of a day, on request: every step and both sides of every knot, with a lean at each."""

from collections.abc import Iterator
from itertools import pairwise
from math import isfinite

import numpy as np

from neat_hull.errors import InputError
from neat_hull.model.day_figures import (
    DayFigure,
    DayPlace,
    DayRound,
    FullDay,
    HourRow,
    PhaseSpan,
    WorstFigure,
)
from neat_hull.model.said import Amount, HowKind, Said
from neat_hull.physics.arrays import Array
from neat_hull.physics.body.postures import leaned
from neat_hull.physics.water.many import lying
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.explaining import at_rest_or_raise
from neat_hull.subjects.day.case import instants
from neat_hull.subjects.day.figures import cause_name, clock_text, day_figures
from neat_hull.subjects.day.hours import JUDGED, Hours, hours, joined, lived, shares, sun_known

# So many moments are floated at once: a day by quarters of an hour in one go, and less than a third
# of a second between two rounds of a longer one.
_AT_ONCE = 96


def full_day(ev: Evaluated) -> FullDay:
    """A setup through its day. Raises InputError where nobody has said how it goes, DoesNotFloat or
    NoBalance where it does not float as it leaves."""
    *_, last = full_day_rounds(ev)
    assert last.day is not None, "the last has it"
    return last.day


def full_day_rounds(ev: Evaluated) -> Iterator[DayRound]:
    """The same in rounds that say how far it is; the last one has it all. Raises as `full_day`."""
    if ev.setup.outing.phases is None:
        raise InputError("outing.phases", None, "you have not said how the day goes")
    at_rest_or_raise(ev)
    of = ev.once(lived)
    every = instants(of.case, of.clock)
    floated: list[Hours] = []
    rows: list[HourRow] = []
    for start in range(0, len(every), _AT_ONCE):
        yield DayRound(done=start, total=len(every), day=None)
        some = hours(ev, of, every[start : start + _AT_ONCE])
        assert some is not None, "it floats"
        floated.append(some)
        rows += _rows(ev, some)
    figures = day_figures(ev, joined(floated))
    day = FullDay(
        figures=figures,
        phases=[
            PhaseSpan(name=phase.name, kind=phase.kind, from_h=a, until_h=b,
                      air_c=phase.air_temp_c)
            for phase, (a, b) in zip(of.clock.phases, pairwise(of.clock.bounds), strict=True)
        ],
        rows=rows,
        moved=[
            DayPlace(h=one.h, thing_id=int(one.load), x_m=one.x_m, y_m=one.y_m)
            for one in of.case.moves
        ],
        told=[_told(ev, one) for one in figures.figures if one.share > 0],
    )  # fmt: skip
    yield DayRound(done=len(every), total=len(every), day=day)


def _rows(ev: Evaluated, found: Hours) -> Iterator[HourRow]:
    of, share = found.lived, shares(ev, found)
    lean = _leaned(ev, found)
    worst = np.array([share[name] for name in JUDGED])
    sun = sun_known(ev)
    for n, at in enumerate(found.at):
        known = np.isfinite(worst[:, n])
        figure = list(JUDGED)[int(np.nanargmax(worst[:, n]))] if known.any() else None

        def value(name: DayFigure, n: int = n) -> float | None:
            return _or_none(found.figures[name][n])

        yield HourRow(
            h=at.h,
            side="before" if at.side == "before" else "after" if at.side == "after" else "at",
            phase=found.phase[n],
            kind=of.clock.at(at.h, at.after).kind,
            total_kg=found.loads[n].total_kg,
            kg=found.kg[n],
            ice_kg={
                one.store.name: one.frozen.at(at.h, at.after)
                for one in of.stores
                if one.frozen is not None
            },
            left_wh={
                one.power.name: one.left[one.in_use(at.h, at.after)].at(at.h, at.after)
                for one in of.power
            },
            list_deg=value("list_deg"),
            trim_deg=value("trim_deg"),
            draft_aft_m=_or_none(found.draft_m[n, 0]),
            draft_fwd_m=_or_none(found.draft_m[n, 1]),
            freeboard_m=value("freeboard_m"),
            floor_dry_m=value("floor_dry_m"),
            gm_m=value("gm_m"),
            lean_freeboard_m=_or_none(lean[n, 0]),
            lean_heel_deg=_or_none(lean[n, 1]),
            sun_altitude_deg=of.sky.altitude_deg(at.h) if sun else None,
            figure=figure,
            share=None if figure is None else float(share[figure][n]),
        )


def _or_none(value: float) -> float | None:
    return float(value) if isfinite(value) else None


def lean_kgm(ev: Evaluated) -> float:
    """What the angler's own lean, as far as the situations have it, moves aside."""
    body = ev.rigged.body
    after = leaned(body, float(np.radians(ev.setup.demands.lean_deg)))
    return body.mass_kg * abs(float(after.centre_m[1] - body.centre_m[1]))


def _leaned(ev: Evaluated, found: Hours) -> Array:
    """(n, 2): the least side above the water while the angler leans to the worse side, and the
    heel; NaN where nothing is afloat, or it goes over."""
    told, level = np.full((len(found.at), 2), np.nan), found.level
    if level is None:
        return told
    density, floating = found.lived.case.water_density_kg_m3, found.lived.floating
    mass = np.array([found.loads[n].total_kg for n in found.each])
    centre = np.array([found.loads[n].centre_m for n in found.each])
    edges, heels = [], []
    for way in (1.0, -1.0):
        aside = centre.copy()
        aside[:, 1] += way * lean_kgm(ev) / mass
        lies = lying(floating, mass, aside, density, level)
        edge = lies.height_over_water_m(floating.hull.sheer_points_m).min(axis=1)
        edges.append(np.where(lies.floats, edge, np.nan))
        heels.append(np.abs(np.degrees(lies.heel_rad)))
    edge_m, heel_deg = np.array(edges), np.array(heels)
    least, all_ = np.argmin(edge_m, axis=0), np.arange(len(mass))
    stands = found.floats[found.each] & ~np.isnan(edge_m).any(axis=0)
    for k, one in enumerate((edge_m, heel_deg)):
        told[found.afloat, k] = np.where(stands, one[least, all_], np.nan)[found.alike]
    return told


_WORDS: dict[DayFigure, tuple[str, HowKind]] = {
    "total_kg": ("{} carried", "mass"),
    "list_deg": ("{} to port", "angle"),
    "trim_deg": ("{} stern down", "angle"),
    "freeboard_m": ("{} of side above the water", "length"),
    "floor_dry_m": ("floor {} above the water", "length"),
    "gm_m": ("GM {}", "length"),
}


def _told(ev: Evaluated, one: WorstFigure) -> Said:
    """`13:30, back: 3.4° to port, 85 % of the way to a fix: the tank 20 kg more`."""
    words, kind = _WORDS[one.figure]
    if one.figure == "list_deg" and one.value > 0:
        words = "{} to starboard"
    if one.figure == "trim_deg" and one.value > 0:
        words = "{} stern down"
    elif one.figure == "trim_deg":
        words = "{} bow down"
    amounts = [(kind, abs(one.value) if kind == "angle" else one.value), ("ratio", one.share)]
    text = f"{clock_text(one.h)}, {one.kind}: {words}, {{}} of the way to a fix"
    causes = []
    for cause in one.causes:
        causes.append(f"{cause_name(ev, cause)} {{}} {'more' if cause.kg > 0 else 'less'}")
        amounts.append(("mass", abs(cause.kg)))
    return Said(
        text=f"{text}: {', '.join(causes)}" if causes else text,
        amounts=[Amount(kind=kind, value=value) for kind, value in amounts],
    )
