"""The boat at its worst hour, and what runs out before it is home."""

from collections.abc import Iterable

import numpy as np

from neat_hull.model.day_figures import DayFigure, DayFigures, WorstFigure
from neat_hull.model.said import HowKind, Said, plain
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.limits import RANK
from neat_hull.rig.rules import Found, against, amount, rule
from neat_hull.subjects.day import typical
from neat_hull.subjects.day.figures import cause_name, clock_text, day
from neat_hull.subjects.day.hours import JUDGED, judged_value
from neat_hull.subjects.day.setting import thing_of

PASSIVE = "At each hour this is the boat left alone: waves, wind and a tired body come on top."
COLD = "Fish that is not kept below 4 °C spoils; when in doubt, throw it out."
_SAID: dict[DayFigure, tuple[str, HowKind]] = {
    "total_kg": ("{} carried", "mass"),
    "list_deg": ("to one side by {}", "angle"),
    "trim_deg": ("bow or stern down by {}", "angle"),
    "freeboard_m": ("{} of side above the water", "length"),
    "floor_dry_m": ("floor {} above the water", "length"),
    "gm_m": ("stability (GM) {}", "length"),
}


@rule("day-worst", topic="day")
def worst_hour(ev: Evaluated) -> Iterable[Found]:
    """How it lies at its worst hour, where that is worse than as it leaves."""
    found = ev.once(day)
    if found is None:
        return
    for one in found.figures:
        levels = ev.table[JUDGED[one.figure]]
        first = levels.verdict(_judged(ev, one, one.at_first))
        if one.verdict == "fine" or RANK[one.verdict] <= RANK[first]:
            continue
        words, kind = _SAID[one.figure]
        value = abs(one.value) if one.figure in ("list_deg", "trim_deg") else one.value
        yield Found(
            one.verdict,
            Said.of(f"At {clock_text(one.h)}, {one.kind}: {words}", **{kind: value}),
            levels.reason,
            Said.of(f"It comes from {_causes(ev, one)}" if one.causes else "Change the day's plan"),
            badness=levels.beyond(_judged(ev, one, one.value)),
            thing_id=next((c.thing_id for c in one.causes if c.thing_id is not None), None),
            part=one.figure,
            figure=amount(kind, value),
            limit_key=JUDGED[one.figure],
            caution=PASSIVE,
        )


def _judged(ev: Evaluated, one: WorstFigure, value: float) -> float:
    return float(judged_value(ev, one.figure, np.array(value)))


def _causes(ev: Evaluated, one: WorstFigure) -> str:
    return ", ".join(cause_name(ev, cause) for cause in one.causes)


@rule("day-ice", topic="day")
def ice_gone(ev: Evaluated) -> Iterable[Found]:
    """Ice that cools a catch, gone well before that is home."""
    found = ev.once(day)
    if found is None:
        return
    stores = ev.setup.outing.stores
    cooled = {thing_of(one) for one in stores.values() if one.kind == "catch" and one.chilled}
    for row in found.gone:
        if stores[row.store].kind != "ice" or row.thing_id not in cooled or row.h is None:
            continue
        early = found.home_h - row.h
        if early > typical.CATCH_WITHIN_H:
            yield Found(
                "fix",
                Said.of(f"Ice gone at {clock_text(row.h)}, {{}} before home", hours=early),
                "From then on the catch warms up.",
                Said.of("More ice, thicker walls, shade on its lid, or home earlier"),
                badness=early,
                thing_id=row.thing_id,
                part=row.store,
                caution=COLD,
            )


@rule("day-water", topic="day")
def water_gone(ev: Evaluated) -> Iterable[Found]:
    """Drink gone before the end, or little left on a hot day."""
    found, stores = ev.once(day), ev.setup.outing.stores
    drinks = [] if found is None else [
        row for row in found.gone
        if (one := stores[row.store]).kind == "used" and one.drink
    ]  # fmt: skip
    if found is None or not drinks:
        return
    phases = ev.setup.outing.phases or []
    hot = any(one.air_c > typical.HOT_C for one in phases)
    left = sum(row.left_kg for row in drinks)
    last = max((row.h for row in drinks if row.h is not None), default=None)
    if left <= 0 and last is not None and last < found.end_h:
        yield Found(
            "watch",
            Said.of(f"Nothing left to drink from {clock_text(last)} on"),
            "Thirst comes with a headache, and worse decisions.",
            Said.of("Take more along, or something to filter with"),
            badness=found.end_h - last,
            thing_id=drinks[0].thing_id,
        )
    elif hot and left < typical.LITTLE_WATER_KG:
        yield Found(
            "watch",
            Said.of("A hot day ends with {} to drink", mass=left),
            "Half a litre is what a delay of an hour takes.",
            Said.of("Take more along"),
            badness=typical.LITTLE_WATER_KG - left,
            thing_id=drinks[0].thing_id,
        )


@rule("day-pack", topic="day")
def pack_dark(ev: Evaluated) -> Iterable[Found]:
    """A battery empty before another feeds in its place, or nearly so at the end."""
    found = ev.once(day)
    if found is None:
        return
    for bank, dark_h in sorted(found.dark_h.items()):
        packs = [one for one in found.packs if one.bank == bank]
        empty = next((one.empty_h for one in packs if one.empty_h is not None), None)
        if dark_h > 0 and empty is not None:
            yield Found(
                "fix",
                Said.of(f"{plain(bank)} dark from {clock_text(empty)}, for {{}}", hours=dark_h),
                "What it feeds goes out then.",
                Said.of("Swap earlier, a larger battery, or switch something off"),
                badness=dark_h,
                thing_id=packs[0].battery,
                part=bank,
            )
            continue
        last = packs[-1]
        share = last.left_wh / last.usable_wh if last.usable_wh > 0 else 1.0
        yield from against(
            ev,
            "left in a battery",
            share,
            Said.of(f"{plain(bank)}: {{}} left at the end of the day", ratio=share),
            Said.of("Take a spare, or switch something off on the way home"),
            thing_id=last.battery,
            part=bank,
        )


def _lit(ev: Evaluated) -> bool:
    """Whether a light is aboard."""
    things = (ev.thing(i) for i in ev.setup.places)
    return any(one.lamp is not None or "light" in one.serves for one in things)


@rule("day-dark", topic="day")
def dark_afloat(ev: Evaluated) -> Iterable[Found]:
    """Afloat between sunset and sunrise without a light, or home just before sunset without one."""
    found = ev.once(day)
    sun = None if found is None else found.sun
    if found is None or sun is None or _lit(ev):
        return
    if sun.lights_h > 0:
        yield Found(
            "fix",
            Said.of("{} afloat in the dark without a light", hours=sun.lights_h),
            "Without a light, other boats can't see you in the dark.",
            Said.of("A light that shows all round, or home earlier"),
            badness=sun.lights_h,
            part="dark",
        )
    elif sun.set_h is not None:
        spare = sun.set_h - found.home_h
        yield from against(
            ev,
            "home before dark",
            spare,
            Said.of("Home {} before sunset, and no light aboard", hours=spare),
            Said.of("A light, or home earlier"),
            part="late",
        )


@rule("day-cockpit", topic="day")
def cockpit_wet(ev: Evaluated) -> Iterable[Found]:
    """Water in the cockpit, and nothing aboard to get it out with."""
    found = ev.once(day)
    if found is None or found.cockpit_kg <= typical.COCKPIT_KG:
        return
    if not any(ev.thing(i).bails is not None for i in ev.setup.places):
        yield Found(
            "fix",
            Said.of("{} of water in the cockpit by the end", mass=found.cockpit_kg),
            "It runs to the low side, and takes the boat with it.",
            Said.of("A pump or a sponge aboard, or a skirt"),
            badness=found.cockpit_kg,
        )


@rule("day-long", topic="day")
def long_phase(ev: Evaluated) -> Iterable[Found]:
    """A long phase with nothing to eat or drink planned."""
    found: DayFigures | None = ev.once(day)
    if found is None or any(one.kind == "used" for one in ev.setup.outing.stores.values()):
        return
    long = max((one.hours for one in ev.setup.outing.phases or []), default=0.0)
    if long > typical.LONG_H:
        yield Found(
            "watch",
            Said.of("{} at a stretch, with no food or drink planned", hours=long),
            "Hungry and thirsty, you decide badly.",
            Said.of("Put water and food into the day's plan"),
            badness=long - typical.LONG_H,
        )


RULES = (
    worst_hour, ice_gone, water_gone, pack_dark, dark_afloat, cockpit_wet, long_phase,
)  # fmt: skip
