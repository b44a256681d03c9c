"""What every account of a figure afloat has in common: inputs, its band, and how sure it is."""

from neat_hull.model.cautions import RATING_WINS
from neat_hull.model.evidence import BandSource
from neat_hull.model.how import How, HowRow
from neat_hull.model.said import HowKind
from neat_hull.rig.bands import bands
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.settling import AtRest, at_rest, trouble

_HULL = {
    "typical": "Where you have not measured the hull, typical values stand in; ± allows for it.",
    "estimate": "Estimate: the hull comes from a tape and has not been tested afloat yet.",
    "calibrated": "The hull has been tested afloat; the rest comes from your weights and the test.",
}
_NOTHING = 1e-4  # of a band's square: a part under a hundredth of it is not worth a line


def at_rest_or_raise(ev: Evaluated) -> AtRest:
    """The boat at rest. Raises DoesNotFloat or NoBalance where there is no such place."""
    rest = at_rest(ev)
    if rest is None:
        why = trouble(ev)
        assert why is not None, "what is not at rest has a reason"
        raise why
    return rest


def common(ev: Evaluated) -> list[HowRow]:
    """Weights, water and volume, which every figure afloat begins with."""
    rigged = ev.rigged
    volume_m3 = at_rest_or_raise(ev).equilibrium.volume_m3
    return [
        HowRow(label="All-up weight", value=rigged.all_up_kg, kind="mass"),
        HowRow(label="Water let into tubes and wells", value=rigged.lost_kg, kind="mass"),
        HowRow(label="Lifted (M)", value=rigged.loads.total_kg, kind="mass"),
        HowRow(label="Water (ρ)", value=rigged.water_density_kg_m3, kind="density"),
        HowRow(label="Volume under water (V)", value=volume_m3, kind="volume"),
    ]


_SOURCE: dict[BandSource, str] = {
    "weights": "Weights, by how each is known",
    "sitter": "Where you sit, and how high your own weight lies",
    "places": "Where gear stands",
    "bare boat": "Where the bare boat's own weight acts",
    "own height": "How high the bare boat's own weight lies",
    "tilt test": "The tilt test",
    "shape": "The hull's shape",
}


def with_band(ev: Evaluated, how: How, kind: HowKind, figure: str) -> How:
    """The account with the ± of a figure of `Bands`, where it comes from, how sure the hull is."""
    band = ev.once(bands)
    assert band is not None, "what is at rest has bands"
    whole = float(getattr(band, figure))
    parts = [
        HowRow(label=_SOURCE[part.source], value=float(getattr(part, figure)), kind=kind)
        for part in band.parts
    ]
    rest = whole**2 - sum(part.value**2 for part in parts)
    if rest > _NOTHING * whole**2:  # a list is known as well as GM is
        parts.append(HowRow(label="Stability (GM)", value=rest**0.5, kind=kind))
    parts = [part for part in parts if part.value**2 > _NOTHING * whole**2]
    parts.sort(key=lambda part: -part.value)
    return how.model_copy(
        update={
            "band": HowRow(label="±", value=whole, kind=kind),
            "band_parts": parts,
            "sure": f"{_HULL[band.hull]} {RATING_WINS}",
        }
    )
