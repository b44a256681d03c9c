"""A battery as a source behind a resistance, both by its state of charge.

The zero-order equivalent circuit (Plett, Battery Management Systems, vol. 1, 2015, ch. 2); what is
drawn faster than its rated current takes more than its share (Peukert, 1897), never less.
"""

from bisect import bisect_right
from dataclasses import dataclass

from neat_hull.physics.circuits.tables import Curve

AGED_OHM = 5.0  # resistance grows by so much of itself for each share of capacity lost


def along(curve: Curve, at: float) -> float:
    """Straight between points, level beyond them."""
    xs, ys = curve
    if at <= xs[0]:
        return ys[0]
    if at >= xs[-1]:
        return ys[-1]
    i = bisect_right(xs, at)
    share = (at - xs[i - 1]) / (xs[i] - xs[i - 1])
    return ys[i - 1] + share * (ys[i] - ys[i - 1])


@dataclass(frozen=True)
class Battery:
    """One battery, its figures as they are now, cold and aged; ohms are of the whole of it.

    capacity_ah: C. rated_a: the current it was rated at, I₁. lead_ohm: between its posts and the
    bank. open_circuit_v is of one block of 12 V, of which `series` stand in a row.
    """

    name: str
    bank: str
    series: int
    capacity_ah: float
    rated_a: float
    peukert: float
    open_circuit_v: Curve
    full_ohm: float
    ohm_by_soc: Curve
    lead_ohm: float
    cut_off_v: float | None
    takes_no_charge: bool

    def source_v(self, soc: float) -> float:
        """E(s)."""
        return self.series * along(self.open_circuit_v, soc)

    def inner_ohm(self, soc: float) -> float:
        """R(s)."""
        return self.full_ohm * along(self.ohm_by_soc, soc)

    def one_way(self, soc: float) -> bool:
        """Whether no current goes into it: it is full, or never takes any."""
        return self.takes_no_charge or soc >= 1.0

    def soc_per_h(self, amps: float) -> float:
        """ds/dt under a current, positive out."""
        rate = -amps / self.capacity_ah
        if amps > self.rated_a:
            rate *= (amps / self.rated_a) ** (self.peukert - 1)
        return rate

    def usable_wh(self, floor_soc: float) -> float:
        """C·∫E ds from the floor to full."""
        xs, ys = self.open_circuit_v
        inside = [floor_soc, *(x for x in xs if floor_soc < x < 1.0), 1.0]
        volts = [along((xs, ys), x) for x in inside]
        area = sum(
            (b - a) * (u + v) / 2
            for a, b, u, v in zip(inside, inside[1:], volts, volts[1:], strict=False)
        )
        return self.capacity_ah * self.series * area
