"""Several anglers, usual lengths, and reach through the API."""

from typing import Any

import pytest
from fastapi.testclient import TestClient

V1 = "/api/v1"
SCREEN, NET = 6, 18


def get(client: TestClient, setup: int = 1) -> Any:
    """The state of a setup."""
    return client.get(f"{V1}/setups/{setup}").json()


def test_somebody_else_goes_with_one_setup_and_not_with_the_others(client: TestClient) -> None:
    angler = get(client)["setup"]["angler"] | {"name": "Oda Brill", "mass_kg": 58.0}
    body = {"revision": 1, "angler": angler}
    after = client.post(f"{V1}/setups/1/crew", json=body).json()
    assert after["setup"]["angler"]["name"] == "Oda Brill"
    assert after["undo_label"] == "Oda Brill goes"
    assert get(client, 2)["setup"]["angler"]["name"] == "Ilda Renn"
    assert [one["angler"]["name"] for one in client.get(f"{V1}/anglers").json()] == [
        "Ilda Renn", "Oda Brill",
    ]  # fmt: skip
    back = client.put(f"{V1}/setups/1/crew", json={"revision": 2, "angler_id": 1}).json()
    assert back["setup"]["angler"]["name"] == "Ilda Renn"
    undone = client.post(f"{V1}/setups/1/undo", json={"revision": 3}).json()
    assert undone["setup"]["angler"]["mass_kg"] == 58.0


def test_one_too_heavy_for_the_boat_stays_ashore(client: TestClient) -> None:
    giant = get(client)["setup"]["angler"] | {"name": "Giant", "mass_kg": 249.0}
    boat = get(client)["setup"]["boat"] | {"hull_mass_kg": 300.0}
    client.put(f"{V1}/setups/1/boat", json={"revision": 1, "boat": boat})
    seen = get(client)["revision"]
    refused = client.post(f"{V1}/setups/1/crew", json={"revision": seen, "angler": giant})
    assert refused.status_code == 422
    assert get(client)["setup"]["angler"]["name"] == "Ilda Renn"
    assert len(client.get(f"{V1}/anglers").json()) == 1


@pytest.mark.parametrize("angler_id", [99, 0, 2**63])
def test_an_angler_that_there_is_not_is_not_found(client: TestClient, angler_id: int) -> None:
    body = {"revision": 1, "angler_id": angler_id}
    assert client.put(f"{V1}/setups/1/crew", json=body).status_code in (404, 422)


def test_usual_lengths_go_with_stature(client: TestClient) -> None:
    short, tall = (
        client.post(f"{V1}/anglers/usual", json={"stature_m": h}).json() for h in (1.5, 2.0)
    )
    for name, value in short.items():
        assert tall[name] == pytest.approx(value * 2.0 / 1.5), name
    assert client.post(f"{V1}/anglers/usual", json={"stature_m": 5.0}).status_code == 422


def test_a_map_is_for_its_height_and_a_trial_changes_nothing(client: TestClient) -> None:
    def hand(height_m: float, **trial: Any) -> Any:
        body = {"height_m": height_m, **trial}
        answer = client.post(f"{V1}/setups/1/reach", json=body).json()
        return next(one["outline"] for one in answer["edges"] if one["zone"] == "hand")

    before = get(client)
    assert hand(0.2) != hand(0.8)
    short = before["setup"]["angler"] | {"stature_m": 1.5}
    assert max(x for x, _ in hand(0.4, angler=short)) < max(x for x, _ in hand(0.4))
    assert get(client) == before
    assert client.post(f"{V1}/setups/1/reach", json={"height_m": 9.0}).status_code == 422


def test_reaching_for_a_thing_moves_the_hand_to_it(client: TestClient) -> None:
    found = client.get(f"{V1}/setups/1/reaching/{SCREEN}").json()
    row = next(one for one in get(client)["figures"]["aboard"] if one["thing_id"] == SCREEN)
    assert (found["zone"], found["hand"]) == ("lean", "starboard")
    assert found["heel_deg"] == row["heels_deg"]
    hands = [limb["far"] for limb in found["limbs"] if limb["name"] == "hand"]
    top = [row["x_m"], row["y_m"], row["base_z_m"] + 0.15]
    nearest = min(sum((a - b) ** 2 for a, b in zip(spot, top, strict=True)) ** 0.5
                  for spot in hands)  # fmt: skip
    assert nearest < 0.12  # the arm is laid straight; the wrist bends the rest
    assert client.get(f"{V1}/setups/1/reaching/{NET}").status_code == 404  # ashore
