"""The best of what is wanted for so much money, exactly.

The 0/1 knapsack by worth: the least it costs to come to each worth (Kellerer, Pferschy and
Pisinger, *Knapsack Problems*, 2004, ch. 2), so that a budget of any size takes no longer.
"""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

_NEVER = np.iinfo(np.int64).max // 4


@dataclass(frozen=True)
class Item:
    """Something wanted: value is what it is worth, a whole number."""

    name: str
    minor: int
    value: int


def best(items: Sequence[Item], budget_minor: int) -> list[int]:
    """Which to take, by their index: of the greatest worth, among those the cheapest, among those
    the first by name."""
    order = sorted(range(len(items)), key=lambda i: (items[i].name, i))
    top = sum(one.value for one in items)
    least = np.full((len(items) + 1, top + 1), _NEVER, dtype=np.int64)
    least[-1, 0] = 0
    for row in reversed(range(len(order))):
        one = items[order[row]]
        least[row] = least[row + 1]
        shifted = np.full(top + 1, _NEVER, dtype=np.int64)
        shifted[one.value :] = least[row + 1, : top + 1 - one.value] + one.minor
        np.minimum(least[row], shifted, out=least[row])
    worth = int(np.flatnonzero(least[0] <= budget_minor).max(initial=0))
    chosen = []
    for row, i in enumerate(order):
        one = items[i]
        rest = worth - one.value
        if rest >= 0 and one.value > 0 and least[row + 1, rest] + one.minor == least[row, worth]:
            chosen.append(i)
            worth = rest
    return sorted(chosen)


def instead_of(
    items: Sequence[Item], budget_minor: int, chosen: Sequence[int], out: int
) -> list[int] | None:
    """Of what was chosen, those that would have to go for one that was left out; None where it is
    too dear for the whole budget."""
    left = budget_minor - items[out].minor
    if left < 0:
        return None
    others = [i for i in range(len(items)) if i != out]
    forced = {others[i] for i in best([items[i] for i in others], left)}
    return [i for i in chosen if i not in forced]
