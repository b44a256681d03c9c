"""Names of fields: all that a person may type has one, and none names what is no field."""

from collections.abc import Iterator
from typing import Any

import pytest
from tests.operations import DESCRIBED

from neat_hull.api.called import called, names_of_fields

# What the screens say of a question themselves, and nobody types.
OURS = {
    "angler_id", "archived", "edits", "fault", "fields", "finding", "format", "hidden", "id",
    "image", "label", "line", "list", "onto_setup_id", "revision", "setup_id", "sides", "speed",
    "take", "take_good", "thing_id", "thing_ids", "verb", "was", "words",
}  # fmt: skip


def paths_asked() -> Iterator[str]:
    """Dotted paths of all fields of the bodies of all questions."""
    kinds = DESCRIBED["components"]["schemas"]

    def walk(one: Any, at: tuple[str, ...], within: tuple[str, ...]) -> Iterator[str]:
        if isinstance(one, list):
            for part in one:
                yield from walk(part, at, within)
        if not isinstance(one, dict):
            return
        name = one.get("$ref", "").rpartition("/")[2]
        if name and name not in within:
            yield from walk(kinds[name], at, (*within, name))
        for field, kind in one.get("properties", {}).items():
            yield ".".join((*at, field))
            yield from walk(kind, (*at, field), within)
        for key in ("anyOf", "oneOf", "allOf", "items", "prefixItems", "additionalProperties"):
            yield from walk(one.get(key), at, within)

    for methods in DESCRIBED["paths"].values():
        for question in methods.values():
            for content in question.get("requestBody", {}).get("content", {}).values():
                yield from walk(content["schema"], (), ())


@pytest.fixture(scope="module")
def paths() -> list[str]:
    """All of them, and what a change of a setup is refused by."""
    return sorted({*paths_asked(), "place", "setup", "boat_name"})


def test_every_field_has_a_name(paths: list[str]) -> None:
    assert len(paths) > 400
    last = {path: path.rpartition(".")[2] for path in paths}
    assert [path for path in paths if called(path) == path and last[path] not in OURS] == []


def test_every_name_is_of_a_field(paths: list[str]) -> None:
    ends = {".".join(path.split(".")[-count:]) for path in paths for count in (1, 2)}
    assert set(names_of_fields()) <= ends


@pytest.mark.parametrize(
    ("path", "name"),
    [
        ("boat.tape.depth_m", "Depth amidships"),
        ("setup.demands.depth_m", "Water depth"),
        ("setup.power.phases[1].hours", "Hours, row 2"),
        ("setup.glide.lines.7", "Line out"),
        ("hull.stations[3].z_m", "Height, row 4"),
        ("nobody.knows", "nobody.knows"),
    ],
)
def test_a_path_is_told_by_its_end(path: str, name: str) -> None:
    assert called(path) == name
