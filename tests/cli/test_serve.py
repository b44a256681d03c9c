"""Starting the server: what can be in the way is one clear line."""

import signal
import socket
import subprocess
import sys
from pathlib import Path


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
