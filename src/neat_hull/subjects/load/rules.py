"""How much is carried, by each school, and what it does to floors and gunwale."""

from collections.abc import Iterable

from neat_hull.model.cautions import RATING_WINS
from neat_hull.model.said import Said, Verdict, capital
from neat_hull.rig.bands import bands
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.rules import Found, against, amount, rule
from neat_hull.rig.settling import at_rest, deepest_at
from neat_hull.subjects.load.figures import weight


def _band_kg(ev: Evaluated) -> float | None:
    band = ev.once(bands)
    return None if band is None else band.carried_kg


@rule("over-the-rating", topic="load")
def over_the_rating(ev: Evaluated) -> Iterable[Found]:
    """More aboard than the maker rates the boat for: a hard stop. Source: the maker's plate."""
    carried = ev.once(weight)
    if carried.rated_kg is None or carried.counted_kg <= carried.rated_kg:
        return
    over = carried.counted_kg - carried.rated_kg
    yield Found(
        "stop",
        Said.of("Weight: {} over the maker's rating", mass=over),
        "Past the rating the maker no longer says that it floats, steers or comes back up.",
        Said.of("Take {} ashore", mass=over),
        badness=over,
        figure=amount("mass", carried.counted_kg),
        limit=amount("mass", carried.rated_kg),
        band=_band_kg(ev),
        caution=RATING_WINS,
    )


@rule("rating-unknown", topic="load")
def rating_unknown(ev: Evaluated) -> Iterable[Found]:
    """No rating is known, so the first of the three schools cannot be asked."""
    if ev.once(weight).rated_kg is None:
        yield Found(
            "watch",
            Said.of("Maker's rating: not known"),
            "It is the maker's own limit for this boat.",
            Said.of(
                "Read the plate by the seat or in the hatch, and type it in on the Boat screen"
            ),
            badness=1.0,
            caution=RATING_WINS,
        )


@rule("more-than-is-wise", topic="load")
def more_than_is_wise(ev: Evaluated) -> Iterable[Found]:
    """Past the working share of the rating or the freeboard target, whichever is asked.

    The limit is our threshold: nine tenths of it are fine.
    """
    carried = ev.once(weight)
    if carried.limit_kg is None or carried.verdict == "stop":
        return
    asked = ev.table["share"].fine * carried.limit_kg
    share = carried.counted_kg / max(carried.limit_kg, 1e-6)
    by_share = carried.working_kg is not None and carried.limit_kg == carried.working_kg
    school = "the working load" if by_share else "the freeboard target"
    band = _band_kg(ev)
    yield from against(
        ev,
        "share",
        share,
        Said.of(f"Weight: {{}} of {school}", ratio=share),
        Said.of("Leave {} ashore", mass=max(carried.counted_kg - asked, 0.0)),
        band=None if band is None else band / max(carried.limit_kg, 1e-6),
        caution=RATING_WINS,
    )


@rule("gunwale-low", topic="load")
def gunwale_low(ev: Evaluated) -> Iterable[Found]:
    """The lowest place of the gunwale is under the freeboard target. Our threshold."""
    rest, band = at_rest(ev), ev.once(bands)
    if rest is None or band is None:
        return
    per_cm = rest.upright.kg_per_cm_immersion
    short = ev.table["freeboard"].fine - rest.equilibrium.least_freeboard_m
    yield from against(
        ev,
        "freeboard",
        rest.equilibrium.least_freeboard_m,
        Said.of("Freeboard: only {}", length=rest.equilibrium.least_freeboard_m),
        Said.of("Take {} ashore", mass=max(0.0, 100 * short * per_cm)),
        band=band.draft_m,
    )


@rule("floor-wet", topic="load", many="{} floors: wet, or nearly")
def floor_wet(ev: Evaluated) -> Iterable[Found]:
    """A floor with open scuppers lies at or under the water; a plugged well is flooded."""
    rest, band = at_rest(ev), ev.once(bands)
    if rest is None or band is None:
        return
    per_cm = rest.upright.kg_per_cm_immersion
    lie = rest.equilibrium
    for well, over, flooded in zip(ev.setup.boat.wells, lie.wells_over_m, lie.flooded, strict=True):
        if flooded:
            yield Found(
                "stop",
                Said.of(f"{capital(well.name)}: flooded over its rim"),
                "Water in it is weight that runs to the low side, and the boat has lost its lift.",
                Said.of("Take weight ashore, or level the boat"),
                badness=1.0 - over,
                part=well.name,
                where=well.name,
                figure=amount("length", over),
                limit=amount("length", 0.0),
            )
        elif well.scuppers == "open":
            wet = over < 0
            title = (
                Said.of(
                    f"{capital(well.name)} floor: {{}} under water, {deepest_at(lie)}",
                    length=-over,
                )
                if wet
                else Said.of(f"{capital(well.name)} floor: only {{}} above the water", length=over)
            )
            less_kg = 100 * max(0.0, ev.table["floor"].fine - over) * per_cm
            yield from against(
                ev,
                "floor",
                over,
                title,
                Said.of("Take {} ashore, or level the boat", mass=less_kg),
                band=band.draft_m,
                part=well.name,
                where=well.name,
                least=_wet(wet),
            )


def _wet(wet: bool) -> Verdict | None:
    return "fix" if wet else None


RULES = (over_the_rating, rating_unknown, more_than_is_wise, gunwale_low, floor_wet)
