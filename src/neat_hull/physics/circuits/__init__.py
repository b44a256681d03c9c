"""Direct current on a boat: batteries, wires in trees, what draws, and hours of it."""
