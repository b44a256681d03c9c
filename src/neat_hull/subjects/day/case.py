"""What a bare case comes to: `neat-hull day`."""

from collections.abc import Iterator
from dataclasses import dataclass
from itertools import pairwise
from math import degrees
from typing import Any, get_args

import numpy as np

from neat_hull.errors import DoesNotFloat, InputError, InputErrors, NoBalance, NoPosition
from neat_hull.model.day_case import Catch, DayCase, FigureName, Given, Ice, Liquid, Used
from neat_hull.physics.water import hydrostatics
from neat_hull.physics.water.floating import FloatingHull
from neat_hull.physics.water.loads import Loads
from neat_hull.rig.bare import bare_hull
from neat_hull.subjects.day.stores import (
    SAME_H,
    Clock,
    Powered,
    Stored,
    powered,
    stored,
)
from neat_hull.subjects.day.sun import RISES_DEG, Sky

Row = dict[str, Any]
Place = tuple[float, float, float]
OVER = 9.0  # the share of a lean that goes over
_FIGURES: tuple[FigureName, ...] = get_args(FigureName)
_FLOATED = (
    "list_deg", "trim_deg", "draft_aft_m", "draft_mid_m", "draft_fwd_m", "freeboard_m",
    "floor_dry_m", "gm_m", "lean_freeboard_m", "lean_heel_deg",
)  # fmt: skip


@dataclass(frozen=True)
class Instant:
    """A moment of the day; at a knot before or after what happens then."""

    h: float
    side: str

    @property
    def after(self) -> bool:
        """Whether what happens then has."""
        return self.side != "before"


def day_report(case: DayCase) -> Row:
    """All that the case comes to. Raises InputErrors, or NoPosition naming the hour at which the
    boat does not float."""
    clock = Clock.of(case)
    wrong = list(_wrong(case, clock))
    if wrong:
        raise InputErrors(wrong)
    day = case.day
    sky = Sky(day.date, day.latitude_deg, day.longitude_deg, day.utc_offset_h)
    lived = Lived(case, clock, sky, stored(case, clock), powered(case, clock),
                 FloatingHull.of(bare_hull(case.hull)))  # fmt: skip
    rows = [lived.row(one) for one in instants(case, clock)]
    rise, set_ = sky.rise_and_set_h()
    afloat = [
        (a, b) for phase, (a, b) in zip(clock.phases, pairwise(clock.bounds), strict=True)
        if phase.kind != "haul out"
    ]  # fmt: skip
    return {
        "rows": rows,
        "worst": _worst(rows),
        "worst_by_figure": _worst_by_figure(case, rows),
        "sun": {
            "state": sky.state,
            "rise_h": rise,
            "set_h": set_,
            "lights_h": sum(sky.dark_h(a, b) for a, b in afloat),
        },
        "gone": {
            one.store.name: (one.frozen or one.kg).gone_h()
            for one in lived.stores
            if isinstance(one.store, Used | Ice)
        },
        "power": [_power(one) for one in lived.power],
    }


def _power(one: Powered) -> Row:
    return {
        "name": one.power.name,
        "dark_h": one.dark_h,
        "packs": [
            {"load": pack.load, "left_wh": left.kg[-1], "empty_h": left.gone_h()}
            for pack, left in zip(one.power.packs, one.left, strict=True)
        ],
    }


def knots(case: DayCase, clock: Clock) -> list[float]:
    found = [*clock.bounds[1:-1], *(one.h for one in case.moves)]
    for store in case.stores:
        if isinstance(store, Catch | Liquid):
            found += [one.h for one in store.events]
    found += [p.from_h for one in case.power for p in one.packs if p.from_h is not None]
    inside = sorted(h for h in found if clock.bounds[0] + SAME_H < h < clock.end - SAME_H)
    return [h for n, h in enumerate(inside) if n == 0 or h - inside[n - 1] > SAME_H]


def turns(case: DayCase, clock: Clock) -> list[Instant]:
    """Start, knots from both sides, end: between them all is straight."""
    inside = [Instant(h, side) for h in knots(case, clock) for side in ("before", "after")]
    return [Instant(clock.bounds[0], "after"), *inside, Instant(clock.end, "before")]


def instants(case: DayCase, clock: Clock) -> list[Instant]:
    """Where the day turns, and steps between."""
    found = turns(case, clock)
    at = {one.h for one in found}
    step, count = case.day.step_min / 60, 1
    while (h := clock.bounds[0] + count * step) < clock.end - SAME_H:
        if all(abs(h - knot) > SAME_H for knot in at):
            found.append(Instant(h, "at"))
        count += 1
    return sorted(found, key=lambda one: (one.h, one.side == "after"))


@dataclass(frozen=True, eq=False)
class Lived:
    case: DayCase
    clock: Clock
    sky: Sky
    stores: list[Stored]
    power: list[Powered]
    floating: FloatingHull

    def row(self, at: Instant) -> Row:
        """All of one instant. Raises NoPosition where it does not float."""
        phase = self.clock.at(at.h, at.after)
        kg = {one.store.name: one.kg.at(at.h, at.after) for one in self.stores}
        altitude = self.sky.altitude_deg(at.h)
        afloat = phase.kind != "haul out"
        loads = self.loads(at, phase.name, kg)
        told: Row = {
            "h": at.h,
            "side": at.side,
            "phase": phase.name,
            "total_kg": loads.total_kg,
            "kg": kg,
            "ice_kg": {
                one.store.name: one.frozen.at(at.h, at.after)
                for one in self.stores if one.frozen is not None
            },
            "left_wh": {
                one.power.name: one.left[one.in_use(at.h, at.after)].at(at.h, at.after)
                for one in self.power
            },
            "sun_altitude_deg": altitude,
            "lights": afloat and altitude < RISES_DEG,
        } | dict.fromkeys(_FLOATED)  # fmt: skip
        shares: dict[FigureName, float] = {}
        if afloat:
            try:
                told |= self._floated(loads)
            except (DoesNotFloat, NoBalance) as error:
                raise NoPosition(f"at {at.h:g} h, {phase.name}", str(error)) from error
            shares = self._shares(told)
        figure = max(shares, key=lambda name: shares[name], default=None)
        return told | {"figure": figure, "share": None if figure is None else shares[figure]}

    def aboard(self, at: Instant, phase: str) -> Iterator[tuple[str, float, Place]]:
        """Loads that are aboard then, each with its mass and where it is by then."""
        moves = sorted(self.case.moves, key=lambda one: one.h)
        for load in self.case.loads:
            if load.in_phases is not None and phase not in load.in_phases:
                continue
            place = (load.x_m, load.y_m, load.z_m)
            for move in moves:
                come = at.h > move.h + SAME_H or (at.after and at.h >= move.h - SAME_H)
                if move.load == load.name and come:
                    place = (move.x_m, move.y_m, move.z_m)
            yield load.name, load.mass_kg, place

    def loads(self, at: Instant, phase: str, kg: dict[str, float]) -> Loads:
        """What is aboard then."""
        rows = [(mass, *place) for _, mass, place in self.aboard(at, phase)]
        runs = 0.0
        for one in self.stores:
            store, mass = one.store, kg[one.store.name]
            if mass <= 0:
                continue
            if isinstance(store, Liquid):
                density = store.density_kg_m3 or self.case.water_density_kg_m3
                deep = mass / (density * store.length_m * store.breadth_m)
                rows.append((mass, store.x_m, store.y_m, store.floor_z_m + deep / 2))
                if not (store.lid and mass >= store.capacity_kg - 1e-9):
                    runs += density * store.length_m * store.breadth_m**3 / 12
            else:
                rows.append((mass, store.x_m, store.y_m, store.z_m))
        table = np.array(rows)
        return Loads(table[:, 0], table[:, 1:], free_surface_kg_m=runs)

    def _floated(self, loads: Loads) -> Row:
        density, hull = self.case.water_density_kg_m3, self.floating.hull
        settled = hydrostatics.settle(self.floating, loads, density)
        rest = settled.rest
        aft, mid, fwd = hydrostatics.drafts_m(hull, rest)
        floors = [n for n, well in enumerate(hull.wells) if well.drains]
        dry = None
        if floors:
            corners = hull.floor_corners_m.reshape(-1, 4, 3)[floors].reshape(-1, 3)
            dry = float(rest.height_over_water_m(corners)[0].min())
        return {
            "list_deg": degrees(float(rest.heel_rad[0])),
            "trim_deg": degrees(float(rest.trim_rad[0])),
            "draft_aft_m": aft,
            "draft_mid_m": mid,
            "draft_fwd_m": fwd,
            "freeboard_m": float(rest.height_over_water_m(hull.sheer_points_m)[0].min()),
            "floor_dry_m": dry,
            "gm_m": hydrostatics.upright(settled).gm_m,
        } | self._leaned(loads)

    def _leaned(self, loads: Loads) -> Row:
        lean = self.case.day.lean_kgm
        if lean is None:
            return {}
        found = []
        for way in (1.0, -1.0):
            aside = np.array([0.0, way * lean / loads.total_kg, 0.0])
            moved = Loads(
                loads.mass_kg, loads.at_m + aside, free_surface_kg_m=loads.free_surface_kg_m
            )
            try:
                rest = hydrostatics.settle(self.floating, moved, self.case.water_density_kg_m3).rest
            except (DoesNotFloat, NoBalance):
                return {"lean_freeboard_m": None, "lean_heel_deg": None}
            edge = rest.height_over_water_m(self.floating.hull.sheer_points_m)[0].min()
            found.append((float(edge), abs(degrees(float(rest.heel_rad[0])))))
        edge, heel = min(found)
        return {"lean_freeboard_m": edge, "lean_heel_deg": heel}

    def _shares(self, told: Row) -> dict[FigureName, float]:
        shares: dict[FigureName, float] = {}
        for name in _FIGURES:
            limit = self.case.limits.get(name)
            if limit is None:
                continue
            value = told[name]
            if value is None:
                if name == "lean_freeboard_m" and self.case.day.lean_kgm is not None:
                    shares[name] = OVER
                continue
            if name in ("list_deg", "trim_deg"):
                value = abs(value)
            shares[name] = (value - limit.fine) / (limit.fix - limit.fine)
        return shares


def _worst(rows: list[Row]) -> Row | None:
    judged = [row for row in rows if row["share"] is not None]
    if not judged:
        return None
    worst = max(judged, key=lambda row: row["share"])
    return {name: worst[name] for name in ("h", "side", "phase", "figure", "share")}


def _worst_by_figure(case: DayCase, rows: list[Row]) -> Row:
    found: Row = {}
    for name, limit in case.limits.items():
        best: Row | None = None
        for row in rows:
            value = row[name]
            if row["share"] is None:
                continue
            if value is None:
                if name != "lean_freeboard_m" or case.day.lean_kgm is None:
                    continue
                share = OVER
            else:
                size = abs(value) if name in ("list_deg", "trim_deg") else value
                share = (size - limit.fine) / (limit.fix - limit.fine)
            if best is None or share > best["share"]:
                best = {"h": row["h"], "side": row["side"], "value": value, "share": share}
        if best is not None:
            found[name] = best
    return found


def _wrong(case: DayCase, clock: Clock) -> Iterator[InputError]:
    phases, loads = {one.name for one in case.phases}, {one.name for one in case.loads}
    yield from _twice("phases", [one.name for one in case.phases])
    yield from _twice("loads", [one.name for one in case.loads])
    yield from _twice("stores", [one.name for one in case.stores])
    yield from _twice("power", [one.name for one in case.power])
    for i, load in enumerate(case.loads):
        yield from _unknown(f"loads[{i}].in_phases", load.in_phases or [], phases)
    for i, move in enumerate(case.moves):
        yield from _unknown(f"moves[{i}].load", [move.load], loads)
        yield from _outside(f"moves[{i}].h", move.h, clock)
    ices = {one.name for one in case.stores if isinstance(one, Ice)}
    for i, store in enumerate(case.stores):
        at = f"stores[{i}] ({store.name})"
        if isinstance(store, Used | Catch | Liquid):
            yield from _unknown(f"{at}.rate_kg_h", list(store.rate_kg_h), phases)
        if isinstance(store, Catch | Liquid):
            hours = [event.h for event in store.events]
            for j, hour in enumerate(hours):
                yield from _outside(f"{at}.events[{j}].h", hour, clock)
        if isinstance(store, Catch) and store.chilled_by is not None:
            yield from _unknown(f"{at}.chilled_by", [store.chilled_by], ices)
        if isinstance(store, Liquid):
            for j, event in enumerate(store.events):
                if event.to_kg > store.capacity_kg:
                    yield InputError(f"{at}.events[{j}].to_kg", event.to_kg, "is over its capacity")
        if isinstance(store, Given) and any(b.h <= a.h for a, b in pairwise(store.points)):
            yield InputError(f"{at}.points", None, "must go on in time")
    for i, one in enumerate(case.power):
        yield from _unknown(f"power[{i}].draw_w", list(one.draw_w), phases)
        last = clock.bounds[0]
        for j, pack in enumerate(one.packs):
            field = f"power[{i}].packs[{j}].from_h"
            if j and pack.from_h is None:
                yield InputError(field, None, "is missing: only the first feeds from the start")
            if pack.from_h is not None:
                yield from _outside(field, pack.from_h, clock)
                if pack.from_h < last:
                    yield InputError(field, pack.from_h, "comes before the pack ahead of it")
                last = pack.from_h
    for name, limit in case.limits.items():
        if limit.fine == limit.fix:
            yield InputError(f"limits.{name}.fix", limit.fix, "must differ from fine")


def _twice(where: str, names: list[str]) -> Iterator[InputError]:
    for i, name in enumerate(names):
        if name in names[:i]:
            yield InputError(f"{where}[{i}].name", name, "is there twice")


def _unknown(field: str, names: list[str], known: set[str]) -> Iterator[InputError]:
    for name in names:
        if name not in known:
            yield InputError(f"{field}.{name}", name, "is not there")


def _outside(field: str, hour: float, clock: Clock) -> Iterator[InputError]:
    if not clock.bounds[0] - SAME_H <= hour < clock.end - SAME_H:
        yield InputError(field, hour, "lies outside the day")
