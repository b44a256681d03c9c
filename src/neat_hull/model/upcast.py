"""Data of the first version, brought up: the one place that knows how it looked.

Everything here takes plain data as JSON has it and gives plain data back; what is in today's shape
already comes back as it is, so it may be done twice. Used for files and, once, for a data file.
"""

from collections.abc import Callable
from typing import Any

from neat_hull.model.boat import Fitting
from neat_hull.model.kinds import fields_by_kind
from neat_hull.model.place import On

Row = dict[str, Any]

# Fields that a thing had beside its aspects.
_OLD_THING = (
    "fixed",
    "leashed",
    "wants_dry",
    "butt_m",
    "reel",
    "inner_length_m",
    "inner_width_m",
    "inner_height_m",
    "opens",
    "empty_kg",
    "filled",
    "sloshes",
)
_PARTS = {"seat": "seat", "drive": "drive", "paddle": "paddle"}


def thing(row: Row) -> Row:
    """A thing whose aspects were flat fields, or said by its kind or a word in its name."""
    if not any(name in row for name in _OLD_THING):
        return row
    old = {name: row[name] for name in _OLD_THING if name in row}
    new = {name: value for name, value in row.items() if name not in _OLD_THING}
    kind, name = row.get("kind", "other"), str(row.get("name", "")).lower()
    new["fixing"] = {"by": old.get("fixed", "loose"), "leashed": old.get("leashed", False)}
    if old.get("wants_dry"):
        new["care"] = {"wants_dry": True}
    if row.get("shape") == "rod" or old.get("reel", "none") != "none" or old.get("butt_m"):
        new["rod"] = {"butt_m": old.get("butt_m"), "reel": old.get("reel", "none")}
    inner = {side: old.get(f"inner_{side}") for side in ("length_m", "width_m", "height_m")}
    if any(inner.values()) or old.get("opens", "open") != "open":
        new["container"] = inner | {"opens": old.get("opens", "open")}
    if old.get("empty_kg") or old.get("filled", 1.0) != 1.0 or old.get("sloshes"):
        new["fill"] = {
            "empty_kg": old.get("empty_kg"),
            "filled": old.get("filled", 1.0),
            "sloshes": bool(old.get("sloshes")),
            "afloat": kind == "bait" and bool(old.get("sloshes")),
        }
    if kind in _PARTS:
        new["part"] = _PARTS[kind]
    if kind == "holder":
        new["holder"] = {"tubes": 1}
    if kind == "power":
        new["battery"] = {"capacity_ah": None}
    if kind != "fish" and "downrigger" in name:
        new["downrigger"] = {"ball_kg": None}
    if kind != "fish" and "stake-out" in name:
        new["anchor"] = {"by": "pole"}
    elif kind == "anchor" and "sock" in name:
        new["drogue"] = {"line_m": None}
    elif kind == "anchor":
        new["anchor"] = {"by": "line"}
    return new


def place(row: Row) -> Row:
    """A place whose parent had one shape for all kinds of parents."""
    on = row.get("on")
    if not isinstance(on, dict):
        return row
    kind = on.get("kind")
    kept = {name: value for name, value in on.items() if name not in ("spot", "where")}
    where = on.get("where", on.get("spot"))
    if kind == "fitting" and where is not None:
        where = "in" if where == "in" else "on"
    if kind == "seat" and where == "in":
        where = "under"
    fields = fields_by_kind(On).get(kind, set())
    kept = {name: value for name, value in kept.items() if name in fields or "spot" not in on}
    if where is not None and "where" in fields:
        kept["where"] = where
    return row | {"on": kept}


def boat(row: Row) -> Row:
    """A boat whose fittings had one shape: fields that were never read for a kind go."""
    fittings = row.get("fittings")
    if not isinstance(fittings, list):
        return row
    return row | {"fittings": [_fitting(one) for one in fittings]}


# Fields of the one shape that were only ever read for some kinds.
_OLD_FITTING = ("depth_m", "bearing_deg", "elevation_deg")


def _fitting(row: Any) -> Any:
    if not isinstance(row, dict):
        return row
    fields = fields_by_kind(Fitting).get(row.get("kind"))
    if fields is None:
        return row
    return {
        name: value for name, value in row.items() if name in fields or name not in _OLD_FITTING
    }


def judging(row: Row) -> Row:
    """Keys of accepted findings that began with a rule's name in words, spaces and all."""
    accepted = row.get("accepted")
    if not isinstance(accepted, list):
        return row
    return row | {"accepted": [_accepted(one) for one in accepted]}


def _accepted(row: Any) -> Any:
    if not isinstance(row, dict) or not isinstance(row.get("key"), str):
        return row
    code, colon, rest = row["key"].partition(":")
    return row | {"key": code.replace(" ", "-") + colon + rest}


def setup(row: Row) -> Row:
    """The row of a setup itself."""
    section = row.get("judging")
    return row | {"judging": judging(section)} if isinstance(section, dict) else row


ROWS: dict[str, Callable[[Row], Row]] = {
    "thing": thing,
    "place": place,
    "boat": boat,
    "setup": setup,
}


def setup_file(raw: Row) -> Row:
    """A whole setup file of version 1."""
    if raw.get("version") != 1 or isinstance(raw.get("version"), bool):
        return raw
    new = setup(raw) | {"version": 2}
    for key, bring_up in (("boat", boat),):
        if isinstance(new.get(key), dict):
            new[key] = bring_up(new[key])
    for key, bring_up in (("gear", thing), ("placements", place)):
        if isinstance(new.get(key), list):
            new[key] = [bring_up(one) if isinstance(one, dict) else one for one in new[key]]
    return new
