"""The simulated box by command, and a server that listens to one."""

import signal
import socket
import subprocess
import sys
from collections.abc import Iterator
from pathlib import Path

import pytest
from typer.testing import CliRunner

from neat_hull.cli.main import app
from neat_hull.instruments.sentences import read_sentence

COMMAND = [sys.executable, "-c", "from neat_hull.cli.main import run; run()"]


def free_port() -> int:
    """A port that was free a moment ago."""
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        port: int = probe.getsockname()[1]
        return port


@pytest.fixture
def box() -> Iterator[tuple[subprocess.Popen[str], int]]:
    """`neat-hull instrument`, listening."""
    port = free_port()
    process = subprocess.Popen(
        [*COMMAND, "instrument", "--port", str(port)],
        stdout=subprocess.PIPE, stderr=subprocess.PIPE, text=True,
    )  # fmt: skip
    assert process.stdout is not None
    assert str(port) in process.stdout.readline()
    yield process, port
    if process.poll() is None:
        process.send_signal(signal.SIGINT)
    process.communicate(timeout=60)


def test_it_speaks_sentences_to_whoever_connects(box: tuple[subprocess.Popen[str], int]) -> None:
    with socket.create_connection(("127.0.0.1", box[1]), timeout=60) as line:
        heard = b""
        while heard.count(b"\r\n") < 2:
            heard += line.recv(1024)
    tilt, force = (read_sentence(one) for one in heard.decode("ascii").split("\r\n")[:2])
    assert tilt is not None
    assert tilt.heel_deg is not None
    assert force is not None
    assert force.force_kg == pytest.approx(15.6, abs=0.5)


def test_ctrl_c_stops_it_cleanly(box: tuple[subprocess.Popen[str], int]) -> None:
    process, _ = box
    process.send_signal(signal.SIGINT)
    _, err = process.communicate(timeout=60)
    assert (process.returncode, err) == (0, "")


def test_a_busy_port_is_one_line(box: tuple[subprocess.Popen[str], int]) -> None:
    second = subprocess.run(
        [*COMMAND, "instrument", "--port", str(box[1])],
        capture_output=True, text=True, timeout=60, check=False,
    )  # fmt: skip
    assert (second.returncode, second.stderr.count("\n")) == (2, 1)
    assert "cannot be used" in second.stderr


@pytest.mark.parametrize("address", ["nowhere", "host:", ":99", "host:0", "host:abc"])
def test_an_instrument_that_is_no_address_is_one_line(tmp_path: Path, address: str) -> None:
    where = ["--data", str(tmp_path / "d.sqlite"), "--port", str(free_port())]
    refused = CliRunner().invoke(app, ["serve", *where, "--instrument", address])
    assert (refused.exit_code, refused.stderr.count("\n")) == (2, 1)
    assert "HOST:PORT" in refused.stderr
