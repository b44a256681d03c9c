"""Haul: the boat from the garage to the water, lifted, carried on wheels, on a roof or a bed."""

from neat_hull.model.columns import Column
from neat_hull.rig.subject import Subject
from neat_hull.subjects.haul.figures import haul
from neat_hull.subjects.haul.how import HOW
from neat_hull.subjects.haul.limits import LIMITS
from neat_hull.subjects.haul.moves import tries, works
from neat_hull.subjects.haul.rules import RULES

SUBJECT = Subject(
    "haul",
    section="haul",
    live={"haul": haul},
    rules=RULES,
    limits=LIMITS,
    moves=tries,
    works=works,
    how=HOW,
    columns=(
        Column("lifted_by_it", ("grip",), "has"),
        Column("assist_rope", ("grip", "assist"), "flag", nothing=False),
    ),
)
