"""Steps of usual recipes: what is told once, and what is left out. Common practice."""

import pytest

from pneumachron.recipes.understanding.durations import temperatures_in
from pneumachron.recipes.writing.day import extra_work
from tests.recipes.test_usual_cards import of
from tests.text.words import words


@pytest.mark.parametrize(
    ("voice", "said", "never"),
    [
        # vegetables of a boiled dinner were told twice
        ("corned_beef_boiled_dinner", "While it rests, cook", "Add potatoes, carrots"),
        # the first water was not thrown away
        ("galbijjim_boiled_first", "Boil ribs in a large pot of water for 10 minutes", ""),
        # “Drizzle a third over the pork”, and the rest over the pulled meat
        ("vinegar_mixture_in_two", "Stir in apple cider vinegar, Worcestershire", ""),
        ("plate_ribs_smoker_at", "Yellow mustard, coarse black pepper", "Smoker @ 265"),
        ("hoisin_short_ribs_tagline", "Brush with the reduced juice", "cosy weekend braise"),
        ("shoulder_mop_and_boiled_dip", "Bring the dip to a boil", "Worcestershire"),
        ("pork_ragu_mail", "Soften pancetta", "Garlic and puree in"),
        ("gas_grill_maple_mustard", "boil the glaze ingredients", "Heat one side of a gas grill"),
        ("pozole_neck_bones", "Soak the chiles in boiling water", ""),
        ("adobong_ribs", "Marinate the meat in soy sauce and garlic, in", ""),
        (
            "cola_ribs_seasoned_late",
            "Season it with garlic powder, onion powder, and salt",
            "Stir in",
        ),
        ("flat_sauce_on_the_side", "Simmer all the sauce ingredients", "Stir in ketchup"),
        (
            "french_dip_toasted_rolls",
            "Butter the rolls and toast",
            "Finish close under the broiler",
        ),
        (
            "mojo_reserved_for_serving",
            "Reserve 1/2 cup mojo",
            "Season all faces, the cut ones too: s",
        ),
        ("spares_with_a_wrap_line", "Brush with squeeze butter, honey, brown sugar", "wrap:"),
        # “Orange peel and bouquet” is no work of its own
        ("boeuf_carottes", "Pour in dry white wine", "Pour in the wine, flame it"),
        ("bossam_two_sauces", "Strew brown sugar over it", "Stir in"),
        ("bossam_two_sauces", "Serve with Ginger scallion sauce, Ssam sauce", "Turn oven to 260C"),
        ("chile_verde_roast", "Soften onion for a few minutes", "Leave out cilantro"),
        ("pulled_pork_under_mash", "Spoon into a baking dish, top with mash", ""),
        ("rendang_beef_rib", "cook 20 mins more until dark and dry", ""),
        ("ribs_dr_soda_oven", "boil root beer in a saucepan", "While ribs bake Cut"),
        ("butt_cut_raw_for_burnt_ends", "(about 3.8", "Cut the meat into cubes first"),
        ("pork_shoulder_beans_oven", "Soak beans overnight; drain. First cook dried", ""),
        ("ribs_lemongrass_grill", "Serve with Nuoc cham", "for 1\u00a0h"),
        ("sauerbraten_rib", "Stir in gingersnaps", "Put gingersnaps on top"),
        ("spare_ribs_chinese_steam", "Marinate in the refrigerator for 1\u00a0h", ""),
        ("barbacoa_tacos_site", "Pull it apart", "in the bowl of a slow cooker"),
        (
            "brisket_bowl_of_red",
            "Serve with Diced onion, shredded cheese, saltines",
            "garlic, and Diced",
        ),
        (
            "daube_of_brisket",
            "Marinate the meat in red wine, onions, carrots",
            "Put the beef in a bowl",
        ),
        ("kansas_spare_sauce", "Brush with sauce and brown sugar", "Brush with vegetable oil"),
        ("new_year_pork_mail", "Serve with Ciabatta rolls and arugula", "mash"),
        ("new_year_pork_mail", "sliced fennel bulbs", "in the roaster"),
        ("collar_honey_plus_extra", "Brush with hoisin sauce and honey", "extra to glaze"),
        ("short_rib_mushroom_stroganoff", "Cook noodles. Take out thyme", "Stir in butter"),
        ("szegediner_gulasch", "Sauerkraut on top", "Pull it"),
        ("italian_beef_pepperoncini_jar", "Add pepperoncini", "Add pepperoncini and simmer"),
        ("carnitas_lazy_bubble", "Crisp it in a hot pan", ""),
        ("collar_mustard_dumplings", "sit the dumplings on top, cover and cook", ""),
        ("brown_stew_short_ribs", "Take out thyme and scotch bonnet", ""),
        ("feijoada_shoulder", "Take out smoked ham hock, bay leaves, and orange", ""),
        ("costillas_turned_in_sauce", "Boil the juice to a glaze", ""),
        ("korean_ribs_blanched", "Stir in gochujang, rice syrup", "Brush with"),
        ("nackenbraten_mit_zeiten", "Salz, Pfeffer, Majoran, and Senf", "Fleisch mit Salz"),
        ("oven_pulled_vinegar_sauce", "shake the sauce ingredients in a jar", "Stir in apple"),
        ("short_ribs_remove_ribs", "Take out thyme, rosemary, and bay leaf", "celery ribs, thyme"),
        ("neck_steaks_stock_and_marinade", "mustard, soy sauce, and garlic, in", ""),
        ("pork_shoulder_fennel_white_beans", "cook fennel bulbs", "broiler"),
        ("huli_reserved_sauce", "Simmer the reserved sauce with the cornstarch", "Thicken with"),
        ("rib_sugo_rigatoni", "Take out bay leaves", "Italian sausages and bay"),
        ("packer_log_by_the_hour", "little granulated garlic", "fire lit"),
        ("tom_saap_ribs", "and toasted rice powder", "cook toasted rice powder"),
        ("rinderbrust_meerrettichsosse", "Serve with Meerrettichsoße", "Thicken with Mehl"),
        ("jerk_shoulder_over_coals", "Stir the reserved paste with 2 tbsp honey", ""),
        # what is served with it was lost where no line has it
        ("stracotto", "Polenta!", ""),
        ("schulter_mit_kruste", "Mit Knödeln servieren.", ""),
        ("mojo_with_its_skin", "Rice, black beans, raw onion.", ""),
        ("butt_with_a_vinegar_mop", "Pile on white buns with slaw.", ""),
        ("caption_with_pictures", "Pile on buns w/ slaw", "Shred pork, toss"),
        ("birria_with_film_times", "Dip tortillas in the red fat", ""),
        ("peach_spareribs", "Pass remaining sauce.", ""),
        ("ragu_in_a_paragraph", "Boil the pasta in salted water", ""),
        ("neck_on_the_kettle_with_rolls", "Serve with Soft rolls and slaw", ""),
        ("sandwich_brisket_italian_slow", "for dipping", "broiler"),
        # a marinade told in two or three sentences
        ("spare_ribs_chinese_takeaway", "Marinate the meat in dark soy", "Take off the foil"),
        ("grandmas_sauerbraten_brisket", "in the refrigerator, for 72\u00a0h", "Heat vinegar"),
        ("galbijjim_of_a_neighbor", "Parboil 5 minutes, rinse", ""),
        ("jerk_shoulder_holes_and_garlic", "Poke holes in pork and stuff with garlic", ""),
        ("oven_pulled_pork_beer", "Stir in BBQ sauce, or serve it on the side", "in a roaster"),
        ("rinderbrust_meerrettich", "Für die Sauce Butter schmelzen", "Stir in Butter"),
        ("vietnamese_caramel_ribs", "Put the sugar in a pot with 1 tbsp water", "Stir in sugar"),
        ("short_ribs_out_of_the_fridge", "Rest the meat", "45\u00a0min"),
        ("cola_ribs_slow_uk", "put everything for the sauce in a pan", "kcals"),
        ("honey_garlic_ribs_slurry_apart", "Stir in the slurry and cook 1-2", "Thicken with"),
        ("bossam_with_ssam_sauce", "Serve with Ssam sauce", "Stir in spring onions, doenjang"),
        (
            "short_rib_bourguignon_weekend",
            "brown the pearl onions in half the butter",
            "Brush with",
        ),
        ("country_style_ribs_foil", "seasoned salt, garlic powder, and black pepper", ""),
        (
            "pulled_with_apple_butter",
            "Add large sweet onion",
            "black pepper, and large sweet onion",
        ),
        ("brisket_and_potatoes_in_two_runs", "cut ones too: steak seasoning.", "Stir in oil"),
        ("shoulder_roast_with_crackling_and_apple", "Add Bramley apples", "Pull it on"),
        ("smoked_pork_butt_howto", "Pull it on a rimmed tray", "Finish on the grill"),
        ("korean_pulled_pork", "Serve with slaw and brioche buns", ""),
        ("beef_ribs_uk_jacobs", "Add chestnut mushrooms", "give it another half an hour"),
        ("baby_backs_oven_foil_packet", "Brush with barbecue sauce", "Put on baking sheet"),
        ("barbacoa_weeknight", "Add chipotle peppers in adobo", "Stir in sauce"),
        ("carnitas_bowls_to_build", "Serve with cooked rice, black beans", "see below"),
        ("cider_shoulder_browned_apples", "brown the apple wedges", "Crisp it in a hot pan"),
        ("neck_with_a_jaew", "Mix the jaew ingredients", "chilli flakes"),
        ("slab_in_foil_juices_boiled", "pour the juices in a little pot", "Stir in honey"),
        # “Return to cooker with barbecue sauce” is no grill
        ("root_beer_pulled_pork_steps", "Pull it on a rimmed tray", "Finish on the grill"),
        ("ragu_of_a_tenor_parts", "boil rigatoni separately", "Serve with rigatoni"),
        ("jacobs_ladder_asked_about", "Soften sliced onions", "a proper gravy"),
        ("pernil_of_a_mother_in_law", "the cut ones too: garlic", "Add garlic"),
        ("pork_apple_slow_cooker_page", "stock, wholegrain mustard", "too: wholegrain mustard"),
        ("teriyaki_ribs_marinade_thickened", "Brush with soy sauce, mirin", "Stir in sugar"),
        ("butt_on_at_half_past_nine", "Pull it on a rimmed tray", "bumped to 265"),
        # “garlic, 6 cloves” is no spice, and “oregano, 1 tsp; cumin, 1 tsp” are two
        ("short_ribs_amounts_behind", "dried oregano, cumin", "cloves"),
        ("dry_ribs_on_a_gas_grill", "Shake on the reserved rub", "hickory chips"),
        ("shoulder_of_a_thread_its_packet", "Stir in butter", "Mississippi"),
        ("fresh_brisket_on_kraut", "Add caraway seeds", "too: caraway"),
        # “basting with the rest of the sauce”
        ("riblets_simmered_then_roasted", "Brush with hoisin, light soy", "Stir in hoisin"),
        ("riblets_simmered_then_roasted", "Scatter with sesame", "Drain"),  # nothing is served
        ("greek_shoulder_rubbed_with_a_paste", "ones too: garlic, dried oregano", "Uncover, 220"),
        ("schweinebraten_knoblauch_eingerieben", "Kümmel, and Knoblauchzehen", "Soften Knob"),
        # “To cook:” stands above foods, and not above the work
        ("caramel_ribs_in_coconut_water", "Add fish sauce, soy sauce", "2 star anise"),
        ("mail_about_that_pork", "Stir in bbq sauce", "bbq sauce and juice"),
        ("rinderbrust_schnelltopf_oder_braeter", "Soften Zwiebeln, Möhren", "cook Möhren"),
        ("mojo_kept_for_the_sandwiches", "Build the sandwiches: mustard", "Brush with"),
        ("mojo_kept_for_the_sandwiches", "Stir in orange juice, lime juice", "meat in kosher salt"),
        ("butt_in_a_reply", "sauce: shake in a jar", "Add sauce"),
        ("rib_ragu_with_rigatoni", "Meanwhile boil rigatoni", "Serve with rigatoni"),
        ("tacos_dipped_in_the_fat", "Dip tortillas in the red fat", "Crisp it in a hot pan"),
        ("spareribs_mit_restlicher_marinade", "Brush with Ketchup and Honig", "Stir in Honig"),
        ("two_packs_of_short_ribs", "Soften big onion, carrots, celery", ""),
        ("flat_with_a_plus", "dry mustard, and bay leaf", "Put Plus"),
        ("carnitas_with_milk", "Crisp it in a hot pan", ""),  # “the meat browns in the fat”
    ],
)
def test_what_is_told_and_what_is_not(voice: str, said: str, never: str) -> None:
    told = " ".join(words(step) for step in of(voice).steps)
    assert said in told
    assert not never or never not in told


def test_a_lazy_bubble_in_hot_lard_is_no_oven() -> None:
    assert of("carnitas_lazy_bubble").understood.cooking.method == "simmer"


def test_meat_that_is_covered_over_coals_is_in_no_oven() -> None:
    """“Cook, covered, 4 hours, until 195 °F”: that of the meat was the oven's."""
    assert of("jerk_shoulder_over_coals").understood.cooking.method == "grill"


def test_to_put_it_on_the_plates_takes_minutes_only() -> None:
    """The polenta is made before, and not once the ribs are cut."""
    work = {
        each.title: (each.when, each.minutes) for each in extra_work(of("ribs_polenta_gremolata"))
    }
    made = "Cook the polenta per the packet, beat in butter and parmesan"
    assert work[made] == ("beside", 10.0)
    assert work["Serve with ribs on top and gremolata scattered over"] == ("at_table", 3.0)


@pytest.mark.parametrize(
    ("voice", "work", "when"),
    [
        # all of it was done while the meat is under pressure, serving too
        ("galbijjim_boiled_first", "Boil ribs in a large pot", "before_pot"),
        ("brisket_bowl_of_red", "Toast the chiles", "before_rub"),
        ("galbi_jjim_in_cells", "Soak the ribs", "before_pot"),
        ("mojo_reserved_for_serving", "Reserve", "before_rub"),
        ("gas_grill_maple_mustard", "Meanwhile, boil the glaze", "beside"),
        ("pulled_pork_under_mash", "Spoon into a baking dish", "at_table"),
        ("brisket_bowl_of_red", "Serve with onion", "at_table"),
        # it was made once the meat was carved
        ("brisket_tacos_pickled_onions", "While the meat cooks, make", "beside"),
    ],
)
def test_when_the_day_does_what_keeps_its_own_words(voice: str, work: str, when: str) -> None:
    found = {extra.title: extra.when for extra in extra_work(of(voice))}
    assert [each for title, each in found.items() if title.startswith(work)] == [when]


@pytest.mark.parametrize(
    ("voice", "first"),
    [
        ("carnitas_under_the_broiler", True),
        ("carnitas_served_with", True),
        ("overnight_what_you_will_do", False),
        ("pulled_pork_each_so_much", False),
    ],
)
def test_pulled_before_its_crust_or_after_it(voice: str, first: bool) -> None:
    kinds = {step.kind: words(step) for step in of(voice).steps}
    assert ("Pull it apart" in kinds["finish"], "Pull it" in kinds["carve"]) == (first, not first)


@pytest.mark.parametrize(
    ("voice", "what", "value"),
    [
        ("brisket_first_one", "hours", (12, 12)),  # “total 12 hrs”, and not “(7.5 hrs in)”
        ("smoked_plate_ribs_forum_steps", "hours", (6, 7)),  # 3 h “alone” are of these
        ("brisket_first_one", "temp_c", 121),  # 250 °F; 170 °F is inside, where it is wrapped
        ("rippchen_mit_honig", "cut", "back_ribs"),  # pork, and no beef short ribs
        ("root_beer_pulled", "cut", "shoulder_boneless"),  # “tenderloin or pork shoulder”
        ("leftover_tacos_short_rib", "plates", 5.5),  # 16 tacos are no plates
        ("spareribs_ofen_honigbier", "plates", 3.5),  # “Für 3-4 Portionen:”
        ("butt_on_at_half_past_nine", "hours", (16.25, 16.25)),  # “at 9:30pm” is no nine o'clock
        ("cider_shoulder_browned_apples", "hours", (3.5, 4)),  # and no quarter for the sauce
        ("pork_apple_slow_cooker_page", "hours", (8, 8)),  # “a further 15 mins until thickened”
        ("blade_steaks_coloured_first", "hours", (1.5, 1.5)),  # first “to get some color”
        ("potluck_pork_five_ish", "kg", 2.27),
        ("slab_in_foil_juices_boiled", "kg", 1.25),  # “a slab, 2.5-3 lb”
        ("brisket_in_six_chunks", "pieces", 6),
        ("dry_ribs_on_a_gas_grill", "texture", "tender"),  # “Pull membranes” pulls no meat
        ("dry_ribs_on_a_gas_grill", "method", "grill"),  # chips in a pouch make no smoker
        ("neck_slices_smothered", "thickness_m", 0.025),
        ("one_of_seven_pounds", "kg", 3.18),  # “1 - 7 lb” is no range
        ("butt_in_two_chunks", "pieces", 2),  # halves, and no stew
        ("weekend_table_short_ribs", "title", "SHORT RIBS WITH BLACK GARLIC AND POLENTA"),
        ("ingwer_soja_rippchen", "crust", "broiler"),  # “unter dem Grill”
        ("oven_ribs_table", "crust", "grill"),  # “grill hot for 4 min a side”
        ("rinderbrust_schnelltopf_oder_braeter", "hours", (2.5, 2.5)),  # “gut zweieinhalb”
        ("rinderbrust_schnelltopf_oder_braeter", "method", "oven_lid"),  # the steps tell which
        ("ribs_on_a_form_of_eds", "kg", 3.74),  # “2.75# ea.”
    ],
)
def test_what_is_read_of_it(voice: str, what: str, value: object) -> None:
    done = of(voice)
    cooking = done.understood.cooking
    found = {
        "hours": ((cooking.low_s or 0) / 3600, (cooking.high_s or 0) / 3600),
        "temp_c": round(cooking.temp_c or 0),
        "title": done.understood.recipe.title,
        "cut": done.understood.cut,
        "texture": done.understood.texture,
        "method": cooking.method,
        "crust": done.understood.crust.kind,
        "thickness_m": done.understood.thickness_m,
        "kg": round(done.understood.mass_kg, 2),
        "pieces": done.understood.count,
        "plates": done.plates,
    }
    assert found[what] == value


@pytest.mark.parametrize(
    ("text", "temp_c"),
    [
        ("Wrapped in pink butcher paper at 170 (7.5 hrs in).", 77),  # °F, inside
        ("Wrap the ribs in foil and bake at 160 for 2 hours.", 160),  # an oven
    ],
)
def test_where_meat_is_wrapped_and_where_it_cooks_wrapped(text: str, temp_c: int) -> None:
    assert [round(found.temp_c) for found in temperatures_in(text)] == [temp_c]
