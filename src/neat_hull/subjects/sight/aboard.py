"""What is aboard to be seen and heard with."""

from neat_hull.model.thing import Serves
from neat_hull.rig.evaluated import Evaluated

_HEARD_OR_SEEN: tuple[Serves, ...] = ("PFD", "whistle", "light", "call")


def shown_and_heard(ev: Evaluated) -> list[str]:
    """Names: lamps, flags, whistles, radios, and the vest by which one is seen."""
    return [
        ev.setup.things[i].name
        for i in sorted(ev.setup.places)
        if (thing := ev.thing(i)).lamp is not None
        or thing.flag is not None
        or any(one in _HEARD_OR_SEEN for one in thing.serves)
    ]
