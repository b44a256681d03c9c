"""What rules look at: one evaluated setup, with what several of them need worked out once."""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import cached_property

from neat_hull.analysis.demand_readings import DemandReading, demand_readings
from neat_hull.analysis.limits import Levels, limits_for
from neat_hull.analysis.rigging import Rigged, Stowed
from neat_hull.analysis.rods import RodEnds, rod_ends
from neat_hull.analysis.whereabouts import whereabouts
from neat_hull.model.figures import Aboard, Amount, Figures, HowKind, Said, Spot, Verdict
from neat_hull.model.judging import LimitKey
from neat_hull.model.setup import Setup
from neat_hull.model.thing import Serves, Thing
from neat_hull.physics import hydrostatics

WHOLE = "The whole boat"


@dataclass(frozen=True, eq=False)
class Case:
    """A setup with its figures; elsewhere are things that another setup of the day has too."""

    rigged: Rigged
    settled: hydrostatics.Settled | None
    up: hydrostatics.Upright | None
    curve: hydrostatics.RightingCurve | None
    figures: Figures
    elsewhere: Sequence[tuple[int, str]] = ()

    @property
    def setup(self) -> Setup:
        """What is judged."""
        return self.rigged.setup

    @cached_property
    def table(self) -> dict[LimitKey, Levels]:
        """The limits of its profile."""
        return limits_for(self.setup.judging)

    @cached_property
    def rows(self) -> dict[int, Aboard]:
        """Things aboard by id, in the order from bow to stern."""
        return {row.thing_id: row for row in self.figures.aboard}

    @cached_property
    def stowed(self) -> dict[int, Stowed]:
        """Where they act, by id."""
        return {one.thing_id: one for one in self.rigged.stowed}

    @cached_property
    def rods(self) -> list[RodEnds]:
        """Where rods end, in the order of the list."""
        return rod_ends(self.rigged)

    @cached_property
    def demands(self) -> list[DemandReading]:
        """What the trip asks of the boat; empty where it does not float."""
        afloat, bands = self.figures.afloat, self.figures.bands
        if self.settled is None or self.curve is None or afloat is None or bands is None:
            return []
        return demand_readings(self.rigged, self.settled, self.curve, afloat.gm_m, bands.gm_m)

    def thing(self, thing_id: int) -> Thing:
        """A thing of the pile."""
        return self.setup.things[thing_id]

    def name(self, thing_id: int) -> str:
        """What its owner calls it, fit for words that hold amounts."""
        return plain(self.thing(thing_id).name)

    def serving(self, service: Serves) -> list[int]:
        """Things aboard that serve as one of the basics."""
        return [i for i in self.rows if service in self.thing(i).serves]

    def covered(self, thing_id: int) -> bool:
        """Shut in: in a hatch, or in something with a lid or a zip, itself or what it is in."""
        at: int | None = thing_id
        while at is not None:
            on, holder = self.setup.places[at].on, self.rigged.placing.holder(at)
            if on is not None and on.spot == "in":
                box = None if holder is None else self.thing(holder)
                if box is not None and box.inner_m is not None and box.opens != "open":
                    return True
                if box is None and on.name in self._hatches:
                    return True
            at = holder
        return False

    @cached_property
    def _hatches(self) -> set[str]:
        return {f.name for f in self.setup.boat.fittings if f.kind == "hatch"}

    def at_fitting(self, x_m: float, y_m: float) -> str:
        """What people call a place on the boat."""
        return whereabouts(self.rigged.floating.hull, self.setup.seat, x_m, y_m)


@dataclass(frozen=True)
class Found:
    """What a rule says; the judge adds where it is and whether it was accepted.

    `part` tells apart several findings of one rule about one thing.
    """

    verdict: Verdict
    title: Said
    why: str
    clear: Said
    badness: float
    thing_id: int | None = None
    other_id: int | None = None
    part: str = ""
    where: str = ""
    at: Spot | None = None
    figure: Amount | None = None
    band: float | None = None
    limit: Amount | None = None
    limit_key: LimitKey | None = None
    caution: str = ""


def against(
    case: Case, key: LimitKey, value: float, title: Said, clear: Said,
    why: str | None = None, least: Verdict | None = None, band: float | None = None,
    thing_id: int | None = None, other_id: int | None = None, part: str = "", where: str = "",
    at: Spot | None = None, caution: str = "",
) -> list[Found]:  # fmt: skip
    """A finding where a value is past the fine level of a limit; none otherwise.

    `least` is the mildest verdict that it may have.
    """
    levels = case.table[key]
    verdict = levels.verdict(value)
    if verdict == "fine":
        return []
    limit = levels.crossed(value)
    if least == "fix" and verdict == "watch":
        verdict = "fix"
    return [
        Found(
            verdict=verdict,
            title=title,
            why=why or levels.reason,
            clear=clear,
            badness=levels.beyond(value),
            thing_id=thing_id,
            other_id=other_id,
            part=part,
            where=where,
            at=at,
            figure=amount(levels.kind, value),
            band=band,
            limit=amount(levels.kind, limit),
            limit_key=key,
            caution=caution,
        )
    ]


def plain(text: str) -> str:
    """A name inside words: braces stand for amounts there."""
    return text.replace("{", "(").replace("}", ")")


def amount(kind: HowKind, value: float) -> Amount:
    """A quantity in SI."""
    return Amount(kind=kind, value=float(value))
