"""Whether the batteries last the day and the way home, and how they are kept and charged."""

from collections.abc import Iterable

import numpy as np

from neat_hull.model.cautions import LITHIUM, NO_WAY_HOME
from neat_hull.model.said import Said, plain
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rules import Found, against, amount, past, rule
from neat_hull.rig.settling import at_rest
from neat_hull.subjects.power.figures import lived, power, standing
from neat_hull.subjects.power.wiring import wired

_REST_C = 0.2  # current between packs at rest, of their capacity in Ah


@rule("power-runs-out", topic="power")
def runs_out(ev: Evaluated) -> Iterable[Found]:
    """A battery is empty or cut off before the day ends, with what it feeds."""
    figures = ev.once(power)
    for bank in figures.banks if figures is not None else ():
        off = (
            [b.off_h for b in figures.batteries if b.thing_id in bank.batteries] if figures else []
        )
        at = (
            bank.down_h
            if bank.down_h is not None
            else min((h for h in off if h is not None), default=None)
        )
        if at is None:
            continue
        after = at - ev.setup.power.start_h
        yield Found(
            "fix",
            Said.of(f"{plain(bank.name)}: empty after {{}}", hours=after),
            "Lead dies of being emptied; lithium switches itself off, and all is dark.",
            Said.of("Take a larger battery, or use less"),
            badness=figures.day_h - after if figures else 1.0,
            thing_id=bank.batteries[0],
            figure=amount("hours", after),
            band=bank.band_share * after,
            limit=amount("hours", figures.day_h if figures else 0.0),
            caution=NO_WAY_HOME,
        )


@rule("power-no-way-home", topic="power", under="power-runs-out")
def no_way_home(ev: Evaluated) -> Iterable[Found]:
    """What is needed for the way home cannot be kept on for so long at the day's end."""
    figures = ev.once(power)
    if figures is None or figures.home_h is None or figures.home_asked_h is None:
        return
    if figures.home_h < figures.home_asked_h:
        yield Found(
            "fix",
            Said.of("Way home: power for {} at the day's end", hours=figures.home_h),
            "The day's end is when wind and dark come.",
            Said.of(
                "Keep {} more, or take a larger battery",
                hours=figures.home_asked_h - figures.home_h,
            ),
            badness=figures.home_asked_h - figures.home_h,
            figure=amount("hours", figures.home_h),
            limit=amount("hours", figures.home_asked_h),
            caution=NO_WAY_HOME,
        )


@rule("power-below-usable", topic="power", under="power-runs-out")
def below_usable(ev: Evaluated) -> Iterable[Found]:
    """More is taken from a battery than its owner means to use."""
    day = ev.once(lived)
    for row in day.report.get("findings", ()) if day is not None else ():
        if row["code"] == "under_floor":
            i = int(row["on"])
            yield Found(
                "watch",
                Said.of(f"{ev.name(i)}: down to {{}} of its charge", ratio=row["value"]),
                "A battery that is emptied this far each time does not last.",
                Said.of("Take a larger battery, or use less"),
                badness=row["limit"] - row["value"],
                thing_id=i,
                figure=amount("ratio", row["value"]),
                limit=amount("ratio", row["limit"]),
            )


@rule("power-mixed", topic="power")
def mixed(ev: Evaluated) -> Iterable[Found]:
    """Unlike batteries joined: kinds, or more current between them at rest than a fifth of their
    capacity in an hour."""
    stands = ev.once(standing)
    for plan in stands.made.banks if stands is not None else ():
        if stands is None or len(plan.batteries) < 2:
            continue
        ids = [int(stands.made.case.batteries[i].name) for i in plan.batteries]
        kinds = {stands.made.case.batteries[i].chemistry for i in plan.batteries}
        bank = stands.made.bank(plan, [one.start_soc for one in stands.made.case.batteries])
        solved = bank.solved([], bank.soc)
        between = max((abs(a) for a in solved.battery_a), default=0.0) if solved else 0.0
        least = min(stands.made.batteries[i].capacity_ah for i in plan.batteries)
        if len(kinds) > 1 or between > _REST_C * least:
            yield Found(
                "watch",
                Said.of(f"{ev.name(ids[0])} and {ev.name(ids[1])}: joined, but not alike"),
                "One charges the other without a charger between them.",
                Said.of("Join batteries of one kind, age and charge, or keep them apart"),
                badness=max(1.0, between),
                thing_id=ids[0],
                other_id=ids[1],
                figure=amount("current", between),
                limit=amount("current", _REST_C * least),
                caution=LITHIUM,
            )


@rule("power-charger", topic="power")
def charger(ev: Evaluated) -> Iterable[Found]:
    """A charger of another kind, too strong, or lithium below freezing."""
    day = ev.once(lived)
    chargers = ev.setup.power.chargers
    words = {
        "charger_chemistry": ("made for another kind of battery", "Take one made for this kind"),
        "charger_cold": ("lithium below freezing", "Let the battery warm up first"),
        "charger_large": ("more than the battery takes", "Take a smaller charger"),
    }
    for row in day.report.get("findings", ()) if day is not None else ():
        if row["code"] in words:
            what, clear = words[row["code"]]
            yield Found(
                "fix",
                Said.of(f"Charger {plain(row['on'])}: {what}"),
                "It kills cells, or worse.",
                Said.of(clear),
                badness=1.0,
                thing_id=chargers[row["on"]].battery,
                part=f"{row['code']} {row['on']}"[:60],
                caution=LITHIUM,
            )


@rule("power-charges-long", topic="power")
def charges_long(ev: Evaluated) -> Iterable[Found]:
    """Not full again by the morning. Ours: a night is ten hours."""
    day = ev.once(lived)
    for row in day.report.get("charging", ()) if day is not None else ():
        if past(ev, "charging", row["hours"]):
            i = int(row["battery"])
            yield from against(
                ev,
                "charging",
                row["hours"],
                Said.of(f"{ev.name(i)}: {{}} on the charger", hours=row["hours"]),
                Said.of("Take a larger charger, as far as the battery's label lets you"),
                thing_id=i,
                part=row["name"][:40],
                caution=LITHIUM,
            )


@rule("power-battery-kept", topic="power", many="{} batteries: wet, loose, bare or low")
def battery_kept(ev: Evaluated) -> Iterable[Found]:
    """A battery that can get wet, slides in a capsize, is bare, or lies under the water line."""
    rest = at_rest(ev)
    for i in ev.once(wired).batteries:
        wrong = []
        covered = ev.rigged.placing.covered(i)
        if ev.thing(i).fixing.by == "loose":
            wrong.append("loose")
        battery = ev.thing(i).battery
        if battery is not None and battery.posts_bare:
            wrong.append("posts bare")
        stowed = ev.rigged.by_id[i]
        if not covered and rest is not None:
            x, y, z = stowed.stand.x_m, stowed.stand.y_m, stowed.stand.base_z_m
            over = float(rest.settled.rest.height_over_water_m(np.array([[x, y, z]]))[0, 0])
            if over < 0:
                wrong.append("below the waterline outside the hull")
        if wrong:
            yield Found(
                "watch",
                Said.of(f"{ev.name(i)}: {', '.join(wrong)}"),
                "Salt water eats it and makes gas and heat; loose, it slides in a capsize.",
                Said.of("Strap it into a dry box, its posts covered"),
                badness=ev.thing(i).mass_now_kg,
                thing_id=i,
            )


RULES = (runs_out, no_way_home, below_usable, mixed, charger, charges_long, battery_kept)
