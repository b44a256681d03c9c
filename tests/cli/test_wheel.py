"""The wheel: installed into a clean environment it serves screens and demo, without Node."""

import os
import re
import shutil
import socket
import subprocess
import sys
import urllib.request
from collections.abc import Iterator
from pathlib import Path

import pytest

ROOT = Path(__file__).resolve().parents[2]
UV = Path(sys.executable).with_name("uv")


@pytest.fixture(scope="module")
def installed(tmp_path_factory: pytest.TempPathFactory) -> Path:
    """The command of a clean environment with the wheel, and what it asks for, installed."""
    into = tmp_path_factory.mktemp("wheel")
    checkout = into / "checkout"
    shutil.copytree(ROOT / "src", checkout / "src", ignore=shutil.ignore_patterns("__pycache__"))
    shutil.copytree(ROOT / "web/dist", checkout / "src/neat_hull/screens")
    for name in ("pyproject.toml", "README.md"):
        shutil.copy(ROOT / name, checkout / name)
    hatch = [str(Path(sys.executable).with_name("hatchling")), "build", "-t", "wheel"]
    subprocess.run([*hatch, "-d", str(into)], cwd=checkout, check=True, capture_output=True)
    (wheel,) = into.glob("*.whl")
    clean = into / "clean"
    subprocess.run([UV, "venv", "-q", "--python", sys.executable, clean], check=True)
    python = clean / "bin/python"
    asked = ["--constraint", str(ROOT / "requirements/run.txt"), str(wheel)]
    subprocess.run([UV, "pip", "install", "-q", "--python", python, *asked], check=True)
    return clean / "bin/neat-hull"


@pytest.fixture
def served(installed: Path, tmp_path: Path) -> Iterator[tuple[str, Path]]:
    """Its address, and the folder that is its user's home."""
    bare = {"PATH": str(installed.parent), "HOME": str(tmp_path), "XDG_DATA_HOME": ""}
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        port = str(probe.getsockname()[1])
    process = subprocess.Popen(
        [installed, "serve", "--demo", "--port", port],
        stdout=subprocess.PIPE, text=True, cwd=tmp_path, env=os.environ | bare,
    )  # fmt: skip
    assert process.stdout is not None
    try:
        line = process.stdout.readline()
        found = re.search(r"(http://\S+)\s+\(data: (.+?);", line)
        assert found is not None, line
        yield found[1], Path(found[2])
    finally:
        process.terminate()
        process.communicate(timeout=30)


def test_it_serves_screens_and_demo_and_keeps_data_in_the_users_own_folder(
    served: tuple[str, Path], tmp_path: Path
) -> None:
    address, data = served
    with urllib.request.urlopen(address) as page:
        assert b"<title>Neat Hull" in page.read()
    with urllib.request.urlopen(f"{address}/api/v1/setups") as setups:
        assert b"Reed Lake dawn" in setups.read()
    assert data.is_relative_to(tmp_path)
    assert data.parent != tmp_path
    assert data.exists()
