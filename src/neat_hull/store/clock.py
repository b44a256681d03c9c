"""How many changes a data file has seen, asked again and again."""

from pathlib import Path
from threading import Lock, Timer
from time import monotonic

from neat_hull.store.connect import Connection, connect
from neat_hull.store.setups import ticks

_Seen = tuple[int, int, int, int]
_IDLE_S = 2.0  # a hand that pauses longer has time to wait for the file to be opened


class Clock:
    """The clock of a data file, read through a connection that stays open: to open one takes a
    hundred times as long, and a drag asks sixty times a second.

    It keeps no moment of the file, so it holds up nobody who writes; and it lets the file go when
    nobody has asked for `idle_s`, for one that is put in its place must not meet what SQLite keeps
    beside a file that is open.
    """

    def __init__(self, data: Path, idle_s: float = _IDLE_S) -> None:
        self._data, self._idle_s = data, idle_s
        self._open: tuple[Connection, _Seen | None] | None = None
        self._asked_s = 0.0
        self._watched = False
        self._lock = Lock()

    def ticks(self) -> int:
        """As `ticks`. Raises sqlite3.OperationalError where the file is gone."""
        with self._lock:
            self._asked_s = monotonic()
            seen = self._seen()
            if self._open is None or self._open[1] != seen:
                self._shut()
                self._open = (connect(self._data), seen)
            if not self._watched:
                self._watch(self._idle_s)
            return ticks(self._open[0])

    def close(self) -> None:
        """Let the file go, until it is asked again."""
        with self._lock:
            self._shut()

    def _watch(self, for_s: float) -> None:
        self._watched = True
        timer = Timer(for_s, self._rest)
        timer.daemon = True
        timer.start()

    def _rest(self) -> None:
        with self._lock:
            left_s = self._asked_s + self._idle_s - monotonic()
            if left_s > 0 and self._open is not None:
                self._watch(left_s)
                return
            self._watched = False
            self._shut()

    def _shut(self) -> None:
        if self._open is not None:
            self._open[0].close()
            self._open = None

    def _seen(self) -> _Seen | None:
        """What tells this file, as it is, from another that was put in its place."""
        try:
            now = self._data.stat()
        except OSError:
            return None
        return now.st_dev, now.st_ino, now.st_size, now.st_mtime_ns
