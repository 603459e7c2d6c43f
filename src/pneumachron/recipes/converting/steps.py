"""The steps of the converted recipe, in the order of the work; `text` has the words."""

import re
from collections.abc import Iterable
from dataclasses import dataclass

from pneumachron.core.errors import Param
from pneumachron.core.message import Message
from pneumachron.core.physics.tenderness import TEXTURES
from pneumachron.core.planning.finish import (
    Finish,
    afterwards,
    carving,
    rest_for,
)
from pneumachron.core.planning.plan import Plan, is_pulled
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
from pneumachron.recipes.converting.load import Portioned
from pneumachron.recipes.converting.marinade import marinating_s
from pneumachron.recipes.converting.marks import OutLine, OutStep, OwnWords, When
from pneumachron.recipes.converting.naming import referring_lines, rows_named
from pneumachron.recipes.converting.parts import strewn_late
from pneumachron.recipes.converting.pot_work import has_rind, is_soup, shreds, thickens
from pneumachron.recipes.converting.seasoning import (
    is_just_seasoned,
    rub_rest_s,
    unlisted_seasonings,
)
from pneumachron.recipes.converting.sides import is_boiled, longest_run_min
from pneumachron.recipes.understanding.ingredients import JOINT, Kind
from pneumachron.recipes.understanding.understand import Understood


@dataclass(frozen=True, slots=True)
class Work:
    """All that the steps are written from."""

    understood: Understood
    plan: Plan
    portioned: Portioned
    lines: tuple[OutLine, ...]
    finish: Finish
    sears: bool
    marinades: bool
    boils_marinade: bool
    """There is liquid of the marinade left that had raw meat in it."""
    kept: tuple[OwnWords, ...]
    """Steps that stay in their own words."""
    cures: tuple[str, ...]
    """Steps of a cure or brine, in their own words and their own order, before everything else."""

    def of(self, when: When) -> list[OutLine]:
        """The lines of a stage."""
        return [line for line in self.lines if line.when == when]

    def names(self, *whens: When) -> str:
        """Names of the lines of some stages, a line each; empty when there are none."""
        told = referring_lines(self.understood)
        lines = (
            line for line in self.lines
            if line.when in whens and line.food.kind != "meat" and line.origin not in told
        )  # fmt: skip
        return listed(_name_of(line) for line in lines)


def _name_of(line: OutLine) -> str:
    """What a step calls a line; what is served may be several things, and is told whole."""
    several = line.when == "beside" and line.amount is None and line.prepared is None
    others = _TO_SERVE.sub("", line.aside).strip(" ,") if several else ""
    return f"{line.name}, {others}" if others else line.name


_TO_SERVE = re.compile(
    r"(?:^|,\s*)(?:to|for) (?:serv|garnish|finish|top|taco|sandwich|bun|roll)\w*(?=,|$)", re.I
)


def write_steps(work: Work) -> tuple[OutStep, ...]:
    """The steps, as many as there is something to do."""
    makers = (
        _season, _marinate, _pulses, _sear, _soften, _pot, _lid, _set, _release, _judge, _rest,
        _own_run, _sauce, _finish, _carve,
    )  # fmt: skip
    steps = [step for make in makers if (step := make(work)) is not None]
    # what keeps its own words is done before the meal is served, but for what serves it
    found: list[OutStep] = [OutStep("cure", (own_words(text),)) for text in work.cures]
    serving = [told for told in work.kept if told.serves]
    early = [told for told in work.kept if told not in serving]
    for step in steps:
        if step.kind in _WAITED_FOR:
            now = [told for told in early if _is_time_for(told, step.kind)]
            early = [told for told in early if told not in now]
            found += [OutStep("own_words", _with_what_waits(work, told)) for told in now]
        found.append(step)
    return (*found, *(OutStep("own_words", (own_words(told.text),)) for told in serving))


_WAITED_FOR = frozenset({"season", "marinate", "sear", "deglaze", "pot", "finish", "carve"})
"""Our steps that something in the recipe's own words may have to come before."""


def _is_time_for(told: OwnWords, kind: str) -> bool:
    """Whether what keeps its own words is done before one of our steps."""
    if kind == "season":
        return told.before_rub
    if kind in {"marinate", "sear", "deglaze"}:
        return told.at_first
    if kind == "pot":
        return told.before_heat
    return told.before_finish or kind == "carve"


_TO_MARINATE = re.compile(r"\bmarinat|\bfridge\b|\brefrigerat|\bovernight\b", re.I)
_WAITS: frozenset[When] = frozenset({"after", "finish"})


def _with_what_waits(work: Work, told: OwnWords) -> tuple[Message, ...]:
    """What is blended or poured in before the lid, without what goes in after pressure."""
    said = own_words(told.text)
    if not told.before_heat or _TO_MARINATE.search(told.text):
        return (said,)
    named = rows_named(work.understood, told.text)
    early = {line.origin for line in work.lines if line.when not in _WAITS}
    names = listed(line.name for line in work.lines if line.origin in named - early)
    # of a glaze nothing goes into the cooker
    poured = any(line.origin in named and line.when == "pot" for line in work.lines)
    return (said, _say("leave_out", names=names)) if names and poured else (said,)


def own_words(text: str) -> Message:
    """A step of the recipe as it was written."""
    return Message("convert-own_words", {"own": text})


def _say(code: str, **params: Param) -> Message:
    return Message(f"convert-{code}", params)


def _minutes(span_s: tuple[float, float]) -> tuple[float, float]:
    return span_s[0] / 60.0, span_s[1] / 60.0


def _season(work: Work) -> OutStep:
    piece = work.plan.outcomes[0].piece
    batches = len(work.portioned.runs)
    rub = listed([*work.names("season").split("\n"), *unlisted_seasonings(work.understood)]).strip()
    said = [_say("trim", thickness_m=piece.thickness_m, rinse="yes" if work.cures else "no")]
    if work.portioned.cuts > 1:
        said.insert(0, _say("portion", portions=work.portioned.cuts))
    if has_rind(work.understood):
        said.insert(0, rind_off().said)
    if batches > 1:
        said.append(_say("batches", batches=batches))
    if rub:
        said.append(_say("season", names=rub))
    elif is_just_seasoned(work.understood):
        said.append(_say("season_plain"))
    if not work.marinades and (rest_s := rub_rest_s(work.understood)):
        said.append(_say("rub_rest", low_s=rest_s[0], high_s=rest_s[1]))
    return OutStep("season", tuple(said))


def _marinate(work: Work) -> OutStep | None:
    if not work.marinades:
        return None
    span = marinating_s(work.understood) or marinating(work.plan.setup.request.load, "mild").time_s
    told = _say("marinate", low_s=span[0], high_s=span[1])
    boiled = (_say("boil_marinade", boil_s=MARINADE_BOIL_S),) if work.boils_marinade else ()
    return OutStep("marinate", (told, *boiled), _minutes(span))


def _sear(work: Work) -> OutStep | None:
    if not work.sears:
        return None
    found = searing(work.plan.setup.request.load, work.plan.setup.request.pot)
    return OutStep("sear", (_say("sear", batches=found.batches),), _minutes(found.total_s))


def _soften(work: Work) -> OutStep | None:
    early = [line for line in work.lines if line.when == "sear" and line.food.kind != "fat"]
    off = listed([line.name for line in early if is_simmered_off(line)])
    first = listed([line.name for line in early if not is_simmered_off(line)])
    if not (first or off or work.sears):
        return None
    said = [_say("deglaze")] if first or work.sears else []
    if off:
        said.insert(0, _say("simmer_off", names=off))
    if first:
        said.insert(0, _say("soften", names=first))
    return OutStep("deglaze", tuple(said), (3.0, 8.0))


_SIMMERED_OFF = frozenset({"prepared-simmered", "prepared-boiled_off"})


def is_simmered_off(line: OutLine) -> bool:
    """Wine, beer or spirits: they are poured in and simmered, not softened."""
    return line.prepared is not None and line.prepared.code in _SIMMERED_OFF


def listed(names: Iterable[str]) -> str:
    """Names as one parameter: each once, a line each; `text` makes a list in words of it."""
    return "\n".join(dict.fromkeys(names))


def _pot(work: Work) -> OutStep:
    setup = work.plan.setup
    said = [_say("pour", liquid_m3=setup.filling.liquid_m3, batches=len(work.portioned.runs))]
    if names := work.names("pot"):
        said.append(_say("add", names=names))
    said.append(_say("load", rack=setup.arrangement.rack, arrangement=setup.arrangement.kind))
    if top := work.names("top"):
        said.append(_say("on_top", names=top))
    return OutStep("pot", tuple(said))


def _lid(_: Work) -> OutStep:
    return OutStep("lid", (_say("lid"), _say("never_force")), (1.0, 2.0))


def _set(work: Work) -> OutStep:
    low, high = work.plan.hold_range_min
    up = next((phase.duration_s for phase in work.plan.phases if phase.kind == "come_up"), 0.0)
    hold = float(work.plan.hold_min)
    code = "set" if work.plan.expectation is None else "set_own"
    level = work.plan.setup.request.level
    told = _say(code, hold_min=hold, low_min=low, high_min=high, level=level)
    return OutStep("set", (told, _say("come_up", up_s=up)), (hold, hold))


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
        if step.kind == "boil" and (sweet := _in_the_glaze(work)):
            said.append(_say("stir_in", names=listed(line.name for line in sweet)))
        said.append(step.said)
    return OutStep("release", tuple(said), (minutes, minutes))


_SWEET: frozenset[Kind] = frozenset({"sugar", "sugar_thick"})


def _in_the_glaze(work: Work) -> list[OutLine]:
    """What is sweet goes into the juice before it is boiled down to a glaze, and not behind."""
    glaze = work.finish.kind == "glaze"
    return [
        line for line in work.lines if glaze and line.when == "after" and line.food.kind in _SWEET
    ]


def _judge(work: Work) -> OutStep:
    piece = work.plan.outcomes[0].piece
    texture = TEXTURES[round(work.plan.setup.request.tenderness_step)]
    return OutStep(
        "judge", (_say("look", cut=piece.cut.cut_id, texture=texture), _say("cook_longer"))
    )


def _rest(work: Work) -> OutStep:
    span = rest_for(work.plan.setup.request.load)
    low, high = _minutes(span)
    told = _say("rest", low_min=low, high_min=high)
    cook = cook_plan(work.plan, work.finish.kind)
    hot = () if is_lit_early(cook) else preheat_steps(cook)
    beside = (*crackling_steps(_rind(work)), *hot)
    return OutStep("rest", (told, *(step.said for step in beside)), (low, high))


def _rind(work: Work) -> Brought:
    """What a rind adds to the steps, in the words of Cook and Schedule."""
    return Brought(crackling=has_rind(work.understood))


def _own_run(work: Work) -> OutStep | None:
    apart = work.of("own_run")
    boiled = listed(line.name for line in apart if is_boiled(line))
    names = listed(line.name for line in apart if not is_boiled(line))
    told = (("own_run", names), ("boil_as_pack", boiled))
    said = tuple(_say(code, names=which) for code, which in told if which)
    return OutStep("own_run", said, (5.0, 15.0)) if said else None


def _pulses(work: Work) -> OutStep | None:
    """They take longer than the meat rests."""
    if not (lines := work.of("first_run")):
        return None
    minutes = longest_run_min(lines, work.plan.hold_min)
    told = _say("pulses_first", names=work.names("first_run"), time_min=minutes)
    return OutStep("first_run", (told,), (20.0, 60.0))


_CUT_UP = re.compile(r"\b(?:chopp|minc|ground|crush|grat|pick|strip|powder|fine)", re.I)


def _is_taken_out(work: Work, line: OutLine) -> bool:
    """Whole leaves, sticks, stalks and sachets gave their taste to the liquid; nobody eats them."""
    if line.food.kind != "woody_herb" or line.when not in {"pot", "sear"}:
        return False
    raw = "" if line.origin is None else work.understood.ingredients[line.origin].line.raw
    return not _CUT_UP.search(raw)


_FOR_DREDGING = re.compile(r"(?:\s+for\s| \+ |/\d).*", re.I)


_IS_READY = re.compile(r"\b(?:capers?|olives?|gherkins?|pickled|jarred|sun-dried)\b", re.I)
"""Out of a jar: it is only stirred in."""
_BUTTERED = re.compile(r"beurre mani|\broux\b|\bbutter\b", re.I)
"""Flour that is bound in butter is stirred in as it is."""


def _sauce(work: Work) -> OutStep | None:
    sweet = _in_the_glaze(work)
    after = [line for line in work.of("after") if line not in sweet] + work.of("first_run")
    slurry = [
        line for line in after
        if thickens(line.food) and not _BUTTERED.search(f"{line.name} {line.aside}")
    ]  # fmt: skip
    # "starch mixed with cold water": the step says with what itself
    thick = [_FOR_DREDGING.sub("", JOINT.split(line.name)[0]) for line in slurry]
    milk = [line.name for line in after if line.food.kind == "dairy"]
    raw = [
        line.name for line in after
        if line.food.kind == "tender_veg" and not _IS_READY.search(line.name)
    ]  # fmt: skip
    shells = [line.name for line in after if line.food.kind == "seafood"]
    # the water of a slurry is told with it
    wet = [line for line in after if slurry and line.food.words == "water"]
    named = {*milk, *raw, *shells}
    rest = [line.name for line in after if line not in [*slurry, *wet] and line.name not in named]
    stages = (
        ("simmer_in", raw),
        ("thicken", thick),
        ("stir_in", rest),
        ("seafood_in", shells),
        ("dairy_last", milk),
    )
    said = [_say(code, names=listed(names)) for code, names in stages if names]
    out = listed(line.name for line in work.lines if _is_taken_out(work, line))
    taken_out = (_say("fish_out", names=out),) if out else ()
    if work.finish.kind == "glaze":  # what is boiled down around the meat is the sauce
        return OutStep("sauce", (*taken_out, *said), (2.0, 5.0)) if taken_out or said else None
    juice = "broth" if is_soup(work.understood) else "reduce"
    return OutStep("sauce", (*taken_out, _say(juice), *said, _say("salt_last")), (10.0, 25.0))


_DRY: frozenset[Kind] = frozenset({"salt", "spice", "rub", "dried_herb", "chilli", "baking"})
"""What is strewn on before the crust, and not brushed."""


def _finish(work: Work) -> OutStep | None:
    kind = work.finish.kind
    late = [line for line in work.of("finish") if kind != "pan" or line.food.kind != "fat"]
    strewn = strewn_late(work.understood)
    dry = listed(line.name for line in late if line.food.kind in _DRY and line.origin in strewn)
    glaze = listed(
        line.name for line in late
        if line.food.kind != "meat" and not (line.food.kind in _DRY and line.origin in strewn)
    )  # fmt: skip
    dredge = listed(line.name for line in late if kind == "pan" and thickens(line.food))
    glaze = listed(name for name in glaze.split("\n") if name and name not in dredge.split("\n"))
    if kind == "glaze":  # it was made in the open cooker, as the release tells
        return OutStep("finish", (_say("glaze", names=glaze),)) if glaze else None
    if kind == "none":
        sweet = listed(line.name for line in late if line.food.kind in _SWEET)
        others = listed(
            name for name in glaze.split("\n") if name and name not in sweet.split("\n")
        )
        told = (("stir_in", sweet), ("glaze_beside", others))
        said = [_say(code, names=names) for code, names in told if names]
        return OutStep("finish", tuple(said)) if said else None
    low, high = _minutes(work.finish.each_s)
    said = [_say(f"finish_{kind}", low_min=low, high_min=high)]
    if "burnt_ends" in work.understood.crust.characters:
        said.insert(0, _say("burnt_ends"))
    if glaze:
        sugar = all(line.food.kind == "sugar" for line in late if line.name in glaze.split("\n"))
        said.append(_say("strew_sugar" if sugar else "glaze", names=glaze))
    first = (("season_late", dry), ("dredge", dredge))
    said[:0] = [_say(code, names=names) for code, names in first if names]
    return OutStep("finish", tuple(said), _minutes(work.finish.total_s))


def _carve(work: Work) -> OutStep:
    cut = work.plan.outcomes[0].piece.cut
    pulled = is_pulled(work.plan.setup.request)
    how = carving(work.plan.setup.request.load, pulled=pulled, cold=False)
    cubed = work.understood.thickness_m is not None and work.understood.cubed
    ends = "burnt_ends" in work.understood.crust.characters
    small = (ends and work.finish.kind != "none") or (cubed and (not pulled or ends))
    said = [_say("cut_small") if small else _say("cut", **how.params)]
    if cut.family == "short ribs" and shreds(work.understood):
        bones = work.plan.outcomes[0].piece.has_bone
        said = [_say("pull_off", bones="yes" if bones else "no")]
    if beside := _served(work):
        said.append(_say("serve_with", names=beside))
    keep_s = afterwards()[cut.family].keep_warm_s
    return OutStep("carve", (*said, _say("keep_warm", keep_s=keep_s), _say("leftovers")))


_FOR_THE = re.compile(r"^(?:for |f(?:ü|ue)r )?(?:(?:the|den|die|das) )?", re.I)


def _served(work: Work) -> str:
    """What is served with it: a sauce or salad of several foods by its own name."""
    lines = [line for line in work.lines if line.when == "beside" and line.food.kind != "meat"]
    name_of = {
        row: _FOR_THE.sub("", part.name).strip(" :")
        for part in work.understood.recipe.parts
        if part.role in {"sauce", "beside"} and not _SERVING.search(part.name)
        and sum(line.origin in part.lines for line in lines) > 1
        for row in part.lines
    }  # fmt: skip
    return listed(
        name_of.get(-1 if line.origin is None else line.origin, _name_of(line)) for line in lines
    )


_SERVING = re.compile(
    r"\b(?:serv\w|bowl|taco|garnish|topping|finish|assembl|beilage|sandwich|slider)", re.I
)
"""A heading that says when and not what."""
