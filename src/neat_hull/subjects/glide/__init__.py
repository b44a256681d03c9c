"""Glide: what water and wind make of a boat that goes, drifts, or is driven by a motor."""

from neat_hull.model.columns import Column
from neat_hull.rig.subject import Subject
from neat_hull.subjects.glide.figures import glide
from neat_hull.subjects.glide.how import HOW
from neat_hull.subjects.glide.limits import LIMITS
from neat_hull.subjects.glide.moves import tries, works
from neat_hull.subjects.glide.rules import RULES

SUBJECT = Subject(
    "glide",
    section="glide",
    live={"glide": glide},
    rules=RULES,
    limits=LIMITS,
    moves=tries,
    works=works,
    how=HOW,
    columns=(
        Column("motor_thrust_n", ("motor", "thrust_n"), "number"),
        Column("motor_fastest_m_s", ("motor", "fastest_m_s"), "number"),
        Column("motor_full_w", ("motor", "full_w"), "number"),
        Column("motor_drop", ("motor", "drop"), "number"),
        Column("motor_holds", ("motor", "holds"), "flag", nothing=False),
    ),
)
