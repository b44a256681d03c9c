"""What every form of a template says: its measures in words, its cautions, its check square."""

from neat_hull.model.template import Template

SQUARE_MM = 100.0
CROSS_MM = 6.0  # of cross hairs, past the rim of their hole
MEASURE_FIRST = "Measure this square first: 100.0 by 100.0 mm, within 0.3. Else do not drill."
CAUTIONS = (
    "Never below the loaded waterline; look behind the wall first: no foam, tube, tank or wire.",
    "Goggles, a stop on the drill, pilot first, tape against skating; lithium batteries out.",
    "The maker's limits and warranty win; drilling may end a warranty.",
    "Over a curved deck tape the middle down first, and fold the sheet out from there.",
)


def lines(one: Template) -> list[str]:
    """Where it goes, and what to drill."""
    side = "starboard" if one.off_middle_mm >= 0 else "port"
    bits = ", ".join(f"{d:g} mm" for d in sorted({hole.d_mm for hole in one.holes}))
    seen = "seen from inside, mirrored" if one.inside else "seen from outside"
    return [
        f"Its middle: {one.from_bow_mm:.0f} mm from the bow's tip, "
        f"{abs(one.off_middle_mm):.0f} mm to {side} of the middle line; nearest edge to a hole "
        f"{one.edge_mm:.0f} mm.",
        f"{len(one.holes)} holes of {bits}; {one.hint}. Bow is up; {seen}.",
    ]


def extent_mm(one: Template) -> tuple[float, float, float, float]:
    """Left, low, right and high of all that is drawn."""
    xs = [x for x, _ in one.outline] + [
        hole.x_mm + s * (hole.d_mm / 2 + CROSS_MM) for hole in one.holes for s in (-1, 1)
    ]
    ys = [y for _, y in one.outline] + [
        hole.y_mm + s * (hole.d_mm / 2 + CROSS_MM) for hole in one.holes for s in (-1, 1)
    ]
    return min(xs), min(ys), max(xs), max(ys)
