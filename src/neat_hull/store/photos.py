"""Pictures of things, kept as they came."""

from sqlite3 import Connection

from neat_hull.errors import InputError, NotFoundError

MOST_BYTES = 1024 * 1024
_MAGIC = {b"\xff\xd8\xff": "image/jpeg", b"\x89PNG\r\n\x1a\n": "image/png"}


def add_photo(db: Connection, image: bytes) -> int:
    """Keep a picture and return its id. Raises InputError if it is too large, or no JPEG or PNG."""
    if len(image) > MOST_BYTES:
        raise InputError("image", len(image), f"is larger than {MOST_BYTES // 2**20} MB")
    media_type(image)
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


def media_type(image: bytes) -> str:
    """By its first bytes, for a name can say anything. Raises InputError for other kinds."""
    for magic, kind in _MAGIC.items():
        if image.startswith(magic):
            return kind
    raise InputError("image", None, "is no JPEG or PNG")
