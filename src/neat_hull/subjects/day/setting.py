"""A setup and its day as the bare case that its hours are worked out from."""

from collections.abc import Iterator
from datetime import UTC, date, datetime
from zoneinfo import ZoneInfo, ZoneInfoNotFoundError

import numpy as np

from neat_hull.model.day_case import (
    CaseDay,
    CasePhase,
    CasePower,
    DayCase,
    DayLoad,
    Filled,
    Given,
    Liquid,
    Move,
    Pack,
    PhaseKind,
    Point,
)
from neat_hull.model.day_case import Catch as CaseCatch
from neat_hull.model.day_case import Caught as CaseCaught
from neat_hull.model.day_case import Ice as CaseIce
from neat_hull.model.day_case import Store as CaseStore
from neat_hull.model.day_case import Used as CaseUsed
from neat_hull.model.day_plan import Catch, Cockpit, DayPhase, Ice, Tank, Used, Wet
from neat_hull.model.float_case import CaseHull
from neat_hull.model.thing import Thing
from neat_hull.physics.arrays import Array
from neat_hull.physics.water.gravity import GRAVITY_M_S2
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.day import typical
from neat_hull.subjects.hold.figures import hold
from neat_hull.subjects.power.figures import power

STAYS, PULL = "stays", "pull"
_CARRIED: tuple[PhaseKind, ...] = ("launch", "travel", "fish", "anchored", "back")


def phases(ev: Evaluated) -> list[CasePhase]:
    """Each by a name of its own."""
    plan = ev.setup.outing
    return [
        CasePhase.model_construct(
            name=f"{n} {one.kind}", kind=one.kind, hours=one.hours, air_temp_c=one.air_c
        )
        for n, one in enumerate(plan.phases or [DayPhase()], start=1)
    ]


def day_on(ev: Evaluated) -> date | None:
    """The day of the trip, or today; None where nobody asks by the calendar."""
    said = ev.setup.day or ev.beside.today
    try:
        return None if said is None else date.fromisoformat(said)
    except ValueError:
        return None


def offset_h(ev: Evaluated, on: date) -> float:
    """How far the clock is ahead of universal time at noon of that day; none where nobody knows the
    zone."""
    try:
        zone = ZoneInfo(ev.setup.outing.zone)
    except (ZoneInfoNotFoundError, ValueError, OSError):
        return 0.0
    ahead = datetime(on.year, on.month, on.day, 12, tzinfo=UTC).astimezone(zone).utcoffset()
    return 0.0 if ahead is None else ahead.total_seconds() / 3600


def as_case(ev: Evaluated) -> DayCase:
    """Loads by the ids of things, and `stays`; stores by their names in the plan."""
    plan, on = ev.setup.outing, day_on(ev)
    rows = ev.once(phases)
    stores = list(_stores(ev, rows))
    known = on is not None and plan.latitude_deg is not None
    return DayCase.model_construct(
        name=ev.setup.name,
        water_density_kg_m3=ev.rigged.water_density_kg_m3,
        hull=CaseHull.model_construct(stations=[], wells=[]),  # the setup's own is floated
        loads=list(_loads(ev, rows)),
        day=CaseDay.model_construct(
            date=on or date(2000, 1, 1),
            start_h=plan.start_h,
            step_min=plan.step_min,
            latitude_deg=plan.latitude_deg or 0.0,
            longitude_deg=plan.longitude_deg,
            utc_offset_h=offset_h(ev, on) if known and on is not None else 0.0,
            lean_kgm=None,
        ),
        phases=rows,
        moves=list(_moves(ev)),
        stores=stores,
        power=list(_power(ev, rows)),
        limits={},
    )


def thing_of(plan_store: object) -> int | None:
    """The thing a store is in; None for one that hangs or runs elsewhere."""
    return getattr(plan_store, "thing", None)


def stored_kg(thing: Thing) -> float:
    """What of its weight, as filled, is not itself."""
    fill = thing.fill
    empty = None if fill is None else fill.empty_kg
    return 0.0 if empty is None else max(0.0, thing.mass_now_kg - empty)


def _taken_kg(ev: Evaluated) -> dict[int, float]:
    """Of things aboard, what stores tell of in their place."""
    taken: dict[int, float] = {}
    for one in ev.setup.outing.stores.values():
        thing_id = thing_of(one)
        if thing_id is None or thing_id not in ev.setup.places:
            continue
        thing = ev.thing(thing_id)
        part = 0.0
        if isinstance(one, Used | Tank):
            part = stored_kg(thing)
        elif isinstance(one, Ice):
            part = min(one.ice_kg, thing.mass_now_kg)
        taken[thing_id] = min(thing.mass_now_kg, taken.get(thing_id, 0.0) + part)
    return taken


def _loads(ev: Evaluated, rows: list[CasePhase]) -> Iterator[DayLoad]:
    """One by one what leaves the boat or is moved in the course of the day, and all that stays
    where it is as one weight."""
    rigged, taken, away = ev.rigged, _taken_kg(ev), _away(ev)
    alone = {*away, *(int(one.load) for one in _moves(ev))}
    mass, at = rigged.loads.mass_kg.copy(), rigged.loads.at_m
    stays = np.ones(len(mass), dtype=np.bool_)
    for n, one in enumerate(rigged.stowed, start=rigged.rows.things.start):
        if one.thing_id in taken:
            mass[n] -= taken[one.thing_id]
        if one.thing_id in alone:
            stays[n] = False
            kinds = away.get(one.thing_id)
            there = None if kinds is None else [row.name for row in rows if row.kind not in kinds]
            yield _load(str(one.thing_id), mass[n], at[n], there)
    mass = mass[stays]
    yield _load(STAYS, mass.sum(), mass @ at[stays] / mass.sum(), None)
    found = ev.once(hold)
    if found is not None and found.anchor is not None and found.anchor.down_n > 0:
        yield _load(PULL, found.anchor.down_n / GRAVITY_M_S2, np.array(found.at),
                    [one.name for one in rows if one.kind == "anchored"])  # fmt: skip


def _load(name: str, mass_kg: float, at_m: Array, in_phases: list[str] | None) -> DayLoad:
    x, y, z = at_m.tolist()
    return DayLoad.model_construct(
        name=name, mass_kg=float(mass_kg), x_m=x, y_m=y, z_m=z, in_phases=in_phases
    )


def _away(ev: Evaluated) -> dict[int, list[PhaseKind]]:
    """In which phases things are not aboard; an anchor that holds the boat is over the side
    meanwhile."""
    away, found = {**ev.setup.outing.away}, ev.once(hold)
    if found is not None and found.anchor is not None:
        away.setdefault(found.anchor.thing_id, ["anchored"])
    return {i: kinds for i, kinds in away.items() if kinds}


def _moves(ev: Evaluated) -> Iterator[Move]:
    by_id = ev.rigged.by_id
    for one in ev.setup.outing.moves:
        if one.thing in by_id:
            z = by_id[one.thing].centre_m[2]
            yield Move.model_construct(
                h=one.h, load=str(one.thing), x_m=one.x_m, y_m=one.y_m, z_m=z
            )
    for swap in ev.setup.outing.swaps:
        if swap.battery in by_id and swap.spare in by_id:
            here, there = by_id[swap.battery].centre_m, by_id[swap.spare].centre_m
            for thing_id, at in ((swap.battery, there), (swap.spare, here)):
                yield Move.model_construct(
                    h=swap.h, load=str(thing_id), x_m=at[0], y_m=at[1], z_m=at[2]
                )


def _stores(ev: Evaluated, rows: list[CasePhase]) -> Iterator[CaseStore]:
    by_id = ev.rigged.by_id
    stores = ev.setup.outing.stores
    iced = {one.thing: name for name, one in stores.items() if isinstance(one, Ice)}
    for name, one in stores.items():
        thing_id = thing_of(one)
        if thing_id is not None and thing_id not in by_id:
            continue  # ashore: it tells of nothing until it is aboard again
        if thing_id is not None:
            x, y, z = by_id[thing_id].centre_m
            thing = ev.thing(thing_id)
        if isinstance(one, Used):
            yield CaseUsed.model_construct(
                kind="used", name=name, x_m=x, y_m=y, z_m=z, mass_kg=stored_kg(thing),
                rate_kg_h=_eaten(one, rows),
            )  # fmt: skip
        elif isinstance(one, Ice):
            yield CaseIce.model_construct(
                kind="ice", name=name, x_m=x, y_m=y, z_m=z,
                mass_kg=min(one.ice_kg, thing.mass_now_kg),
                ua_w_k=one.ua_w_k or typical.UA_W_K[one.walls], sun_k=typical.SUN_K[one.lid],
                latent_j_kg=334000.0, melt="drains" if one.drains else "stays",
            )  # fmt: skip
        elif isinstance(one, Catch):
            yield _catch(ev, name, one, rows, iced)
        elif isinstance(one, Tank):
            yield _tank(ev, name, one)
        elif isinstance(one, Cockpit):
            yield from _cockpit(ev, name, one, rows)
        else:
            yield _wet(ev, name, one, rows)


def _eaten(one: Used, rows: list[CasePhase]) -> dict[str, float]:
    """By phase: as said, or as is typical of the heat."""

    def rate(phase: CasePhase) -> float:
        if one.rate_kg_h is not None:
            return one.rate_kg_h
        if not one.drink:
            return typical.FOOD_KG_H
        return typical.DRINK_KG_H[phase.air_temp_c > typical.HOT_C]

    return {phase.name: rate(phase) for phase in rows if phase.kind in _CARRIED}


def _catch(
    ev: Evaluated, name: str, one: Catch, rows: list[CasePhase], iced: dict[int, str]
) -> CaseCatch:
    """In a thing, or on a line in the water; cooled by the ice that is in that thing."""
    stowed = None if one.thing is None else ev.rigged.by_id[one.thing]
    half, gunwale = ev.rigged.floating.hull.gunwale_m(one.x_m)
    x, y, z = (one.x_m, one.y_m, gunwale) if stowed is None else stowed.centre_m
    fishing = [phase.name for phase in rows if phase.kind in ("fish", "anchored")]
    chilled = iced.get(one.thing or 0) if one.chilled else None
    temp = ev.setup.water_temp_c
    return CaseCatch.model_construct(
        kind="catch", name=name, x_m=x, y_m=max(-half, min(half, y)), z_m=z,
        rate_kg_h=dict.fromkeys(fishing, one.rate_kg_h),
        events=[CaseCaught.model_construct(h=fish.h, kg=fish.kg) for fish in one.fish],
        pull_share=1.0 if stowed is not None else typical.IN_WATER_SHARE,
        chilled_by=chilled, heat_j_kg_k=typical.FISH_J_KG_K,
        from_temp_c=max(0.0, typical.FISH_C if temp is None else temp),
    )  # fmt: skip


def _tank(ev: Evaluated, name: str, one: Tank) -> Liquid:
    """A box as large as the thing, that the liquid runs in."""
    stowed, thing = ev.rigged.by_id[one.thing], ev.thing(one.thing)
    x, y, _ = stowed.centre_m
    fill = thing.fill
    empty = 0.0 if fill is None or fill.empty_kg is None else fill.empty_kg
    most = max(0.1, thing.mass_kg - empty)
    return Liquid.model_construct(
        kind="liquid", name=name, x_m=x, y_m=y, floor_z_m=stowed.stand.base_z_m,
        length_m=thing.length_m, breadth_m=thing.width_m, capacity_kg=most,
        mass_kg=stored_kg(thing), rate_kg_h={}, density_kg_m3=None, lid=one.lid,
        events=[Filled.model_construct(h=row.h, to_kg=most * row.share) for row in one.events],
    )  # fmt: skip


def _cockpit(ev: Evaluated, name: str, one: Cockpit, rows: list[CasePhase]) -> Iterator[Liquid]:
    """On the floor of the well one sits in, where that does not drain."""
    hull, seat = ev.rigged.floating.hull, ev.setup.seat
    for well in hull.wells_at(seat.x_m, 0.0):
        if well.drains:
            continue
        long, wide = well.x_fwd_m - well.x_aft_m, 2 * well.half_breadth_m
        deep = max(0.01, well.rim_z_m - well.floor_z_m)
        yield Liquid.model_construct(
            kind="liquid", name=name, x_m=(well.x_aft_m + well.x_fwd_m) / 2, y_m=0.0,
            floor_z_m=well.floor_z_m, length_m=long, breadth_m=wide, events=[],
            capacity_kg=ev.rigged.water_density_kg_m3 * long * wide * deep, mass_kg=0.0,
            rate_kg_h={row.name: one.rate_kg_h for row in rows if row.kind in _CARRIED},
            density_kg_m3=None, lid=False,
        )  # fmt: skip
        return


def _wet(ev: Evaluated, name: str, one: Wet, rows: list[CasePhase]) -> Given:
    """On the trunk, as wet as they get after some hours."""
    x, y, z = (float(v) for v in ev.rigged.body.trunk_middle_m)
    start = ev.setup.outing.start_h
    end = start + min(typical.WET_BY_H, sum(row.hours for row in rows))
    points = [Point.model_construct(h=start, kg=0.0), Point.model_construct(h=end, kg=one.kg)]
    return Given.model_construct(kind="given", name=name, x_m=x, y_m=y, z_m=z, points=points)


def _power(ev: Evaluated, rows: list[CasePhase]) -> Iterator[CasePower]:
    """Each bank by what the electrics say it is drained with, the same all through the day; a spare
    from its hour on."""
    found = ev.once(power)
    if found is None:
        return
    usable = {one.thing_id: one.usable_wh for one in found.batteries}
    for bank in found.banks:
        if not bank.used_wh or found.day_h <= 0:
            continue
        watts = bank.used_wh / found.day_h
        first = bank.batteries[0]
        swaps = sorted(
            (one for one in ev.setup.outing.swaps if one.battery in bank.batteries),
            key=lambda one: one.h,
        )
        yield CasePower.model_construct(
            name=bank.name,
            draw_w={row.name: watts for row in rows if row.kind in _CARRIED},
            packs=[
                Pack.model_construct(load=str(first), usable_wh=bank.usable_wh, from_h=None),
                *(
                    Pack.model_construct(
                        load=str(one.spare), usable_wh=usable.get(one.spare, bank.usable_wh),
                        from_h=one.h,
                    )
                    for one in swaps
                ),
            ],
        )  # fmt: skip
