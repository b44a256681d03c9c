"""Advice: moves worth making, each proved by evaluating the boat with it done."""
