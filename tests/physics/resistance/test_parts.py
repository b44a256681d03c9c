"""Friction on the ITTC line, foils and poles in the water, and the wind."""

import pytest

from neat_hull.physics.resistance.parts import (
    Appendage,
    InTheWind,
    air_n,
    base_n,
    friction_coefficient,
    friction_n,
)


@pytest.mark.parametrize(("reynolds", "thousandths"), [(1e5, 8.3333), (1e6, 4.6875), (3e6, 3.7417),
                                                       (1e7, 3.0), (1e9, 1.5306)])  # fmt: skip
def test_the_ittc_line(reynolds: float, thousandths: float) -> None:
    assert 1000 * friction_coefficient(reynolds) == pytest.approx(thousandths, rel=1e-4)
    assert friction_coefficient(1.0) == friction_coefficient(1e5)


def test_friction_is_the_lines_with_form_and_roughness() -> None:
    found = friction_n(2.0, 2.5, 4.0, 1000.0, 1e-6, 0.2, 0.0004)
    assert found == pytest.approx(0.5 * 1000 * 2.5 * 4 * (1.2 * friction_coefficient(8e6) + 0.0004))


def test_behind_a_transom_more_friction_means_less_wake() -> None:
    assert base_n(1.0, 0.0, 1000.0, 5.0) == 0.0
    thin, thick = base_n(1.0, 0.02, 1000.0, 5.0), base_n(1.0, 0.02, 1000.0, 20.0)
    assert thin == pytest.approx(2 * thick)


def test_what_hangs_in_the_water() -> None:
    pole = Appendage("bluff", 0.012, 1.0, 0.012, cd=1.1)
    assert pole.drag_n(2.0, 1000.0, 1e-6) == pytest.approx(0.5 * 1000 * 4 * 1.1 * 0.012)
    fin = Appendage("foil", 0.03, 0.1, 0.03, chord_m=0.15, thickness_ratio=0.0)
    line = friction_coefficient(2.0 * 0.15 / 1e-6)
    assert fin.drag_n(2.0, 1000.0, 1e-6) == pytest.approx(0.5 * 1000 * 4 * 2 * line * 0.03)


def test_still_air_holds_back_and_a_wind_from_astern_pushes() -> None:
    wind = InTheWind(0.5, 0.8, 1.7)
    assert air_n(wind, -2.0, 0.0, 1.225) == pytest.approx(0.5 * 1.225 * 0.5 * 4)
    assert air_n(wind, 3.0, 0.0, 1.225) < 0
    assert air_n(wind, 0.0, 5.0, 1.225) == pytest.approx(0.0)
