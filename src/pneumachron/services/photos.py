"""Photos on a sheet: checked, made small, stripped of everything but the picture, kept as files."""

from base64 import b64decode, b64encode
from collections.abc import Sequence
from datetime import datetime
from hashlib import sha256
from io import BytesIO
from pathlib import Path
from threading import Lock
from typing import Any

from PIL import Image, ImageOps, UnidentifiedImageError
from sqlalchemy.orm import Session

from pneumachron.core.errors import RequestError
from pneumachron.files import sweep_unfinished, write_whole
from pneumachron.services.households import current_household
from pneumachron.store import photos
from pneumachron.store.cooks import COOKS
from pneumachron.store.db import give_back, writing
from pneumachron.store.records import StoredPhoto, new_id, now

FOLDER = "photos"
FORMATS = ("JPEG", "PNG", "WEBP")
MAX_PHOTO_BYTES = 16 * 1024 * 1024
"""A phone's picture has three to eight."""
MAX_PIXELS = 40_000_000
"""What is more than that is no photo but an attack on memory."""
MAX_PHOTOS = 8
"""On one sheet."""
_UNREADABLE = (
    UnidentifiedImageError, Image.DecompressionBombError, Image.DecompressionBombWarning,
    OSError, ValueError, SyntaxError, EOFError,
)  # fmt: skip
"""What the reader of pictures raises for broken ones."""
LONG_SIDE_PX = 1280
QUALITY = 82


def place(data: Path, photo_id: str) -> Path:
    """Where a picture lies; its name is an id of the app's own making and nothing else."""
    return data / FOLDER / f"{photo_id}.jpg"


def add_photo(session: Session, data: Path, cook_id: str, content: bytes) -> StoredPhoto:
    """Put a picture onto a sheet. The same one twice is there once.

    Raises
    ------
    RequestError : no picture, too large, or the sheet has enough; nothing was kept.
    """
    home = current_household(session).household_id
    stored = COOKS.get(session, home, cook_id)
    give_back(session)
    picture, size = cleaned(content)
    photo = StoredPhoto(new_id(), stored.cook_id, now(), *size, sha256(picture).hexdigest())
    # the file first: a sheet never names a picture that is not there
    write_whole(place(data, photo.photo_id), picture)
    try:
        kept = _put_on(session, home, photo)
    except BaseException:
        place(data, photo.photo_id).unlink(missing_ok=True)
        raise
    if kept.photo_id != photo.photo_id:
        place(data, photo.photo_id).unlink(missing_ok=True)
    return kept


def _put_on(session: Session, home: str, photo: StoredPhoto) -> StoredPhoto:
    """The row of a photo, or the twin that is there already: checked and written at once."""
    with writing(session):
        twin = photos.twin_of(session, photo.cook_id, photo.digest)
        if twin is not None:
            photos.set_photo_deleted(session, home, twin.photo_id, deleted=False)
            return twin
        if len(photos.photos_of(session, photo.cook_id)) >= MAX_PHOTOS:
            raise RequestError("enough_photos", "photo", most=MAX_PHOTOS)
        photos.add_photo(session, photo)
    return photo


def cleaned(content: bytes) -> tuple[bytes, tuple[int, int]]:
    """A picture as a small JPEG with nothing in it but its pixels, and its width and height.

    Where, when and with what it was taken is gone; it is turned the right way up.

    Raises
    ------
    RequestError : this is no picture that can be read, or a far too large one.
    """
    with _ONE_AT_A_TIME:
        return _cleaned(content)


_ONE_AT_A_TIME = Lock()
"""A large picture takes some hundred megabytes while it is read."""


def _cleaned(content: bytes) -> tuple[bytes, tuple[int, int]]:
    try:
        with Image.open(BytesIO(content), formats=FORMATS) as opened:
            if opened.width * opened.height > MAX_PIXELS:
                raise RequestError("photo_too_large", "photo", most=MAX_PIXELS // 1_000_000)
            opened.draft("RGB", (2 * LONG_SIDE_PX, 2 * LONG_SIDE_PX))
            # small first: turning and blending a large one would double what it takes
            opened.thumbnail((LONG_SIDE_PX, LONG_SIDE_PX), reducing_gap=2.0)
            turned = ImageOps.exif_transpose(opened).convert("RGBA")
    except _UNREADABLE as error:
        raise RequestError("not_a_photo", "photo") from error
    # a fresh sheet: comments, profiles and other chunks of the file stay behind
    plain = Image.new("RGB", turned.size, "white")
    plain.paste(turned, mask=turned.getchannel("A"))
    written = BytesIO()
    plain.save(written, "JPEG", quality=QUALITY)
    return written.getvalue(), plain.size


def read_photo(session: Session, data: Path, photo_id: str) -> Path:
    """The file of a photo of this household."""
    home = current_household(session).household_id
    return place(data, photos.get_photo(session, home, photo_id).photo_id)


def set_photo_deleted(session: Session, photo_id: str, *, deleted: bool) -> None:
    """Take a photo off its sheet, or put it back."""
    home = current_household(session).household_id
    photos.set_photo_deleted(session, home, photo_id, deleted=deleted)


def photo_entries(session: Session, data: Path, cook_id: str) -> list[dict[str, Any]]:
    """Photos of a cook as they lie in a backup; one whose file is gone is left out."""
    found = []
    for photo in photos.photos_of(session, cook_id):
        file = place(data, photo.photo_id)
        if file.is_file():
            found.append(
                {
                    "photo_id": photo.photo_id,
                    "at": photo.at.isoformat(),
                    "jpeg": b64encode(file.read_bytes()).decode("ascii"),
                }
            )
    return found


def prepared_photo(
    cook_id: str, photo_id: str, *, at: datetime, jpeg: str
) -> tuple[StoredPhoto, bytes]:
    """A photo that comes back from a backup, under its own id, and its picture.

    It is read and written anew like any other picture: a file is not to be trusted.

    Raises
    ------
    RequestError : it is no picture.
    """
    try:
        content = b64decode(jpeg, validate=True)
    except ValueError as error:
        raise RequestError("not_a_photo", "photo") from error
    picture, size = cleaned(content)
    return StoredPhoto(photo_id, cook_id, at, *size, sha256(picture).hexdigest()), picture


def write_photo(data: Path, photo: StoredPhoto, picture: bytes) -> None:
    """The file of a photo. Its row is put afterwards; a file without one is swept at a start."""
    write_whole(place(data, photo.photo_id), picture)


def is_known_photo(session: Session, photo_id: str) -> bool:
    """Whether there is a photo of this id, also a deleted one."""
    return photos.is_known(session, photo_id)


def photo_ids(session: Session, cook_ids: Sequence[str]) -> dict[str, list[str]]:
    """Ids of the photos of cooks, by cook."""
    return photos.ids_of(session, cook_ids)


def put_photo(session: Session, photo: StoredPhoto) -> None:
    """The row of a photo that comes back; what is there stays. Inside `writing`."""
    if photos.is_known(session, photo.photo_id):
        return
    if photos.twin_of(session, photo.cook_id, photo.digest) is None:
        photos.add_photo(session, photo)


def sweep_photos(session: Session, data: Path) -> int:
    """Remove pictures that no log entry names: what a kill left between file and row."""
    named = photos.known_ids(session)
    count = 0
    for file in (data / FOLDER).glob("*.jpg"):
        if file.stem not in named:
            file.unlink(missing_ok=True)
            count += 1
    sweep_unfinished(data / FOLDER)
    return count
