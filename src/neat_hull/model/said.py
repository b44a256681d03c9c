"""Verdicts, quantities, and words that hold quantities: what every answer is told in."""

from functools import lru_cache
from typing import Literal, cast

from pydantic import Field

from neat_hull.model.base import Answer

Verdict = Literal["fine", "watch", "fix", "stop"]


HowKind = Literal[
    "mass",
    "length",
    "angle",
    "area",
    "volume",
    "moment",
    "ratio",
    "times",
    "force",
    "thin",
    "density",
    "energy",
    "count",
    "price",
    "warmth",
    "voltage",
    "current",
    "power",
    "resistance",
    "charge",
    "work",
    "hours",
    "speed",
    "pace",
    "seconds",
    "far",
]


class Amount(Answer):
    """A quantity inside words, SI; angles in degrees."""

    kind: HowKind
    value: float


class Said(Answer):
    """Words with a {} for each of the amounts, so that a screen can show them in its units."""

    text: str
    amounts: list[Amount] = Field(default_factory=list)

    @classmethod
    def of(cls, text: str, **amounts: float) -> "Said":
        """Words and amounts, each named by its kind, in the order of the words."""
        return _said(text, *((kind, float(value)) for kind, value in amounts.items()))


# The same words are said of what stays as it is, again and again while something else moves.
@lru_cache(maxsize=8192)
def _said(text: str, *amounts: tuple[str, float]) -> Said:
    return Said(
        text=text,
        amounts=[Amount(kind=cast(HowKind, kind), value=value) for kind, value in amounts],
    )


def plain(text: str) -> str:
    """A name inside words: braces stand for amounts there."""
    return text.replace("{", "(").replace("}", ")")


def items(count: int) -> str:
    """So many items, in words."""
    return f"{count} item" if count == 1 else f"{count} items"


def capital(text: str) -> str:
    """Words as they begin a sentence."""
    return text[:1].upper() + text[1:]
