"""Tables of offsets: units, order, and lines that cannot be."""

import pytest

from neat_hull.errors import InputErrors
from neat_hull.files.offsets import read_offsets

GOOD = "x_m,y_cm,z_in\n0,0,0\n0,40,0\n\n3.6,0,0\n3.6,40,10\n"


def test_each_column_has_its_own_unit() -> None:
    first, last = read_offsets(GOOD)
    assert (first.x_m, first.points_m) == (0.0, [(0.0, 0.0), (0.4, 0.0)])
    assert last.x_m == 3.6
    assert last.points_m[1] == pytest.approx((0.4, 0.254))


def test_semicolons_and_decimal_commas_are_read() -> None:
    (station,) = read_offsets("x_cm;y_cm;z_cm\n100;12,5;0\n")
    assert station.x_m == pytest.approx(1.0)
    assert station.points_m[0][0] == pytest.approx(0.125)


def test_stations_come_out_from_stern_to_bow() -> None:
    assert [s.x_m for s in read_offsets("x_m,y_m,z_m\n2,0,0\n1,0,0\n")] == [1.0, 2.0]


@pytest.mark.parametrize(
    ("text", "line", "words"),
    [
        ("", "line 1", "empty"),
        ("x,y,z\n1,2,3\n", "line 1", "name it with its unit"),
        ("x_m,y_m\n1,2\n", "line 1", "no column for z"),
        ("x_m,y_m,z_m\n1,2\n", "line 2", "no number"),
        ("x_m,y_m,z_m\n1,0,0\n1,wide,0\n", "line 3", "'wide', which is no number"),
        ("x_m,y_m,z_m\n1,0,1e300\n", "line 2", "no length"),
        ("x_m,y_m,z_m\n1,0,nan\n", "line 2", "no length"),
        ("x_m,y_m,z_m\n", "line 2", "no points"),
    ],
)
def test_a_line_that_cannot_be_is_named(text: str, line: str, words: str) -> None:
    with pytest.raises(InputErrors) as wrong:
        read_offsets(text)
    assert wrong.value.errors[0].field == line
    assert words in wrong.value.errors[0].why


def test_every_bad_line_is_told_at_once() -> None:
    with pytest.raises(InputErrors) as wrong:
        read_offsets("x_m,y_m,z_m\na,0,0\n1,0,0\n1,b,0\n")
    assert [one.field for one in wrong.value.errors] == ["line 2", "line 4"]
