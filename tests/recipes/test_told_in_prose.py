"""Recipes that are told and not listed, and lists that run on in one line.

The texts are invented; what they should give is what a cook reads in them (common practice).
"""

import pytest

from pneumachron.recipes.converting.convert import convert
from pneumachron.recipes.model import Recipe
from pneumachron.recipes.understanding.understand import understand
from tests.recipes.supper import KITCHEN, WET, made, read, told, understood, went

MAIL = (
    "ok sweetie here it is\n"
    "Get you a bone in pork butt, mine was 8 pounds. The night before rub it with 1/4 c brown"
    " sugar, 2 tbs paprika, 1 tbs each of salt pepper garlic powder and a tsp"
    " cayenne. Wrap it up.\n"
    "Next morning get your smoker going at 225. It will take about 12 hrs.\n"
    "Pull it apart with forks, mix with a cup of the vinegar sauce.\n"
    "Vinegar sauce: 1 1/2 c cider vinegar, 1/2 c ketchup, 2 tbs sugar, salt. Heat till it is hot.\n"
    "love\n"
)


def test_a_mail_has_its_meat_and_its_rub_in_sentences() -> None:
    recipe = read(MAIL)
    found = understand(recipe)
    assert (found.cut, found.count) == ("shoulder_bone_in", 1)
    assert found.mass_kg == pytest.approx(3.63, rel=0.01)
    assert {"1/4 c brown sugar", "2 tbs paprika", "a tsp cayenne"} <= set(recipe.ingredients)
    assert "1 tbs each: salt, pepper, garlic powder" in recipe.ingredients
    assert not any("of the vinegar sauce" in line for line in recipe.ingredients)
    done = convert(found, KITCHEN)
    said = told(done)
    for spice in ("paprika", "garlic powder", "cayenne"):
        assert spice in said[: said.index("Check the lid")]
    vinegar = next(row for row, line in enumerate(recipe.ingredients) if "cider vinegar" in line)
    assert went(done, vinegar) == ["after"]


def test_a_night_in_plastic_and_an_hour_in_a_cooler_are_no_heat() -> None:
    done = made("The night before rub it with the paprika. Wrap it up in plastic, stick it in the"
                " fridge.", "Smoke at 225°F for 12 hrs.",
                "Wrap in foil and a towel, let sit in a cooler 1 hr. Pull it apart.",
                more=("2 tbs paprika",))  # fmt: skip
    assert done.understood.cooking.high_s == 12 * 3600
    assert "Leave it covered in the refrigerator for 8–12" in told(done)


def test_a_told_recipe_without_amounts_names_its_foods_all_the_same() -> None:
    recipe = read(
        "Pork ribs my way!!!\n\n"
        "So here goes. You want three slabs of St. Louis ribs, the ones at the club are right"
        " around 3 lbs a slab. Mustard all over, then a good coat of your favorite rub. Pellet"
        " grill at 250. 3 hrs on the grate, then wrap in foil with butter, brown sugar and"
        " honey - 2 hrs.\n"
    )
    found = understand(recipe)
    assert recipe.title == "Pork ribs my way!!!"
    assert (found.cut, found.count) == ("spare_ribs_trimmed", 3)
    assert found.mass_kg == pytest.approx(4.08, rel=0.01)
    assert {"mustard", "rub", "butter", "brown sugar", "honey"} <= set(recipe.ingredients)
    assert not any("You want" in step for step in recipe.steps)


def test_a_short_word_with_a_dot_ends_no_sentence() -> None:
    done = made("Peel the membrane off the St. Louis ribs; let them sit.", WET,
                meat="2 racks St. Louis ribs (3 lb each)")  # fmt: skip
    assert done.understood.cut == "spare_ribs_trimmed"


def test_foods_without_a_number_behind_those_with_one() -> None:
    recipe = read(
        "You'll need: 1.6kg pork spare ribs (2 racks), 150ml plum sauce, thumb of ginger grated,"
        " 1 tsp five spice, spring onions and sesame seeds to finish.\n\n"
        "Rub the ribs with the plum sauce. Cook at 160C for 2 hrs. Scatter over the seeds.\n"
    )
    assert recipe.ingredients[2] == "thumb of ginger grated"
    assert recipe.ingredients[-1].startswith("spring onions and sesame seeds")
    done = convert(understand(recipe), KITCHEN)
    assert went(done, len(recipe.ingredients) - 1) == ["beside"]
    assert "to finish." not in told(done)


def test_a_mixture_for_before_and_after_is_parted_first() -> None:
    # common practice: what has touched raw meat is not brushed on cooked meat
    done = made(
        "Mix the plum sauce, soy and garlic. Rub half all over the ribs and chill for 4 hours.",
        "Cover with foil and cook at 160C for 2 hours.",
        "Brush with the remaining marinade and roast at 220C for 20 minutes.",
        meat="2 racks back ribs", more=("150 ml plum sauce", "3 tbsp soy sauce", "3 cloves garlic"),
    )  # fmt: skip
    for row in (1, 2, 3):
        assert went(done, row) == ["season", "finish"]
    assert {mark.rule for mark in done.marks if mark.before == "150 ml plum sauce"} == {
        "marinade_shared"
    }
    assert "Boil what is left" not in told(done)


def test_half_of_another_thing_shares_no_mixture() -> None:
    done = made("Mix the plum sauce and soy. Rub over the ribs.",
                "Cover with foil and cook at 160C for 2 hours.", "Slice the ribs in half.",
                meat="2 racks back ribs",
                more=("150 ml plum sauce", "3 tbsp soy sauce"))  # fmt: skip
    assert "marinade_shared" not in {mark.rule for mark in done.marks}


def test_bowls_are_filled_at_the_table() -> None:
    recipe = read(
        "Bowls\n\nFor the pork:\n4 lb boneless pork shoulder\n2 oranges, juiced\n\nFor the bowls:\n"
        "4 cups cooked rice\n1 can black beans\ncilantro\n\nDirections\n"
        "Add the pork and oranges to the slow cooker and cook on low for 8 hours. Shred.\n"
        "Divide rice and beans among bowls; top with cilantro.\n"
    )
    done = convert(understand(recipe), KITCHEN)
    assert [went(done, row) for row in (2, 3, 4)] == [["beside"]] * 3
    assert "Divide rice" not in told(done)[: told(done).index("Pull it")]
    assert "1 orange, juiced" in [line.text(lambda message: message.code) for line in done.lines]


def test_water_to_cover_covers_nothing_in_a_pressure_cooker() -> None:
    done = made("Put the brisket in a pot with water to cover; simmer 3 hours.",
                meat="3 lb brisket", more=("Water to cover",))  # fmt: skip
    waters = [line for line in done.lines if line.food.words == "water"]
    assert [line.amount is not None and line.amount[1] < 1000 for line in waters] == [True]


def test_cabbage_in_wedges_is_cooked_and_not_stirred_in() -> None:
    done = made(WET, "Add the cabbage; simmer 15 minutes more.", meat="3 lb brisket",
                more=("1 small head green cabbage, in 6 wedges",))  # fmt: skip
    assert went(done, 1) == ["own_run"]


def test_nothing_browned_leaves_nothing_to_scrape_up() -> None:
    done = made("Simmer the brisket in the stout for 3 hours.", meat="3 lb brisket",
                more=("12 oz stout",))  # fmt: skip
    assert "scrape" not in told(done)


@pytest.mark.parametrize(
    ("line", "name", "aside"),
    [
        ("3 eating apples, cored and cut in wedges", "eating apples", "cored, cut in wedges"),
        ("1 thumb ginger grated", "ginger", "grated"),
        ("1 can crushed tomatoes", "crushed tomatoes", ""),
        ("150ml/¼ pint double cream", "double cream", "0.25 pint"),
        ("small bunch sage", "sage", ""),
        ("2 brown onions, finely chopped", "brown onions", "finely chopped"),
        ("- [ ] 1½ tsp salt", "salt", ""),
        ("1 lg. onion, sliced", "large onion", "sliced"),
        ("Lemon zest of 2", "Lemon zest", ""),
    ],
)
def test_names_and_what_is_done_with_them(line: str, name: str, aside: str) -> None:
    found = understood(WET, more=(line,)).ingredients[1].line
    assert (found.name, found.aside) == (name, aside)


def test_what_a_page_says_around_its_recipe() -> None:
    recipe = read(
        "Sunday Dinners » Beef\n\nGrandpa's Brisket\n[Image: sliced brisket]\n\nINGREDIENTS\n"
        "US Customary – Metric\n4 lb brisket\n1 cup stock\n\nINSTRUCTIONS\nBake 4 hours at 300°F.\n"
    )
    assert recipe.title == "Grandpa's Brisket"
    assert recipe.ingredients == ("4 lb brisket", "1 cup stock")
    front = read('---\ntitle: "Beer Ribs"\ntags: [beef]\n---\n\n# Beer Ribs\n\n'
                 "- 4 lb short ribs\n\n## Method\n\n1. Braise at 300°F for 3 hours.\n")  # fmt: skip
    assert front.title == "Beer Ribs"
    assert "tags" not in front.description


def test_german_steps_are_done_by_ours() -> None:
    recipe = read(
        "Rinderbrust\n\nFür 6 Personen\nGarzeit: 3 Stunden\n\n"
        "1,8 kg Rinderbrust (flaches Stück, ca. 5 cm dick)\nSalz, Pfeffer\n3 EL Butterschmalz\n"
        "500 ml Rinderfond\n\n"
        "Den Backofen auf 150 °C (Umluft 130 °C) vorheizen. Das Fleisch salzen und pfeffern. Im "
        "heißen Butterschmalz 10 Minuten anbraten.\n"
        "Fond dazugeben und zugedeckt im Ofen 3 Stunden schmoren.\n"
        "Das Fleisch in Scheiben schneiden und servieren.\n"
    )
    found = understand(recipe)
    assert found.thickness_m == pytest.approx(0.05)
    assert found.cooking.temp_c == 150.0
    assert found.plates == 6
    done = convert(found, KITCHEN)
    assert went(done, 1) == ["season", "season"]
    assert not any(step.kind == "own_words" for step in done.steps)


def test_a_paragraph_is_rubbed_and_marinated_by_its_sentences() -> None:
    done = made(
        "Brown the beef in the oil. Cook the onions until soft, 6 minutes. Add the chili powder and"
        " the cumin. Add the lager. Bring to a boil, cover and simmer 2 hours. Season with salt.",
        meat="1.5 kg boneless short ribs",
        more=("2 onions", "1 Tbsp oil", "3 Tbsp chili powder", "1 Tbsp cumin", "1 bottle lager"),
    )
    assert went(done, 3) == ["pot"]
    assert went(done, 4) == ["pot"]
    rubbed = made("Mix the salt and the cumin. Rub it into the pork. Heat the oven to 300F. Put the"
                  " pork into a roaster. Cover and bake 4 hours.",
                  more=("1 Tbsp cumin",))  # fmt: skip
    assert went(rubbed, 1) == ["season"]


def test_foil_under_the_meat_covers_nothing() -> None:
    done = made("Line a sheet pan with foil and set a rack on top.",
                "Toss the wings with baking powder and garlic powder.",
                "Bake at 425°F for 45 minutes, flipping halfway.",
                "Toss wings in sauce and serve.", meat="2.5 lb chicken wings",
                more=("1 Tbsp baking powder", "1/2 tsp garlic powder"))  # fmt: skip
    assert done.understood.cooking.method == "oven_open"
    assert done.finish.kind == "broiler"
    assert went(done, 2) == ["season"]


def test_a_sauce_that_wings_are_tossed_in_goes_on_at_the_end() -> None:
    recipe = read(
        "Hot wings\n2 1/2 lb chicken wings\n1 tsp salt\nFor the sauce\n1/3 cup honey\n"
        "2 tbsp butter\n1 tbsp lime juice\n\nBake the wings at 425°F for 45 minutes.\n"
        "Simmer sauce ingredients 5 minutes. Toss wings in sauce and serve right away.\n"
    )
    done = convert(understand(recipe), KITCHEN)
    assert [went(done, row) for row in (2, 3, 4)] == [["finish"]] * 3


def test_some_of_a_sauce_is_for_the_table() -> None:
    done = made(WET, more=("1/2 c BBQ sauce + more for serving", "1 cup mustard for serving"))
    assert went(done, 1) != ["beside"]
    assert went(done, 2) == ["beside"]


def test_a_paste_is_made_before_it_is_on_the_meat() -> None:
    done = made("Soak the chiles in boiling water. Blend with the vinegar.",
                "Coat the pork; refrigerate overnight.", "Roast covered at 300°F for 3 hours.",
                more=("3 dried ancho chiles", "1/4 cup cider vinegar"))  # fmt: skip
    said = told(done)
    assert said.index("Soak the chiles") < said.index("Trim the meat")


def test_titles_with_a_yield_and_questions() -> None:
    rest = "\n\n3 lb brisket\n1 cup stock\n\nBraise covered at 300°F for 3 hours.\n"
    for line, title in (
        ("Porchetta-style brisket (Nonna's). For 8-10.", "Porchetta-style brisket (Nonna's)"),
        ("Braised brisket, serves 4 – 3 hours", "Braised brisket"),
        ("Q: does anyone have a brisket recipe w/ coffee?", "brisket recipe w/ coffee"),
    ):
        assert read(line + rest).title == title
    assert read("Roast brisket\n\nIngredients (4 people)" + rest).ingredients[0] == "3 lb brisket"


def test_cubes_are_thin_because_they_were_cut() -> None:
    done = made(WET, meat="3 lb boneless beef short ribs, cut into 1-inch cubes")
    assert "unusual_thickness" not in {item.code for item in done.plan.cautions}
    # a rib that is thin was measured wrong, however light it is
    rib = made(WET, meat="8 English-cut short ribs, 1.5 cm thick (1.6 kg)")
    assert "unusual_thickness" in {item.code for item in rib.plan.cautions}
    whole = made(WET, meat="3 lb brisket flat, 2.2 cm thick")
    assert "unusual_thickness" in {item.code for item in whole.plan.cautions}


PAGE = """Here's the recipe I promised at the allotment!

Damson short ribs
Serves: 4
Time: 20 mins + 3.5 hrs

- 4 thick short ribs, about 350g each
- 1 red onion, 1 stick celery, 1 carrot (all diced)
- 300ml water or stock

1 Heat oven to 150°C fan.
2 Brown the ribs, then fry the veg for 8 mins in the fat.
3 Add the stock, cover, oven 3 hrs.
4 Uncover for another 30 mins, basting a couple of times.

Can I use beef cheeks? Yes, an hour more.
"""


def test_a_greeting_a_title_bare_numbers_and_what_readers_asked() -> None:
    recipe = read(PAGE)
    assert recipe.title == "Damson short ribs"
    assert recipe.steps[0] == "Heat oven to 150°C fan."
    assert len(recipe.steps) == 4
    done = convert(understand(recipe), KITCHEN)
    assert done.finish.kind == "broiler"
    names = [line.name for line in done.lines if line.origin == 1]
    assert names == ["red onion", "celery", "carrot"]
    assert "water or unsalted stock" in [line.name for line in done.lines]


def test_pepper_beside_salt_is_for_the_meat() -> None:
    done = made(WET, more=("salt, pepper, flour",))
    assert went(done, 1) == ["season", "season", "after"]


def test_a_card_of_the_pit() -> None:
    recipe = read(
        'Chuck ribs\nMeat: 2 racks chuck short ribs, 8.2 lb total after trim, 2.5" thick\n'
        "Slather: hot sauce\nRub: 2 parts coarse pepper, 1 part kosher salt, 1/2 part garlic\n"
        "Pit: 275F, post oak\nSmoke 7 hours to 205.\n"
    )
    found = understand(recipe)
    assert found.thickness_m == pytest.approx(0.0635)
    done = convert(found, KITCHEN)
    seasoned = {line.name for line in done.lines if line.when == "season"}
    assert {"hot sauce", "coarse pepper", "kosher salt", "garlic"} <= seasoned
    assert "Pit:" not in told(done)


def test_a_pound_is_no_work_with_a_mortar() -> None:
    done = made("Rub pork, chill overnight. Smoke at 225F for 1.5 hours per pound to 195F. Or roast"
                " covered at 275F for 8 hours.", meat="8 lb pork shoulder")  # fmt: skip
    assert not any(step.kind == "own_words" for step in done.steps)
    # the first way is the recipe's own: 12 hours, and no 8 besides
    assert done.understood.cooking.high_s == pytest.approx(12 * 3600)


def test_a_heavy_kettle_is_a_pot() -> None:
    done = made("Brown the ribs in a heavy kettle. Cover and simmer 2 hours.",
                meat="2 lb spareribs")  # fmt: skip
    assert done.understood.cooking.method == "simmer"
    assert done.finish.kind == "none"
    grilled = understood("Set the kettle up for indirect heat at 120 °C and cook 4 hours.")
    assert grilled.cooking.method == "grill"


def test_low_and_high_above_the_recipe() -> None:
    recipe = read(
        "Dump and go pulled pork\n10 min prep | 8 h low / 5 h high\n\n- 3.5 lb pork butt\n"
        "- 1 packet ranch seasoning\n- 1 stick butter\n\nPlace roast in slow cooker. Sprinkle"
        " packets on top, add butter. Cook. Shred.\n"
    )
    cooking = understand(recipe).cooking
    assert (cooking.method, cooking.high_s) == ("slow_low", 8 * 3600)


def test_each_of_a_line_goes_its_own_way() -> None:
    done = made("Tip in the stock, then stir in the jelly and mustard.", WET,
                more=("300 ml stock", "1 tbsp each: redcurrant jelly, wholegrain mustard",
                      "2 parsnips & 3 carrots", "1 T ea. salt, chili powder"))  # fmt: skip
    assert {line.name: line.when for line in done.lines if line.origin == 2} == {
        "redcurrant jelly": "after", "wholegrain mustard": "pot",
    }  # fmt: skip
    assert [line.name for line in done.lines if line.origin == 3] == ["parsnips", "carrots"]
    assert [line.name for line in done.lines if line.origin == 4] == ["salt", "chili powder"]


def test_a_sauce_that_clings_is_a_glaze() -> None:
    done = made("Cover and simmer the ribs 40 minutes.",
                "Return ribs to the pan. Simmer 20 minutes, turning, till sauce clings.",
                meat="2 lb back ribs")  # fmt: skip
    assert done.finish.kind == "glaze"


def test_racks_are_counted_before_those_who_eat_them() -> None:
    recipe = Recipe("Ribs", ("2 racks back ribs",), (WET,), yields="MAKES 2 RACKS, 4 SERVINGS")
    assert understand(recipe).plates == 4


def test_a_sauce_that_is_brought_to_a_simmer_is_basted_on() -> None:
    done = made(
        "Stir the salt with the sugar and paprika. Pat half of it on the ribs.",
        "Seal with foil. Bake at 275°F for 2 hours 15 minutes.",
        "Bring ketchup, vinegar and molasses to a simmer; cook 10 minutes.",
        "Grill the ribs, basting with sauce and turning, 10 minutes.", meat="2 racks back ribs",
        more=("2 tbsp salt", "1 tbsp sugar", "2 tbsp paprika", "1 cup ketchup",
              "1/3 cup cider vinegar", "2 tbsp molasses"),
    )  # fmt: skip
    assert [went(done, row) for row in (1, 3)] == [["season"]] * 2
    assert [went(done, row) for row in (4, 5, 6)] == [["finish"]] * 3


def test_the_weight_of_the_whole_stands_before_those_of_its_parts() -> None:
    found = understood(WET, meat="One 6.5kg packer brisket, separated (point 2.4 kg, flat 3.6 kg)")
    assert found.cut == "brisket_whole"
    assert found.mass_kg == pytest.approx(6.5)


def test_reheating_on_the_next_day_is_no_cooking_time() -> None:
    done = made("Cover with foil. Bake at 325 for 3-4 hours.",
                "Let cool. Refrigerate overnight. Next day slice, return to gravy and reheat,"
                " covered, at 350 for 45 minutes.", meat="4 lb brisket")  # fmt: skip
    assert done.understood.cooking.high_s == 4 * 3600
    assert "Refrigerate overnight" in told(done)


def test_a_slurry_under_its_heading_is_no_glaze() -> None:
    recipe = read(
        "Honey ribs\n4 lbs. baby back ribs\nfor the sauce -\n3/4 cup honey\n1/2 cup soy sauce\n"
        "slurry:\n2 TBSP cornstarch\n2 TBSP cold water\n\nWhisk sauce and pour over. Low 6-8 hrs"
        " in the slow cooker.\nBring the juices to a boil, whisk in the slurry. Brush on ribs and"
        " broil 3 mins.\n"
    )
    done = convert(understand(recipe), KITCHEN)
    assert [went(done, row) for row in (3, 4)] == [["after"], ["after"]]
    assert told(done).count("cold water") == 1


def test_what_is_served_with_it_is_not_stirred_in() -> None:
    done = made(WET, "Serve with limes and radishes.", more=("Lime wedges and radishes",))
    assert went(done, 1) == ["beside"]


def test_a_sentence_in_its_own_words_keeps_its_clauses() -> None:
    done = made("Simmer the ribs, covered, 45 min. Boil tomatillos and chiles 10 min; blend with"
                " onion. Pour over the ribs.", meat="2 lb spareribs, cut into riblets")  # fmt: skip
    assert "Boil tomatillos and chiles 10 min; blend with onion." in told(done)
    assert done.understood.cut == "rib_pieces"


def test_a_title_may_name_the_meat_as_the_list_does() -> None:
    recipe = read(
        "RACK OF RIBS 3-2-1 (Gav's)\n\n2 racks pork spares\nyellow mustard\npork rub\n"
        "Wrap: brown sugar, butter, honey\nBBQ sauce\n\nMembrane off. Mustard, rub.\n"
        "3 hrs unwrapped at 110C in the smoker.\n2 hrs in foil with the wrap stuff.\n"
    )
    assert recipe.title == "RACK OF RIBS 3-2-1 (Gav's)"
    assert "brown sugar" in recipe.ingredients
    assert "BBQ sauce" in recipe.ingredients
    assert understand(recipe).cut == "spare_ribs"
    both = read("2 racks back ribs\n1 kg brisket\n1 cup stock\n\nBraise at 150 °C for 3 hrs.\n")
    assert both.ingredients[:2] == ("2 racks back ribs", "1 kg brisket")


def test_a_braise_on_the_stove_is_no_oven() -> None:
    recipe = read(
        "Ropa brisket\n\nFor the braise\n2 pounds beef brisket\n1 onion, halved\n1 bay leaf\n"
        "6 cups water\n\nFor the sofrito\n3 tablespoons olive oil\n1/2 cup green olives\n\n"
        "Put everything for the braise in a pot, bring to a boil, and simmer partly covered for"
        " 2½ hours.\nHeat the oil. Stir in olives.\n"
    )
    found = understand(recipe)
    assert found.cooking.method == "simmer"
    done = convert(found, KITCHEN)
    assert went(done, 1) == ["pot"]


def test_season_alone_seasons_with_what_there_is() -> None:
    done = made("Season, put on onions, add water. Lid on, 5 hrs at 300F in the oven. Lid off last"
                " half hour for color.", meat="6 lb pork shoulder",
                more=("2 Tbsp salt", "1 Tbsp smoked paprika"))  # fmt: skip
    assert [went(done, row) for row in (1, 2)] == [["season"]] * 2
    assert done.finish.kind == "broiler"


def test_an_unknown_recipe_stays_what_it_was() -> None:
    listed = Recipe("Pork", ("2 kg pork shoulder", "2 onions"), (WET,))
    assert understand(listed).recipe.ingredients == listed.ingredients
