"""How trim, list and stability came about."""

import numpy as np

from neat_hull.model.how import How, HowRow
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.explaining import at_rest_or_raise, common, with_band


def trim(ev: Evaluated) -> How:
    """Bow up or down."""
    found = at_rest_or_raise(ev)
    rest, up, loads = found.equilibrium, found.upright, ev.rigged.loads
    weight_x_m = float(loads.solid_centre_m[0])
    how = How(
        title="Bow up or down (trim)",
        plain="The boat turns in the water until the lift acts right under the weight. "
        + ev.table["trim"].reason,
        formula="ρV = M  and  (r_B − r_G)·l = 0, solved together with heel",
        rows=[
            *common(ev),
            HowRow(label="Weight acts at, from the stern", value=weight_x_m, kind="length"),
            HowRow(label="Lift acts at, from the stern (LCB)", value=rest.lcb_m, kind="length"),
            HowRow(label="Draft at the stern", value=rest.draft_aft_m, kind="length"),
            HowRow(label="Draft at the bow", value=rest.draft_fwd_m, kind="length"),
            HowRow(label="Moment that trims 1 cm", value=up.moment_to_trim_1cm_kg_m, kind="moment"),
            HowRow(label="Trim θ, bow up", value=float(np.degrees(rest.trim_rad)), kind="angle"),
        ],
    )
    return with_band(ev, how, "angle", "trim_deg")


def to_one_side(ev: Evaluated) -> How:
    """Port or starboard down."""
    found = at_rest_or_raise(ev)
    rest, up, loads = found.equilibrium, found.upright, ev.rigged.loads
    off = float(loads.solid_centre_m[1])
    how = How(
        title="List (heel at rest)",
        plain="Weight off the middle heels the boat until the lift has moved as far. "
        + ev.table["list"].reason,
        formula="(r_B − r_G)·t = 0;  for small angles tan φ ≈ off-centre moment ÷ (M·GM)",
        rows=[
            *common(ev),
            HowRow(label="Weight off the middle, to port", value=off, kind="length"),
            HowRow(label="Moment to port", value=off * loads.total_kg, kind="moment"),
            HowRow(label="GM upright", value=up.gm_m, kind="length"),
            HowRow(
                label="Heel φ, starboard down", value=float(np.degrees(rest.heel_rad)), kind="angle"
            ),
        ],
    )
    return with_band(ev, how, "angle", "list_deg")


def gm(ev: Evaluated) -> How:
    """The metacentric height."""
    up = at_rest_or_raise(ev).upright
    how = How(
        title="Stability (metacentric height, GM)",
        plain="How hard the boat pushes back against the first degrees of heel, with you "
        "seated. " + ev.table["gm"].reason,
        formula="GM = KB + BM − KG − Σρi ÷ M,  BM = I ÷ V",
        rows=[
            *common(ev),
            HowRow(label="Centre of lift above the bottom (KB)", value=up.kb_m, kind="length"),
            HowRow(label="Waterplane's part (BM)", value=up.bm_m, kind="length"),
            HowRow(label="Centre of weight above the bottom (KG)", value=up.kg_m, kind="length"),
            HowRow(label="Raised by running liquids", value=up.free_surface_m, kind="length"),
            HowRow(label="GM", value=up.gm_m, kind="length"),
        ],
    )
    return with_band(ev, how, "length", "gm_m")


HOW = {"trim": trim, "list": to_one_side, "gm": gm}
