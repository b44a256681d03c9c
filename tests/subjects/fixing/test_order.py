"""The order of the work: chains, diamonds, waits, circles."""

from itertools import pairwise
from random import Random

import pytest

from neat_hull.errors import NoOrder
from neat_hull.subjects.fixing.order import Task, ordered


def test_a_chain_takes_all_of_its_time() -> None:
    found = ordered({"a": Task([], 10, 5), "b": Task(["a"], 20, 0), "c": Task(["b"], 5, 60)})
    assert found.order == ["a", "b", "c"]
    assert found.start_min == [0, 15, 35]
    assert (found.finish_min, found.longest_min, found.hands_min) == (100, 100, 35)


def test_hands_work_elsewhere_while_something_sets() -> None:
    steps = {"seal": Task([], 5, 60), "test": Task(["seal"], 10, 0), "wire": Task([], 30, 0)}
    found = ordered(steps)
    assert found.order == ["seal", "wire", "test"]
    assert found.start_min == [0, 5, 65]
    assert found.finish_min == 75


def test_of_a_diamond_the_first_in_the_list_goes_first() -> None:
    steps = {
        "a": Task([], 1, 0), "c": Task(["a"], 2, 0), "b": Task(["a"], 3, 0),
        "d": Task(["b", "c"], 1, 0),
    }  # fmt: skip
    found = ordered(steps)
    assert found.order == ["a", "c", "b", "d"]
    assert found.longest_min == 5


def test_a_circle_is_told_with_its_members_alone() -> None:
    steps = {"x": Task([], 1, 0), "a": Task(["x", "c"], 1, 0), "b": Task(["a"], 1, 0),
             "c": Task(["b"], 1, 0), "d": Task(["c"], 1, 0)}  # fmt: skip
    with pytest.raises(NoOrder) as told:
        ordered(steps)
    assert sorted(told.value.members) == ["a", "b", "c"]
    with pytest.raises(NoOrder):
        ordered({"a": Task(["a"], 1, 0)})


@pytest.mark.parametrize("seed", range(10))
def test_nothing_starts_before_its_needs_and_no_plan_beats_its_longest_chain(seed: int) -> None:
    draw = Random(seed)
    steps: dict[str, Task] = {}
    for i in range(40):
        needs = draw.sample(sorted(steps), min(len(steps), draw.randint(0, 3)))
        steps[f"s{i:02}"] = Task(needs, draw.uniform(0, 20), draw.choice([0, 0, 45]))
    mixed = dict(draw.sample(list(steps.items()), len(steps)))
    found = ordered(mixed)
    start = dict(zip(found.order, found.start_min, strict=True))
    for name, task in mixed.items():
        for need in task.needs:
            over = start[need] + mixed[need].hands_min + mixed[need].wait_min
            assert start[name] >= over - 1e-9
    assert found.finish_min >= found.longest_min - 1e-9
    assert found.finish_min >= found.hands_min - 1e-9
    busy = sorted((start[name], start[name] + task.hands_min) for name, task in mixed.items())
    assert all(b[0] >= a[1] - 1e-9 for a, b in pairwise(busy))
