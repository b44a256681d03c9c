"""The XDR sentences that carry tilt and force, read and written.

`$IIXDR,A,1.5,D,HEEL,A,-0.3,D,TRIM` are angles in degrees, positive starboard down and bow up;
`$IIXDR,N,151.2,N,LIFT` is a force in newtons. Others are left alone.
"""

from dataclasses import dataclass

import pynmea2

from neat_hull.errors import InputError
from neat_hull.physics.water.gravity import GRAVITY_M_S2


@dataclass(frozen=True)
class Reading:
    """What one sentence carries; None for what it does not."""

    heel_deg: float | None = None
    trim_deg: float | None = None
    force_kg: float | None = None


def read_sentence(line: str) -> Reading | None:
    """A reading, or None for a sentence about something else.

    Raises InputError for a line that is no sentence, or whose checksum or number is wrong.
    """
    try:
        sentence = pynmea2.parse(line, check=True)
    except (pynmea2.ParseError, ValueError) as error:
        raise InputError("sentence", line, "is garbled") from error
    if sentence.sentence_type != "XDR":
        return None
    fields = list(sentence.data)
    found: dict[str, float] = {}
    for kind, value, unit, name in zip(*(fields[i::4] for i in range(4)), strict=False):
        key = _KEYS.get((kind, unit, name.upper()))
        if key is None:
            continue
        try:
            found[key] = float(value)
        except ValueError as error:
            raise InputError("sentence", line, "is garbled") from error
    if "force_n" in found:
        found["force_kg"] = found.pop("force_n") / GRAVITY_M_S2
    return Reading(**found) if found else None


_KEYS = {
    ("A", "D", "HEEL"): "heel_deg",
    ("A", "D", "TRIM"): "trim_deg",
    ("N", "N", "LIFT"): "force_n",
}


def tilt_sentence(heel_deg: float, trim_deg: float) -> str:
    """A sentence with both angles."""
    data = ("A", f"{heel_deg:.2f}", "D", "HEEL", "A", f"{trim_deg:.2f}", "D", "TRIM")
    return str(pynmea2.XDR("II", "XDR", data))


def force_sentence(force_kg: float) -> str:
    """A sentence with a scale's reading."""
    return str(pynmea2.XDR("II", "XDR", ("N", f"{force_kg * GRAVITY_M_S2:.1f}", "N", "LIFT")))


def moment_sentence(moment_kg_m: float) -> str:
    """What tells the simulated box which weight stands off the middle; real ones pass it over."""
    return str(pynmea2.ProprietarySentence("NHM", ["", f"{moment_kg_m:.3f}"]))
