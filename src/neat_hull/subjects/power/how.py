"""How the figures of the electrics came about, as ladders from the battery's post to the device."""

from neat_hull.errors import InputError
from neat_hull.model.how import How, HowRow
from neat_hull.model.power_figures import BankFigure, LoadFigure, PowerFigures
from neat_hull.model.said import HowKind
from neat_hull.physics.circuits.tables import BLOCK_V
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.power.chart import losses, told
from neat_hull.subjects.power.conductors import FUSE_ROOM
from neat_hull.subjects.power.figures import Standing, drop_limit, lived, power, standing
from neat_hull.subjects.power.moments import LONGEST_HOLD_H
from neat_hull.subjects.power.wiring import way_back, wired

_SURE = (
    "Typical values stand in for what you have not measured; slow polarisation is left out, so a "
    "sag that lasts minutes is a little larger. Makers' labels, laws and standards win."
)


def _row(label: str, value: float, kind: HowKind) -> HowRow:
    return HowRow(label=label, value=value, kind=kind)


def _figures(ev: Evaluated) -> tuple[PowerFigures, Standing]:
    figures, stands = ev.once(power), ev.once(standing)
    if figures is None or stands is None or not figures.banks:
        raise InputError("figure", "power", "there is no battery aboard")
    return figures, stands


def _worst(ev: Evaluated, figures: PowerFigures) -> LoadFigure:
    """The load that is told of: what is critical first, then what loses most on the way."""
    if not figures.loads:
        raise InputError("figure", "power", "nothing aboard is fed by a battery yet")

    def rank(one: LoadFigure) -> tuple[bool, float]:
        draw = ev.thing(one.thing_id).draw
        return draw is not None and draw.critical, one.drop_share

    return max(figures.loads, key=rank)


def left(ev: Evaluated) -> How:
    """What is left at the day's end, by where the rest went."""
    figures, _ = _figures(ev)
    bank = min(figures.banks, key=lambda one: 2.0 if one.left_share is None else one.left_share)
    rows = _capacity(ev, figures, bank)
    day = told(ev)
    report = ev.once(lived)
    if day is not None and report is not None:
        for n, load in enumerate(day.made.case.loads):
            energy = day.lived.load_days[n].energy_wh
            if energy > 0:
                rows.append(_row(ev.name(int(load.name)), energy, "work"))
        for one in losses(ev, day):
            rows.append(_row(f"{one.bank}: wires and fuses", one.wires_wh, "work"))
            rows.append(_row(f"{one.bank}: inside the battery", one.inside_wh, "work"))
    share = bank.left_share or 0.0
    rows.append(_row("Left of what can be used", share, "ratio"))
    return How(
        title="What is left at the day's end",
        plain="What the battery can give, less what everything that was on took, and what wires, "
        "fuses and the battery itself turned into heat.",
        formula="ds/dt = −I/C · max(1, I/I₁)^(k−1);  left = Σ C·(s − floor) ÷ Σ C·usable",
        rows=rows,
        sure=_SURE,
        band=_row("± of the hours", bank.band_share * _hours(figures, bank), "hours"),
    )


def _hours(figures: PowerFigures, bank: BankFigure) -> float:
    if bank.left_share is None or bank.left_share >= 1:
        return LONGEST_HOLD_H
    return figures.day_h / (1 - bank.left_share)


def _capacity(ev: Evaluated, figures: PowerFigures, bank: BankFigure) -> list[HowRow]:
    rows = []
    for one in figures.batteries:
        if one.thing_id not in bank.batteries:
            continue
        battery = ev.thing(one.thing_id).battery
        assert battery is not None, "figures tell of batteries"
        name = ev.name(one.thing_id)
        rows += [
            _row(f"{name}: capacity, cold and aged (C)", one.capacity_ah, "charge"),
            _row(f"{name}: health", battery.health_share, "ratio"),
            _row(f"{name}: to use", one.usable_wh, "work"),
        ]
    return rows


def volts(ev: Evaluated) -> How:
    """The voltage at a device at the worst moment: a ladder from the battery's source to it."""
    figures, stands = _figures(ev)
    load = _worst(ev, figures)
    if not load.at:
        raise InputError("figure", "power", "there is no moment at which it is on")
    worst = min(load.at, key=lambda one: one.volts)
    moment = next(row for row in stands.moments if row["name"] == worst.moment)
    rows = []
    for n, one in enumerate(stands.made.case.batteries):
        battery, row = stands.made.batteries[n], moment["batteries"][n]
        if abs(row["a"]) < 1e-9:
            continue
        name = ev.name(int(one.name))
        soc = ev.setup.power.moment_charge
        rows += [
            _row(f"{name}: source E at that charge", battery.source_v(soc), "voltage"),
            _row(f"{name}: gives", row["a"], "current"),
            _row(f"{name}: own resistance", battery.inner_ohm(soc), "resistance"),
            _row(f"{name}: at its posts", row["v"], "voltage"),
        ]
    for key in reversed(list(way_back(ev, load.thing_id, ev.once(wired).wires))):
        figure = next(one for one in figures.conductors if one.key == key)
        end = ev.name(ev.setup.power.conductors[key].end)
        rows.append(_row(f"Wire to {end}, fuse and joints", figure.resistance_ohm, "resistance"))
    rows.append(_row(f"{ev.name(load.thing_id)}: draws", worst.amps, "current"))
    rows.append(_row(f"{ev.name(load.thing_id)}: voltage", worst.volts, "voltage"))
    draw = ev.thing(load.thing_id).draw
    if draw is not None and draw.min_v is not None:
        rows.append(_row("Works from", draw.min_v, "voltage"))
    return How(
        title=f"Voltage at {ev.name(load.thing_id)}: {worst.moment}",
        plain="Everything that is on at once pulls the battery and its wires down together; what "
        "is left at the device is what it has to work with.",
        formula="V = E(s) − I·R − Σ I·r on the way, all loads solved together",
        rows=rows,
        sure=_SURE,
    )


def drop(ev: Evaluated) -> How:
    """What the wires to a device lose at full draw, piece by piece."""
    figures, _ = _figures(ev)
    load = _worst(ev, figures)
    rows = list[HowRow]()
    for wire in way_back(ev, load.thing_id, ev.once(wired).wires):
        figure = next(one for one in figures.conductors if one.key == wire)
        name = ev.name(ev.setup.power.conductors[wire].end)
        rows += [
            _row(f"Wire to {name}: length with slack", figure.length_m, "length"),
            _row(f"Wire to {name}: loop, fuse and joints", figure.resistance_ohm, "resistance"),
            _row(f"Wire to {name}: at full draw", figure.full_a, "current"),
            _row(f"Wire to {name}: lost", figure.drop_v, "voltage"),
        ]
    key = drop_limit(ev.thing(load.thing_id).draw)
    rows.append(_row(f"Of {BLOCK_V:g} V", load.drop_share, "ratio"))
    rows.append(_row("Limit", ev.table[key].fine, "ratio"))
    return How(
        title=f"Voltage lost on the way to {ev.name(load.thing_id)}",
        plain="The way out and back counts, with every joint and the fuse. " + ev.table[key].reason,
        formula="r = ρ·2·length ÷ area + joints;  lost = Σ I·r",
        rows=rows,
        sure="Copper by IEC 60028, gauges by ASTM B258; joints and fuse are typical values.",
    )


def fuse(ev: Evaluated) -> How:
    """What keeps the wire that is nearest to its limit."""
    figures, _ = _figures(ev)
    fed = [one for one in figures.conductors if one.fed and one.ampacity_a > 0]
    if not fed:
        raise InputError("figure", "power", "no wire hangs on a battery yet")
    one = max(fed, key=lambda c: (c.guard_fuse_a or 0.0) / c.ampacity_a)
    wire = ev.setup.power.conductors[one.key]
    rows = [
        _row("At full draw, all that hangs on it", one.full_a, "current"),
        _row("Fuse at least", FUSE_ROOM * one.full_a, "current"),
        _row("Wire carries (usual)", one.ampacity_a, "current"),
    ]
    if one.guard_fuse_a is not None:
        rows.insert(0, _row("Fuse that keeps it", one.guard_fuse_a, "current"))
        rows.append(_row("Wire before the fuse", wire.fuse_at_m, "length"))
    return How(
        title=f"Fuse of the wire to {ev.name(wire.end)}",
        plain="A fuse keeps the wire, not the device: no larger than the wire carries, and a "
        "quarter above what runs all day.",
        formula="1.25·I ≤ fuse ≤ ampacity × bundle × heat",
        rows=rows,
        sure="Usual values for copper on small craft, not yet held against a bought standard.",
    )


def charging(ev: Evaluated) -> How:
    """How long the first charger takes, in its two parts."""
    _figures(ev)
    day = ev.once(lived)
    rows = list[HowRow]()
    for row in day.report.get("charging", ()) if day is not None else ():
        name = ev.name(int(row["battery"]))
        rows += [
            _row(f"{name}: {row['name']} gives", row["amps"], "current"),
            _row(f"{name}: until full", row["hours"], "hours"),
        ]
    if not rows:
        raise InputError("figure", "power", "no charger is named yet")
    return How(
        title="On the charger",
        plain="At full current until the bend, then tapering off to the top.",
        formula="hours = (max(0, b − s) + (1 − max(s, b))/q)·C ÷ (η·a)",
        rows=rows,
        sure=_SURE,
    )


HOW = {"power": left, "volts": volts, "drop": drop, "fuse": fuse, "charging": charging}
