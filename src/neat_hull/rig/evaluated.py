"""One evaluated setup: what it is made of, and every figure of it, each worked out once."""

from collections.abc import Callable, Hashable, Mapping
from functools import cached_property
from typing import Any, TypeVar, cast

from neat_hull.model.said import plain
from neat_hull.model.setup import Setup
from neat_hull.model.thing import Thing
from neat_hull.rig.beside import ALONE, Beside
from neat_hull.rig.limits import Table
from neat_hull.rig.rigging import Rigged, rig
from neat_hull.rig.whereabouts import whereabouts

T = TypeVar("T")
K = TypeVar("K", bound=Hashable)


class Evaluated:
    """A setup with all that is computed from it; figures are functions of it, see `once`.

    `table` are the limits it is judged by, `beside` what is not the setup's own. `before` is an
    evaluation of the setup as it was: figures of things that have not moved since may be taken
    from there, as long as they come to the same.
    `near` says to look for rest first where the boat lay before: its figures are then equal to 1e-9
    to those worked out from nothing, and without it to the last digit.
    """

    def __init__(
        self,
        setup: Setup,
        table: Table,
        beside: Beside = ALONE,
        before: "Evaluated | None" = None,
        near: bool = False,
    ) -> None:
        self.setup, self.table, self.beside, self.near = setup, table, beside, near
        if before is not None:  # one that is still at work may let go of its own before meanwhile
            before = before.before or before
        self.rigged: Rigged = rig(setup, None if before is None else before.rigged)
        self.before: Evaluated | None = (
            before if before is not None and self._same_frame(before) else None
        )
        self._once: dict[Callable[[Evaluated], Any], Any] = {}
        self._where: dict[int, str] = {}
        self._noted: dict[Hashable, tuple[Any, Any]] = {}
        if self.before is not None:
            same = self.rigged.placing.same
            self._where = {i: where for i, where in self.before._where.items() if i in same}

    def once(self, figure: "Callable[[Evaluated], T]") -> T:
        """A figure of this setup, kept for as long as the evaluation is."""
        if figure not in self._once:
            self._once[figure] = figure(self)
        return cast(T, self._once[figure])

    def was(self, figure: "Callable[[Evaluated], T]") -> T | None:
        """What a figure came to before, where somebody asked for it then."""
        return None if self.before is None else self.before._once.get(figure)

    def again(self, key: Hashable, hangs_on: Any, make: Callable[[], T]) -> T:
        """What `make` makes, or what it made before for that key where that hung on the same.

        For what is told of each thing: much the same is told of most of them all through a drag.
        """
        known = self._still(key, hangs_on) or (hangs_on, make())
        self._noted[key] = known
        return cast(T, known[1])

    def again_each(
        self, of: str, hangs_on: Mapping[K, Any], make: Callable[[list[K]], Mapping[K, T]]
    ) -> list[T]:
        """`again` for many of one kind; those not known before are made together, in one go."""
        known = {key: self._still((of, key), now) for key, now in hangs_on.items()}
        left = [key for key, was in known.items() if was is None]
        made = make(left) if left else {}
        told = {key: was or (hangs_on[key], made[key]) for key, was in known.items()}
        self._noted |= {(of, key): one for key, one in told.items()}
        return [cast(T, what) for _, what in told.values()]

    def _still(self, key: Hashable, hangs_on: Any) -> tuple[Any, Any] | None:
        """What was made for a key, here or before, with what it hangs on; None if that changed."""
        known = self._noted.get(key)
        if known is None and self.before is not None:
            known = self.before._noted.get(key)
        return known if known is not None and known[0] == hangs_on else None

    def forget_before(self) -> None:
        """Let go of the evaluation before, once there is nothing more to take from it."""
        self.before = None

    def _same_frame(self, before: "Evaluated") -> bool:
        """Whether boat and body are the same, so that unmoved things are worth looking up."""
        now, was = self.rigged, before.rigged
        return now.floating is was.floating and now.body is was.body

    @property
    def moved(self) -> frozenset[int]:
        """Things aboard that do not stand as they did before; all of them without a before."""
        aboard = frozenset(self.setup.places)
        return aboard if self.before is None else aboard - self.rigged.placing.same

    def thing(self, thing_id: int) -> Thing:
        """A piece of gear."""
        return self.setup.things[thing_id]

    def name(self, thing_id: int) -> str:
        """What its owner calls it, fit for words that hold amounts."""
        return plain(self.thing(thing_id).name)

    @cached_property
    def rods(self) -> frozenset[int]:
        """Fishing rods aboard."""
        return frozenset(i for i in self.setup.places if self.thing(i).rod is not None)

    def whereabouts(self, x_m: float, y_m: float) -> str:
        """What people call a place on the boat."""
        return whereabouts(self.rigged.floating.hull, self.setup.seat, x_m, y_m)

    def where_is(self, thing_id: int) -> str:
        """What people call the place of a thing aboard: that of what it stands on or in."""
        if thing_id not in self._where:
            stand = self.rigged.by_id[self.rigged.placing.root(thing_id)].stand
            on_you = "In your hands" if stand.held else "On you"
            self._where[thing_id] = (
                on_you if stand.on_body else self.whereabouts(stand.x_m, stand.y_m)
            )
        return self._where[thing_id]
