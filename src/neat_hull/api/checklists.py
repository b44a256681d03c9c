"""Checklists of a setup, own lines in them, and the page to take along."""

from datetime import date
from typing import Annotated

from fastapi import Path as PathParam
from fastapi import Response

from neat_hull.api.float_plan import float_plan_told
from neat_hull.api.routes import routes
from neat_hull.api.state import Db, SetupId, draw
from neat_hull.editing.evaluations import EVALUATIONS
from neat_hull.files.deck_svg import deck_svg
from neat_hull.files.said_text import Units, list_said, said, trim_said
from neat_hull.files.take_along import TakeAlong, policy, write_take_along
from neat_hull.model.checklists import Checklists, LineHidden, ListName, ListText
from neat_hull.model.figures import Figures
from neat_hull.model.said import Said
from neat_hull.rig.evaluated import Evaluated
from neat_hull.store.checklists import add_line, change_line, drop_line, hide_line, list_lines
from neat_hull.store.connect import Connection, transaction
from neat_hull.store.float_plans import load_float_plan
from neat_hull.store.log import load_log
from neat_hull.store.setups import StoredSetup, load_setup
from neat_hull.subjects.log.care import care
from neat_hull.subjects.log.lists import checklists
from neat_hull.whole.evaluate import live

LineId = Annotated[int, PathParam(ge=1, le=2**62)]
MOST_FINDINGS = 12  # on a phone; the screens have them all
router = routes("checklists", "/setups/{setup_id}/lists")


@router.get("")
def lists(setup_id: SetupId, db: Db) -> Checklists:
    """All four."""
    stored = load_setup(db, setup_id)
    return _lists(db, stored, EVALUATIONS.of(stored))


@router.post("/{name}/lines", status_code=201)
def add_own(setup_id: SetupId, name: ListName, body: ListText, db: Db) -> Checklists:
    """A line of one's own, last in its list."""
    with transaction(db):
        load_setup(db, setup_id)
        add_line(db, setup_id, name, body.text)
    return lists(setup_id, db)


@router.put("/lines/{line_id}")
def change_own(setup_id: SetupId, line_id: LineId, body: ListText, db: Db) -> Checklists:
    """As it now reads."""
    with transaction(db):
        change_line(db, setup_id, line_id, body.text)
    return lists(setup_id, db)


@router.delete("/lines/{line_id}")
def drop_own(setup_id: SetupId, line_id: LineId, db: Db) -> Checklists:
    """Gone for good."""
    with transaction(db):
        drop_line(db, setup_id, line_id)
    return lists(setup_id, db)


@router.put("/{name}/hidden")
def hide(setup_id: SetupId, name: ListName, body: LineHidden, db: Db) -> Checklists:
    """A line that the setup makes, left out or back."""
    with transaction(db):
        load_setup(db, setup_id)
        hide_line(db, setup_id, name, body.line, body.hidden)
    return lists(setup_id, db)


@router.get("/take-along.html")
def take_along(setup_id: SetupId, db: Db, units: Units = "metric", show: bool = False) -> Response:
    """One HTML file for the phone; `show` opens it instead of keeping it."""
    stored = load_setup(db, setup_id)
    ev = EVALUATIONS.of(stored)
    setup, figures = stored.setup, live(ev)
    page = TakeAlong(
        setup_id=setup_id,
        revision=stored.revision,
        setup=setup.name,
        boat=setup.boat.name,
        day=setup.day,
        water=setup.water,
        figures=[(name, said(words, units)) for name, words in _figures(ev, figures)],
        findings=[
            one.title
            for one in figures.findings
            if one.accepted is None and one.verdict in ("stop", "fix")
        ][:MOST_FINDINGS],
        lists=_lists(db, stored, ev).lists,
        deck=deck_svg(setup, draw(setup), figures),
        plan=float_plan_told(ev, load_float_plan(db, setup_id)),
        items=[(i, setup.things[i].name) for i in sorted(setup.places)],
        packs=[(i, setup.things[i].name) for i in sorted(setup.places) if setup.things[i].battery],
    )
    kept = "inline" if show else 'attachment; filename="take-along.html"'
    return Response(
        write_take_along(page, units),
        media_type="text/html; charset=utf-8",
        headers={"content-disposition": kept, "content-security-policy": policy()},
    )


def _lists(db: Connection, stored: StoredSetup, ev: Evaluated) -> Checklists:
    log = load_log(db)
    looked_after = care(ev, log, stored.boat_id, date.today().isoformat())
    kept = list_lines(db, stored.setup_id)
    return Checklists(lists=checklists(ev, log, looked_after, kept))


def _figures(ev: Evaluated, figures: Figures) -> list[tuple[str, Said]]:
    """What one looks up at the ramp."""
    weight, afloat = figures.weight, figures.afloat
    rows = [("Carried", Said.of("{}", mass=weight.carried_kg))]
    if weight.working_kg is not None:
        rows.append(("Working load", Said.of("{}", mass=weight.working_kg)))
    if weight.rated_kg is not None:
        rows.append(("Rated capacity", Said.of("{}", mass=weight.rated_kg)))
    rows.append(("All up", Said.of("{}", mass=weight.all_up_kg)))
    if afloat is None:
        return [*rows, ("Afloat", Said.of(figures.trouble or "no figures"))]
    rows += [
        ("Trim", trim_said(afloat.trim_deg)),
        ("List", list_said(afloat.heel_deg)),
        ("Stability (GM)", Said.of("{}", length=afloat.gm_m)),
        ("Least freeboard", Said.of("{}", length=afloat.least_freeboard_m)),
    ]
    return rows
