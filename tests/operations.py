"""The operations of the API, as its kept description has them: the checks tell when it is stale."""

import json
from pathlib import Path
from typing import Any

DESCRIBED: dict[str, Any] = json.loads(
    (Path(__file__).parents[1] / "openapi.json").read_text(encoding="utf-8")
)
PATHS: dict[str, dict[str, Any]] = DESCRIBED["paths"]
