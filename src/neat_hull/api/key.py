"""The key that everybody needs beyond this machine: once in the address, then in a cookie."""

from http.cookies import CookieError, SimpleCookie
from secrets import compare_digest, token_urlsafe
from urllib.parse import parse_qsl, urlencode

from starlette.responses import RedirectResponse, Response
from starlette.types import ASGIApp, Receive, Scope, Send

COOKIE = "neat-hull-key"
_BYTES = 32  # 256 bits: nobody guesses it
_KEPT_S = 30 * 24 * 3600


def new_key() -> str:
    """A key that is good until the server stops."""
    return token_urlsafe(_BYTES)


class KeyGate:
    """Answers nothing, to nobody, without the key."""

    def __init__(self, app: ASGIApp, key: str) -> None:
        self._app, self._key = app, key

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """ASGI entry point."""
        if scope["type"] != "http":
            if scope["type"] == "lifespan":
                await self._app(scope, receive, send)
            return
        asked = parse_qsl(scope["query_string"].decode("latin-1"), keep_blank_values=True)
        if any(name == "key" and self._fits(value) for name, value in asked):
            await self._let_in(scope, asked)(scope, receive, send)
        elif self._fits(_cookie(scope)):
            await self._app(scope, receive, send)
        else:
            await Response(status_code=403)(scope, receive, send)

    def _fits(self, said: str) -> bool:
        return compare_digest(said.encode(), self._key.encode())

    def _let_in(self, scope: Scope, asked: list[tuple[str, str]]) -> Response:
        """To the same page without the key in its address, which histories and screens show."""
        rest = urlencode([(name, value) for name, value in asked if name != "key"])
        # One slash: two would lead to another host.
        path = "/" + scope["path"].lstrip("/\\")
        answer = RedirectResponse(path + (f"?{rest}" if rest else ""), status_code=303)
        answer.headers["cache-control"] = "no-store"
        answer.headers["referrer-policy"] = "no-referrer"
        answer.set_cookie(COOKIE, self._key, max_age=_KEPT_S, httponly=True, samesite="lax")
        return answer


def _cookie(scope: Scope) -> str:
    sent = b"; ".join(value for name, value in scope["headers"] if name == b"cookie")
    jar: SimpleCookie = SimpleCookie()
    try:
        jar.load(sent.decode("latin-1"))
    except CookieError:
        return ""
    return jar[COOKIE].value if COOKIE in jar else ""
