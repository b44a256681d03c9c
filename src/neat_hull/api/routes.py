"""Where the routes of a subject are gathered."""

from http import HTTPStatus
from typing import Any

from fastapi import APIRouter
from fastapi.routing import APIRoute

from neat_hull.api.answers import Written

# By name: given the model itself, the framework builds it anew for each of some 350 such answers,
# a fifth of the start. One route gives it, in `setups`.
_PROBLEM = {"application/json": {"schema": {"$ref": "#/components/schemas/Problem"}}}
_PROBLEMS: dict[int | str, dict[str, Any]] = {
    status: {"description": HTTPStatus(status).phrase, "content": _PROBLEM}
    for status in (404, 409, 422)
}


def routes(tag: str, prefix: str = "") -> APIRouter:
    """Of the first version of the API, with its own whole address: what is put under a prefix
    later, the framework builds a second time, while the first request waits."""
    return APIRouter(
        prefix=f"/api/v1{prefix}",
        tags=[tag],
        route_class=Written,
        generate_unique_id_function=_operation,
        responses=_PROBLEMS,
    )


def _operation(route: APIRoute) -> str:
    return route.name
