"""One battery for all, or one of its own for what is critical: the same trip solved both ways."""

import numpy as np

from neat_hull.errors import NeatHullError
from neat_hull.model.power import Battery, Conductor, Power
from neat_hull.model.power_day import Supply
from neat_hull.model.setup import Setup
from neat_hull.model.thing import Fixing, Thing
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.settling import at_rest
from neat_hull.subjects.power.figures import power
from neat_hull.subjects.power.wiring import wired

# What a clean supply of its own usually is: ours, a small lithium pack beside the big one.
_OWN = Thing(
    name="Own battery 10 Ah", shape="box", kind="power", mass_kg=1.2, evidence="guess",
    length_m=0.15, width_m=0.07, height_m=0.10, fixing=Fixing(by="strap"),
    battery=Battery(chemistry="lifepo4", capacity_ah=10.0, evidence="label", max_discharge_a=20.0),
)  # fmt: skip
ONE, APART = "One for all", "Its own for screen and lights"


def supplies(ev: Evaluated) -> list[Supply]:
    """Both ways; none without a battery, or where nothing is critical."""
    found = ev.once(wired)
    critical = [i for i in found.loads if (d := ev.thing(i).draw) is not None and d.critical]
    if not found.batteries or not critical:
        return []
    big = max(found.batteries, key=lambda i: ev.thing(i).mass_now_kg)
    one = _one_for_all(ev.setup, found.batteries, big)
    apart = one
    other = next((i for i in found.batteries if i != big), None)
    words = "All from the largest battery; the others stay ashore."
    own = "What is critical from a small battery beside it."
    if other is None:
        apart, other = _with_own(one, big)
    else:
        apart = one.model_copy(update={"places": ev.setup.places})
    apart = _moved_over(apart, other, critical)
    return [
        _supply(ev, ONE, words, one, critical),
        _supply(ev, APART, own, apart, critical),
    ]


def _one_for_all(setup: Setup, batteries: tuple[int, ...], big: int) -> Setup:
    """All that the others feed from the big one, and they ashore."""
    wires = {}
    for key, wire in setup.power.conductors.items():
        if wire.end in batteries:
            continue
        start = big if wire.start in batteries else wire.start
        wires[key] = wire.model_copy(update={"start": start})
    ends: set[int] = set()
    single: dict[int, Conductor] = {}
    for key, wire in wires.items():
        if wire.end not in ends:
            single[key] = wire
            ends.add(wire.end)
    gone = set(batteries) - {big}
    places = {i: place for i, place in setup.places.items() if i not in gone}
    power_one = setup.power.model_copy(update={"conductors": single, "banks": {}})
    return setup.model_copy(update={"places": places, "power": power_one})


def _with_own(setup: Setup, big: int) -> tuple[Setup, int]:
    """With a small battery across the boat from the big one."""
    new = max(setup.things) + 1
    place = setup.places[big]
    mirrored = place.model_copy(update={"y_m": -place.y_m, "z_m": None})
    return (
        setup.model_copy(
            update={
                "things": {**setup.things, new: _OWN},
                "places": {**setup.places, new: mirrored},
            }
        ),
        new,
    )


def _moved_over(setup: Setup, other: int, critical: list[int]) -> Setup:
    """What is critical fed from the other battery, by wires like those it has."""
    power_now: Power = setup.power
    wires = dict(power_now.conductors)
    feeds = {wire.end: key for key, wire in wires.items()}
    for i in critical:
        key = feeds.get(i)
        if key is None:
            continue
        wire = wires[key]
        wires[key] = wire.model_copy(update={"start": other, "fuse_a": wire.fuse_a or 5.0})

    return setup.model_copy(
        update={"power": power_now.model_copy(update={"conductors": wires, "banks": {}})}
    )


def _supply(ev: Evaluated, name: str, words: str, setup: Setup, critical: list[int]) -> Supply:
    tried = Evaluated(setup, ev.table, ev.beside, ev)
    try:
        figures, rest = tried.once(power), at_rest(tried)
    except NeatHullError:
        figures = rest = None
    finally:
        tried.forget_before()
    if figures is None:
        return Supply(
            name=name, words=words, possible=False, critical=None, start_v=None, low=False,
            hours=None, left_share=None, battery_kg=0.0, usable_wh=0.0, wh_per_kg=0.0, to_charge=0,
            trim_deg=None, gm_m=None,
        )  # fmt: skip
    volts = [
        (at.volts, load.thing_id, at.low)
        for load in figures.loads
        if load.thing_id in critical
        for at in load.at
    ]
    worst = min(volts, default=None)
    kg = sum(setup.things[one.thing_id].mass_now_kg for one in figures.batteries)
    usable = sum(one.usable_wh for one in figures.batteries)
    return Supply(
        name=name,
        words=words,
        possible=figures.trouble is None,
        critical=None if worst is None else worst[1],
        start_v=None if worst is None else worst[0],
        low=worst is not None and worst[2],
        hours=figures.least_hours,
        left_share=figures.left_share,
        battery_kg=kg,
        usable_wh=usable,
        wh_per_kg=usable / kg if kg else 0.0,
        to_charge=len(figures.batteries),
        trim_deg=None if rest is None else float(np.degrees(rest.equilibrium.trim_rad)),
        gm_m=None if rest is None else rest.upright.gm_m,
    )
