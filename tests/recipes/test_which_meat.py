"""What a line of meat says: how much in all, how many pieces, which cut. Common practice."""

import pytest

from pneumachron.core.message import Message
from pneumachron.recipes.converting.convert import convert
from pneumachron.recipes.model import Recipe
from pneumachron.recipes.understanding.foods_of_a_line import foods_in
from pneumachron.recipes.understanding.ingredients import (
    read_ingredients,
)
from pneumachron.recipes.understanding.lines import read_line
from pneumachron.recipes.understanding.meat import read_meat
from pneumachron.recipes.understanding.understand import understand
from tests.recipes.supper import KITCHEN
from tests.text.words import sentence

LINES = (
    ("2 racks of baby back ribs, about 1 kg each", 2.0, 2, "back_ribs"),
    ("2 baby back rib racks (2-2.5 lb each)", 2.041, 2, "back_ribs"),
    ("1 full rack St Louis-style ribs (3 lbs)", 1.361, 1, "spare_ribs_trimmed"),
    ("one 4-5 pound bone-in pork butt", 2.041, 1, "shoulder_bone_in"),
    ("4 pounds country style pork ribs", 1.814, None, None),
    ("1 (5-lb.) brisket, flat cut", 2.268, 1, "brisket_flat"),
    ("1 whole packer brisket, 12-14 lb", 5.897, 1, None),
    ("8 beef short ribs (about 5 pounds)", 2.268, 8, "short_ribs_english"),
    ("6 meaty English-cut short ribs, 12 oz each", 2.041, 6, "short_ribs_english"),
    ("3 lb. flanken-style short ribs", 1.361, None, "flanken"),
    ("2.2kg/5lb pork shoulder, skin removed", 2.2, None, "shoulder_boneless"),
    ("1.8 kg (4 lb) boneless pork shoulder", 1.8, None, "shoulder_boneless"),
    ("pork shoulder - 2 kg", 2.0, None, "shoulder_boneless"),
    ("brisket, 3 pounds", 1.361, None, None),
    ("three pounds of beef brisket", 1.361, None, None),
    ("1.5kg rolled brisket joint", 1.5, None, None),
    ("1 kg Schweineschulter ohne Knochen", 1.0, None, "shoulder_boneless"),
    ("2 Leitern Spareribs, je 1,2 kg", 2.4, 2, None),
    ("pork ribs 1500 g", 1.5, None, None),
    ("2kg beef short ribs (8 pieces)", 2.0, 8, "short_ribs_english"),
    ("4 x 500g short ribs", 2.0, 4, "short_ribs_english"),
    ("2 x 1.2kg racks pork ribs", 2.4, 2, None),
    ("1 rack (about 13 ribs) baby back ribs", None, 1, "back_ribs"),
    (
        "2 slabs pork spareribs, trimmed St. Louis style, 2½ to 3 lb. each",
        2.495,
        2,
        "spare_ribs_trimmed",
    ),
    ("12 chicken wings, about 1.2 kg", 1.2, 12, "wings"),
    ("3 lb chicken wings, split", 1.361, None, "wings"),
    ("1 (3½-pound) boneless pork butt, tied", 1.588, 1, "shoulder_boneless"),
    ("1 bone-in pork picnic shoulder, 7 lb", 3.175, 1, "picnic_bone_in"),
    ("5 lb pork shoulder, cut into 2 pieces", 2.268, 2, "shoulder_boneless"),
    ("4 lb chuck short ribs, boneless", 1.814, None, "short_ribs_boneless"),
    ("1 neck of pork (2 kg), boned", 2.0, 1, None),
    ("600g diced pork shoulder", 0.6, None, "shoulder_boneless"),
    ("2 pork collar steaks, 250 g each", 0.5, 2, None),
    ("1 kg pork belly ribs", 1.0, None, None),
    ("a dozen short ribs", None, 12, "short_ribs_english"),
    ("4 to 6 beef short ribs, bone in", None, 5, "short_ribs_english"),
    ("pork shoulder 4lb 6oz", 1.984, None, "shoulder_boneless"),
    ("1 pork shoulder joint, approx. 2kg", 2.0, 1, "shoulder_boneless"),
    ("2 lbs + 8 oz brisket", 1.134, None, None),
    ("Brisket: 2 kg", 2.0, None, None),
    ("2,5 kg Rinderbrust", 2.5, None, None),
    ("1.000 g Spareribs", 1.0, None, None),
    ("1 large pork butt (8 to 10 pounds), bone in", 4.082, 1, "shoulder_bone_in"),
    ("2 × 900g racks baby back ribs", 1.8, 2, "back_ribs"),
    ("2 Leitern Spareribs (je ca. 1,2 kg)", 2.4, 2, None),
    ("One 5-to-6-lb. boneless pork shoulder", 2.495, 1, "shoulder_boneless"),
    ("750g-1kg rolled pork shoulder", 0.875, None, "shoulder_boneless"),
    ("6 lbs pork spareribs (2 racks), trimmed St Louis style", 2.722, 2, "spare_ribs_trimmed"),
    ("2 racks beef plate short ribs (3 bones each, about 5 lb a rack)", 4.536, 6, None),
    ("1 Jacob's ladder (4 bones, 2kg)", 2.0, 4, "short_ribs_english"),
    ("450 g pork shoulder steaks (4)", 0.45, 4, None),
    ("Short ribs 3.5lb, 7 of them", 1.588, 7, "short_ribs_english"),
)
FROM_TO = (
    ("500 g to 1 kg pork", 0.5, 1.0, "kg"),
    ("6 oz to 8 oz cheese", 6.0, 8.0, "oz"),
    ("½ cup to 1 cup stock", 0.5, 1.0, "cup"),
    ("1 cup to 1 1/2 cups stock", 1.0, 1.5, "cup"),
    # the same amount twice, or another food: no range
    ("1 lb-500 g pork", 1.0, 1.0, "lb"),
    ("2 lb or 1 kg pork", 2.0, 2.0, "lb"),
    ("1 cup - 2 tbsp flour", 1.0, 1.0, "cup"),
)


@pytest.mark.parametrize(("line", "low", "high", "unit"), FROM_TO)
def test_from_one_unit_to_another(line: str, low: float, high: float, unit: str) -> None:
    found = read_line(line)
    assert (found.low, found.high, found.unit) == (low, high, unit)


@pytest.mark.parametrize(("line", "mass_kg", "count", "cut"), LINES)
def test_a_line_of_meat(
    line: str, mass_kg: float | None, count: int | None, cut: str | None
) -> None:
    found = read_meat(read_ingredients((line,)), "Dinner", ())
    if mass_kg is not None:
        assert found.mass_kg == pytest.approx(mass_kg, rel=0.02)
    if count is not None:
        assert found.count == count
    if cut is not None:
        assert found.cut == cut


@pytest.mark.parametrize("line", ["brisket 4.3", "Brisket, 4.3", "4.3 brisket"])
def test_a_number_in_tenths_without_a_unit_is_asked_about(line: str) -> None:
    """It was four pieces, and “4½ brisket” in the converted list."""
    understood = understand(Recipe("Supper", (line, "2 cups stock"), ("Braise for 3 hours.",)))
    assert understood.count == 1
    asked = {question.asked: question.said for question in understood.questions}
    assert asked["mass"] == Message("question-mass_no_unit", {"said": line})
    done = convert(understood, KITCHEN)
    assert next(line.text(sentence) for line in done.lines if line.origin == 0) == line


@pytest.mark.parametrize(
    ("line", "names"),
    [
        ("onions, carrots and celery", ["onions", "carrots", "celery"]),
        ("Zwiebeln und Lauch", ["Zwiebeln", "Lauch"]),
        ("soy sauce, honey, rice vinegar", ["soy sauce", "honey", "rice vinegar"]),
        ("olive oil and butter", ["olive oil", "butter"]),
        # one food each
        ("garlic, crushed", ["garlic"]),
        ("half and half", ["half and half"]),
        ("mac and cheese", ["mac and cheese"]),
        ("salt and pepper", ["salt and pepper"]),
        ("bread and butter pickles", ["bread and butter pickles"]),
        ("onion and garlic powder", ["onion and garlic powder"]),
    ],
)
def test_a_list_of_nothing_but_foods(line: str, names: list[str]) -> None:
    """The steps named the first of them only."""
    (item,) = read_ingredients((line,))
    assert [food.line.name for food in foods_in(item)] == names


def test_a_german_rub_in_small_letters() -> None:
    recipe = Recipe(
        "schweineschulter",
        ("1,8 kg schweineschulter", "2 tl paprika edelsüß", "1 el salz", "500 ml brühe"),
        ("die schulter mit paprika und salz einreiben.", "bei 160 grad 3 stunden schmoren."),
    )
    done = convert(understand(recipe), KITCHEN)
    assert {line.origin for line in done.lines if line.when == "season"} == {0, 1, 2}
    assert read_line("2 tl paprika").unit == "tsp"
