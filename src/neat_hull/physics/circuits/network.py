"""Voltages and currents of one bank: batteries side by side, and a tree of wires with what draws.

Each Newton step goes once up the tree and once down. It begins at no load, above the solution; what
draws a set power is convex in the voltage, so the steps fall to the highest solution, or find that
there is none (Kersting, Distribution System Modeling and Analysis, ch. 10, for the sweeps).
"""

from collections.abc import Sequence
from dataclasses import dataclass

from neat_hull.physics.circuits.battery import Battery

_STEPS = 200
_NEAR_V = 1e-9  # Newton's steps square what is off: it is under 1e-15 then, but at a double root
_LOOSE_V = 1e-10  # where a double root lets steps shrink no further


@dataclass(frozen=True)
class Wire:
    """A wire from its parent (a place in the list of wires, or −1 for the bank), out and back."""

    parent: int
    ohm: float


@dataclass(frozen=True)
class Draw:
    """What one load draws at the end of a wire (−1: the bank): at V amps + watts/V + V·siemens."""

    wire: int
    amps: float
    watts: float
    siemens: float

    def at_v(self, volts: float) -> float:
        """The current, A."""
        return self.amps + self.siemens * volts + (self.watts / volts if self.watts else 0.0)


@dataclass(frozen=True)
class Solved:
    """Voltages at the bank and at the end of each wire, and what each battery gives."""

    bank_v: float
    wires_v: tuple[float, ...]
    battery_a: tuple[float, ...]

    def at(self, wire: int) -> float:
        """The voltage at the end of a wire, or at the bank."""
        return self.bank_v if wire < 0 else self.wires_v[wire]


def solve(
    batteries: Sequence[Battery],
    socs: Sequence[float],
    wires: Sequence[Wire],
    draws: Sequence[Draw],
) -> Solved | None:
    """The highest solution, that which is reached from no load; None where there is none.

    Wires stand after their parents. There must be a battery.
    """
    tree = [(one.parent, one.ohm) for one in wires]
    return solve_made(batteries, socs, tree, loads_of(draws))


Loads = tuple[list[tuple[int, float, float, float]], list[int]]


def loads_of(draws: Sequence[Draw]) -> Loads:
    """Draws as the solver reads them: plain numbers, and the wires that must have a voltage."""
    return (
        [(one.wire, one.amps, one.watts, one.siemens) for one in draws],
        [one.wire for one in draws if one.watts or one.amps],
    )


def solve_made(
    batteries: Sequence[Battery],
    socs: Sequence[float],
    tree: Sequence[tuple[int, float]],
    loads: Loads,
) -> Solved | None:
    """`solve` with wires as (parent, ohm) and loads made ready: what a day is spent in."""
    if len(batteries) == 1:  # no current flows but to loads, so that a diode makes no difference
        (one,), (soc,) = batteries, socs
        source_v, ohm = one.source_v(soc), one.inner_ohm(soc) + one.lead_ohm
        alone = _tree(source_v, ohm, tree, loads)
        if alone is None:
            return None
        return Solved(alone[0], tuple(alone[1]), (max(0.0, (source_v - alone[0]) / ohm),))
    sources: list[tuple[float, float, bool]] = []
    one_way, siemens, short_a = False, 0.0, 0.0
    for one, soc in zip(batteries, socs, strict=True):
        source_v, g = one.source_v(soc), 1 / (one.inner_ohm(soc) + one.lead_ohm)
        sources.append((source_v, g, one.one_way(soc)))
        one_way = one_way or sources[-1][2]
        siemens += g
        short_a += g * source_v
    if not one_way:
        plain = _tree(short_a / siemens, 1 / siemens, tree, loads)
        if plain is None:
            return None
        bank_v, wires_v = plain
        return Solved(bank_v, tuple(wires_v), tuple([(v - bank_v) * g for v, g, _ in sources]))
    # Diodes open one after the other as the voltage falls, the highest first.
    diodes = sorted((i for i, one in enumerate(sources) if one[2]), key=lambda i: -sources[i][0])
    open_ones = [i for i, one in enumerate(sources) if not one[2]]
    idle_v = _thevenin(sources, open_ones)[0] if open_ones else sources[diodes[0]][0]
    while diodes and sources[diodes[0]][0] >= idle_v:
        open_ones.append(diodes.pop(0))
        idle_v = _thevenin(sources, open_ones)[0]
    while True:
        behind_v, behind_ohm = _thevenin(sources, open_ones)
        found = _tree(behind_v, behind_ohm, tree, loads)
        if diodes and (found is None or sources[diodes[0]][0] > found[0]):
            open_ones.append(diodes.pop(0))
            continue
        if found is None:
            return None
        bank_v, wires_v = found
        amps = [0.0] * len(sources)
        for i in open_ones:
            amps[i] = (sources[i][0] - bank_v) * sources[i][1]
            if sources[i][2]:
                amps[i] = max(0.0, amps[i])
        return Solved(bank_v, tuple(wires_v), tuple(amps))


def _thevenin(
    sources: Sequence[tuple[float, float, bool]], open_ones: Sequence[int]
) -> tuple[float, float]:
    """The one source, and the resistance behind it, that several come to."""
    siemens = sum(sources[i][1] for i in open_ones)
    return sum(sources[i][0] * sources[i][1] for i in open_ones) / siemens, 1 / siemens


def _tree(
    behind_v: float,
    behind_ohm: float,
    tree: Sequence[tuple[int, float]],
    loads: Loads,
) -> tuple[float, list[float]] | None:
    """Voltages behind a source, at the bank and at the end of each wire."""
    n = len(tree)
    taking, thirsty = loads
    volts = [behind_v] * (n + 1)  # the last is the bank, as −1 names it
    for _ in range(_STEPS):
        # What goes down a wire is a + b·V of its upper end: gathered from the leaves up.
        fixed, slope = [0.0] * (n + 1), [0.0] * (n + 1)
        for at, amps, watts, siemens in taking:
            if watts:
                v = volts[at]
                if v <= 0:
                    return None
                fixed[at] += amps + 2 * watts / v
                slope[at] += siemens - watts / (v * v)
            else:
                if amps and volts[at] <= 0:
                    return None
                fixed[at] += amps
                slope[at] += siemens
        for i in range(n - 1, -1, -1):
            parent, ohm = tree[i]
            gain = 1 + ohm * slope[i]
            if gain <= 0:
                return None
            fixed[parent] += fixed[i] / gain
            slope[parent] += slope[i] / gain
        gain = 1 + behind_ohm * slope[n]
        if gain <= 0:
            return None
        before, volts = volts, [0.0] * (n + 1)
        volts[n] = (behind_v - behind_ohm * fixed[n]) / gain
        moved = abs(volts[n] - before[n])
        for i, (parent, ohm) in enumerate(tree):
            volts[i] = v = (volts[parent] - ohm * fixed[i]) / (1 + ohm * slope[i])
            moved = max(moved, abs(v - before[i]))
        if moved <= _NEAR_V * abs(behind_v):
            break
    else:
        if moved > _LOOSE_V * abs(behind_v):
            return None
    for at in thirsty:
        if volts[at] <= 0:
            return None
    return volts[n], volts[:n]
