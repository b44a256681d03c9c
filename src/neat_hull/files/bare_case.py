"""Reading a bare case of any kind."""

import codecs
from pathlib import Path
from typing import TypeVar

from pydantic import ValidationError

from neat_hull.files.reading import read_file
from neat_hull.model.base import input_errors
from neat_hull.model.float_case import CaseModel

MOST_BYTES = 16 * 1024 * 1024  # thousands of stations; more is a mistake
AnyCase = TypeVar("AnyCase", bound=CaseModel)


def read_bare_case(path: Path, kind: type[AnyCase]) -> AnyCase:
    """Read a case. Raises InputError naming the field, or the file when it cannot be read."""
    text = read_file(path, MOST_BYTES)
    try:
        return kind.model_validate_json(text.removeprefix(codecs.BOM_UTF8))
    except ValidationError as error:
        raise input_errors(error.errors(include_url=False)) from error
