"""The steps of a cook in the order of work: what to do, look for, and do if it is not so.

The words are common practice.
"""

from dataclasses import dataclass
from typing import Literal, TypeAlias

from pneumachron.core.constants import SPRAY_FILL_RATIO
from pneumachron.core.cook.cook_plan import CookPlan
from pneumachron.core.day.dish import Extra, ExtraWhen
from pneumachron.core.finish import carving
from pneumachron.core.tenderness import TEXTURES
from pneumachron.core.units import show_length, show_volume

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
CALM_S = 720.0
"""A full pot waits so long before it is vented. Common practice: 10–15 min."""


@dataclass(frozen=True, slots=True)
class StepTimer:
    """A timer that a step starts."""

    title: str
    seconds: float


@dataclass(frozen=True, slots=True)
class Step:
    """One thing to do. `ticks` are confirmed one by one before it is done."""

    step_id: str
    kind: StepKind
    title: str
    look_for: str
    if_not: str
    likely_s: float
    hands: bool = True
    ticks: tuple[str, ...] = ()
    timers: tuple[StepTimer, ...] = ()
    waits: Waits | None = None
    round: int = 1
    """The run of the pot it belongs to; 2 when it was put back once."""
    beside: bool = False
    """Work while the pot does its own: it holds nothing up."""


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
        if when == "own_run":
            found.append(
                Step(f"side{number}", "extra",
                     f"{extra.title}: in a run of its own, {round(extra.minutes)} min",
                     "the meat is out, half full at most, lid checked as before",
                     "the meat is not out yet? It waits", SIDE_S + seconds,
                     timers=(StepTimer(extra.title[:60], seconds),))
            )  # fmt: skip
        else:
            found.append(
                Step(f"extra{number}", "extra", extra.title,
                     "ready before the pot needs it" if when == "before_pot"
                     else "the pot does its own meanwhile",
                     "no time now? It can wait, but not for the table", seconds,
                     beside=when == "beside")
            )  # fmt: skip
    return tuple(found)


def before_steps(plan: CookPlan) -> tuple[Step, ...]:
    """Up to the meat in the pot."""
    numbers = plan.numbers
    thick = show_length(numbers.thickness_m).metric
    found = [
        Step("season", "season", "Trim, measure, pat dry, season all faces",
             f"about {thick} at the thickest, the cut faces seasoned too",
             "another thickness? Change it on the Bench: it sets the minutes",
             SEASON_S)
    ]  # fmt: skip
    how = numbers.sear
    if how is not None:
        likely = (how.batch_low_s + how.batch_high_s) / 2
        timers = tuple(
            StepTimer(f"batch {number + 1} of {how.batches}: {side}", likely / 2)
            for number in range(how.batches)
            for side in ("first side", "second side")
        )
        found += [
            Step("sear", "sear",
                 f"Brown in {how.batches} batch{'es' if how.batches > 1 else ''}, one layer",
                 "brown, and it lets go of the metal by itself",
                 "it sticks? A minute more. Raw patches? Turn it again",
                 (how.total_low_s + how.total_high_s) / 2, timers=timers),
            Step("deglaze", "deglaze", "A splash of liquid, scrape the base bare",
                 "metal all over, nothing brown left",
                 "something sticks? More liquid, keep scraping: it stops the pot otherwise",
                 DEGLAZE_S),
        ]  # fmt: skip
    amount = show_volume(numbers.liquid_m3)
    rack, arranged = numbers.rack, numbers.arrangement
    found += [
        Step("pour", "pour", f"Liquid in: {amount.metric} ({amount.us})",
             "thin liquid on the bare base",
             "thick or sweet sauce goes on top, or after",
             POUR_S, ticks=("the liquid is in",)),
        Step("load", "load", f"{RACK_WORDS[rack]} {ARRANGED[arranged]}",
             "nothing above the line but ribs on end, the lid clear by two fingers",
             "too full? Take a piece out; it cooks in a second run",
             LOAD_S),
    ]  # fmt: skip
    return tuple(found)


RACK_WORDS = {
    "none": "No rack.",
    "trivet": "Low rack in.",
    "tall": "Tall rack in.",
    "basket": "Basket in.",
    "bed": "Vegetable bed in.",
}
ARRANGED = {
    "coiled": "Racks coiled, bone side in",
    "nested": "Racks coiled inside each other, bone side in",
    "on_bed": "Pieces side by side on the vegetables",
    "layered": "Pieces in layers, vegetables between them",
    "side_by_side": "Pieces side by side, never on each other",
    "one": "The piece in, fat side up",
    "on_edge": "Sections on edge",
    "on_end": "Sections on end",
    "leaning": "Sections leaning against the wall, with gaps",
    "folded": "The flat in, folded over once",
    "criss_cross": "Blocks criss-cross, not packed",
    "heap": "Pieces loosely heaped",
    "stacked": "Pieces in, partly on each other",
}
LID_TICKS = (
    "gasket seated all round",
    "pin moves freely",
    "valve screen clear",
    "valve shut",
    "pot dry outside and in place",
)


def run_steps(plan: CookPlan, hold_min: int, round_number: int = 1) -> tuple[Step, ...]:
    """One run of the pot, from the lid to the look."""
    wish = plan.wish
    suffix = "" if round_number == 1 else f"#{round_number}"
    up_s = plan.numbers.come_up_s / (1 if round_number == 1 else 2)
    full = plan.numbers.fill_ratio > SPRAY_FILL_RATIO.value
    cut = wish.load.pieces[0].cut
    texture = TEXTURES[round(wish.texture_step)]
    return (
        Step(f"lid{suffix}", "lid", "Check the lid, then lock it",
             "all five are so", "never force it: take it off and look again",
             LID_S, ticks=LID_TICKS, round=round_number),
        Step(f"set{suffix}", "set",
             f"Set {hold_min // 60}:{hold_min % 60:02d}, {wish.level} pressure, and start",
             "the panel shows these minutes and that it heats",
             "no delayed start with raw meat; some pots want the start key",
             SET_S, round=round_number),
        Step(f"come_up{suffix}", "come_up", "It heats up; nothing to do",
             f"the pin rises after about {max(round(up_s / MINUTE_S), 1)} min",
             "steam but no pin? Gasket, valve, liquid, in this order",
             up_s, hands=False, waits="pressure", round=round_number),
        Step(f"hold{suffix}", "hold", "Under pressure; nothing to do",
             "the panel counts down, no steam round the rim",
             "steam round the rim? Switch off, stand back, let it fall",
             MINUTE_S * hold_min, hands=False, waits="hold_over", round=round_number),
        _release(plan, suffix, round_number, full=full),
        Step(f"open{suffix}", "open", "Pin down? Lid away from your face",
             "pin down, valve open, no steam, the lid turns without force",
             "the pin is up, or the lid is stiff? Wait; never force it",
             OPEN_S, round=round_number),
        Step(f"judge{suffix}", "judge", "Is it done?",
             cut.looks[texture], "say how it looks, or what a probe reads",
             JUDGE_S, round=round_number),
    )  # fmt: skip


def _release(plan: CookPlan, suffix: str, number: int, *, full: bool) -> Step:
    wait_s = plan.numbers.wait_s
    natural_s, vent_s = plan.numbers.natural_release_s, plan.numbers.venting_s
    if wait_s is None:
        return Step(f"release{suffix}", "release", "Switch off; the pressure falls by itself",
                    f"the pin drops after about {max(round(natural_s / MINUTE_S), 1)} min",
                    "it takes longer in a full pot; leave the valve alone",
                    natural_s, hands=False, waits="pin_down", round=number)  # fmt: skip
    if full and wait_s < CALM_S:
        wait_s = CALM_S
    timers = (StepTimer("wait before the valve is opened", wait_s),) if wait_s > 0 else ()
    title = "Open the valve, face and hands out of the jet"
    if wait_s > 0:
        title = f"Wait {round(wait_s / MINUTE_S)} min, then open the valve"
    look = "a dry jet; the pin drops"
    wrong = "it spits? Shut the valve, wait, then in short pulses; a towel near, never on it"
    return Step(f"release{suffix}", "release", title, look, wrong, wait_s + vent_s,
                timers=timers, waits="pin_down", round=number)  # fmt: skip


def after_steps(plan: CookPlan) -> tuple[Step, ...]:
    """From the rest to the notes."""
    numbers = plan.numbers
    rest, boil_s, pulled = numbers.rest_s, numbers.sauce_s, numbers.pulled
    cut = plan.wish.load.pieces[0].cut
    found = [
        Step("rest", "rest", f"Rest it {round(rest / MINUTE_S)} min under a loose tent",
             "juice stays in when it is pressed", "do not cut it yet: it falls to mush",
             rest, hands=False, timers=(StepTimer("rest", rest),)),
        Step("sauce", "sauce", "Strain the juice, skim it, boil it down; salt it last",
             "it coats a spoon", "thin? Starch in cold water, a minute at a simmer",
             boil_s, timers=(StepTimer("sauce", boil_s),)),
    ]  # fmt: skip
    crust = numbers.crust
    if crust is not None:
        low, high = crust.each_low_s, crust.each_high_s
        where = {"broiler": "close under the broiler", "grill": "on the grill",
                 "crisping": "under the crisping lid"}[crust.kind]  # fmt: skip
        found.append(
            Step("finish", "finish",
                 f"Crust {where}, {round(low / MINUTE_S)}–{round(high / MINUTE_S)} min",
                 "brown at the edges; look at half time", "pale? A minute at a time",
                 (crust.total_low_s + crust.total_high_s) / 2,
                 timers=(StepTimer("look: half time", low / 2), StepTimer("crust", high)))
        )  # fmt: skip
    how = carving(cut, pulled=pulled, cold=False)
    found += [
        Step("carve", "carve", f"{how[0].upper()}{how[1:]}",
             "it holds together under the knife" if not pulled else "it comes apart when lifted",
             "it crumbles? Thicker slices, or pull it", CARVE_S),
        Step("keep", "keep", "What is left: flat layers, into the refrigerator",
             "within two hours, juice apart", "thick pieces into ice water first", KEEP_S),
        Step("write_down", "write_down", "How was it?",
             "texture, juice, taste, one line for next time", "half a minute is enough", WRITE_S),
    ]  # fmt: skip
    return tuple(found)
