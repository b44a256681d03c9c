"""Long questions put to a process of their own, so that they never hold up a drag.

One question at a time; a few others wait in line, each told how many are before it, and more are
turned away in words, for each that waits holds a thread that saves and previews need. Whoever hangs
up ends theirs: the process is then stopped, and a new one is started for the next.
"""

import os
import signal
import threading
from collections import deque
from collections.abc import Callable, Iterator, Sequence
from importlib import import_module
from multiprocessing import get_context
from multiprocessing.connection import Connection
from multiprocessing.process import BaseProcess
from typing import Any, Generic, ParamSpec, TypeVar

from neat_hull.errors import BusyError, NeatHullError

P = ParamSpec("P")
T = TypeVar("T")

_NICE = 5  # behind saves and previews; somebody waits for it too, on a machine that has much to do
MOST_WAITING = 6  # behind the one that is looked into
_LOOK_S = 0.5  # how often whoever waits looks whether those before it are forgotten
_SPAWN = get_context("spawn")  # a fork would copy the server's threads' locks as they stand


class Aside:
    """The process, started when it is first asked, and the line before it.

    `loads` are modules that it loads at once, and not with the first question.
    """

    def __init__(self, *loads: str) -> None:
        self._loads = loads
        self._line: list[object] = []  # a token for each question, which may be forgotten itself
        self._moved = threading.Condition()
        self._forgotten: deque[object] = deque()
        self._starting = threading.Lock()
        self._process: BaseProcess | None = None
        self._pipe: Connection | None = None

    def answers(
        self, question: Callable[P, Iterator[T]], *args: P.args, **kwargs: P.kwargs
    ) -> "Asked[T]":
        """What a generator function yields over there, one by one; its place in line is taken now.

        The function goes by its name and its arguments are copied. Raises BusyError where too many
        wait already.
        """
        token = object()
        with self._moved:
            self._take_out_forgotten()
            if len(self._line) > MOST_WAITING:
                raise BusyError(
                    f"{MOST_WAITING} long jobs are ahead of yours; try again in a moment"
                )
            self._line.append(token)
        return Asked[T](self, token, (question, args, kwargs))

    def ahead(self, token: object) -> int:
        """How many questions are before one; 0 for one that is looked into, or over."""
        with self._moved:
            self._take_out_forgotten()
            return self._line.index(token) if token in self._line else 0

    def put(self, token: object, question: tuple[Any, ...]) -> Connection | None:
        """Wait until a question is the first, and put it; None if it was taken back meanwhile."""
        with self._moved:
            while token in self._line and self._line[0] is not token:
                self._take_out_forgotten()
                # Where that was all that stood before it, nobody is left to say so.
                self._moved.wait(_LOOK_S)
            if token not in self._line:
                return None
            pipe = self._ready()
            pipe.send(question)
            return pipe

    def forget(self, token: object) -> None:
        """Of a question that nobody holds any more: noted without a lock, for that may be found out
        in the midst of anything; the next that looks takes it out of the line."""
        self._forgotten.append(token)

    def _take_out_forgotten(self) -> None:
        while self._forgotten:
            self.leave(self._forgotten.popleft(), unfinished=True)

    def leave(self, token: object, unfinished: bool) -> None:
        """Out of the line; the process is stopped where it still works on that question."""
        with self._moved:
            if token not in self._line:
                return
            try:
                if unfinished and self._line[0] is token:
                    self.close()
            finally:  # or nobody behind it is ever answered
                self._line.remove(token)
                self._moved.notify_all()

    def warm(self) -> None:
        """Start it, so that the first question does not wait for that."""
        self._ready()

    def close(self) -> None:
        """Stop it; the next question starts another."""
        with self._starting:
            process, self._process = self._process, None
            # The pipe is not closed here: somebody may be reading it, who then finds its end.
            self._pipe = None
        if process is not None:
            process.terminate()
            process.join()

    def _ready(self) -> Connection:
        with self._starting:
            if self._pipe is None or self._process is None or not self._process.is_alive():
                here, there = _SPAWN.Pipe()
                process = _SPAWN.Process(target=_serve, args=(there, self._loads), daemon=True)
                process.start()
                there.close()
                self._process, self._pipe = process, here
                if hasattr(os, "setpriority"):  # from its first import on
                    os.setpriority(os.PRIO_PROCESS, process.pid or 0, _NICE)
            return self._pipe


class Asked(Generic[T]):
    """A question in line, and its answers one by one; its errors are raised by the next of them.

    One that is forgotten has hung up.
    """

    def __init__(self, aside: Aside, token: object, question: tuple[Any, ...]) -> None:
        self._aside, self._token, self._question = aside, token, question
        self._pipe: Connection | None = None
        self._over = False

    @property
    def over(self) -> bool:
        """Whether all was answered, or whoever asked hung up."""
        return self._over

    @property
    def ahead(self) -> int:
        """How many questions are before it."""
        return self._aside.ahead(self._token)

    def __iter__(self) -> Iterator[T]:
        return self

    def __next__(self) -> T:
        if self._over:
            raise StopIteration
        try:
            if self._pipe is None:
                self._pipe = self._aside.put(self._token, self._question)
            if self._pipe is None:
                raise StopIteration
            kind, value = self._pipe.recv()
        except (EOFError, OSError) as error:
            hung_up = self._over
            self.close()
            if hung_up:
                raise StopIteration from None
            raise RuntimeError("the process for long questions is gone") from error
        if kind == "answer":
            answer: T = value
            return answer
        self._over = True
        self._aside.leave(self._token, unfinished=False)
        if kind == "error":
            raise value
        raise StopIteration

    def close(self) -> None:
        """Hang up, from whichever thread: no more answers, and no more work on them."""
        self._over = True
        self._aside.leave(self._token, unfinished=True)

    def __del__(self) -> None:
        if not self._over:
            self._aside.forget(self._token)


ASIDE = Aside("neat_hull.whole.arrange")


def _serve(pipe: Connection, loads: Sequence[str]) -> None:
    """Answer question after question, until the asker is gone."""
    signal.signal(signal.SIGINT, signal.SIG_IGN)  # Ctrl-C is the server's to handle
    for module in loads:
        import_module(module)
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
