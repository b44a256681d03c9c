"""A case as banks: which wires and loads hang on each, and what a load draws."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from neat_hull.model.power_case import CaseLoad, PowerCase
from neat_hull.physics.circuits.battery import Battery
from neat_hull.physics.circuits.network import Draw, Wire
from neat_hull.physics.circuits.running import Bank
from neat_hull.subjects.power.batteries import as_it_is, conductor_ohm


@dataclass(frozen=True)
class BankPlan:
    """One bank: places of its batteries, wires (parents first) and loads in the case's lists."""

    name: str
    batteries: list[int]
    wires: list[int]
    loads: list[int]
    tree: list[Wire]
    at: dict[int, int]  # of each load, the place of its wire in the tree, −1: at the bank


@dataclass(frozen=True)
class Circuit:
    """A case as it is solved."""

    case: PowerCase
    batteries: list[Battery]
    banks: list[BankPlan]

    def bank(self, plan: BankPlan, soc: Sequence[float]) -> Bank:
        """A bank with its batteries so full; soc is of all batteries of the case."""
        return Bank([self.batteries[i] for i in plan.batteries], plan.tree,
                    [soc[i] for i in plan.batteries])  # fmt: skip

    def draws(self, plan: BankPlan, on: Mapping[int, tuple[float, float]]) -> list[Draw]:
        """What the loads of a bank that are on draw: share and level of each."""
        return [draw_of(self.case.loads[i], plan.at[i], *on[i]) for i in plan.loads if i in on]


def draw_of(load: CaseLoad, wire: int, share: float, level: float) -> Draw:
    """One load at a share of the time and at a level."""
    if load.amps is not None:
        return Draw(wire, share * level * load.amps, 0.0, 0.0)
    if load.ohms is not None:
        return Draw(wire, 0.0, 0.0, share * level / load.ohms)
    assert load.watts is not None, "required before"
    through = load.converter
    efficiency, idle = (through.efficiency, through.idle_w) if through else (1.0, 0.0)
    return Draw(wire, 0.0, share * (level * load.watts / efficiency + idle), 0.0)


def circuit(case: PowerCase) -> Circuit:
    """The banks of a case, by first mention."""
    names = list(dict.fromkeys(battery.bank for battery in case.batteries))
    return Circuit(case, [as_it_is(one) for one in case.batteries],
                   [_plan(case, name) for name in names])  # fmt: skip


def _plan(case: PowerCase, name: str) -> BankPlan:
    place: dict[str, int] = {name: -1}
    order: list[int] = []
    tree: list[Wire] = []
    left = list(range(len(case.wires)))
    while True:
        reached = [i for i in left if case.wires[i].from_ in place]
        if not reached:
            break
        for i in reached:
            wire = case.wires[i]
            tree.append(Wire(place[wire.from_], conductor_ohm(wire)))
            place[wire.name] = len(order)
            order.append(i)
            left.remove(i)
    at = {i: place[load.at] for i, load in enumerate(case.loads) if load.at in place}
    batteries = [i for i, one in enumerate(case.batteries) if one.bank == name]
    return BankPlan(name, batteries, order, list(at), tree, at)
