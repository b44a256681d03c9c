"""Bands against simulated owners of boats that the model has no shape of."""

from collections import defaultdict

import numpy as np
import pytest
from tests.examples import NIGHTLY
from tests.owners import FAMILIES, Errors, simulated

OWNERS = 300 if NIGHTLY else 20


@pytest.fixture(scope="module")
def found() -> dict[str, list[Errors]]:
    """The errors and bands of each owner, by what was measured."""
    found = defaultdict(list)
    names = list(FAMILIES)
    for n in range(OWNERS):
        draw = np.random.default_rng(7000 + n)
        for knows, errors in simulated(draw, names[n % len(names)], afloat=False).items():
            found[knows].append(errors)
    return found


# In one test: each worker that had some of them would simulate all owners.
def test_the_true_figure_lies_in_its_band(found: dict[str, list[Errors]]) -> None:
    """Meant for 95 of 100; of twenty, fewer than four fifths would be chance once in a thousand."""
    misses = []
    for knows in ("tape", "low beams", "half a tape", "label"):
        for figure in ("carried", "draft", "trim", "list", "gm", "margin"):
            pairs = [errors[figure] for errors in found[knows] if figure in errors]
            assert len(pairs) > OWNERS / 2, (knows, figure)
            within = np.mean([abs(error) <= band for error, band in pairs])
            if within < 0.8:
                misses.append((knows, figure, within))
    assert misses == []


def test_the_breadths_low_down_tell_gm_several_times_better(found: dict[str, list[Errors]]) -> None:
    spread = {k: np.std([errors["gm"][0] for errors in found[k]]) for k in ("tape", "low beams")}
    assert spread["low beams"] < 0.5 * spread["tape"]
    bands = {k: np.median([errors["gm"][1] for errors in found[k]]) for k in spread}
    assert bands["low beams"] < 0.6 * bands["tape"]
