# British English: only what differs from en-US.

error-start_too_warm =
    .hint = Type the temperature at its centre. From the refrigerator it is about { TEMP(4) }.
error-unsafe_minutes = After { MINUTES($own_min) } the thickest piece of poultry is not safe at its centre.
error-nothing_seen =
    .hint = Say how it looks, or put a thermometer into the centre.
error-sauce_sugar = { PLAIN($given) } g of sugar in a litre is more than any sauce has.
error-boil_minutes = { MINUTES($given_min) } cannot be right. With { PLAIN($power_w) } W a litre takes { MINUTESSPAN($fastest_min, $slowest_min) }.
    .hint = Boil a litre of cold water, lid off, on the highest setting, until it boils all over.
do-rind_roast =
    .wrong = Soft patches? Put it under the grill and stay beside it: it burns in seconds.
reason-hold-poultry_floor = Poultry needs at least { MINUTES($floor_min) } here, so that the thickest piece is safe at its centre when the lid comes off.
caution-below_safe_minimum = The centre reaches only { TEMP($hottest_c) }. For { CUT($cut, "short") } the safe minimum is { SAFETEMP($safe_c) }{ $rest_s ->
        [0] { "" }
       *[other] { " " }and { DURATION($rest_s) } of rest
    }. Set more minutes.
caution-frozen = Put frozen pieces in one by one. If they stick together, the centre stays raw. Check the centre with a thermometer.
caution-scorches = { $is ->
        [sweet] Sweet
       *[thick] Thick
    } sauce on the base of the pot scorches and stops the cooker. Put it on top of the meat, or add it after. Deglaze: scrape up all browned bits.
stopped-throw_away = The centre is below { SAFETEMP(60) } and was in the danger zone for more than two hours. Throw it away.
stopped-go_on = Leave the lid on, set the minutes and start again. Check the centre with a thermometer.
cooker-treble = 3-litre cooker
cooker-tenor = 5.7-litre cooker
cooker-bass = 7.6-litre cooker
cut-back_ribs =
    .name = Loin ribs
    .short = loin ribs
cut-spare_ribs =
    .name = Spare ribs, whole
    .short = spare ribs
cut-spare_ribs_trimmed =
    .name = Spare ribs, trimmed
    .short = trimmed spare ribs
cut-shoulder_bone_in =
    .name = Pork shoulder, blade end
    .short = blade-end shoulder
cut-picnic_boneless =
    .name = Hand of pork, boneless
    .short = hand of pork
cut-picnic_bone_in =
    .name = Hand of pork, bone-in
    .short = bone-in hand of pork
do-sear = { $batches ->
        [one] Brown the meat in one layer
       *[other] Brown in { PLAIN($batches) } batches, one layer each
    }
do-pour =
    .look = Thin liquid on the bare base.
do-sauce =
    .wrong = Too thin? Stir in a cornflour slurry and simmer for a minute.
do-sauce_told =
    .wrong = Too thin? Stir in a cornflour slurry and simmer for a minute.
do-come_up_stove =
    .wrong = Steam around the rim? Take it off the heat, let the pressure fall, check the sealing ring.
do-thicken = Stir { MASS($starch_kg) } of cornflour into { VOLUME($water_m3) } of cold water, stir it into the simmering juice, and boil it for a minute; salt it last
do-preheat_broiler = Switch on the grill; it is hot in { MINUTES($heat_min) }
    .look = The element glows. The rack is close under it.
    .wrong = Not hot yet? The meat can rest a little longer.
do-preheat_grill = Light the barbecue; it is hot in { MINUTES($heat_min) }, coals later
    .look = You can hold your hand over it for two or three seconds only.
    .wrong = Not hot yet? The meat can rest a little longer, covered.
do-finish_broiler = Finish close under the grill, { $batches ->
        [one] { MINUTESSPAN($low_min, $high_min) }
       *[other] in { PLAIN($batches) } batches of { MINUTESSPAN($low_min, $high_min) }
    }
do-finish_grill = Finish on the barbecue, { $batches ->
        [one] { MINUTESSPAN($low_min, $high_min) }
       *[other] in { PLAIN($batches) } batches of { MINUTESSPAN($low_min, $high_min) }
    }
tick-gasket = Sealing ring seated all round
alarm-stopped_hot = Overheat warning: food is scorching on the base
    .do-3 = Move thick or sweet sauce from the base to the top of the meat.
finish-broiler = grill
finish-grill = barbecue
convert-sear = { $batches ->
        [one] Heat the pot, then the oil, then brown the meat in one layer. It is ready when it lets go of the metal. Take it out.
       *[other] Heat the pot, then the oil, then brown the meat in { PLAIN($batches) } batches, one layer each. It is ready when it lets go of the metal. Take it out.
    }
convert-sear_in = { $batches ->
        [one] Heat the pot, then the { LIST($names) }, then brown the meat in one layer. It is ready when it lets go of the metal. Take it out.
       *[other] Heat the pot, then the { LIST($names) }, then brown the meat in { PLAIN($batches) } batches, one layer each. It is ready when it lets go of the metal. Take it out.
    }
convert-lid = Check the lid: sealing ring seated, pin free, valve screen clear, valve closed, inner pot dry outside and in place.
convert-finish_broiler = Finish close under the grill for { MINUTESSPAN($low_min, $high_min) }. Look at half time.
convert-finish_grill = Finish on the barbecue at medium-high for { MINUTESSPAN($low_min, $high_min) }. Look at half time.
method-grill = on the barbecue
marinade-mild = mild: wine, soy, yoghurt
source-judgement = our judgement
rack-none =
    .says = straight on the base of the pot
guide-lid-gasket = Check that the sealing ring sits all round, and that the pin moves freely.
guide-cautions-center = Beef and pork in one piece are safe at { SAFETEMP(63) } in the centre and 3 minutes of rest. Poultry and leftovers need { SAFETEMP(74) }.
guide-cautions-frozen = Thaw a thick frozen joint in the refrigerator first. Never brown meat one day to cook it another.
guide-number-tenderness = Tenderness: every minute above { TEMP(70) } counts, and hotter minutes count more. It is read six tenths of the way from the centre to the surface.
guide-number-fitted = How much a cut needs is fitted to common practice. Safety is read in the centre.
guide-trouble-no_pressure = Steam at the lid: check the sealing ring. Steam at the valve: close it. No steam: check the liquid and that it heats.
guide-trouble-hot = Release the pressure until the pin drops. Open the lid, scrape the base of the pot clean, add a splash of thin liquid and close it. The time so far counts.
guide-words-shoulder =
    .term = blade end, hand
guide-words-deglaze = to scrape the browned bits up from the base of the pot with liquid
guide-words-slurry = cornflour in cold water, stirred into a simmering sauce
do-come_up =
    .wrong = Steam but no pin? Check sealing ring, valve and liquid, in this order.
do-side_lid = Check sealing ring, pin, screen and valve; set the cooker
alarm-not_sealed =
    .do-2 = Is the sealing ring clean and seated all round?
alarm-no_pressure =
    .do-1 = Steam round the rim? Stop, let it cool, and seat the sealing ring again.

# Of recipes.
mark-wine_first =
    .caution = Alcohol vapour collects under a lid. Boil it off first, away from a flame.
mark-sugar_after = More than { $units ->
        [us] 1 Tbsp of sugar in a cup
       *[metric] 50 g of sugar in a litre
    } scorches on the bottom, so it goes in after pressure.
mark-flour_left_off = Flour on the meat burns to the bottom. Leave it off and thicken afterwards.{ $allergens ->
        [none] { "" }
       *[other] { " " }Contains { NAMES("allergen", $allergens) }.
    }
mark-chilli_less = The heat of chilli stays in the cooker: three quarters do as much. Pods and flakes go by the amount of liquid.
mark-fresh_herb_last = Fresh herbs turn grey under pressure. They go in at the end.
mark-liquid_smoke_measured = Liquid smoke goes by measure: { $units ->
        [us] about ½ tsp a quart, 1 tsp at most
       *[metric] 2 to 4 ml a litre, 6 ml at most
    }. More tastes of tar.
mark-heat_struck = { $device ->
        [smoker] No smoker
        [oven_lid] No oven
        [oven_open] No oven
        [slow_low] No slow cooker
        [slow_high] No slow cooker
        [grill] No barbecue
        [stovetop_pressure] No cooker on the hob
        [simmer] No simmering
       *[other] No other heat
    }: the cooker does this in { DURATION($total_s) }, lid on to lid off.
mark-finish_added = Steam makes no crust. Put one on afterwards.
allergen-soya = soya
allergen-molluscs = molluscs
allergen-sulphites = sulphites
other-too_long_warm = The centre of the thickest piece is between { SAFETEMP(4) } and { SAFETEMP(60) } for { DURATION($zone_s) }. Usual advice is { DURATION($limit_s) } at most (USDA; check local advice). Cut it thinner, or use the pressure cooker.
method-stovetop_pressure = in a pressure cooker on the hob
