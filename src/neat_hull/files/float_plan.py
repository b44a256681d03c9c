"""A float plan as a page of text, for a printer or a message by hand."""

from collections.abc import Sequence

from neat_hull.model.float_plan import FloatPlan

_WIDE = 26


def missing(plan: FloatPlan) -> list[str]:
    """What a person who waits needs most, and is not there yet."""
    asked = {
        "who goes": plan.who,
        "where you launch": plan.launch,
        "the way you go": plan.route,
        "when you are back": plan.back_at,
        "when to call": plan.call_at,
        "whom to call": plan.whom,
    }
    return [name for name, said in asked.items() if not said]


def write_float_plan(plan: FloatPlan, *, boat: str, day: str | None, things: Sequence[str]) -> str:
    """Each line a name and what is known; what is not known has a line to write on."""
    rows = [
        ("Who", plan.who),
        ("Boat", boat),
        ("Looks of boat and clothes", plan.looks),
        ("Day", day or ""),
        ("Water", plan.water),
        ("Launches at", plan.launch),
        ("Car", plan.car),
        ("Goes", plan.route),
        ("Out at", plan.out_at or ""),
        ("Back at", plan.back_at or ""),
        ("Aboard, seen and heard", ", ".join(things)),
        ("Note", plan.note),
    ]
    lines = ["FLOAT PLAN", ""]
    lines += [_row(name, said) for name, said in rows]
    by = plan.call_at or "__:__"
    lines += ["", f"CALL WHEN NOT BACK BY {by}", _row("Call", plan.whom), ""]
    lines.append("Left with a person on land. Tell them when you are back.")
    return "\n".join(lines) + "\n"


def _row(name: str, said: str) -> str:
    first, *more = said.splitlines() or ["_" * 30]
    return "\n".join([f"{name:<{_WIDE}}  {first}", *(" " * (_WIDE + 2) + one for one in more)])
