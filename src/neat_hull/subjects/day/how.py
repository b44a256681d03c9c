"""How the figures of a day came about."""

from neat_hull.errors import InputError
from neat_hull.model.day_case import Ice
from neat_hull.model.day_figures import DayFigures
from neat_hull.model.how import How, HowRow
from neat_hull.model.said import HowKind
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.explaining import at_rest_or_raise
from neat_hull.subjects.day.figures import cause_name, day
from neat_hull.subjects.day.hours import JUDGED, lived, sun_known


def _row(label: str, value: float, kind: HowKind) -> HowRow:
    return HowRow(label=label, value=value, kind=kind)


def _known(ev: Evaluated, figure: str) -> DayFigures:
    at_rest_or_raise(ev)
    found = ev.once(day)
    if found is None:
        raise InputError("figure", figure, "you have not said how the day goes")
    return found


def worst(ev: Evaluated) -> How:
    """The worst hour."""
    found = _known(ev, "day worst")
    one = found.worst
    if one is None:
        raise InputError("figure", "day worst", "nothing is judged: no limit is known")
    levels = ev.table[JUDGED[one.figure]]
    return How(
        title="The worst hour",
        plain="All that is used, melts, grows or moves goes straight from one turn of the day to "
        "the next, so the worst of it is at a turn. The boat is floated on both sides of each.",
        formula="share = (value − fine)/(fix − fine) of each figure; the greatest of the day is "
        "the worst",
        rows=[
            _row("hour", one.h, "hours"),
            _row(f"{levels.title}, then", one.value, levels.kind)
            if levels.kind != "ratio"
            else _row("carried then", one.value, "mass"),
            _row("fine up to", levels.fine, levels.kind),
            _row("fix from", levels.watch, levels.kind),
            _row("of the way from fine to fix", one.share, "ratio"),
            *(_row(f"{cause_name(ev, cause)}: more by", cause.kg, "mass") for cause in one.causes),
        ],
        sure="Rates of drinking, melting and catching are typical until weighed; each moment is "
        "solved to a hundredth of a degree. The boat is left alone at each hour.",
    )


def ice(ev: Evaluated) -> How:
    """How long ice lasts."""
    _known(ev, "day ice")
    of = ev.once(lived)
    one = next((row for row in of.stores if isinstance(row.store, Ice)), None)
    if one is None or not isinstance(one.store, Ice) or one.frozen is None:
        raise InputError("figure", "day ice", "no ice is aboard")
    air = of.clock.phases[0].air_temp_c
    watts = one.store.ua_w_k * max(0.0, air + one.store.sun_k)
    gone = one.frozen.gone_h()
    return How(
        title=f"Ice: {one.store.name}",
        plain="Warmth comes in through the walls, and with each fish; ice stays at nothing "
        "degrees until it is gone.",
        formula="dm/dt = −(UA·max(0, T_air + ΔT_sun) + m_fish·c·T_water)/L",
        rows=[
            _row("ice at first", one.store.mass_kg, "mass"),
            _row("let through at first", watts, "power"),
            _row("air at first", air, "warmth"),
            _row("melts, the first hour", 3600 * watts / one.store.latent_j_kg, "mass"),
            _row("left at the end", one.frozen.at(of.clock.end, False), "mass"),
            *([] if gone is None else [_row("gone at", gone, "hours")]),
        ],
        sure="Walls are typical until tried: weigh ice in and out, UA = Δm·L/(ΔT·t).",
    )


def sun(ev: Evaluated) -> How:
    """Sunrise and sunset."""
    found = _known(ev, "day sun")
    if found.sun is None or not sun_known(ev):
        raise InputError("figure", "day sun", "place or date is not known")
    of = ev.once(lived)
    rows = [
        _row("latitude", of.sky.latitude_deg, "angle"),
        _row("longitude", of.sky.longitude_deg, "angle"),
        _row("clock ahead of universal time", of.sky.utc_offset_h, "hours"),
        _row("sun at the start", of.sky.altitude_deg(found.start_h), "angle"),
        _row("hours that need a light", found.sun.lights_h, "hours"),
    ]
    for label, hour in (("rises", found.sun.rise_h), ("sets", found.sun.set_h)):
        if hour is not None:
            rows.append(_row(label, hour, "hours"))
    return How(
        title="The sun",
        plain="It rises and sets where its upper edge, lifted by the air, stands on the horizon.",
        formula="sin h = sin φ sin δ + cos φ cos δ cos H; h = −0.833°",
        rows=rows,
        sure="Low precision (Meeus, Astronomical Algorithms, 2nd ed., ch. 15 and 25): a minute of "
        "time below 65° of latitude. Hills and trees take more.",
    )


HOW = {"day worst": worst, "day ice": ice, "day sun": sun}
