"""The steps from car to water in order: what is carried, how far, how often."""

from collections.abc import Iterator
from math import ceil

from neat_hull.model.haul_figures import HaulFigures, HaulStep
from neat_hull.model.said import Said, items
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.haul import typical
from neat_hull.subjects.haul.figures import on_land
from neat_hull.subjects.haul.setting import way

_ONTO = {"roof": "onto the bars", "bed": "into the bed", "trailer": "onto the trailer"}


def steps(ev: Evaluated) -> list[HaulStep]:
    """From the garage on."""
    return list(_steps(ev, ev.once(on_land)))


def _steps(ev: Evaluated, found: HaulFigures) -> Iterator[HaulStep]:
    plan = ev.setup.haul
    off = [one for one in found.off if one.leaves == "off"]
    kg = sum(one.kg for one in off)
    people = "two of you" if plan.people == 2 else "one end at a time"
    if off:
        yield _step(
            "off", Said.of(f"Take {items(len(off))} off: {{}}", mass=kg), 0.0, found.minutes_off / 2
        )
    if plan.rides is not None:
        yield _step("up", Said.of(f"Lift it {_ONTO[plan.rides]}, {people}"))
        yield _step("strap", Said.of("Strap it down, bow and stern too; tight again after 10 km"))
        yield _step("down", Said.of(f"At the water, lift it down, {people}"))
    far = sum(one.length_m for one in way(ev))
    cart = plan.cart
    loaded = cart is not None and cart.loaded
    if cart is not None:
        yield _step("cart", Said.of("Onto its cart, and a strap over it"))
    if off and loaded:
        yield _back_on(found, len(off))
    for i, one in enumerate(way(ev)):
        verb = "Pull" if cart is not None else "Carry"
        yield _step(
            f"way {i}",
            Said.of(f"{verb} it over {one.ground}, {{}}", far=one.length_m),
            one.length_m * (1 if cart is not None or plan.people == 2 else 2),
        )
    if off and not loaded:
        goes = ceil(kg / (typical.HAND_LOAD_KG * plan.people))
        times = "in one go" if goes == 1 else f"in {goes} goes"
        yield _step(
            "carry", Said.of(f"Back for {items(len(off))}, {{}}, {times}", mass=kg), 2 * goes * far
        )
        yield _back_on(found, len(off))
    if cart is not None:
        yield _step("stow", Said.of("The cart goes aboard, or back to the car"))
    if found.launch is not None:
        deep = found.launch.deepest_m
        yield _step("launch", Said.of("Float it off in {} of water", length=deep))


def _back_on(found: HaulFigures, count: int) -> HaulStep:
    return _step("on", Said.of(f"Put {items(count)} back on"), 0.0, found.minutes_off / 2)


def _step(code: str, said: Said, walked_m: float = 0.0, minutes: float | None = None) -> HaulStep:
    return HaulStep(code=code, said=said, walked_m=walked_m, minutes=minutes)
