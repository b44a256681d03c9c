"""Whether a thing goes where it is put: on a track, through a hatch's mouth, into a crate."""

from neat_hull.model.place import On, Place
from neat_hull.model.said import Said, plain
from neat_hull.model.setup import Setup
from neat_hull.rig.footing import in_wall, on_a_track, over_water
from neat_hull.rig.parents import parent_of
from neat_hull.rig.parents.base import EDGE_M, Play, WhyNot
from neat_hull.rig.placing import Placing

OFFERED_OVER_WATER = 0.05  # of a footprint: a rounded foot's worth; more is not offered


def why_not(placing: Placing, thing_id: int, on: On) -> WhyNot | None:
    """Why a thing does not go there; None where it does."""
    return parent_of(on).why_not(placing, thing_id, on)


def misfit(placing: Placing, thing_id: int) -> Said | None:
    """Why a thing does not belong where it stands; None where it does."""
    place = placing.setup.places[thing_id]
    stand = placing.stand(thing_id)
    if stand.astray:
        return Said.of(f"{stand.astray} is gone; put it somewhere else")
    return misfit_at(placing, thing_id, place)


def misfit_at(placing: Placing, thing_id: int, place: Place) -> Said | None:
    """Why a thing would not belong in another place; None where it would."""
    if place.on is None:
        return _into_a_wall(placing, thing_id, place)
    why = why_not(placing, thing_id, place.on)
    return _past_the_end(placing.setup, thing_id, place, place.on) if why is None else why.said


def goes(placing: Placing, thing_id: int, place: Place) -> bool:
    """Whether a thing would belong in a place, with the boat under it and no track: fit to be
    offered."""
    if misfit_at(placing, thing_id, place) is not None:
        return False
    thing = placing.setup.things[thing_id]
    if place.on is not None or thing.long:
        return True
    if on_a_track(placing.setup.boat, thing, place):
        return False
    return over_water(placing.hull, thing, place) <= OFFERED_OVER_WATER


def slide_m(placing: Placing, thing_id: int) -> tuple[float, float] | None:
    """How far from its frame a thing may be slid either way; None where nothing holds it."""
    place = placing.setup.places[thing_id]
    if place.on is None or placing.stand(thing_id).astray:
        return None
    return play_on(placing.setup, thing_id, place.on, place.turn_deg).slide


def play_on(setup: Setup, thing_id: int, on: On, turn_deg: float) -> Play:
    """Where the middle of a thing may lie on something, turned as it is."""
    return parent_of(on).play(setup, setup.things[thing_id], on, turn_deg)


def _into_a_wall(placing: Placing, thing_id: int, place: Place) -> Said | None:
    """On the bare deck, in a well and through its wall; a rod may stand out of what it is in."""
    thing = placing.setup.things[thing_id]
    met = None if thing.long else in_wall(placing.hull, thing, place)
    if met is None:
        return None
    well, over = met
    return Said.of(f"stands {{}} in the wall of {plain(well.name)}", length=over)


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
