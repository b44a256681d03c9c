"""Dates: what has run out by the day of the trip, and what does soon."""

from neat_hull.rig.subject import Subject, nothing_helps
from neat_hull.subjects.dates.limits import LIMITS
from neat_hull.subjects.dates.rules import RULES

SUBJECT = Subject("dates", rules=RULES, limits=LIMITS, moves=nothing_helps)
