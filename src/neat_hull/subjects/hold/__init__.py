"""Hold: how a boat lies at anchor or at a pole, and whether that holds."""

from neat_hull.model.columns import Column
from neat_hull.rig.subject import Subject
from neat_hull.subjects.hold.figures import hold
from neat_hull.subjects.hold.how import HOW
from neat_hull.subjects.hold.limits import LIMITS
from neat_hull.subjects.hold.moves import tries, works
from neat_hull.subjects.hold.rules import RULES

SUBJECT = Subject(
    "hold",
    section="hold",
    live={"hold": hold},
    rules=RULES,
    limits=LIMITS,
    moves=tries,
    works=works,
    how=HOW,
    columns=(
        Column("anchor_type", ("anchor", "type"), nothing="grapnel"),
        Column("anchor_chain", ("anchor", "chain_m"), "length", nothing=0.0),
        Column("anchor_chain_kg_m", ("anchor", "chain_kg_m"), "number", nothing=0.8),
        Column("anchor_line", ("anchor", "rope_m"), "length"),
        Column("anchor_line_thick_mm", ("anchor", "rope_mm"), "number", nothing=6.0),
        Column("anchor_line_sinks", ("anchor", "sinks"), "flag", nothing=True),
        Column("anchor_floats", ("anchor", "floats"), "flag", nothing=False),
        Column("pole_solid", ("anchor", "solid"), "flag", nothing=True),
        Column("pole_wall_mm", ("anchor", "wall_mm"), "number"),
        Column("pole_pushed_in", ("anchor", "pushed_in_m"), "length"),
        Column("anchor_powered", ("anchor", "powered"), "flag", nothing=False),
        Column("drogue_mouth", ("drogue", "mouth_m"), "length"),
        Column("drogue_trip_line", ("drogue", "trip_line"), "flag", nothing=False),
    ),
)
