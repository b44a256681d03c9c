"""Room that lids need to swing: of hatches, and of the boxes aboard."""

import numpy as np

from neat_hull.model.boat import Boat, Hatch
from neat_hull.physics.solids import Solids, boxes
from neat_hull.rig.rigging import Rigged
from neat_hull.subjects.room.envelopes import Needed

HATCH = "hatch "  # before its name, the key of a hatch's lid
LID = "lid "  # before its id, the key of the lid of a thing


def is_lid(key: str) -> bool:
    """Whether an envelope is the swing of a lid."""
    return key.startswith((HATCH, LID))


def lids(rigged: Rigged) -> list[Needed]:
    """The swing of each lid: a box over its mouth as high as the lid is deep across."""
    found = [
        Needed(
            f"{HATCH}{f.name}",
            f"the lid of {f.name}",
            "remount",
            _lid(f.x_m, f.y_m, f.z_m, f.length_m, f.width_m or 0.2, 0.0),
            0.0,
            "fix",
        )
        for f in hatches(rigged.setup.boat)
    ]
    for stowed in rigged.stowed:
        thing, stand = rigged.setup.things[stowed.thing_id], stowed.stand
        if thing.inner_m is not None and thing.opens == "lid" and thing.height_m > 0.1:
            solids = _lid(
                stand.x_m,
                stand.y_m,
                stand.base_z_m + thing.height_m,
                thing.length_m,
                thing.width_m,
                np.radians(stand.turn_deg),
                thing.drum,
            )
            found.append(
                Needed(
                    f"{LID}{stowed.thing_id}",
                    f"the lid of {thing.name}",
                    "remount",
                    solids,
                    0.0,
                    "watch",
                    owner=stowed.thing_id,
                )
            )
    return found


def hatches(boat: Boat) -> list[Hatch]:
    """Hatches whose mouth has a length."""
    return [f for f in boat.fittings if isinstance(f, Hatch) and f.length_m > 0]


def _lid(
    x: float,
    y: float,
    z: float,
    length: float,
    width: float,
    turn_rad: float,
    drum: bool = False,
) -> Solids:
    high = min(length, width)
    return boxes(
        np.array([[x, y, z + 0.01 + high / 2]]),
        np.array([[length, width, high]]),
        np.array([turn_rad]),
        np.array([drum]),
    )
