"""How a figure came about: its inputs, its formula, the values between, and how sure it is."""

from collections.abc import Callable
from typing import Literal, get_args

import numpy as np

from neat_hull.analysis.bands import bands
from neat_hull.analysis.evaluate import evaluated
from neat_hull.analysis.limits import BASE
from neat_hull.analysis.rigging import Rigged, as_tested, rig
from neat_hull.model.figures import How, HowRow
from neat_hull.model.setup import Setup
from neat_hull.physics import hydrostatics

Figure = Literal["weight", "trim", "list", "gm", "wells"]
FIGURES: tuple[Figure, ...] = get_args(Figure)

_HULL = {
    "estimate": "Estimate: the hull comes from a tape and has not been tested afloat yet.",
    "calibrated": "The hull has been tested afloat; the rest comes from weights and the test.",
}
_WINS = "The maker's rating and instructions win over any figure here."


def explain(setup: Setup, figure: Figure) -> How:
    """Recompute a setup and lay open one figure. Raises DoesNotFloat or NoBalance like `settle`."""
    if figure == "weight":
        return _weight(setup)
    rigged = rig(setup)
    settled = hydrostatics.settle(rigged.floating, rigged.loads, rigged.water_density_kg_m3)
    band = bands(rigged, settled, hydrostatics.upright(settled))
    rows: dict[Figure, HowRow] = {
        "trim": HowRow(label="±", value=band.trim_deg, kind="angle"),
        "list": HowRow(label="±", value=band.list_deg, kind="angle"),
        "gm": HowRow(label="±", value=band.gm_m, kind="length"),
        "wells": HowRow(label="±", value=band.draft_m, kind="length"),
    }
    how = _ABOUT[figure](rigged, settled)
    return how.model_copy(update={"band": rows[figure], "sure": f"{_HULL[band.hull]} {_WINS}"})


def _weight(setup: Setup) -> How:
    boat, weight = as_tested(setup.boat), evaluated(setup).figures.weight
    gear = sum(setup.things[i].mass_now_kg for i in setup.places)
    rows = [
        HowRow(label="Angler, dressed for the water", value=setup.angler.mass_kg, kind="mass"),
        HowRow(label="Gear aboard", value=gear, kind="mass"),
        HowRow(label="Carried", value=gear + setup.angler.mass_kg, kind="mass"),
        HowRow(label="The boat itself", value=boat.hull_mass_kg, kind="mass"),
    ]
    if boat.rated_kg is not None:
        rows += [
            HowRow(label="Maker's rating", value=boat.rated_kg, kind="mass"),
            HowRow(label="Working share", value=boat.working_share, kind="ratio"),
            HowRow(label="Rating × share", value=boat.rated_kg * boat.working_share, kind="mass"),
        ]
    if weight.freeboard_kg is not None:
        rows.append(HowRow(label="By the freeboard target", value=weight.freeboard_kg, kind="mass"))
    if weight.limit_kg is not None:
        rows.append(HowRow(label="Limit that is judged by", value=weight.limit_kg, kind="mass"))
    return How(
        title="Weight carried",
        plain="Everything the boat carries, against what its maker allows. " + BASE["share"].reason,
        formula="carried = angler + gear;  working share = rating × share;  by freeboard = counted "
        "+ (gunwale − target) × kg per cm;  judged by the tightest, unless one is chosen",
        rows=rows,
        sure="As sure as the weights: weighed beats a label, a label beats a guess.",
    )


def _trim(rigged: Rigged, settled: hydrostatics.Settled) -> How:
    rest, up = hydrostatics.equilibrium(settled), hydrostatics.upright(settled)
    weight_x_m = float(rigged.loads.solid_centre_m[0])
    return How(
        title="Bow up or down (trim)",
        plain="The boat turns in the water until the lift acts right under the weight. "
        + BASE["trim"].reason,
        formula="ρV = M  and  (r_B − r_G)·l = 0, solved together with heel",
        rows=[
            *_common(rigged, rest),
            HowRow(label="Weight acts at, from the stern", value=weight_x_m, kind="length"),
            HowRow(label="Lift acts at, from the stern (LCB)", value=rest.lcb_m, kind="length"),
            HowRow(label="Draft at the stern", value=rest.draft_aft_m, kind="length"),
            HowRow(label="Draft at the bow", value=rest.draft_fwd_m, kind="length"),
            HowRow(label="Moment that trims 1 cm", value=up.moment_to_trim_1cm_kg_m, kind="moment"),
            HowRow(label="Trim θ, bow up", value=float(np.degrees(rest.trim_rad)), kind="angle"),
        ],
    )  # fmt: skip


def _list(rigged: Rigged, settled: hydrostatics.Settled) -> How:
    rest, up = hydrostatics.equilibrium(settled), hydrostatics.upright(settled)
    off = float(rigged.loads.solid_centre_m[1])
    return How(
        title="Lean at rest (list)",
        plain="Weight off the middle leans the boat until the lift has moved as far. "
        + BASE["list"].reason,
        formula="(r_B − r_G)·t = 0;  for small angles tan φ ≈ off-centre moment ÷ (M·GM)",
        rows=[
            *_common(rigged, rest),
            HowRow(label="Weight off the middle, to port", value=off, kind="length"),
            HowRow(label="Moment to port", value=off * rigged.loads.total_kg, kind="moment"),
            HowRow(label="GM upright", value=up.gm_m, kind="length"),
            HowRow(label="Heel φ, starboard down", value=float(np.degrees(rest.heel_rad)),
                   kind="angle"),
        ],
    )  # fmt: skip


def _gm(rigged: Rigged, settled: hydrostatics.Settled) -> How:
    rest, up = hydrostatics.equilibrium(settled), hydrostatics.upright(settled)
    return How(
        title="Steadiness (metacentric height, GM)",
        plain="How hard the boat pushes back against the first degrees of a lean, seated. "
        + BASE["gm"].reason,
        formula="GM = KB + BM − KG − Σρi ÷ M,  BM = I ÷ V",
        rows=[
            *_common(rigged, rest),
            HowRow(label="Centre of lift over the bottom (KB)", value=up.kb_m, kind="length"),
            HowRow(label="Waterplane's part (BM)", value=up.bm_m, kind="length"),
            HowRow(label="Centre of weight over the bottom (KG)", value=up.kg_m, kind="length"),
            HowRow(label="Raised by running liquids", value=up.free_surface_m, kind="length"),
            HowRow(label="GM", value=up.gm_m, kind="length"),
        ],
    )


def _wells(rigged: Rigged, settled: hydrostatics.Settled) -> How:
    rest = hydrostatics.equilibrium(settled)
    return How(
        title="Dry floors",
        plain="How far the lowest corner of each floor stands over the water. "
        + BASE["floor"].reason,
        formula="height over the water plane z = c − x·tan θ − y·tan φ, square to it",
        rows=[
            *_common(rigged, rest),
            *(
                HowRow(label=f"{well.name}: floor over the water", value=over, kind="length")
                for well, over in zip(rigged.setup.boat.wells, rest.wells_over_m, strict=True)
            ),
        ],
    )


def _common(rigged: Rigged, rest: hydrostatics.Equilibrium) -> list[HowRow]:
    return [
        HowRow(label="All-up weight", value=rigged.all_up_kg, kind="mass"),
        HowRow(label="Water let into tubes and wells", value=rigged.lost_kg, kind="mass"),
        HowRow(label="Lifted (M)", value=rigged.loads.total_kg, kind="mass"),
        HowRow(label="Water (ρ)", value=rigged.water_density_kg_m3, kind="density"),
        HowRow(label="Volume under water (V)", value=rest.volume_m3, kind="volume"),
    ]


_ABOUT: dict[Figure, Callable[[Rigged, hydrostatics.Settled], How]] = {
    "trim": _trim,
    "list": _list,
    "gm": _gm,
    "wells": _wells,
}
