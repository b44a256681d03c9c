"""Money through the API: purchases beside the setups, refused by field, never undone."""

from typing import Any

import pytest
from fastapi.testclient import TestClient

V1 = "/api/v1/setups/1"
ONE = {"thing_id": 5, "minor": 1999, "on_day": "2026-05-01"}


def purchases(page: Any) -> Any:
    """Of the thing that one is added of."""
    return next(row for row in page["rows"] if row["thing_id"] == 5)["purchases"]


def test_a_purchase_is_kept_changed_and_taken_out(client: TestClient) -> None:
    before = client.get(f"{V1}/money").json()
    added = client.post(f"{V1}/money/purchases", json=ONE)
    assert added.status_code == 201, added.text
    (kept,) = purchases(added.json())
    url = f"{V1}/money/purchases/{kept['purchase_id']}"
    client.patch(url, json={"fields": {"resale_minor": 500}})
    changed = client.patch(url, json={"fields": {"ended": "lost"}}).json()
    wasted = before["wasted_minor"] + 1499
    assert changed["wasted_minor"] == wasted
    elsewhere = client.get("/api/v1/setups/2/money").json()
    assert elsewhere["wasted_minor"] == wasted, "it is its owner's, and no setup's"
    assert client.delete(url).json() == before
    assert client.delete(url).status_code == 404
    assert client.patch(url, json={"fields": {"minor": 1}}).status_code == 404


@pytest.mark.parametrize(
    ("wrong", "field"),
    [
        ({"thing_id": 999}, "thing_id"),
        ({"minor": -1}, "minor"),
        ({"minor": 19.99}, "minor"),
        ({"on_day": "2026-02-30"}, "on_day"),
        ({"ended": "eaten"}, "ended"),
    ],
)
def test_what_is_no_purchase_is_refused_by_its_field(
    client: TestClient, wrong: dict[str, Any], field: str
) -> None:
    answer = client.post(f"{V1}/money/purchases", json=ONE | wrong)
    assert answer.status_code == 422
    assert field in answer.text
    (kept, *_) = purchases(client.post(f"{V1}/money/purchases", json=ONE).json())
    answer = client.patch(f"{V1}/money/purchases/{kept['purchase_id']}", json={"fields": wrong})
    assert answer.status_code == 422
    assert field in answer.text
    assert kept in purchases(client.get(f"{V1}/money").json())


def test_budget_and_phases_are_the_setups_and_undone_with_it(client: TestClient) -> None:
    money = {"budget_minor": 25000, "phases": {"9": "phase 3"}}
    edits = [{"what": "setup", "id": None, "was": {"money": {"budget_minor": 15000}},
              "fields": {"money": money}}]  # fmt: skip
    edited = client.patch(V1, json={"edits": edits})
    assert edited.status_code == 200, edited.text
    found = client.get(f"{V1}/money").json()
    assert found["budget"]["left_minor"] == 25000
    assert [one["phase"] for one in found["phases"]] == ["now", "phase 2", "phase 3"]
    client.post(f"{V1}/undo", json={"revision": edited.json()["revision"]})
    assert client.get(f"{V1}/money").json()["budget"]["left_minor"] == 15000
