"""The road through the API: asked of a trial, refused when it cannot be, ticks beside the setup."""

from typing import Any

import pytest
from fastapi.testclient import TestClient

V1 = "/api/v1/setups/1"


def full(client: TestClient, **haul: Any) -> Any:
    """All of a trial; of the setup as kept where nothing is tried."""
    kept = client.get(V1).json()["setup"]["haul"]
    sections = {"haul": kept | haul} if haul else {}
    answer = client.post(f"{V1}/haul", json={"places": [], **sections})
    assert answer.status_code == 200, answer.text
    return answer.json()


def test_a_trial_is_answered_and_not_kept(client: TestClient) -> None:
    before = full(client)
    tried = full(client, people=2)
    assert tried["figures"]["lifts"][0]["each_kg"] != before["figures"]["lifts"][0]["each_kg"]
    assert full(client) == before
    assert before["figures"]["bare"]["kg"] == pytest.approx(35.8)
    assert [one["wheels"] for one in before["wheels"]] == ["narrow", "wide", "balloon"]


def test_a_figure_of_it_is_laid_open_and_one_that_is_not_there_is_refused(
    client: TestClient,
) -> None:
    how = client.get(f"{V1}/how/haul cart")
    assert how.status_code == 200, how.text
    assert "bed" not in how.json()["title"]
    refused = client.get("/api/v1/setups/3/how/haul cart")
    assert refused.status_code == 422
    assert "it does not go on a cart" in refused.text


@pytest.mark.parametrize(
    ("haul", "field"),
    [
        ({"people": 3}, "haul.people"),
        ({"rides": "plane"}, "haul.rides"),
        ({"bed": {"front_support_m": 4.0}}, "haul.bed"),
        ({"way": [{"ground": "moon"}]}, "haul.way[0].ground"),
        ({"cart": {"wheels": "wide", "radius_m": 0.0}}, "haul.cart.radius_m"),
    ],
)
def test_what_cannot_be_is_refused_by_its_field(
    client: TestClient, haul: dict[str, Any], field: str
) -> None:
    answer = client.post(f"{V1}/haul", json={"places": [], "haul": haul})
    assert answer.status_code == 422
    assert field in answer.text


def test_ticks_are_kept_by_setup_and_no_undo_touches_them(client: TestClient) -> None:
    edits = [{"what": "setup", "id": None, "fields": {"name": "Ticked"},
              "was": {"name": "Reed Lake dawn"}}]  # fmt: skip
    edited = client.patch(V1, json={"edits": edits})
    assert edited.status_code == 200, edited.text
    for line in ("9", "2", "9"):
        row = {"list": "off", "line": line, "done": True}
        assert client.put(f"{V1}/ticks", json=row).status_code == 200
    undone = client.post(f"{V1}/undo", json={"revision": edited.json()["revision"]})
    assert undone.status_code == 200, undone.text
    assert client.get(f"{V1}/ticks").json()["done"]["off"] == ["2", "9"]
    assert client.get("/api/v1/setups/2/ticks").json()["done"]["off"] == []
    client.put(f"{V1}/ticks", json={"list": "off", "line": "2", "done": False})
    assert client.get(f"{V1}/ticks").json()["done"]["off"] == ["9"]
    assert client.delete(f"{V1}/ticks/off").json()["done"]["off"] == []
    assert (
        client.put(f"{V1}/ticks", json={"list": "no", "line": "2", "done": True}).status_code == 422
    )
    assert client.get("/api/v1/setups/99/ticks").status_code == 404
