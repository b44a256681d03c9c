"""How the boat lies and how steady it is."""

from neat_hull.rig.subject import Subject, of_the_whole_boat
from neat_hull.subjects.afloat.figures import afloat, curve, weight_and_lift, why_not_afloat
from neat_hull.subjects.afloat.how import HOW
from neat_hull.subjects.afloat.limits import LIMITS
from neat_hull.subjects.afloat.rules import RULES

SUBJECT = Subject(
    "afloat",
    live={
        "afloat": afloat,
        "trouble": why_not_afloat,
        "curve": curve,
        "strip": weight_and_lift,
    },
    rules=RULES,
    limits=LIMITS,
    moves=of_the_whole_boat,
    how=HOW,
)
