"""Work that ends when whoever asked for it hangs up."""

import asyncio
from collections.abc import Iterator
from contextlib import contextmanager
from typing import Any

from starlette.requests import Request

from neat_hull.api.aside import Asked


@contextmanager
def ends_with(request: Request, asked: Asked[Any]) -> Iterator[None]:
    """Inside, a question ends as soon as its asker is gone; and at the end, whatever came of it."""
    watching = asyncio.ensure_future(_watch(request, asked))
    try:
        yield
    finally:
        watching.cancel()
        _close(asked)


async def _watch(request: Request, asked: Asked[Any]) -> None:
    while (await request.receive())["type"] != "http.disconnect":
        pass
    _close(asked)


def _close(asked: Asked[Any]) -> None:
    """In a thread, and not waited for: it stops a process, and may be asked of a task that ends."""
    asyncio.get_running_loop().run_in_executor(None, asked.close)
