"""A simulated tilt and force box: it sits on a made-up boat and speaks NMEA 0183 over TCP.

Its boat tilts by atan(moment / (Δ·GM)) with a little noise, as a phone on a deck reads it; its
scale shows a made-up lift. Whoever is connected may tell it the moment off the middle.
"""

import math
import random
import socket
import socketserver
import threading
import time
from dataclasses import dataclass

from neat_hull.instruments.sentences import force_sentence, tilt_sentence

PERIOD_S = 0.2


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


class StandIn:
    """The box: serves until stopped. Raises OSError when its port is taken."""

    def __init__(
        self, port: int, boat: SimulatedBoat | None = None, seed: int | None = None
    ) -> None:
        self.boat = boat or SimulatedBoat()
        draw, stand_in = random.Random(seed), self

        class Handler(socketserver.BaseRequestHandler):
            def handle(self) -> None:
                self.request.setblocking(False)
                heard = b""
                while not stand_in.stopped.is_set():
                    said = tilt_sentence(stand_in.boat.heel_deg(draw), stand_in.boat.trim_deg)
                    force = force_sentence(stand_in.boat.lift_kg + draw.gauss(0.0, 0.05))
                    try:
                        self.request.sendall(f"{said}\r\n{force}\r\n".encode("ascii"))
                        heard += _heard(self.request)
                    except OSError:
                        return
                    *lines, heard = heard.split(b"\n")
                    for line in lines:
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
        """Take a moment sentence; anything else is none of its business."""
        body = line.removeprefix("$").split("*", 1)[0].split(",")
        if len(body) == 2 and body[0] == "PNHM":
            try:
                moment = float(body[1])
            except ValueError:
                return
            if abs(moment) < 1e3:
                self.boat.moment_kg_m = moment


def _heard(request: socket.socket) -> bytes:
    try:
        return request.recv(4096)
    except BlockingIOError:
        return b""
