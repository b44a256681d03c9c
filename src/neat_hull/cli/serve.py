"""Running the server: the socket first, so that a busy port is one line and not a traceback; then
the screens; then, while a browser draws them, the API."""

import errno
import gc
import io
import socket
import sqlite3
import threading
import webbrowser
from collections.abc import Callable, Iterator
from concurrent.futures import Future
from contextlib import closing, contextmanager, suppress
from ipaddress import ip_address
from pathlib import Path

import typer
import uvicorn
from starlette.types import ASGIApp

from neat_hull.api.aside import ASIDE
from neat_hull.api.front import LOOPBACK, front
from neat_hull.api.key import new_key
from neat_hull.errors import StoreError
from neat_hull.instruments.listener import Listener
from neat_hull.instruments.stand_in import StandIn
from neat_hull.store.connect import connect, open_store, told, transaction

# The built screens: packed into a wheel, or where a checkout builds them.
_SCREENS = (
    Path(__file__).resolve().parents[1] / "screens",
    Path(__file__).resolve().parents[3] / "web" / "dist",
)


def serve(
    *,
    data: Path,
    demo: bool,
    host: str,
    port: int,
    screens: Path | None,
    instrument: str | None = None,
    browse: bool = False,
    lan: bool = False,
) -> None:
    """Serve until Ctrl-C, and `browse` to it; with `lan` to this machine's network as well, for
    whoever has the key. Raises StoreError for a data file or an address that cannot be used."""
    near = _addresses() if lan else []
    if lan:
        host = "0.0.0.0"  # nothing is answered without the key
    else:
        _require_loopback(host)
    key = new_key() if lan else None
    with listen(host, port) as listening, instrument_for(instrument, demo) as listener:
        open_store(data)
        built = (one for one in _SCREENS if (one / "index.html").exists())
        api = _Api(data, demo, listener)
        app = front(api.loaded, screens or next(built, None), LOOPBACK | {host.lower(), *near}, key)
        shown = near[0] if lan else f"[{host}]" if ":" in host else host
        address = f"http://{shown}:{port}" + ("" if key is None else f"/?key={key}")
        config = uvicorn.Config(app, log_level="warning", access_log=False)
        server = _Server(config, address, data, browse, lan, api)
        try:
            with suppress(KeyboardInterrupt):  # uvicorn shuts down first, then raises it again
                server.run(sockets=[listening])
        finally:
            api.close()
    typer.echo("Neat Hull has stopped; everything is saved.")


@contextmanager
def instrument_for(address: str | None, demo: bool) -> Iterator[Listener | None]:
    """Listen to the instrument at HOST:PORT; without one, the demo brings its simulated box."""
    stand_in: StandIn | None = None
    listener: Listener | None = None
    if address is not None:
        host, _, port = address.rpartition(":")
        if not host or not port.isdigit() or not 0 < int(port) < 65536:
            raise StoreError(f"{address}: an instrument is named as HOST:PORT")
        listener = Listener(host, int(port))
    elif demo:
        stand_in = StandIn(0)
        stand_in.start()
        listener = Listener("127.0.0.1", stand_in.port)
    if listener is not None:
        listener.start()
    try:
        yield listener
    finally:
        if listener is not None:
            listener.stop()
        if stand_in is not None:
            stand_in.stop()


class _Api:
    """The API, loaded in a thread of its own; `loaded` is the application, or why it is none."""

    def __init__(self, data: Path, demo: bool, listener: Listener | None) -> None:
        self._data, self._demo, self._listener = data, demo, listener
        self._thread = threading.Thread(target=self._load)
        self._aside = threading.Timer(_FIRST_PAGE_S, ASIDE.warm)
        self._aside.daemon = True
        self._let_go: Callable[[], None] | None = None
        self.loaded: Future[ASGIApp] = Future()

    def start(self) -> None:
        """Begin to load it."""
        self._thread.start()

    def _load(self) -> None:
        gc.disable()  # nothing loaded here is rubbish; to look for some takes a sixth of the time
        try:
            from neat_hull.api.app import create_api

            if self._demo:
                fill_with_demo(self._data)
            api = create_api(self._data, self._listener)
            self._let_go = api.state.cache.close
            self.loaded.set_result(api)
        except Exception as error:
            self.loaded.set_exception(error)
            return
        finally:
            gc.enable()
        self._aside.start()
        import scipy  # the first questions need more of it than is loaded by now

        _ = scipy.optimize.brentq, scipy.interpolate.PchipInterpolator
        # What is loaded by now stays: looking through it for rubbish would hold up a drag by 50 ms.
        gc.freeze()

    def close(self) -> None:
        """Stop all that goes on behind it. Raises StoreError where it could not be loaded."""
        if self._thread.ident is not None:
            self._thread.join()
        self._aside.cancel()
        ASIDE.close()
        if self._let_go is not None:
            self._let_go()
        if self.loaded.done():
            self.loaded.result()


# The first page has what it asks for by then; to load a process beside it would hold it up.
_FIRST_PAGE_S = 4.0


class _Server(uvicorn.Server):
    """Says where it is once it listens, so that whoever reads the address can use it at once; stops
    where the API cannot be loaded."""

    def __init__(
        self,
        config: uvicorn.Config,
        address: str,
        data: Path,
        browse: bool,
        lan: bool,
        api: _Api,
    ) -> None:
        super().__init__(config)
        self._address, self._data, self._browse, self._lan = address, data, browse, lan
        self._api = api

    async def startup(self, sockets: list[socket.socket] | None = None) -> None:
        """As uvicorn's, then print the address."""
        await super().startup(sockets)
        typer.echo(f"Neat Hull is at {self._address}  (data: {self._data}; Ctrl-C stops it)")
        if self._lan:
            typer.echo(_qr(self._address))
            typer.echo(_WARNING)
        if self._browse:
            webbrowser.open(self._address)
        self._api.loaded.add_done_callback(self._stop_without)
        self._api.start()

    def _stop_without(self, loaded: Future[ASGIApp]) -> None:
        if loaded.exception() is not None:
            self.should_exit = True


def fill_with_demo(data: Path) -> None:
    """Put the demo's setups into an empty data file; a file with setups stays as it is. Raises
    StoreError for a data file that cannot be written."""
    from neat_hull.editing.demo import add_demo
    from neat_hull.store.setups import list_setups

    try:
        with closing(connect(data)) as db:
            if list_setups(db):
                return
            with transaction(db):
                add_demo(db)
    except sqlite3.Error as error:
        raise StoreError(f"{data}: {told(error)}") from error


def _require_loopback(host: str) -> None:
    """Nobody is asked who they are, so nobody else is let in."""
    local = host.lower() in LOOPBACK
    with suppress(ValueError):
        local = local or ip_address(host).is_loopback
    if not local:
        raise StoreError(
            f"{host}: whoever reaches it could change everything; Neat Hull answers to this "
            "machine only (127.0.0.1), or with --lan to whoever has the key"
        )


_WARNING = (
    "Whoever has this address can see and change everything, and the way there is not encrypted. "
    "Use it in your own network only, show it to no one else, and stop it when you are done. "
    "The next start has another key."
)


def _qr(address: str) -> str:
    """The address for a phone's camera."""
    import segno

    drawn = io.StringIO()
    segno.make(address, micro=False).terminal(drawn, compact=True)
    return drawn.getvalue()


def _addresses() -> list[str]:
    """This machine's addresses in its networks, the one it goes out by first. Raises StoreError."""
    found: list[str] = []
    with suppress(OSError), socket.socket(socket.AF_INET, socket.SOCK_DGRAM) as probe:
        # Nothing is sent: it only tells which way a packet would go.
        probe.connect(("10.255.255.255", 1))
        found.append(probe.getsockname()[0])
    with suppress(OSError):
        named = socket.getaddrinfo(socket.gethostname(), None, socket.AF_INET)
        found += [str(one[4][0]) for one in named]
    found = [one for one in dict.fromkeys(found) if not ip_address(one).is_loopback]
    if not found:
        raise StoreError("this machine is in no network; start it without --lan")
    return found


def listen(host: str, port: int) -> socket.socket:
    """A socket there, to be served on. Raises StoreError for an address that cannot be used."""
    try:
        family = socket.getaddrinfo(host, port, type=socket.SOCK_STREAM)[0][0]
        # Named as TCP, asyncio sends small answers at once; else each waits 40 ms to be joined.
        listening = socket.socket(family, socket.SOCK_STREAM, socket.IPPROTO_TCP)
        listening.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        listening.bind((host, port))
    except socket.gaierror as error:
        raise StoreError(f"{host}: is no address of this machine") from error
    except OSError as error:
        if error.errno == errno.EADDRINUSE:
            raise StoreError(
                f"port {port} is taken by another program; choose one with --port"
            ) from error
        raise StoreError(f"{host}:{port}: cannot be used: {error.strerror}") from error
    listening.set_inheritable(True)
    return listening
