"""What is live about a capsize: what is lost, what tangles, what carries the boat when full."""

from neat_hull.model.capsize_case import Zone
from neat_hull.model.capsize_figures import CapsizeFigures
from neat_hull.model.judging import LimitKey
from neat_hull.model.said import Verdict
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.limits import RANK
from neat_hull.subjects.capsize import typical
from neat_hull.subjects.capsize.climbing import cutters
from neat_hull.subjects.capsize.fates import Fates
from neat_hull.subjects.capsize.flooding import FloodedRest, flooded, reserve_kg
from neat_hull.subjects.capsize.schools import School, school, tied
from neat_hull.subjects.capsize.setting import STOWED, TROLLEY, flooded_of, hands, upset, vital
from neat_hull.subjects.capsize.tangles import reaches, run_reaches


def as_fated(ev: Evaluated) -> Fates:
    """What becomes of each thing, by its id in text."""
    return ev.once(upset).fates()


def as_it_is(ev: Evaluated) -> School:
    """What it loses, and what may tangle, tied as it is."""
    of = ev.once(upset)
    return school(of, of.things, ev.once(as_fated))


def stays(ev: Evaluated, thing_id: int) -> bool:
    """Whether a thing stays with the boat, or with you."""
    return ev.once(as_fated).of[str(thing_id)] in ("stays", "with you")


def lost(ev: Evaluated) -> list[int]:
    """Things that go to the bottom."""
    return ids(ev.once(as_it_is).lost)


def ids(names: list[str]) -> list[int]:
    """In the order of the ids, which that of their texts is not."""
    return sorted(int(one) for one in names)


def line_id(name: str) -> int | None:
    """The thing that a line belongs to; None of the trolley's rope."""
    return None if name == TROLLEY else int(name.removeprefix(STOWED))


def in_zone(ev: Evaluated, zone: Zone) -> list[str]:
    """Names of lines that get to a zone."""
    of = ev.once(upset)
    found = [
        name for name, start, length in tied(of.things) if reaches(of.hull, start, length, zone)
    ]
    return found + [run.name for run in of.runs if run_reaches(run, zone)]


def capsize(ev: Evaluated) -> CapsizeFigures:
    """All of it."""
    of, found, as_is = ev.once(upset), ev.once(as_fated), ev.once(as_it_is)
    legs, *turning = of.zones
    gone, adrift = ids(as_is.lost), ids(as_is.adrift)
    port, starboard = hands(ev)
    staying = of.staying(found)
    at_propeller = {line_id(name) for zone in turning for name in in_zone(ev, zone)}
    return CapsizeFigures.model_construct(
        lost=gone,
        adrift=adrift,
        vital_gone=[i for i in sorted(gone + adrift) if vital(ev.thing(i))],
        lost_price=as_is.lost_price,
        adrift_price=as_is.adrift_price,
        lines=as_is.lines,
        in_legs=[line_id(name) for name in in_zone(ev, legs)],
        crossings=as_is.crossings,
        at_propeller=sorted(i for i in at_propeller if i is not None),
        parting=ids([name for name, line in found.lines.items() if line.parts]),
        knife_port=ids(cutters(of, port)),
        knife_starboard=ids(cutters(of, starboard)),
        reserve_kg=reserve_kg(of, flooded_of(ev), staying),
        staying_kg=of.loads_with(staying).total_kg,
    )


def wanted_kg(ev: Evaluated, staying_kg: float) -> float:
    """What a full boat should have left to lift it."""
    return ev.table["flooded"].fine + typical.FLOATS_WELL_SHARE * staying_kg


def full_boat(ev: Evaluated) -> FloodedRest:
    """Full of water, with what stays aboard, and you holding on to an end. It hangs on what floats
    the boat and on what stays: as things are moved it is mostly the one from before."""
    of, asked = ev.once(upset), flooded_of(ev)
    staying = of.staying(ev.once(as_fated))
    loads = of.loads_with(staying)
    hangs_on = (of.floating, of.density_kg_m3, asked, staying, loads.mass_kg.tolist(),
                loads.centre_m.tolist())  # fmt: skip
    return ev.again("full boat", hangs_on, lambda: flooded(of, asked, staying, []))


def lies_full(ev: Evaluated, found: FloodedRest) -> tuple[Verdict, str, LimitKey]:
    """How good it is to bail and to climb back to, of a full boat that floats: the worst that can
    be said of it, and the row of the table that says so."""
    if found.freeboard_m is None or found.gm_m is None:
        return "fix", "it turns over", "full gm"
    side = ev.table["full side"].verdict(found.freeboard_m)
    rolls = ev.table["full gm"].verdict(found.gm_m)
    if RANK[rolls] > RANK[side]:
        return rolls, _ROLLS[rolls], "full gm"
    return side, _SIDE[side], "full side"


_LEVEL = "it floats level"
_UNDER = "its side is under water: it cannot be emptied"
_OVER = "it will not stay upright"
_SIDE: dict[Verdict, str] = {
    "fine": _LEVEL,
    "watch": "its side is awash: what you bail runs back in",
    "fix": _UNDER,
    "stop": _UNDER,
}
_ROLLS: dict[Verdict, str] = {
    "fine": _LEVEL,
    "watch": "it rolls from under you",
    "fix": _OVER,
    "stop": _OVER,
}
