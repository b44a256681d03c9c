"""The application over a data file with the demo, asked by its own pages."""

from collections.abc import Iterator
from pathlib import Path

import pytest
from fastapi.testclient import TestClient
from tests.filled import filled

from neat_hull.api.app import create_app


@pytest.fixture
def data(tmp_path: Path) -> Path:
    """A data file with the demo."""
    return filled(tmp_path / "boats.sqlite")


@pytest.fixture
def client(data: Path) -> Iterator[TestClient]:
    """The application over it."""
    with TestClient(create_app(data), base_url="http://127.0.0.1:8137") as client:
        yield client
