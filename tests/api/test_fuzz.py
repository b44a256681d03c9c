"""Whatever is sent, the API never answers with an error of its own."""

import atexit
import tempfile
from pathlib import Path
from typing import Any

import schemathesis
from hypothesis import HealthCheck, Phase, settings
from schemathesis import Case
from schemathesis.checks import not_a_server_error
from tests.examples import NIGHTLY
from tests.filled import filled

from neat_hull.api.app import create_app

_FOLDER = tempfile.TemporaryDirectory()
atexit.register(_FOLDER.cleanup)
DATA = Path(_FOLDER.name) / "fuzzed.sqlite"
filled(DATA)
APP = create_app(DATA, hosts=frozenset({"testserver", "localhost", "127.0.0.1"}))
SCHEMA = schemathesis.openapi.from_asgi("/api/openapi.json", APP)


# Whole boats are evaluated, some many times over, for each of these answers: by day they are asked
# what is drawn at random, and not each limit of each field besides.
SLOW = (
    r"/(afloat|advice|arrange|reach|boat/calibration|preview|boat|power|fixing|glide|hold|haul|day"
    r"|day/rounds|capsize|sonar|things|things/\{thing_id\})$"
)
# By night some 15,000 requests in all.
SOME = settings(max_examples=200 if NIGHTLY else 4, deadline=None, derandomize=not NIGHTLY,
                suppress_health_check=list(HealthCheck))  # fmt: skip


@SCHEMA.exclude(path_regex=SLOW).parametrize()
@SOME
def test_no_answer_is_an_error_of_ours(case: Case[Any]) -> None:
    case.call_and_validate(checks=[not_a_server_error])


@SCHEMA.include(path_regex=SLOW).parametrize()
@settings(SOME, phases=list(Phase) if NIGHTLY else [Phase.generate])
def test_no_slow_answer_is_an_error_of_ours(case: Case[Any]) -> None:
    case.call_and_validate(checks=[not_a_server_error])


def test_every_operation_is_asked() -> None:
    """A run that silently asked fewer would prove less."""
    asked = [operation.ok().label for operation in SCHEMA.get_all_operations()]  # type: ignore[union-attr]  # ours is sound
    told = [verb for verbs in APP.openapi()["paths"].values() for verb in verbs]
    assert len(set(asked)) == len(told) > 40
