"""Rows of the report, as they go out."""

from typing import Any

Row = dict[str, Any]


def finding(code: str, on: str, at: str | None, value: float | None, limit: float | None) -> Row:
    """What is wrong: where, at which moment, by what figure against which limit."""
    return {"code": code, "on": on, "at": at, "value": value, "limit": limit}
