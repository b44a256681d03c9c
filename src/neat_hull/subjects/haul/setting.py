"""A setup as the bare case that its figures are worked out from."""

from collections.abc import Iterator
from functools import lru_cache
from math import asin, atan2, degrees, hypot, sin

import numpy as np

from neat_hull.model.haul import (
    BedPlan,
    CartPlan,
    PostsPlan,
    Rides,
    RoofPlan,
    Stretch,
    TrailerPlan,
)
from neat_hull.model.haul_case import (
    CaseBed,
    CaseBoat,
    CaseCart,
    CaseLift,
    CaseRoof,
    CaseSlide,
    CaseThing,
    CaseUnder,
    Ground,
    HaulCase,
    OverhangRule,
    Posts,
    State,
)
from neat_hull.physics.hull.shape import Hull
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.haul import typical
from neat_hull.subjects.haul.aboard import Hold, RoadThing, Under, ends, rides, under
from neat_hull.subjects.haul.cart import axle_for_target, with_axle
from neat_hull.subjects.haul.weights import Weight, weight

Place = tuple[float, float]
_FAR_M, _BUNK_M = 99.0, 0.1  # no end ahead, no roof below; a bunk is so broad along the boat
_SETTLES = 4  # times over, until the point that it turns about stays the same


def case(ev: Evaluated) -> HaulCase:
    """Everything of it by its id in text; x from the stern's end. On what it does not travel is
    null."""
    plan, x_0 = ev.setup.haul, ev.rigged.floating.hull.x_aft_m
    loads, row = ev.rigged.loads, ev.rigged.rows.hull
    x, _, z = loads.at_m[row].tolist()
    boat = CaseBoat.model_construct(
        length_m=ev.rigged.floating.hull.length_m, mass_kg=float(loads.mass_kg[row]),
        x_m=x - x_0, z_m=z,
    )  # fmt: skip
    things = [_thing(one, x_0) for one in ev.once(rides)]
    first = HaulCase.model_construct(
        boat=boat, things=things, comfort_kg=comfort_kg(ev), aim_kg=0.0,
        under=[as_under(ev, one) for one in ev.once(under)],
        overhang_rule=OverhangRule.model_construct(**plan.rule.model_dump()),
    )  # fmt: skip
    bare = weight(first, "bare")
    bars: dict[Rides | None, RoofPlan | TrailerPlan] = {
        "roof": plan.roof, "trailer": plan.trailer,
    }  # fmt: skip
    roof = bars.get(plan.rides)
    return first.model_copy(
        update={
            "lifts": list(_lifts(ev)),
            "roof": None if roof is None else _roof(ev, roof, bare),
            "slide": _slide(ev, plan.roof, bare) if plan.rides == "roof" else None,
            "bed": _bed(plan.bed) if plan.rides == "bed" else None,
            "cart": None if plan.cart is None else as_cart(ev, plan.cart, first),
        }
    )


@lru_cache(maxsize=2048)  # most of them stay where they are all through a drag
def _thing(one: RoadThing, x_0: float) -> CaseThing:
    return CaseThing.model_construct(
        name=str(one.thing_id),
        mass_kg=one.kg,
        x_m=one.x_m - x_0,
        z_m=one.z_m,
        comes_off=one.leaves == "off",
        minutes=one.minutes,
    )


def as_under(ev: Evaluated, one: Under) -> CaseUnder:
    """Something under the hull, from the stern's end."""
    x_0 = ev.rigged.floating.hull.x_aft_m
    return CaseUnder.model_construct(
        name=str(one.thing_id),
        x_m=(one.x_m[0] - x_0, one.x_m[1] - x_0),
        z_m=one.z_m,
        comes_off=one.comes_off,
    )


def weights_of(ev: Evaluated) -> dict[State, Weight]:
    """The case, bare and loaded."""
    of = ev.once(case)
    return {"bare": weight(of, "bare"), "loaded": weight(of, "loaded")}


def comfort_kg(ev: Evaluated) -> float:
    """As its owner says, or as is typical."""
    said = ev.setup.haul.comfort_kg
    return typical.COMFORT_KG if said is None else said


def hand_m(ev: Evaluated) -> float:
    """How high a hand hangs over the ground."""
    cart = ev.setup.haul.cart
    said = None if cart is None else cart.hand_height_m
    return typical.HAND_HEIGHT * ev.setup.angler.stature_m if said is None else said


def states(ev: Evaluated) -> tuple[State, ...]:
    """In which states it is lifted: bare, and as it goes on its cart."""
    cart = ev.setup.haul.cart
    return ("bare", "loaded") if cart is not None and cart.loaded else ("bare",)


def _lifts(ev: Evaluated) -> Iterator[CaseLift]:
    """Two lift it level; one lifts an end to where a hand hangs, the other rests on the ground."""
    aft, fore = ev.once(ends)
    x_0, high = ev.rigged.floating.hull.x_aft_m, hand_m(ev)
    for state in states(ev):
        for end, hold, other in (("bow", fore, aft), ("stern", aft, fore)):
            angle, at = 0.0, other.at
            if ev.setup.haul.people == 1:
                angle, at = raised(ev.rigged.floating.hull, hold, high)
            yield CaseLift.model_construct(
                name=end,
                hold_m=(hold.x_m - x_0, hold.z_m),
                other_m=(at[0] - x_0, at[1]),
                angle_deg=angle,
                state=state,
                people=1,
                niosh=typical.niosh(hold.z_m, high),
            )


@lru_cache(maxsize=64)  # a hull, its handles and a hand stay the same while gear is moved
def raised(hull: Hull, hold: Hold, high_m: float) -> tuple[float, Place]:
    """How far it is turned when the hold is so high over level ground, and where the hull then
    touches: the lowest place of its keel."""
    way = 1.0 if hold.x_m > (hull.x_aft_m + hull.x_fwd_m) / 2 else -1.0
    angle = 0.0
    x, z = hull.x_m, hull.keel_z_m
    at = int(np.argmin(z))
    for _ in range(_SETTLES):
        at = int(np.argmin(way * x * sin(angle) + z * np.cos(angle)))
        along, up = way * (hold.x_m - x[at]), hold.z_m - z[at]
        far = max(hypot(along, up), high_m)
        angle = max(0.0, asin(high_m / far) - atan2(up, along)) if along > 0 else 0.0
    return degrees(angle), (float(x[at]), float(z[at]))


def rear_x_m(one: RoofPlan | TrailerPlan, bare: Weight, x_0: float) -> float:
    """Where the rear bar or bunk is under the boat, from the stern's end: as said, or with the
    weight between them."""
    return bare.x_m - one.spacing_m / 2 if one.rear_x_m is None else one.rear_x_m - x_0


def _roof(ev: Evaluated, one: RoofPlan | TrailerPlan, bare: Weight) -> CaseRoof:
    """Bars, or the bunks of a trailer: no roof is under those, and ahead of them is the car."""
    hull = ev.rigged.floating.hull
    x_0 = hull.x_aft_m
    x = rear_x_m(one, bare, x_0)
    car = one if isinstance(one, RoofPlan) else None
    return CaseRoof.model_construct(
        rear_bar_x_m=x,
        spacing_m=one.spacing_m,
        behind_bar_m=one.behind_m,
        ahead_bar_m=_FAR_M if car is None else car.ahead_m,
        limit_kg=one.limit_kg,
        extras_kg=0.0 if car is None else car.extras_kg,
        bar_width_m=_BUNK_M if car is None else car.bar_width_m,
        bar_over_roof_m=_FAR_M if car is None else car.over_roof_m,
        keel_z_m=(
            hull.keel_at_m(x_0 + x),
            hull.keel_at_m(x_0 + x + one.spacing_m),
        ),
    )


def _slide(ev: Evaluated, one: RoofPlan, bare: Weight) -> CaseSlide:
    """The bow on the rear bar and the stern in the hands, pushed until it lies on both."""
    hull = ev.rigged.floating.hull
    aft, _ = ev.once(ends)
    end = rear_x_m(one, bare, hull.x_aft_m)
    start = max(end, hull.length_m - 0.15)
    far = start - (aft.x_m - hull.x_aft_m)
    low = max(typical.HAND_LOW_M, one.bar_height_m - 0.9 * far)
    return CaseSlide.model_construct(
        bar_height_m=one.bar_height_m,
        hand_x_m=aft.x_m - hull.x_aft_m,
        contact_m=(start, end),
        hand_height_m=(min(low, one.bar_height_m), one.bar_height_m),
        friction=typical.FRICTION[one.slides_on],
        steps=typical.SLIDE_STEPS,
    )


def _bed(one: BedPlan) -> CaseBed:
    return CaseBed.model_construct(**one.model_dump())


def as_cart(ev: Evaluated, one: CartPlan, of: HaulCase) -> CaseCart:
    """On each stretch of the way. Where nobody has set the axle, it stands where the hand bears
    what it is to bear."""
    hull, state = ev.rigged.floating.hull, cart_state(one)
    aft, fore = ev.once(ends)
    pulled = fore if one.by == "bow" else aft
    wheel = typical.WHEELS[one.wheels]
    x_0, at = hull.x_aft_m, weight(of, state)
    x = at.x_m if one.axle_x_m is None else one.axle_x_m - x_0
    cart = CaseCart.model_construct(
        state=state,
        axle_m=(x, ev.rigged.floating.hull.keel_at_m(x_0 + x) - one.under_m),
        wheel_radius_m=one.radius_m or wheel.radius_m,
        wheel_width_m=one.width_m or wheel.width_m,
        track_m=one.track_m,
        handle_m=(pulled.x_m - x_0, pulled.z_m),
        handle_height_m=hand_m(ev),
        hand_target_n=one.hand_n,
        grounds=[ground(one, stretch) for stretch in way(ev)],
        posts=None if one.posts is None else _posts(one.posts),
    )
    wanted = axle_for_target(cart, at, hull.length_m) if one.axle_x_m is None else None
    return cart if wanted is None else with_axle(cart, wanted)


def cart_state(one: CartPlan) -> State:
    """What rides on it."""
    return "loaded" if one.loaded else "bare"


def way(ev: Evaluated) -> list[Stretch]:
    """The way to the water; where nobody has said, one stretch as is usual."""
    return ev.setup.haul.way or [Stretch()]


def ground(one: CartPlan, stretch: Stretch) -> Ground:
    """One stretch under these wheels."""
    return Ground.model_construct(
        name=stretch.ground,
        slope_deg=stretch.slope_deg,
        rolling=typical.ROLLING[stretch.ground][one.wheels],
        soil=None,
        step_m=stretch.step_m,
        bearing_kpa=typical.BEARING_KPA[stretch.ground],
    )


def _posts(one: PostsPlan) -> Posts:
    return Posts.model_construct(
        count=one.count, d_mm=one.d_mm, tube_m=one.tube_m, below_m=one.below_m,
        ring_mm=max(one.ring_mm, one.d_mm + 1.0), slab_m=typical.SLAB_M,
        bump=typical.BUMP, bearing_mpa=typical.POST_BEARS_MPA,
    )  # fmt: skip
