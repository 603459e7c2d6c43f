"""A backup, taken back in: what it would change, and doing it."""

import json
from collections.abc import Callable, Mapping, Sequence
from dataclasses import asdict, dataclass, replace
from datetime import datetime
from pathlib import Path
from typing import Any, Literal, TypeAlias

from sqlalchemy.orm import Session

from pneumachron.core.catalog.pots import check_pot
from pneumachron.services.households import current_household
from pneumachron.services.photos import (
    is_known_photo,
    photo_ids,
    prepared_photo,
    put_photo,
    write_photo,
)
from pneumachron.store import cooks, households, pots
from pneumachron.store.cooks import COOKS
from pneumachron.store.days import DAYS
from pneumachron.store.db import give_back, writing
from pneumachron.store.plans import PLANS
from pneumachron.store.recipes import RECIPES
from pneumachron.store.records import (
    CookContent,
    Household,
    KeptPot,
    Person,
    StoredCook,
    StoredDay,
    StoredEvent,
    StoredPlan,
    StoredRecipe,
    StoredSample,
)

Kind: TypeAlias = Literal["household", "people", "pots", "plans", "recipes", "days", "cooks"]


@dataclass(frozen=True, slots=True)
class Changes:
    """How many things of one kind are new, different, or as they are here."""

    kind: Kind
    added: int
    changed: int
    same: int


@dataclass(frozen=True, slots=True)
class CookHistory:
    """A cook with everything that happened in it."""

    stored: StoredCook
    events: tuple[StoredEvent, ...]
    samples: tuple[StoredSample, ...]
    photos: tuple[tuple[str, datetime, str], ...] = ()
    """Id, moment, and the picture in base 64."""


@dataclass(frozen=True, slots=True)
class Envelope:
    """Everything in a backup, in the store's own records."""

    household: Household
    people: tuple[Person, ...]
    pots: tuple[KeptPot, ...]
    plans: tuple[StoredPlan, ...]
    recipes: tuple[StoredRecipe, ...]
    days: tuple[StoredDay, ...]
    cooks: tuple[CookHistory, ...]


def restore(
    session: Session, data: Path, file: Envelope, before: Callable[[], object], *, dry_run: bool
) -> tuple[Changes, ...]:
    """Take in everything of a backup: what is new is added, what differs is replaced.

    What is here and not in the file stays, and so does this household's own id. A dry run only
    counts: it reads what the file names, and no photo.

    Parameters
    ----------
    data : the folder the photos lie in
    before : called when everything was checked and nothing is written yet; not in a dry run

    Raises
    ------
    RequestError : a pot or a photo in it that cannot be; nothing was changed.
    """
    for kept in file.pots:
        check_pot(kept.pot)
    here = current_household(session)
    home = here.household_id
    household = replace(file.household, household_id=home, version=here.version)
    known = {person.person_id for person in households.list_people(session, home)}
    known |= {person.person_id for person in file.people}
    plans = [_with_known_cook(plan, known) for plan in file.plans]
    cooked = [_cook_with_known_person(item, known) for item in file.cooks]
    changes = (
        Changes("household", 0, int(household != here), int(household == here)),
        _counted(
            "people",
            {item.person_id: item for item in file.people},
            {item.person_id: item for item in households.list_people(session, home)},
        ),
        _counted(
            "pots",
            {item.pot.pot_id: item for item in file.pots},
            {item.pot.pot_id: item for item in pots.list_pots(session, home)},
        ),
        _counted(
            "plans",
            {item.plan_id: _plain(asdict(item.content)) for item in plans},
            _contents(PLANS.some(session, home, [item.plan_id for item in plans])),
        ),
        _counted(
            "recipes",
            {item.recipe_id: _plain(asdict(item.content)) for item in file.recipes},
            _contents(RECIPES.some(session, home, [item.recipe_id for item in file.recipes])),
        ),
        _counted(
            "cooks",
            {item.stored.cook_id: _compared(item) for item in cooked},
            _cooks_here(session, home, [item.stored.cook_id for item in cooked]),
        ),
        _counted(
            "days",
            {item.day_id: _plain(asdict(item.content)) for item in file.days},
            _contents(DAYS.some(session, home, [item.day_id for item in file.days])),
        ),
    )
    if dry_run:
        return changes
    give_back(session)
    # pictures are read and made small before anything is locked
    pictures = [
        prepared_photo(item.stored.cook_id, photo_id, at=at, jpeg=jpeg)
        for item in cooked
        for photo_id, at, jpeg in item.photos
        if not is_known_photo(session, photo_id)
    ]
    give_back(session)
    before()
    for photo, picture in pictures:
        write_photo(data, photo, picture)
    with writing(session):
        households.save_household(session, household)
        for person in file.people:
            households.put_person(session, home, person)
        for kept in file.pots:
            pots.put_pot(session, home, kept)
        for plan in plans:
            PLANS.put(session, home, plan.plan_id, plan.content, _dates(plan))
        for recipe in file.recipes:
            RECIPES.put(session, home, recipe.recipe_id, recipe.content, _dates(recipe))
        for item in cooked:
            stored = item.stored
            COOKS.put(session, home, stored.cook_id, stored.content, _dates(stored))
            cooks.put_history(session, stored.cook_id, item.events, item.samples)
        for photo, _ in pictures:
            put_photo(session, photo)
        for day in file.days:
            DAYS.put(session, home, day.day_id, day.content, _dates(day))
    return changes


def _plain(content: dict[str, Any]) -> object:
    """Equal for equal content, whatever kinds of lists and numbers it holds."""
    return json.loads(json.dumps(content, default=str))


def _contents(found: Mapping[str, Any]) -> dict[str, object]:
    return {key: _plain(asdict(item.content)) for key, item in found.items()}


def _compared(item: CookHistory) -> object:
    """What of a cook is compared: how it stands, and how much happened."""
    sizes = (len(item.events), len(item.samples), sorted(key for key, _, _ in item.photos))
    return _plain({"content": _told(item.stored.content), "sizes": sizes})


_WORKED_OUT = frozenset({"numbers", "traces"})
"""What follows from the rest of a cook; an older file does not have it."""


def _told(content: CookContent) -> dict[str, Any]:
    return {key: value for key, value in asdict(content).items() if key not in _WORKED_OUT}


def _cooks_here(session: Session, home: str, ids: Sequence[str]) -> dict[str, object]:
    events, samples = cooks.sizes(session, ids)
    pictures = photo_ids(session, ids)
    return {
        key: _plain(
            {
                "content": _told(stored.content),
                "sizes": (events.get(key, 0), samples.get(key, 0), sorted(pictures.get(key, ()))),
            }
        )
        for key, stored in COOKS.some(session, home, ids).items()
    }


def _counted(kind: Kind, theirs: Mapping[str, object], ours: Mapping[str, object]) -> Changes:
    added = sum(key not in ours for key in theirs)
    same = sum(key in ours and ours[key] == item for key, item in theirs.items())
    return Changes(kind, added, len(theirs) - added - same, same)


def _cook_with_known_person(item: CookHistory, known: set[str]) -> CookHistory:
    if item.stored.content.person_id in known:
        return item
    content = replace(item.stored.content, person_id=None)
    return replace(item, stored=replace(item.stored, content=content))


def _dates(stored: StoredPlan | StoredRecipe | StoredDay | StoredCook) -> tuple[datetime, datetime]:
    return stored.created_at, stored.updated_at


def _with_known_cook(plan: StoredPlan, known: set[str]) -> StoredPlan:
    """A plan of somebody who is neither here nor in the file loses the name of its cook."""
    if plan.content.person_id in known:
        return plan
    return replace(plan, content=replace(plan.content, person_id=None))
