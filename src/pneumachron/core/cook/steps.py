"""The steps of a cook in the order of work. What is done is common practice."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Literal, TypeAlias

from pneumachron.core.constants import SPRAY_FILL_RATIO
from pneumachron.core.cook.cook_plan import CookPlan
from pneumachron.core.day.dish import Extra, ExtraWhen
from pneumachron.core.errors import Param
from pneumachron.core.finish import slice_m
from pneumachron.core.message import Message
from pneumachron.core.tenderness import TEXTURES

StepKind: TypeAlias = Literal[
    "season", "sear", "deglaze", "pour", "load", "lid", "set", "come_up", "hold", "release",
    "open", "judge", "rest", "sauce", "finish", "carve", "keep", "write_down", "extra",
]  # fmt: skip
Waits: TypeAlias = Literal["pressure", "hold_over", "pin_down"]
"""What the pot itself tells; a cook without a connected pot says it."""

MINUTE_S = 60.0
SEASON_S, DEGLAZE_S, POUR_S, LOAD_S = 600.0, 180.0, 60.0, 180.0
LID_S, SET_S, OPEN_S, JUDGE_S = 90.0, 30.0, 120.0, 60.0
SIDE_S = 900.0
"""Heating up and venting of a side's own run. Common practice."""
CARVE_S, KEEP_S, WRITE_S = 300.0, 900.0, 120.0
"""Hands, likely. Common practice, as on the Day."""
LOOK_TIMER = "look"
"""Half time of a crust."""
CALM_S = 720.0
"""A full pot waits so long before it is vented. Common practice: 10–15 min."""


@dataclass(frozen=True, slots=True)
class StepTimer:
    """A timer that a step offers: the message `timer-code`."""

    code: str
    seconds: float
    params: Mapping[str, Param] = field(default_factory=dict)


@dataclass(frozen=True, slots=True)
class Step:
    """One thing to do. `ticks` are confirmed one by one before it is done.

    The message `do-` and `work`, or else the kind, says what to do, `.look` what to look for and
    `.wrong` what to do if it is not so; all speak of `params`. A tick is the message `tick-code`.
    """

    step_id: str
    kind: StepKind
    likely_s: float
    hands: bool = True
    ticks: tuple[str, ...] = ()
    timers: tuple[StepTimer, ...] = ()
    waits: Waits | None = None
    round: int = 1
    """The run of the pot it belongs to; 2 when it was put back once."""
    beside: bool = False
    """Work while the pot does its own: it holds nothing up."""
    work: str = ""
    params: Mapping[str, Param] = field(default_factory=dict)

    @property
    def said(self) -> Message:
        """What to do."""
        return Message(f"do-{self.work or self.kind}", self.params)


@dataclass(frozen=True, slots=True)
class Brought:
    """What a recipe or a day adds to the steps of a plan, or leaves out."""

    work: tuple[Extra, ...] = ()
    sauce: bool = True


def cook_steps(plan: CookPlan, brought: Brought | None = None) -> tuple[Step, ...]:
    """From the board to the notes."""
    brought = brought or Brought()
    season, *to_the_pot = before_steps(plan)
    run = run_steps(plan, plan.hold_min)
    started = next(index for index, step in enumerate(run) if step.kind == "set") + 1
    rest, *after = after_steps(plan)
    if not brought.sauce:
        after = [step for step in after if step.kind != "sauce"]
    return (
        season, *_extra_steps(brought, "before_pot"), *to_the_pot,
        *run[:started], *_extra_steps(brought, "beside"), *run[started:],
        rest, *_extra_steps(brought, "own_run"), *after,
    )  # fmt: skip


def _extra_steps(brought: Brought, when: ExtraWhen) -> tuple[Step, ...]:
    """A recipe's own work; ids as on the Day."""
    found = []
    for number, extra in enumerate(brought.work):
        if extra.when != when:
            continue
        seconds = MINUTE_S * extra.minutes
        own: dict[str, Param] = {"own": extra.title}
        if when == "own_run":
            timer = StepTimer("own", seconds, {"own": extra.title[:60]})
            found.append(
                Step(f"side{number}", "extra", SIDE_S + seconds, timers=(timer,), work="side",
                     params={**own, "time_min": extra.minutes})
            )  # fmt: skip
        else:
            found.append(
                Step(f"extra{number}", "extra", seconds, beside=when == "beside",
                     work=f"extra_{when}", params=own)
            )  # fmt: skip
    return tuple(found)


def before_steps(plan: CookPlan) -> tuple[Step, ...]:
    """Up to the meat in the pot."""
    numbers = plan.numbers
    found = [Step("season", "season", SEASON_S, params={"thickness_m": numbers.thickness_m})]
    how = numbers.sear
    if how is not None:
        likely = (how.batch_low_s + how.batch_high_s) / 2
        timers = tuple(
            StepTimer(f"sear_{side}", likely / 2, {"batch": number + 1, "batches": how.batches})
            for number in range(how.batches)
            for side in ("first", "second")
        )
        found += [
            Step("sear", "sear", (how.total_low_s + how.total_high_s) / 2, timers=timers,
                 params={"batches": how.batches}),
            Step("deglaze", "deglaze", DEGLAZE_S),
        ]  # fmt: skip
    found += [
        Step("pour", "pour", POUR_S, ticks=("liquid_in",),
             params={"liquid_m3": numbers.liquid_m3}),
        Step("load", "load", LOAD_S,
             params={"rack": numbers.rack, "arrangement": numbers.arrangement}),
    ]  # fmt: skip
    return tuple(found)


LID_TICKS = ("gasket", "pin", "screen", "valve", "outside")
TICKS_OF_VERSION_1 = {
    "the liquid is in": "liquid_in",
    "gasket seated all round": "gasket",
    "pin moves freely": "pin",
    "valve screen clear": "screen",
    "valve shut": "valve",
    "pot dry outside and in place": "outside",
}
"""What was ticked before ticks had codes."""


def run_steps(plan: CookPlan, hold_min: int, round_number: int = 1) -> tuple[Step, ...]:
    """One run of the pot, from the lid to the look."""
    wish = plan.wish
    suffix = "" if round_number == 1 else f"#{round_number}"
    up_s = plan.numbers.come_up_s / (1 if round_number == 1 else 2)
    full = plan.numbers.fill_ratio > SPRAY_FILL_RATIO.value
    cut = wish.load.pieces[0].cut
    texture = TEXTURES[round(wish.texture_step)]
    return (
        Step(f"lid{suffix}", "lid", LID_S, ticks=LID_TICKS, round=round_number),
        Step(f"set{suffix}", "set", SET_S, round=round_number,
             params={"hold_min": hold_min, "level": wish.level}),
        Step(f"come_up{suffix}", "come_up", up_s, hands=False, waits="pressure",
             round=round_number, params={"up_min": max(round(up_s / MINUTE_S), 1)}),
        Step(f"hold{suffix}", "hold", MINUTE_S * hold_min, hands=False, waits="hold_over",
             round=round_number),
        _release(plan, suffix, round_number, full=full),
        Step(f"open{suffix}", "open", OPEN_S, round=round_number),
        Step(f"judge{suffix}", "judge", JUDGE_S, round=round_number,
             params={"cut": cut.cut_id, "texture": texture}),
    )  # fmt: skip


def _release(plan: CookPlan, suffix: str, number: int, *, full: bool) -> Step:
    wait_s = plan.numbers.wait_s
    natural_s, vent_s = plan.numbers.natural_release_s, plan.numbers.venting_s
    if wait_s is None:
        return Step(f"release{suffix}", "release", natural_s, hands=False, waits="pin_down",
                    round=number, work="release_natural",
                    params={"fall_min": max(round(natural_s / MINUTE_S), 1)})  # fmt: skip
    if full and wait_s < CALM_S:
        wait_s = CALM_S
    timers = (StepTimer("valve", wait_s),) if wait_s > 0 else ()
    return Step(f"release{suffix}", "release", wait_s + vent_s, timers=timers, waits="pin_down",
                round=number, work="release_timed" if wait_s > 0 else "release_quick",
                params={"wait_min": wait_s / MINUTE_S})  # fmt: skip


def after_steps(plan: CookPlan) -> tuple[Step, ...]:
    """From the rest to the notes."""
    numbers = plan.numbers
    rest, boil_s, pulled = numbers.rest_s, numbers.sauce_s, numbers.pulled
    cut = plan.wish.load.pieces[0].cut
    found = [
        Step("rest", "rest", rest, hands=False, timers=(StepTimer("rest", rest),),
             params={"rest_min": rest / MINUTE_S}),
        Step("sauce", "sauce", boil_s, timers=(StepTimer("sauce", boil_s),)),
    ]  # fmt: skip
    crust = numbers.crust
    if crust is not None:
        low, high = crust.each_low_s, crust.each_high_s
        found.append(
            Step("finish", "finish", (crust.total_low_s + crust.total_high_s) / 2,
                 timers=(StepTimer(LOOK_TIMER, low / 2), StepTimer("finish", high)),
                 work=f"finish_{crust.kind}",
                 params={"low_min": low / MINUTE_S, "high_min": high / MINUTE_S})
        )  # fmt: skip
    found += [
        Step("carve", "carve", CARVE_S, work="pull" if pulled else "carve",
             params={"family": cut.family.replace(" ", "_"),
                     "slice_m": slice_m(cut, pulled=pulled, cold=False)}),
        Step("keep", "keep", KEEP_S),
        Step("write_down", "write_down", WRITE_S),
    ]  # fmt: skip
    return tuple(found)
