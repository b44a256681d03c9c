"""The application over a data file with the demo, asked by its own pages."""

from collections.abc import Iterator
from pathlib import Path

import pytest
from fastapi.testclient import TestClient

from neat_hull.api.app import create_app
from neat_hull.cli.serve import fill_with_demo
from neat_hull.store.connect import open_store


@pytest.fixture
def data(tmp_path: Path) -> Path:
    """A data file with the demo."""
    path = tmp_path / "boats.sqlite"
    open_store(path)
    fill_with_demo(path)
    return path


@pytest.fixture
def client(data: Path) -> Iterator[TestClient]:
    """The application over it."""
    with TestClient(create_app(data), base_url="http://127.0.0.1:8137") as client:
        yield client
