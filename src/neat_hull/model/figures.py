"""What the core answers about a setup: figures with verdicts, ready to be drawn.

Body axes as everywhere (x from the stern, y to port, z from the baseline); angles in degrees, for
these leave the core.
"""

from typing import Literal, cast

from pydantic import BaseModel, ConfigDict

Verdict = Literal["fine", "watch", "fix", "stop"]
ReachZone = Literal["hand", "lean", "twist", "leave", "ashore"]
HowKind = Literal[
    "mass", "length", "angle", "area", "volume", "moment", "ratio", "density", "energy", "count",
    "price", "warmth",
]  # fmt: skip
Spot = tuple[float, float, float]


class Answer(BaseModel):
    """Base of all answers; frozen, but not strict: they are made by us."""

    model_config = ConfigDict(frozen=True)


class Weight(Answer):
    """What is carried, and what counts to the rating: with the boat, where its maker says so.

    freeboard_kg is what could be carried until the gunwale comes down to its target, and limit_kg
    the tightest of the schools that are asked. carried_at is the centre of all that is carried.
    """

    carried_kg: float
    counted_kg: float
    angler_kg: float
    gear_kg: float
    boat_kg: float
    all_up_kg: float
    guessed_kg: float
    rated_kg: float | None
    working_kg: float | None
    freeboard_kg: float | None
    limit_kg: float | None
    verdict: Verdict | None
    carried_at: Spot


class WellState(Answer):
    """How far a well's floor stands over the water at its lowest corner; negative: under it.

    deepest_at names that corner, such as "aft, to port".
    """

    name: str
    floor_over_water_m: float
    deepest_at: str
    scuppers: Literal["open", "plugged"]
    flooded: bool
    verdict: Verdict


class Afloat(Answer):
    """How the boat lies in the water. trim_deg is positive bow up, heel_deg starboard down."""

    trim_deg: float
    trim_verdict: Verdict
    heel_deg: float
    heel_verdict: Verdict
    offset_moment_kg_m: float
    draft_aft_m: float
    draft_mid_m: float
    draft_fwd_m: float
    gm_m: float
    gm_verdict: Verdict
    least_freeboard_m: float
    least_freeboard_x_m: float
    kg_per_cm: float
    wells: list[WellState]
    weight_at: Spot
    lift_at: Spot


class Curve(Answer):
    """Righting lever by heel; null where the boat goes under."""

    heel_deg: list[float]
    gz_m: list[float | None]
    deck_edge_deg: float | None


class Strip(Answer):
    """Weight in bins along the boat, and lift per metre of length at x."""

    edges_m: list[float]
    weight_kg: list[float]
    lift_x_m: list[float]
    lift_kg_per_m: list[float]


class Amount(Answer):
    """A quantity inside words, SI; angles in degrees."""

    kind: HowKind
    value: float


class Said(Answer):
    """Words with a {} for each of the amounts, so that a screen can show them in its units."""

    text: str
    amounts: list[Amount] = []

    @classmethod
    def of(cls, text: str, **amounts: float) -> "Said":
        """Words and amounts, each named by its kind, in the order of the words."""
        return cls(text=text, amounts=[
            Amount(kind=cast(HowKind, kind), value=float(value))
            for kind, value in amounts.items()
        ])  # fmt: skip


class Aboard(Answer):
    """One thing aboard, where it ends up, where it weighs, and how it is come by from the seat.

    x_m, y_m, base_z_m, turn_deg and tilt_deg as a place on the bare deck. `depth` counts the things
    it stands on or in, `held_by` is the nearest, carries_kg its weight with all it holds. misfit
    says why it does not belong where it is. out_first are the things that lie over it. frame is x,
    y and turn in degrees of what its place is counted from, slide_m how far it may go from there.
    On the way to it the boat heels to heels_deg (starboard down), with margin_used of its righting
    lever and freeboard_m left; null where nobody leans. steps must be done before it is in hand.
    """

    thing_id: int
    where: str
    x_m: float
    y_m: float
    base_z_m: float
    turn_deg: float
    tilt_deg: float
    rests: bool
    depth: int
    held_by: int | None
    carries_kg: float
    out_first: list[int]
    misfit: Said | None
    reel: Spot | None
    frame: Spot
    slide_m: tuple[float, float] | None
    centre: Spot
    tip: Spot | None
    zone: ReachZone
    lean_deg: float | None
    pitch_deg: float | None
    twist_deg: float | None
    short_m: float
    heels_deg: float | None
    margin_used: float | None
    freeboard_m: float | None
    steps: list[str]


EnvelopeGroup = Literal["stroke", "legs", "cast", "remount", "sight"]


class Envelope(Answer):
    """Room that the angler needs, for drawing: outlines (x, y) from above and (x, z) from the side.

    `counts` says whether what stands in it is told: the stroke of one who does not paddle is not.
    """

    key: str
    title: str
    group: EnvelopeGroup
    counts: bool
    plan: list[tuple[float, float]]
    side: list[tuple[float, float]]


class Clash(Answer):
    """A thing too near to another, or in room that the angler needs.

    gap_m is negative by how far they are into each other; `at` is where, `clear` how to mend it.
    """

    thing_id: int
    with_thing: int | None
    envelope: str | None
    what: str
    gap_m: float
    verdict: Verdict
    at: Spot
    clear: Said


class WeighFirst(Answer):
    """A weight nobody has taken yet, and its share in what is not known."""

    name: str
    thing_id: int | None
    share: float


class Bands(Answer):
    """± of the figures, from the evidence of each weight and of the hull.

    *_by_weights is the part that weighing what is aboard would take away.
    """

    carried_kg: float
    draft_m: float
    trim_deg: float
    list_deg: float
    gm_m: float
    trim_by_weights_deg: float
    list_by_weights_deg: float
    gm_by_weights_m: float
    hull: Literal["estimate", "calibrated"]
    weigh_first: list[WeighFirst]


Topic = Literal[
    "load", "level", "steadiness", "evidence", "reach", "room", "rods", "fit", "capsize",
    "anchor", "basics", "trip",
]  # fmt: skip


class Finding(Answer):
    """Something to look at: what, where, figure against limit, why it matters, what would clear it.

    key names it from one evaluation to the next. `band` is the ± of the figure. badness grows as it
    gets worse; it compares a finding with itself alone. caution defers to a law or a label.
    accepted is why somebody lives with it, since the day accepted_on; returned says that it was
    accepted, and is worse since.
    """

    key: str
    code: str
    topic: Topic
    verdict: Verdict
    title: Said
    thing_id: int | None
    other_id: int | None
    where: str
    at: Spot | None
    figure: Amount | None
    band: float | None
    limit: Amount | None
    limit_key: str | None
    why: str
    clear: Said
    caution: str
    badness: float
    accepted: str | None
    accepted_on: str | None
    returned: bool


class Figures(Answer):
    """Everything live about a setup. `trouble` says why there is no `afloat`.

    findings are what is worth looking at, the worst first.
    """

    weight: Weight
    afloat: Afloat | None
    trouble: str | None
    curve: Curve | None
    strip: Strip | None
    aboard: list[Aboard]
    clashes: list[Clash]
    bands: Bands | None
    findings: list[Finding]


class Limb(Answer):
    """A segment of the angler, for drawing; width in m."""

    name: str
    upper: Spot
    far: Spot
    width_m: float


class SectionLine(Answer):
    """Port half-section [y, z] at x, keel to sheer."""

    x_m: float
    points: list[tuple[float, float]]


class MeasuredOff(Answer):
    """A measured point and how far the modelled section passes from it."""

    x_m: float
    y_m: float
    z_m: float
    off_m: float
    agrees: bool


class Drawing(Answer):
    """The boat's lines and the angler's body, to scale.

    plan: half-breadth of the hull at x_m; keel and sheer heights at the same places. section: port
    half of the widest section, keel to sheer. reach_m is a straight arm; shoulders are its centres.
    """

    x_m: list[float]
    half_breadth_m: list[float]
    sheer_half_breadth_m: list[float]
    keel_z_m: list[float]
    sheer_z_m: list[float]
    section: list[tuple[float, float]]
    section_x_m: float
    sections: list[SectionLine]
    measured: list[MeasuredOff]
    limbs: list[Limb]
    head_m: Spot
    shoulders: list[Spot]
    reach_m: float
    hand_zone: list[tuple[float, float]]
    lean_zone: list[tuple[float, float]]
    brace_gap_m: float
    remarks: list[Said]
    envelopes: list[Envelope]
    eye_m: Spot


class HowRow(Answer):
    """One input or intermediate value; `kind` tells how its unit is shown."""

    label: str
    value: float
    kind: HowKind


class How(Answer):
    """How a figure was computed: words, formula, values, and how sure it is."""

    title: str
    plain: str
    formula: str
    rows: list[HowRow]
    sure: str = ""
    band: HowRow | None = None
