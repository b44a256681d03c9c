"""Many things at once, tables, setups as a whole, and files through the API."""

import base64
from typing import Any

import pytest
from fastapi.testclient import TestClient

V1 = "/api/v1/setups"


def get(client: TestClient, setup: int = 1) -> Any:
    """The state of a setup."""
    return client.get(f"{V1}/{setup}").json()


def test_several_things_are_one_step(client: TestClient) -> None:
    tray = client.get("/api/v1/catalog").json()[20]
    body = {"revision": 1, "things": [{"thing": tray | {"name": f"Tray {i}"}} for i in range(6)]}
    after = client.put(f"{V1}/1/things", json=body).json()
    assert after["undo_label"] == "Add 6 items"
    assert len(after["setup"]["things"]) == 33
    undone = client.post(f"{V1}/1/undo", json={"revision": after["revision"]}).json()
    assert len(undone["setup"]["things"]) == 27


def test_what_a_thing_is_told_is_kept(client: TestClient) -> None:
    thing = get(client)["setup"]["things"]["9"] | {
        "use": "each cast", "worn": True, "price": 12.5, "notes": "lid sticks",
        "fill": {"empty_kg": 2.0, "filled": 0.5, "sloshes": False, "afloat": False},
    }  # fmt: skip
    after = client.put(f"{V1}/1/things", json={"revision": 1,
                       "things": [{"thing_id": 9, "thing": thing}]}).json()  # fmt: skip
    assert get(client)["setup"]["things"]["9"] == thing
    # half of 4.3 kg is out of the crate
    assert after["figures"]["weight"]["gear_kg"] == pytest.approx(41.77 - 2.15)


def test_a_table_tells_what_it_would_do_and_takes_good_rows_only_when_told(
    client: TestClient,
) -> None:
    text = "name,mass_kg\nDrift sock,0.7\nNew net,0.9\nBroken,heavy\n,1\n"
    rows = client.post(f"{V1}/1/gear/preview", json={"text": text}).json()
    assert [(row["line"], row["does"]) for row in rows] == [
        (2, "changes"), (3, "new"), (4, "bad"), (5, "bad"),
    ]  # fmt: skip
    assert "mass_kg" in rows[0]["why"]
    refused = client.post(f"{V1}/1/gear/import", json={"revision": 1, "text": text})
    assert refused.json()["fields"][0]["field"] == "line 4"
    assert get(client)["revision"] == 1
    body = {"revision": 1, "text": text, "take_good": True}
    after = client.post(f"{V1}/1/gear/import", json=body).json()
    assert after["undo_label"] == "Import 2 items"
    assert after["setup"]["things"]["19"]["mass_kg"] == 0.7


def test_the_table_out_changes_nothing_when_taken_in_again(client: TestClient) -> None:
    text = client.get(f"{V1}/1/gear.csv").text
    rows = client.post(f"{V1}/1/gear/preview", json={"text": text}).json()
    assert {row["does"] for row in rows} == {"same"}


def test_a_copy_shares_boat_and_gear_and_goes_its_own_way(client: TestClient) -> None:
    copy = client.post(f"{V1}/1/copy", json={"name": "Dusk"}).json()
    assert copy["setup"]["places"] == get(client)["setup"]["places"]
    client.delete(f"{V1}/{copy['setup_id']}/places/9", params={"revision": copy["revision"]})
    assert "9" in get(client)["setup"]["places"]
    assert "9" not in get(client, copy["setup_id"])["setup"]["places"]


def test_a_setup_is_put_away_and_brought_back(client: TestClient) -> None:
    names = client.put(f"{V1}/2/archived", json={"archived": True}).json()
    assert [one["archived"] for one in names] == [False, False, False, True]
    names = client.put(f"{V1}/2/archived", json={"archived": False}).json()
    assert not any(one["archived"] for one in names)


def test_a_setup_moves_to_another_boat_and_tells_what_stays_ashore(client: TestClient) -> None:
    here, there = get(client), get(client, 3)
    body = {"name": "Dawn on the pond", "onto_setup_id": 3}
    moved = client.post(f"{V1}/1/move", json=body).json()
    state = moved["state"]
    assert state["setup"]["boat"]["name"] == "Tarn 10"
    places = state["setup"]["places"]
    assert set(places) | set(moved["ashore"]) >= {"9"}
    assert len(places) + len(moved["ashore"]) == len(here["setup"]["places"])
    # at the seat: as far from it as before; on the foredeck: as far from the bow
    assert places["15"]["x_m"] - there["setup"]["seat"]["x_m"] == pytest.approx(
        here["setup"]["places"]["15"]["x_m"] - here["setup"]["seat"]["x_m"]
    )
    assert 3.05 - places["6"]["x_m"] == pytest.approx(3.66 - here["setup"]["places"]["6"]["x_m"])
    same = client.post(f"{V1}/1/move", json={"name": "x", "onto_setup_id": 2})
    assert same.status_code == 422


def test_a_file_out_and_in_again_has_equal_figures_and_shares_what_is_known(
    client: TestClient,
) -> None:
    answer = client.get(f"{V1}/1/file")
    assert 'filename="reed-lake-dawn.json"' in answer.headers["content-disposition"]
    plan = client.post(f"{V1}/import/preview", json={"text": answer.text}).json()
    assert (plan["boat_is_new"], plan["new_things"], plan["known_things"]) == (False, [], 23)
    assert plan["same_name"]
    taken = client.post(f"{V1}/import", json={"text": answer.text}).json()
    assert taken["figures"] == get(client)["figures"]
    changed = answer.text.replace('"mass_kg": 6.3', '"mass_kg": 7.3')
    plan = client.post(f"{V1}/import/preview", json={"text": changed}).json()
    assert plan["new_things"] == ["Tackle crate"]


@pytest.mark.parametrize(
    "name", ["<script>alert(1)</script>", "../../etc/passwd", 'a"; filename="b', "\u202etxt.exe"]
)
def test_a_hostile_name_is_only_a_name(client: TestClient, name: str) -> None:
    copy = client.post(f"{V1}/1/copy", json={"name": name}).json()
    assert copy["setup"]["name"] == name
    header = client.get(f"{V1}/{copy['setup_id']}/file").headers["content-disposition"]
    assert set(header.removeprefix('attachment; filename="').removesuffix('"')) <= set(
        "abcdefghijklmnopqrstuvwxyz0123456789-."
    )


def test_a_broken_file_is_refused_by_field(client: TestClient) -> None:
    text = client.get(f"{V1}/1/file").text.replace('"water": "fresh"', '"water": "tea"')
    answer = client.post(f"{V1}/import", json={"text": text})
    assert answer.json()["fields"][0]["field"] == "water"
    assert len(client.get(V1).json()) == 4


PNG = b"\x89PNG\r\n\x1a\n" + bytes(40)


def test_a_photo_is_kept_shown_and_undone_and_stays_out_of_files(client: TestClient) -> None:
    image = base64.b64encode(PNG).decode()
    photo_id = client.post("/api/v1/photos", json={"image": image}).json()["photo_id"]
    shown = client.get(f"/api/v1/photos/{photo_id}")
    assert (shown.content, shown.headers["content-type"]) == (PNG, "image/png")
    assert shown.headers["x-content-type-options"] == "nosniff"
    thing = get(client)["setup"]["things"]["9"] | {"photo": photo_id}
    after = client.put(f"{V1}/1/things/9", json={"revision": 1, "thing": thing}).json()
    assert after["setup"]["things"]["9"]["photo"] == photo_id
    text = client.get(f"{V1}/1/file").text
    assert "photo" not in text
    plan = client.post(f"{V1}/import/preview", json={"text": text}).json()
    assert plan["new_things"] == []
    table = client.get(f"{V1}/1/gear.csv").text
    rows = client.post(f"{V1}/1/gear/preview", json={"text": table}).json()
    assert {row["does"] for row in rows} == {"same"}
    undone = client.post(f"{V1}/1/undo", json={"revision": after["revision"]}).json()
    assert undone["setup"]["things"]["9"]["photo"] is None


@pytest.mark.parametrize(
    ("image", "why"),
    [
        ("not base64!", "not in base64"),
        (base64.b64encode(b"<svg onload=alert(1)>").decode(), "no JPEG or PNG"),
        (base64.b64encode(b"GIF89a").decode(), "no JPEG or PNG"),
        (base64.b64encode(PNG + bytes(1024 * 1024)).decode(), "larger than 1 MB"),
    ],
)
def test_what_is_no_picture_is_refused(client: TestClient, image: str, why: str) -> None:
    answer = client.post("/api/v1/photos", json={"image": image})
    assert answer.status_code == 422
    assert why in answer.json()["detail"]
    assert client.get("/api/v1/photos/1").status_code == 404
