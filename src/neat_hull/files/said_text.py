"""Words with their amounts as plain text."""

from typing import Literal

from neat_hull.files.units import LENGTH_M, MASS_KG
from neat_hull.model.said import HowKind, Said

Units = Literal["metric", "imperial"]

_UNIT: dict[HowKind, tuple[float, str, int]] = {
    "mass": (1.0, "\u00a0kg", 1),
    "length": (100.0, "\u00a0cm", 1),
    "angle": (1.0, "°", 1),
    "ratio": (100.0, "\u00a0%", 0),
    "times": (1.0, "", 1),
    "force": (1.0, "\u00a0N", 0),
    "thin": (1000.0, "\u00a0mm", 1),
    "moment": (1.0, "\u00a0kg by 1\u00a0m", 1),
    "count": (1.0, "", 0),
    "price": (1.0, "", 0),
    "warmth": (1.0, "\u00a0°C", 0),
    "volume": (1000.0, "\u00a0L", 1),
    "voltage": (1.0, "\u00a0V", 2),
    "current": (1.0, "\u00a0A", 1),
    "power": (1.0, "\u00a0W", 1),
    "resistance": (1000.0, "\u00a0mΩ", 1),
    "charge": (1.0, "\u00a0Ah", 1),
    "work": (1.0, "\u00a0Wh", 0),
    "hours": (1.0, "\u00a0h", 1),
    "seconds": (1.0, "\u00a0s", 0),
}
# Where the other system differs: factor, unit, digits.
_IMPERIAL: dict[HowKind, tuple[float, str, int]] = {
    "mass": (1 / MASS_KG["lb"], "\u00a0lb", 1),
    "length": (1 / LENGTH_M["in"], "\u00a0in", 1),
    "thin": (1 / LENGTH_M["in"], "\u00a0in", 2),
    "moment": (1 / (MASS_KG["lb"] * LENGTH_M["ft"]), "\u00a0lb by 1\u00a0ft", 1),
}


def trim_said(trim_deg: float) -> Said:
    """Which end is down."""
    return Said.of(f"{{}} {'stern' if trim_deg > 0 else 'bow'} down", angle=abs(trim_deg))


def list_said(heel_deg: float) -> Said:
    """Which side is down."""
    return Said.of(f"{{}} to {'starboard' if heel_deg > 0 else 'port'}", angle=abs(heel_deg))


def said(words: Said, units: Units = "metric") -> str:
    """Words with their amounts in a person's units."""
    of = _UNIT | _IMPERIAL if units == "imperial" else _UNIT
    parts = words.text.split("{}")
    out = parts[0]
    for amount, rest in zip(words.amounts, parts[1:], strict=False):
        factor, unit, digits = of.get(amount.kind, (1.0, "", 2))
        out += f"{factor * amount.value:.{digits}f}{unit}{rest}"
    return out
