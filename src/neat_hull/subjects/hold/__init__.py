"""Hold: how a boat lies at anchor or at a pole, and whether that holds.

So far of a bare case alone: nothing of it is live in a setup yet.
"""

from neat_hull.rig.subject import Subject

SUBJECT = Subject("hold")
