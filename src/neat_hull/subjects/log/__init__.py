"""The log: what trips teach, and the lists that a trip is packed and put away by."""

from neat_hull.rig.subject import Subject

SUBJECT = Subject("log")
