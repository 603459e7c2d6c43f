# The vocabulary of the app: one word for one thing. "group-code", .says a line that explains it.
# Releases, finishes and cuts have files of their own.

style-steam = steam
    .says = minimum liquid, meat on a trivet; the rub stays on
style-lean = half minimum
    .says = half the cooker's minimum liquid; your own choice for this cook
style-short_braise = shallow braise
    .says = { $units ->
        [us] about ¼ cup a pound
       *[metric] about 150 ml a kilogram
    } around the meat; becomes the sauce
style-bath = mostly covered
    .says = nearly covers the meat; moister

cooker-treble = 3-quart cooker (3 L)
cooker-tenor = 6-quart cooker (5.7 L)
cooker-bass = 8-quart cooker (7.6 L)

rack-none = none
    .says = straight on the bottom of the pot
rack-trivet = trivet
    .says = the metal rack sold with the cooker, { LENGTH(0.02) } high
rack-tall = tall trivet
    .says = { LENGTH(0.05) } high, with room for a dish below
rack-basket = steamer basket
    .says = for small pieces; lifts out in one go
rack-bed = bed of vegetables
    .says = onion wedges or potatoes, which thicken the sauce

phase-come_up = coming to pressure
phase-hold = cook time
phase-natural_release = natural release
phase-waiting = natural release, then valve
phase-venting = quick release
phase-keeping_warm = keep warm
phase-boiling = simmer uncovered
phase-soaking = rest in the liquid
phase-standing = lid off

source-published = published physics
source-measured = measured
source-common_practice = common practice
source-from_memory = published
source-fitted = fitted to common practice
source-judgement = our judgment

marinade-mild = mild: wine, soy, yogurt
marinade-strong_acid = sharp: vinegar, citrus
marinade-fruit_enzymes = pineapple, papaya, kiwi
marinade-fruit = other fruit

method-smoker = in a smoker
method-oven_lid = in the oven, covered
method-oven_open = in the oven, uncovered
method-slow_low = in a slow cooker, low
method-slow_high = in a slow cooker, high
method-grill = on the grill
method-stovetop_pressure = in a stovetop pressure cooker
method-pressure = in an electric pressure cooker
method-simmer = simmered on the stove

lying-one = lying flat
lying-side_by_side = side by side
lying-on_edge = standing on edge
lying-on_end = standing on end
lying-leaning = leaning, with gaps
lying-coiled = coiled, bone side in
lying-nested = coiled inside each other
lying-folded = folded over
lying-criss_cross = in crossed layers
lying-heap = in a loose heap
lying-stacked = partly on each other
lying-on_bed = on a bed of vegetables
lying-layered = in layers, vegetables between

# What to try next time, so that the log learns most.
next-softer = Cook it half a step softer than you like it: a sixth more minutes than the plan says.
next-firmer = Cook it half a step firmer than you like it: a seventh fewer minutes than the plan says.
next-same = Cook it the same way again. Measure the thickness twice, and rate every piece.

panel = { $minutes } ({ $hours } on a cooker that shows hours)
