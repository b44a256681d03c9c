"""What a setup is judged with that is not its own: other setups, dates, and the day it is."""

from collections.abc import Sequence
from dataclasses import dataclass

from neat_hull.model.dates import Dated


@dataclass(frozen=True)
class Beside:
    """elsewhere: things (id) that another setup (name) of the same day has aboard as well. today:
    an ISO date; null where nobody asks by the calendar."""

    elsewhere: Sequence[tuple[int, str]] = ()
    dates: Sequence[Dated] = ()
    today: str | None = None


ALONE = Beside()
