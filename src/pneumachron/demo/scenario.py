"""Members of the Marrow Lane choir, their two pots, and what they have planned to cook."""

from dataclasses import asdict, replace
from datetime import datetime, timedelta
from pathlib import Path
from typing import Any

from sqlalchemy.orm import Session

from pneumachron.core.physics.tenderness import Texture
from pneumachron.demo.picture import plate_of_short_ribs
from pneumachron.demo.recipes import RECIPES
from pneumachron.recipes.reading import read_recipe
from pneumachron.recipes.understanding.understand import Answers
from pneumachron.services import day as day_service
from pneumachron.services import entries, photos, planning
from pneumachron.services import households as household_service
from pneumachron.services import recipes as recipe_service
from pneumachron.services.inputs import PieceInputs, PlanInputs
from pneumachron.store import households
from pneumachron.store.records import Household, new_id, now

ALTITUDE_M = 1150.0
READY_POTS = ("tenor", "bass")

COOKS: tuple[tuple[str, str, PlanInputs], ...] = (
    (
        "Snowed-in shoulder, the whole choir",
        "Ottoline Sparrow",
        PlanInputs(
            (PieceInputs("shoulder_boneless", 2, "2.4 kg", "7.5 cm"),),
            "bass",
        ),
    ),
    (
        "Tenors' ribs after the carol rehearsal",
        "Fitch Ambleside",
        PlanInputs(
            (PieceInputs("back_ribs", 1, "2 lb 4 oz", "1 1/8 in", membrane=False),),
            "tenor",
        ),
    ),
    (
        "Allotment working party short ribs",
        "Perpetua Nook",
        PlanInputs(
            (PieceInputs("short_ribs_english", 8, "1.3 kg", "4.5 cm"),),
            "tenor",
            texture="falls",
        ),
    ),
    (
        "Ribs off the bone for the basses",
        "Bartle Quill",
        PlanInputs(
            (PieceInputs("back_ribs", 2, "2 kg", "3 cm", membrane=True),),
            "bass",
            texture="falls",
            liquid_style="bath",
            release="quick",
        ),
    ),
    (
        "Alto section supper",
        "Wilhelmina Thrupp",
        PlanInputs(
            (PieceInputs("brisket_flat", 2, "3 lb 2 oz", "1 3/4 in"),),
            "tenor",
        ),
    ),
)

DAY_NAME = "Snowed-in Saturday"
DAY_DISHES = (("Snowed-in shoulder, the whole choir", 8), ("Allotment working party short ribs", 4))
LOG_HOLD_MIN = {
    "Alto section supper": 75,
    "Snowed-in shoulder, the whole choir": 85,
    "Allotment working party short ribs": 45,
}
LOG: tuple[tuple[int, str, Texture, float, tuple[float, float], str], ...] = (
    (
        75,
        "Alto section supper",
        "tender",
        13.0,
        (1.42, 0.98),
        "Firmer than the altos like it; ten minutes more next time.",
    ),
    (
        54,
        "Snowed-in shoulder, the whole choir",
        "falls",
        16.5,
        (2.4, 1.5),
        "Pulled by itself. Half the juice stirred back.",
    ),
    (40, "Allotment working party short ribs", "very", 12.0, (1.3, 0.78), ""),
    (26, "Alto section supper", "very", 13.5, (1.4, 0.95), "Just right, a fork splits it."),
    (
        12,
        "Snowed-in shoulder, the whole choir",
        "very",
        16.0,
        (2.45, 1.6),
        "The pot seems slower than it says.",
    ),
)
"""Sheets of past cooks: days ago, plan, how it came out, minutes to pressure, kilos, note."""
ALONE: dict[str, tuple[tuple[str, int, int], ...]] = {
    "Allotment working party short ribs": (("at the edge", 4, 4), ("in the middle", 3, 4)),
}
"""Pieces that were rated alone: what was different, juicy, taste."""
TWO_WAYS = "Ribs two ways, for the basses to judge"
"""One pot, membrane on and off: what a choir argues about."""
TWO_WAYS_RACKS = tuple(
    PieceInputs("back_ribs", 1, "1.05 kg", "2.8 cm", membrane=membrane)
    for membrane in (True, False)
)
PICTURED = "Allotment working party short ribs"
NICKNAMES = {"tenor": "Tenor", "bass": "Bass", "treble": "Treble"}
"""What the choir calls its cookers; the size stands beside it."""
SATURDAY = 5
"""As `date.weekday` counts."""


def fill(session: Session, data: Path) -> None:
    """Put the scenario into an empty database; do nothing to one that has a household."""
    if households.get_household(session) is not None:
        return
    household = Household(
        new_id(),
        "Marrow Lane choir",
        ALTITUDE_M,
        4.0,
        "metric",
        simulated_teach=True,
        introduced=True,
        demo=True,
    )
    households.save_household(session, household)
    pots = {
        ready_id: household_service.add_ready_pot(session, ready_id, NICKNAMES[ready_id]).pot.pot_id
        for ready_id in READY_POTS
    }
    for text, tags in RECIPES:
        read = read_recipe(text)
        recipe_service.keep_recipe(
            session,
            recipe_service.RecipeInputs(
                title=read.recipe.title,
                tags=tags,
                original=text,
                format=read.format,
                recipe=read.recipe,
                answers=Answers(),
                choices=recipe_service.ChoiceInputs(),
            ),
        )
    saved, people = {}, {}
    for name, cook, inputs in COOKS:
        people[name] = household_service.add_person(session, cook).person_id
        saved[name] = replace(inputs, pot=pots[inputs.pot])
    for days_ago, name, texture, up_min, weights, note in LOG:
        entry = entries.Entry(
            name=name,
            person_id=people[name],
            inputs=saved[name],
            started_at=_afternoon(days_ago),
            hold_min=LOG_HOLD_MIN[name],
            come_up_min=up_min,
            pieces=_judged(name, texture),
            before_kg=weights[0],
            after_kg=weights[1],
            note=note,
        )
        line = entries.enter(session, entry)
        if name == PICTURED:
            photos.add_photo(session, data, line.cook_id, plate_of_short_ribs())
    entries.enter(session, _two_ways(pots["bass"], people))
    # plans are as the log has taught by now
    for name, inputs in saved.items():
        planning.save_plan(session, name=name, person_id=people[name], inputs=inputs)
    day_service.keep_day(session, DAY_NAME, _day(saved))


def _afternoon(days_ago: int) -> datetime:
    """When a supper goes into the pot."""
    return (now() - timedelta(days=days_ago)).replace(hour=15, minute=30, second=0, microsecond=0)


def _judged(name: str, texture: Texture) -> tuple[dict[str, Any], ...]:
    if name not in ALONE:
        return ({"texture": texture, "juicy": 4, "taste": 4},)
    return tuple(
        {"texture": texture, "juicy": juicy, "taste": taste, "group": 0, "number": number,
         "mark": mark}
        for number, (mark, juicy, taste) in enumerate(ALONE[name], start=1)
    )  # fmt: skip


def _two_ways(pot: str, people: dict[str, str]) -> entries.Entry:
    """Two racks of one weight in one pot, each kind judged."""
    judged = (("tender", 3, 3), ("very", 3, 5))
    return entries.Entry(
        name=TWO_WAYS,
        person_id=people["Ribs off the bone for the basses"],
        inputs=PlanInputs(TWO_WAYS_RACKS, pot, texture="very"),
        started_at=_afternoon(33),
        hold_min=28,
        pieces=tuple(
            {"texture": texture, "juicy": juicy, "taste": taste, "group": group}
            for group, (texture, juicy, taste) in enumerate(judged)
        ),
        before_kg=2.1,
        after_kg=1.6,
        note="Five of seven basses want the membrane off.",
    )


def _day(saved: dict[str, PlanInputs]) -> dict[str, Any]:
    """Supper on the next Saturday, from two saved plans, as the API keeps a day."""
    today = now().replace(hour=19, minute=0, second=0, microsecond=0)
    table = today + timedelta(days=(SATURDAY - today.weekday()) % 7 or 7)
    dishes = [
        {"dish_id": f"dish{number}", "title": name, "plan": asdict(saved[name]), "eaters": eaters}
        for number, (name, eaters) in enumerate(DAY_DISHES)
    ]
    return {"day": {"table": table.isoformat(), "dishes": dishes, "shop": True}, "shopping": {}}
