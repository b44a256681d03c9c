"""The electrics over the API: fields of wires in two windows, wires laid, suggestions taken."""

from typing import Any

from fastapi.testclient import TestClient

V1 = "/api/v1/setups/1"


def state(client: TestClient) -> Any:
    """The first setup as kept."""
    return client.get(V1).json()


def wires(client: TestClient) -> Any:
    """Its conductors by key."""
    return state(client)["setup"]["power"]["conductors"]


def edit(client: TestClient, fields: Any, was: Any = None) -> Any:
    """Fields of the power section changed, of what stood there."""
    body = {"edits": [{"what": "setup", "id": None, "fields": {"power": fields},
                       "was": None if was is None else {"power": was}}]}  # fmt: skip
    return client.patch(V1, json=body)


def test_two_windows_change_two_wires_and_both_keep_theirs(client: TestClient) -> None:
    before = wires(client)
    for key, awg in (("1", 14), ("2", 12)):
        was = {"conductors": {key: {"awg": before[key]["awg"]}}}
        assert edit(client, {"conductors": {key: {"awg": awg}}}, was).status_code == 200
    now = wires(client)
    assert (now["1"]["awg"], now["2"]["awg"]) == (14, 12)
    assert now["1"]["points"] == before["1"]["points"]


def test_a_wire_taken_away_under_somebody_s_hands_is_told(client: TestClient) -> None:
    before = wires(client)
    gone = edit(client, {"conductors": {"1": None}}, {"conductors": {"1": before["1"]}})
    assert gone.status_code == 200
    assert set(wires(client)) == {"2"}
    late = edit(client, {"conductors": {"1": {"awg": 12}}}, {"conductors": {"1": {"awg": 16}}})
    assert late.status_code in (409, 422)
    assert set(wires(client)) == {"2"}
    client.post(f"{V1}/undo", json={"revision": state(client)["revision"]})
    assert wires(client) == before


def test_a_second_wire_to_one_thing_is_refused_by_name(client: TestClient) -> None:
    answer = edit(client, {"conductors": {"9": wires(client)["1"]}})
    assert answer.status_code == 422
    assert "two wires" in answer.text
    assert set(wires(client)) == {"1", "2"}


def test_a_wire_is_laid_between_things_aboard_alone(client: TestClient) -> None:
    laid = client.post(f"{V1}/power/wire", json={"start": 5, "end": 6}).json()
    assert (laid["start"], laid["end"]) == (5, 6)
    assert laid["fuse_a"] >= 1.25 * 1.25
    assert laid["points"]
    for body in ({"start": 5, "end": 18}, {"start": 5, "end": 5}, {"start": 5, "end": 99}):
        assert client.post(f"{V1}/power/wire", json=body).status_code == 422


def test_a_suggestion_for_a_wire_is_tried_taken_and_undone(client: TestClient) -> None:
    before = state(client)
    key = "power-fuse-far:6:wire 1"
    best = client.post(f"{V1}/advice", json={"finding": key}).json()["suggestions"][0]
    assert best["kind"] == "rewire"
    assert best["fields"] == {"power": {"conductors": {"1": {"fuse_at_m": 0.1}}}}
    body = {"revision": before["revision"], "words": "the fuse", "places": [], "seat": None,
            "fields": best["fields"]}  # fmt: skip
    after = client.put(f"{V1}/moves", json=body).json()
    assert after["undo_label"] == "Try: the fuse"
    assert key not in {one["key"] for one in after["figures"]["findings"]}
    undone = client.post(f"{V1}/undo", json={"revision": after["revision"]}).json()
    assert undone["setup"] == before["setup"]


def test_what_to_buy_is_a_table(client: TestClient) -> None:
    answer = client.get(f"{V1}/power/shopping.csv")
    assert answer.headers["content-type"].startswith("text/csv")
    head, *rows = answer.text.splitlines()
    assert head == "what,size,count,length_m,note"
    assert any(row.startswith("Fuse and holder,5 A,1,,") for row in rows)


def test_without_a_box_the_monitor_is_off_and_plays_nothing(client: TestClient) -> None:
    found = client.get(f"{V1}/power/monitor").json()
    assert found["state"] == "off"
    assert [row["says"] for row in found["banks"]] == ["BATTERY20AH"]
    assert client.post(f"{V1}/power/monitor/play", json={"speed": 60}).status_code == 422


def test_the_sonar_s_schools_are_told(client: TestClient) -> None:
    rows = client.get(f"{V1}/sonar").json()["schools"]
    assert [row["mount"] for row in rows] == ["inside", "recess", "arm", "motor", "pole"]
