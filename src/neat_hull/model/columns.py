"""Columns of a table of gear: what a field of a thing is called there, and how its cells read."""

from dataclasses import dataclass
from typing import Literal

Cells = Literal["text", "flag", "number", "count", "mass", "length", "list", "has"]


@dataclass(frozen=True)
class Column:
    """A column: its name, without a unit for masses and lengths, and where its field is in a thing.

    `has` is a flag that says whether the thing has an aspect at all. `nothing` is what says no more
    than that the aspect does not apply.
    """

    name: str
    path: tuple[str, ...]
    cells: Cells = "text"
    nothing: object = None

    @property
    def header(self) -> str:
        """The name with its unit, in SI."""
        return self.name + {"mass": "_kg", "length": "_m"}.get(self.cells, "")


CORE = (
    Column("name", ("name",)),
    Column("kind", ("kind",)),
    Column("mass", ("mass_kg",), "mass"),
    Column("evidence", ("evidence",)),
    Column("weighed_on", ("weighed_on",)),
    Column("shape", ("shape",)),
    Column("length", ("length_m",), "length"),
    Column("width", ("width_m",), "length"),
    Column("height", ("height_m",), "length"),
    Column("offset_x", ("offset_x_m",), "length"),
    Column("offset_y", ("offset_y_m",), "length"),
    Column("offset_z", ("offset_z_m",), "length"),
    Column("use", ("use",)),
    Column("floats", ("floats",), "flag"),
    Column("worn", ("worn",), "flag"),
    Column("price", ("price",), "number"),
    Column("bought", ("bought",), "flag"),
    Column("serves", ("serves",), "list"),
    Column("part", ("part",)),
    Column("picture", ("picture",)),
    Column("fixed", ("fixing", "by")),
    Column("leashed", ("fixing", "leashed"), "flag"),
    Column("wants_dry", ("care", "wants_dry"), "flag", nothing=False),
    Column("inner_length", ("container", "length_m"), "length"),
    Column("inner_width", ("container", "width_m"), "length"),
    Column("inner_height", ("container", "height_m"), "length"),
    Column("opens", ("container", "opens"), nothing="open"),
    Column("battery", ("battery",), "has"),
    Column("battery_ah", ("battery", "capacity_ah"), "number"),
    Column("notes", ("notes",)),
)
