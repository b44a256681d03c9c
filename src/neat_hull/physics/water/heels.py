"""The heels that curves are taken at, again and again: their sections are worth tabulating."""

import numpy as np

HEEL_RAD = np.radians(np.arange(0.0, 61.0, 5.0))  # live: past that nobody is still sitting in it
FULL_RAD = np.radians(np.arange(0.0, 90.1, 2.5))  # 37 angles
# Of the heels of a full curve those of each, by the heels' bytes: one table serves all.
STANDING = {
    heels.tobytes(): np.flatnonzero(np.isin(FULL_RAD, heels)) for heels in (HEEL_RAD, FULL_RAD)
}
