"""How things are held, as it goes out: mounts, holes, walls, and the plan of the work."""

from typing import Literal

from neat_hull.model.base import Answer, Point
from neat_hull.model.fixing import BoltSize, FastenBy, HoleState, Load, Plate, Region, Seal
from neat_hull.model.mount_case import Duration
from neat_hull.model.said import Said, Verdict

CheckName = Literal[
    "bolt", "hold", "bearing", "tear", "twist", "punch", "wall", "peel", "bond_shear"
]
HoleFlag = Literal["low", "close", "edge", "no hand", "idle"]


class MountFigure(Answer):
    """One mount of a thing or a fitting. usual: nobody has said how it is mounted.

    corners and bolts are places on the boat; a round base has its corners on its rim. least is the
    least strength over what is asked, of check `governs` in situation `worst_in`. tilt_deg is the
    most that it tilts at once, droop_deg after days, play_deg what slack adds to either.
    """

    key: str
    thing_id: int | None
    fitting: str | None
    name: str
    usual: bool
    by: FastenBy
    region: Region
    size: BoltSize
    shape: Literal["rect", "round"]
    length_m: float
    width_m: float
    turn_deg: float
    at: Point
    corners: list[Point]
    bolts: list[Point]
    on_track: str | None
    least: float | None
    governs: CheckName | None
    worst_in: str
    tilt_deg: float
    droop_deg: float
    play_deg: float
    screen: bool
    drills: int
    verdict: Verdict


class HoleFigure(Answer):
    """One hole in the hull. thing_id: the item whose mount or wire it is of, null of a fitting's or
    of nothing's; of_wire: the electrics judge it.

    over_m is its least height over the water, at heel_deg; spacing and edge in diameters; behind:
    the hatch through which a hand comes, spare_m what the arm has left; template: the key of the
    one it is drilled by. needs_hand where its fastener has a nut; null where there is nothing to
    measure.
    """

    name: str
    thing_id: int | None
    of_wire: bool
    at: Point
    d_mm: float
    state: HoleState
    used_by: str | None
    over_m: float | None
    heel_deg: float
    spacing_d: float | None
    nearest: str | None
    edge_d: float | None
    seal: Seal
    template: str | None
    needs_hand: bool
    behind: str | None
    spare_m: float | None
    through_hull: bool
    flags: list[HoleFlag]
    verdict: Verdict


class WallFigure(Answer):
    """A region of the hull as it is reckoned with. measured: it was pressed."""

    region: Region
    thickness_mm: float
    core_mm: float
    radius_m: float
    thickness_usual: bool
    measured: bool
    mounts: int


class FixingFigures(Answer):
    """All that is live about how things are fixed; holes that are there, planned and idle."""

    mounts: list[MountFigure]
    holes: list[HoleFigure]
    drilled: int
    planned: int
    idle: int


class Pull(Answer):
    """What one bolt bears in a situation, N."""

    tension_n: float
    shear_n: float


class Check(Answer):
    """One check: strength over demand."""

    name: CheckName
    safety: float
    verdict: Verdict


class SituationFigure(Answer):
    """A mount in one situation: loads in its own axes (along, across, out), and what they do."""

    name: str
    duration: Duration
    force_n: Point
    moment_nm: Point
    acts_at_m: Point
    bolts: list[Pull]
    press_n: float | None
    tilt_deg: float
    tilt_bare_deg: float
    sink_mm: float
    wall_mpa: float
    checks: list[Check]


class WhatIf(Answer):
    """A mount done otherwise: in words, the fields that change, and what it comes to."""

    words: Said
    fields: dict[str, object]
    least: float
    tilt_deg: float
    added_kg: float


class MountDetail(Answer):
    """One mount in full. plate_side_m: the smallest square of aluminium 3 mm that keeps it within
    its limit, 0 where none is needed, null where none does. loads_n: what pulls at it besides
    its own weight, as it is reckoned, or as it would be if it did (a leash, an axle).
    """

    key: str
    limit_deg: float
    wall_thickness_mm: float
    core_mm: float
    radius_m: float
    washer_mm: float
    plate: Plate | None
    situations: list[SituationFigure]
    plate_side_m: float | None
    loads_n: dict[Load, float]
    what_if: list[WhatIf]


class WorkStep(Answer):
    """A step of the work. code is kept when it is ticked off; start_min from the start of work."""

    code: str
    words: Said
    of: str
    needs: list[str]
    hands_min: float
    wait_min: float
    start_min: float
    tools: list[str]
    bit_mm: float | None
    parts: list[str]
    done_on: str | None


class Need(Answer):
    """Something to have ready: how many, and the price of all of them where it is known."""

    what: str
    count: float
    unit: Literal["pcs", "m", "ml"]
    price: float | None


class WorkPlan(Answer):
    """The order of the work, for one pair of hands; bits in the order they are used."""

    steps: list[WorkStep]
    hands_min: float
    finish_min: float
    longest_min: float
    left_min: float
    bits_mm: list[float]
    tools: list[str]
    needs: list[Need]
    cautions: list[str]
    trouble: str | None


class FullFixing(Answer):
    """The mounts in full, the walls, and the plan of the work."""

    mounts: list[MountDetail]
    walls: list[WallFigure]
    plan: WorkPlan
    regrets: list[Said]
