"""Room that the angler needs, and that things need from each other."""

from dataclasses import replace

from neat_hull.model.findings import Finding
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.subject import Subject, Tries, of_what_is_named, seat_if_stuck
from neat_hull.subjects.room.figures import clashes, too_near
from neat_hull.subjects.room.rules import RULES


def _moves(ev: Evaluated, finding: Finding) -> Tries:
    tries = of_what_is_named(ev, finding)
    return replace(tries, seats=seat_if_stuck(ev, tries.things), apart=True)


SUBJECT = Subject(
    "room", live={"too_near": too_near, "clashes": clashes}, rules=RULES, moves=_moves
)
