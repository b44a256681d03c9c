"""Every text a person may see, gathered into `docs/words.md` to be read in one sitting.

`python -m scripts.words` writes the page; with `--check` it says whether the page is stale.
"""

import ast
import re
import sys
import tomllib
from collections.abc import Iterator
from functools import cache
from pathlib import Path

from neat_hull.api.called import names_of_fields

ROOT = Path(__file__).resolve().parents[1]
PAGE = ROOT / "docs" / "words.md"
_CORE = ROOT / "src" / "neat_hull"
_WEB = ROOT / "web" / "src"
_CATALOG = _CORE / "catalog"

# Attributes of a screen's elements that are read or read out.
_SPOKEN = r"aria-label|placeholder|title|label|alt|text|heading|question"
# A quote in what stands between two tags, as in 12'0", opens nothing.
_TAG = re.compile(r'<[a-zA-Z/][^"<>]*(?:"[^"]*"[^"<>]*)*>')
_NO_WORDS = re.compile(
    r"^(SELECT|INSERT|UPDATE|DELETE|CREATE|PRAGMA|BEGIN)\b|[{};]\S*:|^/api"
    r"|^[\w./;=* -]*/[\w.;=*-]+$"
    r"|=>|&&|\|\||^[\w ]+ \| [\w ]+$|^<|\\w"
)


@cache
def told() -> dict[str, list[str]]:
    """Texts by where they stand, each once, in the order of the files."""
    found: dict[str, list[str]] = {}
    sources = [(path, _of_python(path)) for path in sorted(_CORE.rglob("*.py"))]
    sources += [
        (path, _of_screen(path))
        for path in sorted([*_WEB.rglob("*.vue"), *_WEB.rglob("*.ts")])
        if not re.search(r"\.(d|spec|stub)\.ts$", path.name)
    ]
    sources += [(path, _of_catalog(path)) for path in sorted(_CATALOG.glob("*.toml"))]
    sources.append((_CORE / "api/called.toml", iter(names_of_fields().values())))
    for path, texts in sources:
        each = list(dict.fromkeys(" ".join(text.split()) for text in texts))
        if each:
            found[str(path.relative_to(ROOT))] = each
    return found


def names() -> list[str]:
    """What the catalogue and the demo call things."""
    return [name for path in sorted(_CATALOG.glob("*.toml")) for name in _of_catalog(path)]


def _of_catalog(path: Path) -> Iterator[str]:
    def walk(value: object) -> Iterator[str]:
        if isinstance(value, dict):
            for key, inner in value.items():
                if key == "name" and isinstance(inner, str):
                    yield inner
                else:
                    yield from walk(inner)
        elif isinstance(value, list):
            for inner in value:
                yield from walk(inner)

    return walk(tomllib.loads(path.read_text(encoding="utf-8")))


def _of_python(path: Path) -> Iterator[str]:
    """Strings with a space in them that are no docstring, no type and no part of a longer one."""
    nodes = list(ast.walk(ast.parse(path.read_text(encoding="utf-8"))))
    skipped: set[int] = set()
    found: list[tuple[int, str]] = []
    for node in nodes:
        if isinstance(node, ast.Expr) and isinstance(node.value, ast.Constant):
            skipped.add(id(node.value))
        elif isinstance(node, ast.Subscript):
            skipped |= {id(part) for part in ast.walk(node.slice)}
        elif isinstance(node, ast.arg | ast.AnnAssign | ast.FunctionDef):
            kind = node.returns if isinstance(node, ast.FunctionDef) else node.annotation
            skipped |= {id(part) for part in ast.walk(kind)} if kind else set()
        elif isinstance(node, ast.JoinedStr) and id(node) not in skipped:
            skipped |= {id(part) for part in node.values}
            words = "".join(
                str(part.value) if isinstance(part, ast.Constant) else "…" for part in node.values
            )
            found.append((node.lineno, words))
    found += [
        (node.lineno, node.value)
        for node in nodes
        if isinstance(node, ast.Constant)
        and isinstance(node.value, str)
        and id(node) not in skipped
    ]
    return (text for _, text in sorted(found) if _worded(text))


def _of_screen(path: Path) -> Iterator[str]:
    text = path.read_text(encoding="utf-8")
    text = re.sub(
        r"<style.*?</style>|<!--.*?-->|/\*.*?\*/|(?m:^\s*//[^\n]*$)", "", text, flags=re.S
    )
    page = re.search(r"<template>(.*)</template>", text, re.S)
    template = page.group(1) if page else ""
    for spoken in re.finditer(rf"\s:?(?:{_SPOKEN})=\"([^\"]+)\"", template):
        yield from (one for one in [_shown(spoken.group(1))] if _worded(one))
    for between in re.findall(r">([^<>]+)<", _TAG.sub("<>", template)):
        words = _shown(re.sub(r"\{\{.*?\}\}", "…", between, flags=re.S))
        if re.search(r"[A-Za-z]{2}", words):
            yield words
    script = text.replace(template, "")
    # Words chosen where they are shown, and those of the script.
    chosen = re.findall(r"\{\{(.*?)\}\}", template, re.S)
    for line in [*(line for one in chosen for line in one.splitlines()), *script.splitlines()]:
        for one, other in re.findall(r"'((?:[^'\\\n]|\\.)*)'|`([^`\n]*)`", line):
            if _worded(said := _shown(one or other)):
                yield said


def _shown(text: str) -> str:
    """Words without the code between them."""
    return re.sub(r"\$?\{[^{}]*\}", "…", text.replace("\\'", "'")).strip()


def _worded(text: str) -> bool:
    return (
        " " in text.strip() and bool(re.search(r"[A-Za-z]{2}", text)) and not _NO_WORDS.search(text)
    )


def page() -> str:
    """The page as it should be."""
    parts = ["# The words", "", "Every text a person may see; `…` stands for what is filled in."]
    for where, texts in told().items():
        parts += ["", f"## {where}", "", *(f"- {text}" for text in texts)]
    return "\n".join(parts) + "\n"


def main() -> None:
    """Write the page, or check it."""
    if "--check" in sys.argv:
        if not PAGE.exists() or PAGE.read_text(encoding="utf-8") != page():
            sys.exit("docs/words.md is stale: run make types")
        return
    PAGE.write_text(page(), encoding="utf-8")


if __name__ == "__main__":
    main()
