"""How long advising and arranging take in-process: `python -m benchmarks.judgement`."""

import time

from benchmarks.told import head, tell

from neat_hull.files.demo import demo_setups
from neat_hull.model.place import Place
from neat_hull.model.setup import Setup
from neat_hull.whole.advice.best import advise
from neat_hull.whole.arrange import arrangements
from neat_hull.whole.evaluate import evaluate

ARRANGED = 25


def filled(count: int) -> Setup:
    """The full demo with the rest of the pile and small boxes aboard, `count` things in all."""
    setup = demo_setups()[0]
    things, places = dict(setup.things), dict(setup.places)
    tray = things[14]
    while len(places) < count:
        thing_id = max(things) + 1
        things[thing_id] = tray.model_copy(update={"name": f"Tray {thing_id}"})
        places[thing_id] = Place(x_m=2.9, y_m=0.1 * (len(places) - count / 2) / 10, z_m=None,
                                 turn_deg=0.0, tilt_deg=0.0)  # fmt: skip
    return setup.model_copy(update={"things": things, "places": places})


def main() -> None:
    """Print medians and percentiles."""
    head()
    setup = demo_setups()[0]
    keys = [one.key for one in evaluate(setup).findings]
    taken, none = [], 0
    for key in keys:
        start = time.perf_counter()
        none += not advise(setup, key).suggestions
        taken.append(1000 * (time.perf_counter() - start))
    tell("best move", taken)
    start = time.perf_counter()
    rounds = [(time.perf_counter() - start, one) for one in arrangements(filled(ARRANGED))]
    tell("arrange", 1000 * rounds[-1][0])
    told = ", ".join(f"{at:.1f} s" for at, _ in rounds)
    best = rounds[-1][1].best
    moved = 0 if best is None else best.moved
    print(f"(findings without a way out: {none} of {len(keys)}; progress at {told}; moves {moved})")


if __name__ == "__main__":
    main()
