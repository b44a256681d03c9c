"""What a capsize takes."""

from neat_hull.model.thing import Fixed, Thing
from neat_hull.rig import aboard
from neat_hull.rig.evaluated import Evaluated

# Bolted, plated or strapped down stays; a bungee, a tube or nothing at all lets go upside down.
_HOLDS: tuple[Fixed, ...] = ("track bolt", "ball", "plate", "strap")


def stays(ev: Evaluated, thing_id: int) -> bool:
    """Whether a thing stays with a boat upside down: worn, shut in, or mounted so that it holds."""
    rigged = ev.rigged
    stand = rigged.by_id[thing_id].stand
    if (stand.on_body and not stand.held) or rigged.placing.covered(thing_id):
        return True  # hands let go
    return ev.thing(thing_id).fixing.by in _HOLDS


def lost(ev: Evaluated) -> list[int]:
    """Things that go to the bottom, bow to stern."""
    things = ev.setup.things
    return [
        i
        for i in ev.once(aboard.rows)
        if not (things[i].floats or things[i].fixing.leashed or things[i].part == "seat")
        and not stays(ev, i)
    ]


def has_a_line(thing: Thing) -> bool:
    """Whether a line lies about it: a leash, or that of an anchor or drogue."""
    return thing.fixing.leashed or thing.anchor is not None or thing.drogue is not None
