"""What a thing may be put on, and by how much it does not fit."""

from typing import Any

import pytest
from tests.places import (
    CRATE,
    DEMO,
    HOLDER,
    IN_CRATE,
    ROD,
    THINGS,
    TRAY,
    at,
    on,
    otherwise,
    row,
    setup,
)

from neat_hull.model.place import On, OnThing, Place
from neat_hull.model.setup import Setup
from neat_hull.model.targets import Target
from neat_hull.model.thing import Thing
from neat_hull.rig.offering import targets
from neat_hull.rig.rigging import rig


def resized(thing_id: int, length: float, width: float, height: float, **more: object) -> Thing:
    """A thing of another size."""
    size = {"length_m": length, "width_m": width, "height_m": height}
    return Thing.model_validate(THINGS[thing_id].model_dump() | size | more)


def target(of: Setup, thing_id: int, what: On) -> Target:
    """That target among all there are."""
    return next(one for one in targets(rig(of).placing, thing_id) if one.on == what)


def answer(thing: Thing, what: On, **places: Place) -> tuple[str, float] | None:
    """Why it does not go there and by how many metres; None where it does."""
    aboard = setup(crate=at(0.7), **places)
    whole = aboard.model_copy(update={"things": aboard.things | {TRAY: thing}})
    why = target(whole, TRAY, what).why
    if why is None:
        return None
    return why.text, why.amounts[0].value if why.amounts else 0.0


HATCH = on("fitting", name="Bow hatch", where="in")  # 38 × 26 cm
WELL = on("well", name="tank well")  # 74 × 52 cm
UNDER = on("seat", where="under")  # 23.5 - 16.5 = 7 cm high
TRACK = on("fitting", name="Port track")


@pytest.mark.parametrize(
    ("size", "more", "what", "why", "over"),
    [
        ((0.34, 0.22, 0.18), {}, HATCH, None, 0),  # lies flat in the mouth
        ((0.60, 0.25, 0.20), {}, HATCH, None, 0),  # goes in end first
        ((0.40, 0.42, 0.30), {}, HATCH, "too wide for the mouth of Bow hatch by {}", 0.04),
        ((0.34, 0.30, 0.28), {}, HATCH, "too wide for the mouth of Bow hatch by {}", 0.02),
        ((0.34, 0.30, 0.28), {"shape": "bag"}, HATCH, None, 0),  # a bag gives way by 15 %
        ((0.70, 0.50, 0.30), {}, WELL, None, 0),
        ((0.50, 0.70, 0.30), {}, WELL, None, 0),  # turned across
        ((0.78, 0.50, 0.30), {}, WELL, "too long for the tank well by {}", 0.04),
        ((0.70, 0.55, 0.30), {}, WELL, "too wide for the tank well by {}", 0.03),
        ((0.30, 0.20, 0.07), {}, UNDER, None, 0),
        ((0.30, 0.20, 0.10), {}, UNDER, "too high to slide under the seat by {}", 0.03),
        ((0.30, 0.20, 0.05), {}, IN_CRATE, None, 0),
        ((0.36, 0.20, 0.05), {}, IN_CRATE, "too long for Crate by {}", 0.04),
        ((0.10, 0.10, 0.40), {}, IN_CRATE, None, 0),  # stands out of an open crate
        ((0.30, 0.20, 0.05), {"fixing": {"by": "strap"}}, TRACK,
         "it is mounted with strap; Port track takes a track bolt, a ball or a plate", 0),
        ((0.30, 0.20, 0.05), {"fixing": {"by": "ball"}}, TRACK, None, 0),
    ],
)  # fmt: skip
def test_fits(
    size: tuple[float, float, float],
    more: dict[str, Any],
    what: On,
    why: str | None,
    over: float,
) -> None:
    found = answer(resized(TRAY, *size, **more), what)
    if why is None:
        assert found is None
    else:
        assert found is not None
        assert found[0] == why
        assert found[1] == pytest.approx(over)


def test_a_box_that_can_neither_lie_nor_stand_is_too_long() -> None:
    """A hold 30 cm deep, a mouth 38 long: 45 cm goes in neither way."""
    hatch = next(f for f in DEMO.boat.fittings if f.kind == "hatch")
    shallow = hatch.model_copy(update={"depth_m": 0.30})
    fittings = [shallow if f == hatch else f for f in DEMO.boat.fittings]
    boat = DEMO.boat.model_copy(update={"fittings": fittings})
    whole = setup(crate=at(0.7)).model_copy(update={"boat": boat})
    whole = whole.model_copy(
        update={"things": whole.things | {TRAY: resized(TRAY, 0.45, 0.2, 0.1)}}
    )
    why = target(whole, TRAY, HATCH).why
    assert why is not None
    assert why.text == "too long for the mouth of Bow hatch by {}"
    assert why.amounts[0].value == pytest.approx(0.07)


def test_a_lid_bars_what_is_too_high() -> None:
    aboard = setup(crate=at(0.7))
    shut = otherwise(THINGS[CRATE], container={"opens": "lid"})
    things = aboard.things | {CRATE: shut, TRAY: resized(TRAY, 0.1, 0.1, 0.4)}
    why = target(aboard.model_copy(update={"things": things}), TRAY, IN_CRATE).why
    assert why is not None
    assert why.text == "too high for Crate by {}"
    assert why.amounts[0].value == pytest.approx(0.12)


def test_a_tube_takes_one_rod() -> None:
    in_holder = on("thing", thing=HOLDER, where="in")
    whole = setup(holder=at(on=TRACK), rod=at(on=in_holder, bury_m=0.2))
    other = DEMO.model_copy(update={"things": whole.things, "places": whole.places})
    why = target(other, 7, in_holder).why
    assert why is not None
    assert why.text == "Holder holds Rod already"
    assert target(other, ROD, in_holder).why is None  # where it is


def test_ten_trays_find_their_places_in_a_crate_and_an_eleventh_does_not() -> None:
    """Each is put where the core says; two side by side on each floor, until the crate is full."""
    small = resized(TRAY, 0.30, 0.15, 0.05)
    whole = setup(crate=at(0.7))
    for thing_id in range(301, 312):
        whole = whole.model_copy(update={"things": whole.things | {thing_id: small}})
        found = target(whole, thing_id, IN_CRATE)
        if thing_id == 311:
            break
        assert found.why is None
        whole = whole.model_copy(update={"places": whole.places | {thing_id: found.place}})
        assert row(whole, thing_id).misfit is None
    heights = sorted(round(rig(whole).placing.stand(i).base_z_m, 3) for i in range(301, 311))
    floor = heights[0]
    assert heights == pytest.approx([floor + 0.05 * (n // 2) for n in range(10)])
    fuller = whole.model_copy(update={"places": whole.places | {311: found.place}})
    more = {312: small, 313: small}
    last = fuller.model_copy(update={"things": fuller.things | more})
    full = target(last, 312, IN_CRATE).why
    # 0.32 × 0.32 × 0.28 m is 28.7 litres, and twelve trays of 2.25 litres are 27
    assert full is None
    last = last.model_copy(update={"places": last.places | {312: found.place}})
    full = target(last, 313, IN_CRATE).why
    assert full is not None
    assert full.text == "Crate is full: {} too much"
    assert full.amounts[0].value == pytest.approx(13 * 0.30 * 0.15 * 0.05 - 0.32 * 0.32 * 0.28)


def test_past_the_end_of_a_track_is_a_misfit_with_its_measure() -> None:
    found = row(setup(holder=at(0.265, on=TRACK)), HOLDER).misfit
    assert found is not None
    assert found.text == "stands {} past the end of Port track"
    assert found.amounts[0].value == pytest.approx(0.04)


def test_nothing_is_set_down_on_what_lies_in_a_box_or_hatch() -> None:
    hatch = on("fitting", name="Bow hatch", where="in")
    for place in (at(on=hatch), at(0.2, on=on("seat", where="under"))):
        whole = setup(crate=at(0.7), tray=place)
        assert on("thing", thing=TRAY) not in [one.on for one in targets(rig(whole).placing, CRATE)]


def test_nothing_is_offered_on_itself_or_on_what_it_holds() -> None:
    whole = setup(crate=at(0.7), tray=at(on=IN_CRATE))
    offered = {
        one.on.thing for one in targets(rig(whole).placing, CRATE) if isinstance(one.on, OnThing)
    }
    assert not offered & {CRATE, TRAY}
