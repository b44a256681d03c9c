"""Bytes of a file that somebody names, or a line that says why not."""

from pathlib import Path

from neat_hull.errors import InputError


def read_file(path: Path, most_bytes: int) -> bytes:
    """All of it. Raises InputError for one that is too large or cannot be read."""
    try:
        if path.stat().st_size > most_bytes:
            raise InputError("", str(path), f"is larger than {most_bytes // 2**20} MB")
        return path.read_bytes()
    except OSError as error:
        raise InputError("", str(path), f"cannot be read: {error.strerror}") from error
