"""Whether the verdicts rest on weights that nobody has taken."""

from collections.abc import Iterable

from neat_hull.analysis.findings.case import Case, Found, amount
from neat_hull.analysis.limits import RANK, Levels
from neat_hull.model.figures import Said, Verdict


def guesses_decide(case: Case) -> Iterable[Found]:
    """A verdict would be another within the ± that unweighed things leave: weigh these first."""
    weight, afloat, bands = case.figures.weight, case.figures.afloat, case.figures.bands
    if afloat is None or bands is None:
        return
    names = [one for one in bands.weigh_first if one.share > 0]
    if not names:
        return
    asked = [
        ("trim", case.table["trim"], abs(afloat.trim_deg), bands.trim_by_weights_deg),
        ("list", case.table["list"], abs(afloat.heel_deg), bands.list_by_weights_deg),
        ("GM", case.table["gm"], afloat.gm_m, bands.gm_by_weights_m),
    ]
    if weight.limit_kg:
        asked.append(("weight", case.table["share"], weight.counted_kg / weight.limit_kg,
                      bands.carried_kg / weight.limit_kg))  # fmt: skip
    for what, levels, value, band in asked:
        worst = _worst(levels, value, band)
        if RANK[worst] > max(RANK[levels.verdict(value)], RANK["watch"]):
            first = ", ".join(one.name for one in names)
            yield Found(
                "watch", Said(text=f"Unweighed things decide the verdict on {what}"),
                "Within what the guesses leave open it could be worse than it is shown.",
                Said(text=f"weigh these first: {first}"), badness=band, part=what,
                thing_id=names[0].thing_id, where="The whole boat",
                figure=amount(levels.kind, value), band=band,
                limit=amount(levels.kind, levels.crossed(
                    value + (-band if levels.rising else band))),
            )  # fmt: skip


def _worst(levels: Levels, value: float, band: float) -> Verdict:
    return levels.verdict(value - band if levels.rising else value + band)


RULES = (guesses_decide,)
