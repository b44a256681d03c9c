"""What subjects keep in a setup, a line each: the same key in the setup, its file and its row."""

from collections.abc import Mapping
from typing import TYPE_CHECKING, Protocol, runtime_checkable

from pydantic import create_model

from neat_hull.model.base import Model
from neat_hull.model.day_plan import DayPlan
from neat_hull.model.demands import DemandNumbers
from neat_hull.model.fixing import FixingPlan
from neat_hull.model.glide import GlidePlan
from neat_hull.model.haul import HaulPlan
from neat_hull.model.hold import HoldPlan
from neat_hull.model.judging import Judging
from neat_hull.model.money_plan import MoneyPlan
from neat_hull.model.power import Power
from neat_hull.model.safety import SafetyPlan
from neat_hull.model.surf import SurfPlan


class Sections(Model):
    """Sections of a setup; one that is left out is as usual."""

    demands: DemandNumbers = DemandNumbers()
    judging: Judging = Judging()
    power: Power = Power()
    fixing: FixingPlan = FixingPlan()
    glide: GlidePlan = GlidePlan()
    hold: HoldPlan = HoldPlan()
    safety: SafetyPlan = SafetyPlan()
    haul: HaulPlan = HaulPlan()
    money: MoneyPlan = MoneyPlan()
    outing: DayPlan = DayPlan()
    surf: SurfPlan = SurfPlan()


@runtime_checkable
class AboutThings(Protocol):
    """A section that tells of things by their number."""

    def renumbered(self, ids: Mapping[int, int]) -> Model:
        """The same of things by other numbers; what tells of a thing without one goes."""


def renumbered(sections: Sections, ids: Mapping[int, int]) -> dict[str, Model]:
    """Sections that tell of things, of these by other numbers, by their key."""
    every = ((name, getattr(sections, name)) for name in Sections.model_fields)
    return {name: one.renumbered(ids) for name, one in every if isinstance(one, AboutThings)}


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
