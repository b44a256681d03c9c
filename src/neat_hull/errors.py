"""Every error raised on purpose; the API and the command line map each to one answer.

NeatHullError
├── InputError      (also ValueError)   a value with no meaning             422, exit 2
│   └── InputErrors                     several of them at once
├── DoesNotFloat    (also ValueError)   the load is more than the boat      422, exit 3
├── NoBalance       (also ValueError)   it floats, but in no upright place  422, exit 3
├── NotSupplied     (also ValueError)   no voltage serves what is on        422, exit 3
├── NotFoundError   (also LookupError)  no such setup, boat or thing        404
├── ConflictError                       the setup changed meanwhile         409
├── OvertakenError                      others changed the same fields      409
├── AlreadyMade                         a change that was made before       200, the state
├── BusyError                           too many long questions wait        503
├── FeedError       (also OSError)      an instrument cannot be reached     503
└── StoreError      (also OSError)      the data file cannot be used        500, exit 2

A boat that is merely bad (stern-heavy, tender, wet) is no error: that is a figure with a verdict.
"""

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from typing import Any, Literal

_HUGE_KG = 1e6  # nobody reads more digits
_FAR_M = 10.0  # from here on nobody counts in centimetres
BoundKind = Literal[
    "length", "mass", "speed", "warmth", "thin", "angle", "ratio", "force", "power", "charge"
]
_SAID: dict[BoundKind, tuple[float, str]] = {
    "length": (100.0, " cm"), "speed": (1.0, " m/s"), "warmth": (1.0, " °C"),
    "thin": (1.0, " mm"), "angle": (1.0, "°"), "ratio": (100.0, " %"), "force": (1.0, " N"),
    "power": (1.0, " W"), "charge": (1.0, " Ah"),
}  # fmt: skip


@dataclass(frozen=True)
class Bound:
    """An amount that a reason names: in m, kg, m/s, °C, mm (`thin`), °, a share (`ratio`), N, W or
    Ah."""

    kind: BoundKind
    value: float

    def __str__(self) -> str:
        if self.kind == "mass":
            rounded = f"{self.value:.1f}".removesuffix(".0") if self.value < _HUGE_KG else None
            return f"{rounded or f'{self.value:.3g}'} kg"
        if self.far:
            return f"{self.value:g} m"
        per, unit = _SAID[self.kind]
        return f"{per * self.value:g}{unit}"

    @property
    def far(self) -> bool:
        """Whether it is a length that people count in metres, or feet."""
        return self.kind == "length" and abs(self.value) >= _FAR_M


class Bounded(str):
    """A reason that names amounts, each in place of a {}: as text in metric units, and to be said
    again in the units of whoever reads it."""

    template: str
    bounds: tuple[Bound, ...]

    def __new__(cls, template: str, *bounds: Bound) -> "Bounded":
        made = super().__new__(cls, template.format(*bounds))
        made.template, made.bounds = template, bounds
        return made

    def __reduce__(self) -> tuple[Any, ...]:
        """As of `InputError`."""
        return type(self), (self.template, *self.bounds)

    def said(self, in_words: Callable[[Bound], str]) -> str:
        """The same with each bound in other words."""
        return self.template.format(*(in_words(bound) for bound in self.bounds))


class NeatHullError(Exception):
    """Base of all of ours: `except NeatHullError` never hides a bug of another kind."""


class InputError(NeatHullError, ValueError):
    """A value the model cannot use; `field`, `value` and `why` stay readable as data.

    `field` is a dotted path such as `hull.stations[2].x_m`; `why` reads on after it.
    """

    def __init__(self, field: str, value: object, why: str) -> None:
        super().__init__(f"{field}: {why}" if field else why)
        self.field, self.value, self.why = field, value, why

    def __reduce__(self) -> tuple[Any, ...]:
        """Errors cross from one process to another by what they were made of."""
        return type(self), (self.field, self.value, self.why)


class InputErrors(InputError):
    """Several unusable values found in one reading, so that all can be shown at once."""

    def __init__(self, errors: Sequence[InputError]) -> None:
        first = errors[0]
        super().__init__(first.field, first.value, first.why)
        self.errors = tuple(errors)

    def __reduce__(self) -> tuple[Any, ...]:
        """As of one."""
        return type(self), (self.errors,)


class DoesNotFloat(NeatHullError, ValueError):
    """The water the boat can push aside weighs less than the boat and all aboard."""

    def __init__(self, mass_kg: float, capacity_kg: float) -> None:
        super().__init__(
            Bounded(
                "does not float: {} in all, but wholly under water this boat lifts only {}",
                Bound("mass", mass_kg),
                Bound("mass", capacity_kg),
            )
        )
        self.mass_kg, self.capacity_kg = mass_kg, capacity_kg

    def __reduce__(self) -> tuple[Any, ...]:
        """As of `InputError`."""
        return type(self), (self.mass_kg, self.capacity_kg)


class NoBalance(NeatHullError, ValueError):
    """There is enough lift, but no stable place for it within the range of the solver."""


class NotSupplied(NeatHullError, ValueError):
    """A bank has no voltage at which it can supply what is on, or no battery that is."""


class NoOrder(NeatHullError, ValueError):
    """Steps of the work that each wait for the other."""

    def __init__(self, members: Sequence[str]) -> None:
        super().__init__(f"steps wait for each other in a circle: {' → '.join(members)}")
        self.members = tuple(members)

    def __reduce__(self) -> tuple[Any, ...]:
        """As of `InputErrors`."""
        return type(self), (self.members,)


class NoPosition(NeatHullError, ValueError):
    """A boat cannot be held, slid or wheeled so; field names what forbids it."""

    def __init__(self, field: str, why: str) -> None:
        super().__init__(f"{field}: {why}")
        self.field, self.why = field, why


class NotFoundError(NeatHullError, LookupError):
    """What was asked for is not in this file."""


class AlreadyMade(NeatHullError):
    """A change that is sent again, since its answer was lost: made once is enough."""


class ConflictError(NeatHullError):
    """The setup was changed after the revision this change was based on."""

    def __init__(self, seen: int, current: int) -> None:
        super().__init__(
            f"this change was based on revision {seen}, but the setup is now at {current}"
        )
        self.seen, self.current = seen, current

    def __reduce__(self) -> tuple[Any, ...]:
        """As of `InputError`."""
        return type(self), (self.seen, self.current)


class OvertakenError(NeatHullError):
    """Fields that somebody else has changed after they were read; each with what it is now."""

    def __init__(self, errors: Sequence[InputError]) -> None:
        super().__init__("changed elsewhere in the meantime: " + "; ".join(map(str, errors)))
        self.errors = tuple(errors)

    def __reduce__(self) -> tuple[Any, ...]:
        """As of `InputErrors`."""
        return type(self), (self.errors,)


class BusyError(NeatHullError):
    """As many long questions wait as can; another is turned away."""


class FeedError(NeatHullError, OSError):
    """The instrument is not there, or hung up."""


class StoreError(NeatHullError, OSError):
    """The data file is missing, unwritable, damaged or from a newer version."""
