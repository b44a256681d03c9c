"""A mount under its loads: pulls of its bolts, tilt of its wall, and how far from breaking."""

from collections.abc import Sequence
from dataclasses import dataclass, field
from functools import cached_property
from math import degrees, hypot, pi, radians, sqrt

import numpy as np

from neat_hull.model.mount_case import (
    CaseMount,
    CasePlate,
    Duration,
    Fastener,
    PlateStuff,
    Situation,
)
from neat_hull.physics.arrays import Array
from neat_hull.physics.fixing.bolts import (
    rectangle_maps,
    rectangle_pulls,
    round_pulls,
    shears,
    sums,
    work_of,
)
from neat_hull.physics.fixing.panel import Give, Sheet, section_m2, sheet, sinking, tilting
from neat_hull.physics.water.gravity import GRAVITY_M_S2

MOST = 999.0  # safety is not told beyond
MPA, MM = 1e6, 1e-3
CHECKS = ("bolt", "hold", "bearing", "tear", "twist", "punch", "wall", "peel", "bond_shear")

# Discs that stand for rectangles: our fit to finite elements of a clamped panel, within 6 % in
# tilt for sides of 1 : 4 to 4 : 1. Of a base along its couple and across it, under a push, and the
# same of a plate.
DISC_ALONG, DISC_ACROSS, DISC_PUSH, ROUND_DISC = 0.42, 0.18, 0.30, 5 / 6
RING_ALONG, RING_ACROSS, RING_PUSH = 0.40, 0.17, 0.285
_SIDE_M = 1e-5  # how close the side of a plate is found


@dataclass(frozen=True)
class Held:
    """A mount in one situation. Bolts: tension and shear, N. press_n is null of a bond; safety of
    each check is null where it does not apply."""

    name: str
    duration: Duration
    force_n: tuple[float, float, float]
    moment_nm: tuple[float, float, float]
    bolts: list[tuple[float, float]]
    press_n: float | None
    tilt_deg: float
    tilt_bare_deg: float
    sink_mm: float
    wall_mpa: float
    safety: dict[str, float | None]
    least: float
    governs: str | None


@dataclass(frozen=True)
class _Bent:
    """What a wall does under one load: tilt, sink, the moment it bears, and the discs in it."""

    tilt_rad: float
    sink_m: float
    bears_n: float
    rings_m: tuple[float, float, float]  # of the couples along u and v, and of the push


@dataclass
class Mounted:
    """A mount, with what of it does not hang on the load worked out once."""

    mount: CaseMount
    _gives: dict[tuple[object, ...], Give] = field(default_factory=dict)

    @property
    def sides_m(self) -> tuple[float, float]:
        """Length and width of the base; of a round one twice its diameter."""
        base = self.mount.base
        return base.length_m, base.width_m if base.width_m and not self._round else base.length_m

    @property
    def _round(self) -> bool:
        return self.mount.base.shape == "round"

    @cached_property
    def bolts_m(self) -> Array:
        """(n, 2); none of a bond."""
        return np.array(self.mount.hold.bolts_m or [], dtype=float).reshape(-1, 2)

    @cached_property
    def _maps(self) -> tuple[Array, Array]:
        length, width = self.sides_m
        return rectangle_maps(length / 2, width / 2, self.bolts_m)

    def held(self, situations: Sequence[Situation]) -> list[Held]:
        """In each of some situations, of which there must be one."""
        loads = [loads_of(one) for one in situations]
        force, moment = (np.array([one[n] for one in loads]) for n in (0, 1))
        pulls = self._pulls(force, moment)
        return [
            self._held(situation, force[k], moment[k], pulls[k])
            for k, situation in enumerate(situations)
        ]

    def _pulls(self, force: Array, moment: Array) -> Array:
        if not len(self.bolts_m):
            return np.zeros((len(force), 0))
        work = work_of(force, moment)
        if self._round:
            return round_pulls(self.mount.base.length_m / 2, self.bolts_m, work)
        return rectangle_pulls(self._maps, work)

    def _held(self, situation: Situation, force: Array, moment: Array, pulls: Array) -> Held:
        wall, plate = self.mount.wall, self.mount.plate
        lasts = situation.duration
        bare = self.bent(force, moment, lasts, None)
        bent = bare if plate is None else self.bent(force, moment, lasts, plate)
        thick, core = wall.thickness_mm * MM, wall.core_mm * MM
        wall_pa = bent.bears_n / section_m2(thick, core)
        each, twist = (
            shears(self.bolts_m, force[None], moment[None])
            if len(self.bolts_m) else (np.zeros((1, 0, 2)), np.zeros(1))
        )  # fmt: skip
        across = np.hypot(each[0, :, 0], each[0, :, 1])
        safety: dict[str, float | None] = dict.fromkeys(CHECKS)
        if self.mount.hold.fastener is not None and len(pulls):
            safety |= self._of_bolts(self.mount.hold.fastener, lasts, pulls, across,
                                     abs(float(twist[0])))  # fmt: skip
        else:
            safety |= self._of_bond(lasts, force, moment)
        safety |= self._of_wall(lasts, force, moment, bent, wall_pa)
        told = {name: value for name, value in safety.items() if value is not None}
        governs = min(told, key=lambda name: told[name], default=None)
        return Held(
            name=situation.name,
            duration=lasts,
            force_n=(float(force[0]), float(force[1]), float(force[2])),
            moment_nm=(float(moment[0]), float(moment[1]), float(moment[2])),
            bolts=list(zip(pulls.tolist(), across.tolist(), strict=True)),
            press_n=float(pulls.sum() - force[2]) if len(pulls) else None,
            tilt_deg=degrees(bent.tilt_rad),
            tilt_bare_deg=degrees(bare.tilt_rad),
            sink_mm=bent.sink_m / MM,
            wall_mpa=wall_pa / MPA,
            safety=safety,
            least=MOST if governs is None else told[governs],
            governs=governs,
        )

    # The wall.

    def bent(self, force: Array, moment: Array, lasts: Duration, plate: CasePlate | None) -> _Bent:
        """What the wall does, with a plate in it or without."""
        along_u, along_v = float(moment[1]), float(moment[0])  # couples along u and along v
        grip_u, grip_v = self._grip(along_u, along_v)
        k = ROUND_DISC if self._round else 1.0
        discs = (
            k * (DISC_ALONG * grip_u + DISC_ACROSS * grip_v),
            k * (DISC_ALONG * grip_v + DISC_ACROSS * grip_u),
            k * DISC_PUSH * (grip_u + grip_v),
        )
        rings: tuple[float | None, ...] = (None, None, None)
        if plate is not None:
            p, q = plate.length_m, plate.width_m
            rings = (
                RING_ALONG * p + RING_ACROSS * q,
                RING_ALONG * q + RING_ACROSS * p,
                RING_PUSH * (p + q),
            )
        u, v, push = (
            self._give(way, disc, ring, lasts, plate)
            for way, disc, ring in zip(("tilt", "tilt", "sink"), discs, rings, strict=True)
        )
        over = hypot(u.bears_n * along_u, v.bears_n * along_v)
        return _Bent(
            hypot(u.moved * along_u, v.moved * along_v),
            push.moved * abs(float(force[2])),
            over + push.bears_n * abs(float(force[2])),
            (
                max(discs[0], rings[0] or 0.0),
                max(discs[1], rings[1] or 0.0),
                max(discs[2], rings[2] or 0.0),
            ),
        )

    def _grip(self, along_u: float, along_v: float) -> tuple[float, float]:
        """How much of the base holds on to the wall: as far as past the outermost washer on the
        side that lifts."""
        length, width = self.sides_m
        fastener = self.mount.hold.fastener
        if fastener is None or not len(self.bolts_m):
            return length, width
        reach = fastener.washer_mm * MM / 2
        u = -self.bolts_m[:, 0] if along_u >= 0 else self.bolts_m[:, 0]
        v = self.bolts_m[:, 1] if along_v >= 0 else -self.bolts_m[:, 1]
        return (
            min(length, length / 2 + float(u.max()) + reach),
            min(width, width / 2 + float(v.max()) + reach),
        )

    def _give(
        self, way: str, disc: float, ring: float | None, lasts: Duration, plate: PlateStuff | None
    ) -> Give:
        key = (way, disc, ring, lasts, plate is None, plate and plate.thickness_mm)
        if key not in self._gives:
            wall = self.mount.wall
            solve = tilting if way == "tilt" else sinking
            stiffness = wall.by_duration.of(lasts).stiffness
            here = sheet(wall.e_mpa * MPA * stiffness, wall.nu, wall.thickness_mm * MM,
                         wall.core_mm * MM)  # fmt: skip
            there = None if plate is None else stuff_sheet(plate, lasts)
            self._gives[key] = solve(disc, ring, wall.radius_m, here, there, wall.edge)
        return self._gives[key]

    def tilt_with_rad(
        self, side_m: float, stuff: PlateStuff, situations: Sequence[Situation]
    ) -> float:
        """The greatest tilt with a square plate of some stuff."""
        plate = CasePlate.model_construct(
            **dict(stuff), length_m=side_m, width_m=side_m, yield_mpa=1.0
        )
        loads = ((one.duration, *loads_of(one)) for one in situations)
        return max(
            self.bent(force, moment, lasts, plate).tilt_rad for lasts, force, moment in loads
        )

    # Strength.

    def _of_bolts(
        self, one: Fastener, lasts: Duration, pulls: Array, across: Array, twist_nm: float
    ) -> dict[str, float | None]:
        wall = self.mount.wall
        ks = wall.by_duration.of(lasts).strength
        carries = one.area_mm2 * one.yield_mpa  # N
        bolt = np.maximum(pulls / carries, across / (0.6 * carries) + pulls / (1.4 * carries))
        pull, shear = float(pulls.max()), float(across.max())
        skin_mm = wall.thickness_mm - wall.core_mm
        tear = None
        if one.edge_m is not None:
            left_mm = max(0.0, one.edge_m / MM - one.d_mm / 2)
            tear = _safety(2 * left_mm * skin_mm * wall.shear_mpa * ks, shear)
        twist = None
        if len(pulls) == 1:
            grips_m = 2 / 3 * sqrt(self.area_m2 / pi)
            twist = _safety(one.friction * one.clamp_n * grips_m, twist_nm)
        return {
            "bolt": _safety(1.0, float(bolt.max())),
            "hold": _safety(self.holds_n(one, lasts), pull),
            "bearing": _safety(one.d_mm * skin_mm * wall.bearing_mpa * ks, shear),
            "tear": tear,
            "twist": twist,
        }

    def holds_n(self, one: Fastener, lasts: Duration) -> float:
        """What one fastener holds straight out."""
        wall = self.mount.wall
        ks, skin_mm = wall.by_duration.of(lasts).strength, wall.thickness_mm - wall.core_mm
        if one.kind == "rated":
            return (one.rated_n or 0.0) * ks
        if one.kind == "screw":
            return pi * one.d_mm * (one.grip_mm or 0.0) * wall.shear_mpa * ks
        spread_mm = self._spread_mm(one, lasts)
        punch = pi * spread_mm * skin_mm * wall.shear_mpa
        crush = pi / 4 * (spread_mm**2 - one.d_mm**2) * wall.bearing_mpa
        return min(punch, crush) * ks

    def _spread_mm(self, one: Fastener, lasts: Duration) -> float:
        """The washer; over a plate what the plate spreads it to (EN 1993-1-8, 6.2.5)."""
        plate, wall = self.mount.plate, self.mount.wall
        if plate is None:
            return one.washer_mm
        factors, ks = plate.by_duration, wall.by_duration.of(lasts).strength
        ks_plate = 1.0 if factors is None else factors.of(lasts).strength
        reach = plate.thickness_mm * sqrt(plate.yield_mpa * ks_plate / (3 * wall.bearing_mpa * ks))
        side_mm = min(plate.length_m, plate.width_m) / MM
        return max(one.washer_mm, min(one.washer_mm + 2 * reach, side_mm))

    @property
    def area_m2(self) -> float:
        """Of the base."""
        length, width = self.sides_m
        return length * width * (pi / 4 if self._round else 1.0)

    def _of_wall(
        self, lasts: Duration, force: Array, moment: Array, bent: _Bent, wall_pa: float
    ) -> dict[str, float | None]:
        wall = self.mount.wall
        ks, skin_m = wall.by_duration.of(lasts).strength, (wall.thickness_mm - wall.core_mm) * MM
        u, v, push = bent.rings_m
        # Along a rim of radius r: a push spreads over 2πr, a couple over πr².
        by_u, by_v = float(moment[1]) / (pi * u * u), float(moment[0]) / (pi * v * v)
        along_m = abs(float(force[2])) / (2 * pi * push) + hypot(by_u, by_v)
        return {
            "punch": _safety(skin_m * wall.shear_mpa * MPA * ks, along_m),
            "wall": _safety(wall.bend_mpa * MPA * ks, wall_pa),
        }

    def _of_bond(self, lasts: Duration, force: Array, moment: Array) -> dict[str, float | None]:
        """A rigid pad: mean stress and that of bending; no peel front."""
        hold = self.mount.hold
        assert hold.by_duration is not None, "required before"
        assert hold.tension_mpa is not None, "required before"
        assert hold.shear_mpa is not None, "required before"
        ks, area = hold.by_duration.of(lasts).strength, self.area_m2
        length, width = self.sides_m
        m_u, m_v = abs(float(moment[0])), abs(float(moment[1]))
        if self._round:
            bending = hypot(m_u, m_v) / (pi * length**3 / 32)
            polar, far = pi * length**4 / 32, length / 2
        else:
            bending = m_u / (length * width**2 / 6) + m_v / (width * length**2 / 6)
            polar, far = area * (length**2 + width**2) / 12, hypot(length, width) / 2
        pull = float(force[2]) / area + bending
        shear = hypot(float(force[0]), float(force[1])) / area + abs(float(moment[2])) * far / polar
        return {
            "peel": _safety(hold.tension_mpa * MPA * ks, pull),
            "bond_shear": _safety(hold.shear_mpa * MPA * ks, shear),
        }


def loads_of(situation: Situation) -> tuple[Array, Array]:
    """Force (3,) N and moment (3,) N·m at the middle of the base."""
    forces = []
    for one in situation.forces:
        if one.force_n is not None:
            force = np.array(one.force_n)
        else:
            assert one.mass_kg is not None, "required before"
            assert one.accel_g is not None, "required before"
            force = one.mass_kg * GRAVITY_M_S2 * np.array(one.accel_g)
        forces.append((force, np.array(one.at_m)))
    return sums(forces)


def stuff_sheet(plate: PlateStuff, lasts: Duration) -> Sheet:
    """A plate as a sheet, under a load that lasts."""
    stiffness = 1.0 if plate.by_duration is None else plate.by_duration.of(lasts).stiffness
    return sheet(plate.e_mpa * MPA * stiffness, plate.nu, plate.thickness_mm * MM)


def plate_side_needed_m(
    mounted: Mounted, situations: Sequence[Situation], limit_deg: float, stuff: PlateStuff | None
) -> float | None:
    """The side of the smallest square plate of some stuff that brings every tilt under the limit:
    0 where none is needed, None where none does."""
    limit = radians(limit_deg)
    bare = (mounted.bent(*loads_of(one), one.duration, None) for one in situations)
    if max(one.tilt_rad for one in bare) <= limit:
        return 0.0
    low, high = 0.0, mounted.mount.wall.radius_m / (RING_ALONG + RING_ACROSS)
    if stuff is None or mounted.tilt_with_rad(high, stuff, situations) > limit:
        return None
    while high - low > _SIDE_M:
        middle = (low + high) / 2
        if mounted.tilt_with_rad(middle, stuff, situations) > limit:
            low = middle
        else:
            high = middle
    return high


def _safety(strength: float, demand: float) -> float:
    """Strength over demand; MOST at the most, and where nothing is asked."""
    return MOST if demand <= 0 else min(MOST, strength / demand)
