"""What subjects keep in a setup, a line each: the same key in the setup, its file and its row."""

from typing import TYPE_CHECKING

from pydantic import create_model

from neat_hull.model.base import Model
from neat_hull.model.demands import DemandNumbers
from neat_hull.model.fixing import FixingPlan
from neat_hull.model.glide import GlidePlan
from neat_hull.model.hold import HoldPlan
from neat_hull.model.judging import Judging
from neat_hull.model.power import Power
from neat_hull.model.safety import SafetyPlan


class Sections(Model):
    """Sections of a setup; one that is left out is as usual."""

    demands: DemandNumbers = DemandNumbers()
    judging: Judging = Judging()
    power: Power = Power()
    fixing: FixingPlan = FixingPlan()
    glide: GlidePlan = GlidePlan()
    hold: HoldPlan = HoldPlan()
    safety: SafetyPlan = SafetyPlan()


if TYPE_CHECKING:

    class TriedSections(Model):
        """Sections to try out, whole; one that is null stays as kept."""

else:
    TriedSections = create_model(
        "TriedSections",
        __base__=Model,
        __doc__="Sections to try out, whole; one that is null stays as kept.",
        **{name: (field.annotation | None, None) for name, field in Sections.model_fields.items()},
    )
