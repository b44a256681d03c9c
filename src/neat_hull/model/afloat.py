"""What the core answers about a boat afloat beyond the live figures: table, curves, demands."""

from typing import Literal

from neat_hull.model.figures import Amount, Answer, HowKind, Verdict


class Demand(Answer):
    """One demand at rest; `what` has a {} for each of the amounts.

    heel_deg is positive starboard down; it is null where there is no rest.
    lever_m is the heeling lever, greatest_gz_m what the boat can answer with, margin_used their
    ratio, margin_band its ±. section_water_m is the height of the water on the centreline of the
    widest section.
    """

    code: str
    title: str
    what: str
    amounts: list[Amount]
    heel_deg: float | None
    trim_deg: float | None
    least_freeboard_m: float | None
    gm_m: float | None
    lever_m: float
    greatest_gz_m: float | None
    margin_used: float | None
    margin_band: float | None
    section_water_m: float | None
    verdict: Verdict
    trouble: str | None


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


class Sheet(Answer):
    """Everything about a boat afloat. `trouble` says why the rest is empty."""

    trouble: str | None
    terms: list[Term]
    curves: list[FullCurve]
    demands: list[Demand]
    by_load: LoadCurves | None
