"""Crowded boats: things spread about, and things packed as people pack."""

import numpy as np

from neat_hull.files.demo import demo_setups
from neat_hull.model.place import OnFitting, OnThing, Place
from neat_hull.model.setup import Setup
from neat_hull.model.thing import Container, Thing

_BOXES = 12
_CRATE, _DRY_BAG = 9, 4


def spread(count: int) -> Setup:
    """The demo boat with `count` small things spread over it, 30 kg in all."""
    draw = np.random.default_rng(7)
    things = {i: _small(i, 30 / count, 0.1) for i in range(1, count + 1)}
    places = {i: _at(draw.uniform(0.3, 3.3), draw.uniform(-0.3, 0.3)) for i in things}
    return demo_setups()[0].model_copy(update={"things": things, "places": places})


def packed(count: int) -> Setup:
    """The full demo and small things, `count` aboard, as people pack: most are in a dozen boxes,

    six of them in the crate, two by two, and six under the bow hatch.
    """
    demo = demo_setups()[0]
    draw = np.random.default_rng(7)
    things, places = dict(demo.things), dict(demo.places)
    del places[_DRY_BAG]  # the boxes take its room
    first = max(things) + 1
    boxes = range(first, first + _BOXES)
    for n, i in enumerate(boxes):
        things[i] = Thing(
            name=f"Box {n + 1}", shape="box", mass_kg=0.1, evidence="weighed", use="once",
            length_m=0.24, width_m=0.145, height_m=0.085,
            container=Container(length_m=0.23, width_m=0.135, height_m=0.08, opens="lid"),
        )  # fmt: skip
        side = 0.075 if n % 2 else -0.075
        places[i] = (
            _at(-0.03, side, OnThing(thing=_CRATE, where="in"))
            if n < _BOXES / 2
            else _at(-0.3 + 0.25 * (n // 2 - 3), side, OnFitting(name="Bow hatch", where="in"))
        )
    while len(places) < count:
        i = max(things) + 1
        things[i] = _small(i, 0.01, 0.02)
        box = boxes[i % _BOXES]
        at = draw.uniform(-0.1, 0.1), draw.uniform(-0.06, 0.06)
        places[i] = _at(*at, OnThing(thing=box, where="in"))
    return demo.model_copy(update={"things": things, "places": places})


def _small(i: int, mass_kg: float, size_m: float) -> Thing:
    return Thing(name=f"Thing {i}", shape="box", mass_kg=mass_kg, evidence="guess", use="once",
                 length_m=size_m, width_m=size_m, height_m=size_m)  # fmt: skip


def _at(x_m: float, y_m: float, on: OnFitting | OnThing | None = None) -> Place:
    return Place(x_m=float(x_m), y_m=float(y_m), z_m=None, turn_deg=0.0, tilt_deg=0.0, on=on)
