"""What holds the setup: the anchor with its chain and rope, the pole, as its gear says."""

from dataclasses import dataclass
from math import inf

from neat_hull.model.glide_case import Anchor as CaseAnchor
from neat_hull.model.glide_case import Pole as CasePole
from neat_hull.model.hold import Anchor
from neat_hull.physics.water.gravity import GRAVITY_M_S2
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.hold import typical

_LEAST_KG = 0.2


def _aboard(ev: Evaluated, by: str) -> list[tuple[int, Anchor]]:
    found = [(i, ev.thing(i).anchor) for i in sorted(ev.setup.places)]
    return [(i, one) for i, one in found if one is not None and one.by == by]


@dataclass(frozen=True)
class Tackle:
    """The heaviest anchor on a line with all chain and rope aboard; rope_m null: nobody knows."""

    thing_id: int
    mass_kg: float
    anchor: Anchor
    chain_m: float
    chain_n_m: float
    rope_m: float | None
    rope_n_m: float
    breaking_n: float
    floats: bool

    @property
    def all_m(self) -> float:
        """All line there is."""
        return inf if self.rope_m is None else self.chain_m + self.rope_m


def tackle(ev: Evaluated) -> Tackle | None:
    """None without an anchor on a line. Of a thing that is anchor and line in one, the anchor is
    what the line leaves of its weight."""
    rows = _aboard(ev, "line")
    if not rows:
        return None
    thing_id, one = max(rows, key=lambda row: _anchor_kg(ev, *row))
    ropes = [each for _, each in rows if each.rope_m is not None]
    rope = ropes[0] if ropes else one
    chained = [each for _, each in rows if each.chain_m > 0]
    chain_m = sum(each.chain_m for each in chained)
    chain_kg = sum(each.chain_m * each.chain_kg_m for each in chained)
    sinks = typical.ROPE_SINKS if rope.sinks else 0.0
    return Tackle(
        thing_id=thing_id,
        mass_kg=_anchor_kg(ev, thing_id, one),
        anchor=one,
        chain_m=chain_m,
        chain_n_m=typical.CHAIN_SINKS * GRAVITY_M_S2 * chain_kg / chain_m if chain_m else 0.0,
        rope_m=sum(each.rope_m or 0.0 for each in ropes) if ropes else None,
        rope_n_m=sinks * GRAVITY_M_S2 * typical.ROPE_KG_MM2 * rope.rope_mm**2,
        breaking_n=typical.BREAKING_N_MM2 * rope.rope_mm**2,
        floats=any(each.floats for _, each in rows),
    )


def _anchor_kg(ev: Evaluated, thing_id: int, one: Anchor) -> float:
    line = one.chain_m * one.chain_kg_m
    line += (one.rope_m or 0.0) * typical.ROPE_KG_MM2 * one.rope_mm**2
    return max(_LEAST_KG, ev.thing(thing_id).mass_now_kg - line)


def out_m(ev: Evaluated, of: Tackle, height_m: float) -> float:
    """How much line is out: by the set scope, or all there is."""
    return min(ev.setup.demands.scope * height_m, of.all_m)


def as_case(ev: Evaluated, of: Tackle, line_m: float) -> CaseAnchor:
    """With so much line out, the chain at its end."""
    chain = min(of.chain_m, line_m)
    return CaseAnchor(
        mass_kg=of.mass_kg,
        holding_ratio=typical.HOLDING[ev.setup.hold.bottom][of.anchor.type],
        safety_factor=typical.SAFETY,
        chain_length_m=chain,
        chain_n_per_m=of.chain_n_m,
        rope_length_m=line_m - chain,
        rope_n_per_m=of.rope_n_m,
        breaking_n=of.breaking_n,
        knot_share=typical.KNOTS,
    )


def pole_id(ev: Evaluated) -> int | None:
    """The longest pole that holds; None without one."""
    rows = [row for row in _aboard(ev, "pole") if ev.thing(row[0]).long]
    return max((i for i, _ in rows), key=lambda i: ev.thing(i).length_m, default=None)


def pole_case(ev: Evaluated, thing_id: int) -> CasePole | None:
    """None over rock, which takes none."""
    thing, bottom = ev.thing(thing_id), ev.setup.hold.bottom
    one, soil = thing.anchor, typical.SOIL[bottom]
    if one is None or soil is None:
        return None
    stiff, stands = typical.POLE_PA[one.solid]
    thick = min(thing.width_m, thing.height_m)
    wall = thick / 2 if one.solid else (one.wall_mm or typical.POLE_WALL_MM) / 1000
    return CasePole(
        diameter_m=thick,
        wall_m=wall,
        elastic_modulus_pa=stiff,
        allowable_stress_pa=stands,
        length_m=thing.length_m,
        embedded_m=min(one.pushed_in_m or typical.PUSHED_IN_M[bottom], 0.9 * thing.length_m),
        above_cleat_m=typical.POLE_OVER_CLEAT_M,
        soil=soil,
    )
