"""The XDR sentences that carry tilt, force, volts and amps, read and written.

`$IIXDR,A,1.5,D,HEEL,A,-0.3,D,TRIM` are angles in degrees, positive starboard down and bow up;
`$IIXDR,N,151.2,N,LIFT` is a force in newtons; `$IIXDR,U,12.81,V,HOUSE,I,3.42,A,HOUSE` are volts and
amps of a bank by its name, positive out of it. Others are left alone.
"""

from dataclasses import dataclass
from math import isfinite

import pynmea2

from neat_hull.errors import InputError
from neat_hull.model.monitor import PlayStep
from neat_hull.physics.water.gravity import GRAVITY_M_S2


@dataclass(frozen=True)
class Reading:
    """What one sentence carries; None for what it does not. banks are volts and amps by name."""

    heel_deg: float | None = None
    trim_deg: float | None = None
    force_kg: float | None = None
    banks: tuple[tuple[str, float, float], ...] = ()


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
    volts: dict[str, float] = {}
    amps: dict[str, float] = {}
    for kind, value, unit, name in zip(*(fields[i::4] for i in range(4)), strict=False):
        key = _KEYS.get((kind, unit, name.upper()))
        of_bank = {("U", "V"): volts, ("I", "A"): amps}.get((kind, unit))
        if key is None and of_bank is None:
            continue
        try:
            number = float(value)
        except ValueError as error:
            raise InputError("sentence", line, "is garbled") from error
        if not isfinite(number):
            raise InputError("sentence", line, "is garbled")
        if of_bank is not None:
            of_bank[name.upper()] = number
        elif key is not None:
            found[key] = number
    if "force_n" in found:
        found["force_kg"] = found.pop("force_n") / GRAVITY_M_S2
    banks = tuple((name, volts[name], amps[name]) for name in volts if name in amps)
    return Reading(**found, banks=banks) if found or banks else None


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


def bank_sentence(bank: str, volts: float, amps: float) -> str:
    """A sentence of a battery monitor."""
    data = ("U", f"{volts:.2f}", "V", bank, "I", f"{amps:.2f}", "A", bank)
    return str(pynmea2.XDR("II", "XDR", data))


def play_sentence(step: PlayStep) -> str:
    """What tells the simulated monitor what to say when; real ones pass it over."""
    data = ["", f"{step.at_s:.1f}", step.bank, f"{step.volts:.3f}", f"{step.amps:.3f}"]
    return str(pynmea2.ProprietarySentence("NHB", data))


def begin_sentence(speed: float) -> str:
    """What tells it to forget what it plays, and how fast the next goes."""
    return str(pynmea2.ProprietarySentence("NHS", ["", f"{speed:g}"]))
