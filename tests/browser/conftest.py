"""A server on a file of its own for each test, and a browser that tells on every page error."""

from collections.abc import Iterator
from pathlib import Path
from typing import Any

import pytest
from playwright.sync_api import Browser, ConsoleMessage, Error, Page, expect
from tests.servers import CHROMIUM, FLAGS, Server, ServerProcess, ServerThread

# A busy machine is slow, not wrong, and advice stands behind all else on it; what never comes is
# told a little later.
PATIENCE_MS = 180_000
expect.set_options(timeout=PATIENCE_MS)


@pytest.fixture(scope="session")
def shared(tmp_path_factory: pytest.TempPathFactory) -> Iterator[ServerThread]:
    """The server of all tests but those that ask for a process of their own."""
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


class Window:
    """A window of the browser that tests use one after the other: a new one costs each a second."""

    def __init__(self, browser: Browser, args: dict[str, Any]) -> None:
        self._browser, self._args = browser, args
        self._page: Page | None = None

    def page(self) -> Page:
        """The one there is, or a new one."""
        if self._page is None or self._page.is_closed():
            context = self._browser.new_context(**self._args)
            context.set_default_timeout(PATIENCE_MS)
            self._page = context.new_page()
        return self._page

    def clean(self, origin: str) -> None:
        """As it was when it was new, with nothing kept of what was served from there."""
        page = self.page()
        context = page.context
        for other in context.pages:
            if other is not page:
                other.close()
        context.set_offline(False)
        page.unroute_all(behavior="ignoreErrors")
        context.unroute_all(behavior="ignoreErrors")
        # Before the rest, and before the way there, each of which would draw the screen once more.
        page.evaluate("document.open()")
        page.goto("about:blank")
        page.emulate_media(media="null", color_scheme="light", reduced_motion="reduce")
        page.set_viewport_size(self._args["viewport"])
        context.clear_cookies()
        tools = context.new_cdp_session(page)
        tools.send("Storage.clearDataForOrigin", {"origin": origin, "storageTypes": "all"})
        tools.detach()

    def renew(self) -> None:
        """Have the next test use another page of the same window."""
        self._page = self.page().context.new_page()

    def drop(self) -> None:
        """Close it, and have the next test make a new one."""
        if self._page is not None:
            self._page.context.close()
        self._page = None


@pytest.fixture(scope="session")
def window(browser: Browser, browser_context_args: dict[str, Any]) -> Window:
    """One for each worker."""
    return Window(browser, browser_context_args)


@pytest.fixture
def page(window: Window, server: Server, request: pytest.FixtureRequest) -> Iterator[Page]:
    """The worker's window, cleaned; `@pytest.mark.own_page` asks for one that nobody uses after.

    So do tests that leave scripts or listeners behind.
    """
    failed = request.session.testsfailed
    yield window.page()
    if request.session.testsfailed > failed:
        window.drop()
        return
    if request.node.get_closest_marker("own_page") is not None:
        window.renew()
    window.clean(server.url)


@pytest.fixture
def watched(page: Page) -> Iterator[Page]:
    """A page that shows nothing yet; fails the test if it ever complained."""
    complaints: list[str] = []

    def failed(error: Error) -> None:
        complaints.append(str(error))

    def said(message: ConsoleMessage) -> None:
        # A refusal or a stopped server is an answer the tests ask for, and Chromium logs it.
        if message.type in ("error", "warning") and "Failed to load resource" not in message.text:
            complaints.append(message.text)

    page.on("pageerror", failed)
    page.on("console", said)
    yield page
    page.remove_listener("pageerror", failed)
    page.remove_listener("console", said)
    assert complaints == []


@pytest.fixture
def bench(watched: Page, server: Server) -> Page:
    """The bench of the first demo setup."""
    watched.goto(f"{server.url}/bench")
    watched.get_by_test_id("trim").wait_for()
    return watched
