"""Lines of checklists that are their owner's, beside the setup that makes the others."""

from pathlib import Path
from sqlite3 import Connection

from neat_hull.errors import NotFoundError
from neat_hull.model.checklists import KeptLine, ListName
from neat_hull.store.queries import read_queries

SQL = read_queries(Path(__file__).with_suffix(".sql"))


def list_lines(db: Connection, setup_id: int) -> list[KeptLine]:
    """Own lines and made lines that are hidden, oldest first."""
    rows = db.execute(SQL["all"], {"setup_id": setup_id})
    return [KeptLine.model_validate(dict(row)) for row in rows]


def add_line(db: Connection, setup_id: int, name: ListName, text: str) -> None:
    """One more of one's own."""
    db.execute(SQL["add"], {"setup_id": setup_id, "list": name, "own_text": text})


def change_line(db: Connection, setup_id: int, line_id: int, text: str) -> None:
    """As it now reads. Raises NotFoundError."""
    key = {"setup_id": setup_id, "line_id": line_id}
    if not db.execute(SQL["change"], key | {"own_text": text}).rowcount:
        raise NotFoundError(f"there is no line {line_id}")


def drop_line(db: Connection, setup_id: int, line_id: int) -> None:
    """Gone for good. Raises NotFoundError."""
    if not db.execute(SQL["drop"], {"setup_id": setup_id, "line_id": line_id}).rowcount:
        raise NotFoundError(f"there is no line {line_id}")


def hide_line(db: Connection, setup_id: int, name: ListName, line: str, hidden: bool) -> None:
    """A made line left out, or back; twice is as once."""
    key = {"setup_id": setup_id, "list": name, "line": line}
    db.execute(SQL["show"], key)
    if hidden:
        db.execute(SQL["hide"], key)
