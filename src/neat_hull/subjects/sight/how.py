"""How far a light is seen, and what stands in its way."""

from neat_hull.errors import InputError
from neat_hull.model.how import How, HowRow
from neat_hull.model.said import HowKind
from neat_hull.physics.bearings import carries_m, horizon_m
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.explaining import at_rest_or_raise
from neat_hull.subjects.sight import typical
from neat_hull.subjects.sight.seen import seen


def _row(label: str, value: float, kind: HowKind) -> HowRow:
    return HowRow(label=label, value=value, kind=kind)


def light(ev: Evaluated) -> How:
    """Of the first lamp aboard."""
    at_rest_or_raise(ev)
    found = ev.once(seen)
    if found is None or not found.lamps:
        raise InputError("figure", "light", "no lamp is aboard")
    one = found.lamps[0]
    return How(
        title="How far and where a light is seen",
        plain="A light carries as far as its strength reaches the eye through usual night air, and "
        "no farther than over the horizon. What stands in its way at its own height, with the boat "
        "lying as it does, hides it from there.",
        formula="I = 3.43·10⁶·T·D²·K⁻ᴰ, T = 2·10⁻⁷ lx, K = 0.8;  horizon 2.08(√h₁ + √h₂);  "
        "a round thing hides 2·asin(r/d)",
        rows=[
            _row("its strength, candela", one.candela, "times"),
            _row("that carries", carries_m(one.candela), "far"),
            _row("above the water", one.over_m, "length"),
            _row("over the horizon to", horizon_m(one.over_m, typical.LOOKOUT_M), "far"),
            _row("another boat comes at", ev.setup.safety.boats_m_s, "speed"),
            _row("you come at", typical.OWN_M_S, "speed"),
            _row("time from seen to here", one.warning_s, "seconds"),
            _row("blocked, of its ring", one.blocked_deg, "angle"),
            *(
                _row(_what(ev, b.thing_id, b.what), b.to_deg - b.from_deg, "angle")
                for b in one.blocked
            ),
        ],
        sure="Rules of navigation at sea, Annex I 8 and 9. Haze, rain and shore lights make it "
        "less. Local law decides which lights you show.",
    )


def _what(ev: Evaluated, thing_id: int | None, what: str) -> str:
    return f"by your {what}" if thing_id is None else f"by {ev.name(thing_id)}"


HOW = {"light": light}
