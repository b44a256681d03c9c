"""Fixing things down: mounts, walls, holes, and the order of the work."""
