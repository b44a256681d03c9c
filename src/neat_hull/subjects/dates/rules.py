"""What has run out by the day of the trip, or does soon after."""

from collections.abc import Iterable
from datetime import date

from neat_hull.model.said import Said
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rules import Found, amount, rule
from neat_hull.subjects.dates.due import days_left, stops

LAW = "What is printed on it, its maker's book and the law go before this list."


@rule("out-of-date", topic="basics", many="{} items are out of date, or soon")
def out_of_date(ev: Evaluated) -> Iterable[Found]:
    """What is aboard and has run out by the day of the trip, or does within a month. Alone of its
    service, a flare or an inflator stops the trip."""
    day = ev.setup.day or ev.beside.today
    if day is None:
        return
    on, levels = date.fromisoformat(day), ev.table["days left"]
    here = [
        one for one in ev.beside.dates if one.thing_id is None or one.thing_id in ev.setup.places
    ]
    for one in here:
        left = days_left(one, on)
        verdict = "fine" if left is None else levels.verdict(left)
        if left is None or verdict == "fine":
            continue
        name = one.kind if one.thing_id is None else ev.name(one.thing_id)
        what = "" if one.thing_id is None else f", {one.kind}"
        alone = stops(one, here, on)
        if left < 0:
            title = Said.of(f"{name}{what}: out of date for {{}} days", count=-left)
        else:
            title = Said.of(f"{name}{what}: due in {{}} days", count=left)
        yield Found(
            "stop" if alone else verdict,
            title,
            levels.reason,
            Said.of("Replace it, or have it serviced; then change its date"),
            badness=levels.beyond(left),
            thing_id=one.thing_id,
            part=one.uid[:36],
            figure=amount("count", left),
            limit=amount("count", levels.crossed(left)),
            limit_key="days left",
            caution=LAW,
        )


RULES = (out_of_date,)
