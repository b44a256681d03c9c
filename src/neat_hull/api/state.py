"""What the screens hold of a setup: its data, its figures and its drawing in one answer."""

from collections.abc import AsyncIterator, Callable, Sequence
from contextlib import closing
from dataclasses import dataclass
from functools import lru_cache
from pathlib import Path
from typing import Annotated

from fastapi import Depends, Request
from fastapi import Path as PathParam
from pydantic import BaseModel
from starlette.concurrency import run_in_threadpool
from starlette.responses import Response

from neat_hull.api.answers import written
from neat_hull.editing.beside import beside_of
from neat_hull.editing.evaluations import EVALUATIONS
from neat_hull.errors import AlreadyMade
from neat_hull.model.base import Model
from neat_hull.model.drawing import Drawing
from neat_hull.model.figures import Figures
from neat_hull.model.setup import Setup
from neat_hull.rig.evaluated import Evaluated
from neat_hull.store.clock import Clock
from neat_hull.store.connect import Connection, connect, transaction
from neat_hull.store.made_changes import is_made, made_once
from neat_hull.store.setups import Elsewhere, StoredSetup, load_setup
from neat_hull.whole.drawing import drawing
from neat_hull.whole.evaluate import evaluated, live

# Ids as SQLite can hold them; anything larger is refused at the door.
SetupId = Annotated[int, PathParam(ge=1, le=2**62)]
ThingId = Annotated[int, PathParam(ge=1, le=2**62)]


# A change has a key of its sender's, by which it is known when it is sent again.
CHANGE_KEY = "Neat-Change"


class Seen(Model):
    """The revision a change is based on."""

    revision: int


class SetupState(BaseModel):
    """A setup as kept at `revision`, with everything computed from it.

    elsewhere are things that another setup of the same day has aboard as well; left is what of the
    steps just taken back stays as it is, and why.
    """

    setup_id: int
    revision: int
    saved_at: str
    undo_label: str | None
    redo_label: str | None
    setup: Setup
    figures: Figures
    drawing: Drawing
    elsewhere: list[Elsewhere]
    left: list[str]


async def open_db(request: Request) -> AsyncIterator[Connection]:
    """One connection for one request; opening reads nothing, so it can be done in the loop.

    Raises AlreadyMade where the request is a change that was made before.
    """
    db = connect(Path(request.app.state.data))
    try:
        db.change = request.headers.get(CHANGE_KEY) if "setup_id" in request.path_params else None
        if db.change is not None and await run_in_threadpool(is_made, db, db.change):
            raise AlreadyMade(db.change)
        if request.method == "GET":
            db.execute("BEGIN")  # a page is of one moment, whatever others write meanwhile
        yield db
    finally:
        db.close()


# scope="function": closed before the answer goes out, so that nothing is answered and then fails.
Db = Annotated[Connection, Depends(open_db, scope="function")]


@dataclass(frozen=True)
class Making:
    """Where a setup is made, and the key by which one is known that is asked for again."""

    db: Connection
    key: str | None

    def setup(self, make: Callable[[Connection], int]) -> StoredSetup:
        """The setup whose id `make` answers, kept; the one from before where it was made."""
        with transaction(self.db):
            setup_id = made_once(self.db, self.key, lambda: make(self.db))
        return load_setup(self.db, setup_id)


async def open_making(request: Request) -> AsyncIterator[Making]:
    """One connection for a request that makes a setup, which is no change of one that is there."""
    with closing(connect(Path(request.app.state.data))) as db:
        yield Making(db, request.headers.get(CHANGE_KEY))


MakingDb = Annotated[Making, Depends(open_making, scope="function")]


class SetupCache:
    """The setups last read, and last evaluated.

    A drag then does not read the same rows sixty times a second, nor work out again what has not
    moved.
    """

    def __init__(self, data: Path) -> None:
        self._data, self._clock = data, Clock(data)
        self._held: dict[int, tuple[int, StoredSetup]] = {}
        self._last: dict[int, Evaluated] = {}
        self._quick: dict[int, Evaluated] = {}

    def kept(self, setup_id: int) -> StoredSetup:
        """As `load_setup`; while the clock of the file stands still, without opening it."""
        now = self._clock.ticks()
        held = self._held.get(setup_id)
        if held is None or held[0] != now:
            with closing(connect(self._data)) as db:
                held = (now, load_setup(db, setup_id))
            self._held[setup_id] = held
        return held[1]

    def close(self) -> None:
        """Let the data file go."""
        self._clock.close()

    def evaluated(self, stored: StoredSetup, setup: Setup) -> Evaluated:
        """A trial of a stored setup, after the one of it that was evaluated last."""
        ev = self._after(self._last.get(stored.setup_id), stored, setup)
        self._last[stored.setup_id] = ev
        self._quick.pop(stored.setup_id, None)  # it has less, and is further off by now
        return ev

    def quickly(self, stored: StoredSetup, setup: Setup) -> Evaluated:
        """The same where only quick figures are asked: one that has no others is not taken from
        when all of them are."""
        before = self._quick.get(stored.setup_id) or self._last.get(stored.setup_id)
        ev = self._after(before, stored, setup)
        self._quick[stored.setup_id] = ev
        return ev

    @staticmethod
    def _after(before: Evaluated | None, stored: StoredSetup, setup: Setup) -> Evaluated:
        """The first of a drag takes from the setup as it is kept, and is exact to the last digit:
        it may have gone farther than the others will."""
        kept = before or EVALUATIONS.last(stored.setup_id)
        return evaluated(setup, beside_of(stored), kept, near=before is not None)


async def cache_of(request: Request) -> SetupCache:
    """The application's cache; found in the loop, for to go to a thread takes longer."""
    cache: SetupCache = request.app.state.cache
    return cache


Cache = Annotated[SetupCache, Depends(cache_of)]


def state_of(
    stored: StoredSetup, ev: Evaluated | None = None, left: Sequence[str] = ()
) -> SetupState:
    """Everything about a stored setup; `ev` where the caller has evaluated it already."""
    return SetupState(
        setup_id=stored.setup_id,
        revision=stored.revision,
        saved_at=stored.saved_at,
        undo_label=stored.undo_label,
        redo_label=stored.redo_label,
        setup=stored.setup,
        figures=live(ev or EVALUATIONS.of(stored)),
        drawing=draw(stored.setup),
        elsewhere=stored.elsewhere,
        left=list(left),
    )


def made_before(request: Request, _: Exception) -> Response:
    """What a change that was made before is answered with: the setup as it is now."""
    with closing(connect(Path(request.app.state.data))) as db:
        return written(state_of(load_setup(db, int(request.path_params["setup_id"]))))


def draw(setup: Setup) -> Drawing:
    """The drawing of a setup; it depends on boat, angler and seat alone and is kept by them."""
    return _drawn(setup.model_copy(update={"things": {}, "places": {}}).model_dump_json())


@lru_cache(maxsize=16)
def _drawn(setup_json: str) -> Drawing:
    return drawing(Setup.model_validate_json(setup_json))
