"""The catalogue, the household, its people and pots, and the backup."""

from dataclasses import asdict
from typing import Annotated, Any

from fastapi import APIRouter, Path, Query, Request, status
from fastapi.responses import JSONResponse

from pneumachron import __version__
from pneumachron.api.dependencies import (
    CHANGING,
    INVALID,
    MISSING,
    STALE,
    Data,
    Db,
    Seen,
    WriteDb,
)
from pneumachron.api.lan import LOOPBACK, Lan
from pneumachron.api.restoring import take_in
from pneumachron.api.sane import SaneRoute
from pneumachron.api.schemas.base import Problem
from pneumachron.api.schemas.kitchen import (
    AddPotIn,
    BoilTestIn,
    CatalogueOut,
    ChangesOut,
    CopiesOut,
    CopyOut,
    CutOut,
    DeletedOut,
    GuideOut,
    HealthOut,
    HouseholdIn,
    HouseholdOut,
    KeptPotOut,
    LookOut,
    OwnPotIn,
    PeopleOut,
    PersonIn,
    PersonOut,
    PotsOut,
    ReadyPotOut,
    RelearningOut,
    RestoreOut,
    WordOut,
)
from pneumachron.api.schemas.lan import DevicesOut, LanOut
from pneumachron.api.schemas.plan import PotOut
from pneumachron.api.watch import Watch
from pneumachron.core import ENGINE_VERSION
from pneumachron.core.catalog.cuts import Cut, cuts
from pneumachron.core.catalog.pots import ready_pots
from pneumachron.core.physics.tenderness import TEXTURES
from pneumachron.core.planning.load import THICKNESS_RANGE_M
from pneumachron.services import backup, erasing, households, own_copies
from pneumachron.services.documents import pot_document
from pneumachron.store.db import Database
from pneumachron.store.folder import free_bytes
from pneumachron.text.guide import guide
from pneumachron.text.reader import READING, Reader
from pneumachron.text.say import say_cut
from pneumachron.text.vocabulary import by_its_size, say_tenderness, vocabulary

router = APIRouter(prefix="/api", route_class=SaneRoute, tags=["kitchen"])
CopyName = Annotated[str, Path(max_length=60, pattern=r"^[A-Za-z0-9-]+$")]
PotId = Annotated[str, Path(max_length=40, pattern=r"^[A-Za-z0-9-]+$")]
_CHANGE = INVALID | CHANGING


@router.get("/health")
async def health(request: Request) -> HealthOut:  # no thread: it answers when all are taken
    """Whether the app answers, which version it is, and what is wrong with it."""
    watch: Watch = request.app.state.watch
    found = watch.health()
    done, of = watch.relearning
    return HealthOut(
        status="trouble" if found.troubles else "ok",
        troubles=list(found.troubles),
        version=__version__,
        engine_version=ENGINE_VERSION,
        watch_beat_age_s=round(found.beat_age_s, 1),
        free_bytes=found.free_bytes,
        relearning=RelearningOut(done=done, of=of) if done < of else None,
    )


@router.get("/catalogue")
def catalogue() -> CatalogueOut:
    """Everything there is to choose from."""
    return CatalogueOut(
        engine_version=ENGINE_VERSION,
        locale=READING.get().locale,
        words={
            group: {code: WordOut(name=word.name, says=word.says) for code, word in words.items()}
            for group, words in vocabulary().items()
        },
        cuts=[_cut(cut) for cut in cuts().values()],
        ready_pots=[
            ReadyPotOut(id=ready_id, pot=PotOut.model_validate(pot_document(by_its_size(pot))))
            for ready_id, pot in ready_pots().items()
        ],
        thinnest_m=THICKNESS_RANGE_M[0],
        thickest_m=THICKNESS_RANGE_M[1],
    )


@router.get("/guide")
def read_guide() -> GuideOut:
    """What a cook looks up, in the household's words and units."""
    return GuideOut.model_validate({"parts": [asdict(part) for part in guide()]})


def _cut(cut: Cut) -> CutOut:
    return CutOut(
        id=cut.cut_id,
        name=say_cut(cut.cut_id, "name"),
        short_name=say_cut(cut.cut_id, "short"),
        family=cut.family,
        has_bone=cut.bone_ratio > 0,
        takes_membrane=cut.takes_membrane,
        has_rind=cut.has_rind,
        has_fat_cap=cut.has_fat_cap,
        usual_thickness_low_m=cut.usual_thickness_m[0],
        usual_thickness_high_m=cut.usual_thickness_m[1],
        default_texture=cut.default_texture,
        default_liquid_style=cut.default_liquid_style,
        default_release=cut.default_release,
        measure=say_cut(cut.cut_id, "measure"),
        ladder=[
            LookOut(
                texture=texture,
                word=say_tenderness(texture, cut.family),
                looks=say_cut(cut.cut_id, texture),
            )
            for texture in TEXTURES
        ],
    )


@router.get("/lan")
def phone_in_the_kitchen(request: Request) -> LanOut:
    """How a phone on this network is paired; told to this machine alone."""
    lan: Lan | None = request.app.state.lan
    client = request.client
    here = client is not None and client.host in LOOPBACK
    port = request.url.port
    return LanOut.of(lan, port, told=here)


@router.get("/copies")
def list_copies(request: Request) -> CopiesOut:
    """Copies that the app made of its database by itself, and the room on the disk."""
    database: Database = request.app.state.database
    return CopiesOut(
        copies=[CopyOut.of(copy) for copy in own_copies.list_copies(database)],
        free_bytes=free_bytes(database.path.parent),
    )


@router.post("/copies/{name}/use", responses=_CHANGE | MISSING)
def use_copy(name: CopyName, request: Request) -> CopyOut:
    """Go back to a copy; gives the copy of what was here before, so that it can be undone."""
    state = request.app.state
    return CopyOut.of(own_copies.use_copy(state.database, state.kitchen, name))


@router.get("/deleted")
def list_deleted(db: Db) -> DeletedOut:
    """How many things are deleted and can still be put back."""
    return DeletedOut.model_validate(erasing.deleted(db))


@router.delete("/deleted", responses=_CHANGE)
def erase_deleted(db: Db, data: Data) -> DeletedOut:
    """Erase for good what is deleted; gives what was erased."""
    return DeletedOut.model_validate(erasing.erase(db, data))


@router.get("/devices")
def list_devices(db: Db) -> DevicesOut:
    """Browsers on the network that are paired."""
    return DevicesOut.of(households.list_devices(db))


@router.delete(
    "/devices/{device_id}", status_code=status.HTTP_204_NO_CONTENT, responses=_CHANGE | MISSING
)
def forget_device(device_id: PotId, request: Request, db: WriteDb) -> None:
    """Do not let a paired browser in again."""
    digest = households.forget_device(db, device_id)
    lan: Lan | None = request.app.state.lan
    if lan is not None:
        lan.pairing.shut_out(digest)


@router.get("/household")
def get_household(db: Db) -> HouseholdOut:
    """What is usual here."""
    return HouseholdOut.of(households.current_household(db))


@router.put("/household", responses=_CHANGE | STALE)
def change_household(
    change: HouseholdIn, db: WriteDb, request: Request, seen: Seen = None
) -> HouseholdOut:
    """Set what is usual here."""
    changed = households.change_household(
        db,
        name=change.name,
        altitude=change.altitude,
        start=change.start,
        units=change.units,
        taste_step=change.taste_step,
        simulated_teach=change.simulated_teach,
        locale=change.locale,
        servings=change.servings,
        seen=seen,
    )
    request.app.state.reader = Reader(changed.locale, changed.units)
    return HouseholdOut.of(changed)


@router.post("/household/introduced", responses=_CHANGE)
def skip_introduction(db: WriteDb) -> HouseholdOut:
    """Go on with what is assumed of this kitchen."""
    return HouseholdOut.of(households.skip_introduction(db))


@router.post("/household/clear-demo", responses=_CHANGE)
def clear_demo(request: Request, db: Db, data: Data) -> HouseholdOut:
    """An own, empty kitchen in place of the demo; a copy is made first."""
    cleared = erasing.clear_demo(db, data)
    request.app.state.kitchen.memory.forget()
    request.app.state.reader = Reader(cleared.locale, cleared.units)
    return HouseholdOut.of(cleared)


@router.get("/people")
def list_people(db: Db) -> PeopleOut:
    """Everybody who cooks here."""
    people = households.list_people(db)
    return PeopleOut(people=[PersonOut(id=p.person_id, name=p.name) for p in people])


@router.post("/people", status_code=status.HTTP_201_CREATED, responses=_CHANGE)
def add_person(person: PersonIn, db: WriteDb) -> PersonOut:
    """Somebody new."""
    added = households.add_person(db, person.name)
    return PersonOut(id=added.person_id, name=added.name)


@router.get("/pots")
def list_pots(db: Db) -> PotsOut:
    """The pots here, smallest first."""
    return PotsOut(pots=[KeptPotOut.of(kept) for kept in households.list_pots(db)])


@router.post("/pots", status_code=status.HTTP_201_CREATED, responses=_CHANGE)
def add_pot(pot: AddPotIn, db: WriteDb) -> KeptPotOut:
    """Take a ready pot into the kitchen."""
    return KeptPotOut.of(households.add_ready_pot(db, pot.ready_id))


@router.post("/pots/own", status_code=status.HTTP_201_CREATED, responses=_CHANGE)
def add_own_pot(pot: OwnPotIn, db: WriteDb) -> KeptPotOut:
    """A pot of the cook's own, from what can be measured."""
    return KeptPotOut.of(households.add_own_pot(db, pot.to_own()))


@router.post("/pots/{pot_id}/boil-test", responses=_CHANGE | MISSING)
def boil_test(pot_id: PotId, test: BoilTestIn, db: WriteDb) -> KeptPotOut:
    """Calibrate a pot by the minutes a litre of water took to boil."""
    return KeptPotOut.of(households.calibrate_pot(db, pot_id, test.minutes, test.start))


@router.put("/pots/{pot_id}", responses=_CHANGE | MISSING)
def change_pot(pot_id: PotId, pot: OwnPotIn, db: WriteDb) -> KeptPotOut:
    """Other numbers for a cooker; plans use them from now on."""
    return KeptPotOut.of(households.change_pot(db, pot_id, pot.to_own()))


@router.delete(
    "/pots/{pot_id}", status_code=status.HTTP_204_NO_CONTENT, responses=_CHANGE | MISSING
)
def delete_pot(pot_id: PotId, db: WriteDb) -> None:
    """Put a pot away; it can be taken back out."""
    households.set_pot_deleted(db, pot_id, deleted=True)


@router.post(
    "/pots/{pot_id}/restore",
    status_code=status.HTTP_204_NO_CONTENT,
    responses=_CHANGE | MISSING,
)
def restore_pot(pot_id: PotId, db: WriteDb) -> None:
    """Take a pot back out."""
    households.set_pot_deleted(db, pot_id, deleted=False)


@router.get("/backup", response_class=JSONResponse)
def get_backup(db: Db, data: Data) -> JSONResponse:
    """Everything in one versioned file."""
    content: dict[str, Any] = backup.backup(db, data)
    name = f"pneumachron-{content['made_at'][:10]}.json"
    return JSONResponse(content, headers={"Content-Disposition": f'attachment; filename="{name}"'})


@router.post("/restore", responses=_CHANGE | {409: {"model": Problem}})
def restore(
    content: dict[str, Any],
    request: Request,
    db: Db,
    data: Data,
    dry_run: Annotated[bool, Query()] = True,
) -> RestoreOut:
    """Take a backup file in; a dry run only says what it would change."""
    made_at, changes = take_in(db, data, content, dry_run=dry_run)
    request.app.state.kitchen.memory.forget()
    request.app.state.reader = households.reader_here(db)
    return RestoreOut(
        made_at=made_at.isoformat(),
        done=not dry_run,
        changes=[ChangesOut(**asdict(change)) for change in changes],
    )
