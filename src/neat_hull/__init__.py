"""Neat Hull: plan where everything goes on a fishing kayak and see what the boat does with it."""

__version__ = "0.1.0"
