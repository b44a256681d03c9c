"""A capsize: the audit of two hundred things, the boat full of water, and what is live of it and of
being seen as a crate is dragged: `-m benchmarks.capsize`."""

import time

import numpy as np
from benchmarks.evaluate import moved
from benchmarks.told import Times, head, tell
from tests.piles import spread

from neat_hull.files.demo import demo_setups
from neat_hull.model.setup import Setup
from neat_hull.rig import aboard
from neat_hull.rig.beside import ALONE
from neat_hull.rig.settling import at_rest
from neat_hull.subjects.capsize.figures import as_fated, capsize
from neat_hull.subjects.capsize.flooding import flooded
from neat_hull.subjects.capsize.schools import school, ways
from neat_hull.subjects.capsize.setting import flooded_of, upset
from neat_hull.subjects.sight.seen import seen
from neat_hull.whole.evaluate import evaluated, live

_TIMES = 40
_CRATE = 9


def audit(setup: Setup) -> Times:
    """Fates, and all three ways to tie."""
    of, taken = evaluated(setup).once(upset), []
    for _ in range(_TIMES):
        start = time.perf_counter()
        of.fates()
        for things in ways(of.things, of.rule).values():
            school(of, things)
        taken.append(1000 * (time.perf_counter() - start))
    return np.array(taken[5:])


def full_of_water(setup: Setup) -> Times:
    """As it lies, with what stays aboard."""
    ev = evaluated(setup)
    of = ev.once(upset)
    staying, asked, taken = of.staying(ev.once(as_fated)), flooded_of(ev), []
    for _ in range(_TIMES):
        start = time.perf_counter()
        flooded(of, asked, staying, [])
        taken.append(1000 * (time.perf_counter() - start))
    return np.array(taken[5:])


def dragged(setup: Setup) -> tuple[Times, Times]:
    """What is live of a capsize, and of being seen."""
    before = evaluated(setup)
    live(before)
    over, lit = [], []
    for n in range(_TIMES):
        now = evaluated(moved(setup, _CRATE, 0.2 * np.sin(n / 12)), ALONE, before, near=True)
        now.once(aboard.rows)
        at_rest(now)
        start = time.perf_counter()
        now.once(capsize)
        middle = time.perf_counter()
        now.once(seen)
        over.append(1000 * (middle - start))
        lit.append(1000 * (time.perf_counter() - middle))
        live(now)
        before = now
    return np.array(over[5:]), np.array(lit[5:])


def main() -> None:
    """Print a row for each."""
    first = demo_setups()[0]
    head()
    tell("capsize audit", audit(spread(200)))
    tell("capsize full", full_of_water(first))
    over, lit = dragged(first)
    tell("capsize live", over)
    tell("seen live", lit)


if __name__ == "__main__":
    main()
