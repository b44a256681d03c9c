"""How long one whole evaluation takes in-process: `python -m benchmarks.evaluate`."""

import time
from collections.abc import Callable

import numpy as np

from neat_hull.whole.evaluate import evaluate
from neat_hull.files.demo import demo_setups
from neat_hull.model.setup import Place, Setup
from neat_hull.model.thing import Thing

ROUNDS = 200


def crowded(count: int) -> Setup:
    """The demo boat with `count` small things spread over it, 30 kg in all."""
    setup = demo_setups()[0]
    draw = np.random.default_rng(7)
    things = {
        i: Thing(name=f"Thing {i}", shape="box", mass_kg=30 / count, evidence="guess",
                 length_m=0.1, width_m=0.1, height_m=0.1)
        for i in range(1, count + 1)
    }  # fmt: skip
    places = {
        i: Place(x_m=float(draw.uniform(0.3, 3.3)), y_m=float(draw.uniform(-0.3, 0.3)), z_m=None,
                 turn_deg=0.0, tilt_deg=0.0)
        for i in things
    }  # fmt: skip
    return setup.model_copy(update={"things": things, "places": places})


def times_ms(work: Callable[[int], object]) -> np.ndarray[tuple[int], np.dtype[np.float64]]:
    """Time of each of ROUNDS calls, after a few to warm up."""
    for i in range(5):
        work(i)
    taken = []
    for i in range(ROUNDS):
        start = time.perf_counter()
        work(i)
        taken.append(1000 * (time.perf_counter() - start))
    return np.array(taken)


def main() -> None:
    """Print percentiles at 60 and 500 things, each call with one thing moved as in a drag."""
    medians = []
    for count in (60, 500):
        setup = crowded(count)

        def moved(i: int, setup: Setup = setup) -> object:
            place = setup.places[1].model_copy(update={"x_m": 0.4 + 0.01 * i})
            return evaluate(setup.model_copy(update={"places": {**setup.places, 1: place}}))

        taken = times_ms(moved)
        medians.append(float(np.median(taken)))
        print(f"evaluate {count:3d} things: median {np.median(taken):5.1f} ms, "
              f"95th percentile {np.percentile(taken, 95):5.1f} ms")  # fmt: skip
    print(f"cost of 500 things over 60: {medians[1] / medians[0]:.1f} times (things: 8.3 times)")


if __name__ == "__main__":
    main()
