"""Day: what a boat weighs and how it lies, hour by hour.

So far of a bare case alone: nothing of it is live in a setup yet.
"""

from neat_hull.rig.subject import Subject

SUBJECT = Subject("day")
