"""The hull: its shape, how it is lofted from a tape, and the lattice that is integrated."""
