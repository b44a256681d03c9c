"""The built screens beside the API: what a browser may keep, and what it may not."""

from collections.abc import Iterator
from pathlib import Path

import pytest
from fastapi.testclient import TestClient

from neat_hull.api.app import create_app


@pytest.fixture
def browser(tmp_path: Path) -> Iterator[TestClient]:
    """An application with a page and one script."""
    (tmp_path / "assets").mkdir()
    (tmp_path / "index.html").write_text("the page")
    (tmp_path / "assets" / "index-1.js").write_text("a script")
    app = create_app(tmp_path / "none", tmp_path)
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
def test_what_is_not_there_is_not_the_page(browser: TestClient, verb: str, path: str) -> None:
    answer = browser.request(verb, path)
    assert answer.status_code == 404
    assert "the page" not in answer.text
