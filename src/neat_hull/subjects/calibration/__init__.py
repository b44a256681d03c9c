"""What tests of the real boat change."""

from neat_hull.rig.subject import Subject

SUBJECT = Subject("calibration")
