"""Typical figures of chemistries and of wire, for a block of 12 V; each may be measured instead.

Open circuit, resistance and capacity by chemistry are our own typical values. Ampacity is the usual
small-craft table for copper at 30 °C outside engine spaces; labels and laws win.
"""

import math
from dataclasses import dataclass
from typing import Literal

Chemistry = Literal["lead_acid", "lifepo4", "li_ion", "other"]
Curve = tuple[tuple[float, ...], tuple[float, ...]]


@dataclass(frozen=True)
class ChemistryTable:
    """Curves over the state of charge and over °C, and figures of discharge and of charging.

    charge_efficiency: of the charge put in, what stays. bulk_soc: up to where a charger gives its
    full current, and tail_share the mean share of it from there on.
    """

    open_circuit_v: Curve
    ohm_by_soc: Curve
    ohm_by_temperature: Curve
    capacity_by_temperature: Curve
    peukert: float
    charge_efficiency: float
    bulk_soc: float
    tail_share: float


_TENTHS = tuple(round(0.1 * i, 1) for i in range(11))
_TEMPERATURES = (-20.0, -10.0, 0.0, 10.0, 25.0, 40.0)


def _chemistry(
    volts: tuple[float, ...],
    ohm_by_soc: Curve,
    ohm_by_temperature: tuple[float, ...],
    capacity: tuple[float, ...],
    *figures: float,
) -> ChemistryTable:
    return ChemistryTable(
        (_TENTHS, volts),
        ohm_by_soc,
        (_TEMPERATURES, ohm_by_temperature),
        (_TEMPERATURES, capacity),
        *figures,
    )


_LEVEL = (1.0,) * len(_TEMPERATURES)
CHEMISTRIES: dict[Chemistry, ChemistryTable] = {
    "lead_acid": _chemistry(
        (11.60, 11.75, 11.90, 12.03, 12.15, 12.27, 12.38, 12.50, 12.61, 12.72, 12.84),
        ((0.0, 0.2, 0.5, 1.0), (2.5, 1.6, 1.15, 1.0)),
        (2.2, 1.8, 1.5, 1.25, 1.0, 0.9),
        (0.5, 0.65, 0.8, 0.9, 1.0, 1.0),
        1.2, 0.85, 0.8, 0.4,
    ),
    "lifepo4": _chemistry(
        (10.80, 12.55, 12.85, 12.98, 13.07, 13.12, 13.18, 13.23, 13.28, 13.34, 13.55),
        ((0.0, 0.1, 0.3, 1.0), (2.0, 1.3, 1.05, 1.0)),
        (4.0, 2.8, 2.0, 1.5, 1.0, 0.85),
        (0.6, 0.75, 0.85, 0.94, 1.0, 1.0),
        1.03, 0.98, 0.95, 0.5,
    ),
    "li_ion": _chemistry(
        (9.15, 10.26, 10.59, 10.80, 10.92, 11.07, 11.31, 11.58, 11.85, 12.18, 12.54),
        ((0.0, 0.1, 0.3, 1.0), (2.2, 1.4, 1.1, 1.0)),
        (3.5, 2.4, 1.8, 1.4, 1.0, 0.85),
        (0.65, 0.78, 0.88, 0.95, 1.0, 1.0),
        1.04, 0.98, 0.8, 0.5,
    ),
    "other": _chemistry((), ((0.0,), (1.0,)), _LEVEL, _LEVEL, 1.0, 1.0, 1.0, 1.0),
}  # fmt: skip
BLOCK_V = 12.0

# Amperes by the temperature that the insulation bears, °C.
INSULATIONS_C = (60, 75, 90, 105)
_AWG_A: dict[int, tuple[int, int, int, int]] = {
    24: (2, 2, 2, 2), 22: (3, 3, 3, 3), 20: (5, 5, 5, 5), 18: (10, 10, 20, 20),
    16: (15, 15, 25, 25), 14: (20, 20, 30, 35), 12: (25, 25, 40, 45), 10: (40, 40, 55, 60),
    8: (55, 65, 70, 80), 6: (80, 95, 100, 120), 4: (105, 125, 135, 160), 2: (140, 170, 180, 210),
    1: (165, 195, 210, 245), 0: (195, 230, 245, 285),
}  # fmt: skip
_MM2_A: dict[float, tuple[int, int, int, int]] = {
    0.2: (2, 2, 2, 2), 0.34: (3, 3, 3, 3), 0.5: (5, 5, 5, 5), 0.75: (6, 10, 12, 16),
    1.0: (8, 14, 18, 20), 1.5: (12, 18, 21, 25), 2.5: (17, 25, 30, 35), 4.0: (22, 35, 40, 45),
    6.0: (29, 45, 50, 60), 10.0: (40, 65, 70, 90), 16.0: (54, 90, 100, 130),
    25.0: (71, 120, 140, 170), 35.0: (87, 160, 185, 210), 50.0: (105, 210, 230, 270),
}  # fmt: skip
AWG_LISTED, LEAST_MM2 = tuple(_AWG_A), min(_MM2_A)

# Of what is listed, where several conductors lie in one bundle: up to so many, that share.
_BUNDLED = ((3, 1.0), (6, 0.7), (24, 0.6))
_MANY = 0.5
_LISTED_AT_C = 30.0

COPPER_OHM_M, COPPER_PER_K = 1.724e-8, 0.00393  # at 20 °C, IEC 60028


def awg_mm2(awg: int) -> float:
    """Cross-section of a gauge, mm²: 0.127·92^((36 − n)/39) mm across (ASTM B258)."""
    across_mm = 0.127 * math.pow(92, (36 - awg) / 39)
    return math.pi / 4 * across_mm**2


def loop_ohm(area_mm2: float, length_m: float, temperature_c: float) -> float:
    """Out and back."""
    rho = COPPER_OHM_M * (1 + COPPER_PER_K * (temperature_c - 20))
    return rho * 2 * length_m / (area_mm2 * 1e-6)


def ampacity_a(
    awg: int | None, area_mm2: float | None, insulation_c: int, around_c: float, bundled: int
) -> float:
    """What a wire carries without growing too warm; of a size between two the lower one's."""
    if awg is not None:
        row = _AWG_A[awg]
    else:
        assert area_mm2 is not None, "a wire has a gauge or an area"
        row = _MM2_A[max(size for size in _MM2_A if size <= area_mm2 * (1 + 1e-12))]
    amps = float(row[INSULATIONS_C.index(insulation_c)])
    amps *= next((share for most, share in _BUNDLED if bundled <= most), _MANY)
    if around_c > _LISTED_AT_C:
        cooler = max(0.0, (insulation_c - around_c) / (insulation_c - _LISTED_AT_C))
        amps *= math.sqrt(cooler)
    return amps
