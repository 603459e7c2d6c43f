# What went wrong, and what to do (.hint). The id is "error-" and the code.
# Say what happened with the field's word, then what to do. No more than 18 words a sentence.

## Measures as typed

error-unreadable = “{ $typed }” is not a measure this can read.
    .hint = Type, for example, { EXAMPLE($quantity) }.
error-empty = This is still empty.
    .hint = Type, for example, { EXAMPLE($quantity) }.
error-unit_missing = “{ $typed }” has no unit.
    .hint = Add the unit, for example { EXAMPLE($quantity) }.
error-unit_unknown = “{ $typed }” is not a unit of { $quantity ->
        [mass] weight
        [length] length
        [volume] volume
        [altitude] altitude
        [temperature] temperature
       *[pressure] pressure
    } known here.
    .hint = Type, for example, { EXAMPLE($quantity) }.

## Your meat

error-unknown_cut = This cut is not known here.
    .hint = Choose one from the list.
error-piece_count = You can plan 1 to { PLAIN($most) } pieces; this is { PLAIN($count) }.
    .hint = Type how many pieces go into the cooker together.
error-kind_count = You can plan at most { PLAIN($most) } kinds of pieces together.
    .hint = Enter pieces that are nearly alike as one kind.
error-no_bone = { CUT($cut, "name") } has no bone.
    .hint = Choose the cut with the bone in.
error-no_membrane = { CUT($cut, "name") } has no membrane.
    .hint = Leave this off.
error-frozen_sear = Frozen meat steams instead of searing.
    .hint = Thaw it first, or put it in without searing.
error-too_light = A piece of { MASS($mass_kg) } is too small to plan. The least is { MASS($least_kg) }.
    .hint = Check the unit. This is the weight of all pieces together.
error-too_heavy = A piece of { MASS($mass_kg) } is more than any cooker here takes. The most is { MASS($most_kg) }.
    .hint = Check the unit, or cut it and cook it in batches.
error-too_thin = { LENGTH($thickness_m) } is too thin to plan. The least is { LENGTH($least_m) }.
    .hint = Check the unit. Meat this thin is done before the cooker is at pressure; fry it instead.
error-too_thick = { LENGTH($thickness_m) } is too thick to plan. The most is { LENGTH($most_m) }.
    .hint = Check the unit, or halve the meat through its thickness.
error-frozen_too_thick = Frozen meat { LENGTH($thickness_m) } thick stays raw inside too long. Up to { LENGTH($most_m) } can go in frozen.
    .hint = Thaw it in the refrigerator first, for about { DURATION($thaw_s) }.
error-frozen_together = Frozen pieces on top of each other are as thick as { LENGTH($thickness_m) } and stay raw inside too long. Up to { LENGTH($most_m) } can go in frozen.
    .hint = Cook them in two batches, or thaw them first.
error-frozen_stiff = A frozen rack does not bend, and this one is too long for the cooker.
    .hint = Thaw it first, or cut it into sections before you freeze it.
error-start_too_warm = Raw meat at { TEMP($start_c) } is too warm to plan. The most is { TEMP($most_c) }.
    .hint = Type the temperature at its center. From the refrigerator it is about { TEMP(4) }.
error-start_unclear = At { TEMP($start_c) } meat is neither thawed nor frozen.
    .hint = Type { TEMP(-1) } or more for thawed meat, { TEMP($frozen_c) } to { TEMP(-30) } for frozen meat.
error-thickness_is_not_shortest = A piece of { MASS($mass_kg) } that is { LENGTH($thickness_m) } thick would be only { LENGTH($width_m) } wide.
    .hint = Measure the shortest way through, or check the weight and the number of pieces.
error-sizes_do_not_hold_weight = A piece { LENGTH($length_m) } × { LENGTH($width_m) } × { LENGTH($thickness_m) } weighs about { MASS($would_kg) }, not { MASS($mass_kg) }.
    .hint = Measure again, or leave length and width empty.

## How it is cut

error-parts = You cannot cut a piece into { PLAIN($parts) } here.
    .hint = Type 2 to { PLAIN($most) }.
error-rolled_lengthwise = A rolled roast comes apart when you cut it lengthwise.
    .hint = Cut it across, or untie it and enter it as an even piece.
error-bony_cubes = Meat on the bone cannot be cut into cubes.
    .hint = Take the bone out and choose the boneless cut, or cut it across.
error-cube_size = Cubes of { LENGTH($cube_m) } are outside what this can plan.
    .hint = Type { LENGTH($least_m) } to { LENGTH($most_m) }; { LENGTH(0.04) } is usual.
error-many_cubes = Cubes of { LENGTH($cube_m) } would make { PLAIN($count) } pieces. The most is { PLAIN($most) }.
    .hint = Cut bigger cubes, or cook in batches.
error-section_bones = You cannot cut sections of { PLAIN($bones) } bones from a rack.
    .hint = Type 1 to { PLAIN($most) }; three are usual.
error-not_whole = There is no whole brisket here to separate.
    .hint = Leave this off.

## In the cooker

error-unknown_pot = This cooker is not known here.
    .hint = Choose one of the cookers in My kitchen.
error-too_long = A piece { LENGTH($length_m) } × { LENGTH($width_m) } does not fit into a cooker { LENGTH($wide_m) } wide.
    .hint = Cut it across into { PLAIN($parts) }, or use a wider cooker.
error-too_tall = The meat stands { LENGTH($high_m) } high. There is room for { LENGTH($room_m) }{ $raised ->
        [yes] { " on the trivet" }
       *[no] { "" }
    }.
    .hint = Cut it into sections, or use a taller cooker.
error-does_not_lie = { $count ->
        [one] One piece of this size does
       *[other] { PLAIN($count) } pieces of this size do
    } not fit side by side in a cooker { LENGTH($wide_m) } wide.
    .hint = Cook in two batches, or use a wider cooker.
error-too_full = { MASS($mass_kg) } with the minimum liquid is above the max fill line. This cooker takes { MASS($most_kg) }.
    .hint = Cook in at least { PLAIN($batches) } batches, or use a bigger cooker.
error-too_full_without_meat = Trivet, sauce and minimum liquid alone reach the max fill line.
    .hint = Leave some of them out, or use a bigger cooker.
error-below_minimum = { VOLUME($liquid_m3) } is less than this cooker's minimum liquid. It would run dry and stop.
    .hint = Use at least { VOLUME($least_m3) } of thin liquid.
error-above_maximum = { VOLUME($liquid_m3) } with this meat is above the max fill line.
    .hint = Use at most { VOLUMEMOST($most_m3) }, or less meat.
error-sauce_amount = { PLAIN($given) } L of sauce is more than this can plan.
    .hint = Use at most { PLAIN($most) } L.
error-sauce_sugar = { PLAIN($given) } g of sugar in a liter is more than any sauce has.
    .hint = Type at most { PLAIN($most) } g.
error-no_pressure = With this load the cooker needs more than { DURATION($longest_s) } to come to pressure.
    .hint = Use less liquid, or a stronger cooker.
error-altitude = { ALTITUDE($altitude_m) } is outside what this can plan.
    .hint = Type the altitude of your kitchen, up to { ALTITUDE($most_m) }.
error-gauge = { PRESSURE($pressure_pa) } is outside what this can plan.
    .hint = Type { PRESSURE($least_pa) } to { PRESSURE($most_pa) }; the manual says which.

## Cook time and release

error-never_done = These pieces would not get there in { DURATION($longest_s) } under pressure.
    .hint = Cut them thinner.
error-own_minutes = You cannot set { MINUTES($own_min) }.
    .hint = Type 0 to { PLAIN($most_min) } minutes, or leave it empty.
error-unsafe_minutes = After { MINUTES($own_min) } the thickest piece of poultry is not safe at its center.
    .hint = Type at least { MINUTES($least_min) }.
error-no_release = Natural release would take too long.
    .hint = Choose a 10-minute natural release.
error-wait = Waiting { DURATION($given_s) } before you open the valve is outside what this can plan.
    .hint = Type { DURATION($least_s) } to { DURATION($most_s) }.
error-stay = { DURATION($given_s) } in the closed cooker or in the liquid is outside what this can plan.
    .hint = Type { DURATION($least_s) } to { DURATION($most_s) }.
error-boil = Simmering uncovered for { DURATION($given_s) } is outside what this can plan.
    .hint = Type { DURATION($least_s) } to { DURATION($most_s) }.
error-batch_count = { PLAIN($batches) } batches are more than this can plan.
    .hint = Type 1 to { PLAIN($most) } batches.
error-too_many_runs = This would take more than { PLAIN($most) } batches.
    .hint = Use a bigger cooker, or cook less.
error-nothing_seen = You did not say how the meat is.
    .hint = Say how it looks, or put a thermometer into the center.
error-never_done_by_method = By this method it would take more than a day.
    .hint = Cut the meat smaller, or choose another method.
error-frozen_slow = In a slow cooker, frozen meat stays between { SAFETEMP(4) } and { SAFETEMP(60) } too long.
    .hint = Thaw it in the refrigerator first.

## Fixes that fit, offered as a button in place of the hint

fix-rack = It fits without the trivet. Leave it out.
fix-lying = It fits when you arrange it another way.
fix-liquid = It fits with the usual amount of liquid.
fix-sections = It fits in sections of { $value } bones. Cut between the bones.
fix-across = It fits when you cut each piece across into { $value }.
fix-batches = It fits in { $value } batches, one after the other.

## Prep, serving, sauce

error-marinade = This kind of marinade is not known here.
    .hint = Choose one from the list.
error-body = This thickness of sauce is not known here.
    .hint = Choose thin, medium or thick.
error-unknown_side = This side is not known here.
    .hint = Choose one from the list.

## My kitchen

error-pot_out_of_range = { $quantity ->
        [volume] { VOLUME($given) } is not a kitchen pressure cooker. It must be { VOLUME($least) } to { VOLUMEMOST($most) }.
        [length] { LENGTH($given) } is not a kitchen pressure cooker. It must be { LENGTH($least) } to { LENGTH($most) }.
        [pressure] { PRESSURE($given) } is not a kitchen pressure cooker. It must be { PRESSURE($least) } to { PRESSURE($most) }.
        [time] { MINUTES($given) } is not a kitchen pressure cooker. It must be { MINUTES($least) } to { MINUTES($most) }.
        [power] { PLAIN($given) } W is not a kitchen pressure cooker. It must be { PLAIN($least) } to { PLAIN($most) } W.
       *[other] { PLAIN($given) } is not a kitchen pressure cooker. It must be { PLAIN($least) } to { PLAIN($most) }.
    }
    .hint = Measure again, or read the label under the cooker.
error-pot_does_not_hold = An inner pot { LENGTH($diameter_m) } wide and { LENGTH($height_m) } high holds { VOLUME($hold_m3) }, not { VOLUME($volume_m3) }.
    .hint = Measure the inner pot from wall to wall and from bottom to rim.
error-pot_levels = Low pressure must be less than high pressure.
    .hint = The manual says how many kPa or psi each has.
error-pot_minimum = With { VOLUME($liquid_m3) } as the minimum liquid there is hardly room for meat.
    .hint = The manual says the minimum liquid. Usually it is { VOLUME(0.00025) } to { VOLUME(0.00036) }.
error-start = { TEMP($start_c) } is not how raw meat comes out of a refrigerator.
    .hint = { TEMP(4) } is usual.
error-boil_start = Water at { TEMP($start_c) } does not work for this test.
    .hint = Use cold tap water, { TEMP(5) } to { TEMP(25) }.
error-boil_minutes = { MINUTES($given_min) } cannot be right. With { PLAIN($power_w) } W a liter takes { MINUTESSPAN($fastest_min, $slowest_min) }.
    .hint = Boil a liter (about a quart) of cold water, lid off, on the highest setting, until it boils all over.
error-not_a_backup = This file is not a complete backup. Nothing was changed.
    .hint = Choose a file that “Download backup” wrote.
error-kitchen = In this file, the kitchen of a log entry is not complete: { $detail }.
    .hint = Use a backup as the app wrote it.

## Schedule

error-too_many_tasks = A day can have at most { PLAIN($most) } tasks; this one has { PLAIN($count) }.
    .hint = Leave out a dish, or plan two days.
error-circle = Tasks wait for each other in a circle.
    .hint = Undo the last locked start time.
error-same_task = Two tasks have the same name.
    .hint = Give the dishes different names.
error-unsafe_day = In this day meat waits too long to be safe, so it gets no alarms. Mend what the Schedule marks first.
error-cools_too_slowly = A piece this thick does not cool within six hours, even in ice water.
    .hint = Halve it, or cook it on the day.
error-no_calendar = This is not a calendar file.
    .hint = Choose the file your calendar exports; it ends in .ics.
error-long_calendar = This calendar has more than { PLAIN($most) } events.
    .hint = Export only the days you cook.

## Log

error-heavier_cooked = Cooked meat cannot weigh more than raw meat.
    .hint = Swap the two, or weigh the meat without its juice.
error-weight_range = “{ $typed }” is not between { MASS($least_kg) } and { MASS($most_kg) }.
    .hint = Weigh all pieces together, without the dish.
error-too_many_rows = The file has more than { PLAIN($most) } rows.
    .hint = Split the file, or use the command line.
error-csv = This is not a CSV file: { $detail }.
    .hint = Choose a file that the log exported.
error-columns = Columns are missing: { $columns }.
    .hint = Use the header of an export. The units are part of the names.
error-jsonld = This is not a log from this app.
    .hint = Choose a file that the log exported.
error-enough_photos = This log entry already has { PLAIN($most) } photos.
    .hint = Remove one first.
error-not_a_photo = This file is not a picture the app can read.
    .hint = Choose a JPEG, PNG or WebP picture.
error-photo_too_large = This picture has more than { PLAIN($most) } million pixels.
    .hint = Choose a smaller picture.

## Cook

error-unknown_step = This cook has no such step.
    .hint = Reload the page.
error-ended = This cook is over.
    .hint = Start it again from its plan.
error-ended_times = This cook is over.
    .hint = Its times stay as they were.
error-begun = This cook has already started.
    .hint = Undo its steps first, or start another one.
error-not_confirmed = { $missing ->
        [one] One line is not confirmed yet.
       *[other] { PLAIN($missing) } lines are not confirmed yet.
    }
    .hint = Check each one, tick it, then go on.
error-unknown_tick = This step has no such line.
    .hint = Reload the page.
error-cannot_skip = This step cannot be left out.
    .hint = Food safety or the cooker needs it. Do it, or stop this cook.
error-too_soon = { MINUTES($left_min) } are left, and the cook time counts on them.
    .hint = Wait, or go on now: the meat comes out firmer than planned.
error-too_many_timers = { PLAIN($most) } timers are already running.
    .hint = Stop some of them first.
error-unknown_timer = There is no such timer.
    .hint = Reload the page.
error-late_too_often = It has already waited { $most } times. Serve it, or chill it.
error-served = It is past that: it cannot wait in this way any more.
error-too_many_rounds = It has already been cooked longer three times.
    .hint = Cut it up and simmer it.
error-not_started = This cook has not started.
    .hint = Start it first.
error-full_sheet = This log entry is full.
    .hint = End this cook and start another one.

## Devices

error-device_away = { $name } does not answer.
    .hint = Go on by hand. The app keeps asking.
error-nobody_there = Somebody has to stand at the cooker for this.
    .hint = Look at lid and valve, then confirm that you are there.
error-by_hand = No cooker is connected to this cook.
    .hint = Go on by hand.
error-panel_too_long = That is longer than this cooker can be set.
    .hint = Set at most { MINUTES($most_min) }, then set the rest when they are over.
error-running = The cooker is running.
    .hint = Stop it first.
error-no_vessel = There is no inner pot in the cooker.
    .hint = Put it in.
error-lid_off = The lid is off.
    .hint = Lock it, then start.
error-not_set = No cook time is set.
    .hint = Set the cook time first.
error-pin_up = The pin is up. The cooker is under pressure.
    .hint = Wait, or release the pressure. Never force the lid.
error-lid_on = The lid is on.
    .hint = Take it off first.
error-overload = The scale takes up to { MASS($most_kg) }.
    .hint = Weigh the pieces one by one and add them up.

## Recipes

error-no_recipe = There is no recipe in this that the app can read.
    .hint = Paste the ingredients and the steps, each on a line of its own.
error-broken_json = This looks like a JSON file, but it is damaged or cut off.
    .hint = Save it again, or paste the text of the recipe.
error-too_many_tags = This page is far larger than a recipe.
    .hint = Paste only the text of the recipe.
error-recipe_too_long = This has { PLAIN($count) } lines. A recipe has at most { PLAIN($most) }.
    .hint = Paste only the recipe, without what is around it.
error-too_many_lines = This has more than { PLAIN($most) } lines.
    .hint = Paste only the recipe, without what is around it.
error-recipe_too_large = This file is { PLAIN($size_mb) } MB. The most is { PLAIN($most_mb) } MB.
    .hint = Save only the recipe, or paste its text.
error-not_text = This is not a text file.
    .hint = Open it in the program that made it, and paste the text of the recipe.
error-reading_too_slow = Reading this took too long, so it was stopped.
    .hint = Paste only the recipe, without what is around it.
error-too_much = This is too much meat for one day.
    .hint = Cook less.
error-recipe_out_of_range = A measure in this recipe is outside what this can plan.
    .hint = Correct the measures.
error-no_cut = There are no ribs, brisket, short ribs, pork shoulder or wings in it.
    .hint = Name the cut in the list of ingredients, or choose it here.
error-out_of_scope = The meat in it is “{ $meat }”. This app plans ribs, brisket, short ribs, pork shoulder and chicken wings.
    .hint = The recipe is kept as it is. If it is one of those cuts after all, choose it here.
error-gains_little = Meat of { LENGTH($thickness_m) } gains little from pressure. Grill it as the recipe says.
error-two_meats = There is more than one meat in it: “{ $meat }” and “{ $other }”.
    .hint = Choose the cut that goes into the cooker. Cook the other one separately.

## The app itself

kind-plan = plan
kind-pot = cooker
kind-person = person
kind-household = kitchen
kind-recipe = recipe
kind-day = schedule
kind-cook = log entry
kind-photo = photo
kind-device = device
kind-copy = copy
kind-backup = backup
error-out_of_range = { PLAIN($given) } { $unit } for “{ $name }” is outside what this can plan.
    .hint = It must be { PLAIN($least) } to { PLAIN($most) } { $unit }.
error-not_whole_file = This file is damaged: { $detail }.
    .hint = Restore it from an older copy.
error-not_found = There is no such { NAME("kind", $kind) } here.
    .hint = It may have been deleted. Go back to the list.
error-changed_elsewhere = This { NAME("kind", $kind) } was changed in another window since you opened it.
    .hint = Look at the other version, then choose which one to keep.
error-newer_version = This { NAME("kind", $kind) } was written by a newer version of the app.
    .hint = Update the app, then open it again.
error-busy = Somebody else is saving at this moment.
    .hint = Try again in a second. Nothing was lost.
error-disk_full = The disk is full, so this was not saved.
    .hint = Make room, then try again. Everything saved before is still there.
error-not_writable = The data folder cannot be written, so this was not saved.
    .hint = Check the disk and the permissions of the folder. Everything can still be read.
error-damaged = The database file is damaged.
    .hint = { $copy ->
        [none] There is no copy to go back to. Restore a backup file into an empty folder.
       *[other] Go back to the newest good copy: pneumachron use-copy { $copy }
    }
error-newer_folder = This data folder was written by a newer version of the app.
    .hint = Update the app, or choose another folder with --data.
error-folder_in_use = This data folder is in use by { $process ->
        [none] another process
       *[other] process { $process }
    }{ $port ->
        [none] { "" }
       *[other] { " " }on port { $port }
    }.
    .hint = Use the app that is running, or stop it first.
error-invalid_input = { $kind ->
        [missing] “{ $field }” is missing.
        [extra_forbidden] “{ $field }” is not known here.
        [string_too_long] “{ $field }” is longer than { $limit } characters.
        [too_long] “{ $field }” has more than { $limit } entries.
        [string_too_short] “{ $field }” is empty.
        [too_short] “{ $field }” needs at least { $limit } entries.
        [less_than_equal] “{ $field }” is more than { $limit }.
        [less_than] “{ $field }” is not less than { $limit }.
        [greater_than_equal] “{ $field }” is less than { $limit }.
        [greater_than] “{ $field }” is not more than { $limit }.
        [literal_error] “{ $field }” is not one of the choices.
        [int_parsing] “{ $field }” is not a whole number.
        [int_type] “{ $field }” is not a whole number.
        [int_from_float] “{ $field }” is not a whole number.
        [float_parsing] “{ $field }” is not a number.
        [float_type] “{ $field }” is not a number.
        [bool_parsing] “{ $field }” is not yes or no.
        [bool_type] “{ $field }” is not yes or no.
        [string_type] “{ $field }” is not text.
        [list_type] “{ $field }” is not a list.
        [dict_type] “{ $field }” is not an object.
        [model_attributes_type] “{ $field }” is not an object.
        [string_pattern_mismatch] “{ $field }” is not written as it should be.
        [json_invalid] This is not JSON.
        [ends_before_it_begins] A time ends before it begins.
        [out_of_all_time] “{ $field }” is not a time between the years 1970 and 2199.
       *[other] “{ $field }” cannot be read.
    }
    .hint = Correct it and try again. Nothing was changed.
error-not_json = This file is not JSON.
    .hint = Choose another file.
error-bad_request = This request cannot be read.
    .hint = Reload the page and try again.
error-no_address = There is nothing at this address.
    .hint = Go back to Plan.
error-not_allowed = That cannot be done at this address.
error-too_large = This is more than { PLAIN($limit_kb) } kB.
    .hint = Send less at a time.
error-gone = Nobody is waiting for this answer.
error-unexpected = Something went wrong in the app; you did nothing wrong.
    .hint = Try again. What you typed is still on the screen.
error-body_values = This has more than { PLAIN($most) } values.
    .hint = Send less at a time.
error-body_not_utf8 = This is not UTF-8 text.
    .hint = Save the file as UTF-8.
error-body_depth = This is nested more than { PLAIN($most) } deep.
    .hint = Send less at a time.
error-body_half_character = This has half a character in it.
    .hint = Save the file as UTF-8.
error-body_number = A number in this is too large, or not a number.
    .hint = Correct it and try again. Nothing was changed.
error-body_digits = A number in this has more than { PLAIN($most) } digits.
    .hint = Correct it and try again. Nothing was changed.
error-unknown_host = The app is not served at this address.
    .hint = Open the address that the app printed when it started.
error-foreign_origin = Another site cannot change anything here.
    .hint = Use the app's own pages.
error-pairing_not_kept = The pairing could not be saved.
    .hint = Scan a new code.
error-not_paired = This device is not paired.
    .hint = Scan the pairing code in My kitchen, on the computer that runs the app.
error-unknown_question = “{ $question }” is not a question.
    .hint = Ask one of: { $known }.
error-no_copy = There is no copy { $name }.
    .hint = “pneumachron copies” lists them.
error-unreadable_file = { $file } cannot be opened: { $detail }.
    .hint = Check the name.

# Rows of a log file; the line is told beside the sentence.
row-unreadable = It cannot be read.
error-row_cell_long = “{ $column }” is longer than { PLAIN($most) } characters.
error-row_texture = There is no tenderness “{ $given }”. It is one of { LIST($known) }.
error-row_start = “{ $given }” is no date and time. Write it like 2026-11-28T18:30+01:00.
error-row_start_zone = “{ $given }” has no time zone. Write it like 2026-11-28T18:30+01:00.
error-row_start_year = The start must be between { $low } and { $high }.
error-row_pot = No cooker in My kitchen is called “{ $name }”.
error-row_empty = “{ $column }” is empty.
error-row_number = “{ $given }” in “{ $column }” is no number.
error-row_between = “{ $column }” must be between { PLAIN($low) } and { PLAIN($high) }.
error-row_pieces_nested = The pieces rated one by one are nested too deeply.
error-row_pieces_count = The pieces rated one by one must be a list of 2 to { PLAIN($most) }.
error-row_piece_says = A piece rated one by one can say only { LIST($known) }.
error-row_mark_long = A mark is longer than { PLAIN($most) } characters.
error-row_plan_nested = In the plan, something is nested too deeply.
error-row_plan_no_json = The plan is no JSON.
error-row_plan_at = The plan cannot be read at { $where }.

remark-several_recipes = There are { PLAIN($count) } recipes in it. This one was read; to convert another, paste it alone.
remark-not_utf8 = Its letters were not UTF-8. Check them.
