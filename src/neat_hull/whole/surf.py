"""Both arrangements of a setup side by side: to fish with, and through the surf."""

from neat_hull.errors import DoesNotFloat, InputError, NoBalance
from neat_hull.model.surf_figures import SurfPage
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.surf.arrangement import in_surf
from neat_hull.subjects.surf.figures import down, rows, steps
from neat_hull.whole.compare import compare
from neat_hull.whole.evaluate import evaluated


def surf_page(ev: Evaluated) -> SurfPage:
    """All of it for a setup."""
    try:
        surf = evaluated(in_surf(ev.setup), ev.beside, ev)
        told = rows(ev, surf)
        sides = compare([("Fishing", ev), ("Through the surf", surf)])
    except (InputError, DoesNotFloat, NoBalance) as trouble:
        return SurfPage(sides=None, rows=[], steps=[], down=down(ev), trouble=str(trouble))
    return SurfPage(sides=sides, rows=told, steps=steps(surf, told), down=down(ev), trouble=None)
