"""Long questions put to a process of their own, so that they never hold up a drag.

One question at a time; a few others wait their turn, and more are turned away in words, for each
that waits holds a thread that saves and previews need. Whoever hangs up ends theirs: the process is
then stopped, and a new one is started for the next.
"""

import os
import signal
import threading
from collections.abc import Callable, Generator, Iterator
from multiprocessing import get_context
from multiprocessing.connection import Connection
from multiprocessing.process import BaseProcess
from typing import Any, ParamSpec, TypeVar

from neat_hull.errors import BusyError, NeatHullError

P = ParamSpec("P")
T = TypeVar("T")

_NICE = 7  # behind whatever a person waits for
MOST_WAITING = 6  # behind the one that is looked into
_SPAWN = get_context("spawn")  # a fork would copy the server's threads' locks as they stand


class Aside:
    """The process, started when it is first asked."""

    def __init__(self) -> None:
        self._turn = threading.Lock()
        self._seats = threading.BoundedSemaphore(MOST_WAITING + 1)
        self._process: BaseProcess | None = None
        self._pipe: Connection | None = None

    def answers(
        self, question: Callable[P, Iterator[T]], *args: P.args, **kwargs: P.kwargs
    ) -> Generator[T, None, None]:
        """What a generator function yields over there, one by one. Its errors are raised here.

        The function goes by its name and its arguments are copied; closing this ends it. Raises
        BusyError where too many wait already.
        """
        if not self._seats.acquire(blocking=False):
            raise BusyError(
                f"{MOST_WAITING} long questions wait before yours; ask again in a moment"
            )
        try:
            yield from self._answered(question, args, kwargs)
        finally:
            self._seats.release()

    def _answered(
        self, question: Callable[..., Iterator[T]], args: object, kwargs: object
    ) -> Iterator[T]:
        with self._turn:
            pipe = self._ready()
            ended = False
            try:
                pipe.send((question, args, kwargs))
                while True:
                    kind, value = pipe.recv()
                    if kind == "answer":
                        yield value
                        continue
                    ended = True
                    if kind == "error":
                        raise value
                    return
            except EOFError as error:
                raise RuntimeError("the process for long questions is gone") from error
            finally:
                if not ended:
                    self._stop()

    def warm(self) -> None:
        """Start it, so that the first question does not wait for that."""
        with self._turn:
            self._ready()

    def close(self) -> None:
        """Stop it; the next question starts another."""
        with self._turn:
            self._stop()

    def _ready(self) -> Connection:
        if self._pipe is None or self._process is None or not self._process.is_alive():
            here, there = _SPAWN.Pipe()
            self._process = _SPAWN.Process(target=_serve, args=(there,), daemon=True)
            self._process.start()
            if hasattr(os, "setpriority"):  # from its first import on
                os.setpriority(os.PRIO_PROCESS, self._process.pid or 0, _NICE)
            there.close()
            self._pipe = here
        return self._pipe

    def _stop(self) -> None:
        process, self._process = self._process, None
        pipe, self._pipe = self._pipe, None
        if pipe is not None:
            pipe.close()
        if process is not None:
            process.terminate()
            process.join()


ASIDE = Aside()


def only(answers: Iterator[T]) -> T:
    """The one answer of a question that has one."""
    (answer,) = answers
    return answer


def _serve(pipe: Connection) -> None:
    """Answer question after question, until the asker is gone."""
    signal.signal(signal.SIGINT, signal.SIG_IGN)  # Ctrl-C is the server's to handle
    import neat_hull.whole.arrange  # noqa: F401 - at once, not with the first question

    while True:
        try:
            question, args, kwargs = pipe.recv()
        except (EOFError, OSError):
            return
        try:
            _answer(pipe, question(*args, **kwargs))
        except (BrokenPipeError, ConnectionResetError):
            return


def _answer(pipe: Connection, answers: Iterator[Any]) -> None:
    try:
        for answer in answers:
            pipe.send(("answer", answer))
    except NeatHullError as error:
        pipe.send(("error", error))
    except (BrokenPipeError, ConnectionResetError):
        raise
    except Exception as error:  # whatever it is, it is the asker's to be told
        pipe.send(("error", RuntimeError(f"{type(error).__name__}: {error}")))
    else:
        pipe.send(("end", None))
