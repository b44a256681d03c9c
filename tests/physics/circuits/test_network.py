"""Voltages of a bank against closed forms and the laws of every circuit."""

from math import sqrt

import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.examples import examples

from neat_hull.physics.circuits.battery import Battery
from neat_hull.physics.circuits.network import Draw, Solved, Wire, solve

E_V, R_OHM = 12.6, 0.04


def battery(e_v: float = E_V, ohm: float = R_OHM, *, one_way: bool = False) -> Battery:
    """A source that does not change as it empties."""
    level = ((0.0, 1.0), (e_v, e_v))
    return Battery("b", "bank", 1, 20.0, 4.0, 1.0, level, ohm, ((0.0,), (1.0,)), 0.0, None, one_way)


def solved(*draws: Draw, wires: tuple[Wire, ...] = (), of: tuple[Battery, ...] = ()) -> Solved:
    """Half-full batteries with these loads."""
    batteries = of or (battery(),)
    found = solve(batteries, [0.5] * len(batteries), wires, draws)
    assert found is not None
    return found


def test_a_resistor_divides_the_voltage() -> None:
    found = solved(Draw(-1, 0.0, 0.0, 1 / 2.0))
    assert found.bank_v == pytest.approx(E_V * 2.0 / (2.0 + R_OHM), rel=1e-12)


@pytest.mark.parametrize("share", [0.01, 0.5, 0.9, 0.999, 1 - 1e-9])
def test_a_set_power_is_drawn_at_the_higher_of_two_voltages(share: float) -> None:
    watts = share * E_V**2 / (4 * R_OHM)
    found = solved(Draw(-1, 0.0, watts, 0.0))
    right = (E_V + sqrt(max(0.0, E_V**2 - 4 * R_OHM * watts))) / 2
    assert found.bank_v == pytest.approx(right, rel=1e-6)


def test_more_power_than_a_source_can_give_has_no_solution() -> None:
    watts = 1.001 * E_V**2 / (4 * R_OHM)
    assert solve([battery()], [0.5], [], [Draw(-1, 0.0, watts, 0.0)]) is None
    assert solve([battery()], [0.5], [], [Draw(-1, 1.001 * E_V / R_OHM, 0.0, 0.0)]) is None


def test_a_wire_drops_what_flows_through_it() -> None:
    wires = (Wire(-1, 0.1), Wire(0, 0.2))
    found = solved(Draw(1, 3.0, 0.0, 0.0), Draw(0, 2.0, 0.0, 0.0), wires=wires)
    assert found.bank_v == pytest.approx(E_V - 5 * R_OHM)
    assert found.at(0) == pytest.approx(found.bank_v - 5 * 0.1)
    assert found.at(1) == pytest.approx(found.at(0) - 3 * 0.2)


def test_two_batteries_side_by_side_share_by_their_ohms_and_level_out_at_rest() -> None:
    pair = (battery(12.8, 0.02), battery(12.4, 0.06))
    rest = solved(of=pair)
    assert rest.battery_a[0] == pytest.approx(0.4 / 0.08) == pytest.approx(-rest.battery_a[1])
    loaded = solved(Draw(-1, 10.0, 0.0, 0.0), of=pair)
    assert sum(loaded.battery_a) == pytest.approx(10.0)


def test_nothing_flows_into_one_that_takes_no_charge_until_the_voltage_falls_below_it() -> None:
    pair = (battery(12.8, 0.02), battery(12.4, 0.06, one_way=True))
    assert solved(of=pair).battery_a == (0.0, 0.0)
    loaded = solved(Draw(-1, 10.0, 0.0, 0.0), of=pair)
    assert list(loaded.battery_a) == pytest.approx([10.0, 0.0])
    deep = solved(Draw(-1, 30.0, 0.0, 0.0), of=pair)
    assert deep.battery_a[1] == pytest.approx((12.4 - deep.bank_v) / 0.06)
    assert deep.battery_a[1] > 0


def test_of_full_ones_alone_the_highest_says_what_stands_at_rest() -> None:
    pair = (battery(12.8, one_way=True), battery(12.4, one_way=True))
    assert solved(of=pair).bank_v == pytest.approx(12.8)


@given(data=st.data())
@examples(60)
def test_what_the_batteries_give_is_what_is_drawn(data: st.DataObject) -> None:
    def number(low: float, high: float) -> float:
        return data.draw(st.floats(low, high))

    pack = [battery(number(11, 13.5), number(0.01, 0.1), one_way=data.draw(st.booleans()))
            for _ in range(data.draw(st.integers(1, 4)))]  # fmt: skip
    wires = [Wire(data.draw(st.integers(-1, i - 1)), number(0, 0.2))
             for i in range(data.draw(st.integers(0, 6)))]  # fmt: skip
    draws = [Draw(data.draw(st.integers(-1, len(wires) - 1)), number(0, 3), number(0, 20),
                  number(0, 0.2)) for _ in range(data.draw(st.integers(0, 6)))]  # fmt: skip
    found = solve(pack, [0.5] * len(pack), wires, draws)
    if found is None:
        return
    given_a = sum(found.battery_a)
    assert given_a == pytest.approx(sum(d.at_v(found.at(d.wire)) for d in draws), abs=1e-7)
    for one, amps in zip(pack, found.battery_a, strict=True):
        if one.takes_no_charge and amps == 0:
            assert one.source_v(0.5) <= found.bank_v + 1e-9
        else:
            assert amps == pytest.approx((one.source_v(0.5) - found.bank_v) / one.full_ohm)
    for i, wire in enumerate(wires):
        through = sum(d.at_v(found.at(d.wire)) for d in draws if _passes(wires, d.wire, i))
        upper = found.at(wire.parent)
        assert found.at(i) == pytest.approx(upper - wire.ohm * through, abs=1e-7)


def _passes(wires: list[Wire], at: int, wire: int) -> bool:
    while at >= 0:
        if at == wire:
            return True
        at = wires[at].parent
    return False
