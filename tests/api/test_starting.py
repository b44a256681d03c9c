"""Starting through the API: what is typical, kit, the demo, and measures taken afterwards."""

from collections.abc import Iterator
from pathlib import Path
from typing import Any

import pytest
from fastapi.testclient import TestClient
from tests.api.served import served

from neat_hull.store.connect import open_store

V1 = "/api/v1"
LABEL = {"boat_name": "Tub", "length_m": 3.6, "beam_m": 0.84, "hull_mass_kg": 31.0,
         "hull_evidence": "label", "rated_kg": 180.0}  # fmt: skip


@pytest.fixture
def empty(tmp_path: Path) -> Iterator[TestClient]:
    """The application over a data file with nothing in it."""
    path = tmp_path / "boats.sqlite"
    open_store(path)
    with served(path) as client:
        yield client


def started(client: TestClient, **more: object) -> Any:
    """The state of a setup just started."""
    answer = client.post(f"{V1}/setups", json={**LABEL, **more})
    assert answer.status_code == 201, answer.text
    return answer.json()


def edit(client: TestClient, state: Any, what: str, fields: dict[str, object]) -> Any:
    """The state after one edit, based on an older one."""
    body = {"edits": [{"what": what, "fields": fields}]}
    answer = client.patch(f"{V1}/setups/{state['setup_id']}", json=body)
    assert answer.status_code == 200, answer.text
    return answer.json()


def test_a_preview_has_figures_and_a_drawing_and_keeps_nothing(empty: TestClient) -> None:
    answer = empty.post(f"{V1}/start/preview", json=LABEL).json()
    assert answer["figures"]["bands"]["hull"] == "typical"
    assert answer["setup"]["boat"]["tape"]["assumed"]["depth_m"] is True
    assert answer["drawing"]["x_m"][-1] == pytest.approx(3.6)
    assert empty.get(f"{V1}/setups").json() == []


def test_what_is_ticked_is_aboard_and_a_first_finding_is_there(empty: TestClient) -> None:
    offered = empty.get(f"{V1}/start/kit").json()
    names = [item["thing"]["name"] for item in offered if "lake" in item["trips"]]
    state = started(empty, kit=names)
    assert len(state["setup"]["things"]) == len(names)
    assert state["figures"]["findings"]
    assert any(f["key"].startswith("typical-measures") for f in state["figures"]["findings"])


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"boat_name": ""}, "boat_name"),
        ({"beam_m": 5.0}, "boat.tape.beam_m"),
        ({"kit": ["Cannon"]}, "kit"),
        ({"angler_mass_kg": 3.0}, "angler.mass_kg"),
        ({"seat_x_m": 40.0}, "seat.x_m"),
    ],
)
def test_what_means_nothing_is_refused_by_field(
    empty: TestClient, change: dict[str, object], field: str
) -> None:
    for path in ("start/preview", "setups"):
        answer = empty.post(f"{V1}/{path}", json={**LABEL, **change})
        assert answer.status_code == 422, (path, answer.text)
        fields = [one["field"] for one in answer.json()["fields"]]
        assert any(field.endswith(one) or one.endswith(field) for one in fields), (path, fields)
    assert empty.get(f"{V1}/setups").json() == []


def test_measures_taken_later_are_assumed_no_more_and_others_stay(empty: TestClient) -> None:
    state = started(empty)
    edit(empty, state, "boat", {"tape": {"depth_m": 0.31}})
    # Another tab that has not seen it says of a typical value that it is right.
    after = edit(empty, state, "boat", {"tape": {"assumed": {"bow_height_m": False}}})
    assumed = after["setup"]["boat"]["tape"]["assumed"]
    assert {name for name, still in assumed.items() if not still} == {"depth_m", "bow_height_m"}
    seat = edit(empty, state, "setup", {"seat": {"x_m": 1.5}})["setup"]["seat"]
    assert (seat["x_m"], seat["assumed"]) == (1.5, False)
    undone = empty.post(
        f"{V1}/setups/{state['setup_id']}/undo", json={"revision": after["revision"] + 1}
    ).json()
    assert undone["setup"]["seat"]["assumed"] is True


def test_the_demo_is_added_once_and_beside_what_is_there(empty: TestClient) -> None:
    started(empty)
    first = empty.post(f"{V1}/start/demo").json()
    names = empty.get(f"{V1}/setups").json()
    assert len(names) == 5
    assert [one["name"] for one in names if one["setup_id"] == first["setup_id"]] == [
        "Reed Lake dawn"
    ]
    assert empty.post(f"{V1}/start/demo").json() == first
    assert empty.get(f"{V1}/setups").json() == names
