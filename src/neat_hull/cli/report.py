"""Figures as lines of text."""

from collections.abc import Iterator

from neat_hull.files.said_text import list_said, said, trim_said
from neat_hull.model.figures import Figures

_MARK = {"fine": "✓", "watch": "●", "fix": "▲", "stop": "■"}


def lines(figures: Figures) -> Iterator[str]:
    """The live figures of a boat that floats, with verdicts."""
    weight, afloat, bands = figures.weight, figures.afloat, figures.bands
    assert afloat is not None, "callers have made sure that it floats"
    assert bands is not None, "a boat that floats has bands"
    verdict = weight.verdict or "fine"
    rated = "no rating known" if weight.rated_kg is None else f"rated {weight.rated_kg:.0f} kg"
    yield f"{_MARK[verdict]} {weight.carried_kg:.1f} ± {bands.carried_kg:.1f} kg carried, {rated}"
    yield f"{_MARK[afloat.trim_verdict]} {said(trim_said(afloat.trim_deg))}"
    yield f"{_MARK[afloat.heel_verdict]} {said(list_said(afloat.heel_deg))}"
    gm = f"{100 * afloat.gm_m:.1f} ± {100 * bands.gm_m:.1f} cm"
    yield f"{_MARK[afloat.gm_verdict]} GM {gm}, hull: {bands.hull}"
    for well in afloat.wells:
        over = f"{100 * well.floor_over_water_m:.1f} cm above the water"
        yield f"{_MARK[well.verdict]} {well.name} floor {over}"
    zones = [one.zone for one in figures.aboard]
    far = zones.count("leave") + zones.count("ashore")
    yield f"  within reach {zones.count('hand')}, not from the seat {far} of {len(zones)}"
    where = ""
    for finding in sorted(figures.findings, key=lambda one: one.accepted is not None):
        place = "Accepted" if finding.accepted is not None else "Findings"
        if place != where:
            yield f"{place}:"
            where = place
        yield f"{_MARK[finding.verdict]} {said(finding.title)} [{finding.where}]"
        if finding.accepted is not None:
            yield f"    {finding.accepted_on}: {finding.accepted}"
        else:
            yield f"    {finding.why}"
            yield f"    → {said(finding.clear)}"
