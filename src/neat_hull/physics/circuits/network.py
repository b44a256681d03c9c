"""Voltages and currents of one bank: batteries side by side, and a tree of wires with what draws.

Each Newton step goes once up the tree and once down. What draws a set power is convex in the
voltage, so that a step from wherever the network is stiff in the plain sense (every gain positive)
lands above all solutions, and steps fall from there to the highest, or find that there is none
(Ortega and Rheinboldt, Iterative Solution of Nonlinear Equations in Several Variables, 1970,
ch. 13.3; Kersting, Distribution System Modeling and Analysis, ch. 10, for the sweeps). The first
begins at the last answer, which is near, and else at no load.
"""

from collections.abc import Sequence
from dataclasses import dataclass

from neat_hull.physics.circuits.battery import Battery

_STEPS = 200
_NEAR = 1e-9  # of the voltage
_SQUARED = 1e-5  # a step so short that shrank a hundredfold: the next is under 1e-9
_LOOSE = 1e-10  # where a double root lets steps shrink no further


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


class Solved:
    """Voltages at the bank and at the end of each wire, and what each battery gives."""

    __slots__ = ("_place", "_volts", "bank_v", "battery_a")

    def __init__(
        self, volts: Sequence[float], place: Sequence[int], battery_a: Sequence[float]
    ) -> None:
        """volts: of what carries a current, the bank last; place: of each wire, which of them."""
        self.bank_v = volts[-1]
        self.battery_a = battery_a
        self._volts, self._place = volts, place

    def at(self, wire: int) -> float:
        """The voltage at the end of a wire, or at the bank."""
        return self.bank_v if wire < 0 else self._volts[self._place[wire]]

    def with_amps(self, battery_a: Sequence[float]) -> "Solved":
        """The same with the currents of more batteries."""
        return Solved(self._volts, self._place, battery_a)


class Network:
    """Wires and what hangs on them, made ready to be solved many times."""

    def __init__(self, wires: Sequence[Wire], draws: Sequence[Draw]) -> None:
        """Wires stand after their parents."""
        carries = {one.wire for one in draws}
        for i in range(len(wires) - 1, -1, -1):
            if i in carries:
                carries.add(wires[i].parent)
        live = [i for i in range(len(wires)) if i in carries]
        n = len(live)
        number = {wire: k for k, wire in enumerate(live)} | {-1: n}
        self.place: list[int] = []  # a wire that carries nothing ends at the voltage it begins at
        for i, one in enumerate(wires):
            parent = n if one.parent < 0 else self.place[one.parent]
            self.place.append(number.get(i, parent))
        self._tree = [(number[wires[i].parent], wires[i].ohm) for i in live]
        self._up = [(k, *self._tree[k]) for k in range(n - 1, -1, -1)]
        fixed, slope = [0.0] * (n + 1), [0.0] * (n + 1)
        self._watts: list[tuple[int, float]] = []
        for draw in draws:
            at = number[draw.wire]
            fixed[at] += draw.amps
            slope[at] += draw.siemens
            if draw.watts:
                self._watts.append((at, draw.watts))
        self._fixed, self._slope = fixed, slope
        self._thirsty = [number[one.wire] for one in draws if one.watts or one.amps]
        self._last: list[float] | None = None

    def behind(self, source_v: float, ohm: float) -> list[float] | None:
        """Voltages behind a source; the bank is last. None where there is no solution."""
        volts = self._fallen(self._last, source_v, ohm) if self._last else None
        if volts is None:
            volts = self._fallen([source_v] * (len(self._tree) + 1), source_v, ohm)
        if volts is None:
            return None
        self._last = volts
        for at in self._thirsty:
            if volts[at] <= 0:
                return None
        return volts

    def _fallen(self, volts: list[float], source_v: float, ohm: float) -> list[float] | None:
        n = len(self._tree)
        tree, up, watts = self._tree, self._up, self._watts
        moved = abs(source_v)
        near_v, squared_v = _NEAR * moved, _SQUARED * moved
        for _ in range(_STEPS):
            # What goes down a wire is a + b·V of its upper end: gathered from the leaves up.
            fixed, slope = self._fixed[:], self._slope[:]
            for at, power in watts:
                v = volts[at]
                if v <= 0:
                    return None
                amps = power / v
                fixed[at] += amps + amps
                slope[at] -= amps / v
            for i, parent, r in up:
                gain = 1 + r * slope[i]
                if gain <= 0:
                    return None
                fixed[parent] += fixed[i] / gain
                slope[parent] += slope[i] / gain
            gain = 1 + ohm * slope[n]
            if gain <= 0:
                return None
            before, volts = volts, [0.0] * (n + 1)
            volts[n] = v = (source_v - ohm * fixed[n]) / gain
            last, moved = moved, abs(v - before[n])
            for i in range(n):
                parent, r = tree[i]
                volts[i] = v = (volts[parent] - r * fixed[i]) / (1 + r * slope[i])
                off = v - before[i]
                if off > moved:
                    moved = off
                elif -off > moved:
                    moved = -off
            if moved <= near_v or (moved <= squared_v and moved < 0.01 * last):
                return volts
            if not watts:  # linear: one step is the answer
                return volts
        return volts if moved <= _LOOSE * abs(source_v) else None

    def solved(self, batteries: Sequence[Battery], socs: Sequence[float]) -> Solved | None:
        """The highest solution, that which is reached from no load; None where there is none.

        There must be a battery.
        """
        if len(batteries) == 1:  # no current flows but to loads: a diode makes no difference
            (one,), (soc,) = batteries, socs
            source_v, ohm = one.source_v(soc), one.inner_ohm(soc) + one.lead_ohm
            alone = self.behind(source_v, ohm)
            if alone is None:
                return None
            return Solved(alone, self.place, (max(0.0, (source_v - alone[-1]) / ohm),))
        sources: list[tuple[float, float]] = []
        one_way = False
        siemens = short_a = 0.0
        for one, soc in zip(batteries, socs, strict=True):
            source_v, g = one.source_v(soc), 1 / (one.inner_ohm(soc) + one.lead_ohm)
            sources.append((source_v, g))
            one_way = one_way or one.one_way(soc)
            siemens += g
            short_a += g * source_v
        if one_way:
            return self._with_diodes(
                sources, [b.one_way(s) for b, s in zip(batteries, socs, strict=True)]
            )
        plain = self.behind(short_a / siemens, 1 / siemens)
        if plain is None:
            return None
        bank_v = plain[-1]
        return Solved(plain, self.place, tuple([(v - bank_v) * g for v, g in sources]))

    def _with_diodes(
        self, sources: Sequence[tuple[float, float]], one_way: Sequence[bool]
    ) -> Solved | None:
        """Diodes open one after the other as the voltage falls, the highest first."""
        diodes = sorted(
            (i for i, is_so in enumerate(one_way) if is_so), key=lambda i: -sources[i][0]
        )
        open_ones = [i for i, is_so in enumerate(one_way) if not is_so]
        idle_v = _thevenin(sources, open_ones)[0] if open_ones else sources[diodes[0]][0]
        while diodes and sources[diodes[0]][0] >= idle_v:
            open_ones.append(diodes.pop(0))
            idle_v = _thevenin(sources, open_ones)[0]
        while True:
            found = self.behind(*_thevenin(sources, open_ones))
            if diodes and (found is None or sources[diodes[0]][0] > found[-1]):
                open_ones.append(diodes.pop(0))
                continue
            if found is None:
                return None
            amps = [0.0] * len(sources)
            for i in open_ones:
                amps[i] = (sources[i][0] - found[-1]) * sources[i][1]
                if one_way[i]:
                    amps[i] = max(0.0, amps[i])
            return Solved(found, self.place, tuple(amps))


def solve(
    batteries: Sequence[Battery],
    socs: Sequence[float],
    wires: Sequence[Wire],
    draws: Sequence[Draw],
) -> Solved | None:
    """One network solved once: `Network.solved`."""
    return Network(wires, draws).solved(batteries, socs)


def _thevenin(
    sources: Sequence[tuple[float, float]], open_ones: Sequence[int]
) -> tuple[float, float]:
    """The one source, and the resistance behind it, that several come to."""
    siemens = sum(sources[i][1] for i in open_ones)
    return sum(sources[i][0] * sources[i][1] for i in open_ones) / siemens, 1 / siemens
