"""What a kept setup is judged with that is not its own."""

from datetime import date

from neat_hull.rig.beside import Beside
from neat_hull.store.setups import StoredSetup


def beside_of(stored: StoredSetup) -> Beside:
    """The other setups of its day, dates, and today."""
    elsewhere = tuple((one.thing_id, one.setup) for one in stored.elsewhere)
    return Beside(elsewhere, tuple(stored.dates), date.today().isoformat())
