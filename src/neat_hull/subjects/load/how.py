"""How the weight carried came about, and how dry the floors are."""

from neat_hull.model.how import How, HowRow
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.explaining import at_rest_or_raise, common, with_band
from neat_hull.rig.hulls import as_tested
from neat_hull.subjects.load.figures import weight as weigh


def weight(ev: Evaluated) -> How:
    """The weight against what may be carried."""
    setup, boat, carried = ev.setup, as_tested(ev.setup.boat), ev.once(weigh)
    gear = sum(setup.things[i].mass_now_kg for i in setup.places)
    rows = [
        HowRow(label="Angler, dressed for the water", value=setup.angler.mass_kg, kind="mass"),
        HowRow(label="Gear aboard", value=gear, kind="mass"),
        HowRow(label="Carried", value=gear + setup.angler.mass_kg, kind="mass"),
        HowRow(label="The boat itself", value=boat.hull_mass_kg, kind="mass"),
    ]
    if boat.rated_kg is not None:
        rows += [
            HowRow(label="Maker's rating", value=boat.rated_kg, kind="mass"),
            HowRow(label="Working load", value=boat.working_share, kind="ratio"),
            HowRow(
                label="Rating × share you use",
                value=boat.rated_kg * boat.working_share,
                kind="mass",
            ),
        ]
    if carried.freeboard_kg is not None:
        rows.append(
            HowRow(label="Load at the freeboard target", value=carried.freeboard_kg, kind="mass")
        )
    if carried.limit_kg is not None:
        rows.append(HowRow(label="Limit for this trip", value=carried.limit_kg, kind="mass"))
    return How(
        title="Weight carried",
        plain="Everything the boat carries, against what its maker allows. "
        + ev.table["share"].reason,
        formula="carried = angler + gear;  working load = rating × share;  by freeboard = "
        "counted + (freeboard − target) × kg per cm;  the lowest of them counts, "
        "unless you chose one",
        rows=rows,
        sure="As sure as the weights: weighed beats a label, a label beats a guess.",
    )


def wells(ev: Evaluated) -> How:
    """How far each floor stands above the water."""
    rest = at_rest_or_raise(ev).equilibrium
    how = How(
        title="Dry floors",
        plain="How far the lowest corner of each floor stands above the water. "
        + ev.table["floor"].reason,
        formula="height above the water plane z = c − x·tan θ − y·tan φ, square to it",
        rows=[
            *common(ev),
            *(
                HowRow(label=f"{well.name}: floor above the water", value=over, kind="length")
                for well, over in zip(ev.setup.boat.wells, rest.wells_over_m, strict=True)
            ),
        ],
    )
    return with_band(ev, how, "length", "draft_m")


HOW = {"weight": weight, "wells": wells}
