"""How a figure came about."""

from pydantic import Field

from neat_hull.model.base import Answer
from neat_hull.model.said import HowKind


class HowRow(Answer):
    """One input or intermediate value; `kind` tells how its unit is shown."""

    label: str
    value: float
    kind: HowKind


class How(Answer):
    """How a figure was computed: words, formula, values, and how sure it is.

    band_parts are what of the band comes from where; they add in squares.
    """

    title: str
    plain: str
    formula: str
    rows: list[HowRow]
    sure: str = ""
    band: HowRow | None = None
    band_parts: list[HowRow] = Field(default=[])
