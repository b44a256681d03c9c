"""What every model has in common, and how its refusals are put into plain words."""

from collections.abc import Iterable, Mapping, Sequence
from typing import Any

from pydantic import BaseModel, ConfigDict

from neat_hull.errors import Bound, Bounded, BoundKind, InputError, InputErrors


class Model(BaseModel):
    """Frozen and strict: text is no number, NaN is no number, an unknown field is a mistake."""

    model_config = ConfigDict(frozen=True, strict=True, extra="forbid", allow_inf_nan=False)


class Answer(BaseModel):
    """Base of all answers; frozen, but not strict: they are made by us."""

    model_config = ConfigDict(frozen=True)


# x from the stern, y to port, z from the baseline, in m.
Point = tuple[float, float, float]


_KIND = {
    "float_type": "a number",
    "int_type": "a whole number",
    "string_type": "text",
    "list_type": "a list",
    "tuple_type": "a list",
    "bool_type": "true or false",
    "dict_type": "an object with named fields",
    "model_type": "an object with named fields",
    "model_attributes_type": "an object with named fields",
}
_BOUND = {
    "greater_than": ("must be more than {}", "gt"),
    "greater_than_equal": ("must be {} or more", "ge"),
    "less_than_equal": ("must be {} or less", "le"),
    "less_than": ("must be less than {}", "lt"),
}
# By how the name of a field ends; a weight a metre is no length, and is told bare.
_UNITS: dict[str, BoundKind | None] = {
    "_kg_m": None, "_m_s": "speed", "_m": "length", "_kg": "mass",
    "_c": "warmth", "_mm": "thin", "_deg": "angle", "share": "ratio", "scope": "ratio",
    "efficiency": "ratio", "reserve": "ratio", "_charge": "ratio", "_n": "force", "_w": "power",
    "_ah": "charge",
}  # fmt: skip
_LONG = 1e5  # from here on a number is told with all its digits
_CAME = {
    str: "text",
    bool: "true or false",
    type(None): "nothing",
    list: "a list",
    dict: "an object",
    float: "a number",
    int: "a number",
}


def input_errors(errors: Iterable[Mapping[str, Any]], skip: int = 0) -> InputErrors:
    """Translate Pydantic's error list; `skip` leading path parts name no field of the user's."""
    return InputErrors([_one(error, skip) for error in errors])


def _bounded(words: str, bound: float, path: Sequence[str | int]) -> str:
    """With the unit that the name of a field ends in; nothing needs none, but for temperatures."""
    named = str(path[-1]) if path else ""
    unit = next((unit for end, unit in _UNITS.items() if named.endswith(end)), None)
    if unit is not None and (bound or unit == "warmth"):
        return Bounded(words, Bound(unit, bound))
    return words.format(f"{bound:g}" if abs(bound) < _LONG else f"{bound:.0f}")


def _one(error: Mapping[str, Any], skip: int) -> InputError:
    # Where a body cannot be read at all, no field of it is to blame.
    path = "" if error["type"] == "json_invalid" else dotted(error["loc"][skip:])
    return InputError(path, error.get("input"), _why(error))


def dotted(parts: Iterable[str | int]) -> str:
    """`("hull", "stations", 2, "x_m")` as `hull.stations[2].x_m`."""
    path = ""
    for part in parts:
        path += f"[{part}]" if isinstance(part, int) else f".{part}" if path else str(part)
    return path


def _why(error: Mapping[str, Any]) -> str:
    kind, context, came = error["type"], error.get("ctx", {}), error.get("input")
    if kind == "missing":
        return "is missing"
    if kind == "extra_forbidden":
        return "is not a field we know"
    if kind in _KIND:
        return f"must be {_KIND[kind]}, but {_CAME.get(type(came), 'something else')} came"
    if kind == "finite_number":
        return "must be a finite number"
    if kind in _BOUND:
        words, key = _BOUND[kind]
        return _bounded(words, context[key], error["loc"])
    if kind == "literal_error":
        return f"must be one of {context['expected']}"
    if kind in ("too_short", "string_too_short"):
        least = context.get("min_length", 1)
        return "must not be empty" if least == 1 else f"needs at least {least} entries"
    if kind in ("too_long", "string_too_long"):
        return f"may have at most {context['max_length']} entries or characters"
    if kind == "json_invalid":
        return f"is not JSON: {context.get('error', error['msg'])}"
    return str(error["msg"])
