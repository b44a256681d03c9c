"""Setup files: a round trip without loss, and files that are broken, newer or hostile."""

import json
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.examples import examples

from neat_hull.errors import InputErrors
from neat_hull.files.demo import demo_setups
from neat_hull.files.setup_file import MOST_BYTES, read_setup, setup_schema, write_setup
from neat_hull.whole.evaluate import evaluate

DEMO = demo_setups()


def raw(**changes: Any) -> bytes:
    """The demo's file with changes."""
    return json.dumps(json.loads(write_setup(DEMO[0])) | changes).encode()


@pytest.mark.parametrize("setup", DEMO, ids=lambda one: one.name)
def test_a_setup_comes_back_with_equal_figures(setup: Any) -> None:
    text = write_setup(setup)
    back = read_setup(text.encode())
    assert write_setup(back) == text
    assert evaluate(back) == evaluate(setup)


@examples(25)
@given(st.text(min_size=1, max_size=80), st.floats(0.05, 3.5), st.floats(-0.4, 0.4))
def test_any_name_and_place_survive(name: str, x_m: float, y_m: float) -> None:
    setup = DEMO[0]
    place = setup.places[9].model_copy(update={"x_m": x_m, "y_m": y_m})
    odd = setup.model_copy(update={"name": name, "places": setup.places | {9: place}})
    assert read_setup(write_setup(odd).encode("utf-8", "surrogatepass")).places[9] == place


def test_lines_are_stable_so_that_a_move_is_a_small_difference() -> None:
    place = DEMO[0].places[9].model_copy(update={"x_m": 0.9})
    moved = DEMO[0].model_copy(update={"places": DEMO[0].places | {9: place}})
    before, after = (write_setup(one).splitlines() for one in (DEMO[0], moved))
    assert [a for a, b in zip(before, after, strict=True) if a != b] == ['   "x_m": 0.15,']


@pytest.mark.parametrize(
    ("data", "field", "words"),
    [
        (b"", "", "is not JSON"),
        (b"[1, 2", "", "is not JSON"),
        (b"\xff\xfe", "", "is not JSON"),
        (b"[" * 100_000, "", "is not JSON"),
        (b"[]", "", "an object"),
        (raw(format="other"), "format", "must be"),
        (raw(version=3), "version", "reads versions 1 and 2, but the file says 3"),
        (raw(colour="red"), "colour", "is not a field we know"),
        (raw(name=7), "name", "must be text"),
        (raw(water="tea"), "water", "must be one of"),
        (raw(placements=[{"thing": 99, "x_m": 1.0, "y_m": 0.0, "z_m": None, "turn_deg": 0.0,
                          "tilt_deg": 0.0}]), "placements[0].thing", "no item 99"),
        (b" " * (MOST_BYTES + 1), "", "larger than"),
    ],
)  # fmt: skip
def test_a_file_that_cannot_be_is_refused_by_field(data: bytes, field: str, words: str) -> None:
    with pytest.raises(InputErrors) as wrong:
        read_setup(data)
    assert wrong.value.errors[0].field == field
    assert words in str(wrong.value)


def test_the_schema_names_every_field_of_the_file() -> None:
    assert set(setup_schema()["properties"]) == set(json.loads(write_setup(DEMO[0])))
