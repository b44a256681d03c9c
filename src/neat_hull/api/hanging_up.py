"""Work that ends when whoever asked for it hangs up."""

import asyncio
from collections.abc import Iterator
from contextlib import contextmanager
from typing import Any

from starlette.requests import Request
from starlette.responses import ContentStream, StreamingResponse
from starlette.types import Receive, Scope, Send

from neat_hull.api.aside import Asked


@contextmanager
def ends_with(request: Request, asked: Asked[Any]) -> Iterator[None]:
    """Inside, a question ends as soon as its asker is gone; and at the end, whatever came of it."""
    watching = asyncio.ensure_future(_watch(request, asked))
    try:
        yield
    finally:
        watching.cancel()
        hang_up(asked)


class StreamedAnswer(StreamingResponse):
    """Answers as they come; the question ends when they do, sent or not."""

    def __init__(self, asked: Asked[Any], content: ContentStream, media_type: str) -> None:
        super().__init__(content, media_type=media_type)
        self._asked = asked

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Send them."""
        try:
            await super().__call__(scope, receive, send)
        finally:
            hang_up(self._asked)


async def _watch(request: Request, asked: Asked[Any]) -> None:
    while (await request.receive())["type"] != "http.disconnect":
        pass
    hang_up(asked)


def hang_up(asked: Asked[Any]) -> None:
    """In a thread, and not waited for: it stops a process, and may be asked of a task that ends."""
    asyncio.get_running_loop().run_in_executor(None, asked.close)
