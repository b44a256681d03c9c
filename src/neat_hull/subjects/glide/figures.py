"""What other subjects may know of a boat that goes through the water."""

from neat_hull.subjects.glide.boats import Afloat, afloat, air_of, require_afloat

__all__ = ["Afloat", "afloat", "air_of", "require_afloat"]
