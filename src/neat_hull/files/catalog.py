"""The catalogue of generic things that ships with the application."""

import tomllib
from functools import cache
from importlib.resources import files

from neat_hull.model.thing import Thing


@cache
def catalog() -> tuple[Thing, ...]:
    """Typical things, every figure a guess."""
    text = files("neat_hull").joinpath("catalog/gear.toml").read_text(encoding="utf-8")
    return tuple(_thing(row) for row in tomllib.loads(text)["things"])


def _thing(row: dict[str, object]) -> Thing:
    size = row.pop("size_m")
    assert isinstance(size, list)
    length, width, height = size
    usual = {"shape": "box", "evidence": "guess", "bought": False}
    return Thing.model_validate(
        usual | row | {"length_m": length, "width_m": width, "height_m": height}
    )
