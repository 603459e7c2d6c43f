schedule-kitchen-cards = Kitchen cards
schedule-for-to-servings = { $meat }; for { $plates_from } to { $plates_to } servings
schedule-at-pressure-in-likely-range =
    { $hold_min } at { $level ->
        [high] high
       *[low] low
    } pressure in { $pot }, likely range { $hold_low_min }{ $runs ->
        [one] {""}
       *[other] , { $runs } batches
    }
schedule-then-for-the-rest = then { $then_min } for the rest
schedule-cook-time = cook time
schedule-liquid = liquid
schedule-trivet = trivet
schedule-release = release
schedule-look-for = look for
schedule-raw-meat = raw meat
schedule-what-is-left = what is left
schedule-open-the-lid-only-when-the = Open the lid only when the pin is down, away from your face. The maker’s manual and local food-safety advice come first.
schedule-schedule = Schedule
schedule-this-time-does-not-exist = This time does not exist.
schedule-the-clocks-go-forward-in-that = The clocks go forward in that hour. Choose a time before or after it.
schedule-start = Start
schedule-ready-later-than-you-wanted = Ready { $late } later than you wanted.
schedule-should-have-started = It should have started { $late } ago. Serve later, or plan from now.
schedule-serving-time-is-past = This serving time is past.
schedule-plan-from-now = Plan from now
schedule-this-one = this one
schedule-remove = Remove
schedule-remove-2 = remove { $title }
schedule-from-the-freezer = from the freezer
schedule-cooked = cooked
schedule-on-the-day = on the day
schedule-the-day-before-chilled = the day before, chilled
schedule-days-before-frozen = days before, frozen
schedule-juice = juice
schedule-reduced-to-a-volume = reduced to a volume
schedule-sauce-left = to
schedule-reduced-to-half = reduced to half
schedule-reduced-to-a-glaze = reduced to a glaze
schedule-thickened = thickened
schedule-not-used = not used
schedule-rub-on = rub on for { $time_s }
schedule-rub-on-overnight = rub on overnight
schedule-crackling = crackling from the rind
schedule-marinade = marinade
schedule-marinade-of-the-recipe = as in the recipe, { $time_s }
schedule-none = none
schedule-separate-flat-and-point = separate flat and point
schedule-fat-cap = fat cap trimmed to
schedule-as-it-is = as it is
schedule-fat-left =
    { $mm ->
        [0] all off
       *[other] { $units ->
            [us] { $mm ->
                [3] ⅛ in
                [6] ¼ in
                [10] ⅜ in
               *[13] ½ in
            }
           *[metric] { $mm } mm
        }
    }
schedule-people-at-the-table = people at the table
schedule-all = all
schedule-usual = usual
schedule-own-step = A step of your own
schedule-sear-min-a-batch = sear, minutes a batch
schedule-batches = batches
schedule-leftovers = leftovers
schedule-into-the-refrigerator = into the refrigerator
schedule-frozen-in-portions = frozen in portions
schedule-at-the-end = at the end
schedule-at-the-table = at the table
schedule-while-it-cooks = while it cooks
schedule-a-step-of-your-own = a step of your own for { $title }
schedule-own-step-such-as = your own step, such as: stir in the honey
schedule-minutes = minutes
schedule-when = when
schedule-add-this-step = Add this step
schedule-cooking-now = cooking now
schedule-start-cooking = Start cooking
schedule-cook-now = cook { $title } now
schedule-before-it-is-seasoned = before it is seasoned
schedule-before-the-cooker = before the cooker
schedule-to-serve = to serve
schedule-cook-separately = cook separately
schedule-cook-first = cook first, in a run of its own
schedule-min = { $title }, { $round } min, { $when }
schedule-leave-out = leave out
schedule-leave-out-2 = leave out { $title }
schedule-also-for = also for { $title }
schedule-add-a-saved-plan = add a saved plan
schedule-choose = choose
schedule-or-plan-one-in = Or plan one in
schedule-plan = Plan
schedule-or-use-a = or use a
schedule-recipe = recipe
schedule-dishes = dishes
schedule-guests-are-late-by = guests are late by
schedule-nothing = nothing
schedule-serve-at = Serve at { $value }
schedule-guests-are-late = guests are late
schedule-name = name
schedule-rehearsal-supper = Rehearsal supper
schedule-save-changes = Save changes
schedule-save-schedule = Save schedule
schedule-delete = Delete
schedule-new-schedule = New schedule
schedule-open = open
schedule-a-saved-schedule = a saved schedule
schedule-open-a-saved-schedule = open a saved schedule
schedule-saved = saved
schedule-is-deleted = “{ $name }” is deleted.
schedule-undo = Undo
schedule-saved-schedules = saved schedules
schedule-this-day = This day
schedule-shopping-list = Shopping list
schedule-to-buy = to buy
schedule-calendar-file = Calendar file
schedule-print-schedule = Print schedule
schedule-moved-in-your-calendar-import-it = Moved in your calendar? Import it
schedule-this-file-is-too-big-export = This file is too big. Export only the days you cook.
schedule-a-locked-phone-rings-only-from = A locked phone rings only from its own calendar. Import the file again to move what is there.
schedule-nothing-was-moved = Nothing was moved
schedule-moved-and-locked = { $pinned } moved and locked
schedule-not-from-this-schedule = { $moved }; { $others } not from this schedule.
schedule-timeline = Timeline
schedule-to = { $start } to { $end }
schedule-tasks = tasks
schedule-of = { $title } of { $dish }
schedule-started = started
schedule-done = done
schedule-min-2 = { $whole } min
schedule-people-cooking = people cooking
schedule-with-a-shopping-trip = with a shopping trip
schedule-i-have-started-plan-from-now = I have started: plan from now
schedule-nobody-is-cooking-from = nobody is cooking from
schedule-nobody-is-cooking-at-night = nobody is cooking at night
schedule-the-night-begins-at = the night begins at
schedule-to-2 = to
schedule-the-night-ends-at = the night ends at
schedule-serve-at-2 = serve at
schedule-15-minutes-earlier = 15 minutes earlier
schedule-15-minutes-later = 15 minutes later
schedule-too-long = { $dish }: { $max } too long. { $why }
schedule-ways-to-fix-it = Ways to fix it:
schedule-conflicts = conflicts
schedule-unsafe = Do not cook this day as it is: meat would wait longer than is safe. Serve later, or use one of the fixes.
schedule-not-proved = Not every order was tried in the time; there may be a day with less conflict.
schedule-raw-out = out of the refrigerator for { $out } until its center is hot
schedule-raw-out-too-long = out of the refrigerator for { $out } until its center is hot. That is more than two hours, so keep it cold longer.
schedule-cools = flat in bags, { $thick }, in the refrigerator: { $warm } after { $warm_after }, { $cold } after { $cold_after }
schedule-cools-too-slowly = flat in bags, { $thick }, in the refrigerator: { $warm } after { $warm_after }, { $cold } after { $cold_after }. That is too slow: cool it in ice water first.
schedule-lane =
    { $lane ->
        [hands] needs you
        [in_passing] in passing
        [fridge] refrigerator
        [pan] pan
        [oven] oven
        [grill] grill
        [air_fryer] air fryer
        [pot] cooker
       *[elsewhere] elsewhere
    }
schedule-lock-start-time = lock start time
