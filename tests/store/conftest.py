"""A data file with the demo in it."""

from collections.abc import Iterator
from pathlib import Path
from sqlite3 import Connection

import pytest

from neat_hull.cli.serve import fill_with_demo
from neat_hull.store.connect import connect, open_store


@pytest.fixture
def data(tmp_path: Path) -> Path:
    """The file."""
    path = tmp_path / "folder" / "boats.sqlite"
    open_store(path)
    fill_with_demo(path)
    return path


@pytest.fixture
def db(data: Path) -> Iterator[Connection]:
    """A connection to it."""
    connection = connect(data)
    yield connection
    connection.close()
