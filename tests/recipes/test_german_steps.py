"""What German recipes do to the raw meat, the vegetables and the sauce, by many wordings.

Recipes are invented; the trade's words are common practice.
"""

import pytest

from pneumachron.recipes.model import Recipe
from pneumachron.recipes.understanding.method import read_method
from pneumachron.recipes.understanding.texture import texture_of
from tests.recipes.supper import made, told, went

HEAT = "Im Ofen bei 150 °C zugedeckt etwa 3 Stunden schmoren."
NECK = "1,5 kg Schweinenacken ohne Knochen"
SPICES = ("2 EL Paprikapulver", "1 EL brauner Zucker", "1 TL Kreuzkümmel")


@pytest.mark.parametrize(
    "step",
    [
        "Das Fleisch mit Paprikapulver, Zucker und Kreuzkümmel bestreuen.",
        "Das Fleisch in Paprikapulver, Zucker und Kreuzkümmel wälzen.",
        "Paprikapulver, Zucker und Kreuzkümmel über das Fleisch streuen und einmassieren.",
        "Reiben Sie das Fleisch rundum mit Paprikapulver, Zucker und Kreuzkümmel ein.",
        "Das Fleisch wird mit Paprikapulver, Zucker und Kreuzkümmel eingerieben.",
        "Mische Paprikapulver, Zucker und Kreuzkümmel und reibe das Fleisch damit ein.",
        "Würze das Fleisch mit Paprikapulver, Zucker und Kreuzkümmel.",
        "Paprikapulver, Zucker und Kreuzkümmel mischen, das Fleisch damit bestreuen.",
    ],
)
def test_a_german_rub(step: str) -> None:
    done = made(step, f"Brühe angießen. {HEAT}", meat=NECK, more=("300 ml Brühe", *SPICES))
    assert [went(done, row)[0] for row in (2, 3, 4)] == ["season"] * 3
    assert step not in told(done)


@pytest.mark.parametrize(
    "step",
    [
        "Sojasauce, Knoblauch und Orangensaft mischen. Das Fleisch darin wenden, abdecken und über "
        "Nacht in den Kühlschrank stellen.",
        "Fleisch mit Sojasauce, Knoblauch und Orangensaft in einen Gefrierbeutel geben und "
        "mindestens 4 Stunden kalt stellen.",
        "Das Fleisch in Sojasauce, Knoblauch und Orangensaft über Nacht einlegen.",
        "Das Fleisch mit Sojasauce, Knoblauch und Orangensaft übergießen und zugedeckt im "
        "Kühlschrank 12 Stunden durchziehen lassen.",
        "Vermische Sojasauce, Knoblauch und Orangensaft, gib das Fleisch dazu und lass alles "
        "mindestens 4 Stunden im Kühlschrank ziehen.",
    ],
)
def test_a_german_marinade(step: str) -> None:
    soy = ("150 ml Sojasauce", "2 Knoblauchzehen", "100 ml Orangensaft")
    done = made(step, HEAT, meat=NECK, more=soy)
    assert "Marinate the meat in Sojasauce, " in told(done)
    assert step not in told(done)


@pytest.mark.parametrize(
    "step",
    [
        "Zwiebeln, Karotten und Sellerie dazugeben und mitbraten.",
        "Brate Zwiebeln, Karotten und Sellerie im Bratensatz an.",
        "Das Gemüse würfeln, mitrösten und mit dem Fond ablöschen.",
    ],
)
def test_german_vegetables_that_are_fried(step: str) -> None:
    more = ("300 ml Fond", "2 Zwiebeln", "2 Möhren", "1/4 Sellerieknolle")
    done = made("Das Fleisch anbraten.", step, f"Den Fond angießen. {HEAT}", meat=NECK, more=more)
    assert [went(done, row) for row in (2, 3, 4)] == [["sear"]] * 3


def test_mustard_stirred_into_the_beer_is_not_rubbed_on() -> None:
    done = made(
        "Das Fleisch mit Salz einreiben.",
        "Bier mit Senf verrühren und angießen. Deckel auflegen und 8 Stunden auf LOW garen.",
        meat=NECK, more=("330 ml dunkles Bier", "1 EL Senf", "2 TL Salz"),
    )  # fmt: skip
    assert went(done, 2) == ["pot"]


def test_lacquered_under_the_grill() -> None:
    late = "Das Fleisch mit BBQ-Sauce und Honig lackieren und 5 Minuten übergrillen."
    more = ("300 ml Brühe", "200 ml BBQ-Sauce", "2 EL Honig")
    done = made(f"Brühe angießen. {HEAT}", late, meat=NECK, more=more)
    assert [went(done, row) for row in (2, 3)] == [["finish"]] * 2


@pytest.mark.parametrize(
    ("step", "method"),
    [
        ("Deckel auflegen und 8 Stunden auf LOW garen.", "slow_low"),
        ("In den Schongarer geben und 8 Stunden auf niedriger Stufe garen.", "slow_low"),
        ("4 Stunden auf hoher Stufe garen.", "slow_high"),
        ("Im Dampfkochtopf 45 Min. auf der 2. Stufe kochen.", "stovetop_pressure"),
        ("Römertopf wässern, Fleisch hineingeben, 2,5 Std. bei 180 Grad.", "oven_lid"),
    ],
)
def test_german_devices(step: str, method: str) -> None:
    assert read_method(Recipe("Nacken", (NECK, "300 ml Brühe"), (step,))).method == method


@pytest.mark.parametrize(
    ("step", "texture"),
    [
        ("Den Nacken aufschneiden und mit der Soße servieren.", "tender"),
        ("Den Braten tranchieren.", "tender"),
        ("Das Fleisch in 1 cm dicke Scheiben schneiden.", "tender"),
        ("Die Schulter mit zwei Gabeln zerreißen.", "falls"),
        ("Pullen und in die Brötchen füllen.", "falls"),
    ],
)
def test_german_texture(step: str, texture: str) -> None:
    assert texture_of(Recipe("Nacken", (NECK,), (HEAT, step))) == texture
