"""Everything live about a setup, in one pass."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from neat_hull.analysis.bands import bands
from neat_hull.analysis.clearance import clashes
from neat_hull.analysis.envelopes import HATCH
from neat_hull.analysis.findings.case import Case
from neat_hull.analysis.findings.judge import judge
from neat_hull.analysis.fits import misfit, slide_m
from neat_hull.analysis.limits import Levels, limits_for
from neat_hull.analysis.reaching import Come, come_by
from neat_hull.analysis.rigging import Rigged, Stowed, as_tested, rig, spot
from neat_hull.analysis.whereabouts import whereabouts
from neat_hull.errors import DoesNotFloat, NoBalance
from neat_hull.model.figures import (
    Aboard,
    Afloat,
    Clash,
    Curve,
    Figures,
    Strip,
    Verdict,
    Weight,
    WellState,
)
from neat_hull.model.setup import Setup
from neat_hull.physics import hydrostatics, strip
from neat_hull.physics.cross_curves import HEEL_RAD
from neat_hull.physics.floating import Rest
from neat_hull.physics.reach import Zone
from neat_hull.physics.stability import first_zero

CURVE_DEG = np.degrees(HEEL_RAD)  # to 60°: past that nobody is still sitting in it


@dataclass(frozen=True, eq=False)
class Evaluated:
    """A setup with its figures, and what they were made from; settled is None where it sinks."""

    rigged: Rigged
    settled: hydrostatics.Settled | None
    up: hydrostatics.Upright | None
    curve: hydrostatics.RightingCurve | None
    figures: Figures


def evaluate(
    setup: Setup, elsewhere: Sequence[tuple[int, str]] = (), judged: bool = True
) -> Figures:
    """Weigh, float, reach and judge. A boat that sinks or rolls over is an answer, no error.

    elsewhere are things (id) that another setup (name) of the same day has aboard as well; without
    `judged` there are no findings. Raises InputErrors for measures that mean nothing.
    """
    found = evaluated(setup)
    return with_findings(found, elsewhere) if judged else found.figures


def with_findings(found: Evaluated, elsewhere: Sequence[tuple[int, str]] = ()) -> Figures:
    """The figures of an evaluated setup, with what is to be found in them."""
    findings = judge(Case(**vars(found), elsewhere=elsewhere))
    return found.figures.model_copy(update={"findings": findings})


def evaluated(setup: Setup) -> Evaluated:
    """As `evaluate`, before anything is judged."""
    rigged = rig(setup)
    weight = _weight(rigged)
    density = rigged.water_density_kg_m3
    met = clashes(rigged)
    try:
        settled, curve = hydrostatics.settle_with_curve(
            rigged.floating, rigged.loads, density, np.radians(CURVE_DEG)
        )
    except (DoesNotFloat, NoBalance) as trouble:
        aboard = _aboard(rigged, None, met)
        return Evaluated(rigged, None, None, None, Figures(
            weight=weight, afloat=None, trouble=str(trouble), curve=None, strip=None,
            aboard=aboard, clashes=met, bands=None, findings=[],
        ))  # fmt: skip
    up = hydrostatics.upright(settled)
    afloat = _afloat(rigged, settled, up)
    figures = Figures(
        weight=_by_school(setup, weight, afloat),
        afloat=afloat,
        trouble=None,
        curve=_curve(curve),
        strip=_strip(rigged, settled.rest),
        aboard=_aboard(rigged, curve, met),
        clashes=met,
        bands=bands(rigged, settled, up),
        findings=[],
    )
    return Evaluated(rigged, settled, up, curve, figures)


def require_afloat(setup: Setup, elsewhere: Sequence[tuple[int, str]] = ()) -> Figures:
    """Evaluate, and raise DoesNotFloat or NoBalance where the boat cannot carry what is aboard."""
    figures = evaluate(setup, elsewhere)
    if figures.trouble is not None:
        rigged = rig(setup)
        hydrostatics.settle(rigged.floating, rigged.loads, rigged.water_density_kg_m3)
    return figures


def _weight(rigged: Rigged) -> Weight:
    setup = rigged.setup
    aboard = [setup.things[i] for i in setup.places]
    gear, boat, angler = sum(t.mass_now_kg for t in aboard), as_tested(setup.boat), setup.angler
    carried = gear + angler.mass_kg
    rated = carried + (boat.hull_mass_kg if boat.rating_covers != "all aboard" else 0.0)
    guessed = (
        sum(t.mass_now_kg for t in aboard if t.evidence == "guess")
        + (boat.hull_mass_kg if boat.hull_evidence == "guess" else 0.0)
        + (angler.mass_kg if angler.evidence == "guess" else 0.0)
    )
    working = None if boat.rated_kg is None else boat.rated_kg * boat.working_share
    return Weight(
        carried_kg=carried,
        counted_kg=rated,
        angler_kg=angler.mass_kg,
        gear_kg=gear,
        boat_kg=boat.hull_mass_kg,
        all_up_kg=carried + boat.hull_mass_kg,
        guessed_kg=guessed,
        rated_kg=boat.rated_kg,
        working_kg=working,
        freeboard_kg=None,
        limit_kg=None,
        verdict=None if boat.rated_kg is None or rated <= boat.rated_kg else "stop",
        carried_at=spot(rigged.carried_at_m),
    )


def _by_school(setup: Setup, weight: Weight, afloat: Afloat) -> Weight:
    """With the verdict of the school that is asked; the rating is a stop in each of them.

    What may be carried until the gunwale comes down to its target is told by kg per cm of draft.
    """
    table, school = limits_for(setup.judging), setup.judging.school
    spare_m = afloat.least_freeboard_m - table["freeboard"].fine
    freeboard = max(0.0, weight.counted_kg + 100 * spare_m * afloat.kg_per_cm)
    limit = {
        "working share": weight.working_kg,
        "freeboard": freeboard,
        "tightest": min(freeboard, weight.working_kg or np.inf),
    }[school]
    verdict = weight.verdict
    if verdict is None and limit is not None:
        verdict = table["share"].verdict(weight.counted_kg / max(limit, 1e-6))
    return weight.model_copy(
        update={"freeboard_kg": freeboard, "limit_kg": limit, "verdict": verdict}
    )


def _afloat(rigged: Rigged, settled: hydrostatics.Settled, up: hydrostatics.Upright) -> Afloat:
    rest = hydrostatics.equilibrium(settled)
    trim, heel = float(np.degrees(rest.trim_rad)), float(np.degrees(rest.heel_rad))
    centre, limits = rigged.loads.solid_centre_m, limits_for(rigged.setup.judging)
    wells = [
        WellState(
            name=well.name,
            floor_over_water_m=over,
            deepest_at=_corner(rest),
            scuppers=well.scuppers,
            flooded=flooded,
            verdict=_well_verdict(limits["floor"], over, well.scuppers == "open", flooded),
        )
        for well, over, flooded in zip(
            rigged.setup.boat.wells, rest.wells_over_m, rest.flooded, strict=True
        )
    ]
    return Afloat(
        trim_deg=trim,
        trim_verdict=limits["trim"].verdict(abs(trim)),
        heel_deg=heel,
        heel_verdict=limits["list"].verdict(abs(heel)),
        offset_moment_kg_m=rigged.loads.total_kg * float(centre[1]),
        draft_aft_m=rest.draft_aft_m,
        draft_mid_m=rest.draft_mid_m,
        draft_fwd_m=rest.draft_fwd_m,
        gm_m=up.gm_m,
        gm_verdict=limits["gm"].verdict(up.gm_m),
        least_freeboard_m=rest.least_freeboard_m,
        least_freeboard_x_m=rest.least_freeboard_x_m,
        kg_per_cm=up.kg_per_cm_immersion,
        wells=wells,
        weight_at=spot(centre),
        lift_at=(rest.lcb_m, rest.tcb_m, rest.vcb_m),
    )


def _corner(rest: hydrostatics.Equilibrium) -> str:
    """Where water stands deepest on a floor: at the low end, on the low side."""
    end = "aft" if rest.trim_rad >= 0 else "forward"
    side = "to starboard" if rest.heel_rad > 0 else "to port"
    return end if abs(rest.heel_rad) < np.radians(0.1) else f"{end}, {side}"


def _well_verdict(levels: Levels, over_m: float, drains: bool, flooded: bool) -> Verdict:
    if flooded:
        return "stop"
    return levels.verdict(over_m) if drains else "fine"


def _curve(curve: hydrostatics.RightingCurve) -> Curve:
    return Curve(
        heel_deg=[float(h) for h in CURVE_DEG],
        gz_m=[float(gz) if np.isfinite(gz) else None for gz in curve.gz_m],
        deck_edge_deg=first_zero(CURVE_DEG, curve.edge_over_m),
    )


def _strip(rigged: Rigged, state: Rest) -> Strip:
    hull, boat = rigged.floating.hull, rigged.setup.boat
    edges = strip.bin_edges_m(hull.x_aft_m, hull.x_fwd_m)
    limbs = rigged.body.segments
    mass = [s.mass_kg for s in limbs] + [
        float(m) for m in rigged.loads.mass_kg[2 : 2 + len(rigged.stowed)]
    ]
    ends = [s.along_m for s in limbs] + [(s.aft_m, s.fwd_m) for s in rigged.stowed]
    aft, fwd = np.array(ends).T
    weight = strip.spread(edges, np.array(mass), aft, fwd).sum(axis=0) + strip.hull_spread(
        edges, boat.hull_mass_kg, float(rigged.hull_at_m[0]), hull.x_aft_m, hull.x_fwd_m
    )
    lift_x, lift = strip.lift_per_m(rigged.floating, state, rigged.water_density_kg_m3)
    return Strip(
        edges_m=edges.tolist(),
        weight_kg=weight.tolist(),
        lift_x_m=lift_x.tolist(),
        lift_kg_per_m=lift.tolist(),
    )


def _aboard(
    rigged: Rigged, curve: hydrostatics.RightingCurve | None, met: list[Clash]
) -> list[Aboard]:
    """Things aboard, bow to stern, each followed by what it holds, with how each is come by."""
    over_lids: dict[str, list[str]] = {}
    for clash in met:
        if clash.envelope is not None and clash.envelope.startswith(HATCH):
            name = rigged.setup.things[clash.thing_id].name
            over_lids.setdefault(clash.envelope.removeprefix(HATCH), []).append(name)
    ways = come_by(rigged, curve, over_lids)
    rows = {s.thing_id: (s, way) for s, way in zip(rigged.stowed, ways, strict=True)}
    placing = rigged.placing
    roots = [s for s in rigged.stowed if placing.holder(s.thing_id) is None]
    found: list[Aboard] = []

    def add(thing_id: int, where: str, depth: int) -> float:
        """Append a thing and all it holds; return what they weigh."""
        place_in_list = len(found)
        found.append(_one_aboard(rigged, *rows[thing_id], where, depth))
        held = sum(add(one, where, depth + 1) for one in placing.held_by(thing_id))
        carries = rigged.setup.things[thing_id].mass_now_kg + held
        if held:
            found[place_in_list] = found[place_in_list].model_copy(update={"carries_kg": carries})
        return carries

    for root in sorted(roots, key=lambda s: (-s.stand.x_m, s.thing_id)):
        stand = root.stand
        where = "On you" if stand.on_body else whereabouts(
            rigged.floating.hull, rigged.setup.seat, stand.x_m, stand.y_m
        )  # fmt: skip
        add(root.thing_id, where, 0)
    return found


def _one_aboard(rigged: Rigged, stowed: Stowed, come: Come, where: str, depth: int) -> Aboard:
    stand, thing = stowed.stand, rigged.setup.things[stowed.thing_id]
    way, frame = come.way, rigged.placing.frame_of(stowed.thing_id)
    leans = come.zone in (Zone.LEAN, Zone.TWIST)
    return Aboard(
        thing_id=stowed.thing_id,
        where=where,
        x_m=stand.x_m,
        y_m=stand.y_m,
        base_z_m=stand.base_z_m,
        turn_deg=stand.turn_deg,
        tilt_deg=stand.tilt_deg,
        rests=rigged.setup.places[stowed.thing_id].z_m is None,
        depth=depth,
        held_by=rigged.placing.holder(stowed.thing_id),
        carries_kg=thing.mass_now_kg,
        out_first=rigged.placing.out_first(stowed.thing_id),
        misfit=misfit(rigged.placing, stowed.thing_id),
        centre=stowed.centre_m,
        tip=stowed.tip_m,
        reel=stand.at(thing.reel_at_m) if thing.reel != "none" else None,
        frame=(frame.x_m, frame.y_m, frame.turn_deg),
        slide_m=slide_m(rigged.placing, stowed.thing_id),
        zone=come.zone.value,
        lean_deg=float(np.degrees(way.lean_rad)) if leans else None,
        pitch_deg=float(np.degrees(way.pitch_rad)) if leans else None,
        twist_deg=float(np.degrees(way.twist_rad)) if leans else None,
        short_m=0.0 if stand.on_body else way.short_m,
        heels_deg=come.heels_deg,
        margin_used=come.margin_used,
        freeboard_m=come.freeboard_m,
        steps=come.steps,
    )
