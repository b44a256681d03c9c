"""The worked example of docs/extend.md is registered and asked, as it stands there."""

import re
from pathlib import Path
from typing import Any

import pytest
from tests.judged import FULL, ROD_S, SPARE_ROD, without

from neat_hull.rig.subject import Subject
from neat_hull.whole import registry
from neat_hull.whole.advice.best import advise
from neat_hull.whole.evaluate import evaluate

PAGE = Path(__file__).parents[1] / "docs/extend.md"


def example() -> Subject:
    """What the blocks of the page make when they are run one after the other."""
    blocks = re.findall(r"```python\n(.*?)```", PAGE.read_text(encoding="utf-8"), re.DOTALL)
    space: dict[str, Any] = {}
    exec("\n".join(blocks), space)
    subject: Subject = space["SUBJECT"]
    return subject


def test_the_example_judges_beside_the_others(monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr(registry, "SUBJECTS", (*registry.SUBJECTS, example()))
    assert "a-lone-rod" not in {one.code for one in evaluate(FULL).findings}
    lone = without(FULL, SPARE_ROD, ROD_S)
    (finding,) = (one for one in evaluate(lone).findings if one.code == "a-lone-rod")
    assert (finding.verdict, finding.limit_key) == ("watch", "rods short")
    assert finding.where
    (row,) = (one for one in registry.limit_rows(lone.judging) if one.key == "rods short")
    assert row.title == "Rods missing to two"
    assert advise(lone, finding.key) is not None
