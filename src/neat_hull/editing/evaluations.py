"""Kept setups evaluated, each after the last evaluation of it: a step leaves most as it was."""

from threading import Lock

from neat_hull.editing.beside import beside_of
from neat_hull.model.setup import Setup
from neat_hull.rig.evaluated import Evaluated
from neat_hull.store.setups import StoredSetup
from neat_hull.whole.evaluate import evaluated

_MOST = 8  # setups of which the last evaluation is kept


class Evaluations:
    """The last of each; what comes of the next is the same to the last digit as from nothing."""

    def __init__(self) -> None:
        self._last: dict[int, Evaluated] = {}
        self._lock = Lock()

    def of(self, stored: StoredSetup) -> Evaluated:
        """A setup as it is kept."""
        beside = beside_of(stored)
        with self._lock:
            ev = self._last.pop(stored.setup_id, None)
            at_work = ev is not None and ev.before is not None  # for another request
            if ev is None or at_work or ev.setup != stored.setup or ev.beside != beside:
                ev = evaluated(stored.setup, beside, ev)
            self._last[stored.setup_id] = ev  # the newest stands last
            if len(self._last) > _MOST:
                del self._last[next(iter(self._last))]
            return ev

    def tried(self, stored: StoredSetup, setup: Setup) -> Evaluated:
        """A trial of it, after it as it is kept; where nothing is tried, that itself."""
        kept = self.of(stored)
        return kept if setup == stored.setup else evaluated(setup, kept.beside, kept)

    def last(self, setup_id: int) -> Evaluated | None:
        """What there is of a setup, to take from for a trial of it."""
        return self._last.get(setup_id)


EVALUATIONS = Evaluations()
