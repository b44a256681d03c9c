"""The log through the API: told in a minute, asked about twice, kept whole, in and out as files."""

import json
from datetime import date, timedelta
from typing import Any

import pytest
from fastapi.testclient import TestClient
from tests.judged import ANCHOR, BATTERY, CRATE, NET, SCREEN, SPARE_ROD

V1 = "/api/v1/setups/1"
WET = {"uses": "0", "wet": True, "note": "rain"}
ONE: dict[str, Any] = {
    "on_day": "2026-05-02", "out_at": "06:30", "hours": 5.0, "where": "Reed Lake", "wind": "light",
    "marks": {str(SCREEN): {"uses": "4-15"}, str(CRATE): WET},
    "packs": {str(BATTERY): {"left_share": 0.4}}, "note": "Two perch.",
}  # fmt: skip


def told(client: TestClient, sure: bool = False, setup: int = 1, **more: Any) -> Any:
    """Tell of one."""
    body = {"entry": ONE | more, "sure": sure}
    answer = client.post(f"/api/v1/setups/{setup}/log/trips", json=body)
    assert answer.status_code == 200, answer.text
    return answer.json()


def test_a_trip_is_kept_with_all_that_was_aboard(client: TestClient) -> None:
    answer = told(client)
    kept = client.get(f"{V1}/log/trips/{answer['kept']}").json()
    aboard = client.get(V1).json()["setup"]["places"]
    assert set(kept["marks"]) == set(aboard)
    assert kept["marks"][str(CRATE)] == {
        "name": "Tackle crate", "uses": "0", "out_of_reach": False, "broke": False, "wet": True,
        "lost": False, "note": "rain",
    }  # fmt: skip
    assert kept["marks"][str(ANCHOR)]["uses"] is None, "not said is not unused"
    assert kept["packs"] == {
        str(BATTERY): {"start_share": 1.0, "left_share": 0.4, "went_dark": False}
    }
    row = next(one for one in answer["page"]["trips"] if one["trip_id"] == kept["trip_id"])
    assert (row["said"], row["used"], row["trouble"]) == (2, 1, ["Tackle crate"])
    assert (kept["setup"], kept["revision"]) == (
        "Reed Lake dawn",
        client.get(V1).json()["revision"],
    )


def test_the_same_trip_again_is_asked_about_and_not_doubled(client: TestClient) -> None:
    first = told(client)
    count = len(first["page"]["trips"])
    again = told(client, hours=5.1, out_at="06:35")
    assert (again["kept"], again["twin"]["trip_id"]) == (None, first["kept"])
    assert len(again["page"]["trips"]) == count
    assert told(client, hours=5.2)["kept"] is not None, "twelve minutes are another trip"
    assert told(client, out_at="14:00")["kept"] is not None
    assert told(client, water="salt")["kept"] is not None
    assert told(client, sure=True)["kept"] is not None
    assert told(client, setup=2, marks={}, packs={})["kept"] is not None


def test_a_trip_is_changed_and_taken_out_and_undo_never_touches_it(client: TestClient) -> None:
    trip = told(client)["kept"]
    url = f"{V1}/log/trips/{trip}"
    # One changes the hours and a mark, another one meanwhile the note: both are kept.
    for fields in ({"hours": 6.0, "marks": {str(ANCHOR): {"broke": True}}}, {"note": "Rain."}):
        changed = client.patch(url, json={"fields": fields})
        assert changed.status_code == 200, changed.text
    kept = client.get(url).json()
    assert (kept["hours"], kept["marks"][str(ANCHOR)]["broke"]) == (6.0, True)
    assert (kept["marks"][str(CRATE)]["uses"], kept["note"]) == ("0", "Rain.")
    for wrong in ({"hours": -1}, {"marks": {str(CRATE): {"uses": "9"}}}, {"on_day": None}):
        assert client.patch(url, json={"fields": wrong}).status_code == 422
    assert client.get(url).json() == kept
    was = {"name": "Reed Lake dawn"}
    edit = {"what": "setup", "id": None, "fields": {"name": "Other"}, "was": was}
    assert client.patch(V1, json={"edits": [edit]}).status_code == 200
    revision = client.get(V1).json()["revision"]
    client.post(f"{V1}/undo", json={"revision": revision})
    assert client.get(url).json() == kept
    page = client.delete(url).json()
    assert trip not in [row["trip_id"] for row in page["trips"]]
    assert client.get(url).status_code == 404
    assert client.delete(url).status_code == 404
    assert client.patch(url, json={"fields": {}}).status_code == 404


def test_what_is_deleted_from_the_gear_stays_in_its_trips_by_name(client: TestClient) -> None:
    trip = told(client)["kept"]
    revision = client.get(V1).json()["revision"]
    gone = client.delete(f"{V1}/things/{SPARE_ROD}", params={"revision": revision})
    assert gone.status_code == 200, gone.text
    assert (
        client.get(f"{V1}/log/trips/{trip}").json()["marks"][str(SPARE_ROD)]["name"] == "Spare rod"
    )
    learned = client.get(f"{V1}/log").json()["learned"]
    assert SPARE_ROD not in [row["thing_id"] for row in learned["unused"]]
    client.post(f"{V1}/undo", json={"revision": gone.json()["revision"]})
    learned = client.get(f"{V1}/log").json()["learned"]
    assert SPARE_ROD in [row["thing_id"] for row in learned["unused"]], "and finds them again"
    assert client.get(f"{V1}/log/learned").json() == learned


@pytest.mark.parametrize(
    ("wrong", "field"),
    [
        ({"on_day": "2026-02-30"}, "on_day"),
        ({"on_day": (date.today() + timedelta(days=3)).isoformat()}, "on_day"),
        ({"hours": 0}, "hours"),
        ({"hours": 200}, "hours"),
        ({"water": "brackish"}, "water"),
        ({"out_at": "25:00"}, "out_at"),
        ({"marks": {"12": {"uses": "2"}}}, "marks"),
        ({"marks": {"9999": {"uses": "0"}}}, "marks[9999]"),
        ({"packs": {"5": {"left_share": 1.5}}}, "packs"),
        ({"marks": {"12": {"used": "0"}}}, "marks"),
    ],
)
def test_what_is_no_trip_is_refused_by_its_field(
    client: TestClient, wrong: dict[str, Any], field: str
) -> None:
    before = client.get(f"{V1}/log").json()
    answer = client.post(f"{V1}/log/trips", json={"entry": ONE | wrong})
    assert answer.status_code == 422
    assert field in answer.text
    assert client.get(f"{V1}/log").json() == before


def test_what_was_not_aboard_then_cannot_be_told_of_later(client: TestClient) -> None:
    trip = told(client)["kept"]
    fields = {"marks": {str(NET): {"uses": "0"}}}
    answer = client.patch(f"{V1}/log/trips/{trip}", json={"fields": fields})
    assert answer.status_code == 422
    assert "was not aboard" in answer.text


TEXT = """Ein Ergebnis:
> Neat Hull trip 1
> setup: 1
> revision: 0

> day: 2026-05-03
> hours: 4.5
> wind: calm
> item 12: 1-3, out of reach (Anchor with 40 m line)
> item 6: more (7-inch screen)
> pack 5: 1 0.25 (Battery 20 Ah)
> done launch: plug, wear 24
> note: Windy: home early
"""


def test_the_text_of_the_page_taken_along_is_read_and_its_ticks_with_it(client: TestClient) -> None:
    answer = client.post(f"{V1}/log/read", json={"text": TEXT})
    assert answer.status_code == 200, answer.text
    kept = client.get(f"{V1}/log/trips/{answer.json()['kept']}").json()
    assert (kept["hours"], kept["note"], kept["wind"]) == (4.5, "Windy: home early", "calm")
    assert kept["marks"]["12"]["out_of_reach"]
    assert kept["marks"]["6"]["uses"] == "more"
    assert kept["packs"]["5"]["left_share"] == 0.25
    assert client.get(f"{V1}/ticks").json()["done"]["launch"] == ["plug", "wear 24"]
    again = client.post(f"{V1}/log/read", json={"text": TEXT}).json()
    assert (again["kept"], again["twin"]["trip_id"]) == (None, kept["trip_id"])
    # From another setup's page it goes to the one it was made with.
    other = client.post("/api/v1/setups/2/log/read", json={"text": TEXT, "sure": True}).json()
    assert client.get(f"{V1}/log/trips/{other['kept']}").json()["setup"] == "Reed Lake dawn"


@pytest.mark.parametrize(
    ("text", "why"),
    [
        ("hello", "does not hold a trip"),
        ("Neat Hull trip 2\nday: 2026-05-03\nhours: 3", "must begin with"),
        (TEXT.replace("hours: 4.5", "hours: long"), "line 7"),
        (TEXT.replace("> hours: 4.5\n", ""), "hours"),
        (TEXT.replace("more (7", "often (7"), "often"),
        (TEXT.replace("done launch", "done lunch"), "lunch"),
        (TEXT + "> weather: bad\n", "weather: bad"),
        (TEXT.replace("item 12", "item 4711"), "4711"),
    ],
)
def test_text_that_was_spoiled_on_its_way_is_refused_by_its_line(
    client: TestClient, text: str, why: str
) -> None:
    answer = client.post(f"{V1}/log/read", json={"text": text})
    assert answer.status_code in (404, 422)
    assert why in answer.text


@pytest.mark.parametrize("kind", ["json", "csv"])
def test_the_log_goes_out_and_comes_back_the_same(client: TestClient, kind: str) -> None:
    told(client, note='=With "quotes", commas\nand lines ', water_temp_c=-1.5)
    text = client.get(f"{V1}/log/log.{kind}").text
    before = client.get(f"{V1}/log").json()
    body = {"text": text, "format": kind}
    plan = client.post(f"{V1}/log/import/preview", json=body).json()
    assert {row["does"] for row in plan} == {"twin"}, "all of them are there already"
    assert all(row["twin"] and not row["unknown"] for row in plan)
    for row in before["trips"]:
        client.delete(f"{V1}/log/trips/{row['trip_id']}")
    plan = client.post(f"{V1}/log/import/preview", json=body).json()
    assert {row["does"] for row in plan} == {"new"}
    take = [row["number"] for row in plan]
    page = client.post(f"{V1}/log/import", json=body | {"take": take}).json()
    assert client.get(f"{V1}/log/log.{kind}").text == text
    same = [{**row, "trip_id": 0} for row in before["trips"]]
    assert [{**row, "trip_id": 0} for row in page["trips"]] == same
    if kind == "json":  # where items stood is in there only
        assert page["learned"]["proved"] == before["learned"]["proved"]
    assert page["learned"]["unused"] == before["learned"]["unused"]


def test_items_that_nobody_has_keep_their_name(client: TestClient) -> None:
    trip = {"on_day": "2025-05-02", "hours": 3.0, "setup": "Old boat",
            "items": [{"item": 6, "name": "Somebody's float", "uses": "0"}]}  # fmt: skip
    text = json.dumps({"format": "neat-hull/log", "version": 1, "trips": [trip]})
    body = {"text": text, "format": "json"}
    (row,) = client.post(f"{V1}/log/import/preview", json=body).json()
    assert row["unknown"] == ["Somebody's float"], "a number alone does not make it the screen"
    page = client.post(f"{V1}/log/import", json=body | {"take": [1]}).json()
    kept = client.get(f"{V1}/log/trips/{page['trips'][-1]['trip_id']}").json()
    assert [one["name"] for one in kept["marks"].values()] == ["Somebody's float"]
    assert "6" not in kept["marks"]


@pytest.mark.parametrize(
    ("kind", "text", "why"),
    [
        ("json", "{", "is not JSON"),
        ("json", "[]", "format"),
        ("json", '{"format": "neat-hull/log", "version": 2, "trips": []}', "version"),
        ("json", '{"format": "neat-hull/log", "version": 1, "trips": [{"hours": 2}]}', "on_day"),
        ("csv", "", "empty"),
        ("csv", "day,hours\n1,2\n", "no column"),
        ("csv", "trip,on_day,hours,colour\n1,2026-05-01,3,red\n", "colour"),
        ("csv", "trip,on_day,hours\n1,2026-05-01,long\n", "line 2"),
        ("csv", "trip,on_day,hours\n1,2026-05-01,3\n1,2026-05-02,3\n", "line 3"),
        ("csv", "trip,on_day,hours,name,broke\n1,2026-05-01,3,Rod,maybe\n", "yes or no"),
        ("csv", "trip,on_day,hours\n1,2026-05-41,3\n", "calendar"),
    ],
)
def test_a_bad_file_says_where_and_changes_nothing(
    client: TestClient, kind: str, text: str, why: str
) -> None:
    before = client.get(f"{V1}/log").json()
    for where in ("import/preview", "import"):
        body = {"text": text, "format": kind, "take": [1] if where == "import" else []}
        answer = client.post(f"{V1}/log/{where}", json=body)
        assert answer.status_code == 422, answer.text
        assert why in answer.text
    assert client.get(f"{V1}/log").json() == before


def test_care_that_is_done_is_over_and_goes_into_the_calendar(client: TestClient) -> None:
    due = client.get(f"{V1}/dates/calendar.ics").text
    assert "Pedal drive: oil" in due.replace("\r\n ", "")
    done = {"what": "drive", "thing_id": 2, "done_on": date.today().isoformat()}
    page = client.patch(f"{V1}/log/care", json=done).json()
    row = next(one for one in page["learned"]["care"] if one["key"] == "drive:2")
    assert (row["hours"], row["verdict"], row["usual"]) == (0.0, "fine", True)
    assert "Pedal drive: oil" not in client.get(f"{V1}/dates/calendar.ics").text.replace(
        "\r\n ", ""
    )
    own = client.patch(f"{V1}/log/care", json={"what": "Wax the cords", "every_trips": 3}).json()
    assert "Wax the cords" in [one["what"] for one in own["learned"]["care"]]
    for fields in ({"done_on": "2026-05-01"}, {"every_months": 6}):
        page = client.patch(f"{V1}/log/care", json={"what": "Wax the cords"} | fields).json()
    row = next(one for one in page["learned"]["care"] if one["what"] == "Wax the cords")
    told = (row["every_trips"], row["every_months"], row["done_on"])
    assert told == (3, 6, "2026-05-01"), "what was not changed stays"
    assert client.patch(f"{V1}/log/care", json={"what": "x", "thing_id": 999}).status_code == 422
    assert client.patch(f"{V1}/log/care", json=done | {"done_on": "2026-13-01"}).status_code == 422


def test_money_counts_the_trips_of_the_log_and_what_lies_unused(client: TestClient) -> None:
    page = client.get(f"{V1}/money").json()
    trips = len(client.get(f"{V1}/log").json()["trips"])
    assert page["trips"] == page["logged"] == trips
    assert page["per_trip_minor"] is not None
    unused = [row["thing_id"] for row in page["rows"] if row["unused"]]
    assert unused == [SPARE_ROD]


def test_own_lines_of_a_list_are_kept_changed_and_taken_out(client: TestClient) -> None:
    lists = client.post(f"{V1}/lists/rig/lines", json={"text": "Dog aboard"}).json()["lists"]
    rig = next(one for one in lists if one["name"] == "rig")
    line = rig["lines"][-1]
    assert line["words"]["text"] == "Dog aboard"
    url = f"{V1}/lists/lines/{line['own_id']}"
    client.put(url, json={"text": "Dog ashore"})
    client.put(f"{V1}/lists/launch/hidden", json={"line": "weather", "hidden": True})
    lists = client.get(f"{V1}/lists").json()["lists"]
    assert lists[1]["lines"][-1]["words"]["text"] == "Dog ashore"
    assert next(one for one in lists[2]["lines"] if one["key"] == "weather")["hidden"]
    other = client.get("/api/v1/setups/2/lists").json()["lists"]
    assert all(one["own_id"] is None for each in other for one in each["lines"])
    assert client.put("/api/v1/setups/2/lists/lines/1", json={"text": "x"}).status_code == 404
    client.put(f"{V1}/lists/launch/hidden", json={"line": "weather", "hidden": False})
    lists = client.delete(url).json()["lists"]
    assert all(
        not one["hidden"] and one["own_id"] is None for each in lists for one in each["lines"]
    )
    assert client.delete(url).status_code == 404
    assert client.post(f"{V1}/lists/rig/lines", json={"text": ""}).status_code == 422


def test_the_page_taken_along_is_one_file_that_asks_for_nothing(client: TestClient) -> None:
    name = '<script>alert("x")</script>'
    was = {"name": "Tackle crate"}
    edit = {"what": "thing", "id": CRATE, "fields": {"name": name}, "was": was}
    assert client.patch(V1, json={"edits": [edit]}).status_code == 200
    answer = client.get(f"{V1}/lists/take-along.html", params={"units": "imperial"})
    page = answer.text
    assert len(page.encode()) < 200_000
    assert page.count("<script>") == 1, "a name is no script"
    assert "&lt;script&gt;" in page
    for outside in ("http:", "https:", "src=", "@import", "url(", "xmlns"):
        assert outside not in page
    for word in ("Drain plug in", "FLOAT PLAN", "GM", "Cautions", "\u00a0lb", "Copy result"):
        assert word in page
    assert "sha256-" in answer.headers["content-security-policy"]
    assert "'unsafe-inline'" not in answer.headers["content-security-policy"].split("style-src")[0]
