"""Reach, map and clearance of 60 things, in-process: `python -m benchmarks.angler`."""

import numpy as np
from benchmarks.evaluate import crowded, times_ms

from neat_hull.subjects.room.figures import clashes
from neat_hull.whole.drawing import BEARINGS_RAD
from neat_hull.whole.evaluate import CURVE_DEG
from neat_hull.subjects.reach.figures import come_by
from neat_hull.rig.rigging import limits_of, rig
from neat_hull.physics.body import reach
from neat_hull.physics.water.hydrostatics import settle_with_curve


def main() -> None:
    """Print medians and 95th percentiles; the map with nothing kept from the call before."""
    rigged = rig(crowded(60))
    _, curve = settle_with_curve(
        rigged.floating, rigged.loads, rigged.water_density_kg_m3, np.radians(CURVE_DEG)
    )
    limits = limits_of(rigged.setup.angler)

    def cold_map(_: int) -> object:
        reach._postures.cache_clear()
        return reach.edges_m(rigged.body, limits, BEARINGS_RAD, 0.43)

    def by_reach(_: int) -> object:
        return come_by(rigged, curve)

    def by_clearance(_: int) -> object:
        return clashes(rigged)

    for name, work in (
        ("reach of 60 things, with heel and margin", by_reach),
        ("reach map, cold", cold_map),
        ("clearance of 60 things", by_clearance),
    ):
        taken = times_ms(work)
        print(f"{name}: median {np.median(taken):5.2f} ms, "
              f"95th percentile {np.percentile(taken, 95):5.2f} ms")  # fmt: skip
    print(f"({len(clashes(rigged))} clashes among them)")


if __name__ == "__main__":
    main()
