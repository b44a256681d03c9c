"""The hull from a tape keeps its measures, runs fair, and floats."""

from dataclasses import replace

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.boats import FRESH, afloat, loads
from tests.examples import examples

from neat_hull.errors import InputErrors
from neat_hull.physics.hull.lattice import outline_at
from neat_hull.physics.hull.shape import Hull, require_hull
from neat_hull.physics.hull.tape import (
    Bottom,
    Chine,
    Tape,
    half_breadth_m,
    require_tape,
    sheer_m,
    stations_from_tape,
)
from neat_hull.physics.water.floating import FloatingHull
from neat_hull.physics.water.hydrostatics import equilibrium, settle, upright

TAPE = Tape(
    length_m=3.66, beam_m=0.88, beam_at_m=1.92, beam_fore_quarter_m=0.68, beam_aft_quarter_m=0.77,
    depth_m=0.34, bow_height_m=0.46, stern_height_m=0.41, rocker_bow_m=0.05, rocker_stern_m=0.03,
    bottom="twin_ridge", chine="soft",
)  # fmt: skip


def test_the_measured_beams_and_heights_are_met() -> None:
    """Quarter places count from the ends; x runs from the stern."""
    at = np.array([3.66 / 4, 3.66 - 1.92, 3.66 * 3 / 4])
    assert 2 * half_breadth_m(TAPE, at) == pytest.approx([0.77, 0.88, 0.68])
    assert sheer_m(TAPE, np.array([0.0, 1.83, 3.66])) == pytest.approx([0.41, 0.34, 0.46])


BOTTOMS: list[Bottom] = ["flat", "shallow_arch", "shallow_v", "twin_ridge", "tunnel"]
CHINES: list[Chine] = ["soft", "hard"]


@pytest.mark.parametrize("bottom", BOTTOMS)
@pytest.mark.parametrize("chine", CHINES)
def test_every_bottom_makes_a_sound_hull(bottom: Bottom, chine: Chine) -> None:
    hull = Hull(stations_from_tape(replace(TAPE, bottom=bottom, chine=chine)))
    require_hull(hull)
    assert 2 * hull.half_breadth_m.max() == pytest.approx(0.88, rel=1e-9)
    # the lowest line falls to the middle and rises again, without a bump
    turns = np.sign(np.diff(hull.keel_z_m))
    assert (np.diff(turns[turns != 0]) >= 0).all()
    middle = outline_at(hull, 1.83)
    assert middle[:, 1].min() == pytest.approx(0.0, abs=1e-3)


@examples(30)
@given(
    st.floats(2.6, 5.5), st.floats(0.55, 1.1), st.floats(0.6, 0.95), st.floats(0.6, 0.95),
    st.floats(0.22, 0.5), st.floats(0.0, 0.3), st.sampled_from(BOTTOMS), st.sampled_from(CHINES),
)  # fmt: skip
def test_boats_of_all_sizes_float_an_angler(
    length: float, beam: float, fore: float, aft: float, depth: float, rocker: float,
    bottom: Bottom, chine: Chine,
) -> None:  # fmt: skip
    tape = Tape(
        length, beam, 0.5 * length, fore * beam, aft * beam, depth, 1.3 * depth, 1.2 * depth,
        rocker * depth, rocker * depth, bottom, chine,
    )  # fmt: skip
    boat = afloat(Hull(stations_from_tape(tape)))
    rest = equilibrium(settle(boat, loads((100, 0.49 * length, 0, 0.15)), FRESH))
    assert 0 < rest.draft_mid_m < depth
    assert rest.displacement_kg == pytest.approx(100, rel=1e-6)


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"length_m": -3.6}, "length_m"),
        ({"length_m": 0.0}, "length_m"),
        ({"beam_m": 0.0}, "beam_m"),
        ({"length_m": 1.6, "beam_m": 1.7, "beam_at_m": 0.8}, "beam_m"),
        ({"beam_at_m": 3.5}, "beam_at_m"),
        ({"beam_fore_quarter_m": 0.9}, "beam_fore_quarter_m"),
        ({"beam_aft_quarter_m": -0.1}, "beam_aft_quarter_m"),
        ({"depth_m": float("nan")}, "depth_m"),
        ({"bow_height_m": 0.2}, "bow_height_m"),
        ({"rocker_bow_m": 0.3}, "rocker_bow_m"),
    ],
)
def test_measures_no_boat_has_are_refused_by_name(change: dict[str, float], field: str) -> None:
    wrong = Tape(**(vars(TAPE) | change))
    with pytest.raises(InputErrors) as refused:
        require_tape(wrong)
    assert field in [e.field for e in refused.value.errors]


def test_a_transom_keeps_its_breadth_and_its_keel_runs_out_straight() -> None:
    square = replace(TAPE, stern_beam_m=0.5)
    stern = stations_from_tape(square)[0]
    assert stern.points_m[:, 0].max() == pytest.approx(0.25, abs=1e-9)
    low = float(stern.points_m[:, 1].min())
    assert low == pytest.approx(TAPE.rocker_stern_m, abs=0.02)  # and the bottom's own rise
    assert low < 0.5 * float(stations_from_tape(TAPE)[0].points_m[:, 1].min())


def test_a_transom_carries_more_than_a_point() -> None:
    """The same boat otherwise: more volume, and its middle further aft."""
    pointed, square = (
        FloatingHull.of(Hull(stations_from_tape(tape), corner_to_corner=True))
        for tape in (TAPE, replace(TAPE, stern_beam_m=0.5))
    )
    none = np.zeros((1, 0), dtype=np.bool_)
    assert square.capacity_m3(none)[0] > 1.01 * pointed.capacity_m3(none)[0]


@pytest.mark.parametrize("share", [0.55, 0.75, 0.95])
def test_the_bottom_is_as_broad_as_was_measured(share: float) -> None:
    """At the widest place the turn of the bilge lies at half of it; beam and depth stay."""
    tape = replace(TAPE, bottom_beam_m=share * TAPE.beam_m, bottom="flat", chine="hard")
    widest = max(stations_from_tape(tape), key=lambda s: float(s.points_m[:, 0].max()))
    low = widest.points_m[widest.points_m[:, 1] < 0.03]
    assert low[:, 0].max() == pytest.approx(share * TAPE.beam_m / 2, rel=1e-9)
    assert widest.points_m[:, 0].max() == pytest.approx(TAPE.beam_m / 2, rel=1e-9)


def test_a_broader_bottom_carries_more_and_is_steadier_when_low() -> None:
    narrow, broad = (replace(TAPE, bottom_beam_m=share * TAPE.beam_m) for share in (0.6, 0.9))
    hulls = [FloatingHull.of(Hull(stations_from_tape(t), corner_to_corner=True))
             for t in (narrow, broad)]  # fmt: skip
    load = loads((30, 1.8, 0, 0.15), (70, 1.75, 0, 0.25))
    low, high = (upright(settle(hull, load, FRESH)) for hull in hulls)
    assert high.gm_m > low.gm_m
    assert high.kb_m < low.kb_m


@pytest.mark.parametrize(
    ("field", "value", "words"),
    [
        ("bottom_beam_m", 0.1, "between 40 %"),
        ("bottom_beam_m", 2.0, "between 40 %"),
        ("stern_beam_m", -0.1, "no wider"),
        ("stern_beam_m", 0.9, "no wider"),
    ],
)
def test_options_no_kayak_has_are_refused_by_name(field: str, value: float, words: str) -> None:
    with pytest.raises(InputErrors, match=words) as wrong:
        stations_from_tape(replace(TAPE, **{field: value}))  # type: ignore[arg-type]
    assert wrong.value.errors[0].field == field
