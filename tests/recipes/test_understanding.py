"""What is understood of a recipe: the meat, the method, the texture, the plates, the questions."""

import pytest

from pneumachron.recipes.model import Recipe
from pneumachron.recipes.understanding.ingredients import read_ingredients
from pneumachron.recipes.understanding.meat import NOTHING, Meat, read_meat, thickness_in
from pneumachron.recipes.understanding.method import Cooking, Method, read_method
from pneumachron.recipes.understanding.plates import read_plates
from pneumachron.recipes.understanding.texture import read_texture
from pneumachron.recipes.understanding.understand import Answers, understand
from tests.text.words import sentence


def meat_of(line: str, title: str = "", *steps: str) -> Meat:
    return read_meat(read_ingredients((line,)), title, steps)


@pytest.mark.parametrize(
    ("line", "cut", "sure"),
    [  # common practice: what the trade calls its cuts
        ("2 kg beef brisket, point end", "brisket_point", True),
        ("1.5 kg brisket, first cut", "brisket_flat", True),
        ("6 kg brisket", "brisket_whole", True),
        ("1 kg brisket", "brisket_flat", True),
        ("1 brisket", "brisket_flat", False),
        ("1 kg short ribs cut across the bone", "flanken", True),
        ("1 kg boneless short rib", "short_ribs_boneless", True),
        ("1 kg beef short ribs", "short_ribs_english", True),
        ("2 racks loin ribs", "back_ribs", True),
        ("1 kg trimmed spare ribs", "spare_ribs_trimmed", True),
        ("1 kg pork ribs, 1-inch pieces", "rib_pieces", True),
        ("1 kg pork ribs", "back_ribs", False),
        ("2 kg pork butt on the bone", "shoulder_bone_in", True),
        ("2 kg pork shoulder, tied", "shoulder_boneless", True),
        ("2 kg pork shoulder", "shoulder_boneless", False),
        ("1 boneless picnic shoulder, 2 kg", "picnic_boneless", True),
        ("1 kg chicken wings", "wings", True),
        ("2 ribs of celery", None, False),
        ("1 kg chicken thighs", None, False),
    ],
)
def test_cuts(line: str, cut: str | None, sure: bool) -> None:
    found = meat_of(line)
    assert (found.cut, found.cut_sure) == (cut, sure)


def test_the_title_tells_what_the_line_does_not() -> None:
    assert meat_of("1 kg pork ribs", "Spare ribs for two").cut == "spare_ribs"
    assert meat_of("1 l water", "Brisket for a crowd").cut == "brisket_flat"
    assert read_meat((), "Soup", ()) == NOTHING


@pytest.mark.parametrize(
    ("line", "kilos"),
    [  # published: 0.45359237 kg to the pound (NIST)
        ("1 brisket, about 12 pounds", 5.443),
        ("1 (7-pound) bone-in pork shoulder", 3.175),
        ("2 racks back ribs, 2 lb each", 1.814),
        ("8 short ribs (about 3 1/2 pounds)", 1.588),
        ("4 to 5 lb pork butt", 2.041),
        ("1 rack of back ribs", None),
    ],
)
def test_weights(line: str, kilos: float | None) -> None:
    found = meat_of(line).mass_kg
    assert found == (None if kilos is None else pytest.approx(kilos, abs=2e-3))


@pytest.mark.parametrize(
    ("text", "metres"),
    [  # published: 2.54 cm to the inch
        ("2-inch thick short ribs", 0.0508),
        ("cut in 1 1/2 inch cubes", 0.0381),
        ("½ inch thick", 0.0127),
        ("6 cm thick", 0.06),
        ("fat trimmed to 1/4 inch thick", None),
        ("cut into 3-inch lengths", None),
        ("40 cm thick", None),
    ],
)
def test_thickness(text: str, metres: float | None) -> None:
    found = thickness_in(text)
    assert found == (None if metres is None else pytest.approx(metres, abs=1e-4))


def cooking(*steps: str, title: str = "") -> Cooking:
    return read_method(Recipe(title, (), steps))


@pytest.mark.parametrize(
    ("steps", "method", "minutes"),
    [
        (("Braise in a covered casserole at 160 °C for 3 hours.",), "oven_lid", 180),
        (("Roast uncovered for 4 hours at 140 °C.",), "oven_open", 240),
        (("Cook on LOW in the slow cooker for 8 hours (or high for 4).",), "slow_low", 480),
        (("Slow-cook on high for 5 hours.",), "slow_high", 300),
        (("Smoke at 110 °C for 6 hours.", "Wrap and smoke 2 hours more."), "smoker", 480),
        (("Grill over indirect heat for 1 1/2 hours.",), "grill", 90),
        (("Bring to full pressure in the pressure cooker, 35 minutes.",), "stovetop_pressure", 35),
        (("Simmer, covered, for 2 hours on the stove.",), "simmer", 120),
        (("Marinate 6 hours in the fridge.", "Bake at 150 °C for 2 hours."), "oven_open", 120),
        (("Rest for 30 minutes, then sear 5 minutes per side.",), None, None),
    ],
)
def test_methods(steps: tuple[str, ...], method: Method | None, minutes: float | None) -> None:
    found = cooking(*steps)
    assert found.method == method
    assert (found.high_s and found.high_s / 60) == minutes


def test_temperature_is_that_of_the_heat_and_not_of_the_middle() -> None:
    found = cooking("Heat the smoker to 225 F.", "Smoke for 8 hours until 203 F inside.")
    assert found.temp_c == pytest.approx(107.2, abs=0.1)  # closed form: (225 - 32) / 1.8
    assert cooking("Smoke for 8 hours until it reads 95 °C.").temp_c is None
    # published: 6.894757 kPa to the psi (NIST)
    psi = cooking("Pressure cooker, 15 psi, for 30 minutes.").gauge_pa
    assert psi == pytest.approx(103_421, abs=1)


def test_the_label_of_a_page_helps_where_the_steps_do_not() -> None:
    recipe = Recipe("Brisket", (), ("Braise it in the oven, covered.",), cook_s=10_800.0)
    assert read_method(recipe).high_s == 10_800.0
    assert read_method(Recipe("x", (), ("Serve.",), cook_s=3600.0)).method is None


@pytest.mark.parametrize(
    ("words", "texture"),
    [
        ("until it is falling apart", "falls"),
        ("pull with two forks", "falls"),
        ("till a spoon cuts it", "very"),
        ("until fork-tender", "very"),
        ("slice and serve", "tender"),
        ("until it holds its shape", "holds"),
        ("until done", None),
    ],
)
def test_textures(words: str, texture: str | None) -> None:
    assert read_texture((words,)) == texture


@pytest.mark.parametrize(
    ("yields", "description", "plates"),
    [
        ("Serves 8-10", "", 9.0),
        ("4 servings", "", 4.0),
        ("", "Enough for 5, with leftovers.", 5.0),
        ("", "Cooks for 3 hours", None),
        ("a crowd", "", None),
    ],
)
def test_plates(yields: str, description: str, plates: float | None) -> None:
    found = read_plates(Recipe("x", (), (), yields=yields, description=description))
    assert found == plates


def test_number_of_pieces() -> None:
    def count(line: str) -> int:
        return understand(Recipe("x", (line,), ("Braise covered for 2 hours.",))).count

    assert count("1.2 kg pork shoulder, in two pieces") == 2
    assert count("8 short ribs, 2.4 kg") == 8
    assert count("1 kg boneless short ribs, in 5 cm cubes") == 8  # closed form: 1 / (1050 · 0.05³)
    assert count("1.8 kg beef short ribs") == 9  # common practice: some 200 g each
    assert count("2 kg brisket") == 1


def test_a_question_is_asked_once_and_an_answer_stands() -> None:
    recipe = Recipe("Notes", ("1 brisket",), ("Cook it.",))
    first = understand(recipe)
    assert len({question.asked for question in first.questions}) == len(first.questions)
    for question in first.questions:
        assert sentence(question.guess)
        assert sentence(question.said).endswith("?")
    sized = understand(recipe, Answers(mass="2 kg", count=2, bone=False, cut="brisket_flat"))
    assert (sized.mass_kg, sized.count, sized.bone) == (2.0, 2, False)
    assert {"mass", "cut"}.isdisjoint({question.asked for question in sized.questions})
    assert understand(Recipe("x", ("1 kg brisket", "1 medlar"), ())).unread == (1,)
