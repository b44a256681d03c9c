"""What a transducer does not see, and what it meets."""

from collections.abc import Iterable

from neat_hull.model.said import Said
from neat_hull.model.sonar import SonarFigure
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rules import Found, against, past, rule
from neat_hull.subjects.sonar.figures import BOW_SHARE, sonar

_ON_THE_HULL = ("recess", "motor")  # what stays there ashore
_GAP_M = 0.01  # of air between a face inside and the hull's bottom


def _all(ev: Evaluated) -> list[SonarFigure]:
    found = ev.once(sonar)
    return [] if found is None else found.transducers


@rule("sonar-out-of-water", topic="sonar")
def out_of_water(ev: Evaluated) -> Iterable[Found]:
    """Its face comes out of the water, at rest or as the trip heels and trims the boat."""
    for one in _all(ev):
        if one.mount == "inside" or not past(ev, "face under", one.least_m):
            continue
        heeled = f" at {abs(one.least_heel_deg):.0f}° of heel" if one.least_heel_deg else ""
        when = f" ({one.least_by.lower()})" if one.least_by else heeled
        words = f"{ev.name(one.thing_id)}: {{}} under{when}"
        if one.least_m < 0:
            words = f"{ev.name(one.thing_id)}: {{}} out of the water{when}"
        yield from against(
            ev, "face under", one.least_m, Said.of(words, length=abs(one.least_m)),
            Said.of("Hang it {} deeper", length=ev.table["face under"].fine - one.least_m),
            thing_id=one.thing_id,
        )  # fmt: skip


@rule("sonar-through-air", topic="sonar")
def through_air(ev: Evaluated) -> Iterable[Found]:
    """Inside the hull, over foam or air: sound does not pass either."""
    for one in _all(ev):
        thing = ev.thing(one.thing_id).transducer
        if one.mount != "inside" or thing is None:
            continue
        gap = -one.below_here_m
        if thing.through == "foam or air" or gap > _GAP_M:
            yield Found(
                "fix",
                Said.of(f"{ev.name(one.thing_id)}: foam or air under its face"),
                "Sound passes solid plastic and water, and neither foam nor air.",
                Said.of("Bed it in grease or gel on a solid place of the bottom"),
                badness=1.0 + max(0.0, gap),
                thing_id=one.thing_id,
            )


@rule("sonar-in-the-wash", topic="sonar")
def in_the_wash(ev: Evaluated) -> Iterable[Found]:
    """Close behind fins or propeller, whose air passes over it."""
    for one in _all(ev):
        behind = one.behind_drive_m
        if one.mount in ("inside", "motor") or behind is None or not past(ev, "wash", behind):
            continue
        yield from against(
            ev, "wash", behind,
            Said.of(f"{ev.name(one.thing_id)}: {{}} behind the drive", length=behind),
            Said.of("Move it {} farther from the drive, or to its side",
                    length=ev.table["wash"].fine - behind),
            thing_id=one.thing_id,
        )  # fmt: skip


@rule("sonar-at-the-bow", topic="sonar")
def at_the_bow(ev: Evaluated) -> Iterable[Found]:
    """Under the bow, where the hull draws air under itself at speed. Our threshold."""
    for one in _all(ev):
        if one.mount == "recess" and one.from_bow_share < BOW_SHARE:
            yield Found(
                "watch",
                Said.of(f"{ev.name(one.thing_id)}: under the bow, where air passes"),
                "At speed the bow draws air under the hull, and it shows as noise.",
                Said.of("Move it aft, to where the hull stays in solid water"),
                badness=BOW_SHARE - one.from_bow_share,
                thing_id=one.thing_id,
            )


@rule("sonar-beam-cut-off", topic="sonar")
def beam_cut_off(ev: Evaluated) -> Iterable[Found]:
    """The hull stands in the way of a side beam."""
    for one in _all(ev):
        if past(ev, "side beam", one.cut_off_deg):
            yield from against(
                ev, "side beam", one.cut_off_deg,
                Said.of(f"{ev.name(one.thing_id)}: hull hides {{}} of a side beam",
                        angle=one.cut_off_deg),
                Said.of("Hang it lower, or nearer to the side"),
                thing_id=one.thing_id,
            )  # fmt: skip


@rule("sonar-meets-first", topic="sonar")
def meets_first(ev: Evaluated) -> Iterable[Found]:
    """It stands out under the hull: it meets stump, ramp, roof bars and trolley first."""
    for one in _all(ev):
        out = one.below_here_m
        if one.mount not in _ON_THE_HULL or not past(ev, "stands out", out):
            continue
        yield from against(
            ev, "stands out", out,
            Said.of(f"{ev.name(one.thing_id)}: {{}} below the hull", length=out),
            Said.of("Sink it into a recess, or mount it so that it folds up"),
            thing_id=one.thing_id,
        )  # fmt: skip


@rule("sonar-temperature", topic="sonar")
def temperature(ev: Evaluated) -> Iterable[Found]:
    """Inside the hull it shows the hull's temperature."""
    for one in _all(ev):
        thing = ev.thing(one.thing_id).transducer
        if one.mount == "inside" and thing is not None and thing.reads_temperature:
            yield Found(
                "watch",
                Said.of(f"{ev.name(one.thing_id)}: shows the hull's temperature"),
                "Only in the water does it show the water's.",
                Said.of("Measure the temperature another way, or hang it in the water"),
                badness=1.0,
                thing_id=one.thing_id,
            )


RULES = (
    out_of_water,
    through_air,
    in_the_wash,
    at_the_bow,
    beam_cut_off,
    meets_first,
    temperature,
)
