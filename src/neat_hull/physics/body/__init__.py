"""The angler: segments, build, postures, and what a hand reaches."""
