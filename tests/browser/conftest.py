"""A server on a file of its own for each test, and a browser that tells on every page error."""

from collections.abc import Iterator
from pathlib import Path
from typing import Any

import pytest
from playwright.sync_api import Page, expect
from tests.servers import CHROMIUM, FLAGS, Server, ServerProcess, ServerThread

# A busy machine is slow, not wrong; what never comes is told a little later.
expect.set_options(timeout=40_000)


@pytest.fixture(scope="session")
def shared(tmp_path_factory: pytest.TempPathFactory) -> Iterator[ServerThread]:
    """The server of all tests that do not stop it."""
    server = ServerThread(tmp_path_factory.mktemp("shared") / "boats.sqlite")
    yield server
    server.stop()


@pytest.fixture
def server(tmp_path: Path, request: pytest.FixtureRequest) -> Iterator[Server]:
    """A server with the demo; `@pytest.mark.real_server` asks for a process of its own."""
    data = tmp_path / "boats.sqlite"
    if request.node.get_closest_marker("real_server") is None:
        shared: ServerThread = request.getfixturevalue("shared")
        shared.over(data)
        yield shared
        return
    process = ServerProcess(data)
    yield process
    process.stop()


@pytest.fixture(scope="session")
def browser_type_launch_args(browser_type_launch_args: dict[str, Any]) -> dict[str, Any]:
    """Debian's Chromium."""
    return {**browser_type_launch_args, "executable_path": CHROMIUM, "args": FLAGS}


@pytest.fixture(scope="session")
def browser_context_args(browser_context_args: dict[str, Any]) -> dict[str, Any]:
    """The size the screens are made for."""
    return {**browser_context_args, "viewport": {"width": 1280, "height": 800}, "locale": "en-GB",
            "timezone_id": "UTC", "reduced_motion": "reduce", "color_scheme": "light"}  # fmt: skip


@pytest.fixture
def bench(page: Page, server: Server) -> Iterator[Page]:
    """The bench of the first demo setup; fails the test if the page ever complained."""
    complaints: list[str] = []
    page.on("pageerror", lambda error: complaints.append(str(error)))
    page.on(
        "console",
        lambda message: (
            complaints.append(message.text)
            # A refusal or a stopped server is an answer the tests ask for, and Chromium logs it.
            if message.type in ("error", "warning")
            and "Failed to load resource" not in message.text
            else None
        ),
    )
    page.goto(f"{server.url}/bench")
    page.get_by_test_id("trim").wait_for()
    yield page
    assert complaints == []
