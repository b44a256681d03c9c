"""Money: what gear has cost and will, what first, and the phases of a build."""

from neat_hull.rig.subject import Subject, nothing_helps
from neat_hull.subjects.money.rules import RULES

SUBJECT = Subject("money", section="money", rules=RULES, moves=nothing_helps)
