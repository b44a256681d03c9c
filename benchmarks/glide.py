"""Waves of twelve speeds of a hull of twenty-five stations, and what is live of going and being
held as a crate is dragged: `-m benchmarks.glide`."""

import time

import numpy as np
from benchmarks.evaluate import moved
from benchmarks.told import Times, head, tell
from tests.piles import spread

from neat_hull.files.demo import demo_setups
from neat_hull.model.setup import Setup
from neat_hull.physics.hull.shape import Hull, Station
from neat_hull.physics.resistance.wave_grid import COARSE, QUICK, WaveGrid
from neat_hull.physics.resistance.waves import waves_n
from neat_hull.physics.resistance.wet_body import Plane, wet_body
from neat_hull.rig import aboard
from neat_hull.rig.beside import ALONE
from neat_hull.rig.drag.figures import bare_drag, full_drag
from neat_hull.rig.settling import at_rest
from neat_hull.subjects.glide.figures import glide
from neat_hull.subjects.glide.full import full_glide
from neat_hull.subjects.hold.figures import hold
from neat_hull.subjects.hold.full import full_hold
from neat_hull.whole.evaluate import evaluated, live

_TIMES = 60


def of_25_stations() -> Hull:
    """A pointed hull of 3.7 m, of 25 stations of 20 points each."""
    x = np.linspace(0.0, 3.7, 25)
    z = np.linspace(0.0, 0.35, 20)
    full = 0.42 * np.sqrt(np.maximum(0.0, 4 * (x / 3.7) * (1 - x / 3.7)))
    round_ = np.minimum(1.0, (z / 0.12) ** 0.4)
    stations = tuple(
        Station(float(at), np.column_stack((half * round_, z)))
        for at, half in zip(x, full, strict=True)
    )
    return Hull(stations)


def curve() -> Times:
    """Cut, and waves at twelve speeds, as the application works them out."""
    hull, speeds, taken = of_25_stations(), np.linspace(0.9, 2.9, 12), []
    for n in range(_TIMES):
        plane = Plane(0.0, 0.11 + 0.0001 * n, 0.01)
        start = time.perf_counter()
        waves_n(wet_body(hull, plane, COARSE), speeds, 998.0, QUICK)
        taken.append(1000 * (time.perf_counter() - start))
    return np.array(taken[5:])


def converged() -> Times:
    """The same as a bare case has it."""
    hull, speeds, taken = of_25_stations(), np.linspace(0.9, 2.9, 12), []
    for n in range(12):
        start = time.perf_counter()
        waves_n(wet_body(hull, Plane(0.0, 0.11 + 0.0001 * n, 0.01)), speeds, 998.0)
        taken.append(1000 * (time.perf_counter() - start))
    return np.array(taken[2:])


def read_off() -> Times:
    """A grid asked at an attitude between nodes that are there."""
    grid, taken = WaveGrid(of_25_stations()), []
    for n in range(_TIMES):
        start = time.perf_counter()
        grid.at(0.112 + 0.0001 * n, 0.012)
        taken.append(1000 * (time.perf_counter() - start))
    return np.array(taken[1:])


def dragged(setup: Setup, thing_id: int) -> tuple[Times, Times, Times]:
    """What holds it back, then going, then being held, as a thing goes to and fro."""
    before = evaluated(setup)
    live(before)
    parts: tuple[list[float], list[float], list[float]] = [], [], []
    for n in range(_TIMES):
        now = evaluated(moved(setup, thing_id, 0.2 * np.sin(n / 12)), ALONE, before, near=True)
        at_rest(now)
        now.once(aboard.rows)
        for taken, figures in zip(parts, ((full_drag, bare_drag), (glide,), (hold,)), strict=True):
            start = time.perf_counter()
            for figure in figures:
                now.once(figure)
            taken.append(1000 * (time.perf_counter() - start))
        live(now)
        before = now
    drag, going, held = (np.array(taken[10:]) for taken in parts)
    return drag, going, held


def in_full(setup: Setup) -> Times:
    """Both pages."""
    taken = []
    for _ in range(10):
        ev = evaluated(setup)
        live(ev)
        start = time.perf_counter()
        full_glide(ev)
        full_hold(ev)
        taken.append(1000 * (time.perf_counter() - start))
    return np.array(taken)


def main() -> None:
    """All rows."""
    head()
    tell("glide waves", curve())
    tell("glide waves converged", converged())
    tell("glide grid", read_off())
    for name, setup, thing_id in (("demo", demo_setups()[0], 9), ("60", spread(60), 1)):
        drag, going, held = dragged(setup, thing_id)
        tell(f"glide drag {name}", drag)
        tell(f"glide live {name}", going)
        tell(f"hold live {name}", held)
    tell("glide full", in_full(demo_setups()[0]))


if __name__ == "__main__":
    main()
