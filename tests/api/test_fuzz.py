"""Whatever is sent, the API never answers with an error of its own."""

from collections.abc import Callable
from typing import Any

import pytest
import schemathesis
from hypothesis import HealthCheck, Phase, settings
from schemathesis import Case
from schemathesis.checks import not_a_server_error
from tests.examples import NIGHTLY
from tests.filled import filled
from tests.operations import DESCRIBED, PATHS
from tests.servers import loaded

from neat_hull.api.app import create_api
from neat_hull.api.front import front


# By day each operation is asked what is drawn at random. By night, some 15,000 requests in all,
# each limit of its fields as well.
def drawn(by_day: int) -> settings:
    """How much is asked of an operation."""
    return settings(max_examples=200 if NIGHTLY else by_day, deadline=None,
                    derandomize=not NIGHTLY, suppress_health_check=list(HealthCheck),
                    phases=list(Phase) if NIGHTLY else [Phase.generate])  # fmt: skip


# What is asked of each operation is made up when it is asked: for all at once, and in each worker,
# that takes longer than the asking. In parts, so that both workers have some.
PARTS = 10
PATIENCE_S = 180  # a busy machine is slow, not wrong
VERBS = [(verb.upper(), path) for path, verbs in PATHS.items() for verb in verbs]
# An answer to these is seconds of search, whatever was drawn for them.
SOUGHT = [("POST", f"/api/v1/setups/{{setup_id}}/{what}") for what in ("advice", "arrange")]


@pytest.fixture(scope="session")
def everything(tmp_path_factory: pytest.TempPathFactory) -> Any:
    """All operations of an application over a file with the demo."""
    data = filled(tmp_path_factory.mktemp("fuzzed") / "boats.sqlite")
    hosts = frozenset({"testserver", "localhost", "127.0.0.1"})
    described = schemathesis.openapi.from_dict(DESCRIBED)
    described.app = front(loaded(create_api(data)), hosts=hosts)
    return described


def asked(mine: list[tuple[str, str]], often: settings) -> Callable[..., None]:
    """A test of some of the operations."""

    @schemathesis.pytest.from_fixture("everything").include(
        lambda told: (told.operation.method.upper(), told.operation.path) in mine
    ).parametrize()  # fmt: skip
    @often
    def test(case: Case[Any]) -> None:
        case.call_and_validate(checks=[not_a_server_error], timeout=PATIENCE_S)

    test_of_some: Callable[..., None] = test
    return test_of_some


_MOST = [one for one in VERBS if one not in SOUGHT]
for _n in range(PARTS):
    globals()[f"test_no_answer_is_an_error_of_ours_{_n}"] = asked(_MOST[_n::PARTS], drawn(4))
test_no_answer_of_a_search_is_an_error_of_ours = asked(SOUGHT, drawn(2))


def test_every_operation_is_asked(everything: Any) -> None:
    """A run that silently asked fewer would prove less."""
    asked = {operation.ok().label for operation in everything.get_all_operations()}
    assert asked == {f"{verb} {path}" for verb, path in VERBS}
    assert set(SOUGHT) < set(VERBS)
    assert len(asked) > 40
