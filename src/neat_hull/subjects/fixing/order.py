"""The order of the work, for one pair of hands."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from neat_hull.errors import NoOrder


@dataclass(frozen=True)
class Task:
    """A step: what it needs done before, minutes of work, and minutes to wait after it."""

    needs: Sequence[str]
    hands_min: float
    wait_min: float


@dataclass(frozen=True)
class Order:
    """Steps as they are done: when each begins, all the work, when the last is over, and the
    longest chain, waits in it."""

    order: list[str]
    start_min: list[float]
    hands_min: float
    finish_min: float
    longest_min: float


def ordered(tasks: Mapping[str, Task]) -> Order:
    """Whenever the hands are free, the first of the list whose needs are over. Raises NoOrder."""
    _no_circle(tasks)
    done: dict[str, float] = {}
    order, starts, now = list[str](), list[float](), 0.0
    left = dict(tasks)
    while left:
        ready = {
            name: max((done[need] for need in task.needs), default=0.0)
            for name, task in left.items()
            if all(need in done for need in task.needs)
        }
        free = next((name for name, at in ready.items() if at <= now), None)
        if free is None:
            now = min(ready.values())
            continue
        task = left.pop(free)
        order.append(free)
        starts.append(now)
        now += task.hands_min
        done[free] = now + task.wait_min
    chain: dict[str, float] = {}
    for name in order:  # needs stand before what needs them
        before = max((chain[need] for need in tasks[name].needs), default=0.0)
        chain[name] = before + tasks[name].hands_min + tasks[name].wait_min
    return Order(
        order,
        starts,
        sum(task.hands_min for task in tasks.values()),
        max(done.values(), default=0.0),
        max(chain.values(), default=0.0),
    )


def _no_circle(tasks: Mapping[str, Task]) -> None:
    """Raises NoOrder naming the members of a circle."""
    left = {name: set(task.needs) for name, task in tasks.items()}
    while True:
        free = [name for name, needs in left.items() if not needs]
        if not free:
            break
        for name in free:
            del left[name]
        for needs in left.values():
            needs.difference_update(free)
    if not left:
        return
    at, way = next(iter(left)), list[str]()
    while at not in way:
        way.append(at)
        at = next(need for need in tasks[at].needs if need in left)
    raise NoOrder(way[way.index(at) :])
