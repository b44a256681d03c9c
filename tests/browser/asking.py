"""The API asked as a script would: sooner answered than by way of the browser."""

import json
from typing import Any
from urllib.request import Request, urlopen

from tests.servers import Server


def ask(server: Server, path: str, method: str = "GET", body: Any = None) -> Any:
    """What it says at a path of the first version; raises HTTPError for a refusal."""
    data = None if body is None else json.dumps(body).encode()
    asked = Request(f"{server.url}/api/v1/{path}", data, method=method)
    asked.add_header("Content-Type", "application/json")
    with urlopen(asked) as answer:
        return json.load(answer)


def fetched(server: Server, path: str) -> tuple[str, bytes]:
    """What kind of file stands at a path of the server, and what is in it."""
    with urlopen(f"{server.url}{path}") as answer:
        return answer.headers.get_content_type(), answer.read()
