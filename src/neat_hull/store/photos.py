"""Pictures of things, kept as they came."""

import struct
from sqlite3 import Connection

from neat_hull.errors import InputError, NotFoundError

MOST_BYTES = 1024 * 1024
MOST_PX = 8000  # a side; the screens shrink pictures to a tenth of that
_MAGIC = {b"\xff\xd8\xff": "image/jpeg", b"\x89PNG\r\n\x1a\n": "image/png"}


def add_photo(db: Connection, image: bytes) -> int:
    """Keep a picture and return its id. Raises InputError if it is too large, or no JPEG or PNG."""
    if len(image) > MOST_BYTES:
        raise InputError("image", len(image), f"is larger than {MOST_BYTES // 2**20} MB")
    media_type(image)
    size = size_px(image)
    if size is not None and max(size) > MOST_PX:
        raise InputError("image", size, f"is {size[0]} × {size[1]} pixels; up to {MOST_PX} a side")
    photo_id = db.execute("INSERT INTO photo (body) VALUES (?)", [image]).lastrowid
    assert photo_id is not None, "sqlite gives a row id to every insert"
    return photo_id


def load_photo(db: Connection, photo_id: int) -> bytes:
    """The picture of that id. Raises NotFoundError."""
    row = db.execute("SELECT body FROM photo WHERE id = ?", [photo_id]).fetchone()
    if row is None:
        raise NotFoundError(f"there is no photo {photo_id}")
    image: bytes = row["body"]
    return image


def size_px(image: bytes) -> tuple[int, int] | None:
    """Width and height as the picture's own head says; None where it says nothing."""
    if image.startswith(b"\x89PNG"):
        return struct.unpack(">II", image[16:24]) if len(image) >= 24 else None
    at = 2
    while at + 9 <= len(image) and image[at] == 0xFF:  # from marker to marker
        kind, length = image[at + 1], struct.unpack(">H", image[at + 2 : at + 4])[0]
        if 0xC0 <= kind <= 0xCF and kind not in (0xC4, 0xC8, 0xCC):
            height, width = struct.unpack(">HH", image[at + 5 : at + 9])
            return width, height
        at += 2 + length
    return None


def media_type(image: bytes) -> str:
    """By its first bytes, for a name can say anything. Raises InputError for other kinds."""
    for magic, kind in _MAGIC.items():
        if image.startswith(magic):
            return kind
    raise InputError("image", None, "is no JPEG or PNG")
