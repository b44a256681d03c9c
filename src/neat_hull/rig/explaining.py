"""What every account of a figure afloat has in common: inputs, its band, and how sure it is."""

from collections.abc import Callable

from neat_hull.model.evidence import Bands
from neat_hull.model.how import How, HowRow
from neat_hull.model.said import HowKind
from neat_hull.rig.bands import bands
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.settling import AtRest, at_rest, trouble

_HULL = {
    "estimate": "Estimate: the hull comes from a tape and has not been tested afloat yet.",
    "calibrated": "The hull has been tested afloat; the rest comes from weights and the test.",
}
_WINS = "The maker's rating and instructions win over any figure here."


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


def with_band(ev: Evaluated, how: How, kind: HowKind, read: Callable[[Bands], float]) -> How:
    """The account with the ± of its figure, and how sure the hull is."""
    band = ev.once(bands)
    assert band is not None, "what is at rest has bands"
    row = HowRow(label="±", value=read(band), kind=kind)
    return how.model_copy(update={"band": row, "sure": f"{_HULL[band.hull]} {_WINS}"})
