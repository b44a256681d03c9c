"""The electrics in full: the day, loads, supplies, what to buy."""

from fastapi import APIRouter, Response

from neat_hull.api.answers import Written
from neat_hull.api.state import Db, SetupId
from neat_hull.editing.trial import Trial
from neat_hull.errors import InputError
from neat_hull.files.shopping_csv import write_shopping
from neat_hull.model.base import Model
from neat_hull.model.power import Conductor, ThingId
from neat_hull.model.power_day import FullPower
from neat_hull.store.setups import load_setup
from neat_hull.subjects.power.buying import to_buy
from neat_hull.subjects.power.full import full_power
from neat_hull.subjects.power.moves import new_wire
from neat_hull.whole.evaluate import evaluated


class NewWire(Model):
    """From what to what a wire is wanted."""

    start: ThingId
    end: ThingId


router = APIRouter(prefix="/setups/{setup_id}", tags=["power"], route_class=Written)


@router.post("/power")
def power(setup_id: SetupId, body: Trial, db: Db) -> FullPower:
    """The day as a chart, loads by phase, both supplies and a shopping list, of a trial; computes
    and stores nothing."""
    return full_power(evaluated(body.on(load_setup(db, setup_id).setup)))


@router.post("/power/wire")
def wire(setup_id: SetupId, body: NewWire, db: Db) -> Conductor:
    """A wire between two things aboard as one would lay it; stores nothing."""
    setup = load_setup(db, setup_id).setup
    for field, thing_id in (("start", body.start), ("end", body.end)):
        if thing_id not in setup.places:
            raise InputError(field, thing_id, "this item is not aboard")
    if body.start == body.end:
        raise InputError("end", body.end, "a wire runs from one item to another")
    return new_wire(evaluated(setup), body.start, body.end)


@router.get("/power/shopping.csv")
def shopping(setup_id: SetupId, db: Db) -> Response:
    """What to buy for the wiring, a row each; lengths in m."""
    setup = load_setup(db, setup_id).setup
    text = write_shopping(to_buy(evaluated(setup)))
    headers = {"Content-Disposition": 'attachment; filename="wiring.csv"'}
    return Response(text, media_type="text/csv; charset=utf-8", headers=headers)
