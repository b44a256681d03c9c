"""Rods: reels, tips, and where one is parked."""

from dataclasses import replace

from neat_hull.model.columns import Column
from neat_hull.model.findings import Finding
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.subject import Subject, Tries, of_what_is_named
from neat_hull.subjects.rods.limits import LIMITS
from neat_hull.subjects.rods.rules import RULES


def _moves(ev: Evaluated, finding: Finding) -> Tries:
    return replace(of_what_is_named(ev, finding), seats=True)


SUBJECT = Subject(
    "rods",
    rules=RULES,
    limits=LIMITS,
    moves=_moves,
    columns=(
        Column("butt", ("rod", "butt_m"), "length"),
        Column("reel", ("rod", "reel")),
        Column("holder_tubes", ("holder", "tubes"), "count"),
    ),
)
