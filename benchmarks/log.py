"""What 500 trips of 80 items teach, read from the data file and learned: `-m benchmarks.log`."""

import tempfile
import time
from pathlib import Path

import numpy as np
from benchmarks.told import Times, head, tell

from neat_hull.editing.beside import beside_of
from neat_hull.editing.demo import add_demo
from neat_hull.model.log import Boarded, Mark, PackUse, Stood, TripEntry, Uses
from neat_hull.store.connect import connect, open_store, transaction
from neat_hull.store.log import add_trip, load_log
from neat_hull.store.rows import put_row
from neat_hull.store.setups import load_setup, new_thing_id
from neat_hull.subjects.log.full import learned
from neat_hull.subjects.log.learned import mounted
from neat_hull.subjects.power.figures import power
from neat_hull.whole.evaluate import evaluated

_TRIPS, _ITEMS, _TIMES = 500, 80, 25
_USES: tuple[Uses, ...] = ("0", "1-3", "4-15", "more")
_BATTERY = 5


def told(data: Path) -> None:
    """A data file with so many trips of so many items, half of them said."""
    open_store(data)
    db, rng = connect(data), np.random.default_rng(3)
    with transaction(db):
        setup_id = add_demo(db)
        stored = load_setup(db, setup_id)
        spare = stored.setup.things[10].model_dump()
        while len(ids := list(load_setup(db, setup_id).setup.things)) < _ITEMS:
            put_row(db, setup_id, "thing", new_thing_id(db), spare)
        stood = {i: Stood(1.0, 0.1, 0.3, 0.0) for i in ids}
        aboard = Boarded(setup_id, stored.boat_id, 1, stored.setup.name, None,
                         {i: f"Item {i}" for i in ids}, stood)  # fmt: skip
        for n in range(_TRIPS):
            marks = {
                i: Mark(uses=_USES[rng.integers(4)], wet=bool(rng.random() < 0.01))
                for i in ids
                if rng.random() < 0.5
            }
            entry = TripEntry(
                on_day=f"{2010 + n // 300}-{1 + n // 28 % 12:02d}-{1 + n % 28:02d}",
                hours=float(rng.uniform(2, 8)),
                water="salt" if n % 3 else "fresh",
                marks=marks,
                packs={_BATTERY: PackUse(left_share=float(rng.uniform(0.2, 0.9)))},
            )
            add_trip(db, entry, aboard)
    db.close()


def measured(data: Path) -> tuple[Times, Times]:
    """Read, and read and learned, of a setup that is evaluated already."""
    db = connect(data)
    stored = load_setup(db, 1)
    ev = evaluated(stored.setup, beside_of(stored))
    ev.once(power)
    read, whole = [], []
    for _ in range(_TIMES):
        start = time.perf_counter()
        log = load_log(db, mounted(ev))
        read.append(1000 * (time.perf_counter() - start))
        learned(ev, log, stored.boat_id, "2026-06-01")
        whole.append(1000 * (time.perf_counter() - start))
    db.close()
    return np.array(read[3:]), np.array(whole[3:])


def main() -> None:
    """Print a row for each."""
    with tempfile.TemporaryDirectory() as folder:
        data = Path(folder) / "log.sqlite"
        told(data)
        read, whole = measured(data)
    head()
    tell("log read", read)
    tell("log learned", whole)


if __name__ == "__main__":
    main()
