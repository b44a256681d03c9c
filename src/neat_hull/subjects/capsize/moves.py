"""What could be tried against a capsize: things elsewhere, shorter lines, foam, a second plug."""

from collections.abc import Iterable

from neat_hull.model.capsize_case import Zone
from neat_hull.model.findings import Finding
from neat_hull.model.safety import Flotation, Leash
from neat_hull.model.said import Said
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.subject import Tries, Work, named_in
from neat_hull.subjects.capsize import typical
from neat_hull.subjects.capsize.figures import capsize, in_zone, lost, wanted_kg
from neat_hull.subjects.capsize.schools import tied
from neat_hull.subjects.capsize.setting import leash_of, upset
from neat_hull.subjects.capsize.tangles import path_m

_DEAREST = 6  # of what would be lost, the things that are tried elsewhere
_CLEAR_M, _LEAST_M = 0.03, 0.15  # a line that ends so far off; no shorter ones are of use
_BLOCK_M = (0.30, 0.15)  # across and up: what goes in by a hatch
_LONGEST_M = 1.2


def tries(ev: Evaluated, finding: Finding) -> Tries:
    """What is named, or the dearest of what is lost; lines, foam and plugs are no moves."""
    if finding.code in ("sinks-when-full", "no-spare-plug", "no-knife-in-reach"):
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
    found, plan, hull = ev.once(capsize), ev.setup.safety, ev.rigged.floating.hull
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
    low = float(hull.keel_z_m.min()) + 0.05
    flotation = [
        *(plan.flotation or []),
        *(
            Flotation(
                aft_x_m=round(aft, 2), fwd_x_m=round(fwd, 2), width_m=wide, height_m=high,
                bottom_z_m=round(low, 2),
            )
            for aft, fwd in blocks
        ),
    ]  # fmt: skip
    yield Work(
        Said.of("Put {} of foam in the bow" if ends == 1 else "Put {} of foam in bow and stern",
                volume=ends * each * wide * high),
        {"safety": plan.model_copy(update={"flotation": flotation})},
        {"safety": {"flotation": [one.model_dump(mode="json") for one in flotation]}},
    )  # fmt: skip
