"""Steps before the lid goes on: raw meat in the cold, searing, loading. Common practice."""

from dataclasses import replace

from pneumachron.core.errors import Param
from pneumachron.core.planning.load import thaw_hours
from pneumachron.core.planning.request import CookRequest
from pneumachron.core.planning.season import marinating
from pneumachron.core.procedure.choices import (
    FRIDGE,
    Extra,
    ExtraWhen,
)
from pneumachron.core.procedure.cook_plan import CookPlan, SearNumbers
from pneumachron.core.procedure.step import (
    MINUTE_S,
    STEPS_VERSION,
    Brought,
    Step,
    StepKind,
    StepTimer,
)

SEASON_S, DEGLAZE_S, POUR_S, LOAD_S = 600.0, 180.0, 60.0, 180.0
SIDE_LOAD_S, SIDE_LID_S = (180.0, 300.0, 600.0), (60.0, 120.0, 240.0)
"""Filling and closing the cooker for a side. Common practice."""
SIDE_UP_S = (180.0, 300.0, 480.0)
"""A small side in a pot that is still hot. Common practice."""
SIDE_VENT_S = (60.0, 120.0, 240.0)
"""Vented at once, nearly empty (practice: 1–2 min, 4 min for a litre)."""
SIDE_IN_ONE_S = 900.0
"""Heating up and venting of a side, as it was told once. Common practice."""
SIDE_ID = "side"
PULSES_UP_S = (360.0, 600.0, 900.0)
"""A cold cooker, half full. Common practice."""
PULSES_DOWN_S = (600.0, 1200.0, 1800.0)
"""Pulses foam, and would spray out of an open valve: the pressure falls undisturbed. Common
practice; makers' manuals, from memory."""
SIDE_WORDS: dict[ExtraWhen, str] = {"own_run": "side", "first_run": "pulses"}
"""What has a run of the cooker of its own, and the words it is told in."""


def extra_steps(brought: Brought, when: ExtraWhen) -> tuple[Step, ...]:
    """A recipe's own work; ids as on the Day."""
    found: list[Step] = []
    for number, extra in enumerate(brought.work):
        if extra.when != when:
            continue
        seconds = MINUTE_S * extra.minutes
        own: dict[str, Param] = {"own": extra.title}
        if when == "own_run" and brought.version < STEPS_VERSION:
            found.append(_side_in_one(number, extra))
        elif when in SIDE_WORDS:
            found += side_steps(number, extra)
        else:
            found.append(
                Step(f"extra{number}", "extra", seconds, beside=when == "beside",
                     work=f"extra_{when}", params=own)
            )  # fmt: skip
    return tuple(found)


def side_steps(number: int, extra: Extra) -> tuple[Step, ...]:
    """A side in a run of the cooker of its own; its last step has the id of all of it."""
    hold_s = MINUTE_S * extra.minutes
    timers = (StepTimer("own", hold_s, {"own": extra.title[:60]}),)
    own: dict[str, Param] = {"own": extra.title, "time_min": extra.minutes}
    first, name = extra.when == "first_run", SIDE_WORDS[extra.when]

    def step(what: str, span_s: tuple[float, float, float], *, hands: bool, work: str) -> Step:
        low, likely, high = span_s
        return Step(f"{SIDE_ID}{number}{what}", "extra", likely, hands=hands, pot=True,
                    span_s=(low, high), work=work, params=own)  # fmt: skip

    hold = step("hold", (hold_s, hold_s, hold_s), hands=False, work="side_hold")
    up_s = PULSES_UP_S if first else SIDE_UP_S
    down_s = PULSES_DOWN_S if first else SIDE_VENT_S
    return (
        step("load", SIDE_LOAD_S, hands=True, work=f"load_{name}"),
        step("lid", SIDE_LID_S, hands=True, work="side_lid"),
        step("up", up_s, hands=False, work="side_come_up"),
        replace(hold, timers=timers),
        step("", down_s, hands=not first, work=f"{name}_{'down' if first else 'vent'}"),
    )


def _side_in_one(number: int, extra: Extra) -> Step:
    """The same in a cook that began when it was one step."""
    hold_s = MINUTE_S * extra.minutes
    timers = (StepTimer("own", hold_s, {"own": extra.title[:60]}),)
    return Step(f"{SIDE_ID}{number}", "extra", SIDE_IN_ONE_S + hold_s, timers=timers, work="side",
                params={"own": extra.title, "time_min": extra.minutes})  # fmt: skip


RUB_S = (8 * 3600.0, 12 * 3600.0, 24 * 3600.0)
"""A rub that stays on overnight, in the refrigerator. Common practice."""
PART_S = (600.0, 900.0, 1500.0)
"""Flat and point taken apart along the fat between them. Common practice."""
TRIM_FAT_S = (300.0, 600.0, 900.0)
"""A fat cap trimmed to a measure with a long knife, and the scale. Common practice."""
RIND_ID = "rind"
RIND_OFF_S = (180.0, 300.0, 600.0)
"""A rind cut off in one piece with a long knife. Common practice."""
FETCH_S = (60.0, 120.0, 300.0)
"""To the freezer or the refrigerator and back. Judgement."""
TEMPER_S = (1800.0, 3600.0, 3600.0)
"""On the counter for half an hour to an hour, which warms the middle of a roast by some 4 K; not
longer, since two hours are all there is. Common practice; USDA, from memory."""
THAW_MOST = 1.5
"""The longest thawing over the likely one. Common practice."""


def raw_steps(request: CookRequest, thickness_m: float, brought: Brought) -> tuple[Step, ...]:
    """What is done with the raw meat: thawed, parted, trimmed, under its rub or in its marinade."""
    found: list[Step] = []
    if brought.from_freezer:
        thaw_s = 3600.0 * thaw_hours(max(piece.thickness_m for piece in request.load.pieces))
        if brought.version >= STEPS_VERSION:
            found.append(_fetch("fetch", "fetch_frozen"))
        found.append(_cold("thaw", (thaw_s, thaw_s, THAW_MOST * thaw_s), "thaw_meat"))
    if brought.parted or request.parted:
        found.append(Step("part", "part", PART_S[1], span_s=(PART_S[0], PART_S[2])))
    if brought.crackling:
        found.append(rind_off())
    if brought.fat_m is not None:
        low, likely, high = TRIM_FAT_S
        found.append(
            Step("trim", "trim", likely, span_s=(low, high), params={"fat_m": brought.fat_m})
        )
    trimmed = "season_trimmed" if brought.fat_m is not None else ""
    found.append(
        Step("season", "season", SEASON_S, work=trimmed, params={"thickness_m": thickness_m})
    )
    if brought.rubbed:
        found.append(_cold("rub", _as_told(brought.rub_s) if brought.rub_s else RUB_S))
    if brought.marinade is not None:
        span_s = marinating(request.load, brought.marinade, brought.marinate_s).time_s
        found.append(_cold("marinate", _as_told(span_s)))
    if request.tempered and brought.version >= STEPS_VERSION:
        low, likely, high = TEMPER_S
        found += [
            _fetch("take_out"),
            Step("temper", "temper", likely, hands=False, span_s=(low, high),
                 timers=(StepTimer("temper", likely),)),
        ]  # fmt: skip
    return tuple(found)


def _as_told(span_s: tuple[float, float]) -> tuple[float, float, float]:
    """Shortest, likely, longest [s]: what is told as “from” is enough."""
    return span_s[0], span_s[0], span_s[1]


def rind_off() -> Step:
    """It would go soft in the cooker."""
    low, likely, high = RIND_OFF_S
    return Step(RIND_ID, "trim", likely, span_s=(low, high), work="rind_off")


def _fetch(step_id: str, work: str = "") -> Step:
    low, likely, high = FETCH_S
    return Step(step_id, "fetch", likely, span_s=(low, high), work=work)


def _cold(kind: StepKind, span_s: tuple[float, float, float], work: str = "") -> Step:
    """Hours in the refrigerator: shortest, likely, longest [s]."""
    low, likely, high = span_s
    return Step(kind, kind, likely, hands=False, needs=(FRIDGE,), span_s=(low, high),
                timers=(StepTimer(kind, likely),), work=work,
                params={"low_s": low, "high_s": high})  # fmt: skip


def _sear_of(plan: CookPlan, brought: Brought) -> SearNumbers | None:
    """How it is seared: as the cook wants it, or as the cut is."""
    usual, own_s = plan.numbers.sear, brought.sear_s
    if own_s is None:
        return usual
    if own_s <= 0:
        return None
    batches = brought.sear_batches or (1 if usual is None else usual.batches)
    return SearNumbers(batches, own_s, own_s, batches * own_s, batches * own_s)


def load_steps(plan: CookPlan, brought: Brought) -> tuple[Step, ...]:
    """From the hot pan to the meat in the cooker."""
    numbers = plan.numbers
    how = _sear_of(plan, brought)
    found: list[Step] = []
    if how is not None:
        likely = (how.batch_low_s + how.batch_high_s) / 2
        timers = tuple(
            StepTimer(f"sear_{side}", likely / 2, {"batch": number + 1, "batches": how.batches})
            for number in range(how.batches)
            for side in ("first", "second")
        )
        found += [
            Step("sear", "sear", (how.total_low_s + how.total_high_s) / 2, pot=True,
                 span_s=(how.total_low_s, how.total_high_s), timers=timers,
                 params={"batches": how.batches}),
            Step("deglaze", "deglaze", DEGLAZE_S, pot=True),
        ]  # fmt: skip
    found += [
        Step("pour", "pour", POUR_S, pot=True, ticks=("liquid_in",),
             params={"liquid_m3": numbers.liquid_m3}),
        Step("load", "load", LOAD_S, pot=True,
             params={"rack": numbers.rack, "arrangement": numbers.arrangement}),
    ]  # fmt: skip
    return tuple(found)
