"""The page to take along: lists, figures, cautions and the trip form in one HTML file.

It has no outside links, works without a network, keeps its ticks in its own storage, prints, and
gives back text that `files.trip_text` reads.
"""

from base64 import b64encode
from collections.abc import Sequence
from dataclasses import dataclass
from functools import partial
from hashlib import sha256
from importlib.resources import files
from typing import get_args

from neat_hull.files.said_text import Units, said
from neat_hull.model.cautions import ANCHOR
from neat_hull.model.checklists import Checklist
from neat_hull.model.log import Flag, Uses, Wind
from neat_hull.model.said import Said
from neat_hull.model.water import Water

# What a battery's display, or a guess, can tell.
_SHARES = (0, 0.1, 0.25, 0.4, 0.5, 0.6, 0.75, 0.9, 1)
CAUTIONS = (
    "The law and makers' labels come first; all figures are estimates until you test them.",
    "Wear the PFD and dress for the water. Cold water takes your breath and your hands in minutes.",
    "Wind, waves and wash are not in the figures: what floats level here can still turn over.",
    ANCHOR,
)


@dataclass(frozen=True)
class TakeAlong:
    """What the page holds. figures are names and values as told; items and packs by number;
    deck is the plan of the deck as `files.deck_svg` draws it."""

    setup_id: int
    revision: int
    setup: str
    boat: str
    day: str | None
    water: Water
    figures: Sequence[tuple[str, str]]
    findings: Sequence[Said]
    lists: Sequence[Checklist]
    deck: str
    plan: str
    items: Sequence[tuple[int, str]]
    packs: Sequence[tuple[int, str]]


def write_take_along(page: TakeAlong, units: Units) -> str:
    """The file, under 200 kB for any boat that one person sits in."""
    # Only who asks for the page pays for the template engine.
    from jinja2 import Environment, StrictUndefined
    from markupsafe import Markup

    made = Environment(
        autoescape=True, undefined=StrictUndefined, trim_blocks=True, lstrip_blocks=True
    )
    made.filters["said"] = partial(said, units=units)
    return made.from_string(_text("html")).render(
        page=page,
        key=f"{page.setup_id}-{page.day or ''}",
        cautions=CAUTIONS,
        waters=get_args(Water),
        winds=get_args(Wind),
        uses=get_args(Uses),
        flags=get_args(Flag),
        shares=_SHARES,
        # Within a page a drawing needs no name of its language.
        deck=Markup(page.deck.replace(' xmlns="http://www.w3.org/2000/svg"', "")),
        css=Markup(_text("css")),
        js=Markup(_text("js")),
    )


def policy() -> str:
    """What a browser may do with the page where a server sends it: its own script alone."""
    digest = b64encode(sha256(f"\n{_text('js')}".encode()).digest()).decode()
    return (
        f"default-src 'none'; script-src 'sha256-{digest}'; style-src 'unsafe-inline'; "
        "base-uri 'none'; form-action 'none'; frame-ancestors 'none'"
    )


def _text(suffix: str) -> str:
    return files("neat_hull").joinpath(f"files/take_along.{suffix}").read_text(encoding="utf-8")
