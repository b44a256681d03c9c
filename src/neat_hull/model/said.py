"""Verdicts, quantities, and words that hold quantities: what every answer is told in."""

from typing import Literal, cast

from pydantic import Field

from neat_hull.model.base import Answer

Verdict = Literal["fine", "watch", "fix", "stop"]


HowKind = Literal[
    "mass", "length", "angle", "area", "volume", "moment", "ratio", "density", "energy", "count",
    "price", "warmth",
]  # fmt: skip


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
        return cls(text=text, amounts=[
            Amount(kind=cast(HowKind, kind), value=float(value))
            for kind, value in amounts.items()
        ])  # fmt: skip


def plain(text: str) -> str:
    """A name inside words: braces stand for amounts there."""
    return text.replace("{", "(").replace("}", ")")
