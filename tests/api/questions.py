"""Questions for the process that answers long ones: it loads no more than this to find them."""

import os
import threading
from collections.abc import Iterator

from neat_hull.errors import InputError


def counted(to: int) -> Iterator[int]:
    """One after the other."""
    yield from range(to)


def whose() -> Iterator[int]:
    """The process that answers."""
    yield os.getpid()


def endless() -> Iterator[int]:
    """More and more."""
    n = 0
    while True:
        yield n
        n += 1


def silent() -> Iterator[int]:
    """That it began, and no more."""
    yield 0
    threading.Event().wait()


def refused() -> Iterator[int]:
    """A fault of whoever asks."""
    raise InputError("mass_kg", -1, "must be more than 0")
    yield 0


def broken() -> Iterator[int]:
    """A fault of ours."""
    raise ZeroDivisionError("by nothing")
    yield 0
