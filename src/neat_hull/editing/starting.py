"""A first setup from what a newcomer has at hand; all else typical, marked so, to be corrected."""

from collections import Counter

from pydantic import Field, ValidationError

from neat_hull.editing.stowing import usual_places
from neat_hull.errors import InputError
from neat_hull.model.base import input_errors
from neat_hull.model.boat import Boat, DriveWell, Evidence, WellBox
from neat_hull.model.kit import KitItem
from neat_hull.model.setup import Angler, SeatPlace, Setup
from neat_hull.model.water import Water
from neat_hull.physics.body.build import HIP_HEIGHT
from neat_hull.rig.hulls import require_measures
from neat_hull.rig.typical import SEAT_AT, KnownMeasures, typical_hull_kg, typical_tape

WORKING_SHARE = 0.70  # the middle of the 65 to 75 % most anglers keep to
ANGLER_KG, STATURE_M = 80.0, 1.75  # dressed for the water; of grown-ups of either sex, the middle
PAN_M, SIT_IN_PAN_M = 0.07, 0.025  # of the seat, over the floor under it
DRIVE_AHEAD_M, DRIVE_LOST_M3 = 0.68, 0.0022  # of the seat's corner; water that its well lets in


class FirstMeasures(KnownMeasures):
    """What is known of a boat and of who goes in it, and what is taken along.

    Null where nobody has measured or weighed: a typical value stands in, marked as such. kit: names
    of generic things of the catalogue, one for each piece.
    """

    setup_name: str = Field(default="First setup", min_length=1, max_length=80)
    boat_name: str = Field(min_length=1, max_length=80)
    sit_in: bool = False
    pedals: bool = False
    seat_x_m: float | None = None
    hull_mass_kg: float | None = Field(default=None, gt=0, le=400)
    hull_evidence: Evidence = "guess"
    rated_kg: float | None = Field(default=None, gt=0, le=2000)
    angler_name: str = Field(default="Me", min_length=1, max_length=80)
    angler_mass_kg: float | None = None
    angler_evidence: Evidence = "guess"
    stature_m: float | None = None
    water: Water = "fresh"
    kit: list[str] = Field(default=[], max_length=100)


def starting_setup(first: FirstMeasures, catalog: tuple[KitItem, ...] = ()) -> Setup:
    """Fill in what was not measured with proportions typical of fishing kayaks.

    Raises InputErrors where the proportions of odd measures are no boat, InputError for kit that
    `catalog` has not.
    """
    offered = {item.thing.name: item for item in catalog}
    for name in first.kit:
        if name not in offered:
            raise InputError("kit", name, "is not in the list of generic gear")
    try:
        bare = _filled_in(first)
        taken: Counter[str] = Counter()
        kit = [_another(offered[name], taken) for name in first.kit]
        return usual_places(bare, kit) if kit else bare
    except ValidationError as error:
        raise input_errors(error.errors(include_url=False)) from error


def _another(item: KitItem, taken: Counter[str]) -> KitItem:
    """A piece of its own name: the second is told from the first by a number."""
    name = item.thing.name
    taken[name] += 1
    if taken[name] == 1:
        return item
    thing = item.thing.model_copy(update={"name": f"{name} {taken[name]}"})
    return item.model_copy(update={"thing": thing})


def _filled_in(first: FirstMeasures) -> Setup:
    tape = typical_tape(first, sit_in=first.sit_in)
    # What is derived from odd measures would be refused instead, under names nobody typed.
    require_measures(tape)
    length, depth = tape.length_m, tape.depth_m
    weighs = first.hull_mass_kg
    floor = 0.03 if first.sit_in else round(0.48 * depth, 3)
    seat_x = first.seat_x_m if first.seat_x_m is not None else round(SEAT_AT * length, 3)
    stature = first.stature_m if first.stature_m is not None else STATURE_M
    mass = first.angler_mass_kg
    drive = DriveWell(name="Drive well", x_m=round(seat_x + DRIVE_AHEAD_M, 3), y_m=0.0,
                      z_m=0.06, lost_m3=DRIVE_LOST_M3)  # fmt: skip
    return Setup(
        name=first.setup_name,
        boat=Boat(
            name=first.boat_name,
            tape=tape,
            wells=_wells(length, tape.beam_m, depth, floor, sit_in=first.sit_in),
            hull_mass_kg=weighs if weighs is not None
            else typical_hull_kg(length, tape.beam_m, sit_in=first.sit_in),
            hull_evidence="guess" if weighs is None else first.hull_evidence,
            hull_lcg_m=None,
            hull_vcg_m=None,
            rated_kg=first.rated_kg,
            working_share=WORKING_SHARE,
            propulsion="crank" if first.pedals else "paddle",
            fittings=[drive] if first.pedals else [],
        ),
        angler=Angler(
            name=first.angler_name,
            mass_kg=ANGLER_KG if mass is None else mass,
            evidence="guess" if mass is None else first.angler_evidence,
            stature_m=stature,
        ),
        water=first.water,
        seat=SeatPlace(
            x_m=seat_x,
            z_m=round(floor + (SIT_IN_PAN_M if first.sit_in else PAN_M), 3),
            recline_deg=14.0,
            brace_x_m=round(seat_x + 0.9 * HIP_HEIGHT * stature, 3),
            brace_z_m=round(floor + 0.015, 3),
            assumed=first.seat_x_m is None,
        ),
        things={},
        places={},
    )  # fmt: skip


def _wells(
    length_m: float, beam_m: float, depth_m: float, floor_m: float, *, sit_in: bool
) -> list[WellBox]:
    """Open wells of a sit-on-top, or the one cockpit of a sit-in: dry until its rim goes under."""
    if sit_in:
        cockpit = _well(
            "cockpit", 0.34 * length_m, 0.66 * length_m, 0.30 * beam_m, 0.02, depth_m + 0.02
        )
        return [cockpit.model_copy(update={"scuppers": "plugged"})]
    return [
        _well("cockpit", 0.32 * length_m, 0.715 * length_m, 0.31 * beam_m, floor_m, depth_m),
        # As far aft and as wide as leaves a rim about it: there the sides draw in.
        _well(
            "tank well", 0.115 * length_m, 0.29 * length_m, 0.25 * beam_m, floor_m + 0.02, depth_m
        ),
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
