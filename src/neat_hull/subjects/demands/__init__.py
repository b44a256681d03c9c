"""What the trip asks of the boat."""

from neat_hull.model.columns import Column
from neat_hull.rig.subject import Subject, of_the_whole_boat
from neat_hull.subjects.demands.limits import LIMITS
from neat_hull.subjects.demands.rules import RULES

SUBJECT = Subject(
    "demands",
    section="demands",
    rules=RULES,
    limits=LIMITS,
    moves=of_the_whole_boat,
    columns=(
        Column("downrigger", ("downrigger",), "has"),
        Column("downrigger_ball", ("downrigger", "ball_kg"), "mass"),
    ),
)
