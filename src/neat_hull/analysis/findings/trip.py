"""Two trips on one day."""

from collections.abc import Iterable

from neat_hull.analysis.findings.case import Case, Found
from neat_hull.model.figures import Said


def in_two_setups(case: Case) -> Iterable[Found]:
    """The same single thing is aboard in another setup of the same day."""
    for thing_id, other in case.elsewhere:
        if thing_id in case.rows:
            yield Found(
                "watch", Said(text=f"{case.name(thing_id)} goes with {other!r} that day too"),
                "There is one of it.", Said(text="leave it out of one of the two, or change a day"),
                badness=1.0, thing_id=thing_id, part=other[:40],
            )  # fmt: skip


RULES = (in_two_setups,)
