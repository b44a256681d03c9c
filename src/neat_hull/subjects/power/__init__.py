"""Batteries, wires, fuses and the day: of a setup, and of a bare case by `neat-hull power`."""

from neat_hull.model.columns import Column
from neat_hull.rig.subject import Subject
from neat_hull.subjects.power.figures import power
from neat_hull.subjects.power.how import HOW
from neat_hull.subjects.power.limits import LIMITS
from neat_hull.subjects.power.moves import tries, works
from neat_hull.subjects.power.rules import RULES

SUBJECT = Subject(
    "power",
    section="power",
    live={"power": power},
    rules=RULES,
    limits=LIMITS,
    moves=tries,
    works=works,
    how=HOW,
    columns=(
        Column("chemistry", ("battery", "chemistry")),
        Column("capacity_known", ("battery", "evidence"), nothing="guess"),
        Column("rated_hours", ("battery", "rated_hours"), "number"),
        Column("second_ah", ("battery", "second_ah"), "number"),
        Column("second_hours", ("battery", "second_hours"), "number"),
        Column("resistance_ohm", ("battery", "resistance_ohm"), "number"),
        Column("resistance_measured", ("battery", "measured_on")),
        Column("usable_share", ("battery", "usable_share"), "number"),
        Column("health_share", ("battery", "health_share"), "number", nothing=1.0),
        Column("in_series", ("battery", "series"), "count", nothing=1),
        Column("cut_off_v", ("battery", "cut_off_v"), "number"),
        Column("max_discharge_a", ("battery", "max_discharge_a"), "number"),
        Column("max_charge_a", ("battery", "max_charge_a"), "number"),
        Column("posts_bare", ("battery", "posts_bare"), "flag", nothing=False),
        Column("draw_a", ("draw", "amps"), "number"),
        Column("draw_w", ("draw", "watts"), "number"),
        Column("draw_ohm", ("draw", "ohms"), "number"),
        Column("draw_known", ("draw", "evidence"), nothing="guess"),
        Column("converter_efficiency", ("draw", "efficiency"), "number"),
        Column("idle_w", ("draw", "idle_w"), "number", nothing=0.0),
        Column("least_v", ("draw", "min_v"), "number"),
        Column("critical", ("draw", "critical"), "flag", nothing=False),
        Column("start_level", ("draw", "start_level"), "number"),
        Column("day_share", ("draw", "usual_share"), "number", nothing=1.0),
        Column("own_cells", ("draw", "own_cells"), "flag", nothing=False),
        Column("fuse_ways", ("fuse", "ways"), "count"),
    ),
)
