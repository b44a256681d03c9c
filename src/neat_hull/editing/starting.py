"""A first setup from the few measures a newcomer has at hand; all else typical, to be corrected."""

from pydantic import Field, ValidationError

from neat_hull.model.base import Model, input_errors
from neat_hull.model.boat import Boat, Bottom, Evidence, TapeMeasures, WellBox
from neat_hull.model.setup import Angler, SeatPlace, Setup
from neat_hull.model.water import Water
from neat_hull.physics.body.build import HIP_HEIGHT

WORKING_SHARE = 0.70  # the middle of the 65 to 75 % most anglers keep to


class FirstMeasures(Model):
    """Length, three beams, depth and bottom of a boat, its weight and rating, and who goes."""

    setup_name: str = Field(min_length=1, max_length=80)
    boat_name: str = Field(min_length=1, max_length=80)
    length_m: float
    beam_m: float
    beam_fore_quarter_m: float
    beam_aft_quarter_m: float
    depth_m: float
    bottom: Bottom
    sit_in: bool = False
    hull_mass_kg: float = Field(gt=0, le=400)
    hull_evidence: Evidence
    rated_kg: float | None = Field(gt=0, le=2000)
    angler_name: str = Field(min_length=1, max_length=80)
    angler_mass_kg: float
    angler_evidence: Evidence
    stature_m: float
    water: Water


def starting_setup(first: FirstMeasures) -> Setup:
    """Fill in what was not measured with proportions typical of sit-on-top kayaks.

    Raises InputErrors where the proportions of odd measures are no boat.
    """
    try:
        return _filled_in(first)
    except ValidationError as error:
        raise input_errors(error.errors(include_url=False)) from error


def _filled_in(first: FirstMeasures) -> Setup:
    length, depth = first.length_m, first.depth_m
    tape = TapeMeasures(
        length_m=length,
        beam_m=first.beam_m,
        beam_at_m=0.52 * length,
        beam_fore_quarter_m=first.beam_fore_quarter_m,
        beam_aft_quarter_m=first.beam_aft_quarter_m,
        depth_m=depth,
        bow_height_m=round(1.3 * depth, 3),
        stern_height_m=round(1.2 * depth, 3),
        rocker_bow_m=0.05,
        rocker_stern_m=0.03,
        bottom=first.bottom,
        chine="soft",
    )
    floor = 0.03 if first.sit_in else round(0.48 * depth, 3)
    seat_x = 0.39 * length
    return Setup(
        name=first.setup_name,
        boat=Boat(
            name=first.boat_name,
            tape=tape,
            wells=_wells(first, floor),
            hull_mass_kg=first.hull_mass_kg,
            hull_evidence=first.hull_evidence,
            hull_lcg_m=None,
            hull_vcg_m=None,
            rated_kg=first.rated_kg,
            working_share=WORKING_SHARE,
        ),
        angler=Angler(
            name=first.angler_name,
            mass_kg=first.angler_mass_kg,
            evidence=first.angler_evidence,
            stature_m=first.stature_m,
        ),
        water=first.water,
        seat=SeatPlace(
            x_m=round(seat_x, 3),
            z_m=round(floor + 0.07, 3),
            recline_deg=14.0,
            brace_x_m=round(seat_x + 0.9 * HIP_HEIGHT * first.stature_m, 3),
            brace_z_m=round(floor + 0.015, 3),
        ),
        things={},
        places={},
    )


def _wells(first: FirstMeasures, floor_m: float) -> list[WellBox]:
    """Open wells of a sit-on-top, or the one cockpit of a sit-in: dry until its rim goes under."""
    length, beam, depth = first.length_m, first.beam_m, first.depth_m
    if first.sit_in:
        cockpit = _well("cockpit", 0.34 * length, 0.66 * length, 0.30 * beam, 0.02, depth + 0.02)
        return [cockpit.model_copy(update={"scuppers": "plugged"})]
    return [
        _well("cockpit", 0.32 * length, 0.715 * length, 0.31 * beam, floor_m, depth),
        _well("tank well", 0.09 * length, 0.29 * length, 0.29 * beam, floor_m + 0.02, depth),
    ]


def _well(
    name: str, aft_m: float, fwd_m: float, half_m: float, floor_m: float, depth_m: float
) -> WellBox:
    return WellBox(
        name=name,
        x_aft_m=round(aft_m, 3),
        x_fwd_m=round(fwd_m, 3),
        half_breadth_m=round(half_m, 3),
        floor_z_m=round(floor_m, 3),
        rim_z_m=round(depth_m, 3),
        scuppers="open",
    )
