"""The electrics: a day of 8 loads on 4 batteries, and their live part: `-m benchmarks.power`."""

import time
from collections.abc import Callable, Sequence

import numpy as np
from benchmarks.evaluate import moved
from benchmarks.told import Times, head, tell

from neat_hull.files.demo import demo_setups
from neat_hull.model.power_case import (
    CaseBattery,
    CaseConductor,
    CaseLoad,
    CaseWire,
    Cycle,
    Day,
    On,
    PowerCase,
)
from neat_hull.model.setup import Setup
from neat_hull.rig.beside import ALONE
from neat_hull.rig.rules import Rule
from neat_hull.subjects.power import figures
from neat_hull.subjects.power.case import power_report
from neat_hull.subjects.power.figures import power
from neat_hull.subjects.power.rules import RULES, lasting, volts, wires
from neat_hull.whole.evaluate import evaluated, live
from neat_hull.whole.registry import SUBJECTS

_TIMES = 60


def times(what: Callable[[], object]) -> Times:
    """Milliseconds, after a few to warm up."""
    for _ in range(5):
        what()
    taken = []
    for _ in range(_TIMES):
        start = time.perf_counter()
        what()
        taken.append(1000 * (time.perf_counter() - start))
    return np.array(taken)


def _wire(name: str, start: str, awg: int, length_m: float) -> CaseWire:
    row = {"name": name, "from": start, "awg": awg, "length_m": length_m}
    return CaseWire.model_validate(row)


def day(cycles: bool) -> PowerCase:
    """480 minutes, two banks of two batteries, eight loads on trees of wire."""
    lead = CaseConductor(awg=10, length_m=0.3, fuse_a=40)
    batteries = [
        CaseBattery(name=f"b{i}", bank="aft" if i < 2 else "fore", chemistry="lifepo4",
                    capacity_ah=30.0, rated_hours=5.0, resistance_ohm=0.02, usable_share=0.9,
                    start_soc=1.0 - 0.05 * i, lead=lead)
        for i in range(4)
    ]  # fmt: skip
    wires = [_wire(f"{bank} trunk", bank, 12, 1.5) for bank in ("aft", "fore")] + [
        _wire(f"w{i}", f"{('aft', 'fore')[i % 2]} trunk", 16, 1.0) for i in range(8)
    ]
    pump = On(cycle=Cycle(on_min=3, off_min=12)) if cycles else On(share=0.2)
    loads = [
        CaseLoad(name=f"l{i}", at=f"w{i}", watts=8.0 + 3 * i, min_v=10.8,
                 on=[pump if i == 0 else On(from_h=6 + 0.5 * i, to_h=12 + 0.25 * i)])
        for i in range(8)
    ]  # fmt: skip
    return PowerCase(
        name="day", batteries=batteries, wires=wires, loads=loads, day=Day(start_h=6, end_h=14)
    )


def live_part(
    setup: Setup,
    dragged: int | None = None,
    checks: Sequence[Rule] = RULES,
    solved: bool = False,
) -> Times:
    """Wiring, moments and some rules of an evaluation that has all else; its day is left out.

    Of a thing that is dragged; else all of them anew. The circuit is solved again, but where it is
    the one `solved` before, for no wire ends at what moves.
    """
    taken, before = [], None
    for n in range(_TIMES + 5):
        trial = setup if dragged is None else moved(setup, dragged, 0.1 * np.sin((n + 1) / 12))
        ev = evaluated(trial, ALONE, before, near=True)
        for subject in SUBJECTS:
            for figure in subject.live.values():
                ev.once(figure)
        ours = [one for one in ev._once if ".subjects.power." in one.__module__]
        for one in ours:
            del ev._once[one]
        for key in [key for key in ev._noted if "power" in str(key)]:
            del ev._noted[key]
        if not solved:
            figures._standing.cache_clear()
        start = time.perf_counter()
        ev.once(power)
        for rule in checks:
            list(rule.check(ev))
        if n >= 5:
            taken.append(1000 * (time.perf_counter() - start))
        live(ev)
        before = None if dragged is None else ev
    return np.array(taken)


def _cold(setup: Setup, known: bool) -> float:
    def once() -> None:
        if not known:
            figures.forget()
        live(evaluated(setup))

    return float(np.median(times(once)))


def main() -> None:
    """All rows."""
    full = demo_setups()[0]
    bare = full.model_copy(update={"power": type(full.power)()})
    head()
    steady, cycling = day(False), day(True)
    tell("power day", times(lambda: power_report(steady)))
    tell("power cycles", times(lambda: power_report(cycling)))
    battery = next(i for i in full.places if full.things[i].battery is not None)
    crate = next(i for i in full.places if full.things[i].container)
    tell("power live", live_part(full, battery, (*wires.RULES, *volts.RULES, *lasting.RULES)))
    tell("power ways", live_part(full, battery))
    tell("power other", live_part(full, crate, solved=True))
    tell("power anew", live_part(full))
    plain = _cold(bare, known=True)
    print(
        f"the full demo cold, wired over unwired: {_cold(full, known=False) / plain:.2f}, "
        f"with wiring that was seen before {_cold(full, known=True) / plain:.2f}"
    )


if __name__ == "__main__":
    main()
