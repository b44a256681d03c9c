"""From nothing to a first setup: what is typical, what is taken along, and the demo to look at."""

from neat_hull.api.routes import routes
from neat_hull.api.state import Db, MakingDb, SetupState, draw, state_of
from neat_hull.editing.demo import add_demo
from neat_hull.editing.starting import FirstMeasures, starting_setup
from neat_hull.editing.steps import require_named
from neat_hull.files.catalog import kit
from neat_hull.model.base import Answer
from neat_hull.model.drawing import Drawing
from neat_hull.model.figures import QuickFigures
from neat_hull.model.kit import KitItem
from neat_hull.model.setup import Setup
from neat_hull.store.connect import transaction
from neat_hull.store.setups import add_setup
from neat_hull.whole.evaluate import evaluated, quick, require_afloat

router = routes("starting")


class Started(Answer):
    """A setup as it would be, with its figures and its drawing; nothing is kept of it."""

    setup: Setup
    figures: QuickFigures
    drawing: Drawing


class DemoAdded(Answer):
    """Where to look first."""

    setup_id: int


@router.get("/start/kit")
def usual_kit() -> list[KitItem]:
    """Generic things to take along, where each usually goes, and on which trips most take it."""
    return list(kit())


@router.post("/start/preview")
def preview_start(body: FirstMeasures) -> Started:
    """What such a boat comes to so far: what is not measured typical, and marked assumed."""
    setup = starting_setup(body, kit())
    require_named(setup)
    return Started(setup=setup, figures=quick(evaluated(setup)), drawing=draw(setup))


@router.post("/start/demo")
def start_demo(db: Db) -> DemoAdded:
    """Add the demo's setups beside what is there; nothing where they are there already."""
    with transaction(db):
        return DemoAdded(setup_id=add_demo(db))


@router.post("/setups", status_code=201)
def start_setup(body: FirstMeasures, making: MakingDb) -> SetupState:
    """A new boat and angler from first measures, with what they usually take along."""
    setup = starting_setup(body, kit())
    require_named(setup)
    # Boat and angler must float; what is then put aboard may well be too much, and is told.
    require_afloat(setup.model_copy(update={"things": {}, "places": {}}))
    return state_of(making.setup(lambda db: add_setup(db, setup)))
