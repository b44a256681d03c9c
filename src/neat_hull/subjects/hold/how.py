"""How the figures of a boat that is held came about."""

from neat_hull.errors import InputError
from neat_hull.model.hold_figures import HoldFigures
from neat_hull.model.how import How, HowRow
from neat_hull.model.said import HowKind
from neat_hull.physics.water.gravity import GRAVITY_M_S2
from neat_hull.rig.drag.figures import full_drag
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.explaining import at_rest_or_raise
from neat_hull.rig.held_at import held_at
from neat_hull.subjects.hold import typical
from neat_hull.subjects.hold.figures import hold
from neat_hull.subjects.hold.gear import pole_case


def _row(label: str, value: float, kind: HowKind) -> HowRow:
    return HowRow(label=label, value=value, kind=kind)


def _known(ev: Evaluated, figure: str) -> HoldFigures:
    at_rest_or_raise(ev)
    found = ev.once(hold)
    if found is None:
        raise InputError("figure", figure, "nothing aboard holds it, or nothing pulls")
    return found


def lie(ev: Evaluated) -> How:
    """How it lies, and the pull."""
    found, full = _known(ev, "hold lie"), ev.once(full_drag)
    assert full is not None, "it floats"
    _, middle = full.drag.lateral
    return How(
        title="How it lies, and the pull",
        plain="Held at one point it turns until current and wind no longer turn it. Held nearer "
        "the middle than a quarter of its length it lies aslant, and the pull grows.",
        formula="½ρV²·(R_x, A_lat(C_x sin β|sin β| + C_l sin β|cos β|)) + wind: no moment about "
        "the cleat",
        rows=[
            _row("current", ev.setup.demands.current_m_s, "speed"),
            _row("wind", ev.setup.demands.wind_m_s, "speed"),
            _row("held at, from the stern", ev.once(held_at)[0], "length"),
            _row("middle of the wet side, from the stern", middle, "length"),
            _row("stern first, times as much", _astern(ev), "times"),
            _row("line off that end", found.lies.off_line_deg, "angle"),
            _row("pull", found.lies.pull_n, "force"),
        ],
        sure="Chop and surge are left out: short waves pull about twice as hard.",
    )


def _astern(ev: Evaluated) -> float:
    """The factor on the water's resistance from behind."""
    full = ev.once(full_drag)
    return 1.0 if full is None else full.drag.coefficients.astern


def anchor(ev: Evaluated) -> How:
    """What it holds."""
    found = _known(ev, "hold anchor")
    one = found.anchor
    if one is None or one.holding_n is None:
        raise InputError("figure", "hold anchor", "no anchor reaches the bottom")
    return How(
        title="What the anchor holds",
        plain="An anchor holds its weight times a ratio of its kind and the bottom, less as the "
        "line pulls it up. The line hangs as a chain does; where it is long part of it lies down.",
        formula="m·g · ratio · factor(angle);  scope 10:1 holds all, 7:1 91 %, 5:1 77 %, 3:1 53 %",
        rows=[
            _row("anchor", one.mass_kg, "mass"),
            _row("its weight", one.mass_kg * GRAVITY_M_S2, "force"),
            _row(f"ratio in {one.bottom}", one.holding_ratio, "times"),
            _row("line out", one.line_m, "far"),
            _row("height it spans", one.height_m, "length"),
            _row("angle at the anchor", one.angle_at_anchor_deg or 0.0, "angle"),
            _row("factor of that angle", one.holding_factor or 0.0, "ratio"),
            _row("holds", one.holding_n, "force"),
            _row("pull", found.lies.pull_n, "force"),
            _row("weight needed for twice the pull", one.recommended_kg or 0.0, "mass"),
        ],
        sure="Ratios are general practice and scatter by half; rock holds by hooking, and is never "
        "counted on. Drag of the line itself is left out, a few per cent.",
    )


def pole(ev: Evaluated) -> How:
    """What a pole stands."""
    found = _known(ev, "hold pole")
    one = found.pole
    case = None if one is None else pole_case(ev, one.thing_id)
    if one is None or case is None:
        raise InputError("figure", "hold pole", "no pole stands in this bottom")
    return How(
        title="What the pole stands",
        plain="The pole is a beam held by the bottom: it bends most a little under it, and the "
        "bottom gives way where it is pushed in too little.",
        formula="M = H(e + e_b), stress M·d/2I; sand ½γdKE³, mud 2.25·c_u·d·g²  (Broms 1964)",
        rows=[
            _row("pull on it", one.pull_n, "force"),
            _row("thick", case.diameter_m, "length"),
            _row("pushed in", one.pushed_in_m, "length"),
            _row("bending, of what it stands", one.bending_share, "ratio"),
            _row("bottom, of what it stands", one.soil_share or 0.0, "ratio"),
            _row("it gives at the cleat", one.deflection_m, "length"),
            _row("good to a depth of", one.depth_limit_m, "length"),
        ],
        sure=f"Solid glass of {typical.POLE_PA[True][0] / 1e9:g} GPa, or a tube of "
        f"{typical.POLE_PA[False][0] / 1e9:g}; sand and mud as usual. Try yours near shore.",
    )


HOW = {"hold lie": lie, "hold anchor": anchor, "hold pole": pole}
