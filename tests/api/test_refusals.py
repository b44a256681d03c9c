"""Every endpoint refuses what means nothing as problem+json, and keeps its hands off the data."""

import sqlite3
from collections.abc import Iterator
from contextlib import closing
from pathlib import Path
from typing import Any

import pytest
from fastapi.testclient import TestClient
from tests.api.served import served
from tests.filled import filled
from tests.operations import PATHS
from tests.servers import loaded

from neat_hull.api.app import create_api
from neat_hull.api.front import front
from neat_hull.instruments.listener import Listener
from neat_hull.instruments.sentences import tilt_sentence

ALL = [(verb, path) for path, verbs in PATHS.items() for verb in verbs]
WITH_SETUP = [(verb, path) for verb, path in ALL if "{setup_id}" in path]
WITH_BODY = [(verb, path) for verb, path in ALL if "requestBody" in PATHS[path][verb]]


@pytest.fixture(scope="module")
def data(tmp_path_factory: pytest.TempPathFactory) -> Path:
    """One file for all: nothing here may change it."""
    return filled(tmp_path_factory.mktemp("data") / "boats.sqlite")


@pytest.fixture(scope="module")
def client(data: Path) -> Iterator[TestClient]:
    """The application over it."""
    with served(data) as client:
        yield client


def at(path: str, setup: object = 1) -> str:
    """A path with its places filled in."""
    filled = path.replace("{setup_id}", str(setup)).replace("{thing_id}", "9")
    filled = filled.replace("{other_id}", "8").replace("{trip_id}", "1")
    return filled.replace("{figure}", "gm").replace("{number}", "0").replace("{photo_id}", "1")


def kept(data: Path) -> dict[str, list[Any]]:
    """All that is kept, by table."""
    with closing(sqlite3.connect(data)) as db:
        tables = db.execute("SELECT name FROM sqlite_schema WHERE type = 'table'").fetchall()
        return {name: db.execute(f"SELECT * FROM {name}").fetchall() for (name,) in tables}


def is_problem(answer: Any, *statuses: int) -> None:
    """RFC 9457, with our fields."""
    assert answer.status_code in statuses, answer.text
    assert answer.headers["content-type"] == "application/problem+json"
    assert {"title", "status", "detail", "fields"} <= set(answer.json())


@pytest.mark.parametrize(("verb", "path"), WITH_BODY)
@pytest.mark.parametrize("body", [None, [], "text", 7, {"colour": "red"}])
def test_a_body_that_is_no_body_of_ours_is_refused(
    client: TestClient, data: Path, verb: str, path: str, body: object
) -> None:
    before = kept(data)
    answer = client.request(verb, at(path), json=body)
    is_problem(answer, 422)
    assert kept(data) == before


@pytest.mark.parametrize(("verb", "path"), WITH_BODY)
def test_text_that_is_no_json_is_refused(client: TestClient, verb: str, path: str) -> None:
    headers = {"content-type": "application/json"}
    is_problem(client.request(verb, at(path), content=b"{", headers=headers), 422)


@pytest.mark.parametrize(("verb", "path"), WITH_SETUP)
@pytest.mark.parametrize("setup", ["0", "-1", "x", "9" * 30])
def test_an_id_that_is_no_id_is_refused(
    client: TestClient, verb: str, path: str, setup: str
) -> None:
    is_problem(client.request(verb, at(path, setup), params={"revision": 1}), 422)


@pytest.mark.parametrize("path", [path for verb, path in WITH_SETUP if verb == "get"])
def test_a_setup_that_is_not_there_is_not_found(client: TestClient, path: str) -> None:
    is_problem(client.get(at(path, 999)), 404)


@pytest.mark.parametrize(("verb", "path"), ALL)
def test_a_foreign_page_gets_nothing(client: TestClient, verb: str, path: str) -> None:
    foreign = client.request(verb, at(path), headers={"origin": "http://elsewhere.example"})
    is_problem(foreign, 403)
    rebound = client.request(verb, at(path), headers={"host": "elsewhere.example"})
    is_problem(rebound, 403)


@pytest.mark.parametrize("path", ["/api/v1/nothing", "/api/v2/setups", "/api/"])
def test_what_is_not_there_is_told_as_a_problem(client: TestClient, path: str) -> None:
    is_problem(client.get(path), 404)


def test_the_feed_is_told_as_it_is_heard(data: Path) -> None:
    # Never started, and nothing it has heard grows old.
    listener = Listener("127.0.0.1", 1, clock=lambda: 0.0)
    listener.take(tilt_sentence(2.0, 1.0))
    listener.take("garbled")
    with TestClient(
        front(loaded(create_api(data, listener))), base_url="http://127.0.0.1:1"
    ) as client:
        heard = client.get("/api/v1/instrument").json()
        assert (heard["state"], heard["heel_deg"], heard["garbled"]) == ("lost", 2.0, 1)
        is_problem(client.post("/api/v1/instrument/moment", json={"moment_kg_m": 1.0}), 503)
        is_problem(client.post("/api/v1/instrument/moment", json={"moment_kg_m": 1e9}), 422)


@pytest.mark.parametrize(
    ("units", "beam", "mass"),
    [
        ("metric", "30 cm and 180 cm", "400 kg or less"),
        ("imperial", "12 in and 71 in", "882 lb or less"),
    ],
)
def test_limits_are_told_in_the_units_of_whoever_reads_them(
    client: TestClient, units: str, beam: str, mass: str
) -> None:
    headers = {"neat-units": units}
    for fields, said in (({"tape": {"beam_m": 2.5}}, beam), ({"hull_mass_kg": 900.0}, mass)):
        body = {"edits": [{"what": "boat", "fields": fields}]}
        refused = client.patch("/api/v1/setups/1", json=body, headers=headers)
        assert refused.status_code == 422
        assert any(said in one["why"] for one in refused.json()["fields"]), refused.text


@pytest.mark.parametrize(
    ("what", "fields", "metric", "imperial"),
    [
        ("setup", {"water_temp_c": 60.0}, "must be 40 °C or less", "must be 104 °F or less"),
        ("setup", {"glide": {"drift_test": {"distance_m": 1e6}}}, "10000 m or", "32808 ft or"),
        ("setup", {"haul": {"cart": {"width_m": 0.001}}}, "1 cm or more", "0.39 in or more"),
        ("setup", {"glide": {"wind_m_s": 99.0}}, "30 m/s or less", "67 mph or less"),
        ("setup", {"haul": {"cart": {"hand_n": 1e3}}}, "300 N or less", "67 lbf or less"),
        ("boat", {"working_share": 0.1}, "40 % or more", "40 % or more"),
        ("angler", {"limits": {"pitch_deg": 900.0}}, "° or less", "° or less"),
    ],
)
def test_limits_of_all_kinds_have_their_unit(
    client: TestClient, what: str, fields: dict[str, Any], metric: str, imperial: str
) -> None:
    for units, said in (("metric", metric), ("imperial", imperial)):
        refused = client.patch(
            "/api/v1/setups/1",
            json={"edits": [{"what": what, "fields": fields}]},
            headers={"neat-units": units},
        )
        assert refused.status_code == 422
        assert any(said in one["why"] for one in refused.json()["fields"]), refused.text
