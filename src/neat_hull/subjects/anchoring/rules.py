"""Where an anchor's line is made fast, and what it does there."""

from collections.abc import Iterable

import numpy as np

from neat_hull.model.boat import Cleat
from neat_hull.model.cautions import ANCHOR
from neat_hull.model.said import Said
from neat_hull.rig import aboard
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.held_at import held_end
from neat_hull.rig.reaching import reach_of
from neat_hull.rig.rules import Found, against, amount, past, rule
from neat_hull.subjects.demands.figures import readings

_MIDDLE_SHARE = 0.22  # of the length, either way from the middle: there a line pulls it over
_BEAM_SHARE = 0.6  # of the half-breadth
_REACHED = ("hand", "lean")


def _anchors(ev: Evaluated) -> list[int]:
    """Anchors that are aboard, poles among them, bow to stern: all of them are tied to the boat."""
    return [i for i in ev.once(aboard.rows) if ev.thing(i).anchor is not None]


def _led(ev: Evaluated) -> bool:
    """Whether somebody has said where the line leaves the boat, cleat or not."""
    return ev.setup.hold.at_x_m is not None or ev.setup.hold.trolley is not None


def _cleats(ev: Evaluated) -> list[Cleat]:
    return [f for f in ev.setup.boat.fittings if isinstance(f, Cleat)]


@rule("cleat-unknown", topic="anchor")
def cleat_unknown(ev: Evaluated) -> Iterable[Found]:
    """An anchor is aboard, and nobody said where its line is made fast."""
    anchors = ev.once(_anchors)
    if anchors and not _cleats(ev) and not _led(ev):
        yield Found(
            "watch",
            Said.of("Anchor line: where it is tied off is not known"),
            "Whether you can let it go, and how it pulls on the boat, depends on that one place.",
            Said.of("Measure the cleat or trolley, and add it on the Boat screen"),
            badness=1.0,
            thing_id=anchors[0],
            caution=ANCHOR,
        )


@rule("cleat-at-the-beam", topic="anchor")
def cleat_at_the_beam(ev: Evaluated) -> Iterable[Found]:
    """A cleat amidships at the side, with an anchor aboard. Usual practice: never the side."""
    hull = ev.rigged.floating.hull
    if not ev.once(_anchors):
        return
    for cleat in _cleats(ev):
        off = abs(cleat.x_m - hull.x_aft_m - hull.length_m / 2)
        half = float(np.interp(cleat.x_m, hull.x_m, hull.half_breadth_m))
        if off < _MIDDLE_SHARE * hull.length_m and abs(cleat.y_m) > _BEAM_SHARE * half:
            clear = _MIDDLE_SHARE * hull.length_m - off
            yield Found(
                "watch",
                Said.of(f"{cleat.name}: at the side, amidships"),
                "A line that pulls from the side turns the boat broadside, and then over.",
                Said.of(
                    "Lead the line {} farther toward the bow or stern, by a trolley", length=clear
                ),
                badness=clear,
                part=cleat.name,
                where=ev.whereabouts(cleat.x_m, cleat.y_m),
                at=(cleat.x_m, cleat.y_m, cleat.z_m),
                figure=amount("length", off),
                limit=amount("length", _MIDDLE_SHARE * hull.length_m),
                caution=ANCHOR,
            )


@rule("cleat-out-of-hand", topic="anchor")
def cleat_out_of_hand(ev: Evaluated) -> Iterable[Found]:
    """No cleat in hand or within a lean: the line cannot be let go in one motion."""
    anchors, cleats = ev.once(_anchors), _cleats(ev)
    if not anchors or not cleats or ev.setup.hold.trolley is not None:
        return
    spots = np.array([(f.x_m, f.y_m, f.z_m) for f in cleats])
    ways = reach_of(ev.rigged, spots)
    if any(way.zone.value in _REACHED for way in ways):
        return
    near = min(range(len(ways)), key=lambda i: ways[i].short_m)
    cleat, short = cleats[near], max(ways[near].short_m, 0.0)
    turns = ways[near].zone.value == "twist"
    yield Found(
        "fix" if turns else "stop",
        Said.of("Anchor line: you have to twist to let it go")
        if turns
        else Said.of("Anchor line: {} out of reach from the seat", length=short),
        "In a current, a line you can't let go pulls the boat under.",
        Said.of("Move the cleat {} nearer, or fit a trolley that reaches the seat", length=short),
        badness=1 + short,
        thing_id=anchors[0],
        where=ev.whereabouts(cleat.x_m, cleat.y_m),
        at=(cleat.x_m, cleat.y_m, cleat.z_m),
        figure=amount("length", short),
        limit=amount("length", 0.0),
        caution=ANCHOR,
    )


@rule("anchored-by-the-stern", topic="anchor")
def anchored_by_the_stern(ev: Evaluated) -> Iterable[Found]:
    """The line leads to the stern: how low the gunwale comes in the set current."""
    anchors = ev.once(_anchors)
    if not anchors or not (_cleats(ev) or _led(ev)) or held_end(ev.setup) != "stern":
        return
    reading = next((one for one in ev.once(readings) if one.code == "anchor stern"), None)
    if reading is None or reading.freeboard_m is None:
        return
    if ev.setup.demands.current_m_s > 0 and past(ev, "freeboard", reading.freeboard_m):
        yield from against(
            ev,
            "freeboard",
            reading.freeboard_m,
            Said.of("Anchored by the stern: freeboard {}", length=reading.freeboard_m),
            Said.of("Lead the line to the bow"),
            thing_id=anchors[0],
            caution=ANCHOR,
        )


RULES = (cleat_unknown, cleat_at_the_beam, cleat_out_of_hand, anchored_by_the_stern)
