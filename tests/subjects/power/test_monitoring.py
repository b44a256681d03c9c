"""What a monitor is given to play, and what its readings teach."""

from itertools import pairwise

import pytest
from tests.judged import BATTERY
from tests.subjects.power.wirings import WIRED, with_motor, with_power

from neat_hull.errors import InputError
from neat_hull.model.monitor import TwoReadings
from neat_hull.model.power import Duty
from neat_hull.subjects.power.monitoring import (
    BAD_JOINT_OHM,
    expected_ohm,
    from_two,
    full_ohm,
    judged,
    played,
    says,
)
from neat_hull.whole.evaluate import evaluated

HALF = with_power(WIRED, duties={6: [Duty(share=0.5)]})


def slope(steps: list[tuple[float, float]]) -> float:
    """−ΔV/ΔI over all changes of the current, by least squares."""
    pairs = [(i1 - i0, v1 - v0) for (v0, i0), (v1, i1) in pairwise(steps)
             if abs(i1 - i0) > 0.3]  # fmt: skip
    return -sum(di * dv for di, dv in pairs) / sum(di * di for di, _ in pairs)


def test_two_readings_are_ohms_law() -> None:
    found = from_two(TwoReadings(rest_v=13.2, rest_a=0.2, load_v=12.9, load_a=5.2))
    assert found.resistance_ohm == pytest.approx(0.06)
    assert found.watts == pytest.approx(12.9 * 5.0)
    assert (found.resistance_se_ohm, found.watts_se) == (0.0, 0.0)
    off = from_two(TwoReadings(rest_v=13.2, load_v=12.9, load_a=5.0, volts_se=0.003))
    assert off.resistance_se_ohm == pytest.approx(2**0.5 * 0.003 / 5.0)
    loose = from_two(TwoReadings(rest_v=13.2, load_v=12.9, load_a=5.0, amps_se=0.05))
    assert loose.watts_se == pytest.approx(12.9 * 2**0.5 * 0.05)


@pytest.mark.parametrize(("load_v", "load_a"), [(12.9, 0.0), (13.3, 5.0)])
def test_two_readings_that_mean_nothing_are_refused(load_v: float, load_a: float) -> None:
    with pytest.raises(InputError):
        from_two(TwoReadings(rest_v=13.2, load_v=load_v, load_a=load_a))


def test_what_is_played_steps_by_the_resistance_that_the_setup_has() -> None:
    ev = evaluated(HALF)
    steps = [(one.volts, one.amps) for one in played(ev, "none")]
    expected, _ = expected_ohm(ev, 0)
    assert slope(steps) == pytest.approx(expected, rel=0.1)
    worse = [(one.volts, one.amps) for one in played(ev, "joint")]
    assert slope(worse) - slope(steps) == pytest.approx(BAD_JOINT_OHM, rel=0.1)


def test_a_tired_battery_is_emptier_at_the_end_and_resists_as_before() -> None:
    ev = evaluated(HALF)
    fresh, tired = played(ev, "none"), played(ev, "capacity")
    assert tired[-1].volts < fresh[-1].volts
    hidden = {played(ev, "hidden", seed)[-1].volts for seed in range(8)}
    assert len(hidden) == 2  # one fault or the other


def test_what_is_on_for_a_share_goes_on_and_off() -> None:
    amps = [one.amps for one in played(evaluated(HALF), "none")]
    assert min(amps) == 0.0
    assert max(amps) > 1.0


def test_the_battery_s_own_is_what_the_leads_leave() -> None:
    ev = evaluated(with_motor())
    expected, _ = expected_ohm(ev, 0)
    typical = full_ohm(ev, 0, expected)
    assert typical is not None
    assert typical == pytest.approx(0.5 / 20 + 0.005, rel=1e-9)
    assert full_ohm(ev, 0, 2 * expected) == pytest.approx(2 * typical, rel=1e-9)


def test_more_than_it_should_be_is_told_only_when_sure() -> None:
    assert judged(0.10, 0.005, 0.035) == "fix"
    assert judged(0.10, 0.030, 0.035) == "fine"
    assert judged(None, None, 0.035) == "fine"


def test_a_bank_is_called_by_letters_and_digits() -> None:
    assert says("Battery 20 Ah") == "BATTERY20AH"
    assert says("—") == "BANK"
    assert WIRED.things[BATTERY].battery is not None
