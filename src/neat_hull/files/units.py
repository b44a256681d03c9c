"""Units that files carry; exact by definition."""

LENGTH_M = {"m": 1.0, "cm": 0.01, "mm": 0.001, "in": 0.0254, "ft": 0.3048}
SPEED_M_S = {"m/s": 1.0, "mph": 0.44704}
MASS_KG = {"kg": 1.0, "g": 0.001, "lb": 0.45359237, "oz": 0.45359237 / 16}
