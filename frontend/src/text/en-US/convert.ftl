convert-convert = Convert
convert-paste-a-recipe-for-a-smoker = Paste a recipe for a smoker, oven, slow cooker, grill or stovetop. You get the same recipe for your pressure cooker, with every change marked.
convert-this-recipe-is-not-here = This recipe is not here.
convert-it-may-have-been-deleted = It may have been deleted.
convert-back-to-your-recipes = Back to your recipes
convert-loading-the-recipe = Loading the recipe …
convert-add-a-recipe = Add a recipe
convert-paste-it-or-drop-a-file = Paste it, or drop a file here: text, Markdown, a saved web page, JSON-LD
convert-title-ingredients-3-lb-brisket-flat = Title
    
    Ingredients
    3 lb brisket flat
    …
    
    Method
    …
convert-you-already-have-it = You already have it:
convert-open-this-one-anyway = Open this one anyway
convert-read-it = Read it
convert-or-choose-a-file = Choose a file
convert-tags = tags
convert-rehearsal-oven = rehearsal, oven
convert-save-changes = Save changes
convert-save-recipe = Save recipe
convert-saved = saved
convert-this-recipe = This recipe
convert-your-recipes = Your recipes
convert-find = find
convert-only = only “{ $tag }”
convert-show-all = show all
convert-not-saved-yet = Not saved yet:
convert-the-app-does-not-answer = The app does not answer.
convert-start-it-again-your-recipes-are = Start it again. Your recipes are safe on disk.
convert-no-recipe-has-these-words = No recipe has these words.
convert-no-recipe-is-saved-yet = No recipe is saved yet.
convert-delete = Delete
convert-delete-2 = delete { $title }
convert-saved-recipes = saved recipes
convert-is-deleted = “{ $title }” is deleted.
convert-undo = Undo
convert-ingredients = Ingredients
convert-ingredients-with-their-marks = ingredients with their marks
convert-in-the-cooker = in the cooker
convert-use-the-change = Use the change
convert-where-it-goes = where it goes:
convert-place-doubt = Where does it go? The steps can be read either way.
convert-as-the-app-reads-it = as the app reads it
convert-places-in-doubt =
    { $inDoubt ->
        [one] Where one ingredient goes is not sure. Choose below.
       *[other] Where { $inDoubt } ingredients go is not sure. Choose below.
    }
convert-leave-it-unchanged = Leave it unchanged
convert-use-the-plans-minutes = Use the plan’s minutes
convert-keep-the-recipes-minutes = Keep the recipe’s minutes
convert-servings = servings
convert-as-it-is = as it is
convert-what-was-read = what was read
convert-ingredient-and-step-were-read =
    { $ingredients ->
        [one] { $ingredients } ingredient
       *[other] { $ingredients } ingredients
    } and { $steps ->
        [one] { $steps } step
       *[other] { $steps } steps
    } were read{ $unread ->
        [0] .
       *[other] ; { $unread } not known here, marked with a question mark.
    }
convert-not-in-the-recipe-until-you =
    { $questions ->
        [one] One thing was not in the recipe. Until you answer, this is assumed:
       *[other] { $questions } things were not in the recipe. Until you answer, this is assumed:
    } { $assumed }
convert-cut = cut
convert-weight = weight
convert-thickness = thickness
convert-pieces = pieces
convert-bone = bone
convert-original-method = original method
convert-minutes = minutes
convert-tenderness = tenderness
convert-not-given = not given
convert-usual = usual
convert-bone-in = bone in
convert-boneless = boneless
convert-check-the-lines = Check the lines: { $rows }
convert-line = line: { $text }
convert-what-it-is = what it is: { $text }
convert-doubt-step = { $lines ->
    [one] One step looks like an ingredient.
   *[other] { $lines } steps look like ingredients.
 }
convert-doubt-ingredient = { $lines ->
    [one] One ingredient looks like a step.
   *[other] { $lines } ingredients look like steps.
 }
convert-move-them = Move
convert-foods-on-no-line = Measured in the text, and on no line of ingredients: { $foods }.
convert-add-them = Add to the ingredients
convert-lines-of-the-recipe = lines of the recipe
convert-at-high-pressure-likely-range = at high pressure, likely range { $hold_low_min }
convert-as-your-recipe-says = under pressure, as your recipe says
convert-of-liquid-total-time =
    { $runs ->
        [one] { $liquid } of liquid; { $name }; total time { $lid_on_to_open_s }.
       *[other] { $liquid } of liquid in each batch; { $name }; total time { $lid_on_to_open_s }, in { $runs } batches.
    }
convert-they-disagree = They disagree.
convert-the-makers-manual-and-local-food = The maker’s manual and local food-safety advice come first.
convert-cautions = cautions
convert-contains-as-far-as-it-is = Contains, as far as it is known here: { $join }.
convert-next = Next
convert-shopping-list = Shopping list
convert-next-2 = next
convert-open-in-plan = Open in Plan
convert-add-to-schedule = Add to schedule
convert-shopping-list-2 = shopping list
convert-result = result
convert-json-ld = JSON-LD
convert-markdown = Markdown
convert-plain-text = plain text
convert-export-as = Export as
convert-print = Print
convert-show = show
convert-both = both
convert-as-it-was = original
convert-converted = converted
convert-original-steps = Original steps
convert-steps-for-the-pressure-cooker = Steps for the pressure cooker
convert-steps-for-the-pressure-cooker-2 = steps for the pressure cooker
convert-min = { $from } min
convert-min-2 = { $from }–{ $to } min
convert-all-recipes = All recipes
convert-by = by { $author }
convert-from = from { $source }
convert-heading-of-a-part = heading of a part
convert-not-part-of-it = not part of it
convert-counts =
    { $ingredients ->
        [one] { $ingredients } ingredient
       *[other] { $ingredients } ingredients
    }, { $steps ->
        [one] { $steps } step
       *[other] { $steps } steps
    }{ $notes ->
        [0] {""}
        [one] , { $notes } note
       *[other] , { $notes } notes
    }{ $out ->
        [0] {""}
        [one] ; { $out } line left out
       *[other] ; { $out } lines left out
    }
convert-to-step = to step { $step }
convert-mark =
    { $does ->
        [struck] struck
        [moved] moved
        [changed] changed
        [added] added
        [kept] kept
        [planned] the plan’s minutes
       *[overruled] left unchanged
    }
convert-role-ingredient = ingredient
convert-role-step = step
convert-role-note = note
