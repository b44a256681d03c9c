"""How many changes a data file has seen, asked again and again."""

from pathlib import Path
from threading import Lock

from neat_hull.store.connect import Connection, connect
from neat_hull.store.setups import ticks

_Seen = tuple[int, int, int, int]


class Clock:
    """The clock of a data file, read through a connection that stays open: to open one takes a
    hundred times as long, and a drag asks sixty times a second.

    It keeps no moment of the file, so it holds up nobody who writes.
    """

    def __init__(self, data: Path) -> None:
        self._data = data
        self._open: tuple[Connection, _Seen | None] | None = None
        self._lock = Lock()

    def ticks(self) -> int:
        """As `ticks`. Raises sqlite3.OperationalError where the file is gone."""
        with self._lock:
            seen = self._seen()
            if self._open is None or self._open[1] != seen:
                self._shut()
                self._open = (connect(self._data), seen)
            return ticks(self._open[0])

    def close(self) -> None:
        """Let the file go, until it is asked again."""
        with self._lock:
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
