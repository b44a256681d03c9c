"""The base of a mount on its wall: how far that tilts and sinks, and the plate that would do."""

from collections.abc import Sequence
from dataclasses import dataclass, field
from functools import cached_property
from math import hypot, pi, radians

from neat_hull.model.mount_case import CaseMount, CasePlate, Duration, PlateStuff
from neat_hull.physics.fixing.bolts import Triple, sums
from neat_hull.physics.fixing.panel import Give, Sheet, sheet, sinking, tilting
from neat_hull.subjects.fixing.loading import Loading

MPA, MM = 1e6, 1e-3

# Discs that stand for rectangles: our fit to finite elements of a clamped panel, within 6 % in
# tilt for sides of 1 : 4 to 4 : 1. Of a base along its couple and across it, under a push, and the
# same of a plate.
DISC_ALONG, DISC_ACROSS, DISC_PUSH, ROUND_DISC = 0.42, 0.18, 0.30, 5 / 6
RING_ALONG, RING_ACROSS, RING_PUSH = 0.40, 0.17, 0.285
_SIDE_M = 1e-5  # how close the side of a plate is found


@dataclass(frozen=True)
class Bent:
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

    def under(self, force: Triple, moment: Triple) -> Bent:
        """Under a load."""
        along_u, along_v, out = moment[1], moment[0], abs(force[2])
        return Bent(
            hypot(self.u.moved * along_u, self.v.moved * along_v),
            self.push.moved * out,
            hypot(self.u.bears_n * along_u, self.v.bears_n * along_v) + self.push.bears_n * out,
            self.rings_m,
        )


@dataclass
class Base:
    """The base of a mount, with what its wall gives under units of load worked out once."""

    mount: CaseMount
    _gives: dict[tuple[Duration, bool, bool, bool], _Gives] = field(default_factory=dict)

    @property
    def sides_m(self) -> tuple[float, float]:
        """Length and width of the base; of a round one twice its diameter."""
        base = self.mount.base
        return base.length_m, base.width_m if base.width_m and not self.round else base.length_m

    @property
    def round(self) -> bool:
        """Rather than a rectangle."""
        return self.mount.base.shape == "round"

    @cached_property
    def spots_m(self) -> list[tuple[float, float]]:
        """Where its bolts are; none of a bond."""
        return list(self.mount.hold.bolts_m or [])

    @property
    def area_m2(self) -> float:
        """That it covers."""
        length, width = self.sides_m
        return length * width * (pi / 4 if self.round else 1.0)

    def bent(self, force: Triple, moment: Triple, lasts: Duration, plated: bool) -> Bent:
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
        k = ROUND_DISC if self.round else 1.0
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
        disc *= ROUND_DISC if self.round else 1.0
        ring = 0.0 if plate is None else RING_PUSH * (plate.length_m + plate.width_m)
        wall, (here, there) = self.mount.wall, self._sheets(lasts, plate)
        push = sinking(disc, ring or None, wall.radius_m, here, there, wall.edge)
        return _Gives(u, v, push, (*far, max(disc, ring)))

    def _sheets(self, lasts: Duration, plate: CasePlate | None) -> tuple[Sheet, Sheet | None]:
        wall = self.mount.wall
        stiff_pa = wall.e_mpa * MPA * wall.by_duration.of(lasts).stiffness
        here = sheet(stiff_pa, wall.nu, wall.thickness_mm * MM, wall.core_mm * MM)
        return here, None if plate is None else _stuff_sheet(plate, lasts)

    def _grip(self, along_u: float, along_v: float) -> tuple[float, float]:
        """How much of the base holds on to the wall: as far as past the outermost washer on the
        side that lifts."""
        length, width = self.sides_m
        fastener = self.mount.hold.fastener
        if fastener is None or not self.spots_m:
            return length, width
        reach = fastener.washer_mm * MM / 2
        u_way, v_way = -1.0 if along_u >= 0 else 1.0, 1.0 if along_v >= 0 else -1.0
        return (
            min(length, length / 2 + max(u_way * u for u, _ in self.spots_m) + reach),
            min(width, width / 2 + max(v_way * v for _, v in self.spots_m) + reach),
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


def _stuff_sheet(plate: PlateStuff, lasts: Duration) -> Sheet:
    """A plate as a sheet, under a load that lasts."""
    stiffness = 1.0 if plate.by_duration is None else plate.by_duration.of(lasts).stiffness
    return sheet(plate.e_mpa * MPA * stiffness, plate.nu, plate.thickness_mm * MM)


def plate_side_needed_m(
    base: Base, situations: Sequence[Loading], limit_deg: float, stuff: PlateStuff | None
) -> float | None:
    """The side of the smallest square plate of some stuff that brings every tilt under the limit:
    0 where none is needed, None where none does."""
    limit = radians(limit_deg)
    bare = (base.bent(*sums(one.pulls), one.duration, False) for one in situations)
    if max(one.tilt_rad for one in bare) <= limit:
        return 0.0
    low, high = 0.0, base.mount.wall.radius_m / (RING_ALONG + RING_ACROSS)
    if stuff is None or base.tilt_with_rad(high, stuff, situations) > limit:
        return None
    while high - low > _SIDE_M:
        middle = (low + high) / 2
        if base.tilt_with_rad(middle, stuff, situations) > limit:
            low = middle
        else:
            high = middle
    return high
