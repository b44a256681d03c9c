"""Between newtons and the weight that pulls as hard."""

GRAVITY_M_S2 = 9.80665  # standard gravity, CGPM 1901
