"""A setup as a file of its own: boat, angler, gear and where each thing goes, in SI units.

Stable order and one field a line, so that two versions can be compared; what is read back is what
was written. Unknown versions and fields are refused.
"""

import json
from pathlib import Path
from typing import Any, Final, Literal

from pydantic import Field, ValidationError

from neat_hull.errors import InputError, InputErrors
from neat_hull.files.json_text import Doubtful, read_json
from neat_hull.model import upcast
from neat_hull.model.base import input_errors
from neat_hull.model.boat import Boat
from neat_hull.model.nesting import require_nested
from neat_hull.model.place import Place
from neat_hull.model.sections import Sections, renumbered
from neat_hull.model.setup import Angler, Day, Posture, SeatPlace, Setup
from neat_hull.model.thing import Thing
from neat_hull.model.water import Water

FORMAT: Final = "neat-hull/setup"
VERSION: Final = 2
READ: Final = (1, VERSION)  # the first is brought up, see `model.upcast`
MOST_BYTES = 2 * 1024 * 1024  # a setup of 500 things is under 300 kB


class FileThing(Thing):
    """A thing with the number that placements call it by; its photo stays where it is kept."""

    photo: None = Field(default=None, exclude=True)
    id: int = Field(ge=1, le=2**62)


class FilePlacement(Place):
    """Where the thing of that number goes."""

    thing: int


class SetupFile(Sections):
    """Everything needed to judge a boat, self-contained."""

    format: Literal["neat-hull/setup"]
    version: Literal[2]
    name: str = Field(min_length=1, max_length=80)
    water: Water
    boat: Boat
    angler: Angler
    seat: SeatPlace
    day: Day | None = None
    water_temp_c: float | None = Field(default=None, ge=-2, le=40)
    posture: Posture = "sits"
    gear: list[FileThing] = Field(max_length=2000)
    placements: list[FilePlacement] = Field(max_length=2000)


def write_setup(setup: Setup) -> str:
    """A setup with the gear that is aboard; what stays ashore belongs to the pile, not to it."""
    aboard = sorted(setup.places)
    file = SetupFile(
        format=FORMAT,
        version=VERSION,
        name=setup.name,
        water=setup.water,
        boat=setup.boat,
        angler=setup.angler,
        seat=setup.seat,
        day=setup.day,
        water_temp_c=setup.water_temp_c,
        posture=setup.posture,
        **_sections(setup) | renumbered(setup, {i: i for i in aboard}),
        gear=[FileThing(id=i, **setup.things[i].model_dump(exclude={"photo"})) for i in aboard],
        placements=[FilePlacement(thing=i, **setup.places[i].model_dump()) for i in aboard],
    )
    return json.dumps(file.model_dump(mode="json"), indent=1, ensure_ascii=False) + "\n"


def _sections(one: Sections) -> dict[str, Any]:
    return {name: getattr(one, name) for name in Sections.model_fields}


def read_setup(data: bytes) -> Setup:
    """Read a file back. Raises InputErrors naming each field that cannot be."""
    if len(data) > MOST_BYTES:
        raise InputErrors([InputError("", len(data), f"is larger than {MOST_BYTES // 2**20} MB")])
    raw = _raw(data)
    try:
        # What is no object is told by the reader of the whole.
        if raw is None:
            file = SetupFile.model_validate_json(data)
        else:
            file = SetupFile.model_validate_json(json.dumps(upcast.setup_file(raw)))
    except ValidationError as error:
        raise input_errors(error.errors(include_url=False)) from error
    things = {
        one.id: Thing.model_validate(one.model_dump(exclude={"id", "photo"})) for one in file.gear
    }
    wrong = [
        InputError(f"placements[{i}].thing", one.thing, f"there is no item {one.thing} in gear")
        for i, one in enumerate(file.placements)
        if one.thing not in things
    ]
    if len(things) < len(file.gear):
        wrong.append(InputError("gear", None, "two items have the same id"))
    if len({one.thing for one in file.placements}) < len(file.placements):
        wrong.append(InputError("placements", None, "an item cannot be in two places"))
    if wrong:
        raise InputErrors(wrong)
    setup = Setup(
        name=file.name,
        boat=file.boat,
        angler=file.angler,
        water=file.water,
        seat=file.seat,
        things=things,
        places={
            one.thing: Place.model_validate(one.model_dump(exclude={"thing"}))
            for one in file.placements
        },
        day=file.day,
        water_temp_c=file.water_temp_c,
        posture=file.posture,
        **_sections(file),
    )
    require_nested(setup)
    return setup


def read_setup_file(path: Path) -> Setup:
    """`read_setup` from disk. Raises InputError for a file that cannot be read as well."""
    try:
        data = path.read_bytes()
    except OSError as error:
        raise InputError("", str(path), f"cannot be read: {error.strerror}") from error
    return read_setup(data)


def setup_schema() -> dict[str, Any]:
    """JSON Schema of the file."""
    return SetupFile.model_json_schema()


def _raw(data: bytes) -> dict[str, Any] | None:
    """The object in a file, None where there is none to be read.

    Tells a newer file from a broken one, before its unknown fields are complained of.
    """
    try:
        raw = read_json(data.decode("utf-8-sig"), controls=True)
    except Doubtful as doubt:
        raise InputErrors([InputError("", None, str(doubt))]) from doubt
    except (ValueError, RecursionError):
        return None  # the reader of the whole says where
    if not isinstance(raw, dict):
        return None
    if raw.get("format") != FORMAT:
        raise InputErrors([InputError("format", raw.get("format"), f"must be {FORMAT!r}")])
    version = raw.get("version")
    if isinstance(version, bool) or version not in READ:
        versions = " and ".join(str(one) for one in READ)
        why = f"this Neat Hull reads versions {versions}, but the file says {version!r}"
        raise InputErrors([InputError("version", version, why)])
    return raw
