"""The boat from the garage to the water, as it goes out. x_m counts from the stern."""

from typing import Literal

from neat_hull.model.base import Answer
from neat_hull.model.haul import Leaves, Surface, Wheels
from neat_hull.model.haul_case import State
from neat_hull.model.said import Said, Verdict

Place = tuple[float, float]


class OffRow(Answer):
    """A thing that is aboard: what becomes of it for the road, and where that says so."""

    thing_id: int
    leaves: Leaves
    said: bool
    kg: float
    minutes: float


class WeightFigure(Answer):
    """A mass with its band, and where it acts."""

    kg: float
    band_kg: float
    x_m: float
    z_m: float


class LiftFigure(Answer):
    """An end lifted: by what, what each person bears, share of what is comfortable; limit_kg and
    index of the lifting equation. hold and other are [along, up] on the boat, turned by angle_deg
    about the latter."""

    end: Literal["bow", "stern"]
    state: State
    by: str | None
    hold: Place
    other: Place
    angle_deg: float
    kg: float
    other_kg: float
    each_kg: float
    share: float
    limit_kg: float | None
    index: float | None
    verdict: Verdict


class SideFigure(Answer):
    """Carried by one hand at its side: how far the hold is off the weight."""

    by: str
    x_m: float
    kg: float
    off_m: float


class UnderFigure(Answer):
    """Something under the hull on bars; gap_m is what is left over the roof."""

    thing_id: int
    gap_m: float
    on_bar: bool
    drags_over_bar: bool


class BarsFigure(Answer):
    """On the two bars of a roof, or the bunks of a trailer."""

    rear_x_m: float
    spacing_m: float
    front_kg: float
    rear_kg: float
    share: float
    bar_share: float
    tips: bool
    overhang_rear_m: float
    overhang_front_m: float
    flags: list[str]
    under: list[UnderFigure]


class SlideFigure(Answer):
    """Slid up over the rear bar: the hardest moment, and [contact from the stern, force, N] all the
    way; height of the hands at the start."""

    peak_n: float
    peak_at_m: float
    peak_push_n: float
    peak_lift_n: float
    nose_down: bool
    low_m: float
    path: list[Place]


class BedFigure(Answer):
    """On the bed of a truck."""

    gate_kg: float
    front_kg: float
    gate_share: float
    margin_m: float
    tips: bool
    overhang_m: float
    flags: list[str]


class PostsFigure(Answer):
    """How many times the hull stands what posts in its scuppers press with: as it is, without slabs
    under it and with them; null where a slab would be pushed off."""

    post_n: float
    side_n: float
    least: float
    without: float
    with_slabs: float | None


class GroundFigure(Answer):
    """Over one stretch of the way: up in the hand and along the pull, what the ground bears."""

    ground: Surface
    length_m: float
    slope_deg: float
    hand_up_n: float
    pull_n: float
    axle_n: float
    pressure_kpa: float
    pressure_share: float
    step_pull_n: float | None
    posts: PostsFigure | None


class ClearFigure(Answer):
    """How high something under the hull goes over the ground."""

    thing_id: int
    clearance_m: float


class CartFigure(Answer):
    """On its cart: axle and handle [along, up] on the boat, which is turned by pitch_deg.
    target_x_m: where the axle would have to be for what the hand is to bear."""

    state: State
    axle: Place
    handle: Place
    radius_m: float
    width_m: float
    level_hand_n: float
    pitch_deg: float
    side_tip_deg: float
    grounds: list[GroundFigure]
    clearances: list[ClearFigure]
    target_x_m: float | None


class LaunchFigure(Answer):
    """Water that it needs: to float with its angler, and for what stands out under it."""

    depth_m: float
    deepest_m: float
    deepest: int | None


class HaulFigures(Answer):
    """All that is live about it; hand_m is how high a hand hangs. trouble says why there is no
    slide or cart."""

    off: list[OffRow]
    bare: WeightFigure
    loaded: WeightFigure
    aim_kg: float
    comfort_kg: float
    hand_m: float
    minutes_off: float
    fewest_off: list[int] | None
    lifts: list[LiftFigure]
    side: list[SideFigure]
    bars: BarsFigure | None
    slide: SlideFigure | None
    bed: BedFigure | None
    cart: CartFigure | None
    launch: LaunchFigure | None
    trouble: list[str]


class WheelsFigure(Answer):
    """The whole way on other wheels: the hardest pull, and the most of what its ground bears."""

    wheels: Wheels
    pull_n: float
    hardest: Surface
    pressure_share: float
    verdict: Verdict


class AxleFigure(Answer):
    """The axle elsewhere: what the hand bears on level ground."""

    x_m: float
    hand_up_n: float


class HaulStep(Answer):
    """A step from car to water: in words, how far it is walked all together, and how long it takes
    where that is known."""

    code: str
    said: Said
    walked_m: float
    minutes: float | None


class FullHaul(Answer):
    """What is asked for on request. figures: all that is live, also where nobody has said how it
    travels. least_minutes: what to take off for the aim in the least time; outline: the
    hull from the side, [along, keel, sheer]."""

    figures: HaulFigures
    least_minutes: list[int] | None
    least_minutes_min: float
    wheels: list[WheelsFigure]
    axles: list[AxleFigure]
    steps: list[HaulStep]
    walked_m: float
    outline: list[tuple[float, float, float]]
