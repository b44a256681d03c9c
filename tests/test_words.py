"""The words a person sees: none that the house does without, names without commas, short titles."""

import re

import pytest
from scripts.words import names, page, told

from neat_hull.files.demo import demo_setups
from neat_hull.files.said_text import said
from neat_hull.model.setup import Setup
from neat_hull.whole.evaluate import evaluate

NOT_OURS = (
    "come by", "comes by", "come to them", "pile", "remount", "made fast", "put away", "in hand",
    "steadiness", "strike off", "striking off", "working share", "ashore only", "judged for",
    "accept no longer", "to look at", "meanwhile", "a stander", "one sits",
    "one steps", "one's own", "the commonest", "most anglers", "nobody", "somebody", "the shelf",
)  # fmt: skip
# Keys of the file's own fields, never shown as they are.
KEYS = {"working share"}


def test_no_word_that_we_do_without() -> None:
    """Of what a finding, a screen, the catalogue and a command say, all of which the page holds."""
    whole = page()
    for said_somewhere in (
        *("where you climb back in", "Find an item", "Full bait tank", "Findings"),
        *("Measure my boat", "an unknown length"),  # below a comment, and chosen where shown
    ):
        assert said_somewhere in whole
    not_ours = re.compile(rf"\b(?:{'|'.join(NOT_OURS)})\b", re.I)
    for where, texts in told().items():
        for text in texts:
            found = not_ours.findall(text)
            assert not found or text in KEYS, (where, text, found)


def test_names_carry_no_comma() -> None:
    assert names()
    assert [name for name in names() if "," in name] == []


@pytest.mark.parametrize("setup", demo_setups(), ids=lambda one: one.name)
def test_a_finding_is_told_in_a_short_title(setup: Setup) -> None:
    for one in evaluate(setup).findings:
        assert len(said(one.title)) <= 60, said(one.title)
        assert said(one.title)[0].isupper() or said(one.title)[0].isdigit(), said(one.title)
        assert said(one.clear)[0].isupper(), said(one.clear)
