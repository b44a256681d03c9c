"""How often the true figure lies inside the printed ±, over many simulated owners: `… .coverage`.

`-m benchmarks.coverage 1000` for a thousand of them.
"""

import sys
from collections import defaultdict

import numpy as np
from tests.owners import FAMILIES, simulated

FIGURES = ("carried", "draft", "trim", "list", "gm", "margin")


def main() -> None:
    """Print, by what was tested and by family: coverage, median ± and the bias of GM."""
    count = int(sys.argv[1]) if len(sys.argv) > 1 else 200
    found: dict[tuple[str, str], list[tuple[float, float]]] = defaultdict(list)
    names = list(FAMILIES)
    for n in range(count):
        family = names[n % len(names)]
        for knows, errors in simulated(np.random.default_rng(n), family).items():
            for figure, pair in errors.items():
                found[knows, figure].append(pair)
                if figure == "gm":
                    found[f"{knows}: {family}", figure].append(pair)
    head = f"{'inside ± %':26}" + "".join(f"{figure:>9}" for figure in FIGURES)
    print(head)
    for knows in dict.fromkeys(knows for knows, _ in found):
        cells = [found[knows, figure] for figure in FIGURES]
        print(f"{knows:26}" + "".join(f"{_inside(cell):>9}" for cell in cells))
    print(f"\n{'median ± over error':26}" + "".join(f"{figure:>9}" for figure in FIGURES))
    for knows in dict.fromkeys(knows for knows, _ in found if ":" not in knows):
        cells = [found[knows, figure] for figure in FIGURES]
        print(f"{knows:26}" + "".join(f"{_ratio(cell):>9}" for cell in cells))
    print("\nGM, cm: mean error (told less true), its spread, median ±")
    for knows, figure in found:
        if figure == "gm":
            error, band = (100 * np.array(one) for one in zip(*found[knows, figure], strict=True))
            print(f"{knows:26}{error.mean():9.2f}{error.std():9.2f}{np.median(band):9.2f}")


def _inside(pairs: list[tuple[float, float]]) -> str:
    if not pairs:
        return "–"
    return f"{100 * np.mean([abs(error) <= band for error, band in pairs]):.0f}"


def _ratio(pairs: list[tuple[float, float]]) -> str:
    if not pairs:
        return "–"
    error, band = (np.array(one) for one in zip(*pairs, strict=True))
    return f"{np.median(band) / max(float(np.median(np.abs(error))), 1e-9):.1f}"


if __name__ == "__main__":
    main()
