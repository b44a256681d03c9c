"""What the core answers about calibration tests: fits, residuals, and what they changed."""

from neat_hull.model.base import Answer


class MarkFit(Answer):
    """Freeboard at x: measured, and as modelled before and after the fit, in m."""

    x_m: float
    measured_m: float
    before_m: float
    after_m: float


class FloatFit(Answer):
    """How much fuller (positive) or finer the hull is than its tape said, at bow and stern."""

    fullness_fore: float
    fullness_aft: float
    rms_before_m: float
    rms_after_m: float
    marks: list[MarkFit]


class TiltPoint(Answer):
    """One reading and how far it lies off the fitted line."""

    moment_kg_m: float
    heel_deg: float
    residual_deg: float


class TiltFit(Answer):
    """GM with its standard error, and the hull's own KG; `mismatch` says why there is none."""

    gm_m: float
    gm_se_m: float | None
    gm_off_m: float
    start_deg: float
    displacement_kg: float
    points: list[TiltPoint]
    hull_vcg_m: float | None
    mismatch: str | None


class LiftFit(Answer):
    """The hull's mass and LCG from two scales, beside the mass that was typed."""

    hull_mass_kg: float
    hull_lcg_m: float
    typed_mass_kg: float


class CalibrationReport(Answer):
    """A fit for each test that was made, or what keeps it from being fitted."""

    float_test: FloatFit | None
    float_trouble: str | None
    tilt_test: TiltFit | None
    tilt_trouble: str | None
    lift_test: LiftFit | None
