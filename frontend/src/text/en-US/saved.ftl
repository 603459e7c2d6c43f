saved-solid-and-dashed = { $name } (solid) and { $name2 } (dashed)
saved-comparing = Comparing …
saved-close = Close
saved-two-plans-compared = two plans compared
saved-what = what
saved-one-piece = one piece
saved-pieces = { $count } pieces
saved-in = in { $pot_name }
saved-cook-time = cook time
saved-total-time = { $lid_on_to_open_s } total time
saved-compare = compare
saved-copy = Copy
saved-copy-2 = copy { $name }
saved-rename = Rename
saved-rename-2 = rename { $name }
saved-delete = Delete
saved-delete-2 = delete { $name }
saved-new-name = new name
saved-save-name = Save name
saved-saved-plans = Saved plans
saved-find = find
saved-the-app-does-not-answer = The app does not answer.
saved-start-it-again-your-plans-are = Start it again. Your plans are safe on disk.
saved-no-plan-has-these-words-in = No plan has these words in its name.
saved-no-plan-is-saved-yet-make = No plan is saved yet. Make one in Plan.
saved-select-another-plan-to-compare = Select another plan to compare.
saved-saved-plans-2 = saved plans
saved-the-newest-of-type-a-word = The newest { $plans } of { $total }. Type a word to find the others.
saved-is-deleted = “{ $name }” is deleted.
saved-undo = Undo
saved-total-time-lid-on-to-lid-off = total time, lid on to lid off
saved-tenderness = tenderness
saved-thickness = thickness
saved-weight = weight
saved-liquid = liquid
saved-liquid-style = liquid style
saved-trivet = trivet
saved-release = release
saved-pressure = pressure
saved-cooker = cooker
saved-altitude = altitude
saved-level =
    { $level ->
        [high] high
       *[low] low
    }
