"""The sheet of a boat afloat: hydrostatic terms, righting curves, demands, and all against load."""

from dataclasses import replace

import numpy as np

from neat_hull.errors import DoesNotFloat, NoBalance
from neat_hull.model.afloat import Capacity, FullAfloat, FullCurve, LoadCurves, Term
from neat_hull.model.cautions import ANCHOR, NO_DRILL, RATING_WINS
from neat_hull.model.said import Amount
from neat_hull.physics.water import hydrostatics
from neat_hull.physics.water.heels import FULL_RAD
from neat_hull.physics.water.stability import Stability, stability, stability_of
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rigging import Rigged
from neat_hull.subjects.demands.figures import demand_loads, solved, standing_body

_STEPS = 25
_PER_CM = [Amount(kind="length", value=0.01)]
_BEYOND = 1.3  # of what is carried or rated: how far the load curves run


def full_afloat(ev: Evaluated) -> FullAfloat:
    """Everything about a setup afloat."""
    rigged = ev.rigged
    density = rigged.water_density_kg_m3
    try:
        settled, curve, found = stability_of(rigged.floating, rigged.loads, density)
    except (DoesNotFloat, NoBalance) as trouble:
        return FullAfloat(
            trouble=str(trouble), terms=[], curves=[], demands=[], by_load=None, cautions=[]
        )
    asked = solved(ev)
    curves = [_curve("seated", settled, curve, found)]
    more = {"standing": rigged.loads_with(standing_body(rigged))}
    worst = next((d for d in asked if d.heel_deg is not None and d.code != "seated"), None)
    if worst is not None:
        more[worst.title.lower()] = demand_loads(ev, settled, worst.code)
    for name, asked_loads in more.items():
        # Heel is drawn toward the side that the demand leans to, so that its lever starts below 0.
        leans_to_port = asked_loads.centre_m[1] > 0
        loads = asked_loads.mirrored() if leans_to_port else asked_loads
        # Held by hand where it would not stay alone: the curve then shows how far it is from it.
        held = hydrostatics.held_upright(rigged.floating, loads, density)
        if held is not None:
            line = hydrostatics.righting_curve(held, FULL_RAD)
            curves.append(_curve(name, held, line, stability(line, loads.total_kg)))
    return FullAfloat(
        trouble=None,
        terms=_terms(rigged, settled, found),
        curves=curves,
        demands=asked,
        by_load=_by_load(ev),
        cautions=[RATING_WINS, ANCHOR, NO_DRILL],
    )


def _degrees(rad: float | None) -> float | None:
    return None if rad is None else float(np.degrees(rad))


def _curve(
    name: str,
    settled: hydrostatics.Settled,
    curve: hydrostatics.RightingCurve,
    found: Stability,
) -> FullCurve:
    ends = {
        "deck edge": found.limits.deck_edge_rad,
        "flooding": found.limits.flooding_rad,
        "vanishing": found.limits.vanishing_rad,
        "sinking": found.limits.sinking_rad,
    }
    first = min((rad for rad in ends.values() if rad is not None), default=None)
    by = next((word for word, rad in ends.items() if rad is not None and rad == first), "none")
    return FullCurve(
        name=name,
        heel_deg=[round(float(h), 6) for h in np.degrees(curve.heel_rad)],
        gz_m=[float(gz) if np.isfinite(gz) else None for gz in curve.gz_m],
        gm_m=hydrostatics.upright(settled).gm_m,
        greatest_gz_m=found.greatest_gz_m,
        greatest_at_deg=float(np.degrees(found.greatest_at_rad)),
        deck_edge_deg=_degrees(found.limits.deck_edge_rad),
        flooding_deg=_degrees(found.limits.flooding_rad),
        vanishing_deg=_degrees(found.limits.vanishing_rad),
        energy_j=found.energy_j,
        ends_by=by,
    )


def _terms(rigged: Rigged, settled: hydrostatics.Settled, found: Stability) -> list[Term]:
    rest, up = hydrostatics.equilibrium(settled), hydrostatics.upright(settled)
    rows: list[tuple[str, str, float, str, str]] = [
        (
            "Displacement (Δ)",
            "all-up weight, which is the weight of water pushed aside",
            rigged.all_up_kg,
            "mass",
            "weight",
        ),
        (
            "Volume (V)",
            "the part of the boat under water",
            rest.volume_m3 - rigged.lost_kg / rigged.water_density_kg_m3,
            "volume",
            "trim",
        ),
        (
            "Draft at the bow",
            "how deep, from the lowest point of the bottom",
            rest.draft_fwd_m,
            "length",
            "trim",
        ),
        ("Draft amidships", "the same in the middle", rest.draft_mid_m, "length", "trim"),
        ("Draft at the stern", "the same at the stern", rest.draft_aft_m, "length", "trim"),
        ("Trim (θ)", "bow up is positive", float(np.degrees(rest.trim_rad)), "angle", "trim"),
        (
            "Heel (φ)",
            "starboard down is positive",
            float(np.degrees(rest.heel_rad)),
            "angle",
            "list",
        ),
        (
            "Least freeboard",
            "the lowest place of the gunwale above the water",
            rest.least_freeboard_m,
            "length",
            "wells",
        ),
        ("LCB", "where the lift acts, from the stern", rest.lcb_m, "length", "trim"),
        (
            "LCG",
            "where the weight acts, from the stern",
            float(rigged.loads.solid_centre_m[0]),
            "length",
            "trim",
        ),
        ("LCF", "weight added here sinks the boat without tipping it", up.lcf_m, "length", "trim"),
        (
            "Waterplane",
            "how much boat there is at the surface",
            hydrostatics.waterplane_area_m2(settled),
            "area",
            "gm",
        ),
        ("Immersion", "weight that sinks it {}", up.kg_per_cm_immersion, "mass", "trim"),
        (
            "Moment to trim",
            "moment that trims it {}, end to end",
            up.moment_to_trim_1cm_kg_m,
            "moment",
            "trim",
        ),
        ("KB", "height of the lift", up.kb_m, "length", "gm"),
        ("BM", "what the breadth of the waterplane adds", up.bm_m, "length", "gm"),
        ("KG", "height of the weight", up.kg_m, "length", "gm"),
        ("Free surface", "what running liquids take from GM", up.free_surface_m, "length", "gm"),
        ("GM", "stability against the first degrees of heel", up.gm_m, "length", "gm"),
        ("GM lengthwise", "the same against pitching", up.gm_l_m, "length", "trim"),
        ("Greatest GZ", "the most it can push back with", found.greatest_gz_m, "length", "gm"),
        ("Energy", "work to push it to its first limit", found.energy_j, "energy", "gm"),
    ]
    return [
        Term(
            term=term,
            plain=plain,
            amounts=_PER_CM if "{}" in plain else [],
            value=value,
            kind=kind,
            how=how,
        )
        for term, plain, value, kind, how in rows
    ]


def _by_load(ev: Evaluated) -> LoadCurves:
    """Scale all that is carried where it stands, from nearly nothing to past the rating."""
    rigged, setup, boat = ev.rigged, ev.setup, ev.setup.boat
    carried_rows = rigged.rows.carried
    today = float(rigged.loads.mass_kg[carried_rows].sum())
    most = _BEYOND * max(today, boat.rated_kg or 0.0)
    rows: list[tuple[float, float, float, float, float]] = []
    for carried in np.linspace(0.05 * most, most, _STEPS):
        mass = rigged.loads.mass_kg.copy()
        mass[carried_rows] *= carried / today
        loads = replace(rigged.loads, mass_kg=mass).on_centreline()
        # Held upright, so that the curves go on where the boat would no longer stay so alone.
        settled = hydrostatics.held_upright(rigged.floating, loads, rigged.water_density_kg_m3)
        if settled is None:
            break
        rest = hydrostatics.equilibrium(settled)
        dry = min(
            (
                over
                for over, well in zip(rest.wells_over_m, setup.boat.wells, strict=True)
                if well.scuppers == "open"
            ),
            default=np.inf,
        )
        gm = hydrostatics.upright(settled).gm_m
        rows.append((float(carried), rest.draft_mid_m, rest.least_freeboard_m, gm, float(dry)))
    table = np.array(rows).reshape(-1, 5)
    carried_kg, draft, freeboard, gm_m, dry_m = table.T
    working = None if boat.rated_kg is None else boat.rated_kg * boat.working_share
    target, floor = ev.table["freeboard"].fine, ev.table["floor"]
    return LoadCurves(
        carried_kg=carried_kg.tolist(),
        draft_m=draft.tolist(),
        freeboard_m=freeboard.tolist(),
        gm_m=gm_m.tolist(),
        today_kg=today,
        capacities=[
            Capacity(school="rating", carried_kg=boat.rated_kg, reason="No-go past this"),
            Capacity(school="working share", carried_kg=working, reason=ev.table["share"].reason),
            Capacity(
                school="freeboard",
                carried_kg=_falls_to(carried_kg, freeboard, target),
                reason=f"freeboard {100 * target:.0f} cm",
            ),
            Capacity(
                school="dry floors",
                carried_kg=_falls_to(carried_kg, dry_m, floor.fine),
                reason=floor.reason,
            ),
        ],
    )


def _falls_to(
    carried_kg: np.ndarray[tuple[int], np.dtype[np.float64]],
    height_m: np.ndarray[tuple[int], np.dtype[np.float64]],
    target_m: float,
) -> float | None:
    """The load at which a height comes down to its target, straight between the steps."""
    under = np.flatnonzero(height_m < target_m)
    if len(under) == 0 or not np.isfinite(height_m).all():
        return None
    k = int(under[0])
    if k == 0:
        return 0.0
    share = (height_m[k - 1] - target_m) / (height_m[k - 1] - height_m[k])
    return float(carried_kg[k - 1] + share * (carried_kg[k] - carried_kg[k - 1]))
