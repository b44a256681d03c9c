"""What a capsize takes."""

from neat_hull.model.columns import Column
from neat_hull.model.findings import Finding
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.subject import Subject, Tries, named_in
from neat_hull.subjects.capsize.figures import capsize, lost
from neat_hull.subjects.capsize.how import HOW
from neat_hull.subjects.capsize.limits import LIMITS
from neat_hull.subjects.capsize.rules import RULES

_DEAREST = 6  # of what would be lost, the things that are tried elsewhere


def _moves(ev: Evaluated, finding: Finding) -> Tries:
    dearest = sorted(ev.once(lost), key=lambda i: -(ev.thing(i).price or 0.0))[:_DEAREST]
    return Tries(named_in(finding) or tuple(dearest))


SUBJECT = Subject(
    "capsize",
    section="safety",
    live={"capsize": capsize},
    rules=RULES,
    limits=LIMITS,
    moves=_moves,
    how=HOW,
    columns=(
        Column("volume_l", ("volume_l",), "number"),
        Column("bails", ("bails",)),
    ),
)
