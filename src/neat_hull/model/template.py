"""A drilling template: holes on a flat sheet, seen from outside, the bow up."""

from typing import Literal

from neat_hull.model.base import Answer

Spot = tuple[float, float]


class TemplateHole(Answer):
    """A hole: x_mm to starboard and y_mm toward the bow of the template's own middle."""

    name: str
    x_mm: float
    y_mm: float
    d_mm: float


class Template(Answer):
    """Holes and outline of one mount, gland or transducer.

    from_bow_mm and off_middle_mm (starboard positive) say where its middle is, edge_mm how far the
    gunwale or the rim of a well is from the hole nearest to it; inside: it is mirrored, for marking
    from within.
    """

    name: str
    kind: Literal["mount", "gland", "transducer"]
    holes: list[TemplateHole]
    outline: list[Spot]
    round_: bool
    from_bow_mm: float
    off_middle_mm: float
    edge_mm: float
    hint: str
    inside: bool = False

    def mirrored(self) -> "Template":
        """As it is marked from within."""
        return self.model_copy(
            update={
                "holes": [one.model_copy(update={"x_mm": -one.x_mm}) for one in self.holes],
                "outline": [(-x, y) for x, y in self.outline],
                "inside": not self.inside,
            }
        )
