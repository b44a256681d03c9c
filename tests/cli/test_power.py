"""`neat-hull power`: an answer, or one line that says what is wrong."""

import json
from pathlib import Path

import pytest
from typer.testing import CliRunner

from neat_hull.cli.main import app

CASE = {
    "name": "lamp",
    "batteries": [
        {"name": "b", "bank": "aft", "chemistry": "lead_acid", "capacity_ah": 9, "rated_hours": 20,
         "resistance_ohm": 0.03, "usable_share": 0.5, "start_soc": 0.9}
    ],
    "loads": [{"name": "lamp", "at": "aft", "watts": 10, "on": []}],
    "moments": [{"name": "on", "on": [{"load": "lamp"}]}],
}  # fmt: skip


@pytest.mark.parametrize(
    ("text", "code", "says"),
    [
        (json.dumps(CASE), 0, ""),
        ("{", 2, "is not JSON"),
        (json.dumps(CASE).replace("0.9", "NaN"), 2, "start_soc"),
        (json.dumps(CASE).replace('"watts": 10', '"watts": 99999'), 3, "cannot supply"),
    ],
)
def test_it_answers_or_says_in_a_line_what_is_wrong(
    text: str, code: int, says: str, tmp_path: Path
) -> None:
    path = tmp_path / "case.json"
    path.write_text(text, encoding="utf-8")
    done = CliRunner().invoke(app, ["power", str(path)])
    assert done.exit_code == code, done.stderr
    if code:
        assert done.stdout == ""
        assert len(done.stderr.splitlines()) == 1
        assert says in done.stderr
    else:
        (moment,) = json.loads(done.stdout)["moments"]
        assert moment["loads"][0]["a"] == pytest.approx(10 / moment["loads"][0]["v"])
