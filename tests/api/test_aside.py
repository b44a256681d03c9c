"""Long questions in a process of their own: answers, errors, and who hangs up."""

import json
import os
import threading
import urllib.error
import urllib.request
from collections.abc import Iterator
from pathlib import Path

import pytest
from tests.servers import ServerThread

from neat_hull.api.aside import MOST_WAITING, Aside, only
from neat_hull.errors import BusyError, InputError


def counted(to: int) -> Iterator[int]:
    yield from range(to)


def whose() -> Iterator[int]:
    yield os.getpid()


def endless() -> Iterator[int]:
    n = 0
    while True:
        yield n
        n += 1


def refused() -> Iterator[int]:
    raise InputError("mass_kg", -1, "must be more than 0")
    yield 0


def broken() -> Iterator[int]:
    raise ZeroDivisionError("by nothing")
    yield 0


@pytest.fixture
def aside(monkeypatch: pytest.MonkeyPatch) -> Iterator[Aside]:
    # The other process has to find the functions above by their name.
    monkeypatch.syspath_prepend(str(Path(__file__).parents[2]))
    aside = Aside()
    yield aside
    aside.close()


def test_answers_come_one_by_one_from_one_other_process(aside: Aside) -> None:
    aside.warm()
    there = only(aside.answers(whose))
    assert there != os.getpid()
    assert list(aside.answers(counted, 3)) == [0, 1, 2]
    assert only(aside.answers(whose)) == there


def test_a_refusal_is_raised_here_and_the_process_goes_on(aside: Aside) -> None:
    there = only(aside.answers(whose))
    with pytest.raises(InputError, match="must be more than 0"):
        list(aside.answers(refused))
    with pytest.raises(RuntimeError, match="by nothing"):
        list(aside.answers(broken))
    assert only(aside.answers(whose)) == there


def test_who_hangs_up_ends_it_and_the_next_is_answered(aside: Aside) -> None:
    there = only(aside.answers(whose))
    asked = aside.answers(endless)
    assert next(asked) == 0
    asked.close()
    assert only(aside.answers(whose)) != there


def test_two_askers_are_answered_in_turn(aside: Aside) -> None:
    told: list[list[int]] = []
    threads = [
        threading.Thread(target=lambda: told.append(list(aside.answers(counted, 50))))
        for _ in range(3)
    ]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()
    assert told == [list(range(50))] * 3


def test_a_drag_is_answered_while_everything_is_being_arranged(tmp_path: Path) -> None:
    server = ServerThread(tmp_path / "boats.sqlite")
    setup = f"{server.url}/api/v1/setups/1"

    def asked(path: str, body: object) -> urllib.request.Request:
        told = {"content-type": "application/json"}
        return urllib.request.Request(f"{setup}/{path}", json.dumps(body).encode(), told)

    ended = threading.Event()
    try:
        with urllib.request.urlopen(asked("arrange", {})) as rounds:
            assert json.loads(rounds.readline())["done"] == 0

            def rest() -> None:
                last = [json.loads(line) for line in rounds][-1]
                assert last["done"] == last["total"]
                ended.set()

            reading = threading.Thread(target=rest)
            reading.start()
            with urllib.request.urlopen(asked("preview", {"places": []})) as answer:
                assert json.load(answer)["figures"]["findings"]
            assert not ended.is_set()  # the preview did not wait its turn
            reading.join()
        assert ended.is_set()
    finally:
        server.stop()


def test_as_many_wait_as_may_and_more_are_turned_away(aside: Aside) -> None:
    """The one that is looked into is stopped at the end; those that waited are then answered."""
    first = aside.answers(endless)
    next(first)
    answered: list[int] = []
    waiting = [
        threading.Thread(target=lambda: answered.append(only(aside.answers(whose))))
        for _ in range(MOST_WAITING)
    ]
    for one in waiting:
        one.start()
    turned_away, words = threading.Event(), list[str]()

    def ask() -> None:  # until all of them wait, one more is one of them
        while not turned_away.is_set():
            try:
                only(aside.answers(whose))
            except BusyError as busy:
                words.append(str(busy))
                turned_away.set()

    asking = threading.Thread(target=ask)
    asking.start()
    assert turned_away.wait(60)
    assert "ask again" in words[0]
    first.close()
    for one in [*waiting, asking]:
        one.join(120)
    assert len(answered) == MOST_WAITING
    assert only(aside.answers(whose)) in answered


def test_forty_five_questions_hold_up_no_save(tmp_path: Path) -> None:
    server = ServerThread(tmp_path / "boats.sqlite")
    statuses: list[int] = []

    def ask() -> None:
        try:
            statuses.append(post(f"{server.url}/api/v1/setups/1/advice", {}))
        except urllib.error.HTTPError as error:
            statuses.append(error.code)

    askers = [threading.Thread(target=ask) for _ in range(45)]
    for one in askers:
        one.start()
    for n in range(10):  # saves go on among them
        edit = {"what": "thing", "id": 9, "fields": {"mass_kg": 1.0 + n}}
        assert post(f"{server.url}/api/v1/setups/1", {"edits": [edit]}, "PATCH") == 200
    for one in askers:
        one.join(300)
    server.stop()
    assert set(statuses) == {200, 503}
    assert statuses.count(200) >= MOST_WAITING


def post(url: str, body: object, method: str = "POST") -> int:
    asked = urllib.request.Request(
        url, json.dumps(body).encode(), {"content-type": "application/json"}, method=method
    )
    with urllib.request.urlopen(asked, timeout=300) as answer:
        answer.read()
        return int(answer.status)
