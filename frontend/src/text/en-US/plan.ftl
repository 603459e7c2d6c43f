plan-calculating = Calculating …
plan-marinade = marinade
plan-sold-with-added-salt-water = sold with added salt water
plan-salt = Salt
plan-with-up-to = { $rub_kg }, with up to { $value }
plan-rub = Rub
plan-in-the-refrigerator-for-at-most = { $volume_m3 }, { $time_s } in the refrigerator, for at most { $value }. Boil it { $value2 } before you use it as a sauce
plan-marinade-2 = Marinade
plan-in-all-then-deglaze-scrape-up =
    { $batches ->
        [one] at once, { $total_s } in all
       *[other] in { $batches } batches, { $total_s } in all
    }; then deglaze: scrape up the browned bits
plan-sear = Sear
plan-tented-loosely-with-foil = { $rest_s } tented loosely with foil
plan-rest = Rest
plan-cut = Cut
plan-for-at-most-in-its-juice = for at most { $value } in its juice
plan-keep-warm = Keep warm
plan-never-in-the-pot-in-flat = never in the pot. In flat layers up to { $thickest } in the refrigerator; bagged in ice water, up to { $thickest2 }
plan-chill = Chill
plan-none = none
plan-none-2 = none. { $sauce }
plan-finish = Finish
plan-look-after =
    { $batches ->
        [one] { $each_s }
       *[other] { $batches } batches of { $each_s }
    }; look after { $look_s }. { $sauce }
plan-switch-it-on-before = Heat it up for { $heat_up_s } first.
plan-total-time =
    { $level ->
        [high] high, { $lid_on_to_open_s } total time
       *[low] low, { $lid_on_to_open_s } total time
    }
plan-the-app-does-not-answer = The app does not answer.
plan-start-it-again-what-you-typed = Start it again. What you typed is kept here.
plan-plan = Plan
plan-the-makers-manual-and-local-food = The maker’s manual and local food-safety advice come first.
plan-cautions = cautions
plan-more-notes =
    { $folded ->
        [one] one more note
       *[other] { $folded } more notes
    }
plan-careful = Careful:
plan-finish-2 = finish
plan-usual = usual
plan-your-kitchen = Your kitchen
plan-altitude = Altitude
plan-sea-level-or-3770-ft = sea level, or 3770 ft
plan-sea-level-or-1150-m = sea level, or 1150 m
plan-people-at-the-table = People at the table
plan-your-cooker = your cooker
plan-its-minimum-liquid-from-the-manual = Its minimum liquid, from the manual
plan-save-my-kitchen = Save my kitchen
plan-skip-for-now = Skip for now
plan-your-kitchen-2 = your kitchen
plan-batches-of-each-in-all =
    { $runs } batches of { $pieces ->
        [one] one piece
       *[other] { $pieces } pieces
    }, { $mass }: { $hold_min } each, { $all } in all.
plan-leave-the-trivet-out = Leave the trivet out
plan-arrange-it-the-best-way = Arrange it the best way
plan-use-the-usual-liquid = Use the usual liquid
plan-cut-into-sections-of-bones = Cut into sections of { $value } bones
plan-cut-each-piece-across-into = Cut each piece across into { $value }
plan-cook-in-batches = Cook in { $value } batches
plan-minutes = minutes
plan-minutes-from-a-recipe = minutes from a recipe
plan-recipes-pressure = recipe’s pressure
plan-if-not-this-cookers = if not this cooker’s
plan-here-would-make-it = { $given } here would make it
plan-use-these-minutes = Use these minutes
plan-are = { $given } are
plan-here-and-make-it = here, and make it { $texture_reached }.
plan-without-the-cooker = without the cooker
plan-with-of-liquid = with { $liquid } of liquid. { $join }
plan-the-cooker-is-free = the cooker is free
plan-in-the-oven-covered = in the oven, covered
plan-in-a-slow-cooker-low = in a slow cooker, low
plan-in-a-slow-cooker-high = in a slow cooker, high
plan-at = { $hold_min } at { $plan }
plan-likely-range = likely range { $low }
plan-this-is-for-your-last-valid = This is for your last valid entry.
plan-calculating-the-new-time = Calculating the new time …
plan-min = min
plan-use-my-own-time = use my own time
plan-at-2 = at { $plan }
plan-cook-time = cook time
plan-cook-time-min = cook time { $hold_min } min, { $range }
plan-the-plan-would-set-min = The plan would set { $usual_min } min,
plan-in-8-of-10-kitchens = { $range } in 8 of 10 kitchens
plan-in-8-of-10-kitchens-guessed = { $range } in 8 of 10 kitchens, thickness guessed
plan-on-a-cooker = { $minutes } on a cooker
plan-that-shows-hours = that shows hours
plan-correct-what-is-marked-then-the = Correct what is marked. Then the cook time appears here.
plan-type-the-weight-and-the-cook = Type the weight, and the cook time appears here.
plan-the-chance-of-or-softer-is = The chance of { $texture } or softer is { $round } %.
plan-batches = { $count } batches: { $join }.
plan-two-steps = In two steps: { $first } for all, then { $second } for the rest.
plan-two-steps-range = The rest is likely done in { $range }.
plan-two-steps-how = Quick release after the first. Take out what is done, close the lid again, and cook the rest on. { $all_done_s } in all.
plan-one-cook-time = One cook time for all
plan-cook-it-in-two-steps = Cook it in two steps
plan-at-a-hot-cooker-comes-to = A hot cooker comes to pressure sooner. { $all_done_s } in all, with 10 min to change the meat.
plan-this-cut-is-cooked-in-two = This cut is cooked in two ways. Which do you want?
plan-braised-until-fork-tender-min = Braised until fork-tender, { $hold_min } min
plan-warmed-for-min-then-crisped = Warmed for { $my_minutes } min, then crisped
plan-pressure =
    { $level ->
        [high] high pressure
       *[low] low pressure
    }
plan-how-each-piece-is-cut = how each piece is cut
plan-cubes-of = cubes of
plan-4-cm = 4 cm
plan-whole = whole
plan-halved-thinner = halved, thinner
plan-flat-and-point = flat and point
plan-quartered = quartered
plan-cubes = cubes
plan-single-ribs = single ribs
plan-tenderness = tenderness
plan-best-way-that-fits = best way that fits
plan-more-shape-sauce-a-second-cut = More: shape, sauce, a second cut
plan-shape = shape
plan-batches-2 = batches
plan-length = length
plan-by-the-weight = by the weight
plan-width = width
plan-arrangement = arrangement
plan-keep-pieces-apart-with-gaps-for = keep pieces apart, with gaps for steam
plan-weighed-as-bought-with-the-fat = weighed as bought, with the fat cap
plan-sauce = sauce
plan-a-thick-or-sweet-one-besides = a thick or sweet one, besides the liquid
plan-simmer-uncovered-to-reduce = simmer uncovered to reduce
plan-minutes-after-opening = minutes, after opening
plan-something-in-it-foams-beans-grains = something in it foams: beans, grains, apples
plan-thin-broth-wine-juice = thin: broth, wine, juice
plan-sugar = sugar
plan-per-liter = per liter
plan-poured-over-the-meat-not-on = poured over the meat, not on the bottom
plan-even = even
plan-tapered = tapered
plan-measured-at-its-thickest-third = measured at its thickest third
plan-rolled = rolled
plan-measured-across-the-roll = measured across the roll
plan-one-batch = one batch
plan-batches-3 = { $value } batches
plan-nothing-else = nothing else
plan-second-cut-in-the-same-cooker = second cut in the same cooker
plan-weight = weight
plan-of-the-second-cut = of the second cut
plan-pieces-2 = pieces
plan-thickness = thickness
plan-measure-it = measure it
plan-why = Why
plan-steps = Steps
plan-what-if = What if
plan-what-if-table = what if
plan-ready-by = Ready by
plan-prep-and-serving = Prep and serving
plan-sauce-and-sides = Sauce and sides
plan-check-a-recipes-time = Check a recipe’s time
plan-not-done = Not done?
plan-about-this-plan = about this plan
plan-my-own-time = my own time
plan-as-calculated = as calculated
plan-your-meat = Your meat
plan-new-plan = New plan
plan-saved-plans = Saved plans
plan-cut-2 = cut
plan-kind-of-cut = kind of cut
plan-weigh = weigh
plan-weigh-it-on-the-scale = weigh it on the scale
plan-3-lb-2-oz = 3 lb 2 oz
plan-1-4-kg = 1.4 kg
plan-1-in = 1¾ in
plan-4-5-cm = 4.5 cm
plan-from = from
plan-of = { $count } of { $mass },
plan-serves = serves { $to }
plan-serves-to = serves { $from } to { $to }
plan-thickness-drag = thickness, drag
plan-on-bones-stay-in = on: bones stay in
plan-off-bones-may-slide-out = off: bones may slide out
plan-membrane = membrane { $on }
plan-to-serve = to serve
plan-buy = Buy { $enough }.
plan-use-it = Use it
plan-in-the-cooker = In the cooker
plan-view = view
plan-to-scale = to scale
plan-place-in-the-cooker = place in the cooker
plan-side = side
plan-the-cooker-cut-open-from-the = the cooker cut open, from the side
plan-top = top
plan-the-cooker-from-above = the cooker from above
plan-correct-what-is-marked-then-the-2 = Correct what is marked. Then the cooker is drawn.
plan-type-how-much-the-meat-weighs = Type how much the meat weighs and how thick it is. The cooker is drawn with it.
plan-serve-at = Serve at
plan-in = in { $minutes }
plan-type-the-serving-time-the-ways = Type the serving time. The ways that make it appear here, with rest and finish counted.
plan-delayed-start-at-most = Delayed start: { $minutes } at most.
plan-do-not-use-delayed-start-with = Do not use delayed start with this piece.
plan-raw-meat-may-be-between-4 = Raw meat may be between 4 °C (40 °F) and 60 °C (140 °F) for two hours in all, heating included (USDA; check local advice).
plan-as-it-is = as it is
plan-use-this = use this
plan-to-spare = { $spare_s } to spare
plan-late = { $spare_s } late
plan-ways-to-be-ready = ways to be ready
plan-liquid-left-in-the-pot = liquid left in the pot
plan-reduce-to = reduce to
plan-skim-the-fat-uncovered-on-the = Skim the fat. { $value } uncovered on the sear setting leave { $left }. Then stir { $value2 } of starch with cold water into a slurry and simmer it in, or use { $value3 } of mashed potato. Salt it last.
plan-three-quarters = three quarters
plan-two-thirds = two thirds
plan-half = half
plan-a-third = a third
plan-thin = thin
plan-coats-a-spoon = coats a spoon
plan-thick = thick
plan-with-it = with it, { $vessel }
plan-with-it-2 = with it
plan-cook-separately-min = cook separately, { $hold_min } min
plan-sides = sides
plan-one-and-the-other = { $first } + { $second }
plan-dish-of-two = { $first } and { $second }
plan-name = Name
plan-cook = Cook
plan-nobody-in-particular = nobody in particular
plan-this-plan = This plan
plan-save = Save
plan-save-as-another-plan = Save as another plan
plan-save-changes = Save changes
plan-save-plan = Save plan
plan-set-your-cooker-to = Set your cooker to
plan-add-to-schedule = Add to schedule
plan-liquid = liquid
plan-usual-amount = usual amount
plan-liquid-style = liquid style
plan-trivet = trivet
plan-release = release
plan-pressure-2 = pressure
plan-own-pressure = own pressure
plan-high = high
plan-low = low
plan-custom = custom
plan-min-2 = { $usual } min
plan-wait = wait
plan-soak = soak
plan-keep-warm-for = keep warm for
plan-min-to-pressure = { $minutes } min to pressure
plan-min-until-the-pin-drops = { $n } min until the pin drops
plan-wait-min = wait { $n } min
plan-release-min = release { $n } min
plan-keep-warm-min = keep warm { $n } min
plan-rest-in-the-liquid-min = rest in the liquid { $n } min
plan-all-saved-plans = All { $plans } saved plans
plan-how-long-do-ribs-brisket-short = How long do ribs, brisket, short ribs and pork shoulder take in your pressure cooker?
plan-type-the-cut-the-weight-and = Type the cut, the weight and the thickness. Or look at an example:
plan-examples = examples
plan-start-with-your-own = Start with your own
plan-set-up-my-kitchen = Set up my kitchen
plan-this-is-demo-data-the-marrow = This is demo data: the Marrow Lane choir’s kitchen, plans and log.
plan-clear-demo-data = Clear demo data
plan-a-copy-is-kept-in-my = A copy is kept in My kitchen.
plan-the-app-does-not-answer-right = The app does not answer right now.
plan-no-hands = no hands
plan-steps-2 = steps
plan-the-saved-plan-was-deleted-what = The saved plan was deleted. What you see is kept; save it as a new plan.
plan-saved-as = Saved with a cook time of { $hold_min } and a total time of { $lid_on_to_open_s }.
plan-recalculated-it-differs =
    { $newer ->
        [yes] Recalculated (newer version), it differs:
       *[no] Recalculated, it differs:
    }
plan-save-the-new-numbers = Save the new numbers
plan-adjusted-from-your-log = adjusted from your log
plan-adjusted-by-how-your-cooks-came = Adjusted by how your cooks came out
plan-which-cooks-and-reset = Which cooks, and Reset
plan-adjustments-from-your-log = adjustments from your log
plan-compare-other-releases = compare other releases
plan-first-lid-on-to-lid =
    { $what ->
        [step] both steps, first lid on to last lid off
       *[batch] first batch, lid on to lid off
    }
plan-total-time-lid-on-to-lid = total time, lid on to lid off
plan-the-total-includes-coming-to-pressure = The total includes coming to pressure and the release. Both cook the meat too.
plan-the-chart = the chart
plan-cook-time-lid-off-after = { $name }: cook time { $hold_min }, lid off after { $lid_on_to_open_s }
plan-other-releases = other releases
plan-pressure-and-temperature = Pressure and temperature
plan-set-to-zero = Set to zero
plan-use-this-weight = Use this weight
plan-the-scale = the scale
plan-the-scale-does-not-answer-type = The scale does not answer. Type the weight.
plan-nothing-on-it = nothing on it
plan-settling = settling …
plan-simulated = simulated:
plan-what-lies-on-the-simulated-scale = what lies on the simulated scale
plan-1-42-kg = 1.42 kg
plan-put-it-on = Put it on
plan-how-does-it-look = How does it look?
plan-opened-after-min = opened after { $hold_min } min
plan-or-thermometer = or thermometer
plan-at-the-center = at the center
plan-cook-min-more-it-is-open = Cook { $hold_min } min more. It is open again in { $more_s }.
plan-next-time-set = { $advice } Next time set { $next_hold_min }.
plan-it-is-done = It is done.
plan-cook-it-longer = Cook it longer.
plan-softer-than-you-wanted = Softer than you wanted.
plan-the-cooker-stopped-on-its-own = the cooker stopped on its own
plan-minutes-after-lid-on = minutes after lid on
plan-min-after-lid-on = min after lid on
plan-minutes-ago = minutes ago
plan-min-ago = min ago
plan-set-min-it-opens-in = Set { $hold_min } min. It opens in { $more_s }.
plan-the-center-is-at-about = The center is at about { $core_temp_c }.
plan-if-it-is = if it is
plan-total-time-3 = total time
plan-1-to = 1 to { $numbered }
plan-as-it-is-in-two-steps = As it is planned, in two steps:
plan-or-in-two-steps = Or in two steps:
plan-open-after-with-a-quick-release = open after { $first_min } with a quick release and take out what is done ({ $value }). Close again for { $second_min } with the rest ({ $value2 }). In all { $done_s }, and each comes out as you want it.
plan-does-not-work = does not work
plan-each-piece-halved-through-its-thickness = each piece halved through its thickness
plan-each-piece-quartered = each piece quartered
plan-cut-into-sections-of-three-bones = cut into sections of three bones
plan-from-the-freezer = from the freezer
plan-in-2 = in { $value }
plan-and-min = and { $round } min
plan-safe = Safe:
plan-the-center-is-at-when-the = The center is at { $core_at_open } when the lid comes off; the safe minimum is { $safe_core }{ $rest }.
plan-how-the-number-is-made = How the number is made
plan-reasons = reasons
plan-from-of-yours =
    { $cooks ->
        [one] From { $cooks } cook of yours.
       *[other] From { $cooks } cooks of yours.
    }
plan-cook-time-2 = Cook time
plan-likely-range-2 = Likely range
plan-liquid-2 = Liquid
plan-trivet-2 = Trivet
plan-release-2 = Release
plan-drag = drag { $join }
plan-example-brisket = Two halves of a brisket flat
plan-example-ribs = A rack of ribs
plan-example-shoulder = Pork shoulder to pull
plan-weight-and-thickness = { $mass }, { $thickness } thick
plan-lengthwise = { $count } lengthwise
plan-across = { $count } across
plan-bones-each = { $count } bones each
plan-saved-as-changed = Saved with a cook time of { $hold_min } and a total time of { $lid_on_to_open_s }. It has changed, and is not saved yet.
plan-own-time-only-warms = With your own time, expect meat that is only warmed through.
plan-own-time-expect = With your own time, expect { $texture }.
plan-own-time-expect-between = With your own time, expect { $texture }, between { $low } and { $high } in 8 of 10 kitchens.
plan-from-the-refrigerator = fridge
plan-family =
    { $family ->
        [ribs] ribs
        [brisket] brisket
        [short-ribs] short ribs
        [wings] wings
       *[shoulder] shoulder
    }
plan-why-of-range = range
plan-why-of-total = total
plan-why-of-liquid = liquid
plan-why-of-trivet = trivet
plan-why-of-release = release
plan-meat = meat
plan-minute-natural-release = { $minutes }-minute natural release
