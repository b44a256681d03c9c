"""Hold: how a boat lies at anchor or at a pole, and whether that holds."""
