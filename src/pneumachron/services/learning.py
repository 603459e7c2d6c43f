"""What the log taught, put into every plan; how far, by which cooks, and set back again."""

from collections.abc import Iterable, Sequence
from contextlib import suppress
from dataclasses import dataclass, replace
from math import log
from typing import Any, Literal

from sqlalchemy.orm import Session

from pneumachron.core import ENGINE_VERSION
from pneumachron.core.catalog.cuts import cut_by_id, cuts
from pneumachron.core.errors import RequestError
from pneumachron.core.learning.learn import (
    MOST_COOKS,
    Belief,
    Tasted,
    heat_belief,
    next_experiment,
    taste_belief,
)
from pneumachron.core.learning.usual_piece import more_minutes
from pneumachron.core.physics.tenderness import TEXTURES
from pneumachron.services.baseline import with_model_prediction
from pneumachron.services.households import current_household
from pneumachron.services.inputs import Defaults, PlanInputs
from pneumachron.store import cooks, lessons, pots
from pneumachron.store.cooks import COOKS
from pneumachron.store.db import give_back, writing
from pneumachron.store.errors import StoreError
from pneumachron.store.lessons import Lesson, LessonKind
from pneumachron.store.records import CookContent, now
from pneumachron.text.say import say

LONER = "flanken"
"""A cut too thin to tell anything of the others of its family."""


@dataclass(frozen=True, slots=True)
class Learned:
    """A belief of this household and the cooks that taught it."""

    kind: LessonKind
    key: str
    belief: Belief
    lessons: tuple[Lesson, ...]
    kin: tuple[Lesson, ...] = ()
    """Cooks of other cuts of the family."""

    @property
    def taught(self) -> bool:
        """Whether any cook had a part in it."""
        return bool(self.lessons or self.kin)


def taste_of(session: Session, home: str, cut: str) -> Learned:
    """How this household likes a cut, as ln dose; other cuts of the family have a part in it."""
    found = _told(session, home, lessons.tastes(session, home, cut, MOST_COOKS), "model_step")
    beside: list[tuple[Lesson, float]] = []
    if lessons.forgotten_at(session, home, "taste", cut) is None:
        for kin in _kin(session, home, cut):
            told = lessons.tastes(session, home, kin, MOST_COOKS)
            beside += _told(session, home, told, "model_step")
        beside = sorted(beside, key=lambda pair: pair[0].started_at)[-MOST_COOKS:]
    own, others = ([Tasted(model, item.seen) for item, model in group] for group in (found, beside))
    return Learned(
        "taste",
        cut,
        taste_belief(own, others),
        tuple(item for item, _ in found),
        tuple(item for item, _ in beside),
    )


def _kin(session: Session, home: str, cut: str) -> list[str]:
    """Other cuts of the family that were rated; flanken cooks like nothing else."""
    own = cuts().get(cut)
    if own is None or cut == LONER:
        return []  # what is no cut is refused where the request is read
    family = {item.cut_id for item in cuts().values() if item.family == own.family} - {cut}
    return [item for item in lessons.judged_cuts(session, home) if item in family - {LONER}]


def heat_of(session: Session, home: str, pot_id: str) -> Learned:
    """How strong a pot is, as ln heat."""
    found = _told(session, home, lessons.heats(session, home, pot_id, MOST_COOKS), "planned_up_s")
    belief = heat_belief([log(item.seen / model) for item, model in found if model > 0])
    return Learned("heat", pot_id, belief, tuple(item for item, _ in found))


def _told(
    session: Session, home: str, found: list[Lesson], name: Literal["model_step", "planned_up_s"]
) -> list[tuple[Lesson, float]]:
    """Lessons with what the model says; cooks from a file are worked out when they first teach."""
    told = []
    for item in found:
        model = item.model
        if model is None and not item.asked:
            stored = COOKS.get(session, home, item.cook_id)
            events = cooks.events_of(session, item.cook_id)
            give_back(session)
            content = with_model_prediction(stored.content, events)
            _keep_lesson(session, item.cook_id, content)
            model = content.model_step if name == "model_step" else content.planned_up_s
        if model is not None:
            told.append((item, model))
    return told


def _keep_lesson(session: Session, cook_id: str, content: CookContent) -> None:
    """So that it is not worked out at every plan; a plan is answered whether or not it is kept."""
    with suppress(StoreError), writing(session):
        cooks.put_lesson(session, cook_id, content.model_step, content.planned_up_s, ENGINE_VERSION)


def learned_for(session: Session, cuts: Iterable[str], pot_id: str) -> tuple[Learned, ...]:
    """Everything that moves a plan: its cuts, its pot. What no cook taught is left out."""
    home = current_household(session).household_id
    tastes = [taste_of(session, home, cut) for cut in dict.fromkeys(cuts)]
    found = [*tastes, heat_of(session, home, pot_id)]
    return tuple(item for item in found if item.taught)


def learned_of(session: Session, inputs: PlanInputs) -> tuple[Learned, ...]:
    """What moves the plan of what was typed."""
    return learned_for(session, (piece.cut for piece in inputs.pieces), inputs.pot)


def household_defaults(session: Session, inputs: PlanInputs) -> Defaults:
    """What the household says when the cook says nothing, with what its log taught."""
    return defaults_with(session, learned_of(session, inputs))


def defaults_with(session: Session, learned: Sequence[Learned]) -> Defaults:
    """The same, when it is known already what moves the plan."""
    household = current_household(session)
    plain = Defaults(household.altitude_m, household.start_temp_c, household.taste_step)
    return replace(
        plain, taste_ln=taste_ln(learned), taste_sd=taste_sd(learned), heat_ln=heat_ln(learned)
    )


def taste_ln(learned: Iterable[Learned]) -> tuple[tuple[str, float], ...]:
    """By cut, as ln dose."""
    return tuple((item.key, item.belief.mean) for item in learned if item.kind == "taste")


def taste_sd(learned: Iterable[Learned]) -> tuple[tuple[str, float], ...]:
    """How well that is known, by cut: 1 sd of ln dose."""
    return tuple((item.key, item.belief.sd) for item in learned if item.kind == "taste")


def heat_ln(learned: Iterable[Learned]) -> float:
    """Of the pot, as ln heat."""
    return sum(item.belief.mean for item in learned if item.kind == "heat")


def in_minutes(learned: Learned, altitude_m: float) -> dict[str, float | None]:
    """A belief of a cut in minutes of a usual piece, with its span."""
    try:
        belief = learned.belief
        beliefs = (belief.mean, belief.low, belief.high)
        found = [round(more, 1) for more in more_minutes(learned.key, beliefs, altitude_m)]
    except RequestError:
        return {}
    return dict(zip(("moved_min", "low_min", "high_min"), found, strict=True))


def learned_document(learned: Learned) -> dict[str, Any]:
    """How far, how sure, and by which cooks."""
    belief = learned.belief
    return {
        "kind": learned.kind,
        "key": learned.key,
        "ratio": round(belief.ratio, 4),
        "low_ln": round(belief.low, 4),
        "high_ln": round(belief.high, 4),
        "cooks": [
            {"id": item.cook_id, "name": item.name, "started_at": item.started_at.isoformat()}
            for item in sorted(
                (*learned.lessons, *learned.kin), key=lambda item: item.started_at, reverse=True
            )
        ],
    }


def all_learned(session: Session) -> list[dict[str, Any]]:
    """Every cut that was judged and every pot, and what to vary next of a cut."""
    household = current_household(session)
    home, altitude_m = household.household_id, household.altitude_m
    found = []
    for cut in lessons.judged_cuts(session, home):
        learned = taste_of(session, home, cut)
        set_back = lessons.forgotten_at(session, home, "taste", cut) is not None
        if learned.lessons or set_back:
            found.append(
                learned_document(learned)
                | in_minutes(learned, altitude_m)
                | _next(learned)
                | {"set_back": set_back}
            )
    for kept in pots.list_pots(session, home):
        learned = heat_of(session, home, kept.pot.pot_id)
        set_back = lessons.forgotten_at(session, home, "heat", kept.pot.pot_id) is not None
        if learned.lessons or set_back:
            found.append(learned_document(learned) | {"next": None, "set_back": set_back})
    return found


def _next(learned: Learned) -> dict[str, Any]:
    """The experiment that teaches most, in words."""
    judged = [Tasted(item.model, item.seen) for item in learned.lessons if item.model is not None]
    wished = float(TEXTURES.index(cut_by_id(learned.key).default_texture))
    found = next_experiment(judged, wished)
    if found.aside_steps > 0:
        code = "next-softer"
    elif found.aside_steps < 0:
        code = "next-firmer"
    else:
        code = "next-same"
    return {"next": say(code)}


def set_back(session: Session, kind: LessonKind, key: str, *, on: bool) -> None:
    """Learn a cut or a pot anew from now on, or let everything count again."""
    home = current_household(session).household_id
    if on:
        lessons.forget(session, home, kind, key, now())
    else:
        lessons.remember(session, home, kind, key)
