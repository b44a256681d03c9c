"""Whether it can be lifted, slid up, driven and wheeled, and what of it drags or sinks."""

from collections.abc import Iterable, Iterator

from neat_hull.model.haul_figures import BarsFigure, BedFigure, GroundFigure, LiftFigure
from neat_hull.model.said import Said
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rules import Found, against, past, rule
from neat_hull.subjects.haul.figures import haul

BACK = "Lift with help: a figure here is no medical advice."
ROOF = "The limits of car, bars and cradles win. Stop after 10 km and pull the straps tight again."
LOCAL = "The local rule decides on flags, lights and plates: set its figures on Haul."
POSTS = "Makers often forbid a loaded boat on scupper posts: their word wins."


@rule("haul-lift", topic="haul")
def too_heavy(ev: Evaluated) -> Iterable[Found]:
    """What each person bears at the heavier end, over what is comfortable. It is loaded where it
    stands, so it is lifted bare."""
    found = ev.once(haul)
    bare = [one for one in ([] if found is None else found.lifts) if one.state == "bare"]
    worst: LiftFigure | None = max(bare, key=lambda one: one.share, default=None)
    if worst is not None and past(ev, "lift", worst.share):
        yield from against(
            ev,
            "lift",
            worst.share,
            Said.of(f"Lifting the {worst.end}: {{}} each", mass=worst.each_kg),
            Said.of("Take things off, or lift with two"),
            caution=BACK,
        )


@rule("haul-slide", topic="haul")
def slides_hard(ev: Evaluated) -> Iterable[Found]:
    """The hardest moment of sliding it up to the bars from the rear."""
    found = ev.once(haul)
    if found is not None and found.slide is not None and past(ev, "slide", found.slide.peak_n):
        yield from against(
            ev,
            "slide",
            found.slide.peak_n,
            Said.of("Sliding it up: {} at the hardest", force=found.slide.peak_n),
            Said.of("Fewer things on it, a step to stand on, or a second person")
            if ev.setup.haul.roof.slides_on == "roller"
            else Said.of("A roller at the rear, fewer things on it, or a second person"),
            caution=BACK,
        )


@rule("haul-bars", topic="haul")
def bars_bear(ev: Evaluated) -> Iterable[Found]:
    """What roof and bars bear, whether the weight lies between them, and how far apart they are."""
    found = ev.once(haul)
    bars = None if found is None else found.bars
    if bars is None:
        return
    on = "roof" if ev.setup.haul.rides == "roof" else "trailer"
    for key, share, words in (
        ("roof", bars.share, f"The {on} bears {{}} of what it may"),
        ("one bar", bars.bar_share, "One bar bears {} of its half"),
    ):
        if past(ev, key, share):
            yield from against(
                ev,
                key,
                share,
                Said.of(words, ratio=share),
                Said.of("Take things off, or shift it on the bars"),
                part=key,
                caution=ROOF,
            )
    if bars.tips:
        yield Found(
            "fix",
            Said.of("Its weight does not lie between the bars"),
            "It rests on one bar and tips over it.",
            Said.of("Shift it on the bars"),
            badness=1.0,
            part="tips",
            caution=ROOF,
        )
    apart = bars.spacing_m / ev.rigged.floating.hull.length_m
    if past(ev, "bars apart", apart):
        yield from against(
            ev,
            "bars apart",
            apart,
            Said.of("Bars {} apart", length=bars.spacing_m),
            Said.of("Set them {} apart, or a line from bow and stern",
                    length=ev.table["bars apart"].fine * ev.rigged.floating.hull.length_m),
            part="apart",
            caution=ROOF,
        )  # fmt: skip


@rule("haul-under", topic="haul")
def meets_bars(ev: Evaluated) -> Iterable[Found]:
    """Something under the hull that lies on a bar, is dragged over it, or meets the roof."""
    found = ev.once(haul)
    bars = None if found is None else found.bars
    if bars is None or ev.setup.haul.rides != "roof":
        return
    for one in bars.under:
        what = (
            "meets the roof" if one.gap_m < 0
            else "lies on a bar" if one.on_bar
            else "is dragged over the rear bar" if one.drags_over_bar
            else None
        )  # fmt: skip
        if what is not None:
            yield Found(
                "watch" if what.startswith("is") else "fix",
                Said.of(f"{ev.name(one.thing_id)} {what}"),
                "It breaks, or the boat rides on it alone.",
                Said.of("Take it off for the road"),
                badness=1.0,
                thing_id=one.thing_id,
                caution=ROOF,
            )


@rule("haul-overhang", topic="haul")
def reaches_past(ev: Evaluated) -> Iterable[Found]:
    """How far it reaches past the vehicle, by the local rule as its owner put it in."""
    found = ev.once(haul)
    if found is None:
        return
    one: BarsFigure | BedFigure | None = found.bars or found.bed
    if one is None:
        return
    rear = one.overhang_rear_m if isinstance(one, BarsFigure) else one.overhang_m
    front = one.overhang_front_m if isinstance(one, BarsFigure) else 0.0
    rule_ = ev.setup.haul.rule
    if "rear" in one.flags:
        yield _past("Rear", rear, rule_.most_rear_m)
    elif "flag" in one.flags:
        yield Found(
            "watch",
            Said.of("Reaches {} past the rear: hang a flag on it", length=rear),
            "The driver behind can't see the end of it.",
            Said.of("A flag by day, a light by night"),
            badness=rear - rule_.flag_rear_m,
            part="flag",
            caution=LOCAL,
        )
    if "front" in one.flags:
        yield _past("Front", front, rule_.most_front_m)


def _past(end: str, far_m: float, most_m: float) -> Found:
    return Found(
        "fix",
        Said.of(f"{end}: it reaches {{}} past the vehicle", length=far_m),
        "More than the local rule lets it.",
        Said.of("Shift it, or another vehicle: {} at most", length=most_m),
        badness=far_m - most_m,
        part=end,
        caution=LOCAL,
    )


@rule("haul-bed", topic="haul")
def bed_bears(ev: Evaluated) -> Iterable[Found]:
    """What the gate bears, and how far ahead of the edge the weight lies."""
    found = ev.once(haul)
    one = None if found is None else found.bed
    if one is None:
        return
    if past(ev, "gate", one.gate_share):
        yield from against(
            ev,
            "gate",
            one.gate_share,
            Said.of("The gate bears {} of what it may", ratio=one.gate_share),
            Said.of("An extension that stands in the hitch, or fewer things on it"),
            part="gate",
            caution=ROOF,
        )
    margin = one.margin_m / ev.rigged.floating.hull.length_m
    if past(ev, "bed margin", margin):
        yield from against(
            ev,
            "bed margin",
            margin,
            Said.of("Its weight lies past the edge of the bed")
            if one.tips
            else Said.of("Its weight lies {} ahead of the edge", length=one.margin_m),
            Said.of("Tie the end in the bed down, or the heavier end first"),
            least="fix" if one.tips else None,
            part="margin",
            caution=ROOF,
        )


def _hardest(ev: Evaluated) -> Iterator[GroundFigure]:
    """The stretch that is pulled over hardest."""
    found = ev.once(haul)
    if found is not None and found.cart is not None:
        yield max(found.cart.grounds, key=lambda one: one.pull_n)


@rule("haul-pull", topic="haul")
def pulls_hard(ev: Evaluated) -> Iterable[Found]:
    """The pull over the hardest stretch of the way."""
    for one in _hardest(ev):
        if past(ev, "pull", one.pull_n):
            yield from against(
                ev,
                "pull",
                one.pull_n,
                Said.of(f"On its cart over {one.ground}: {{}} to pull", force=one.pull_n),
                Said.of("Other wheels, fewer things on it, or another way down"),
                caution=BACK,
            )


@rule("haul-sinks", topic="haul")
def sinks(ev: Evaluated) -> Iterable[Found]:
    """Pressure of the wheels over what the softest stretch bears."""
    found = ev.once(haul)
    if found is None or found.cart is None:
        return
    one = max(found.cart.grounds, key=lambda row: row.pressure_share)
    if past(ev, "ground", one.pressure_share):
        yield from against(
            ev,
            "ground",
            one.pressure_share,
            Said.of(f"Wheels on {one.ground}: {{}} of what it bears", ratio=one.pressure_share),
            Said.of("Wider wheels, or let air out of them"),
        )


@rule("haul-hand", topic="haul")
def in_the_hand(ev: Evaluated) -> Iterable[Found]:
    """What the hand bears on level ground: too much is carried, too little wanders."""
    found = ev.once(haul)
    cart = None if found is None else found.cart
    if cart is None:
        return
    hand = cart.level_hand_n
    away = "stern" if ev.setup.haul.cart and ev.setup.haul.cart.by == "bow" else "bow"
    toward = "bow" if away == "stern" else "stern"
    for key, words, where in (
        ("hand bears", "On its cart: {} in your hand", toward),
        ("hand light", "On its cart: only {} in your hand", away),
    ):
        if past(ev, key, hand):
            yield from against(
                ev,
                key,
                hand,
                Said.of(words if hand >= 0 else "On its cart: the handle rises with {}",
                        force=abs(hand)),
                Said.of(f"Set the axle farther to the {where}"),
                part=key,
            )  # fmt: skip


@rule("haul-drags", topic="haul")
def drags(ev: Evaluated) -> Iterable[Found]:
    """Something under the hull that goes low over the ground on its cart."""
    found = ev.once(haul)
    if found is None or found.cart is None:
        return
    for one in found.cart.clearances:
        if past(ev, "cart clearance", one.clearance_m):
            yield from against(
                ev,
                "cart clearance",
                one.clearance_m,
                Said.of(f"{ev.name(one.thing_id)} drags on the ground")
                if one.clearance_m <= 0
                else Said.of(
                    f"{ev.name(one.thing_id)}: {{}} above the ground", length=one.clearance_m
                ),
                Said.of("Take it off for the way, or pull by the other end"),
                thing_id=one.thing_id,
            )


@rule("haul-posts", topic="haul")
def posts_press(ev: Evaluated) -> Iterable[Found]:
    """What posts press on the scuppers with, by the hardest stretch."""
    found = ev.once(haul)
    if found is None or found.cart is None:
        return
    least = min((one.posts.least for one in found.cart.grounds if one.posts), default=None)
    if least is not None and past(ev, "holds", least):
        yield from against(
            ev,
            "holds",
            least,
            Said.of("Posts in the scuppers: the hull stands {} times that", times=least),
            Said.of("A cradle under the hull, slabs on the posts, or an empty boat"),
            caution=POSTS,
        )


@rule("haul-cannot", topic="haul")
def cannot(ev: Evaluated) -> Iterable[Found]:
    """A lift, a slide or a cart that cannot be as it was set."""
    found = ev.once(haul)
    for i, why in enumerate([] if found is None else found.trouble):
        yield Found(
            "fix",
            Said.of("On land it cannot stand as set"),
            f"{why[0].upper()}{why[1:]}.",
            Said.of("Set the bar, the axle or the handle elsewhere"),
            badness=1.0,
            part=str(i),
        )


RULES = (
    too_heavy, slides_hard, bars_bear, meets_bars, reaches_past, bed_bears, pulls_hard, sinks,
    in_the_hand, drags, posts_press, cannot,
)  # fmt: skip
