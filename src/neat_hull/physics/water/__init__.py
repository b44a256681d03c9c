"""The boat in the water: immersion, balance, hydrostatics and stability."""
