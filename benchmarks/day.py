"""A day: 48 steps and 20 turns with full hydrostatics and both leans, and what is live of it:
`-m benchmarks.day`."""

import time

import numpy as np
from benchmarks.evaluate import moved
from benchmarks.told import Times, head, tell

from neat_hull.files.demo import demo_setups
from neat_hull.model.day_case import PhaseKind
from neat_hull.model.day_plan import Catch, DayPhase, DayPlan, Fish, Ice, Used, Wet
from neat_hull.model.setup import Setup
from neat_hull.rig.beside import ALONE
from neat_hull.rig.settling import at_rest
from neat_hull.subjects.day.figures import day
from neat_hull.subjects.day.full import full_day
from neat_hull.subjects.hold.figures import hold
from neat_hull.subjects.power.figures import power
from neat_hull.whole.evaluate import evaluated, live

_TIMES, _CRATE = 20, 9


def long_day() -> Setup:
    """Twelve hours by the quarter, six phases and fifteen fish."""
    setup = demo_setups()[0]
    kinds: tuple[PhaseKind, ...] = ("launch", "travel", "fish", "anchored", "fish", "back")
    plan = DayPlan(
        phases=[DayPhase(kind=kind, hours=2.0) for kind in kinds],
        start_h=6.0,
        stores={
            "water": Used(thing=16),
            "ice": Ice(thing=11),
            "wet": Wet(),
            "catch": Catch(thing=11, fish=[Fish(h=10.03 + 0.37 * n, kg=0.5) for n in range(15)]),
        },
    )
    return setup.model_copy(update={"outing": plan})


def in_full(setup: Setup) -> tuple[Times, int]:
    """All of it, once what the whole boat needs anyhow is there."""
    taken, rows = [], 0
    for _ in range(_TIMES):
        ev = evaluated(setup)
        for figure in (at_rest, hold, power):
            ev.once(figure)
        start = time.perf_counter()
        rows = len(full_day(ev).rows)
        taken.append(1000 * (time.perf_counter() - start))
    return np.array(taken[3:]), rows


def dragged(setup: Setup) -> Times:
    """What is live of the demo's own day as its crate is moved."""
    before = evaluated(setup)
    live(before)
    taken = []
    for n in range(_TIMES):
        now = evaluated(moved(setup, _CRATE, 0.2 * np.sin(n / 12)), ALONE, before, near=True)
        for figure in (at_rest, hold, power):
            now.once(figure)
        start = time.perf_counter()
        now.once(day)
        taken.append(1000 * (time.perf_counter() - start))
        live(now)
        before = now
    return np.array(taken[3:])


def main() -> None:
    """Print a row for each."""
    taken, rows = in_full(long_day())
    head()
    tell("day full", taken)
    tell("day live", dragged(demo_setups()[0]))
    print(f"{rows} moments")


if __name__ == "__main__":
    main()
