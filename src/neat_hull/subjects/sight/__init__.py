"""What hides the view."""

from neat_hull.rig.subject import Subject, of_the_whole_boat
from neat_hull.subjects.sight.limits import LIMITS
from neat_hull.subjects.sight.rules import RULES

SUBJECT = Subject("sight", rules=RULES, limits=LIMITS, moves=of_the_whole_boat)
