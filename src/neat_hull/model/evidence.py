"""How sure the figures are."""

from typing import Literal

from neat_hull.model.base import Answer


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
