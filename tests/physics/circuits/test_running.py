"""Hours of a bank against closed forms: charge, rate, energy and what ends it."""

from dataclasses import replace

import pytest

from neat_hull.physics.circuits.battery import Battery
from neat_hull.physics.circuits.network import Draw, Solved
from neat_hull.physics.circuits.running import Bank, Step, run

LEVEL = ((0.0, 1.0), (12.5, 12.5))
SLOPE = ((0.0, 1.0), (11.5, 13.0))
ONE = Battery("b", "bank", 1, 20.0, 4.0, 1.0, LEVEL, 0.04, ((0.0,), (1.0,)), 0.0, None, False)
AMPS = Draw(-1, 5.0, 0.0, 0.0)


def kept(bank: Bank, *draws: Draw, to_h: float = 100.0) -> tuple[float, list[Step]]:
    """Until it ends, and every step."""
    steps: list[Step] = []
    return run(bank, 0.0, to_h, draws, steps.append), steps


def test_a_set_current_empties_it_in_capacity_over_current() -> None:
    bank = Bank([ONE], [], [0.8])
    end, steps = kept(bank, AMPS)
    assert end == pytest.approx(0.8 * 20 / 5, abs=1e-5)
    assert bank.off_h == [bank.down_h] == [end]
    drawn = sum(w * at.battery_a[0] for step in steps for w, at in step.quadrature)
    assert drawn == pytest.approx(16.0, abs=1e-4)


@pytest.mark.parametrize("amps", [2.0, 4.0, 8.0, 20.0])
def test_faster_than_rated_it_lasts_as_peukert_says_and_never_longer_than_rated(
    amps: float,
) -> None:
    bank = Bank([replace(ONE, peukert=1.2)], [], [0.9999])
    end, _ = kept(bank, Draw(-1, amps, 0.0, 0.0))
    whole = 5.0 * (20.0 / (5.0 * amps)) ** 1.2 if amps > 4 else 20.0 / amps
    assert end == pytest.approx(0.9999 * whole, rel=1e-5)


def test_energy_from_the_source_is_what_is_used_and_what_warms_it() -> None:
    bank = Bank([replace(ONE, open_circuit_v=SLOPE)], [], [0.95])
    _, steps = kept(bank, Draw(-1, 0.0, 60.0, 0.0), to_h=2.0)
    looks: list[tuple[float, Solved]] = [look for step in steps for look in step.quadrature]
    used = sum(w * at.bank_v * at.battery_a[0] for w, at in looks)
    warmth = sum(w * 0.04 * at.battery_a[0] ** 2 for w, at in looks)
    assert used == pytest.approx(120.0, rel=1e-6)
    from_s, to_s = 0.95, bank.soc[0]
    source = 20 * (11.5 * (from_s - to_s) + 0.75 * (from_s**2 - to_s**2))  # ∫C·E ds
    assert source == pytest.approx(used + warmth, rel=1e-5)


def test_two_side_by_side_at_rest_come_to_one_state_and_lose_no_charge() -> None:
    pair = [replace(ONE, open_circuit_v=SLOPE), replace(ONE, open_circuit_v=SLOPE, full_ohm=0.08)]
    bank = Bank(pair, [], [0.9, 0.5])
    kept(bank, to_h=200.0)
    assert bank.soc == pytest.approx([0.7, 0.7], abs=1e-4)


def test_one_that_is_cut_off_leaves_all_to_the_other_for_good() -> None:
    weak = replace(ONE, open_circuit_v=SLOPE, cut_off_v=12.0)
    bank = Bank([weak, replace(ONE, open_circuit_v=SLOPE)], [], [0.6, 0.6])
    _, steps = kept(bank, Draw(-1, 10.0, 0.0, 0.0), to_h=1.0)
    assert bank.off_h[0] is not None
    assert bank.off_h[1] is None
    last = steps[-1].after
    assert list(last.battery_a) == pytest.approx([0.0, 10.0])
    before = next(step for step in steps if step.to_h >= bank.off_h[0] - 1e-9)
    posts = bank.posts_v(0, bank.soc[0], before.after.battery_a[0])
    assert posts == pytest.approx(12.0, abs=1e-4)


def test_it_is_down_when_no_voltage_serves_what_is_on() -> None:
    bank = Bank([replace(ONE, open_circuit_v=((0.0, 1.0), (2.0, 13.0)), full_ohm=0.2)], [], [0.9])
    end, _ = kept(bank, Draw(-1, 0.0, 100.0, 0.0))
    assert bank.down_h == end
    assert 0 < bank.soc[0] < 0.9
    least = 2 + 11 * bank.soc[0]  # E² = 4RP at the knee
    assert least**2 / (4 * 0.2) == pytest.approx(100.0, rel=1e-3)


def test_what_is_waited_for_ends_it_at_that_instant() -> None:
    bank = Bank([ONE], [], [1.0])
    end = run(bank, 0.0, 10.0, [AMPS], lambda _: None, lambda _, soc, __: soc[0] - 0.5)
    assert end == pytest.approx(2.0, abs=1e-5)
