"""The boat as its owner can describe it."""

from typing import Annotated, Literal

from pydantic import Field

from neat_hull.model.base import Model
from neat_hull.model.calibration import Calibration

Evidence = Literal["weighed", "label", "guess"]
Bottom = Literal["flat", "shallow_arch", "shallow_v", "twin_ridge", "tunnel"]
Chine = Literal["soft", "hard"]


TapeField = Literal[
    "beam_at_m", "beam_fore_quarter_m", "beam_aft_quarter_m", "depth_m", "bow_height_m",
    "stern_height_m", "rocker_bow_m", "rocker_stern_m", "bottom", "chine",
]  # fmt: skip
Propulsion = Literal["paddle", "crank", "push", "motor bow", "motor side", "motor stern"]


class AssumedMeasures(Model):
    """Which of a boat's measures are typical values that nobody has taken or confirmed."""

    beam_at_m: bool = False
    beam_fore_quarter_m: bool = False
    beam_aft_quarter_m: bool = False
    depth_m: bool = False
    bow_height_m: bool = False
    stern_height_m: bool = False
    rocker_bow_m: bool = False
    rocker_stern_m: bool = False
    bottom: bool = False
    chine: bool = False


class TapeMeasures(Model):
    """What a tape gives; the rules for each are the core's, see `physics.tape.require_tape`.

    bottom_beam_m is the breadth of the bottom at the turn of the bilge amidships, null for what is
    typical of the chine; stern_beam_m is the breadth of a transom, 0 for a pointed stern. low_beam*
    are breadths a hand's breadth (10 cm) over the ground, hollow_m how far a tunnel, V or arch
    stands off it; null where nobody has taken them.
    """

    length_m: float
    beam_m: float
    beam_at_m: float
    beam_fore_quarter_m: float
    beam_aft_quarter_m: float
    depth_m: float
    bow_height_m: float
    stern_height_m: float
    rocker_bow_m: float
    rocker_stern_m: float
    bottom: Bottom
    chine: Chine
    bottom_beam_m: float | None = None
    stern_beam_m: float = 0.0
    low_beam_m: float | None = None
    low_beam_fore_m: float | None = None
    low_beam_aft_m: float | None = None
    hollow_m: float | None = None
    assumed: AssumedMeasures = AssumedMeasures()


class OffsetStation(Model):
    """A measured half-section, [y, z] from keel to sheer, at x from the stern."""

    x_m: float
    points_m: list[tuple[float, float]] = Field(min_length=1, max_length=200)


class MeasuredPoint(Model):
    """A point of the outside measured to check the model: x from the stern, y off the middle."""

    x_m: float
    y_m: float = Field(ge=0, le=1.5)
    z_m: float = Field(ge=0, le=1.5)


class FittingBase(Model):
    """Something the boat has: by its middle; length along the boat, for tracks and the like.

    lost_m3 is the volume it takes out of the hull under water: a scupper tube, a drive well.
    """

    name: str = Field(min_length=1, max_length=60)
    x_m: float
    y_m: float = Field(ge=-1.5, le=1.5)
    z_m: float = Field(ge=-0.3, le=1.5)
    length_m: float = Field(default=0.0, ge=0, le=6)
    width_m: float = Field(default=0.0, ge=0, le=2)
    lost_m3: float = Field(default=0.0, ge=0, le=0.2)


class Track(FittingBase):
    """A slot that mounts slide along and are bolted in."""

    kind: Literal["track"] = "track"


class SeatRail(FittingBase):
    """A rail beside the seat."""

    kind: Literal["seat rail"] = "seat rail"


class Hatch(FittingBase):
    """A lid in the deck; length and width are of its mouth, depth_m to its floor, 0: not known."""

    kind: Literal["hatch"] = "hatch"
    depth_m: float = Field(default=0.0, ge=0, le=2)


class FlushTube(FittingBase):
    """A tube let into the deck; points to bearing_deg, from the bow toward port, at elevation_deg
    off level."""

    kind: Literal["flush tube"] = "flush tube"
    depth_m: float = Field(default=0.0, ge=0, le=2)
    bearing_deg: float = Field(default=0.0, ge=-360, le=360)
    elevation_deg: float = Field(default=70.0, ge=0, le=90)


class Scupper(FittingBase):
    """A tube that lets water off the deck."""

    kind: Literal["scupper"] = "scupper"


class Handle(FittingBase):
    """What the boat is lifted by."""

    kind: Literal["handle"] = "handle"


class Cleat(FittingBase):
    """Where a line from an anchor is made fast; a trolley counts where it is set."""

    kind: Literal["cleat"] = "cleat"


class FootBrace(FittingBase):
    """What the feet push against."""

    kind: Literal["foot brace"] = "foot brace"


class DriveWell(FittingBase):
    """What a pedal drive is dropped into."""

    kind: Literal["drive"] = "drive"


class RudderMount(FittingBase):
    """What a rudder hangs on."""

    kind: Literal["rudder"] = "rudder"


class Recess(FittingBase):
    """A pocket in the deck."""

    kind: Literal["recess"] = "recess"


Fitting = Annotated[
    Track
    | SeatRail
    | Hatch
    | FlushTube
    | Scupper
    | Handle
    | Cleat
    | FootBrace
    | DriveWell
    | RudderMount
    | Recess,
    Field(discriminator="kind"),
]


class WellBox(Model):
    """A recess in the deck; x from the stern, z from the lowest point of the hull."""

    name: str = Field(min_length=1, max_length=60)
    x_aft_m: float
    x_fwd_m: float
    half_breadth_m: float
    floor_z_m: float
    rim_z_m: float
    scuppers: Literal["open", "plugged"]


class Boat(Model):
    """A boat: its measures, its wells, its own weight and what its maker allows aboard.

    hull_lcg_m and hull_vcg_m are the bare hull's centre of gravity; null asks for a typical place.
    rated_kg is the maker's rating; null when none is known. offsets replace the lines that the tape
    gives. What the tests in calibration found, while used, goes before what is typed here.
    """

    name: str = Field(min_length=1, max_length=80)
    tape: TapeMeasures
    wells: list[WellBox] = Field(max_length=12)
    hull_mass_kg: float = Field(gt=0, le=400)
    hull_evidence: Evidence
    hull_lcg_m: float | None
    hull_vcg_m: float | None
    rated_kg: float | None = Field(gt=0, le=2000)
    working_share: float = Field(ge=0.4, le=1.0)
    rating_covers: Literal["all aboard", "all aboard and the boat"] = "all aboard"
    propulsion: Propulsion = "paddle"
    offsets: list[OffsetStation] | None = Field(default=None, max_length=400)
    measured: list[MeasuredPoint] = Field(default=[], max_length=200)
    fittings: list[Fitting] = Field(default=[], max_length=200)
    calibration: Calibration = Calibration()
