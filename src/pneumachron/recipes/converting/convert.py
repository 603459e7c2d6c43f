"""The conversion: rules on every line, our steps in the order of work, the plan of the Bench."""

from dataclasses import dataclass, replace

from pneumachron.core.constants import US_CUP
from pneumachron.core.cuts import cut_by_id
from pneumachron.core.errors import OutOfRangeError, WishError
from pneumachron.core.finish import Finish
from pneumachron.core.plan import Plan, make_plan
from pneumachron.core.units import show_length, show_volume
from pneumachron.core.wish import Wish, set_up
from pneumachron.recipes.converting.amounts import enough
from pneumachron.recipes.converting.cross_check import CrossCheck, cross_check
from pneumachron.recipes.converting.kitchen import NO_CHOICES, Choices, Kitchen
from pneumachron.recipes.converting.liquids import Pouring, is_liquid, pour
from pneumachron.recipes.converting.load import NO_WATER, Portioned, portion
from pneumachron.recipes.converting.marks import Mark, OutLine, OutStep
from pneumachron.recipes.converting.rule_table import rules
from pneumachron.recipes.converting.rules import (
    RUB_SUGAR_KG_PER_KG,
    Facts,
    Outcome,
    apply_rule,
    plain_line,
)
from pneumachron.recipes.converting.step_marks import numbered, step_marks
from pneumachron.recipes.converting.steps import Work, finish_of, write_steps
from pneumachron.recipes.converting.themes import (
    bought_cured,
    cured_lines,
    in_marinade,
    named_late,
    parts_apart,
    rubbed_lines,
    soaked_lines,
    sprayed_lines,
)
from pneumachron.recipes.errors import RecipeError
from pneumachron.recipes.understanding.ingredients import Ingredient, foods
from pneumachron.recipes.understanding.understand import Understood

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
    except WishError as error:
        raise RecipeError.of(error) from None


def _convert(understood: Understood, kitchen: Kitchen, choices: Choices) -> Converted:
    portioned = portion(understood, kitchen, choices)
    pouring = _pouring(understood, portioned, choices)
    plan = make_plan(_poured(portioned, pouring))
    facts = _facts(understood, portioned, pouring, plan, kitchen)
    lines: list[OutLine] = []
    marks: list[Mark] = []
    for item in understood.ingredients:
        found = apply_rule(facts, item)
        mark = _mark(found, item.index, item.line.raw, choices)
        if mark is not None and mark.overruled:
            found = Outcome((plain_line(facts, item, "pot"),))
        if mark is not None:
            marks.append(mark)
        lines += found.lines
    water = _water(pouring, facts, choices)
    lines += [line for line, _ in water if line is not None]
    marks += [mark for _, mark in water]
    glazed = any(line.when == "finish" for line in lines)
    chosen = "none" if NO_FINISH in choices.overruled else choices.finish
    finish = finish_of(plan, chosen, glazed=glazed)
    sears = cut_by_id(understood.cut).sears
    on_steps, kept, cures = step_marks(understood, plan, choices)
    work = Work(
        plan=plan,
        portioned=portioned,
        lines=tuple(lines),
        finish=finish,
        sears=sears,
        marinades=bool(facts.marinated or facts.soaked),
        kept=kept,
        cures=cures,
    )
    steps = write_steps(work)
    added = _added(work, kitchen, choices)
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
    )


def _pouring(understood: Understood, portioned: Portioned, choices: Choices) -> Pouring:
    """What the runs need together, shared among the recipe's liquids."""
    apart = frozenset(parts_apart(understood))
    elsewhere = sprayed_lines(understood) | cured_lines(understood) | apart
    liquids = tuple(
        item for item in understood.ingredients if is_liquid(item) and item.index not in elsewhere
    )
    need = sum(set_up(run).filling.liquid_m3 for run in portioned.runs)
    kept = _insisted(choices, liquids)
    return pour(liquids, need, portioned.scale, kept)


_LIQUID_RULES = frozenset({"thin_to_need", "wine_first"})


def _insisted(choices: Choices, liquids: tuple[Ingredient, ...]) -> frozenset[int]:
    """Liquids whose amount the cook wants left as it was."""
    crossed = {
        int(place)
        for rule, _, place in (mark.partition(":") for mark in choices.overruled)
        if rule in _LIQUID_RULES and place.isdecimal()
    }
    return frozenset(item.index for item in liquids if item.index in crossed)


def _poured(portioned: Portioned, pouring: Pouring) -> Wish:
    """The fullest run with its share of the liquid."""
    need = sum(set_up(run).filling.liquid_m3 for run in portioned.runs)
    first = portioned.first
    if pouring.need_m3 <= need * 1.001:
        return first
    share = set_up(first).filling.liquid_m3 / need
    return replace(first, liquid_m3=share * pouring.need_m3)


def _facts(
    understood: Understood, portioned: Portioned, pouring: Pouring, plan: Plan, kitchen: Kitchen
) -> Facts:
    apart = parts_apart(understood)
    rubbed = rubbed_lines(understood) - cured_lines(understood) - frozenset(apart)
    sugar_kg = portioned.scale * sum(
        item.sugar_g / 1000.0 for item in understood.ingredients if item.index in rubbed
    )
    allowed = RUB_SUGAR_KG_PER_KG * portioned.mass_kg
    return Facts(
        understood=understood,
        mass_kg=portioned.mass_kg,
        scale=portioned.scale,
        hold_min=plan.hold_min,
        pouring=pouring,
        rubbed=rubbed,
        sprayed=sprayed_lines(understood),
        cured=cured_lines(understood),
        marinated=frozenset(
            item.index for item in understood.ingredients
            if item.index in in_marinade(understood) and is_liquid(item)
        ),
        soaked=soaked_lines(understood),
        bought_cured=bought_cured(understood),
        parts=apart,
        late=named_late(understood),
        sweet_left_kg=min(1.0, allowed / sugar_kg) if sugar_kg > 0 else 1.0,
        metric=kitchen.metric,
    )  # fmt: skip


def _mark(found: Outcome, index: int, before: str, choices: Choices) -> Mark | None:
    """The pencil mark of a rule on a line; an overruled one stays to be taken back."""
    if found.rule is None:
        return None
    rule = rules()[found.rule]
    mark_id = f"{rule.name}:{index}"
    overruled = mark_id in choices.overruled
    after = "" if rule.does == "struck" else "; ".join(line.text for line in found.lines)
    # fields come from our own numbers only; outside words never pass through format()
    reason = rule.reason.format(**found.fields) if found.fields else rule.reason
    allergens = sorted({name for line in found.lines for name in line.food.allergens})
    if allergens and rule.name in {"flour_left_off", "starch_after"}:
        reason += f" Contains {', '.join(allergens)}."
    return Mark(
        mark_id=mark_id,
        rule=rule.name,
        does=rule.does,
        where="ingredient",
        index=index,
        before=before,
        after=before if overruled else after,
        reason=reason,
        source_kind=rule.source_kind,
        overruled=overruled,
        caution=rule.caution if overruled else "",
    )


def _water(pouring: Pouring, facts: Facts, choices: Choices) -> list[tuple[OutLine | None, Mark]]:
    """Water that the pot needs and the recipe does not bring; crossed out, the pot goes lean."""
    overruled = NO_WATER in choices.overruled
    if pouring.water_m3 <= 0 and not overruled:
        return []
    amount, unit = _water_amount(pouring.water_m3, metric=facts.metric)
    line = OutLine(None, "pot", (amount, amount), unit, "water", "", foods()["water"])
    poured = line if amount > 0 else None
    rule = rules()["water_added"]
    shown = show_volume(pouring.need_m3)
    mark = Mark(
        mark_id=NO_WATER,
        rule=rule.name,
        does=rule.does,
        where="ingredient",
        index=None,
        before="",
        after=line.text if poured else "",
        reason=rule.reason.format(need=shown.metric if facts.metric else shown.us),
        source_kind=rule.source_kind,
        overruled=overruled,
        caution=rule.caution if overruled else "",
    )
    return [(poured, mark)]


def _water_amount(water_m3: float, *, metric: bool) -> tuple[float, str]:
    """As the kitchen measures it, never less than is needed but for the last 5 ml."""
    if metric:
        return 5.0 * round(water_m3 * 2e5), "ml"
    return enough(water_m3 / US_CUP.value, "cup"), "cup"


def _added(work: Work, kitchen: Kitchen, choices: Choices) -> list[Mark]:
    """What the recipe did not have: portions, and the finish."""
    marks = []
    cuts, runs = work.portioned.cuts, len(work.portioned.runs)
    if cuts > 1 or runs > 1:
        parts = [f"the meat is cut into {cuts} portions"] * (cuts > 1)
        parts += [f"it goes in {runs} runs"] * (runs > 1)
        wide = show_length(kitchen.pot.inner_diameter_m)
        fields = {
            "diameter": wide.metric if kitchen.metric else wide.us,
            "portion": " and ".join(parts),
        }
        marks.append(_added_mark("portioned:-", "step 1", fields, overruled=False))
    overruled = NO_FINISH in choices.overruled
    if work.finish.kind != "none" or overruled:
        marks.append(_added_mark(NO_FINISH, work.finish.kind, {}, overruled=overruled))
    return marks


def _added_mark(mark_id: str, after: str, fields: dict[str, str], *, overruled: bool) -> Mark:
    """A mark on a step that the recipe did not have."""
    rule = rules()[mark_id.partition(":")[0]]
    return Mark(
        mark_id=mark_id,
        rule=rule.name,
        does=rule.does,
        where="step",
        index=None,
        before="",
        after="" if overruled else after,
        reason=rule.reason.format(**fields),
        source_kind=rule.source_kind,
        overruled=overruled,
    )


def _allergens(lines: list[OutLine]) -> tuple[str, ...]:
    return tuple(sorted({name for line in lines for name in line.food.allergens}))
