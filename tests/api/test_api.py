"""The API as a screen or a script meets it."""

import sqlite3
from pathlib import Path
from typing import Any

import pytest
from fastapi.testclient import TestClient
from tests.servers import loaded

from neat_hull.api.app import create_api
from neat_hull.api.front import front

V1 = "/api/v1/setups"
PLACE = {"x_m": 0.4, "y_m": 0.0, "z_m": None, "turn_deg": 0.0, "tilt_deg": 0.0}
TANK = 21


def get(client: TestClient, setup: int = 1) -> Any:
    """The state of a setup."""
    return client.get(f"{V1}/{setup}").json()


def put(client: TestClient, place: Any, revision: int | None = None) -> Any:
    """Put the bait tank somewhere."""
    seen = get(client)["revision"] if revision is None else revision
    return client.put(f"{V1}/1/places/{TANK}", json={"revision": seen, "place": place})


def test_the_list_names_every_setup(client: TestClient) -> None:
    assert [(one["name"], one["boat"]) for one in client.get(V1).json()] == [
        ("Reed Lake dawn", "Marnok 12"),
        ("Bare Reed Lake", "Marnok 12"),
        ("Pond, after work", "Tarn 10"),
        ("Estuary, calm", "Selk 14"),
    ]


def test_putting_a_thing_aboard_answers_with_new_figures(client: TestClient) -> None:
    before = get(client)
    after = put(client, PLACE).json()
    assert after["revision"] == before["revision"] + 1
    assert after["undo_label"] == "Put aboard: Full bait tank"
    assert after["figures"]["afloat"]["trim_deg"] > before["figures"]["afloat"]["trim_deg"] + 1
    undone = client.post(f"{V1}/1/undo", json={"revision": after["revision"]}).json()
    assert undone["setup"] == before["setup"]
    assert undone["figures"] == before["figures"]


def test_a_preview_computes_and_stores_nothing(client: TestClient, data: Path) -> None:
    before = get(client)
    tried = client.post(f"{V1}/1/preview", json={"places": [{"thing_id": TANK, "place": PLACE}]})
    kept = put(client, PLACE).json()
    assert tried.json()["figures"] == kept["figures"]
    client.post(f"{V1}/1/undo", json={"revision": kept["revision"]})
    assert get(client)["setup"] == before["setup"]
    steps = sqlite3.connect(data).execute("SELECT count(*) FROM step").fetchone()
    assert steps == (1,)


def test_a_quick_preview_tells_what_the_whole_one_tells_of_it(client: TestClient) -> None:
    for x_m in (2.3, 2.2, 2.1):
        trial = {"places": [{"thing_id": TANK, "place": {**PLACE, "x_m": x_m}}]}
        at_once = client.post(f"{V1}/1/preview/quick", json=trial).json()
        whole = client.post(f"{V1}/1/preview", json=trial).json()["figures"]
        assert {"weight", "afloat", "aboard", "too_near"} <= set(at_once) < set(whole)
        assert at_once["weight"]["carried_kg"] == pytest.approx(whole["weight"]["carried_kg"])
        assert at_once["afloat"]["trim_deg"] == pytest.approx(whole["afloat"]["trim_deg"], abs=1e-9)
    nobody = {"places": [{"thing_id": 4711, "place": PLACE}]}
    assert client.post(f"{V1}/1/preview/quick", json=nobody).status_code == 422


def test_a_preview_sees_a_change_made_through_another_door(client: TestClient, data: Path) -> None:
    """The setups held in memory go by the file's clock."""
    trial: dict[str, Any] = {"places": []}
    first = client.post(f"{V1}/1/preview", json=trial).json()
    with TestClient(front(loaded(create_api(data))), base_url="http://127.0.0.1:8137") as other:
        put(other, PLACE)
    second = client.post(f"{V1}/1/preview", json=trial).json()
    assert second["figures"]["weight"]["gear_kg"] == pytest.approx(
        first["figures"]["weight"]["gear_kg"] + 21
    )


def test_a_stale_change_gets_409_and_the_present_revision(client: TestClient) -> None:
    seen = get(client)["revision"]
    put(client, PLACE)
    late = put(client, {**PLACE, "x_m": 2.0}, revision=seen)
    assert late.status_code == 409
    assert late.headers["content-type"] == "application/problem+json"
    assert late.json()["current"] == seen + 1
    assert get(client)["setup"]["places"][str(TANK)]["x_m"] == 0.4


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"length_m": -3.0}, "tape.length_m"),
        ({"beam_m": 0.0}, "tape.beam_m"),
        ({"length_m": 1.6, "beam_m": 1.7, "beam_at_m": 0.8}, "tape.beam_m"),
        ({"depth_m": "deep"}, "boat.tape.depth_m"),
    ],
)
def test_nonsense_measures_are_refused_by_field_and_nothing_is_lost(
    client: TestClient, change: dict[str, Any], field: str
) -> None:
    before = get(client)
    boat = before["setup"]["boat"]
    wrong = {**boat, "tape": boat["tape"] | change}
    body = {"revision": before["revision"], "boat": wrong}
    for answer in (
        client.put(f"{V1}/1/boat", json=body),
        client.post(f"{V1}/1/preview", json={"boat": wrong}),
    ):
        assert answer.status_code == 422
        assert answer.headers["content-type"] == "application/problem+json"
        assert field in [one["field"] for one in answer.json()["fields"]]
    assert get(client) == before


def test_a_load_the_boat_cannot_float_is_refused_with_the_weight_named(client: TestClient) -> None:
    """Flat slabs of 300 kg on the bottom, one after the other, until the boat has no more lift."""
    slab = get(client)["setup"]["things"][str(TANK)] | {"mass_kg": 300.0, "height_m": 0.02}
    place = {**PLACE, "x_m": 1.75, "z_m": 0.0}
    for _ in range(4):
        before = get(client)
        body = {"revision": before["revision"], "thing": slab, "place": place}
        answer = client.post(f"{V1}/1/things", json=body)
        if answer.status_code == 422:
            break
    assert answer.status_code == 422
    assert answer.json()["fields"][0]["field"] == "thing.mass_kg"
    assert "does not float" in answer.json()["detail"]
    assert get(client) == before


def test_things_are_added_changed_and_struck_off(client: TestClient) -> None:
    state = get(client)
    thing = state["setup"]["things"]["19"] | {"name": "Sponge", "mass_kg": 0.2}
    added = client.post(
        f"{V1}/1/things", json={"revision": state["revision"], "thing": thing}
    ).json()
    new = max(int(i) for i in added["setup"]["things"])
    changed = client.put(
        f"{V1}/1/things/{new}",
        json={"revision": added["revision"], "thing": thing | {"mass_kg": 0.3}},
    ).json()
    assert changed["setup"]["things"][str(new)]["mass_kg"] == 0.3
    gone = client.delete(f"{V1}/1/things/{new}", params={"revision": changed["revision"]}).json()
    assert gone["setup"] == state["setup"]


def test_seat_water_and_boat_each_change_the_figures(client: TestClient) -> None:
    state = get(client)
    setup = state["setup"]
    higher = setup["seat"] | {"z_m": setup["seat"]["z_m"] + 0.1}
    raised = client.put(
        f"{V1}/1/angler",
        json={"revision": state["revision"], "angler": setup["angler"], "seat": higher},
    ).json()
    assert raised["figures"]["afloat"]["gm_m"] < state["figures"]["afloat"]["gm_m"]
    salty = client.put(
        f"{V1}/1", json={"revision": raised["revision"], "name": "Bay", "water": "salt"}
    ).json()
    assert salty["setup"]["name"] == "Bay"
    assert salty["figures"]["afloat"]["draft_mid_m"] < raised["figures"]["afloat"]["draft_mid_m"]


def test_a_new_boat_starts_from_first_measures(client: TestClient) -> None:
    first = {
        "setup_name": "First", "boat_name": "Tub", "length_m": 3.2, "beam_m": 0.8,
        "beam_fore_quarter_m": 0.6, "beam_aft_quarter_m": 0.7, "depth_m": 0.32, "bottom": "flat",
        "hull_mass_kg": 25.0, "hull_evidence": "label", "rated_kg": 150.0, "angler_name": "Me",
        "angler_mass_kg": 75.0, "angler_evidence": "weighed", "stature_m": 1.7, "water": "fresh",
    }  # fmt: skip
    made = client.post(V1, json=first)
    assert made.status_code == 201
    assert made.json()["setup"]["places"] == {}
    assert client.get(V1).json()[-1]["name"] == "First"
    wrong = client.post(V1, json=first | {"beam_m": 3.5})
    assert wrong.status_code == 422
    assert "tape.beam_m" in [one["field"] for one in wrong.json()["fields"]]
    assert client.get(V1).json()[-1]["name"] == "First"


@pytest.mark.parametrize("figure", ["weight", "trim", "list", "gm", "wells"])
def test_every_figure_has_a_how(client: TestClient, figure: str) -> None:
    assert client.get(f"{V1}/1/how/{figure}").json()["rows"]


@pytest.mark.parametrize(
    ("method", "path", "status"),
    [
        ("GET", f"{V1}/99", 404),
        ("GET", "/api/v1/nothing", 404),
        ("GET", f"{V1}/1/how/luck", 422),
        ("DELETE", f"{V1}/1/places/19?revision=1", 404),
        ("PATCH", V1, 405),
        ("GET", f"{V1}/99999999999999999999", 422),
    ],
)
def test_what_is_not_there_is_a_problem_in_plain_words(
    client: TestClient, method: str, path: str, status: int
) -> None:
    answer = client.request(method, path)
    assert answer.status_code == status
    assert answer.headers["content-type"] == "application/problem+json"
    assert answer.json()["detail"]


@pytest.mark.parametrize(
    "headers", [{"host": "evil.example"}, {"origin": "http://evil.example"}, {"origin": "null"}]
)
def test_foreign_pages_are_turned_away(client: TestClient, headers: dict[str, str]) -> None:
    assert client.get(V1, headers=headers).status_code == 403


def test_its_own_page_is_let_in(client: TestClient) -> None:
    assert client.get(V1, headers={"origin": "http://127.0.0.1:8137"}).status_code == 200


def test_a_huge_body_is_turned_away(client: TestClient) -> None:
    answer = client.post(f"{V1}/1/preview", content=b" " * (3 * 1024 * 1024))
    assert answer.status_code == 413


def test_the_sheet_afloat_answers_a_trial_and_stores_nothing(client: TestClient) -> None:
    kept = client.post(f"{V1}/1/afloat", json={"places": []}).json()
    numbers = get(client)["setup"]["demands"] | {"fish_kg": 12.0}
    tried = client.post(f"{V1}/1/afloat", json={"demands": numbers}).json()
    margin = [
        next(d["margin_used"] for d in sheet["demands"] if d["code"] == "land")
        for sheet in (kept, tried)
    ]
    assert margin[1] > margin[0]
    assert get(client)["setup"]["demands"]["fish_kg"] == 3.0


def test_demand_numbers_are_kept_with_an_undo_step(client: TestClient) -> None:
    state = get(client)
    numbers = state["setup"]["demands"] | {"scope": 7.0}
    body = {"revision": state["revision"], "demands": numbers}
    after = client.put(f"{V1}/1/demands", json=body).json()
    assert after["setup"]["demands"]["scope"] == 7.0
    undone = client.post(f"{V1}/1/undo", json={"revision": after["revision"]}).json()
    assert undone["setup"]["demands"] == state["setup"]["demands"]
    wrong = client.put(f"{V1}/1/demands", json={**body, "demands": numbers | {"scope": 0.5}})
    assert wrong.json()["fields"][0]["field"] == "demands.scope"


def test_a_used_test_that_cannot_be_is_refused_by_field_and_the_boat_stays(
    client: TestClient,
) -> None:
    state = get(client)
    boat = state["setup"]["boat"]
    marks = [{"x_m": 0.5, "freeboard_m": 0.1}, {"x_m": 9.0, "freeboard_m": 0.1}]
    test = {"used": True, "water": "fresh", "load_kg": 80, "load_x_m": 1.5, "load_z_m": 0.4,
            "marks": marks}  # fmt: skip
    body = {"revision": state["revision"],
            "boat": boat | {"calibration": {"float_test": test}}}  # fmt: skip
    answer = client.put(f"{V1}/1/boat", json=body)
    assert answer.status_code == 422
    assert answer.json()["fields"][0]["field"] == "calibration.float_test.marks[1].x_m"
    assert get(client)["setup"]["boat"] == boat


def test_readings_of_a_test_are_kept_as_they_were_taken(client: TestClient) -> None:
    state = get(client)
    readings = [{"mass_kg": 10.0, "offset_m": d, "heel_deg": a}
                for d, a in ((-0.3, -4.9), (0.0, 0.2), (0.3, 5.4))]  # fmt: skip
    test = {"used": False, "water": "fresh", "load_kg": 92.0, "load_x_m": 1.5, "load_z_m": 0.4,
            "readings": readings}  # fmt: skip
    boat = state["setup"]["boat"] | {"calibration": {"tilt_test": test}}
    body = {"revision": state["revision"], "boat": boat}
    kept = client.put(f"{V1}/1/boat", json=body).json()["setup"]["boat"]
    assert kept["calibration"]["tilt_test"]["readings"] == readings
    fit = client.post("/api/v1/boat/calibration", json=kept).json()["tilt_test"]
    assert len(fit["points"]) == 3
    assert fit["gm_se_m"] > 0


def test_offsets_answer_by_line(client: TestClient) -> None:
    good = client.post("/api/v1/boat/offsets", json={"text": "x_m,y_m,z_m\n0,0,0\n0,0.4,0.3\n"})
    assert good.json() == [{"x_m": 0.0, "points_m": [[0.0, 0.0], [0.4, 0.3]]}]
    bad = client.post("/api/v1/boat/offsets", json={"text": "x_m,y_m,z_m\n0,,0\n"})
    assert bad.json()["fields"][0]["field"] == "line 2"


def test_without_an_instrument_the_feed_is_off(client: TestClient) -> None:
    assert client.get("/api/v1/instrument").json()["state"] == "off"
    assert client.post("/api/v1/instrument/moment", json={"moment_kg_m": 1.0}).status_code == 204


def test_an_empty_name_is_refused(client: TestClient) -> None:
    body = {"revision": get(client)["revision"], "name": "", "water": "fresh"}
    assert client.put(f"{V1}/1", json=body).json()["fields"][0]["field"] == "name"


def test_a_hull_of_no_stations_is_refused_whatever_was_fitted(client: TestClient) -> None:
    boat = client.get(f"{V1}/1").json()["setup"]["boat"] | {"offsets": []}
    marks = [{"x_m": 0.5, "freeboard_m": 0.2}, {"x_m": 3.0, "freeboard_m": 0.2}]
    fitted = {"load_kg": 80.0, "load_x_m": 1.8, "load_z_m": 0.3, "water": "fresh", "marks": marks,
              "used": True, "fullness_aft": 0.1}  # fmt: skip
    answer = client.post(
        "/api/v1/boat/calibration", json=boat | {"calibration": {"float_test": fitted}}
    )
    assert answer.status_code == 422
    assert "stations" in answer.json()["fields"][0]["field"]
