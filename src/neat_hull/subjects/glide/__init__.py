"""Glide: what water and wind make of a boat that goes, drifts, or is driven by a motor.

So far of a bare case alone: nothing of it is live in a setup yet.
"""

from neat_hull.rig.subject import Subject

SUBJECT = Subject("glide")
