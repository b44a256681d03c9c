"""Float cases, good and broken, through the command itself."""

import copy
import json
from pathlib import Path
from typing import Any

import pytest
from typer.testing import CliRunner

from neat_hull.cli.main import app

CASE: dict[str, Any] = {
    "name": "barge",
    "water_density_kg_m3": 1000.0,
    "hull": {
        "stations": [
            {"x_m": 0.0, "points_m": [[0, 0], [0.4, 0], [0.4, 0.3]]},
            {"x_m": 4.0, "points_m": [[0, 0], [0.4, 0], [0.4, 0.3]]},
        ],
        "wells": [
            {
                "name": "tray", "x_aft_m": 1.0, "x_fwd_m": 2.0, "half_breadth_m": 0.2,
                "floor_z_m": 0.2, "rim_z_m": 0.3, "scuppers": "open",
            }
        ],
    },
    "loads": [
        {"name": "all", "mass_kg": 300, "x_m": 2.0, "y_m": 0.0, "z_m": 0.1},
        {"name": "box", "mass_kg": 20, "x_m": 2.0, "y_m": -0.1, "z_m": 0.1},
    ],
    "heels_deg": [-5, 0, 5, 60],
}  # fmt: skip


def run(tmp_path: Path, case: object) -> Any:
    """The command on a case, as text or to be written as JSON."""
    path = tmp_path / "case.json"
    path.write_text(case if isinstance(case, str) else json.dumps(case))
    return CliRunner().invoke(app, ["float", str(path)])


def changed(path: str, value: object) -> dict[str, Any]:
    """The good case with one value replaced, or left out where it is `...`."""
    case = copy.deepcopy(CASE)
    *parents, last = [int(p) if p.isdigit() else p for p in path.split(".")]
    holder: Any = case
    for part in parents:
        holder = holder[part]
    if value is ...:
        del holder[last]
    else:
        holder[last] = value
    return case


def test_a_good_case_answers_with_the_promised_fields(tmp_path: Path) -> None:
    result = run(tmp_path, CASE)
    assert result.exit_code == 0
    answer = json.loads(result.stdout)
    assert set(answer["equilibrium"]) >= {
        "displacement_kg", "volume_m3", "heel_deg", "trim_deg", "draft_aft_m", "draft_mid_m",
        "draft_fwd_m", "lcb_m", "tcb_m", "vcb_m", "waterplane_area_m2",
    }  # fmt: skip
    assert set(answer["upright"]) >= {
        "kb_m", "bm_m", "kg_m", "gm_m", "lcf_m", "kg_per_cm_immersion",
    }  # fmt: skip
    assert [row["heel_deg"] for row in answer["righting"]] == [-5, 0, 5, 60]
    assert all(set(row) == {"heel_deg", "gz_m", "trim_deg"} for row in answer["righting"])
    assert answer["equilibrium"]["displacement_kg"] == pytest.approx(320)
    assert answer["equilibrium"]["heel_deg"] > 0  # the box stands to starboard
    # GM = KB + BM − KG with every load brought to the middle
    assert answer["upright"]["gm_m"] == pytest.approx(0.05 + 0.64 / 1.2 - 0.1, rel=1e-6)
    assert 0 < answer["deck_edge_immersion_deg"] < 60


def test_notes_beside_our_fields_are_left_alone(tmp_path: Path) -> None:
    assert run(tmp_path, CASE | {"measured_by": "me"}).exit_code == 0


@pytest.mark.parametrize(
    ("path", "value", "field"),
    [
        ("water_density_kg_m3", -1, "water_density_kg_m3"),
        ("water_density_kg_m3", "fresh", "water_density_kg_m3"),
        ("hull.stations", [], "hull.stations"),
        ("hull.stations.1.x_m", 0.0, "hull.stations[1].x_m"),
        ("hull.stations.1.x_m", ..., "hull.stations[1].x_m"),
        ("hull.stations.0.points_m.1.0", -0.4, "hull.stations[0].points_m[1]"),
        ("hull.stations.0.points_m.1.0", float("nan"), "hull.stations[0].points_m[1][0]"),
        ("hull.stations.0.points_m.1", [0.4], "hull.stations[0].points_m[1]"),
        ("hull.stations.0.points_m", [[0, 0], [0.4, 0.3], [0.4, 0], [0.1, 0.3]],
         "hull.stations[0].points_m"),
        ("hull.wells.0.scuppers", "ajar", "hull.wells[0].scuppers"),
        ("hull.wells.0.x_fwd_m", 0.5, "hull.wells[0].x_fwd_m"),
        ("loads", [], "loads"),
        ("loads.0.mass_kg", 0, "loads[0].mass_kg"),
        ("loads.0.mass_kg", True, "loads[0].mass_kg"),
        ("loads.1.y_m", ..., "loads[1].y_m"),
        ("loads.1.z_m", float("inf"), "loads[1].z_m"),
        ("heels_deg", ..., "heels_deg"),
        ("heels_deg.1", 120, "heels_deg[1]"),
        ("hull", ..., "hull"),
    ],
)  # fmt: skip
def test_a_broken_case_gives_one_line_that_names_the_field(
    tmp_path: Path, path: str, value: object, field: str
) -> None:
    result = run(tmp_path, changed(path, value))
    assert result.exit_code == 2
    assert result.stdout == ""
    assert result.stderr.count("\n") == 1
    assert "case.json" in result.stderr
    assert f" {field}:" in result.stderr


@pytest.mark.parametrize("text", ["", "{", "[]", "null", "\x00\x01", '{"name": ' * 5000])
def test_text_that_is_no_case_gives_one_line(tmp_path: Path, text: str) -> None:
    result = run(tmp_path, text)
    assert result.exit_code == 2
    assert result.stderr.count("\n") == 1


def test_a_file_that_is_not_there_gives_one_line(tmp_path: Path) -> None:
    result = CliRunner().invoke(app, ["float", str(tmp_path / "none.json")])
    assert (result.exit_code, result.stderr.count("\n")) == (2, 1)


@pytest.mark.parametrize(
    ("path", "value"), [("loads.0.mass_kg", 2000), ("loads.0.x_m", 9.0), ("loads.0.z_m", 5.0)]
)
def test_a_boat_that_does_not_float_is_said_and_exits_3(
    tmp_path: Path, path: str, value: float
) -> None:
    result = run(tmp_path, changed(path, value))
    assert result.exit_code == 3
    assert result.stdout == ""
    assert result.stderr.count("\n") == 1


def test_a_run_without_heels_has_an_empty_list(tmp_path: Path) -> None:
    answer = json.loads(run(tmp_path, changed("heels_deg", [])).stdout)
    assert answer["righting"] == []
    assert answer["deck_edge_immersion_deg"] is None


@pytest.mark.parametrize(
    "path", ["loads.0.x_m", "hull.stations.1.x_m", "hull.wells.0.rim_z_m", "loads.0.mass_kg"]
)
def test_a_number_no_boat_has_is_refused(tmp_path: Path, path: str) -> None:
    result = run(tmp_path, changed(path, 1e200))
    assert result.exit_code == 2
    assert "or less" in result.stderr


def test_a_byte_order_mark_is_no_trouble(tmp_path: Path) -> None:
    assert run(tmp_path, "\ufeff" + json.dumps(CASE)).exit_code == 0
