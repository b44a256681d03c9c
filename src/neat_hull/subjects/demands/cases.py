"""What each demand adds to the boat: posture, weights, pulls from outside; ready to be solved."""

from collections.abc import Callable
from dataclasses import dataclass, replace
from functools import cached_property, lru_cache

import numpy as np

from neat_hull.model.evidence import Bands
from neat_hull.model.said import Amount, Said
from neat_hull.physics.body.postures import leaned, rising
from neat_hull.physics.body.segments import Body, seated, standing
from neat_hull.physics.hull.shape import Well
from neat_hull.physics.water import hydrostatics
from neat_hull.physics.water.flooded import bilge, box_surface_inertia_m4
from neat_hull.physics.water.gravity import GRAVITY_M_S2
from neat_hull.physics.water.loads import Loads
from neat_hull.rig.bands import bands
from neat_hull.rig.bodies import seat_of, standing_place
from neat_hull.rig.drag.figures import pull_n
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.held_at import held_at, held_end
from neat_hull.rig.rigging import Rigged

_LAND_LEAN_SHARE = 0.6  # of the full lean: the other hand holds the rod


@dataclass(frozen=True, eq=False)
class DemandLoads:
    """A demand ready to be solved: its loads, and how it is told."""

    code: str
    title: str
    what: Said
    loads: Loads
    standing: bool = False


@dataclass(frozen=True, eq=False)
class Asked:
    """What the cases are made of."""

    ev: Evaluated
    settled: hydrostatics.Settled
    side: float

    @property
    def rigged(self) -> Rigged:
        """The setup made ready for physics."""
        return self.ev.rigged

    @cached_property
    def band(self) -> Bands:
        """± of the figures as the boat lies."""
        found = self.ev.once(bands)
        assert found is not None, "demands are put to a boat that floats"
        return found

    def posture(self, body: Body, sway_m: float = 0.0) -> Loads:
        """The same boat with the angler in another posture, swayed to the strong side."""
        return self.rigged.loads_with(body, self.side * sway_m)

    @property
    def gunwale(self) -> tuple[float, float, float]:
        """The gunwale abeam of the seat, on the strong side."""
        hull, x = self.rigged.floating.hull, self.rigged.setup.seat.x_m
        half, height = hull.gunwale_m(x)
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


def asking(ev: Evaluated, settled: hydrostatics.Settled) -> "Asked":
    """A boat that demands are put to, on its strong side."""
    return Asked(ev, settled, 1.0 if ev.setup.demands.side == "port" else -1.0)


def _seated(boat: Asked) -> DemandLoads:
    return DemandLoads("seated", "Sitting still", Said.of("as on the Bench"), boat.rigged.loads)


def _lean(boat: Asked) -> DemandLoads:
    n = boat.rigged.setup.demands
    body = _leaned(boat.rigged.body, boat.side * n.lean_deg)
    return DemandLoads(
        "lean",
        "Leaning over",
        Said.of(f"your body {{}} to {n.side}", angle=n.lean_deg),
        boat.posture(body),
    )


def _land(boat: Asked) -> DemandLoads:
    n, (x, y, z) = boat.rigged.setup.demands, boat.gunwale
    body = _leaned(boat.rigged.body, boat.side * n.lean_deg * _LAND_LEAN_SHARE, arm_out=True)
    loads = boat.posture(body).plus((n.fish_kg, x, y + boat.side * n.fish_out_m, z))
    what = Said.of("{} lifted over the gunwale, arm out, leaning after it", mass=n.fish_kg)
    return DemandLoads(
        "land", "Landing a fish", what, loads if n.fish_kg > 0 else boat.posture(body)
    )


def _pull(boat: Asked) -> DemandLoads:
    n, body = boat.rigged.setup.demands, boat.rigged.body
    shoulder = next(s.far_m for s in body.segments if s.name == "trunk")
    arm = float(shoulder[2]) + n.rod_tip_over_shoulder_m - boat.grip_of_water_m
    loads = replace(boat.rigged.loads, heeling_kg_m=-boat.side * n.line_pull_kg * arm)
    what = Said.of("{} sideways at the rod tip", mass=n.line_pull_kg)
    return DemandLoads("pull", "Fish pulling sideways", what, loads)


def _rise(boat: Asked) -> DemandLoads:
    n, angler = boat.rigged.setup.demands, boat.rigged.setup.angler
    feet, floor = standing_place(boat.rigged.floating.hull, boat.rigged.setup.seat)
    seat = seat_of(boat.rigged.setup.seat)
    body = _rising(angler.mass_kg, boat.rigged.body.build, seat, feet, floor)
    what = Said.of("halfway up, swaying a little")
    return DemandLoads("rise", "Getting up", what, boat.posture(body, n.sway_m), standing=True)


def _stand(boat: Asked) -> DemandLoads:
    what = Said.of("on the floor ahead of the seat, swaying a little")
    sway = boat.rigged.setup.demands.sway_m
    return DemandLoads(
        "stand", "Standing", what, boat.posture(standing_body(boat.rigged), sway), True
    )


def _cast(boat: Asked) -> DemandLoads:
    sway = boat.rigged.setup.demands.cast_sway_m
    loads = boat.posture(standing_body(boat.rigged), sway)
    return DemandLoads(
        "cast", "Casting while standing", Said.of("standing, weight on one foot"), loads, True
    )


def _seat_up(boat: Asked) -> DemandLoads:
    n, angler = boat.rigged.setup.demands, boat.rigged.setup.angler
    seat = seat_of(boat.rigged.setup.seat)
    body = seated(angler.mass_kg, boat.rigged.body.build, replace(seat, z_m=seat.z_m + n.seat_up_m))
    lean = leaned(body, boat.side * np.radians(n.lean_deg))
    what = Said.of("seat {} up, then leaning {}", length=n.seat_up_m, angle=n.lean_deg)
    return DemandLoads("seat up", "A higher seat", what, boat.posture(lean))


def _anchored(boat: Asked, end: str) -> DemandLoads:
    n, rigged = boat.rigged.setup.demands, boat.rigged
    hull, across = rigged.floating.hull, end == "side"
    pull = pull_n(boat.ev, end, n.current_m_s, n.wind_m_s) / GRAVITY_M_S2
    down = pull / np.sqrt(n.scope**2 - 1)  # a taut line to the bottom: sin α = 1 / scope
    if across:
        x, y, z = boat.gunwale
    else:
        x, y, z = boat.ev.once(held_at)
        if end != held_end(boat.ev.setup):
            x = hull.x_fwd_m if end == "bow" else hull.x_aft_m
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
    why = {
        "bow": "Anchored by the bow",
        "stern": "Anchored by the stern",
        "side": "Anchored by the side — never",
    }
    return DemandLoads(f"anchor {end}", why[end], what, loads)


def _boom(boat: Asked) -> DemandLoads:
    n, (x, y, z) = boat.rigged.setup.demands, boat.gunwale
    out = y + boat.side * n.boom_out_m
    loads = boat.rigged.loads.plus((max(n.downrigger_kg, 1e-6), x, out, z))
    what = Said.of("{} at the boom, {} over the side", mass=n.downrigger_kg, length=n.boom_out_m)
    return DemandLoads("boom", "Downrigger", what, loads)


def _pole(boat: Asked) -> DemandLoads:
    n, hull = boat.rigged.setup.demands, boat.rigged.floating.hull
    x = hull.x_aft_m + 0.1 * hull.length_m
    arm = float(np.interp(x, hull.x_m, hull.sheer_m[:, 1])) - boat.grip_of_water_m
    loads = replace(boat.rigged.loads, heeling_kg_m=-boat.side * n.pole_pull_kg * arm)
    return DemandLoads(
        "pole", "Stake-out pole", Said.of("{} sideways, at the stern", mass=n.pole_pull_kg), loads
    )


def _cockpit_water(boat: Asked) -> DemandLoads:
    n, well = boat.rigged.setup.demands, boat.cockpit
    what = Said.of("{} on the floor, running from side to side", mass=n.cockpit_water_kg)
    title = "Water in the cockpit"
    if well is None or n.cockpit_water_kg == 0:
        return DemandLoads("cockpit", title, what, boat.rigged.loads)
    return DemandLoads("cockpit", title, what, _with_water(boat, well, n.cockpit_water_kg))


def _tank(boat: Asked) -> DemandLoads:
    n = boat.rigged.setup.demands
    seat = boat.rigged.setup.seat
    behind = [w for w in boat.rigged.floating.hull.wells if w.x_fwd_m < seat.x_m + 0.1]
    what = Said.of("{} of water more behind the seat", mass=n.tank_kg)
    if n.tank_kg == 0:
        return DemandLoads("tank", "Bait tank filled", what, boat.rigged.loads)
    if behind:
        return DemandLoads(
            "tank",
            "Bait tank filled",
            what,
            boat.rigged.loads.plus(
                (
                    n.tank_kg,
                    (behind[0].x_aft_m + behind[0].x_fwd_m) / 2,
                    0.0,
                    behind[0].floor_z_m + 0.15,
                )
            ),
        )
    return DemandLoads(
        "tank",
        "Bait tank filled",
        what,
        boat.rigged.loads.plus((n.tank_kg, seat.x_m - 0.4, 0.0, seat.z_m)),
    )


def _remount(boat: Asked) -> DemandLoads:
    n, (x, y, z) = boat.rigged.setup.demands, boat.gunwale
    loads = boat.rigged.loads
    keep = np.arange(len(loads.mass_kg)) != boat.rigged.rows.angler  # in the water
    alone = replace(loads, mass_kg=loads.mass_kg[keep], at_m=loads.at_m[keep])
    body = boat.rigged.body
    on_gunwale = n.remount_share * body.mass_kg
    if on_gunwale > 0:
        alone = alone.plus((on_gunwale, x, y, z))
    what = Said.of("{} of you on the gunwale, and you not aboard", mass=on_gunwale)
    return DemandLoads("remount", "Climbing back in", what, alone)


def _flooded(boat: Asked) -> DemandLoads:
    n, rigged = boat.rigged.setup.demands, boat.rigged
    title = "Hull flooded"
    if n.flooded_share == 0:
        return DemandLoads("flooded", title, Said.of("no water inside"), rigged.loads)
    water = bilge(rigged.floating, n.flooded_share)
    mass = rigged.water_density_kg_m3 * water.volume_m3
    loads = rigged.loads.plus((mass, water.x_m, 0.0, water.z_m))
    running = rigged.water_density_kg_m3 * water.surface_inertia_m4
    what = Said.of("{} of the inside full: {} of water", ratio=n.flooded_share, mass=mass)
    return DemandLoads(
        "flooded", title, what, replace(loads, free_surface_kg_m=loads.free_surface_kg_m + running)
    )


def _with_water(boat: Asked, well: Well, mass_kg: float) -> Loads:
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
    place = standing_place(rigged.floating.hull, rigged.setup.seat)
    return _standing(rigged.setup.angler.mass_kg, rigged.body.build, *place)


# In a drag the same body is asked for again and again.
@lru_cache(maxsize=16)
def _leaned(body: Body, lean_deg: float, arm_out: bool = False) -> Body:
    return leaned(body, float(np.radians(lean_deg)), arm_out=arm_out)


_standing = lru_cache(maxsize=8)(standing)
_rising = lru_cache(maxsize=8)(rising)


MAKERS: dict[str, Callable[[Asked], DemandLoads]] = {
    "seated": _seated,
    "lean": _lean,
    "land": _land,
    "pull": _pull,
    "rise": _rise,
    "stand": _stand,
    "cast": _cast,
    "seat up": _seat_up,
    "anchor bow": lambda boat: _anchored(boat, "bow"),
    "anchor stern": lambda boat: _anchored(boat, "stern"),
    "anchor side": lambda boat: _anchored(boat, "side"),
    "boom": _boom,
    "pole": _pole,
    "cockpit": _cockpit_water,
    "tank": _tank,
    "remount": _remount,
    "flooded": _flooded,
}
