"""Tests of the real boat: their raw readings, whether they are used, and what they changed."""

from pydantic import Field

from neat_hull.model.base import Model
from neat_hull.model.water import Water


class FloatMark(Model):
    """Height of the gunwale over the water at x, mean of both sides."""

    x_m: float
    freeboard_m: float = Field(ge=-0.2, le=1.0)


class FloatTest(Model):
    """Known weight aboard, and how high the gunwale stands at two to six places.

    The load is everything besides the bare boat. fullness_fore and fullness_aft are what the fit
    found; null until it has run. low_down says that they are those of the bottom and the bilge; of
    older fits they are those of the whole side.
    """

    used: bool
    water: Water
    load_kg: float = Field(ge=0, le=600)
    load_x_m: float
    load_z_m: float
    marks: list[FloatMark] = Field(min_length=2, max_length=6)
    fullness_fore: float | None = None
    fullness_aft: float | None = None
    low_down: bool = False


class TiltReading(Model):
    """A weight that stands off the middle, and the angle read; both positive to starboard."""

    mass_kg: float = Field(gt=0, le=200)
    offset_m: float = Field(ge=-1.5, le=1.5)
    heel_deg: float = Field(ge=-30, le=30)


class TiltTest(Model):
    """Weights moved sideways, angles read. The load is everything besides the bare boat, weights
    included, with them on the centreline.

    gm_m with its standard error gm_se_m and ± gm_off_m, and hull_vcg_m, are what the fit found;
    null until it has run.
    """

    used: bool
    water: Water
    load_kg: float = Field(gt=0, le=600)
    load_x_m: float
    load_z_m: float
    readings: list[TiltReading] = Field(max_length=20)
    gm_m: float | None = None
    gm_se_m: float | None = None
    gm_off_m: float | None = None
    hull_vcg_m: float | None = None


class LiftTest(Model):
    """Scale readings at two lifting places of the bare boat, and where these are."""

    used: bool
    bow_kg: float = Field(gt=0, le=300)
    bow_x_m: float
    stern_kg: float = Field(gt=0, le=300)
    stern_x_m: float


class Calibration(Model):
    """The tests made on a boat; null where none was made."""

    float_test: FloatTest | None = None
    tilt_test: TiltTest | None = None
    lift_test: LiftTest | None = None
