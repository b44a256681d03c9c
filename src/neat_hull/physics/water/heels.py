"""The heels that curves are taken at, again and again: their sections are worth tabulating."""

import numpy as np

HEEL_RAD = np.radians(np.arange(0.0, 61.0, 5.0))  # live: past that nobody is still sitting in it
FULL_RAD = np.radians(np.arange(0.0, 90.1, 2.5))  # 37 angles
_AT_ONCE = 8
# A full curve a few heels at a time: most boats that are let go are still before long.
SCANNED_RAD = np.split(FULL_RAD, range(_AT_ONCE, len(FULL_RAD), _AT_ONCE))
# Of the heels of a full curve those of each, by the heels' bytes: one table serves all.
STANDING = {
    heels.tobytes(): np.flatnonzero(np.isin(FULL_RAD, heels))
    for heels in (HEEL_RAD, FULL_RAD, *SCANNED_RAD)
}
