"""Where the anchor's line is made fast, and what it does there."""

from neat_hull.model.columns import Column
from neat_hull.rig.subject import Subject, of_what_is_named
from neat_hull.subjects.anchoring.moves import works
from neat_hull.subjects.anchoring.rules import RULES

SUBJECT = Subject(
    "anchoring",
    rules=RULES,
    moves=of_what_is_named,
    works=works,
    columns=(
        Column("anchor", ("anchor", "by")),
        Column("drogue", ("drogue",), "has"),
        Column("drogue_line", ("drogue", "line_m"), "length"),
    ),
)
