"""How long judging, advising and arranging take in-process: `python -m benchmarks.judgement`."""

import time

import numpy as np
from benchmarks.evaluate import crowded, times_ms

from neat_hull.whole.arrange import arrangements
from neat_hull.whole.advice.best import advise
from neat_hull.whole.evaluate import evaluated, with_findings
from neat_hull.files.demo import demo_setups
from neat_hull.model.setup import Place, Setup

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
    for name, setup in (("60 things", crowded(60)), ("the full demo", demo_setups()[0])):
        found = evaluated(setup)
        count = len(with_findings(found).findings)
        whole = np.median(times_ms(lambda _, s=setup: evaluated(s)))  # type: ignore[misc]
        judged = np.median(times_ms(lambda _, f=found: with_findings(f)))  # type: ignore[misc]
        print(
            f"findings of {name}: {judged:4.1f} ms for {count} of them, on top of {whole:4.1f} ms"
        )
    setup = demo_setups()[0]
    keys = [one.key for one in with_findings(evaluated(setup)).findings]
    taken, none = [], 0
    for key in keys:
        start = time.perf_counter()
        none += not advise(setup, key).suggestions
        taken.append(1000 * (time.perf_counter() - start))
    late = np.percentile(taken, 95)
    print(
        f"best move for one finding: median {np.median(taken):4.0f} ms, 95th percentile {late:.0f}"
    )
    print(f"findings without a way out: {none} of {len(keys)}")
    start = time.perf_counter()
    rounds = [(time.perf_counter() - start, one) for one in arrangements(filled(ARRANGED))]
    told = ", ".join(f"{at:.1f} s" for at, _ in rounds)
    best = rounds[-1][1].best
    moved = 0 if best is None else best.moved
    print(f"arranging {ARRANGED} things: {rounds[-1][0]:.2f} s, progress at {told}; moves {moved}")


if __name__ == "__main__":
    main()
