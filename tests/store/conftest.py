"""A data file with the demo in it."""

from collections.abc import Iterator
from pathlib import Path

import pytest
from tests.filled import filled

from neat_hull.store.connect import Connection, connect


@pytest.fixture
def data(tmp_path: Path) -> Path:
    """The file."""
    return filled(tmp_path / "folder" / "boats.sqlite")


@pytest.fixture
def db(data: Path) -> Iterator[Connection]:
    """A connection to it."""
    connection = connect(data)
    yield connection
    connection.close()
