"""How requests are read and answers written.

JSON that says a thing twice, or holds what is no text, is refused at the door. Answers are written
by the model itself, once: the framework builds and checks every model a second time before it
writes it out, which for a whole setup takes longer than to work it out.
"""

import json
from collections.abc import Callable, Coroutine
from functools import wraps
from inspect import iscoroutinefunction
from typing import Any

from fastapi.exceptions import RequestValidationError
from fastapi.routing import APIRoute
from pydantic import BaseModel
from starlette.requests import Request
from starlette.responses import JSONResponse, Response

from neat_hull.api.problems import problem, units_of
from neat_hull.files.json_text import Doubtful, read_json
from neat_hull.model.base import input_errors


class Written(APIRoute):
    """A route whose models go out as they write themselves; all else goes the usual way."""

    def __init__(self, path: str, endpoint: Callable[..., Any], **how: Any) -> None:
        super().__init__(path, _writing(endpoint, how.get("status_code") or 200), **how)

    def get_route_handler(self) -> Callable[[Request], Coroutine[Any, Any, Response]]:
        """The framework's, given a request that reads its JSON our way."""
        handle = super().get_route_handler()

        async def handler(request: Request) -> Response:
            return await handle(_Read(request.scope, request.receive))

        return handler


class _Read(Request):
    async def json(self) -> Any:
        """The body. Raises json.JSONDecodeError, which the framework answers with 422."""
        text = (await self.body()).decode("utf-8-sig", "replace")
        try:
            return read_json(text)
        except Doubtful as doubt:
            raise json.JSONDecodeError(str(doubt), text, 0) from doubt


def refuse_body(request: Request, error: Exception) -> JSONResponse:
    """Answer for a body or parameter that the framework could not read as our models."""
    assert isinstance(error, RequestValidationError)
    wrong = input_errors(error.errors(), skip=1)
    return problem(
        422, "Please check what you typed", str(wrong), wrong.errors, units=units_of(request)
    )


def written(model: BaseModel, status: int = 200) -> Response:
    """A model as it writes itself."""
    return Response(model.model_dump_json(by_alias=True), status, media_type="application/json")


def _writing(endpoint: Callable[..., Any], status: int) -> Callable[..., Any]:
    def answered(told: Any) -> Any:
        return written(told, status) if isinstance(told, BaseModel) else told

    if iscoroutinefunction(endpoint):

        @wraps(endpoint)
        async def waited(*args: Any, **kwargs: Any) -> Any:
            return answered(await endpoint(*args, **kwargs))

        return waited

    @wraps(endpoint)
    def answer(*args: Any, **kwargs: Any) -> Any:
        return answered(endpoint(*args, **kwargs))

    return answer
