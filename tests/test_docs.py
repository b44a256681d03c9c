"""What is written down must be so: commands, screens, pictures, files and migrations."""

import re
from pathlib import Path
from typing import get_args

import pytest
from tests.operations import PATHS
from typer.main import get_command

from neat_hull.cli.main import app
from neat_hull.model.base import Model
from neat_hull.model.thing import Thing
from neat_hull.whole.registry import columns

ROOT = Path(__file__).resolve().parents[1]
README = (ROOT / "README.md").read_text(encoding="utf-8")
FILES = (ROOT / "docs" / "files.md").read_text(encoding="utf-8")


def test_every_command_is_written_down() -> None:
    commands = get_command(app).list_commands(None)  # type: ignore[attr-defined]  # it is a group
    assert {"serve", "float", "check", "import", "export", "schema", "backup"} <= set(commands)
    assert [name for name in commands if f"neat-hull {name}" not in FILES] == []


def test_every_picture_is_linked_and_there() -> None:
    linked = set(re.findall(r"docs/screenshots/[\w-]+\.png", README))
    there = {p.relative_to(ROOT).as_posix() for p in (ROOT / "docs/screenshots").glob("*.png")}
    assert linked == there
    assert len(there) < 20


@pytest.mark.parametrize("page", ["README.md", "docs/physics.md", "docs/files.md",
                                  "docs/architecture.md", "docs/extend.md"])  # fmt: skip
def test_links_of_the_pages_lead_somewhere(page: str) -> None:
    path = ROOT / page
    for link in re.findall(r"\]\(([^)#]+)\)", path.read_text(encoding="utf-8")):
        if not link.startswith("http"):
            assert (path.parent / link).exists(), link


@pytest.mark.parametrize("page", ["docs/physics.md", "docs/architecture.md"])
def test_files_of_code_that_the_pages_name_are_there(page: str) -> None:
    text = (ROOT / page).read_text(encoding="utf-8")
    named = [
        name for name in re.findall(r"`([\w/]+/[\w/]+\.(?:py|ts))`", text) if "NAME" not in name
    ]
    assert len(named) > 5
    homes = (ROOT, ROOT / "src/neat_hull")
    assert [name for name in named if not any((home / name).exists() for home in homes)] == []


def test_formulas_that_code_points_to_are_there() -> None:
    physics = (ROOT / "docs/physics.md").read_text(encoding="utf-8")
    for source in (ROOT / "src").rglob("*.py"):
        text = re.sub(r"\s+", " ", source.read_text(encoding="utf-8"))
        for title in re.findall(r'docs/physics\.md, "([^"]+)"', text):
            assert f"## {title}" in physics, f"{source.name}: {title}"


def test_migrations_are_numbered_without_a_gap() -> None:
    names = sorted(p.name for p in (ROOT / "src/neat_hull/store/migrations").glob("*.sql"))
    assert [int(name[:4]) for name in names] == list(range(1, len(names) + 1))


def test_every_field_of_a_thing_has_its_column() -> None:
    told = {column.path for column in columns()}
    assert len(told) == len(columns())
    for name, field in Thing.model_fields.items():
        aspect = next((a for a in (field.annotation, *get_args(field.annotation))
                       if isinstance(a, type) and issubclass(a, Model)), None)  # fmt: skip
        if name == "photo":  # pictures are no table's
            continue
        assert any(path[0] == name for path in told), name
        for inner in aspect.model_fields if aspect is not None else ():
            assert (name, inner) in told, f"{name}.{inner}"


def test_every_operation_says_what_it_does() -> None:
    for path, operations in PATHS.items():
        for verb, operation in operations.items():
            assert operation.get("description"), f"{verb} {path}"


def test_no_file_names_a_place_on_somebodys_machine() -> None:
    for path in [
        *ROOT.glob("*.*"),
        *(ROOT / "requirements").glob("*"),
        *(ROOT / "web").glob("*.*"),
    ]:
        if path.is_file() and path.suffix in {".md", ".toml", ".txt", ".json", ".ts", ".js"}:
            text = path.read_text(encoding="utf-8")
            assert not re.search(r"(?<![\w.])/(home|work|root)/", text), path.name
            assert not re.search(r'"resolved":\s*"http', text), path.name
