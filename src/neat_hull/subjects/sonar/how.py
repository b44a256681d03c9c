"""How the figures of a transducer came about."""

from neat_hull.errors import InputError
from neat_hull.model.how import How, HowRow
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.sonar.figures import sonar


def cone(ev: Evaluated) -> How:
    """What of the bottom is seen."""
    found = ev.once(sonar)
    if found is None:
        raise InputError("figure", "cone", "there is no transducer aboard")
    one = found.transducers[0]
    rows = [
        HowRow(label="Water depth", value=one.bottom_m, kind="length"),
        HowRow(label="Face under the water", value=one.depth_m, kind="length"),
        HowRow(label="Cone, whole angle θ", value=one.cone_deg, kind="angle"),
        HowRow(label="Across on the bottom", value=one.bottom_wide_m, kind="length"),
    ]
    if one.ball_from_m is not None:
        label = "Downrigger's ball is in it from, under the face"
        rows.append(HowRow(label=label, value=one.ball_from_m, kind="length"))
    return How(
        title=f"What {ev.name(one.thing_id)} sees of the bottom",
        plain="A cone widens with the depth; what lies outside it does not show.",
        formula="2·d·tan(θ/2)",
        rows=rows,
        sure="The angle is where a maker's figure puts the edge; strong echoes show from outside.",
    )


HOW = {"cone": cone}
