"""The conversion: rules on every line, our steps in the order of work, the plan."""

from collections.abc import Sequence
from dataclasses import dataclass, replace

from pneumachron.core.catalog.cuts import cut_by_id
from pneumachron.core.constants import US_CUP
from pneumachron.core.errors import OutOfRangeError, RequestError
from pneumachron.core.message import Message
from pneumachron.core.planning.finish import Finish, FinishKind, finish_for
from pneumachron.core.planning.plan import Plan, is_pulled, make_plan
from pneumachron.recipes.converting.amounts import enough
from pneumachron.recipes.converting.caramel import caramel_lines, is_caramel
from pneumachron.recipes.converting.certain import certain_lines
from pneumachron.recipes.converting.context import (
    ConversionContext,
    ConvertedLines,
    plain_line,
)
from pneumachron.recipes.converting.cross_check import CrossCheck, cross_check
from pneumachron.recipes.converting.cures import bought_cured, cured_lines
from pneumachron.recipes.converting.fats import is_fried, laid_on_top, unfried, where_fat_goes
from pneumachron.recipes.converting.kitchen import NO_CHOICES, Choices, Kitchen
from pneumachron.recipes.converting.late import named_late
from pneumachron.recipes.converting.liquid_rules import RUB_SUGAR_KG_PER_KG
from pneumachron.recipes.converting.liquids import Pouring, is_liquid
from pneumachron.recipes.converting.load import NO_WATER, NOT_OWN_MINUTES, Portioned, portion
from pneumachron.recipes.converting.marinade import (
    discarded_lines,
    in_marinade,
    soaked_lines,
    told_of_the_marinade,
)
from pneumachron.recipes.converting.marinade_used import is_cooked_in
from pneumachron.recipes.converting.marks import Mark, OutLine, OutStep
from pneumachron.recipes.converting.parts import (
    bastes_with_the_marinade,
    brushes_the_sauce,
    parts_apart,
)
from pneumachron.recipes.converting.placed import Doubt, Placing, placed, still_in_doubt
from pneumachron.recipes.converting.pot_liquid import filled, pouring_of, seasoning_m3
from pneumachron.recipes.converting.pot_work import (
    WET,
    blended_lines,
    fries_first,
    has_rind,
    is_browned,
    is_soup,
    poured_in,
    slurry_water,
    softened_lines,
    stirred_lines,
)
from pneumachron.recipes.converting.rubs import rubbed_lines
from pneumachron.recipes.converting.rule_table import rules
from pneumachron.recipes.converting.seasoning import (
    binders_in_the_pot,
    is_poured_in_two,
    shared_lines,
)
from pneumachron.recipes.converting.sprays import sprayed_lines
from pneumachron.recipes.converting.step_marks import numbered, step_marks
from pneumachron.recipes.converting.steps import write_steps
from pneumachron.recipes.converting.work import Work
from pneumachron.recipes.errors import RecipeError
from pneumachron.recipes.understanding.ingredients import (
    foods,
)
from pneumachron.recipes.understanding.understand import Understood

QUICK_GRILL_S = 1200.0
"""What is grilled no longer than this is tender enough without pressure. Judgement."""
THIN_M = 0.022
"""Cut for the grill: up to two centimetres. Common practice."""
NO_FINISH = "finish_added:-"
"""The mark that adds a crust."""


@dataclass(frozen=True, slots=True)
class Converted:
    """A recipe for the pot, and how it came about."""

    understood: Understood
    portioned: Portioned
    plan: Plan
    lines: tuple[OutLine, ...]
    steps: tuple[OutStep, ...]
    marks: tuple[Mark, ...]
    finish: Finish
    check: CrossCheck | None
    plates: float | None
    allergens: tuple[str, ...]
    doubts: tuple[Doubt, ...]
    """Foods whose place is asked about."""


def convert(understood: Understood, kitchen: Kitchen, choices: Choices = NO_CHOICES) -> Converted:
    """Convert an understood recipe for a pot.

    Raises
    ------
    RecipeError : it does not fit the pot, or what was chosen cannot be.
    """
    try:
        return _convert(understood, kitchen, choices)
    except OutOfRangeError:
        raise RecipeError("recipe_out_of_range", "recipe") from None
    except (RequestError, RecipeError) as error:
        if error.code == "too_thin" and understood.cooking.method == "grill":
            thickness_m = error.params["thickness_m"]
            raise RecipeError("gains_little", "thickness", thickness_m=thickness_m) from None
        raise RecipeError.of(error) from None


_UNSAFE_MINUTES = frozenset({"own_minutes", "unsafe_minutes"})


def _convert(understood: Understood, kitchen: Kitchen, choices: Choices) -> Converted:
    portioned = portion(understood, kitchen, choices)
    try:
        plan, context, placings = _planned(understood, portioned, kitchen, choices)
    except RequestError as error:
        if error.code not in _UNSAFE_MINUTES or NOT_OWN_MINUTES in choices.overruled:
            raise
        # only what is not safe is changed in a recipe that is made for such a cooker
        return _convert(
            understood, kitchen, replace(choices, overruled=choices.overruled | {NOT_OWN_MINUTES})
        )
    lines: list[OutLine] = []
    marks: list[Mark] = []
    for placing in placings:
        item, found = placing.item, placing.found
        mark = _mark(found, item.index, item.line.raw, choices)
        if mark is not None and mark.overruled:
            found = ConvertedLines((plain_line(context, item, "pot"),))
        if mark is not None:
            marks.append(mark)
        lines += found.lines
    water = _water(context, choices)
    lines += [line for line, _ in water if line is not None]
    marks += [mark for _, mark in water]
    glazed = any(line.when == "finish" for line in lines)
    # where the recipe itself has no crust, none is lost under the lid
    stays_wet = understood.cooking.method in WET and not glazed
    told = understood.crust.kind
    if has_rind(understood) and told == "broiler":
        told = "none"  # what crisped in the hot oven was the rind, which is roasted alone
    chosen = choices.finish or told or ("none" if stays_wet else None)
    if NO_FINISH in choices.overruled:
        chosen = "none"
    finish = _finish_of(plan, chosen, glazed=glazed)
    dry = understood.cooking.method not in WET
    sears = is_browned(understood) or (dry and cut_by_id(understood.cut).sears)
    if not (sears or any(is_fried(line) or is_caramel(line) for line in lines)):
        lines, moved = _without_frying(understood, lines, marks, finish, choices)
        marks += moved
    elif understood.cooking.method in WET:
        lines = laid_on_top(understood, lines)
    on_steps, kept, cures = step_marks(understood, plan, choices, lines)
    work = Work(
        understood=understood,
        plan=plan,
        portioned=portioned,
        lines=tuple(lines),
        finish=finish,
        sears=sears,
        marinades=_marinates(understood, lines, cures),
        in_marinade=told_of_the_marinade(understood),
        boils_marinade=bool(context.marinated or context.soaked),
        throws_marinade=bool(discarded_lines(understood)),
        kept=kept,
        cures=cures,
    )
    steps = write_steps(work)
    added = _added(work, kitchen, choices, steps)
    return Converted(
        understood=understood,
        portioned=portioned,
        plan=plan,
        lines=tuple(lines),
        steps=steps,
        marks=(*marks, *numbered(on_steps, steps), *added),
        finish=finish,
        check=cross_check(understood, plan),
        plates=choices.plates or (understood.plates or None),
        allergens=_allergens(lines),
        doubts=still_in_doubt(placings, lines),
    )


def _marinates(understood: Understood, lines: Sequence[OutLine], cures: Sequence[str]) -> bool:
    """Whether the raw meat lies in a marinade; of one for cooked ribs all is brushed on."""
    soaking = in_marinade(understood)
    early = {line.origin for line in lines if line.when not in {"after", "finish", "beside"}}
    if soaking and not soaking & early:
        return False
    # what lies in a brine is told in the brine's own words
    return bool(soaking - cured_lines(understood)) or (bool(soaking) and not cures)


def _without_frying(
    understood: Understood,
    lines: Sequence[OutLine],
    marks: Sequence[Mark],
    finish: Finish,
    choices: Choices,
) -> tuple[list[OutLine], list[Mark]]:
    """The lines with their fat where it is used, and a mark on what waits until after pressure."""
    oiled, poured = where_fat_goes(understood, lines)
    deep = {mark.index for mark in marks if mark.rule == "fat_limited"}
    found: list[OutLine] = []
    told: list[Mark] = []
    for line in lines:
        cold = line if line.origin in deep else unfried(line, oiled, poured, finish)
        if cold.when in {line.when, "season", "pot"} or cold.origin is None:
            found.append(cold)
            continue
        raw = understood.ingredients[cold.origin].line.raw
        mark = _mark(ConvertedLines((cold,), "fat_unfried"), cold.origin, raw, choices)
        told += [mark] if mark is not None else []
        found.append(replace(line, when="pot") if mark is not None and mark.overruled else cold)
    return found, told


def _finish_of(plan: Plan, kind: FinishKind | None, *, glazed: bool) -> Finish:
    """The finish that was chosen, or the cut's own; a glaze wants one."""
    request = plan.setup.request
    found = finish_for(request.load, request.pot, kind)
    if kind is None and glazed and found.kind == "none" and not is_pulled(request):
        return finish_for(request.load, request.pot, "broiler")
    return found


def _planned(
    understood: Understood, portioned: Portioned, kitchen: Kitchen, choices: Choices
) -> tuple[Plan, ConversionContext, tuple[Placing, ...]]:
    """The plan, and where each food goes; what seasons the liquid by the cup fills the pot too."""
    pouring = pouring_of(understood, portioned, choices)
    plan = make_plan(filled(portioned, pouring))
    context = _context(understood, portioned, pouring, plan, kitchen)
    placings = placed(context, choices)
    seasoning = seasoning_m3(placings)
    if not seasoning:
        return plan, context, placings
    again = pouring_of(understood, portioned, choices, seasoning)
    if again.need_m3 > pouring.need_m3:
        plan = make_plan(filled(portioned, again))
    context = replace(context, pouring=again, hold_min=plan.hold_min)
    return plan, context, placed(context, choices)


def _context(
    understood: Understood, portioned: Portioned, pouring: Pouring, plan: Plan, kitchen: Kitchen
) -> ConversionContext:
    apart = parts_apart(understood)
    shared = shared_lines(understood) - frozenset(apart)
    rubbed = rubbed_lines(understood) - cured_lines(understood) - frozenset(apart) - shared
    marinade = in_marinade(understood) - shared
    sugar_kg = portioned.scale * sum(
        item.sugar_g / 1000.0 for item in understood.ingredients if item.index in rubbed
    )
    allowed = RUB_SUGAR_KG_PER_KG * portioned.mass_kg
    return ConversionContext(
        understood=understood,
        mass_kg=portioned.mass_kg,
        scale=portioned.scale,
        hold_min=plan.hold_min,
        pouring=pouring,
        rubbed=rubbed,
        sprayed=sprayed_lines(understood),
        stirred_in=binders_in_the_pot(understood),
        fries=fries_first(understood),
        is_soup=is_soup(understood),
        brushes_sauce=brushes_the_sauce(understood),
        poured_in=poured_in(understood),
        blended=blended_lines(understood),
        stirred=stirred_lines(understood),
        softened=softened_lines(understood),
        cured=cured_lines(understood),
        marinated=frozenset(
            item.index for item in understood.ingredients
            if item.index in marinade and is_liquid(item)
        ),
        shared=shared,
        poured_in_two=is_poured_in_two(understood),
        is_wet=understood.cooking.method in WET,
        bastes=bastes_with_the_marinade(understood),
        cooks_marinade=is_cooked_in(understood) and understood.cooking.method in WET,
        in_marinade=marinade,
        soaked=(soaked_lines(understood) | discarded_lines(understood)) - shared,
        certain=certain_lines(understood),
        caramel=caramel_lines(understood),
        bought_cured=bought_cured(understood),
        parts=apart,
        late={**named_late(understood), **dict.fromkeys(slurry_water(understood), "after")},
        sweet_left_kg=min(1.0, allowed / sugar_kg) if sugar_kg > 0 else 1.0,
        metric=kitchen.metric,
    )  # fmt: skip


def _mark(found: ConvertedLines, index: int, before: str, choices: Choices) -> Mark | None:
    """The pencil mark of a rule on a line; an overruled one stays to be taken back."""
    if found.rule is None:
        return None
    rule = rules()[found.rule]
    mark_id = f"{rule.name}:{index}"
    overruled = mark_id in choices.overruled
    allergens = sorted({name for line in found.lines for name in line.food.allergens})
    params = {**found.params, "allergens": "\n".join(allergens) or "none"}
    return Mark(
        mark_id=mark_id,
        rule=rule.name,
        does=rule.does,
        where="ingredient",
        index=index,
        before=before,
        after=before if overruled else () if rule.does == "struck" else found.lines,
        reason=Message(f"mark-{rule.name}", params),
        source_kind=rule.source_kind,
        overruled=overruled,
    )


def _water(context: ConversionContext, choices: Choices) -> list[tuple[OutLine | None, Mark]]:
    """Water that the pot needs and the recipe does not bring; crossed out, the pot goes lean."""
    overruled = NO_WATER in choices.overruled
    pouring = context.pouring
    if pouring.water_m3 <= 0 and not overruled:
        return []
    amount, unit = _water_amount(pouring.water_m3, metric=context.metric)
    line = OutLine(None, "pot", (amount, amount), unit, "water", "", foods()["water"])
    poured = line if amount > 0 else None
    rule = rules()["water_added"]
    mark = Mark(
        mark_id=NO_WATER,
        rule=rule.name,
        does=rule.does,
        where="ingredient",
        index=None,
        before="",
        after=(line,) if poured else (),
        reason=Message("mark-water_added", {"need_m3": pouring.need_m3}),
        source_kind=rule.source_kind,
        overruled=overruled,
    )
    return [(poured, mark)]


def _water_amount(water_m3: float, *, metric: bool) -> tuple[float, str]:
    """As the kitchen measures it, never less than is needed but for the last 5 ml."""
    if metric:
        return 5.0 * round(water_m3 * 2e5), "ml"
    return enough(water_m3 / US_CUP.value, "cup"), "cup"


_IN_STEP = {"crackling": "season", "bark": "finish", "burnt_ends": "finish"}
"""In which of our steps it is begun, what a recipe makes of its crust."""


def _added(work: Work, kitchen: Kitchen, choices: Choices, steps: Sequence[OutStep]) -> list[Mark]:
    """What the recipe did not have: portions, and the finish."""
    numbers = {step.kind: number for number, step in enumerate(steps, start=1)}
    marks = []
    cuts, runs = work.portioned.cuts, len(work.portioned.runs)
    if cuts > 1 or runs > 1:
        why = Message(
            "mark-portioned",
            {"wide_m": kitchen.pot.inner_diameter_m, "cuts": cuts, "runs": runs},
        )
        marks.append(_added_mark("portioned:-", why, step=numbers["season"]))
    overruled = NO_FINISH in choices.overruled
    crust = work.understood.crust
    if work.finish.kind != "none" or overruled:
        said = "finish_added" if crust.kind is None or choices.finish else "finish_as_told"
        why, step = Message(f"mark-{said}"), numbers.get("finish")
        marks.append(_added_mark(NO_FINISH, why, step=step, overruled=overruled))
    marks += [
        _added_mark(f"{name}:-", Message(f"mark-{name}"), step=numbers.get(_IN_STEP[name]))
        for name in crust.characters
        if name != "crackling" or has_rind(work.understood)
    ]
    if gains_little(work.understood):
        marks.append(_added_mark("grill_instead:-", Message("mark-grill_instead")))
    return marks


def gains_little(understood: Understood) -> bool:
    """Thin meat that the recipe grills for minutes: pressure makes nothing better."""
    cooking = understood.cooking
    quick = cooking.high_s is not None and cooking.high_s <= QUICK_GRILL_S
    thin = understood.thickness_m is None or understood.thickness_m <= THIN_M
    return cooking.method == "grill" and quick and thin


def _added_mark(
    mark_id: str, why: Message, *, step: int | None = None, overruled: bool = False
) -> Mark:
    """A mark on a step that the recipe did not have."""
    rule = rules()[mark_id.partition(":")[0]]
    return Mark(
        mark_id=mark_id,
        rule=rule.name,
        does=rule.does,
        where="step",
        index=None,
        before="",
        after="",
        reason=why,
        source_kind=rule.source_kind,
        overruled=overruled,
        step=step,
    )


def _allergens(lines: list[OutLine]) -> tuple[str, ...]:
    return tuple(sorted({name for line in lines for name in line.food.allergens}))
