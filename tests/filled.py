"""Data files with the demo in them: filled once, then copied."""

import shutil
import tempfile
from functools import cache
from pathlib import Path

from neat_hull.cli.serve import fill_with_demo
from neat_hull.store.connect import open_store

_FOLDER = tempfile.TemporaryDirectory()


@cache
def _template() -> Path:
    path = Path(_FOLDER.name) / "demo.sqlite"
    open_store(path)
    fill_with_demo(path)
    return path


def filled(path: Path) -> Path:
    """A data file with the demo, as `neat-hull serve --demo` would make it."""
    template = _template()
    assert not template.with_name("demo.sqlite-wal").exists()  # all of it is in the one file
    path.parent.mkdir(parents=True, exist_ok=True)
    shutil.copyfile(template, path)
    return path
