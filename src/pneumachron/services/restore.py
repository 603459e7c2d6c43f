"""A backup, taken back in: what it would change, and doing it."""

from dataclasses import asdict, dataclass, replace
from datetime import datetime
from pathlib import Path
from typing import Any, Literal, TypeAlias

from sqlalchemy.orm import Session

from pneumachron.core.pots import check_pot
from pneumachron.services.backup import backup, day_entry, plan_entry, recipe_entry
from pneumachron.services.households import current_household
from pneumachron.services.photos import put_photo
from pneumachron.store import cooks, households, pots
from pneumachron.store.cooks import COOKS
from pneumachron.store.days import DAYS
from pneumachron.store.plans import PLANS
from pneumachron.store.recipes import RECIPES
from pneumachron.store.records import (
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


def restore(session: Session, data: Path, file: Envelope, *, dry_run: bool) -> tuple[Changes, ...]:
    """Take in everything of a backup: what is new is added, what differs is replaced.

    What is here and not in the file stays, and so does this household's own id. A dry run only
    counts.

    Parameters
    ----------
    data : the folder the photos lie in

    Raises
    ------
    WishError : a pot or a photo in it that cannot be; nothing was changed.
    """
    for kept in file.pots:
        check_pot(kept.pot)
    home = current_household(session).household_id
    household = replace(file.household, household_id=home)
    known = {person.person_id for person in households.list_people(session, home)}
    known |= {person.person_id for person in file.people}
    shelf = [_with_known_cook(plan, known) for plan in file.plans]
    cooked = [_cook_with_known_person(item, known) for item in file.cooks]
    here = backup(session, data)
    changes = (
        _compared("household", [asdict(household)], [here["household"]], "household_id"),
        _compared("people", [asdict(item) for item in file.people], here["people"], "person_id"),
        _compared("pots", [_flat(asdict(item)) for item in file.pots], _pots_in(here), "pot_id"),
        _compared("plans", [plan_entry(plan) for plan in shelf], here["plans"], "plan_id"),
        _compared(
            "recipes", [recipe_entry(item) for item in file.recipes], here["recipes"], "recipe_id"
        ),
        _compared("cooks", [_sheet(item) for item in cooked], _sheets_in(here), "cook_id"),
        _compared("days", [day_entry(item) for item in file.days], here["days"], "day_id"),
    )
    if not dry_run:
        households.save_household(session, household)
        for person in file.people:
            households.put_person(session, home, person)
        for kept in file.pots:
            pots.put_pot(session, home, kept)
        for plan in shelf:
            PLANS.put(session, home, plan.plan_id, plan.content, _dates(plan))
        for recipe in file.recipes:
            RECIPES.put(session, home, recipe.recipe_id, recipe.content, _dates(recipe))
        for item in cooked:
            stored = item.stored
            COOKS.put(session, home, stored.cook_id, stored.content, _dates(stored))
            cooks.put_history(session, stored.cook_id, item.events, item.samples)
            for photo_id, at, jpeg in item.photos:
                put_photo(session, data, stored.cook_id, photo_id, at=at, jpeg=jpeg)
        for day in file.days:
            DAYS.put(session, home, day.day_id, day.content, _dates(day))
    return changes


def _sheet(item: CookHistory) -> dict[str, Any]:
    """What of a cook is compared: how it stands, and how much happened."""
    stored = item.stored
    return {
        "cook_id": stored.cook_id,
        **asdict(stored.content),
        "events": len(item.events),
        "samples": len(item.samples),
        "photos": [photo_id for photo_id, _, _ in item.photos],
    }


def _sheets_in(content: dict[str, Any]) -> list[dict[str, Any]]:
    found = []
    for entry in content["cooks"]:
        sheet = {key: entry[key] for key in entry if key not in {"created_at", "updated_at"}}
        for name in ("started_at", "ended_at"):
            sheet[name] = entry[name] and datetime.fromisoformat(entry[name])
        sheet |= {"events": len(entry["events"]), "samples": len(entry["samples"])}
        sheet["photos"] = [photo["photo_id"] for photo in entry["photos"]]
        found.append(sheet)
    return found


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


def _pots_in(content: dict[str, Any]) -> list[dict[str, Any]]:
    return [_flat(entry) for entry in content["pots"]]


def _flat(entry: dict[str, Any]) -> dict[str, Any]:
    """A pot with where it came from, on one level."""
    return {**entry["pot"], "ready_id": entry["ready_id"]}


def _compared(
    kind: Kind, theirs: list[dict[str, Any]], ours: list[dict[str, Any]], key: str
) -> Changes:
    known = {item[key]: item for item in ours}
    added = sum(item[key] not in known for item in theirs)
    same = sum(known.get(item[key]) == item for item in theirs)
    return Changes(kind, added, len(theirs) - added - same, same)
