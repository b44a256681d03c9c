"""How many random examples a test draws: a few by day, many by night (`make nightly`)."""

import os

from hypothesis import settings

NIGHTLY = os.environ.get("NEAT_HULL_EXAMPLES") == "nightly"
_BY_NIGHT = 30  # times as many


def examples(by_day: int) -> settings:
    """Settings for a test of which each example is dear."""
    return settings(max_examples=by_day * (_BY_NIGHT if NIGHTLY else 1))
