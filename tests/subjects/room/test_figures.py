"""What is in the way: against cases worked out by hand, and by laws."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from shapely import Polygon
from tests import judged
from tests.examples import examples
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
    setup,
)

from neat_hull.model.room import Clash
from neat_hull.model.setup import Setup
from neat_hull.rig.rigging import rig
from neat_hull.subjects.room.envelopes import corners_m, needed
from neat_hull.subjects.room.figures import clashes, too_near
from neat_hull.subjects.room.lids import lids
from neat_hull.whole.drawing import drawing
from neat_hull.whole.evaluate import evaluated


def found(of: Setup, envelope: str | None = None) -> list[Clash]:
    """All clashes, or those with one envelope."""
    every = evaluated(of).once(clashes)
    return every if envelope is None else [one for one in every if one.envelope == envelope]


def with_boat(of: Setup, **changes: object) -> Setup:
    """On a boat a little different."""
    return of.model_copy(update={"boat": of.boat.model_copy(update=changes)})


def test_two_boxes_into_each_other_say_how_far_and_how_to_clear_it() -> None:
    """34 and 30 cm long with middles 30 cm apart: 2 cm into each other, along the boat."""
    (one,) = found(setup(crate=at(0.5, 0.0, z_m=0.6), tray=at(0.8, 0.0, z_m=0.7)))
    assert (one.thing_id, one.with_thing, one.verdict) == (CRATE, TRAY, "fix")
    assert one.gap_m == pytest.approx(-0.02)
    assert one.clear.text == "Move Crate {} toward the stern"
    assert one.clear.amounts[0].value == pytest.approx(0.02)


def test_where_things_are_too_near_is_what_their_clashes_tell() -> None:
    """At first, and where one was moved: what did not stand by is taken from before."""
    full = judged.FULL
    ev = evaluated(full)
    assert len(ev.once(clashes)) > 1
    moved = full.model_copy(update={"places": {**full.places, judged.CRATE: at(1.5, 0.1)}})
    for one in (ev, evaluated(moved, before=ev)):
        told = [clash.model_dump(exclude={"what", "clear"}) for clash in one.once(clashes)]
        assert [near.model_dump() for near in one.once(too_near)] == told


def test_boxes_that_touch_or_barely_press_are_let_be() -> None:
    for x in (0.82, 0.812):  # touching, and 8 mm into each other
        assert found(setup(crate=at(0.5, 0.0, z_m=0.6), tray=at(x, 0.0, z_m=0.7))) == []


def test_what_stands_in_or_on_another_does_not_clash_with_it() -> None:
    nested = setup(crate=at(0.5, z_m=0.6), tray=at(on=IN_CRATE),
                   holder=at(on=on("thing", thing=CRATE)))  # fmt: skip
    assert found(nested) == []


def test_a_butt_in_the_thigh_is_told_and_turning_the_holder_clears_it() -> None:
    """A holder before the seat whose tube slopes back over the legs."""

    def with_turn(turn: float) -> Setup:
        return setup(
            holder=at(2.0, 0.24, z_m=0.30, turn_deg=turn, tilt_deg=10.0),
            rod=at(bury_m=0.5, on=on("thing", thing=HOLDER, where="in")),
        )

    toward = [one for one in found(with_turn(25.0)) if one.thing_id == ROD and one.envelope]
    assert "port thigh" in {one.envelope for one in toward}
    thigh = next(one for one in toward if one.envelope == "port thigh")
    assert thigh.what == "your left thigh"
    assert thigh.gap_m < 0.02
    away = [one for one in found(with_turn(-40.0), "port thigh") if one.thing_id == ROD]
    assert away == []


def test_two_rods_closer_than_a_hand_is_wide_knock() -> None:
    pair = setup(rod=at(1.0, 0.5, z_m=0.9))
    other = {501: THINGS[ROD]}
    for aside, near in ((0.045, True), (0.06, False)):
        both = pair.model_copy(
            update={
                "things": pair.things | other,
                "places": pair.places | {501: at(1.0, 0.5 + aside, z_m=0.9)},
            }
        )
        seen = [one for one in found(both) if one.with_thing is not None]
        # 2 cm thick rods: 25 and 40 mm of air; but their reels, 9 cm across, meet as well
        reels = [one for one in seen if one.gap_m < 0]
        assert bool(seen) is (near or bool(reels))


@pytest.mark.parametrize(("kind", "counts"), [("paddle", True), ("crank", False)])
def test_the_stroke_counts_for_those_who_paddle(kind: str, counts: bool) -> None:
    on_rail = with_boat(setup(tray=at(1.9, 0.42, z_m=0.37)), propulsion=kind)
    assert bool(found(on_rail, "stroke port")) is counts
    assert found(on_rail, "stroke starboard") == []


def test_pedals_need_their_circle() -> None:
    here = setup(tray=at(DEMO.seat.brace_x_m, 0.0, z_m=0.25))
    assert found(with_boat(here, propulsion="crank"), "pedals")
    assert found(with_boat(here, propulsion="paddle"), "pedals") == []
    drive = otherwise(here.things[TRAY], part="drive")
    mine = here.model_copy(update={"things": here.things | {TRAY: drive}})
    assert found(with_boat(mine, propulsion="crank"), "pedals") == []  # it belongs there


def test_standing_feet_count_for_one_who_stands() -> None:
    there = setup(tray=at(1.85, 0.0))
    assert found(there, "feet") == []
    assert found(there.model_copy(update={"posture": "stands"}), "feet")


def test_a_tall_thing_behind_the_casting_shoulder_is_in_the_back_cast() -> None:
    pole = otherwise(THINGS[ROD], shape="pole", rod=None, length_m=1.5)

    def with_pole(y: float, casts: str) -> list[Clash]:
        whole = setup(rod=at(0.8, y, z_m=0.3, tilt_deg=90.0))
        angler = whole.angler.model_copy(update={"casts": casts})
        return found(whole.model_copy(update={"things": whole.things | {ROD: pole},
                                              "angler": angler}), "back cast")  # fmt: skip

    assert with_pole(-0.45, "starboard")
    assert with_pole(-0.45, "port") == []
    assert with_pole(0.45, "port")


def test_a_lid_needs_the_air_over_it_but_not_what_is_in_it() -> None:
    shut = {CRATE: otherwise(THINGS[CRATE], container={"opens": "lid"})}
    whole = setup(crate=at(0.5, z_m=0.6), tray=at(on=IN_CRATE))
    whole = whole.model_copy(update={"things": whole.things | shut})
    assert found(whole) == []
    over = whole.model_copy(update={"places": whole.places | {TRAY: at(0.5, z_m=1.0)}})
    (one,) = found(over)
    assert one.what == "the lid of Crate"
    on_top = whole.model_copy(
        update={"places": whole.places | {TRAY: at(on=on("thing", thing=CRATE))}}
    )
    assert [clash.what for clash in found(on_top)] == ["the lid of Crate"]


def test_what_is_worn_or_below_is_in_nobodys_way() -> None:
    assert found(setup(tray=at(on=on("body")))) == []
    hatch = on("fitting", name="Bow hatch", where="in")
    assert found(setup(tray=at(on=hatch))) == []
    assert found(setup(tray=at(0.2, on=on("seat", where="under")))) == []


@examples(30)
@given(st.floats(0.4, 3.2), st.floats(-0.5, 0.5), st.floats(0.1, 0.9), st.floats(-180, 180))
def test_doing_as_told_clears(x: float, y: float, z: float, turn: float) -> None:
    """Each way out, followed alone, ends that clash."""
    whole = setup(tray=at(x, y, z_m=z, turn_deg=turn), crate=at(1.0, 0.0, z_m=0.4))
    for clash in found(whole):
        if clash.thing_id != TRAY:
            continue
        far = clash.clear.amounts[0].value + 1e-3
        way = {"toward the bow": (1, 0, 0), "toward the stern": (-1, 0, 0), "to port": (0, 1, 0),
               "to starboard": (0, -1, 0), "": (0, 0, 1),
               "toward the bow and to port": (0.5**0.5, 0.5**0.5, 0),
               "toward the bow and to starboard": (0.5**0.5, -(0.5**0.5), 0),
               "toward the stern and to port": (-(0.5**0.5), 0.5**0.5, 0),
               "toward the stern and to starboard": (-(0.5**0.5), -(0.5**0.5), 0),
               }[clash.clear.text.split("{}")[1].strip()]  # fmt: skip
        moved = at(x + far * way[0], y + far * way[1], z_m=z + far * way[2], turn_deg=turn)
        after = whole.model_copy(update={"places": whole.places | {TRAY: moved}})
        key = (clash.with_thing, clash.envelope)
        assert key not in {(c.with_thing, c.envelope) for c in found(after) if c.thing_id == TRAY}


@examples(30)
@given(st.floats(0.6, 3.0), st.floats(0.05, 0.5), st.floats(0.15, 0.6))
def test_port_and_starboard_are_alike(x: float, y: float, z: float) -> None:
    """Mirrored, the same clashes on the other side, but for what is one-sided by choice."""

    def gaps(side: float) -> list[tuple[str, float]]:
        names = {"port": "starboard", "starboard": "port", "left": "right", "right": "left"}
        seen = [one for one in found(setup(tray=at(x, side * y, z_m=z)))
                if (one.envelope or "").split()[0] not in ("fight", "remount", "back")]  # fmt: skip
        return sorted(
            (" ".join(names.get(word, word) for word in one.what.split()) if side < 0
             else one.what, round(one.gap_m, 3))
            for one in seen
        )  # fmt: skip

    port, starboard = gaps(1.0), gaps(-1.0)
    assert [name for name, _ in port] == [name for name, _ in starboard]
    assert [gap for _, gap in port] == pytest.approx([gap for _, gap in starboard], abs=2e-3)


@pytest.mark.parametrize("kind", ["paddle", "crank", "push", "motor bow", "motor side",
                                  "motor stern"])  # fmt: skip
def test_every_propulsion_has_its_envelopes_with_outlines_to_draw(kind: str) -> None:
    boat = with_boat(setup(), propulsion=kind)
    keys = {one.key for one in needed(rig(boat))}
    assert {"stroke port", "stroke starboard", "feet", "fight", "back cast", "remount",
            "port thigh", "starboard foot", "trunk"} <= keys  # fmt: skip
    assert ("pedals" in keys) is (kind in ("crank", "push"))
    assert ("motor" in keys) is kind.startswith("motor")
    for one in drawing(boat).envelopes:
        for outline in (one.plan, one.side):
            assert Polygon(outline).is_valid
            assert Polygon(outline).area > 1e-4, one.key


def test_an_outline_holds_all_of_its_solid() -> None:
    for one in [*needed(rig(setup())), *lids(rig(setup()))]:
        spots = corners_m(one.solids)
        assert np.isfinite(spots).all()
        middle = one.solids.middle_m
        assert (spots.min(axis=0) <= middle.min(axis=0) + 1e-9).all()
        assert (spots.max(axis=0) >= middle.max(axis=0) - 1e-9).all()
