"""Listening to a box on the wire: the last reading, its age, and what is wrong with the feed."""

import socket
import threading
import time
from collections import deque
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from itertools import pairwise
from math import sqrt
from statistics import fmean, pstdev, stdev
from typing import Literal

from neat_hull.errors import FeedError, InputError
from neat_hull.instruments.sentences import (
    Reading,
    begin_sentence,
    moment_sentence,
    play_sentence,
    read_sentence,
)
from neat_hull.model.monitor import PlayStep

STALE_S = 2.0  # a box speaks several times a second
_RETRY_S = 1.0
_WINDOW_S = 2.0  # readings are averaged over it: a boat never lies quite still
_BANK_WINDOW_S = 10.0
_STEP_A = 0.1  # a change of the current that tells: seven times what noise makes of it
_LEAST_PAIRS = 3
_MOST_BANKS, _MOST_SAID = 16, 3600  # an hour of a sentence a second
_LONGEST_LINE = 256  # NMEA 0183 allows 82

State = Literal["off", "lost", "stale", "garbled", "live"]


@dataclass(frozen=True)
class Heard:
    """State of the feed; figures are means over two seconds, None where nothing fresh came.

    spread_deg says how much the heel moved meanwhile; garbled counts lines that could not be read.
    """

    state: State
    heel_deg: float | None
    trim_deg: float | None
    force_kg: float | None
    spread_deg: float | None
    age_s: float | None
    garbled: int


@dataclass(frozen=True)
class BankHeard:
    """What a monitor says of a bank: means over ten seconds with their standard errors, and what
    steps of its current tell.

    resistance_ohm is −ΔV/ΔI by regression over `pairs` steps, resistance_se_ohm its standard error;
    None before there are three.
    """

    name: str
    volts: float | None
    amps: float | None
    volts_se: float
    amps_se: float
    pairs: int
    resistance_ohm: float | None
    resistance_se_ohm: float | None


class Listener:
    """Connects to host and port in a thread, and again whenever the line is lost.

    `clock` tells seconds, by which readings grow old.
    """

    def __init__(self, host: str, port: int, clock: Callable[[], float] = time.monotonic) -> None:
        self._address, self._clock = (host, port), clock
        self._readings: deque[tuple[float, Reading]] = deque(maxlen=200)
        self._banks: dict[str, deque[tuple[float, float, float]]] = {}
        self._garbled = 0
        self._garbled_at = 0.0
        self._line: socket.socket | None = None
        self._lock, self._stopped = threading.Lock(), threading.Event()
        self._thread = threading.Thread(target=self._run, daemon=True)

    def start(self) -> None:
        """Begin to listen."""
        self._thread.start()

    def stop(self) -> None:
        """Hang up for good."""
        self._stopped.set()
        with self._lock:
            if self._line is not None:
                self._line.close()

    def heard(self) -> Heard:
        """What the feed says now."""
        now = self._clock()
        with self._lock:
            readings, connected = list(self._readings), self._line is not None
            garbled, garbled_at = self._garbled, self._garbled_at
        fresh = [reading for at, reading in readings if now - at <= _WINDOW_S]
        age = now - readings[-1][0] if readings else None
        heels = [r.heel_deg for r in fresh if r.heel_deg is not None]
        state: State = "live"
        if not connected:
            state = "lost"
        elif age is None or age > STALE_S:
            state = "garbled" if now - garbled_at <= STALE_S else "stale"
        return Heard(
            state=state,
            heel_deg=fmean(heels) if heels else None,
            trim_deg=_mean([r.trim_deg for r in fresh]),
            force_kg=_mean([r.force_kg for r in fresh]),
            spread_deg=pstdev(heels) if len(heels) > 1 else None,
            age_s=age,
            garbled=garbled,
        )

    def banks(self) -> list[BankHeard]:
        """What a battery monitor on the line says, bank by bank."""
        now = self._clock()
        with self._lock:
            rows = {name: list(said) for name, said in self._banks.items()}
        return [_bank(name, said, now) for name, said in rows.items()]

    def play(self, steps: Sequence[PlayStep], speed: float) -> None:
        """Tell a simulated monitor what to say, and forget what was said. Raises FeedError."""
        self._tell([begin_sentence(speed), *map(play_sentence, steps)])
        with self._lock:
            self._banks.clear()

    def tell_moment(self, moment_kg_m: float) -> None:
        """Tell a simulated box which moment stands off the middle. Raises FeedError if lost."""
        self._tell([moment_sentence(moment_kg_m)])

    def _tell(self, sentences: Sequence[str]) -> None:
        with self._lock:
            line = self._line
        if line is None:
            raise FeedError("the instrument cannot be reached")
        try:
            line.sendall("".join(f"{one}\r\n" for one in sentences).encode("ascii"))
        except OSError as error:
            raise FeedError("the instrument cannot be reached") from error

    def take(self, line: str) -> None:
        """Take one line off the wire; one that cannot be read is counted and forgotten."""
        try:
            reading = read_sentence(line)
        except InputError:
            with self._lock:
                self._garbled += 1
                self._garbled_at = self._clock()
            return
        if reading is not None:
            with self._lock:
                now = self._clock()
                self._readings.append((now, reading))
                for name, volts, amps in reading.banks:
                    if name in self._banks or len(self._banks) < _MOST_BANKS:
                        said = self._banks.setdefault(name, deque(maxlen=_MOST_SAID))
                        said.append((now, volts, amps))

    def _run(self) -> None:
        while not self._stopped.is_set():
            try:
                with socket.create_connection(self._address, timeout=STALE_S) as line:
                    with self._lock:
                        self._line = line
                    self._listen(line)
            except OSError:
                pass  # told by `heard`: the line is lost
            with self._lock:
                self._line = None
            self._stopped.wait(_RETRY_S)

    def _listen(self, line: socket.socket) -> None:
        rest = b""
        while not self._stopped.is_set():
            try:
                came = line.recv(4096)
            except TimeoutError:
                continue  # silent, not lost
            if not came:
                return
            *lines, rest = (rest + came).split(b"\n")
            for one in lines:
                if one.strip():
                    self.take(one.decode("ascii", "replace").strip())
            if len(rest) > _LONGEST_LINE:
                self.take("")
                rest = b""


def _mean(values: list[float | None]) -> float | None:
    known = [value for value in values if value is not None]
    return fmean(known) if known else None


def _bank(name: str, said: list[tuple[float, float, float]], now: float) -> BankHeard:
    fresh = [(volts, amps) for at, volts, amps in said if now - at <= _BANK_WINDOW_S]
    steps = [
        (i1 - i0, v1 - v0) for (_, v0, i0), (_, v1, i1) in pairwise(said) if abs(i1 - i0) > _STEP_A
    ]
    ohm = se = None
    if len(steps) >= _LEAST_PAIRS:
        squares = sum(di * di for di, _ in steps)
        ohm = -sum(di * dv for di, dv in steps) / squares
        off = sum((dv + ohm * di) ** 2 for di, dv in steps)
        se = sqrt(off / (len(steps) - 1) / squares)
    return BankHeard(
        name,
        fmean(v for v, _ in fresh) if fresh else None,
        fmean(a for _, a in fresh) if fresh else None,
        _se([v for v, _ in fresh]),
        _se([a for _, a in fresh]),
        len(steps),
        ohm,
        se,
    )


def _se(values: list[float]) -> float:
    """The standard error of a mean."""
    return stdev(values) / sqrt(len(values)) if len(values) > 1 else 0.0
