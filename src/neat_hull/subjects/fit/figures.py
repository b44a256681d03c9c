"""What does not belong where it stands, or hangs over the water."""

from neat_hull.model.place import OnFitting
from neat_hull.model.said import Said
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.fits import misfit
from neat_hull.rig.footing import Overhang, overhang


def misfits(ev: Evaluated) -> dict[int, Said]:
    """Why things do not belong where they are, by id; those that do are left out."""
    known = {} if ev.before is None else ev.before.once(misfits)
    moved, placing = ev.moved, ev.rigged.placing
    found = {}
    for thing_id, place in ev.setup.places.items():
        # A tube is taken by what stands there, and that may be new; all else is a thing's own.
        if thing_id in moved or isinstance(place.on, OnFitting):
            why = misfit(placing, thing_id)
        else:
            why = known.get(thing_id)
        if why is not None:
            found[thing_id] = why
    return found


def overhangs(ev: Evaluated) -> dict[int, Overhang]:
    """What stands on the bare deck and reaches past the side or an end of the boat, by id."""
    known = {} if ev.before is None else ev.before.once(overhangs)
    moved, hull = ev.moved, ev.rigged.floating.hull
    found = {}
    for thing_id, place in ev.setup.places.items():
        thing = ev.thing(thing_id)
        if place.on is not None or thing.long:
            continue
        out = overhang(hull, thing, place) if thing_id in moved else known.get(thing_id)
        if out is not None:
            found[thing_id] = out
    return found
