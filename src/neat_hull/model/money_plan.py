"""Budget and phases of a build: they are the setup's, as purchases are its owner's.

Money is whole minor units of one currency, and never a fraction of one.
"""

from collections.abc import Mapping
from typing import Annotated, Literal

from pydantic import Field

from neat_hull.model.base import Model
from neat_hull.model.keyed import Key, Taken

Phase = Literal["now", "phase 2", "phase 3", "phase 4", "never"]
Minor = Annotated[int, Field(ge=0, le=10**11)]
MINOR = 100  # of a unit: currencies without hundredths are typed in whole units all the same


def minor(price: float | None) -> int | None:
    """A price as typed, in whole minor units."""
    return None if price is None else round(MINOR * price)


class MoneyPlan(Model):
    """phases: when a thing that is aboard comes, where that is not now; until: from which phase on
    it is ashore again, as something better came. trips: how many there were so far, null: nobody
    has counted."""

    currency: str = Field(default="", max_length=8)
    budget_minor: Minor | None = None
    trips: int | None = Field(default=None, ge=0, le=100000)
    phases: Annotated[dict[Key, Phase], Taken] = Field(default={}, max_length=1000)
    until: Annotated[dict[Key, Phase], Taken] = Field(default={}, max_length=1000)

    def renumbered(self, ids: Mapping[int, int]) -> "MoneyPlan":
        """The same of things by other numbers; what tells of a thing without one goes."""
        rows = {
            name: {ids[i]: row for i, row in getattr(self, name).items() if i in ids}
            for name in ("phases", "until")
        }
        return self.model_copy(update=rows)
