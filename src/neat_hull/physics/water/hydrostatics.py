"""The figures of a boat at rest, in the words of the textbook."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass, replace
from functools import cached_property

import numpy as np
from numpy.typing import NDArray

from neat_hull.physics.arrays import Array, Flags
from neat_hull.physics.hull.shape import Hull
from neat_hull.physics.water.floating import FloatingHull, Rest
from neat_hull.physics.water.held import rest_at_heels, rest_of_each
from neat_hull.physics.water.immersion import section_m2
from neat_hull.physics.water.let_go import rest_free
from neat_hull.physics.water.loads import Loads

_EDGE_SCAN_DEG = 1.0  # a first look for the deck edge; then halved down to _EDGE_EXACT_DEG
_NEAR_SHARE, _NEAR_M = 0.05, 0.05  # of the weight, and of where it acts
_EDGE_EXACT_DEG = 0.001


@dataclass(frozen=True)
class Equilibrium:
    """The boat as it floats, heeled and trimmed; all in the body frame, see `physics`.

    least_freeboard_m is the lowest height of the sheer over the water, and where; wells_over_m is
    how far each well's floor stands over it at its lowest corner, flooded which wells took water
    over the rim.
    """

    displacement_kg: float
    volume_m3: float
    heel_rad: float
    trim_rad: float
    draft_aft_m: float
    draft_mid_m: float
    draft_fwd_m: float
    lcb_m: float
    tcb_m: float
    vcb_m: float
    least_freeboard_m: float
    least_freeboard_x_m: float
    wells_over_m: tuple[float, ...]
    flooded: tuple[bool, ...]


@dataclass(frozen=True)
class Upright:
    """Metacentric figures with every load on the centreline, heel held at 0, trim free.

    free_surface_m is the rise of KG that running liquids come to; gm_m is less by it.
    """

    kb_m: float
    bm_m: float
    kg_m: float
    free_surface_m: float
    gm_m: float
    bm_l_m: float
    gm_l_m: float
    lcf_m: float
    kg_per_cm_immersion: float
    moment_to_trim_1cm_kg_m: float
    trim_rad: float


@dataclass(frozen=True, eq=False)
class RightingCurve:
    """Righting lever and trim at heel_rad (k,); NaN where the boat goes under.

    edge_over_m is how far the lowest point of the sheer stands over the water, rims_over_m the
    lowest corner of the rim of a well that lifts until it floods (inf without any).
    """

    heel_rad: Array
    gz_m: Array
    trim_rad: Array
    edge_over_m: Array
    rims_over_m: Array


@dataclass(frozen=True, eq=False)
class Settled:
    """A loaded hull at rest: let go, and held at heels (k,) of which the first is 0."""

    floating: FloatingHull
    loads: Loads
    water_density_kg_m3: float
    rest: Rest
    held: Rest

    @cached_property
    def upright(self) -> Rest:
        """Held upright with every load on the centreline: off it they would sink it no deeper."""
        return self.held.row(0)

    @cached_property
    def section_m2(self) -> tuple[Array, Array]:
        """x (n,) m, and the area (n,) m² in the water there at rest, wells taken away."""
        rest, lattice = self.rest, self.floating.lattice
        heel_rad, h_m, tau = (float(v[0]) for v in (rest.heel_rad, rest.h_m, rest.tau))
        return section_m2(lattice, heel_rad, h_m, tau, lattice.counted(rest.lost))


def settle(
    floating: FloatingHull, loads: Loads, water_density_kg_m3: float, near: Rest | None = None
) -> Settled:
    """Find both places of rest. Raises DoesNotFloat or NoBalance where there is none. `near` is the
    same boat at all heels of a full curve under much the same load: where it heels far the search
    starts there."""
    return _settled(floating, loads, water_density_kg_m3, np.zeros(1), None, near)


def held_upright(
    floating: FloatingHull, loads: Loads, water_density_kg_m3: float
) -> Settled | None:
    """A boat held upright by hand, where it floats at all: for one that would not stay so alone."""
    volume_m3 = loads.total_kg / water_density_kg_m3
    rest = rest_at_heels(floating, volume_m3, loads.centre_m, np.zeros(1))
    if not rest.floats[0]:
        return None
    return Settled(floating, loads, water_density_kg_m3, rest, rest)


def settle_with_curve(
    floating: FloatingHull,
    loads: Loads,
    water_density_kg_m3: float,
    heel_rad: Array,
    before: Settled | None = None,
) -> tuple[Settled, RightingCurve]:
    """`settle` and `righting_curve` in one go; the first heel must be 0.

    Off-centre loads do not change sinkage and trim while heel is held at 0, so the first row is
    the boat upright as well, and the start of the free solution. `before` is the same boat at the
    same heels under another load, to start from where that is much the same.
    """
    settled = _settled(floating, loads, water_density_kg_m3, heel_rad, before)
    return settled, _curve(floating, loads.centre_m, settled.held)


def _settled(
    floating: FloatingHull,
    loads: Loads,
    water_density_kg_m3: float,
    heel_rad: Array,
    before: Settled | None,
    full: Rest | None = None,
) -> Settled:
    floating.require_floats(loads.total_kg, water_density_kg_m3)
    volume_m3 = loads.total_kg / water_density_kg_m3
    if before is not None and not _much_the_same(before.loads, loads):
        before = None
    near = None if before is None else before.held
    held = rest_at_heels(floating, volume_m3, loads.centre_m, heel_rad, near=near)
    rest = rest_free(floating, volume_m3, loads.centre_m, held.row(0), full)
    return Settled(floating, loads, water_density_kg_m3, rest, held)


def _much_the_same(one: Loads, other: Loads) -> bool:
    """Whether a search may start at the rest of the other: far off it could end elsewhere."""
    lighter = abs(one.total_kg - other.total_kg) < _NEAR_SHARE * one.total_kg
    return lighter and bool((np.abs(one.centre_m - other.centre_m) < _NEAR_M).all())


def equilibrium(settled: Settled) -> Equilibrium:
    """How the boat floats, let go."""
    floating, rest, water_density_kg_m3 = (
        settled.floating,
        settled.rest,
        settled.water_density_kg_m3,
    )
    hull = floating.hull
    lcb, tcb, vcb = (float(v) for v in rest.buoyancy_m()[0])
    draft_aft, draft_mid, draft_fwd = drafts_m(hull, rest)
    freeboard = rest.height_over_water_m(hull.sheer_points_m)[0]
    lowest = int(freeboard.argmin())
    floors = rest.height_over_water_m(hull.floor_corners_m)[0]
    return Equilibrium(
        displacement_kg=water_density_kg_m3 * float(rest.immersion.v_m3[0]),
        volume_m3=float(rest.immersion.v_m3[0]),
        heel_rad=float(rest.heel_rad[0]),
        trim_rad=float(rest.trim_rad[0]),
        draft_aft_m=draft_aft,
        draft_mid_m=draft_mid,
        draft_fwd_m=draft_fwd,
        lcb_m=lcb,
        tcb_m=tcb,
        vcb_m=vcb,
        least_freeboard_m=float(freeboard[lowest]),
        least_freeboard_x_m=float(hull.x_m[lowest % len(hull.x_m)]),
        wells_over_m=tuple(floors.reshape(-1, 4).min(axis=1).tolist()),
        flooded=tuple(bool(v) for v in rest.lost[0] & ~floating.drains),
    )


def waterplane_area_m2(settled: Settled) -> float:
    """True area in the plane of the water at the free place of rest, wells left out, in m²."""
    plane, _ = settled.rest.waterplane(settled.floating)
    return float(plane.a[0] * np.sqrt(1 + settled.rest.tau[0] ** 2))


def upright(settled: Settled) -> Upright:
    """Initial stability: KB, BM, KG and GM of the boat held upright, free to trim.

    GM is measured along the plumb line, so it holds at any trim; see `Rest.metacentre_m`.
    """
    loads, rest, density = settled.loads, settled.upright, settled.water_density_kg_m3
    volume_m3 = loads.total_kg / density
    centre_m = loads.on_centreline().centre_m
    (im, side), tau = rest.waterplane(settled.floating), float(rest.tau[0])
    above, bm = (
        float(one[0]) for one in rest.metacentre_m(im, side, np.array([volume_m3]), centre_m[None])
    )
    stretch = float(np.sqrt(1 + tau**2))
    a = float(im.a[0])
    bm_l = stretch**3 * float(im.axx[0] - im.ax[0] ** 2 / a) / volume_m3
    return Upright(
        kb_m=float(rest.buoyancy_m()[0, 2]),
        bm_m=bm,
        kg_m=float(loads.solid_centre_m[2]),
        free_surface_m=float(centre_m[2] - loads.solid_centre_m[2]),
        gm_m=above + bm,
        bm_l_m=bm_l,
        gm_l_m=above + bm_l,
        lcf_m=float(im.ax[0]) / a,
        kg_per_cm_immersion=density * a * stretch * 0.01,
        moment_to_trim_1cm_kg_m=loads.total_kg
        * (above + bm_l)
        * 0.01
        / settled.floating.hull.length_m,
        trim_rad=float(rest.trim_rad[0]),
    )


def righting_curve(settled: Settled, heel_rad: Array) -> RightingCurve:
    """Righting levers at imposed heels (k,), sinkage and trim free."""
    if len(heel_rad) == 0:
        return RightingCurve(*(np.zeros(0) for _ in range(5)))
    return held_through(settled, heel_rad)[1]


def held_through(settled: Settled, heel_rad: Array) -> tuple[Settled, RightingCurve]:
    """The same boat held at heels (k,), of which the first is 0, and its curve there."""
    held = _held(settled, heel_rad)
    curve = _curve(settled.floating, settled.loads.centre_m, held)
    return replace(settled, held=held), curve


def levers_of_each(
    settled: Settled, mass_kg: Array, centre_m: Array, at: NDArray[np.intp], start: Rest | None
) -> tuple[Array, Array, Rest]:
    """Righting lever and how far the sheer stands over the water, (k,) m each, of k other loads on
    the same boat: mass_kg (k,) at centre_m (k, 3), each at one heel, that at (k,) of
    `heels.FULL_RAD`. NaN where it goes under. With them how it lies, to `start` from for much the
    same loads."""
    volume_m3 = mass_kg / settled.water_density_kg_m3
    held = rest_of_each(settled.floating, volume_m3, centre_m, at, settled.held, start)
    curve = _curve(settled.floating, centre_m, held)
    return curve.gz_m, np.where(held.floats, curve.edge_over_m, np.nan), held


def _curve(floating: FloatingHull, centre_m: Array, held: Rest) -> RightingCurve:
    gz = np.where(held.floats, held.righting_lever_m(centre_m), np.nan)
    edge = held.height_over_water_m(floating.hull.sheer_points_m).min(axis=1)
    trim = np.where(held.floats, held.trim_rad, np.nan)
    corners = [well.rim_corners_m for well in floating.hull.wells if not well.drains]
    rims = np.full_like(edge, np.inf)
    if corners:
        rims = held.height_over_water_m(np.concatenate(corners)).min(axis=1)
    return RightingCurve(held.heel_rad, gz, trim, edge, rims)


def deck_edge_heel_rad(settled: Settled, heels_rad: Sequence[float]) -> float | None:
    """Smallest heel, by size, between two given ones at which water reaches the sheer.

    Scans outward from the heel of the range nearest to upright, then halves; None if it stays dry.
    """
    if len(heels_rad) == 0:
        return None
    first, last = min(heels_rad[0], heels_rad[-1]), max(heels_rad[0], heels_rad[-1])
    start = float(np.clip(0.0, first, last))
    points = settled.floating.hull.sheer_points_m

    def dry(heels: Array) -> Flags:
        rest = _held(settled, heels)
        over = rest.height_over_water_m(points).min(axis=1)
        return np.where(rest.floats, over, -1.0) > 0

    found = [_first_wet(dry, start, end) for end in (last, first)]
    return min((heel for heel in found if heel is not None), key=abs, default=None)


def _held(settled: Settled, heel_rad: Array) -> Rest:
    volume_m3 = settled.loads.total_kg / settled.water_density_kg_m3
    trim_rad = float(settled.upright.trim_rad[0])
    return rest_at_heels(settled.floating, volume_m3, settled.loads.centre_m, heel_rad, trim_rad)


def _first_wet(dry: Callable[[Array], Flags], start: float, end: float) -> float | None:
    count = int(np.ceil(abs(np.degrees(end - start)) / _EDGE_SCAN_DEG)) + 1
    heels = np.linspace(start, end, max(count, 1))
    is_dry = dry(heels)
    if is_dry.all():
        return None
    k = int(np.argmin(is_dry))
    if k == 0:
        return start
    low, high = float(heels[k - 1]), float(heels[k])
    while abs(high - low) > np.radians(_EDGE_EXACT_DEG):
        inside = np.linspace(low, high, 12)[1:-1]
        wet = int(np.argmin(np.append(dry(inside), False)))
        edges = np.concatenate(([low], inside, [high]))
        low, high = float(edges[wet]), float(edges[wet + 1])
    return (low + high) / 2


def drafts_m(hull: Hull, rest: Rest) -> tuple[float, float, float]:
    """Height in m of the water plane on y = 0 at the first station, midway, at the last."""
    cos = float(np.cos(rest.heel_rad[0]))
    h, tau = float(rest.h_m[0]), float(rest.tau[0])
    middle = (hull.x_aft_m + hull.x_fwd_m) / 2
    return (h - tau * hull.x_aft_m) / cos, (h - tau * middle) / cos, (h - tau * hull.x_fwd_m) / cos
