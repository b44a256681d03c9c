"""Sonar: where a transducer hangs, what it sees from there, and what it meets."""

from neat_hull.model.columns import Column
from neat_hull.rig.subject import Subject, of_what_is_named
from neat_hull.subjects.sonar.figures import sonar
from neat_hull.subjects.sonar.how import HOW
from neat_hull.subjects.sonar.limits import LIMITS
from neat_hull.subjects.sonar.rules import RULES

SUBJECT = Subject(
    "sonar",
    live={"sonar": sonar},
    rules=RULES,
    limits=LIMITS,
    moves=of_what_is_named,
    how=HOW,
    columns=(
        Column("transducer", ("transducer", "mount")),
        Column("sounds_through", ("transducer", "through"), nothing="water"),
        Column("cone_deg", ("transducer", "cone_deg"), "number", nothing=20.0),
        Column("side_beams", ("transducer", "side_beams"), "flag", nothing=False),
        Column("reads_temperature", ("transducer", "reads_temperature"), "flag", nothing=True),
    ),
)
