"""A float plan: a page to leave with a person. It is printed or saved, and never sent."""

from typing import Annotated

from pydantic import Field

from neat_hull.model.base import Answer, Model

Line = Annotated[str, Field(max_length=200)]
Words = Annotated[str, Field(max_length=2000)]
Clock = Annotated[str, Field(pattern=r"^([01]\d|2[0-3]):[0-5]\d$")]


class FloatPlan(Model):
    """In the words of who goes: call_at is when to call, whom is who and the number."""

    who: Line = ""
    looks: Words = ""
    water: Line = ""
    launch: Words = ""
    car: Line = ""
    route: Words = ""
    out_at: Clock | None = None
    back_at: Clock | None = None
    call_at: Clock | None = None
    whom: Words = ""
    note: Words = ""


class FloatPlanPage(Answer):
    """The plan as kept, the whole page as text, and what is still missing of it."""

    plan: FloatPlan
    text: str
    missing: list[str]
