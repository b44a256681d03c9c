"""A day through the API: of a trial, refused where nobody said, its plan undone with the setup."""

import json
from typing import Any

import pytest
from fastapi.testclient import TestClient

V1 = "/api/v1/setups/1"


def asked(client: TestClient, **plan: Any) -> Any:
    """The full day of a trial."""
    kept = client.get(V1).json()["setup"]["outing"]
    return client.post(f"{V1}/day", json={"places": [], "outing": kept | plan})


def test_a_day_is_told_and_a_trial_is_not_kept(client: TestClient) -> None:
    kept = client.post(f"{V1}/day", json={"places": []})
    assert kept.status_code == 200, kept.text
    later = asked(client, start_h=9.0).json()
    assert later["figures"]["start_h"] == 9.0
    assert client.post(f"{V1}/day", json={"places": []}).json() == kept.json()
    assert [one["kind"] for one in kept.json()["phases"]][-1] == "haul out"
    assert kept.json()["rows"][-1]["list_deg"] is None


def test_where_nobody_said_it_is_refused_in_words(client: TestClient) -> None:
    answer = client.post("/api/v1/setups/3/day", json={"places": []})
    assert answer.status_code == 422
    assert "you have not said how the day goes" in answer.text


@pytest.mark.parametrize(
    ("plan", "field"),
    [
        ({"phases": []}, "outing.phases"),
        ({"phases": [{"kind": "nap"}]}, "outing.phases[0].kind"),
        ({"start_h": 25.0}, "outing.start_h"),
        ({"stores": {"ice": {"kind": "ice", "thing": 11, "ice_kg": -1.0}}}, "ice_kg"),
        ({"latitude_deg": 91.0}, "outing.latitude_deg"),
    ],
)
def test_what_cannot_be_is_refused_by_its_field(
    client: TestClient, plan: dict[str, Any], field: str
) -> None:
    answer = asked(client, **plan)
    assert answer.status_code == 422
    assert field in answer.text


def test_a_store_in_a_thing_that_goes_ashore_tells_of_nothing_and_comes_back(
    client: TestClient,
) -> None:
    def change(place: Any, was: Any) -> None:
        edits = [{"what": "place", "id": 16, "fields": place, "was": was}]
        done = client.patch(V1, json={"edits": edits})
        assert done.status_code == 200, done.text

    place = client.get(V1).json()["setup"]["places"]["16"]
    change(None, None)
    assert "water" not in client.post(f"{V1}/day", json={"places": []}).json()["rows"][0]["kg"]
    change(place, None)
    assert "water" in client.post(f"{V1}/day", json={"places": []}).json()["rows"][0]["kg"]


def test_the_day_in_rounds_ends_with_the_day(client: TestClient) -> None:
    whole = client.post(f"{V1}/day", json={"places": []}).json()
    lines = client.post(f"{V1}/day/rounds", json={"places": []}).text.splitlines()
    last = json.loads(lines[-1])
    assert last["done"] == last["total"] == len(whole["rows"])
    assert [row["h"] for row in last["day"]["rows"]] == [row["h"] for row in whole["rows"]]
    refused = client.post("/api/v1/setups/2/day/rounds", json={"places": []})
    assert refused.status_code == 422
    assert "you have not said" in refused.text
