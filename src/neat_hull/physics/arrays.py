"""The array types and the checks at the door of the physics modules."""

import numpy as np
from numpy.typing import NDArray

from neat_hull.errors import InputError

Array = NDArray[np.float64]
Flags = NDArray[np.bool_]


def finite(name: str, value: object) -> Array:
    """Return `value` as a float array. Raises InputError if an entry is not a finite number."""
    array = np.asarray(value, dtype=np.float64)
    if not np.isfinite(array).all():
        raise InputError(name, value, "every number must be finite")
    return array
