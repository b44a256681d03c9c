"""Rows of a section by key: by the id of a thing, or by a name."""

from collections.abc import Mapping
from typing import Annotated, Any

from pydantic import BeforeValidator, Field

ThingId = Annotated[int, Field(ge=1, le=2**62)]


def _number(key: Any) -> Any:
    """Keys of objects are text in JSON."""
    return int(key) if isinstance(key, str) and key.isdecimal() else key


Key = Annotated[int, BeforeValidator(_number), Field(ge=1, le=2**62)]
Name = Annotated[str, Field(min_length=1, max_length=40)]


def _without_nothing(rows: Any) -> Any:
    """Rows by key: one that is null is taken out, as a change says that deletes it."""
    if not isinstance(rows, Mapping):
        return rows
    return {key: row for key, row in rows.items() if row is not None}


Taken = BeforeValidator(_without_nothing)
