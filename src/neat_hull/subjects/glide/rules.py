"""What slows a boat, and whether it gets home."""

from collections.abc import Iterable

from neat_hull.model.said import Said
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rules import Found, against, past, rule
from neat_hull.subjects.glide.adrift import adrift, drogue_id, drogued
from neat_hull.subjects.glide.driving import motor
from neat_hull.subjects.glide.figures import extra_share, made_good, minutes
from neat_hull.subjects.glide.going import air_of, at_speed, costs, froude, going
from neat_hull.subjects.glide.towing import towing
from neat_hull.subjects.glide.trolling import trolling

ESTIMATE = "An estimate until timed, on flat deep water."
BATTERY = "Never plan on the last fifth of a battery, nor on the wind not rising."
TOW = "A tow line is a leash: a release at hand, and a knife in reach."
LEASH = "A drift sock's line is a leash: trip line, and a knife in reach."
_TRUSTED_FROUDE = 0.25  # thin-ship theory exaggerates the humps of slower boats
_ACROSS_DEG = (45.0, 135.0)


@rule("glide-gear-slows", topic="glide")
def gear_slows(ev: Evaluated) -> Iterable[Found]:
    """What all the gear adds to the minutes of a km, at the set effort."""
    extra, found = ev.once(extra_share), ev.once(going)
    if extra is None or found is None or not past(ev, "gear slows", extra):
        return
    bare = minutes(found.bare_m_s) or 0.0
    yield from against(
        ev,
        "gear slows",
        extra,
        Said.of("Your gear costs {} at your effort", pace=60 * bare * extra / 1000),
        Said.of("Leave ashore, or lay down, what costs most"),
        caution=ESTIMATE,
    )


@rule("glide-drags", topic="glide", many="{} things hang in the water", under="glide-gear-slows")
def drags(ev: Evaluated) -> Iterable[Found]:
    """One thing in the water that takes a good part of the effort."""
    at = ev.once(at_speed)
    for one in ev.once(costs) if at is not None and at.total_n > 0 else ():
        share = one.water_n / at.total_n if at is not None else 0.0
        if one.thing_id is not None and past(ev, "drags", share):
            yield from against(
                ev,
                "drags",
                share,
                Said.of(f"{one.name}: {{}} of the resistance, in the water", ratio=share),
                Said.of("Swing it up between spots"),
                thing_id=one.thing_id,
                caution=ESTIMATE,
            )


@rule("glide-catches-wind", topic="glide")
def catches_wind(ev: Evaluated) -> Iterable[Found]:
    """What the set wind takes of the effort."""
    at = ev.once(at_speed)
    if at is None or at.total_n <= 0 or not past(ev, "catches wind", at.air_n / at.total_n):
        return
    worst = next(
        (one for one in ev.once(costs) if one.thing_id is not None and one.air_n > 0), None
    )
    yield from against(
        ev,
        "catches wind",
        at.air_n / at.total_n,
        Said.of("The wind takes {} of your effort", ratio=at.air_n / at.total_n),
        Said.of("Lay rods, flag and crate lower, or go another way"),
        thing_id=None if worst is None else worst.thing_id,
        caution=ESTIMATE,
    )


@rule("glide-waves", topic="glide")
def waves(ev: Evaluated) -> Iterable[Found]:
    """What the waves take, at speeds at which the theory of them is to be trusted."""
    at, number = ev.once(at_speed), ev.once(froude)
    if at is None or number is None or number < _TRUSTED_FROUDE or at.total_n <= 0:
        return
    share = at.wave_n / at.total_n
    if past(ev, "making waves", share):
        yield from against(
            ev,
            "making waves",
            share,
            Said.of("{} of your effort makes waves", ratio=share),
            Said.of("A tenth slower saves much of it"),
            caution=ESTIMATE,
        )


@rule("glide-no-way-home", topic="glide")
def no_way_home(ev: Evaluated) -> Iterable[Found]:
    """Speed over ground at the set effort, out and back, against wind and current."""
    if ev.once(going) is None or not any(ev.once(air_of).wind + ev.once(air_of).current):
        return
    for way, name in zip(ev.once(made_good), ("out", "back"), strict=True):
        over = way or 0.0
        if past(ev, "way home", over):
            yield from against(
                ev,
                "way home",
                over,
                Said.of(f"The way {name}: {{}} over ground at your effort", speed=over),
                Said.of("Go when wind and current are less, or the other way first"),
                part=name,
                caution=ESTIMATE,
            )


@rule("glide-no-way", topic="glide")
def no_way(ev: Evaluated) -> Iterable[Found]:
    """A leg of the trip on which the motor makes no way."""
    found = ev.once(motor)
    if found is None:
        return
    for leg, name in ((found.trip.out, "out"), (found.trip.back, "back")):
        if leg is None:
            yield Found(
                "stop",
                Said.of(f"{ev.name(found.thing_id)}: no way over ground on the way {name}"),
                "Wind and current are stronger than the motor at this step.",
                Said.of("A higher step, or another day"),
                badness=2.0,
                thing_id=found.thing_id,
                part=name,
                caution=BATTERY,
            )


@rule("glide-reserve", topic="glide")
def reserve(ev: Evaluated) -> Iterable[Found]:
    """What the trip by motor takes of what the battery has."""
    found = ev.once(motor)
    if found is None:
        return
    if found.usable_wh <= 0:
        yield Found(
            "watch",
            Said.of(f"{ev.name(found.thing_id)}: no battery aboard feeds it"),
            "How far it takes you is not known.",
            Said.of("Put its battery aboard, and wire it on the Power screen"),
            badness=1.0,
            thing_id=found.thing_id,
        )
        return
    used = found.trip.used_share
    if used is None or not past(ev, "reserve", used):
        return
    turn = found.trip.turn_back_m or 0.0
    yield from against(
        ev,
        "reserve",
        used,
        Said.of(f"{ev.name(found.thing_id)}: the trip takes {{}} of the battery", ratio=used),
        Said.of("Turn back after {}, or take a lower step", far=turn),
        thing_id=found.thing_id,
        caution=BATTERY,
    )


@rule("glide-drifts-fast", topic="glide")
def drifts_fast(ev: Evaluated) -> Iterable[Found]:
    """How fast it drifts in the set wind, with the drogue's figure beside it."""
    found, held = ev.once(adrift), ev.once(drogued)
    if found is None or not past(ev, "drifts fast", found.speed_m_s):
        return
    clear = (
        Said.of("A drift sock, or an anchor")
        if held is None
        else Said.of("With the drift sock out: {}", speed=held.speed_m_s)
    )
    yield from against(
        ev,
        "drifts fast",
        found.speed_m_s,
        Said.of("Adrift: {} in the set wind", speed=found.speed_m_s),
        clear,
        thing_id=ev.once(drogue_id),
        caution=LEASH if held is not None else ESTIMATE,
    )


@rule("glide-lies-across", topic="glide")
def lies_across(ev: Evaluated) -> Iterable[Found]:
    """A drogue led so that the boat lies across the wind, in more than a breeze."""
    found = ev.once(drogued)
    if found is None:
        return
    low, high = _ACROSS_DEG
    wind = found.speed_m_s / found.share_of_wind
    if low <= found.wind_off_bow_deg <= high and past(ev, "lies across", wind):
        yield from against(
            ev,
            "lies across",
            wind,
            Said.of("On its drift sock it lies {} off the wind", angle=found.wind_off_bow_deg),
            Said.of("Lead the sock's line to an end"),
            thing_id=ev.once(drogue_id),
            caution=LEASH,
        )


@rule("glide-lines-cross", topic="glide")
def lines_cross(ev: Evaluated) -> Iterable[Found]:
    """Lines behind the boat that cross in the set turn."""
    if not ev.setup.glide.lines:
        return
    found = ev.once(trolling)
    if found is None:
        return
    for one, other in found.crossing:
        yield Found(
            "watch",
            Said.of(f"{ev.name(one)} and {ev.name(other)}: lines cross in your turn"),
            "Crossed lines tangle, and both are lost to the fish.",
            Said.of("Turn no tighter than {}, or make one line longer", far=found.least_turn_m)
            if found.least_turn_m is not None
            else Said.of("Make one line longer, or set the rods farther apart"),
            badness=1.0,
            thing_id=one,
            other_id=other,
        )


@rule("tow-too-slow", topic="glide")
def tow_too_slow(ev: Evaluated) -> Iterable[Found]:
    """Another boat in tow, at one's own effort in the set wind. Our threshold."""
    tow = ev.once(towing)
    if tow is not None:
        speed = tow.speed_m_s or 0.0
        yield from against(
            ev,
            "towing",
            speed,
            Said.of("With a boat in tow you make {}", speed=speed),
            Said.of("Empty the other boat, tow it with two, or call"),
            caution=TOW,
        )


@rule("tow-from-the-side", topic="glide")
def tow_from_the_side(ev: Evaluated) -> Iterable[Found]:
    """A tow line that is fixed away from the ends of the boat. Our threshold."""
    tow = ev.once(towing)
    if tow is not None:
        yield from against(
            ev,
            "towed from",
            tow.from_end_m,
            Said.of("The tow line pulls {} from the end of the boat", length=tow.from_end_m),
            Said.of("Lead it over the stern"),
            least="fix",
            caution=TOW,
        )


@rule("tow-release-out-of-hand", topic="glide")
def tow_release_out_of_hand(ev: Evaluated) -> Iterable[Found]:
    """A tow line that cannot be let go of from the seat. Usual practice."""
    tow = ev.once(towing)
    if tow is not None and not tow.in_reach:
        yield Found(
            "fix",
            Said.of("The tow line's release is out of reach"),
            "A boat that is caught by a wave or a log takes yours along until you let go.",
            Said.of("Lead the release to the seat, or wear the line on a belt that lets go"),
            badness=1.0,
            caution=TOW,
        )


RULES = (
    gear_slows, drags, catches_wind, waves, no_way_home, no_way, reserve, drifts_fast, lies_across,
    lines_cross, tow_too_slow, tow_from_the_side, tow_release_out_of_hand,
)  # fmt: skip
