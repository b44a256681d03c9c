"""A capsize in full: each thing's fate, three ways to tie them, climbing in, and full of water."""

from collections.abc import Sequence
from typing import Literal, cast

import numpy as np

from neat_hull.model.capsize_case import CaseThing
from neat_hull.model.capsize_figures import (
    BailRow,
    ClimbRow,
    Drain,
    FateRow,
    FullCapsize,
    FullOfWater,
    LineRow,
    SchoolRow,
    Way,
)
from neat_hull.model.cautions import NO_DRILL
from neat_hull.model.said import Verdict
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.explaining import at_rest_or_raise
from neat_hull.rig.limits import RANK
from neat_hull.rig.settling import at_rest
from neat_hull.subjects.capsize import typical
from neat_hull.subjects.capsize.climbing import climb, hole_l_min
from neat_hull.subjects.capsize.figures import (
    as_fated,
    full_boat,
    ids,
    in_zone,
    lies_full,
    line_id,
    stays,
    wanted_kg,
)
from neat_hull.subjects.capsize.flooding import FloodedRest
from neat_hull.subjects.capsize.schools import school, tied, ways
from neat_hull.subjects.capsize.setting import TROLLEY, remount, upset
from neat_hull.subjects.capsize.tangles import path_m, run_m
from neat_hull.subjects.capsize.upset import Upset


def full_capsize(ev: Evaluated) -> FullCapsize:
    """All that is not live. Raises DoesNotFloat or NoBalance of the boat right side up."""
    at_rest_or_raise(ev)
    of = ev.once(upset)
    legs, *turning = of.zones
    return FullCapsize(
        fates=_fates(ev, of),
        lines=_lines(ev, of),
        schools=[
            _school(of, cast(Way, way), things) for way, things in ways(of.things, of.rule).items()
        ],
        climbs=_climbs(ev, of),
        full=full_of_water(ev),
        drain=_drain(ev),
        legs_m=(legs.lo_m, legs.hi_m),
        turning_m=[(one.lo_m, one.hi_m) for one in turning],
        cautions=[NO_DRILL],
    )


def _fates(ev: Evaluated, of: Upset) -> list[FateRow]:
    found = ev.once(as_fated)
    rows = []
    for one in of.things:
        line = found.lines.get(one.name)
        rows.append(
            FateRow(
                thing_id=int(one.name),
                fate=found.of[one.name],
                price=one.price,
                load_kg=None if line is None else line.load_kg,
                strength_kg=one.held.strength_kg,
                parts=None if line is None else line.parts,
            )
        )
    return rows


def _lines(ev: Evaluated, of: Upset) -> list[LineRow]:
    legs, *turning = of.zones
    in_legs = set(in_zone(ev, legs))
    turns = {name for zone in turning for name in in_zone(ev, zone)}
    rows = [
        LineRow(
            thing_id=int(name),
            what="leash",
            points_m=[start],
            length_m=length,
            to_legs_m=path_m(of.hull, start, legs),
            legs=name in in_legs,
            propeller=name in turns,
        )
        for name, start, length in tied(of.things)
    ]
    return rows + [
        LineRow(
            thing_id=line_id(run.name),
            what="trolley" if run.name == TROLLEY else "stowed line",
            points_m=run.points_m if run.name == TROLLEY else run.points_m[:1],
            length_m=run.slack_m,
            to_legs_m=run_m(run, legs),
            legs=run.name in in_legs,
            propeller=run.name in turns,
        )
        for run in of.runs
    ]


def _school(of: Upset, way: Way, things: Sequence[CaseThing]) -> SchoolRow:
    found = school(of, things)
    return SchoolRow(
        way=way,
        tied=ids([name for name, _, _ in tied(things)]),
        lost=ids(found.lost),
        adrift=ids(found.adrift),
        lost_price=found.lost_price,
        adrift_price=found.adrift_price,
        unpriced=ids(found.unpriced),
        lines=found.lines,
        lines_in_legs=found.lines_in_legs,
        crossings=found.crossings,
    )


def _assisted(ev: Evaluated) -> bool:
    """Whether a rope to hold on to hangs on the boat as gear."""
    grips = (ev.thing(i).grip for i in ev.setup.places)
    return any(one is not None and one.assist for one in grips)


def _climbs(ev: Evaluated, of: Upset) -> list[ClimbRow]:
    into, found, plan = remount(ev), ev.once(as_fated), ev.setup.safety
    rows = []
    for name, side, way in (("port", into.port, 1.0), ("starboard", into.starboard, -1.0)):
        one = climb(of, found, into, side, way)
        verdict: Literal["fine", "watch", "fix"] = "fine"
        word = "clear"
        if one.climb_m is None:
            verdict = "watch" if plan.assist_rope or _assisted(ev) else "fix"
            word = "goes over: with weight on the far side, or from the stern"
        elif one.blocked_by:
            verdict, word = "watch", "something is in the way"
        elif one.climb_m > typical.STEEP_M and not plan.stirrup:
            verdict, word = "watch", "high without a step: hang a stirrup ready"
        rows.append(
            ClimbRow(
                side=cast(Literal["port", "starboard"], name),
                blocked_by=ids(one.blocked_by),
                heel_deg=one.heel_deg,
                climb_m=one.climb_m,
                verdict=verdict,
                word=word,
            )
        )
    if all(row.blocked_by or row.climb_m is None for row in rows):
        rows = [
            row.model_copy(update={"verdict": "fix"}) if row.blocked_by else row for row in rows
        ]
    return rows


def full_of_water(ev: Evaluated) -> FullOfWater:
    """How it lies, what that is worth, and what is missing."""
    of, found = ev.once(upset), ev.once(full_boat)
    loads = of.loads_with(of.staying(ev.once(as_fated)))
    short = max(0.0, wanted_kg(ev, loads.total_kg) - found.reserve_kg)
    verdict, word = _judged(ev, found, short)
    bail = [
        _bails(ev, one.thing_id, found.water_l or 0.0)
        for one in ev.rigged.stowed
        if ev.thing(one.thing_id).bails is not None and stays(ev, one.thing_id)
    ]
    foam_x = None
    if short > 0 and loads.total_kg > 0:
        foam_x = float(np.clip(loads.centre_m[0], of.hull.x_aft_m, of.hull.x_fwd_m))
    return FullOfWater(
        said=ev.setup.safety.flotation is not None,
        floats=found.floats,
        reserve_kg=found.reserve_kg,
        turns_over=bool(found.turns_over),
        list_deg=found.list_deg,
        trim_deg=found.trim_deg,
        draft_m=found.draft_mid_m,
        freeboard_m=found.freeboard_m,
        gm_m=found.gm_m,
        water_l=found.water_l,
        bail=bail if found.water_l is not None else [],
        missing_l=1000 * short / (of.density_kg_m3 - typical.FOAM_KG_M3),
        foam_x_m=foam_x,
        verdict=verdict,
        word=word,
    )


def _judged(ev: Evaluated, found: FloodedRest, short_kg: float) -> tuple[Verdict, str]:
    if not found.floats:
        if ev.setup.safety.flotation is None:
            return "watch", "it may sink: you have not said what floats it"
        return "fix", "it sinks"
    verdict, word, _ = lies_full(ev, found)
    if verdict == "fine" and short_kg:
        return "watch", "it floats, with little to spare"
    return verdict, word


def _bails(ev: Evaluated, thing_id: int, water_l: float) -> BailRow:
    """By one thing; how long is too long is asked in cold water alone."""
    minutes, water_c = bail_min(ev, thing_id, water_l), ev.setup.water_temp_c
    cold = water_c is not None and RANK[ev.table["cold water"].verdict(water_c)] >= RANK["fix"]
    if minutes is None:
        return BailRow(thing_id=thing_id, minutes=None, verdict="fix")
    verdict: Verdict = ev.table["bailing"].verdict(minutes) if cold else "fine"
    return BailRow(thing_id=thing_id, minutes=minutes, verdict=verdict)


def bail_min(ev: Evaluated, thing_id: int, water_l: float) -> float | None:
    """Minutes to empty it by one thing, against the leak; None where that never catches up."""
    by = ev.thing(thing_id).bails
    assert by is not None, "asked of something to bail with"
    leak = ev.setup.safety.leak_l_min
    fresh, tired = (rate - leak for rate in typical.BAIL_L_MIN[by])
    if fresh <= 0:
        return None
    if water_l <= typical.TIRED_MIN * fresh:
        return water_l / fresh
    left = water_l - typical.TIRED_MIN * fresh
    return typical.TIRED_MIN + left / tired if tired > 0 else None


def _drain(ev: Evaluated) -> Drain | None:
    """Right side up, as loaded."""
    plug, rest, hull = ev.setup.safety.plug, at_rest(ev), ev.rigged.floating.hull
    if plug is None or rest is None:
        return None
    x = hull.x_aft_m if plug.x_m is None else plug.x_m
    low = hull.keel_at_m(x)
    z = low + typical.DRAIN_OVER_KEEL_M if plug.z_m is None else plug.z_m
    depth = -float(rest.settled.rest.height_over_water_m(np.array([(x, 0.0, z)]))[0, 0])
    return Drain(
        x_m=x, z_m=z, depth_m=depth, litres_min=hole_l_min(plug.diameter_mm / 1000, depth),
        spare=plug.spare,
    )  # fmt: skip
