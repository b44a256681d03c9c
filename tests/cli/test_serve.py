"""Starting the server: what can be in the way is one clear line."""

import json
import resource
import signal
import socket
import sqlite3
import subprocess
import sys
import urllib.error
import urllib.request
from contextlib import closing
from pathlib import Path
from typing import Any

import pytest
from tests.servers import ServerProcess

from neat_hull.store.connect import open_store


def serve(*arguments: str) -> subprocess.Popen[str]:
    """The real command."""
    return subprocess.Popen(
        [sys.executable, "-c", "from neat_hull.cli.main import run; run()", "serve", *arguments],
        stdout=subprocess.PIPE,
        stderr=subprocess.PIPE,
        text=True,
    )


def free_port() -> int:
    """A port that was free a moment ago."""
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        port: int = probe.getsockname()[1]
        return port


def test_it_prints_its_address_and_ctrl_c_stops_it_cleanly(tmp_path: Path) -> None:
    port = free_port()
    server = serve("--demo", "--data", str(tmp_path / "d.sqlite"), "--port", str(port))
    assert server.stdout is not None
    assert f"http://127.0.0.1:{port}" in server.stdout.readline()
    server.send_signal(signal.SIGINT)
    out, err = server.communicate(timeout=60)
    assert (server.returncode, err) == (0, "")
    assert "everything is saved" in out


def test_what_is_there_first_loads_neither_the_framework_nor_what_computes() -> None:
    asked = "import sys, neat_hull.cli.serve; print(*sys.modules)"
    told = subprocess.run([sys.executable, "-c", asked], capture_output=True, text=True, check=True)
    late = {"fastapi", "numpy", "scipy", "neat_hull.model.setup", "neat_hull.whole"}
    assert not late & set(told.stdout.split())


def test_a_busy_port_is_one_line(tmp_path: Path) -> None:
    with socket.socket() as busy:
        busy.bind(("127.0.0.1", 0))
        busy.listen()
        port = str(busy.getsockname()[1])
        _, err = serve("--data", str(tmp_path / "d.sqlite"), "--port", port).communicate(timeout=60)
    assert err == f"neat-hull: port {port} is taken by another program; choose one with --port\n"


def test_a_data_file_that_cannot_be_is_one_line(tmp_path: Path) -> None:
    (tmp_path / "file").write_text("")
    path = str(tmp_path / "file" / "d.sqlite")
    server = serve("--data", path, "--port", str(free_port()))
    _, err = server.communicate(timeout=60)
    assert (server.returncode, err.count("\n")) == (2, 1)
    assert path in err


def test_a_demo_that_cannot_be_filled_in_stops_it_with_one_line(tmp_path: Path) -> None:
    data = tmp_path / "d.sqlite"
    open_store(data)
    with closing(sqlite3.connect(data)) as db:
        db.execute("DROP TABLE setup")
    server = serve("--demo", "--data", str(data), "--port", str(free_port()))
    _, err = server.communicate(timeout=60)
    assert (server.returncode, err) == (2, f"neat-hull: {data}: no such table: setup\n")


_SHARED_INDEX = 32 * 1024  # what SQLite keeps beside a file that is open, be it only read


def test_a_full_disk_is_told_and_writing_goes_on_when_there_is_room(tmp_path: Path) -> None:
    """No file of the server may be more than a few pages, as on a disk all but full; then again."""
    server = ServerProcess(tmp_path / "boats.sqlite")
    setup = f"{server.url}/api/v1/setups/1"
    long = dict.fromkeys(range(1, 21), "and" * 400)  # more than the few pages
    assert noted(setup, {9: "before"})[0] == 200
    limits = resource.prlimit(server.process.pid, resource.RLIMIT_FSIZE)
    resource.prlimit(server.process.pid, resource.RLIMIT_FSIZE, (_SHARED_INDEX, limits[1]))
    status, told = noted(setup, long)
    assert status == 503
    assert "nothing was changed" in told["detail"]
    with urllib.request.urlopen(setup) as answer:
        things = json.load(answer)["setup"]["things"]
    assert (things["9"]["notes"], things["1"]["notes"]) == ("before", "")
    resource.prlimit(server.process.pid, resource.RLIMIT_FSIZE, limits)
    status, told = noted(setup, long)
    assert (status, told["setup"]["things"]["9"]["notes"]) == (200, long[9])
    server.stop()


def noted(setup: str, notes: dict[int, str]) -> tuple[int, Any]:
    """Write notes of things in one step; the status, and what is answered."""
    edits = [{"what": "thing", "id": i, "fields": {"notes": note}} for i, note in notes.items()]
    change = urllib.request.Request(
        setup,
        json.dumps({"edits": edits}).encode(),
        {"content-type": "application/json"},
        method="PATCH",
    )
    try:
        with urllib.request.urlopen(change) as answer:
            return answer.status, json.load(answer)
    except urllib.error.HTTPError as error:
        return error.code, json.load(error)


def test_the_phone_in_the_garage_needs_the_address_that_is_printed(tmp_path: Path) -> None:
    port = free_port()
    server = serve("--lan", "--data", str(tmp_path / "d.sqlite"), "--port", str(port))
    assert server.stdout is not None
    line = server.stdout.readline()
    address = line.split(" ")[4]
    # To the last line of the start: what is read ahead of it is lost to `communicate`.
    drawn, said = [], ""
    while "can see and change everything" not in (said := server.stdout.readline()):
        assert said, "it warns"
        drawn.append(said.strip())
    assert len(drawn) > 15
    assert set("".join(drawn)) <= set("█▀▄ "), "a code for its camera"
    host, _, key = address.partition("/?key=")
    assert "127.0.0.1" not in host
    for closed in (host, f"{host}/api/v1/setups", f"http://127.0.0.1:{port}/api/v1/setups"):
        with pytest.raises(urllib.error.HTTPError) as refused:
            urllib.request.urlopen(closed)
        assert (refused.value.code, refused.value.read()) == (403, b"")
    asked = urllib.request.Request(
        f"{host}/api/v1/setups", headers={"cookie": f"neat-hull-key={key}"}
    )
    assert json.load(urllib.request.urlopen(asked)) == []
    server.send_signal(signal.SIGINT)
    _, err = server.communicate(timeout=60)
    assert (server.returncode, err) == (0, "")
