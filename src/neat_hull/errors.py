"""Every error raised on purpose; the API and the command line map each to one answer.

NeatHullError
├── InputError      (also ValueError)   a value with no meaning             422, exit 2
│   └── InputErrors                     several of them at once
├── DoesNotFloat    (also ValueError)   the load is more than the boat      422, exit 3
├── NoBalance       (also ValueError)   it floats, but in no upright place  422, exit 3
├── NotFoundError   (also LookupError)  no such setup, boat or thing        404
├── ConflictError                       the setup changed meanwhile         409
├── OvertakenError                      others changed the same fields      409
├── BusyError                           too many long questions wait        503
├── FeedError       (also OSError)      an instrument cannot be reached     503
└── StoreError      (also OSError)      the data file cannot be used        500, exit 2

A boat that is merely bad (stern-heavy, tender, wet) is no error: that is a figure with a verdict.
"""

from collections.abc import Sequence
from typing import Any


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
            f"does not float: {_kilos(mass_kg)} kg in all, "
            f"but wholly under water this boat lifts only {_kilos(capacity_kg)} kg"
        )
        self.mass_kg, self.capacity_kg = mass_kg, capacity_kg

    def __reduce__(self) -> tuple[Any, ...]:
        """As of `InputError`."""
        return type(self), (self.mass_kg, self.capacity_kg)


def _kilos(mass_kg: float) -> str:
    return f"{mass_kg:.1f}" if mass_kg < 1e6 else f"{mass_kg:.3g}"


class NoBalance(NeatHullError, ValueError):
    """There is enough lift, but no stable place for it within the range of the solver."""


class NotFoundError(NeatHullError, LookupError):
    """What was asked for is not in this file."""


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
