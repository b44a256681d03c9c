"""The page to leave with a person: kept here, printed or saved by the user, sent by nobody."""

from fastapi import Response

from neat_hull.api.routes import routes
from neat_hull.api.state import Db, SetupId
from neat_hull.editing.edits import ChangedFields, patched
from neat_hull.editing.evaluations import EVALUATIONS
from neat_hull.files.float_plan import missing, write_float_plan
from neat_hull.model.float_plan import FloatPlan, FloatPlanPage
from neat_hull.rig.evaluated import Evaluated
from neat_hull.store.connect import Connection, transaction
from neat_hull.store.float_plans import keep_float_plan, load_float_plan
from neat_hull.store.setups import load_setup
from neat_hull.subjects.sight.aboard import shown_and_heard

router = routes("float plan", "/setups/{setup_id}/float-plan")


@router.get("")
def float_plan(setup_id: SetupId, db: Db) -> FloatPlanPage:
    """As kept, and the page as it prints."""
    return _page(db, setup_id, load_float_plan(db, setup_id))


@router.patch("")
def change_float_plan(setup_id: SetupId, body: ChangedFields, db: Db) -> FloatPlanPage:
    """Keep fields of it, in the newest state. No undo of a setup touches it."""
    with transaction(db):
        plan = patched(load_float_plan(db, setup_id), body.fields, "float_plan")
        page = _page(db, setup_id, plan)
        keep_float_plan(db, setup_id, plan)
    return page


@router.get("/float-plan.txt")
def float_plan_text(setup_id: SetupId, db: Db) -> Response:
    """The page as a file."""
    return Response(
        float_plan(setup_id, db).text,
        media_type="text/plain; charset=utf-8",
        headers={"content-disposition": 'attachment; filename="float-plan.txt"'},
    )


def _page(db: Connection, setup_id: int, plan: FloatPlan) -> FloatPlanPage:
    ev = EVALUATIONS.of(load_setup(db, setup_id))
    return FloatPlanPage(plan=plan, text=float_plan_told(ev, plan), missing=missing(plan))


def float_plan_told(ev: Evaluated, plan: FloatPlan) -> str:
    """The page, for a setup that is evaluated."""
    setup, things = ev.setup, shown_and_heard(ev)
    return write_float_plan(plan, boat=setup.boat.name, day=setup.day, things=things)
