log-all-log-entries = All log entries
log-two-log-entries-compared = Two log entries compared
log-for-a-cook-that-was-not = For a cook that was not connected, the chart shows the plan.
log-then = { $about }: { $first }, then { $then }
log-planned-and-cooked-the-same-way = Planned and cooked the same way.
log-differences = differences
log-entry = entry { $index }
log-plan = plan
log-choose = choose
log-lid-on-at = lid on at
log-cook-time-set = cook time set
log-minutes-to-pressure = minutes to pressure
log-if-known = if known
log-result = result
log-not-rated = not rated
log-next-time = next time
log-save-log-entry = Save log entry
log-cancel = Cancel
log-add-a-log-entry = add a log entry
log-find = find
log-cut = cut
log-cooker = cooker
log-since = since
log-all = all
log-only-this = only this { $what }
log-a-cooker = a cooker
log-adjustments-from-your-log = Adjustments from your log
log-every-plan-is-adjusted-by-how = Every plan is adjusted by how your meat came out and how long your cookers took.
log-reset-no-cook-since = reset, no cook since
log-by = by
log-and-more = and { $cooks } more
log-to-learn-most-next-time = To learn most next time: { $next }
log-undo-reset = Undo reset
log-reset = Reset
log-undo-reset-for = undo reset for
log-reset-2 = reset
log-adjustments = adjustments
log-on-a-usual-piece-nine-in = on a usual piece (nine in ten: { $low } to { $high })
log-export-the-log-as = Export the log as
log-import-a-file = Import a file
log-added-already-there-could-not-be = { $added } added, { $known } already there, { $bad } could not be read.
log-line = line { $line }: { $message }
log-this-file-is-too-big-for = This file is too big for the page. Use the command line.
log-files = files
log-compare = compare
log-delete = Delete
log-delete-2 = delete { $name }
log-as-you-wanted = { $words }, as you wanted
log-you-wanted = { $words }; you wanted { $wished }
log-log = Log
log-add-log-entry = Add log entry
log-the-app-does-not-answer = The app does not answer.
log-start-it-again-your-log-is = Start it again. Your log is safe on disk.
log-log-entries = log entries
log-is-removed-from-the-log = “{ $name }” is removed from the log.
log-undo = Undo
log-pick-one-more-to-compare = pick one more to compare
log-compare-the-two = Compare the two
log-no-log-entry-matches = No log entry matches.
log-no-cook-is-finished-yet = No cook is finished yet.
log-start-one = Start one.
log-newer = Newer
log-to-of = { $first } to { $last } of { $total }
log-older = Older
log-yield-of-raw-weight = yield, % of raw weight
log-softer-than-wanted-in-steps = softer than wanted, in steps
log-by-month = by month
log-to = { $name }: { $low } to { $high }
log-the-app-was-updated-and-is = The app was updated and is reading the log again: { $done } of { $of } cooks. Until then the earlier adjustments apply.
log-plan-this-again-with-another-weight = Plan this again, with another weight or thickness
log-planned = planned
log-at-pressure-target =
    { $level ->
        [high] { $hold_min } at high pressure, target { $texture }
       *[low] { $hold_min } at low pressure, target { $texture }
    }
log-set = set
log-batches = batches
log-one = one
log-cooked-longer = { $rounds }: cooked longer { $rounds2 } ×
log-took = took
log-simulated-it-still-changes-your-plans = simulated; it still changes your plans, as set in My kitchen
log-simulated-it-changes-nothing = simulated; it changes nothing
log-nothing-it-was-stopped = nothing: it was stopped
log-nothing-it-was-not-safe-to = nothing: it was not safe to eat
log-nothing-the-raw-meat-was-out = nothing: the raw meat was out of the refrigerator for two hours or more
log-nothing-what-was-left-was-out = nothing: what was left was out for two hours or more; throw it away
log-nothing-its-clock-did-not-run = nothing: its clock did not run with the kitchen’s
log-nothing-it-was-kept-warm = nothing: it was kept warm under the lid for longer than planned
log-nothing-it-was-cooked-in-two = nothing: its pieces were under pressure for different times
log-nothing-about-tenderness-it-stopped-on = nothing about tenderness: it stopped on the way
log-changes = changes
log-weighed = weighed
log-raw = { $before } raw
log-cooked = { $after } cooked
log-not-rated-yet = Not rated yet.
log-juicy-of-5 = juicy { $juicy } of 5
log-taste-of-5 = taste { $taste } of 5
log-rating = rating
log-change-rating = Change rating
log-pieces-compared = Pieces compared
log-how-they-softened-in-one-cooker = How they softened in one cooker
log-calculated-from-what-this-cooker-really = Calculated from what this cooker really did.
log-calculated-for-the-cook-time-that = Calculated for the cook time that was set; this cook was not connected.
log-what-happened = What happened
log-left-out = left out: { $title } ({ $text })
log-done = done: { $title }
log-confirmed = confirmed: { $get }
log-timer = timer: { $text }
log-pot = pot: { $state_words }
log-guests-late = the guests were { $span } late
log-cooked-min-longer = cooked { $text } min longer
log-note-at = note at “{ $title }”: { $text }
log-note = note: { $text }
log-to-of-more-than = { $first } to { $last } of more than { $total }
log-event =
    { $kind ->
        [began] began
        [undone] undone
        [timer_rang] timer stopped
        [timer_moved] timer moved
        [timer_stopped] timer removed
        [judged] checked
        [outcome] rated
        [ended] closed
       *[other] { $kind }
    }
