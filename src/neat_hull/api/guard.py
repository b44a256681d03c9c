"""What is turned away before it reaches a router: foreign pages, and bodies that are too large."""

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
        if _name(host) not in self._hosts or (origin and urlsplit(origin).netloc != host):
            refusal = problem(403, "Refused", "this address answers only to its own pages")
            await refusal(scope, receive, send)
            return
        declared = headers.get("content-length", "0")
        if not declared.isdigit() or int(declared) > MOST_BYTES:
            await _too_large()(scope, receive, send)
            return
        await self._app(scope, _limited(receive), send)


def _name(host: str) -> str:
    return (urlsplit(f"//{host}").hostname or "").lower()


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
