"""Taking tables of gear in: what each line would do, and the rows to write."""

from collections.abc import Callable
from typing import Literal

from neat_hull.editing.steps import require_plain_names
from neat_hull.errors import InputError
from neat_hull.files.gear_csv import GearRow, read_gear
from neat_hull.model.base import Answer
from neat_hull.model.thing import Thing
from neat_hull.store.history import Change
from neat_hull.whole.registry import columns


class ImportRow(Answer):
    """What a line of a table would do."""

    line: int
    name: str
    does: Literal["new", "changes", "same", "bad"]
    why: str


def plan_table(
    known: dict[int, Thing], text: str
) -> tuple[list[ImportRow], list[tuple[int | None, Thing]]]:
    """What each line does, and the things to write. A thing of the same name is changed."""
    good, bad = read_gear(text, columns())
    by_name = {thing.name: thing_id for thing_id, thing in known.items()}
    rows = [ImportRow(line=one.line, name="", does="bad", why=one.why) for one in bad]
    changes: list[tuple[int | None, Thing]] = []
    for row in good:
        one = row
        try:
            require_plain_names("thing", {"name": one.thing.name})
        except InputError as error:
            rows.append(ImportRow(line=one.line, name="", does="bad", why=f"name: {error.why}"))
            continue
        thing_id = by_name.pop(one.thing.name, None)
        if thing_id is not None:  # a table has no pictures; one that is there stays
            photo = {"photo": known[thing_id].photo}
            one = GearRow(one.line, one.thing.model_copy(update=photo))
        same = thing_id is not None and known[thing_id] == one.thing
        does: Literal["new", "changes", "same"] = (
            "same" if same else "new" if thing_id is None else "changes"
        )
        why = "" if thing_id is None or same else _difference(known[thing_id], one.thing)
        rows.append(ImportRow(line=one.line, name=one.thing.name, does=does, why=why))
        if not same:
            changes.append((thing_id, one.thing))
    return sorted(rows, key=lambda row: row.line), changes


def _difference(before: Thing, after: Thing) -> str:
    was, now = before.model_dump(), after.model_dump()
    return ", ".join(name for name in was if was[name] != now[name])


def table_changes(
    known: dict[int, Thing], text: str, take_good: bool, new_id: Callable[[], int]
) -> list[Change]:
    """A table as one step; refused while a line is bad, unless the good ones will do."""
    rows, changes = plan_table(known, text)
    bad = [row for row in rows if row.does == "bad"]
    if bad and not take_good:
        raise InputError(f"line {bad[0].line}", None, bad[0].why)
    if not changes:
        raise InputError("text", None, "there is nothing new in this table")
    return numbered(changes, new_id)


def numbered(things: list[tuple[int | None, Thing]], new_id: Callable[[], int]) -> list[Change]:
    """Things to write, those without an id under new ones."""
    return [
        Change("thing", new_id() if thing_id is None else thing_id, thing.model_dump())
        for thing_id, thing in things
    ]
