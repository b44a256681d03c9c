"""Setup files and copies by command: one clear line for what cannot be, nothing changed."""

import json
import sqlite3
from pathlib import Path
from typing import Any

import pytest
from typer.testing import CliRunner

from neat_hull.cli.main import app
from neat_hull.cli.serve import fill_with_demo
from neat_hull.files.demo import demo_setups
from neat_hull.files.setup_file import write_setup
from neat_hull.store.connect import connect, open_store, transaction
from neat_hull.store.setups import list_setups


@pytest.fixture
def data(tmp_path: Path) -> Path:
    """A data file with the demo."""
    path = tmp_path / "boats.sqlite"
    open_store(path)
    fill_with_demo(path)
    return path


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
    assert result.exit_code == 0
    assert "121.5 ± 1.9 kg carried, rated 216 kg" in result.stdout
    figures = json.loads(run("check", file, "--json").stdout)
    assert figures["weight"]["carried_kg"] == pytest.approx(121.5)


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
    assert db.execute("SELECT count(*) FROM thing").fetchone()[0] == 21  # and the same gear
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


@pytest.mark.parametrize("command", [("export", 1, "--to", "x.json"), ("backup", "x.sqlite")])
def test_without_a_data_file_it_says_so(tmp_path: Path, command: tuple[object, ...]) -> None:
    result = run(*command, "--data", tmp_path / "none.sqlite")
    assert result.exit_code == 2
    assert "no such data file" in result.stderr
    assert not (tmp_path / "none.sqlite").exists()


def test_the_schema_is_json() -> None:
    assert json.loads(run("schema").stdout)["title"] == "SetupFile"
