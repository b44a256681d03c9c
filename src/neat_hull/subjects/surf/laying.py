"""Everything laid down for the surf, as far as there is room: one thing after the other."""

from neat_hull.model.place import Place
from neat_hull.model.setup import Setup
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.room.figures import too_near
from neat_hull.subjects.surf.arrangement import in_surf, offers
from neat_hull.subjects.surf.figures import rows


def laid_down(fishing: Evaluated) -> dict[int, Place]:
    """Places for what stands up or is not tied, the worst first: the first that is offered and
    meets nothing more than before. What finds none stays as it is."""
    surf = _again(fishing, fishing.setup)
    wrong = [
        row.thing_id
        for row in rows(fishing, surf)
        if row.offers and not row.changed and (row.stands != "fine" or not row.tied)
    ]
    found: dict[int, Place] = {}
    for thing_id in wrong:
        for offer in offers(surf, thing_id):
            plan = fishing.setup.surf
            places = {**plan.places, **found, thing_id: offer.place}
            tried = _again(
                fishing,
                fishing.setup.model_copy(
                    update={"surf": plan.model_copy(update={"places": places})}
                ),
            )
            if _met(tried) <= _met(surf):
                found[thing_id], surf = offer.place, tried
                break
    return found


def _met(ev: Evaluated) -> int:
    """How many things meet each other, the seat or you. Room to stroke or cast is nothing here."""
    return sum(one.envelope is None and one.gap_m < 0 for one in ev.once(too_near))


def _again(fishing: Evaluated, setup: Setup) -> Evaluated:
    """A setup through the surf, judged by the same table."""
    return Evaluated(in_surf(setup), fishing.table, fishing.beside)
