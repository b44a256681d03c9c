"""Findings, advice, arranging, limits, accepting and comparing through the API."""

import json
from typing import Any

import pytest
from fastapi.testclient import TestClient

V1 = "/api/v1"
PFD, SCREEN, CRATE = 24, 6, 9


def get(client: TestClient, setup: int = 1) -> Any:
    """The state of a setup."""
    return client.get(f"{V1}/setups/{setup}").json()


def finding(state: Any, code: str) -> Any:
    """The one finding of a rule."""
    (one,) = [one for one in state["figures"]["findings"] if one["code"] == code]
    return one


def advice(client: TestClient, key: str | None) -> Any:
    """The best moves."""
    return client.post(f"{V1}/setups/1/advice", json={"finding": key}).json()


def take(client: TestClient, one: Any, revision: int) -> Any:
    """A suggestion, taken."""
    body = {"revision": revision, "words": one["words"]["text"], "places": one["places"],
            "seat": one["seat"]}  # fmt: skip
    return client.put(f"{V1}/setups/1/moves", json=body)


def test_a_suggestion_taken_is_one_step_and_undone_as_one(client: TestClient) -> None:
    before = get(client)
    key = finding(before, "no-pfd-worn")["key"]
    best = advice(client, key)["suggestions"][0]
    assert get(client)["revision"] == before["revision"]  # asking changes nothing
    after = take(client, best, before["revision"]).json()
    assert after["undo_label"] == "Try: Put on PFD"
    assert "no-pfd-worn" not in [one["code"] for one in after["figures"]["findings"]]
    assert after["figures"]["afloat"]["gm_m"] == best["after"]["gm_m"]
    undone = client.post(f"{V1}/setups/1/undo", json={"revision": after["revision"]}).json()
    assert undone["setup"] == before["setup"]


def test_a_suggestion_on_a_stale_setup_is_refused_with_the_present_revision(
    client: TestClient,
) -> None:
    best = advice(client, finding(get(client), "no-pfd-worn")["key"])["suggestions"][0]
    take(client, best, 1)
    stale = take(client, best, 1)
    assert (stale.status_code, stale.json()["current"]) == (409, 2)


def test_what_is_locked_is_not_moved_by_a_suggestion(client: TestClient) -> None:
    place = get(client)["setup"]["places"][str(SCREEN)]
    client.put(f"{V1}/setups/1/places/{SCREEN}",
               json={"revision": 1, "place": place | {"locked": True}})  # fmt: skip
    body = {"revision": 2, "words": "x", "places": [
        {"thing_id": SCREEN, "place": place | {"x_m": 1.0}}]}  # fmt: skip
    refused = client.put(f"{V1}/setups/1/moves", json=body)
    assert refused.status_code == 422
    assert "locked" in refused.json()["detail"]


@pytest.mark.parametrize(
    ("path", "body"),
    [
        ("advice", {"finding": "nothing:1"}),
        ("advice", {"finding": "x" * 200}),
        ("advice", {"places": [{"thing_id": 999, "place": None}]}),
        ("arrange", {"seat": {"x_m": "far"}}),
    ],
)
def test_what_cannot_be_advised_on_is_refused(client: TestClient, path: str, body: Any) -> None:
    answer = client.post(f"{V1}/setups/1/{path}", json=body)
    assert answer.status_code == 422
    assert answer.headers["content-type"] == "application/problem+json"


def test_arranging_tells_its_rounds_a_line_each_and_changes_nothing(client: TestClient) -> None:
    with client.stream("POST", f"{V1}/setups/1/arrange", json={}) as answer:
        assert answer.headers["content-type"].startswith("application/x-ndjson")
        rounds = [json.loads(line) for line in answer.iter_lines()]
    assert [one["done"] for one in rounds] == list(range(rounds[-1]["total"] + 1))
    best = rounds[-1]["best"]
    assert best["after"]["stops"] == 0
    assert len(best["lines"]) == 5
    assert get(client)["revision"] == 1
    body = {"revision": 1, "words": "arrange", "places": best["places"]}
    after = client.put(f"{V1}/setups/1/moves", json=body).json()
    open_ = [one for one in after["figures"]["findings"] if one["verdict"] == "fix"]
    assert len(open_) == best["after"]["fixes"]


def test_accepting_is_kept_with_its_date_undone_and_taken_back(client: TestClient) -> None:
    key = finding(get(client), "cleat-unknown")["key"]
    body = {"revision": 1, "key": key, "reason": "the trolley is on order"}
    after = client.put(f"{V1}/setups/1/accepted", json=body).json()
    one = finding(after, "cleat-unknown")
    assert (one["accepted"], one["returned"]) == ("the trolley is on order", False)
    assert one["accepted_on"] == after["saved_at"][:10]
    assert after["figures"]["findings"][-1]["key"] == key
    assert finding(get(client), "cleat-unknown")["accepted"]  # kept
    undone = client.post(f"{V1}/setups/1/undo", json={"revision": 2}).json()
    assert finding(undone, "cleat-unknown")["accepted"] is None
    client.post(f"{V1}/setups/1/redo", json={"revision": 3})
    back = client.delete(f"{V1}/setups/1/accepted", params={"key": key, "revision": 4})
    assert finding(back.json(), "cleat-unknown")["accepted"] is None
    again = client.delete(f"{V1}/setups/1/accepted", params={"key": key, "revision": 5})
    assert again.status_code == 404


def test_a_finding_that_is_not_there_or_no_reason_cannot_be_accepted(client: TestClient) -> None:
    for body in ({"key": "nothing", "reason": "x"}, {"key": "cleat-unknown:12", "reason": ""}):
        answer = client.put(f"{V1}/setups/1/accepted", json={"revision": 1, **body})
        assert answer.status_code == 422
    assert get(client)["revision"] == 1


def test_limits_go_with_the_profile_and_what_is_moved_changes_the_verdict(
    client: TestClient,
) -> None:
    rows = {one["key"]: one for one in client.get(f"{V1}/setups/1/limits").json()}
    assert (rows["trim"]["fine"], rows["trim"]["moved"]) == (0.7, False)
    assert rows["margin"]["fine"] == pytest.approx(0.6)  # a calm pond eases it
    assert all(one["reason"] for one in rows.values())
    judging = get(client)["setup"]["judging"]
    moved = [{"key": "trim", "waters": "calm pond", "hand": "used to it", "fine": 2.0,
              "watch": 3.0, "fix": 4.0}]  # fmt: skip
    body = {"revision": 1, "judging": judging | {"moved": moved}}
    after = client.put(f"{V1}/setups/1/judging", json=body).json()
    assert after["figures"]["afloat"]["trim_verdict"] == "fine"
    assert "bow-or-stern-down" not in [one["code"] for one in after["figures"]["findings"]]
    open_water = judging | {"waters": "open water"}
    wild = client.put(f"{V1}/setups/1/judging",
                      json={"revision": 2, "judging": open_water}).json()  # fmt: skip
    assert {"no-spare-paddle", "bow-or-stern-down"} <= {
        one["code"] for one in wild["figures"]["findings"]
    }


def test_choosing_limits_leaves_what_was_accepted(client: TestClient) -> None:
    key = finding(get(client), "cleat-unknown")["key"]
    client.put(f"{V1}/setups/1/accepted", json={"revision": 1, "key": key, "reason": "so be it"})
    after = client.put(f"{V1}/setups/1/judging", json={"revision": 2, "judging": {}}).json()
    assert finding(after, "cleat-unknown")["accepted"] == "so be it"
    assert after["setup"]["judging"]["waters"] == "river"


def test_a_preview_tells_findings_of_the_trial(client: TestClient) -> None:
    worn = {"x_m": 0.0, "y_m": 0.0, "z_m": None, "turn_deg": 0.0, "tilt_deg": 0.0,
            "on": {"kind": "body"}}  # fmt: skip
    answer = client.post(f"{V1}/setups/1/preview",
                         json={"places": [{"thing_id": PFD, "place": worn}]}).json()  # fmt: skip
    assert "no-pfd-worn" not in [one["code"] for one in answer["figures"]["findings"]]
    assert "no-pfd-worn" in [one["code"] for one in get(client)["figures"]["findings"]]


def test_the_same_thing_in_two_setups_of_a_day_is_a_finding(client: TestClient) -> None:
    for setup in (1, 2):
        state = get(client, setup)
        trip = {"revision": state["revision"], "name": state["setup"]["name"], "water": "fresh",
                "day": "2027-06-05"}  # fmt: skip
        client.put(f"{V1}/setups/{setup}", json=trip)
    codes = [one["code"] for one in get(client)["figures"]["findings"]]
    assert "in-two-setups" in codes


def test_a_setup_is_compared_with_what_it_was(client: TestClient) -> None:
    place = get(client)["setup"]["places"][str(CRATE)]
    client.put(f"{V1}/setups/1/places/{CRATE}",
               json={"revision": 1, "place": place | {"x_m": -0.2}})  # fmt: skip
    sides = [{"setup_id": 1, "step": 0}, {"setup_id": 1, "step": None}, {"setup_id": 2}]
    found = client.post(f"{V1}/compare", json={"sides": sides}).json()
    assert found["sides"][0]["name"] == "Reed Lake dawn, after 'the beginning'"
    trim = next(one for one in found["figures"] if one["label"] == "Trim, bow up")
    assert trim["changes"][1] > 0  # the crate went aft
    assert [one["thing_id"] for one in found["sides"][1]["outlines"] if one["moved"]] == [
        CRATE, 10,
    ]  # the rod that stands in it went along  # fmt: skip
    assert get(client)["revision"] == 2  # looking back changes nothing
    assert client.get(f"{V1}/setups/1/history").json()[0]["in_force"]


@pytest.mark.parametrize(
    ("sides", "status"),
    [
        ([{"setup_id": 1}], 422),
        ([{"setup_id": 1}] * 5, 422),
        ([{"setup_id": 1}, {"setup_id": 99}], 404),
        ([{"setup_id": 1}, {"setup_id": 1, "step": 7}], 422),
    ],
)
def test_what_cannot_be_compared_is_refused(
    client: TestClient, sides: list[Any], status: int
) -> None:
    assert client.post(f"{V1}/compare", json={"sides": sides}).status_code == status


def test_judging_goes_with_the_file(client: TestClient) -> None:
    key = finding(get(client), "cleat-unknown")["key"]
    client.put(f"{V1}/setups/1/accepted", json={"revision": 1, "key": key, "reason": "so be it"})
    text = client.get(f"{V1}/setups/1/file").text
    taken = client.post(f"{V1}/setups/import", json={"text": text}).json()
    assert taken["setup"]["judging"] == get(client)["setup"]["judging"]
    assert taken["figures"]["findings"] == get(client)["figures"]["findings"]
