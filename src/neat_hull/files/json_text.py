"""JSON without doubt: nothing said twice, and text that is text."""

import json
import re
from typing import Any

# As json.dumps writes them; line ends and tabs, which notes and tables have, it writes otherwise.
_CONTROL = re.compile(r"\\u00[01]|\x7f")


class Doubtful(ValueError):
    """JSON by its form, but not by what it says."""


def read_json(text: str, controls: bool = False) -> Any:
    """The value. Raises json.JSONDecodeError for what is no JSON, and Doubtful for a name that
    stands twice in one object, halves of characters, and control characters unless they may be.
    """
    value = json.loads(text, object_pairs_hook=_once)
    if "\\u" in text:
        plain = json.dumps(value, ensure_ascii=False)
        halves = any("\ud800" <= one <= "\udfff" for one in plain)
        if halves or (not controls and _CONTROL.search(plain)):
            raise Doubtful("text must not hold control characters")
    return value


def _once(pairs: list[tuple[str, Any]]) -> dict[str, Any]:
    found = dict(pairs)
    if len(found) < len(pairs):
        names = [name for name, _ in pairs]
        twice = next(name for name in names if names.count(name) > 1)
        raise Doubtful(f"{twice!r} stands twice in one object")
    return found
