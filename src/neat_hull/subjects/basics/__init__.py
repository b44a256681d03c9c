"""What the water asks to have along."""

from neat_hull.model.findings import Finding
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.subject import Subject, Tries, named_in
from neat_hull.subjects.basics.figures import unchecked
from neat_hull.subjects.basics.limits import LIMITS
from neat_hull.subjects.basics.rules import RULES, SERVICES


def _moves(ev: Evaluated, finding: Finding) -> Tries:
    """What is named; or what lies ashore and would serve."""
    service = SERVICES.get(finding.code)
    ashore = [
        i
        for i, thing in ev.setup.things.items()
        if service in thing.serves and i not in ev.setup.places
    ]
    return Tries(named_in(finding) or tuple(ashore))


SUBJECT = Subject("basics", live={"unchecked": unchecked}, rules=RULES, limits=LIMITS, moves=_moves)
