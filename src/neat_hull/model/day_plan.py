"""How the day of a setup goes: its phases, what is used, melts, grows and fills, what moves when.

Hours are of the local clock and run on past midnight. What is null is typical, see
`subjects.day.typical`. Things are called by their ids.
"""

from collections.abc import Mapping
from typing import Annotated, Literal

from pydantic import Field

from neat_hull.model.base import Model
from neat_hull.model.day_case import PhaseKind
from neat_hull.model.keyed import Key, Name, Taken, ThingId

Hour = Annotated[float, Field(ge=0, le=96)]
Kg = Annotated[float, Field(ge=0, le=300)]
Walls = Literal["soft bag", "thin box", "thick box"]
Lid = Literal["shade", "light lid", "dark lid"]
Along = Annotated[float, Field(ge=-2, le=12)]
Across = Annotated[float, Field(ge=-2, le=2)]


class DayPhase(Model):
    """A part of the day; one follows upon the other."""

    kind: PhaseKind = "fish"
    hours: float = Field(default=2.0, gt=0, le=48)
    air_c: float = Field(default=20.0, ge=-30, le=50)


class Used(Model):
    """Drink or food in a thing: from what it is filled with, down to nothing."""

    kind: Literal["used"] = "used"
    thing: ThingId
    rate_kg_h: Kg | None = None
    drink: bool = True


class Ice(Model):
    """Ice in a thing, of its weight. ua_w_k is what its walls let through; its water drains off, or
    stays in it."""

    kind: Literal["ice"] = "ice"
    thing: ThingId
    ice_kg: Kg = 2.0
    walls: Walls = "soft bag"
    ua_w_k: float | None = Field(default=None, gt=0, le=50)
    lid: Lid = "light lid"
    drains: bool = False


class Fish(Model):
    """One fish, at an hour."""

    h: Hour
    kg: Kg


class Catch(Model):
    """What is caught while fishing, by rate and by single fish: into a thing, or where it hangs in
    the water at a place. chilled says that the ice in that thing cools it."""

    kind: Literal["catch"] = "catch"
    thing: ThingId | None = None
    x_m: Along = 1.0
    y_m: Across = 0.3
    rate_kg_h: Kg = 1.0
    fish: list[Fish] = Field(default=[], max_length=200)
    chilled: bool = True


class Filled(Model):
    """A tank filled, or emptied, to a share of what it holds at an hour."""

    h: Hour
    share: float = Field(ge=0, le=1)


class Tank(Model):
    """A thing that is filled and emptied on the water."""

    kind: Literal["tank"] = "tank"
    thing: ThingId
    events: list[Filled] = Field(default=[], max_length=100)
    lid: bool = False


class Cockpit(Model):
    """Water that comes into a cockpit that does not drain, while afloat."""

    kind: Literal["cockpit"] = "cockpit"
    rate_kg_h: Kg = 1.0


class Wet(Model):
    """Clothes that get wet: so much on the body by the end."""

    kind: Literal["wet"] = "wet"
    kg: Kg = 0.8


Store = Annotated[Used | Ice | Catch | Tank | Cockpit | Wet, Field(discriminator="kind")]


class Moved(Model):
    """From an hour on a thing is elsewhere on the boat, as its middle."""

    h: Hour
    thing: ThingId
    x_m: Along
    y_m: Across


class Swapped(Model):
    """From an hour on another battery feeds in place of one, and lies where that lay."""

    h: Hour
    battery: ThingId
    spare: ThingId


class DayPlan(Model):
    """phases null: nobody has said how the day goes. latitude and longitude null: nor where, and no
    sun is told of; zone is a name of the time zones' list. away: things that are put in or let go
    in phases of that kind, and not aboard then."""

    phases: list[DayPhase] | None = Field(default=None, min_length=1, max_length=40)
    start_h: float = Field(default=6.0, ge=0, le=24)
    step_min: float = Field(default=15.0, ge=5, le=120)
    latitude_deg: float | None = Field(default=None, ge=-90, le=90)
    longitude_deg: float = Field(default=0.0, ge=-180, le=180)
    zone: str = Field(default="UTC", min_length=1, max_length=40)
    stores: Annotated[dict[Name, Store], Taken] = Field(default={}, max_length=60)
    moves: list[Moved] = Field(default=[], max_length=60)
    swaps: list[Swapped] = Field(default=[], max_length=20)
    away: Annotated[dict[Key, list[PhaseKind]], Taken] = Field(default={}, max_length=200)

    def renumbered(self, ids: Mapping[int, int]) -> "DayPlan":
        """The same of things by other numbers; what tells of a thing without one goes."""
        stores: dict[str, Store] = {}
        for name, one in self.stores.items():
            thing = getattr(one, "thing", None)
            if thing is None:
                stores[name] = one
            elif thing in ids:
                stores[name] = one.model_copy(update={"thing": ids[thing]})
        return self.model_copy(
            update={
                "stores": stores,
                "moves": [
                    one.model_copy(update={"thing": ids[one.thing]})
                    for one in self.moves
                    if one.thing in ids
                ],
                "swaps": [
                    one.model_copy(update={"battery": ids[one.battery], "spare": ids[one.spare]})
                    for one in self.swaps
                    if one.battery in ids and one.spare in ids
                ],
                "away": {ids[i]: row for i, row in self.away.items() if i in ids},
            }
        )
