"""Cards and notes of home cooks: dots between columns, bars behind the title, parts by a dash.

Recipes are invented; the trade's words are common practice.
"""

from pneumachron.recipes.converting.convert import convert
from pneumachron.recipes.understanding.understand import understand
from tests.recipes.supper import KITCHEN, WET, made, read, told, went

CARD = """RECIPE CARD
Name ......... Hawaiian Short Ribs
From ......... Aunt Lou
Serves ....... 5

3 lbs. short ribs .......... 1 c. soy sauce
1 c. pineapple juice ....... 3/4 c. brown sugar
2 Tbsp. cornstarch ......... 1 can (20 oz) pineapple chunks, drained

Combine soy, juice, sugar. Marinate ribs overnight. Put ribs and marinade in casserole, cover, bake
325° 2 1/2 hrs. Skim fat. Mix cornstarch w/ a little water, stir in. Add pineapple.
"""


def test_two_columns_of_foods_between_dots() -> None:
    recipe = read(CARD)
    assert recipe.title == "Hawaiian Short Ribs"
    assert recipe.author == "Aunt Lou"
    assert recipe.yields == "Serves 5"
    assert recipe.ingredients[:3] == ("3 lbs. short ribs", "1 c. soy sauce", "1 c. pineapple juice")
    assert len(recipe.ingredients) == 6


def test_a_paragraph_that_marinates_and_cooks_in_it() -> None:
    assert "Marinate the meat in soy sauce" in told(convert(understand(read(CARD)), KITCHEN))


def test_a_title_with_a_bar_and_for_how_many() -> None:
    recipe = read(
        "Overnight oven pork shoulder  |  Serves 10-12  |  Start: 10 pm\n\n4 kg pork shoulder\n"
        "4 tbsp salt\n\n10 pm - rub with the salt, roast at 120C overnight."
    )
    assert recipe.title == "Overnight oven pork shoulder"
    assert recipe.yields == "Serves 10-12"


def test_a_sauce_poured_on_and_broiled() -> None:
    done = made(
        "Put in crock. Low 6-7 hr.", "While they cook simmer sauce 15 min.",
        "Pour off the juice. Put ribs on a sheet, pour on sauce and broil 5 to 7 min.",
        meat="3 lbs rib tips", more=("1 cup ketchup", "1/4 cup molasses"),
    )  # fmt: skip
    assert [went(done, row) for row in (1, 2)] != [["pot"]] * 2


def test_a_bag_that_everything_is_massaged_into() -> None:
    first = "Mix all (save the honey), massage into pork, zip bag, fridge 24 h."
    more = ("3 tbsp light soy", "2 tbsp shaoxing", "3 cloves garlic", "1 tbsp honey")
    done = made(first, "Oven 160 C for 70 min.", meat="1 kg pork neck", more=more)
    assert "Marinate the meat in light soy" in told(done)


POT = """Cherry pulled pork

**Rub** – 2 tbsp salt, 2 tbsp brown sugar, 1 tbsp each cumin, paprika

**Meat** – 3 kg boneless pork shoulder in 4 pieces

**Pot** – 2 red onions (sliced), 2 chipotles in adobo + 1 tbsp of the sauce, 250 ml chicken stock

**Finish** – 2 tbsp maple syrup, juice of 1 lime

Rub the pork, leave overnight. Everything from Pot goes in the slow cooker, pork on top. 8 h LOW.
Lift out pork and shred. Blitz the sauce, reduce by a third, stir in the Finish.
"""


def test_parts_behind_dashes() -> None:
    recipe = read(POT)
    done = convert(understand(recipe), KITCHEN)
    row = {line: at for at, line in enumerate(recipe.ingredients)}
    assert "3 kg boneless pork shoulder in 4 pieces" in row
    assert went(done, row["2 chipotles in adobo + 1 tbsp of the sauce"]) == ["pot"]
    assert went(done, row["2 tbsp maple syrup"]) == ["after"]


def test_fried_in_batches_in_the_lard() -> None:
    first = "Melt the lard. Fry the pork in the lard, in batches, till golden. Add the cola."
    done = made(first, WET, more=("2 lb lard", "1 can cola"))
    assert any(step.kind == "sear" for step in done.steps)
