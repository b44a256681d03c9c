"""What a field is called on the screens, so that what is said of it names it as a person knows it.

A list goes and is refused as a whole, so that its rows are told by their numbers.
"""

import re
import tomllib
from functools import cache
from importlib.resources import files


@cache
def names_of_fields() -> dict[str, str]:
    """By the last part of a path, or by the last two."""
    text = files("neat_hull.api").joinpath("called.toml").read_text(encoding="utf-8")
    return {key: name for part in tomllib.loads(text).values() for key, name in part.items()}


def called(path: str) -> str:
    """`setup.power.phases[1].hours` is `Hours, row 2`; what has no words is told by its path."""
    names = names_of_fields()
    parts = [one for one in re.sub(r"\[\d+\]", "", path).split(".") if not one.isdigit()]
    ends = (".".join(parts[-count:]) for count in (2, 1))
    words = next((names[end] for end in ends if end in names), path)
    row = re.findall(r"\[(\d+)\]", path)
    return f"{words}, row {int(row[-1]) + 1}" if row else words
