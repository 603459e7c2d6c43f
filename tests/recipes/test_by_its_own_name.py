"""Parts called by a name of their own, and work that belongs to a side alone.

Recipes are invented; the trade's words are common practice.
"""

from pneumachron.recipes.converting.convert import convert
from pneumachron.recipes.understanding.understand import understand
from tests.recipes.supper import KITCHEN, WET, made, read, told, went

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
