"""Dates through the API: kept beside setups, judged with them, out as a calendar, never undone."""

from typing import Any

from fastapi.testclient import TestClient
from icalendar import Calendar

V1 = "/api/v1/setups/2"
PFD = 24
FLARE = {"thing_id": PFD, "kind": "flare", "due": "2020-01-31", "note": "red; hand-held"}


def added(client: TestClient, **more: Any) -> Any:
    """The setup after one more date."""
    found = client.post(f"{V1}/dates", json=FLARE | more)
    assert found.status_code == 201, found.text
    return found.json()


def rows(client: TestClient) -> Any:
    """The list."""
    return client.get(f"{V1}/dates").json()["rows"]


def codes(state: Any) -> dict[str, str]:
    """Verdicts by code."""
    return {one["code"]: one["verdict"] for one in state["figures"]["findings"]}


def test_a_flare_out_of_date_stops_the_trip_until_its_date_is_changed(client: TestClient) -> None:
    assert codes(added(client)).get("out-of-date") == "stop"
    kept = next(row for row in rows(client) if row["dated"]["kind"] == "flare")
    url = f"{V1}/dates/{kept['dated']['dated_id']}"
    after = client.patch(url, json={"fields": {"due": "2090-01-31"}}).json()
    assert "out-of-date" not in codes(after)
    again = next(row for row in rows(client) if row["dated"]["kind"] == "flare")
    assert again["dated"]["sequence"] == kept["dated"]["sequence"] + 1
    assert again["dated"]["uid"] == kept["dated"]["uid"]
    assert client.delete(url).status_code == 200
    assert client.delete(url).status_code == 404
    assert "flare" not in {row["dated"]["kind"] for row in rows(client)}


def test_two_who_change_one_date_both_keep_what_they_changed(client: TestClient) -> None:
    added(client)
    kept = next(row["dated"] for row in rows(client) if row["dated"]["kind"] == "flare")
    url = f"{V1}/dates/{kept['dated_id']}"
    for fields in ({"due": "2090-01-31"}, {"note": "orange"}):
        assert client.patch(url, json={"fields": fields}).status_code == 200
    now = next(row["dated"] for row in rows(client) if row["dated"]["kind"] == "flare")
    changed = {"due": "2090-01-31", "note": "orange", "sequence": kept["sequence"] + 2}
    assert now == kept | changed
    for wrong in ({"due": "2026-02-30"}, {"thing_id": 4711}, {"kind": "egg"}, {"colour": "red"}):
        got = client.patch(url, json={"fields": wrong})
        assert got.status_code == 422
        assert next(iter(wrong)) in got.text
    assert now in [row["dated"] for row in rows(client)]


def test_undo_never_touches_a_date(client: TestClient) -> None:
    seen = client.get(V1).json()["revision"]
    moved = client.patch(
        V1, json={"edits": [{"what": "setup", "id": None, "fields": {"posture": "stands"},
                             "was": {"posture": "sits"}}]},
    )  # fmt: skip
    assert moved.status_code == 200, moved.text
    added(client)
    now = client.get(V1).json()
    assert now["revision"] == seen + 1
    client.post(f"{V1}/undo", json={"revision": now["revision"]})
    assert "flare" in {row["dated"]["kind"] for row in rows(client)}


def test_the_calendar_is_a_file_that_a_calendar_reads(client: TestClient) -> None:
    added(client, due="2090-01-31")
    got = client.get(f"{V1}/dates/calendar.ics")
    assert got.headers["content-type"].startswith("text/calendar")
    assert "dates.ics" in got.headers["content-disposition"]
    events = {str(e["SUMMARY"]): e for e in Calendar.from_ical(got.content).walk("VEVENT")}
    assert str(events["PFD: flare"]["DESCRIPTION"]) == "red; hand-held"


def test_what_is_wrong_is_said_by_field(client: TestClient) -> None:
    for wrong, field in (
        ({"due": "2026-02-30"}, "due"),
        ({"thing_id": 4711}, "thing_id"),
        ({"kind": "egg"}, "kind"),
        ({"every_months": 0}, "every_months"),
    ):
        got = client.post(f"{V1}/dates", json=FLARE | wrong)
        assert got.status_code == 422
        assert field in got.text
    assert client.patch(f"{V1}/dates/4711", json={"fields": {"note": "x"}}).status_code == 404
    assert client.get("/api/v1/setups/4711/dates").status_code == 404


def test_a_thing_struck_off_and_back_has_its_dates_again(client: TestClient) -> None:
    crate, first = 9, "/api/v1/setups/1"
    added(client, thing_id=crate)
    seen = client.get(first).json()["revision"]
    gone = client.delete(f"{first}/things/{crate}", params={"revision": seen}).json()
    assert str(crate) not in gone["setup"]["things"]
    assert "flare" not in {row["dated"]["kind"] for row in rows(client)}
    client.post(f"{first}/undo", json={"revision": gone["revision"]})
    assert "flare" in {row["dated"]["kind"] for row in rows(client)}
