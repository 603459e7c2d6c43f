"""The numbers a cook keeps: worked out when it begins, and for older cooks once, marked as such."""

import json
from collections.abc import Callable
from dataclasses import replace
from functools import lru_cache
from typing import Any

from sqlalchemy.orm import Session

from pneumachron.core import ENGINE_VERSION
from pneumachron.core.errors import RequestError
from pneumachron.core.planning.plan import Plan
from pneumachron.core.planning.request import CookRequest
from pneumachron.core.procedure.cook_plan import (
    CookPlan,
    cook_plan,
    from_document,
    reconstructed,
    to_document,
)
from pneumachron.services.baseline import with_model_prediction
from pneumachron.services.households import current_household
from pneumachron.services.live_kitchen import plan_of, request_of
from pneumachron.store import cooks
from pneumachron.store.cooks import COOKS
from pneumachron.store.db import Database, give_back, writing
from pneumachron.store.records import CookContent, StoredCook

BATCH = 20


@lru_cache(maxsize=64)
def _planned(inputs: str, kitchen: str) -> Plan:
    return plan_of(json.loads(inputs), json.loads(kitchen))


@lru_cache(maxsize=256)
def _wished(inputs: str, kitchen: str) -> CookRequest:
    return request_of(json.loads(inputs), json.loads(kitchen))


def _text(document: dict[str, Any]) -> str:
    return json.dumps(document, sort_keys=True)


def todays_plan(content: CookContent) -> Plan:
    """The whole plan of a cook with today's engine: for advice on what to do now."""
    return _planned(_text(content.inputs), _text(content.kitchen))


def with_numbers(content: CookContent) -> CookContent:
    """The same with its numbers, worked out now.

    Raises
    ------
    RequestError : it cannot be cooked.
    """
    plan = cook_plan(todays_plan(content), content.inputs.get("finish"))
    return replace(content, numbers=to_document(plan.numbers))


def own_plan(content: CookContent) -> CookPlan:
    """What a cook goes by: its own numbers, whatever engine is here today.

    One that has none yet (from a file, or from version 1) gets today's, marked as reconstructed.
    """
    request = _wished(_text(content.inputs), _text(content.kitchen))
    if content.numbers is not None:
        return CookPlan(request, from_document(content.numbers))
    return reconstructed(cook_plan(todays_plan(content), content.inputs.get("finish")))


def keep_numbers(session: Session, stored: StoredCook) -> StoredCook:
    """Work out and keep the numbers of a cook that has none.

    Raises
    ------
    StoreError : it cannot be written.
    """
    give_back(session)
    try:
        document: dict[str, Any] = to_document(own_plan(stored.content).numbers)
    except RequestError:
        return stored  # it cannot be planned: its entry says so when it is opened
    home = current_household(session).household_id
    with writing(session):
        there = COOKS.get(session, home, stored.cook_id)
        if there.content.numbers is not None:
            return there
        content = replace(there.content, numbers=document)
        return COOKS.replace(session, home, stored.cook_id, content)


def work_through(
    database: Database, go_on: Callable[[], bool], told: Callable[[int, int], None]
) -> int:
    """Bring every cook up to date with what cooks keep today, a few at a time.

    Cooks without numbers of their own get them. Then what the log teaches is computed again for
    today's engine, all of it, and written at once, so that until then the old belief holds.

    Parameters
    ----------
    go_on : asked between cooks; False ends the work, which begins again at the next start
    told : how many are done, of how many

    Returns
    -------
    How many lessons were worked out anew.
    """
    seen: set[str] = set()
    while go_on():
        with database.session() as session:
            home = current_household(session).household_id
            found = cooks.unworked(session, home, BATCH + len(seen))
            fresh = [cook_id for cook_id in found if cook_id not in seen][:BATCH]
            if not fresh:
                break
            for cook_id in fresh:
                seen.add(cook_id)
                if go_on():
                    keep_numbers(session, COOKS.get(session, home, cook_id))
    return _relearn(database, go_on, told) if go_on() else 0


def _relearn(
    database: Database, go_on: Callable[[], bool], told: Callable[[int, int], None]
) -> int:
    """Lessons of an older engine, worked out with today's from what was observed."""
    with database.session() as session:
        home = current_household(session).household_id
        old = cooks.of_older_engine(session, home, ENGINE_VERSION)
        fresh: dict[str, CookContent] = {}
        for number, cook_id in enumerate(old):
            if not go_on():
                return 0
            told(number, len(old))
            stored = COOKS.get(session, home, cook_id)
            events = cooks.events_of(session, cook_id)
            give_back(session)
            fresh[cook_id] = with_model_prediction(stored.content, events)
        with writing(session):
            for cook_id, content in fresh.items():
                cooks.put_lesson(
                    session, cook_id, content.model_step, content.planned_up_s, ENGINE_VERSION
                )
        told(len(old), len(old))
    return len(fresh)
