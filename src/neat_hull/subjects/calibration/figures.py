"""What tests of the real boat say about its model: fits, residuals, and what they change.

Order matters: the lift gives mass and LCG, the float test then fits the sections under that weight,
and the tilt test reads the hull's own KG off the fitted hull.
"""

from collections.abc import Callable
from typing import TypeVar

import numpy as np

from neat_hull.errors import InputError, InputErrors, NoBalance
from neat_hull.model.boat import Boat
from neat_hull.model.calibration import FloatTest, LiftTest, TiltTest
from neat_hull.model.calibration_report import (
    CalibrationReport,
    FloatFit,
    LiftFit,
    MarkFit,
    TiltFit,
    TiltPoint,
)
from neat_hull.model.water import WATER_DENSITY_KG_M3
from neat_hull.physics.arrays import Array
from neat_hull.physics.hull.fullness import (
    USUAL,
    USUAL_LOW_BEAMS,
    Fitted,
    fit_fullness,
    mark_off_m,
)
from neat_hull.physics.hull.shape import Hull
from neat_hull.physics.water import hydrostatics
from neat_hull.physics.water.floating import FloatingHull
from neat_hull.physics.water.inclining import Inclined, gm_by_curve, gm_from_moves
from neat_hull.physics.water.loads import Loads
from neat_hull.rig.hulls import as_tested, floating_hull, hull_centre_m, lifted, shape_of

Test = TypeVar("Test")
Fit = TypeVar("Fit")

_UPRIGHT = np.zeros(1)
_HIGHEST_VCG_SHARE = 1.2  # of the depth: nothing of a bare hull reaches higher, seat off


def refit(boat: Boat) -> Boat:
    """The boat with every test fitted anew; unused ones too, so that they can be switched on.

    Raises InputErrors naming the field of a used test that cannot be; an unused one just keeps its
    readings.
    """
    float_test = boat.calibration.float_test
    if float_test is not None:
        boat = _with_test(boat, "float_test", _refit_float(boat, float_test))
    tilt_test = boat.calibration.tilt_test
    if tilt_test is not None:
        boat = _with_test(boat, "tilt_test", _refit_tilt(boat, tilt_test))
    return boat


def _refit_float(boat: Boat, test: FloatTest) -> FloatTest:
    fore = aft = None
    try:
        fit = _float_fit(boat, test)
        fore, aft = fit.fore, fit.aft
    except InputErrors:
        if test.used:
            raise
    return test.model_copy(update={"fullness_fore": fore, "fullness_aft": aft, "low_down": True})


def _refit_tilt(boat: Boat, test: TiltTest) -> TiltTest:
    gm = se = off = vcg = None
    try:
        inclined, hull_vcg = _tilt_fit(boat, test)
        gm, se, off = inclined.gm_m, inclined.gm_se_m, inclined.gm_off_m
        vcg = hull_vcg if _plausible(boat, hull_vcg) else None
    except InputErrors:
        if test.used:
            raise
    return test.model_copy(update={"gm_m": gm, "gm_se_m": se, "gm_off_m": off, "hull_vcg_m": vcg})


def report(boat: Boat) -> CalibrationReport:
    """Residuals of each test and what it changed; a test that cannot be fitted says why."""
    lift = boat.calibration.lift_test
    floated, float_trouble = _tried(_float_report, boat, boat.calibration.float_test)
    tilted, tilt_trouble = _tried(_tilt_report, boat, boat.calibration.tilt_test)
    return CalibrationReport(
        float_test=floated,
        float_trouble=float_trouble,
        tilt_test=tilted,
        tilt_trouble=tilt_trouble,
        lift_test=None if lift is None else _lift_report(boat, lift),
    )


def _lift_report(boat: Boat, lift: LiftTest) -> LiftFit:
    mass, lcg = lifted(lift)
    return LiftFit(hull_mass_kg=mass, hull_lcg_m=lcg, typed_mass_kg=boat.hull_mass_kg)


def _tried(
    fit: Callable[[Boat, Test], Fit], boat: Boat, test: Test | None
) -> tuple[Fit | None, str | None]:
    if test is None:
        return None, None
    try:
        return fit(boat, test), None
    except InputErrors as wrong:
        return None, wrong.errors[0].why


def _with_test(boat: Boat, name: str, test: object) -> Boat:
    calibration = boat.calibration.model_copy(update={name: test})
    return boat.model_copy(update={"calibration": calibration})


def _test_loads(boat: Boat, test: FloatTest | TiltTest) -> Loads:
    """The bare boat and everything else in one place."""
    hull_kg, at = as_tested(boat).hull_mass_kg, [hull_centre_m(boat)]
    if test.load_kg > 0:
        at.append(np.array([test.load_x_m, 0.0, test.load_z_m]))
    return Loads(np.array([hull_kg, test.load_kg])[: len(at)], np.array(at))


def _float_fit(boat: Boat, test: FloatTest) -> Fitted:
    loads, density = _test_loads(boat, test), WATER_DENSITY_KG_M3[test.water]
    marks_x = np.array([mark.x_m for mark in test.marks])
    measured = np.array([mark.freeboard_m for mark in test.marks])
    hull = floating_hull(boat).hull
    for i, x in enumerate(marks_x):
        if not hull.x_aft_m <= x <= hull.x_fwd_m:
            raise InputErrors(
                [
                    InputError(
                        f"calibration.float_test.marks[{i}].x_m",
                        x,
                        "the mark must lie between stern and bow",
                    )
                ]
            )

    def off_m(fore: float, aft: float) -> Array:
        floating = FloatingHull.of(shape_of(boat, fore, aft), _UPRIGHT)
        held = hydrostatics.held_upright(floating, loads, density)
        if held is None:
            raise NoBalance("does not float level with this load")
        off: Array = _freeboard_m(floating.hull, held, marks_x) - measured
        return off

    try:
        known_m = mark_off_m((marks_x - hull.x_aft_m) / hull.length_m)
        low = boat.tape.low_beam_m is not None or boat.offsets is not None
        return fit_fullness(off_m, known_m, USUAL_LOW_BEAMS if low else USUAL)
    except InputError as wrong:
        raise InputErrors(
            [InputError("calibration.float_test.marks", wrong.value, wrong.why)]
        ) from wrong
    except NoBalance as trouble:
        raise InputErrors(
            [InputError("calibration.float_test.load_kg", test.load_kg, f"the boat {trouble}")]
        ) from trouble


def _freeboard_m(hull: Hull, settled: hydrostatics.Settled, x_m: Array) -> Array:
    """(n,) m: the gunwale over the water at x, mean of both sides."""
    half, height = (np.interp(x_m, hull.x_m, column) for column in hull.sheer_m.T)
    sides = [
        settled.rest.height_over_water_m(np.column_stack((x_m, side * half, height)))[0]
        for side in (1.0, -1.0)
    ]
    mean: Array = (sides[0] + sides[1]) / 2
    return mean


def _float_report(boat: Boat, test: FloatTest) -> FloatFit:
    fit = _float_fit(boat, test)
    return FloatFit(
        fullness_fore=fit.fore,
        fullness_aft=fit.aft,
        rms_before_m=float(np.sqrt(np.mean(fit.before_m**2))),
        rms_after_m=float(np.sqrt(np.mean(fit.after_m**2))),
        marks=[
            MarkFit(
                x_m=mark.x_m,
                measured_m=mark.freeboard_m,
                before_m=mark.freeboard_m + float(before),
                after_m=mark.freeboard_m + float(after),
            )
            for mark, before, after in zip(test.marks, fit.before_m, fit.after_m, strict=True)
        ],
    )


def _tilt_fit(boat: Boat, test: TiltTest) -> tuple[Inclined, float]:
    """GM on the boat's own curve, and the height of the hull's own centre that it comes to."""
    loads, floating = _test_loads(boat, test), floating_hull(boat)
    moments = np.array([one.mass_kg * one.offset_m for one in test.readings])
    heels = np.radians([one.heel_deg for one in test.readings])
    try:
        held = hydrostatics.held_upright(floating, loads, WATER_DENSITY_KG_M3[test.water])
        if held is None:
            raise InputError("load_kg", test.load_kg, "the boat does not float with this load")
        up, curve = hydrostatics.upright(held), hydrostatics.righting_curve(held, heels)
        if np.isfinite(curve.gz_m).all():
            found = gm_by_curve(loads.total_kg, moments, heels, curve.gz_m, up.gm_m)
        else:  # it would go under before it leans so far: the hull is not as it was measured
            found = gm_from_moves(loads.total_kg, moments, heels)
    except InputError as wrong:
        field = "readings" if wrong.field == "moves" else wrong.field
        raise InputErrors(
            [InputError(f"calibration.tilt_test.{field}", wrong.value, wrong.why)]
        ) from wrong
    kg = up.gm_m + up.kg_m - found.gm_m
    hull_kg = float(loads.mass_kg[0])
    return found, (kg * loads.total_kg - test.load_kg * test.load_z_m) / hull_kg


def _plausible(boat: Boat, vcg_m: float) -> bool:
    return 0.0 <= vcg_m <= _HIGHEST_VCG_SHARE * boat.tape.depth_m


def _tilt_report(boat: Boat, test: TiltTest) -> TiltFit:
    found, vcg = _tilt_fit(boat, test)
    loads = _test_loads(boat, test)
    moments = [one.mass_kg * one.offset_m for one in test.readings]
    fine = _plausible(boat, vcg)
    return TiltFit(
        gm_m=found.gm_m,
        gm_se_m=found.gm_se_m,
        gm_off_m=found.gm_off_m,
        start_deg=float(np.degrees(found.start_rad)),
        displacement_kg=loads.total_kg,
        points=[
            TiltPoint(
                moment_kg_m=moment, heel_deg=one.heel_deg, residual_deg=float(np.degrees(residual))
            )
            for moment, one, residual in zip(
                moments, test.readings, found.residual_rad, strict=True
            )
        ],
        hull_vcg_m=vcg if fine else None,
        mismatch=None
        if fine
        else (
            f"the hull's own centre of gravity would lie {100 * vcg:.0f} cm above the "
            "bottom, which no hull has: check the beams, the bottom and the weights "
            "aboard"
        ),
    )
