"""Through the surf: the second arrangement of a setup beside the first."""

from neat_hull.api.routes import routes
from neat_hull.api.state import Db, SetupId
from neat_hull.editing.evaluations import EVALUATIONS
from neat_hull.model.surf_figures import SurfLaid, SurfPage
from neat_hull.store.setups import load_setup
from neat_hull.subjects.surf.laying import laid_down
from neat_hull.whole.surf import surf_page

router = routes("surf", "/setups/{setup_id}/surf")


@router.get("")
def surf(setup_id: SetupId, db: Db) -> SurfPage:
    """Both side by side, each thing in the second, and what to change."""
    stored = load_setup(db, setup_id)
    return surf_page(EVALUATIONS.of(stored))


@router.get("/laid-down")
def laid(setup_id: SetupId, db: Db) -> SurfLaid:
    """Where everything would go that is to lie low, as far as there is room; nothing is stored."""
    stored = load_setup(db, setup_id)
    return SurfLaid(places=laid_down(EVALUATIONS.of(stored)))
