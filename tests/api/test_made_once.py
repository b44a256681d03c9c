"""A change that is sent again, for its answer was lost, is made once; by its key it is known."""

import threading
from pathlib import Path
from typing import Any

import pytest
from fastapi.testclient import TestClient
from tests.api.test_starting import LABEL

from neat_hull.errors import AlreadyMade
from neat_hull.store.connect import connect, transaction
from neat_hull.store.made_changes import is_made

SETUP = "/api/v1/setups/1"
CRATE = "9"


def state(client: TestClient) -> Any:
    return client.get(SETUP).json()


def sent(client: TestClient, key: str, method: str, at: str = "", **how: Any) -> Any:
    """A change, by its key."""
    return client.request(method, f"{SETUP}{at}", headers={"Neat-Change": key}, **how)


def weigh(client: TestClient, key: str, mass_kg: float) -> Any:
    edit = {"what": "thing", "id": int(CRATE), "fields": {"mass_kg": mass_kg}}
    return sent(client, key, "PATCH", json={"edits": [edit]})


def steps(client: TestClient) -> int:
    return len(client.get(f"{SETUP}/history").json())


def test_an_edit_that_comes_late_again_undoes_nothing_that_came_after(client: TestClient) -> None:
    assert weigh(client, "a", 5.0).status_code == 200
    assert weigh(client, "b", 6.0).status_code == 200
    again = weigh(client, "a", 5.0)
    assert again.status_code == 200
    assert again.json()["setup"]["things"][CRATE]["mass_kg"] == 6.0
    assert again.json()["revision"] == state(client)["revision"]
    assert steps(client) == 2


@pytest.mark.parametrize("newest", [True, False])
def test_gear_is_added_once_for_each_key(client: TestClient, newest: bool) -> None:
    """Sent again with the revision of before, or with the newest, as after a reload."""
    before = state(client)
    thing = before["setup"]["things"][CRATE]
    body = {"thing": thing, "revision": before["revision"]}
    assert sent(client, "a", "POST", "/things", json=body).status_code == 201
    if newest:
        body["revision"] = state(client)["revision"]
    assert sent(client, "a", "POST", "/things", json=body).status_code == 200
    assert len(state(client)["setup"]["things"]) == len(before["setup"]["things"]) + 1
    body["revision"] = state(client)["revision"]
    assert sent(client, "b", "POST", "/things", json=body).status_code == 201
    assert len(state(client)["setup"]["things"]) == len(before["setup"]["things"]) + 2


PURCHASE = {"thing_id": None, "what": "Cart", "minor": 900}
DATED = {"kind": "flare", "note": "Cart"}


@pytest.mark.parametrize(
    ("at", "body", "shown"),
    [
        ("/money/purchases", PURCHASE, "/money"),
        ("/dates", DATED, "/dates"),
        ("/lists/pack/lines", {"text": "Cart"}, "/lists"),
    ],
)
def test_what_is_beside_a_setup_is_added_once_for_each_key(
    client: TestClient, at: str, body: dict[str, Any], shown: str
) -> None:
    def count() -> int:
        return client.get(f"{SETUP}{shown}").text.count('"Cart"')

    before = count()
    assert sent(client, "a", "POST", at, json=body).status_code == 201
    one = count() - before
    assert one > 0
    assert sent(client, "a", "POST", at, json=body).status_code == 200
    assert count() == before + one
    assert sent(client, "b", "POST", at, json=body).status_code == 201
    assert count() == before + 2 * one


def test_an_undo_and_a_deletion_are_done_once(client: TestClient) -> None:
    for key, mass_kg in (("a", 5.0), ("b", 6.0)):
        weigh(client, key, mass_kg)
    for _ in range(2):
        told = sent(client, "c", "POST", "/undo", json={"revision": state(client)["revision"]})
        assert told.json()["setup"]["things"][CRATE]["mass_kg"] == 5.0
    for _ in range(2):
        at = f"/things/{CRATE}?revision={state(client)['revision']}"
        told = sent(client, "d", "DELETE", at)
        assert (told.status_code, CRATE in told.json()["setup"]["things"]) == (200, False)


def test_what_was_refused_was_not_made(client: TestClient) -> None:
    assert weigh(client, "a", 9000.0).status_code == 422
    assert weigh(client, "a", 5.0).json()["setup"]["things"][CRATE]["mass_kg"] == 5.0


def in_all(client: TestClient) -> int:
    return len(client.get("/api/v1/setups").json())


def made(client: TestClient, key: str | None, at: str, body: dict[str, Any]) -> Any:
    """A setup that is made new, by its key."""
    headers = {} if key is None else {"Neat-Change": key}
    answer = client.post(f"/api/v1/setups{at}", headers=headers, json=body)
    assert answer.status_code == 201, answer.text
    told = answer.json()
    return told.get("state", told), told.get("ashore")


def the_file(client: TestClient) -> dict[str, Any]:
    return {"text": client.get(f"{SETUP}/file").text}


@pytest.mark.parametrize(
    ("at", "body"),
    [
        ("", LABEL),
        ("/1/copy", {"name": "Twin"}),
        ("/1/move", {"name": "Twin", "onto_setup_id": 3}),
        ("/import", None),
    ],
)
def test_a_setup_is_made_once_for_each_key(
    client: TestClient, at: str, body: dict[str, Any] | None
) -> None:
    """And is what it is meanwhile, where it was changed before it was asked for again."""
    asked, before = body or the_file(client), in_all(client)
    one, ashore = made(client, "a", at, asked)
    place = f"/api/v1/setups/{one['setup_id']}"
    locks = [
        {"what": "place", "id": int(thing_id), "fields": {"locked": True}}
        for thing_id in one["setup"]["places"]
    ]
    if locks:
        assert client.patch(place, json={"edits": locks}).status_code == 200
    again, ashore_again = made(client, "a", at, asked)
    assert again["setup_id"] == one["setup_id"] != 1
    assert again == client.get(place).json()
    assert (in_all(client), ashore_again) == (before + 1, ashore)
    for key in ("b", None, None):
        made(client, key, at, asked)
    assert in_all(client) == before + 4


def test_what_cannot_be_made_may_be_asked_for_again(client: TestClient) -> None:
    """A key by which nothing was made stands for nothing yet."""
    headers = {"Neat-Change": "a"}
    no_name = client.post(f"{SETUP}/copy", headers=headers, json={"name": ""})
    nobody = client.post("/api/v1/setups/999/copy", headers=headers, json={"name": "Twin"})
    assert (no_name.status_code, nobody.status_code) == (422, 404)
    assert made(client, "a", "/1/copy", {"name": "Twin"})[0]["setup"]["name"] == "Twin"


def test_without_a_key_each_is_a_change_of_its_own(client: TestClient) -> None:
    for mass_kg in (5.0, 6.0, 5.0):
        edit = {"what": "thing", "id": int(CRATE), "fields": {"mass_kg": mass_kg}}
        client.patch(SETUP, json={"edits": [edit]})
    assert steps(client) == 3


def test_of_two_with_one_key_at_once_one_is_made(data: Path) -> None:
    made: list[str] = []
    meeting = threading.Barrier(2)

    def make() -> None:
        db = connect(data)
        db.change = "a"
        meeting.wait()
        try:
            with transaction(db):
                made.append("made")
        except AlreadyMade:
            made.append("was made")
        db.close()

    both = [threading.Thread(target=make) for _ in range(2)]
    for one in both:
        one.start()
    for one in both:
        one.join()
    assert sorted(made) == ["made", "was made"]


def test_a_transaction_that_fails_leaves_no_key(data: Path) -> None:
    db = connect(data)
    db.change = "a"
    with pytest.raises(ZeroDivisionError), transaction(db):
        raise ZeroDivisionError
    assert not is_made(db, "a")
    with transaction(db):
        pass
    assert is_made(db, "a")
    with transaction(db):  # of the next it says nothing
        pass
    db.close()
