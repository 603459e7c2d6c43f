# British English: only what differs from en-US.

error-start_too_warm =
    .hint = Type the temperature at its centre. From the refrigerator it is about { TEMP(4) }.
error-unsafe_minutes = After { MINUTES($own_min) } the thickest piece of poultry is not safe at its centre.
error-nothing_seen =
    .hint = Say how it looks, or put a thermometer into the centre.
error-sauce_sugar = { PLAIN($given) } g of sugar in a litre is more than any sauce has.
error-boil_minutes = { MINUTES($given_min) } cannot be right. With { PLAIN($power_w) } W a litre takes { MINUTESSPAN($fastest_min, $slowest_min) }.
    .hint = Boil a litre of cold water, lid off, on the highest setting, until it boils all over.
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
work-sear = Brown in batches, then deglaze: scrape up the browned bits
work-finish_broiler = Finish under the grill; look at half time
work-finish_grill = Finish on the barbecue; look at half time
do-sear = { $batches ->
        [one] Brown the meat in one layer
       *[other] Brown in { PLAIN($batches) } batches, one layer each
    }
do-pour =
    .look = Thin liquid on the bare base.
do-sauce =
    .wrong = Too thin? Stir in a cornflour slurry and simmer for a minute.
do-finish_broiler = Finish close under the grill, { MINUTESSPAN($low_min, $high_min) }
do-finish_grill = Finish on the barbecue, { MINUTESSPAN($low_min, $high_min) }
tick-gasket = Sealing ring seated all round
alarm-stopped_hot = Overheat warning: food is scorching on the base
    .do-3 = Move thick or sweet sauce from the base to the top of the meat.
finish-broiler = grill
finish-grill = barbecue
convert-sear = { $batches ->
        [one] Heat the pot, then the oil, then brown the meat in one layer. It is ready when it lets go of the metal. Take it out.
       *[other] Heat the pot, then the oil, then brown the meat in { PLAIN($batches) } batches, one layer each. It is ready when it lets go of the metal. Take it out.
    }
convert-lid = Check the lid: sealing ring seated, pin free, valve screen clear, valve closed, inner pot dry outside and in place.
convert-finish_broiler = Finish close under the grill for { MINUTESSPAN($low_min, $high_min) }. Look at half time.
convert-finish_grill = Finish on the barbecue at medium-high for { MINUTESSPAN($low_min, $high_min) }. Look at half time.
