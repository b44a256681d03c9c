"""Reading the `-- name:` blocks of an SQL file."""

import re
from pathlib import Path

_NAME = re.compile(r"^-- name: (\w+)\s*$", re.MULTILINE)


def read_queries(path: Path) -> dict[str, str]:
    """Return `{name: statement}` of a file whose statements each follow a `-- name: …` line."""
    parts = _NAME.split(path.read_text(encoding="utf-8"))
    return {name: text.strip() for name, text in zip(parts[1::2], parts[2::2], strict=True)}
