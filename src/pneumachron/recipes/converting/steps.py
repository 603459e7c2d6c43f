"""The steps of the converted recipe, in the order of the work; `text` has the words."""

import re
from collections.abc import Iterable

from pneumachron.core.message import Message
from pneumachron.core.physics.tenderness import TEXTURES
from pneumachron.core.planning.finish import (
    rest_for,
    rests_in_juice,
)
from pneumachron.core.planning.sauce import MARINADE_BOIL_S
from pneumachron.core.planning.season import marinating, searing
from pneumachron.core.procedure.before_lid import rind_off
from pneumachron.core.procedure.cook_plan import cook_plan
from pneumachron.core.procedure.step import Brought, StepKind
from pneumachron.core.procedure.to_table import (
    crackling_steps,
    is_lit_early,
    preheat_steps,
    rind_oven_steps,
)
from pneumachron.core.procedure.under_pressure import run_steps
from pneumachron.recipes.converting.caramel import is_caramel, makes_caramel
from pneumachron.recipes.converting.cures import BRUSHED_OFF
from pneumachron.recipes.converting.fats import is_fried
from pneumachron.recipes.converting.marinade_times import marinating_s
from pneumachron.recipes.converting.marinade_used import is_brushed_back
from pneumachron.recipes.converting.marks import OutLine, OutStep, OwnWords, When
from pneumachron.recipes.converting.own_words import is_of_leftovers
from pneumachron.recipes.converting.pot_work import has_rind
from pneumachron.recipes.converting.seasoning import (
    is_just_seasoned,
    rub_rest_s,
    unlisted_seasonings,
)
from pneumachron.recipes.converting.sides import is_boiled, longest_run_min, only_boils
from pneumachron.recipes.converting.table_steps import (
    carve,
    finish,
    fried_in,
    in_the_glaze,
    is_made_in,
    keep,
    parts_stirred_in,
    sauce,
)
from pneumachron.recipes.converting.work import (
    Work,
    is_simmered_off,
    listed,
    minutes_of,
    own_words,
    say,
)
from pneumachron.recipes.understanding.ingredients import THIN_KINDS, Kind
from pneumachron.recipes.understanding.naming import rows_named


def write_steps(work: Work) -> tuple[OutStep, ...]:
    """The steps, as many as there is something to do."""
    makers = (
        _season, _marinate, _pulses, _sear, _soften, _pot, _lid, _set, _release, _judge, _rest,
        _own_run, sauce, finish, carve, keep,
    )  # fmt: skip
    steps = [step for make in makers if (step := make(work)) is not None]
    # what keeps its own words is done before the meat is carved, but for what serves it
    found: list[OutStep] = [OutStep("cure", (own_words(text),)) for text in work.cures]
    serving = [told for told in work.kept if told.serves]
    boiled = any(map(is_boiled, work.of("own_run")))
    early = [
        told for told in work.kept
        if told not in serving and not (boiled and only_boils(told.text))
    ]  # fmt: skip
    for step in steps:
        if step.kind == "keep":
            found += _in_own_words(told for told in serving if not is_of_leftovers(told.text))
        if step.kind in _WAITED_FOR:
            now = [told for told in early if _is_time_for(work, told, step.kind)]
            if step.kind in _AT_LAST and now:  # in the recipe's own order
                now = early[: early.index(now[-1]) + 1]
            early = [told for told in early if told not in now]
            found += [OutStep("own_words", _with_what_waits(work, told)) for told in now]
        found.append(step)
    return (*found, *_in_own_words(told for told in serving if is_of_leftovers(told.text)))


def _in_own_words(kept: Iterable[OwnWords]) -> list[OutStep]:
    return [OutStep("own_words", (own_words(told.text),)) for told in kept]


_AT_LAST = frozenset({"sauce", "finish"})
_WAITED_FOR = frozenset(
    {"season", "marinate", "first_run", "sear", "deglaze", "pot", "sauce", "finish", "carve"}
)
"""Our steps that something in the recipe's own words may have to come before."""


def _is_time_for(work: Work, told: OwnWords, kind: str) -> bool:
    """Whether what keeps its own words is done before one of our steps."""
    if kind == "sauce":
        stirred_in = {line.origin for line in work.of("after")} & fried_in(work, told)
        return any(is_made_in(work, told, part) for part in parts_stirred_in(work)) or bool(
            stirred_in and not told.serves
        )
    if kind == "season":
        return told.before_rub
    if kind == "first_run":
        return told.at_first and _SOAKS_PULSES.search(told.text) is not None
    if kind in {"marinate", "sear", "deglaze"}:
        return told.at_first and not (kind == "marinate" and makes_caramel(told.text))
    if kind == "pot":
        return told.before_heat
    return told.before_finish or kind == "carve"


_SOAKS_PULSES = re.compile(r"\bsoak\b[^.;]*\b(?:beans|peas|chickpeas|lentils|pulses)\b", re.I)
_TO_MARINATE = re.compile(r"\bmarinat|\bfridge\b|\brefrigerat|\bovernight\b", re.I)
_REST_OF_IT = re.compile(
    r"\b(?:boil|simmer|reduce)\b[^.;]{0,24}\b(?:other|remaining|rest of)\b", re.I
)
"""“Boil the other cup of cider with the syrup”: none of that is poured in."""
_WAITS: frozenset[When] = frozenset({"after", "finish"})


def _with_what_waits(work: Work, told: OwnWords) -> tuple[Message, ...]:
    """What is blended or poured in before the lid, without what goes in after pressure."""
    said = own_words(told.text)
    if not told.before_heat or _TO_MARINATE.search(told.text) or _REST_OF_IT.search(told.text):
        return (said,)
    named = rows_named(work.understood, told.text)
    early = {line.origin for line in work.lines if line.when not in _WAITS}
    names = listed(line.called for line in work.lines if line.origin in named - early)
    # of a glaze nothing goes into the cooker
    poured = any(line.origin in named and line.when == "pot" for line in work.lines)
    return (said, say("leave_out", names=names)) if names and poured else (said,)


def _season(work: Work) -> OutStep:
    piece = work.plan.outcomes[0].piece
    batches = len(work.portioned.runs)
    soaking = _mixed_now(work)
    # a rub may have a salt of its own beside that of the marinade
    own = {line.called for line in work.of("season") if line not in soaking}
    soaks = {line.called for line in soaking} - own
    rubbed = [name for name in work.names("season").split("\n") if name not in soaks]
    rub = listed([*rubbed, *unlisted_seasonings(work.understood)]).strip()
    said = [say("trim", thickness_m=piece.thickness_m, rinse="yes" if work.cures else "no")]
    if work.portioned.cuts > 1:
        said.insert(0, say("portion", portions=work.portioned.cuts))
    if has_rind(work.understood):
        said.insert(0, rind_off().said)
    if batches > 1:
        said.append(say("batches", batches=batches))
    if rub:
        said.append(say("season", names=rub))
    elif is_just_seasoned(work.understood):
        said.append(say("season_plain"))
    if not work.marinades and (rest_s := rub_rest_s(work.understood)):
        said.append(say("rub_rest", low_s=rest_s[0], high_s=rest_s[1]))
    if any(line.prepared == BRUSHED_OFF for line in work.of("season")):
        said.append(say("brush_salt_off"))
    return OutStep("season", tuple(said))


def _marinate(work: Work) -> OutStep | None:
    if not work.marinades:
        return None
    load, own_s = work.plan.setup.request.load, marinating_s(work.understood)
    span = marinating(load, "mild", own_s).time_s
    told = say("marinate", low_s=span[0], high_s=span[1])
    left: tuple[Message, ...] = ()
    if now := _mixed_now(work):
        names = listed(line.called for line in now)
        told = say("marinate_in", names=names, low_s=span[0], high_s=span[1])
        later = _mixed_later(work)
        left = (say("leave_out", names=listed(later)),) if later else ()
    boiled = (say("boil_marinade", boil_s=MARINADE_BOIL_S),) if work.boils_marinade else ()
    if work.throws_marinade:
        boiled = (say("throw_marinade"),)
    return OutStep("marinate", (told, *left, *boiled), minutes_of(span))


def _mixed_now(work: Work) -> list[OutLine]:
    """What the marinade is stirred together of; nothing where it is dry, or mostly waits."""
    mixed = [
        line for line in work.lines
        if work.marinades and line.origin in work.in_marinade and line.when in _MIXED_NOW
    ]  # fmt: skip
    poured = [line for line in mixed if line.when != "season"]
    wet = any(line.food.kind in _WETS for line in poured) or any(
        line.food.kind == "dairy" for line in mixed
    )
    if is_brushed_back(work.understood):  # a part of it stays for the glaze
        return mixed
    if work.throws_marinade:
        return mixed if any(line.food.kind != "salt" for line in mixed) else []
    return mixed if wet and len(poured) >= len(_mixed_later(work)) else []


def _mixed_later(work: Work) -> list[str]:
    """What the recipe has in its marinade, and goes in after pressure only."""
    soaking = [line for line in work.lines if line.origin in work.in_marinade]
    early = {line.origin for line in soaking if line.when not in _WAITS}
    return [line.called for line in soaking if line.origin not in early]


_MIXED_NOW: frozenset[When] = frozenset({"season", "pot", "sear", "top"})
"""Where what is in a marinade goes later, or stays on the meat."""
_WETS: frozenset[Kind] = THIN_KINDS | {"salty_thin", "acid", "spirit"}
"""Meat lies in what is wet; a dry marinade is rubbed on."""


def _sear(work: Work) -> OutStep | None:
    if not work.sears:
        return None
    found = searing(work.plan.setup.request.load, work.plan.setup.request.pot)
    fats = [line.called for line in work.lines if line.when == "sear" and line.food.kind == "fat"]
    if fats:
        told = say("sear_in", batches=found.batches, names=listed(fats))
    else:
        told = say("sear", batches=found.batches)
    return OutStep("sear", (told,), minutes_of(found.total_s))


def _soften(work: Work) -> OutStep | None:
    early = [line for line in work.lines if line.when == "sear" and line.food.kind != "fat"]
    off = listed([line.called for line in early if is_simmered_off(line)])
    first = listed([line.called for line in early if is_fried(line)])
    caramel = any(map(is_caramel, early))
    if not (first or off or caramel or work.sears):
        return None
    said = [say("deglaze")] if first or work.sears else []
    if caramel:
        said.append(say("dissolve"))
    if off:
        said.insert(0, say("simmer_off", names=off))
    if first:
        said.insert(0, say("soften", names=first))
    return OutStep("deglaze", tuple(said), (3.0, 8.0))


def _pot(work: Work) -> OutStep:
    setup = work.plan.setup
    said = [say("pour", liquid_m3=setup.filling.liquid_m3, batches=len(work.portioned.runs))]
    if names := work.names("pot"):
        said.append(say("add", names=names))
    said.append(say("load", rack=setup.arrangement.rack, arrangement=setup.arrangement.kind))
    if top := work.names("top"):
        said.append(say("on_top", names=top))
    return OutStep("pot", tuple(said))


def _lid(_: Work) -> OutStep:
    return OutStep("lid", (say("lid"), say("never_force")), (1.0, 2.0))


def _set(work: Work) -> OutStep:
    low, high = work.plan.hold_range_min
    up = next((phase.duration_s for phase in work.plan.phases if phase.kind == "come_up"), 0.0)
    hold = float(work.plan.hold_min)
    code = "set" if work.plan.expectation is None else "set_own"
    level = work.plan.setup.request.level
    told = say(code, hold_min=hold, low_min=low, high_min=high, level=level)
    return OutStep("set", (told, say("come_up", up_s=up)), (hold, hold))


_OPENING: frozenset[StepKind] = frozenset({"wait", "release", "keep_warm", "open", "boil", "soak"})
"""From the end of the cook time to the meat that can be looked at."""


def _release(work: Work) -> OutStep:
    """In the words and with the minutes of Cook and Schedule."""
    plan = work.plan
    cook = cook_plan(plan, work.finish.kind)
    steps = [step for step in run_steps(cook, plan.hold_min) if step.kind in _OPENING]
    if is_lit_early(cook):
        steps = [*preheat_steps(cook), *steps]
    steps = [*rind_oven_steps(_rind(work)), *steps]
    minutes = sum(step.likely_s for step in steps if step.kind not in {"open", "preheat"}) / 60
    said: list[Message] = []
    for step in steps:
        if step.kind == "boil" and (sweet := in_the_glaze(work)):
            said.append(say("stir_in", names=listed(line.called for line in sweet)))
        said.append(step.said)
    return OutStep("release", tuple(said), (minutes, minutes))


def _judge(work: Work) -> OutStep:
    piece = work.plan.outcomes[0].piece
    texture = TEXTURES[round(work.plan.setup.request.tenderness_step)]
    longer = say("cook_longer")
    if work.finish.kind == "glaze":  # the juice that made steam is boiled down
        longer = say("cook_longer_glazed", liquid_m3=work.plan.setup.filling.liquid_m3)
    return OutStep("judge", (say("look", cut=piece.looks_as, texture=texture), longer))


def _rest(work: Work) -> OutStep:
    load = work.plan.setup.request.load
    low, high = minutes_of(rest_for(load))
    told = say("rest_in_juice" if rests_in_juice(load) else "rest", low_min=low, high_min=high)
    cook = cook_plan(work.plan, work.finish.kind)
    hot = () if is_lit_early(cook) else preheat_steps(cook)
    beside = (*crackling_steps(_rind(work)), *hot)
    return OutStep("rest", (told, *(step.said for step in beside)), (low, high))


def _rind(work: Work) -> Brought:
    """What a rind adds to the steps, in the words of Cook and Schedule."""
    return Brought(crackling=has_rind(work.understood))


def _own_run(work: Work) -> OutStep | None:
    apart = work.of("own_run")
    boiled = listed(line.called for line in apart if is_boiled(line))
    names = listed(line.called for line in apart if not is_boiled(line))
    told = (("own_run", names), ("boil_as_pack", boiled))
    said = tuple(say(code, names=which) for code, which in told if which)
    return OutStep("own_run", said, (5.0, 15.0)) if said else None


def _pulses(work: Work) -> OutStep | None:
    """They take longer than the meat rests."""
    if not (lines := work.of("first_run")):
        return None
    minutes = longest_run_min(lines, work.plan.hold_min)
    told = say("pulses_first", names=work.names("first_run"), time_min=minutes)
    return OutStep("first_run", (told,), (20.0, 60.0))
