"""What a capsize takes."""

from neat_hull.model.columns import Column
from neat_hull.rig.subject import Subject
from neat_hull.subjects.capsize.figures import capsize
from neat_hull.subjects.capsize.how import HOW
from neat_hull.subjects.capsize.limits import LIMITS
from neat_hull.subjects.capsize.moves import tries, works
from neat_hull.subjects.capsize.rules import RULES

SUBJECT = Subject(
    "capsize",
    section="safety",
    live={"capsize": capsize},
    rules=RULES,
    limits=LIMITS,
    moves=tries,
    works=works,
    how=HOW,
    columns=(
        Column("volume_l", ("volume_l",), "number"),
        Column("bails", ("bails",)),
    ),
)
