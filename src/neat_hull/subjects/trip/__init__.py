"""Two trips on one day."""

from neat_hull.rig.subject import Subject, of_what_is_named
from neat_hull.subjects.trip.rules import RULES

SUBJECT = Subject("trip", rules=RULES, moves=of_what_is_named)
