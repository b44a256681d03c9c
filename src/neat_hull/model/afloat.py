"""How the boat lies: the live figures, and everything about it at rest and heeled."""

from typing import Literal

from neat_hull.model.base import Answer, Point
from neat_hull.model.demands import Demand
from neat_hull.model.said import Amount, HowKind, Verdict


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
    weight_at: Point
    lift_at: Point


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


class FullCurve(Answer):
    """A righting curve to 90° with its figures; gz_m is null where the boat goes under."""

    name: str
    heel_deg: list[float]
    gz_m: list[float | None]
    gm_m: float
    greatest_gz_m: float
    greatest_at_deg: float
    deck_edge_deg: float | None
    flooding_deg: float | None
    vanishing_deg: float | None
    energy_j: float
    ends_by: Literal["deck edge", "flooding", "vanishing", "sinking", "none"]


class Term(Answer):
    """A line of the table of hydrostatics: the term, plain words, the figure, how it came about.

    `plain` has a {} for each of the amounts.
    """

    term: str
    plain: str
    amounts: list[Amount]
    value: float
    kind: HowKind
    how: str


class Capacity(Answer):
    """How much may be carried after one school of thought; null where its limit is never met."""

    school: Literal["rating", "working share", "freeboard", "dry floors"]
    carried_kg: float | None
    reason: str


class LoadCurves(Answer):
    """Draft, freeboard and GM against the weight carried, gear scaled where it stands."""

    carried_kg: list[float]
    draft_m: list[float]
    freeboard_m: list[float]
    gm_m: list[float]
    today_kg: float
    capacities: list[Capacity]


class FullAfloat(Answer):
    """Everything about a boat afloat. `trouble` says why the rest is empty."""

    trouble: str | None
    terms: list[Term]
    curves: list[FullCurve]
    demands: list[Demand]
    by_load: LoadCurves | None
    cautions: list[str]
