"""The rules of conversion, each by its name; ten recipes line by line; scaling and overruling."""

import re
from dataclasses import replace

import pytest
from hypothesis import given
from hypothesis import strategies as st

from pneumachron.core.catalog.pots import ready_pot
from pneumachron.recipes.converting.amounts import amount_text, enough
from pneumachron.recipes.converting.convert import Converted, convert
from pneumachron.recipes.converting.kitchen import Choices, Kitchen
from pneumachron.recipes.converting.liquids import pour
from pneumachron.recipes.converting.marks import Mark
from pneumachron.recipes.converting.rule_table import rules
from pneumachron.recipes.converting.rules import BY_KIND
from pneumachron.recipes.errors import RecipeError
from pneumachron.recipes.model import Recipe
from pneumachron.recipes.reading import read_recipe
from pneumachron.recipes.understanding.ingredients import KINDS, read_ingredients
from pneumachron.recipes.understanding.understand import Answers, understand
from pneumachron.recipes.writing.formats import to_jsonld
from pneumachron.recipes.writing.recipe import to_recipe
from pneumachron.recipes.writing.sentences import run_on
from pneumachron.recipes.writing.shopping import shopping_list
from pneumachron.services.wording import say_message
from tests.conftest import ROOT
from tests.recipes.measure import corpus_bytes
from tests.text.words import sentence, words

KITCHEN = Kitchen(ready_pot("tenor"), 0.0, 4.0)
STEPS = (
    "Heat the oven to 150 °C.",
    "Rub the salt, the sugar and the mustard over the meat.",
    "Put it in with the stock, cover and braise in the oven for 3 hours until tender.",
    "Slice and serve.",
)
MEAT = "1.5 kg brisket flat, 4.5 cm thick"


def made(*lines: str, steps: tuple[str, ...] = STEPS, choices: Choices | None = None,
         answers: Answers | None = None) -> Converted:  # fmt: skip
    recipe = Recipe("Test brisket", (MEAT, *lines), steps, yields="serves 6")
    return convert(understand(recipe, answers or Answers()), KITCHEN, choices or Choices())


def mark_of(done: Converted, rule: str) -> Mark:
    found = [mark for mark in done.marks if mark.rule == rule]
    assert found, f"{rule} did not apply: {[mark.rule for mark in done.marks]}"
    return found[0]


# rule, lines, what the mark does, where the lines of that ingredient go, a word of its text
RULES: list[tuple[str, tuple[str, ...], str, list[str], str]] = [
    ("thin_to_need", ("2 l unsalted stock",), "changed", ["pot"], "stock"),
    ("water_added", ("50 ml stock",), "added", ["pot"], "water"),
    ("wine_first", ("750 ml red wine",), "changed", ["sear"], "uncovered"),
    ("spirit_first", ("200 ml brandy",), "changed", ["sear"], "30 ml"),
    ("stock_unsalted", ("200 ml beef stock",), "changed", ["pot"], "unsalted"),
    ("acid_halved", ("4 tbsp vinegar",), "moved", ["pot", "after"], "2 Tbsp vinegar"),
    ("sugar_after", ("60 g honey",), "moved", ["after"], "honey"),
    ("sugar_in_rub", ("100 g sugar",), "changed", ["season", "finish"], "sugar"),
    ("sweet_sauce_after", ("1 cup barbecue sauce",), "moved", ["finish"], "barbecue"),
    ("thick_on_top", ("2 tbsp tomato paste",), "moved", ["top"], "tomato"),
    ("foaming_apart", ("1 cup pearl barley",), "moved", ["first_run"], "barley"),
    ("flour_left_off", ("2 tbsp flour",), "moved", ["after"], "flour"),
    ("starch_after", ("1 tbsp cornstarch",), "moved", ["after"], "cornstarch"),
    ("dairy_after", ("200 ml cream",), "moved", ["after"], "cream"),
    ("milk_limited", ("1 l milk",), "changed", ["after"], "250 ml milk"),
    ("dried_herb_less", ("3 tsp dried oregano",), "changed", ["pot"], "2 tsp"),
    ("chilli_less", ("4 tsp chili powder",), "changed", ["pot"], "3 tsp"),
    ("fresh_herb_last", ("1 bunch parsley",), "moved", ["after"], "parsley"),
    ("roots_own_run", ("500 g potatoes",), "moved", ["own_run"], "potatoes"),
    ("follows_liquid", ("100 ml soy sauce", "2 l water"), "changed", ["pot"], "50 ml soy"),
    ("seafood_last", ("450 g clams, scrubbed",), "moved", ["after"], "clams"),
    ("tender_after", ("200 g mushrooms",), "moved", ["after"], "mushrooms"),
    ("smoke_replaced", ("3 chunks oak wood",), "changed", ["season"], "6 g smoked paprika"),
    ("liquid_smoke_measured", ("1 tbsp liquid smoke",), "changed", ["pot"], "1 ml"),
    ("spritz_struck", ("1 cup apple juice for spritzing",), "struck", [], ""),
    ("fat_limited", ("700 g lard",), "changed", ["sear"], "30 ml lard"),
    ("fat_unfried", ("2 tbsp butter",), "moved", ["after"], "butter"),
    ("tool_struck", ("1 oven bag",), "struck", [], ""),
    ("salt_brushed_off", ("200 g salt",), "kept", ["season"], "brushed off"),
    ("binder_named", ("2 tbsp mustard",), "kept", ["season"], "mustard"),
    ("unknown_kept", ("1 medlar",), "moved", ["top"], "medlar"),
]  # fmt: skip


@pytest.mark.parametrize(
    ("rule", "lines", "does", "whens", "word"), RULES, ids=lambda v: str(v)[:18]
)
def test_rule(rule: str, lines: tuple[str, ...], does: str, whens: list[str], word: str) -> None:
    # common practice, each with its reason in the catalog
    done = made(*lines)
    mark = mark_of(done, rule)
    assert mark.does == does
    assert sentence(mark.reason)
    mine = [line for line in done.lines if line.origin == mark.index]
    assert [line.when for line in mine] == whens
    assert word in " ".join(line.text(sentence) for line in mine)


PARTS = """Sunday ribs

Ingredients
2 racks back ribs, 2 lb each
1 tsp salt
1 cup apple juice
For the glaze
1/4 cup soy sauce
1/2 cup brown sugar
For the horseradish cream
1/2 cup sour cream
2 Tbsp horseradish
For the braise
2 onions, sliced

Method
Salt the ribs, add the juice and onions, cover and bake at 300 F for 2 hours.
Simmer the soy sauce and sugar in a saucepan; brush it on.
Stir the cream and horseradish together and serve beside.
"""


def test_a_caramel_is_melted_first_and_dissolved_before_the_lid() -> None:
    """Common practice: pork in caramel sauce; the sugar went in after pressure, undissolved."""
    steps = (
        "Melt the sugar in the pot until dark amber. Add the brisket and turn it in the caramel.",
        "Pour in the stock, cover and simmer for 3 hours. Slice.",
    )
    done = made("40 g rock sugar", "500 ml stock", steps=steps)
    assert mark_of(done, "sugar_caramel").does == "kept"
    told = " ".join(words(step) for step in done.steps)
    melted = told.index("Melt the sugar in the pot until dark amber.")
    assert melted < told.index("Stir until all of it has dissolved.") < told.index("lid")
    assert "Soften sugar" not in told
    # so much of it would be a sirup
    lots = made("400 g sugar", "500 ml stock", steps=steps)
    assert [line.when for line in lots.lines if line.name == "sugar"] == ["after"]


def test_what_belongs_to_another_part_is_not_cooked_along() -> None:
    # common practice: a glaze is brushed on, a cream is stirred cold; what is braised stays
    done = convert(understand(read_recipe(PARTS).recipe), KITCHEN)
    went = {line.origin: line.when for line in done.lines if line.origin is not None}
    assert [went[row] for row in (3, 4)] == ["finish", "finish"]
    assert [went[row] for row in (5, 6)] == ["beside", "beside"]
    assert went[7] == "pot"  # nothing is fried in this recipe
    assert "For the glaze" in sentence(mark_of(done, "other_part").reason)


def test_what_the_steps_add_after_the_heat_stays_after() -> None:
    # common practice: what is tossed or stirred in at the end is no part of the braise
    steps = ("Rub with the paprika, cover and bake at 300 °F for 3 hours. Toss with the hot sauce.",
             "Scatter the capers over.")  # fmt: skip
    done = made("2 tsp paprika", "1/2 cup hot sauce", "2 tbsp capers", steps=steps)
    went = {line.origin: line.when for line in done.lines if line.origin is not None}
    assert went[1] == "season"
    assert went[2] == "finish"
    assert mark_of(done, "named_late").index in {2, 3}


def test_what_only_gives_its_taste_is_taken_out_again() -> None:
    # common practice: leaves, sticks and sachets are fished out; what is chopped stays in
    done = made(
        "1 cup stock", "2 bay leaves", "1 cinnamon stick", "1 tbsp chopped rosemary",
        "1 cheesecloth sachet of thyme and peppercorns", "2 sprigs thyme",
    )  # fmt: skip
    into = {line.name: line.when for line in done.lines}
    assert into["cheesecloth sachet of thyme and peppercorns"] == "pot"
    told = said_at(done, "sauce")
    assert told.startswith(
        "Take out bay leaves, cinnamon stick, cheesecloth sachet of thyme and peppercorns, and "
    )
    assert "thyme." in told
    assert "rosemary" not in told.split(".")[0]
    assert "Take out" not in said_at(made("1 cup stock", "2 tsp dried thyme"), "sauce")
    # a packet is no sachet
    assert "Take out" not in said_at(made("1 cup stock", "1 sachet of yeast"), "sauce")


def test_what_gives_the_crust_is_switched_on_while_the_meat_rests() -> None:
    # brisket rests longer than a grill takes to be hot; ribs do not
    rested = said_at(made("1 cup stock", choices=Choices(finish="grill")), "rest")
    assert "Light the grill" in rested
    ribs = Recipe("Ribs", ("2 kg back ribs, 2.5 cm thick", "1 cup stock"), STEPS)
    done = convert(understand(ribs, Answers()), KITCHEN, Choices(finish="grill", release="natural"))
    assert said_at(done, "release").startswith("Light the grill")
    assert "grill" not in said_at(done, "rest")
    assert "hot" not in said_at(made("1 cup stock"), "rest")


def said_at(done: Converted, kind: str) -> str:
    """A step of the conversion as it is read."""
    step = next(step for step in done.steps if step.kind == kind)
    return run_on(say_message(item) for item in step.said)


def test_a_recipe_of_an_electric_pressure_cooker_is_checked_against_the_plan() -> None:
    steps = ("Lock the lid and cook on high pressure for 60 minutes; let the pressure come down "
             "naturally for 15 minutes.",)  # fmt: skip
    done = made("1 cup stock", steps=steps)
    assert done.understood.cooking.method == "pressure"
    assert (done.understood.cooking.low_s, done.understood.cooking.high_s) == (3600.0, 3600.0)
    # its order, minutes and release stay, and are held against the plan
    assert (done.plan.hold_min, done.plan.setup.release) == (60, "timed")
    assert done.plan.setup.after.wait_s == 15 * 60
    assert done.check is not None
    assert done.check.hold_min == 60
    mark = mark_of(done, "minutes_kept")
    assert mark.step is not None
    assert done.steps[mark.step - 1].kind == "set"
    assert "as your recipe says" in said_at(done, "set")
    # crossed out, the plan's own minutes stand
    planned = convert(done.understood, KITCHEN, Choices(overruled=frozenset({mark.mark_id})))
    assert planned.plan.expectation is None
    assert done.plan.expectation is not None
    assert planned.plan.hold_min == done.plan.expectation.usual_min
    assert "as your recipe says" not in said_at(planned, "set")


def test_a_recipe_of_a_pressure_cooker_is_neither_seared_nor_broiled_unasked() -> None:
    minutes = "Cook at high pressure for 35 minutes, natural release 10 minutes."
    plain = convert(understand(Recipe("Short ribs", ("4 lb short ribs", "1 cup stock"),
                                      (minutes,))), KITCHEN)  # fmt: skip
    assert "sear" not in [step.kind for step in plain.steps]
    assert plain.finish.kind == "none"
    told = convert(understand(Recipe("Short ribs", ("4 lb short ribs", "1 cup stock"),
                                     ("Rub with salt; brown 3 minutes a side.", minutes,
                                      "Broil for 5 minutes."))), KITCHEN)  # fmt: skip
    assert "sear" in [step.kind for step in told.steps]
    assert told.finish.kind == "broiler"


def test_minutes_that_are_not_safe_for_poultry_are_replaced() -> None:
    recipe = Recipe("Wings", ("1 kg chicken wings", "1 cup stock"),
                    ("Cook the wings at high pressure for 1 minute, quick release.",))  # fmt: skip
    done = convert(understand(recipe), KITCHEN)
    assert done.plan.hold_min > 1
    assert mark_of(done, "minutes_kept").overruled


@pytest.mark.parametrize(
    ("text", "release", "wait_s"),
    [
        ("35 minutes at high pressure, natural release 15 minutes.", "timed", 900.0),
        ("Cook 35 minutes on high pressure. 10 min NPR, then QR.", "timed", 600.0),
        ("High pressure 35 min, then quick release.", "quick", None),
        ("High pressure 35 min; let the pressure drop naturally.", "natural", None),
        ("High pressure 35 min.", None, None),
    ],
)
def test_the_release_of_a_pressure_cooker_recipe(
    text: str, release: str | None, wait_s: float | None
) -> None:
    found = understand(Recipe("Ribs", ("2 racks baby back ribs, 4 lb", "1 cup water"), (text,)))
    assert found.pressure is not None
    assert (found.pressure.hold_min, found.pressure.release) == (35, release)
    assert found.pressure.wait_s == wait_s


def test_sentences_of_a_step_end() -> None:
    done = made("1 cup stock")
    release = next(step for step in done.steps if step.kind == "release")
    told = run_on(say_message(item) for item in release.said)
    # no sentence runs into the next one
    assert not re.search(r"[a-z] [A-Z]", told)


def test_roots_with_meat_when_the_hold_is_short() -> None:
    recipe = Recipe("Quick", ("1 kg rib pieces, 1 inch", "300 g potatoes"), ("Simmer 30 minutes.",))
    done = convert(understand(recipe), KITCHEN)
    assert done.plan.hold_min <= 20  # common practice: whole pieces stand twenty minutes
    assert mark_of(done, "roots_with_meat").does == "kept"


def test_what_is_sprayed_does_not_fill_the_pot() -> None:
    done = made("1 cup apple juice for spritzing")
    assert mark_of(done, "water_added").after
    steps = (*STEPS, "Spritz with the vinegar every hour.")
    assert mark_of(made("1 cup cider vinegar", steps=steps), "spritz_struck").index == 1


def test_marinade_is_boiled() -> None:
    steps = ("Marinate the meat in the stock overnight.", *STEPS)
    done = made("300 ml unsalted stock", steps=steps)
    assert mark_of(done, "marinade_boiled").source_kind == "published"
    assert any("Boil what is left" in words(step) for step in done.steps)


def test_rules_on_steps_and_whole() -> None:
    big = Recipe("Big", ("6 kg brisket",), ("Smoke for 12 hours at 110 °C.", "Ring the bell."))
    done = convert(understand(big), KITCHEN)
    assert mark_of(done, "portioned").does == "added"
    assert mark_of(done, "heat_struck").does == "struck"
    assert mark_of(done, "own_words").before == "Ring the bell."
    # what keeps its own words is done before the meal is cut and served
    assert [step.kind for step in done.steps[-3:]] == ["own_words", "carve", "keep"]
    assert words(done.steps[-3]) == "Ring the bell."
    assert mark_of(made(), "in_our_step").step == 1
    glazed = made("1 cup barbecue sauce")
    assert mark_of(glazed, "finish_added").does == "added"
    scaled = made("2 onions", choices=Choices(plates=12))
    assert mark_of(scaled, "kept_amount").after


@pytest.mark.parametrize(
    ("rule", "meat", "step"),
    [
        ("burnt_ends", "2 kg brisket point", "Smoke at 110 °C for 8 hours for burnt ends."),
        ("bark", "2 kg pork shoulder", "Smoke at 110 °C for 8 hours until the bark sets."),
        ("crackling", "2 kg pork shoulder", "Roast at 150 °C for 5 hours, then for crackling."),
        ("grill_instead", "1 kg flanken, 1.3 cm thick", "Grill over coals 4 minutes a side."),
    ],
)
def test_what_pressure_does_not_give_is_said(rule: str, meat: str, step: str) -> None:
    done = convert(understand(Recipe("Supper", (meat,), (step,))), KITCHEN)
    assert mark_of(done, rule).does == "added"
    plain = convert(understand(Recipe("Supper", (MEAT,), STEPS)), KITCHEN)
    assert rule not in {mark.rule for mark in plain.marks}


def test_meat_too_thin_for_pressure_is_grilled_as_the_recipe_says() -> None:
    thin = Recipe("Supper", ("1 kg flanken, 8 mm thick",), ("Grill over coals 3 minutes a side.",))
    with pytest.raises(RecipeError, match="gains_little"):
        convert(understand(thin), KITCHEN)


BRAISED = "Braise covered at 150 °C for 4 hours. "


@pytest.mark.parametrize(
    ("meat", "steps", "kind"),
    [
        (
            "2 kg pork shoulder",
            BRAISED + "Shred it and broil 5 minutes for crisp edges.",
            "broiler",
        ),
        ("2 kg pork shoulder", BRAISED + "Fry the chunks in their fat until crisp.", "pan"),
        ("2 kg pork shoulder", BRAISED + "Pull it and crisp it under the grill.", "broiler"),
        ("2 kg pork shoulder", BRAISED + "Pull it.", "none"),
        ("2 racks back ribs", BRAISED + "Finish on a hot grill, brushing with oil.", "grill"),
        ("2 racks back ribs", BRAISED + "Uncover and bake at 220 °C for 15 minutes.", "broiler"),
        ("2 racks back ribs", BRAISED + "Air fry for 8 minutes.", "air_fryer"),
        ("1 kg rib pieces", BRAISED + "Boil down the juice and turn them in the glaze.", "glaze"),
        ("2 racks back ribs", "Grill over charcoal for 3 hours. Rest.", "broiler"),
    ],
)
def test_the_crust_of_the_recipe_is_kept(meat: str, steps: str, kind: str) -> None:
    """What the recipe does to brown it at the end; where it says nothing, the habit of the cut."""
    done = convert(understand(Recipe("Supper", (meat, "500 ml stock"), (steps,))), KITCHEN)
    assert done.finish.kind == kind
    assert convert(done.understood, KITCHEN, Choices(finish="grill")).finish.kind == "grill"


def test_a_glaze_in_the_cooker_is_the_sauce() -> None:
    recipe = Recipe("Supper", ("1 kg rib pieces", "1 cup stock"), (BRAISED,))
    done = convert(understand(recipe), KITCHEN, Choices(finish="glaze"))
    assert "sauce" not in [step.kind for step in done.steps]
    assert "glaze" in words(next(step for step in done.steps if step.kind == "release"))
    # ten minutes in the open cooker soften it on, so the cook time is shorter
    plain = convert(understand(recipe), KITCHEN, Choices(finish="none"))
    assert done.plan.hold_min < plain.plan.hold_min


def test_sugar_between_two_long_heats_goes_on_late() -> None:
    steps = ("Smoke the point at 120 °C for 5 hours. Cube it, toss with the brown sugar, and smoke "
             "2 hours more.",)  # fmt: skip
    recipe = Recipe("Ends", ("1.6 kg brisket point", "2 Tbsp brown sugar"), steps)
    done = convert(understand(recipe), KITCHEN)
    assert {line.when for line in done.lines if line.origin == 1} == {"finish"}


def test_every_rule_is_tested_and_documented() -> None:
    here = {
        *(row[0] for row in RULES), "roots_with_meat", "marinade_boiled", "sugar_caramel",
        "portioned", "heat_struck", "own_words", "in_our_step", "finish_added", "kept_amount",
        "cure_in_order", "other_part", "named_late", "marinade_wiped", "marinade_shared",
        "cured_meat", "burnt_ends", "bark",
        "crackling", "grill_instead", "minutes_kept", "placed", "placed_to_scorch",
    }  # fmt: skip
    assert here == set(rules())
    page = (ROOT / "docs" / "conversion.md").read_text(encoding="utf-8")
    for name in rules():
        assert f"`{name}`" in page, name


def test_every_kind_has_a_rule() -> None:
    assert set(BY_KIND) == set(KINDS)
    for kind in KINDS:
        assert callable(BY_KIND[kind])


TEN: dict[str, dict[int, str]] = {
    # common practice: what happens to each line, "=" is untouched. Written by hand from the rules
    # of the trade by who wrote the rules; the output for 02 and 03 had been seen before, and the
    # jam of 04 was first expected in the pot, then put after pressure when the rule disagreed;
    # its vinegar and the mustard of 20 are named by steps after the heat alone, and follow those
    "02-wine-short-ribs.txt": {  # 5 are softened with the onions: they stay in the braise
        0: "=", 1: "=", 2: "moved after", 3: "=", 4: "=", 5: "= sear", 6: "=", 7: "=",
        8: "moved top", 9: "changed sear", 10: "changed pot", 11: "=", 12: "=",
    },
    "03-pulled-slow.md": {
        0: "=", 1: "changed season", 2: "=", 3: "=", 4: "=", 6: "moved finish", 7: "=",
    },
    "04-back-ribs-grill.txt": {
        # the jam is warmed with the vinegar and brushed on: both are the glaze
        0: "=", 1: "=", 2: "=", 3: "changed season", 4: "moved finish", 5: "moved finish",
    },
    "06-oven-open-butt.txt": {
        0: "=", 1: "=", 2: "=", 3: "moved own_run", 4: "=", 5: "changed sear",
    },
    "09-rehearsal-brisket.html": {
        0: "=", 1: "=", 2: "=", 3: "=", 4: "changed pot", 5: "moved top", 6: "=",
    },
    "11-ribs.json": {0: "=", 1: "kept season", 2: "changed season", 3: "=", 4: "=",
                     5: "changed season", 7: "moved finish"},
    "14-chatty-short-ribs.txt": {
        0: "=", 2: "moved after", 4: "=", 5: "=", 6: "moved top", 7: "changed sear",
        9: "moved pot", 10: "= beside",
    },
    "15-slow-brisket.txt": {
        # 4 is poured in with the meat: it belongs to the sauce, and is not brushed on
        0: "=", 2: "=", 3: "changed pot", 4: "moved after", 6: "moved after", 7: "moved own_run",
    },
    "17-stovetop-15psi.md": {0: "=", 1: "=", 2: "=", 3: "=", 4: "changed pot", 5: "moved after"},
    "20-cream-shoulder.html": {
        0: "=", 1: "moved after", 2: "=", 3: "=", 4: "changed sear", 6: "moved after",
        7: "moved after", 8: "moved after",
    },
}  # fmt: skip


@pytest.mark.parametrize("name", TEN)
def test_ten_recipes_line_by_line(name: str) -> None:
    done = convert(understand(read_recipe(dict(corpus_bytes())[name], name=name).recipe), KITCHEN)
    marks = {mark.index: mark for mark in done.marks if mark.where == "ingredient"}
    for index, wanted in TEN[name].items():
        does, _, when = wanted.partition(" ")
        found = marks.get(index)
        assert (found.does if found else "=") == does, (index, found)
        lines = [line.when for line in done.lines if line.origin == index]
        if when:
            assert lines[0] == when, (index, lines)
        assert lines, index


def test_steps_stand_in_the_order_of_work() -> None:
    steps = ("Brown the meat and soften the onions.", *STEPS)
    lines = ("2 onions", "300 ml stock", "2 tbsp flour", "1 cup barbecue sauce")
    done = made(*lines, steps=steps)
    order = ["season", "sear", "deglaze", "pot", "lid", "set", "release", "judge", "rest", "sauce",
             "finish", "carve", "keep"]  # fmt: skip
    assert [step.kind for step in done.steps] == order  # common practice: the order of the work
    said = " ".join(words(step) for step in done.steps)
    for caution in ("Never force it", "Is the pin down?", "Do not rinse", "never in the pot"):
        assert caution in said


def test_liquid_is_never_below_the_minimum_nor_above_the_line() -> None:
    for name, content in corpus_bytes():
        done = convert(understand(read_recipe(content, name=name).recipe), KITCHEN)
        filling = done.plan.setup.filling
        assert filling.liquid_m3 >= KITCHEN.pot.min_liquid_m3 * 0.999, name
        assert filling.fill_ratio <= KITCHEN.pot.max_fill_ratio + 1e-9, name


def test_agrees_with_the_plan_of_the_bench_and_says_when_not() -> None:
    # common practice: 3 h of braising is what a flat takes; half an hour is not
    assert made().check is not None
    short = ("Cover and braise in the oven at 150 °C for 40 minutes until tender.",)
    check = made(steps=short).check
    assert check is not None
    assert not check.agrees
    assert "The plan has more" in sentence(check.said)
    stove = ("Bring the pressure cooker to 15 psi and cook 60 minutes.",)
    found = made(steps=stove).check
    assert found is not None
    assert 60 < found.hold_min < 90  # common practice: × 1.15–1.3 from 100 kPa


def test_answers_replace_guesses_and_are_not_asked_again() -> None:
    recipe = Recipe("Friday", ("1 brisket", "1 l stock"), ("Cook it.",))
    asked = {question.asked for question in understand(recipe).questions}
    assert {"cut", "mass", "thickness", "method", "texture"} <= asked
    answers = Answers(
        cut="brisket_flat",
        mass="3 lb",
        thickness="1 3/4 in",
        method="oven_lid",
        method_minutes=180,
        texture="tender",
    )
    done = understand(recipe, answers)
    assert done.questions == ()
    assert done.mass_kg == pytest.approx(1.3608, abs=1e-3)  # published: NIST, 0.45359237 kg
    with pytest.raises(RecipeError, match="unit_missing") as told:
        understand(recipe, replace(answers, mass="3"))
    assert told.value.field == "mass"
    with pytest.raises(RecipeError) as refused:
        understand(Recipe("Soup", ("1 l water",), ("Boil.",)))
    assert refused.value.code == "no_cut"
    with pytest.raises(RecipeError):
        understand(recipe, Answers(cut="unicorn"))


def test_overruling_a_mark_answers_anew_and_warns() -> None:
    before = made("1 l unsalted stock", "2 tbsp flour")
    flour, stock = mark_of(before, "flour_left_off"), mark_of(before, "thin_to_need")
    after = made(
        "1 l unsalted stock", "2 tbsp flour",
        choices=Choices(overruled=frozenset({flour.mark_id, stock.mark_id})),
    )  # fmt: skip
    kept = mark_of(after, "flour_left_off")
    assert kept.overruled
    assert "scorches" in sentence(kept.caution)
    assert after.plan.setup.filling.liquid_m3 == pytest.approx(1e-3, rel=0.02)
    assert after.plan.setup.filling.liquid_m3 > before.plan.setup.filling.liquid_m3
    assert after.plan.lid_on_to_open_s > before.plan.lid_on_to_open_s
    assert {mark.mark_id for mark in before.marks} == {mark.mark_id for mark in after.marks}
    with pytest.raises(RecipeError):
        made("9 l unsalted stock", choices=Choices(overruled=frozenset({stock.mark_id})))


def test_what_was_added_can_be_crossed_out() -> None:
    glazed = made("1 cup barbecue sauce", "50 ml stock")
    finish, water = mark_of(glazed, "finish_added"), mark_of(glazed, "water_added")
    plain = made(
        "1 cup barbecue sauce",
        "50 ml stock",
        choices=Choices(overruled=frozenset({finish.mark_id, water.mark_id})),
    )
    assert plain.finish.kind == "none"
    assert mark_of(plain, "finish_added").overruled
    lean = mark_of(plain, "water_added")
    assert lean.overruled
    assert "minimum" in sentence(lean.caution)
    # common practice: lean is half of the pot's minimum, and stands on the sheet as such
    assert plain.plan.setup.request.liquid_style == "lean"
    assert plain.plan.setup.filling.liquid_m3 < KITCHEN.pot.min_liquid_m3


def test_sharpness_in_the_liquid_follows_it() -> None:
    # common practice: acid, hot spice and salt in the liquid follow the liquid
    alone, braised = made("4 tbsp vinegar"), made("4 tbsp vinegar", "1 l unsalted stock")
    whole = [sum(line.amount[0] for line in done.lines if line.amount and line.name == "vinegar")
             for done in (alone, braised)]  # fmt: skip
    assert whole[0] == pytest.approx(4)
    assert whole[1] == pytest.approx(2)


def test_scaling_takes_thickness_for_time_and_weight_for_amounts() -> None:
    small, large = made("2 onions", "10 g salt"), made(
        "2 onions", "10 g salt", choices=Choices(plates=12)
    )  # fmt: skip
    assert large.portioned.scale == pytest.approx(2.0)
    assert "4 onions" in [line.text(sentence) for line in large.lines]
    assert "20 g salt" in [line.text(sentence) for line in large.lines]
    thick = [done.plan.setup.request.load.pieces[0].thickness_m for done in (small, large)]
    assert thick[0] == thick[1] == pytest.approx(0.045)
    assert len(large.portioned.runs) >= len(small.portioned.runs)


@given(st.integers(1, 30))
def test_scaled_loads_conserve_the_meat(plates: int) -> None:
    done = made("200 ml unsalted stock", choices=Choices(plates=plates))
    total = sum(run.load.mass_kg for run in done.portioned.runs)
    assert total == pytest.approx(1.5 * plates / 6, rel=1e-6)
    for run in done.portioned.runs:
        assert len(run.load.pieces) >= 1


@given(
    st.lists(st.sampled_from(["500 ml wine", "1 l stock", "300 ml apple juice", "200 ml water"]),
             max_size=4),
    st.floats(2e-4, 1e-3), st.floats(0.5, 3.0),
)  # fmt: skip
def test_pouring_gives_what_is_needed(lines: list[str], need_m3: float, scale: float) -> None:
    liquids = read_ingredients(tuple(lines))
    found = pour(liquids, need_m3, scale, frozenset())
    poured = sum(found.by_index.values())
    assert poured + found.water_m3 == pytest.approx(need_m3, abs=16e-6)
    wine = sum(found.by_index[item.index] for item in liquids if item.kind == "wine")
    assert wine <= need_m3 / 3 + 1e-9  # common practice: a third at most
    for item in liquids:
        assert found.by_index[item.index] <= scale * (item.volume_m3 or 0) + 1e-12


def test_allergens_of_a_thickener_are_named() -> None:
    done = made("2 tbsp flour", "200 ml cream", "2 tbsp mustard")
    assert {"gluten", "milk", "mustard"} <= set(done.allergens)
    assert "gluten" in sentence(mark_of(done, "flour_left_off").reason)


@pytest.mark.parametrize(
    ("amount", "unit", "text"),
    [
        (1.5, "cup", "1½ cups"),
        (1 / 3, "cup", "⅓ cup"),
        (5 / 3, "cup", "1⅔ cups"),
        (0.1, "cup", "1½ Tbsp"),
        (0.25, "tbsp", "¾ tsp"),
        (237.0, "ml", "235 ml"),
        (6.2, "g", "6 g"),
        (3.0, "", "3"),
        (2.0, "clove", "2 cloves"),
    ],
)
def test_amounts_as_a_kitchen_writes_them(amount: float, unit: str, text: str) -> None:
    # published: 16 tablespoons to a cup, 3 teaspoons to a tablespoon (NIST)
    assert amount_text(amount, amount, unit) == text
    assert enough(0.8, "cup") == 1.0


def test_shopping_by_section_adds_up() -> None:
    done = made("4 tbsp vinegar", "2 onions", "200 ml stock", "1 cup cream")
    shop = {section.name: section.items for section in shopping_list(done)}
    assert "vinegar: 4 Tbsp" in shop["tins and jars"]
    assert "onions: 2" in shop["fruit and vegetables"]
    assert "cream: 1 cup" in shop["dairy"]
    assert not any("water" in item for items in shop.values() for item in items)


@pytest.mark.parametrize(
    ("lines", "bought"),
    [
        (("zest of 1 lemon",), "lemon: 1"),  # no shop sells zest
        (("juice of 1 lemon", "zest of 1 lemon"), "lemon: 1"),  # of the same one
        (("juice of 1 lemon", "zest of 2 lemons"), "lemon: 2"),
        (("1 onion", "2 onions"), "onion: 3"),
        # the avocado was not on the list
        (("pico de gallo, sliced avocado, to serve",), "pico de gallo, sliced avocado"),
    ],
)
def test_what_a_shop_sells_of_it(lines: tuple[str, ...], bought: str) -> None:
    items = [item for section in shopping_list(made(*lines)) for item in section.items]
    assert [item for item in items if item.startswith(bought[:5])] == [bought]


def test_what_is_given_back_is_a_recipe_and_reads_again() -> None:
    recipe = to_recipe(made("2 onions", "300 ml stock"), lambda message: message.code)
    found = read_recipe(to_jsonld(recipe)).recipe
    assert found == recipe
    assert found.plan is not None
    assert found.plan["cut"] == "brisket_flat"
    assert found.cook_s is not None
    assert found.cook_s > 60 * float(found.plan["hold_min"])


def test_what_a_step_does_besides_its_heat_is_kept() -> None:
    steps = ("Rub the brisket with the salt, wrap it in foil, and bake at 150 °C for 4 hours.",)
    mark = mark_of(made("1 tbsp salt", steps=steps), "heat_struck")
    assert mark.does == "changed"
    assert mark.after == "Rub the brisket with the salt"


def test_a_thick_marinade_is_wiped_off_and_never_stirred_in_raw() -> None:
    # published: what held raw meat is boiled or thrown away (USDA FSIS, from memory)
    steps = ("Marinate the meat in the yogurt, lemon and honey for 4 hours.", *STEPS)
    done = made("1 cup yogurt", "juice of a lemon", "2 tbsp honey", "1 cup stock", steps=steps)
    went = {line.origin: line.when for line in done.lines if line.origin is not None}
    assert (went[1], went[2]) == ("season", "season")
    assert went[3] == "after"  # sweet: it would scorch, and comes on fresh
    assert mark_of(done, "marinade_wiped").source_kind == "published"
    assert any(step.kind == "marinate" for step in done.steps)


def test_corned_beef_is_rinsed_and_not_salted() -> None:
    # common practice: a cured piece is rinsed before it is cooked
    recipe = Recipe(
        "Supper",
        ("1 corned beef brisket, 4 lb", "4 onions"),
        ("Rinse the brisket, cover with cold water and simmer 3 hours.",),
    )
    done = convert(understand(recipe), KITCHEN)
    assert "no salt" in sentence(mark_of(done, "cured_meat").reason)
    assert words(done.steps[0]) == "Rinse the brisket"
    assert [line.when for line in done.lines if line.origin == 1] == ["pot"]


def test_what_is_fried_at_the_end_stays_at_the_end() -> None:
    # common practice: shreds are fried in their own fat once they are tender
    steps = ("Cover and simmer the brisket in the stock for 2 hours.",
             "Fry the pieces in their own fat until brown.")  # fmt: skip
    done = made("1 l stock", steps=steps)
    kinds = [step.kind for step in done.steps]
    # it is our own last step, told once
    assert kinds.index("finish") > kinds.index("release")
    assert done.finish.kind == "pan"
    assert "own_words" not in kinds


def test_what_says_where_it_goes_is_not_told_twice() -> None:
    lines = to_recipe(made("6 soft rolls, to serve", "2 tbsp parsley"), sentence).ingredients
    assert "6 soft rolls, to serve" in lines
    assert "2 Tbsp parsley (after pressure)" in lines
