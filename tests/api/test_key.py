"""Beyond this machine nothing is answered without the key."""

from collections.abc import Iterator
from pathlib import Path

import pytest
from fastapi.testclient import TestClient
from tests.api.served import served

from neat_hull.api.key import COOKIE, new_key

KEY = "Zr4mYt9-Qa7_Lw2pXc8vBn3kHd6sFg1jUe5oTiRbMkW"
PATHS = ("/", "/api/v1/setups", "/api/openapi.json", "/assets/x.js", "/api/v1/setups/1/log")


@pytest.fixture
def far(data: Path) -> Iterator[TestClient]:
    """The application with a key, asked from another machine."""
    with served(data, "10.1.2.3", frozenset({"10.1.2.3"}), KEY) as client:
        yield client


@pytest.mark.parametrize("path", PATHS)
@pytest.mark.parametrize("key", [None, "", "x", KEY[:-1], KEY + "x", KEY.swapcase()])
def test_without_the_key_there_is_nothing_at_all(
    far: TestClient, path: str, key: str | None
) -> None:
    answer = far.get(path, params={} if key is None else {"key": key})
    assert (answer.status_code, answer.content) == (403, b"")
    assert "set-cookie" not in answer.headers
    far.cookies.set(COOKIE, key or "")
    answer = far.get(path)
    assert (answer.status_code, answer.content) == (403, b"")


def test_keys_are_long_and_no_two_are_alike() -> None:
    keys = {new_key() for _ in range(100)}
    assert len(keys) == 100
    assert min(map(len, keys)) >= 43


def test_with_the_key_one_is_let_in_and_it_leaves_the_address(far: TestClient) -> None:
    answer = far.get("/log", params={"key": KEY, "tab": "care"})
    assert (answer.status_code, answer.headers["location"]) == (303, "/log?tab=care")
    kept = answer.headers["set-cookie"].lower()
    assert "httponly" in kept
    assert "samesite=lax" in kept
    assert far.get("/api/v1/setups").status_code == 200
    sent = far.post("/api/v1/setups/1/copy", json={"name": "x"}, headers={"origin": "http://evil"})
    assert sent.status_code == 403, "the key opens the door to its own pages alone"


def test_the_key_sends_nobody_to_another_host(far: TestClient) -> None:
    for path in ("//evil.example/x", "/\\evil.example"):
        answer = far.get(f"http://10.1.2.3:8137{path}", params={"key": KEY})
        assert not answer.headers["location"].startswith(("//", "/\\", "http"))


def test_another_name_of_this_machine_is_refused_even_with_the_key(far: TestClient) -> None:
    answer = far.get("/api/v1/setups", params={"key": KEY})
    assert answer.status_code == 303
    assert far.get("/api/v1/setups", headers={"host": "evil.example"}).status_code == 403
