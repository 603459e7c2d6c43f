"""A backup, taken back in: what it would change, and doing it."""

from dataclasses import asdict, dataclass, replace
from typing import Any, Literal, TypeAlias

from sqlalchemy.orm import Session

from pneumachron.core.pots import check_pot
from pneumachron.services.backup import backup, plan_entry, recipe_entry
from pneumachron.services.households import current_household
from pneumachron.store import households, plans, pots, recipes
from pneumachron.store.records import Household, KeptPot, Person, StoredPlan, StoredRecipe

Kind: TypeAlias = Literal["household", "people", "pots", "plans", "recipes"]


@dataclass(frozen=True, slots=True)
class Changes:
    """How many things of one kind are new, different, or as they are here."""

    kind: Kind
    added: int
    changed: int
    same: int


@dataclass(frozen=True, slots=True)
class Envelope:
    """Everything in a backup, in the store's own records."""

    household: Household
    people: tuple[Person, ...]
    pots: tuple[KeptPot, ...]
    plans: tuple[StoredPlan, ...]
    recipes: tuple[StoredRecipe, ...]


def restore(session: Session, file: Envelope, *, dry_run: bool) -> tuple[Changes, ...]:
    """Take in everything of a backup: what is new is added, what differs is replaced.

    What is here and not in the file stays, and so does this household's own id. A dry run only
    counts.

    Raises
    ------
    WishError : a pot in it that cannot be; nothing was changed.
    """
    for kept in file.pots:
        check_pot(kept.pot)
    home = current_household(session).household_id
    household = replace(file.household, household_id=home)
    known = {person.person_id for person in households.list_people(session, home)}
    known |= {person.person_id for person in file.people}
    shelf = [_with_known_cook(plan, known) for plan in file.plans]
    here = backup(session)
    changes = (
        _compared("household", [asdict(household)], [here["household"]], "household_id"),
        _compared("people", [asdict(item) for item in file.people], here["people"], "person_id"),
        _compared("pots", [_flat(asdict(item)) for item in file.pots], _pots_in(here), "pot_id"),
        _compared("plans", [plan_entry(plan) for plan in shelf], here["plans"], "plan_id"),
        _compared(
            "recipes", [recipe_entry(item) for item in file.recipes], here["recipes"], "recipe_id"
        ),
    )
    if not dry_run:
        households.save_household(session, household)
        for person in file.people:
            households.put_person(session, home, person)
        for kept in file.pots:
            pots.put_pot(session, home, kept)
        for plan in shelf:
            plans.put_plan(session, home, plan)
        for recipe in file.recipes:
            recipes.put_recipe(session, home, recipe)
    return changes


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
