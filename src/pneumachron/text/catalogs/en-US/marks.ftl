# Why a line or a step of a recipe was changed: "mark-" and the rule; .caution is what to mind
# when the cook leaves it unchanged. And what is asked of a recipe, and how it compares.

mark-thin_to_need = Nothing boils away under the lid: { VOLUME($need_m3) } is enough for this cooker and this meat.
    .caution = More liquid than needed makes the sauce thin, and it takes longer to come to pressure.
mark-water_added = The cooker needs { VOLUME($need_m3) } of thin liquid, and the recipe brings less. Without it, it cooks with half the cooker's minimum, as the meat gives juice.
    .caution = With less than the minimum it may not come to pressure, and food scorches.
mark-wine_first = At most a third of the liquid is wine. Simmer it uncovered first: under the lid its alcohol stays. It is never quite free of alcohol.
    .caution = Alcohol vapor collects under a lid. Boil it off first, away from a flame.
mark-spirit_first = Raw spirits never go under pressure. Use a splash, and boil it off uncovered before the rest goes in.
    .caution = Raw spirits under pressure can catch fire at the valve. Boil them off first.
mark-stock_unsalted = Use unsalted stock: the juice of the meat, and reducing later, make it saltier.
mark-acid_halved = Half goes in before, half after: under pressure a sharp taste goes flat. What is measured goes by the amount of liquid.
mark-sugar_after = More than { $units ->
        [us] 1 Tbsp of sugar in a cup
       *[metric] 50 g of sugar in a liter
    } scorches on the bottom, so it goes in after pressure.
    .caution = Sugar on the bottom scorches and stops the cooker.
mark-sugar_caramel = It is melted to a caramel first and dissolves in the liquid before the lid goes on, so none of it lies on the bottom.
    .caution = Hot caramel spits and burns. What is not dissolved scorches and stops the cooker.
mark-sugar_in_rub = A rub that touches the bottom carries little sugar: at most { $units ->
        [us] 1 tsp a pound
       *[metric] 10 g a kilogram
    } of meat. The rest goes on with the finish.
    .caution = Sugar on the bottom scorches and stops the cooker.
mark-sweet_sauce_after = It is thick and sweet and scorches on the bottom. Brush it on or stir it in after pressure.
    .caution = Thick sauce on the bottom scorches. At least pour it over the meat, last.
mark-thick_on_top = It is thick: it counts only in part as liquid and scorches on the bottom. Put it on top of the meat and do not stir it in.
    .caution = Tomato on the bottom scorches.
mark-foaming_apart = It swells and foams and may block the valve. Cook it separately, half full at most, or in another pot.
    .caution = Foam can block the valve. Fill it half at most, and wait before you open the valve.
mark-flour_left_off = Flour on the meat burns to the bottom. Leave it off and thicken afterward.{ $allergens ->
        [none] { "" }
       *[other] { " " }Contains { NAMES("allergen", $allergens) }.
    }
    .caution = Flour on the bottom scorches and stops the cooker.
mark-starch_after = Starch thickens only what simmers uncovered. Stir it into cold water and add it after pressure.{ $allergens ->
        [none] { "" }
       *[other] { " " }Contains { NAMES("allergen", $allergens) }.
    }
    .caution = Starch settles before it comes to pressure, and scorches.
mark-milk_limited = Milk scorches and curdles under pressure, and after it nothing boils so much away. Stir in { VOLUME($most_m3) } at the end, off the heat.
    .caution = Milk under pressure curdles and may scorch.
mark-dairy_after = Dairy curdles under pressure. Stir it in at the end, below { TEMP(80) }.
    .caution = Dairy under pressure curdles and may scorch.
mark-dried_herb_less = Nothing leaves with the steam: two thirds of the dried herbs do as much.
mark-chilli_less = The heat of chili stays in the cooker: three quarters do as much. Pods and flakes go by the amount of liquid.
mark-fresh_herb_last = Fresh herbs turn gray under pressure. They go in at the end.
mark-roots_own_run = A cook time of { PANEL($hold_min) } turns them to mash. Cook them separately while the meat rests.
    .caution = They will fall to mash and thicken the juice.
mark-roots_with_meat = In pieces of { $units ->
        [us] 1½ to 2 in
       *[metric] 4 to 5 cm
    } they stand this cook time.
mark-seafood_last = Seafood is done in minutes, so it goes in after pressure.
mark-tender_after = Tender vegetables go in at the end, for a few minutes, uncovered.
mark-smoke_replaced = There is no smoke in a pressure cooker. Smoked paprika, by the weight of the meat, stands in for it.
mark-liquid_smoke_measured = Liquid smoke goes by measure: { $units ->
        [us] about ½ tsp a quart, 1 tsp at most
       *[metric] 2 to 4 ml a liter, 6 ml at most
    }. More tastes of tar.
mark-spritz_struck = Nothing dries out under the lid, so nothing is sprayed.
mark-tool_struck = It is for another way of cooking. No plastic, bag or foil goes into the cooker.
mark-fat_limited = So much fat would be deep fat, and nothing is fried under pressure. This is enough to brown the meat.
mark-fat_unfried = Nothing is fried before the lid goes on, so this fat waits until after pressure.
    .caution = Deep fat under pressure can spit, foam over and catch fire.
mark-binder_named = It holds the rub and brings mustard. Tell those who must not eat it.
mark-marinade_boiled = It held raw meat. Boil it for { MINUTES(5) } before you use it as a sauce.
    .caution = A marinade that held raw meat is not eaten unboiled.
mark-follows_liquid = There is less liquid, so there is less salt and sharpness in it. The juice of the meat comes on top.
mark-kept_amount = By the new weight of the meat.
mark-unknown_kept = The app does not know it. It may be thick, sweet or starchy, so it stays off the bottom. Say in the recipe what it is, or put it where it belongs.
    .caution = What is thick or sweet scorches on the bottom and stops the cooker.
mark-heat_struck = { $device ->
        [smoker] No smoker
        [oven_lid] No oven
        [oven_open] No oven
        [slow_low] No slow cooker
        [slow_high] No slow cooker
        [grill] No grill
        [stovetop_pressure] No stovetop cooker
        [simmer] No simmering
       *[other] No other heat
    }: the cooker does this in { DURATION($total_s) }, lid on to lid off.
mark-in_our_step = It is in step { PLAIN($step) }, in the order of work.
mark-left_out = This way leaves it out.
mark-left_out-sear = This cut is not browned first. Its crust comes with the finish.
mark-left_out-finish = This way has no crust.
mark-minutes_kept = The recipe is made for such a cooker: its { MINUTES($own_min) } and its release stay. Expect this: { LOOKS($cut, $texture) }. The plan has { MINUTES($usual_min) }, likely { MINUTESSPAN($low_min, $high_min) }.
mark-minutes_of_the_plan = The plan’s { MINUTES($hold_min) } stand here instead of the recipe’s.
mark-own_words = Kept in its own words.
mark-portioned = The cooker is { LENGTH($wide_m) } wide.{ $cuts ->
        [one] { "" }
       *[other] { " " }The meat is cut into { PLAIN($cuts) } portions.
    }{ $runs ->
        [one] { "" }
       *[other] { " " }It is cooked in { PLAIN($runs) } batches.
    }
mark-finish_added = Steam makes no crust. Put one on afterward.
mark-finish_as_told = The recipe browns it at the end, and so does this.
mark-burnt_ends = Burnt ends are sticky cubes with dark edges. They get both after the cook, from dry heat.
mark-bark = A bark is made by smoke and dry heat. Pat the cooked meat dry and brown it hard; it comes close, but it is no bark.
mark-crackling = Rind goes soft under pressure. Take it off before the cook, and roast it on its own at { TEMP(220) } until it crackles.
mark-grill_instead = Meat this thin gains little from pressure. The grill, as the recipe has it, is quicker.
mark-cure_in_order = This is a cure or brine. It stays as written, in its own order, by its own measure. Curing salt holds nitrite and is harmful in larger amounts: it is never a seasoning and never goes into the cooker.
    .caution = Curing salt used as a seasoning is harmful. Weigh it as the cure says.
mark-other_part = It belongs to “{ $part }”, which is made on its own and not cooked under pressure.
    .caution = What is thick or sweet scorches on the bottom and stops the cooker.
mark-placed = You said where it goes.
mark-placed_to_scorch = You said where it goes. What is thick or sweet scorches on the bottom and stops the cooker.
mark-named_late = The recipe adds it after cooking, and so does this.
    .caution = What is thick or sweet scorches on the bottom and stops the cooker.
mark-marinade_shared = Half goes onto the raw meat, and half is set aside before it touches any, for the end.
    .caution = What has touched raw meat is not brushed on cooked meat.
mark-marinade_wiped = It soaks the raw meat. Wipe it off before the meat goes in, and throw away what is left, or boil it for { MINUTES(5) }.
    .caution = A marinade that held raw meat is not eaten unboiled.
mark-salt_brushed_off = So much salt cures the meat. Brush it off before the meat goes into the cooker, or its juice is too salty to eat.
    .caution = In a closed pot all of the salt stays in the juice.
mark-cured_meat = It is cured already. Rinse it, and add no salt.

allergen-celery = celery
allergen-crustaceans = crustaceans
allergen-egg = egg
allergen-fish = fish
allergen-gluten = gluten
allergen-milk = milk
allergen-molluscs = mollusks
allergen-mustard = mustard
allergen-nuts = nuts
allergen-peanut = peanut
allergen-sesame = sesame
allergen-soya = soy
allergen-sulphites = sulfites

# Where a line goes that is not simply cooked along.
when-cure = for the cure or brine
when-season = to season
when-sear = first
when-pot = in the cooker
when-top = on top of the meat, last
when-first_run = cook first, separately
when-own_run = cook separately
when-after = after pressure
when-finish = with the finish
when-beside = to serve

# Two places of an ingredient, where the steps can be read either way.
doubt-foods_on_no_line = These are measured in the text and stand on no line of ingredients: { LIST($foods) }.
doubt-place = “{ $said }”: { $when ->
        [cure] { when-cure }
        [season] { when-season }
        [sear] { when-sear }
        [pot] { when-pot }
        [top] { when-top }
        [first_run] { when-first_run }
        [own_run] { when-own_run }
        [after] { when-after }
        [finish] { when-finish }
       *[beside] { when-beside }
    }, or { $instead ->
        [cure] { when-cure }
        [season] { when-season }
        [sear] { when-sear }
        [pot] { when-pot }
        [top] { when-top }
        [first_run] { when-first_run }
        [own_run] { when-own_run }
        [after] { when-after }
        [finish] { when-finish }
       *[beside] { when-beside }
    }? The steps can be read either way.

prepared-simmered = simmered uncovered first
prepared-boiled_off = boiled off uncovered
prepared-caramel = melted to a caramel first
prepared-brushed_off = brushed off before cooking
prepared-own_run = { MINUTES($hold_min) }, quick release
prepared-for_the_smoke = for the smoke
prepared-marinade_only = for the marinade only

# What a recipe did not say, and what is assumed until it is answered.
question-cut = Which cut is it?
question-mass = What does the meat weigh?
question-mass_of_all = What do all pieces weigh together? It says “{ $said }”.
question-mass_no_unit = What does the meat weigh? It says “{ $said }”, without a unit.
question-method = How was it cooked?
question-method_minutes = How many minutes did that take?
question-texture = How soft should it get?
question-thickness = How thick is a piece, the shortest way through?
guess-cut = { CUT($cut, "name") }
guess-mass = { MASS($mass_kg) }
guess-thickness = { LENGTH($thickness_m) }
guess-texture = { TENDERNESS($family, $texture) }
guess-method = { NAME("method", $method) }
guess-unsaid = not said

# What the recipe's own minutes would have done.
check-kept_agrees = The recipe is made for such a cooker: its { MINUTES($own_min) } stay. The plan has { MINUTES($usual_min) }, likely { MINUTESSPAN($low_min, $high_min) }. They agree.
check-kept_shorter = The recipe is made for such a cooker: its { MINUTES($own_min) } stay. The plan has { MINUTES($usual_min) }, likely { MINUTESSPAN($low_min, $high_min) }. Expect it firmer: { LOOKS($cut, $texture) }. You can always cook it longer.
check-kept_longer = The recipe is made for such a cooker: its { MINUTES($own_min) } stay. The plan has { MINUTES($usual_min) }, likely { MINUTESSPAN($low_min, $high_min) }. Expect it softer: { LOOKS($cut, $texture) }.
check-agrees = The recipe’s { DURATION($spent_s) } ({ NAME("method", $method) }) would soften this piece as much as { MINUTES($hold_min) } here. That agrees with the plan.
check-plan_has_more = The recipe’s { DURATION($spent_s) } ({ NAME("method", $method) }) would soften this piece as much as { MINUTES($hold_min) } here. The plan has more. Your cut and target tenderness decide; check early.
check-plan_has_less = The recipe’s { DURATION($spent_s) } ({ NAME("method", $method) }) would soften this piece as much as { MINUTES($hold_min) } here. The plan has less. Your cut and target tenderness decide; the recipe may overcook.

recipe-title = { $title } (pressure cooker)
recipe-stage-before = Before the cooker
recipe-stage-cooker = In the cooker
recipe-stage-after = After the cooker
recipe-servings = { $plates ->
        [one] { PLAIN($plates) } serving
       *[other] { PLAIN($plates) } servings
    }
recipe-servings_between = { PLAIN($low) }–{ PLAIN($high) } servings
recipe-manual_first = The maker's manual and local food-safety advice come first.
recipe-contains = Contains, as far as it is known here: { NAMES("allergen", $allergens) }.

# The same meal without the pressure cooker.
other-oven_lid = Set the oven to at least { SAFETEMP(163) }, the lid on tight, with liquid a third up the meat. Look after three quarters of the time; top up when the bottom shows.
other-slow = Use thawed meat only, and never reheat in it. Keep the lid on all the time. It goes on softening: it is done when it parts, not when the clock says so.
other-too_long_warm = The center of the thickest piece is between { SAFETEMP(4) } and { SAFETEMP(60) } for { DURATION($zone_s) }. Usual advice is { DURATION($limit_s) } at most (USDA; check local advice). Cut it thinner, or use the pressure cooker.
