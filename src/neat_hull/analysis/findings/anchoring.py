"""Where an anchor's line is made fast, and what it does there."""

from collections.abc import Iterable

import numpy as np

from neat_hull.analysis.demand_readings import anchor_end
from neat_hull.analysis.findings.case import Case, Found, against, amount
from neat_hull.analysis.rigging import limits_of, room_of
from neat_hull.model.boat import Fitting
from neat_hull.model.figures import Said
from neat_hull.physics.reach import reach

NEVER = "Never anchor from the side; be able to let go in one motion; mind current and tide."
_MIDDLE_SHARE = 0.22  # of the length, either way from the middle: there a line pulls it over
_BEAM_SHARE = 0.6  # of the half-breadth
_REACHED = ("hand", "lean")


def _anchors(case: Case) -> list[int]:
    return [i for i in case.rows if case.thing(i).kind == "anchor" and "sock" not in case.name(i)]


def _cleats(case: Case) -> list[Fitting]:
    return [f for f in case.setup.boat.fittings if f.kind == "cleat"]


def cleat_unknown(case: Case) -> Iterable[Found]:
    """An anchor is aboard, and nobody said where its line is made fast."""
    anchors = _anchors(case)
    if anchors and not _cleats(case):
        yield Found(
            "watch", Said(text="Where the anchor line is made fast is not known"),
            "Whether it can be let go, and how it pulls, hang on that one place.",
            Said(text="measure the cleat or trolley, and add it under Boat"), badness=1.0,
            thing_id=anchors[0], caution=NEVER,
        )  # fmt: skip


def cleat_at_the_beam(case: Case) -> Iterable[Found]:
    """A cleat amidships at the side, with an anchor aboard. Usual practice: never the side."""
    hull = case.rigged.floating.hull
    if not _anchors(case):
        return
    for cleat in _cleats(case):
        off = abs(cleat.x_m - hull.x_aft_m - hull.length_m / 2)
        half = float(np.interp(cleat.x_m, hull.x_m, hull.half_breadth_m))
        if off < _MIDDLE_SHARE * hull.length_m and abs(cleat.y_m) > _BEAM_SHARE * half:
            clear = _MIDDLE_SHARE * hull.length_m - off
            yield Found(
                "watch", Said(text=f"{cleat.name} is at the beam"),
                "A line that pulls amidships turns the boat broadside and then over; lead it to "
                "the bow or stern by a trolley.",
                Said.of("led {} farther toward an end", length=clear), badness=clear,
                part=cleat.name, where=case.at_fitting(cleat.x_m, cleat.y_m),
                at=(cleat.x_m, cleat.y_m, cleat.z_m), figure=amount("length", off),
                limit=amount("length", _MIDDLE_SHARE * hull.length_m), caution=NEVER,
            )  # fmt: skip


def cleat_out_of_hand(case: Case) -> Iterable[Found]:
    """No cleat in hand or within a lean: the line cannot be let go in one motion."""
    anchors, cleats = _anchors(case), _cleats(case)
    if not anchors or not cleats:
        return
    spots = np.array([(f.x_m, f.y_m, f.z_m) for f in cleats])
    ways = reach(case.rigged.body, spots, limits_of(case.setup.angler),
                 room_of(case.rigged.floating.hull, case.setup.seat))  # fmt: skip
    if any(way.zone.value in _REACHED for way in ways):
        return
    near = min(range(len(ways)), key=lambda i: ways[i].short_m)
    cleat, short = cleats[near], max(ways[near].short_m, 0.0)
    turns = ways[near].zone.value == "twist"
    yield Found(
        "fix" if turns else "stop",
        Said(text="The anchor line is let go with a twist") if turns else Said.of(
            "The anchor line cannot be let go from the seat: {} short", length=short),
        "In a current the boat is pulled under by a line that nobody comes to.",
        Said.of("a cleat {} nearer, or a trolley to the seat", length=short), badness=1 + short,
        thing_id=anchors[0], where=case.at_fitting(cleat.x_m, cleat.y_m),
        at=(cleat.x_m, cleat.y_m, cleat.z_m), figure=amount("length", short),
        limit=amount("length", 0.0), caution=NEVER,
    )  # fmt: skip


def anchored_by_the_stern(case: Case) -> Iterable[Found]:
    """The line leads to the stern: how low the gunwale comes in the set current."""
    anchors = _anchors(case)
    if not anchors or not _cleats(case) or anchor_end(case.setup) != "stern":
        return
    reading = next((one for one in case.demands if one.code == "anchor stern"), None)
    afloat = case.figures.afloat
    if reading is None or reading.freeboard_m is None or afloat is None:
        return
    current = case.setup.demands.current_m_s
    if current > 0:
        yield from against(
            case, "freeboard", reading.freeboard_m,
            Said.of("Anchored by the stern the gunwale is {} over the water",
                    length=reading.freeboard_m),
            Said(text="lead the line to the bow"), thing_id=anchors[0], caution=NEVER,
        )  # fmt: skip


RULES = (cleat_unknown, cleat_at_the_beam, cleat_out_of_hand, anchored_by_the_stern)
