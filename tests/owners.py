"""Made-up boats of many families, and owners who measure them with a tape, scales and tests afloat.

The true boat is known point by point and goes in as offsets; the owner's goes in as measures taken
off it, with the errors of a hand. What is told of the second is held against the first.
"""

from collections.abc import Callable
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from neat_hull.errors import DoesNotFloat, InputErrors, NoBalance
from neat_hull.files.demo import demo_setups
from neat_hull.model.boat import Boat, Bottom, Chine, Evidence, OffsetStation, TapeMeasures
from neat_hull.model.calibration import FloatMark, FloatTest, TiltReading, TiltTest
from neat_hull.model.place import Place
from neat_hull.model.setup import Setup
from neat_hull.model.thing import Thing
from neat_hull.model.water import WATER_DENSITY_KG_M3
from neat_hull.physics.hull.tape import LOW_M
from neat_hull.physics.water.floating import FloatingHull
from neat_hull.physics.water.heels import FULL_RAD
from neat_hull.physics.water.hydrostatics import (
    Settled,
    equilibrium,
    held_upright,
    righting_curve,
    settle,
    upright,
)
from neat_hull.physics.water.loads import Loads
from neat_hull.physics.water.stability import stability
from neat_hull.rig.bands import bands
from neat_hull.rig.hulls import floating_hull
from neat_hull.rig.settling import at_rest
from neat_hull.rig.typical import SEAT_AT, KnownMeasures, typical_tape
from neat_hull.subjects.calibration.figures import _freeboard_m, refit
from neat_hull.subjects.demands.figures import demand_loads, readings
from neat_hull.whole.evaluate import evaluated

Array = NDArray[np.float64]
Draw = np.random.Generator

TAPE_M = 0.004  # what a tape held to a curved hull is off by, one standard deviation
ROCKER_M = 0.007


@dataclass(frozen=True)
class Shape:
    """A true hull; `points(half, keel, sheer)` gives its half-section (n, 2) between these."""

    family: str
    bottom: Bottom
    chine: Chine
    length_m: float
    beam_m: float
    depth_m: float
    ends: float
    aft: float
    rocker_m: tuple[float, float]
    rise_m: tuple[float, float]
    points: Callable[[float, float, float], Array]

    def half_m(self, u: float) -> float:
        """Half-breadth at u from -1 (stern) to 1 (bow)."""
        full = self.ends if u > 0 else self.ends * self.aft
        return float(self.beam_m / 2 * (1 - abs(u) ** full))

    def keel_m(self, u: float) -> float:
        """Height of the keel."""
        end = self.rocker_m[0] if u > 0 else self.rocker_m[1]
        stem = max(0.0, (abs(u) - 0.86) / 0.14)
        return float(end * abs(u) ** 2.3 + stem**2 * 0.7 * self.depth_m)

    def sheer_m(self, u: float) -> float:
        """Height of the gunwale."""
        return float(self.depth_m + self.rise_m[0 if u > 0 else 1] * abs(u) ** 2.2)

    def at(self, u: float) -> Array:
        """The half-section (n, 2), keel to sheer."""
        half, keel, sheer = max(self.half_m(u), 0.004), self.keel_m(u), self.sheer_m(u)
        return self.points(half, keel, sheer)

    @property
    def chine_beam_m(self) -> float | None:
        """Breadth at a hard chine amidships."""
        return 2 * float(self.at(0.0)[1, 0]) if self.chine == "hard" else None

    @property
    def hollow_m(self) -> float:
        """How far the bottom stands off the ground amidships, within what the bilge turns in."""
        y, z = self.at(0.0).T
        within = y <= (0.76 * y.max() if self.chine_beam_m is None else self.chine_beam_m / 2)
        return float(z[within].max() - z.min())

    def breadth_m(self, u: float, z_m: float) -> float:
        """Full breadth at a height over the ground."""
        y, z = self.at(u).T
        return 2 * float(np.interp(z_m, np.maximum.accumulate(z), y))


def _round(draw: Draw) -> tuple[Bottom, Chine, Callable[[float, float, float], Array]]:
    """Round sides: a superellipse from keel to sheer."""
    n, m = draw.uniform(2.2, 3.2), draw.uniform(2.8, 4.2)

    def points(half: float, keel: float, sheer: float) -> Array:
        t = np.linspace(0, 1, 25) ** 1.5
        y = half * (1 - (1 - t) ** m) ** (1 / n)
        return np.column_stack((y, keel + t * (sheer - keel)))

    return "shallow_arch", "soft", points


def _flat(draw: Draw) -> tuple[Bottom, Chine, Callable[[float, float, float], Array]]:
    """A flat bottom, a round bilge, sides that flare a little."""
    turn, radius, flare = draw.uniform(0.62, 0.8), draw.uniform(0.3, 0.7), draw.uniform(0.0, 0.06)

    def points(half: float, keel: float, sheer: float) -> Array:
        depth, a = sheer - keel, np.linspace(0, np.pi / 2, 9)
        wide = half * (1 - flare)
        y = turn * wide + (1 - turn) * wide * np.sin(a)
        z = keel + radius * depth * (1 - np.cos(a))
        return np.vstack(([[0.0, keel]], np.column_stack((y, z)), [[half, sheer]]))

    return "flat", "soft", points


def _chined(draw: Draw) -> tuple[Bottom, Chine, Callable[[float, float, float], Array]]:
    """A hard chine: a bottom with some deadrise, and straight flared sides."""
    chine, dead, low = draw.uniform(0.82, 0.93), draw.uniform(1.0, 6.0), draw.uniform(0.0, 0.08)

    def points(half: float, keel: float, sheer: float) -> Array:
        out, depth = chine * half, sheer - keel
        up = min(out * np.tan(np.radians(dead)) + low * depth, 0.5 * depth)
        return np.array([[0.0, keel], [out, keel + up], [half, sheer]])

    return "shallow_v", "hard", points


def _vee(draw: Draw) -> tuple[Bottom, Chine, Callable[[float, float, float], Array]]:
    """A V with a soft turn into upright sides."""
    dead, n = draw.uniform(4.0, 9.0), draw.uniform(6.0, 10.0)

    def points(half: float, keel: float, sheer: float) -> Array:
        depth, t = sheer - keel, np.linspace(0, 1, 25)
        vee = min(half * np.tan(np.radians(dead)), 0.45 * depth)
        y = half * t
        z = keel + vee * t + (depth - vee) * (1 - (1 - t**n) ** (1 / 2.2))
        return np.column_stack((y, z))

    return "shallow_v", "soft", points


def _tunnel(draw: Draw) -> tuple[Bottom, Chine, Callable[[float, float, float], Array]]:
    """Two runners with a hollow between."""
    hollow, wide, radius = draw.uniform(0.02, 0.07), draw.uniform(0.2, 0.35), draw.uniform(0.4, 0.8)

    def points(half: float, keel: float, sheer: float) -> Array:
        depth, a = sheer - keel, np.linspace(0, np.pi / 2, 8)
        up = min(hollow, 0.4 * depth) * min(1.0, half / 0.3)
        inner = [[0.0, keel + up], [wide * half, keel + 0.85 * up], [(wide + 0.14) * half, keel]]
        turn = 0.74 * half
        outer = np.column_stack(
            (turn + (half - turn) * np.sin(a), keel + radius * depth * (1 - np.cos(a)))
        )
        return np.vstack((inner, outer, [[half, sheer]]))

    return "tunnel", "soft", points


def _ridged(draw: Draw) -> tuple[Bottom, Chine, Callable[[float, float, float], Array]]:
    """Three ridges: the middle one as deep as the outer, or nearly, and hollows between."""
    hollow, radius = draw.uniform(0.01, 0.035), draw.uniform(0.4, 0.8)

    def points(half: float, keel: float, sheer: float) -> Array:
        depth, a = sheer - keel, np.linspace(0, np.pi / 2, 8)
        up = min(hollow, 0.3 * depth) * min(1.0, half / 0.3)
        inner = [[0.0, keel + 0.9 * up], [0.3 * half, keel + 0.6 * up], [0.55 * half, keel]]
        turn = 0.76 * half
        outer = np.column_stack(
            (turn + (half - turn) * np.sin(a), keel + radius * depth * (1 - np.cos(a)))
        )
        return np.vstack((inner, outer, [[half, sheer]]))

    return "twin_ridge", "soft", points


FAMILIES = {
    "round": _round,
    "flat": _flat,
    "chined": _chined,
    "vee": _vee,
    "tunnel": _tunnel,
    "ridged": _ridged,
}


def shape(draw: Draw, family: str) -> Shape:
    """A boat of a family."""
    bottom, chine, points = FAMILIES[family](draw)
    return Shape(
        family,
        bottom,
        chine,
        length_m=draw.uniform(3.0, 4.2),
        beam_m=draw.uniform(0.72, 0.95),
        depth_m=draw.uniform(0.28, 0.38),
        ends=draw.uniform(2.0, 2.8),
        aft=draw.uniform(1.0, 1.4),
        rocker_m=(draw.uniform(0.02, 0.08), draw.uniform(0.01, 0.06)),
        rise_m=(draw.uniform(0.05, 0.15), draw.uniform(0.03, 0.1)),
        points=points,
    )


def true_offsets(one: Shape) -> list[OffsetStation]:
    """The boat as it is, stern to bow."""
    u = np.sin(np.linspace(-np.pi / 2, np.pi / 2, 33))
    return [
        OffsetStation(
            x_m=float((at + 1) / 2 * one.length_m),
            points_m=[(float(y), float(z)) for y, z in one.at(float(at))],
        )
        for at in u
    ]


def measured(draw: Draw, one: Shape) -> TapeMeasures:
    """What its owner reads off it."""

    def tape(value_m: float, off_m: float = TAPE_M) -> float:
        return max(0.0, value_m + float(draw.normal(0, off_m)))

    beam = tape(one.beam_m)
    return TapeMeasures(
        length_m=tape(one.length_m, 0.01),
        beam_m=beam,
        beam_at_m=one.length_m / 2 + float(draw.normal(0, 0.02)),
        beam_fore_quarter_m=min(beam, tape(2 * one.half_m(0.5))),
        beam_aft_quarter_m=min(beam, tape(2 * one.half_m(-0.5))),
        depth_m=tape(one.depth_m),
        bow_height_m=max(tape(one.sheer_m(1.0)), one.depth_m + 0.012),
        stern_height_m=max(tape(one.sheer_m(-1.0)), one.depth_m + 0.012),
        rocker_bow_m=tape(one.rocker_m[0], ROCKER_M),
        rocker_stern_m=tape(one.rocker_m[1], ROCKER_M),
        bottom=one.bottom,
        chine=one.chine,
        # A hard chine is there to be seen, and is measured with the rest.
        bottom_beam_m=min(beam, tape(one.chine_beam_m)) if one.chine_beam_m else None,
    )


# What each figure is told off by, one standard deviation, where nobody measured better: the sitter
# and the bare boat off the middle, along and up; gear as it was typed or dragged.
SITTER_M = np.array([0.012, 0.005, 0.015])
BARE_M = np.array([0.04, 0.004, 0.015])
GEAR_M = np.array([0.010, 0.005, 0.008])
OFF_SHARE = {"weighed": 0.005, "label": 0.035, "guess": 0.125}
GAUGE_M = 0.003  # a mark read beside the boat
READ_DEG = 0.25


_EVIDENCE: tuple[Evidence, ...] = ("weighed", "label", "guess")


def owned(draw: Draw, tape: TapeMeasures) -> Setup:
    """A setup on a boat known by tape: an angler near the middle, and gear about."""
    demo = demo_setups()[1]
    boat = Boat(
        name="One", hull_mass_kg=float(draw.uniform(22, 42)), hull_evidence="label",
        hull_lcg_m=None, hull_vcg_m=None, rated_kg=None, working_share=0.7, tape=tape, wells=[],
    )  # fmt: skip
    things, places = {}, {}
    for i in range(1, int(draw.integers(6, 16))):
        evidence = _EVIDENCE[int(draw.integers(3))]
        things[i] = Thing(name=f"Thing {i}", shape="box", mass_kg=float(draw.uniform(0.3, 4.0)),
                          evidence=evidence, use="once", length_m=0.2, width_m=0.15,
                          height_m=0.15)  # fmt: skip
        places[i] = Place(
            x_m=float(tape.length_m * draw.uniform(0.15, 0.85)), y_m=float(draw.uniform(-0.2, 0.2)),
            z_m=float(draw.uniform(0.1, 0.4)), turn_deg=0.0, tilt_deg=0.0,
        )  # fmt: skip
    seat_x = tape.length_m * float(draw.uniform(0.46, 0.52)) - 0.25
    seat = demo.seat.model_copy(
        update={"x_m": seat_x, "z_m": float(draw.uniform(0.12, 0.25)), "brace_x_m": seat_x + 0.95}
    )
    angler = demo.angler.model_copy(
        update={"mass_kg": float(draw.uniform(60, 105)), "evidence": "weighed"}
    )
    return demo.model_copy(
        update={"boat": boat, "things": things, "places": places, "seat": seat, "angler": angler}
    )


def as_it_is(draw: Draw, setup: Setup, loads: Loads) -> Loads:
    """The loads as they truly are: those of the owner's setup, each off by what a hand is off."""
    mass, at = loads.mass_kg.copy(), loads.at_m.copy()
    known = [setup.boat.hull_evidence, setup.angler.evidence]
    known += [setup.things[i].evidence for i in sorted(setup.places)]
    for row, evidence in enumerate(known):
        mass[row] *= 1 + OFF_SHARE[evidence] * draw.normal()
        spread = (BARE_M, SITTER_M)[row] if row < 2 else GEAR_M
        at[row] += spread * draw.normal(size=3)
    return Loads(mass, at)


def low_down(draw: Draw, one: Shape, tape: TapeMeasures) -> TapeMeasures:
    """The measures besides: breadths a hand's breadth over the ground, and the hollow."""
    lows = {}
    for name, u, most in (
        ("low_beam_m", 0.0, tape.beam_m),
        ("low_beam_fore_m", 0.5, tape.beam_fore_quarter_m),
        ("low_beam_aft_m", -0.5, tape.beam_aft_quarter_m),
    ):
        lows[name] = min(most, one.breadth_m(u, LOW_M) + float(draw.normal(0, 1.5 * TAPE_M)))
    hollow = max(0.0, one.hollow_m + float(draw.normal(0, TAPE_M)))
    return tape.model_copy(update={**lows, "hollow_m": hollow})


def from_the_label(setup: Setup) -> Setup:
    """The setup of an owner who has read the label, and not even measured where the seat is."""
    tape = setup.boat.tape
    known = KnownMeasures(length_m=tape.length_m, beam_m=tape.beam_m)
    return _told(setup, known).model_copy(
        update={
            "seat": setup.seat.model_copy(update={"x_m": SEAT_AT * tape.length_m, "assumed": True})
        }
    )


def half_a_tape(setup: Setup) -> Setup:
    """The setup of an owner who measured the beams and looked at the bottom, and then had to go."""
    tape = setup.boat.tape
    fields = ("length_m", "beam_m", "beam_fore_quarter_m", "beam_aft_quarter_m", "bottom")
    return _told(setup, KnownMeasures(**{name: getattr(tape, name) for name in fields}))


def _told(setup: Setup, known: KnownMeasures) -> Setup:
    tape = typical_tape(known, sit_in=False)
    return setup.model_copy(update={"boat": setup.boat.model_copy(update={"tape": tape})})


Errors = dict[str, tuple[float, float]]


def simulated(draw: Draw, family: str, afloat: bool = True) -> dict[str, Errors]:
    """Error (told less true) and ± of each figure, by what the owner has measured and, `afloat`,
    tested."""
    one = shape(draw, family)
    setup = owned(draw, measured(draw, one))
    true_hull = floating_hull(setup.boat.model_copy(update={"offsets": true_offsets(one)}))
    ev = evaluated(setup)
    loads = as_it_is(draw, setup, ev.rigged.loads)
    try:
        true = settle(true_hull, loads, ev.rigged.water_density_kg_m3)
    except (DoesNotFloat, NoBalance):
        return {}
    found = {}
    try:
        knowing = _knowing(draw, one, setup, true_hull, loads, afloat)
    except (DoesNotFloat, NoBalance):  # so unsteady that nobody would sit in it
        return {}
    for knows, tested in knowing.items():
        errors = _errors(tested, loads, true)
        if errors is not None:
            found[knows] = errors
    return found


def _knowing(
    draw: Draw, one: Shape, setup: Setup, true_hull: FloatingHull, loads: Loads, afloat: bool
) -> dict[str, Setup]:
    """The owner's setup, and the same after each further measure or test."""
    lower = setup.boat.model_copy(update={"tape": low_down(draw, one, setup.boat.tape)})
    boats = {"tape": setup.boat, "low beams": lower}
    little = {"label": from_the_label(setup), "half a tape": half_a_tape(setup)}
    if not afloat:
        return little | {n: setup.model_copy(update={"boat": boat}) for n, boat in boats.items()}
    bare = loads.mass_kg[:1], loads.at_m[:1]
    floated = float_test(draw, setup.boat, true_hull, *bare)
    tilted = tilt_test(draw, setup, true_hull, *bare)
    for name, boat in (("tape", setup.boat), ("low beams", lower)):
        for tests, more in (
            ("float", {"float_test": floated}),
            ("tilt", {"tilt_test": tilted}),
            ("float, tilt", {"float_test": floated, "tilt_test": tilted}),
        ):
            calibration = boat.calibration.model_copy(update=more)
            try:
                boats[f"{name}, {tests}"] = refit(
                    boat.model_copy(update={"calibration": calibration})
                )
            except InputErrors:
                continue  # what contradicts is refused
    return little | {n: setup.model_copy(update={"boat": boat}) for n, boat in boats.items()}


_WATER_KG_M3 = WATER_DENSITY_KG_M3["fresh"]


def float_test(draw: Draw, boat: Boat, true_hull: FloatingHull, kg: Array, at: Array) -> FloatTest:
    """Sixty kilograms amidships, and the gunwale over the water at four places."""
    length, load = boat.tape.length_m, np.array([boat.tape.length_m * 0.49, 0.0, 0.15])
    held = held_upright(true_hull, Loads(np.append(kg, 60.0), np.vstack((at, load))), _WATER_KG_M3)
    assert held is not None
    x_m = length * np.array([0.12, 0.4, 0.6, 0.88])
    read = _freeboard_m(true_hull.hull, held, x_m) + draw.normal(0, GAUGE_M, 4)
    return FloatTest(
        used=True, water="fresh", load_kg=60.0, load_x_m=float(load[0]), load_z_m=0.15,
        marks=[FloatMark(x_m=float(x), freeboard_m=float(y))
               for x, y in zip(x_m, read, strict=True)],
    )  # fmt: skip


def tilt_test(draw: Draw, setup: Setup, true_hull: FloatingHull, kg: Array, at: Array) -> TiltTest:
    """A load like an angler's, ten kilograms of it set aside; the angles on a phone."""
    x, z = setup.seat.x_m + 0.25, 0.32
    readings = []
    start = draw.normal(0, 0.004)
    for side in (-0.35, -0.2, 0.2, 0.35):
        true = np.array([[x, start, z + draw.normal(0, 0.005)], [x, -side, 0.15]])
        loads = Loads(np.concatenate((kg, [85.0, 10.0])), np.vstack((at, true)))
        heel = np.degrees(settle(true_hull, loads, _WATER_KG_M3).rest.heel_rad[0])
        readings.append(
            TiltReading(
                mass_kg=10.0 * (1 + 0.005 * draw.normal()),
                offset_m=side + 0.004 * draw.normal(),
                heel_deg=float(heel + draw.normal(0, READ_DEG)),
            )
        )
    told_z = (85.0 * z + 10.0 * 0.15) / 95.0
    return TiltTest(used=True, water="fresh", load_kg=95.0, load_x_m=x, load_z_m=told_z,
                    readings=readings)  # fmt: skip


def _errors(setup: Setup, loads: Loads, true: Settled) -> Errors | None:
    ev = evaluated(setup)
    rest, band = at_rest(ev), ev.once(bands)
    if rest is None or band is None:
        return None
    settled = true
    told, is_ = rest.equilibrium, equilibrium(settled)
    deg = np.degrees
    errors = {
        "carried": (float(ev.rigged.loads.mass_kg[1:].sum() - settled.loads.mass_kg[1:].sum()),
                    band.carried_kg),
        "draft": (told.draft_mid_m - is_.draft_mid_m, band.draft_m),
        "trim": (float(deg(told.trim_rad - is_.trim_rad)), band.trim_deg),
        "list": (float(deg(told.heel_rad - is_.heel_rad)), band.list_deg),
        "gm": (rest.upright.gm_m - upright(settled).gm_m, band.gm_m),
    }  # fmt: skip
    landing = next((one for one in ev.once(readings) if one.code == "land"), None)
    if landing is not None and landing.margin_used is not None:
        off = Loads(loads.mass_kg - ev.rigged.loads.mass_kg, loads.at_m - ev.rigged.loads.at_m)
        case = demand_loads(ev, rest.settled, "land")
        n = len(off.mass_kg)
        mass, at = case.mass_kg.copy(), case.at_m.copy()
        mass[:n] += off.mass_kg
        at[:n] += off.at_m
        asked = Loads(mass, at)
        held = held_upright(settled.floating, asked.on_centreline(), ev.rigged.water_density_kg_m3)
        if held is None:
            return errors
        greatest = stability(righting_curve(held, FULL_RAD), asked.total_kg).greatest_gz_m
        if greatest > 0.001:
            used = abs(float(asked.centre_m[1])) / greatest
            errors["margin"] = (landing.margin_used - used, landing.margin_band)
    return errors
