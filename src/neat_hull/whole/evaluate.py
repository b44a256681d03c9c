"""Everything live about a setup, in one answer."""

from collections.abc import Collection
from typing import Any

from neat_hull.model.figures import Figures, QuickFigures
from neat_hull.model.setup import Setup
from neat_hull.rig.beside import ALONE, Beside
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.explaining import at_rest_or_raise
from neat_hull.whole import registry
from neat_hull.whole.cards import cards
from neat_hull.whole.judge import judge


def evaluated(
    setup: Setup,
    beside: Beside = ALONE,
    before: Evaluated | None = None,
    near: bool = False,
) -> Evaluated:
    """A setup ready to be asked for its figures. Raises InputErrors for measures that mean nothing.

    `beside` is what it is judged with that is not its own. `before` is an evaluation of the setup
    as it was, to take from what has not changed; `near` as in `Evaluated`.
    """
    return Evaluated(setup, registry.limits_for(setup.judging), beside, before, near)


def live(ev: Evaluated, judged: bool = True) -> Figures:
    """All that is live about it: each subject's part, and without `judged` no findings.

    A boat that sinks or rolls over is an answer, no error.
    """
    try:
        parts = _parts(ev)
        findings = ev.once(judge) if judged else []
        return Figures(**parts, findings=findings, cards=cards(ev, findings))
    finally:
        ev.forget_before()  # whatever comes of it, or each would hold on to all before it


def quick(ev: Evaluated) -> QuickFigures:
    """What is told of it while something is carried about; the same as `live` has of it."""
    try:
        return QuickFigures(**_parts(ev, QuickFigures.model_fields))
    finally:
        ev.forget_before()


def _parts(ev: Evaluated, only: Collection[str] | None = None) -> dict[str, Any]:
    """Each subject's figures, by key: all of them, or those alone."""
    return {
        key: ev.once(figure)
        for subject in registry.SUBJECTS
        for key, figure in subject.live.items()
        if only is None or key in only
    }


def evaluate(setup: Setup, beside: Beside = ALONE, judged: bool = True) -> Figures:
    """Weigh, float, reach and judge, from nothing."""
    return live(evaluated(setup, beside), judged)


def require_afloat(setup: Setup) -> Evaluated:
    """Evaluate, and raise DoesNotFloat or NoBalance where the boat cannot carry what is aboard."""
    ev = evaluated(setup)
    at_rest_or_raise(ev)
    return ev
