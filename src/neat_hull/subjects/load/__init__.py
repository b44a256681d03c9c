"""How much is carried."""

from dataclasses import replace

from neat_hull.model.columns import Column
from neat_hull.model.findings import Finding
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.subject import Subject, Tries, of_what_is_named
from neat_hull.subjects.load.figures import weight
from neat_hull.subjects.load.how import HOW
from neat_hull.subjects.load.limits import LIMITS
from neat_hull.subjects.load.rules import RULES


def _moves(ev: Evaluated, finding: Finding) -> Tries:
    return replace(of_what_is_named(ev, finding), without=True, lighter=True)


SUBJECT = Subject(
    "load",
    live={"weight": weight},
    rules=RULES,
    limits=LIMITS,
    moves=_moves,
    how=HOW,
    columns=(
        Column("empty", ("fill", "empty_kg"), "mass"),
        Column("filled", ("fill", "filled"), "number", nothing=1.0),
        Column("sloshes", ("fill", "sloshes"), "flag", nothing=False),
        Column("filled_afloat", ("fill", "afloat"), "flag", nothing=False),
    ),
)
