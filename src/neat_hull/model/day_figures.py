"""How a day goes, as it goes out. Hours are of the local clock and run on past midnight."""

from typing import Literal

from neat_hull.model.base import Answer
from neat_hull.model.day_case import PhaseKind
from neat_hull.model.said import Said, Verdict

DayFigure = Literal["total_kg", "list_deg", "trim_deg", "freeboard_m", "floor_dry_m", "gm_m"]


class Cause(Answer):
    """What differs from the best moment: a thing, a store by its name, or the pull of the anchor's
    line; by how many kg, and by how many kg·m in what the figure hangs on, its mass for those that
    hang on that."""

    what: Literal["thing", "store", "pull"]
    thing_id: int | None
    store: str | None
    kg: float
    by: float


class WorstFigure(Answer):
    """A figure where it is worst: its value then and as the day begins, and how far that is of the
    way from fine to what wants a fix."""

    figure: DayFigure
    h: float
    phase: str
    kind: PhaseKind
    value: float
    at_first: float
    share: float
    verdict: Verdict
    causes: list[Cause]


class PackFigure(Answer):
    """A battery that feeds: left at the end, when it is empty, hours that its bank was dark."""

    bank: str
    battery: int
    left_wh: float
    usable_wh: float
    empty_h: float | None


class GoneFigure(Answer):
    """Something used up: when, null where it lasts."""

    store: str
    thing_id: int
    h: float | None
    left_kg: float


class SunFigure(Answer):
    """Rise and set on the local clock; hours afloat that want a light."""

    state: Literal["rises", "up all day", "down all day"]
    rise_h: float | None
    set_h: float | None
    lights_h: float


class DayFigures(Answer):
    """All that is live: the worst moment first. start_h to end_h; home_h is when it is hauled out,
    or the end. trouble says at which hour it does not float."""

    start_h: float
    home_h: float
    end_h: float
    worst: WorstFigure | None
    figures: list[WorstFigure]
    gone: list[GoneFigure]
    packs: list[PackFigure]
    dark_h: dict[str, float]
    sun: SunFigure | None
    cockpit_kg: float
    trouble: str | None


class HourRow(Answer):
    """A moment of the day, at a knot before or after what happens then. kg: each store's by name;
    lies are null while nothing is afloat, and lean_* where a lean goes over."""

    h: float
    side: Literal["before", "after", "at"]
    phase: str
    kind: PhaseKind
    total_kg: float
    kg: dict[str, float]
    ice_kg: dict[str, float]
    left_wh: dict[str, float]
    list_deg: float | None
    trim_deg: float | None
    draft_aft_m: float | None
    draft_fwd_m: float | None
    freeboard_m: float | None
    floor_dry_m: float | None
    gm_m: float | None
    lean_freeboard_m: float | None
    lean_heel_deg: float | None
    sun_altitude_deg: float | None
    figure: DayFigure | None
    share: float | None


class PhaseSpan(Answer):
    """A phase by its hours."""

    name: str
    kind: PhaseKind
    from_h: float
    until_h: float
    air_c: float


class DayPlace(Answer):
    """Where a store, or a thing that moves, acts at an hour: along and across."""

    h: float
    thing_id: int
    x_m: float
    y_m: float


class FullDay(Answer):
    """What is asked for on request: every moment, the phases by their hours, what each figure's
    worst moment came of, in words."""

    figures: DayFigures
    phases: list[PhaseSpan]
    rows: list[HourRow]
    moved: list[DayPlace]
    told: list[Said]


class DayRound(Answer):
    """How far a day is worked out: so many moments of all; the last round has the day."""

    done: int
    total: int
    day: FullDay | None
