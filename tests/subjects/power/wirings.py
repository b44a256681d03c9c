"""A small boat wired well, ways to spoil it, and for each rule what trips it and what just not."""

from typing import Any

from tests.judged import BATTERY, CLEAN, HOLDER_S, SCREEN, Case, case, known, put
from tests.places import on

from neat_hull.model.power import Bank, Charger, Conductor, Gauge, Phase, RoutePoint
from neat_hull.model.setup import Setup
from neat_hull.model.thing import Thing
from neat_hull.subjects.power.figures import power
from neat_hull.whole.evaluate import evaluated

MOTOR, SECOND = 40, 41  # ids that nothing of the demo has


def clips(*spots: tuple[float, float, float], by: str = "clip") -> list[RoutePoint]:
    """Points of a route, all held alike."""
    return [RoutePoint.model_validate({"x_m": x, "y_m": y, "z_m": z, "by": by})
            for x, y, z in spots]  # fmt: skip


ALONG = clips((1.30, -0.37, 0.36), (1.70, -0.38, 0.35), (2.10, -0.38, 0.36))


def wire(**changes: Any) -> Conductor:
    """From the battery to the screen along the gunwale, fused at the post."""
    usual: dict[str, Any] = {"start": BATTERY, "end": SCREEN, "awg": 16, "fuse_a": 5.0,
                             "points": ALONG}  # fmt: skip
    return Conductor(**(usual | changes))


def with_power(setup: Setup, **changes: Any) -> Setup:
    """With other electrics."""
    return setup.model_copy(update={"power": setup.power.model_copy(update=changes)})


def wired_by(**changes: Any) -> Setup:
    """The wire a little different."""
    return with_power(WIRED, conductors={1: wire(**changes)})


def electric(thing_id: int, **aspects: Any) -> Setup:
    """With a battery or a device that is otherwise."""
    return known(WIRED, thing_id, **aspects)


def aboard(setup: Setup, thing_id: int, x: float, y: float, **fields: Any) -> Setup:
    """With one thing more aboard."""
    thing = Thing.model_validate(
        {"name": f"Thing {thing_id}", "shape": "box", "mass_kg": 0.2, "evidence": "weighed",
         "length_m": 0.08, "width_m": 0.08, "height_m": 0.08, "fixing": {"by": "plate"}} | fields
    )  # fmt: skip
    return put(
        setup.model_copy(update={"things": {**setup.things, thing_id: thing}}), thing_id, x, y
    )


def with_motor(ohms: float = 0.3, awg: Gauge = 8, start_level: float = 2.5) -> Setup:
    """A motor at the stern on the same battery, on a wire as thick."""
    draw = {"ohms": ohms, "start_level": start_level, "usual_share": 0.02}
    boat = aboard(WIRED, MOTOR, 0.55, -0.30, draw=draw)
    fed = Conductor(start=BATTERY, end=MOTOR, awg=awg, fuse_a=60.0)
    return with_power(boat, conductors={1: wire(), 2: fed})


def beside(apart_m: float) -> Setup:
    """A motor ahead of the screen, its wire so far inboard of the screen's."""
    boat = aboard(WIRED, MOTOR, 2.80, -0.20, draw={"ohms": 3.0, "start_level": 1.5})
    points = [one.model_copy(update={"z_m": one.z_m + apart_m}) for one in ALONG]
    fed = Conductor(start=BATTERY, end=MOTOR, awg=8, fuse_a=10.0, points=points)
    return with_power(boat, conductors={1: wire(), 2: fed})


def with_second(chemistry: str, **battery: Any) -> Setup:
    """A second battery joined to the first, each with a fused lead to a block."""
    aspect = {"chemistry": chemistry, "capacity_ah": 20.0} | battery
    two = aboard(WIRED, SECOND, 0.92, 0.20, battery=aspect, fixing={"by": "strap"})
    both = aboard(two, 42, 0.95, 0.0, fuse={})
    wires = {
        1: wire(start=42),
        2: Conductor(start=BATTERY, end=42, awg=12, fuse_a=20.0),
        3: Conductor(start=SECOND, end=42, awg=12, fuse_a=20.0),
    }
    return with_power(
        both, conductors=wires, banks={"house": Bank(batteries=[BATTERY, SECOND], bus=42)}
    )


def hours(fishing: float) -> Setup:
    """A longer day, or a shorter."""
    return with_power(WIRED, phases=[Phase(name="Fishing", hours=fishing)])


def charged_by(chemistry: str = "lifepo4", amps: float = 4.0, around_c: float = 20.0) -> Setup:
    """With a charger ashore."""
    one = Charger.model_validate(
        {"battery": BATTERY, "chemistry": chemistry, "amps": amps, "around_c": around_c}
    )
    return with_power(WIRED, chargers={"wall": one})


def holed(z: float) -> Setup:
    """The wire through a gland in the cockpit's wall at that height."""
    points = [ALONG[0], *clips((1.60, -0.30, z), by="gland"), *ALONG[1:]]
    return wired_by(points=points)


def put_on_track(y: float) -> Setup:
    """A holder on the starboard track, and the wire along it so far out."""
    fed = [one.model_copy(update={"y_m": y, "z_m": 0.35}) for one in ALONG]
    return put(wired_by(points=fed), HOLDER_S, 0.0, on=on("fitting", name="Starboard track"))


WIRED = with_power(
    put(put(CLEAN, BATTERY, 0.92, -0.2, z_m=0.2),
        SCREEN, 2.44, -0.34),
    conductors={1: wire()},
)  # fmt: skip


def figures(setup: Setup) -> Any:
    """What its electrics come to."""
    found = evaluated(setup).once(power)
    assert found is not None
    return found


_AT_LEGS = clips((1.30, -0.37, 0.36), (1.70, -0.38, 0.35), (2.12, -0.21, 0.28))
CASES: list[Case] = [
    case("power-unfed", lambda: with_power(WIRED, conductors={}), lambda: WIRED),
    case("power-no-fuse", lambda: wired_by(fuse_a=None), lambda: WIRED),
    case("power-fuse-far", lambda: wired_by(fuse_at_m=0.181), lambda: wired_by(fuse_at_m=0.18)),
    case("power-fuse-over-wire", lambda: wired_by(awg=18, fuse_a=20.5),
         lambda: wired_by(awg=18, fuse_a=20.0)),
    case("power-fuse-tight", lambda: wired_by(fuse_a=1.56), lambda: wired_by(fuse_a=1.57)),
    case("power-wire-over", lambda: electric(SCREEN, draw={"watts": 301.0}),
         lambda: electric(SCREEN, draw={"watts": 299.0})),
    case("power-thin-wire", lambda: wired_by(awg=20), lambda: wired_by(awg=18)),
    case("power-short-circuit", lambda: wired_by(length_m=50.0, fuse_a=5.0),
         lambda: wired_by(length_m=30.0, fuse_a=5.0)),
    case("power-drop", lambda: wired_by(length_m=11.3), lambda: wired_by(length_m=10.0)),
    case("power-dark", lambda: electric(SCREEN, draw={"watts": 1400.0}),
         lambda: electric(SCREEN, draw={"watts": 300.0})),
    case("power-browns-out", lambda: with_motor(start_level=6.0),
         lambda: with_motor(start_level=1.1)),
    case("power-battery-over", lambda: electric(BATTERY, battery={"max_discharge_a": 1.1}),
         lambda: electric(BATTERY, battery={"max_discharge_a": 1.3})),
    case("power-runs-out", lambda: hours(18.0), lambda: hours(14.0)),
    case("power-no-way-home",
         lambda: with_power(hours(13.5), home=WIRED.power.home.model_copy(update={"hours": 3.0})),
         lambda: hours(13.5)),
    case("power-below-usable", lambda: hours(15.5), lambda: hours(14.5)),
    case("power-mixed", lambda: with_second("lead_acid"), lambda: with_second("lifepo4")),
    case("power-charger", lambda: charged_by(around_c=-0.1), lambda: charged_by(around_c=0.0)),
    case("power-charges-long", lambda: charged_by(amps=0.9), lambda: charged_by(amps=1.2)),
    case("power-battery-kept", lambda: electric(BATTERY, fixing={"by": "loose"}), lambda: WIRED),
    case("power-battery-kept", lambda: electric(BATTERY, battery={"posts_bare": True}),
         lambda: electric(BATTERY, battery={"posts_bare": False})),
    case("power-gland-low", lambda: holed(0.14), lambda: holed(0.34)),
    case("power-among-legs", lambda: wired_by(points=_AT_LEGS), lambda: WIRED),
    case("power-rubs", lambda: wired_by(points=[*ALONG, *clips((2.2, -0.37, 0.36), by="hole")]),
         lambda: wired_by(points=[*ALONG, *clips((2.2, -0.37, 0.36), by="gland")])),
    case("power-beside-motor", lambda: beside(0.09), lambda: beside(0.20)),
    case("power-on-a-track", lambda: put_on_track(-0.372), lambda: put_on_track(-0.376)),
    case("power-hangs-free", lambda: wired_by(points=ALONG[1:]), lambda: WIRED),
]  # fmt: skip
