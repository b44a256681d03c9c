"""Each thing as it goes through the surf: what stands up, is not tied, would snap or stab."""

from collections.abc import Iterator
from math import dist

from neat_hull.model.said import Said
from neat_hull.model.surf_figures import SurfRow, SurfStep
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.limits import RANK
from neat_hull.rig.rigging import Stowed
from neat_hull.subjects.capsize.figures import stays
from neat_hull.subjects.surf.arrangement import offers, same

_STAB_M = 0.6  # from the middle of the trunk: a tip so near is in your face or ribs
_OVER_THE_SIDE_M = 0.02


def rows(fishing: Evaluated, surf: Evaluated) -> list[SurfRow]:
    """All that is aboard and not on you, what is worst first. fishing and surf: the one setup in
    both arrangements."""
    found = [_row(fishing, surf, one) for one in surf.rigged.stowed if not one.stand.on_body]
    return sorted(
        found,
        key=lambda row: (-RANK[row.stands], -(row.snaps + row.stabs), row.tied, -row.over_m),
    )


def _row(fishing: Evaluated, surf: Evaluated, one: Stowed) -> SurfRow:
    i, thing = one.thing_id, surf.thing(one.thing_id)
    shut = surf.rigged.placing.covered(i)
    over = 0.0 if shut else max(0.0, _over_m(surf, one))
    part = thing.part in ("seat", "drive", "rudder")
    places = fishing.setup.places
    tip = None if shut else one.tip_m if thing.long else None
    made = list(offers(fishing, i))
    now = surf.setup.places[i]
    return SurfRow(
        thing_id=i,
        over_m=over,
        stands="fine" if part else surf.table["stands in surf"].verdict(over),
        tied=stays(surf, i),
        snaps=tip is not None and (_beside(surf, tip) or over > surf.table["stands in surf"].watch),
        stabs=tip is not None and dist(tip, surf.rigged.body.trunk_middle_m.tolist()) < _STAB_M,
        changed=now != places[i],
        chosen=next((offer.key for offer in made if same(offer.place, now)), None),
        offers=made,
    )


def _over_m(ev: Evaluated, one: Stowed) -> float:
    """How far its highest point is above the gunwale beside it."""
    hull, thing = ev.rigged.floating.hull, ev.thing(one.thing_id)
    if one.tip_m is None:
        x, top = one.stand.x_m, one.stand.base_z_m + thing.height_m
    else:
        ends = ((one.stand.x_m, one.stand.base_z_m), (one.tip_m[0], one.tip_m[2]))
        return max(z - hull.gunwale_m(x)[1] for x, z in ends)
    return top - hull.gunwale_m(x)[1]


def _beside(ev: Evaluated, tip: tuple[float, float, float]) -> bool:
    """Whether a tip hangs over a side or an end."""
    hull = ev.rigged.floating.hull
    half, _ = hull.gunwale_m(tip[0])
    ends = hull.x_aft_m <= tip[0] <= hull.x_fwd_m
    return not ends or abs(tip[1]) > half + _OVER_THE_SIDE_M


def down(ev: Evaluated) -> list[int]:
    """Parts that hang under the boat and are not up."""
    if ev.setup.surf.up:
        return []
    return [i for i in ev.setup.places if ev.thing(i).part in ("drive", "rudder")]


def steps(ev: Evaluated, told: list[SurfRow]) -> list[SurfStep]:
    """From fishing to the surf: what hangs below first, then each thing that goes elsewhere, from
    the bow; what is not tied last."""
    return list(_steps(ev, told))


def _steps(ev: Evaluated, told: list[SurfRow]) -> Iterator[SurfStep]:
    for i in ev.setup.places:
        if ev.thing(i).part in ("drive", "rudder"):
            yield SurfStep(key=f"up {i}", words=Said.of(f"{ev.name(i)} up"), thing_id=i)
    by_id = ev.rigged.by_id
    for row in sorted(told, key=lambda one: -by_id[one.thing_id].centre_m[0]):
        if row.changed:
            to = next((one.words for one in row.offers if one.key == row.chosen), None)
            where = to or "to its place for the surf"
            yield SurfStep(
                key=f"move {row.thing_id}",
                words=Said.of(f"{ev.name(row.thing_id)}: {where}"),
                thing_id=row.thing_id,
            )
    for row in told:
        if not row.tied:
            words = Said.of(f"{ev.name(row.thing_id)}: tie it, or shut it in")
            yield SurfStep(key=f"tie {row.thing_id}", words=words, thing_id=row.thing_id)
