"""What stands before the API: who is let in, and the screens.

It loads in a fraction of the time that the API takes, so that a page is drawn meanwhile; what the
page asks of the API waits until that is there.
"""

from asyncio import shield, wrap_future
from concurrent.futures import Future
from pathlib import Path

from starlette.applications import Starlette
from starlette.exceptions import HTTPException
from starlette.middleware import Middleware
from starlette.responses import Response
from starlette.routing import BaseRoute, Match, Mount
from starlette.staticfiles import StaticFiles
from starlette.types import ASGIApp, Receive, Scope, Send

from neat_hull.api.guard import Guard
from neat_hull.api.key import KeyGate
from neat_hull.api.problems import answer, plain_http
from neat_hull.errors import StoreError

LOOPBACK = frozenset({"127.0.0.1", "localhost", "::1"})


def front(
    api: Future[ASGIApp],
    screens: Path | None = None,
    hosts: frozenset[str] = LOOPBACK,
    key: str | None = None,
) -> Starlette:
    """The whole application: an API that may still be loading, and `screens`, the built web. With a
    key, nobody is answered without it."""
    routes: list[BaseRoute] = [_Api(api)]
    if screens is not None:
        routes.append(Mount("/assets", Hashed(directory=screens / "assets")))
        routes.append(Mount("/", Screens(directory=screens, html=True)))
    guards = [Middleware(Guard, hosts=hosts)]
    if key is not None:
        guards.insert(0, Middleware(KeyGate, key=key))
    refusals = {HTTPException: plain_http, StoreError: answer}
    return Starlette(routes=routes, middleware=guards, exception_handlers=refusals)


class _Api(BaseRoute):
    """All that is asked of the API goes there as it came."""

    def __init__(self, api: Future[ASGIApp]) -> None:
        self._api = api

    def matches(self, scope: Scope) -> tuple[Match, Scope]:
        """By the path."""
        mine = scope["type"] == "http" and scope["path"].startswith("/api/")
        return (Match.FULL if mine else Match.NONE), {}

    async def handle(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Once it is there. Raises StoreError where it could not be loaded."""
        # Shielded: whoever gives up waiting gives up for himself alone.
        api = self._api.result() if self._api.done() else await shield(wrap_future(self._api))
        await api(scope, receive, send)


class Hashed(StaticFiles):
    """Files with their content in their name: they may be kept for good."""

    async def get_response(self, path: str, scope: Scope) -> Response:
        """The file."""
        response = await super().get_response(path, scope)
        response.headers["Cache-Control"] = "public, max-age=31536000, immutable"
        return response


class Screens(StaticFiles):
    """The page, which may not be kept; any path of a screen falls back to it."""

    async def get_response(self, path: str, scope: Scope) -> Response:
        """The file, or the page."""
        try:
            response = await super().get_response(path, scope)
        except HTTPException as error:
            if error.status_code != 404:
                raise
            response = await super().get_response("index.html", scope)
        response.headers["Cache-Control"] = "no-cache"
        return response
