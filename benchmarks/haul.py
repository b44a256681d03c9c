"""The road: what is live of it as the crate is dragged, and all that is asked on request:
`-m benchmarks.haul`."""

import time

import numpy as np
from benchmarks.evaluate import moved
from benchmarks.told import Times, head, tell

from neat_hull.files.demo import demo_setups
from neat_hull.model.setup import Setup
from neat_hull.rig.beside import ALONE
from neat_hull.rig.settling import at_rest
from neat_hull.subjects.haul.figures import haul
from neat_hull.subjects.haul.full import full_haul
from neat_hull.whole.evaluate import evaluated, live

_TIMES = 40
_CRATE = 9


def dragged(setup: Setup) -> tuple[Times, Times]:
    """What is live, and all of it."""
    before = evaluated(setup)
    live(before)
    alive, full = [], []
    for n in range(_TIMES):
        now = evaluated(moved(setup, _CRATE, 0.2 * np.sin(n / 12)), ALONE, before, near=True)
        at_rest(now)
        start = time.perf_counter()
        now.once(haul)
        alive.append(1000 * (time.perf_counter() - start))
        start = time.perf_counter()
        full_haul(now)
        full.append(1000 * (time.perf_counter() - start))
    return np.array(alive[5:]), np.array(full[5:])


def main() -> None:
    """Print a row for each."""
    alive, full = dragged(demo_setups()[0])
    head()
    tell("haul live", alive)
    tell("haul full", full)


if __name__ == "__main__":
    main()
