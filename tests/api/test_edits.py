"""Changes of fields, applied to the newest state: nobody's are lost, stale ones are told."""

import sqlite3
from contextlib import closing
from pathlib import Path
from typing import Any

import pytest
from fastapi.testclient import TestClient

from neat_hull.model.kinds import KINDS
from neat_hull.model.setup import Setup

CRATE, NET = 9, 18
SETUP = "/api/v1/setups/1"


def state(client: TestClient, setup_id: int = 1) -> dict[str, Any]:
    found: dict[str, Any] = client.get(f"/api/v1/setups/{setup_id}").json()
    return found


def edit(client: TestClient, *edits: dict[str, Any], setup_id: int = 1) -> Any:
    return client.patch(f"/api/v1/setups/{setup_id}", json={"edits": list(edits)})


def thing(fields: dict[str, Any], was: dict[str, Any] | None = None, key: int = CRATE) -> Any:
    return {"what": "thing", "id": key, "fields": fields, "was": was}


def test_a_field_is_changed_and_nothing_else(client: TestClient) -> None:
    before = state(client)
    answer = edit(
        client, thing({"mass_kg": 5.5}, {"mass_kg": before["setup"]["things"]["9"]["mass_kg"]})
    )
    assert answer.status_code == 200
    now = answer.json()
    assert now["setup"]["things"]["9"] == {**before["setup"]["things"]["9"], "mass_kg": 5.5}
    assert {**now["setup"], "things": {}} == {**before["setup"], "things": {}}
    assert now["undo_label"] == "Change Tackle crate"


def test_two_who_change_different_fields_from_one_sight_both_keep_theirs(
    client: TestClient,
) -> None:
    was = state(client)["setup"]["things"]["9"]
    assert edit(client, thing({"mass_kg": 5.5}, {"mass_kg": was["mass_kg"]})).status_code == 200
    other = edit(client, thing({"name": "Box"}, {"name": was["name"]}), setup_id=2)
    assert other.status_code == 200
    now = other.json()["setup"]["things"]["9"]
    assert (now["name"], now["mass_kg"]) == ("Box", 5.5)


def test_a_field_that_another_changed_is_told_with_what_it_is_now(client: TestClient) -> None:
    was = state(client)["setup"]["things"]["9"]["mass_kg"]
    assert edit(client, thing({"mass_kg": 5.5}, {"mass_kg": was})).status_code == 200
    late = edit(client, thing({"mass_kg": 6.5}, {"mass_kg": was}), setup_id=2)
    assert late.status_code == 409
    told = {"field": "thing.mass_kg", "called": "Weight", "why": "is 5.5 now"}
    assert late.json()["fields"] == [told]
    assert state(client)["setup"]["things"]["9"]["mass_kg"] == 5.5
    assert edit(client, thing({"mass_kg": 6.5}), setup_id=2).status_code == 200  # mine after all
    assert state(client)["setup"]["things"]["9"]["mass_kg"] == 6.5


def test_what_was_taken_from_within_a_row_is_no_quarrel(client: TestClient) -> None:
    """Whoever took it away has it as null until the answer is there, and goes on from that."""

    def mount(fields: dict[str, Any] | None, was: dict[str, Any] | None) -> Any:
        rows = [{"fixing": {"mounts": {str(CRATE): one}}} for one in (fields, was)]
        return edit(client, {"what": "setup", "fields": rows[0], "was": rows[1]})

    row = {"by": "rivet nut", "size": "M6", "loads": {"leash": 200.0}}
    assert mount(row, None).status_code == 200
    assert mount({"loads": {"leash": None}}, {"loads": {"leash": 200.0}}).status_code == 200
    left = state(client)["setup"]["fixing"]["mounts"][str(CRATE)]
    assert left["loads"] == {}
    assert mount(None, {**left, "loads": {"leash": None}}).status_code == 200
    assert str(CRATE) not in state(client)["setup"]["fixing"]["mounts"]


def test_an_edit_told_twice_is_one_step(client: TestClient) -> None:
    """Its answer was lost on the way; the second time all is as it shall be."""
    one = thing({"mass_kg": 5.5}, {"mass_kg": state(client)["setup"]["things"]["9"]["mass_kg"]})
    first, again = edit(client, one), edit(client, one)
    assert first.status_code == again.status_code == 200
    assert first.json()["revision"] == again.json()["revision"]


def test_a_stale_copy_of_a_whole_thing_from_another_setup_is_refused(client: TestClient) -> None:
    first, second = state(client, 1), state(client, 2)
    whole = second["setup"]["things"]["9"]
    assert edit(client, thing({"mass_kg": 5.5})).status_code == 200
    stale = client.put(
        "/api/v1/setups/2/things/9",
        json={"revision": second["revision"], "thing": {**whole, "name": "Box"}},
    )
    assert stale.status_code == 409
    assert state(client)["setup"]["things"]["9"]["mass_kg"] == 5.5
    assert first["revision"] < state(client)["revision"]


def test_a_stale_copy_of_boat_or_angler_from_another_setup_is_refused(client: TestClient) -> None:
    shared = [
        n for n in (1, 2) if state(client, n)["setup"]["boat"] == state(client)["setup"]["boat"]
    ]
    assert shared == [1, 2]
    seen = state(client, 2)
    assert edit(client, {"what": "angler", "fields": {"mass_kg": 91.5}}).status_code == 200
    assert edit(client, {"what": "boat", "fields": {"rated_kg": 201.0}}).status_code == 200
    body = {"revision": seen["revision"], "boat": seen["setup"]["boat"]}
    assert client.put("/api/v1/setups/2/boat", json=body).status_code == 409
    now = state(client, 2)["setup"]
    assert (now["angler"]["mass_kg"], now["boat"]["rated_kg"]) == (91.5, 201.0)


def test_places_seat_and_trip_are_edited_by_field(client: TestClient) -> None:
    before = state(client)["setup"]
    answer = edit(
        client,
        {"what": "place", "id": CRATE, "fields": {"turn_deg": 10.0}},
        {"what": "place", "id": CRATE, "fields": {"z_m": 0.4}},
        {"what": "setup", "fields": {"seat": {"recline_deg": 12.0}, "water": "salt"}},
    )
    assert answer.status_code == 200
    now = answer.json()["setup"]
    assert now["places"]["9"] == {**before["places"]["9"], "turn_deg": 10.0, "z_m": 0.4}
    assert now["seat"] == {**before["seat"], "recline_deg": 12.0}
    assert now["water"] == "salt"


def test_a_parent_of_another_kind_goes_in_whole(client: TestClient) -> None:
    on = {"kind": "well", "name": "cockpit"}
    answer = edit(client, {"what": "place", "id": 13, "fields": {"on": on, "x_m": 0.1, "y_m": 0.0}})
    assert answer.status_code == 200
    assert answer.json()["setup"]["places"]["13"]["on"] == on


def test_what_a_line_is_of_changes_and_its_length_stays(client: TestClient) -> None:
    """Its kind tells no objects apart: a field like others."""
    for fields in ({"length_m": 0.4, "on_body": True}, {"kind": "cord"}):
        told = edit(client, {
            "what": "setup", "id": None, "fields": {"safety": {"leashes": {str(NET): fields}}},
        })  # fmt: skip
        assert told.status_code == 200
    line = told.json()["setup"]["safety"]["leashes"][str(NET)]
    assert (line["kind"], line["length_m"], line["on_body"]) == ("cord", 0.4, True)


def test_objects_are_told_apart_by_kinds_that_no_other_field_has() -> None:
    """By the schema of a setup: its tagged unions, and fields that are called `kind` besides."""
    tags, plain = set[str](), set[str]()
    schema = Setup.model_json_schema()

    def walk(node: Any) -> None:
        if isinstance(node, dict):
            tags.update(node.get("discriminator", {}).get("mapping", ()))
            for one in node.values():
                walk(one)
        elif isinstance(node, list):
            for one in node:
                walk(one)

    walk(schema)
    for name, model in schema["$defs"].items():
        if name != "Thing":  # edited by itself: nothing is told apart at the top
            plain.update(model.get("properties", {}).get("kind", {}).get("enum", ()))
    assert tags == KINDS
    assert plain
    assert not plain & KINDS


def test_no_fields_take_a_place_ashore_with_all_it_holds(client: TestClient) -> None:
    answer = edit(client, {"what": "place", "id": CRATE, "fields": None})
    assert answer.status_code == 200
    assert "9" not in answer.json()["setup"]["places"]
    assert answer.json()["undo_label"] == "Take ashore: Tackle crate"


@pytest.mark.parametrize(
    ("one", "field"),
    [
        (thing({"mass_kg": -1.0}), "thing.mass_kg"),
        (thing({"mass_kg": "heavy"}), "thing.mass_kg"),
        (thing({"wings": 2}), "thing.wings"),
        (thing({"container": {"length_m": -0.1}}), "thing.container.length_m"),
        ({"what": "thing", "id": CRATE, "fields": None}, "fields"),
        ({"what": "thing", "fields": {"mass_kg": 1.0}}, "id"),
        ({"what": "setup", "fields": {"things": {}}}, "things"),
        ({"what": "setup", "fields": {"seat": None}}, "setup.seat"),
        ({"what": "place", "id": NET, "fields": {"x_m": 1.0}}, "place.y_m"),
        ({"what": "boat", "fields": {"tape": {"length_m": -2.0}}}, "tape.length_m"),
        ({"what": "boat", "fields": {"wells": []}}, "boat.wells"),
    ],
)
def test_what_means_nothing_is_refused_by_its_field(
    client: TestClient, one: dict[str, Any], field: str
) -> None:
    before = state(client)
    answer = edit(client, one)
    assert answer.status_code == 422
    assert field in {wrong["field"][: len(field)] for wrong in answer.json()["fields"]}
    assert state(client) == before


def test_a_boat_that_would_not_float_is_refused_whole(client: TestClient) -> None:
    before = state(client)
    answer = edit(client, thing({"mass_kg": 1.0}), {"what": "angler", "fields": {"mass_kg": 290.0}},
                  thing({"mass_kg": 299.0}))  # fmt: skip
    assert answer.status_code == 422
    assert state(client) == before


def test_a_data_file_that_is_gone_is_told_and_never_replaced(
    client: TestClient, data: Path
) -> None:
    aside = data.with_suffix(".aside")
    state(client)
    for suffix in ("", "-wal", "-shm"):
        part = data.with_name(data.name + suffix)
        if part.exists():
            part.rename(aside.with_name(aside.name + suffix))
    answer = edit(client, thing({"mass_kg": 5.5}))
    assert (answer.status_code, answer.headers["content-type"]) == (503, "application/problem+json")
    assert "is gone" in answer.json()["detail"]
    assert not data.exists()
    for suffix in ("", "-wal", "-shm"):
        part = aside.with_name(aside.name + suffix)
        if part.exists():
            part.rename(data.with_name(data.name + suffix))
    assert edit(client, thing({"mass_kg": 5.5})).status_code == 200


def test_a_locked_data_file_is_told(client: TestClient, data: Path, monkeypatch: Any) -> None:
    monkeypatch.setattr("neat_hull.store.connect._WAIT_S", 0.05)
    with closing(sqlite3.connect(data, isolation_level=None)) as other:
        other.execute("BEGIN IMMEDIATE")
        answer = edit(client, thing({"mass_kg": 5.5}))
        assert answer.status_code == 503
        assert "another program" in answer.json()["detail"]
        other.execute("ROLLBACK")
    assert edit(client, thing({"mass_kg": 5.5})).status_code == 200
