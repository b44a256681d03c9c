"""What was measured before the house was re-laid, what is wanted, and how the figures are told."""

from dataclasses import dataclass
from typing import Any

import numpy as np

Times = np.ndarray[tuple[int], np.dtype[np.float64]]


@dataclass(frozen=True)
class Row:
    """Medians and 95th percentiles in ms, of one machine with two cores; None: not measured."""

    name: str
    was: float | None
    was_p95: float | None
    wanted: float | None
    wanted_p95: float | None = None


ROWS = {
    "60 kept": Row("60 aboard, one moved, with findings", 29, None, 8),
    "60 cold": Row("the same, cold", 29, None, 18),
    "500 kept": Row("500 aboard as packed, one moved", None, None, 25),
    "500 cold": Row("the same, cold", None, None, None),
    "demo kept": Row("the full demo, one moved", 22, None, None),
    "demo cold": Row("the same, cold", 22, None, None),
    "equilibrium": Row("equilibrium, 25 stations, 60 loads", 2.6, None, 1.5),
    "curve": Row("with a 37-angle curve", 13, None, 8),
    "best move": Row("best move for one finding", 265, 664, 250, 400),
    "arrange": Row("arranging 25", None, None, 2000),
    "power day": Row("day of 8 loads, 4 batteries", None, None, 5),
    "power cycles": Row("the same with a pump that cycles", None, None, None),
    "power live": Row("circuit, moments, checks: battery dragged", None, None, 1),
    "power ways": Row("the same with where its wires lie", None, None, None),
    "power other": Row("all of it, a crate dragged", None, None, 1),
    "power anew": Row("all of it, all wires anew", None, None, None),
    "fixing dragged": Row("40 mounts, one of them dragged", None, None, 1),
    "fixing cold": Row("40 mounts, all anew", None, None, None),
    "fixing full": Row("40 mounts in full", None, None, None),
    "log read": Row("500 trips of 80 items, read", None, None, None),
    "log learned": Row("the same, and all that they teach", None, None, 100),
    "glide waves": Row("cut, and waves of 12 speeds, 25 stations", None, None, 15),
    "glide waves converged": Row("the same, converged", None, None, None),
    "glide grid": Row("read off between attitudes", None, None, None),
    "glide drag demo": Row("demo: what holds it back, one moved", None, None, None),
    "glide live demo": Row("going", None, None, 1),
    "hold live demo": Row("being held", None, None, None),
    "glide drag 60": Row("60 aboard: what holds it back", None, None, None),
    "glide live 60": Row("going", None, None, 1),
    "hold live 60": Row("being held", None, None, None),
    "glide full": Row("both pages in full", None, None, None),
    "capsize audit": Row("capsize of 200 things, three ways", None, None, 10),
    "capsize full": Row("the demo full of water", None, None, 30),
    "capsize live": Row("live part of a capsize, crate moved", None, None, 1),
    "seen live": Row("live part of being seen", None, None, 1),
    "haul live": Row("live part of the road, crate moved", None, None, 2),
    "haul full": Row("the road in full", None, None, None),
    "day full": Row("day of 48 steps and 20 turns, with leans", None, None, 150),
    "day live": Row("live part of the day, crate moved", None, None, 50),
    "start": Row("server start, its address and page", None, None, 1500),
    "start answers": Row("server start, the demo's first answer", None, None, None),
    "preview": Row("full demo, loopback: told in a drag", 49, None, 15, 20),
    "preview whole": Row("all of it, when the hand pauses", 49, None, None),
    "paint": Row("first paint of the Bench", None, None, 1000),
    "drag": Row("drag, pointer to drawn", 87, 139, 33, 50),
    "drag aside": Row("the same while arranging", None, None, None),
}


def head() -> None:
    """The line above the figures.

    A rented machine goes by turns at its full speed and at half of it, for what others do on it,
    and changes within seconds: beside the median stands the tenth that was quickest.
    """
    print(
        f"{'ms':38} {'p10':>7} {'median':>8} {'p95':>8}   "
        f"{'was':>6} {'p95':>6}   {'wanted':>6} {'p95':>6}"
    )


def tell(key: str, taken: Times | list[float] | float) -> None:
    """One line: what it took, what it took before, and what is wanted."""
    row, all_ms = ROWS[key], np.atleast_1d(np.asarray(taken, dtype=float))
    soon, median, late = np.percentile(all_ms, [10, 50, 95])
    if len(all_ms) == 1:
        soon = late = None
    print(
        f"{row.name:38} {_ms(soon):>7} {_ms(median):>8} {_ms(late):>8}   "
        f"{_ms(row.was):>6} {_ms(row.was_p95):>6}   {_ms(row.wanted):>6} {_ms(row.wanted_p95):>6}"
    )


def _ms(value: Any) -> str:
    return "–" if value is None else f"{value:.1f}" if value < 100 else f"{value:.0f}"
