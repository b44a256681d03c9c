"""Gear as a table: units, round trip, bad lines, and cells that a spreadsheet would run."""

import csv
import io
import re

import pytest
from hypothesis import example, given
from hypothesis import strategies as st

from neat_hull.errors import InputErrors
from neat_hull.files.catalog import catalog
from neat_hull.files.gear_csv import read_gear, write_gear
from neat_hull.model.columns import Column
from neat_hull.model.thing import Thing
from neat_hull.whole.registry import columns


def test_what_is_written_is_read_back() -> None:
    good, bad = read_gear(write_gear(catalog(), columns()), columns())
    assert bad == []
    assert [row.thing for row in good] == list(catalog())


def test_every_catalogue_thing_is_a_guess_with_a_kind() -> None:
    assert len(catalog()) > 50
    assert {thing.evidence for thing in catalog()} == {"guess"}
    assert "other" not in {t.kind for t in catalog() if t.name.startswith(("Rod", "LiFePO4"))}


@pytest.mark.parametrize(
    ("header", "cell", "kg"),
    [("mass_kg", "2.5", 2.5), ("mass_g", "250", 0.25), ("mass_lb", "2", 0.90718474),
     ("mass_oz", "8", 0.226796185), ("MASS_KG", "2,5", 2.5)],
)  # fmt: skip
def test_weights_come_in_the_unit_of_their_header(header: str, cell: str, kg: float) -> None:
    good, _ = read_gear(f"name;{header}\nNet;{cell}\n", columns())
    assert good[0].thing.mass_kg == pytest.approx(kg)
    assert good[0].thing.evidence == "guess"


def test_flags_lengths_and_own_columns() -> None:
    text = "name,mass_kg,length_in,leashed,floats,colour\nNet,0.8,40,yes,no,red\n"
    thing = read_gear(text, columns())[0][0].thing
    assert thing.length_m == pytest.approx(1.016)
    assert (thing.fixing.leashed, thing.floats) == (True, False)


def test_bad_lines_are_told_with_their_reason_and_good_ones_kept() -> None:
    text = "name,mass_kg,use\nNet,0.8,hourly\n,1,hourly\nRod,heavy,hourly\nCup,0.1,often\n"
    good, bad = read_gear(text, columns())
    assert [row.thing.name for row in good] == ["Net"]
    assert [row.line for row in bad] == [3, 4, 5]
    assert "name: is missing" in bad[0].why
    assert "'heavy' cannot be read" in bad[1].why
    assert "use: must be one of" in bad[2].why


@pytest.mark.parametrize("name", ["=1+1", "+cmd", "-2", "@sum", "'quoted", "\tx"])
def test_cells_that_would_run_are_plain_text_and_come_back(name: str) -> None:
    thing = catalog()[0].model_copy(update={"name": name, "notes": name})
    text = write_gear([thing], columns())
    cells = text.splitlines()[1].split(",")
    assert not cells[0].strip('"').startswith(("=", "+", "-", "@", "\t"))
    assert read_gear(text, columns())[0][0].thing.notes.strip() == name.strip()


@pytest.mark.parametrize(
    ("text", "words"),
    [("", "empty"), ("mass_kg\n1\n", "no column 'name'"), ("name\nNet\n", "mass_kg, mass_g")],
)
def test_a_table_without_its_columns_is_refused(text: str, words: str) -> None:
    with pytest.raises(InputErrors, match=words):
        read_gear(text, columns())


# As the door lets them in: of any alphabet, but no line ends in a name.
NAMES = st.text(st.characters(exclude_categories=["Cc", "Cs"]), min_size=1, max_size=40)
NOTES = st.text(st.characters(exclude_categories=["Cs"]), max_size=60)
BASE = {"shape": "box", "mass_kg": 0.8, "evidence": "guess", "length_m": 0.1, "width_m": 0.1,
        "height_m": 0.1}  # fmt: skip


@given(NAMES, NOTES)
@example("=1+1", "\tx")
@example(" =1+1", " -2 ")
@example("'quoted'", "'\n'")
@example("  ", "\n")
@example("x", "a\r\nb\rc\n")
@example('a"b,c;d', '"')
def test_what_was_written_is_read_back_and_runs_nowhere(name: str, notes: str) -> None:
    thing = Thing.model_validate({**BASE, "name": name, "notes": notes})
    text = write_gear([thing], columns())
    _, cells = csv.reader(io.StringIO(text, newline=""))
    for cell in cells:
        assert not re.match(r"\s*[=+@\t\r-]", cell) or re.fullmatch(r"-?[\d.e-]+", cell)
    good, bad = read_gear(text, columns())
    assert bad == []
    assert [row.thing for row in good] == [thing]


NUMBERS = [one for one in columns() if one.cells in ("mass", "length", "number", "count")]


@pytest.mark.parametrize("column", NUMBERS, ids=lambda one: one.name)
@pytest.mark.parametrize("cell", ["1e308", "1e999", "9" * 400, "nan", "99999999"])
def test_a_number_that_no_such_thing_has_names_its_field(column: Column, cell: str) -> None:
    cells = {"name": "Net", "mass_kg": "1", "length_m": "1", "width_m": "1", "height_m": "1"}
    cells |= {column.header: cell}
    good, bad = read_gear(f"{';'.join(cells)}\n{';'.join(cells.values())}\n", columns())
    assert good == []
    named = (column.header, column.name, ".".join(column.path))
    assert any(name in bad[0].why for name in named), bad[0].why
