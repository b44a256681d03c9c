"""Checklists made of a setup: what is packed, rigged, launched with and put away."""

from collections.abc import Callable, Iterable, Iterator, Mapping, Sequence
from typing import NamedTuple, get_args

from neat_hull.model.boat import Hatch
from neat_hull.model.checklists import Checklist, ChecklistLine, KeptLine, ListName
from neat_hull.model.log import FLAG_BITS, Log
from neat_hull.model.log_figures import CareRow
from neat_hull.model.place import OnThing
from neat_hull.model.said import Said, plain
from neat_hull.model.thing import Serves, Thing
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.dates.figures import dates
from neat_hull.subjects.haul.figures import on_land

# What is had on oneself as one pushes off.
_ON_YOU: dict[Serves, str] = {
    "whistle": "on you", "call": "on, charged, on you", "knife": "on you",
}  # fmt: skip


class Line(NamedTuple):
    """A line by its key, what it says, what it is about, and how many things that is in."""

    key: str
    words: str
    thing_id: int | None = None
    depth: int = 0


def checklists(
    ev: Evaluated, log: Log, care: Sequence[CareRow], kept: Sequence[KeptLine]
) -> list[Checklist]:
    """All four in the order of the day, own lines last. Needs the day it is."""
    made: Mapping[ListName, Iterable[Line]] = {
        "pack": _pack(ev),
        "rig": _rig(ev),
        "launch": _launch(ev),
        "home": _home(ev, log, care),
    }
    return [
        Checklist(name=name, lines=_lines(name, made[name], kept)) for name in get_args(ListName)
    ]


def _lines(name: ListName, made: Iterable[Line], kept: Sequence[KeptLine]) -> list[ChecklistLine]:
    hidden = {one.line for one in kept if one.list == name and one.line is not None}
    lines = [
        ChecklistLine(
            key=line.key,
            words=Said.of(line.words),
            depth=line.depth,
            thing_id=line.thing_id,
            own_id=None,
            hidden=line.key in hidden,
        )
        for line in made
    ]
    own = [
        ChecklistLine(
            key=f"own {one.line_id}",
            words=Said.of(plain(one.own_text)),
            depth=0,
            thing_id=None,
            own_id=one.line_id,
            hidden=False,
        )
        for one in kept
        if one.list == name and one.own_text is not None
    ]
    return lines + own


def _of(ev: Evaluated, verb: str, words: str, which: Callable[[Thing], object]) -> Iterator[Line]:
    """A line for each item aboard that is such a one, from the bow."""
    for i in _from_bow(ev, ev.setup.places):
        if which(ev.thing(i)):
            yield Line(f"{verb} {i}", words.format(ev.name(i)), i)


def _from_bow(ev: Evaluated, things: Iterable[int]) -> list[int]:
    by_id = ev.rigged.by_id
    return sorted(things, key=lambda i: (-round(by_id[i].centre_m[0], 2), ev.name(i)))


def _charged(thing: Thing) -> bool:
    """Whether it goes by cells that are charged ashore."""
    own = thing.draw is not None and thing.draw.own_cells
    return thing.battery is not None or own or "call" in thing.serves


def _pack(ev: Evaluated) -> Iterator[Line]:
    """Charges and dates, then all gear: by what it is in, from bow to stern, what is worn last."""
    yield from _of(ev, "charge", "Charge {}", _charged)
    for row in dates(ev).rows:
        if row.verdict != "fine" and row.aboard and row.days_left is not None:
            called = plain(row.thing or row.dated.kind)
            words = f"{called}: out of date" if row.days_left < 0 else f"{called}: due soon"
            yield Line(f"date {row.dated.dated_id}", words, row.dated.thing_id)
    placing = ev.rigged.placing
    roots = _from_bow(ev, (i for i in ev.setup.places if placing.holder(i) is None))
    worn = [i for i in roots if ev.rigged.by_id[i].stand.on_body]
    for i in [one for one in roots if one not in worn] + worn:
        yield from _packed(ev, i, 0)


def _packed(ev: Evaluated, thing_id: int, depth: int) -> Iterator[Line]:
    hatch = ev.rigged.placing.fitting_under(thing_id) if depth == 0 else None
    where = hatch.name if isinstance(hatch, Hatch) else ev.where_is(thing_id).lower()
    words = ev.name(thing_id) if depth else f"{ev.name(thing_id)}: {plain(where)}"
    yield Line(f"pack {thing_id}", words, thing_id, depth)
    for one in _from_bow(ev, ev.rigged.placing.contents(thing_id)):
        yield from _packed(ev, one, depth + 1)


def _rig(ev: Evaluated) -> Iterator[Line]:
    """What came off for the road, what is mounted at the water, wires last."""
    off = [one.thing_id for one in ev.once(on_land).off if one.leaves == "off"]
    for i in _from_bow(ev, off):
        thing, on = ev.thing(i), ev.setup.places[i].on
        if thing.battery is not None:
            continue
        if isinstance(on, OnThing) and thing.long:
            yield Line(f"rig {i}", f"{ev.name(i)} into {ev.name(on.thing)}", i)
        elif thing.mounted or thing.part in ("seat", "drive", "rudder"):
            yield Line(f"rig {i}", f"{ev.name(i)} on, and tight", i)
    yield from _of(ev, "connect", "Connect {}; all it feeds works", lambda thing: thing.battery)
    leashed = [
        i for i in ev.setup.places if ev.thing(i).fixing.leashed or i in ev.setup.safety.leashes
    ]
    for i in _from_bow(ev, leashed):
        yield Line(f"leash {i}", f"Leash on {ev.name(i)}", i)


def _launch(ev: Evaluated) -> Iterator[Line]:
    """What has to be so before one pushes off."""
    plug = ev.setup.safety.plug
    yield Line("plug", f"Drain plug in, {'hand-tight' if plug else 'if there is one'}")
    if plug is not None and plug.spare:
        yield Line("spare plug", "Spare plug aboard")
    hatches = [one.name for one in ev.setup.boat.fittings if isinstance(one, Hatch)]
    if hatches:
        yield Line("hatches", f"Hatches shut: {plain(', '.join(hatches))}")
    vests = list(_of(ev, "wear", "{}: on, and closed", lambda thing: "PFD" in thing.serves))
    yield from vests or [Line("wear", "Life jacket (PFD): on, and closed")]
    for i in _from_bow(ev, ev.setup.places):
        serves, name = ev.thing(i).serves, ev.name(i)
        for service, words in _ON_YOU.items():
            if service in serves:
                worn = f"{name}: its {service} is on it"
                told = worn if "PFD" in serves else f"{name}: {words}"
                yield Line(f"{service} {i}", told, i)
    yield from _of(ev, "lamp", "{}: try it", lambda thing: thing.lamp)
    yield from _of(
        ev, "spare", "{}: where you can get at it", lambda thing: "spare paddle" in thing.serves
    )
    yield from _of(ev, "part", "{}: down, and turns", lambda thing: thing.part == "rudder")
    yield from _of(ev, "part", "{}: locked in", lambda thing: thing.part == "drive")
    yield Line("plan", "Float plan left with a person")
    yield Line("weather", "Wind, waves and cold as planned; if not, stay ashore")


def _home(ev: Evaluated, log: Log, care: Sequence[CareRow]) -> Iterator[Line]:
    """Rinse, dry, charge, drain; what broke; what is due."""
    yield Line("told", "Tell whoever has your float plan that you are back")
    salt = ev.setup.water == "salt"
    yield Line("rinse", "Rinse boat, reels and connectors" if salt else "Rinse off mud and weed")
    yield Line("drain", "Drain plug out, hull drained, plug back on its place")
    yield from _of(ev, "empty", "Empty and dry {}", lambda thing: thing.sloshes or thing.fill)
    yield from _of(
        ev, "dry", "Open and dry {}",
        lambda thing: thing.container is not None and thing.opens != "open" and thing.fill is None,
    )  # fmt: skip
    yield from _of(ev, "charge", "Charge {}", _charged)
    yield from _mended(ev, log)
    for row in care:
        if row.verdict != "fine" and row.what != "rinse":
            called = "" if row.thing_id is None else f"{ev.name(row.thing_id)}: "
            yield Line(f"care {row.uid[:36]}", called + plain(row.words), row.thing_id)
    yield Line("log", "Log the trip")


def _mended(ev: Evaluated, log: Log) -> Iterator[Line]:
    """What broke, or got wet, on its last trip."""
    for i in _from_bow(ev, ev.setup.places):
        last = next(iter(log.item(i).wrong), 0)
        if last & FLAG_BITS["broke"]:
            yield Line(f"mend {i}", f"Mend {ev.name(i)}: it broke", i)
        elif last & FLAG_BITS["wet"]:
            yield Line(f"wet {i}", f"{ev.name(i)}: look for water in it", i)
