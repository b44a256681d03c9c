"""A mount under its loads: pulls of its bolts, tilt of its wall, and how far from breaking."""

from collections.abc import Sequence
from dataclasses import dataclass, field
from functools import cached_property
from math import degrees, hypot, pi, radians, sqrt

import numpy as np

from neat_hull.model.mount_case import (
    CaseForce,
    CaseMount,
    CasePlate,
    Duration,
    Fastener,
    PlateStuff,
    Situation,
)
from neat_hull.physics.arrays import Array
from neat_hull.physics.fixing.bolts import (
    Triple,
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
class Loading:
    """What pulls at a mount at once, forces with their places in its own axes, and for how long."""

    name: str
    duration: Duration
    pulls: tuple[tuple[Triple, Triple], ...]

    @classmethod
    def of(cls, situation: Situation) -> "Loading":
        """As a case says it."""
        pulls = tuple((_force(one), one.at_m) for one in situation.forces)
        return cls(situation.name, situation.duration, pulls)


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


@dataclass(frozen=True)
class _Gives:
    """What a wall gives under a couple along u, one along v, and a push, a unit of each."""

    u: Give
    v: Give
    push: Give
    rings_m: tuple[float, float, float]

    def under(self, force: Triple, moment: Triple) -> _Bent:
        """Under a load."""
        along_u, along_v, out = moment[1], moment[0], abs(force[2])
        return _Bent(
            hypot(self.u.moved * along_u, self.v.moved * along_v),
            self.push.moved * out,
            hypot(self.u.bears_n * along_u, self.v.bears_n * along_v) + self.push.bears_n * out,
            self.rings_m,
        )


@dataclass
class Mounted:
    """A mount, with what of it does not hang on the load worked out once."""

    mount: CaseMount
    _gives: dict[tuple[Duration, bool, bool, bool], _Gives] = field(default_factory=dict)
    _holds: dict[Duration, float] = field(default_factory=dict)

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
        return np.array(self._spots, dtype=float).reshape(-1, 2)

    @cached_property
    def _spots(self) -> list[tuple[float, float]]:
        return list(self.mount.hold.bolts_m or [])

    @cached_property
    def _maps(self) -> tuple[Array, Array]:
        length, width = self.sides_m
        return rectangle_maps(length / 2, width / 2, self.bolts_m)

    def held(self, situations: Sequence[Loading]) -> list[Held]:
        """In each of some situations, of which there must be one."""
        loads = [sums(one.pulls) for one in situations]
        pulls = self._pulls(loads)
        return [
            self._held(situation, force, moment, pulls[k])
            for k, (situation, (force, moment)) in enumerate(zip(situations, loads, strict=True))
        ]

    def _pulls(self, loads: Sequence[tuple[Triple, Triple]]) -> list[list[float]]:
        if not self._spots:
            return [[] for _ in loads]
        work = work_of(*(np.array([one[n] for one in loads]) for n in (0, 1)))
        if self._round:
            found = round_pulls(self.mount.base.length_m / 2, self.bolts_m, work)
        else:
            found = rectangle_pulls(self._maps, work)
        pulls: list[list[float]] = found.tolist()
        return pulls

    def _held(self, situation: Loading, force: Triple, moment: Triple, pulls: list[float]) -> Held:
        wall, plate = self.mount.wall, self.mount.plate
        lasts = situation.duration
        bare = self.bent(force, moment, lasts, False)
        bent = bare if plate is None else self.bent(force, moment, lasts, True)
        wall_pa = bent.bears_n / section_m2(wall.thickness_mm * MM, wall.core_mm * MM)
        across: list[float] = []
        safety: dict[str, float | None] = dict.fromkeys(CHECKS)
        if self.mount.hold.fastener is not None and pulls:
            each, twist = shears(self._spots, force, moment)
            across = [hypot(u, v) for u, v in each]
            safety |= self._of_bolts(self.mount.hold.fastener, lasts, pulls, across, abs(twist))
        else:
            safety |= self._of_bond(lasts, force, moment)
        safety |= self._of_wall(lasts, force, moment, bent, wall_pa)
        told = {name: value for name, value in safety.items() if value is not None}
        governs = min(told, key=lambda name: told[name], default=None)
        return Held(
            name=situation.name,
            duration=lasts,
            force_n=force,
            moment_nm=moment,
            bolts=list(zip(pulls, across, strict=True)),
            press_n=sum(pulls) - force[2] if pulls else None,
            tilt_deg=degrees(bent.tilt_rad),
            tilt_bare_deg=degrees(bare.tilt_rad),
            sink_mm=bent.sink_m / MM,
            wall_mpa=wall_pa / MPA,
            safety=safety,
            least=MOST if governs is None else told[governs],
            governs=governs,
        )

    # The wall.

    def bent(self, force: Triple, moment: Triple, lasts: Duration, plated: bool) -> _Bent:
        """What the wall does, with its plate in it or without."""
        key = lasts, moment[1] >= 0, moment[0] >= 0, plated
        if key not in self._gives:
            plate = self.mount.plate if plated else None
            self._gives[key] = self._give(moment, lasts, plate)
        return self._gives[key].under(force, moment)

    def _couples(
        self, moment: Triple, lasts: Duration, plate: CasePlate | None
    ) -> tuple[tuple[Give, Give], tuple[float, float]]:
        """What the wall gives under couples along u and v, for sides that lift as they do now, and
        how far out each is stiff."""
        along, across = self._grip(moment[1], moment[0])
        p, q = (0.0, 0.0) if plate is None else (plate.length_m, plate.width_m)
        k = ROUND_DISC if self._round else 1.0
        discs = [
            k * (DISC_ALONG * a + DISC_ACROSS * b) for a, b in ((along, across), (across, along))
        ]
        rings = [RING_ALONG * a + RING_ACROSS * b for a, b in ((p, q), (q, p))]
        wall, (here, there) = self.mount.wall, self._sheets(lasts, plate)
        u, v = (
            tilting(disc, ring or None, wall.radius_m, here, there, wall.edge)
            for disc, ring in zip(discs, rings, strict=True)
        )
        return (u, v), (max(discs[0], rings[0]), max(discs[1], rings[1]))

    def _give(self, moment: Triple, lasts: Duration, plate: CasePlate | None) -> _Gives:
        """What the wall gives under units of load, for sides that lift as they do now."""
        (u, v), far = self._couples(moment, lasts, plate)
        disc = DISC_PUSH * sum(self._grip(moment[1], moment[0]))
        disc *= ROUND_DISC if self._round else 1.0
        ring = 0.0 if plate is None else RING_PUSH * (plate.length_m + plate.width_m)
        wall, (here, there) = self.mount.wall, self._sheets(lasts, plate)
        push = sinking(disc, ring or None, wall.radius_m, here, there, wall.edge)
        return _Gives(u, v, push, (*far, max(disc, ring)))

    def _sheets(self, lasts: Duration, plate: CasePlate | None) -> tuple[Sheet, Sheet | None]:
        wall = self.mount.wall
        stiff_pa = wall.e_mpa * MPA * wall.by_duration.of(lasts).stiffness
        here = sheet(stiff_pa, wall.nu, wall.thickness_mm * MM, wall.core_mm * MM)
        return here, None if plate is None else stuff_sheet(plate, lasts)

    def _grip(self, along_u: float, along_v: float) -> tuple[float, float]:
        """How much of the base holds on to the wall: as far as past the outermost washer on the
        side that lifts."""
        length, width = self.sides_m
        fastener = self.mount.hold.fastener
        if fastener is None or not self._spots:
            return length, width
        reach = fastener.washer_mm * MM / 2
        u_way, v_way = -1.0 if along_u >= 0 else 1.0, 1.0 if along_v >= 0 else -1.0
        return (
            min(length, length / 2 + max(u_way * u for u, _ in self._spots) + reach),
            min(width, width / 2 + max(v_way * v for _, v in self._spots) + reach),
        )

    def tilt_with_rad(
        self, side_m: float, stuff: PlateStuff, situations: Sequence[Loading]
    ) -> float:
        """The greatest tilt with a square plate of some stuff."""
        plate = CasePlate.model_construct(
            **dict(stuff), length_m=side_m, width_m=side_m, yield_mpa=1.0
        )
        known: dict[tuple[Duration, bool, bool], tuple[Give, Give]] = {}
        most = 0.0
        for one in situations:
            _, moment = sums(one.pulls)
            key = one.duration, moment[1] >= 0, moment[0] >= 0
            if key not in known:
                known[key] = self._couples(moment, one.duration, plate)[0]
            u, v = known[key]
            most = max(most, hypot(u.moved * moment[1], v.moved * moment[0]))
        return most

    # Strength.

    def _of_bolts(
        self,
        one: Fastener,
        lasts: Duration,
        pulls: list[float],
        across: list[float],
        twist_nm: float,
    ) -> dict[str, float | None]:
        wall = self.mount.wall
        ks = wall.by_duration.of(lasts).strength
        carries = one.area_mm2 * one.yield_mpa  # N
        bolt = max(
            max(pull / carries, shear / (0.6 * carries) + pull / (1.4 * carries))
            for pull, shear in zip(pulls, across, strict=True)
        )
        pull, shear = max(pulls), max(across)
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
            "bolt": _safety(1.0, bolt),
            "hold": _safety(self._held_n(one, lasts), pull),
            "bearing": _safety(one.d_mm * skin_mm * wall.bearing_mpa * ks, shear),
            "tear": tear,
            "twist": twist,
        }

    def _held_n(self, one: Fastener, lasts: Duration) -> float:
        if lasts not in self._holds:
            self._holds[lasts] = self.holds_n(one, lasts)
        return self._holds[lasts]

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
        self, lasts: Duration, force: Triple, moment: Triple, bent: _Bent, wall_pa: float
    ) -> dict[str, float | None]:
        wall = self.mount.wall
        ks, skin_m = wall.by_duration.of(lasts).strength, (wall.thickness_mm - wall.core_mm) * MM
        u, v, push = bent.rings_m
        # Along a rim of radius r: a push spreads over 2πr, a couple over πr².
        by_u, by_v = moment[1] / (pi * u * u), moment[0] / (pi * v * v)
        along_m = abs(force[2]) / (2 * pi * push) + hypot(by_u, by_v)
        return {
            "punch": _safety(skin_m * wall.shear_mpa * MPA * ks, along_m),
            "wall": _safety(wall.bend_mpa * MPA * ks, wall_pa),
        }

    def _of_bond(self, lasts: Duration, force: Triple, moment: Triple) -> dict[str, float | None]:
        """A rigid pad: mean stress and that of bending; no peel front."""
        hold = self.mount.hold
        assert hold.by_duration is not None, "required before"
        assert hold.tension_mpa is not None, "required before"
        assert hold.shear_mpa is not None, "required before"
        ks, area = hold.by_duration.of(lasts).strength, self.area_m2
        length, width = self.sides_m
        m_u, m_v = abs(moment[0]), abs(moment[1])
        if self._round:
            bending = hypot(m_u, m_v) / (pi * length**3 / 32)
            polar, far = pi * length**4 / 32, length / 2
        else:
            bending = m_u / (length * width**2 / 6) + m_v / (width * length**2 / 6)
            polar, far = area * (length**2 + width**2) / 12, hypot(length, width) / 2
        pull = force[2] / area + bending
        shear = hypot(force[0], force[1]) / area + abs(moment[2]) * far / polar
        return {
            "peel": _safety(hold.tension_mpa * MPA * ks, pull),
            "bond_shear": _safety(hold.shear_mpa * MPA * ks, shear),
        }


def _force(one: CaseForce) -> Triple:
    if one.force_n is not None:
        return one.force_n
    assert one.mass_kg is not None, "required before"
    assert one.accel_g is not None, "required before"
    weighs = one.mass_kg * GRAVITY_M_S2
    u, v, n = one.accel_g
    return weighs * u, weighs * v, weighs * n


def stuff_sheet(plate: PlateStuff, lasts: Duration) -> Sheet:
    """A plate as a sheet, under a load that lasts."""
    stiffness = 1.0 if plate.by_duration is None else plate.by_duration.of(lasts).stiffness
    return sheet(plate.e_mpa * MPA * stiffness, plate.nu, plate.thickness_mm * MM)


def plate_side_needed_m(
    mounted: Mounted, situations: Sequence[Loading], limit_deg: float, stuff: PlateStuff | None
) -> float | None:
    """The side of the smallest square plate of some stuff that brings every tilt under the limit:
    0 where none is needed, None where none does."""
    limit = radians(limit_deg)
    bare = (mounted.bent(*sums(one.pulls), one.duration, False) for one in situations)
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
