"""Setup files and copies by command: one clear line for what cannot be, nothing changed."""

import json
import shutil
import sqlite3
from pathlib import Path
from typing import Any

import pytest
from tests.filled import filled
from typer.testing import CliRunner

from neat_hull.api.state import state_of
from neat_hull.cli.main import app
from neat_hull.files.demo import demo_setups
from neat_hull.files.setup_file import write_setup
from neat_hull.store.connect import connect, transaction
from neat_hull.store.history import undo
from neat_hull.store.setups import list_setups, load_setup


@pytest.fixture
def data(tmp_path: Path) -> Path:
    """A data file with the demo."""
    return filled(tmp_path / "boats.sqlite")


@pytest.fixture
def file(tmp_path: Path) -> Path:
    """A setup file."""
    path = tmp_path / "setup.json"
    path.write_text(write_setup(demo_setups()[0]))
    return path


def run(*arguments: object) -> Any:
    """The command."""
    return CliRunner().invoke(app, [str(one) for one in arguments])


def names(data: Path) -> list[str]:
    """The setups kept."""
    db = connect(data)
    found = [one.name for one in list_setups(db)]
    db.close()
    return found


def test_check_tells_figures_with_verdicts(file: Path) -> None:
    result = run("check", file)
    assert "123.8 ± 1.9 kg carried, rated 216 kg" in result.stdout
    figures = json.loads(run("check", file, "--json").stdout)
    assert figures["weight"]["carried_kg"] == pytest.approx(123.77)


def test_check_prints_the_findings_of_the_screen_and_exits_1_at_a_stop(
    data: Path, file: Path
) -> None:
    result = run("check", file)
    assert result.exit_code == 1
    told = json.loads(run("check", file, "--json").stdout)["findings"]
    db = connect(data)
    shown = state_of(load_setup(db, 1)).figures.findings
    db.close()
    assert [one["key"] for one in told] == [one.key for one in shown]
    assert "■ PFD: aboard, but not worn [On you]" in result.stdout
    assert result.stdout.count("→") == len(shown)
    bare = file.with_name("bare.json")
    assert run("export", 2, "--to", bare, "--data", data).exit_code == 0
    clean = run("check", bare)
    assert (clean.exit_code, "Findings" in clean.stdout) == (0, False)


def test_check_names_file_and_field_of_what_is_wrong(tmp_path: Path, file: Path) -> None:
    broken = json.loads(file.read_text())
    broken["boat"]["tape"]["beam_m"] = "wide"
    (tmp_path / "bad.json").write_text(json.dumps(broken))
    result = run("check", tmp_path / "bad.json")
    assert (result.exit_code, result.stderr.count("\n")) == (2, 1)
    assert "bad.json: boat.tape.beam_m: must be a number, but text came" in result.stderr


def test_a_setup_that_sinks_exits_3(tmp_path: Path, file: Path) -> None:
    heavy = json.loads(file.read_text())
    heavy["gear"][0]["mass_kg"] = 300.0
    heavy["angler"]["mass_kg"] = 249.0
    heavy["boat"]["hull_mass_kg"] = 399.0
    (tmp_path / "heavy.json").write_text(json.dumps(heavy))
    result = run("check", tmp_path / "heavy.json")
    assert (result.exit_code, result.stderr.count("\n")) == (3, 1)


def test_what_is_exported_can_be_imported_and_nothing_is_overwritten(
    tmp_path: Path, data: Path
) -> None:
    out = tmp_path / "out.json"
    assert run("export", 1, "--to", out, "--data", data).exit_code == 0
    again = run("export", 1, "--to", out, "--data", data)
    assert again.exit_code == 2
    assert "File exists" in again.stderr
    assert run("import", out, "--data", data).exit_code == 0
    assert names(data).count("Reed Lake dawn") == 2
    db = connect(data)
    assert db.execute("SELECT count(*) FROM boat").fetchone()[0] == 3  # the same boat is shared
    assert db.execute("SELECT count(*) FROM thing").fetchone()[0] == 27  # and the same gear
    db.close()


def test_of_several_files_one_bad_keeps_all_out(tmp_path: Path, data: Path, file: Path) -> None:
    bad = tmp_path / "bad.json"
    bad.write_text("{")
    before = names(data)
    result = run("import", file, bad, "--data", data)
    assert (result.exit_code, result.stderr.count("\n")) == (2, 1)
    assert "bad.json" in result.stderr
    assert names(data) == before


def test_a_backup_is_whole_while_another_writes(tmp_path: Path, data: Path) -> None:
    copy = tmp_path / "copy.sqlite"
    writer = connect(data)
    with transaction(writer):
        writer.execute("UPDATE setup SET name = 'half done' WHERE id = 1")
        assert run("backup", copy, "--data", data).exit_code == 0
    writer.close()
    assert names(copy)[0] == "Reed Lake dawn"
    db = sqlite3.connect(copy)
    assert db.execute("PRAGMA integrity_check").fetchone() == ("ok",)
    db.close()
    assert run("backup", copy, "--data", data).exit_code == 2


def test_a_backup_reads_only_and_restore_checks(tmp_path: Path) -> None:
    old, copy = tmp_path / "old.sqlite", tmp_path / "copy.sqlite"
    shutil.copy(Path(__file__).parents[1] / "fixtures" / "first_version" / "boats.sqlite", old)
    before = old.read_bytes()
    assert run("backup", copy, "--data", old).exit_code == 0
    assert old.read_bytes() == before  # of an older version, and still is
    done = run("restore", copy, "--data", tmp_path / "new.sqlite")
    assert (done.exit_code, names(tmp_path / "new.sqlite")[0]) == (0, "Reed Lake dawn")
    (tmp_path / "text.sqlite").write_text("no copy")
    bad = run("restore", tmp_path / "text.sqlite", "--data", tmp_path / "new.sqlite")
    assert (bad.exit_code, bad.stderr.count("\n")) == (2, 1)
    assert names(tmp_path / "new.sqlite")[0] == "Reed Lake dawn"


@pytest.mark.parametrize("command", [("export", 1, "--to", "x.json"), ("backup", "x.sqlite")])
def test_without_a_data_file_it_says_so(tmp_path: Path, command: tuple[object, ...]) -> None:
    result = run(*command, "--data", tmp_path / "none.sqlite")
    assert result.exit_code == 2
    assert "no such data file" in result.stderr
    assert not (tmp_path / "none.sqlite").exists()


def test_the_schema_is_json() -> None:
    assert json.loads(run("schema").stdout)["title"] == "SetupFile"


def things(data: Path) -> list[str]:
    """Names in the pile."""
    db = connect(data)
    found = [row["name"] for row in db.execute("SELECT name FROM thing ORDER BY id")]
    db.close()
    return found


def test_a_table_of_gear_adds_what_is_new(tmp_path: Path, data: Path) -> None:
    table = tmp_path / "gear.csv"
    table.write_text("name,mass_lb\nGaff,0.9\nDrift sock,5\n")
    refused = run("import", table, "--data", data)
    assert (refused.exit_code, refused.stderr.count("\n")) == (2, 1)
    assert "gear.csv: line 3: Drift sock is there with another" in refused.stderr
    assert "Gaff" not in things(data)
    taken = run("import", table, "--take-good", "--data", data)
    assert "1 item new, 0 there already, 1 left out" in taken.stdout
    assert things(data)[-1] == "Gaff"
    assert things(data).count("Drift sock") == 1


def test_lines_of_a_hull_go_onto_a_boat_and_can_be_undone(tmp_path: Path, data: Path) -> None:
    table = tmp_path / "lines.csv"
    table.write_text("x_cm,y_cm,z_cm\n" + "".join(
        f"{x},0,0\n{x},40,0\n{x},40,40\n" for x in (0, 366)))  # fmt: skip
    refused = run("import", table, "--data", data)
    assert refused.exit_code == 2
    assert "--onto" in refused.stderr
    assert run("import", table, "--onto", 1, "--data", data).exit_code == 0
    db = connect(data)
    offsets = load_setup(db, 1).setup.boat.offsets
    assert offsets is not None
    assert [one.x_m for one in offsets] == [0.0, 3.66]
    with transaction(db):
        undo(db, 1, load_setup(db, 1).revision)
    assert load_setup(db, 1).setup.boat.offsets is None
    db.close()


@pytest.mark.parametrize(
    ("name", "content", "words"),
    [
        ("a.csv", b"\xff\xfe\x00", "is not text in UTF-8"),
        ("a.csv", b"", "the file is empty"),
        ("a.csv", b"name,price\nx,1\n", "no column of weights"),
        ("a.csv", b"x_m,y_m,z_m\n0,0,deep\n", "which is no number"),
        ("a.csv", b"x_m,y_m,z_m\n0,0,0\n1,0,0\n", "setup"),
    ],
)
def test_a_table_that_cannot_be_taken_is_one_line_and_changes_nothing(
    tmp_path: Path, data: Path, name: str, content: bytes, words: str
) -> None:
    before = data.read_bytes()
    (tmp_path / name).write_bytes(content)
    refused = run("import", tmp_path / name, "--onto", 1, "--data", data)
    assert (refused.exit_code, refused.stderr.count("\n")) == (2, 1)
    assert "Traceback" not in refused.stderr
    if words != "setup":
        assert words in refused.stderr
    assert data.read_bytes() == before
