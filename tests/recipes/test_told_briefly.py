"""Work told without a verb, and what is said in passing. Common practice."""

import pytest

from pneumachron.recipes.converting.convert import convert
from pneumachron.recipes.understanding.durations import durations_in
from pneumachron.recipes.understanding.main_heat import main_spans
from pneumachron.recipes.understanding.texture import read_texture
from pneumachron.recipes.understanding.understand import Understood, understand
from tests.recipes.strangers.measure import corpus
from tests.recipes.supper import KITCHEN, read, told

LATER = {item.name: item.pasted() for item in corpus("later")}


def known(name: str) -> Understood:
    return understand(read(LATER[name]))


def test_a_kettle_without_verbs() -> None:
    """“Shoulder on the grate” was an ingredient, and the meat's 93 °C the heat of an oven."""
    found = known("f23")
    assert len(found.recipe.ingredients) == 4
    assert (found.cooking.method, found.cooking.temp_c) == ("grill", 130.0)
    assert "on the grate" not in told(convert(found, KITCHEN))


def test_salt_and_pepper_the_night_before_is_work() -> None:
    found = known("f27")
    assert "salt and pepper the night before" in found.recipe.steps
    assert found.cooking.high_s == 8 * 3600  # "5 hours naked, then …, covered, 3 more"


@pytest.mark.parametrize(
    ("told_as", "hours"),
    [("2 hours bare, then covered, 3 more.", 5.0), ("Smoke 4 hours, add 2 more racks.", 4.0)],
)
def test_so_many_more(told_as: str, hours: float) -> None:
    assert sum(span.high_s for span in main_spans(0, told_as, "smoker")) == hours * 3600
    assert durations_in(told_as)


def test_after_the_first_whistle() -> None:
    """The twenty minutes were none, and the recipe's own cooking came after the cooker's."""
    found = known("f30")
    assert found.cooking.method == "stovetop_pressure"
    assert found.cooking.high_s == 20 * 60
    assert "whistle" not in told(convert(found, KITCHEN))


def test_everything_in_the_slow_cooker() -> None:
    found = known("f11")
    assert "everything except the honey & cornflour in the slow cooker" in found.recipe.steps


@pytest.mark.parametrize(
    ("words", "texture"),
    [
        ("the bite should come clean off the bone but not fall off", "holds"),
        ("They should be tender but still hold on to the bone.", "holds"),
        ("The meat still clings to the bone.", "holds"),
        ("Cook until very tender. Break the meat into bite-size pieces.", "very"),
        ("Break the meat up with a spoon.", "falls"),
    ],
)
def test_how_it_bites(words: str, texture: str) -> None:
    assert read_texture((words,)) == texture
