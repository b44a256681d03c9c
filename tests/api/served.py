"""The application over a data file, asked by its own pages: made once, for that takes as long as
many answers, and given another file for each test."""

from collections.abc import Iterator
from contextlib import contextmanager
from functools import cache
from pathlib import Path

from fastapi import FastAPI
from fastapi.testclient import TestClient
from tests.servers import loaded

from neat_hull.api.app import create_api
from neat_hull.api.front import LOOPBACK, front
from neat_hull.api.state import SetupCache


@cache
def _api() -> FastAPI:
    return create_api(Path("none"))


@contextmanager
def served(
    data: Path, host: str = "127.0.0.1", hosts: frozenset[str] = LOOPBACK, key: str | None = None
) -> Iterator[TestClient]:
    """A client of it; one at a time."""
    _api().state.data, _api().state.cache = data, SetupCache(data)
    app = front(loaded(_api()), None, hosts, key)
    with TestClient(app, base_url=f"http://{host}:8137", follow_redirects=key is None) as client:
        yield client
