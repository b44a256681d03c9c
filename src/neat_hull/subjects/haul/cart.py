"""A boat on two wheels, pulled by its handle: what the hand and the axle bear, by ground and slope.

On soft ground a rigid wheel after Bekker, *Theory of Land Locomotion*, 1956.
"""

from dataclasses import dataclass
from math import asin, atan2, cos, degrees, hypot, pi, radians, sin, sqrt

import scipy  # its parts are loaded when first asked: they would hold up every start

from neat_hull.errors import NoPosition
from neat_hull.model.haul_case import CaseCart, CaseUnder, Ground, Posts
from neat_hull.physics.water.gravity import GRAVITY_M_S2
from neat_hull.subjects.haul.weights import Weight

Place = tuple[float, float]
MOST = 999.0  # times strong enough, and more


@dataclass(frozen=True)
class OnPosts:
    """What posts press on the hull with, and how many times it stands that."""

    post_n: float
    side_n: float
    ring_mpa: float
    tube_mpa: float
    slab_mpa: float | None
    least_without: float
    least_with: float | None


@dataclass(frozen=True)
class OnGround:
    """On one ground: up in the hand and along the pull, on the axle, into the soil, over a step."""

    name: str
    hand_up_n: float
    pull_n: float
    hand_n: float
    axle_n: float
    rolling_n: float
    pressure_kpa: float
    pressure_share: float
    sinkage_m: float | None
    step_pull_n: float | None
    posts: OnPosts | None


@dataclass(frozen=True)
class Clearance:
    """How high something under the hull is over level ground."""

    name: str
    clearance_m: float


@dataclass(frozen=True)
class Wheeled:
    """The boat on its cart."""

    pitch_deg: float
    side_tip_deg: float
    grounds: list[OnGround]
    clearances: list[Clearance]
    axle_x_for_target_m: float | None


@dataclass(frozen=True)
class _Stand:
    """A cart as it stands: turned by so much, X toward the handle, from the axle."""

    cart: CaseCart
    of: Weight
    axle_m: Place
    alpha: float

    @classmethod
    def at(cls, cart: CaseCart, of: Weight, axle_x_m: float | None = None) -> "_Stand":
        """At the handle's height, its axle where it is or elsewhere. Raises NoPosition where it
        cannot be held so high."""
        axle = cart.axle_m if axle_x_m is None else (axle_x_m, cart.axle_m[1])
        ahead, up = _own(cart, axle, cart.handle_m)
        far = hypot(ahead, up)
        rise = cart.handle_height_m - cart.wheel_radius_m
        if far == 0 or abs(rise) > far:
            raise NoPosition("cart.handle_height_m", "the handle cannot be held at that height")
        return cls(cart, of, axle, asin(rise / far) - atan2(up, ahead))

    def turned(self, place: Place) -> Place:
        """A place of the boat, from the axle, as it stands."""
        x, z = _own(self.cart, self.axle_m, place)
        c, s = cos(self.alpha), sin(self.alpha)
        return x * c - z * s, x * s + z * c

    @property
    def weight_n(self) -> float:
        """All of it."""
        return self.of.kg * GRAVITY_M_S2


def _own(cart: CaseCart, axle_m: Place, place: Place) -> Place:
    """From the axle, along toward the handle and up."""
    x_a, z_a = axle_m
    way = 1.0 if cart.handle_m[0] >= x_a else -1.0
    return way * (place[0] - x_a), place[1] - z_a


def wheeled(cart: CaseCart, of: Weight, length_m: float, under: list[CaseUnder]) -> Wheeled:
    """On all its grounds. Raises NoPosition where it cannot stand so, or lifts its axle off."""
    stand = _Stand.at(cart, of)
    _, g_z = stand.turned((of.x_m, of.z_m))
    return Wheeled(
        pitch_deg=degrees(stand.alpha),
        side_tip_deg=degrees(atan2(cart.track_m / 2, cart.wheel_radius_m + g_z)),
        grounds=[_on(stand, one, f"cart.grounds[{i}]") for i, one in enumerate(cart.grounds)],
        clearances=[
            Clearance(
                one.name,
                cart.wheel_radius_m + min(stand.turned((x, one.z_m))[1] for x in one.x_m),
            )
            for one in under
        ],
        axle_x_for_target_m=axle_for_target(cart, of, length_m),
    )


def _sunk_m(cart: CaseCart, ground: Ground, axle_n: float) -> float:
    """How deep each wheel goes in."""
    assert ground.soil is not None, "asked of soft ground"
    soil, w = ground.soil, cart.wheel_width_m
    k = 1000 * (soil.kc / w + soil.kphi)
    root = sqrt(2 * cart.wheel_radius_m)
    borne = 3 * (axle_n / 2) / (w * (3 - soil.n) * k * root)
    return float(borne ** (2 / (2 * soil.n + 1)))


def _rolling_n(cart: CaseCart, ground: Ground, axle_n: float) -> float:
    if ground.soil is None:
        return (ground.rolling or 0.0) * axle_n
    soil, w = ground.soil, cart.wheel_width_m
    k = 1000 * (soil.kc / w + soil.kphi)
    sunk = _sunk_m(cart, ground, axle_n)
    return float(2 * w * k * sunk ** (soil.n + 1) / (soil.n + 1))


def _on(stand: _Stand, ground: Ground, field: str) -> OnGround:
    cart, weight = stand.cart, stand.weight_n
    h_x, h_z = stand.turned(cart.handle_m)
    g_x, g_z = stand.turned((stand.of.x_m, stand.of.z_m))
    slope = radians(ground.slope_deg)
    down, back = weight * cos(slope), weight * sin(slope)

    def left_over(axle: float) -> float:
        """Of the moment about the axle, where it bears so much."""
        pull = back + _rolling_n(cart, ground, axle)
        return (down - axle) * h_x - pull * h_z - down * g_x + back * g_z

    if left_over(0.0) <= 0:
        raise NoPosition(field, "the axle lifts off: the weight lies past the handle")
    most = down + weight
    while left_over(most) > 0:
        most *= 2
    axle = float(scipy.optimize.brentq(left_over, 0.0, most, xtol=1e-9, rtol=1e-13))
    up, rolls = down - axle, _rolling_n(cart, ground, axle)
    pull = back + rolls
    r, s = cart.wheel_radius_m, ground.step_m
    step = None if s >= r else axle * sqrt(2 * r * s - s**2) / (r - s)
    pressure = axle / 2 / (r * cart.wheel_width_m) / 1000
    return OnGround(
        name=ground.name,
        hand_up_n=up,
        pull_n=pull,
        hand_n=hypot(up, pull),
        axle_n=axle,
        rolling_n=rolls,
        pressure_kpa=pressure,
        pressure_share=pressure / ground.bearing_kpa,
        sinkage_m=None if ground.soil is None else _sunk_m(cart, ground, axle),
        step_pull_n=step,
        posts=None if cart.posts is None else _posts(cart.posts, axle, max(rolls, step or 0.0)),
    )


def _posts(posts: Posts, axle_n: float, along_n: float) -> OnPosts:
    """Ring and tube without slabs; with them the pressure under a slab that is pushed aside."""
    down, side = posts.bump * axle_n / posts.count, along_n / posts.count
    tube, below = 1000 * posts.tube_m, 1000 * posts.below_m
    ring = down / (pi / 4 * (posts.ring_mm**2 - posts.d_mm**2))
    bored = side / (posts.d_mm * tube) + 6 * side * (below + tube / 2) / (posts.d_mm * tube**2)
    slab = None
    if posts.slab_m is not None and down > 0:
        a, b = (1000 * long for long in posts.slab_m)
        off = side * below / down
        if off <= a / 6:
            slab = down / (a * b) * (1 + 6 * off / a)
        elif off < a / 2:
            slab = 2 * down / (3 * b * (a / 2 - off))
    return OnPosts(
        post_n=down,
        side_n=side,
        ring_mpa=ring,
        tube_mpa=bored,
        slab_mpa=slab,
        least_without=min(MOST, posts.bearing_mpa / max(ring, bored, 1e-12)),
        least_with=None if slab is None else min(MOST, posts.bearing_mpa / max(slab, 1e-12)),
    )


def axle_for_target(cart: CaseCart, of: Weight, length_m: float) -> float | None:
    """Where the axle must be for so much in the hand, on level ground that nothing rolls on:
    between the centre of gravity and the end away from the handle."""
    away = 0.0 if cart.handle_m[0] >= cart.axle_m[0] else length_m

    def over(x: float) -> float:
        return level_hand_n(cart, of, x) - cart.hand_target_n

    try:
        low, high = over(of.x_m), over(away)
    except (NoPosition, ZeroDivisionError):
        return None
    if low * high > 0:
        return None
    return float(scipy.optimize.brentq(over, of.x_m, away, xtol=1e-12))


def level_hand_n(cart: CaseCart, of: Weight, axle_x_m: float) -> float:
    """What the hand bears on level ground that nothing rolls on, the axle there. Raises NoPosition,
    or ZeroDivisionError where the handle stands over it."""
    stand = _Stand.at(cart, of, axle_x_m)
    return stand.weight_n * stand.turned((of.x_m, of.z_m))[0] / stand.turned(cart.handle_m)[0]


def with_axle(cart: CaseCart, x_m: float) -> CaseCart:
    """The same with its axle elsewhere."""
    return cart.model_copy(update={"axle_m": (x_m, cart.axle_m[1])})
