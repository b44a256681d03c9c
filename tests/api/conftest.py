"""The application over a data file with the demo, asked by its own pages."""

from collections.abc import Iterator
from pathlib import Path

import pytest
from fastapi.testclient import TestClient
from tests.api.served import served
from tests.filled import filled


@pytest.fixture
def data(tmp_path: Path) -> Path:
    """A data file with the demo."""
    return filled(tmp_path / "boats.sqlite")


@pytest.fixture
def client(data: Path) -> Iterator[TestClient]:
    """The application over it."""
    with served(data) as client:
        yield client
