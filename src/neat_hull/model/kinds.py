"""Objects that are told apart by their `kind`: one of another kind is another thing altogether."""

from typing import Any, get_args

from pydantic import BaseModel

from neat_hull.model.boat import Fitting
from neat_hull.model.day_plan import Store
from neat_hull.model.place import On


def fields_by_kind(union: Any) -> dict[Any, set[str]]:
    """Field names of each kind of a tagged union."""
    found: dict[Any, set[str]] = {}
    for member in get_args(get_args(union)[0]):
        assert issubclass(member, BaseModel), "a union of models"
        found[member.model_fields["kind"].default] = set(member.model_fields)
    return found


# All that a setup is made of; elsewhere `kind` is a field like others, as of a line.
KINDS: frozenset[str] = frozenset(
    kind for union in (On, Fitting, Store) for kind in fields_by_kind(union)
)
