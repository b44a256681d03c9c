"""Where the routes of a subject are gathered."""

from fastapi import APIRouter
from fastapi.routing import APIRoute

from neat_hull.api.answers import Written
from neat_hull.api.problems import Problem

PROBLEMS = (404, 409, 422)


def routes(tag: str, prefix: str = "") -> APIRouter:
    """Of the first version of the API, with its own whole address: what is put under a prefix
    later, the framework builds a second time, while the first request waits."""
    return APIRouter(
        prefix=f"/api/v1{prefix}",
        tags=[tag],
        route_class=Written,
        generate_unique_id_function=_operation,
        responses={status: {"model": Problem} for status in PROBLEMS},
    )


def _operation(route: APIRoute) -> str:
    return route.name
