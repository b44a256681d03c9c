"""A simulated tilt, force and battery box: it sits on a made-up boat and speaks NMEA 0183 over TCP.

Its boat tilts by atan(moment / (Δ·GM)) with a little noise, as a phone on a deck reads it; its
scale shows a made-up lift. Whoever is connected may tell it the moment off the middle, and a day
of batteries to play.
"""

import math
import random
import socket
import socketserver
import threading
import time
from bisect import bisect_right
from dataclasses import dataclass

from neat_hull.instruments.sentences import bank_sentence, force_sentence, tilt_sentence

PERIOD_S = 0.2
_MOST_KG_M, _FASTEST = 1e3, 600.0


@dataclass
class SimulatedBoat:
    """Stiffness Δ·GM in kg·m, the moment aboard, what it is off at rest, the scale's load."""

    stiffness_kg_m: float = 34.0
    moment_kg_m: float = 0.0
    start_deg: float = 0.25
    trim_deg: float = 0.8
    lift_kg: float = 15.6
    noise_deg: float = 0.04

    def heel_deg(self, draw: random.Random) -> float:
        """What the box reads now."""
        tilt = math.degrees(math.atan(self.moment_kg_m / self.stiffness_kg_m))
        return self.start_deg + tilt + draw.gauss(0.0, self.noise_deg)


_NOISE_V, _NOISE_A = 0.010, 0.020
_BANK_EVERY = 5  # periods: a monitor speaks once a second


class Play:
    """A day of batteries, played at `speed`: straight between the steps of each bank."""

    def __init__(self, speed: float) -> None:
        self.speed, self._began = speed, time.monotonic()
        self._steps: dict[str, list[tuple[float, float, float]]] = {}

    def add(self, at_s: float, bank: str, volts: float, amps: float) -> None:
        """One more step, in the order of time."""
        self._steps.setdefault(bank, []).append((at_s, volts, amps))

    def now(self, draw: random.Random) -> list[str]:
        """What the monitor says of each bank; the last step stays when the day is over."""
        at = (time.monotonic() - self._began) * self.speed
        said = []
        for bank, steps in self._steps.items():
            volts, amps = _between(steps, at)
            said.append(
                bank_sentence(bank, volts + draw.gauss(0, _NOISE_V), amps + draw.gauss(0, _NOISE_A))
            )
        return said


def _between(steps: list[tuple[float, float, float]], at_s: float) -> tuple[float, float]:
    n = bisect_right([one[0] for one in steps], at_s)
    if n == 0:
        return steps[0][1:]
    if n == len(steps):
        return steps[-1][1:]
    (a, v0, i0), (b, v1, i1) = steps[n - 1], steps[n]
    share = (at_s - a) / (b - a) if b > a else 1.0
    return v0 + share * (v1 - v0), i0 + share * (i1 - i0)


class StandIn:
    """The box: serves until stopped. Raises OSError when its port is taken."""

    def __init__(
        self, port: int, boat: SimulatedBoat | None = None, seed: int | None = None
    ) -> None:
        self.boat = boat or SimulatedBoat()
        self.play: Play | None = None
        draw, stand_in = random.Random(seed), self

        class Handler(socketserver.BaseRequestHandler):
            def handle(self) -> None:
                self.request.setblocking(False)
                heard, beats = b"", 0
                while not stand_in.stopped.is_set():
                    said = tilt_sentence(stand_in.boat.heel_deg(draw), stand_in.boat.trim_deg)
                    force = force_sentence(stand_in.boat.lift_kg + draw.gauss(0.0, 0.05))
                    lines = [said, force]
                    if stand_in.play is not None and beats % _BANK_EVERY == 0:
                        lines += stand_in.play.now(draw)
                    beats += 1
                    try:
                        self.request.sendall("".join(f"{one}\r\n" for one in lines).encode("ascii"))
                        heard += _heard(self.request)
                    except OSError:
                        return
                    *told, heard = heard.split(b"\n")
                    for line in told:
                        stand_in.told(line.decode("ascii", "replace").strip())
                    time.sleep(PERIOD_S)

        socketserver.ThreadingTCPServer.allow_reuse_address = True
        self.stopped = threading.Event()
        self._server = socketserver.ThreadingTCPServer(("127.0.0.1", port), Handler)
        self._server.daemon_threads = True
        self.port: int = self._server.server_address[1]
        self._thread = threading.Thread(target=self._server.serve_forever, daemon=True)

    def start(self) -> None:
        """Serve in a thread of its own."""
        self._thread.start()

    def stop(self) -> None:
        """Hang up on everyone and stop."""
        self.stopped.set()
        if self._thread.is_alive():
            self._server.shutdown()
        self._server.server_close()

    def told(self, line: str) -> None:
        """Take a moment, or a step of a day to play; anything else is none of its business."""
        body = line.removeprefix("$").split("*", 1)[0].split(",")
        try:
            if len(body) == 2 and body[0] == "PNHM":
                moment = float(body[1])
                if abs(moment) < _MOST_KG_M:
                    self.boat.moment_kg_m = moment
            elif len(body) == 2 and body[0] == "PNHS":
                self.play = Play(min(_FASTEST, max(1.0, float(body[1]))))
            elif len(body) == 5 and body[0] == "PNHB" and self.play is not None:
                at_s, bank, volts, amps = body[1:]
                self.play.add(float(at_s), bank, float(volts), float(amps))
        except ValueError:
            return


def _heard(request: socket.socket) -> bytes:
    try:
        return request.recv(4096)
    except BlockingIOError:
        return b""
