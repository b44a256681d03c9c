"""The physics core: arrays in, numbers out; no files, database, web or screen.

Axes and signs (hold in every module): x forward from the aft-most point of the hull, y to port,
z up from the baseline. The water plane is z = c − x·tan θ − y·tan φ, with heel φ positive when the
starboard side is down and trim θ positive when the bow is up. SI units; radians inside.
"""
