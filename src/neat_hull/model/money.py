"""What gear has cost and will: purchases, which are their owner's and no setup's, and what is told
of them. All money is in whole minor units, see `model.money_plan`."""

from typing import Literal

from pydantic import Field

from neat_hull.model.base import Answer, Model
from neat_hull.model.money_plan import Minor, Phase
from neat_hull.model.said import Said, Verdict
from neat_hull.model.setup import Day
from neat_hull.model.thing import Serves

Ended = Literal["kept", "replaced", "lost", "sold", "broke"]


class Purchase(Model):
    """What was paid for a thing, or for something that is none; resale_minor is what it brought, or
    would bring. ended: what became of it."""

    thing_id: int | None = Field(default=None, ge=1, le=2**62)
    what: str = Field(default="", max_length=80)
    on_day: Day | None = None
    minor: Minor
    resale_minor: Minor = 0
    ended: Ended = "kept"


class KeptPurchase(Purchase):
    """As kept."""

    purchase_id: int


class LedgerRow(Answer):
    """A thing, or a purchase of what is none. minor is what was paid, or its price where nobody
    said; null: no price. wasted_minor is what is gone of it, per_trip_minor what it has cost each
    trip, null where nobody has counted them or it is not bought; unused: the log
    says that it lay so for long, and all that it cost is wasted so far."""

    thing_id: int | None
    name: str
    where: str | None
    bought: bool
    minor: int | None
    paid: bool
    resale_minor: int
    wasted_minor: int
    per_trip_minor: int | None
    unused: bool
    purchases: list[KeptPurchase]


class PlaceRow(Answer):
    """What is in one part of the boat; null: ashore."""

    where: str | None
    count: int
    bought_minor: int
    planned_minor: int


class MustRow(Answer):
    """Something this trip asks for before anything else: had, to be bought, or nothing known that
    would do; verdict is that of going without."""

    service: Serves
    state: Literal["have", "buy", "missing"]
    thing_id: int | None
    minor: int | None
    verdict: Verdict


class WantRow(Answer):
    """Something planned: what of the findings it clears, its worth, whether the budget takes it.
    instead: for its price these bring more."""

    thing_id: int
    minor: int
    value: int
    clears: list[Said]
    chosen: bool
    instead: list[int]
    too_dear: bool


class BudgetFigure(Answer):
    """musts first, worst first; left_minor is what they leave of the budget, negative where they
    alone are over it; null without one. wants are in the order of what they clear."""

    musts: list[MustRow]
    must_minor: int
    left_minor: int | None
    wants: list[WantRow]
    chosen_minor: int


class PhaseRow(Answer):
    """The boat as it is in a phase, and against the one before: what comes and goes, what it costs
    from there on, findings that come and go."""

    phase: Phase
    comes: list[int]
    goes: list[int]
    gear_kg: float
    carried_kg: float
    weight_verdict: Verdict
    trim_deg: float | None
    heel_deg: float | None
    gm_m: float | None
    least_freeboard_m: float | None
    trouble: str | None
    cost_minor: int
    total_minor: int
    unpriced: list[int]
    holes: int
    idle_holes: list[str]
    stop: int
    fix: int
    watch: int
    gained: list[Said]
    lost: list[Said]


class MoneyPage(Answer):
    """All of it. wasted_minor: price less resale of what was replaced, lost or broke, or
    lies unused; per_trip_minor null while nobody has counted trips; trips as counted, by the log
    where that has more (logged)."""

    rows: list[LedgerRow]
    places: list[PlaceRow]
    bought_minor: int
    planned_minor: int
    resale_minor: int
    wasted_minor: int
    trips: int | None
    logged: int
    per_trip_minor: int | None
    unpriced: list[int]
    budget: BudgetFigure
    phases: list[PhaseRow]
