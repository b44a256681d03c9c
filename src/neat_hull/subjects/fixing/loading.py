"""What pulls at a mount at once."""

from dataclasses import dataclass

from neat_hull.model.mount_case import CaseForce, Duration, Situation
from neat_hull.physics.fixing.bolts import Triple
from neat_hull.physics.water.gravity import GRAVITY_M_S2


@dataclass(frozen=True)
class Loading:
    """What pulls at a mount at once, forces with their places in its own axes, and for how long."""

    name: str
    duration: Duration
    pulls: tuple[tuple[Triple, Triple], ...]

    @classmethod
    def of(cls, situation: Situation) -> "Loading":
        """As a case says it."""
        pulls = tuple((_force(one), one.at_m) for one in situation.forces)
        return cls(situation.name, situation.duration, pulls)


def _force(one: CaseForce) -> Triple:
    if one.force_n is not None:
        return one.force_n
    assert one.mass_kg is not None, "required before"
    assert one.accel_g is not None, "required before"
    weighs = one.mass_kg * GRAVITY_M_S2
    u, v, n = one.accel_g
    return weighs * u, weighs * v, weighs * n
