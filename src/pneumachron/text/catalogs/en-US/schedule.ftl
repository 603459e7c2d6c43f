# The day: what is done ("work-" kind of a stretch), conflicts, and ways to fix them.

day-itself = The day
calendar-event = { $dish }: { $work }

work-shop = Buy what is on the list, cold things last
work-fetch_frozen = Move the meat from the freezer to a tray in the refrigerator
work-thaw = Thaws in the refrigerator
work-part = Separate the flat from the point along the fat, halve both, weigh them
work-season = Trim, measure, pat dry and season the { CUT($cut, "short") }
work-marinate = Marinate, covered, in the refrigerator
work-fetch = Take the meat out of the refrigerator; cover it
work-temper = Loses its chill on the counter, one hour at most
work-extra = { $own }
work-sear = Sear in batches, then deglaze: scrape up the browned bits
work-load = Put liquid, trivet and meat into the cooker
work-load_side = Put in { $own }, half full at most
work-lid_check = Check gasket, pin, screen and valve; set the cooker
work-come_up = Comes to pressure
work-hold = Cooks under pressure
work-slack = Spare time, in case it needs longer
work-natural_release = Natural release
work-waiting = Natural release, before you open the valve
work-venting = Open the valve; keep face and hands away from the steam
work-keeping_warm = Keeps warm under the lid
work-boiling = Simmers uncovered to reduce
work-soaking = Rests in the liquid
work-open = Open the lid away from your face; take the meat out
work-rest = Rest, tented loosely with foil
work-skim = Strain the juice into a pan; skim the fat
work-reduce = Simmer the juice to reduce it; salt it last
work-finish_broiler = Finish under the broiler; look at half time
work-finish_grill = Finish on the grill; look at half time
work-finish_crisping = Finish under the air-fryer lid; look at half time
work-carve = Cut or pull the meat, and serve
work-keep = { $portions ->
        [0] Put leftovers in flat layers into the refrigerator within 2 hours
        [one] Put 1 portion of { MASS($portion_kg) } with { VOLUME($juice_m3) } of juice, flat, into the refrigerator within 2 hours
       *[other] Put { PLAIN($portions) } portions of { MASS($portion_kg) } with { VOLUME($juice_m3) } of juice each, flat, into the refrigerator within 2 hours
    }
work-bag = Take the meat out of the juice; bag it into ice water
work-cool = Cools in ice water to { SAFETEMP(5) }
work-slice = Slice cold across the grain
work-reheat = Reheat covered, with juice, in the oven to { SAFETEMP(74) }
work-freeze = Bag flat with some juice, write the date, freeze
work-thaw_bags = Thaw the bags in the refrigerator

conflict-order = It waits for the step before.
conflict-raw_beef = Raw beef keeps { DURATION($most_s) } in the refrigerator.
conflict-raw_pork = Raw pork keeps { DURATION($most_s) } in the refrigerator.
conflict-raw_poultry = Raw poultry keeps { DURATION($most_s) } in the refrigerator.
conflict-thawed = Cook thawed meat within { DURATION($most_s) }.
conflict-trimmed = Trimmed meat keeps { DURATION($most_s) }.
conflict-rubbed = Meat with a rub on keeps { DURATION($most_s) }.
conflict-marinade = Raw meat keeps { DURATION($most_s) } in a marinade.
conflict-counter = Raw meat gets too warm on the counter.
conflict-extra = This keeps { DURATION($most_s) }.
conflict-kept_warm = Keep it warm for at most { DURATION($most_s) }.
conflict-juice_hot = The juice has to stay hot.
conflict-crust = A crust goes soft.
conflict-room_temperature = Put leftovers away within two hours.
conflict-cool_soon = Start cooling within half an hour.
conflict-chilled = Cooked meat keeps { DURATION($most_s) } at { SAFETEMP(4) }.
conflict-thawed_cooked = Eat thawed meat within { DURATION($most_s) }.
conflict-same_day = Freeze it on the same day.
conflict-frozen = It keeps { DURATION($most_s) } in the freezer.
conflict-not_ready = What this step needs is not ready.
conflict-waits_for_table = It is ready too long before you serve it.
conflict-late = It is late for serving.

conflict-fix-pot = Cook { $dish } in { $pot }
conflict-fix-parted = Separate { $dish } into flat and point
conflict-fix-ahead = Cook { $dish } the day before, chill and reheat
conflict-fix-release = Use quick release for { $dish }
conflict-fix-halved = Halve { $dish }, to { LENGTH($thickness_m) }
