"""Photos on the sheet of a cook: put on, shown, taken off."""

from typing import Annotated

from fastapi import APIRouter, Depends, Path, Request, status
from fastapi.responses import FileResponse

from pneumachron.api.dependencies import CHANGING, INVALID, MISSING, Data, Db, WriteDb
from pneumachron.api.sane import SaneRoute
from pneumachron.api.schemas.cooks import PhotoOut
from pneumachron.services import photos
from pneumachron.store.errors import NotFoundError

router = APIRouter(prefix="/api", route_class=SaneRoute, tags=["cook"])
CookId = Annotated[str, Path(min_length=1, max_length=40, pattern=r"^[A-Za-z0-9_-]+$")]
PhotoId = Annotated[str, Path(min_length=36, max_length=36, pattern=r"^[0-9a-f-]+$")]
_PICTURE = {"schema": {"type": "string", "format": "binary"}}
_BODY = {
    "requestBody": {
        "required": True,
        "content": dict.fromkeys(("image/jpeg", "image/png", "image/webp"), _PICTURE),
    }
}


async def _content(request: Request) -> bytes:
    return await request.body()


@router.post(
    "/cooks/{cook_id}/photos",
    status_code=status.HTTP_201_CREATED,
    responses=INVALID | MISSING | CHANGING,
    openapi_extra=_BODY,
)
def add_photo(
    cook_id: CookId, db: Db, data: Data, content: Annotated[bytes, Depends(_content)]
) -> PhotoOut:
    """Put a picture onto a sheet: made small, and nothing but its dots kept."""
    photo = photos.add_photo(db, data, cook_id, content)
    return PhotoOut(
        id=photo.photo_id, at=photo.at, width_px=photo.width_px, height_px=photo.height_px
    )


@router.get(
    "/photos/{photo_id}",
    response_class=FileResponse,
    responses=INVALID | MISSING | {200: {"content": {"image/jpeg": _PICTURE}}},
)
def show_photo(photo_id: PhotoId, db: Db, data: Data) -> FileResponse:
    """The picture."""
    file = photos.read_photo(db, data, photo_id)
    if not file.is_file():
        raise NotFoundError("photo", photo_id)
    return FileResponse(
        file, media_type="image/jpeg", headers={"Cache-Control": "private, max-age=86400"}
    )


@router.delete(
    "/photos/{photo_id}",
    status_code=status.HTTP_204_NO_CONTENT,
    responses=INVALID | MISSING | CHANGING,
)
def delete_photo(photo_id: PhotoId, db: WriteDb) -> None:
    """Take a photo off its sheet; it can be put back."""
    photos.set_photo_deleted(db, photo_id, deleted=True)


@router.post(
    "/photos/{photo_id}/restore",
    status_code=status.HTTP_204_NO_CONTENT,
    responses=INVALID | MISSING | CHANGING,
)
def restore_photo(photo_id: PhotoId, db: WriteDb) -> None:
    """Put a photo back."""
    photos.set_photo_deleted(db, photo_id, deleted=False)
