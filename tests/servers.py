"""Servers over the demo, as a process or a thread, and the browser to look at them with."""

import os
import signal
import socket
import subprocess
import sys
import threading
import urllib.request
from concurrent.futures import Future
from pathlib import Path
from typing import Protocol

import uvicorn
from starlette.types import ASGIApp
from tests.filled import filled

from neat_hull.api.app import create_api
from neat_hull.api.front import front
from neat_hull.api.state import SetupCache
from neat_hull.cli.serve import instrument_for, listen
from neat_hull.store.connect import open_store

# The shell draws the same and carries no windows, menus and pages of its own: a quarter quicker.
_SHELL = Path("/usr/bin/chromium-headless-shell")
CHROMIUM = os.environ.get("CHROMIUM", str(_SHELL) if _SHELL.exists() else "/usr/bin/chromium")
FLAGS = [
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
]
SCREENS = Path(__file__).parents[1] / "web/dist"


def loaded(api: ASGIApp) -> Future[ASGIApp]:
    """An API that is there already."""
    there: Future[ASGIApp] = Future()
    there.set_result(api)
    return there


class Server(Protocol):
    """What the tests need of a server: its address, and to stop and start it."""

    url: str

    def start(self) -> None:
        """Start, and wait until it answers."""

    def stop(self) -> None:
        """Stop, and wait for it."""


class ServerProcess:
    """`neat-hull serve` as a process of its own, as anyone runs it; with the demo, or empty. Where
    it `answers` it is waited for until it does, else until it says where it is."""

    def __init__(self, data: Path, demo: bool = True, answers: bool = True) -> None:
        with socket.socket() as probe:
            probe.bind(("127.0.0.1", 0))
            self.port: int = probe.getsockname()[1]
        self.data, self.demo, self.answers = data, demo, answers
        self.url = f"http://127.0.0.1:{self.port}"
        self.start()

    def start(self) -> None:
        """Start, wait for the line with the address, and for the API behind it where asked."""
        command = "from neat_hull.cli.main import run; run()"
        where = ["--data", str(self.data), "--port", str(self.port), *["--demo"] * self.demo]
        self.process = subprocess.Popen(
            [sys.executable, "-c", command, "serve", *where], stdout=subprocess.PIPE, text=True
        )
        assert self.process.stdout is not None
        assert self.url in self.process.stdout.readline()
        if self.answers:
            urllib.request.urlopen(f"{self.url}/api/v1/setups").close()

    def stop(self) -> None:
        """Ctrl-C, and wait for it."""
        if self.process.poll() is None:
            self.process.send_signal(signal.SIGINT)
        self.process.communicate(timeout=60)


class ServerThread:
    """The same application in a thread: seconds quicker. Stopped and started again it is at the
    same address and has nothing but its file; what modules keep of it only a process loses."""

    def __init__(self, data: Path) -> None:
        self._data, self._port = filled(data), 0
        self.start()

    def over(self, data: Path, demo: bool = True) -> None:
        """From here on serve a fresh file with the demo, or with nothing in it."""
        if demo:
            filled(data)
        else:
            open_store(data)
        self._data = data
        self._api.state.data, self._api.state.cache = data, SetupCache(data)
        if not self._thread.is_alive():  # whoever stopped it failed before it was started again
            self.start()

    def start(self) -> None:
        """Start; the socket listens at once, so the first request waits and does not fail."""
        listening = listen("127.0.0.1", self._port)
        listening.listen()
        self._port = listening.getsockname()[1]
        self.url = f"http://127.0.0.1:{self._port}"
        self._feed = instrument_for(None, demo=True)
        self._api = create_api(self._data, self._feed.__enter__())
        app = front(loaded(self._api), SCREENS)
        config = uvicorn.Config(app, log_level="warning", lifespan="off")
        self._server = uvicorn.Server(config)
        self._thread = threading.Thread(
            target=self._server.run, kwargs={"sockets": [listening]}, daemon=True
        )
        self._thread.start()

    def stop(self) -> None:
        """Ask it to stop, and wait."""
        self._server.should_exit = True
        self._thread.join(20)
        self._feed.__exit__(None, None, None)
