"""Reading a power case."""

import json
from pathlib import Path
from typing import Any

from pydantic import ValidationError

from neat_hull.errors import InputError
from neat_hull.files.reading import read_file
from neat_hull.model.base import input_errors
from neat_hull.model.power_case import PowerCase

MOST_BYTES = 16 * 1024 * 1024


def read_power_case(path: Path) -> PowerCase:
    """Read a case. Raises InputError naming the field, or the file when it cannot be read."""
    text = read_file(path, MOST_BYTES)
    try:
        data = json.loads(text.decode("utf-8-sig"))
    except (ValueError, RecursionError) as error:
        raise InputError("", str(path), f"is not JSON: {error}") from error
    try:
        return PowerCase.model_validate_json(json.dumps(_given(data)))
    except ValidationError as error:
        raise input_errors(error.errors(include_url=False)) from error


def _given(data: Any) -> Any:
    """Without what is null: that is what it would be if it were left out."""
    if isinstance(data, dict):
        return {key: _given(value) for key, value in data.items() if value is not None}
    if isinstance(data, list):
        return [_given(value) for value in data]
    return data
