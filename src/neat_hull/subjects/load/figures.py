"""What is carried, and how much may be, by each school of thought."""

from dataclasses import dataclass

import numpy as np

from neat_hull.model.load import Weight
from neat_hull.model.said import Verdict
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.hulls import as_tested
from neat_hull.rig.rigging import point
from neat_hull.rig.settling import at_rest


@dataclass(frozen=True)
class _Schools:
    """The weight that each school stops at, the one that is asked, and its verdict."""

    freeboard_kg: float | None
    limit_kg: float | None
    verdict: Verdict | None


def weight(ev: Evaluated) -> Weight:
    """Everything carried, with the verdict of the school that is asked."""
    setup, rigged = ev.setup, ev.rigged
    boat, angler = as_tested(setup.boat), setup.angler
    gear = sum(t.mass_now_kg for t in setup.aboard)
    carried = gear + angler.mass_kg
    counted = carried + (boat.hull_mass_kg if boat.rating_covers != "all aboard" else 0.0)
    guessed = (
        sum(t.mass_now_kg for t in setup.aboard if t.evidence == "guess")
        + (boat.hull_mass_kg if boat.hull_evidence == "guess" else 0.0)
        + (angler.mass_kg if angler.evidence == "guess" else 0.0)
    )
    working = None if boat.rated_kg is None else boat.rated_kg * boat.working_share
    over = boat.rated_kg is not None and counted > boat.rated_kg
    schools = _schools(ev, counted, working)
    return Weight(
        carried_kg=carried,
        counted_kg=counted,
        angler_kg=angler.mass_kg,
        gear_kg=gear,
        boat_kg=boat.hull_mass_kg,
        all_up_kg=carried + boat.hull_mass_kg,
        guessed_kg=guessed,
        rated_kg=boat.rated_kg,
        working_kg=working,
        freeboard_kg=schools.freeboard_kg,
        limit_kg=schools.limit_kg,
        verdict="stop" if over else schools.verdict,  # the rating is a stop in each of them
        carried_at=point(rigged.carried_at_m),
    )


def _schools(ev: Evaluated, counted_kg: float, working_kg: float | None) -> _Schools:
    """What may be carried until the gunwale comes down to its target is told by kg per cm."""
    rest = at_rest(ev)
    if rest is None:
        return _Schools(None, None, None)
    spare_m = rest.equilibrium.least_freeboard_m - ev.table["freeboard"].fine
    freeboard = max(0.0, counted_kg + 100 * spare_m * rest.upright.kg_per_cm_immersion)
    limit = {
        "working share": working_kg,
        "freeboard": freeboard,
        "tightest": min(freeboard, working_kg or np.inf),
    }[ev.setup.judging.school]
    if limit is None:
        return _Schools(freeboard, None, None)
    return _Schools(freeboard, limit, ev.table["share"].verdict(counted_kg / max(limit, 1e-6)))
