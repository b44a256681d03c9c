"""What hides the view, and how a boat is seen."""

from neat_hull.model.columns import Column
from neat_hull.model.findings import Finding
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.subject import Subject, Tries, named_in, of_the_whole_boat
from neat_hull.subjects.sight.how import HOW
from neat_hull.subjects.sight.limits import LIMITS
from neat_hull.subjects.sight.rules import RULES
from neat_hull.subjects.sight.seen import seen


def _moves(ev: Evaluated, finding: Finding) -> Tries:
    """Of a lamp or a flag itself and what stands before it; of the view, whatever changes it."""
    if finding.code == "view-hidden":
        return of_the_whole_boat(ev, finding)
    return Tries(named_in(finding))


SUBJECT = Subject(
    "sight",
    live={"seen": seen},
    rules=RULES,
    limits=LIMITS,
    moves=_moves,
    how=HOW,
    columns=(
        Column("lamp", ("lamp",), "has"),
        Column("lamp_shows", ("lamp", "shows"), nothing="all-round"),
        Column("lamp_height", ("lamp", "height_m"), "length"),
        Column("lamp_candela", ("lamp", "candela"), "number"),
        Column("lamp_vertical_deg", ("lamp", "vertical_deg"), "number"),
        Column("flag", ("flag",), "has"),
        Column("flag_size", ("flag", "size_m"), "length", nothing=0.3),
    ),
)
