"""Day: what a boat weighs and how it lies, hour by hour."""

from neat_hull.rig.subject import Subject
from neat_hull.subjects.day.figures import day
from neat_hull.subjects.day.how import HOW
from neat_hull.subjects.day.limits import LIMITS
from neat_hull.subjects.day.moves import tries, works
from neat_hull.subjects.day.rules import RULES

SUBJECT = Subject(
    "day",
    section="outing",
    live={"outing": day},
    rules=RULES,
    limits=LIMITS,
    moves=tries,
    works=works,
    how=HOW,
)
