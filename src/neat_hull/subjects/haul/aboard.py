"""What of a setup goes with the boat over land: what comes off, and what it is lifted by."""

from dataclasses import dataclass

import numpy as np

from neat_hull.model.boat import Handle, Hatch
from neat_hull.model.haul import Leaves
from neat_hull.model.thing import Thing
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rigging import Stowed
from neat_hull.rig.typical import FINS_DEEP_M, FINS_LONG_M
from neat_hull.subjects.haul import typical

Place = tuple[float, float]
_SIDE_M = 0.15  # off the middle, from where a hold is one to carry the boat at one's side by
_UNDER_M = 0.005  # of a keel that is known to half a centimetre


@dataclass(frozen=True)
class RoadThing:
    """A thing aboard that is not worn: what becomes of it for the road, and its weight there."""

    thing_id: int
    leaves: Leaves
    kg: float
    x_m: float
    z_m: float
    minutes: float


@dataclass(frozen=True)
class Hold:
    """Something to lift the boat by; thing_id null for what is the boat's own, and named is null
    where there is nothing but the hull's end."""

    named: str | None
    thing_id: int | None
    x_m: float
    y_m: float
    z_m: float

    @property
    def at(self) -> Place:
        """Along and up."""
        return self.x_m, self.z_m


def rides(ev: Evaluated) -> list[RoadThing]:
    """All that is aboard and not on the angler. What is filled afloat is empty ashore."""
    return list(ev.once(_by_id).values())


def _by_id(ev: Evaluated) -> dict[int, RoadThing]:
    """What has not moved is taken from the evaluation before."""
    before, known = ev.before, dict[int, RoadThing]()
    if before is not None and before.setup.haul == ev.setup.haul:
        known, same = before.once(_by_id), ev.rigged.placing.same
        known = {i: row for i, row in known.items() if i in same}
    return {
        one.thing_id: known.get(one.thing_id) or _rides(ev, one)
        for one in ev.rigged.stowed
        if not one.stand.on_body
    }


def _rides(ev: Evaluated, one: Stowed) -> RoadThing:
    thing, plan = ev.thing(one.thing_id), ev.setup.haul
    leaves = leaves_of(ev, one.thing_id)
    x, _, z = one.centre_m
    if leaves == "inside":
        x, z = _inside(ev, x, z)
    minutes = plan.minutes.get(one.thing_id, typical.MINUTES[thing.fixing.by])
    return RoadThing(one.thing_id, leaves, on_land_kg(thing), x, z, minutes)


def on_land_kg(thing: Thing) -> float:
    """What it weighs before it is filled on the water."""
    fill = thing.fill
    if fill is not None and fill.afloat and fill.empty_kg is not None:
        return fill.empty_kg
    return thing.mass_now_kg


def leaves_of(ev: Evaluated, thing_id: int) -> Leaves:
    """As its owner says, or as is usual: what is bolted to the boat stays, parts that lift out and
    all else come off, and what is held by another thing goes where that goes."""
    said = ev.setup.haul.off.get(thing_id)
    if said is not None:
        return said
    holder, thing = ev.rigged.placing.holder(thing_id), ev.thing(thing_id)
    bolted = thing.fixing.by in ("track bolt", "plate")
    if thing.long or thing.part in ("seat", "drive", "paddle") or not (bolted or holder):
        return "off"
    return "stays" if holder is None else leaves_of(ev, holder)


def _inside(ev: Evaluated, x: float, z: float) -> Place:
    """Under the nearest hatch, on the floor; where there is none, it stays where it is."""
    hatches = [one for one in ev.setup.boat.fittings if isinstance(one, Hatch)]
    if not hatches:
        return x, z
    at = min(hatches, key=lambda one: abs(one.x_m - x)).x_m
    return at, ev.rigged.floating.hull.keel_at_m(at) + 0.1


def hold_list(ev: Evaluated) -> list[Hold]:
    """Handles of the boat and gear to lift it by, aft to fore."""
    own = [
        Hold(one.name, None, one.x_m, one.y_m, one.z_m)
        for one in ev.setup.boat.fittings
        if isinstance(one, Handle)
    ]
    gear = [
        Hold(ev.name(one.thing_id), one.thing_id, *one.centre_m)
        for one in ev.rigged.stowed
        if ev.thing(one.thing_id).grip is not None and not one.stand.on_body
    ]
    return sorted([*own, *gear], key=lambda hold: hold.x_m)


def ends(ev: Evaluated) -> tuple[Hold, Hold]:
    """What the stern is lifted by, and the bow: the outermost hold of each half near the middle
    line, or the end of the hull itself."""
    hull = ev.rigged.floating.hull
    middle = (hull.x_aft_m + hull.x_fwd_m) / 2
    near = [one for one in ev.once(hold_list) if abs(one.y_m) <= _SIDE_M]
    aft = [one for one in near if one.x_m < middle]
    fore = [one for one in near if one.x_m > middle]
    return aft[0] if aft else _bare(ev, hull.x_aft_m), fore[-1] if fore else _bare(ev, hull.x_fwd_m)


def _bare(ev: Evaluated, x_m: float) -> Hold:
    return Hold(None, None, x_m, 0.0, ev.rigged.floating.hull.gunwale_m(x_m)[1])


def side_holds(ev: Evaluated) -> list[Hold]:
    """Those to carry it at one's side by."""
    return [one for one in ev.once(hold_list) if abs(one.y_m) > _SIDE_M]


@dataclass(frozen=True)
class Under:
    """A thing that stands out under the hull: from where to where, and how low."""

    thing_id: int
    x_m: Place
    z_m: float
    comes_off: bool


def fins(ev: Evaluated) -> list[Under]:
    """What hangs under the hull below a drive that is in its well and not lifted: on a cart it goes
    over the ground; on the road and at the ramp it is folded away."""
    lifted, told = ev.setup.glide.up, []
    for one in ev.rigged.stowed:
        if ev.thing(one.thing_id).part == "drive" and not lifted.get(one.thing_id, False):
            x = one.centre_m[0]
            half = FINS_LONG_M / 2
            low = ev.rigged.floating.hull.keel_at_m(x) - FINS_DEEP_M
            told.append(Under(one.thing_id, (x - half, x + half), low, True))
    return told


def under(ev: Evaluated) -> list[Under]:
    """What stands out under the keel."""
    hull, stowed = ev.rigged.floating.hull, ev.rigged.stowed
    low = np.array([one.stand.base_z_m for one in stowed])
    ends_m = np.array([(one.aft_m, one.fwd_m) for one in stowed]).reshape(-1, 2)
    out = low < np.interp(ends_m, hull.x_m, hull.keel_z_m).min(axis=1) - _UNDER_M
    told = []
    for n in np.flatnonzero(out).tolist():
        one = stowed[n]
        if not (one.stand.on_body or ev.thing(one.thing_id).long):
            off = leaves_of(ev, one.thing_id) != "stays"
            told.append(Under(one.thing_id, (one.aft_m, one.fwd_m), one.stand.base_z_m, off))
    return told
