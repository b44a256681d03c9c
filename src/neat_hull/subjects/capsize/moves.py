"""What could be tried against a capsize: things elsewhere, shorter lines, foam, a second plug."""

from collections.abc import Iterable, Iterator, Sequence
from math import inf

import numpy as np

from neat_hull.model.capsize_case import CaseThing, Zone
from neat_hull.model.findings import Finding
from neat_hull.model.safety import Flotation, Leash
from neat_hull.model.said import Said
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.limits import RANK
from neat_hull.rig.subject import Tries, Work, named_in
from neat_hull.subjects.capsize import typical
from neat_hull.subjects.capsize.figures import (
    as_fated,
    capsize,
    in_zone,
    lies_full,
    lost,
    wanted_kg,
)
from neat_hull.subjects.capsize.flooding import flooded
from neat_hull.subjects.capsize.schools import tied
from neat_hull.subjects.capsize.setting import flooded_of, foam_of, leash_of, upset
from neat_hull.subjects.capsize.tangles import path_m
from neat_hull.subjects.capsize.upset import Upset

_NO_MOVE = ("sinks-when-full", "lies-badly-when-full", "no-spare-plug", "no-knife-in-reach")
_DEAREST = 6  # of what would be lost, the things that are tried elsewhere
_CLEAR_M, _LEAST_M = 0.03, 0.15  # a line that ends so far off; no shorter ones are of use
_BLOCK_M = (0.30, 0.15)  # across and up: what goes in by a hatch
_LONGEST_M = 1.2
# Foam at each side: along, across and up, the least first; how far off it is tried, of the length.
_SIDES_M = ((0.6, 0.10, 0.15), (1.0, 0.10, 0.15), (1.0, 0.15, 0.20), (1.6, 0.15, 0.20))
_BESIDE_SHARE = 0.1
_OUT_SHARE = 0.85  # of the half breadth: the hull is rounder below


def tries(ev: Evaluated, finding: Finding) -> Tries:
    """What is named, or the dearest of what is lost; lines, foam and plugs are no moves."""
    if finding.code in _NO_MOVE:
        return Tries(named_in(finding))
    dearest = sorted(ev.once(lost), key=lambda i: -(ev.thing(i).price or 0.0))[:_DEAREST]
    return Tries(named_in(finding) or tuple(dearest))


def works(ev: Evaluated, finding: Finding) -> Iterable[Work]:
    """What could be changed of the safety plan."""
    legs, *turning = ev.once(upset).zones
    if finding.code == "lines-about-the-legs":
        yield from _shorter(ev, [legs])
    elif finding.code == "line-to-the-propeller":
        yield from _shorter(ev, turning, finding.thing_id)
    elif finding.code == "sinks-when-full":
        yield from _foam(ev)
    elif finding.code == "lies-badly-when-full":
        yield from _side_foam(ev)
    elif finding.code == "no-spare-plug" and ev.setup.safety.plug is not None:
        plug = ev.setup.safety.plug.model_copy(update={"spare": True})
        yield Work(
            Said.of("Take a second plug along"),
            {"safety": ev.setup.safety.model_copy(update={"plug": plug})},
            {"safety": {"plug": {"spare": True}}},
        )


def _shorter(ev: Evaluated, zones: list[Zone], alone: int | None = None) -> Iterable[Work]:
    """Each line that comes there, so short that it does not; then all of them."""
    of, plan = ev.once(upset), ev.setup.safety
    inside = {name for zone in zones for name in in_zone(ev, zone)}
    short: dict[int, float] = {}
    for name, start, _ in tied(of.things):
        if name in inside and alone in (None, int(name)):
            way = min(path_m(of.hull, start, zone) for zone in zones) - _CLEAR_M
            if way >= _LEAST_M:
                short[int(name)] = round(way, 2)
    groups = [[i] for i in short] + ([list(short)] if len(short) > 1 else [])
    for group in groups:
        cut = {i: leash_of(ev, i).model_copy(update={"length_m": short[i]}) for i in group}
        words = (
            Said.of(f"Shorten the line of {ev.name(group[0])} to {{}}", length=short[group[0]])
            if len(group) == 1
            else Said.of("Shorten {} lines, so that none gets there", count=len(group))
        )
        leashes: dict[int, Leash] = {**plan.leashes, **cut}
        yield Work(
            words,
            {"safety": plan.model_copy(update={"leashes": leashes})},
            {"safety": {"leashes": {str(i): one.model_dump(mode="json")
                                    for i, one in cut.items()}}},
        )  # fmt: skip


def _foam(ev: Evaluated) -> Iterable[Work]:
    """As much as is missing, in the bow; where that is longer than goes in there, at both ends."""
    found, hull = ev.once(capsize), ev.rigged.floating.hull
    missing = wanted_kg(ev, found.staying_kg) - found.reserve_kg
    wide, high = _BLOCK_M
    lifts = ev.rigged.water_density_kg_m3 * typical.LIFTS["foam"] * wide * high
    long = missing / lifts
    ends = 1 if long <= _LONGEST_M else 2
    if long > 2 * _LONGEST_M:
        return
    each, tenth = long / ends + 0.01, hull.length_m / 10
    bow, stern = hull.x_fwd_m - tenth, hull.x_aft_m + tenth
    blocks = [(bow - each, bow), (stern, stern + each)][:ends]
    yield _with_foam(
        ev,
        "Put {} of foam in the bow" if ends == 1 else "Put {} of foam in bow and stern",
        [_block(ev, aft, fwd, 0.0, wide, high) for aft, fwd in blocks],
    )


def _side_foam(ev: Evaluated) -> Iterable[Work]:
    """The least of it that has the boat lie well; else what does most."""
    of, asked = ev.once(upset), flooded_of(ev)
    staying = of.staying(ev.once(as_fated))
    best: tuple[tuple[int, float], list[Flotation]] | None = None
    for sides in _both_sides(ev, of, staying):
        foam = [*asked.foam, *(foam_of(n, one) for n, one in enumerate(sides))]
        found = flooded(of, asked.model_copy(update={"foam": foam}), staying, [])
        verdict = lies_full(ev, found)[0]
        lies = RANK[verdict], inf if found.freeboard_m is None else -found.freeboard_m
        if best is None or lies < best[0]:
            best = lies, sides
        if verdict == "fine":
            break
    if best is not None:
        yield _with_foam(ev, "Put {} of foam along the sides", best[1])


def _both_sides(
    ev: Evaluated, of: Upset, staying: Sequence[CaseThing]
) -> Iterator[list[Flotation]]:
    """As much along each side, the least first: where the boat is heavy with you holding on, and a
    little aft and forward of it."""
    hull, held = of.hull, flooded_of(ev).hanging
    pulls = [] if held is None else [(held.pull_kg, held.x_m, held.y_m, held.z_m)]
    heavy_x_m = float(of.loads_with(staying, *pulls).centre_m[0])
    for long, wide, high in _SIDES_M:
        for beside in (0.0, -_BESIDE_SHARE, _BESIDE_SHARE):
            x = heavy_x_m + beside * hull.length_m
            aft, fwd = max(x - long / 2, hull.x_aft_m), min(x + long / 2, hull.x_fwd_m)
            breadth = float(np.interp([aft, fwd], hull.x_m, hull.half_breadth_m).min())
            y = _OUT_SHARE * breadth - wide / 2
            if y >= wide / 2:  # else there is no room for one on each side
                yield [_block(ev, aft, fwd, side * y, wide, high) for side in (1.0, -1.0)]


def _block(
    ev: Evaluated, aft_x_m: float, fwd_x_m: float, y_m: float, wide_m: float, high_m: float
) -> Flotation:
    """Of foam, low in the hull."""
    low = float(ev.rigged.floating.hull.keel_z_m.min()) + 0.05
    return Flotation(
        aft_x_m=round(aft_x_m, 2), fwd_x_m=round(fwd_x_m, 2), y_m=round(y_m, 2), width_m=wide_m,
        height_m=high_m, bottom_z_m=round(low, 2),
    )  # fmt: skip


def _with_foam(ev: Evaluated, words: str, blocks: list[Flotation]) -> Work:
    """More foam than there is; {} in the words is how much."""
    plan = ev.setup.safety
    flotation = [*(plan.flotation or []), *blocks]
    volume = sum((one.fwd_x_m - one.aft_x_m) * one.width_m * one.height_m for one in blocks)
    return Work(
        Said.of(words, volume=volume),
        {"safety": plan.model_copy(update={"flotation": flotation})},
        {"safety": {"flotation": [one.model_dump(mode="json") for one in flotation]}},
    )
