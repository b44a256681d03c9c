"""Where the anchor's line could be led instead."""

from collections.abc import Iterable

from neat_hull.model.findings import Finding
from neat_hull.model.said import Said
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.subject import Work


def works(ev: Evaluated, finding: Finding) -> Iterable[Work]:
    """To the bow, or as near to it as the trolley goes."""
    if finding.code not in ("anchored-by-the-stern", "cleat-at-the-beam"):
        return
    trolley, x = ev.setup.hold.trolley, ev.rigged.floating.hull.x_fwd_m
    if trolley is not None:
        x = min(x, max(trolley.aft_x_m, trolley.fwd_x_m))
    section = ev.setup.hold.model_copy(update={"at_x_m": x})
    yield Work(Said.of("Lead the line to the bow"), {"hold": section}, {"hold": {"at_x_m": x}})
