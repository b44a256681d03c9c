"""How things are come by aboard: through lids and hatches, and what the boat does meanwhile."""

import numpy as np
import pytest
from tests.places import CRATE, IN_CRATE, TRAY, at, on, otherwise, row, setup

from neat_hull.errors import InputErrors
from neat_hull.model.setup import BodyLengths, ReachLimits, Setup
from neat_hull.physics.body.postures import leaned
from neat_hull.physics.water.hydrostatics import equilibrium, settle
from neat_hull.rig.rigging import rig
from neat_hull.whole.evaluate import evaluate


def with_limits(of: Setup, **limits: object) -> Setup:
    """The same person, stiffer or one-handed."""
    angler = of.angler.model_copy(update={"limits": ReachLimits.model_validate(limits)})
    return of.model_copy(update={"angler": angler})


def opened(of: Setup, how: str) -> Setup:
    """With a crate that opens like this."""
    crate = otherwise(of.things[CRATE], container={"opens": how})
    return of.model_copy(update={"things": of.things | {CRATE: crate}})


def test_a_lean_heels_the_boat_as_the_full_solver_says() -> None:
    """The short cut along the curve, against the boat solved with the body leaned over."""
    whole = setup(tray=at(1.55, 0.95, z_m=0.45))
    found = row(whole, TRAY)
    assert found.zone == "lean"
    assert found.lean_deg is not None
    assert found.heels_deg is not None
    rigged = rig(whole)
    body = leaned(rigged.body, np.radians(found.lean_deg), arm_out=True)
    rest = equilibrium(settle(rigged.floating, rigged.loads_with(body),
                              rigged.water_density_kg_m3))  # fmt: skip
    assert np.degrees(rest.heel_rad) < -3  # to port
    assert found.heels_deg == pytest.approx(np.degrees(rest.heel_rad), abs=0.6)
    assert found.freeboard_m == pytest.approx(rest.least_freeboard_m, abs=0.012)
    assert found.margin_used is not None
    assert 0.1 < found.margin_used < 0.9


def test_port_and_starboard_lean_alike() -> None:
    port, starboard = (row(setup(tray=at(1.55, y, z_m=0.45)), TRAY) for y in (0.95, -0.95))
    assert port.heels_deg is not None
    assert starboard.heels_deg is not None
    # the tray's own list of 1 kg at 0.95 m is mirrored as well
    assert port.heels_deg == pytest.approx(-starboard.heels_deg, abs=0.1)


def test_what_is_in_hand_or_not_from_the_seat_leans_nobody() -> None:
    for place in (at(1.75, 0.3, z_m=0.4), at(3.4, 0.0)):
        found = row(setup(tray=place), TRAY)
        assert found.zone in ("hand", "leave")
        assert (found.heels_deg, found.lean_deg, found.margin_used) == (None, None, None)


def test_what_is_out_of_the_seat_can_be_got_on_ones_knees() -> None:
    assert row(setup(tray=at(2.9, 0.1, z_m=0.4)), TRAY).zone == "leave"


def test_a_hatch_that_the_seat_does_not_come_to_is_for_ashore() -> None:
    hatch = on("fitting", name="Bow hatch", where="in")
    found = row(setup(tray=at(on=hatch)), TRAY)
    assert found.zone == "ashore"
    assert found.steps == ["open Bow hatch"]


def test_what_stands_over_a_hatch_is_moved_aside_first() -> None:
    hatch = on("fitting", name="Bow hatch", where="in")
    found = row(setup(tray=at(on=hatch), crate=at(3.0, 0.0, z_m=0.40)), TRAY)
    assert found.steps == ["move Crate aside", "open Bow hatch"]


def test_a_pocket_of_what_is_worn_is_in_hand() -> None:
    """A radio in the pocket of a vest: on the body, and it goes with it."""
    whole = opened(setup(crate=at(on=on("body")), tray=at(on=IN_CRATE)), "zip")
    found = row(whole, TRAY)
    assert (found.zone, found.where, found.steps) == ("hand", "On you", [])


@pytest.mark.parametrize(
    ("how", "first"),
    [("open", []), ("lid", ["open the lid of Crate"]), ("zip", ["unzip Crate"])],
)
def test_what_is_in_a_box_is_got_through_its_lid(how: str, first: list[str]) -> None:
    found = row(opened(setup(crate=at(1.1), tray=at(on=IN_CRATE)), how), TRAY)
    assert found.steps == first


def test_what_lies_over_it_and_on_the_lid_comes_off_first() -> None:
    whole = opened(setup(crate=at(1.1), tray=at(on=IN_CRATE, order=2),
                         holder=at(on=on("thing", thing=CRATE))), "lid")  # fmt: skip
    upper = whole.things[TRAY].model_copy(update={"name": "Upper"})
    places = whole.places | {301: at(on=IN_CRATE, order=1)}
    whole = whole.model_copy(update={"things": whole.things | {301: upper}, "places": places})
    assert row(whole, TRAY).steps == [
        "take off Holder", "open the lid of Crate", "take out Upper",
    ]  # fmt: skip
    assert row(whole, 301).steps == ["take off Holder", "open the lid of Crate"]


def test_a_stiff_back_and_one_arm_are_served() -> None:
    whole = setup(tray=at(1.55, -0.95, z_m=0.45))
    assert row(whole, TRAY).zone == "lean"
    stiff = {"pitch_deg": 0.0, "lean_port_deg": 0.0, "lean_starboard_deg": 0.0,
             "twist_port_deg": 0.0, "twist_starboard_deg": 0.0}  # fmt: skip
    assert row(with_limits(whole, **stiff), TRAY).zone in ("leave", "ashore")
    one_armed = row(with_limits(whole, hands="port"), TRAY)
    assert one_armed.zone != "hand"
    assert one_armed.short_m > row(whole, TRAY).short_m


def test_a_longer_arm_by_the_tape_comes_further() -> None:
    spot = setup(tray=at(2.42, 0.2, z_m=0.5))

    def measured(arm_m: float) -> float:
        lengths = BodyLengths(wall_to_fingertip_m=arm_m)
        angler = spot.angler.model_copy(update={"lengths": lengths})
        return row(spot.model_copy(update={"angler": angler}), TRAY).short_m

    assert measured(0.80) - measured(0.90) == pytest.approx(
        # the grip is half a hand short of the fingertips
        0.10 * (0.186 + 0.146 + 0.054) / 0.44, abs=1e-6,
    )  # fmt: skip


@pytest.mark.parametrize(("name", "value"), [("wall_to_fingertip_m", 0.3), ("foot_m", 0.6)])
def test_a_length_that_no_body_has_is_refused_by_name(name: str, value: float) -> None:
    whole = setup(tray=at(1.5))
    lengths = BodyLengths.model_validate({name: value})
    angler = whole.angler.model_copy(update={"lengths": lengths})
    with pytest.raises(InputErrors) as wrong:
        evaluate(whole.model_copy(update={"angler": angler}))
    assert [e.field for e in wrong.value.errors] == [f"angler.lengths.{name}"]


def test_a_boat_that_goes_over_still_says_who_reaches_what() -> None:
    whole = setup(tray=at(1.55, 0.95, z_m=0.45))
    light = whole.things[TRAY].model_copy(update={"mass_kg": 280.0})
    sunk = evaluate(whole.model_copy(update={"things": whole.things | {TRAY: light}}))
    assert sunk.trouble is not None
    assert sunk.aboard[0].zone == "lean"
    assert sunk.aboard[0].heels_deg is None
