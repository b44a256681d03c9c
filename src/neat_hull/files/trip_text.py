"""A trip as short text: what the page to take along gives back, line by line.

    Neat Hull trip 1
    setup: 3
    revision: 42
    day: 2026-05-02
    hours: 5.5
    item 12: 1-3, wet (Landing net)
    pack 5: 1 0.4 (Battery)
    done launch: plug, wear 3

What is in brackets is for a person to read. Lines may come in any order, and empty ones between.
"""

import re
from dataclasses import dataclass
from typing import Any, get_args

from pydantic import ValidationError

from neat_hull.errors import InputError, InputErrors
from neat_hull.model.base import input_errors
from neat_hull.model.checklists import ListName
from neat_hull.model.log import Flag, TripEntry, Uses

HEAD = "Neat Hull trip 1"
_MOST = 60_000  # characters
_WORDS = {
    "day": "on_day", "out": "out_at", "hours": "hours", "where": "where", "water": "water",
    "wind": "wind", "water temp": "water_temp_c", "note": "note",
}  # fmt: skip
_NUMBERS = ("hours", "water_temp_c")
_FLAGS: dict[str, Flag] = {one.replace("_", " "): one for one in get_args(Flag)}
_ROW = re.compile(r"(item|pack) (\d{1,18}): ([^(]*?)\s*(?:\(.*\))?")


@dataclass(frozen=True)
class TripText:
    """A trip, the setup it was made with and its revision, and ticks by list."""

    setup_id: int | None
    revision: int | None
    entry: TripEntry
    done: dict[ListName, list[str]]


def read_trip_text(text: str) -> TripText:
    """Read it back, whatever a messenger did to its line ends and spaces. Raises InputErrors
    naming lines that mean nothing."""
    if len(text) > _MOST:
        raise InputErrors([InputError("", len(text), f"is longer than {_MOST} characters")])
    lines = [re.sub(r"\s+", " ", one).strip(" >*") for one in text.splitlines()]
    begins = next((n for n, one in enumerate(lines) if one.startswith("Neat Hull trip")), None)
    if begins is None:
        why = f"does not hold a trip: it begins with {HEAD!r}"
        raise InputErrors([InputError("text", None, why)])
    if lines[begins] != HEAD:
        raise InputErrors([InputError("text", None, f"must begin with {HEAD!r}")])
    read = _Reading()
    wrong = []
    for number, line in enumerate(lines[begins + 1 :], start=begins + 2):
        if not line:
            continue
        try:
            read.line(line)
        except (InputError, ValueError) as error:
            why = error.why if isinstance(error, InputError) else "means nothing here"
            wrong.append(InputError(f"line {number}", line, f"{line!r} {why}"))
    if wrong:
        raise InputErrors(wrong)
    return read.whole()


class _Reading:
    """What has been read so far."""

    def __init__(self) -> None:
        self._told: dict[str, Any] = {}
        self._ids: dict[str, int] = {}
        self._marks: dict[int, dict[str, Any]] = {}
        self._packs: dict[int, dict[str, Any]] = {}
        self._done: dict[ListName, list[str]] = {}

    def line(self, line: str) -> None:
        """One more. Raises ValueError, and InputError where it can say why."""
        row = _ROW.fullmatch(line)
        if row is not None:
            what, number, said = row.groups()
            (self._item if what == "item" else self._pack)(int(number), said)
            return
        name, colon, said = line.partition(":")
        name, said = name.strip().lower(), said.strip()
        if not colon:
            raise ValueError
        if name in ("setup", "revision"):
            self._ids[name] = int(said.split(" ")[0])
        elif name.startswith("done "):
            self._done[self._list(name[5:])] = [
                key for one in said.split(",") if (key := one.strip())
            ]
        elif name in _WORDS:
            field = _WORDS[name]
            if said:
                self._told[field] = float(said) if field in _NUMBERS else said
        else:
            raise ValueError

    @staticmethod
    def _list(name: str) -> ListName:
        for one in get_args(ListName):
            if one == name:
                known: ListName = one
                return known
        raise InputError("done", name, "names no list")

    def _item(self, thing_id: int, said: str) -> None:
        mark: dict[str, Any] = {}
        for one in filter(None, (word.strip() for word in said.split(","))):
            if one in get_args(Uses):
                mark["uses"] = one
            elif one in _FLAGS:
                mark[_FLAGS[one]] = True
            else:
                raise InputError("item", one, f"says {one!r}, which is nothing of an item")
        self._marks[thing_id] = mark

    def _pack(self, thing_id: int, said: str) -> None:
        words = said.split(" ")
        pack: dict[str, Any] = {"went_dark": "dark" in words}
        shares = [float(one) for one in words if one and one != "dark"]
        if not 1 <= len(shares) <= 2:
            raise ValueError
        pack |= dict(zip(("start_share", "left_share"), shares, strict=False))
        self._packs[thing_id] = pack

    def whole(self) -> TripText:
        """All of it. Raises InputErrors."""
        told = self._told | {"marks": self._marks, "packs": self._packs}
        try:
            entry = TripEntry.model_validate(told)
        except ValidationError as error:
            raise input_errors(error.errors(include_url=False)) from error
        return TripText(self._ids.get("setup"), self._ids.get("revision"), entry, self._done)
