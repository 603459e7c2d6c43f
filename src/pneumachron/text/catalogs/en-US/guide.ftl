# The Guide. "guide-part" is a heading; "guide-part-line" a line under it, with
# .term for what the line is about and .source for who says so.

guide-lid = Before you close the lid
guide-lid-liquid = Check that the liquid is in. It is the step most often forgotten.
guide-lid-gasket = Check that the gasket (sealing ring) sits all round, and that the pin moves freely.
guide-lid-valve = Turn the valve to sealing. Dry the outside of the inner pot.
guide-lid-force = Never force the lid. Never delay the start with raw meat in the cooker.

guide-release = Releasing the pressure
guide-release-jet = Keep your face and hands out of the steam. Wear oven mitts. Lay no towel on the valve.
guide-release-full = A nearly full pot spits. Wait 15 minutes, then release in short bursts.
guide-release-open = Open the lid only when the pin is down and no steam comes. Tilt it away from you.

guide-measure = Measuring your meat
guide-measure-thickness = Thickness sets the cook time. Measure the shortest way through the thickest solid meat, after trimming.
guide-measure-matters = { LENGTH(0.005) } more can add ten minutes or more.
guide-measure-tapered = Measure a tapered piece at its thick third, and a rolled roast across the roll.

guide-looks = When it is done
guide-looks-early = Meat that is hard and springs back needs more time. Meat that breaks into dry threads had too much.
guide-looks-lean = A lean flat dries out soon after it pulls apart. Well-marbled meat forgives more.

guide-cautions = Cautions
guide-cautions-center = Beef and pork in one piece are safe at { SAFETEMP(63) } in the center and 3 minutes of rest. Poultry and leftovers need { SAFETEMP(74) }.
    .source = USDA FSIS, from memory
guide-cautions-danger_zone = Keep food between { SAFETEMP(4) } and { SAFETEMP(60) } for two hours at most, or one hour in a kitchen above { SAFETEMP(32) }.
    .source = USDA, from memory
guide-cautions-cool = Cool food from { SAFETEMP(57) } to { SAFETEMP(21) } within 2 h and to { SAFETEMP(5) } within 6 h in all. Divide it into shallow dishes. Never cool it in the cooker.
    .source = FDA Food Code 3-501.14, from memory
guide-cautions-fill = Never fill above the max fill line. Food that foams or swells may fill half the pot.
    .source = makers’ manuals
guide-cautions-minimum = Never use less thin liquid than the minimum. Thick or sweet sauce goes on top, or in after pressure.
    .source = makers’ manuals
guide-cautions-after = Add starch, dairy and most sugar after pressure. Simmer alcohol off first, with the lid off.
    .source = common practice
guide-cautions-raw = Do not rinse raw meat. Pat it dry. Boil a marinade that held raw meat before you serve it as a sauce.
    .source = USDA, from memory
guide-cautions-frozen = Thaw a thick frozen roast in the refrigerator first. Never sear meat one day to cook it another.
    .source = USDA FSIS, from memory
guide-cautions-leak = If steam leaks around the lid, unplug the cooker and stand back. Never block a valve or defeat a lock.
    .source = makers’ manuals

guide-number = How the number is made
guide-number-cooker = The cooker: heating element, inner pot, liquid and meat share the heat. That gives the temperature over time, at your altitude.
guide-number-meat = The meat: heat moves in from its surfaces. Where pieces touch, little heat gets between them.
guide-number-tenderness = Tenderness: every minute above { TEMP(70) } counts, and hotter minutes count more. It is read six tenths of the way from the center to the surface.
guide-number-fitted = How much a cut needs is fitted to common practice. Safety is read in the center.

guide-convert = Converting a recipe
guide-convert-paste = Paste a recipe or open a file in Convert. The original stays beside the result, and what is unclear is asked.
guide-convert-minutes = Your cut, its size and the tenderness you want set the cook time. The recipe’s own time is only compared with it.
guide-convert-moves = Thick, sweet and dairy ingredients move to after pressure, and the crust to the end. Every change gives its reason, and you can reject it.

guide-schedule = Counting the day back
guide-schedule-serve = Say when you serve. Every step from thawing to carving is counted back from there.
guide-schedule-shared = Dishes share cookers, pans, the oven and people. Conflicts are named, with ways to fix them.
guide-schedule-lock = Lock the start time of what must not move, and tick what has begun. If a cooker comes to pressure late, everything after it moves.

guide-cook = While you cook
guide-cook-step = You see one step at a time: what to do, what to look for, and what to do if it is not so. Press the space bar when it is done.
guide-cook-timers = Timers run in the app, not in the page. They ring again when you reopen it.
guide-cook-dishes = With several dishes, the one that needs you is on top.
guide-cook-remote = Before a start or a release from another room, confirm that somebody is at the cooker.

guide-trouble = When something goes wrong
guide-trouble-no_pressure = Steam at the lid: check the gasket. Steam at the valve: close it. No steam: check the liquid and that it heats.
    .term = no pressure
guide-trouble-hot = Release the pressure until the pin drops. Open the lid, scrape the bottom of the pot clean, add a splash of thin liquid and close it. The time so far counts.
    .term = overheat warning
guide-trouble-power = Leave the lid on. The meat goes on cooking while the pressure falls. Then set the minutes that are missing.
    .term = power cut
guide-trouble-not_done = Say how it looks or what a thermometer reads. You get the minutes to cook on.
    .term = not done

guide-log = Your log
guide-log-entry = Each cook has a log entry: planned and actual times, your rating, photos and a note for next time.
guide-log-compare = You can compare two entries, and rate the pieces of one cooker on their own, such as membrane on and off.
guide-log-correct = You can correct a rating or a weight later. What was learned from it is worked out again.
guide-log-adjust = Ratings adjust your next plans: tenderness by cut, coming to pressure by cooker. Each plan says by how much, and you can reset it.
guide-log-files = Import and export the log as CSV or JSON-LD. Importing a file twice adds nothing.

guide-words = Words
guide-words-come_up = from closing the lid until the cooker is at pressure; not part of the cook time
    .term = coming to pressure
guide-words-cook_time = the minutes at pressure that you set on the cooker
    .term = cook time
guide-words-pin = the float valve in the lid; it drops when no pressure is left
    .term = the pin
guide-words-thickness = the shortest way through a piece
    .term = thickness
guide-words-brisket = the lean, even half and the fatty, thick half of a brisket
    .term = flat, point
guide-words-short_ribs = short ribs as thick blocks on one bone, or thin across the bones
    .term = English-cut, flanken
guide-words-shoulder = the upper and the lower half of a pork shoulder
    .term = Boston butt, picnic
guide-words-membrane = the thin skin on the bone side of a rack
    .term = membrane
guide-words-deglaze = to scrape the browned bits up from the bottom of the pot with liquid
    .term = deglaze
guide-words-slurry = cornstarch in cold water, stirred into a simmering sauce
    .term = slurry
guide-words-range = where the right time lies in 8 of 10 kitchens
    .term = likely range
