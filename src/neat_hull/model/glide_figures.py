"""What a setup comes to as it goes, as it goes out: speeds, what each thing costs, drift, range."""

from neat_hull.model.base import Answer
from neat_hull.model.glide import Stroke


class Newtons(Answer):
    """What holds the boat back at a speed, by cause."""

    speed_m_s: float
    friction_n: float
    base_n: float
    wave_n: float
    appendage_n: float
    air_n: float
    total_n: float


class ThingCost(Answer):
    """One thing's own part of it at the speed that the effort gives; thing_id is null of the boat's
    own. lifts: it can be lifted, or laid down, on the way."""

    thing_id: int | None
    name: str
    water_n: float
    air_n: float
    share: float
    lifts: bool


class DriftFigure(Answer):
    """A drift in the set wind: through the water and over ground, and how the boat lies in it.

    wind_off_bow_deg 0: the wind from ahead. heading_deg, toward_deg (through the water) and
    ground_toward_deg by compass.
    """

    speed_m_s: float
    share_of_wind: float
    wind_off_bow_deg: float
    off_downwind_deg: float
    heading_deg: float
    toward_deg: float
    ground_m_s: float
    ground_toward_deg: float
    drogue_n: float


class WayFigure(Answer):
    """A leg of the trip by motor."""

    ground_m_s: float
    hours: float
    wh: float


class TripFigure(Answer):
    """Out and back at the set step; used_share of what is usable, null where there is no way."""

    out: WayFigure | None
    back: WayFigure | None
    used_share: float | None
    turn_back_m: float | None


class RingPoint(Answer):
    """How far out one may go on a heading and back so that the reserve is left, at the set step;
    windy: in half as much wind again. Null without way."""

    heading_deg: float
    turn_back_m: float | None
    windy_m: float | None


class StepFigure(Answer):
    """One step of a motor on the set heading; null where it does not get away."""

    step: float
    speed_m_s: float | None
    thrust_n: float | None
    power_w: float | None
    hours: float | None
    ground_m_s: float | None
    range_m: float | None


class MotorFigure(Answer):
    """The motor: what it may draw on, at the set step and out and back; windy in half as much wind
    again. wired: a battery feeds it; else all aboard are reckoned with."""

    thing_id: int
    usable_wh: float
    wired: bool
    set_step: StepFigure
    trip: TripFigure
    windy: TripFigure


class TowFigure(Answer):
    """Towing at one's own effort: how fast, null past what a body drives; the pull on the line, the
    towed boat's resistance alike to one's own by its weight. from_end_m is how far from the nearer
    end of the boat the line is fixed; in_reach whether its release is at hand, or with a lean."""

    speed_m_s: float | None
    alone_m_s: float | None
    pull_n: float | None
    at_x_m: float
    from_end_m: float
    in_reach: bool


class GlideFigures(Answer):
    """All that is live about it. bare: boat, its own parts and the angler alone. Speeds are null
    past what a body drives; back_m_s and way_m_s are made good over ground, null without way."""

    stroke: Stroke
    effort_w: float
    efficiency: float
    speed_m_s: float | None
    bare_m_s: float | None
    min_per_km: float | None
    extra_min_per_km: float | None
    extra_share: float | None
    way_m_s: float | None
    back_m_s: float | None
    at: Newtons | None
    froude: float | None
    costs: list[ThingCost]
    drift: DriftFigure | None
    drogued: DriftFigure | None
    drogue_id: int | None
    motor: MotorFigure | None
    tow: TowFigure | None


class TrolledLine(Answer):
    """A line that trails from a rod: places [along, to port] on the plan, in line and in a turn."""

    thing_id: int
    name: str
    tip: tuple[float, float]
    length_m: float
    lure: tuple[float, float]
    turning: list[tuple[float, float]]


class Trolling(Answer):
    """Lines behind the boat. crossing: pairs that cross in the set turn; least_turn_m is the
    tightest turn in which none do, null where they cross at once; spread_m how broad they trail."""

    lines: list[TrolledLine]
    crossing: list[tuple[int, int]]
    least_turn_m: float | None
    spread_m: float


class RunFit(Answer):
    """A timed run: the efficiency it gives, and ±."""

    speed_m_s: float
    total_n: float
    efficiency: float | None
    band: float


class PullFit(Answer):
    """Pulls: form and wave factor that go through them best; residuals in N. trouble says why they
    are refused."""

    form_factor: float | None
    wave_factor: float | None
    residual_n: list[float]
    trouble: str | None


class DriftFit(Answer):
    """A drift: what the wind gets hold of, over what was reckoned."""

    speed_m_s: float
    wind_factor: float | None
    trouble: str | None


class UsualEffort(Answer):
    """An effort that people know by a word."""

    words: str
    effort_w: float


class FullGlide(Answer):
    """Curves of the boat full and bare by speed, steps of the motor, lines, and what tests give.

    effort_w is what each speed of the curve asks of the body, never less than nothing; band_n is ±
    of the total at each speed of the curve, band_at_n at the speed that the effort
    gives.
    """

    name: str
    wetted_area_m2: float
    wet_length_m: float
    displacement_kg: float
    curve: list[Newtons]
    bare: list[Newtons]
    effort_w: list[float]
    band_n: list[float]
    band_at_n: float | None
    steps: list[StepFigure]
    best_step: float | None
    ring: list[RingPoint]
    trolling: Trolling | None
    usual: list[UsualEffort]
    run_fit: RunFit | None
    pull_fit: PullFit | None
    drift_fit: DriftFit | None
