"""The page to leave with a person: kept field by field, as text, in no export and under no undo."""

from typing import Any

from fastapi.testclient import TestClient

AT = "/api/v1/setups/1/float-plan"


def patched(client: TestClient, **fields: Any) -> Any:
    """The page after fields were changed."""
    found = client.patch(AT, json={"fields": fields})
    assert found.status_code == 200, found.text
    return found.json()


def test_an_empty_plan_has_lines_to_write_on_and_says_what_is_missing(client: TestClient) -> None:
    page = client.get(AT).json()
    assert "when to call" in page["missing"]
    assert "____" in page["text"]
    assert "Flag and light" in page["text"]  # it is aboard, to be seen with
    assert "Tackle tray" not in page["text"]


def test_two_tabs_change_different_fields_and_neither_is_lost(client: TestClient) -> None:
    patched(client, who="Ilda Renn", whom="Ola, 0700 12 34 56\nthen the coast guard")
    page = patched(client, call_at="21:30", back_at="20:00")
    assert page["plan"]["who"] == "Ilda Renn"
    assert "CALL WHEN NOT BACK BY 21:30" in page["text"]
    assert "then the coast guard" in page["text"]
    assert client.get(AT).json() == page


def test_the_file_is_the_page(client: TestClient) -> None:
    page = patched(client, route="Along the west shore ⛵ to the reed island")
    got = client.get(f"{AT}/float-plan.txt")
    assert got.text == page["text"]
    assert "float-plan.txt" in got.headers["content-disposition"]


def test_a_telephone_number_is_in_no_file_of_the_setup_and_under_no_undo(
    client: TestClient,
) -> None:
    patched(client, whom="Ola, 0700-OLA-77")
    assert "0700-OLA" not in client.get("/api/v1/setups/1").text
    assert "0700-OLA" not in client.get("/api/v1/setups/1/file").text
    seen = client.get("/api/v1/setups/1").json()["revision"]
    client.post("/api/v1/setups/1/undo", json={"revision": seen})
    assert client.get(AT).json()["plan"]["whom"].startswith("Ola")


def test_what_is_wrong_is_said_by_field_and_nothing_is_kept(client: TestClient) -> None:
    before = client.get(AT).json()
    for fields, named in (
        ({"call_at": "25:00"}, "float_plan.call_at"),
        ({"who": 3}, "float_plan.who"),
        ({"boat": "mine"}, "float_plan.boat"),
        ({"route": "x" * 2001}, "float_plan.route"),
    ):
        got = client.patch(AT, json={"fields": fields})
        assert got.status_code == 422
        assert named in got.text
    assert client.get(AT).json() == before
    assert client.get("/api/v1/setups/4711/float-plan").status_code == 404
