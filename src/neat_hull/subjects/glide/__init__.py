"""Glide: what water and wind make of a boat that goes, drifts, or is driven by a motor."""
