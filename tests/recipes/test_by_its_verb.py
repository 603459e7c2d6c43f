"""One food and the sentence that uses it: each verb says when the food goes in.

Where each belongs is common practice: what is rubbed on or thrown away does not go into the pot,
what is sweet or creamy goes in after pressure, what is eaten with the meat is for the table.
"""

import pytest

from pneumachron.core.message import Message
from pneumachron.recipes.converting.convert import Converted, convert
from pneumachron.recipes.model import Recipe
from pneumachron.recipes.reading import read_recipe
from pneumachron.recipes.understanding.lines import read_line
from pneumachron.recipes.understanding.understand import understand
from tests.recipes.supper import KITCHEN
from tests.text.words import words

BASE = ("2 kg bone-in pork shoulder", "1 onion, sliced", "1 cup chicken stock")
BRAISE = "Add the onion and stock, cover and braise at 300F for 3 hours."
FOOD = len(BASE)
"""The row of the food that a case is about."""


def supper(food: str, *steps: str) -> Converted:
    return convert(understand(Recipe("Pork shoulder", (*BASE, food), steps)), KITCHEN)


def whens(found: Converted) -> set[str]:
    return {line.when for line in found.lines if line.origin == FOOD}


def cooked(found: Converted) -> set[str]:
    """Where it goes, but for what stays in the bowl of the marinade."""
    bowl = Message("prepared-marinade_only")
    return {line.when for line in found.lines if line.origin == FOOD and line.prepared != bowl}


BEFORE = (
    ("4 cloves garlic, slivered", "Make slits all over and push the garlic in.", "season"),
    ("6 cloves garlic", "Stud the pork with garlic.", "season"),
    ("2 Tbsp fresh rosemary, chopped", "Press rosemary over the surface of the pork.", "season"),
    ("2 Tbsp adobo sauce", "Mix the adobo sauce with the salt. Rub it over the pork.", "season"),
    ("1 cup buttermilk", "Soak the pork in buttermilk overnight; drain.", "season"),
    ("1 cup plain yogurt", "Coat the pork in the yogurt, cover and chill overnight.", "season"),
    ("1 can cola", "Marinate the pork in cola for 4 hours. Discard the cola.", "season"),
    ("1 bottle lager", "Put the pork in the lager overnight in the fridge. Throw the lager away.",
     "season"),
    ("1/4 cup lime juice", "Mix lime juice and salt, add the pork, refrigerate at least 4 hours."
     " Remove pork from marinade; discard marinade.", "season"),
    ("1/2 cup kosher salt", "Dissolve salt in 2 quarts of water; submerge the pork 12 hours."
     " Rinse and dry.", "cure"),
    ("1/4 cup soy sauce", "Toss the pork with soy sauce and leave 20 minutes.", "pot"),
    ("6 prunes", "Push the prunes round the meat.", "after"),
)  # fmt: skip
BEHIND = (
    ("4 apples", "Fry the apples in butter and serve with the pork.", "beside"),
    ("4 ears corn", "Grill corn while the pork rests.", "beside"),
    ("200 g bean sprouts", "Put the sprouts in bowls and ladle over.", "beside"),
    ("2 limes, in wedges", "Hand round lime wedges.", "beside"),
    ("1 cup mayo", "Mix mayo with lime for the slaw.", "beside"),
    ("8 eggs", "Top each bowl with a fried egg.", "beside"),
    ("100 ml cream", "Pass the sauce through a sieve and add the cream.", "after"),
)


@pytest.mark.parametrize(("food", "said", "when"), BEFORE)
def test_before_the_heat(food: str, said: str, when: str) -> None:
    assert whens(supper(food, said, BRAISE)) == {when}


@pytest.mark.parametrize(("food", "said", "when"), BEHIND)
def test_behind_the_heat(food: str, said: str, when: str) -> None:
    assert whens(supper(food, BRAISE, said)) == {when}


@pytest.mark.parametrize(
    ("food", "steps", "once"),
    [
        ("6 prunes", ("Push the prunes round the meat.", BRAISE), "prunes"),
        ("300 g egg noodles", (BRAISE, "Drop the noodles into the broth and cook 4 minutes."),
         "noodles"),
        ("1 cup pearl barley", (BRAISE, "Add the barley halfway through."), "halfway"),
    ],
)  # fmt: skip
def test_what_our_steps_tell_is_not_told_again(
    food: str, steps: tuple[str, ...], once: str
) -> None:
    told = [step for step in supper(food, *steps).steps if once in words(step)]
    assert len(told) == (0 if once == "halfway" else 1)


def test_what_is_thrown_away_at_the_end_has_been_cooked() -> None:
    told = "Marinate the pork in wine with the bay leaves. Add all of it to the pot."
    found = supper("3 bay leaves", told, BRAISE, "Discard the bay leaves and carve.")
    assert whens(found) == {"pot"}
    told = "Marinate the pork in the cola for an hour. Throw in the cola and the onion."
    assert cooked(supper("1 can cola", told, BRAISE)) == {"pot"}


@pytest.mark.parametrize(
    "said",
    [
        "Stir the salt into the water and pour it over. Cover and cook it on low for 8 hours.",
        "Mix the salt with a little water to a paste. Rub it on, cover it and chill overnight.",
    ],
)
def test_salt_in_water_that_is_no_brine(said: str) -> None:
    assert "cure" not in whens(supper("1 tsp salt", said, BRAISE))


def test_onions_with_sugar_are_no_caramel() -> None:
    told = "Cook the onion with the sugar in a pan until caramelized. Add the meat."
    assert "sear" not in whens(supper("1 tsp sugar", told, BRAISE))


@pytest.mark.parametrize(
    ("said", "kind"),
    [
        ("Reduce the juices to a glaze and spoon over.", "glaze"),
        ("Remove the lid for the last 30 minutes to brown the top.", "broiler"),
        ("Finish the pork skin side up under the element until blistered.", "broiler"),
        ("Char with a blowtorch.", "broiler"),
        ("Remove, cool, coat in panko and shallow-fry.", "pan"),
        ("Slice and sear in a smoking hot cast-iron pan.", "pan"),
        ("Set the sauce over indirect heat for 15 minutes.", "grill"),
        ("Auf dem heißen Grill von beiden Seiten je 3 Minuten grillen.", "grill"),
        ("Unter dem Grill 5 Minuten knusprig bräunen.", "broiler"),
        ("Butter the outside of the sandwiches and press in a hot skillet until crisp.", None),
        ("Dip the tortillas in the fat, fill and fry until crisp.", None),
        ("Wrap, and go on over indirect heat for 2 hours.", None),
        ("Grill the corn while the pork rests.", None),
        ("Grill the ribs for 4 minutes a side.", "grill"),
    ],
)
def test_by_which_crust(said: str, kind: str | None) -> None:
    steps = (BRAISE, said)
    assert understand(Recipe("Pork shoulder", BASE, steps)).crust.kind == kind


@pytest.mark.parametrize(
    ("line", "unit", "name"),
    [
        ("2 Zehen Knoblauch", "clove", "Knoblauch"),
        ("1 Prise Zucker", "pinch", "Zucker"),
        ("1 Stange Lauch", "stick", "Lauch"),
        ("1 Pck. Soßenpulver", "packet", "Soßenpulver"),
        ("1 TB oil", "tbsp", "oil"),
        ("2 pts. stock", "pint", "stock"),
    ],
)
def test_units_of_other_kitchens(line: str, unit: str, name: str) -> None:
    found = read_line(line)
    assert (found.unit, found.name) == (unit, name)


@pytest.mark.parametrize("said", ["Pax: 6", "6 pers.", "6 to serve", "Covers: 6"])
def test_for_how_many(said: str) -> None:
    text = "\n".join(("Pot pork", "", said, "", *BASE, "", BRAISE))
    assert understand(read_recipe(text.encode()).recipe).plates == 6


def test_what_is_grilled_beside_the_meat_keeps_its_words() -> None:
    found = supper("4 ears corn", BRAISE, "Grill the corn while the pork rests.")
    assert any("Grill the corn" in words(step) for step in found.steps)


def test_cheese_that_is_melted_keeps_its_words() -> None:
    found = supper("1 cup grated cheddar", BRAISE, "Melt the cheddar on top under the broiler.")
    assert any("Melt the cheddar on top" in words(step) for step in found.steps)


@pytest.mark.parametrize(
    "said",
    [
        "Drain and discard the marinade.",
        "Remove pork from marinade; discard marinade.",
        "Remove the pork, discarding marinade, and pat dry.",
        "Take the pork out and throw away the marinade.",
        "Lift out the pork, pour off the remaining marinade.",
        "The marinade is discarded.",
    ],
)
def test_a_marinade_that_is_thrown_away(said: str) -> None:
    steps = ("Marinate the pork in the cola for 4 hours.", said, BRAISE)
    found = supper("1 can cola", *steps)
    assert whens(found) == {"season"}
    told = [words(step) for step in found.steps]
    assert any("throw away what is left of the marinade" in text for text in told)
    assert not any("Boil what is left" in text for text in told)
    # the cooker still gets all its liquid: the stock, and water instead of the cola
    water = [line for line in found.lines if line.when == "pot" and line.name == "water"]
    assert len(water) == 1


@pytest.mark.parametrize(
    "said",
    [
        "Drain the pork, reserving the marinade. Brown the pork and add the marinade.",
        "Bring the marinade to a boil and pour it over the pork.",
        "Discard the garlic from the marinade. Add the marinade to the pot and bring to a boil.",
    ],
)
def test_a_marinade_that_is_cooked(said: str) -> None:
    found = supper("1 can cola", "Marinate the pork in the cola for 4 hours.", said, BRAISE)
    assert cooked(found) == {"pot"}
