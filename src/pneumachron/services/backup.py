"""One file that holds everything: a versioned envelope of plain values."""

from dataclasses import asdict
from pathlib import Path
from typing import Any

from sqlalchemy.orm import Session

from pneumachron.services.households import current_household
from pneumachron.services.photos import photo_entries
from pneumachron.store import cooks, households, pots
from pneumachron.store.cooks import COOKS
from pneumachron.store.days import DAYS
from pneumachron.store.plans import PLANS
from pneumachron.store.recipes import RECIPES
from pneumachron.store.records import StoredCook, StoredDay, StoredPlan, StoredRecipe, now

ENVELOPE = "pneumachron-backup"
ENVELOPE_VERSION = 2


def backup(session: Session, data: Path) -> dict[str, Any]:
    """Household, people, pots, plans, recipes, days and cooks that are not deleted.

    Parameters
    ----------
    data : the folder the photos lie in
    """
    household = current_household(session)
    home = household.household_id
    return {
        "envelope": ENVELOPE,
        "envelope_version": ENVELOPE_VERSION,
        "made_at": now().isoformat(),
        "household": _without_version(asdict(household)),
        "people": [asdict(person) for person in households.list_people(session, home)],
        "pots": [asdict(pot) for pot in pots.list_pots(session, home)],
        "plans": [plan_entry(stored) for stored in PLANS.all(session, home)],
        "recipes": [recipe_entry(stored) for stored in RECIPES.all(session, home)],
        "days": [day_entry(stored) for stored in DAYS.all(session, home)],
        "cooks": [cook_entry(session, data, stored) for stored in COOKS.all(session, home)],
    }


def _without_version(content: dict[str, Any]) -> dict[str, Any]:
    """Versions count changes in one data folder; they mean nothing in another."""
    return {key: value for key, value in content.items() if key != "version"}


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


def cook_entry(session: Session, data: Path, stored: StoredCook) -> dict[str, Any]:
    """A cook as it lies in the file: its sheet, everything that happened, trace and photos."""
    content = asdict(stored.content)
    for name in ("started_at", "ended_at"):
        content[name] = content[name] and content[name].isoformat()
    return {
        "cook_id": stored.cook_id,
        "created_at": stored.created_at.isoformat(),
        "updated_at": stored.updated_at.isoformat(),
        **content,
        "events": [
            {"key": item.key, "at": item.at.isoformat(), "kind": item.kind, "body": item.body}
            for item in cooks.events_of(session, stored.cook_id)
        ],
        "samples": [
            [item.at.isoformat(), item.temp_c, item.gauge_pa]
            for item in cooks.samples_of(session, stored.cook_id)
        ],
        "photos": photo_entries(session, data, stored.cook_id),
    }


def day_entry(stored: StoredDay) -> dict[str, Any]:
    """A day as it lies in the file."""
    return {
        "day_id": stored.day_id,
        "created_at": stored.created_at.isoformat(),
        "updated_at": stored.updated_at.isoformat(),
        **asdict(stored.content),
    }
