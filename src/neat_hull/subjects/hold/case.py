"""What a bare case comes to: `neat-hull hold`."""

from collections.abc import Iterator
from dataclasses import asdict
from typing import Any

import numpy as np

from neat_hull.errors import InputError, InputErrors
from neat_hull.model.glide_case import HoldCase
from neat_hull.physics.resistance.lying import Lies, lies
from neat_hull.rig.bare import bare_loads
from neat_hull.subjects.glide.figures import Afloat, afloat, case_air, require_afloat
from neat_hull.subjects.hold.holding import anchor_holds, pole_holds
from neat_hull.subjects.hold.leaning import Leans, leaning

Row = dict[str, Any]


def hold_report(case: HoldCase) -> Row:
    """All that the case comes to. Raises InputErrors, DoesNotFloat or NoBalance."""
    require_afloat(case)
    wrong = list(_wrong(case))
    if wrong:
        raise InputErrors(wrong)
    boat = afloat(case, bare=False)
    assert boat is not None, "there is a load"
    at = case.hold_at
    if not boat.hull.x_aft_m <= at.x_m <= boat.hull.x_fwd_m:
        raise InputErrors([InputError("hold_at.x_m", at.x_m, "is off the hull")])
    rest = lies(boat.drag, case_air(case), at.x_m)
    point = np.array([(at.x_m, at.y_m, at.z_m)])
    cleat = float(boat.settled.rest.height_over_water_m(point)[0, 0])
    farthest = max(at.x_m - boat.hull.x_aft_m, boat.hull.x_fwd_m - at.x_m)
    anchor = pole = None
    if case.anchor is not None:
        height = case.depth_m + max(0.0, cleat)
        anchor = anchor_holds(case.anchor, rest.pull_n, height, farthest)
    if case.pole is not None:
        pole = pole_holds(case.pole, rest.pull_n, case.depth_m, cleat)
    down = 0.0 if anchor is None or anchor.down_n is None else anchor.down_n
    return {
        "afloat": boat.told(),
        "lies": {
            "heading_deg": rest.heading_deg,
            "water_ahead_n": rest.water_ahead_n,
            "pull_n": rest.pull_n,
            "pull_ahead_n": rest.pull_ahead_n,
            "pull_port_n": rest.pull_port_n,
            "pull_off_bow_deg": rest.pull_off_bow_deg,
            "cleat_height_m": cleat,
        },
        "anchor": None if anchor is None else asdict(anchor),
        "pole": None if pole is None else asdict(pole),
        "held": _held(case, boat, rest, down),
        "by_the_side": _by_the_side(case, boat),
    }


def _wrong(case: HoldCase) -> Iterator[InputError]:
    if case.hold_at.y_m != 0:
        yield InputError("hold_at.y_m", case.hold_at.y_m, "must be 0: never by the side")
    if case.anchor is None and case.pole is None:
        yield InputError("anchor", None, "or a pole is needed")
    if case.wind.speed_m_s == 0 and case.current.speed_m_s == 0:
        yield InputError("wind.speed_m_s", 0.0, "or a current is needed: nothing pulls")
    if case.assumptions.astern_factor is None:
        yield InputError("assumptions.astern_factor", None, "is missing")
    if case.anchor is not None and case.anchor.chain_length_m + case.anchor.rope_length_m <= 0:
        yield InputError("anchor.rope_length_m", 0.0, "is 0, and so is the chain")
    if case.pole is not None:
        soil = case.pole.soil
        needs = ["unit_weight_n_m3", "passive_factor"]
        for name in needs if soil.kind == "sand" else ["shear_strength_pa"]:
            if getattr(soil, name) is None:
                yield InputError(f"pole.soil.{name}", None, "is missing")


def _leaning(
    case: HoldCase, boat: Afloat, ahead_n: float, port_n: float, z_m: float, down_n: float
) -> Leans | None:
    at = case.hold_at
    return leaning(
        boat.settled.floating,
        bare_loads(case.loads),
        case.water_density_kg_m3,
        boat.draft_mid_m / 2,
        (at.x_m, at.y_m, z_m),
        (ahead_n, port_n),
        down_n,
    )


def _held(case: HoldCase, boat: Afloat, rest: Lies, down_n: float) -> Row:
    found = _leaning(case, boat, rest.pull_ahead_n, rest.pull_port_n, case.hold_at.z_m, down_n)
    heel, trim, edge = found or (None, None, None)
    return {"heel_deg": heel, "trim_deg": trim, "least_freeboard_m": edge}


def _by_the_side(case: HoldCase, boat: Afloat) -> Row:
    """What would be, were it held by the side: told so that nobody does it."""
    a, (area, _) = case.assumptions, boat.drag.lateral
    pull = 0.5 * boat.drag.density_kg_m3 * a.cross_flow_cd * area * case.current.speed_m_s**2
    pull += 0.5 * a.air_density_kg_m3 * boat.drag.in_the_wind.side_m2 * case.wind.speed_m_s**2
    middle = (boat.hull.x_aft_m + boat.hull.x_fwd_m) / 2
    _, height = boat.hull.gunwale_m(middle)
    found = _leaning(case, boat, 0.0, pull, height, 0.0)
    heel, _, edge = found or (None, None, None)
    return {"pull_n": pull, "heel_deg": heel, "least_freeboard_m": edge}
