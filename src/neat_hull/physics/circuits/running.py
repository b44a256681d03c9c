"""A bank kept on for hours: how its batteries run down, and what happens on the way.

Between switchings a bank is an ordinary differential equation in the states of charge of its
batteries; steps are those of Bogacki and Shampine (1989), third order, with the error of the second
held small. What ends a battery or the bank in mid-step is found by halving.
"""

from collections.abc import Callable, Sequence
from dataclasses import dataclass, field
from math import inf, isfinite

from neat_hull.physics.circuits.battery import Battery
from neat_hull.physics.circuits.network import Draw, Network, Solved, Wire

TOLERANCE_SOC = 1e-5  # of one step: a day of a few dozen of them stays within a ten-thousandth
_FIRST_H, _LEAST_H, _LONGEST_H = 0.25, 1e-7, 2.0
_AT_H = 1e-6  # how close an instant is found
# Of one step of Bogacki and Shampine: where it looks, and how much of each.
_AT = (0.5, 0.75)
_WEIGHTS = (2 / 9, 1 / 3, 4 / 9)
_ERROR = (-5 / 72, 1 / 12, 1 / 9, -1 / 8)
_MOST_LOOKS = 80  # halving alone takes thirty
_NOTHING = 1e-15


@dataclass
class Bank:
    """A bank in time: which of its batteries are on, and how full each is."""

    batteries: Sequence[Battery]
    wires: Sequence[Wire]
    soc: list[float]
    off_h: list[float | None] = field(default_factory=list)
    down_h: float | None = None
    pace_h: float = _FIRST_H  # of its steps, from one stretch to the next

    def __post_init__(self) -> None:
        if not self.off_h:
            self.off_h = [None] * len(self.batteries)
        self._made: tuple[Sequence[Draw], Network] = ((), Network(self.wires, ()))

    @property
    def on(self) -> list[int]:
        """Those that are on."""
        return [i for i, at in enumerate(self.off_h) if at is None]

    def solved(self, draws: Sequence[Draw], soc: Sequence[float]) -> Solved | None:
        """Voltages and the currents of all its batteries, 0 of those that are off."""
        if self._made[0] is not draws:  # the same all through a stretch
            self._made = draws, Network(self.wires, draws)
        network = self._made[1]
        if self.off_h.count(None) == len(self.off_h):
            return network.solved(self.batteries, soc)
        on = self.on
        if not on:
            return None
        found = network.solved([self.batteries[i] for i in on], [soc[i] for i in on])
        if found is None:
            return None
        amps = [0.0] * len(self.batteries)
        for i, value in zip(on, found.battery_a, strict=True):
            amps[i] = value
        return found.with_amps(tuple(amps))

    def posts_v(self, i: int, soc: float, amps: float) -> float:
        """The voltage at the posts of a battery, E − I·R."""
        return self.batteries[i].source_v(soc) - amps * self.batteries[i].inner_ohm(soc)

    def settled(self, at_h: float, draws: Sequence[Draw]) -> Solved | None:
        """The bank after all that is empty or cut off at this instant; None where it is down."""
        if self.down_h is not None:
            return None
        while True:
            for i in self.on:
                if self.soc[i] <= 0:
                    self.off_h[i] = at_h
            found = self.solved(draws, self.soc)
            if found is None:
                self.down_h = at_h
                return None
            gone = [i for i in self.on if self.cut(i, self.soc[i], found.battery_a[i])]
            if not gone:
                return found
            for i in gone:
                self.off_h[i] = at_h

    def cut(self, i: int, soc: float, amps: float) -> bool:
        """Whether its electronics switch it off under this current."""
        least = self.batteries[i].cut_off_v
        return least is not None and amps > 0 and self.posts_v(i, soc, amps) < least


@dataclass(frozen=True)
class Step:
    """A stretch of time with the same things on: what stood at both ends, and what it came to.

    quadrature are looks within it with their weights in h: ∫f dt is Σ weight·f(look).
    """

    from_h: float
    to_h: float
    before: Solved
    after: Solved
    quadrature: tuple[tuple[float, Solved], ...]

    @property
    def way(self) -> list[tuple[float, Solved]]:
        """What stood at shares of it, from 0 to 1."""
        inside = [(at, look) for at, (_, look) in zip((0.0, *_AT), self.quadrature, strict=True)]
        return [*inside, (1.0, self.after)]


# How far something waited for is off: 0 or less once it is there.
Room = Callable[[Bank, Sequence[float], Solved], float]


def run(
    bank: Bank,
    from_h: float,
    to_h: float,
    draws: Sequence[Draw],
    told: Callable[[Step], None],
    room: Room | None = None,
    begun: Solved | None = None,
) -> float:
    """Keep it on until `to_h`, until it is down, or until no `room` is left; returns when that is.

    `told` hears of every step. What is empty or cut off on the way is switched off for good.
    `begun`: the bank as it stands settled at the start, for whoever has it already.
    """
    at = from_h
    now = begun or bank.settled(at, draws)
    while now is not None and at < to_h - 1e-12:
        if room is not None and room(bank, bank.soc, now) <= 0:
            return at
        wanted = min(bank.pace_h, to_h - at)
        whole = wanted == bank.pace_h
        taken = _taken(bank, draws, now, wanted)
        while taken is not None and taken.error > TOLERANCE_SOC and wanted > _LEAST_H:
            wanted = max(_LEAST_H, wanted * _slower(taken.error))
            taken = _taken(bank, draws, now, wanted)
        left = _left(bank, taken, room)
        ended = left <= 0
        if ended:
            # Something ends in this step: the longest that goes through, and on from there.
            low, high = _until(bank, draws, now, wanted, left, room)
            wanted, taken = high, _taken(bank, draws, now, high)
            if taken is None:  # no voltage serves all any more
                bank.down_h = at + high
                last = _taken(bank, draws, now, low)
                if last is not None:
                    bank.soc = [max(0.0, s) for s in last.soc]
                    told(Step(at, at + high, now, last.after, last.looks))
                return bank.down_h
        assert taken is not None, "what is none has ended"
        bank.soc = [min(1.0, max(0.0, s)) for s in taken.soc]
        told(Step(at, at + wanted, now, taken.after, taken.looks))
        at += wanted
        pace_h = min(_LONGEST_H, wanted * _slower(max(taken.error, 1e-12)))
        # A step that the stretch cut short says nothing against longer ones.
        bank.pace_h = pace_h if whole or ended else max(bank.pace_h, pace_h)
        now = bank.settled(at, draws) if ended else taken.after
        if now is None and bank.down_h is not None:
            return bank.down_h
    return at


def _slower(error: float) -> float:
    return float(min(4.0, max(0.2, 0.9 * (TOLERANCE_SOC / error) ** (1 / 3))))


@dataclass(frozen=True)
class _Taken:
    soc: list[float]
    after: Solved
    error: float
    looks: tuple[tuple[float, Solved], ...]


def _taken(bank: Bank, draws: Sequence[Draw], now: Solved, h: float) -> _Taken | None:
    """One step; None where the bank would be down within it."""
    looks, rates = [now], [_rates(bank, now)]
    for share in _AT:
        soc = [s + share * h * r for s, r in zip(bank.soc, rates[-1], strict=True)]
        found = bank.solved(draws, soc)
        if found is None:
            return None
        looks.append(found)
        rates.append(_rates(bank, found))
    soc = [
        s + h * sum(w * rate[i] for w, rate in zip(_WEIGHTS, rates, strict=True))
        for i, s in enumerate(bank.soc)
    ]
    after = bank.solved(draws, soc)
    if after is None:
        return None
    rates.append(_rates(bank, after))
    error = max(
        abs(h * sum(w * rate[i] for w, rate in zip(_ERROR, rates, strict=True)))
        for i in range(len(soc))
    )
    weighed = tuple((h * w, look) for w, look in zip(_WEIGHTS, looks, strict=True))
    return _Taken(soc, after, error, weighed)


def _rates(bank: Bank, found: Solved) -> list[float]:
    return [b.soc_per_h(a) for b, a in zip(bank.batteries, found.battery_a, strict=True)]


def _left(bank: Bank, taken: _Taken | None, room: Room | None) -> float:
    """How far from its end a bank is after a step, 0 or less where it has come to it: a battery
    empty, full or cut off, or no room. Endless where it is down."""
    if taken is None:
        return -inf
    least = inf
    for i in bank.on:
        least = min(least, taken.soc[i])
        if bank.soc[i] < 1:
            least = min(least, 1 - taken.soc[i])
        cut, amps = bank.batteries[i].cut_off_v, taken.after.battery_a[i]
        if cut is not None and amps > 0:
            least = min(least, above(bank.posts_v(i, taken.soc[i], amps), cut))
    if room is not None:
        least = min(least, room(bank, taken.soc, taken.after))
    return least


def above(volts: float, least_v: float) -> float:
    """Room over a least voltage, which itself is still enough."""
    return volts - least_v or _NOTHING


def _until(
    bank: Bank, draws: Sequence[Draw], now: Solved, wanted: float, at_end: float, room: Room | None
) -> tuple[float, float]:
    """The instant at which a step comes to its end, between two that are _AT_H apart: by regula
    falsi with half weights (Dowell and Jarratt, 1971), or by halving where it gives nothing."""
    low, high = 0.0, wanted
    f_low, f_high = _left(bank, _Taken(bank.soc, now, 0.0, ()), room), at_end
    side = 0
    for n in range(_MOST_LOOKS):
        if high - low <= _AT_H:
            break
        middle = (low + high) / 2
        if isfinite(f_low) and isfinite(f_high) and f_low > 0 and n % 4 != 3:
            middle = low + (high - low) * f_low / (f_low - f_high)
            # A hair over to the side that has not moved, so that both ends close in.
            middle += -side * _AT_H / 3
            middle = min(max(middle, low + _AT_H / 3), high - _AT_H / 3)
        left = _left(bank, _taken(bank, draws, now, middle), room)
        if left <= 0:
            high, f_high = middle, left
            if side == 1:
                f_low /= 2
            side = 1
        else:
            low, f_low = middle, left
            if side == -1:
                f_high /= 2
            side = -1
    return low, high
