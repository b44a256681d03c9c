"""How each thing is come by: the zone, what the boat does meanwhile, what must be done first."""

from dataclasses import dataclass
from functools import lru_cache
from math import isfinite
from typing import NamedTuple

import numpy as np

from neat_hull.model.base import Point
from neat_hull.model.boat import Hatch
from neat_hull.model.place import OnFitting, OnThing
from neat_hull.model.reach import Aboard
from neat_hull.physics.arrays import Array
from neat_hull.physics.body.reach import Reach, Zone
from neat_hull.physics.water.hydrostatics import RightingCurve
from neat_hull.rig import aboard as aboard_rows
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.fits import slide_m
from neat_hull.rig.reaching import reach_of
from neat_hull.rig.rigging import Rigged
from neat_hull.rig.settling import at_rest
from neat_hull.subjects.fit.figures import misfits
from neat_hull.subjects.room.figures import hatch_of, too_near

_FINE_RAD = np.radians(0.1)  # the curve is read in steps this fine
_OPENS = {"lid": "open the lid of", "zip": "unzip", "roll top": "unroll", "open": ""}
_LEANS = (Zone.LEAN, Zone.TWIST)


@dataclass(frozen=True)
class Grip:
    """Where a hand must come to for a thing, whether through a hatch, and the way there."""

    at_m: Point
    through_hatch: bool
    way: Reach
    worn: bool

    @property
    def zone(self) -> Zone:
        """A hatch that the seat does not come to is not opened afloat; what is worn is in hand."""
        if self.worn:
            return Zone.HAND
        away = self.through_hatch and self.way.zone is Zone.LEAVE
        return Zone.ASHORE if away else self.way.zone

    @property
    def leans(self) -> bool:
        """Whether the trunk has to move for it."""
        return self.way.zone in _LEANS and not self.worn


class Lean(NamedTuple):
    """The boat while somebody leans: heel (starboard down), share of its margin, freeboard left.

    None where the boat would go over.
    """

    heels_deg: float | None = None
    margin_used: float | None = None
    freeboard_m: float | None = None


_NO_LEAN = Lean()


def grips(ev: Evaluated) -> dict[int, Grip]:
    """The way to each thing aboard, by id."""
    before = ev.before
    kept = {}
    if before is not None and before.setup.angler == ev.setup.angler:
        known, moved = before.once(grips), ev.moved
        kept = {i: known[i] for i in ev.rigged.by_id if i not in moved}
    new = [i for i in ev.rigged.by_id if i not in kept]
    openings = [_opening(ev.rigged, i) for i in new]
    ways = reach_of(ev.rigged, np.array([at for at, _ in openings]).reshape(-1, 3))
    for thing_id, (at, hatch), way in zip(new, openings, ways, strict=True):
        kept[thing_id] = Grip(at, hatch, way, ev.rigged.by_id[thing_id].stand.on_body)
    return kept


def leans(ev: Evaluated) -> dict[int, Lean]:
    """What the boat does on the way to each thing that somebody has to lean for, by id."""
    rest = at_rest(ev)
    asked = {i: grip for i, grip in ev.once(grips).items() if grip.leans}
    if rest is None or not asked:
        return dict.fromkeys(asked, _NO_LEAN)
    shifts = np.array([grip.way.shift_m for grip in asked.values()])
    rows = zip(*(column.tolist() for column in _leaned(ev.rigged, rest.curve, shifts)), strict=True)
    return {
        i: Lean(
            heel if isfinite(heel) else None,
            margin if isfinite(margin) else None,
            over if isfinite(heel) else None,
        )
        for i, (heel, margin, over) in zip(asked, rows, strict=True)
    }


def aboard(ev: Evaluated) -> list[Aboard]:
    """Things aboard, bow to stern, each followed by what it holds, with how each is come by."""
    over_lids, kept = ev.once(_over_lids), _kept(ev)
    return [
        kept[i] if i in kept else _row(ev, row, over_lids)
        for i, row in ev.once(aboard_rows.rows).items()
    ]


def _over_lids(ev: Evaluated) -> dict[str, list[str]]:
    """What stands in the way of each hatch's lid, by name."""
    over: dict[str, list[str]] = {}
    for clash in ev.once(too_near):
        hatch = hatch_of(clash)
        if hatch is not None:
            over.setdefault(hatch, []).append(ev.thing(clash.thing_id).name)
    return over


def _kept(ev: Evaluated) -> dict[int, Aboard]:
    """Rows that stay as they were before, but for how far the boat heels on the way."""
    before = ev.before
    if before is None or before.setup.angler != ev.setup.angler:
        return {}
    known = {one.thing_id: one for one in before.once(aboard)}
    leaning, odd, placing = ev.once(leans), ev.once(misfits), ev.rigged.placing
    same_lids = before.once(_over_lids) == ev.once(_over_lids)
    return {
        i: _leaning(known[i], leaning.get(i, _NO_LEAN))
        for i in known.keys() & placing.same
        if known[i].misfit == odd.get(i) and (same_lids or not placing.in_hatch(i))
    }


def _leaning(row: Aboard, lean: Lean) -> Aboard:
    return (
        row
        if lean == (row.heels_deg, row.margin_used, row.freeboard_m)
        else row.model_copy(update=lean._asdict())
    )


def _row(ev: Evaluated, row: aboard_rows.Row, over_lids: dict[str, list[str]]) -> Aboard:
    rigged, placing, thing_id = ev.rigged, ev.rigged.placing, row.thing_id
    stowed, thing, grip = rigged.by_id[thing_id], ev.thing(thing_id), ev.once(grips)[thing_id]
    stand, way, frame = stowed.stand, grip.way, placing.frame_of(thing_id)
    lean = ev.once(leans).get(thing_id, _NO_LEAN)
    return Aboard(
        thing_id=thing_id,
        where=ev.where_is(thing_id),
        x_m=stand.x_m,
        y_m=stand.y_m,
        base_z_m=stand.base_z_m,
        turn_deg=stand.turn_deg,
        tilt_deg=stand.tilt_deg,
        rests=ev.setup.places[thing_id].z_m is None,
        depth=row.depth,
        holder_id=placing.holder(thing_id),
        carries_kg=row.carries_kg,
        out_first=placing.out_first(thing_id),
        misfit=ev.once(misfits).get(thing_id),
        centre=stowed.centre_m,
        tip=stowed.tip_m,
        reel=stand.at(thing.reel_at_m) if thing.has_reel else None,
        reel_at_m=thing.reel_at_m if thing.has_reel else None,
        frame=(frame.x_m, frame.y_m, frame.turn_deg),
        slide_m=slide_m(placing, thing_id),
        zone=grip.zone.value,
        lean_deg=float(np.degrees(way.lean_rad)) if grip.leans else None,
        pitch_deg=float(np.degrees(way.pitch_rad)) if grip.leans else None,
        twist_deg=float(np.degrees(way.twist_rad)) if grip.leans else None,
        short_m=0.0 if grip.worn else way.short_m,
        heels_deg=lean.heels_deg,
        margin_used=lean.margin_used,
        freeboard_m=lean.freeboard_m,
        steps=[] if grip.worn else _steps(rigged, thing_id, over_lids),
    )


def _opening(rigged: Rigged, thing_id: int) -> tuple[Point, bool]:
    """The point a hand must come to: the thing, or the mouth it is taken out through."""
    setup, placing = rigged.setup, rigged.placing
    grip = rigged.by_id[thing_id].grip_m
    while True:
        on = setup.places[thing_id].on
        if isinstance(on, OnFitting) and on.where == "in":
            fitting = placing.fittings.get(on.name)
            if isinstance(fitting, Hatch):
                return (fitting.x_m, fitting.y_m, fitting.z_m), True
            return grip, False
        holder = placing.holder(thing_id)
        if holder is None or not isinstance(on, OnThing):
            return grip, False
        box, rod = setup.things[holder], setup.things[thing_id].long
        if on.where == "in" and box.holder is None and not (box.long or rod):
            stand = placing.stand(holder)
            grip = (stand.x_m, stand.y_m, stand.base_z_m + box.height_m)
        thing_id = holder


def _steps(rigged: Rigged, thing_id: int, over_lids: dict[str, list[str]]) -> list[str]:
    """What must be done first, in order: hatches, lids and what lies on or over it."""
    setup, placing = rigged.setup, rigged.placing
    steps: list[str] = []
    for at in placing.chain(thing_id):
        on, holder = setup.places[at].on, placing.holder(at)
        if isinstance(on, OnFitting) and on.where == "in":
            if isinstance(placing.fittings.get(on.name), Hatch):
                aside = [f"move {what} aside" for what in over_lids.get(on.name, [])]
                steps = [*aside, f"open {on.name}", *steps]
        elif isinstance(on, OnThing) and on.where == "in" and holder is not None:
            first = [f"take out {setup.things[i].name}" for i in placing.out_first(at)]
            steps = [*_to_open(rigged, holder), *first, *steps]
    return steps


def _to_open(rigged: Rigged, box_id: int) -> list[str]:
    """Take off what stands on it, then open it; an open top needs neither lid nor zip."""
    setup = rigged.setup
    box = setup.things[box_id]
    if box.holder is not None:
        return []
    off = [
        f"take off {setup.things[i].name}"
        for i in rigged.placing.contents(box_id)
        if isinstance(on := setup.places[i].on, OnThing) and on.where == "on"
    ]
    return off + ([f"{_OPENS[box.opens]} {box.name}"] if _OPENS[box.opens] else [])


@lru_cache(maxsize=4)
def _fine(last_rad: float) -> tuple[Array, Array, Array]:
    """The heels a lean is looked for at, with their sines and cosines."""
    fine = np.arange(0.0, last_rad + _FINE_RAD, _FINE_RAD)
    return fine, np.sin(fine), np.cos(fine)


def _leaned(rigged: Rigged, curve: RightingCurve, shift_m: Array) -> tuple[Array, Array, Array]:
    """Heel in degrees, share of the margin and freeboard (n,) with the body moved by shift_m.

    Read off the curve of the boat with its weights on the centreline: the moved body is a lever
    y·cos φ against it, and what it is raised by takes z·sin φ from it. NaN where it goes over.
    """
    nothing = np.full(len(shift_m), np.nan)
    fine, sin, cos = _fine(float(curve.heel_rad[-1]))
    sunk = ~np.isfinite(curve.gz_m)
    if sunk[:2].any():
        return nothing, nothing, nothing
    # The setup's own list is in its curve: off it comes, for both sides are asked.
    own_y = float(rigged.loads.centre_m[1])
    upright = np.where(sunk, -1.0, curve.gz_m - own_y * np.cos(curve.heel_rad))
    gz = np.interp(fine, curve.heel_rad, upright)
    edge = np.interp(fine, curve.heel_rad, np.where(sunk, np.nan, curve.edge_over_m))
    share = rigged.body.mass_kg / rigged.loads.total_kg
    aside = own_y + share * shift_m[:, 1]
    lever = np.column_stack((np.abs(aside), share * shift_m[:, 2])) @ np.stack((cos, sin))
    holds = gz >= lever
    first = np.where(holds.any(axis=1), holds.argmax(axis=1), -1)
    heel = np.where(first >= 0, np.degrees(fine[first]) * -np.sign(aside), np.nan)
    most = float(gz.max())
    margin = np.abs(aside) / most if most > 0 else nothing
    return heel, margin, np.where(first >= 0, edge[first], np.nan)
