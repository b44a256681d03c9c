"""What is turned away before it reaches a router: foreign pages, and bodies that are too large.

What goes out says what a browser may do with it: nothing from elsewhere, in no frame, as it is.
"""

from urllib.parse import urlsplit

from starlette.requests import Request
from starlette.responses import JSONResponse
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from neat_hull.api.problems import problem

MOST_BYTES = 2 * 1024 * 1024  # a setup of 500 things is under 200 kB


class Guard:
    """Refuses a foreign Host or Origin (another page, a rebound name), and large bodies."""

    def __init__(self, app: ASGIApp, hosts: frozenset[str]) -> None:
        self._app, self._hosts = app, hosts

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """ASGI entry point."""
        if scope["type"] != "http":
            await self._app(scope, receive, send)
            return
        headers = Request(scope).headers
        host, origin = headers.get("host", ""), headers.get("origin")
        changes = scope["method"] not in ("GET", "HEAD", "OPTIONS")
        elsewhere = changes and headers.get("sec-fetch-site") in ("cross-site", "same-site")
        foreign = origin is not None and _netloc(origin) != host
        send = _with_headers(send)
        if _name(host) not in self._hosts or foreign or elsewhere:
            refusal = problem(403, "Refused", "this address answers only to its own pages")
            await refusal(scope, receive, send)
            return
        declared = headers.get("content-length", "0")
        if not declared.isdigit() or int(declared) > MOST_BYTES:
            await _too_large()(scope, receive, send)
            return
        await self._app(scope, _limited(receive), send)


_HEADERS = {
    b"content-security-policy": (
        b"default-src 'self'; script-src 'self'; style-src 'self' 'unsafe-inline'; "
        b"img-src 'self' data: blob:; font-src 'self' data:; connect-src 'self'; "
        b"object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'"
    ),
    b"x-content-type-options": b"nosniff",
    b"x-frame-options": b"DENY",
    b"referrer-policy": b"no-referrer",
}


def _with_headers(send: Send) -> Send:
    async def told(message: Message) -> None:
        if message["type"] == "http.response.start":
            there = {name.lower() for name, _ in message.get("headers", [])}
            more = [(name, value) for name, value in _HEADERS.items() if name not in there]
            message = {**message, "headers": [*message.get("headers", []), *more]}
        await send(message)

    return told


def _name(host: str) -> str:
    try:
        return (urlsplit(f"//{host}").hostname or "").lower()
    except ValueError:  # no name at all, such as [
        return ""


def _netloc(origin: str) -> str:
    try:
        return urlsplit(origin).netloc
    except ValueError:
        return ""


def _too_large() -> JSONResponse:
    return problem(413, "Too large", f"a request may carry at most {MOST_BYTES // 2**20} MB")


def _limited(receive: Receive) -> Receive:
    """Cut off a body that declared no length, or a false one, and runs past the limit."""
    seen = 0

    async def limited() -> Message:
        nonlocal seen
        message = await receive()
        seen += len(message.get("body", b""))
        if seen > MOST_BYTES:
            return {"type": "http.disconnect"}
        return message

    return limited
