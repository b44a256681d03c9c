"""All that the log teaches of a setup's gear."""

from collections.abc import Iterator

from neat_hull.model.log import Log
from neat_hull.model.log_figures import DrawRow, DrawTrip, Learned, MeasuredDraw
from neat_hull.model.power import Draw
from neat_hull.model.power_figures import PowerFigures
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.log.care import care
from neat_hull.subjects.log.draw import differs, estimate
from neat_hull.subjects.log.learned import proved, troubles, unused, uses
from neat_hull.subjects.log.typical import ENOUGH
from neat_hull.subjects.power.figures import power


def learned(ev: Evaluated, log: Log, boat_id: int | None, today: str) -> Learned:
    """Of the trips of all its owner's boats; places are proved on this one (boat_id) alone."""
    return Learned(
        trips=len(log.trips),
        unused=unused(ev, log),
        uses=uses(ev, log),
        troubles=troubles(ev, log),
        draws=list(draws(ev, log)),
        proved=proved(ev, log, boat_id),
        care=care(ev, log, boat_id, today),
    )


def draws(ev: Evaluated, log: Log) -> Iterator[DrawRow]:
    """By battery, of those that some trip told of."""
    if not log.packs:
        return
    figures = ev.once(power)
    if figures is None:
        return
    for battery in figures.batteries:
        rows, usable = log.packs.get(battery.thing_id), battery.usable_wh
        if not rows or usable <= 0:
            continue
        trips = [
            DrawTrip(
                trip_id=one.trip_id,
                on_day=log.trips[one.trip_id].on_day,
                hours=log.trips[one.trip_id].hours,
                energy_wh=usable
                * (one.start_share - (0.0 if one.went_dark else one.left_share or 0.0)),
                dark=bool(one.went_dark),
            )
            for one in rows
            if one.left_share is not None or one.went_dark
        ]
        counted = [one for one in trips if not one.dark]
        assumed = _assumed_w(figures, battery.thing_id)
        found = estimate(
            [one.hours for one in counted], [one.energy_wh for one in counted], usable, assumed
        )
        tells = found is not None and differs(len(counted), found, assumed)
        yield DrawRow(
            thing_id=battery.thing_id,
            n=len(counted),
            enough=len(counted) >= ENOUGH,
            assumed_w=assumed,
            measured_w=found.draw_w if found else None,
            sd_w=found.sd_w if found else None,
            low_w=found.low_w if found else None,
            high_w=found.high_w if found else None,
            differs=tells,
            loads=[]
            if found is None or not assumed or len(counted) < ENOUGH
            else list(_measured(ev, battery.thing_id, found.draw_w / assumed)),
            trips=trips,
        )


def _assumed_w(figures: PowerFigures, thing_id: int) -> float | None:
    """What the electrics hold of the mean draw on a battery: its share of its bank's."""
    bank = next(one for one in figures.banks if thing_id in one.batteries)
    if bank.used_wh is None or not figures.day_h or not bank.usable_wh:
        return None
    own = next(one.usable_wh for one in figures.batteries if one.thing_id == thing_id)
    return bank.used_wh * own / bank.usable_wh / figures.day_h


def _measured(ev: Evaluated, thing_id: int, times: float) -> Iterator[MeasuredDraw]:
    """All that it feeds, with their draws as they would be."""
    for load in _fed_by(ev, thing_id):
        draw = ev.thing(load).draw
        if draw is not None:
            yield MeasuredDraw(thing_id=load, draw=_times(draw, times))


def _times(draw: Draw, times: float) -> Draw:
    of = {
        "amps": None if draw.amps is None else draw.amps * times,
        "watts": None if draw.watts is None else draw.watts * times,
        "ohms": None if draw.ohms is None else draw.ohms / times,
        "evidence": "measured",
    }
    rounded = {name: round(one, 4) if isinstance(one, float) else one for name, one in of.items()}
    return draw.model_copy(update=rounded)


def _fed_by(ev: Evaluated, thing_id: int) -> list[int]:
    """What hangs on a battery, or on its bank, by the wires."""
    plan = ev.setup.power
    bank = next((one for one in plan.banks.values() if thing_id in one.batteries), None)
    starts = {thing_id} if bank is None else {*bank.batteries, *([bank.bus] if bank.bus else [])}
    found: list[int] = []
    while starts:
        ends = {one.end for one in plan.conductors.values() if one.start in starts}
        starts = ends - set(found)
        found += sorted(starts)
    return found
