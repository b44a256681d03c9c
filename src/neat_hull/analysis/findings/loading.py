"""How much is carried, by each school, and what it does to floors and gunwale."""

from collections.abc import Iterable

from neat_hull.analysis.findings.case import Case, Found, against, amount
from neat_hull.model.figures import Said, Verdict

RATING_WINS = "The maker's rating wins over any figure computed here."


def over_the_rating(case: Case) -> Iterable[Found]:
    """More aboard than the maker rates the boat for: a hard stop. Source: the maker's plate."""
    weight = case.figures.weight
    if weight.rated_kg is None or weight.counted_kg <= weight.rated_kg:
        return
    over = weight.counted_kg - weight.rated_kg
    yield Found(
        "stop", Said.of("{} over the maker's rating", mass=over),
        "Past the rating nobody vouches that the boat floats, steers or comes back up.",
        Said.of("take {} ashore", mass=over), badness=over,
        figure=amount("mass", weight.counted_kg), limit=amount("mass", weight.rated_kg),
        band=None if case.figures.bands is None else case.figures.bands.carried_kg,
        caution=RATING_WINS,
    )  # fmt: skip


def rating_unknown(case: Case) -> Iterable[Found]:
    """No rating is known, so the first of the three schools cannot be asked."""
    if case.figures.weight.rated_kg is None:
        yield Found(
            "watch", Said(text="The maker's rating is not known"),
            "It is the one limit that somebody has tested.",
            Said(text="read the plate by the seat or in the hatch, and type it in under Boat"),
            badness=1.0, caution=RATING_WINS,
        )  # fmt: skip


def more_than_is_wise(case: Case) -> Iterable[Found]:
    """Past the working share of the rating or the freeboard target, whichever is asked.

    The limit is our threshold: nine tenths of it are fine.
    """
    weight = case.figures.weight
    if weight.limit_kg is None or weight.verdict == "stop":
        return
    asked = case.table["share"].fine * weight.limit_kg
    share = weight.counted_kg / max(weight.limit_kg, 1e-6)
    by_share = weight.working_kg is not None and weight.limit_kg == weight.working_kg
    school = "the working share of the rating" if by_share else "the freeboard target"
    yield from against(
        case, "share", share,
        Said.of(f"Carries {{}} of {school}", ratio=share),
        Said.of("leave {} ashore", mass=max(weight.counted_kg - asked, 0.0)),
        band=None if case.figures.bands is None
        else case.figures.bands.carried_kg / max(weight.limit_kg, 1e-6),
        caution=RATING_WINS,
    )  # fmt: skip


def gunwale_low(case: Case) -> Iterable[Found]:
    """The lowest place of the gunwale is under the freeboard target. Our threshold."""
    afloat, bands = case.figures.afloat, case.figures.bands
    if afloat is None or bands is None:
        return
    short = case.table["freeboard"].fine - afloat.least_freeboard_m
    yield from against(
        case, "freeboard", afloat.least_freeboard_m,
        Said.of("Gunwale only {} over the water", length=afloat.least_freeboard_m),
        Said.of("{} less aboard brings it up", mass=max(0.0, 100 * short * afloat.kg_per_cm)),
        band=bands.draft_m,
    )  # fmt: skip


def floor_wet(case: Case) -> Iterable[Found]:
    """A floor with open scuppers lies at or under the water; a plugged well is flooded."""
    afloat, bands = case.figures.afloat, case.figures.bands
    if afloat is None or bands is None:
        return
    for well in afloat.wells:
        over = well.floor_over_water_m
        if well.flooded:
            yield Found(
                "stop", Said(text=f"The {well.name} is flooded over its rim"),
                "Water in a well that lifted the boat is weight, and runs to the low side.",
                Said(text="lighten the boat, or level it"), badness=1.0 - over, part=well.name,
                where=well.name, figure=amount("length", over), limit=amount("length", 0.0),
            )  # fmt: skip
        elif well.scuppers == "open":
            wet = over < 0
            title = (
                Said.of(f"The {well.name} floor stands {{}} under water, {well.deepest_at}",
                        length=-over)
                if wet else Said.of(f"The {well.name} floor is only {{}} over the water",
                                    length=over)
            )  # fmt: skip
            less_kg = 100 * max(0.0, case.table["floor"].fine - over) * afloat.kg_per_cm
            yield from against(
                case, "floor", over, title,
                Said.of("{} less aboard, or level it", mass=less_kg),
                band=bands.draft_m, part=well.name, where=well.name, least=_wet(wet),
            )  # fmt: skip


def _wet(wet: bool) -> Verdict | None:
    return "fix" if wet else None


RULES = (over_the_rating, rating_unknown, more_than_is_wise, gunwale_low, floor_wet)
