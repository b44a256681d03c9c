"""How things are fixed, in full; templates to drill by; the plan of the work."""

from typing import Literal

from fastapi import Response

from neat_hull.api.routes import routes
from neat_hull.api.state import Db, SetupId
from neat_hull.editing.evaluations import EVALUATIONS
from neat_hull.editing.trial import Trial
from neat_hull.files.said_text import Units
from neat_hull.files.template_dxf import template_dxf
from neat_hull.files.template_pdf import template_pdf
from neat_hull.files.template_svg import template_svg
from neat_hull.files.wall_sheet import Paper
from neat_hull.files.work_sheet import work_sheet
from neat_hull.model.base import Answer
from neat_hull.model.fixing_figures import FullFixing, WorkPlan
from neat_hull.store.setups import load_setup
from neat_hull.subjects.fixing.full import full_fixing
from neat_hull.subjects.fixing.plan import work_plan
from neat_hull.subjects.fixing.templates import template, template_keys

router = routes("fixing", "/setups/{setup_id}")


class TemplateKey(Answer):
    """Something that has a template."""

    key: str
    name: str


@router.post("/fixing")
def fixing(setup_id: SetupId, body: Trial, db: Db) -> FullFixing:
    """Mounts with what pulls at them and what else could be done, walls, and the plan of the work,
    of a trial; stores nothing."""
    stored = load_setup(db, setup_id)
    return full_fixing(EVALUATIONS.tried(stored, body.on(stored.setup)))


@router.get("/fixing/templates")
def templates(setup_id: SetupId, db: Db) -> list[TemplateKey]:
    """What has a template."""
    ev = EVALUATIONS.of(load_setup(db, setup_id))
    return [TemplateKey(key=key, name=name) for key, name in template_keys(ev)]


@router.get("/fixing/template")
def drilling_template(
    setup_id: SetupId,
    db: Db,
    key: str = "",
    form: Literal["pdf", "svg", "dxf"] = "pdf",
    paper: Paper = "a4",
    inside: bool = False,
) -> Response:
    """One template, one to one."""
    one = template(EVALUATIONS.of(load_setup(db, setup_id)), key)
    if inside:
        one = one.mirrored()
    if form == "pdf":
        return _file(template_pdf(one, paper), "application/pdf", "template.pdf")
    if form == "svg":
        return _file(template_svg(one), "image/svg+xml", "template.svg")
    return _file(template_dxf(one), "image/vnd.dxf", "template.dxf")


@router.get("/fixing/work")
def plan(setup_id: SetupId, db: Db) -> WorkPlan:
    """The plan of the work."""
    return work_plan(EVALUATIONS.of(load_setup(db, setup_id)))


@router.get("/fixing/work.pdf")
def work(setup_id: SetupId, db: Db, units: Units = "metric", paper: Paper = "a4") -> Response:
    """The plan of the work, to take to the garage."""
    ev = EVALUATIONS.of(load_setup(db, setup_id))
    page = work_sheet(ev.setup.name, work_plan(ev), units, paper)
    return _file(page, "application/pdf", "work.pdf")


def _file(content: str | bytes, kind: str, name: str) -> Response:
    headers = {"Content-Disposition": f'inline; filename="{name}"'}
    return Response(content, media_type=kind, headers=headers)
