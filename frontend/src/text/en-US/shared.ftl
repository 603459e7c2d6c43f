shared-lid-off = lid off
shared-lid-on-no-pressure = lid on, no pressure
shared-pin-up-pressure-rising = pin up, pressure rising
shared-under-pressure-counting = under pressure, counting
shared-pressure-falling = pressure falling
shared-stopped-overheat-warning = stopped: overheat warning
shared-no-inner-pot-in-it = no inner pot in it
shared-steam-but-no-pressure = steam, but no pressure
shared-the-pin-is-up = The pin is up
shared-the-cook-time-is-over = The cook time is over
shared-the-pin-is-down = The pin is down
shared-i-am-at-the-cooker-set = I am at the cooker: set it and start
shared-i-am-at-the-cooker-open = I am at the cooker: open the valve
shared-use-line-of-what-if = use line { $index } of “What if”
shared-kg-cm-ml-c = kg, cm, ml, °C
shared-lb-in-cups-f = lb, in, cups, °F
shared-american = American
shared-british = British
shared-from-of-yours =
    { $cooks ->
        [one] from { $cooks } cook of yours
       *[other] from { $cooks } cooks of yours
    }
shared-no-change = no change
shared-min = { $whole }{ $abs } min
shared-comes-to-pressure-as-expected = comes to pressure as expected
shared-start-cooking = Start cooking
shared-rate-each-piece = rate each piece
shared-what-is-different-about = what is different about { $name }
shared-membrane-off = membrane off …
shared-tenderness = tenderness
shared-not-rated = not rated
shared-tenderness-of = tenderness of { $name }
shared-one-to-five-of = { $name }, one to five, of { $of }
shared-next-time = next time
shared-one-more-line-what-you-wrote = one more line; what you wrote stays
shared-save-rating = Save rating
shared-save-to-log = Save to log
shared-cancel = Cancel
shared-rate-it = rate it
shared-of = { $index } of { $name }, { $at }
shared-remove = remove
shared-remove-photo = remove photo { $index }
shared-adding = Adding …
shared-add-a-photo = Add a photo
shared-only-the-picture-is-saved-not = Only the picture is saved, not where or when it was taken.
shared-the-photo-is-removed = The photo is removed.
shared-undo = Undo
shared-photos = photos
shared-units = Units
shared-units-2 = units
shared-english = English
shared-the-recipe = The recipe: { $title }
shared-ingredients = ingredients
shared-steps-of-the-recipe = steps of the recipe
shared-redo = Redo
shared-raw-weight = raw weight
shared-cooked-weight = cooked weight
shared-this-list-of-keys = this list of keys
shared-side-view-or-top-view = side view or top view
shared-save-the-plan = save the plan
shared-in-cook-done-next-step = in Cook: done, next step
shared-next-or-previous-change = next or previous change, with its reason
shared-reject-the-change = reject the change, or use it again
shared-membrane-on = membrane on
shared-at-the-edge = at the edge
shared-in-the-middle = in the middle
shared-thick-end = thick end
shared-thin-end = thin end
shared-comes-sooner = comes to pressure { $share }% sooner
shared-comes-later = comes to pressure { $share }% later
shared-space = space
shared-shop-section =
    { $section ->
        [meat] meat
        [fruit-and-vegetables] fruit and vegetables
        [dairy] dairy
        [bread] bread
        [baking] baking
        [tins-and-jars] cans and jars
        [drinks] drinks
        [oil-and-spices] oil and spices
        [frozen] frozen
        [grill-and-smoke] grill and smoke
       *[other] other
    }
shared-heating = heating
shared-piece = piece
shared-loading = Loading …
