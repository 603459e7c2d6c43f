# British English: only what differs from en-US.

app-dark-colors = dark colours
app-light-colors = light colours
convert-paste-a-recipe-for-a-smoker = Paste a recipe for a smoker, oven, slow cooker, grill or hob. You get the same recipe for your pressure cooker, with every change marked.
cook-or-a-thermometer-at-the-center = or a thermometer at the centre
drawing-center-then = { $name } { $duration_s }, centre then
drawing-center-of-the-meat = centre of the meat
drawing-center = { $minutes } { $name }: { $kpa }, centre { $degrees }{ $soft }
kitchen-boil-a-liter-about-a-quart = Boil a litre of cold water, lid off, on the highest setting, until it boils all over. How many minutes did it take?
kitchen-minutes-for-a-liter-in = minutes for a litre in { $name }
kitchen-device-thermometer-says = For the centre of the meat. It is right only in an open cooker; under the lid it reads steam.
plan-per-liter = per litre
plan-at-the-center = at the centre
plan-the-center-is-at-about = The centre is at about { $core_temp_c }.
plan-the-center-is-at-when-the = The centre is at { $core_at_open } when the lid comes off; the safe minimum is { $safe_core }{ $rest }.
schedule-sear-min-a-batch = brown, minutes a batch
schedule-raw-out = out of the refrigerator for { $out } until its centre is hot
schedule-raw-out-too-long = out of the refrigerator for { $out } until its centre is hot. That is more than two hours, so keep it cold longer.
shared-shop-section =
    { $section ->
        [meat] meat
        [fruit-and-vegetables] fruit and vegetables
        [dairy] dairy
        [bread] bread
        [baking] baking
        [tins-and-jars] tins and jars
        [drinks] drinks
        [oil-and-spices] oil and spices
        [frozen] frozen
        [grill-and-smoke] barbecue and smoke
       *[other] other
    }
cook-leaking-gasket = leaking sealing ring
kitchen-device-cooker-says = One for each of your cookers. Its heat, losses, sealing ring and pressure differ a little, and nobody knows how. You can switch faults on while it cooks.
plan-sear = Brown
plan-skim-the-fat-uncovered-on-the = Skim the fat. { $value } uncovered on the browning setting leave { $left }. Then stir { $value2 } of starch with cold water into a slurry and simmer it in, or use { $value3 } of mashed potato. Salt it last.
