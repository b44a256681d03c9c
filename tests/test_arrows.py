"""The arrows between folders are held, and turning one is noticed."""

import json
import os
import shutil
import subprocess
import sys
from pathlib import Path

import grimp
import pytest

from neat_hull.whole.registry import SUBJECTS

ROOT = Path(__file__).parents[1]
LINT = "from importlinter.cli import lint_imports_command; lint_imports_command()"


def lint_imports(folder: Path) -> subprocess.CompletedProcess[str]:
    """The contracts of pyproject.toml over the package in a folder's src."""
    return subprocess.run(
        [sys.executable, "-c", LINT, "--no-cache", "--config", str(ROOT / "pyproject.toml")],
        cwd=folder,
        env={**os.environ, "PYTHONPATH": str(folder / "src")},
        capture_output=True,
        text=True,
        timeout=100,
        check=False,
    )


@pytest.mark.parametrize(
    ("module", "line", "contract"),
    [
        ("rig/bands.py", "import neat_hull.whole.judge", "Layers point one way"),
        ("subjects/load/rules.py", "import neat_hull.subjects.room.figures", "A subject knows"),
        ("whole/judge.py", "import fastapi", "The core knows no web"),
    ],
)
def test_an_arrow_turned_is_noticed(tmp_path: Path, module: str, line: str, contract: str) -> None:
    shutil.copytree(ROOT / "src/neat_hull", tmp_path / "src/neat_hull")
    turned = tmp_path / "src/neat_hull" / module
    turned.write_text(f"{turned.read_text()}\n{line}\n")
    told = lint_imports(tmp_path)
    assert told.returncode == 1
    broken = [row for row in told.stdout.splitlines() if row.endswith("BROKEN")]
    assert any(row.startswith(contract) for row in broken)


def test_of_another_subject_only_the_figures_are_known() -> None:
    graph = grimp.build_graph("neat_hull", cache_dir=None)
    home = "neat_hull.subjects."
    strange = [
        f"{one} knows {other}"
        for one in graph.modules
        if one.startswith(home)
        for other in graph.find_modules_directly_imported_by(one)
        if other.startswith(home)
        and other.split(".")[2] != one.split(".")[2]
        and other.split(".")[3:] != ["figures"]
    ]
    assert strange == []


def test_every_folder_of_the_subjects_is_registered() -> None:
    folders = {one.name for one in (ROOT / "src/neat_hull/subjects").iterdir() if one.is_dir()}
    assert {subject.name for subject in SUBJECTS} == folders - {"__pycache__"}


TURNED = {
    "drawing/turned.ts": "import '@/bench/keys'",
    "subjects/afloat/turned.ts": "import '@/subjects/reach'",
    "app/turned.ts": "import '@/subjects/reach/View.vue'",
    "kit/turned.ts": "import '../setup/kept'",
}
# All in one process: it takes longer to start than to look.
LINT_EACH = """
import { ESLint } from 'eslint'
const turned = JSON.parse(process.argv.at(-1)), lint = new ESLint(), told = {}
for (const [place, line] of Object.entries(turned))
  told[place] = await Promise.all(["import '@/api/client'", line].map(async (text) =>
    (await lint.lintText(text + '\\n', { filePath: 'src/' + place }))[0].messages
      .map((one) => one.ruleId)))
console.log(JSON.stringify(told))
"""


def test_an_arrow_turned_on_the_screens_is_noticed() -> None:
    told = subprocess.run(
        ["node", "--input-type=module", "--eval", LINT_EACH, "--", json.dumps(TURNED)],
        cwd=ROOT / "web",
        capture_output=True,
        text=True,
        timeout=100,
        check=True,
    )
    for place, (right, turned) in json.loads(told.stdout).items():
        assert right == [], place
        assert "no-restricted-imports" in str(turned), place
