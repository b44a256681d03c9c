"""Forty mounts of three situations: live as one of them is dragged, and from nothing:
`-m benchmarks.fixing`."""

import time

import numpy as np
from benchmarks.told import Times, head, tell

from neat_hull.files.demo import demo_setups
from neat_hull.model.fixing import Mount, Plate
from neat_hull.model.place import Place
from neat_hull.model.setup import Setup
from neat_hull.model.thing import Thing
from neat_hull.rig.settling import at_rest
from neat_hull.subjects.fixing.figures import judged
from neat_hull.subjects.fixing.full import full_fixing
from neat_hull.subjects.fixing.mounting import fixed
from neat_hull.subjects.fixing.rules import RULES
from neat_hull.whole.evaluate import evaluated, live

_TIMES, _MOUNTS = 60, 40


def forty() -> Setup:
    """Posts with a small weight on a boom, all along both sides: four situations each."""
    bare = demo_setups()[1]
    things, places, mounts = dict(bare.things), dict(bare.places), {}
    for n in range(_MOUNTS):
        key = 1000 + n
        things[key] = Thing.model_validate(
            {"name": f"Post {n}", "shape": "box", "mass_kg": 0.4, "evidence": "weighed",
             "length_m": 0.06, "width_m": 0.06, "height_m": 0.2, "fixing": {"by": "plate"},
             "downrigger": {"ball_kg": 0.2}}
        )  # fmt: skip
        side = 1.0 if n % 2 else -1.0
        places[key] = Place(x_m=0.4 + 0.14 * (n // 2), y_m=side * 0.25, z_m=None, turn_deg=0.0,
                            tilt_deg=0.0)  # fmt: skip
        mounts[key] = Mount(by="through bolt", count=4, trips=2, plate=Plate(), length_m=0.12)
    plan = bare.fixing.model_copy(update={"mounts": mounts})
    return bare.model_copy(update={"things": things, "places": places, "fixing": plan})


def dragged(setup: Setup) -> Times:
    """The mounts and their rules, as one of them goes a millimetre at a time."""
    before = evaluated(setup)
    live(before)
    taken = []
    for n in range(_TIMES + 5):
        places = dict(setup.places)
        places[1000] = places[1000].model_copy(update={"x_m": 0.4 + 0.001 * (n + 1)})
        ev = evaluated(setup.model_copy(update={"places": places}), before=before)
        ev.once(at_rest)
        start = time.perf_counter()
        ev.once(judged)
        for rule in RULES[:3]:
            list(rule.check(ev))
        if n >= 5:
            taken.append(1000 * (time.perf_counter() - start))
    return np.array(taken)


def cold(setup: Setup) -> Times:
    """All mounts by what is known of their geometry alone."""
    taken = []
    for _ in range(_TIMES):
        ev = evaluated(setup)
        start = time.perf_counter()
        ev.once(fixed)
        ev.once(judged)
        taken.append(1000 * (time.perf_counter() - start))
    return np.array(taken)


def in_full(setup: Setup) -> Times:
    """The whole page: plates, what else could be done, the plan of the work."""
    taken = []
    for _ in range(10):
        ev = evaluated(setup)
        live(ev)
        start = time.perf_counter()
        full_fixing(ev)
        taken.append(1000 * (time.perf_counter() - start))
    return np.array(taken)


def main() -> None:
    """All rows."""
    setup = forty()
    rows = evaluated(setup).once(judged)
    print(f"{len(rows)} mounts, {sum(len(one.held) for one in rows)} situations")
    head()
    tell("fixing dragged", dragged(setup))
    tell("fixing cold", cold(setup))
    tell("fixing full", in_full(setup))


if __name__ == "__main__":
    main()
