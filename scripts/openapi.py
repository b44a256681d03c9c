"""Write openapi.json from the application, or with --check say whether it is stale."""

import json
import sys
from pathlib import Path

from neat_hull.api.app import create_app

TARGET = Path(__file__).resolve().parents[1] / "openapi.json"


def main() -> int:
    """Return 1 from --check when the file is stale."""
    text = json.dumps(create_app(Path("unused")).openapi(), indent=2, sort_keys=True) + "\n"
    if "--check" in sys.argv:
        if TARGET.exists() and TARGET.read_text(encoding="utf-8") == text:
            return 0
        print("openapi.json is stale: run `make types`", file=sys.stderr)
        return 1
    TARGET.write_text(text, encoding="utf-8")
    return 0


if __name__ == "__main__":
    raise SystemExit(main())
