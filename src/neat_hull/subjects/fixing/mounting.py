"""A setup as mounts: what joins each thing to the boat, on which wall, and what pulls at it."""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from math import cos, radians, sin

from neat_hull.model.base import Point
from neat_hull.model.boat import Fitting, Track
from neat_hull.model.fixing import FastenBy, Mount, Region
from neat_hull.model.place import OnFitting, Place
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.fixing.joining import DRILLED, Geometry, geometry_of, play_deg
from neat_hull.subjects.fixing.loading import Loading
from neat_hull.subjects.fixing.pulling import carried, fitting_pulls, pulls_at
from neat_hull.subjects.fixing.walls import region_at

_USUAL: dict[str, FastenBy | None] = {
    "track bolt": "track bolt", "ball": "through bolt", "flush tube": "screw",
    "plate": "through bolt", "strap": "strap", "bungee": None, "hook-and-loop": "tape",
    "loose": None,
}  # fmt: skip


@dataclass(frozen=True, eq=False)
class Fixed:
    """One mount of a setup. thing_id or fitting says of what; typical, that nobody has said how.

    spec is what is kept of it, over which the rest is usual. play_deg is the tilt that slack
    allows before anything bends.
    """

    thing_id: int | None
    fitting: str | None
    name: str
    spec: Mount
    by: FastenBy
    region: Region
    at: Point
    turn_deg: float
    geometry: Geometry
    situations: list[Loading]
    play_deg: float
    screen: bool
    on_track: str | None

    @property
    def key(self) -> str:
        """What it is called in keys; a fitting may be called by a number too."""
        return f"fitting {self.fitting}" if self.thing_id is None else str(self.thing_id)

    @property
    def drills(self) -> bool:
        """Whether it has holes of its own in the hull."""
        return self.by in DRILLED and not self.on_track

    def on_boat(self, spot: tuple[float, float]) -> Point:
        """A place on its base, in boat coordinates."""
        turn = radians(self.turn_deg)
        u, v = spot
        x, y, z = self.at
        return x + u * cos(turn) - v * sin(turn), y + u * sin(turn) + v * cos(turn), z


def fixed(ev: Evaluated) -> list[Fixed]:
    """Every mount of a setup: of things that stand on the boat itself, then of its fittings.

    What stands as it did, with all it carries, is mounted as it was.
    """
    known = _known(ev)
    if known is None:
        things = (_of_thing(ev, i) for i in sorted(ev.setup.places))
        fittings = list(_of_fittings(ev, ev.setup.fixing.fittings))
    else:
        same, by_id = ev.rigged.placing.same, {one.thing_id: one for one in known}
        ids = sorted(ev.setup.places)
        things = (by_id.get(i) if i in same else _of_thing(ev, i) for i in ids)
        fittings = [one for one in known if one.thing_id is None]
    return [*(one for one in things if one is not None), *fittings]


def _known(ev: Evaluated) -> list[Fixed] | None:
    """Mounts as they were before, where all else that they hang on is the same."""
    before, now = ev.before, ev.setup
    if before is None:
        return None
    was = before.setup
    pairs = ((was.fixing, now.fixing), (was.boat, now.boat), (was.angler, now.angler),
             (was.seat, now.seat))  # fmt: skip
    return before.once(fixed) if all(a is b or a == b for a, b in pairs) else None


# Of a thing.


def _of_thing(ev: Evaluated, thing_id: int) -> Fixed | None:
    placing, setup = ev.rigged.placing, ev.setup
    if placing.holder(thing_id) is not None or placing.covered(thing_id):
        return None
    thing = ev.thing(thing_id)
    stand = ev.rigged.by_id[thing_id].stand
    if stand.on_body or stand.astray or thing.worn:
        return None
    return _thing_by(ev, thing_id, setup.fixing.mounts.get(thing_id, Mount()))


def _thing_by(ev: Evaluated, thing_id: int, spec: Mount) -> Fixed | None:
    place, thing = ev.setup.places[thing_id], ev.thing(thing_id)
    stand = ev.rigged.by_id[thing_id].stand
    under = ev.rigged.placing.fitting_under(thing_id)
    if spec.by is None and _in_its_own(place, under):
        return None
    by = spec.by or _USUAL[thing.fixing.by]
    track = under.name if isinstance(under, Track) else None
    if spec.by is None and by is not None and track is not None and thing.mounted:
        by = "track bolt"
    if by is None:
        return None
    at = (stand.x_m, stand.y_m, stand.base_z_m)
    region = region_at(ev, at, place)
    turn = stand.turn_deg if spec.turn_deg is None else spec.turn_deg
    return Fixed(
        thing_id=thing_id,
        fitting=None,
        name=ev.name(thing_id),
        spec=spec,
        by=by,
        region=region,
        at=at,
        turn_deg=turn,
        geometry=geometry_of(ev, spec, by, region, thing, under),
        situations=pulls_at(ev, thing_id, spec, at, turn),
        play_deg=play_deg(spec, by, thing),
        screen=_shown(ev, thing_id),
        on_track=track if by == "track bolt" else None,
    )


def refixed(ev: Evaluated, one: Fixed, spec: Mount) -> Fixed:
    """A mount as it would be by another description."""
    if one.thing_id is not None:
        new = _thing_by(ev, one.thing_id, spec)
        assert new is not None, "a described mount is one"
        return new
    specs = {one.fitting or "": spec}
    return next(new for new in _of_fittings(ev, specs) if new.key == one.key)


def _in_its_own(place: Place, under: Fitting | None) -> bool:
    """In a tube, a hatch or a scupper, or on what it was made for: the boat holds it."""
    return isinstance(place.on, OnFitting) and not isinstance(under, Track)


def _shown(ev: Evaluated, thing_id: int) -> bool:
    """Whether it, or what stands on it, is something that one reads."""
    ids = (thing_id, *carried(ev, thing_id))
    return any(ev.thing(i).picture == "screen" for i in ids)


# Of the boat's fittings.


def _of_fittings(ev: Evaluated, specs: Mapping[str, Mount]) -> Iterator[Fixed]:
    for one in ev.setup.boat.fittings:
        spec = specs.get(one.name, Mount())
        pulls = fitting_pulls(ev, one, spec)
        if not pulls:
            continue
        by = spec.by or "through bolt"
        region = region_at(ev, (one.x_m, one.y_m, one.z_m))
        usual = spec.model_copy(update={"count": spec.count or 2})
        yield Fixed(
            thing_id=None,
            fitting=one.name,
            name=one.name,
            spec=spec,
            by=by,
            region=region,
            at=(one.x_m, one.y_m, one.z_m),
            turn_deg=90.0 if spec.turn_deg is None else spec.turn_deg,
            geometry=geometry_of(ev, usual, by, region, None, None),
            situations=pulls,
            play_deg=0.0,
            screen=False,
            on_track=None,
        )
