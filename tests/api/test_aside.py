"""Long questions in a process of their own: answers, errors, and who hangs up."""

import http.client
import json
import os
import threading
import time
import urllib.error
import urllib.request
from collections.abc import Callable, Iterator
from functools import partial
from pathlib import Path
from pickle import PicklingError
from typing import TypeVar

import pytest
from tests.api.questions import broken, counted, endless, refused, silent, whose
from tests.servers import ServerThread

from neat_hull.api.aside import ASIDE, MOST_WAITING, Aside
from neat_hull.errors import BusyError, InputError

T = TypeVar("T")
QUICK = {"finding": "no-pfd-worn:24"}  # quicker than of the whole boat


def only(answers: Iterator[T]) -> T:
    """The one answer of a question that has one."""
    (answer,) = answers
    return answer


@pytest.fixture(scope="module")
def one_aside() -> Iterator[Aside]:
    """For all tests that leave its line as they found it: a process takes a second to start."""
    with pytest.MonkeyPatch.context() as patch:
        # The other process has to find the questions by their name.
        patch.syspath_prepend(str(Path(__file__).parents[2]))
        aside = Aside()
        yield aside
        aside.close()


@pytest.fixture
def aside(one_aside: Aside) -> Iterator[Aside]:
    """With nobody in line, before and after."""
    assert only(one_aside.answers(counted, 1)) == 0
    yield one_aside
    assert only(one_aside.answers(counted, 1)) == 0
    assert not one_aside._line


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


def test_each_in_line_knows_how_many_are_before_it(aside: Aside) -> None:
    first, second, third = aside.answers(endless), aside.answers(whose), aside.answers(counted, 2)
    next(first)
    assert (first.ahead, second.ahead, third.ahead) == (0, 1, 2)
    second.close()
    assert third.ahead == 1
    assert list(second) == []
    first.close()
    assert list(third) == [0, 1]


def test_a_question_that_is_forgotten_holds_up_nobody(aside: Aside) -> None:
    forgotten = aside.answers(endless)
    assert next(forgotten) == 0
    waiting = aside.answers(counted, 2)
    del forgotten
    assert list(waiting) == [0, 1]


def test_one_that_is_forgotten_while_others_wait_holds_up_none_of_them(aside: Aside) -> None:
    forgotten = aside.answers(endless)
    assert next(forgotten) == 0
    told: list[int] = []
    waiting = aside.answers(counted, 2)
    reading = threading.Thread(target=lambda: told.extend(waiting))
    reading.start()
    assert waiting.ahead == 1
    del forgotten
    reading.join()
    assert told == [0, 1]


def test_what_cannot_be_put_leaves_the_line(aside: Aside) -> None:
    """A question that does not go through the pipe, and a process that is gone in its midst."""
    with pytest.raises((AttributeError, TypeError, PicklingError)):
        list(aside.answers(counted, threading.Lock()))  # type: ignore[arg-type]
    assert list(aside.answers(counted, 2)) == [0, 1]


def test_an_answered_question_leaves_the_process_to_the_next(tmp_path: Path) -> None:
    server = ServerThread(tmp_path / "boats.sqlite")
    advice = f"{server.url}/api/v1/setups/1/advice"
    assert post(advice, QUICK) == 200
    there = ASIDE._process
    assert there is not None
    for _ in range(2):
        assert post(advice, QUICK) == 200
    assert ASIDE._process is there
    server.stop()


def test_hanging_up_ends_a_question_that_somebody_reads(aside: Aside) -> None:
    there = only(aside.answers(whose))
    asked, told = aside.answers(silent), list[int]()
    reading = threading.Thread(target=lambda: told.extend(asked))
    reading.start()
    while not told:  # it has said that it began, and says no more
        reading.join(0.01)
    asked.close()
    reading.join()
    assert told == [0]
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
    assert "try again" in words[0]
    first.close()
    for one in [*waiting, asking]:
        one.join(120)
    assert len(answered) == MOST_WAITING
    assert only(aside.answers(whose)) in answered


def test_who_hangs_up_leaves_the_line(tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.syspath_prepend(str(Path(__file__).parents[2]))
    ASIDE.close()  # the process has to find the question
    server = ServerThread(tmp_path / "boats.sqlite")
    setup = f"{server.url}/api/v1/setups/1"
    before = ASIDE.answers(endless)
    next(before)
    for kind in ("advice", "arrange"):
        asking = http.client.HTTPConnection(server.url.removeprefix("http://"))
        told = {"content-type": "application/json"}
        asking.request("POST", f"/api/v1/setups/1/{kind}?name={kind}", "{}", told)
        assert until(partial(standing, setup, kind), {"ahead": 1})
        asking.close()
        assert until(partial(standing, setup, kind), None)
    before.close()
    assert post(f"{setup}/advice", QUICK) == 200
    server.stop()


def standing(setup: str, name: str) -> object:
    """How a question stands; None for one that nobody waits for."""
    try:
        with urllib.request.urlopen(f"{setup}/questions/{name}") as answer:
            return json.load(answer)
    except urllib.error.HTTPError as error:
        return None if error.code == 404 else error.code


def until(look: Callable[[], object], wanted: object) -> bool:
    """Look until it is as wanted; a minute is for machines that have much else to do."""
    end = time.monotonic() + 60
    while time.monotonic() < end:
        if look() == wanted:
            return True
    return False


def test_forty_five_questions_hold_up_no_save(tmp_path: Path) -> None:
    server = ServerThread(tmp_path / "boats.sqlite")
    statuses: list[int] = []

    def ask() -> None:
        try:
            statuses.append(post(f"{server.url}/api/v1/setups/1/advice", QUICK))
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
