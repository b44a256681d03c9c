"""The catalogue of generic things that ships with the application."""

import tomllib
from functools import cache
from importlib.resources import files

from neat_hull.model.kit import KitItem
from neat_hull.model.thing import Thing

_KIT = ("goes", "trips")


@cache
def catalog() -> tuple[Thing, ...]:
    """Typical things, every figure a guess."""
    return tuple(_thing(row) for row in _rows())


@cache
def kit() -> tuple[KitItem, ...]:
    """Those of the catalogue that somebody who starts may tick, in its order."""
    return tuple(
        KitItem.model_validate({name: row[name] for name in _KIT} | {"thing": _thing(row)})
        for row in _rows()
        if "goes" in row
    )


@cache
def _rows() -> tuple[dict[str, object], ...]:
    text = files("neat_hull").joinpath("catalog/gear.toml").read_text(encoding="utf-8")
    return tuple(tomllib.loads(text)["things"])


def _thing(row: dict[str, object]) -> Thing:
    size = row["size_m"]
    assert isinstance(size, list)
    length, width, height = size
    own = {name: value for name, value in row.items() if name not in ("size_m", *_KIT)}
    usual = {"shape": "box", "evidence": "guess", "bought": False}
    return Thing.model_validate(
        usual | own | {"length_m": length, "width_m": width, "height_m": height}
    )
