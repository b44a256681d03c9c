"""What the chosen water asks to have along; the local law is asked first."""

from collections.abc import Iterable

from neat_hull.analysis.findings.case import Case, Found, amount
from neat_hull.model.figures import Said, Verdict
from neat_hull.model.thing import Serves

LAW = "What must be carried is the local law's to say; ask it first."


def _missing(
    case: Case, service: Serves, verdict: Verdict, what: str, why: str, worn: bool = False
) -> Iterable[Found]:
    """Not aboard; or, where it is of use on the body alone, not worn.

    What lies ashore is not looked at: a setup is judged by what goes with it.
    """
    aboard = case.serving(service)
    if any(case.stowed[i].stand.on_body or not worn for i in aboard):
        return
    clear = (
        f"put on {case.name(aboard[0])}"
        if aboard
        else "take one along; one that is aboard is told so in Gear, by what it serves as"
    )
    title = f"{what[0].upper()}{what[1:]} is aboard, but not worn" if aboard else f"No {what}"
    one = aboard[0] if aboard else None
    yield Found(
        verdict, Said(text=title), why, Said(text=clear), badness=1.0, caution=LAW,
        thing_id=one, where="On you" if worn else "The whole boat",
    )  # fmt: skip


def no_pfd_worn(case: Case) -> Iterable[Found]:
    """No PFD on the body: a stop on any water. Usual practice, and law in many places."""
    yield from _missing(case, "PFD", "stop", "PFD", "Most who drown from small boats did not wear "
                        "one, and it cannot be put on in the water.", worn=True)  # fmt: skip


def no_whistle(case: Case) -> Iterable[Found]:
    """Nothing to be heard with. Usual practice."""
    yield from _missing(case, "whistle", "watch", "whistle", "A voice does not carry over wind; a "
                        "whistle does.")  # fmt: skip


def no_light_by_night(case: Case) -> Iterable[Found]:
    """No light, on a trip that goes into the dark. Usual practice, and law in most places."""
    if case.setup.judging.by_night:
        yield from _missing(case, "light", "fix", "light", "A kayak without a light is not seen "
                            "until it is hit.")  # fmt: skip


def cold_water(case: Case) -> Iterable[Found]:
    """Cold water without clothing for it; or nobody knows how cold, on water that is not a pond.

    Our threshold, from what is known of cold shock.
    """
    temp, levels = case.setup.water_temp_c, case.table["cold water"]
    if temp is None:
        if case.setup.judging.waters != "calm pond":
            yield Found(
                "watch", Said(text="How cold the water is, is not known"),
                levels.reason, Said(text="take its temperature, and set it under the setup's trip"),
                badness=1.0, caution=LAW,
            )  # fmt: skip
        return
    verdict = levels.verdict(temp)
    if verdict == "fine":
        return
    for one in _missing(case, "warm clothing", verdict, "clothing for cold water", levels.reason,
                        worn=True):  # fmt: skip
        yield Found(
            verdict, Said.of(f"{one.title.text}, in water of {{}}", warmth=temp), one.why,
            one.clear, badness=levels.beyond(temp), thing_id=one.thing_id, where=one.where,
            figure=amount("warmth", temp), limit=amount("warmth", levels.crossed(temp)),
            caution=LAW,
        )  # fmt: skip


def no_spare_paddle(case: Case) -> Iterable[Found]:
    """Nothing to paddle home with, on a river or open water. Usual practice."""
    if case.setup.judging.waters != "calm pond":
        verdict: Verdict = "fix" if case.setup.judging.waters == "open water" else "watch"
        yield from _missing(case, "spare paddle", verdict, "spare paddle", "A lost paddle or a "
                            "drive that jams ends the trip where the wind likes.")  # fmt: skip


def no_means_to_call(case: Case) -> Iterable[Found]:
    """Nobody can be called, on a river or open water. Usual practice."""
    if case.setup.judging.waters != "calm pond":
        verdict: Verdict = "fix" if case.setup.judging.waters == "open water" else "watch"
        yield from _missing(case, "call", verdict, "radio or telephone", "Help that is not called "
                            "does not come.", worn=True)  # fmt: skip


# Which of the basics a rule looks for, by its code: what is on the shelf may serve.
SERVICES: dict[str, Serves] = {
    "no pfd worn": "PFD",
    "no whistle": "whistle",
    "no light by night": "light",
    "cold water": "warm clothing",
    "no spare paddle": "spare paddle",
    "no means to call": "call",
}

RULES = (no_pfd_worn, no_whistle, no_light_by_night, cold_water, no_spare_paddle, no_means_to_call)
