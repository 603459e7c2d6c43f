"""What recipes say in passing: in a mail, on a card, in two cells, in one breath, in German.

The texts are invented; what they should give is what a cook reads in them (common practice).
"""

import pytest

from pneumachron.core.units import parse_measure
from pneumachron.recipes.converting.convert import Converted, convert
from pneumachron.recipes.errors import RecipeError
from pneumachron.recipes.understanding.ingredients import food_of
from pneumachron.recipes.understanding.lines import read_line
from pneumachron.recipes.understanding.understand import understand
from pneumachron.recipes.writing.recipe import notes_of
from tests.recipes.supper import KITCHEN, WET, made, read, told, understood, went

MAIL = (
    "From: Dagny\nTo: the list\nSubject: re: pork for the 14th\n\n"
    "ok so what I did for 20 people was two boneless pork butts at around 6 pounds each. Rubbed"
    " with 1/4 c salt, 2 T chili powder, 1 T cumin. Smoker at 225 with hickory, about 1.5 hours"
    " per pound, wrapped in paper once it hit 165, pulled it off at 203 and rested in a cooler for"
    " 2 hrs. Then shredded. Mopped every hour with 2 c cider vinegar and a splash of hot sauce.\n\n"
    "Can somebody translate that for the electric pot?\n"
)


def lines_of(done: Converted, when: str) -> set[str]:
    return {line.name for line in done.lines if line.when == when}


def test_a_recipe_told_in_one_paragraph_of_a_mail() -> None:
    found = understand(read(MAIL))
    assert (found.cut, found.count, found.plates) == ("shoulder_boneless", 2, 20)
    assert found.mass_kg == pytest.approx(parse_measure("12 lb", "mass", "mass"), rel=0.01)
    # by the weight of one of them: they lie side by side
    assert found.cooking.high_s == pytest.approx(9 * 3600, rel=0.01)
    assert found.cooking.temp_c == pytest.approx(107, abs=1)
    assert {"salt", "cumin", "chili powder"} <= lines_of(convert(found, KITCHEN), "season")


def test_a_sentence_may_begin_with_the_meat() -> None:
    found = understand(read(
        "for new year\n\npork shoulder bone in 4.5 kg, skin off. salt brine: 300 g salt, 150 g"
        " sugar, 24 hours. rinse, dry.\nnext day oven 120 C fan, uncovered, 7-8 hrs, until 90 C in"
        " the middle. pulls like a dream. served 14 with apple sauce\n"
    ))  # fmt: skip
    assert (found.cut, found.mass_kg, found.plates) == ("shoulder_bone_in", 4.5, 14)
    assert (found.cooking.method, found.texture) == ("oven_open", "falls")
    assert found.cooking.temp_c == pytest.approx(120)


@pytest.mark.parametrize("size", ["3/8", "1/2"])
def test_thin_flanken_with_its_size_and_its_marinade_in_one_line(size: str) -> None:
    found = understand(read(
        f'Flanken on the grill\n\nThin flanken, {size}", about 2 1/2 lb. Marinade: ½ cup soy sauce,'
        " ¼ cup sugar, 6 garlic cloves, 1 Tbsp sesame oil.\nMarinate 4 hours. Grill over hot coals"
        " 2-3 minutes per side.\n"
    ))  # fmt: skip
    assert found.thickness_m == pytest.approx(parse_measure(f"{size} in", "length", "thickness"))
    assert len(found.recipe.ingredients) == 5
    if size == "3/8":
        with pytest.raises(RecipeError, match="gains_little"):
            convert(found, KITCHEN)
        return
    # what a cook should know before the pot comes out stands among the notes
    done = convert(found, KITCHEN)
    said = notes_of(done, lambda message: message.code)
    assert "mark-grill_instead" in said


def test_a_paragraph_with_its_amounts_inside_the_work() -> None:
    done = convert(understand(read(
        "Meat-free days are over: brisket\n\nA 2.5 kilo rolled brisket does eight with leftovers."
        " Rub it with 2 tbsp English mustard and plenty of salt the night before. Next day brown it"
        " all over; sit it on 3 sliced onions and 4 carrots; pour round a bottle of stout and 300ml"
        " beef stock; add thyme and 2 tbsp dark muscovado. Foil over, lid on, gas mark 2 for four"
        " hours. Lift out to rest, half an hour. Carve thickly.\n"
    )), KITCHEN)  # fmt: skip
    found = done.understood
    assert (found.cut, found.mass_kg, found.plates) == ("brisket_flat", 2.5, 8)
    assert (found.cooking.method, found.cooking.high_s) == ("oven_lid", 4 * 3600)
    assert {"English mustard", "salt"} <= lines_of(done, "season")
    assert lines_of(done, "pot") >= {"unsalted beef stock", "thyme"}
    assert {"sliced onions", "stout"} <= lines_of(done, "sear")


def test_two_cells_without_a_frame() -> None:
    recipe = read(
        "Short ribs in wine\n\nIngredients\nShort ribs | 8 pieces, about 4 lb total\n"
        "Red wine | 1 bottle (750 mL)\nOnion | 1 large, diced\nThyme | 4 sprigs\n\nSteps\n"
        "Brown the ribs. Lid on, 325°F oven, about 2 hours 45 minutes.\n"
    )
    assert recipe.ingredients[0] == "8 pieces Short ribs, about 4 lb total"
    assert recipe.ingredients[2] == "1 large Onion, diced"
    assert understand(recipe).cooking.temp_c == pytest.approx(163, abs=1)


@pytest.mark.parametrize(
    ("text", "amount", "unit", "name"),
    [
        ("1/2 cup 16-mesh black pepper", 0.5, "cup", "black pepper"),
        ("2 tsp 5-spice", 2.0, "tsp", "five-spice"),
        ("Orange 1, halved", 1.0, "", "Orange"),
        ("Cinnamon 1 small stick", 1.0, "", "Cinnamon"),
        ("1 Tb paprika", 1.0, "tbsp", "paprika"),
        ("3 strips orange rind", 3.0, "strip", "orange rind"),
    ],
)
def test_amounts_in_odd_places(text: str, amount: float, unit: str, name: str) -> None:
    line = read_line(text)
    assert (line.amount, line.unit, line.name) == (amount, unit, name)


def test_another_measure_goes_when_the_amount_changes() -> None:
    done = made(WET, meat="2.2 kg beef short ribs",
                more=("2 cups (500ml) chicken stock", "1/3 cup (80ml) dark soy sauce"))  # fmt: skip
    stock = next(line for line in done.lines if "stock" in line.name)
    assert stock.amount is not None
    assert stock.amount[0] < 2.0
    assert "500" not in stock.aside


def test_a_quarter_of_a_celeriac_is_no_half() -> None:
    done = made(WET, more=("1/4 celeriac",))
    assert any("¼" in line.text(lambda message: message.code) for line in done.lines)


def test_a_part_that_is_blended_stays_one_sauce() -> None:
    done = convert(understand(read(
        "Barbacoa\n\nIngredients\nFor the meat\n3 lb beef brisket\n1 Tbsp oil\nFor the adobo\n"
        "5 cloves garlic\n1/3 c. cider vinegar\n1 Tbsp ground cumin\n\nMethod\nWhizz everything for"
        " the adobo in a blender.\nSear the beef.\nAdd beef and adobo to the crock. Low 8 hours.\n"
        "Shred.\n"
    )), KITCHEN)  # fmt: skip
    vinegar = next(r for r, t in enumerate(done.understood.recipe.ingredients) if "vinegar" in t)
    garlic = next(r for r, t in enumerate(done.understood.recipe.ingredients) if "garlic" in t)
    assert (went(done, vinegar), went(done, garlic)) == (["pot"], ["pot"])


def test_a_heading_in_capitals_names_a_part_that_is_painted_on() -> None:
    done = convert(understand(read(
        "Twice-cooked ribs\n\nFOR THE BOIL\n2 racks baby back ribs (roughly 700g each)\n1 onion\n\n"
        "STICKY STUFF\n120ml hoisin\n2 tbsp rice vinegar\n1 thumb ginger, grated\n\n"
        "Put the ribs and onion in a pan, cover with water. Blip gently for 50 minutes until"
        " tender.\nMeanwhile warm the sticky stuff in a small pan.\nGet the grill on high. Paint"
        " the ribs and grill 4-5 mins a side till charred.\n"
    )), KITCHEN)  # fmt: skip
    assert lines_of(done, "finish") == {"hoisin", "rice vinegar", "ginger"}
    # the pot is the long heat, and the grill the crust
    assert (done.understood.cooking.method, done.understood.cooking.high_s) == ("simmer", 3000)
    assert done.finish.kind == "grill"


def test_a_grill_that_lasts_longer_than_the_pot_is_the_heat() -> None:
    found = understood("Simmer the ribs 20 minutes. Then grill over indirect heat for 2 hours.")
    assert found.cooking.method == "grill"


def test_cubes_cut_from_cooked_meat_are_not_cooked_as_cubes() -> None:
    found = understood("Smoke @ 250°F until the internal temp hits 195°F, 8–10 hours. Rest 30"
                       " minutes. Cut into 1½-inch cubes and toss with the sauce.",
                       meat="1 brisket point (5-6 lbs)")  # fmt: skip
    assert found.thickness_m is None
    assert found.cooking.temp_c == pytest.approx(121, abs=1)


@pytest.mark.parametrize(
    "line",
    ["Recipe by A. N. Other | 12 servings | Total Time: 14 hrs", "⏱ 2h 15m | 🍽 Serves 12 | Easy"],
)
def test_for_how_many_among_other_labels(line: str) -> None:
    recipe = read(f"Pork\n{line}\n\nIngredients\n2 kg pork shoulder\n\nMethod\n{WET}\n")
    assert understand(recipe).plates == 12


def test_a_weight_that_only_the_words_above_give() -> None:
    recipe = read(
        "Sunday ribs\n\nHere's what I do with a slab of spareribs (about 3½ lb, flap on).\n\n"
        "You'll need: 1 slab pork spareribs, 2 tablespoons brown sugar, 1/2 cup apple juice.\n\n"
        "Lay the slab on foil, crimp it shut and bake at 275 two and a half hours.\n"
    )
    found = understand(recipe)
    assert found.mass_kg == pytest.approx(1.59, rel=0.01)
    assert "mass" not in {question.asked for question in found.questions}


def test_an_answer_among_questions_is_the_recipe() -> None:
    recipe = read(
        "Q: anyone got a foolproof slow cooker ribs?\n"
        "A: Yes. 2 racks of baby backs (mine are about 2.5 lbs each), rub w/ 3T brown sugar 1T"
        " paprika 2t salt, stand them up around the wall of the crock. 1/2 c. apple juice in the"
        " bottom. LOW 6-7 hrs. Slather w/ 1 c bbq sauce, broil 5 min.\nQ: can I do high?\n"
    )
    found = understand(recipe)
    assert (found.cut, found.cooking.method) == ("back_ribs", "slow_low")
    assert found.mass_kg == pytest.approx(parse_measure("5 lb", "mass", "mass"), rel=0.01)
    assert {"3T brown sugar", "1T paprika", "1/2 c. apple juice"} <= set(recipe.ingredients)


def test_everything_else_is_what_was_not_named_before() -> None:
    done = made("Brown the pork in the lard. All back in with everything else. Simmer 2 hours.",
                "Shred. Tacos for 8: tortillas, salsa, onion.",
                more=("250 g lard", "1 onion, quartered", "3 bay leaves"))  # fmt: skip
    assert went(done, 2) == ["sear"]
    assert done.understood.plates == 8


def test_minutes_under_the_lid_and_not_those_of_the_onion() -> None:
    found = understood("Sauté the onion 3 min. Ribs in. Pressure cook high 40 min, 10 min NR. Open,"
                       " whisk in flour.", meat="2.5 lb boneless beef short ribs")  # fmt: skip
    assert found.pressure is not None
    assert found.pressure.hold_min == 40


def test_thickening_that_only_a_step_tells_keeps_its_words() -> None:
    done = made(WET, "Thicken sauce: 2 tsp cornstarch/1 Tbsp water.")
    assert "cornstarch" in told(done)


def test_a_german_roast_with_its_crust() -> None:
    found = understand(read(
        "Schaufelbraten\n\nZutaten für 4 Personen:\n1,5 kg Schweineschulter mit Schwarte\n"
        "500 ml dunkles Bier\n1 EL Stärke\n\nZubereitung:\nBackofen auf 180 °C vorheizen. Fleisch"
        " in den Bräter legen und 45 Minuten braten. Mit Bier übergießen und weitere 90 Minuten"
        " garen. Zum Schluss 15 Minuten bei 220 °C Grill knusprig bräunen. Fleisch 15 Minuten ruhen"
        " lassen. Soße mit Stärke binden.\n"
    ))  # fmt: skip
    assert (found.cooking.method, found.cooking.high_s) == ("oven_open", 135 * 60)
    assert found.cooking.temp_c == pytest.approx(180)
    assert found.crust.kind == "broiler"
    assert "Thicken" in told(convert(found, KITCHEN))


def test_one_of_two_cuts_is_asked() -> None:
    found = understood(WET, meat="4 lbs. pork spareribs or baby back ribs")
    assert found.cut == "spare_ribs"
    assert "cut" in {question.asked for question in found.questions}


def test_minutes_a_pound_with_the_last_of_them_uncovered() -> None:
    found = understood(
        "Cover with foil. Bake at 325° for 50 min. per lb. or until fork tender. Uncover last 30"
        " min., basting often.",
        meat="4 lb beef brisket",
    )
    assert found.cooking.high_s == pytest.approx(4 * 50 * 60, rel=0.01)


def test_the_limes_of_the_pickle_are_not_those_of_the_marinade() -> None:
    done = convert(understand(read(
        "Pork\n\nFor 6\n\n1.5kg boneless pork shoulder, in 6 big pieces\njuice of 2 limes\n"
        "1 tsp salt\nFor the pickled onions: 2 red onions, juice of 2 limes, 1 tsp salt\n\n"
        "Marinate the pork in the juice overnight. Lid on, 150°C for 3 hours. Meanwhile slice"
        " onions, toss with lime and salt. Shred. Serve with onions.\n"
    )), KITCHEN)  # fmt: skip
    assert sum(count for _, count in done.plan.setup.request.load.kinds()) == 6
    assert "finish" not in {line.when for line in done.lines}
    # a part of several foods is served by its own name
    assert "pickled onions" in told(done)


def test_a_sauce_behind_the_steps_is_no_end_of_the_page() -> None:
    recipe = read(
        "# Pulled pork\n\n## Stuff\n* 2.5 kg pork butt (bone in)\n* 250 ml apple juice\n\n## Do\n"
        "1. Slow cooker on low, pork in, juice round it.\n2. Go to bed. 9-10 hours.\n3. Pull.\n\n"
        "## Vinegar sauce\n* 200 ml cider vinegar\n* 2 tbsp ketchup\n* chilli flakes\n\n"
        "Warm together till it steams.\n"
    )
    assert len(recipe.ingredients) == 5
    assert [part.name for part in recipe.parts][-1] == "Vinegar sauce"
    done = convert(understand(recipe), KITCHEN)
    assert lines_of(done, "beside") == {"cider vinegar", "ketchup", "chilli flakes"}
    assert "Vinegar sauce: Warm together" in told(done)
    assert "Slow cooker on low" not in told(done)


def test_a_simmer_that_also_reduces_still_cooks_the_meat() -> None:
    found = understood(
        "Simmer covered 50 min. Add the radish; simmer 30 min more till the ribs are very tender"
        " and the sauce is reduced.",
        meat="3 lb short ribs",
    )
    assert found.cooking.high_s == 80 * 60


def test_a_card_ends_with_its_servings() -> None:
    found = understood("Simmer partly covered 2 hr. sour cream, cheddar, scallions. 6-8",
                       meat="2 lb. boneless short ribs cut in 1 in. cubes")  # fmt: skip
    assert found.plates == 7
    assert found.thickness_m == pytest.approx(0.0254)


def test_a_fire_without_a_word_for_its_heat() -> None:
    done = made("Set up a charcoal snake with apple chunks. Hold 225-250.",
                "Mustard, rub, ribs on. 5½ hrs total, no wrap.",
                meat="2 racks St. Louis ribs (5 lb)")  # fmt: skip
    assert done.understood.cooking.temp_c == pytest.approx(107, abs=1)
    assert "charcoal" not in told(done)


def test_wings_in_hot_air() -> None:
    found = understood("Toss wings with the salt. Air fry 200C 25 min shaking twice.",
                       meat="1 kg chicken wings")  # fmt: skip
    assert found.cooking.high_s == 25 * 60


def test_headings_of_one_word_and_a_mop() -> None:
    done = convert(understand(read(
        "Memphis ribs\nTotal: 5 hr 30 min   Yield: 6 to 8 servings\n\nDry rub\n1/3 cup paprika\n"
        "2 tablespoons kosher salt\n\nRibs\n3 slabs spare ribs (about 9 lb. total)\nMop: 1 cup"
        " distilled vinegar, 1 cup water\n\n1. Coat ribs with rub; refrigerate 4 hours.\n2. Bring"
        " smoker to 235 degrees F. Smoke ribs, mopping every 45 minutes, 4 1/2 to 5 hours.\n"
    )), KITCHEN)  # fmt: skip
    found = done.understood
    assert [part.role for part in found.recipe.parts][:1] == ["rub"]
    assert not {"Dry rub", "Ribs"} & set(found.recipe.ingredients)
    assert found.plates == 7
    # a mop keeps meat moist in a smoker; nothing dries under the lid
    assert not any("vinegar" in line.name for line in done.lines)


@pytest.mark.parametrize("heading", ["Ingredients (2-3 servings)", "Ingredients (for 3)"])
def test_for_how_many_behind_the_heading(heading: str) -> None:
    recipe = read(f"Ribs\n\n{heading}\nPork spare ribs: 600g\n★Soy sauce: 3 Tbsp\n\nDirections\n"
                  "① Put ribs in a pot. Simmer on low heat for 40 minutes.\n")  # fmt: skip
    assert understand(recipe).plates in {2.5, 3}
    assert read_line(recipe.ingredients[1]).name == "Soy sauce"
    assert recipe.steps[0].startswith("Put ribs")


def test_starch_and_its_cold_water_in_two_lines_go_in_at_the_end() -> None:
    done = made("Cook on low for 6-8 hours in the slow cooker. Mix cornstarch and water until"
                " smooth; stir into juices.", meat="3 pounds boneless pork shoulder",
                more=("1/2 cup soy sauce", "3 tablespoons cornstarch",
                      "3 tablespoons cold water"))  # fmt: skip
    assert (went(done, 2), went(done, 3)) == (["after"], ["after"])


def test_a_bath_far_below_boiling_is_asked_about() -> None:
    found = understood("Seal in a bag and cook sous vide at 68 C for 24 hours.",
                       meat="2 kg brisket flat, 5 cm thick")  # fmt: skip
    assert found.cooking.method is None
    assert "method" in {question.asked for question in found.questions}


def test_a_smoker_that_only_the_title_names() -> None:
    recipe = read("Char siu, electric smoker or oven\n\n800 g pork neck\n3 T hoisin\n\nRoast on a"
                  " rack over water at 180 C, 40 min.\n")  # fmt: skip
    assert understand(recipe).cooking.method == "oven_open"


def test_country_ribs_are_not_cut_up_to_fit() -> None:
    done = made("Cook on low 7 hours.", meat="3 pounds boneless country-style ribs")
    assert done.portioned.cuts == 1


def test_a_title_that_ends_as_a_sentence_does() -> None:
    recipe = read("Mustard-crusted pork collar for a weeknight?! Almost.\n\n(serves 4, just)\n\n"
                  "pork collar 1.1 kg\ncider 250 ml\n\nRoast at 170°C, 1 hr 20.\n")  # fmt: skip
    assert recipe.title.startswith("Mustard-crusted")
    assert understand(recipe).plates == 4


def test_a_page_with_short_headings_and_smoke_from_a_bottle() -> None:
    recipe = read(
        "Pulled pork, from Lindy's newsletter #41\n\nServes a crew of 10\n\nGET\n"
        "pork butt, 7-8 lbs, bone in\n1 Tbsp liquid smoke\n\nDO\n"
        "Rub salt, then smoke. Wrap in foil.\nRoasting pan, oven 325, figure 45 min/lb.\n"
    )
    found = understand(recipe)
    assert recipe.title.startswith("Pulled pork")
    assert (found.cooking.method, found.plates) == ("oven_lid", 10)
    assert found.cooking.high_s == pytest.approx(7.5 * 45 * 60, rel=0.01)


def test_a_card_with_its_source_and_dashes_for_parts() -> None:
    recipe = read(
        "RECIPE: Rib tips\nSOURCE: church picnic cookbook, p. 112\nSERVES: 6\n\n5 lbs rib tips\n"
        "Rub – 3 T. paprika, 2 T. salt\nSauce – 2 c. ketchup, 1 c. vinegar\n\n"
        "Smoke w/ hickory 250° 3 hrs til tender. Simmer sauce ingred. 20 min.\n"
    )
    found = understand(recipe)
    assert recipe.source == "church picnic cookbook, p. 112"
    assert [part.role for part in recipe.parts] == ["rub", "sauce"]
    assert (found.cut, found.cooking.high_s) == ("rib_pieces", 3 * 3600)


def test_an_oven_that_nobody_names() -> None:
    found = understood("sit in a snug dish. 220c 30 mins then 150c 2.5 hours. if skin isn't crackly"
                       " whack under grill. fed 5 greedy people",
                       meat="~1.3kg pork shoulder, skin on, boneless")  # fmt: skip
    assert (found.cooking.method, found.mass_kg, found.plates) == ("oven_open", 1.3, 5)


def test_a_meal_of_the_next_day_is_warmed_and_not_cooked() -> None:
    found = understood("Cover very tightly. 300 degrees, 3 hours. Next day slice thin, return to"
                       " sauce, warm at 325 covered for 45 min.", meat="5 lb brisket")  # fmt: skip
    assert found.cooking.high_s == 3 * 3600


def test_what_goes_into_the_pot_is_told_once() -> None:
    done = made("Sauté the onion 5 min.", "Add tomatoes, stock and pork.",
                "Lock lid. Pressure Cook on HIGH for 45 minutes. Natural release.",
                more=("1 onion", "1 can whole tomatoes", "1/2 cup beef stock"))  # fmt: skip
    assert "Add tomatoes, stock and pork" not in told(done)


def test_two_dozen_wings_are_no_two_dozen_people() -> None:
    recipe = read("Wings\n\n3 lb chicken wings\n\nBake at 425°, 40 minutes.\nMakes about 24.\n")
    assert understand(recipe).plates is None


def test_short_ribs_in_german() -> None:
    found = understand(read(
        "Rinderrippen mit Ale\n\nZutaten\n1,6 kg Querrippe vom Rind, mit Knochen, in 4 Stücken\n"
        "1 Flasche (0,5 l) dunkles Ale\n2 EL Zuckerrübensirup\n\n1. Rippen anbraten.\n"
        "2. Zugedeckt bei 160 °C im Ofen 2 Std. 30 Min. schmoren, bis das Fleisch vom"
        " Knochen fällt.\n"
    ))  # fmt: skip
    assert (found.cut, found.count) == ("short_ribs_english", 4)
    assert (found.cooking.method, found.cooking.high_s) == ("oven_lid", 150 * 60)
    done = convert(found, KITCHEN)
    assert lines_of(done, "after") == {"Zuckerrübensirup"}


@pytest.mark.parametrize(
    ("food", "kind"),
    [
        ("red pepper flakes", "chilli"), ("sambal oelek", "chilli"), ("jalapeno", "chilli"),
        ("turmeric", "spice"), ("ground ginger", "spice"), ("pumpkin pie spice", "spice"),
        ("dried basil", "dried_herb"), ("italian seasoning", "dried_herb"),
        ("cajun seasoning", "rub"), ("blueberries", "foaming_thick"), ("beetroot", "root"),
        ("celery root", "root"), ("shiitake", "tender_veg"), ("mustard greens", "tender_veg"),
        ("cognac", "spirit"), ("salt pork", "other_meat"), ("beef consomme", "stock"),
        ("kecap manis", "sweet_sauce"), ("pickled ginger", "beside"), ("ghee", "fat"),
    ],
)  # fmt: skip
def test_foods_by_what_they_do_in_the_pot(food: str, kind: str) -> None:
    assert food_of(f"2 tbsp {food}").kind == kind


def test_amounts_in_words_within_a_paragraph() -> None:
    recipe = read(
        "My slow-cooker brisket for any Tuesday\n\nSo! You take a flat-cut brisket about three and"
        " a half pounds, trim it. Whisk one can whole-berry cranberry sauce with half a cup of red"
        " wine and two tablespoons tomato paste. Onions on the bottom of the crock, brisket,"
        " sauce over. Low 8-9 hours.\n"
    )
    found = understand(recipe)
    assert found.mass_kg == pytest.approx(parse_measure("3 1/2 lb", "mass", "mass"), rel=0.01)
    assert {"half a cup of red wine", "two tablespoons tomato paste"} <= set(recipe.ingredients)


def test_half_of_a_sauce_over_cooked_meat_is_no_marinade() -> None:
    done = made("Mix the rub. Rub all over the pork.", "Roast at 300 degrees F for about 6 hours.",
                "Simmer the vinegar and ketchup in a saucepan for 10 minutes. Shred. Pour half of"
                " the sauce over the pork. Serve on the buns with remaining sauce.",
                more=("3 tablespoons paprika", "3 tablespoons coarse salt", "1 cup cider vinegar",
                      "1/2 cup ketchup", "12 hamburger buns"))  # fmt: skip
    assert (went(done, 1), went(done, 2)) == (["season"], ["season"])
    assert went(done, 5) == ["beside"]


def test_plus_signs_and_what_a_page_offers_to_select() -> None:
    recipe = read("Tacos\n\nIngredients\nDeselect All\n+ 2 kg boneless pork shoulder\n+ 1 onion\n\n"
                  f"Directions\n{WET}\n")  # fmt: skip
    assert recipe.ingredients == ("2 kg boneless pork shoulder", "1 onion")


@pytest.mark.parametrize(
    ("line", "cut"),
    [
        ("4 spare rib chops (about 8 oz each)", "shoulder_boneless"),
        ("2 lb pork spareribs cut across into 2 inch pieces", "rib_pieces"),
    ],
)
def test_cuts_with_names_like_those_of_others(line: str, cut: str) -> None:
    assert understood(WET, meat=line).cut == cut
