"""What a subject exports: one record, and nothing else of it is named outside."""

from collections.abc import Callable, Iterable, Mapping
from dataclasses import dataclass, field
from typing import Any

from pydantic import JsonValue

from neat_hull.model.base import Model
from neat_hull.model.columns import Column
from neat_hull.model.findings import Finding
from neat_hull.model.how import How
from neat_hull.model.said import Said
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.limits import Levels
from neat_hull.rig.rules import Rule


@dataclass(frozen=True)
class Tries:
    """What is worth trying for a finding: moves of things, and of the seat.

    `without` says that things may be left ashore for it. The aims say what a move for it is judged
    by beside the figures of the whole boat: `lighter` that less is carried, `nearer` that the thing
    comes nearer to the hand, `apart` that what met meets no longer.
    """

    things: tuple[int, ...]
    seats: bool = False
    without: bool = False
    lighter: bool = False
    nearer: bool = False
    apart: bool = False


@dataclass(frozen=True, eq=False)
class Work:
    """Something to do to what a subject keeps in the setup: in words, the sections as they would
    be, and the fields that change, as a merge patch of the setup."""

    words: Said
    sections: Mapping[str, Model]
    fields: Mapping[str, JsonValue]


@dataclass(frozen=True, eq=False)
class Subject:
    """A subject by name.

    section: the key of what it keeps in a setup, see `model.sections`; None where it keeps nothing.
    live: its part of the live answer, by the key it has there. rules: in the order they are asked.
    limits: its rows of the table. moves: what could be tried for a finding of its rules, works what
    could be changed of its section. how: how
    a figure came about, by the figure's name. columns: its part of a table of gear.
    """

    name: str
    section: str | None = None
    live: Mapping[str, Callable[[Evaluated], Any]] = field(default_factory=dict)
    rules: tuple[Rule, ...] = ()
    limits: Mapping[str, Levels] = field(default_factory=dict)
    moves: Callable[[Evaluated, Finding], Tries] | None = None
    works: Callable[[Evaluated, Finding], Iterable[Work]] | None = None
    how: Mapping[str, Callable[[Evaluated], How]] = field(default_factory=dict)
    columns: tuple[Column, ...] = ()


_HEAVIEST = 6  # things that are asked for a figure of the whole boat


def named_in(finding: Finding) -> tuple[int, ...]:
    """The things that a finding names."""
    return tuple(i for i in (finding.thing_id, finding.other_id) if i is not None)


def heaviest(ev: Evaluated) -> tuple[int, ...]:
    """The heaviest things that stand on the boat itself: those that a figure of it hangs on."""
    placing = ev.rigged.placing
    roots = [i for i in ev.setup.places if placing.holder(i) is None]
    return tuple(sorted(roots, key=lambda i: -ev.thing(i).mass_now_kg)[:_HEAVIEST])


def of_the_whole_boat(ev: Evaluated, finding: Finding) -> Tries:
    """What is named, then the heaviest things, and the seat."""
    return Tries(
        tuple(dict.fromkeys((*named_in(finding), *heaviest(ev)))), seats=True, without=True
    )


def seat_if_stuck(ev: Evaluated, things: tuple[int, ...]) -> bool:
    """Whether the seat is worth moving for a few things: where none of them may be moved itself."""
    places, all_things = ev.setup.places, ev.setup.things
    return all(all_things[i].part is not None or (i in places and places[i].locked) for i in things)


def nothing_helps(_ev: Evaluated, _finding: Finding) -> Tries:
    """For what no move cures: a scale does, or asking."""
    return Tries(())


def of_what_is_named(ev: Evaluated, finding: Finding) -> Tries:
    """What is named; where nothing is, whatever changes the whole boat."""
    named = named_in(finding)
    return Tries(named) if named else of_the_whole_boat(ev, finding)
