"""What could be tried on land: what else comes off, the axle, other wheels, bars elsewhere."""

from collections.abc import Iterable

from neat_hull.model.findings import Finding
from neat_hull.model.haul import CartPlan, HaulPlan, Leaves, Wheels
from neat_hull.model.said import Said
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.subject import Tries, Work
from neat_hull.subjects.haul.aboard import rides
from neat_hull.subjects.haul.figures import haul

_HEAVIEST = 5  # of what stays on, that are tried off
_WHEELS: tuple[Wheels, ...] = ("wide", "balloon")


def tries(_ev: Evaluated, _finding: Finding) -> Tries:
    """On land nothing is cured by where a thing is on the water."""
    return Tries(())


def works(ev: Evaluated, finding: Finding) -> Iterable[Work]:
    """What could be changed of how it travels."""
    plan = ev.setup.haul
    if finding.code in ("haul-lift", "haul-slide", "haul-bars"):
        yield from _off(ev)
    if finding.code == "haul-lift" and plan.people == 1:
        yield Work(
            Said.of("Lift it with two"),
            {"haul": plan.model_copy(update={"people": 2})},
            {"haul": {"people": 2}},
        )
    elif finding.code in ("haul-under", "haul-drags") and finding.thing_id is not None:
        yield _take_off(ev, [finding.thing_id])
    elif finding.code in ("haul-bars", "haul-overhang") and plan.rides != "bed":
        part = plan.roof if plan.rides == "roof" else plan.trailer
        if plan.rides is not None and part.rear_x_m is not None:
            between = part.model_copy(update={"rear_x_m": None})
            yield Work(
                Said.of("Its weight midway between the bars"),
                {"haul": plan.model_copy(update={plan.rides: between})},
                {"haul": {plan.rides: {"rear_x_m": None}}},
            )
    elif finding.code == "haul-slide" and plan.roof.slides_on != "roller":
        roof = plan.roof.model_copy(update={"slides_on": "roller"})
        yield Work(
            Said.of("A roller at the rear"),
            {"haul": plan.model_copy(update={"roof": roof})},
            {"haul": {"roof": {"slides_on": "roller"}}},
        )
    if plan.cart is not None:
        yield from _of_the_cart(ev, plan.cart, finding.code)


def _of_the_cart(ev: Evaluated, cart: CartPlan, code: str) -> Iterable[Work]:
    plan, found = ev.setup.haul, ev.once(haul)
    if code == "haul-hand" and found is not None and found.cart is not None:
        target = found.cart.target_x_m
        if target is not None:
            bow = ev.rigged.floating.hull.x_fwd_m
            yield _cart(
                plan,
                cart,
                Said.of("The axle {} from the bow", length=bow - target),
                axle_x_m=round(target, 3),
            )
    if code in ("haul-pull", "haul-sinks"):
        for wheels in _WHEELS:
            if wheels != cart.wheels:
                yield _cart(
                    plan, cart, Said.of(f"{wheels.capitalize()} wheels"), wheels=wheels,
                    radius_m=None, width_m=None,
                )  # fmt: skip
        if cart.loaded:
            yield _cart(plan, cart, Said.of("Load it at the water"), loaded=False)
    if code == "haul-drags":
        other = "stern" if cart.by == "bow" else "bow"
        yield _cart(plan, cart, Said.of(f"Pull it by the {other}"), by=other, axle_x_m=None)
    if code == "haul-posts" and cart.posts is not None:
        posts = cart.posts.model_copy(update={"slabs": True})
        yield Work(
            Said.of("Slabs on the posts"),
            {"haul": plan.model_copy(update={"cart": cart.model_copy(update={"posts": posts})})},
            {"haul": {"cart": {"posts": {"slabs": True}}}},
        )


def _off(ev: Evaluated) -> Iterable[Work]:
    """The heaviest that stay on, each alone and then together."""
    on = sorted((one for one in ev.once(rides) if one.leaves != "off"), key=lambda one: -one.kg)
    ids = [one.thing_id for one in on[:_HEAVIEST]]
    for i in ids:
        yield _take_off(ev, [i])
    for n in range(2, len(ids) + 1):
        yield _take_off(ev, ids[:n])


def _take_off(ev: Evaluated, ids: list[int]) -> Work:
    plan = ev.setup.haul
    gone: dict[int, Leaves] = dict.fromkeys(ids, "off")
    names = " and ".join(ev.name(i) for i in ids) if len(ids) < 3 else f"{len(ids)} items"
    return Work(
        Said.of(f"Take {names} off for the road"),
        {"haul": plan.model_copy(update={"off": {**plan.off, **gone}})},
        {"haul": {"off": {str(i): "off" for i in ids}}},
    )


def _cart(plan: HaulPlan, cart: CartPlan, words: Said, **fields: str | float | bool | None) -> Work:
    changed = plan.model_copy(update={"cart": cart.model_copy(update=fields)})
    return Work(words, {"haul": changed}, {"haul": {"cart": dict(fields)}})
