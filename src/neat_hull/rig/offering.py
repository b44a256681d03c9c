"""What a thing could be put on, and where it would go there if one just said so."""

from neat_hull.model.place import On, Place
from neat_hull.model.targets import Target
from neat_hull.rig.fits import play_on
from neat_hull.rig.parents import PARENTS, parent_of
from neat_hull.rig.placing import Placing


def targets(placing: Placing, thing_id: int) -> list[Target]:
    """All a thing could be put on, bow to stern, what fits first within each."""
    offered = [
        _target(placing, thing_id, on)
        for parent in PARENTS.values()
        for on in parent.candidates(placing, thing_id)
    ]
    return sorted(offered, key=lambda one: (one.why is not None, -one.x_m, one.name))


def _target(placing: Placing, thing_id: int, on: On) -> Target:
    setup, parent = placing.setup, parent_of(on)
    old = setup.places.get(thing_id)
    here = old if old is not None and old.on == on else None
    turn = 0.0 if here is None else here.turn_deg
    blank = Place(
        x_m=0.0,
        y_m=0.0,
        z_m=None,
        turn_deg=turn,
        tilt_deg=0.0,
        on=on,
        group=0 if old is None else old.group,
    )
    frame = placing.frame(blank)
    assert frame is not None, "candidates are there"
    play = play_on(setup, thing_id, on, turn)
    why = parent.why_not(placing, thing_id, on)
    return Target(
        on=on,
        name=parent.name(setup, on),
        why=None if why is None else why.said,
        x_m=frame.x_m,
        y_m=frame.y_m,
        z_m=frame.rest_m if frame.rest_m is not None else frame.z_m,
        turn_deg=frame.turn_deg,
        tilt_deg=frame.tilt_deg,
        slide_m=play.slide,
        extent_m=play.extent,
        place=here or parent.put(placing, thing_id, on, blank, frame, play),
    )
