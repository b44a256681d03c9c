"""Whether things go where they are put."""

from neat_hull.rig.subject import Subject, of_what_is_named
from neat_hull.subjects.fit.rules import RULES

SUBJECT = Subject("fit", rules=RULES, moves=of_what_is_named)
