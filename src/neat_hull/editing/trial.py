"""Trying a setup out: what a preview changes, and the setup as it would be."""

from typing import Any

from pydantic import Field

from neat_hull.errors import InputError
from neat_hull.model.base import Model
from neat_hull.model.boat import Boat
from neat_hull.model.nesting import ashore, require_nested
from neat_hull.model.place import Place
from neat_hull.model.sections import Sections, TriedSections
from neat_hull.model.setup import Angler, Posture, SeatPlace, Setup
from neat_hull.model.water import Water
from neat_hull.rig.typical import seat_as_moved, with_what_was_measured
from neat_hull.whole.registry import require_known_limits

_WHOLE = ("boat", "angler", "seat", "water", "posture")


class TrialPlace(Model):
    """A thing put somewhere; no place takes it ashore, with all it holds."""

    thing_id: int
    place: Place | None


class TrialPlaces(Model):
    """Things put elsewhere; what goes ashore takes along all it holds."""

    places: list[TrialPlace] = Field(default=[], max_length=1000)

    def on(self, kept: Setup) -> Setup:
        """The setup as it would be. Raises InputError for a thing that is not there."""
        for one in self.places:
            if one.thing_id not in kept.things:
                raise InputError("places", one.thing_id, f"there is no item {one.thing_id}")
        gone = ashore(kept, [one.thing_id for one in self.places if one.place is None])
        places = {i: place for i, place in kept.places.items() if i not in gone}
        places |= {one.thing_id: one.place for one in self.places if one.place is not None}
        tried = kept.model_copy(update={"places": places})
        require_nested(tried)
        return tried


class Trial(TrialPlaces, TriedSections):
    """What a preview changes; everything left out stays as kept.

    A section that is given is tried whole.
    """

    boat: Boat | None = None
    angler: Angler | None = None
    seat: SeatPlace | None = None
    water: Water | None = None
    posture: Posture | None = None

    def on(self, kept: Setup) -> Setup:
        """The setup as it would be. Raises InputError for a thing that is not there."""
        changed: dict[str, Any] = {
            name: getattr(self, name)
            for name in (*_WHOLE, *Sections.model_fields)
            if getattr(self, name) is not None
        }
        if self.boat is not None:
            changed["boat"] = with_what_was_measured(kept.boat, self.boat)
        if self.seat is not None:
            changed["seat"] = seat_as_moved(kept.seat, self.seat)
        tried = super().on(kept.model_copy(update=changed))
        require_known_limits(tried.judging)
        return tried
