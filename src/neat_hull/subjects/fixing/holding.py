"""A mount under its loads: pulls of its bolts, and how far all of it is from breaking."""

from collections.abc import Sequence
from dataclasses import dataclass, field
from functools import cached_property
from math import degrees, hypot, pi, sqrt

import numpy as np

from neat_hull.model.mount_case import CaseMount, Duration, Fastener
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
from neat_hull.physics.fixing.panel import section_m2
from neat_hull.subjects.fixing.bending import MM, MPA, Base, Bent
from neat_hull.subjects.fixing.loading import Loading

MOST = 999.0  # safety is not told beyond
CHECKS = ("bolt", "hold", "bearing", "tear", "twist", "punch", "wall", "peel", "bond_shear")


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


@dataclass
class Mounted:
    """A mount, with what of it does not hang on the load worked out once."""

    mount: CaseMount
    _holds: dict[Duration, float] = field(default_factory=dict)

    @cached_property
    def base(self) -> Base:
        """What it stands on its wall with."""
        return Base(self.mount)

    @cached_property
    def bolts_m(self) -> Array:
        """(n, 2); none of a bond."""
        return np.array(self.base.spots_m, dtype=float).reshape(-1, 2)

    @cached_property
    def _maps(self) -> tuple[Array, Array]:
        length, width = self.base.sides_m
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
        if not self.base.spots_m:
            return [[] for _ in loads]
        work = work_of(*(np.array([one[n] for one in loads]) for n in (0, 1)))
        if self.base.round:
            found = round_pulls(self.mount.base.length_m / 2, self.bolts_m, work)
        else:
            found = rectangle_pulls(self._maps, work)
        pulls: list[list[float]] = found.tolist()
        return pulls

    def _held(self, situation: Loading, force: Triple, moment: Triple, pulls: list[float]) -> Held:
        wall, plate = self.mount.wall, self.mount.plate
        lasts = situation.duration
        bare = self.base.bent(force, moment, lasts, False)
        bent = bare if plate is None else self.base.bent(force, moment, lasts, True)
        wall_pa = bent.bears_n / section_m2(wall.thickness_mm * MM, wall.core_mm * MM)
        across: list[float] = []
        safety: dict[str, float | None] = dict.fromkeys(CHECKS)
        if self.mount.hold.fastener is not None and pulls:
            each, twist = shears(self.base.spots_m, force, moment)
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
            grips_m = 2 / 3 * sqrt(self.base.area_m2 / pi)
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

    def _of_wall(
        self, lasts: Duration, force: Triple, moment: Triple, bent: Bent, wall_pa: float
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
        ks, area = hold.by_duration.of(lasts).strength, self.base.area_m2
        length, width = self.base.sides_m
        m_u, m_v = abs(moment[0]), abs(moment[1])
        if self.base.round:
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


def _safety(strength: float, demand: float) -> float:
    """Strength over demand; MOST at the most, and where nothing is asked."""
    return MOST if demand <= 0 else min(MOST, strength / demand)
