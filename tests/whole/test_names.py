"""Nothing is decided by a name, a kind or a word: renamed to nonsense, all findings stay."""

import re

from tests.judged import CLEAN, FULL

from neat_hull.model.findings import Finding
from neat_hull.model.setup import Setup
from neat_hull.whole.evaluate import evaluate
from neat_hull.whole.registry import rules


def nonsense(setup: Setup) -> Setup:
    """Every thing, and the kind it is sorted by, told otherwise; order and ids stay."""
    things = {
        i: thing.model_copy(update={"name": f"Qx{i} sock", "kind": "other", "notes": ""})
        for i, thing in setup.things.items()
    }
    return setup.model_copy(update={"things": things})


def without_names(findings: list[Finding], *setups: Setup) -> list[tuple[object, ...]]:
    """What was found, with the names of things blotted out of its words."""
    names = sorted((t.name for one in setups for t in one.things.values()), key=len, reverse=True)
    blot = re.compile("|".join(re.escape(name) for name in names))
    return [
        (one.key, one.verdict, one.figure, one.limit, one.badness, one.where, one.at,
         blot.sub("▒", one.title.text), blot.sub("▒", one.clear.text))
        for one in findings
    ]  # fmt: skip


def everything_aboard() -> Setup:
    """All of the gear put somewhere, so that every aspect there is has its say."""
    places = dict(FULL.places)
    spare = next(iter(places.values())).model_copy(update={"on": None, "z_m": None})
    for i in FULL.things:
        places.setdefault(i, spare.model_copy(update={"x_m": 0.5 + 0.1 * i, "y_m": 0.2}))
    return FULL.model_copy(update={"places": places, "posture": "stands"})


def test_every_thing_renamed_to_nonsense_has_the_same_findings() -> None:
    for setup in (FULL, CLEAN, everything_aboard()):
        odd = nonsense(setup)
        was = without_names(evaluate(setup).findings, setup, odd)
        assert without_names(evaluate(odd).findings, setup, odd) == was


def test_codes_are_data_and_no_functions_name() -> None:
    for _, rule in rules():
        assert re.fullmatch(r"[a-z]+(-[a-z]+)*", rule.code)
