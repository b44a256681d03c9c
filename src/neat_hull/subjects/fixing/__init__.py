"""Fixing things down: mounts, walls, holes, and the order of the work."""

from neat_hull.rig.subject import Subject
from neat_hull.subjects.fixing.figures import fixing
from neat_hull.subjects.fixing.how import HOW
from neat_hull.subjects.fixing.limits import LIMITS
from neat_hull.subjects.fixing.moves import tries, works
from neat_hull.subjects.fixing.rules import RULES

SUBJECT = Subject(
    "fixing",
    section="fixing",
    live={"fixing": fixing},
    rules=RULES,
    limits=LIMITS,
    moves=tries,
    works=works,
    how=HOW,
)
