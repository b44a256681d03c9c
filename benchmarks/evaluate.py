"""How long one whole evaluation takes in-process, findings and all: `-m benchmarks.evaluate`."""

import time

import numpy as np
from benchmarks.told import Times, head, tell
from tests.piles import packed, spread

from neat_hull.files.demo import demo_setups
from neat_hull.model.setup import Setup
from neat_hull.rig.beside import ALONE
from neat_hull.whole.evaluate import evaluate, evaluated, live

ROUNDS = 150


def moved(setup: Setup, thing_id: int, by_m: float) -> Setup:
    """The setup with one thing a little further forward."""
    place = setup.places[thing_id]
    place = place.model_copy(update={"x_m": place.x_m + by_m})
    return setup.model_copy(update={"places": {**setup.places, thing_id: place}})


def dragged_ms(setup: Setup, thing_id: int, kept: bool, rounds: int = ROUNDS) -> Times:
    """ms of each evaluation with one thing moved as in a drag; `kept` takes from the one before."""
    before = evaluated(setup)
    live(before)
    taken = []
    for n in range(rounds):
        trial = moved(setup, thing_id, 0.2 * np.sin(n / 12))
        start = time.perf_counter()
        now = evaluated(trial, ALONE, before if kept else None, near=kept)
        live(now)
        taken.append(1000 * (time.perf_counter() - start))
        before = now
    return np.array(taken)


def main() -> None:
    """Print percentiles."""
    head()
    piles = {"60": (spread(60), 1), "500": (packed(500), 6), "demo": (demo_setups()[0], 9)}
    for name, (setup, thing_id) in piles.items():
        tell(f"{name} kept", dragged_ms(setup, thing_id, kept=True))
        tell(f"{name} cold", dragged_ms(setup, thing_id, kept=False, rounds=40))
    told = {name: evaluate(setup) for name, (setup, _) in piles.items()}
    counts = ", ".join(f"{len(one.findings)} of {name}" for name, one in told.items())
    print(f"(findings: {counts})")


if __name__ == "__main__":
    main()
