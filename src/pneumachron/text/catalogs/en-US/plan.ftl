# What a plan says: why each number is what it is, cautions, release.
# Ids: "reason-" about "-" fact; "caution-" code. Numbers come as parameters in SI.

## Why: the cook time

reason-hold-thickness = Thickness matters most. { STEP() } more adds { STEPMINUTES($min_per_m) }.
reason-hold-warming = The first { MINUTES($warm_min) } at pressure only warm the meat. Softening starts after that.
reason-hold-after_hold = { PERCENT($share) } of the softening comes after the cook time, while the pressure falls and the meat stands.
reason-hold-texture = One step softer would add { MINUTES($more_min) }.
reason-hold-membrane = The membrane holds the bones together. Left on, it takes one step more.
reason-hold-altitude = At { ALTITUDE($altitude_m) } the cooker runs cooler: { CHANGE($more_min) }. The usual altitude rule gives { MINUTES($rule_min) } in all.
reason-hold-frozen = Frozen meat thaws under pressure first. { MINUTES($extra_min) } are added to be sure.
reason-hold-stacked = The pieces lie partly on each other, and little heat gets in between. They cook like pieces { LENGTH($cooks_m) } thick.
reason-hold-poultry_floor = Poultry needs at least { MINUTES($floor_min) } here, so that the thickest piece is safe at its center when the lid comes off.
reason-hold-few_sources = { $cases ->
        [0] There is no source of its own for { CUT($cut, "short") }.
       *[other] There is only one source for { CUT($cut, "short") }.
    } The number rests mostly on similar cuts. Check before you trust it, and rate the result.
reason-hold-log = Adjusted from your log: { CHANGE($moved_min) }. Your cooks came out { $came_out ->
        [firmer] firmer
       *[softer] softer
    } than expected.
reason-hold-boil_test = Your boil test found this cooker { PERCENT($share) } { $is ->
        [stronger] stronger
       *[weaker] weaker
    } than its label says. The time to pressure is adjusted.
reason-hold-log_heat = In your log this cooker comes to pressure { PERCENT($share) } { $is ->
        [stronger] sooner
       *[weaker] later
    } than its label says. The time to pressure is adjusted.

## Why: the likely range

reason-range-thickness = In 8 of 10 kitchens the right time is in this range. Most of it is how well the thickness was measured. Not sure? Set the short end and check. It can always cook longer, never shorter.
reason-range-guessed_thickness = In 8 of 10 kitchens the right time is in this range. Most of it is the guessed thickness. Measure it to { STEP() } and the range narrows to { MINUTESSPAN($measured_low_min, $measured_high_min) }.
reason-range-pressure = In 8 of 10 kitchens the right time is in this range. Most of it is the pressure your cooker really keeps.
reason-range-practice = In 8 of 10 kitchens the right time is in this range. Most of it is that animals and kitchens differ. Rate the result, and your log narrows it.
reason-range-log = In 8 of 10 of your own cooks the right time is in this range, as far as your log knows.
reason-range-model = In 8 of 10 kitchens the right time is in this range. Few recipes reach this tenderness at this temperature. Rate the result, and your log narrows it.
reason-range-altitude_rule = In 8 of 10 kitchens the right time is in this range. Most of it is the altitude: this calculation and the usual altitude rule disagree.

## Why: the liquid

reason-liquid-style = { $style ->
        [steam] Steaming takes the cooker's minimum liquid. It stays under the trivet.
        [lean] Half the minimum counts on the juice of the meat for the rest.
        [short_braise] A shallow braise takes about { $units ->
            [us] ¼ cup a pound
           *[metric] 150 ml a kilogram
        }. It becomes the sauce.
       *[bath] The liquid nearly covers the meat.
    }
reason-liquid-minimum = This cooker needs at least { VOLUME($least_m3) } of thin liquid.
reason-liquid-sauce = { $place ->
        [base] { VOLUME($counted_m3) } of the sauce counts as thin liquid.
       *[top] Sauce on top of the meat does not count as thin liquid.
    }
reason-liquid-juice = The meat gives about { VOLUME($juice_m3) }, { VOLUME($fat_m3) } of it fat. At the end there is { VOLUME($liquid_m3) }.

## Why: the trivet

reason-rack-none = A braise lies in its liquid. It needs no trivet.
reason-rack-trivet = { $side ->
        [below] The trivet keeps the meat out of the liquid and the rub on it. The liquid stands { LENGTH($away_m) } below its top.
       *[above] The trivet lifts the meat off the bottom. The liquid stands { LENGTH($away_m) } above its top.
    }
reason-rack-tall = { $side ->
        [below] The tall trivet leaves room for more liquid, or a dish, below. The liquid stands { LENGTH($away_m) } below its top.
       *[above] The tall trivet leaves room for a dish below. The liquid stands { LENGTH($away_m) } above its top.
    }
reason-rack-basket = { $side ->
        [below] The steamer basket lifts small pieces out in one go. The liquid stands { LENGTH($away_m) } below it.
       *[above] The steamer basket lifts small pieces out in one go. The liquid stands { LENGTH($away_m) } above its bottom.
    }
reason-rack-bed = { $side ->
        [below] The bed keeps the meat off the bottom and later thickens the sauce. The liquid stands { LENGTH($away_m) } below its top. It takes about { MASS($bed_kg) } of vegetables.
       *[above] The bed keeps the meat off the bottom and later thickens the sauce. The liquid stands { LENGTH($away_m) } above its top. It takes about { MASS($bed_kg) } of vegetables.
    }

## Why: the way it lies

reason-arrangement-one = One piece lies flat on its wide side.{ $tight ->
        [yes] { " It is a tight fit; press it in." }
       *[no] { "" }
    }{ $rack_left_out ->
        [yes] { " On the trivet it would be too high, so leave the trivet out." }
       *[no] { "" }
    }
reason-arrangement-side_by_side = The pieces lie side by side, so steam and liquid reach both wide faces.{ $tight ->
        [yes] { " It is a tight fit; press them in." }
       *[no] { "" }
    }{ $rack_left_out ->
        [yes] { " On the trivet they would be too high, so leave the trivet out." }
       *[no] { "" }
    }
reason-arrangement-on_edge = Sections stand on edge, like books.{ $tight ->
        [yes] { " It is a tight fit; press them in." }
       *[no] { "" }
    }{ $rack_left_out ->
        [yes] { " On the trivet they would be too high, so leave the trivet out." }
       *[no] { "" }
    }
reason-arrangement-on_end = Sections stand on end, like books.{ $tight ->
        [yes] { " It is a tight fit; press them in." }
       *[no] { "" }
    }{ $rack_left_out ->
        [yes] { " On the trivet they would be too high, so leave the trivet out." }
       *[no] { "" }
    }
reason-arrangement-coiled = A rack too long for the cooker is coiled along the wall, bone side in.{ $tight ->
        [yes] { " It is a tight fit; press it in." }
       *[no] { "" }
    }{ $rack_left_out ->
        [yes] { " On the trivet it would be too high, so leave the trivet out." }
       *[no] { "" }
    }
reason-arrangement-nested = Racks too long for the cooker are coiled inside each other, bone side in.{ $tight ->
        [yes] { " It is a tight fit; press them in." }
       *[no] { "" }
    }{ $rack_left_out ->
        [yes] { " On the trivet they would be too high, so leave the trivet out." }
       *[no] { "" }
    }
reason-arrangement-on_bed = The meat lies on a bed of vegetables, which keeps it off the bottom.{ $tight ->
        [yes] { " It is a tight fit; press it in." }
       *[no] { "" }
    }
reason-arrangement-layered = The meat lies in layers with vegetables between, so liquid and steam reach every face.
reason-arrangement-leaning = Sections lean against the wall like books, with gaps for the steam.{ $rack_left_out ->
        [yes] { " On the trivet they would be too high, so leave the trivet out." }
       *[no] { "" }
    }
reason-arrangement-folded = A thin flat folds over, and the end lies on top.{ $rack_left_out ->
        [yes] { " On the trivet it would be too high, so leave the trivet out." }
       *[no] { "" }
    }
reason-arrangement-criss_cross = The pieces lie in crossed layers, with gaps for the steam.{ $rack_left_out ->
        [yes] { " On the trivet they would be too high, so leave the trivet out." }
       *[no] { "" }
    }
reason-arrangement-heap = Small pieces lie in a loose heap, so steam gets through. Pull apart what sticks together.{ $rack_left_out ->
        [yes] { " On the trivet they would be too high, so leave the trivet out." }
       *[no] { "" }
    }
reason-arrangement-stacked = The pieces do not all fit side by side, so they lie partly on each other.{ $rack_left_out ->
        [yes] { " On the trivet they would be too high, so leave the trivet out." }
       *[no] { "" }
    }

## Why: the release. The reason is the same for every way of releasing.

release-why = { $why ->
        [chosen] You chose this release.
        [foams] Food that foams clogs the valve. Always use natural release.
        [full] The cooker is nearly full and would spray. Wait 15 minutes first.
        [thick_sauce] The sauce is thick and would spray. Wait 15 minutes first.
        [natural] A roast keeps its juice with natural release.
        [timed] After ten minutes most of the pressure is gone. Opening the valve then neither sprays nor dries out the meat.
        [quick] Small pieces keep cooking while the pressure falls, so release it at once.
        [soak] The meat takes up some juice again while it rests in the liquid.
       *[keep_warm] It waits for you without hurry.
    }
reason-release-softening_after = This release does { PERCENT($share) } of the softening. A faster one needs a longer cook time.

## Ways of releasing

release-timed_for = { PLAIN($wait_min) }-minute natural release

release-natural = natural release
    .says = switch off and wait until the pin drops
    .juice = keeps the juice in
    .spray = nothing sprays
release-timed = 10-minute natural release
    .says = wait ten minutes, then open the valve
    .juice = keeps nearly all the juice
    .spray = a short jet of steam
release-quick = quick release
    .says = open the valve at once
    .juice = boils juice out, 2–5% of the weight
    .spray = a strong jet; a full cooker sprays
release-soak = quick release, then rest in the liquid
    .says = open the valve at once, then leave the meat in the open cooker for half an hour
    .juice = boils juice out, and part of it soaks back
    .spray = a strong jet; a full cooker sprays
release-keep_warm = natural release, then keep warm
    .says = leave the lid on and the cooker on keep warm until you come
    .juice = keeps the juice in while it waits
    .spray = nothing sprays

## Cautions

caution-below_safe_minimum = The center reaches only { TEMP($hottest_c) }. For { CUT($cut, "short") } the safe minimum is { SAFETEMP($safe_c) }{ $rest_s ->
        [0] { "" }
       *[other] { " " }and { DURATION($rest_s) } of rest
    }. Set more minutes.
caution-open_safely = Open the lid only when the pin is down, and away from your face. Never force it.
caution-frozen = Put frozen pieces in one by one. If they stick together, the center stays raw. Check the center with a thermometer.
caution-not_one_layer = The pieces do not all fit side by side. Where they lie on each other they take up less heat. Two batches, or a wider cooker, are quicker and more even.
caution-heap = Put the pieces in loosely, one by one. What sticks together stays raw inside.
caution-tight = It is a tight fit. The pieces press against each other.
caution-sling = Lower and lift a piece this heavy on a sling or by the handles of the trivet.
caution-stands_above_line = The meat stands above the max fill line. That is fine while the liquid stays below it.
caution-limited_by_line = More liquid would cover the meat better, but the max fill line comes first.
caution-shallow_bath = The liquid reaches { LENGTH($level_m) } of { LENGTH($height_m) } of meat, because the pieces lie with gaps. Pour in { VOLUME($enough_m3) } to cover most of it.
caution-lean_liquid = This is less than the maker's minimum of { VOLUME($least_m3) }. The juice of the meat comes only at pressure; before that the cooker can run dry and stop. It is your choice for this cook.
caution-thin_liquid = { VOLUME($least_m3) } is the minimum for this cooker, and it must be thin. Put thick or sweet sauce on top, or add it after.
caution-juice_over_line = With the juice of the meat the liquid ends above the max fill line. Start with less.
caution-foams = Fill the cooker at most half with food that foams, and never use quick release.
caution-scorches = { $is ->
        [sweet] Sweet
       *[thick] Thick
    } sauce on the bottom of the pot scorches and stops the cooker. Put it on top of the meat, or add it after. Deglaze: scrape up all browned bits.
caution-full_pot_spits = A cooker this full sprays. Wait { MINUTES($wait_min) }, then release in short bursts. Hold a towel near the valve, never on it.
caution-juice_loss = Quick release boils juice out of a roast. Use natural release if there is time.
caution-keeps_softening = The meat keeps softening while it is kept warm, so the cook time is shorter. Come back in time.
caution-kept_hot = Keep warm must hold more than { SAFETEMP($zone_c) }. Check yours once with a thermometer.
caution-unusual_thickness = { CUT($cut, "name") } is usually { LENGTH($low_m) } to { LENGTH($high_m) } thick. Measure once more. { CUT($cut, "measure") }
caution-done_at_zero = Coming to pressure and releasing are enough. Set the shortest cook time your cooker takes.
caution-longer_than_program = The longest time this cooker takes is { MINUTES($longest_min) }. Set that, then { MINUTES($rest_min) } more straight after, or cut the meat smaller.
caution-start_key = This cooker waits until you press start.
caution-measure_well = A thickness { PERCENT($spread) } off moves this cook time between { MINUTESSPAN($low_min, $high_min) }. Measure to { STEP() }.
caution-thickness_guessed = { $helps ->
        [yes] The thickness is a guess: { LENGTH($thickness_m) } is usual. Measured to { STEP() }, the range narrows to { MINUTESSPAN($low_min, $high_min) }. { CUT($cut, "measure") }
       *[no] The thickness is a guess: { LENGTH($thickness_m) } is usual. At this weight it hardly matters, because a thicker piece is narrower.
    }
caution-unlike_pieces = The thickest piece sets the cook time. By then the { CUT($cut, "short") } of { LENGTH($thickness_m) } is further on: { LOOKS($cut, $texture) }.
caution-goes_dry = At least half of the meat is past what { CUT($cut, "short") } forgives: soft, but it breaks into dry threads.

## After opening

rescue-ribs = Lift them out in one go on the trivet. Pull the meat off the bones for sandwiches, or crisp it lying flat.
rescue-brisket = Chill it overnight in its strained juice and slice it cold, or pull it into the sauce.
rescue-short_ribs = Lift the meat off the bones and fold it into the reduced sauce.
rescue-shoulder = Pull it, drain it well, and crisp it in one layer.
rescue-wings = Pick the meat off for a salad. Crisping would tear it.
stopped-throw_away = The center is below { SAFETEMP(60) } and was in the danger zone for more than two hours. Throw it away.
stopped-done = It has cooked long enough. Open it as usual.
stopped-go_on = Leave the lid on, set the minutes and start again. Check the center with a thermometer.

## What practice calls the steps of tenderness

tenderness-roasts = tenderness of roasts and blocks
    .chewy = chewy (underdone)
    .holds = firm slices
    .tender = sliceable
    .very = fork-tender
    .falls = pulls apart
tenderness-ribs = tenderness of ribs
    .chewy = chewy (underdone)
    .holds = clean bite
    .tender = tender on the bone
    .very = very tender
    .falls = fall-off-the-bone
looks-dry = soft, but it breaks into dry threads
text-version-1 = { $text }

## Cards

card-meat = { CUT($cut, "name") }, { MASS($mass_kg) }
card-bought = { CUT($cut, "name") }: { MASS($mass_kg) }

## Sides, and where they go when they cook with the meat

side-potatoes_whole = Potatoes, whole, { $units ->
    [us] 2½–2¾ in
   *[metric] 6–7 cm
 }
  .where = on the rack or around the meat
side-potatoes_cut = Potatoes, pieces of { $units ->
    [us] 1½–2 in
   *[metric] 4–5 cm
 }
  .where = around the meat
side-carrots = Carrots, pieces of { $units ->
    [us] 1½–2 in
   *[metric] 4–5 cm
 }
  .where = around the meat
side-onions = Onions, wedges
  .where = as the bed under the meat
side-cabbage = Cabbage, wedges
  .where = on top of the meat
side-rice = Rice
  .where = in a covered dish on the tall trivet
side-beans_soaked = Beans, soaked
  .where = in a covered dish on the tall trivet
