"""The steps of a cook in the order of work. What is done is common practice.

They are made from the numbers a cook goes by (`cook_plan`), so that Cook, Schedule, Plan and print
tell the same steps with the same durations: whatever the plan counted on (a wait, time kept warm,
an open boil, a rest in the liquid) is a step here.
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field, replace
from typing import Literal, TypeAlias

from pneumachron.core.batches import whole_load
from pneumachron.core.cook.cook_plan import CookPlan, SearNumbers, sear_numbers
from pneumachron.core.errors import Param
from pneumachron.core.finish import FinishKind, carving_params, slice_m
from pneumachron.core.load import Load, thaw_hours
from pneumachron.core.message import Message
from pneumachron.core.procedure.choices import (
    AIR_FRYER,
    FRIDGE,
    GRILL,
    OVEN,
    PAN,
    Ahead,
    Extra,
    ExtraWhen,
    Kept,
    Lane,
    SauceTo,
)
from pneumachron.core.release import CALM_S, is_full
from pneumachron.core.sauce import VOLUME_RANGE_M3, slurry
from pneumachron.core.season import Marinade, marinating
from pneumachron.core.serving import leftovers, serving
from pneumachron.core.tenderness import TEXTURES
from pneumachron.core.wish import Wish

StepKind: TypeAlias = Literal[
    "part", "season", "rub", "marinate", "sear", "deglaze", "pour", "load", "lid", "set",
    "come_up", "hold", "wait", "release", "keep_warm", "open", "boil", "soak", "judge", "rest",
    "batch", "skim", "sauce", "thicken", "bag", "cool", "chill", "freeze", "thaw", "slice",
    "preheat", "reheat", "finish", "carve", "keep", "write_down", "extra",
]  # fmt: skip
FINISH_PLACE: dict[FinishKind, Lane | None] = {
    "broiler": OVEN, "grill": GRILL, "air_fryer": AIR_FRYER, "crisping": None, "pan": PAN,
    "glaze": None,
}  # fmt: skip
"""Where a crust is given; None: in the cooker itself."""
COUNTED: frozenset[StepKind] = frozenset({"wait", "keep_warm", "boil", "soak"})
"""Steps that softened the meat in the plan for as long as they last."""
SKIPPABLE: frozenset[StepKind] = frozenset(
    {
        "season",
        "rub",
        "marinate",
        "sear",
        "judge",
        "rest",
        "skim",
        "sauce",
        "thicken",
        "slice",
        "preheat",
        "finish",
        "carve",
        "extra",
    }
)
"""What may be left out without harm; lid, liquid, pressure, cooling and leftovers are not."""
Waits: TypeAlias = Literal["pressure", "hold_over", "pin_down"]
"""What the pot itself tells; a cook without a connected pot says it."""

MINUTE_S = 60.0
SEASON_S, DEGLAZE_S, POUR_S, LOAD_S = 600.0, 180.0, 60.0, 180.0
LID_S, SET_S, OPEN_S, JUDGE_S = 90.0, 30.0, 120.0, 60.0
BAG_S = 900.0
"""Bagging and layering what is cooled. Common practice."""
CHILL_LEAST_S, CHILL_MOST_S = 8 * 3600.0, 3 * 86_400.0
"""Overnight, and at most three days at 4 °C. Common practice; USDA, from memory."""
FLAT_M = 0.025
"""Bags are laid this flat, to cool in time and to thaw overnight. Common practice: 2–3 cm."""
REHEAT_S = (1200.0, 1800.0, 2400.0)
"""Covered, with juice, to 74 °C in the oven. Common practice."""
SIDE_S = 900.0
"""Heating up and venting of a side's own run. Common practice."""
SKIM_S, CARVE_S, WRITE_S = 300.0, 300.0, 120.0
"""Hands, likely. Common practice."""
KEEP_S = (600.0, 900.0, 1800.0)
"""Bagging and layering what is left. Common practice."""
HANDS_SHARE = (0.6, 1.6)
"""Shortest and longest of work with hands, over what is likely. Judgement."""
LOOK_TIMER = "look"
"""Half time of a crust."""


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
    pot: bool = False
    """The cooker is taken meanwhile."""
    needs: tuple[Lane, ...] = ()
    """What else is taken: a pan, the oven, the grill, the refrigerator."""
    span_s: tuple[float, float] | None = None
    """Shortest and longest, where it is not that of hands."""
    ticks: tuple[str, ...] = ()
    timers: tuple[StepTimer, ...] = ()
    waits: Waits | None = None
    round: int = 1
    """The run of the pot it belongs to; 2 when it was put back once."""
    batch: int = 1
    """Which part of the meat it is about, where all does not go in together."""
    beside: bool = False
    """Work while the pot does its own: it holds nothing up."""
    work: str = ""
    params: Mapping[str, Param] = field(default_factory=dict)

    @property
    def range_s(self) -> tuple[float, float]:
        """Shortest and longest. What only has to pass takes as long as it takes."""
        if self.span_s is not None:
            return self.span_s
        low, high = HANDS_SHARE if self.hands else (1.0, 1.0)
        return low * self.likely_s, high * self.likely_s

    @property
    def counted(self) -> bool:
        """Time that has to pass: its timer starts by itself, and leaving early changes the meat."""
        return self.kind in COUNTED

    @property
    def skippable(self) -> bool:
        """Whether it may be left out."""
        return self.kind in SKIPPABLE

    @property
    def said(self) -> Message:
        """What to do."""
        return Message(f"do-{self.work or self.kind}", self.params)


@dataclass(frozen=True, slots=True)
class Brought:
    """What a recipe or a day adds to the steps of a plan, or leaves out."""

    work: tuple[Extra, ...] = ()
    sauce: SauceTo = "half"
    ahead: Ahead = "today"
    """Eaten on the day it is cooked, the day after, or weeks later."""
    from_freezer: bool = False
    """It lies in the freezer and is thawed first."""
    parted: bool = False
    """A whole brisket is parted into flat and point first."""
    rubbed: bool = False
    """The rub stays on overnight."""
    marinade: Marinade | None = None
    sear_s: float | None = None
    """Searing of each batch, both sides, as the cook wants it; 0: not at all."""
    sear_batches: int | None = None
    eaters: int | None = None
    """Plates that are eaten; the rest is kept."""
    leftovers: Kept = "chill"


def cook_steps(plan: CookPlan, brought: Brought | None = None) -> tuple[Step, ...]:
    """From the board to the notes."""
    brought = brought or Brought()
    raw, to_the_pot = (
        raw_steps(plan.wish, plan.numbers.thickness_m, brought),
        load_steps(plan, brought),
    )
    run = run_steps(plan, plan.hold_min)
    started = next(index for index, step in enumerate(run) if step.kind == "set") + 1
    sides, last = extra_steps(brought, "own_run"), extra_steps(brought, "at_end")
    early = brought.ahead == "today" and is_lit_early(plan)
    lit = () if early else preheat_steps(plan)
    after = (
        (*lit, *rest_steps(plan), *sides, *sauce_steps(plan, brought), *crust_steps(plan),
         *last, *carve_steps(plan))
        if brought.ahead == "today"
        else (*cool_steps(plan, brought.ahead), *sides, *sauce_steps(plan, brought),
              *preheat_oven_steps(plan), *preheat_steps(plan, in_hot_oven=True),
              *reheat_steps(plan), *crust_steps(plan), *last, *cold_carve_steps(plan))
    )  # fmt: skip
    cooked = (*run[started:], *batch_steps(plan, brought))
    if early:
        at = _last_let_go(cooked)
        cooked = (*cooked[:at], *preheat_steps(plan), *cooked[at:])
    return (
        *raw, *extra_steps(brought, "before_pot"), *to_the_pot,
        *run[:started], *extra_steps(brought, "beside"), *cooked,
        *after, *last_steps(plan, brought),
    )  # fmt: skip


def extra_steps(brought: Brought, when: ExtraWhen) -> tuple[Step, ...]:
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


RUB_S = (8 * 3600.0, 12 * 3600.0, 24 * 3600.0)
"""A rub that stays on overnight, in the refrigerator. Common practice."""
PART_S = (600.0, 900.0, 1500.0)
"""Flat and point taken apart along the fat between them. Common practice."""
THAW_MOST = 1.5
"""The longest thawing over the likely one. Common practice."""


def raw_steps(wish: Wish, thickness_m: float, brought: Brought) -> tuple[Step, ...]:
    """What is done with the raw meat: thawed, parted, trimmed, under its rub or in its marinade."""
    found: list[Step] = []
    if brought.from_freezer:
        thaw_s = 3600.0 * thaw_hours(max(piece.thickness_m for piece in wish.load.pieces))
        found.append(_cold("thaw", (thaw_s, thaw_s, THAW_MOST * thaw_s), "thaw_meat"))
    if brought.parted or wish.parted:
        found.append(Step("part", "part", PART_S[1], span_s=(PART_S[0], PART_S[2])))
    found.append(Step("season", "season", SEASON_S, params={"thickness_m": thickness_m}))
    if brought.rubbed:
        found.append(_cold("rub", RUB_S))
    if brought.marinade is not None:
        low, high = marinating(wish.load, brought.marinade).time_s
        found.append(_cold("marinate", (low, low, high)))
    return tuple(found)


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


UP_SHARE = (0.8, 1.3)
"""Shortest and longest come-up over the likely one. Common practice."""


def run_steps(plan: CookPlan, hold_min: int, round_number: int = 1) -> tuple[Step, ...]:
    """One run of the cooker, from the lid to the look.

    What is put back is only vented again: what stood in the liquid, or was kept warm, was so once.
    """
    wish = plan.wish
    suffix = "" if round_number == 1 else f"#{round_number}"
    up_s = plan.numbers.come_up_s / (1 if round_number == 1 else 2)
    cut = wish.load.pieces[0].cut
    texture = TEXTURES[round(wish.texture_step)]
    hold_s = MINUTE_S * hold_min
    on_stove = wish.pot.is_stovetop
    hold_low_s, hold_high_s = plan.numbers.hold_range_s or (hold_s, hold_s)
    steps = (
        Step(f"lid{suffix}", "lid", LID_S, pot=True, ticks=LID_TICKS),
        Step(f"set{suffix}", "set", SET_S, pot=True,
             work="set_stove" if on_stove else "",
             params={"hold_min": hold_min, "level": wish.level}),
        Step(f"come_up{suffix}", "come_up", up_s, hands=False, pot=True, waits="pressure",
             span_s=(UP_SHARE[0] * up_s, UP_SHARE[1] * up_s),
             work="come_up_stove" if on_stove else "",
             params={"up_min": max(round(up_s / MINUTE_S), 1)}),
        Step(f"hold{suffix}", "hold", hold_s, hands=False, pot=True, waits="hold_over",
             span_s=(min(hold_low_s, hold_s), max(hold_high_s, hold_s)),
             work="hold_stove" if on_stove else ""),
        *(_release_steps(plan, suffix) if plan.numbers.phases else _told_release(plan, suffix)),
        Step(f"open{suffix}", "open", OPEN_S, pot=True),
        *(_open_pot_steps(plan) if round_number == 1 else ()),
        Step(f"judge{suffix}", "judge", JUDGE_S, pot=True,
             params={"cut": cut.cut_id, "texture": texture}),
    )  # fmt: skip
    return tuple(replace(step, round=round_number) for step in steps)


def _release_steps(plan: CookPlan, suffix: str) -> tuple[Step, ...]:
    """From the end of the cook time to the lid: what the plan counted on, stretch by stretch."""
    found = []
    for kind, seconds in plan.numbers.phases:
        minutes = seconds / MINUTE_S
        if kind == "natural_release":
            found.append(
                Step(f"release{suffix}", "release", seconds, hands=False, pot=True,
                     waits="pin_down",
                     work="release_off_stove" if plan.wish.pot.is_stovetop else "release_natural",
                     params={"fall_min": max(round(minutes), 1)})
            )  # fmt: skip
        elif kind == "waiting":
            found.append(_wait(suffix, seconds))
        elif kind == "venting":
            waited_s = sum(step.likely_s for step in found)
            # a cook that was begun before the plan counted on this wait
            if waited_s < CALM_S and is_full(plan.numbers.fill_ratio):
                found = [_wait(suffix, CALM_S)]
            found.append(
                Step(f"release{suffix}", "release", seconds, pot=True, waits="pin_down",
                     work="release_vent" if found else "release_quick", params={})
            )  # fmt: skip
        elif kind == "keeping_warm" and not suffix:
            found.append(
                Step("keep_warm", "keep_warm", seconds, hands=False, pot=True,
                     timers=(StepTimer("keep_warm", seconds),), params={"warm_min": minutes})
            )  # fmt: skip
    return tuple(found)


def _wait(suffix: str, seconds: float) -> Step:
    """The valve stays shut: the pressure falls by itself for a while."""
    timers = (StepTimer("valve", seconds),)
    return Step(f"wait{suffix}", "wait", seconds, hands=False, pot=True, timers=timers,
                params={"wait_min": seconds / MINUTE_S})  # fmt: skip


def _open_pot_steps(plan: CookPlan) -> tuple[Step, ...]:
    """What goes on in the open cooker, before the meat comes out."""
    found: list[Step] = []
    for kind, seconds in plan.numbers.phases:
        params = {"open_min": seconds / MINUTE_S}
        if kind == "boiling":
            found.append(Step("boil", "boil", seconds, pot=True, span_s=(seconds, seconds),
                              timers=(StepTimer("boil", seconds),), params=params,
                              work="boil_to_glaze" if _is_glazed(plan) else ""))  # fmt: skip
        elif kind == "soaking":
            found.append(Step("soak", "soak", seconds, hands=False, pot=True,
                              timers=(StepTimer("soak", seconds),), params=params))  # fmt: skip
    return tuple(found)


def _is_glazed(plan: CookPlan) -> bool:
    """Whether the juice becomes a glaze around the meat."""
    return plan.numbers.crust is not None and plan.numbers.crust.kind == "glaze"


def _told_release(plan: CookPlan, suffix: str) -> tuple[Step, ...]:
    """The release of a cook that began before its stretches were kept with it."""
    wait_s = plan.numbers.wait_s
    natural_s, vent_s = plan.numbers.natural_release_s, plan.numbers.venting_s
    if wait_s is None:
        return (
            Step(f"release{suffix}", "release", natural_s, hands=False, waits="pin_down",
                 work="release_natural",
                 params={"fall_min": max(round(natural_s / MINUTE_S), 1)}),
        )  # fmt: skip
    if is_full(plan.numbers.fill_ratio):
        wait_s = max(wait_s, CALM_S)
    timers = (StepTimer("valve", wait_s),) if wait_s > 0 else ()
    return (
        Step(f"release{suffix}", "release", wait_s + vent_s, timers=timers, waits="pin_down",
             work="release_timed" if wait_s > 0 else "release_quick",
             params={"wait_min": wait_s / MINUTE_S}),
    )  # fmt: skip


SWAP_S = 120.0
"""Hands to take a batch out and cover it. Common practice."""


def batch_steps(plan: CookPlan, brought: Brought) -> tuple[Step, ...]:
    """The batches after the first, each cooked the same way, for minutes of its own.

    The cooker is hot by then: what is left of the time from lid on to meat out, after cook time and
    release, is the shorter way to pressure.
    """
    if plan.numbers.goes_on is not None:
        return _second_cycle(plan)
    found: list[Step] = []
    of = len(plan.numbers.later) + 1
    let_go_s = sum(seconds for _, seconds in plan.numbers.phases)
    for number, (hold_s, done_s, mass_kg) in enumerate(plan.numbers.later, start=2):
        up_s = max(done_s - hold_s - let_go_s, MINUTE_S)
        one = _one_batch(plan, number - 2, up_s)
        run = (*load_steps(one, brought), *run_steps(one, round(hold_s / MINUTE_S)))
        found.append(next_batch(number, of, mass_kg))
        found += [
            replace(step, step_id=f"{step.step_id}{BATCH_SIGN}{number}", batch=number)
            for step in run
        ]
    return tuple(found)


OUT_S = 180.0
"""What is done comes out and is covered; checking and locking the lid are steps of their own.
Together the five minutes that the plan counts on (early_out.py)."""


def _second_cycle(plan: CookPlan) -> tuple[Step, ...]:
    """What is done comes out; lid on again, and the rest goes on in the same liquid."""
    (hold_s, _, stays_kg), *_ = plan.numbers.later
    out_kg = max(sum(piece.mass_kg for piece in plan.wish.load.pieces) - stays_kg, 0.0)
    one = _one_batch(plan, 0, plan.numbers.later_up_s[0])
    out = Step("out2", "batch", OUT_S, pot=True, work="out_first",
               params={"out_kg": out_kg, "stays_kg": stays_kg,
                       "hold_min": round(hold_s / MINUTE_S)}, batch=2)  # fmt: skip
    pieces = tuple(p for p in one.wish.load.pieces if p.cut.cut_id == plan.numbers.goes_on)
    one = replace(one, wish=replace(one.wish, load=Load(pieces or one.wish.load.pieces)))
    run = run_steps(one, round(hold_s / MINUTE_S))
    return (
        out,
        *(replace(step, step_id=f"{step.step_id}{BATCH_SIGN}2", batch=2) for step in run),
    )


def _one_batch(plan: CookPlan, index: int, up_s: float) -> CookPlan:
    """A later batch as a cook of its own: its meat, how that lies, its liquid."""
    wish = replace(plan.wish, later=())
    if index < len(plan.wish.later):
        wish = replace(wish, load=plan.wish.later[index])
    numbers = replace(plan.numbers, come_up_s=up_s, hold_range_s=None, later=(),
                      goes_on=None, sear=sear_numbers(wish))  # fmt: skip
    told = plan.numbers
    if index < len(told.later_lying):
        rack, arrangement = told.later_lying[index]
        numbers = replace(
            numbers,
            rack=rack,
            arrangement=arrangement,
            liquid_m3=told.later_liquid_m3[index],
            come_up_s=told.later_up_s[index],
            phases=told.later_phases[index],
        )
    return replace(plan, wish=wish, numbers=numbers)


BATCH_SIGN = "@"
"""Between the id of a step and the number of its batch."""


def next_batch(number: int, of: int, mass_kg: float) -> Step:
    """The meat out, covered; the next part of it goes in."""
    return Step(f"next{number}", "batch", SWAP_S, pot=True,
                params={"batch": number, "batches": of, "mass_kg": mass_kg})  # fmt: skip


def rest_steps(plan: CookPlan) -> tuple[Step, ...]:
    """The meat stands before the knife."""
    rest_s = plan.numbers.rest_s
    return (
        Step("rest", "rest", rest_s, hands=False, timers=(StepTimer("rest", rest_s),),
             params={"rest_min": rest_s / MINUTE_S}),
    )  # fmt: skip


GLAZE_SHARE = 1.5
"""Boiling down to a quarter over boiling down to half: three quarters go, not two."""
SIMMER_S, THICKEN_S = 300.0, 180.0
"""Heating up what is thickened, and stirring the starch in. Common practice."""


def sauce_steps(plan: CookPlan, brought: Brought) -> tuple[Step, ...]:
    """Fat off, then boiled down or thickened."""
    if brought.sauce == "none" or _is_glazed(plan):
        return ()  # what is boiled down to a glaze around the meat leaves no juice for a sauce
    half_s = plan.numbers.sauce_s
    boil_s = {"half": half_s, "glaze": GLAZE_SHARE * half_s}.get(brought.sauce, SIMMER_S)
    work = "" if brought.sauce == "half" else f"sauce_{brought.sauce}"
    sauce = Step("sauce", "sauce", boil_s, hands=False, needs=(PAN,), span_s=(0.8 * boil_s,
                 1.3 * boil_s), timers=(StepTimer("sauce", boil_s),), work=work)  # fmt: skip
    if not plan.numbers.phases:
        return (replace(sauce, hands=True, work="sauce_told"),)
    found = (Step("skim", "skim", SKIM_S, needs=(PAN,)), sauce)
    return (*found, _thicken(plan)) if brought.sauce == "thick" else found


def _thicken(plan: CookPlan) -> Step:
    """Starch in cold water, stirred into the simmering juice."""
    low_m3, high_m3 = VOLUME_RANGE_M3
    how = slurry(min(max(plan.numbers.left_m3, low_m3), high_m3), "medium")
    return Step("thicken", "thicken", THICKEN_S, needs=(PAN,),
                params={"starch_kg": how.starch_kg, "spoons": how.spoons,
                        "water_m3": how.water_m3})  # fmt: skip


PREHEAT_S = 60.0
"""Hands to switch it on; lighting coals takes longer, and is counted as heating up."""


def is_lit_early(plan: CookPlan) -> bool:
    """What takes longer to be hot than the meat rests is lit while the pressure falls.

    A quick release needs the hands; then it is lit after it.
    """
    crust, phases = plan.numbers.crust, plan.numbers.phases
    if plan.numbers.later_phases:
        phases = plan.numbers.later_phases[-1]
    falls = bool(phases) and phases[0][0] in {"natural_release", "waiting"}
    return crust is not None and falls and crust.heat_up_s > plan.numbers.rest_s


def _last_let_go(steps: Sequence[Step]) -> int:
    """Where the pressure of the last run begins to fall."""
    return max(index for index, step in enumerate(steps) if step.kind == "hold") + 1


def preheat_steps(plan: CookPlan, *, in_hot_oven: bool = False) -> tuple[Step, ...]:
    """Broiler, grill or air fryer switched on, in time to be hot for the crust.

    Parameters
    ----------
    in_hot_oven : the oven is hot already; a broiler then needs no time of its own
    """
    crust = plan.numbers.crust
    if crust is None or crust.heat_up_s <= 0 or (in_hot_oven and crust.kind == "broiler"):
        return ()
    return (_preheat("preheat", f"preheat_{crust.kind}", crust.heat_up_s),)


def preheat_oven_steps(plan: CookPlan) -> tuple[Step, ...]:
    """The oven switched on, for what is reheated in it."""
    heat_s = plan.numbers.oven_heat_s
    return (_preheat("preheat_oven", "preheat_oven", heat_s),) if heat_s > 0 else ()


def _preheat(step_id: str, work: str, heat_s: float) -> Step:
    return Step(step_id, "preheat", PREHEAT_S, beside=True, work=work,
                timers=(StepTimer("preheat", heat_s),),
                params={"heat_min": heat_s / MINUTE_S})  # fmt: skip


def crust_steps(plan: CookPlan) -> tuple[Step, ...]:
    """The finish that was chosen, or the habit of the cut."""
    crust = plan.numbers.crust
    if crust is None or _is_glazed(plan):
        return ()  # the glaze is made while the meat simmers in the open cooker
    low, high = crust.each_low_s, crust.each_high_s
    place = FINISH_PLACE[crust.kind]
    return (
        Step("finish", "finish", (crust.total_low_s + crust.total_high_s) / 2,
             pot=place is None, needs=() if place is None else (place,),
             span_s=(crust.total_low_s, crust.total_high_s),
             timers=(StepTimer(LOOK_TIMER, low / 2), StepTimer("finish", high)),
             work=f"finish_{crust.kind}",
             params={"low_min": low / MINUTE_S, "high_min": high / MINUTE_S,
                     "batches": max(round(crust.total_low_s / low), 1) if low > 0 else 1}),
    )  # fmt: skip


def carve_steps(plan: CookPlan, *, cold: bool = False) -> tuple[Step, ...]:
    """Cut or pulled, and served."""
    pulled = plan.numbers.pulled
    cut = plan.wish.load.pieces[0].cut
    params = carving_params(cut, pulled=pulled, cold=cold)
    return (Step("carve", "carve", CARVE_S, work="pull" if pulled else "carve", params=params),)


def last_steps(plan: CookPlan, brought: Brought) -> tuple[Step, ...]:
    """What is left is put away, and what was learned is written down."""
    served = serving(whole_load(plan.wish), pulled=plan.numbers.pulled).served_kg
    left = leftovers(sum(served) / 2, brought.eaters)
    portions: dict[str, Param] = {
        "portions": left.portions,
        "portion_kg": left.mass_kg / max(left.portions, 1),
        "juice_m3": left.juice_m3 / max(left.portions, 1),
    }
    return (
        Step(
            "keep",
            "keep",
            KEEP_S[1],
            span_s=(KEEP_S[0], KEEP_S[2]),
            params=portions,
            work="keep_frozen" if brought.leftovers == "freeze" else "",
        ),
        Step("write_down", "write_down", WRITE_S),
    )


def cool_steps(plan: CookPlan, ahead: Ahead) -> tuple[Step, ...]:
    """Made ahead: out of the hot juice at once, cold within the limits, then chilled or frozen."""
    cool_s = plan.numbers.ice_bath_s
    found = [
        Step("bag", "bag", BAG_S),
        Step("cool", "cool", cool_s, hands=False, timers=(StepTimer("cool", cool_s),),
             params={"cool_min": cool_s / MINUTE_S}),
    ]  # fmt: skip
    if ahead == "frozen":
        thaw_s = 3600.0 * thaw_hours(FLAT_M)
        found += [
            Step("freeze", "freeze", BAG_S),
            Step("thaw_cooked", "thaw", thaw_s, hands=False, needs=(FRIDGE,),
                 span_s=(thaw_s, 1.5 * thaw_s), work="thaw_bags"),
        ]  # fmt: skip
    else:
        found.append(Step("chill", "chill", CHILL_LEAST_S, hands=False, needs=(FRIDGE,)))
    return tuple(found)


def reheat_steps(plan: CookPlan) -> tuple[Step, ...]:
    """Sliced cold where nothing more is browned; heated through, with juice."""
    cold = plan.numbers.crust is None and _is_sliced(plan)
    slices = Step("slice", "slice", CARVE_S, params=_slices(plan))
    heat = Step("reheat", "reheat", REHEAT_S[1], hands=False, needs=(OVEN,),
                span_s=(REHEAT_S[0], REHEAT_S[2]),
                timers=(StepTimer("reheat", REHEAT_S[1]),))  # fmt: skip
    return (slices, heat) if cold else (heat,)


def cold_carve_steps(plan: CookPlan) -> tuple[Step, ...]:
    """What was not sliced cold is cut or pulled once it is hot."""
    sliced = plan.numbers.crust is None and _is_sliced(plan)
    return () if sliced else carve_steps(plan)


def _is_sliced(plan: CookPlan) -> bool:
    cut = plan.wish.load.pieces[0].cut
    return slice_m(cut, pulled=plan.numbers.pulled, cold=True) > 0


def _slices(plan: CookPlan) -> dict[str, Param]:
    cut = plan.wish.load.pieces[0].cut
    return {"slice_m": slice_m(cut, pulled=plan.numbers.pulled, cold=True)}
