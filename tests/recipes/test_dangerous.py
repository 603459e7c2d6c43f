"""Conversions that a cook would call dangerous: each is stopped, asked about, or kept in its order.

The recipes are invented. What should happen to each is a fact of the trade (common practice), but
for the limits of nitrite in meat, which food law sets everywhere.
"""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from pneumachron.core.catalog.pots import ready_pot
from pneumachron.recipes.converting.convert import Converted, convert
from pneumachron.recipes.converting.kitchen import Choices, Kitchen
from pneumachron.recipes.errors import RecipeError
from pneumachron.recipes.model import Recipe
from pneumachron.recipes.understanding.lines import read_line
from pneumachron.recipes.understanding.understand import Answers, Understood, understand
from tests.text.words import sentence, words

KITCHEN = Kitchen(ready_pot("tenor"), 0.0, 4.0, metric=True)
POUND_KG = 0.45359237
"""Published: international yard and pound agreement of 1959."""
BAKE = ("Rub the meat with the salt.", "Bake covered at 300 °F for 3 hours.")


def recipe(*lines: str, title: str = "Sunday", steps: tuple[str, ...] = BAKE) -> Recipe:
    return Recipe(title, lines, steps)


def refused(found: Recipe) -> RecipeError:
    with pytest.raises(RecipeError) as error:
        understand(found)
    return error.value


# the animal


@pytest.mark.parametrize(
    ("line", "title"),
    [
        ("1 rack beef back ribs", "Back ribs"),
        ("5 lb lamb shoulder, bone in", "Slow shoulder"),
        ("3 lb veal brisket", "Brisket"),
        ("2 kg venison shoulder", "Shoulder"),
        ("1 whole chicken, wings tucked under", "Roast"),
        ("1 standing rib roast of beef, 3 ribs", "Prime rib"),
        ("4 lb goat shoulder", "Shoulder"),
        ("1 turkey, 6 kg", "Feast"),
        ("2 lb salmon fillet", "Plank"),
        ("1.5 kg beef short loin ribs", "Loin"),
        ("2 lb lamb ribs", "Ribs"),
        ("6 chicken thighs", "Wings or thighs"),
    ],
)
def test_another_animal_is_never_taken_for_ours(line: str, title: str) -> None:
    found = refused(recipe(line, "1 tbsp salt", title=title))
    assert found.code in {"out_of_scope", "two_meats", "no_cut"}
    assert found.field == "cut"


def test_what_is_out_of_scope_is_named_and_can_be_overruled() -> None:
    lamb = recipe("5 lb lamb shoulder, bone in", "1 tbsp salt")
    said = refused(lamb)
    assert said.code == "out_of_scope"
    assert "lamb shoulder" in str(said.params["meat"])
    assert understand(lamb, Answers(cut="shoulder_bone_in")).cut == "shoulder_bone_in"


@pytest.mark.parametrize(
    "lines",
    [
        ("2 ribs celery, sliced", "1 cup stock", "2 onions"),
        ("3 celery ribs", "1 lb carrots"),
        ("2 tbsp rib rub", "1 cup stock"),
        ("1 l short rib stock", "2 onions"),
        ("1 rib of chard", "1 cup stock"),
    ],
)
def test_vegetables_rubs_and_stocks_are_no_ribs(lines: tuple[str, ...]) -> None:
    steps = ("Serve next to a rack of ribs.", "Simmer 20 minutes.")
    assert refused(recipe(*lines, title="Soup", steps=steps)).code == "no_cut"


def test_a_cut_comes_from_the_meat_or_the_title_never_from_the_steps() -> None:
    prose = recipe("2 lb potatoes", "1 cup stock", steps=("Cook like brisket, for 3 hours.",))
    assert refused(prose).code == "no_cut"
    titled = recipe("2 tbsp salt", title="Back ribs for four")
    assert understand(titled).cut == "back_ribs"
    assert "cut" in {item.asked for item in understand(titled).questions}


@pytest.mark.parametrize(
    "lines",
    [
        ("3 lb brisket", "2 lb lamb shoulder"),
        ("1 rack back ribs", "1 whole chicken"),
        ("2 lb back ribs", "3 lb brisket"),
        ("4 lb pork shoulder", "1 kg chicken thighs"),
    ],
)
def test_two_meats_are_asked_about(lines: tuple[str, ...]) -> None:
    found = refused(recipe(*lines, "1 tbsp salt"))
    assert found.code == "two_meats"
    assert {found.params["meat"], found.params["other"]} == set(lines)


@pytest.mark.parametrize(
    "line", ["4 rashers bacon", "100 g minced beef", "2 cups beef stock", "1 tbsp chicken bouillon"]
)
def test_a_little_meat_beside_it_is_no_second_dish(line: str) -> None:
    assert understand(recipe("3 lb brisket flat", line, "1 tbsp salt")).cut == "brisket_flat"


# weights and amounts


def kilos(line: str) -> tuple[Understood, float]:
    found = understand(recipe(line, "1 tbsp salt"))
    return found, found.mass_kg


@pytest.mark.parametrize(
    ("line", "pounds"),
    [
        ("3-1/2 lb brisket flat", 3.5),
        ("3-½ lb brisket flat", 3.5),
        ("3 – 1/2 pounds brisket flat", 3.5),
        ("2 (2 pound) racks back ribs", 4.0),
        ("2 (2-1/2 lb) racks back ribs", 5.0),
        ("two 3-lb racks back ribs", 6.0),
        ("3 slabs back ribs, 3 pounds per slab", 9.0),
        ("2 racks back ribs, 2 lb each", 4.0),
        ("2 racks back ribs (4 lb in all)", 4.0),
        ("5-pound brisket flat", 5.0),
        ("3 to 4 lb brisket flat", 3.5),
    ],
)
def test_weights_are_those_of_all_pieces(line: str, pounds: float) -> None:
    found, mass = kilos(line)
    assert mass == pytest.approx(pounds * POUND_KG, rel=0.01)
    assert not any(item.asked == "mass" for item in found.questions)


def test_a_weight_of_one_or_of_all_is_asked_with_its_own_words() -> None:
    found, _ = kilos("2 racks back ribs, about 3 lb")
    (asked,) = [item for item in found.questions if item.asked == "mass"]
    assert "2 racks back ribs, about 3 lb" in sentence(asked.said)


FRACTIONS = ("", " 1/2", "-1/2", " 1/4", " 3/4", "½", "-½", " ½", "¼")
UNITS = ("lb", "pounds", "kg", "g", "cups", "Tbsp", "tsp", "ml", "oz", "l")


@given(
    low=st.integers(0, 60),
    part=st.sampled_from(FRACTIONS),
    upper=st.tuples(st.sampled_from(("-", " - ", "–", " to ", " or ", "")), st.integers(1, 60)),
    unit=st.sampled_from(UNITS),
    food=st.sampled_from(("brisket", "salt", "stock", "back ribs")),
)
def test_low_is_never_above_high(
    low: int, part: str, upper: tuple[str, int], unit: str, food: str
) -> None:
    joint, high = upper
    text = f"{low}{part}" + (f"{joint}{high}" if joint else "")
    found = read_line(f"{text} {unit} {food}")
    if found.low is not None and found.high is not None:
        assert 0 <= found.low <= found.high


# cures and brines


CURED = Recipe(
    "Vestry cured brisket",
    ("3 kg brisket flat", "4 litres water", "300 g salt", "2 tsp pink curing salt",
     "2 tbsp pickling spice", "2 onions"),
    ("Stir the water, the salt, the pink curing salt and the pickling spice into a brine.",
     "Leave the brisket in this brine for 5 days in the refrigerator.",
     "Rinse the brisket under cold water and pat it dry.",
     "Simmer it with the onions for 3 hours.",
     "Serve with mustard."),
)  # fmt: skip


def converted(found: Recipe, plates: int | None = None) -> Converted:
    return convert(understand(found), KITCHEN, Choices(plates=plates))


def test_a_cure_stays_in_its_order_and_is_no_seasoning() -> None:
    done = converted(CURED)
    whens = {line.origin: line.when for line in done.lines if line.origin is not None}
    # four litres of brine do not go into the cooker either
    assert [whens[index] for index in (1, 2, 3)] == ["cure"] * 3
    poured = [line for line in done.lines if line.name == "water" and line.when == "pot"]
    assert all(line.origin is None for line in poured)
    kinds = [step.kind for step in done.steps]
    assert kinds[:4] == ["cure", "cure", "cure", "season"]
    assert [words(step) for step in done.steps[:3]] == list(CURED.steps[:3])
    season = next(step for step in done.steps if step.kind == "season")
    assert "curing" not in words(season)
    assert "not rinse" not in words(season)
    pot = next(step for step in done.steps if step.kind == "pot")
    assert "curing" not in words(pot)
    assert any(
        "nitrite" in sentence(mark.reason) for mark in done.marks if mark.rule == "cure_in_order"
    )


def test_more_meat_does_not_make_more_curing_salt() -> None:
    amounts = [
        next(line.amount for line in converted(CURED, plates).lines if "curing" in line.name)
        for plates in (None, 24)
    ]
    assert amounts[0] == amounts[1]


@pytest.mark.parametrize("name", ["pink salt", "Prague powder", "saltpetre", "sodium nitrite"])
def test_cures_by_other_names(name: str) -> None:
    done = converted(Recipe("x", ("3 lb brisket flat", f"1 tsp {name}", "1 tbsp salt"), BAKE))
    assert next(line.when for line in done.lines if name.lower() in line.name.lower()) == "cure"


def test_himalayan_salt_is_salt() -> None:
    done = converted(Recipe("x", ("3 lb brisket flat", "1 tsp himalayan pink salt"), BAKE))
    assert next(line.when for line in done.lines if "himalayan" in line.name) == "season"


# what goes to the bottom


@pytest.mark.parametrize(
    "line",
    ["2 tbsp plum jam", "1 cup teriyaki sauce", "100 g miso paste", "1 cup barbecue sauce",
     "60 g honey", "2 tbsp maple syrup", "2 tbsp cornstarch", "30 g flour",
     "1 cup mystery marinade",
     "1 tin tomato soup", "2 tbsp tomato paste", "1 quince", "3 tbsp apricot preserves",
     "1 cup rice"],
)  # fmt: skip
def test_nothing_thick_sweet_starchy_or_unknown_goes_to_the_bottom(line: str) -> None:
    found = Recipe("x", ("3 lb brisket flat", "2 cups stock", line), ("Braise for 3 hours.",))
    whens = [out.when for out in converted(found).lines if out.origin == 2]
    assert whens
    assert "pot" not in whens
    assert "sear" not in whens


def test_slurry_comes_after_pressure_and_nothing_after_serving() -> None:
    found = Recipe(
        "x",
        ("3 lb brisket flat", "2 cups stock", "2 tbsp cornstarch", "parsley"),
        ("Braise for 3 hours.", "Polish the spoons.", "Thicken with the cornstarch.",
         "Scatter the parsley over and serve."),
    )  # fmt: skip
    steps = converted(found).steps
    order = [step.kind for step in steps]
    assert order.index("set") < order.index("sauce")
    assert "cornstarch" in words(steps[order.index("sauce")])
    assert order.index("own_words") < order.index("carve")
