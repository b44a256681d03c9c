"""The surf arrangement through the API: kept beside the other, undone with the setup."""

from fastapi.testclient import TestClient

V1 = "/api/v1/setups/1"
ROD = "7"


def test_it_is_laid_down_kept_beside_and_undone(client: TestClient) -> None:
    before = client.get(f"{V1}/surf").json()
    places = client.get(f"{V1}/surf/laid-down").json()["places"]
    assert client.get(f"{V1}/surf").json() == before, "asking changes nothing"
    edits = [{"what": "setup", "id": None, "was": {"surf": {"places": {}, "up": False}},
              "fields": {"surf": {"places": places, "up": True}}}]  # fmt: skip
    kept = client.patch(V1, json={"edits": edits})
    assert kept.status_code == 200, kept.text
    assert kept.json()["setup"]["places"] == client.get(V1).json()["setup"]["places"]
    after = client.get(f"{V1}/surf").json()
    assert after["down"] == []
    assert sum(row["changed"] for row in after["rows"]) == len(places)
    one = next(iter(places))
    edits = [{"what": "setup", "id": None, "fields": {"surf": {"places": {one: None}}}}]
    state = client.patch(V1, json={"edits": edits}).json()
    assert one not in state["setup"]["surf"]["places"]
    for _ in range(2):
        state = client.post(f"{V1}/undo", json={"revision": state["revision"]}).json()
    assert client.get(f"{V1}/surf").json() == before


def test_it_is_in_the_setups_file(client: TestClient) -> None:
    places = client.get(f"{V1}/surf/laid-down").json()["places"]
    edits = [{"what": "setup", "id": None, "fields": {"surf": {"places": places, "up": True}}}]
    client.patch(V1, json={"edits": edits})
    text = client.get(f"{V1}/file").text
    taken = client.post("/api/v1/setups/import", json={"text": text})
    assert taken.status_code == 201, taken.text
    surf = taken.json()["setup"]["surf"]
    assert len(surf["places"]) == len(places)
    assert surf["up"] is True


def test_a_place_of_what_is_none_is_refused(client: TestClient) -> None:
    for wrong in ({"places": {ROD: {"x_m": "here"}}}, {"up": "yes"}, {"low": True}):
        edits = [{"what": "setup", "id": None, "fields": {"surf": wrong}}]
        answer = client.patch(V1, json={"edits": edits})
        assert answer.status_code == 422
        assert "surf" in answer.text
