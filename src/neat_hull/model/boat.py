"""The boat as its owner can describe it."""

from typing import Literal

from pydantic import Field

from neat_hull.model.base import Model

Evidence = Literal["weighed", "label", "guess"]
Bottom = Literal["flat", "shallow_arch", "shallow_v", "twin_ridge", "tunnel"]
Chine = Literal["soft", "hard"]


class TapeMeasures(Model):
    """What a tape gives; the rules for each are the core's, see `physics.tape.require_tape`."""

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
    rated_kg is the maker's rating for everything aboard; null when none is known.
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
