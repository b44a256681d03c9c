"""Checklists made of a setup: what is packed, rigged, launched with and put away."""

from collections.abc import Callable, Iterable, Iterator, Mapping, Sequence
from typing import get_args

from neat_hull.model.boat import Hatch
from neat_hull.model.checklists import Checklist, ChecklistLine, KeptLine, ListName
from neat_hull.model.log import FLAG_BITS, Log
from neat_hull.model.log_figures import CareRow
from neat_hull.model.said import Said, plain
from neat_hull.model.setup import OnThing
from neat_hull.model.thing import Serves, Thing
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.dates.figures import dates
from neat_hull.subjects.haul.figures import on_land

# What is had on oneself as one pushes off.
_ON_YOU: dict[Serves, str] = {
    "whistle": "on you", "call": "on, charged, on you", "knife": "on you",
}  # fmt: skip
Line = tuple[str, Said, int | None, int]  # key, words, item, depth


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
            key=key, words=words, depth=depth, thing_id=thing, own_id=None, hidden=key in hidden
        )
        for key, words, thing, depth in made
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
            yield f"{verb} {i}", Said.of(words.format(ev.name(i))), i, 0


def _from_bow(ev: Evaluated, things: Iterable[int]) -> list[int]:
    by_id = ev.rigged.by_id
    return sorted(things, key=lambda i: (-round(by_id[i].centre_m[0], 2), ev.name(i)))


def _pack(ev: Evaluated) -> Iterator[Line]:
    """Charges and dates, then all gear: by what it is in, from bow to stern, what is worn last."""
    yield from _of(ev, "charge", "Charge {}", lambda thing: thing.battery)
    yield from _of(
        ev, "charge", "Charge {}",
        lambda thing: "call" in thing.serves or (thing.draw is not None and thing.draw.own_cells),
    )  # fmt: skip
    for row in dates(ev).rows:
        if row.verdict != "fine" and row.aboard and row.days_left is not None:
            called = plain(row.thing or row.dated.kind)
            words = f"{called}: out of date" if row.days_left < 0 else f"{called}: due soon"
            yield f"date {row.dated.dated_id}", Said.of(words), row.dated.thing_id, 0
    placing = ev.rigged.placing
    roots = _from_bow(ev, (i for i in ev.setup.places if placing.holder(i) is None))
    worn = [i for i in roots if ev.rigged.by_id[i].stand.on_body]
    for i in [one for one in roots if one not in worn] + worn:
        yield from _packed(ev, i, 0)


def _packed(ev: Evaluated, thing_id: int, depth: int) -> Iterator[Line]:
    hatch = ev.rigged.placing.fitting_under(thing_id) if depth == 0 else None
    where = hatch.name if isinstance(hatch, Hatch) else ev.where_is(thing_id).lower()
    words = ev.name(thing_id) if depth else f"{ev.name(thing_id)}: {plain(where)}"
    yield f"pack {thing_id}", Said.of(words), thing_id, depth
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
            yield f"rig {i}", Said.of(f"{ev.name(i)} into {ev.name(on.thing)}"), i, 0
        elif thing.mounted or thing.part in ("seat", "drive", "rudder"):
            yield f"rig {i}", Said.of(f"{ev.name(i)} on, and tight"), i, 0
    yield from _of(ev, "connect", "Connect {}; all it feeds works", lambda thing: thing.battery)
    leashed = [
        i for i in ev.setup.places if ev.thing(i).fixing.leashed or i in ev.setup.safety.leashes
    ]
    for i in _from_bow(ev, leashed):
        yield f"leash {i}", Said.of(f"Leash on {ev.name(i)}"), i, 0


def _launch(ev: Evaluated) -> Iterator[Line]:
    """What has to be so before one pushes off."""
    plug = ev.setup.safety.plug
    yield (
        "plug",
        Said.of("Drain plug in, hand-tight" if plug else "Drain plug in, if there is one"),
        None,
        0,
    )
    if plug is not None and plug.spare:
        yield "spare plug", Said.of("Spare plug aboard"), None, 0
    hatches = [one.name for one in ev.setup.boat.fittings if isinstance(one, Hatch)]
    if hatches:
        yield "hatches", Said.of(f"Hatches shut: {plain(', '.join(hatches))}"), None, 0
    vests = list(_of(ev, "wear", "{}: on, and closed", lambda thing: "PFD" in thing.serves))
    yield from vests or [("wear", Said.of("Life jacket (PFD): on, and closed"), None, 0)]
    for i in _from_bow(ev, ev.setup.places):
        serves, name = ev.thing(i).serves, ev.name(i)
        for service, words in _ON_YOU.items():
            if service in serves:
                worn = f"{name}: its {service} is on it"
                yield (
                    f"{service} {i}",
                    Said.of(worn if "PFD" in serves else f"{name}: {words}"),
                    i,
                    0,
                )
    yield from _of(ev, "lamp", "{}: try it", lambda thing: thing.lamp)
    yield from _of(
        ev, "spare", "{}: where you can get at it", lambda thing: "spare paddle" in thing.serves
    )
    yield from _of(ev, "part", "{}: down, and turns", lambda thing: thing.part == "rudder")
    yield from _of(ev, "part", "{}: locked in", lambda thing: thing.part == "drive")
    yield "plan", Said.of("Float plan left with a person"), None, 0
    yield "weather", Said.of("Wind, waves and cold as you planned for; else stay"), None, 0


def _home(ev: Evaluated, log: Log, care: Sequence[CareRow]) -> Iterator[Line]:
    """Rinse, dry, charge, drain; what broke; what is due."""
    yield "told", Said.of("Tell whoever has your float plan that you are back"), None, 0
    salt = ev.setup.water == "salt"
    yield (
        "rinse",
        Said.of("Rinse boat, reels and connectors" if salt else "Rinse off mud and weed"),
        None,
        0,
    )
    yield "drain", Said.of("Drain plug out, hull drained, plug back on its place"), None, 0
    yield from _of(ev, "empty", "Empty and dry {}", lambda thing: thing.sloshes or thing.fill)
    yield from _of(
        ev, "dry", "Open and dry {}",
        lambda thing: thing.container is not None and thing.opens != "open" and thing.fill is None,
    )  # fmt: skip
    yield from _of(ev, "charge", "Charge {}", lambda thing: thing.battery)
    yield from _mended(ev, log)
    for row in care:
        if row.verdict != "fine" and row.what != "rinse":
            called = "" if row.thing_id is None else f"{ev.name(row.thing_id)}: "
            yield f"care {row.uid[:36]}", Said.of(called + plain(row.words)), row.thing_id, 0
    yield "log", Said.of("Write the trip into the log"), None, 0


def _mended(ev: Evaluated, log: Log) -> Iterator[Line]:
    """What broke, or got wet, on its last trip."""
    for i in _from_bow(ev, ev.setup.places):
        last = next(iter(log.item(i).wrong), 0)
        if last & FLAG_BITS["broke"]:
            yield f"mend {i}", Said.of(f"Mend {ev.name(i)}: it broke"), i, 0
        elif last & FLAG_BITS["wet"]:
            yield f"wet {i}", Said.of(f"{ev.name(i)}: look for water in it"), i, 0
