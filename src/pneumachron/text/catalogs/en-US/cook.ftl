# The steps of a cook, in Cook, Schedule, calendar and print ("do-" work or kind; .look what to look for; .wrong if it is not so),
# ticks, timers, alarms. At most 12 words a sentence.

do-fetch_frozen = Move the meat from the freezer to a tray in the refrigerator
    .look = A tray with a rim: it drips.
    .wrong = In a hurry? Seal it in a bag and thaw it in cold water, changed every half hour.
do-fetch = Take the meat out of the refrigerator; cover it
    .look = On a rack or board, covered, away from other food.
    .wrong = Is the kitchen warmer than { TEMP(32) }? Leave it in, and say “refrigerator” in Plan.
do-temper = Loses its chill on the counter, one hour at most
    .look = Its surface is no longer cold to the touch.
    .wrong = Longer than that? Cook it at once: two hours out of the cold are all there is.
do-thaw_meat = Thaw the meat in the refrigerator, on a tray, for { HOURSSPAN($low_s, $high_s) }
    .look = Soft right through when you press it.
    .wrong = Still hard inside? Say “frozen” in Plan: then it cooks longer.
do-part = Separate the flat from the point along the fat, halve both, weigh them
    .look = Two muscles, the thick fat between them cut out.
    .wrong = No seam of fat to be seen? Feel for it at the thick end, and cut along it.
do-rub = Leave the rubbed meat in the refrigerator, covered, for { HOURSSPAN($low_s, $high_s) }
    .look = The rub is damp, and sticks.
    .wrong = Short of time? Ten minutes are enough for the salt to stick.
do-marinate = Marinate, covered, in the refrigerator, for { HOURSSPAN($low_s, $high_s) }
    .look = The meat lies in the marinade on all sides. Turn it once.
    .wrong = Short of time? Half the time gives most of the taste. Never longer than two days.
do-trim = { $fat_m ->
        [0] Trim all the fat off, and weigh the meat again
       *[other] Trim the fat cap to { LENGTH($fat_m) }, and weigh the meat again
    }
    .look = An even layer, and no hard fat between the muscles.
    .wrong = Did it lose more than a tenth? Plan it again with the new weight and thickness: they set the cook time.
do-rind_off = Take the rind off in one piece, with a thin layer of fat, and keep it in the refrigerator
    .look = Flat, dry and in one piece. Salt it.
    .wrong = Did it tear? Roast the pieces next to each other.
do-season_trimmed = Measure, pat dry and season all faces
    .look = About { LENGTH($thickness_m) } at the thickest. Season the cut faces too.
    .wrong = Is it thicker or thinner? Change it in Plan; it sets the cook time.
do-season = Trim, measure, pat dry and season all faces
    .look = About { LENGTH($thickness_m) } at the thickest. Season the cut faces too.
    .wrong = Is it thicker or thinner? Change it in Plan; it sets the cook time.
do-extra_before_rub = { $own }
    .look = Done before the meat is trimmed and seasoned.
    .wrong = No time now? Do it before you season the meat.
do-extra_before_pot = { $own }
    .look = Have it ready before the cooker needs it.
    .wrong = No time now? It can wait until the meat goes in.
do-extra_at_end = { $own }
    .look = Just before it is served.
    .wrong = Forgotten? It can still go on at the table.
do-extra_at_table = { $own }
    .look = With the carved meat, at the table.
    .wrong = No time now? Serve the meat first, while it is hot.
do-extra_beside = { $own }
    .look = Do it while the cooker works.
    .wrong = No time now? It can wait, but not past serving.
do-side = Cook { $own } on its own for { MINUTES($time_min) }
    .look = The meat is out. Half full at most, lid checked as before.
    .wrong = Is the meat still in? Then this waits.
do-load_side = Put in { $own }, half full at most
    .look = The meat is out.
    .wrong = Is the meat still in? Then this waits.
do-load_pulses = Before the meat: put in { $own } with plenty of water, half full at most
    .look = A spoonful of oil keeps the foam down.
    .wrong = More than half full? Cook it in two runs, or on the stove.
do-pulses_down = { $own }: let the pressure fall undisturbed, then open
    .look = Soft through. Set it aside with its liquid; into the refrigerator if dinner is more than two hours away.
    .wrong = Still hard? Close the lid and give it ten minutes more.
do-side_lid = Check the lid as before; set the cooker to { MINUTES($time_min) }
    .look = The lid is locked, the valve closed.
    .wrong = Does the lid not lock? Look at its seal, and try again.
do-side_come_up = { $own }: comes to pressure
    .look = The pin goes up.
    .wrong = Steam at the rim? Open it when the pin is down, and press the seal into place.
do-side_hold = { $own }: cooks under pressure
    .look = The display counts down.
    .wrong = Did it stop? Start it again for the minutes that are left.
do-side_vent = { $own }: open the valve; keep face and hands away from the steam
    .look = The pin drops.
    .wrong = Does it spray? Close the valve, wait, then release in short bursts.
do-sear = { $batches ->
        [one] Sear the meat in one layer
       *[other] Sear in { PLAIN($batches) } batches, one layer each
    }
    .look = Brown, and it lets go of the metal.
    .wrong = Does it stick? Give it a minute more. Raw patches? Turn it again.
do-deglaze = Deglaze: pour in a splash and scrape up the browned bits
    .look = Bare metal all over, nothing brown left.
    .wrong = Does something stick? Add liquid and keep scraping, or the cooker stops later.
do-pour = Pour in { VOLUME($liquid_m3) } of liquid
    .look = Thin liquid on the bare bottom.
    .wrong = Is the sauce thick or sweet? Put it on top, or add it after.
do-load = { $rack ->
        [none] No trivet.
        [trivet] Put in the trivet.
        [tall] Put in the tall trivet.
        [basket] Put in the steamer basket.
       *[bed] Put in the bed of vegetables.
    } { $arrangement ->
        [coiled] Coil the rack of ribs, bone side in.
        [nested] Coil the racks of ribs inside each other, bone side in.
        [on_bed] Lay the meat on the vegetables, side by side.
        [layered] Layer the meat with vegetables between.
        [side_by_side] Lay the pieces side by side, not on each other.
        [one] Lay the meat in, fat side up.
        [on_edge] Stand the sections on edge.
        [on_end] Stand the sections on end.
        [leaning] Lean the sections against the wall, with gaps.
        [folded] Lay the flat in, folded over once.
        [criss_cross] Lay the blocks in crossed layers, not packed.
        [heap] Put the pieces in loosely.
       *[stacked] Lay the pieces in, partly on each other.
    }
    .look = Only ribs on end rise above the max fill line. The lid clears by two fingers.
    .wrong = Too full? Take a piece out and cook it in a second batch.
do-lid = Check the lid, then lock it
    .look = Tick all five.
    .wrong = Never force it. Take the lid off and look again.
do-set = Set { $level ->
        [high] high
       *[low] low
    } pressure, { PANEL($hold_min) }, and start
    .look = The display shows these minutes, and the cooker heats.
    .wrong = Never use delayed start with raw meat. Some cookers wait for the start button.
do-come_up = It comes to pressure; nothing to do
    .look = The pin rises after about { MINUTES($up_min) }.
    .wrong = Steam but no pin? Check gasket, valve and liquid, in this order.
do-hold = It cooks under pressure; nothing to do
    .look = The display counts down. No steam around the rim.
    .wrong = Steam around the rim? Switch off, stand back, let the pressure fall.
do-set_stove = Put it over high heat. The cook time, { PANEL($hold_min) }, counts from full pressure
    .look = Steam first, then the weight moves or the ring shows.
    .wrong = Stay in the kitchen: nothing turns this heat down but you.
do-come_up_stove = It comes to pressure: stay beside it
    .look = The weight jiggles, or the ring shows, after about { MINUTES($up_min) }.
    .wrong = Steam around the rim? Take it off the heat, let the pressure fall, check the gasket.
do-hold_stove = Turn the heat down until the weight just jiggles, and keep it there
    .look = A gentle, steady jiggle; no jet of steam.
    .wrong = Does it stop? A little more heat. Does it roar? A little less.
do-release_off_stove = Take it off the heat and let the pressure fall: natural release
    .look = The pin drops after about { MINUTES($fall_min) }.
    .wrong = It takes longer in a full cooker. Leave the valve alone.
do-release_natural = Switch off and let the pressure fall: natural release
    .look = The pin drops after about { MINUTES($fall_min) }.
    .wrong = It takes longer in a full cooker. Leave the valve alone.
do-wait = Leave the valve closed for { MINUTES($wait_min) }: the pressure falls on its own
    .look = No steam. The pin is still up.
    .wrong = Do not open the valve sooner: the cook time counts on this wait.
do-release_vent = Open the valve. Keep face and hands away
    .look = A dry jet of steam, and the pin drops.
    .wrong = Does it spray? Close the valve, wait, then release in short bursts.
do-keep_warm = Leave the lid on. Keep warm for { MINUTES($warm_min) }
    .look = The pin is down, the lid stays on, the cooker is on keep warm.
    .wrong = No keep-warm setting? Leave it off with the lid on, for half an hour at most.
do-guests_late_later = The guests are late. Put the raw meat back into the refrigerator for { DURATION($late_s) }
    .look = Covered, and cold.
    .wrong = Is it browned already? Then go on, and keep it hot afterward.
do-guests_late_keep_warm = The guests are late. Leave the lid on, and keep it warm for { DURATION($late_s) }
    .look = The pin is down, the lid stays on, the cooker is on keep warm.
    .wrong = Do they come sooner? Go on at once. No keep-warm setting? Take it out, wrap it in foil, and keep it in the oven at { SAFETEMP($oven_c) }.
do-guests_late_rest_warm = The guests are late. Wrap the meat in foil, and keep it in the oven at { SAFETEMP($oven_c) } for { DURATION($late_s) }
    .look = It stays hot, and gives juice into the foil. Keep the juice.
    .wrong = Do they come sooner? Go on at once.
do-guests_late_cover = The guests are late. Pour hot juice over the meat, cover it with foil, and keep it in the oven at { SAFETEMP($oven_c) } for { DURATION($late_s) }
    .look = It steams when the foil is lifted.
    .wrong = Does it dry out? Pour more hot juice over it.
do-guests_late_chill = The guests are much later. Cool it within two hours, chill it, and reheat it in its juice when they come
    .look = Cold to the touch within two hours, then in the refrigerator.
    .wrong = Was it lukewarm for longer than two hours? Throw it away.
do-boil = Lid off. Simmer the meat in its liquid for { MINUTES($open_min) }
    .look = Gentle bubbles all over. Turn the meat once.
    .wrong = Does it stick? Lower the heat and add a splash of liquid.
do-boil_to_glaze = Lid off. Boil the juice to a glaze for { MINUTES($open_min) }; turn the meat in it
    .look = It coats the meat and hardly runs.
    .wrong = Too much juice? Take some out first. Does it stick? Turn the heat down, and add a spoon of water.
do-soak = Lid off. Leave the meat in the liquid for { MINUTES($open_min) }
    .look = The liquid reaches at least halfway up the meat.
    .wrong = Do not take it out sooner: it softens on, and stays juicy.
do-batch = Take the meat out and cover it. Batch { PLAIN($batch) } of { PLAIN($batches) } goes in next: { MASS($mass_kg) }
    .look = The meat stays above { SAFETEMP(60) }, covered, in a warm place.
    .wrong = Has liquid boiled off? Fill up to the same line first.
do-out_first = Take out what is done, { MASS($out_kg) }, and cover it. Lid on again: { MASS($stays_kg) } cooks on for { MINUTES($hold_min) }
    .look = The rest lies as before, and the liquid covers the bottom.
    .wrong = Is nothing done yet? Leave it all in, and set this time for it.
do-release_timed = Wait { MINUTES($wait_min) }, then open the valve
    .look = A dry jet of steam, and the pin drops.
    .wrong = Does it spray? Close the valve, wait, then release in short bursts.
do-release_quick = Open the valve: quick release. Keep face and hands away
    .look = A dry jet of steam, and the pin drops.
    .wrong = Does it spray? Close the valve, wait, then release in short bursts.
do-open = Is the pin down? Open the lid away from your face
    .look = Pin down, valve open, no steam. The lid turns without force.
    .wrong = Is the pin up, or the lid stiff? Wait. Never force it.
do-judge = Is it done?
    .look = { LOOKS($cut, $texture) }
    .wrong = Say how it looks, or what a thermometer reads.
do-judge_glazed = Is it done?
    .look = { LOOKS($cut, $texture) }
    .wrong = Still firm? Pour in thin liquid again before the lid goes on: a glaze scorches under it.
do-rest = { $in_juice ->
        [yes] Leave it in its juice for { MINUTES($rest_min) }
       *[no] Rest it for { MINUTES($rest_min) }, tented loosely with foil
    }
    .look = Pressed gently, it keeps its juice.
    .wrong = Do not cut it yet, or it falls apart.
do-skim = Pour the juice into a pan, through a strainer if nothing in it is eaten; skim the fat
    .look = Clear juice, hardly any fat on top.
    .wrong = Too much fat? Chill the juice, and lift the fat off.
do-sauce = Simmer the juice to reduce it to half; salt it last
    .look = It coats a spoon.
    .wrong = Too thin? Stir in a cornstarch slurry and simmer for a minute.
do-sauce_glaze = Simmer the juice to reduce it to a glaze, to a quarter; salt it last
    .look = Big, slow bubbles; it coats a spoon thickly.
    .wrong = Does it turn dark? Take it off, and stir in a spoon of water.
do-sauce_volume = Simmer the juice to reduce it to { VOLUME($sauce_m3) }; salt it last
    .look = Pour it into a measuring cup to see how far it is.
    .wrong = Is it less by now? Stir in a splash of water or stock.
do-sauce_thick = Bring the juice to a simmer
    .look = Small bubbles all over.
    .wrong = Too much fat on top? Skim it again.
do-thicken = Stir { MASS($starch_kg) } of cornstarch into { VOLUME($water_m3) } of cold water, stir it into the simmering juice, and boil it for a minute; salt it last
    .look = It coats a spoon, and is clear again.
    .wrong = Lumps? Pour it through a strainer. Too thick? Stir in a splash of water.
do-sauce_told = Skim the fat off the juice, simmer to reduce; salt it last
    .look = It coats a spoon.
    .wrong = Too thin? Stir in a cornstarch slurry and simmer for a minute.
do-preheat_broiler = Switch on the broiler; it is hot in { MINUTES($heat_min) }
    .look = The element glows. The rack is close under it.
    .wrong = Not hot yet? The meat can rest a little longer.
do-preheat_grill = Light the grill; it is hot in { MINUTES($heat_min) }, coals later
    .look = You can hold your hand over it for two or three seconds only.
    .wrong = Not hot yet? The meat can rest a little longer, covered.
do-preheat_air_fryer = Switch on the air fryer at { TEMP(200) }; it is hot in { MINUTES($heat_min) }
    .look = The basket is hot before the meat goes in.
    .wrong = No setting for it? Let it run empty.
do-preheat_oven = Switch on the oven at { TEMP(160) }; it is hot in { MINUTES($heat_min) }
    .look = It says that it is hot.
    .wrong = Not hot yet? Leave the meat in the refrigerator.
do-preheat_rind = Switch on the oven at { TEMP(220) } for the rind; it is hot in { MINUTES($heat_min) }
    .look = It says that it is hot.
    .wrong = Not hot yet? Leave the rind in the refrigerator.
do-rind_roast = Roast the rind flat on a tray at { TEMP(220) } until it crackles, { MINUTESSPAN($low_min, $high_min) }
    .look = Blistered and hard all over. It stays crisp for an hour, uncovered.
    .wrong = Soft patches? Put it under the broiler and stay beside it: it burns in seconds.
do-finish_broiler = Finish close under the broiler, { $batches ->
        [one] { MINUTESSPAN($low_min, $high_min) }
       *[other] in { PLAIN($batches) } batches of { MINUTESSPAN($low_min, $high_min) }
    }
    .look = Brown at the edges. Look at half time.
    .wrong = Still pale? Give it a minute at a time.
do-finish_grill = Finish on the grill, { $batches ->
        [one] { MINUTESSPAN($low_min, $high_min) }
       *[other] in { PLAIN($batches) } batches of { MINUTESSPAN($low_min, $high_min) }
    }
    .look = Brown at the edges. Look at half time.
    .wrong = Still pale? Give it a minute at a time.
do-empty = Pour what is left out of the inner pot, wipe it dry, and put the meat back in, on the trivet or basket
    .look = No liquid under the meat: wet, it steams and does not crisp.
    .wrong = Does something stick to the bottom? Soak it and scrape it off first.
do-finish_crisping = Finish under the air-fryer lid, { $batches ->
        [one] { MINUTESSPAN($low_min, $high_min) }
       *[other] in { PLAIN($batches) } batches of { MINUTESSPAN($low_min, $high_min) }
    }
    .look = Brown at the edges. Look at half time.
    .wrong = Still pale? Give it a minute at a time.
do-finish_air_fryer = Finish in the air fryer at { TEMP(200) }, in one layer, { $batches ->
        [one] { MINUTESSPAN($low_min, $high_min) }
       *[other] in { PLAIN($batches) } batches of { MINUTESSPAN($low_min, $high_min) }
    }
    .look = Brown at the edges. Turn it at half time.
    .wrong = Still pale? Give it two minutes at a time.
do-finish_pan = Crisp it in a hot pan with a little fat, { $batches ->
        [one] { MINUTESSPAN($low_min, $high_min) }
       *[other] in { PLAIN($batches) } batches of { MINUTESSPAN($low_min, $high_min) }
    }
    .look = Brown and crisp on two sides. Turn it once.
    .wrong = Does it stew? Pour the juice off, and put less into the pan.
do-bag = Take the meat out of the juice. Bag it, press the air out
    .look = In ice water within half an hour. Keep the juice apart.
    .wrong = No ice? Cut the meat into thinner pieces, and chill them in one layer.
do-cool = Cool the bags in ice water for { MINUTES($cool_min) }
    .look = More ice than water. At the end { SAFETEMP(5) } in the middle.
    .wrong = Warmer than { SAFETEMP(21) } after two hours? Reheat it to { SAFETEMP(74) } and eat it now.
do-chill = Chill meat and juice overnight, covered, in the refrigerator
    .look = Cold all through. The fat lifts off the juice in one piece.
    .wrong = Use it within three days, or freeze it.
do-slice = Slice it cold, { LENGTH($slice_m) } thick, across the grain
    .look = Clean slices that hold together.
    .wrong = Does it crumble? Cut thicker slices.
do-reheat = Reheat covered, with juice, in the oven to { SAFETEMP(74) }
    .look = Hot in the middle: use a thermometer.
    .wrong = Dry at the edges? Add juice and cover it again.
do-freeze = Freeze it flat in bags with some juice. Write the date on
    .look = Bags no thicker than { LENGTH(0.025) }.
    .wrong = Still warm? Cool it first.
do-thaw_bags = Thaw the bags in the refrigerator
    .look = Soft all through.
    .wrong = Still hard in the middle? Reheat it gently, covered.
carve = { $family ->
        [ribs] Cut into sections or single bones, bone side up
        [short_ribs] Serve whole, on or off the bone
        [wings] Serve as they are
        [pieces] Serve the pieces whole
        [brisket] { $slice_m ->
            [0] Pull it apart
           *[other] Slice { LENGTH($slice_m) } thick across the grain. Flat and point run at a right angle
        }
       *[shoulder] { $slice_m ->
            [0] Pull it on a rimmed tray. Pick out large fat; stir { VOLUME(0.000118) } of juice back in
           *[other] Slice { LENGTH($slice_m) } thick across the grain
        }
    }
do-carve = { $family ->
        [ribs] Cut into sections or single bones, bone side up
        [short_ribs] Serve whole, on or off the bone
        [wings] Serve as they are
        [pieces] Serve the pieces whole
       *[other] { $slice_m ->
            [0] Cut or pull it
           *[other] Slice { LENGTH($slice_m) } thick across the grain
        }
    }
    .look = It holds together under the knife.
    .wrong = Does it crumble? Cut thicker slices, or pull it.
do-pull = { $family ->
        [shoulder] Pull it on a rimmed tray; stir { VOLUME(0.000118) } of juice back in
       *[other] Pull it apart
    }
    .look = It comes apart when you lift it.
    .wrong = Does it hold together? Cook it longer next time, or slice it.
do-pull_first = Pull it apart, and spread it in one layer with a little of its juice
    .look = Large fat is picked out, and it is moist and not wet.
    .wrong = Does it hold together? Cut it small, and cook it longer next time.
do-serve_crisped = Stir a little more of the juice in, and serve it at once
    .look = Crisp edges, and juicy within.
    .wrong = Dry? Add juice by the spoonful.
do-keep = { $portions ->
        [0] Put leftovers in flat layers into the refrigerator
        [one] Put 1 portion of { MASS($portion_kg) } with { VOLUME($juice_m3) } of juice, flat, into the refrigerator within 2 hours
       *[other] Put { PLAIN($portions) } portions of { MASS($portion_kg) } with { VOLUME($juice_m3) } of juice each, flat, into the refrigerator within 2 hours
    }
    .look = Within two hours, juice kept apart.
    .wrong = Cool thick pieces in ice water first.
do-keep_frozen = { $portions ->
        [0] Chill leftovers in flat bags, then freeze them
        [one] Bag 1 portion of { MASS($portion_kg) } with { VOLUME($juice_m3) } of juice, flat. Chill it within 2 hours, then freeze it
       *[other] Bag { PLAIN($portions) } portions of { MASS($portion_kg) } with { VOLUME($juice_m3) } of juice each, flat. Chill them within 2 hours, then freeze them
    }
    .look = No thicker than { LENGTH(0.025) }, cold before they go into the freezer, the date on each.
    .wrong = Cool thick pieces in ice water first.
do-write_down = How was it?
    .look = Tenderness, juice, taste, and one line for next time.
    .wrong = Half a minute is enough.

tick-liquid_in = The liquid is in
tick-gasket = Gasket seated all around
tick-pin = Pin moves freely
tick-screen = Valve screen clear
tick-valve = Valve closed
tick-outside = Inner pot dry outside and in place

timer-own = { $own }
timer-preheat = Heats up
timer-pressure = Cook time
timer-thaw = Thaw
timer-temper = On the counter
timer-rub = Under the rub
timer-marinate = Marinate
timer-sear_first = { $batches ->
        [one] First side
       *[other] Batch { PLAIN($batch) } of { PLAIN($batches) }, first side
    }
timer-sear_second = { $batches ->
        [one] Second side
       *[other] Batch { PLAIN($batch) } of { PLAIN($batches) }, second side
    }
timer-keep_warm = Keep warm
timer-guests_late = Until the guests come
timer-boil = Simmer uncovered
timer-soak = Rest in the liquid
timer-cool = Ice water
timer-reheat = Reheat
timer-valve = Wait before you open the valve
timer-rest = Rest
timer-sauce = Sauce
timer-look = Half time: look
timer-rind = Look at the rind
timer-rind_done = Rind, at the latest
timer-finish = Finish

alarm-stopped_hot = Overheat warning: food is scorching on the bottom
    .do-1 = Let the pin drop, or release the pressure. Lid off.
    .do-2 = Scrape up the browned bits. A splash of thin liquid helps.
    .do-3 = Move thick or sweet sauce from the bottom to the top of the meat.
    .do-4 = Check the lid, put it on, and start again for the rest of the time.
alarm-not_sealed = Steam, but no pressure: the lid is not sealed
    .do-1 = Stop it. Take the lid off when the steam is gone.
    .do-2 = Is the gasket clean and seated all around?
    .do-3 = Is the valve closed, the pin free, and enough thin liquid in?
    .do-4 = Put the lid on and start again.
alarm-no_vessel = There is no inner pot in the cooker
    .do-1 = Put it in, dry outside.
alarm-stopped_early = The cooker stopped before the cook time was over
    .do-1 = Is there power? Leave the lid on. The meat keeps cooking while the pressure falls.
    .do-2 = Set the rest of the time, and start.
    .do-3 = Did you stop it? Mark the cook time as over, and go on.
alarm-no_pressure = No pressure yet, though it is time
    .do-1 = Steam around the rim? Stop, let it cool, and seat the gasket again.
    .do-2 = Steam from the valve? Close it.
    .do-3 = No steam at all? Is it switched on and heating?
    .do-4 = Is there thin liquid in it? Stop, take the lid off, and look.
alarm-full_vent = A full cooker sprays: do not open the valve yet
    .do-1 = Wait { MINUTES($left_min) } more.
    .do-2 = Then release in short bursts. Hold a towel near the valve, never on it.
alarm-raw_out = The raw meat has been out for { MINUTES($out_min) }
    .do-1 = Start the cooker now, or chill the meat again. Two hours out is the limit.
    .do-2 = Was it in the refrigerator meanwhile? Then go on.
alarm-raw_too_long = The raw meat has been out for more than two hours
    .do-1 = Was it in the refrigerator meanwhile? Then go on.
    .do-2 = If it was not, throw it away. Cooking does not make it safe again.
alarm-leftovers_out = What is left has been out for { MINUTES($out_min) }
    .do-1 = Put it into the refrigerator now, in flat layers.
    .do-2 = Is it above { SAFETEMP(60) }? Then it may wait.
alarm-leftovers_too_long = What is left has been out for more than two hours
    .do-1 = Was it kept above { SAFETEMP(60) }? Then chill it now.
    .do-2 = If it was not, throw it away.
alarm-resting = It still rests: do not cut it yet
    .do-1 = { MINUTES($left_min) } more, or it falls apart.
alarm-look_now = Half time: look at the finish
    .do-1 = Brown already? Then it is done.

finish-broiler = broiler
    .sauce = Put sauce on for the whole time; it is short.
finish-grill = grill
    .sauce = Put sauce on for the last 2 min; sugar burns.
finish-crisping = air-fryer lid
    .sauce = Put sauce on at half time.
finish-air_fryer = air fryer
    .sauce = Put sauce on at half time.
finish-pan = pan
    .sauce = Put sauce on once it is brown, off the heat.
finish-glaze = glaze in the cooker
    .sauce = Stir sauce into the glaze at the end; sugar burns.
finish-none = no finish
    .sauce = Serve with the sauce from the pot.
