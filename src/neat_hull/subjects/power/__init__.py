"""Batteries, wires, fuses and the day: of a bare case, by `neat-hull power`."""

from neat_hull.rig.subject import Subject

SUBJECT = Subject("power")
