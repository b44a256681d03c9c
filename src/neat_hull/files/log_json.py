"""The log as JSON: in SI, with a schema; what is read back is what was written."""

import json
from collections.abc import Sequence
from typing import Any

from pydantic import ValidationError

from neat_hull.errors import InputError, InputErrors
from neat_hull.files.json_text import Doubtful, read_json
from neat_hull.model.base import input_errors
from neat_hull.model.log_file import FileTrip, LogFile


def write_log(trips: Sequence[FileTrip]) -> str:
    """All trips, stable in order, one field a line."""
    file = LogFile(trips=list(trips))
    return json.dumps(file.model_dump(mode="json"), indent=1, ensure_ascii=False) + "\n"


def read_log(text: str) -> list[FileTrip]:
    """Read a file back. Raises InputErrors naming each field that cannot be."""
    try:
        raw = read_json(text.removeprefix("\ufeff"), controls=True)
    except Doubtful as doubt:
        raise InputErrors([InputError("", None, str(doubt))]) from doubt
    except (ValueError, RecursionError) as error:
        raise InputErrors([InputError("", None, f"is not JSON: {error}")]) from error
    for name, known in (("format", "neat-hull/log"), ("version", 1)):
        said = raw.get(name) if isinstance(raw, dict) else None
        if said != known or isinstance(said, bool):
            raise InputErrors([InputError(name, said, f"must be {known!r}")])
    try:
        # By way of JSON: numbers of items are text in its objects.
        file = LogFile.model_validate_json(json.dumps(raw))
    except ValidationError as error:
        raise input_errors(error.errors(include_url=False)) from error
    return file.trips


def log_schema() -> dict[str, Any]:
    """JSON Schema of the file."""
    return LogFile.model_json_schema()
