"""What becomes of each thing of a boat that goes over: what holds what, lines that part, rafts."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from neat_hull.model.capsize_case import CaseThing

Fate = Literal["stays", "with you", "floats off", "sinks"]
BOAT, BODY = "the boat", "the body"


@dataclass(frozen=True)
class Line:
    """What hangs on a line in the water, and whether it parts."""

    load_kg: float
    parts: bool


@dataclass(frozen=True)
class Fates:
    """Of all things by name; lines of those that are tied."""

    of: dict[str, Fate]
    lines: dict[str, Line]


def fates(things: Sequence[CaseThing], density_kg_m3: float, jerk: float) -> Fates:
    """From the leaves up what pulls at each line, then from each thing down to its root."""
    by_name = {one.name: one for one in things}
    held: dict[str, list[str]] = {}
    for one in things:
        if one.held.by != "loose" and one.held.to in by_name and one.held.by != "worn":
            held.setdefault(one.held.to or "", []).append(one.name)
    lines: dict[str, Line] = {}

    def hangs_kg(name: str) -> float:
        """Weight in water of a thing and all that still holds to it."""
        total = sinks_kg(by_name[name], density_kg_m3)
        for child in held.get(name, []):
            pull = hangs_kg(child)
            spec = by_name[child].held
            if spec.by == "tied":
                load = jerk * max(0.0, pull)
                lines[child] = Line(load, spec.strength_kg is not None and load > spec.strength_kg)
                if lines[child].parts:
                    continue
            total += pull
        return total

    roots = [
        one for one in things
        if one.held.by in ("loose", "worn") or one.held.to not in by_name
    ]  # fmt: skip
    for one in roots:
        pull = hangs_kg(one.name)
        if one.held.by == "tied":
            load = jerk * max(0.0, pull)
            strong = one.held.strength_kg
            lines[one.name] = Line(load, strong is not None and load > strong)

    def root(name: str) -> str:
        one = by_name[name]
        if one.held.by == "worn":
            return BODY
        if one.held.by == "loose" or (one.held.by == "tied" and lines[name].parts):
            return name
        if one.held.to is None:
            return BOAT
        if one.held.to not in by_name:
            return BODY
        return root(one.held.to)

    at = {one.name: root(one.name) for one in things}
    rafts: dict[str, float] = {}
    for one in things:
        rafts[at[one.name]] = rafts.get(at[one.name], 0.0) + sinks_kg(one, density_kg_m3)
    found: dict[str, Fate] = {}
    for name, base in at.items():
        if base == BOAT:
            found[name] = "stays"
        elif base == BODY:
            found[name] = "with you"
        else:
            found[name] = "floats off" if rafts[base] < 0 else "sinks"
    return Fates(found, lines)


def sinks_kg(one: CaseThing, density_kg_m3: float) -> float:
    """Its weight in water; negative where it floats."""
    return one.mass_kg - density_kg_m3 * one.volume_m3
