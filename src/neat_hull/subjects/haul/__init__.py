"""Haul: the boat from the garage to the water, lifted, carried on wheels, on a roof or a bed.

So far of a bare case alone: nothing of it is live in a setup yet.
"""

from neat_hull.rig.subject import Subject

SUBJECT = Subject("haul")
