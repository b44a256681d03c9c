"""How the figures of a boat that goes came about."""

from neat_hull.errors import InputError
from neat_hull.model.glide_figures import Newtons
from neat_hull.model.how import How, HowRow
from neat_hull.model.said import HowKind
from neat_hull.physics.resistance.parts import friction_coefficient
from neat_hull.rig.drag.figures import Dragged, full_drag
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.explaining import at_rest_or_raise
from neat_hull.subjects.glide import typical
from neat_hull.subjects.glide.adrift import adrift
from neat_hull.subjects.glide.driving import motor, propeller
from neat_hull.subjects.glide.going import at_speed, costs, efficiency, froude, going

_DEEP = "Flat, deep water; no spray, no breaking, no chop; the boat does not sink as it goes."
_ROWS = 12


def _row(label: str, value: float, kind: HowKind) -> HowRow:
    return HowRow(label=label, value=value, kind=kind)


def _known(ev: Evaluated, figure: str) -> tuple[Dragged, Newtons]:
    at_rest_or_raise(ev)
    full, at = ev.once(full_drag), ev.once(at_speed)
    if full is None or at is None:
        raise InputError("figure", figure, "the effort drives it faster than is known")
    return full, at


def speed(ev: Evaluated) -> How:
    """At the set effort."""
    _, at = _known(ev, "glide speed")
    found = ev.once(going)
    assert found is not None, "it floats"
    rows = [
        _row("Your effort", ev.setup.glide.effort_w, "power"),
        _row("of it drives the boat", efficiency(ev), "ratio"),
        _row("friction", at.friction_n, "force"),
        _row("behind a wet stern", at.base_n, "force"),
        _row("waves", at.wave_n, "force"),
        _row("what hangs in the water", at.appendage_n, "force"),
        _row("wind", at.air_n, "force"),
        _row("all of it", at.total_n, "force"),
        _row("speed through the water", at.speed_m_s, "speed"),
    ]
    if found.bare_m_s is not None:
        rows.append(_row("without the gear", found.bare_m_s, "speed"))
    return How(
        title="Speed at your effort",
        plain="The boat goes as fast as the effort that reaches the water holds against all that "
        "holds it back.",
        formula="effort · efficiency = R(U) · U",
        rows=rows,
        sure=f"{_DEEP} Timed over a known distance, efficiency is no longer a guess.",
    )


def friction(ev: Evaluated) -> How:
    """Of the skin, at that speed."""
    full, at = _known(ev, "glide friction")
    a, drag = full.drag.coefficients, full.drag
    reynolds = at.speed_m_s * drag.wet_length_m / a.viscosity_m2_s
    return How(
        title="Friction of the skin",
        plain="Water sticks to the hull, and the layer that goes along takes effort.",
        formula="½ρSU²((1 + k)·C_F + ΔC_F),  C_F = 0.075/(log₁₀Re − 2)²  (ITTC 1957)",
        rows=[
            _row("wet skin S", drag.wetted_area_m2, "area"),
            _row("length in the water", drag.wet_length_m, "length"),
            _row("speed U", at.speed_m_s, "speed"),
            _row("Reynolds number Re, millions", reynolds / 1e6, "times"),
            _row("C_F, thousandths", 1000 * friction_coefficient(reynolds), "times"),
            _row("k, for the form", a.form_factor, "ratio"),
            _row("friction", at.friction_n, "force"),
        ],
        sure="± 10 %. k is Watanabe's, unless a pull test set it.",
    )


def waves(ev: Evaluated) -> How:
    """Of the waves, at that speed."""
    full, at = _known(ev, "glide waves")
    number = ev.once(froude)
    return How(
        title="Waves that the boat makes",
        plain="The hull pushes water aside and up; the waves carry that away. Their part grows "
        "fast as the boat comes near its own wave.",
        formula="(ρg⁴/πU⁶)·∫|∬exp(k₀λ²ζ + ik₀λξ)dV|²·λ⁴/√(λ² − 1)dλ  (Michell 1898), k₀ = g/U²",
        rows=[
            _row("displacement", full.displacement_kg, "mass"),
            _row("length in the water", full.drag.wet_length_m, "length"),
            _row("speed U", at.speed_m_s, "speed"),
            _row("Froude number U/√(gL)", number or 0.0, "ratio"),
            _row("factor on it", full.drag.coefficients.wave, "times"),
            _row("waves", at.wave_n, "force"),
        ],
        sure="± 30 %. Thin-ship theory wants a slenderer hull; it exaggerates the humps under a "
        "Froude number of 25 %. Read off between attitudes 1 cm and 1° apart, which is right to "
        "about 1 % of the whole at 1 m/s and over. A wet stern carries dead water, four times "
        f"the root of its area long. {_DEEP}",
    )


def windage(ev: Evaluated) -> How:
    """What stands in the wind and hangs in the water, dearest first."""
    _, at = _known(ev, "glide windage")
    dear = [one for one in ev.once(costs) if one.water_n + one.air_n > 0][:_ROWS]
    rows = [_row(one.name, one.water_n + one.air_n, "force") for one in dear]
    rows += [
        _row("wind, all", at.air_n, "force"),
        _row("in the water, all", at.appendage_n, "force"),
    ]
    return How(
        title="What stands in the wind and hangs in the water",
        plain="Areas are those of the placed gear outside the hull, from ahead; what stands in "
        "line behind you or a broader box counts half.",
        formula="½ρ_a·c_d·A·|a|·a in the wind, ½ρ·c_d·A·U² in the water",
        rows=rows,
        sure="± 20 % in the wind, ± 30 % in the water: coefficients of plain bodies. Leeway and "
        "steering are left out: up to a tenth more in a beam wind.",
    )


def drift(ev: Evaluated) -> How:
    """Free, in the set wind."""
    at_rest_or_raise(ev)
    found, full = ev.once(adrift), ev.once(full_drag)
    if found is None or full is None:
        raise InputError("figure", "glide drift", "there is no wind")
    area, middle = full.drag.lateral
    wind = full.drag.in_the_wind
    return How(
        title="Drift",
        plain="The boat turns until wind and water no longer turn it, and goes as fast as they "
        "hold each other. All grows with the square of a speed: the lie is the same in any wind.",
        formula="½ρ_a·|a|a·A_air = ½ρ·q²·(A_e cos β, A_lat(C_x sin β|sin β| + C_l sin β|cos β|))",
        rows=[
            _row("wind area from the side, with coefficients", wind.side_m2, "area"),
            _row("acts, from the stern", wind.x_m, "length"),
            _row("wet side", area, "area"),
            _row("acts, from the stern", middle, "length"),
            _row("wind off the bow", found.wind_off_bow_deg, "angle"),
            _row("share of the wind", found.share_of_wind, "ratio"),
            _row("drift through the water", found.speed_m_s, "speed"),
        ],
        sure="Windage and side lift are guesses: drift 100 m in a known wind and say how long it "
        "took. Leads that lie end-on come out fast: up to a fifth of the wind.",
    )


def motoring(ev: Evaluated) -> How:
    """The motor at the set step."""
    at_rest_or_raise(ev)
    found = ev.once(motor)
    one = None if found is None else ev.thing(found.thing_id).motor
    if found is None or one is None or found.set_step.speed_m_s is None:
        raise InputError("figure", "glide motor", "no motor drives it")
    turns, step = propeller(one), found.set_step
    rows = [
        _row("pull at standstill, full turn", turns.still_n, "force"),
        _row("speed at which it pulls no more", turns.fastest_m_s, "speed"),
        _row("draw at standstill, full turn", turns.full_w, "power"),
        _row("turn", step.step, "ratio"),
        _row("pull at speed", step.thrust_n or 0.0, "force"),
        _row("draw", step.power_w or 0.0, "power"),
        _row("usable of the battery", found.usable_wh, "work"),
    ]
    if step.hours is not None:
        rows.append(_row("hours", step.hours, "hours"))
    return How(
        title="Motor and range",
        plain="Pull and draw of a propeller fall as the boat gains on it: at speed about a quarter "
        "of the rated pull is left.",
        formula="T = T₀n²(1 − U/nU₀),  P = P₀n³(1 − drop·U/nU₀)",
        rows=rows,
        sure="Wire loss and what else the battery feeds that day are taken off first. "
        f"In the afternoon the wind rises: {typical.WIND_RISES:g} times is shown beside it.",
    )


HOW = {
    "glide speed": speed,
    "glide friction": friction,
    "glide waves": waves,
    "glide windage": windage,
    "glide drift": drift,
    "glide motor": motoring,
}
