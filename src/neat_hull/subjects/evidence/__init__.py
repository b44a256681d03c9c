"""How sure the figures are, and what to weigh first."""

from neat_hull.rig.bands import bands
from neat_hull.rig.subject import Subject, nothing_helps
from neat_hull.subjects.evidence.rules import RULES

SUBJECT = Subject("evidence", live={"bands": bands}, rules=RULES, moves=nothing_helps)
