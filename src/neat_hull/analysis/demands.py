"""What makes a kayak lean, squat or dip: each demand as an equilibrium of its own.

A demand changes the posture, adds weights, or pulls from outside. Margin used is the heeling lever
over the greatest righting lever of the same weights on the centreline. The figures are the passive
boat; people balance as well.
"""

from collections.abc import Callable
from dataclasses import dataclass, replace
from functools import cached_property

import numpy as np

from neat_hull.analysis import limits
from neat_hull.analysis.bands import bands
from neat_hull.analysis.envelopes import gunwale_m
from neat_hull.analysis.rigging import Rigged, seat_of, standing_place
from neat_hull.errors import DoesNotFloat, NoBalance
from neat_hull.model.afloat import Demand
from neat_hull.model.figures import Amount, Said, Verdict
from neat_hull.physics import drag, hydrostatics
from neat_hull.physics.body import Body, seated, standing
from neat_hull.physics.flooded import bilge, box_surface_inertia_m4
from neat_hull.physics.hull import Well
from neat_hull.physics.loads import Loads
from neat_hull.physics.postures import leaned, rising
from neat_hull.physics.stability import FULL_RAD, stability

_SOME_GZ_M = 0.001  # less righting lever than this is none
_LAND_LEAN_SHARE = 0.6  # of the full lean: the other hand holds the rod


@dataclass(frozen=True, eq=False)
class _Case:
    """A demand ready to be solved: its loads, and how it is told."""

    code: str
    title: str
    what: Said
    loads: Loads
    standing: bool = False


@dataclass(frozen=True, eq=False)
class _Boat:
    """What the cases are made of."""

    rigged: Rigged
    settled: hydrostatics.Settled
    side: float

    @cached_property
    def gm_band_m(self) -> float:
        """± of GM as the boat lies."""
        return bands(self.rigged, self.settled, hydrostatics.upright(self.settled)).gm_m

    def posture(self, body: Body, sway_m: float = 0.0) -> Loads:
        """The same boat with the angler in another posture, swayed to the strong side."""
        return self.rigged.loads_with(body, self.side * sway_m)

    @property
    def gunwale(self) -> tuple[float, float, float]:
        """The gunwale abeam of the seat, on the strong side."""
        hull, x = self.rigged.floating.hull, self.rigged.setup.seat.x_m
        half, height = gunwale_m(hull, x)
        return x, self.side * half, height

    @property
    def cockpit(self) -> Well | None:
        """The well that the seat stands in."""
        wells = self.rigged.floating.hull.wells_at(self.rigged.setup.seat.x_m, 0.0)
        return wells[0] if wells else None

    @property
    def grip_of_water_m(self) -> float:
        """Height at which water holds against a sideways pull: half the draft."""
        hull = self.rigged.floating.hull
        return hydrostatics.drafts_m(hull, self.settled.rest)[1] / 2


def demands(rigged: Rigged, settled: hydrostatics.Settled) -> list[Demand]:
    """All demands of a setup, the one that uses most of the margin first."""
    boat = _boat(rigged, settled)
    found = [_solve(boat, make(boat)) for make in _ALL]
    return sorted(found, key=lambda one: (-RANK[one.verdict], -(one.margin_used or 0.0)))


RANK: dict[Verdict, int] = {"fine": 0, "watch": 1, "fix": 2, "stop": 3}


def demand_loads(rigged: Rigged, settled: hydrostatics.Settled, code: str) -> Loads:
    """The loads of one demand, for its righting curve."""
    boat = _boat(rigged, settled)
    return next(case.loads for case in (make(boat) for make in _ALL) if case.code == code)


def _boat(rigged: Rigged, settled: hydrostatics.Settled) -> _Boat:
    return _Boat(rigged, settled, 1.0 if rigged.setup.demands.side == "port" else -1.0)


def _solve(boat: _Boat, case: _Case) -> Demand:
    rigged = boat.rigged
    floating, density = rigged.floating, rigged.water_density_kg_m3
    lever = abs(float(case.loads.centre_m[1]))
    held = hydrostatics.held_upright(floating, case.loads.on_centreline(), density)
    gm = None if held is None else hydrostatics.upright(held).gm_m
    greatest = None if held is None else _greatest_gz_m(held)
    margin = lever / greatest if greatest else None
    demand = Demand(
        code=case.code,
        title=case.title,
        what=case.what.text,
        amounts=list(case.what.amounts),
        heel_deg=None,
        trim_deg=None,
        least_freeboard_m=None,
        gm_m=gm,
        lever_m=lever,
        greatest_gz_m=greatest,
        margin_used=margin,
        margin_band=_margin_band(boat, margin, gm),
        section_water_m=None,
        verdict="stop",
        trouble=None,
    )
    try:
        settled = hydrostatics.settle(floating, case.loads, density)
    except (DoesNotFloat, NoBalance) as trouble:
        if case.standing and gm is not None:
            told = "only by one's own balance: the boat alone would go over"
            return demand.model_copy(update={"verdict": "fix", "trouble": told})
        return demand.model_copy(update={"trouble": str(trouble)})
    rest = hydrostatics.equilibrium(settled)
    verdicts = [
        limits.LEAST_FREEBOARD_M.verdict(rest.least_freeboard_m),
        "stop" if margin is None else limits.MARGIN_USED.verdict(margin),
    ]
    if case.standing and gm is not None:
        verdicts.append(limits.STANDING_GM_M.verdict(gm))
    hull = floating.hull
    aft, _, fwd = hydrostatics.drafts_m(hull, settled.rest)
    broad = float(hull.x_m[hull.half_breadth_m.argmax()])
    share = (broad - hull.x_aft_m) / hull.length_m
    return demand.model_copy(
        update={
            "heel_deg": float(np.degrees(rest.heel_rad)),
            "trim_deg": float(np.degrees(rest.trim_rad)),
            "least_freeboard_m": rest.least_freeboard_m,
            "section_water_m": aft + share * (fwd - aft),
            "verdict": max(verdicts, key=lambda one: RANK[one]),
        }
    )


def _margin_band(boat: _Boat, margin: float | None, gm_m: float | None) -> float | None:
    """± of a margin: near upright levers go with GM, so its share of GM is their share."""
    if margin is None or gm_m is None or gm_m <= 0:
        return None
    return margin * boat.gm_band_m / max(gm_m, boat.gm_band_m)


def _greatest_gz_m(upright: hydrostatics.Settled) -> float | None:
    curve = hydrostatics.righting_curve(upright, FULL_RAD)
    greatest = stability(curve, upright.loads.total_kg).greatest_gz_m
    return greatest if greatest > _SOME_GZ_M else None


def _seated(boat: _Boat) -> _Case:
    return _Case("seated", "Sitting still", Said.of("as on the bench"), boat.rigged.loads)


def _lean(boat: _Boat) -> _Case:
    n = boat.rigged.setup.demands
    body = leaned(boat.rigged.body, boat.side * np.radians(n.lean_deg))
    return _Case(
        "lean",
        "Leaning over",
        Said.of(f"trunk {{}} to {n.side}", angle=n.lean_deg),
        boat.posture(body),
    )


def _land(boat: _Boat) -> _Case:
    n, (x, y, z) = boat.rigged.setup.demands, boat.gunwale
    lean = boat.side * np.radians(n.lean_deg * _LAND_LEAN_SHARE)
    body = leaned(boat.rigged.body, lean, arm_out=True)
    loads = boat.posture(body).plus((n.fish_kg, x, y + boat.side * n.fish_out_m, z))
    what = Said.of("{} lifted over the gunwale, arm out, leaning after it", mass=n.fish_kg)
    return _Case("land", "Landing a fish", what, loads if n.fish_kg > 0 else boat.posture(body))


def _pull(boat: _Boat) -> _Case:
    n, body = boat.rigged.setup.demands, boat.rigged.body
    shoulder = next(s.far_m for s in body.segments if s.name == "trunk")
    arm = float(shoulder[2]) + n.rod_tip_over_shoulder_m - boat.grip_of_water_m
    loads = replace(boat.rigged.loads, heeling_kg_m=-boat.side * n.line_pull_kg * arm)
    what = Said.of("{} sideways at the rod tip", mass=n.line_pull_kg)
    return _Case("pull", "Fish pulling sideways", what, loads)


def _rise(boat: _Boat) -> _Case:
    n, angler = boat.rigged.setup.demands, boat.rigged.setup.angler
    feet, floor = standing_place(boat.rigged.floating.hull, boat.rigged.setup.seat)
    seat = seat_of(boat.rigged.setup.seat)
    body = rising(angler.mass_kg, boat.rigged.body.build, seat, feet, floor)
    what = Said.of("half way up, swaying a little")
    return _Case("rise", "Getting up", what, boat.posture(body, n.sway_m), standing=True)


def _stand(boat: _Boat) -> _Case:
    what = Said.of("on the floor before the seat, swaying a little")
    sway = boat.rigged.setup.demands.sway_m
    return _Case("stand", "Standing", what, boat.posture(standing_body(boat.rigged), sway), True)


def _cast(boat: _Boat) -> _Case:
    sway = boat.rigged.setup.demands.cast_sway_m
    loads = boat.posture(standing_body(boat.rigged), sway)
    return _Case(
        "cast", "Casting on one's feet", Said.of("standing, weight over one foot"), loads, True
    )


def _seat_up(boat: _Boat) -> _Case:
    n, angler = boat.rigged.setup.demands, boat.rigged.setup.angler
    seat = seat_of(boat.rigged.setup.seat)
    body = seated(angler.mass_kg, boat.rigged.body.build, replace(seat, z_m=seat.z_m + n.seat_up_m))
    lean = leaned(body, boat.side * np.radians(n.lean_deg))
    what = Said.of("seat {} up, then leaning {}", length=n.seat_up_m, angle=n.lean_deg)
    return _Case("seat up", "A higher seat", what, boat.posture(lean))


def _anchored(boat: _Boat, end: str) -> _Case:
    n, rigged = boat.rigged.setup.demands, boat.rigged
    hull, rest = rigged.floating.hull, boat.settled.rest
    across = end == "side"
    wet, dry = (
        fronts[1 if across else 0]
        for fronts in (drag.wetted_fronts_m2(rigged.floating, rest),
                       drag.dry_fronts_m2(rigged.floating, rest))
    )  # fmt: skip
    sitter = drag.SITTER_SIDE_M2 if across else drag.SITTER_FRONT_M2
    pull = drag.drag_kg(
        rigged.water_density_kg_m3, drag.BROADSIDE if across else drag.END_ON, wet, n.current_m_s
    ) + drag.drag_kg(drag.AIR_DENSITY_KG_M3, drag.IN_AIR, dry + sitter, n.wind_m_s)
    down = pull / np.sqrt(n.scope**2 - 1)  # a taut line to the bottom: sin α = 1 / scope
    if across:
        x, y, z = boat.gunwale
    else:
        x, y = (hull.x_fwd_m if end == "bow" else hull.x_aft_m), 0.0
        z = float(np.interp(x, hull.x_m, hull.sheer_m[:, 1]))
    moment = pull * (z - boat.grip_of_water_m)
    fore = {"bow": -1.0, "stern": 1.0, "side": 0.0}[end]
    loads = replace(
        rigged.loads.plus((max(down, 1e-6), x, y, z)),
        heeling_kg_m=-boat.side * moment if across else 0.0,
        trimming_kg_m=fore * moment,
    )
    kilos = [Amount(kind="mass", value=pull), Amount(kind="mass", value=float(down))]
    what = Said(text="{} on the line, {} of it down", amounts=kilos)
    why = {"bow": "Anchored by the bow", "stern": "Anchored by the stern",
           "side": "Anchored by the side — never"}  # fmt: skip
    return _Case(f"anchor {end}", why[end], what, loads)


def _boom(boat: _Boat) -> _Case:
    n, (x, y, z) = boat.rigged.setup.demands, boat.gunwale
    out = y + boat.side * n.boom_out_m
    loads = boat.rigged.loads.plus((max(n.downrigger_kg, 1e-6), x, out, z))
    what = Said.of("{} at the boom, {} over the side", mass=n.downrigger_kg, length=n.boom_out_m)
    return _Case("boom", "Downrigger", what, loads)


def _pole(boat: _Boat) -> _Case:
    n, hull = boat.rigged.setup.demands, boat.rigged.floating.hull
    x = hull.x_aft_m + 0.1 * hull.length_m
    arm = float(np.interp(x, hull.x_m, hull.sheer_m[:, 1])) - boat.grip_of_water_m
    loads = replace(boat.rigged.loads, heeling_kg_m=-boat.side * n.pole_pull_kg * arm)
    return _Case("pole", "Stake-out pole", Said.of("{} sideways, aft", mass=n.pole_pull_kg), loads)


def _cockpit_water(boat: _Boat) -> _Case:
    n, well = boat.rigged.setup.demands, boat.cockpit
    what = Said.of("{} on the floor, running from side to side", mass=n.cockpit_water_kg)
    title = "Water in the cockpit"
    if well is None or n.cockpit_water_kg == 0:
        return _Case("cockpit", title, what, boat.rigged.loads)
    return _Case("cockpit", title, what, _with_water(boat, well, n.cockpit_water_kg))


def _tank(boat: _Boat) -> _Case:
    n = boat.rigged.setup.demands
    seat = boat.rigged.setup.seat
    behind = [w for w in boat.rigged.floating.hull.wells if w.x_fwd_m < seat.x_m + 0.1]
    what = Said.of("{} of water more behind the seat", mass=n.tank_kg)
    if n.tank_kg == 0:
        return _Case("tank", "Bait tank filled", what, boat.rigged.loads)
    if behind:
        return _Case("tank", "Bait tank filled", what, boat.rigged.loads.plus(
            (n.tank_kg, (behind[0].x_aft_m + behind[0].x_fwd_m) / 2, 0.0,
             behind[0].floor_z_m + 0.15)))  # fmt: skip
    return _Case("tank", "Bait tank filled", what,
                 boat.rigged.loads.plus((n.tank_kg, seat.x_m - 0.4, 0.0, seat.z_m)))  # fmt: skip


def _remount(boat: _Boat) -> _Case:
    n, (x, y, z) = boat.rigged.setup.demands, boat.gunwale
    loads = boat.rigged.loads
    keep = np.arange(len(loads.mass_kg)) != 1  # the angler is in the water
    alone = replace(loads, mass_kg=loads.mass_kg[keep], at_m=loads.at_m[keep])
    body = boat.rigged.body
    on_gunwale = n.remount_share * body.mass_kg
    if on_gunwale > 0:
        alone = alone.plus((on_gunwale, x, y, z))
    what = Said.of("{} of the angler on the gunwale, nobody aboard", mass=on_gunwale)
    return _Case("remount", "Climbing back in", what, alone)


def _flooded(boat: _Boat) -> _Case:
    n, rigged = boat.rigged.setup.demands, boat.rigged
    title = "Hull flooded"
    if n.flooded_share == 0:
        return _Case("flooded", title, Said.of("no water inside"), rigged.loads)
    water = bilge(rigged.floating, n.flooded_share)
    mass = rigged.water_density_kg_m3 * water.volume_m3
    loads = rigged.loads.plus((mass, water.x_m, 0.0, water.z_m))
    running = rigged.water_density_kg_m3 * water.surface_inertia_m4
    what = Said.of("{} of the inside full: {} of water", ratio=n.flooded_share, mass=mass)
    return _Case("flooded", title, what,
                 replace(loads, free_surface_kg_m=loads.free_surface_kg_m + running))  # fmt: skip


def _with_water(boat: _Boat, well: Well, mass_kg: float) -> Loads:
    """Water standing level on the floor of a well."""
    length, breadth = well.x_fwd_m - well.x_aft_m, 2 * well.half_breadth_m
    density = boat.rigged.water_density_kg_m3
    depth = mass_kg / (density * length * breadth)
    middle = (well.x_aft_m + well.x_fwd_m) / 2
    loads = boat.rigged.loads.plus((mass_kg, middle, 0.0, well.floor_z_m + depth / 2))
    running = density * box_surface_inertia_m4(length, breadth)
    return replace(loads, free_surface_kg_m=loads.free_surface_kg_m + running)


def standing_body(rigged: Rigged) -> Body:
    """The angler standing before the seat."""
    angler = rigged.setup.angler
    place = standing_place(rigged.floating.hull, rigged.setup.seat)
    return standing(angler.mass_kg, rigged.body.build, *place)


_ALL: tuple[Callable[[_Boat], _Case], ...] = (
    _seated, _lean, _land, _pull, _rise, _stand, _cast, _seat_up,
    lambda boat: _anchored(boat, "bow"), lambda boat: _anchored(boat, "stern"),
    lambda boat: _anchored(boat, "side"),
    _boom, _pole, _cockpit_water, _tank, _remount, _flooded,
)  # fmt: skip
