"""Whether a thing goes where it is put: on a track, through a hatch's mouth, into a crate."""

from neat_hull.model.said import Said
from neat_hull.model.setup import On, Place, Setup
from neat_hull.rig.parents import parent_of
from neat_hull.rig.parents.base import EDGE_M, Play, WhyNot
from neat_hull.rig.placing import Placing


def why_not(placing: Placing, thing_id: int, on: On) -> WhyNot | None:
    """Why a thing does not go there; None where it does."""
    return parent_of(on).why_not(placing, thing_id, on)


def misfit(placing: Placing, thing_id: int) -> Said | None:
    """Why a thing does not belong where it stands; None where it does."""
    place = placing.setup.places[thing_id]
    stand = placing.stand(thing_id)
    if stand.astray:
        return Said.of(f"{stand.astray} is gone; put it somewhere else")
    if place.on is None:
        return None
    why = why_not(placing, thing_id, place.on)
    return _past_the_end(placing.setup, thing_id, place, place.on) if why is None else why.said


def slide_m(placing: Placing, thing_id: int) -> tuple[float, float] | None:
    """How far from its frame a thing may be slid either way; None where nothing holds it."""
    place = placing.setup.places[thing_id]
    if place.on is None or placing.stand(thing_id).astray:
        return None
    return play_on(placing.setup, thing_id, place.on, place.turn_deg).slide


def play_on(setup: Setup, thing_id: int, on: On, turn_deg: float) -> Play:
    """Where the middle of a thing may lie on something, turned as it is."""
    return parent_of(on).play(setup, setup.things[thing_id], on, turn_deg)


def _past_the_end(setup: Setup, thing_id: int, place: Place, on: On) -> Said | None:
    """On a track past its end, or in a box through its wall."""
    play = play_on(setup, thing_id, on, place.turn_deg)
    if not play.ends:
        return None
    for at, slide in zip((place.x_m, place.y_m), play.slide, strict=True):
        over = abs(at) - slide
        if over > EDGE_M:
            name = parent_of(on).name(setup, on)
            return Said.of(f"stands {{}} past the end of {name}", length=over)
    return None
