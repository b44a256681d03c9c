"""How sure the figures are."""

from typing import Literal

from neat_hull.model.base import Answer


class WeighFirst(Answer):
    """A weight nobody has taken yet, and its share in what is not known."""

    name: str
    thing_id: int | None
    share: float


BandSource = Literal["weights", "sitter", "places", "bare boat", "own height", "tilt test", "shape"]


class BandPart(Answer):
    """What one thing that is not known comes to in each figure; all of them add in squares."""

    source: BandSource
    draft_m: float
    trim_deg: float
    list_deg: float
    gm_m: float


class Bands(Answer):
    """± of the figures, from the evidence of each weight and of the hull.

    offset_m is that of how far off the middle all weights together act. *_by_weights is the part
    that weighing what is aboard would take away; measure_next is what of the boat would narrow GM
    most, empty where nothing would by much. hull is "typical" while measures of it are assumed.
    """

    carried_kg: float
    draft_m: float
    trim_deg: float
    list_deg: float
    gm_m: float
    offset_m: float
    trim_by_weights_deg: float
    list_by_weights_deg: float
    gm_by_weights_m: float
    parts: list[BandPart]
    hull: Literal["typical", "estimate", "calibrated"]
    weigh_first: list[WeighFirst]
    measure_next: str
