"""Checklists of a setup: in order, with all that is aboard, own lines through every change."""

from tests.judged import ANCHOR, BATTERY, CRATE, FULL, PFD, PHONE, SPARE_ROD, known, safe, without
from tests.subjects.log.trips import logged, season

from neat_hull.model.checklists import ChecklistLine, KeptLine, ListName
from neat_hull.model.dates import Dated
from neat_hull.model.log import Log
from neat_hull.model.setup import Setup
from neat_hull.rig.beside import Beside
from neat_hull.subjects.log.care import care
from neat_hull.subjects.log.lists import checklists
from neat_hull.whole.evaluate import evaluated

TODAY = "2026-05-30"


def lines(
    name: ListName,
    setup: Setup = FULL,
    log: Log | None = None,
    *kept: KeptLine,
    dates: list[Dated] | None = None,
) -> list[ChecklistLine]:
    """One list of a setup."""
    ev = evaluated(setup, Beside(dates=dates or [], today=TODAY))
    known_log = log or Log()
    made = checklists(ev, known_log, care(ev, known_log, 1, TODAY), kept)
    return next(one.lines for one in made if one.name == name)


def words(found: list[ChecklistLine]) -> list[str]:
    """Their words."""
    return [one.words.text for one in found]


def test_all_that_is_aboard_is_packed_once_and_nothing_else() -> None:
    packed = [one for one in lines("pack") if one.key.startswith("pack ")]
    assert sorted(one.thing_id or 0 for one in packed) == sorted(FULL.places)


def test_it_is_packed_from_the_bow_with_what_is_in_a_container_under_it() -> None:
    packed = [one for one in lines("pack") if one.key.startswith("pack ")]
    ids = [one.thing_id for one in packed]
    by_id = evaluated(FULL).rigged.by_id
    afloat = [
        one.thing_id
        for one in packed
        if one.depth == 0 and not by_id[one.thing_id or 0].stand.on_body
    ]
    along = [by_id[i or 0].centre_m[0] for i in afloat]
    assert along == sorted(along, reverse=True)
    assert ids.index(SPARE_ROD) > ids.index(CRATE)
    assert next(one for one in packed if one.thing_id == SPARE_ROD).depth == 1
    assert by_id[ids[-1] or 0].stand.on_body, "what is worn comes last"


def test_charges_and_dates_come_first() -> None:
    late = Dated(dated_id=3, thing_id=PFD, kind="inflator", due="2026-05-01", uid="x", sequence=0)
    found = lines("pack", dates=[late])
    charged = [one.thing_id for one in found[:2]]
    assert set(charged) == {BATTERY, PHONE}
    assert all(one.words.text.startswith("Charge") for one in found[:2])
    assert "PFD: out of date" in words(found)[:4]


def test_the_plug_is_on_the_launch_list_whatever_is_known_of_it() -> None:
    assert "Drain plug in, hand-tight" in words(lines("launch"))
    unknown = safe(FULL, plug=None)
    assert "Drain plug in, if there is one" in words(lines("launch", unknown))
    bare = without(FULL, PFD)
    assert "Life jacket (PFD): on, and closed" in words(lines("launch", bare))


def test_what_broke_and_what_is_due_is_on_the_list_for_home() -> None:
    log = logged(season(1), {ANCHOR: [{"broke": 1}]})
    assert f"Mend {FULL.things[ANCHOR].name}: it broke" in words(lines("home", FULL, log))
    long = logged(season(20, boat=1))
    assert any("scuppers" in one for one in words(lines("home", FULL, long)))


def test_own_lines_survive_whatever_becomes_of_the_setup() -> None:
    own = KeptLine(line_id=4, list="rig", line=None, own_text="Whistle the {dog}")
    for setup in (FULL, without(FULL, *FULL.places), known(FULL, CRATE, name="Other")):
        last = lines("rig", setup, None, own)[-1]
        assert (last.key, last.own_id, last.words.text) == ("own 4", 4, "Whistle the (dog)")
    assert "own 4" not in [one.key for one in lines("pack", FULL, None, own)]


def test_a_line_that_is_hidden_is_there_to_be_brought_back() -> None:
    hidden = KeptLine(line_id=1, list="launch", line="weather", own_text=None)
    found = {one.key: one.hidden for one in lines("launch", FULL, None, hidden)}
    assert found["weather"]
    assert not found["plug"]


def test_keys_are_there_once() -> None:
    for name in ("pack", "rig", "launch", "home"):
        keys = [one.key for one in lines(name)]
        assert len(set(keys)) == len(keys)
