"""What is turned away in words before anything is changed, and what pages may do."""

import base64
import json
import struct
import zlib
from typing import Any

import pytest
from fastapi.testclient import TestClient

SETUP = "/api/v1/setups/1"
JSON = {"content-type": "application/json"}


def png(width: int, height: int) -> str:
    """A picture by its head, in base64."""

    def chunk(kind: bytes, data: bytes) -> bytes:
        crc = zlib.crc32(kind + data)
        return struct.pack(">I", len(data)) + kind + data + struct.pack(">I", crc)

    head = struct.pack(">IIBBBBB", width, height, 8, 2, 0, 0, 0)
    image = b"\x89PNG\r\n\x1a\n" + chunk(b"IHDR", head) + chunk(b"IEND", b"")
    return base64.b64encode(image).decode()


def edits(fields: str, what: str = '"thing", "id": 9') -> str:
    return f'{{"edits": [{{"what": {what}, "fields": {fields}}}]}}'


@pytest.mark.parametrize(
    ("body", "words"),
    [
        (edits(r'{"name": "A\ud800"}'), "control characters"),
        (edits(r'{"name": "A\u0000B"}'), "control characters"),
        (edits(r'{"name": "A\nB"}'), "line ends"),
        (edits(r'{"name": "A\u2028\t"}'), "line ends"),
        (edits(r'{"name": "A\u007f"}'), "control characters"),
        ('{"edits": [], "edits": []}', "stands twice"),
        (edits('{"mass_kg": 1.0, "mass_kg": 2.0}'), "stands twice"),
        (edits('{"mass_kg": 1e999}'), "mass_kg"),
        (edits('{"mass_kg": ' + "9" * 400 + "}"), "mass_kg"),
        (edits('{"day": "9999-99-99"}', '"setup"'), "no day of the calendar"),
        (edits('{"day": "2026-02-30"}', '"setup"'), "no day of the calendar"),
        (edits(r'{"name": "A\u0007"}', '"boat"'), "control characters"),
        ("[" * 100_000, ""),
    ],
)
def test_a_body_that_cannot_be_meant_is_refused_in_words(
    client: TestClient, body: str, words: str
) -> None:
    before = client.get(SETUP).json()
    answer = client.patch(SETUP, content=body, headers=JSON)
    assert answer.status_code in (400, 422)
    assert words in answer.json()["detail"]
    assert client.get(SETUP).json() == before


@pytest.mark.parametrize(
    ("text", "words"),
    [
        ('name,mass_kg\n"A\rB",1\n', "line ends"),
        ("name,mass_kg\n" + "x" * 140_000 + ",1\n", "more than 20000 characters"),
        ('name,mass_kg\n"A,1\n', "never closed"),
        ('name,mass_kg\n"A"x,1\n', "after a closing quote"),
        ('name,mass_kg\nA,"1,234"\n', "is 1.234 or 1234 meant?"),
        ("", "the file is empty"),
    ],
)
def test_a_table_that_cannot_be_read_says_where(client: TestClient, text: str, words: str) -> None:
    answer = client.post(f"{SETUP}/gear/preview", json={"text": text})
    assert words in answer.text
    assert answer.status_code == 422 or answer.json()[0]["does"] == "bad"


@pytest.mark.parametrize("end", ["\n", "\r\n", "\r"])
@pytest.mark.parametrize("first", ["", "\ufeff"])
def test_lines_end_any_way(client: TestClient, end: str, first: str) -> None:
    text = first + end.join(["name;mass_kg", "Float;0,25", "Net;1,5", ""])
    rows = client.post(f"{SETUP}/gear/preview", json={"text": text}).json()
    assert [(row["name"], row["does"]) for row in rows] == [("Float", "new"), ("Net", "new")]


def test_too_many_points_at_a_station_are_told(client: TestClient) -> None:
    points = "".join(f"1.0,{0.001 * i},{0.001 * i}\n" for i in range(260))
    answer = client.post("/api/v1/boat/offsets", json={"text": f"x_m,y_m,z_m\n{points}"})
    assert answer.status_code == 422
    assert "the station at 1 m" in answer.json()["detail"]


def test_a_setup_file_that_says_a_thing_twice_is_refused(client: TestClient) -> None:
    text = client.get(f"{SETUP}/file").text
    for broken, words in (
        (text.replace('"name":', '"name": "x", "name":', 1), "stands twice"),
        (text.replace('"version": 2', '"version": true', 1), "version"),
        (text.replace('"name": "', r'"name": "\ud800', 1), "control characters"),
    ):
        assert broken != text
        answer = client.post("/api/v1/setups/import/preview", json={"text": broken})
        assert (answer.status_code, words in answer.json()["detail"]) == (422, True)
    kept = client.post("/api/v1/setups/import/preview", json={"text": f"\ufeff{text}"})
    assert kept.status_code == 200


@pytest.mark.parametrize(
    ("image", "status"),
    [(png(800, 600), 201), (png(60_000, 10), 422)],
)
def test_pictures_of_absurd_size_are_refused(client: TestClient, image: str, status: int) -> None:
    assert client.post("/api/v1/photos", json={"image": image}).status_code == status


@pytest.mark.parametrize("host", ["[", "[::1", "evil.example", "127.0.0.1.evil.example", ""])
def test_a_name_that_is_not_ours_is_refused(client: TestClient, host: str) -> None:
    assert client.get("/api/v1/setups", headers={"host": host}).status_code == 403


@pytest.mark.parametrize("site", ["cross-site", "same-site"])
def test_changes_from_another_site_are_refused(client: TestClient, site: str) -> None:
    before = client.get(SETUP).json()
    headers = {**JSON, "sec-fetch-site": site}
    for method, path, body in (
        ("PATCH", SETUP, edits('{"mass_kg": 1.0}')),
        ("POST", f"{SETUP}/undo", json.dumps({"revision": before["revision"]})),
        ("DELETE", f"{SETUP}/places/9?revision={before['revision']}", ""),
    ):
        assert client.request(method, path, content=body, headers=headers).status_code == 403
    assert client.get(SETUP, headers=headers).json() == before
    own = {**JSON, "sec-fetch-site": "same-origin"}
    assert client.patch(SETUP, content=edits('{"mass_kg": 1.0}'), headers=own).status_code == 200


@pytest.mark.parametrize("path", [SETUP, "/api/v1/setups/99", "/api/nothing", f"{SETUP}/deck.svg"])
def test_every_answer_says_what_a_browser_may_do_with_it(client: TestClient, path: str) -> None:
    headers: Any = client.get(path).headers
    policy = headers["content-security-policy"]
    assert "script-src 'self'" in policy
    assert "unsafe-inline" not in policy.split("style-src")[0]
    assert "frame-ancestors 'none'" in policy
    assert headers["x-content-type-options"] == "nosniff"
    assert headers["x-frame-options"] == "DENY"
    assert headers["referrer-policy"] == "no-referrer"
