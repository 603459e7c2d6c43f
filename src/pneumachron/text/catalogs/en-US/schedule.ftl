# The day: what is done ("do-" kind of a stretch), conflicts, and ways to fix them.

day-itself = The day
calendar-event = { $dish }: { $work }

do-shop = Buy what is on the list, cold things last
do-slack = Spare time, in case it needs longer

conflict-order = It waits for the step before.
conflict-raw_beef = Raw beef keeps { DURATION($most_s) } in the refrigerator.
conflict-raw_pork = Raw pork keeps { DURATION($most_s) } in the refrigerator.
conflict-raw_poultry = Raw poultry keeps { DURATION($most_s) } in the refrigerator.
conflict-preheated = It stands hot and empty for too long.
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
conflict-fix-unpinned = Let { $dish } move
conflict-fix-hands = { $count } people cooking
conflict-fix-parted = Separate { $dish } into flat and point
conflict-fix-ahead = Cook { $dish } the day before, chill and reheat
conflict-fix-release = Use quick release for { $dish }
conflict-fix-halved = Halve { $dish }, to { LENGTH($thickness_m) }

# The guests are late: what waits, and how; how tender it is then.
late-later = { $dish }: begin { DURATION($late_s) } later. Raw meat stays in the refrigerator until then.
late-keep_warm = { $dish }: leave the lid on when the pressure is down, and keep it warm for { DURATION($late_s) }.
late-take_out = { $dish }: take it out when it is done, wrap it in foil, and keep it in the oven at { SAFETEMP($oven_c) }.
late-rest_warm = { $dish }: keep it whole, wrapped in foil, in the oven at { SAFETEMP($oven_c) }. Finish and cut it when they come.
late-cover = { $dish }: pour hot juice over it, cover it with foil, and keep it in the oven at { SAFETEMP($oven_c) }.
late-chill = { $dish }: too long to keep hot. Cool it within two hours, chill it, and reheat it in its juice when they come.
late-as_planned = As tender as planned.
late-hardly = Hardly softer than planned.
late-softer = { PLAIN($steps) } of a step softer than planned.
