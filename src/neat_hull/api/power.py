"""The electrics in full: the day, loads, supplies, what to buy."""

from fastapi import Request, Response
from pydantic import Field

from neat_hull.api.routes import routes
from neat_hull.api.state import Db, SetupId
from neat_hull.editing.evaluations import EVALUATIONS
from neat_hull.editing.trial import Trial
from neat_hull.errors import InputError
from neat_hull.files.shopping_csv import write_shopping
from neat_hull.instruments.listener import BankHeard, Listener
from neat_hull.model.base import Model
from neat_hull.model.keyed import ThingId
from neat_hull.model.monitor import (
    BankRow,
    Fault,
    Monitor,
)
from neat_hull.model.power import Conductor
from neat_hull.model.power_day import FullPower
from neat_hull.rig.evaluated import Evaluated
from neat_hull.store.setups import load_setup
from neat_hull.subjects.power.buying import to_buy
from neat_hull.subjects.power.full import full_power
from neat_hull.subjects.power.monitoring import (
    bank_names,
    expected_ohm,
    full_ohm,
    judged,
    played,
)
from neat_hull.subjects.power.moves import new_wire


class NewWire(Model):
    """From what to what a wire is wanted."""

    start: ThingId
    end: ThingId


router = routes("power", "/setups/{setup_id}")


@router.post("/power")
def power(setup_id: SetupId, body: Trial, db: Db) -> FullPower:
    """The day as a chart, loads by phase, both supplies and a shopping list, of a trial; computes
    and stores nothing."""
    stored = load_setup(db, setup_id)
    return full_power(EVALUATIONS.tried(stored, body.on(stored.setup)))


@router.post("/power/wire")
def wire(setup_id: SetupId, body: NewWire, db: Db) -> Conductor:
    """A wire between two things aboard as one would lay it; stores nothing."""
    stored = load_setup(db, setup_id)
    for field, thing_id in (("start", body.start), ("end", body.end)):
        if thing_id not in stored.setup.places:
            raise InputError(field, thing_id, "this item is not aboard")
    if body.start == body.end:
        raise InputError("end", body.end, "a wire runs from one item to another")
    return new_wire(EVALUATIONS.of(stored), body.start, body.end)


@router.get("/power/shopping.csv")
def shopping(setup_id: SetupId, db: Db) -> Response:
    """What to buy for the wiring, a row each; lengths in m."""
    text = write_shopping(to_buy(EVALUATIONS.of(load_setup(db, setup_id))))
    headers = {"Content-Disposition": 'attachment; filename="wiring.csv"'}
    return Response(text, media_type="text/csv; charset=utf-8", headers=headers)


class PlayDay(Model):
    """How fast a simulated monitor plays the setup's day, and with which fault in it."""

    speed: float = Field(default=60.0, ge=1, le=600)
    fault: Fault = "none"


@router.get("/power/monitor")
def monitor(setup_id: SetupId, db: Db, request: Request) -> Monitor:
    """What a battery monitor says of the setup's banks, and what can be learned from it."""
    listener: Listener | None = request.app.state.listener
    ev = EVALUATIONS.of(load_setup(db, setup_id))
    said = {} if listener is None else {one.name: one for one in listener.banks()}
    names = bank_names(ev)
    return Monitor(
        state="off" if listener is None else listener.heard().state,
        banks=[_bank_row(ev, n, *row, said.get(row[2])) for n, row in enumerate(names)],
        others=[name for name in said if name not in {row[2] for row in names}],
    )


def _bank_row(
    ev: Evaluated, bank: int, name: str, battery: int, says: str, heard: BankHeard | None
) -> BankRow:
    expected, _ = expected_ohm(ev, bank)
    ohm = None if heard is None else heard.resistance_ohm
    se = None if heard is None else heard.resistance_se_ohm
    return BankRow(
        name=name,
        battery=battery,
        says=says,
        volts=None if heard is None else heard.volts,
        amps=None if heard is None else heard.amps,
        volts_se=0.0 if heard is None else heard.volts_se,
        amps_se=0.0 if heard is None else heard.amps_se,
        pairs=0 if heard is None else heard.pairs,
        measured_ohm=ohm,
        measured_se_ohm=se,
        expected_ohm=expected,
        full_ohm=None if ohm is None else full_ohm(ev, bank, ohm),
        verdict=judged(ohm, se, expected),
    )


@router.post("/power/monitor/play", status_code=204)
def play(setup_id: SetupId, body: PlayDay, db: Db, request: Request) -> None:
    """Have the simulated monitor play this setup's day; a real one passes it over."""
    listener: Listener | None = request.app.state.listener
    if listener is None:
        raise InputError("instrument", None, "there is none: start with one, or with the demo's")
    listener.play(played(EVALUATIONS.of(load_setup(db, setup_id)), body.fault), body.speed)
