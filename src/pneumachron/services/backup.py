"""One file that holds everything: a versioned envelope of plain values."""

from dataclasses import asdict
from typing import Any

from sqlalchemy.orm import Session

from pneumachron.services.households import current_household
from pneumachron.store import households, plans, pots, recipes
from pneumachron.store.records import StoredPlan, StoredRecipe, now

ENVELOPE = "pneumachron-backup"
ENVELOPE_VERSION = 1
_PAGE = plans.MAX_LISTED


def backup(session: Session) -> dict[str, Any]:
    """Household, people, pots, plans and recipes that are not deleted."""
    household = current_household(session)
    home = household.household_id
    return {
        "envelope": ENVELOPE,
        "envelope_version": ENVELOPE_VERSION,
        "made_at": now().isoformat(),
        "household": asdict(household),
        "people": [asdict(person) for person in households.list_people(session, home)],
        "pots": [asdict(pot) for pot in pots.list_pots(session, home)],
        "plans": list(_plans(session, home)),
        "recipes": list(_recipes(session, home)),
    }


def _plans(session: Session, home: str) -> list[dict[str, Any]]:
    found: list[dict[str, Any]] = []
    while True:
        page, total = plans.list_plans(session, home, search="", limit=_PAGE, offset=len(found))
        found += [plan_entry(stored) for stored in page]
        if not page or len(found) >= total:
            return found


def _recipes(session: Session, home: str) -> list[dict[str, Any]]:
    found: list[dict[str, Any]] = []
    while True:
        page, total = recipes.list_recipes(
            session, home, search="", tag="", limit=_PAGE, offset=len(found)
        )
        found += [recipe_entry(stored) for stored in page]
        if not page or len(found) >= total:
            return found


def recipe_entry(stored: StoredRecipe) -> dict[str, Any]:
    """A recipe as it lies in the file."""
    return {
        "recipe_id": stored.recipe_id,
        "created_at": stored.created_at.isoformat(),
        "updated_at": stored.updated_at.isoformat(),
        **asdict(stored.content),
        "tags": list(stored.content.tags),
    }


def plan_entry(stored: StoredPlan) -> dict[str, Any]:
    """A plan as it lies in the file."""
    return {
        "plan_id": stored.plan_id,
        "created_at": stored.created_at.isoformat(),
        "updated_at": stored.updated_at.isoformat(),
        **asdict(stored.content),
    }
