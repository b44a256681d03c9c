"""What is wrong with the electrics."""

from neat_hull.subjects.power.rules import lasting, routes, volts, wires

RULES = (*wires.RULES, *volts.RULES, *lasting.RULES, *routes.RULES)
