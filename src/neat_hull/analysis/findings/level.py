"""How the boat lies, how steady it is, and what makes it less so."""

from collections.abc import Iterable

import numpy as np

from neat_hull.analysis.demand_readings import DemandReading
from neat_hull.analysis.findings.case import Case, Found, against
from neat_hull.analysis.limits import RANK, margin_key
from neat_hull.model.figures import Said

PASSIVE = "The figure is the passive boat; try it in shallow warm water near shore, with help."
_ABOVE_M = 0.05  # over the gunwale and more counts as high
_HEAVY_KG = 0.5
_MIDDLE_SHARE = 0.30  # of the length, either way from where the boat sinks level


def does_not_float(case: Case) -> Iterable[Found]:
    """The boat goes under, or has no place of rest, with what is aboard."""
    if case.figures.trouble is not None:
        yield Found(
            "stop", Said(text=f"With this the boat {case.figures.trouble}"),
            "There is no figure afloat for a boat that does not stay up.",
            Said(text="take the heaviest things ashore"), badness=1.0,
        )  # fmt: skip


def bow_or_stern_down(case: Case) -> Iterable[Found]:
    """Trim either way. Our threshold; see the table."""
    afloat, bands = case.figures.afloat, case.figures.bands
    if afloat is None or bands is None or case.up is None:
        return
    trim = afloat.trim_deg
    end, other = ("stern", "forward") if trim > 0 else ("bow", "aft")
    over = np.radians(max(abs(trim) - case.table["trim"].fine, 0.0))
    moment = over * case.up.gm_l_m * case.rigged.loads.total_kg
    yield from against(
        case, "trim", abs(trim), Said.of(f"{{}} {end} down", angle=abs(trim)),
        Said.of(f"{{}} of weight moved {other}", moment=float(moment)), band=bands.trim_deg,
    )  # fmt: skip


def to_one_side(case: Case) -> Iterable[Found]:
    """List. Our threshold; see the table."""
    afloat, bands = case.figures.afloat, case.figures.bands
    if afloat is None or bands is None:
        return
    side, other = ("starboard", "port") if afloat.heel_deg > 0 else ("port", "starboard")
    yield from against(
        case, "list", abs(afloat.heel_deg),
        Said.of(f"Leans {{}} to {side}", angle=abs(afloat.heel_deg)),
        Said.of(f"{{}} of weight moved to {other}", moment=abs(afloat.offset_moment_kg_m)),
        band=bands.list_deg,
    )  # fmt: skip


def unsteady_seated(case: Case) -> Iterable[Found]:
    """GM of the boat at rest with the angler seated. Our threshold; see the table."""
    afloat, bands = case.figures.afloat, case.figures.bands
    if afloat is None or bands is None:
        return
    short = max(0.0, case.table["gm"].fine - afloat.gm_m)
    yield from against(
        case, "gm", afloat.gm_m, Said.of("GM is only {}", length=afloat.gm_m),
        Said.of("{} of weight lowered, or the seat", moment=short * case.rigged.loads.total_kg),
        band=bands.gm_m, caution=PASSIVE,
    )  # fmt: skip


def unsteady_standing(case: Case) -> Iterable[Found]:
    """GM of the boat with the angler on their feet, where they mean to stand. Our threshold."""
    for one in case.demands:
        if one.code == "stand":
            gm = one.gm_m
            title = (
                Said.of("GM standing is only {}", length=gm) if gm >= 0
                else Said.of("Stands only by your own balance: GM {}", length=gm)
            )  # fmt: skip
            yield from against(
                case, "gm standing", gm, title,
                Said(text="stay seated, or lower the weights"), caution=(
                    "Standing changes the risk; check that the maker permits it. " + PASSIVE),
            )  # fmt: skip


def a_demand_past_its_margin(case: Case) -> Iterable[Found]:
    """A lean, a fish, a line, a wave: too much of the righting lever, or too little gunwale left.

    Read off the hull's cross curves. Our thresholds; see the table.
    """
    for one in case.demands:
        found = [*_margin(case, one), *_edge(case, one)]
        if found:
            yield max(found, key=lambda each: RANK[each.verdict])


def _margin(case: Case, one: DemandReading) -> Iterable[Found]:
    if one.standing and one.gm_m < case.table["gm standing"].watch:
        return  # told by its GM
    if one.margin_used is None:
        yield Found(
            "stop", Said(text=f"{one.title}: the boat alone would go over"),
            case.table["margin"].reason, Said(text="lower the weights, or do without it"),
            badness=9.0, part=one.code, caution=PASSIVE,
        )  # fmt: skip
        return
    yield from against(
        case, margin_key(one.code), one.margin_used,
        Said.of(f"{one.title} uses {{}} of the margin", ratio=one.margin_used),
        Said(text="lower the weights, lean less, or lower the seat"), band=one.margin_band,
        part=one.code, caution=PASSIVE,
    )  # fmt: skip


def _edge(case: Case, one: DemandReading) -> Iterable[Found]:
    if one.freeboard_m is not None:
        yield from against(
            case, "edge", one.freeboard_m,
            Said.of(f"{one.title} brings the gunwale to {{}} over the water",
                    length=one.freeboard_m),
            Said(text="carry less, or lean less"), part=one.code, caution=PASSIVE,
        )  # fmt: skip


def seat_high(case: Case) -> Iterable[Found]:
    """The seat stands high over the floor. Our threshold; the price is told by GM."""
    seat = case.setup.seat
    floor = case.rigged.floating.hull.support_z_m(seat.x_m + 0.1, 0.0)
    high = seat.z_m - floor
    over = max(0.0, high - case.table["seat height"].fine)
    yield from against(
        case, "seat height", high, Said.of("The seat stands {} over the floor", length=high),
        Said.of("{} lower", length=over), where="At the seat",
    )  # fmt: skip


def heavy_and_high(case: Case) -> Iterable[Found]:
    """One thing whose weight over the gunwale takes much steadiness. Our threshold."""
    hull = case.rigged.floating.hull
    centres = np.array([row.centre for row in case.rows.values()]).reshape(-1, 3)
    overs = centres[:, 2] - np.interp(centres[:, 0], hull.x_m, hull.sheer_m[:, 1])
    for thing_id, over in zip(case.rows, overs.tolist(), strict=True):
        mass = case.thing(thing_id).mass_now_kg
        if mass < _HEAVY_KG or case.stowed[thing_id].stand.on_body:
            continue
        if over > _ABOVE_M and mass * over > case.table["high"].fine:
            yield from against(
                case, "high", mass * over,
                Said.of("{} stands {} over the gunwale", mass=mass, length=over),
                Said.of("{} lower", length=over), thing_id=thing_id,
            )  # fmt: skip


def heavy_at_an_end(case: Case) -> Iterable[Found]:
    """One heavy thing far from the middle. Our threshold."""
    hull = case.rigged.floating.hull
    middle = hull.x_aft_m + 0.5 * hull.length_m
    for thing_id, row in case.rows.items():
        out = abs(row.centre[0] - middle)
        beyond = out - _MIDDLE_SHARE * hull.length_m
        much = row.carries_kg * out > case.table["ends"].fine
        if beyond > 0 and much and row.held_by is None:
            end = "bow" if row.centre[0] > middle else "stern"
            yield from against(
                case, "ends", row.carries_kg * out,
                Said.of(f"{{}} far toward the {end}", mass=row.carries_kg),
                Said.of("{} nearer to the middle", length=beyond), thing_id=thing_id,
            )  # fmt: skip


RULES = (does_not_float, bow_or_stern_down, to_one_side, heavy_at_an_end)
STEADINESS = (
    unsteady_seated, unsteady_standing, a_demand_past_its_margin, seat_high, heavy_and_high,
)  # fmt: skip
