"""All that is live about the boat on land."""

from math import hypot

import numpy as np

from neat_hull.errors import NoPosition
from neat_hull.model.haul_case import HaulCase, State
from neat_hull.model.haul_figures import (
    BarsFigure,
    BedFigure,
    CartFigure,
    ClearFigure,
    GroundFigure,
    HaulFigures,
    LaunchFigure,
    LiftFigure,
    OffRow,
    PostsFigure,
    SideFigure,
    SlideFigure,
    UnderFigure,
    WeightFigure,
)
from neat_hull.physics.water import hydrostatics
from neat_hull.rig.bands import off_kg
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.hulls import as_tested
from neat_hull.rig.settling import at_rest
from neat_hull.subjects.haul.aboard import Hold, RoadThing, ends, fins, rides, side_holds, under
from neat_hull.subjects.haul.cart import OnPosts, Wheeled, level_hand_n, wheeled
from neat_hull.subjects.haul.lifting import lifted
from neat_hull.subjects.haul.roof import OnRoof, on_bed, on_roof, pushed, slid
from neat_hull.subjects.haul.setting import as_under, case, hand_m, way, weights_of
from neat_hull.subjects.haul.weights import fewest_off


def haul(ev: Evaluated) -> HaulFigures | None:
    """None where nobody has said how it travels."""
    plan = ev.setup.haul
    return None if plan.rides is None and plan.cart is None else on_land(ev)


def on_land(ev: Evaluated) -> HaulFigures:
    """Whatever has been said of it."""
    of = ev.once(case)
    trouble: list[str] = []
    lifts = _lifts(ev, of, trouble)
    aim = _aim_kg(ev, lifts)
    gone = [one for one in of.things if one.comes_off]
    fewest = fewest_off(gone, ev.once(weights_of)["loaded"].kg, aim)
    bed = None if of.bed is None else on_bed(of.bed, ev.once(weights_of)["bare"], of.boat.length_m,
                                             of.overhang_rule)  # fmt: skip
    return HaulFigures(
        off=[_off_row(ev, one) for one in ev.once(rides)],
        bare=_weight(ev, "bare"),
        loaded=_weight(ev, "loaded"),
        aim_kg=aim,
        comfort_kg=of.comfort_kg,
        hand_m=hand_m(ev),
        minutes_off=sum(one.minutes for one in gone),
        fewest_off=None if fewest is None else [int(name) for name in fewest],
        lifts=lifts,
        side=_sides(ev),
        bars=_bars(ev, of),
        slide=_slide(ev, of, trouble),
        bed=None if bed is None else BedFigure(**vars(bed)),
        cart=_cart(ev, of, trouble),
        launch=_launch(ev),
        trouble=trouble,
    )


def _off_row(ev: Evaluated, one: RoadThing) -> OffRow:
    """What becomes of a thing for the road; for most of them the row of before."""
    said = one.thing_id in ev.setup.haul.off
    return ev.again(
        ("off", one.thing_id),
        (one, said),
        lambda: OffRow(
            thing_id=one.thing_id,
            leaves=one.leaves,
            said=said,
            kg=one.kg,
            minutes=one.minutes,
        ),
    )


def _aim_kg(ev: Evaluated, lifts: list[LiftFigure]) -> float:
    """What the bare boat may weigh for its heavier end to be comfortable."""
    worst = max((one.share for one in lifts if one.state == "bare"), default=0.0)
    return ev.once(weights_of)["bare"].kg / worst if worst > 0 else 0.0


def _weight(ev: Evaluated, state: State) -> WeightFigure:
    found, boat = ev.once(weights_of)[state], as_tested(ev.setup.boat)
    off = [off_kg(boat.hull_evidence, boat.hull_mass_kg)] + [
        off_kg(ev.thing(one.thing_id).evidence, one.kg)
        for one in ev.once(rides)
        if state == "loaded" or one.leaves != "off"
    ]
    return WeightFigure(kg=found.kg, band_kg=hypot(*off), x_m=found.x_m + _x_0(ev), z_m=found.z_m)


def _x_0(ev: Evaluated) -> float:
    """Where the case counts from."""
    return ev.rigged.floating.hull.x_aft_m


def _lifts(ev: Evaluated, of: HaulCase, trouble: list[str]) -> list[LiftFigure]:
    aft, fore = ev.once(ends)
    levels, told, x_0 = ev.table["lift"], [], _x_0(ev)
    for i, one in enumerate(of.lifts):
        hold: Hold = fore if one.name == "bow" else aft
        try:
            found = lifted(one, ev.once(weights_of)[one.state], of.comfort_kg, f"lifts[{i}]")
        except NoPosition as wrong:
            trouble.append(f"lifting the {one.name}: {wrong.why}")
            continue
        told.append(
            LiftFigure(
                end="bow" if one.name == "bow" else "stern",
                state=one.state,
                by=hold.named,
                hold=(one.hold_m[0] + x_0, one.hold_m[1]),
                other=(one.other_m[0] + x_0, one.other_m[1]),
                angle_deg=one.angle_deg,
                kg=found.hold_kg,
                other_kg=found.other_kg,
                each_kg=found.each_kg,
                share=found.share,
                limit_kg=found.rwl_kg,
                index=found.index,
                verdict=levels.verdict(found.share),
            )
        )
    return told


def _sides(ev: Evaluated) -> list[SideFigure]:
    bare = ev.once(weights_of)["bare"]
    return [
        SideFigure(
            by=one.named or "",
            x_m=one.x_m,
            kg=bare.kg,
            off_m=one.x_m - bare.x_m - _x_0(ev),
        )
        for one in ev.once(side_holds)
    ]


def _bars(ev: Evaluated, of: HaulCase) -> BarsFigure | None:
    if of.roof is None:
        return None
    bare, long = ev.once(weights_of)["bare"], of.boat.length_m
    found: OnRoof = on_roof(of.roof, bare, long, of.under, of.slide, of.overhang_rule)
    fields = {k: v for k, v in vars(found).items() if k != "under"}
    return BarsFigure(
        rear_x_m=of.roof.rear_bar_x_m + _x_0(ev),
        spacing_m=of.roof.spacing_m,
        under=[
            UnderFigure(
                thing_id=int(one.name),
                gap_m=one.gap_m,
                on_bar=one.on_bar,
                drags_over_bar=bool(one.drags_over_bar),
            )
            for one in found.under
        ],
        **fields,
    )


def _slide(ev: Evaluated, of: HaulCase, trouble: list[str]) -> SlideFigure | None:
    if of.slide is None:
        return None
    bare = ev.once(weights_of)["bare"]
    try:
        rows = pushed(of.slide, bare)
    except NoPosition as wrong:
        trouble.append(f"sliding it up: {wrong.why}")
        return None
    found = slid(rows, bare, of.boat.length_m, of.roof)
    return SlideFigure(
        peak_n=found.peak_n,
        peak_at_m=found.peak_at_m + _x_0(ev),
        peak_push_n=found.peak_push_n,
        peak_lift_n=found.peak_lift_n,
        nose_down=bool(found.nose_down),
        low_m=of.slide.hand_height_m[0],
        path=[(x + _x_0(ev), force) for force, x, _, _ in rows],
    )


def _cart(ev: Evaluated, of: HaulCase, trouble: list[str]) -> CartFigure | None:
    cart = of.cart
    if cart is None:
        return None
    at = ev.once(weights_of)[cart.state]
    rides_on = [
        one
        for one in [*of.under, *(as_under(ev, fin) for fin in ev.once(fins))]
        if _goes_on_cart(ev, int(one.name), one.comes_off)
    ]
    try:
        found: Wheeled = wheeled(cart, at, of.boat.length_m, rides_on)
        level = level_hand_n(cart, at, cart.axle_m[0])
    except NoPosition as wrong:
        trouble.append(f"on the cart: {wrong.why}")
        return None
    x_0, target = _x_0(ev), found.axle_x_for_target_m
    return CartFigure(
        state=cart.state,
        axle=(cart.axle_m[0] + x_0, cart.axle_m[1]),
        handle=(cart.handle_m[0] + x_0, cart.handle_m[1]),
        radius_m=cart.wheel_radius_m,
        width_m=cart.wheel_width_m,
        level_hand_n=level,
        pitch_deg=found.pitch_deg,
        side_tip_deg=found.side_tip_deg,
        grounds=[
            GroundFigure(
                ground=stretch.ground,
                length_m=stretch.length_m,
                slope_deg=stretch.slope_deg,
                hand_up_n=one.hand_up_n,
                pull_n=one.pull_n,
                axle_n=one.axle_n,
                pressure_kpa=one.pressure_kpa,
                pressure_share=one.pressure_share,
                step_pull_n=one.step_pull_n,
                posts=None if one.posts is None else _posts(ev, one.posts),
            )
            for stretch, one in zip(way(ev), found.grounds, strict=True)
        ],
        clearances=[
            ClearFigure(thing_id=int(one.name), clearance_m=one.clearance_m)
            for one in found.clearances
        ],
        target_x_m=None if target is None else target + x_0,
    )


def _posts(ev: Evaluated, found: OnPosts) -> PostsFigure:
    """With slabs where there are some, and else without; both are told."""
    plan = ev.setup.haul.cart
    slabs = plan is not None and plan.posts is not None and plan.posts.slabs
    with_them = found.least_with if slabs else None
    return PostsFigure(
        post_n=found.post_n,
        side_n=found.side_n,
        least=found.least_without if with_them is None else with_them,
        without=found.least_without,
        with_slabs=found.least_with,
    )


def _goes_on_cart(ev: Evaluated, thing_id: int, comes_off: bool) -> bool:
    """What comes off for the road is back on a cart that all rides on, unless somebody says that it
    is off."""
    plan = ev.setup.haul
    if plan.cart is not None and plan.cart.loaded:
        return plan.off.get(thing_id) != "off"
    return not comes_off


def _launch(ev: Evaluated) -> LaunchFigure | None:
    """As deep as it floats with everything, and what hangs lower than the keel."""
    rest = at_rest(ev)
    if rest is None:
        return None
    hull = ev.rigged.floating.hull
    aft, _, fwd = hydrostatics.drafts_m(hull, rest.settled.rest)
    ends_m = (hull.x_aft_m, hull.x_fwd_m)
    depth = float((np.interp(hull.x_m, ends_m, (aft, fwd)) - hull.keel_z_m).max())
    rows = [
        (float(np.interp(one.x_m, ends_m, (aft, fwd)).max()) - one.z_m, one.thing_id)
        for one in ev.once(under)
    ]
    deepest, thing_id = max(rows, default=(depth, None), key=lambda row: row[0])
    return LaunchFigure(
        depth_m=depth,
        deepest_m=max(deepest, depth),
        deepest=thing_id if deepest > depth else None,
    )
