"""How the figures of the boat on land came about."""

from neat_hull.errors import InputError
from neat_hull.model.haul import Wheels
from neat_hull.model.haul_figures import HaulFigures
from neat_hull.model.how import How, HowRow
from neat_hull.model.said import HowKind
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.haul import typical
from neat_hull.subjects.haul.figures import on_land
from neat_hull.subjects.haul.setting import case


def _row(label: str, value: float, kind: HowKind) -> HowRow:
    return HowRow(label=label, value=value, kind=kind)


def _missing(figure: str, why: str) -> InputError:
    return InputError("figure", figure, why)


def lift(ev: Evaluated) -> How:
    """What each person bears."""
    found = ev.once(on_land)
    if not found.lifts:
        raise _missing("haul lift", "it cannot be lifted as it is held")
    one = max(found.lifts, key=lambda row: row.share)
    at = found.loaded if one.state == "loaded" else found.bare
    limit = [] if one.limit_kg is None else [
        _row("recommended by the lifting equation", one.limit_kg, "mass")
    ]  # fmt: skip
    return How(
        title=f"Lifting the {one.end}",
        plain="The boat is a beam: the end that is lifted bears what balances its weight about "
        "where the other end rests. Raised, the weight leans back toward the ground.",
        formula="kg = m·H(G)/H(hold), H = along·cos α − up·sin α from where it rests; limit = "
        "23 kg · 25/H · (1 − 0.003|V − 75|) · (0.82 + 4.5/D) · grip",
        rows=[
            _row("the boat so", at.kg, "mass"),
            _row("its weight, from the stern", at.x_m, "length"),
            _row("its weight, above the keel", at.z_m, "length"),
            _row("held at, from the stern", one.hold[0], "length"),
            _row("rests at, from the stern", one.other[0], "length"),
            _row("raised by", one.angle_deg, "angle"),
            _row("at the end that is lifted", one.kg, "mass"),
            _row("at the other", one.other_kg, "mass"),
            _row("comfortable for one", found.comfort_kg, "mass"),
            *limit,
        ],
        sure="Weights by their evidence. The lifting equation (Waters, Putz-Anderson and Garg, "
        "NIOSH 94-110) is for smooth lifts with two hands indoors: a guide only.",
        band=_row("band of the whole weight", at.band_kg, "mass"),
    )


def slide(ev: Evaluated) -> How:
    """The hardest push."""
    found, of = ev.once(on_land), ev.once(case)
    one, said = found.slide, of.slide
    if one is None or said is None:
        raise _missing("haul slide", "it is not slid up onto a roof")
    return How(
        title="Sliding it up",
        plain="The bow lies on the rear bar, the stern in your hands. At each place along the way "
        "the bar bears what balances the boat about your hands, and rubs.",
        formula="sin α = (H − h)/(x − x_h); N = W cos α·min(1, (x_G − x_h)/(x − x_h)); lift = "
        "W cos α − N, push = W sin α + μN",
        rows=[
            _row("the boat", found.bare.kg, "mass"),
            _row("bar above the ground", said.bar_height_m, "length"),
            _row("hands at the start", said.hand_height_m[0], "length"),
            _row("friction", said.friction, "times"),
            _row("hardest with the bar, from the stern, at", one.peak_at_m, "length"),
            _row("pushing then", one.peak_push_n, "force"),
            _row("lifting then", one.peak_lift_n, "force"),
            _row("together", one.peak_n, "force"),
        ],
        sure="How high the weight lies above the keel is left out: one to three per cent.",
    )


def cart(ev: Evaluated) -> How:
    """What hand and axle bear."""
    found, of = ev.once(on_land), ev.once(case)
    one, said = found.cart, of.cart
    if one is None or said is None:
        raise _missing("haul cart", "it does not go on a cart")
    worst = max(one.grounds, key=lambda row: row.pull_n)
    at = found.loaded if one.state == "loaded" else found.bare
    rolling = typical.ROLLING[worst.ground][_wheels(ev)]
    return How(
        title=f"On its cart over {worst.ground}",
        plain="Weight, axle and hand balance about the axle; the pull is what the slope and the "
        "rolling of the wheels ask for.",
        formula="N = W cos γ − V; P = W sin γ + rolling·N; V·h_x − P·h_z − W cos γ·g_x + "
        "W sin γ·g_z = 0",
        rows=[
            _row("the boat so", at.kg, "mass"),
            _row("its weight, from the stern", at.x_m, "length"),
            _row("axle, from the stern", one.axle[0], "length"),
            _row("handle held at", found.hand_m, "length"),
            _row("turned by", one.pitch_deg, "angle"),
            _row("slope", worst.slope_deg, "angle"),
            _row("rolling over load", rolling, "ratio"),
            _row("on the axle", worst.axle_n, "force"),
            _row("in the hand", worst.hand_up_n, "force"),
            _row("to pull", worst.pull_n, "force"),
            _row("tips sideways on a slope of", one.side_tip_deg, "angle"),
        ],
        sure="Rolling shares are typical of the ground and the wheel, and change with every rain: "
        "the comparison of wheels holds better than the newton.",
    )


def _wheels(ev: Evaluated) -> Wheels:
    plan = ev.setup.haul.cart
    assert plan is not None, "asked of a boat on its cart"
    return plan.wheels


def bars(ev: Evaluated) -> How:
    """What the bars bear."""
    found: HaulFigures = ev.once(on_land)
    one, said = found.bars, ev.once(case).roof
    if one is None or said is None:
        raise _missing("haul bars", "it lies on no bars")
    return How(
        title="On its bars",
        plain="The weight of the boat as it goes on the road, shared between the bars by where it "
        "acts.",
        formula="front = m(x_G − x_rear)/spacing; share = (m + bars)/limit; one bar = (greater + "
        "bars/2)/(limit/2)",
        rows=[
            _row("the boat", found.bare.kg, "mass"),
            _row("its weight, from the stern", found.bare.x_m, "length"),
            _row("rear bar, from the stern", one.rear_x_m, "length"),
            _row("bars apart", one.spacing_m, "length"),
            _row("bars and what else is on them", said.extras_kg, "mass"),
            _row("may bear", said.limit_kg, "mass"),
            _row("front bar", one.front_kg, "mass"),
            _row("rear bar", one.rear_kg, "mass"),
        ],
        sure="The limit is the least of car, bars and cradles, and off the road the maker's "
        "lower one.",
        band=_row("band of the weight", found.bare.band_kg, "mass"),
    )


HOW = {"haul lift": lift, "haul slide": slide, "haul cart": cart, "haul bars": bars}
