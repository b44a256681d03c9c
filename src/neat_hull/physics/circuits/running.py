"""A bank kept on for hours: how its batteries run down, and what happens on the way.

Between switchings a bank is an ordinary differential equation in the states of charge of its
batteries; steps are those of Bogacki and Shampine (1989), third order, with the error of the second
held small. What ends a battery or the bank in mid-step is found by halving.
"""

from collections.abc import Callable, Sequence
from dataclasses import dataclass, field

from neat_hull.physics.circuits.battery import Battery
from neat_hull.physics.circuits.network import Draw, Loads, Solved, Wire, loads_of, solve_made

TOLERANCE_SOC = 2e-6  # of one step: a day of a few dozen of them stays within a ten-thousandth
_FIRST_H, _LEAST_H, _LONGEST_H = 0.25, 1e-7, 2.0
_AT_H = 1e-6  # how close an instant is found
# Of one step of Bogacki and Shampine: where it looks, and how much of each.
_AT = (0.5, 0.75)
_WEIGHTS = (2 / 9, 1 / 3, 4 / 9)
_ERROR = (-5 / 72, 1 / 12, 1 / 9, -1 / 8)


@dataclass
class Bank:
    """A bank in time: which of its batteries are on, and how full each is."""

    batteries: Sequence[Battery]
    wires: Sequence[Wire]
    soc: list[float]
    off_h: list[float | None] = field(default_factory=list)
    down_h: float | None = None

    def __post_init__(self) -> None:
        if not self.off_h:
            self.off_h = [None] * len(self.batteries)
        self._tree = [(one.parent, one.ohm) for one in self.wires]
        self._made: tuple[Sequence[Draw], Loads] = ((), loads_of(()))

    @property
    def on(self) -> list[int]:
        """Those that are on."""
        return [i for i, at in enumerate(self.off_h) if at is None]

    def solved(self, draws: Sequence[Draw], soc: Sequence[float]) -> Solved | None:
        """Voltages and the currents of all its batteries, 0 of those that are off."""
        on = self.on
        if not on:
            return None
        if self._made[0] is not draws:  # the same all through a stretch
            self._made = draws, loads_of(draws)
        some = len(on) < len(self.batteries)
        found = solve_made(
            [self.batteries[i] for i in on] if some else self.batteries,
            [soc[i] for i in on] if some else soc,
            self._tree,
            self._made[1],
        )
        if found is None or not some:
            return found
        amps = [0.0] * len(self.batteries)
        for i, value in zip(on, found.battery_a, strict=True):
            amps[i] = value
        return Solved(found.bank_v, found.wires_v, tuple(amps))

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


def run(
    bank: Bank,
    from_h: float,
    to_h: float,
    draws: Sequence[Draw],
    told: Callable[[Step], None],
    stop: Callable[[Bank, Sequence[float], Solved], bool] | None = None,
) -> float:
    """Keep it on until `to_h`, or until it is down, or until `stop`; returns when that is.

    `told` hears of every step. What is empty or cut off on the way is switched off for good.
    """
    at, pace = from_h, _FIRST_H
    now = bank.settled(at, draws)
    while now is not None and at < to_h - 1e-12:
        if stop is not None and stop(bank, bank.soc, now):
            return at
        wanted = min(pace, to_h - at)
        taken = _taken(bank, draws, now, wanted)
        while taken is not None and taken.error > TOLERANCE_SOC and wanted > _LEAST_H:
            wanted = max(_LEAST_H, wanted * _slower(taken.error))
            taken = _taken(bank, draws, now, wanted)
        ended = taken is None or _ended(bank, taken, stop)
        if ended:
            # Something ends in this step: the longest that goes through, and on from there.
            low, high = 0.0, wanted
            while high - low > _AT_H:
                middle = (low + high) / 2
                tried = _taken(bank, draws, now, middle)
                if tried is None or _ended(bank, tried, stop):
                    high = middle
                else:
                    low = middle
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
        pace = min(_LONGEST_H, wanted * _slower(max(taken.error, 1e-12)))
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


def _ended(
    bank: Bank, taken: _Taken, stop: Callable[[Bank, Sequence[float], Solved], bool] | None
) -> bool:
    """Whether a battery is empty, full or cut off at its end, or what was waited for is there."""
    for i in bank.on:
        if taken.soc[i] <= 0 or (taken.soc[i] >= 1 and bank.soc[i] < 1):
            return True
        if bank.cut(i, taken.soc[i], taken.after.battery_a[i]):
            return True
    return stop is not None and stop(bank, taken.soc, taken.after)
