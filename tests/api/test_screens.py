"""The built screens before the API: what a browser may keep, what it may not, and what waits."""

from collections.abc import Iterator
from concurrent.futures import Future, ThreadPoolExecutor
from concurrent.futures import TimeoutError as NotYet
from pathlib import Path

import pytest
from fastapi.testclient import TestClient
from starlette.types import ASGIApp

from neat_hull.api.app import create_api
from neat_hull.api.front import front
from neat_hull.errors import StoreError


@pytest.fixture
def api() -> Future[ASGIApp]:
    """An API that is still to be loaded."""
    return Future()


@pytest.fixture
def browser(tmp_path: Path, api: Future[ASGIApp]) -> Iterator[TestClient]:
    """An application with a page and one script."""
    (tmp_path / "assets").mkdir()
    (tmp_path / "index.html").write_text("the page")
    (tmp_path / "assets" / "index-1.js").write_text("a script")
    app = front(api, tmp_path)
    with TestClient(app, base_url="http://127.0.0.1:8137") as client:
        yield client


@pytest.mark.parametrize("path", ["/", "/bench", "/gear/shapes", "/none/such"])
def test_every_screen_is_the_one_page_and_is_asked_for_again(
    browser: TestClient, path: str
) -> None:
    answer = browser.get(path)
    assert (answer.status_code, answer.text) == (200, "the page")
    assert answer.headers["cache-control"] == "no-cache"


def test_a_file_named_by_its_content_is_kept_for_good(browser: TestClient) -> None:
    answer = browser.get("/assets/index-1.js")
    assert answer.text == "a script"
    assert "immutable" in answer.headers["cache-control"]


@pytest.mark.parametrize(("verb", "path"), [
    ("GET", "/assets/index-0.js"), ("HEAD", "/api/none"), ("GET", "/api/v1/none"),
])  # fmt: skip
def test_what_is_not_there_is_not_the_page(
    browser: TestClient, api: Future[ASGIApp], verb: str, path: str
) -> None:
    api.set_result(create_api(Path("none")))
    answer = browser.request(verb, path)
    assert answer.status_code == 404
    assert "the page" not in answer.text


def test_the_page_is_there_before_the_api_and_a_question_waits_for_it(
    browser: TestClient, api: Future[ASGIApp]
) -> None:
    with ThreadPoolExecutor() as pool:
        asked = pool.submit(browser.get, "/api/openapi.json")
        assert browser.get("/bench").text == "the page"
        with pytest.raises(NotYet):
            asked.result(0.1)
        api.set_result(create_api(Path("none")))
        assert asked.result().json()["info"]["title"] == "Neat Hull"


def test_an_api_that_cannot_be_loaded_says_why(browser: TestClient, api: Future[ASGIApp]) -> None:
    api.set_exception(StoreError("the demo: no such table"))
    answer = browser.get("/api/v1/setups")
    assert (answer.status_code, answer.json()["detail"]) == (500, "the demo: no such table")
