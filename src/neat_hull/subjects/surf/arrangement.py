"""The setup as it goes through the surf, and where things may go for it."""

from collections.abc import Iterator
from math import atan2, cos, degrees, hypot

from neat_hull.errors import InputError
from neat_hull.model.boat import Hatch
from neat_hull.model.nesting import require_nested
from neat_hull.model.place import OnFitting, OnThing, Place
from neat_hull.model.setup import Setup
from neat_hull.model.surf_figures import SurfOffer
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.offering import targets

# Laid along: the tip is held so far behind the bow and off the middle; the butt lies at such a
# share of the breadth, no further out than beside the legs, and no nearer to the stern than this. A
# second one on the same side lies so much further in.
_BEHIND_BOW_M, _TIP_ASIDE_M = 0.08, 0.06
_OUT_SHARE, _OUT_M, _LEAST_X_M = 0.75, 0.30, 0.10
_INNER_M, _INNER_TIP_M = 0.08, 0.04
_SIDES = (("port", 1.0, False), ("starboard", -1.0, False), ("port, further in", 1.0, True),
          ("starboard, further in", -1.0, True))  # fmt: skip


def in_surf(setup: Setup) -> Setup:
    """With the second arrangement in the place of the first. Raises InputError for one that cannot
    be, as where two things would stand on each other."""
    there = {i: place for i, place in setup.surf.places.items() if i in setup.places}
    second = setup.model_copy(update={"places": {**setup.places, **there}})
    try:
        require_nested(second)
    except InputError as error:
        raise InputError(f"surf.{error.field}", error.value, error.why) from error
    return second


def laid(ev: Evaluated, thing_id: int, side: float, inner: bool = False) -> Place:
    """A rod or pole along the deck on one side (1 port, -1 starboard), its tip held at the bow;
    inner: beside another one."""
    hull, thing = ev.rigged.floating.hull, ev.thing(thing_id)
    in_m, tip_in_m = (_INNER_M, _INNER_TIP_M) if inner else (0.0, 0.0)
    tip_x, tip_y = hull.x_fwd_m - _BEHIND_BOW_M, side * (_TIP_ASIDE_M - tip_in_m)
    x = max(_LEAST_X_M, tip_x - thing.length_m)
    for _ in range(4):  # the butt lies further forward the more it lies aside
        y = side * max(0.0, min(_OUT_M, _OUT_SHARE * hull.gunwale_m(x)[0]) - in_m)
        turn = atan2(tip_y - y, tip_x - x)
        x = max(_LEAST_X_M, tip_x - thing.length_m * cos(turn))
    return Place(
        x_m=round(x, 3), y_m=round(y, 3), z_m=None, turn_deg=round(degrees(turn), 1), tilt_deg=0.0
    )


def offers(ev: Evaluated, thing_id: int) -> Iterator[SurfOffer]:
    """Along the deck on each side for what is long; into hatches and boxes that shut for what goes
    in. Things that hold others, and parts of the boat, stay."""
    thing, placing = ev.thing(thing_id), ev.rigged.placing
    if thing.part in ("seat", "drive", "rudder") or placing.contents(thing_id):
        return
    # What helps in need, or is worn, is not shut away for the worst of the trip.
    at_hand = thing.use == "emergency" or bool(thing.serves) or thing.worn
    if thing.long:
        for key, side, inner in _SIDES:
            words = f"along the deck to {key}, tip at the bow"
            yield SurfOffer(key=key, words=words, place=laid(ev, thing_id, side, inner))
    hatches = {one.name for one in ev.setup.boat.fittings if isinstance(one, Hatch)}
    for one in targets(placing, thing_id):
        if one.why is not None or at_hand:
            continue
        match one.on:
            case OnFitting(where="in", name=name) if name in hatches:
                yield SurfOffer(key=f"hatch {name}", words=f"into the {name}", place=one.place)
            case OnThing(where="in", thing=box) if ev.thing(box).opens != "open":
                yield SurfOffer(key=f"thing {box}", words=f"into {one.name}", place=one.place)
            case _:
                pass


def same(one: Place, other: Place) -> bool:
    """Whether two places are one, but for a hair."""
    near = hypot(one.x_m - other.x_m, one.y_m - other.y_m) < 0.01
    turned = abs(one.turn_deg - other.turn_deg) < 1 and abs(one.tilt_deg - other.tilt_deg) < 1
    return one.on == other.on and near and turned
