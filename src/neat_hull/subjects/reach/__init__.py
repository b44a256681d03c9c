"""What is within reach, and what reaching for it does."""

from dataclasses import replace

from neat_hull.model.findings import Finding
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.subject import Subject, Tries, of_what_is_named, seat_if_stuck
from neat_hull.subjects.reach.figures import aboard
from neat_hull.subjects.reach.limits import LIMITS
from neat_hull.subjects.reach.rules import RULES
from neat_hull.subjects.room.figures import is_lid


def _moves(ev: Evaluated, finding: Finding) -> Tries:
    _, _, part = finding.key.rpartition(":")
    tries = of_what_is_named(ev, finding)
    return replace(tries, seats=seat_if_stuck(ev, tries.things), nearer=True, apart=is_lid(part))


SUBJECT = Subject("reach", live={"aboard": aboard}, rules=RULES, limits=LIMITS, moves=_moves)
