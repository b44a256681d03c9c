"""What voltage is left at each device, and what batteries can give."""

from collections.abc import Iterable

from neat_hull.model.cautions import NO_WAY_HOME, WIRING
from neat_hull.model.said import Said, plain
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rules import Found, against, amount, past, rule
from neat_hull.subjects.power.figures import drop_limit, lived, power, standing
from neat_hull.subjects.power.rows import Row
from neat_hull.subjects.power.rules.common import conductors, wire_words
from neat_hull.subjects.power.sizing import gauge_for
from neat_hull.subjects.power.wiring import way_back


@rule("power-dark", topic="power")
def dark(ev: Evaluated) -> Iterable[Found]:
    """No voltage at which all that is on could be fed."""
    stands, day = ev.once(standing), ev.once(lived)
    names = list(stands.dark) if stands is not None else []
    if day is not None and day.trouble is not None:
        names.append("the start of the day")
    for name in names:
        yield Found(
            "stop",
            Said.of(f"Electrics at {plain(name)}: the battery cannot supply it"),
            "No voltage would give everything that is on what it needs.",
            Said.of("Take a larger battery, thicker wire, or switch something off"),
            badness=1.0,
            part=name[:40],
        )


@rule("power-browns-out", topic="power", many="{} items: go dark when much is on")
def browns_out(ev: Evaluated) -> Iterable[Found]:
    """Less voltage at a device than it works at, at a moment or in the course of the day."""
    figures, day = ev.once(power), ev.once(lived)
    if figures is None:
        return
    at_day = (
        {row["on"]: row for row in day.report.get("findings", ()) if row["code"] == "brown_out"}
        if day
        else {}
    )
    for load in figures.loads:
        draw = ev.thing(load.thing_id).draw
        least = None if draw is None else draw.min_v
        if least is None:
            continue
        low = min((one for one in load.at if one.low), key=lambda one: one.volts, default=None)
        row = at_day.get(str(load.thing_id))
        if low is None and row is None:
            continue
        volts = low.volts if low is not None else row["value"]  # type: ignore[index]
        when = (
            f"when {plain(low.moment)}"
            if low is not None and low.moment.endswith(" starts")
            else (
                "with all on"
                if low is not None and low.moment == "All on"
                else f"at {plain(low.moment)}"
                if low is not None
                else "in the course of the day"
            )
        )
        yield Found(
            "fix",
            Said.of(f"{ev.name(load.thing_id)}: goes dark {when}"),
            "It restarts and loses its track just when you need it.",
            Said.of("Give it a battery of its own, a thicker wire, or a larger battery"),
            badness=least - volts,
            thing_id=load.thing_id,
            figure=amount("voltage", volts),
            limit=amount("voltage", least),
            caution=NO_WAY_HOME,
        )


@rule("power-drop", topic="power", many="{} items: too much voltage lost on the way")
def drop(ev: Evaluated) -> Iterable[Found]:
    """Voltage lost on the way at full draw, out and back. Small-craft practice: 3 % and 10 %."""
    figures = ev.once(power)
    if figures is None:
        return
    wires = ev.once(conductors)
    for load in figures.loads:
        key = drop_limit(ev.thing(load.thing_id).draw)
        if not past(ev, key, load.drop_share):
            continue
        way = [wires[k] for k in way_back(ev, load.thing_id, wires)]
        worst = max(way, key=lambda one: one.drop_v, default=None)
        nominal = load.drop_v / load.drop_share
        spare = ev.table[key].fine * nominal - (load.drop_v - (worst.drop_v if worst else 0.0))
        awg = None if worst is None else gauge_for(ev, worst, spare)
        clear = Said.of("Shorten its way, or give it a battery of its own nearby")
        if worst is not None and awg is not None:
            clear = Said.of(f"Take AWG {awg} for the {wire_words(ev, worst.key)}, or shorten it")
        yield from against(
            ev,
            key,
            load.drop_share,
            Said.of(
                f"{ev.name(load.thing_id)}: {{}} of the voltage lost on the way",
                ratio=load.drop_share,
            ),
            clear,
            thing_id=load.thing_id,
            caution=WIRING,
        )


@rule("power-battery-over", topic="power")
def battery_over(ev: Evaluated) -> Iterable[Found]:
    """More current than the battery gives, or its voltage falls to where it switches itself off."""
    stands, day = ev.once(standing), ev.once(lived)
    rows = [] if stands is None else list(stands.findings)
    rows += [] if day is None else day.report.get("findings", [])
    worst: dict[tuple[str, str], Row] = {}
    for row in rows:
        if row["code"] in ("battery_over", "cut_off") and row["value"] is not None:
            if row["code"] == "cut_off" and row["limit"] is None:
                continue  # of the day: it is told as running out
            known = worst.get((row["code"], row["on"]))
            further = (
                known is None
                or (row["value"] - known["value"]) * (1 if row["code"] == "battery_over" else -1)
                > 0
            )
            if further:
                worst[row["code"], row["on"]] = row
    for (code, on), row in worst.items():
        over = code == "battery_over"
        yield Found(
            "fix",
            Said.of(
                f"{ev.name(int(on))}: more asked of it than it gives"
                if over
                else f"{ev.name(int(on))}: switches itself off under load"
            ),
            "Its electronics switch off, and everything on it goes dark at once.",
            Said.of("Share the load between two batteries, or take one that gives more"),
            badness=abs(row["value"] - row["limit"]),
            thing_id=int(on),
            part=code,
            figure=amount("current" if over else "voltage", row["value"]),
            limit=amount("current" if over else "voltage", row["limit"]),
            caution=WIRING,
        )


RULES = (dark, browns_out, drop, battery_over)
