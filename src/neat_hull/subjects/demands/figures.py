"""What makes a kayak lean, squat or dip, and how much of its righting lever that takes.

A demand changes the posture, adds weights, or pulls from outside. Margin used is the heeling lever
over the greatest righting lever of the same weights on the centreline. The figures are the passive
boat; people balance as well.

`readings` reads all that a trip demands off the hull's cross curves, in the time of a drag, and
finds the levers that decide for what comes near a limit. `solved` solves each demand in full; the
two are compared in the tests.
"""

from collections.abc import Collection
from dataclasses import dataclass
from math import degrees, hypot, isfinite

import numpy as np

from neat_hull.errors import DoesNotFloat, NoBalance
from neat_hull.model.demands import Demand
from neat_hull.model.evidence import Bands
from neat_hull.model.setup import Setup
from neat_hull.physics.arrays import Array, Flags
from neat_hull.physics.water import hydrostatics
from neat_hull.physics.water.cross_curves import Index, Levers, Reading, cross_curves
from neat_hull.physics.water.floating import Rest
from neat_hull.physics.water.heels import FULL_RAD
from neat_hull.physics.water.loads import Loads
from neat_hull.physics.water.stability import stability
from neat_hull.rig.bands import bands
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.held_at import held_end
from neat_hull.rig.limits import RANK
from neat_hull.rig.settling import at_rest
from neat_hull.subjects.demands.cases import MAKERS, Asked, DemandLoads, asking, standing_body

__all__ = [
    "DemandReading",
    "asked_of",
    "demand_loads",
    "margin_key",
    "readings",
    "solved",
    "standing_body",
]

# Read off a hull's curves a margin is right to a third, and a gunwale to 3 cm; see docs/physics.md.
_COMFORT, _COMFORT_M = 0.65, 0.03
_ROUNDS = 3  # a floor that drowns moves the greatest lever, and then there is more to ask
_SOME_GZ_M = 0.001  # less righting lever than this is none

# What is asked of every boat; the rest only of one that means to, or has the gear aboard.
_ALWAYS = ("lean", "land", "pull", "cockpit", "remount")
_STANDING = ("rise", "stand", "cast")


@dataclass(frozen=True)
class DemandReading:
    """One demand: margin_used of the greatest righting lever, ± margin_band; null without one.

    heel_deg (starboard down) and freeboard_m are null where the boat alone would go over.
    """

    code: str
    title: str
    margin_used: float | None
    margin_band: float
    heel_deg: float | None
    freeboard_m: float | None
    gm_m: float
    standing: bool


def asked_of(setup: Setup) -> list[str]:
    """Codes of the demands that this trip makes, by posture and by what is aboard."""
    aboard = setup.aboard
    codes = list(_ALWAYS)
    if setup.posture == "stands":
        codes += _STANDING
    if any(thing.fill is not None and thing.fill.afloat for thing in aboard):
        codes.append("tank")
    if any(thing.downrigger is not None for thing in aboard):
        codes.append("boom")
    holds = {thing.anchor.by for thing in aboard if thing.anchor is not None}
    if "pole" in holds:
        codes.append("pole")
    if holds:
        codes.append(f"anchor {held_end(setup)}")
    return codes


def over_water(
    ev: Evaluated, points_m: Array, without: Collection[str] = ()
) -> list[tuple[float, Array]]:
    """How high points (n, 3) of the boat stand over the water (n,) m: at rest, with a heel of 0,
    then at the largest heel of the trip to each side (deg, starboard down) where there is one,
    `without` some of its demands. None for a boat that does not float."""
    rest = at_rest(ev)
    if rest is None:
        return []
    found = [(0.0, rest.settled.rest.height_over_water_m(points_m)[0])]
    held = rest.settled.held
    for way in (1.0, -1.0):  # starboard down, then port
        heels = (one.heel_deg or 0.0 for one in ev.once(readings) if one.code not in without)
        most = max((way * heel for heel in heels), default=0.0)
        if most <= 0:
            continue
        over = held.height_over_water_m(points_m * (1.0, way, 1.0))
        known = np.isfinite(over).all(axis=1)
        angles = np.degrees(held.heel_rad)[known]
        found.append(
            (way * most, np.array([np.interp(most, angles, one) for one in over[known].T]))
        )
    return found


@dataclass(frozen=True, eq=False)
class Trimmed:
    """How the boat lies fore and aft under a demand, against at rest: trim_deg bow up, and points
    (n,) m over the water."""

    title: str
    trim_deg: float
    over_m: Array


def over_water_trimmed(
    ev: Evaluated, points_m: Array, without: Collection[str] = ()
) -> list[Trimmed]:
    """How high points (n, 3) of the boat stand over the water as each of the trip's demands,
    `without` some of them, sinks and trims it, heel left out; to first order, by the figures of the
    boat upright at rest."""
    rest, asked = at_rest(ev), ev.once(_asked)
    if rest is None or asked is None:
        return []
    loads, up = ev.rigged.loads, rest.upright
    over = rest.settled.rest.height_over_water_m(points_m)[0]
    arm = up.lcf_m - loads.centre_m[0]
    found = []
    for case in (one for one in asked.cases if one.code not in without):
        mass = case.loads.total_kg
        moment_kg_m = mass * (up.lcf_m - case.loads.centre_m[0]) - loads.total_kg * arm
        trim_rad = float(moment_kg_m / (loads.total_kg * up.gm_l_m))
        sunk_m = 0.01 * (mass - loads.total_kg) / up.kg_per_cm_immersion
        lifted = over - sunk_m + trim_rad * (points_m[:, 0] - up.lcf_m)
        found.append(Trimmed(case.title, degrees(trim_rad), lifted))
    return found


def margin_key(demand: str) -> str:
    """The limit that a demand's use of the margin is judged by."""
    return "margin climbing in" if demand == "remount" else "margin"


def readings(ev: Evaluated) -> list[DemandReading]:
    """The demands that a setup's trip makes; none for a hull that the curves do not cover."""
    band, asked = ev.once(bands), ev.once(_asked)
    if band is None or asked is None:
        return []
    read, found = asked.read, []
    for i, case in enumerate(asked.cases):
        greatest, gm = float(read.greatest_gz_m[i]), float(read.gm_m[i])
        margin = abs(float(asked.aside_m[i])) / greatest if greatest > _SOME_GZ_M else None
        heel = float(read.heel_rad[i])
        rests = isfinite(heel)
        found.append(
            DemandReading(
                code=case.code,
                title=case.title,
                margin_used=margin,
                margin_band=_margin_band(band, margin, gm, greatest) or 0.0,
                heel_deg=degrees(heel) if rests else None,
                freeboard_m=float(read.edge_over_m[i]) if rests else None,
                gm_m=gm,
                standing=case.standing,
            )
        )
    return found


_Lies = dict[tuple[tuple[str, int], ...], Rest]


@dataclass(frozen=True, eq=False)
class _AskedOf:
    """Demands as they are read off; `lies` is how the boat lay where levers were solved together,
    by each one's demand and its heel's place: the next search starts there."""

    cases: list[DemandLoads]
    aside_m: Array
    read: Reading
    lies: _Lies


def _asked(ev: Evaluated) -> _AskedOf | None:
    """The cross curves are shifted to go through the setup's own curve and GM."""
    rest, rigged = at_rest(ev), ev.rigged
    if rest is None:
        return None
    try:
        curves = cross_curves(rigged.floating, rigged.water_density_kg_m3)
    except DoesNotFloat:
        return None
    curves = curves.through(rigged.loads, rest.curve, rest.upright.gm_m)
    boat = asking(ev, rest.settled)
    cases = [MAKERS[code](boat) for code in asked_of(ev.setup)]
    mass = np.array([case.loads.total_kg for case in cases])
    centre = np.array([case.loads.centre_m for case in cases])
    levers, aside = curves.levers(mass, centre[:, 2]), centre[:, 1]
    read = levers.read(aside)
    wet = _gunwale_near(ev, read)
    near = np.flatnonzero(wet | _margin_near(ev, cases, read, aside))
    before = ev.before.once(_asked) if ev.before is not None and ev.near else None
    lies: _Lies = {}
    if len(near):
        search = _Search(
            rest.settled,
            [cases[i].code for i in near.tolist()],
            mass[near],
            centre[near],
            {} if before is None else before.lies,
        )
        some = search.read(levers.take(near), wet[near])
        read, lies = read.with_rows(near, some), search.lies
    return _AskedOf(cases, aside, read, lies)


def _margin_near(ev: Evaluated, cases: list[DemandLoads], read: Reading, aside_m: Array) -> Flags:
    """(n,): demands that could use too much of the margin, within what the curves are off."""
    fine = np.array([ev.table[margin_key(case.code)].fine for case in cases])
    near: Flags = np.abs(aside_m) > _COMFORT * fine * read.greatest_gz_m
    return near


def _gunwale_near(ev: Evaluated, read: Reading) -> Flags:
    """(n,): demands that could bring the gunwale too low, within what the curves are off."""
    near: Flags = ~(read.edge_over_m > ev.table["edge"].fine + _COMFORT_M)
    return near


class _Search:
    """The levers that decide, found for n demands themselves: with the trim that a demand brings,
    and the floors that it drowns."""

    def __init__(
        self,
        settled: hydrostatics.Settled,
        codes: list[str],
        mass_kg: Array,
        centre_m: Array,
        before: _Lies,
    ) -> None:
        self.settled, self.codes, self.mass_kg, self.before = settled, codes, mass_kg, before
        self.aside_m = centre_m[:, 1]
        self.level_m = centre_m * np.array([1.0, 0.0, 1.0])
        self.lies: _Lies = {}

    def read(self, levers: Levers, wet: Flags) -> Reading:
        """Read off after those about the greatest were found, and about rest where the gunwale may
        go `wet` (n,)."""
        known = np.zeros(levers.gz_m.shape, dtype=np.bool_)
        gz, edge = np.full(known.shape, np.nan), np.full(known.shape, np.nan)
        read, shifted, rows = levers.read(self.aside_m), levers, np.arange(len(known))
        for turn in range(_ROUNDS):
            asked, greatest = np.zeros_like(known), read.greatest_at
            asked[rows, greatest] = asked[rows, shifted.beside(greatest)] = True
            if turn == 0:
                rests = wet & (read.heel_at >= 0)
                for step in (0, 1):
                    asked[rows[rests], read.heel_at[rests] + step] = True
            row, at = np.nonzero(asked & ~known)
            if len(row) == 0:
                break
            gz[row, at], edge[row, at] = self._solve(row, at)
            known[row, at] = True
            shifted = levers.through(known, gz, edge)
            read = shifted.read(self.aside_m)
        return read

    def _solve(self, row: Index, at: Index) -> tuple[Array, Array]:
        key = tuple((self.codes[i], k) for i, k in zip(row.tolist(), at.tolist(), strict=True))
        gz, edge, self.lies[key] = hydrostatics.levers_of_each(
            self.settled, self.mass_kg[row], self.level_m[row], at, self.before.get(key)
        )
        return gz, edge


def solved(ev: Evaluated) -> list[Demand]:
    """All demands of a setup, the one that uses most of the margin first; none where it sinks."""
    rest = at_rest(ev)
    if rest is None:
        return []
    boat = asking(ev, rest.settled)
    found = [_solve(boat, make(boat)) for make in MAKERS.values()]
    return sorted(found, key=lambda one: (-RANK[one.verdict], -(one.margin_used or 0.0)))


def demand_loads(ev: Evaluated, settled: hydrostatics.Settled, code: str) -> Loads:
    """The loads of one demand, for its righting curve."""
    return MAKERS[code](asking(ev, settled)).loads


def _solve(boat: Asked, case: DemandLoads) -> Demand:
    rigged = boat.rigged
    floating, density = rigged.floating, rigged.water_density_kg_m3
    lever = abs(float(case.loads.centre_m[1]))
    held = hydrostatics.held_upright(floating, case.loads.on_centreline(), density)
    gm = greatest = near = None
    if held is not None:
        gm = hydrostatics.upright(held).gm_m
        through, curve = hydrostatics.held_through(held, FULL_RAD)
        greatest, near = _greatest_gz_m(curve, case.loads.total_kg), through.held
    margin = lever / greatest if greatest else None
    demand = Demand(
        code=case.code,
        title=case.title,
        what=case.what.text,
        amounts=list(case.what.amounts),
        heel_deg=None,
        trim_deg=None,
        least_freeboard_m=None,
        gm_m=gm,
        lever_m=lever,
        greatest_gz_m=greatest,
        margin_used=margin,
        margin_band=_margin_band(boat.band, margin, gm, greatest),
        section_water_m=None,
        verdict="stop",
        trouble=None,
    )
    try:
        settled = hydrostatics.settle(floating, case.loads, density, near)
    except (DoesNotFloat, NoBalance) as trouble:
        if case.standing and gm is not None:
            told = "Only your own balance keeps it up: the boat alone would go over"
            return demand.model_copy(update={"verdict": "fix", "trouble": told})
        return demand.model_copy(update={"trouble": str(trouble)})
    rest = hydrostatics.equilibrium(settled)
    table = boat.ev.table
    verdicts = [
        table["edge"].verdict(rest.least_freeboard_m),
        "stop" if margin is None else table[margin_key(case.code)].verdict(margin),
    ]
    if case.standing and gm is not None:
        verdicts.append(table["gm standing"].verdict(gm))
    hull = floating.hull
    aft, _, fwd = hydrostatics.drafts_m(hull, settled.rest)
    broad = float(hull.x_m[hull.half_breadth_m.argmax()])
    share = (broad - hull.x_aft_m) / hull.length_m
    return demand.model_copy(
        update={
            "heel_deg": float(np.degrees(rest.heel_rad)),
            "trim_deg": float(np.degrees(rest.trim_rad)),
            "least_freeboard_m": rest.least_freeboard_m,
            "section_water_m": aft + share * (fwd - aft),
            "verdict": max(verdicts, key=lambda one: RANK[one]),
        }
    )


def _margin_band(
    band: Bands, margin: float | None, gm_m: float | None, greatest_gz_m: float | None
) -> float | None:
    """± of a margin: near upright levers go with GM, so its share of GM is their share; and what
    is not known of where the weights act sideways is a lever as well."""
    if margin is None or gm_m is None or gm_m <= 0 or not greatest_gz_m:
        return None
    return hypot(margin * band.gm_m / max(gm_m, band.gm_m, 1e-3), band.offset_m / greatest_gz_m)


def _greatest_gz_m(curve: hydrostatics.RightingCurve, mass_kg: float) -> float | None:
    greatest = stability(curve, mass_kg).greatest_gz_m
    return greatest if greatest > _SOME_GZ_M else None
