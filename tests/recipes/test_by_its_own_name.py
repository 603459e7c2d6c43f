"""Parts called by a name of their own, and work that belongs to a side alone.

Recipes are invented; the trade's words are common practice.
"""

import pytest

from pneumachron.recipes.converting.convert import convert
from pneumachron.recipes.understanding.understand import understand
from tests.recipes.supper import KITCHEN, WET, made, read, told, understood, went

DUSTED = """Sticky rack

- 2 racks baby backs, 5 lb in all
- for the dust: 2 tbsp each paprika and soft brown sugar, 1 tbsp each salt, pepper and garlic powder
- sauce: 1 cup ketchup, 1/4 cup malt vinegar

Peel off the membrane and give the racks a generous coat of the dust.
3 hours on the grate at 225 F.
2 hours in foil, then 1 hour unwrapped, mopping with the sauce every 20 minutes.
"""


def test_the_dust_is_a_rub() -> None:
    recipe = read(DUSTED)
    done = convert(understand(recipe), KITCHEN)
    assert {when for row in (1, 2) for when in went(done, row)} <= {"season", "finish"}
    assert recipe.ingredients[2] == "1 tbsp each salt, pepper and garlic powder"


def test_a_pickle_keeps_its_own_words() -> None:
    pork = read(
        """Pulled pork

For the pork
3 lb pork butt
1 cup stock
For the pickled onion
1 red onion, sliced
1/2 cup white vinegar
1 tbsp sugar

Method
Pour the stock over the pork, cover and cook on low for 8 hours. Shred.
While it cooks, put the onion in a jar. Heat the vinegar and sugar and pour over the onion.
Serve topped with the onion.
"""
    )
    done = convert(understand(pork), KITCHEN)
    assert "Heat the vinegar" in told(done)


def test_foods_to_serve_without_a_colon() -> None:
    recipe = read("Brisket\n\n2 lb brisket\nTO SERVE tortillas, radishes, lime\n\nSimmer 3 hours.")
    assert [part.role for part in recipe.parts] == ["beside"]
    assert recipe.ingredients[1:] == ("tortillas", "radishes", "lime")


def test_eggs_boiled_apart_are_not_stirred_in() -> None:
    late = "Boil the eggs for 7 minutes and peel. Slip them into the pot."
    done = made("Pour in the stock.", WET, late, more=("1 cup stock", "6 eggs"))
    assert "off the heat" not in told(done)
    assert "Boil the eggs" in told(done)


def test_a_caramel_the_color_of_tea() -> None:
    first = (
        "Melt the sugar with 2 tbsp water in a heavy casserole over a medium heat, swirling but "
        "not stirring, until it is the colour of strong tea. Add the pork."
    )
    done = made(first, "Pour in the stock.", WET, more=("1 cup stock", "3 tbsp sugar"))
    assert went(done, 2) == ["sear"]


def test_buttermilk_names_what_the_meat_lies_in() -> None:
    first = (
        "Put the pork in a bowl with the buttermilk and fennel seeds. Cover and chill overnight."
    )
    done = made(first, "Drain.", WET, more=("600 ml buttermilk", "2 tsp fennel seeds"))
    assert "Marinate the meat in buttermilk, and fennel seeds" in told(done).replace(
        "buttermilk and", "buttermilk, and"
    )


def test_meat_that_stays_in_the_pot_it_was_marinated_in() -> None:
    more = ("120 ml cider vinegar", "80 ml soy sauce", "4 bay leaves")
    boil = "Bring to the boil, lower the heat, cover and simmer for 1 hour until soft."
    done = made("Put everything into a heavy pot. Marinate 30 min.", boil, more=more)
    assert [went(done, row) for row in (1, 2, 3)] == [["pot"]] * 3
    assert "Marinate the meat in cider vinegar" in told(done)


def test_mustard_added_to_the_sauce_is_not_rubbed_on() -> None:
    sauce = "Pour in the cider. Add the mustard and bring to a simmer."
    more = ("300 ml cider", "1 tsp wholegrain mustard")
    done = made("Season the pork and brown it.", sauce, WET, more=more)
    assert went(done, 2) == ["pot"]


def test_the_rest_goes_into_the_glaze_as_well() -> None:
    more = ("1 jar apricot preserves", "1/2 cup bottled dressing", "2 tbsp vinegar")
    late = "Mix jam and the rest; spoon over the pork. Bake uncovered 45 min."
    done = made("Cover with foil and bake at 350F for 1 1/2 hours. Drain.", late, more=more)
    assert [went(done, row) for row in (1, 3)] == [["finish"]] * 2


BOWLS = """Carnitas bowls

Ingredients:

Pork
- 6 lb pork butt
- 3 tbsp rub

Braise
- 1 onion, cut up
- 1 cup broth

Bowls
- cooked rice, black beans, avocado, lime

Directions:

Rub the pork. Cook it in the broth with the onion, covered, at 250 for 6 hours.
Let it cool, shred, discard the bone. Spread on a sheet pan and broil till the edges go crispy.
"""


def test_a_heading_above_one_line_of_foods() -> None:
    recipe = read(BOWLS)
    assert "Bowls" not in recipe.ingredients
    assert recipe.parts[-1].name == "Bowls"
    assert understand(recipe).crust.pulled_first


LEMONS = """Pork with lemons

PORK
3 lb pork shoulder
1 Tbsp. kosher salt
1 cup wine

SALSA VERDE
1 cup parsley
2 Tbsp. capers
1 garlic clove
3/4 cup olive oil

LEMONS
3 lemons, halved

PREPARATION
Salt the pork. Roast it in the wine for 4 hours, covered, at 300.
Chop the parsley and capers and stir into the oil.
Char the lemons in a dry skillet. Serve.
"""


def test_capitals_above_one_counted_food() -> None:
    assert [part.name for part in read(LEMONS).parts] == ["PORK", "SALSA VERDE", "LEMONS"]


def test_the_doings_of_a_letter() -> None:
    recipe = read(
        "nan's stew\n\nBits:\n2lb pork ribs\nan onion\npint of cider\n\nDoings:\n"
        "flour + brown the ribs in a big pan\nchuck in onion, then the cider, lid on, 1hr"
    )
    assert recipe.ingredients == ("2lb pork ribs", "an onion", "pint of cider")
    assert len(recipe.steps) == 2


def test_what_is_injected_is_work() -> None:
    recipe = read(
        "Brisket my way\n\nTrim a 12 lb packer.\n"
        "Inject: 2 cups beef broth, 1 T salt, strain it or the needle clogs\n"
        "Rub: 2 T salt, 2 T pepper, 1 T garlic powder\nSmoke at 225 for 9 hours.\n"
        "Wrap with 1 cup of the injection you kept back. Cook on to 203."
    )
    steps = convert(understand(recipe), KITCHEN).steps
    assert [step.kind for step in steps][:1] == ["cure"]
    assert sum(step.kind == "cure" for step in steps) == 1


def test_for_how_many_is_no_food() -> None:
    recipe = read(
        "Easy. Rub 2 tbsp paprika and 1 tsp salt over your pork shoulder (3kg). Put two onions in "
        "the slow cooker with 200ml apple juice, low for 10 hrs. Serves about 10 in rolls."
    )
    assert not any("rolls" in line and line[0].isdigit() for line in recipe.ingredients)


def test_a_paste_worked_into_the_cuts() -> None:
    step = "Mix fennel seeds, salt, garlic and oil to a paste and work it into the cuts."
    more = (
        "1/4 cup fennel seeds",
        "3 tbsp salt",
        "6 cloves garlic",
        "1/4 cup olive oil",
        "1 cup wine",
    )
    done = made(step, "Pour in the wine.", WET, more=more)
    assert went(done, 3) == ["season"]


def test_a_range_with_spaces_around_its_dash() -> None:
    beef = understood(WET, meat="1 brisket 3 – 4 lbs")
    assert beef.mass_kg == pytest.approx(3.5 * 0.4536, rel=0.01)


def test_a_glaze_simmered_meanwhile_is_no_heat_of_the_ribs() -> None:
    grilled = (
        "Grill the ribs over indirect heat at 300 F, covered, for 2 hours.",
        "While ribs cook, combine peaches, bourbon and honey in a saucepan. Simmer until peaches "
        "break down, 15 to 20 minutes.",
        "Wrap in foil and grill 1 hour more. Unwrap, brush with glaze and grill 10 minutes.",
    )
    done = made(*grilled, meat="2 racks pork spareribs", more=("3 peaches", "1/2 cup bourbon",
                                                                "1/4 cup honey"))  # fmt: skip
    assert done.understood.cooking.low_s == pytest.approx(3 * 3600.0)
    assert "combine peaches" in told(done)


def test_what_is_fried_in_a_second_pan_is_not_stirred_in_as_well() -> None:
    late = (
        "For the sofrito, heat oil in a large skillet. Saute the onion and pepper until soft. Add "
        "the cumin. Stir in the tomato sauce and the shredded beef. Simmer 20 minutes."
    )
    done = made(
        "Cover the brisket with water and simmer, covered, 2 1/2 hours. Cool and shred.", late,
        meat="2 lb brisket",
        more=("3 T olive oil", "1 onion", "1 green pepper", "1 t cumin", "1 can tomato sauce"),
    )  # fmt: skip
    assert late in told(done)
    assert "Stir in olive oil" not in told(done)


def test_the_salt_of_a_sauce_is_not_rubbed_on() -> None:
    recipe = read(
        "pulled pork\n\n- pork shoulder, 3 kg\n- rub it with pepper and a bit of sugar, oven at "
        "120C, 9 hrs\n- shred. sauce = 200ml cider vinegar, 2 tbsp sugar, 1 tsp salt, "
        "boiled 2 min. toss."
    )
    done = convert(understand(recipe), KITCHEN)
    salt = recipe.ingredients.index("1 tsp salt")
    assert "2 tbsp sugar" in recipe.ingredients
    assert "season" not in went(done, salt)


def test_the_joint_is_colored_in_lard() -> None:
    first = "Melt the lard in a heavy pot and colour the joint on every side. Pour on the stock."
    done = made(first, WET, more=("2 tbsp lard", "1 cup stock"))
    assert any(step.kind == "sear" for step in done.steps)
