"""How a figure came about: its inputs, its formula, the values between, and how sure it is."""

from neat_hull.errors import InputError
from neat_hull.model.how import How
from neat_hull.rig.evaluated import Evaluated
from neat_hull.whole.registry import SUBJECTS


def figures() -> list[str]:
    """Names of the figures that can be laid open."""
    return [name for subject in SUBJECTS for name in subject.how]


def explain(ev: Evaluated, figure: str) -> How:
    """Lay open one figure. Raises InputError for an unknown one, DoesNotFloat or NoBalance where
    the boat has none."""
    for subject in SUBJECTS:
        if figure in subject.how:
            return subject.how[figure](ev)
    raise InputError("figure", figure, f"must be one of {', '.join(figures())}")
