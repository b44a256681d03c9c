"""Everything live about a setup, in one answer."""

from pydantic import ConfigDict

from neat_hull.model.afloat import Afloat, Curve, Strip
from neat_hull.model.base import Answer
from neat_hull.model.capsize_figures import CapsizeFigures
from neat_hull.model.day_figures import DayFigures
from neat_hull.model.evidence import Bands
from neat_hull.model.findings import Card, Finding
from neat_hull.model.fixing_figures import FixingFigures
from neat_hull.model.glide_figures import GlideFigures
from neat_hull.model.haul_figures import HaulFigures
from neat_hull.model.hold_figures import HoldFigures
from neat_hull.model.load import Weight
from neat_hull.model.power_figures import PowerFigures
from neat_hull.model.reach import Aboard
from neat_hull.model.room import Clash, TooNear
from neat_hull.model.sight import SeenFigures
from neat_hull.model.sonar import Sonar


class QuickFigures(Answer):
    """What is told at once while something is carried about: what is drawn under the hand, and how
    the boat lies. The rest follows when the hand pauses. `trouble` says why there is no `afloat`.
    """

    weight: Weight
    afloat: Afloat | None
    trouble: str | None
    curve: Curve | None
    strip: Strip | None
    aboard: list[Aboard]
    too_near: list[TooNear]
    bands: Bands | None


class Figures(QuickFigures):
    """Everything live about a setup.

    findings are what is worth looking at, the worst first; cards tell of those that nobody lives
    with, by cause. Each other line is a subject's part, by
    its key; a part that has no line yet goes along untyped.
    """

    model_config = ConfigDict(frozen=True, extra="allow")

    clashes: list[Clash]
    capsize: CapsizeFigures
    unchecked: list[str]
    seen: SeenFigures | None
    power: PowerFigures | None
    sonar: Sonar | None
    fixing: FixingFigures | None
    glide: GlideFigures | None
    hold: HoldFigures | None
    haul: HaulFigures | None
    outing: DayFigures | None
    findings: list[Finding]
    cards: list[Card]
