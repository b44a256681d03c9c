"""What other subjects may know of a boat that goes through the water."""

from neat_hull.subjects.glide.boats import Afloat, afloat, require_afloat
from neat_hull.subjects.glide.winds import Air, axes

__all__ = ["Afloat", "Air", "afloat", "axes", "require_afloat"]
