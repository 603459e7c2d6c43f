# Steps of a converted recipe. A step is several sentences, each a message.

convert-own_words = { $own }
convert-portion = Cut the meat across into { PLAIN($portions) } portions.
convert-trim = { $rinse ->
        [yes] Trim the meat, measure it (about { LENGTH($thickness_m) } thick) and pat it dry.
       *[no] Trim the meat, measure it (about { LENGTH($thickness_m) } thick) and pat it dry. Do not rinse it.
    }
convert-batches = Cook it in { PLAIN($batches) } batches.
convert-season_plain = Season all faces, the cut ones too, with salt and pepper.
convert-season = Season all faces, the cut ones too: { LIST($names) }.
convert-rub_rest = Leave it covered in the refrigerator for { HOURSSPAN($low_s, $high_s) }.
convert-brush_salt_off = Then brush off the salt, or rinse the meat and pat it dry.
convert-marinate = Marinate in the refrigerator for { HOURSSPAN($low_s, $high_s) }.
convert-marinate_in = Marinate the meat in { LIST($names) }, in the refrigerator, for { HOURSSPAN($low_s, $high_s) }.
convert-throw_marinade = Then throw away what is left of the marinade.
convert-boil_marinade = Boil what is left of the marinade for { DURATION($boil_s) } before you use it as a sauce.
convert-sear = { $batches ->
        [one] Heat the pot, then the oil, then sear the meat in one layer. It is ready when it lets go of the metal. Take it out.
       *[other] Heat the pot, then the oil, then sear the meat in { PLAIN($batches) } batches, one layer each. It is ready when it lets go of the metal. Take it out.
    }
convert-sear_in = { $batches ->
        [one] Heat the pot, then the { LIST($names) }, then sear the meat in one layer. It is ready when it lets go of the metal. Take it out.
       *[other] Heat the pot, then the { LIST($names) }, then sear the meat in { PLAIN($batches) } batches, one layer each. It is ready when it lets go of the metal. Take it out.
    }
convert-soften = Soften { LIST($names) } for a few minutes.
convert-simmer_off = Pour in { LIST($names) }, away from a flame. Simmer uncovered until it no longer smells sharp.
convert-deglaze = Deglaze: add a splash of the liquid and scrape up all browned bits, or they scorch.
convert-dissolve = Pour a splash of the liquid into the caramel, with your face away: it spits. Stir until all of it has dissolved.
convert-pour = { $batches ->
        [one] Pour in the liquid first: { VOLUME($liquid_m3) } in all.
       *[other] Pour in the liquid first: { VOLUME($liquid_m3) } in all for each batch.
    }
convert-add = Add { LIST($names) }.
convert-load = { $rack ->
        [none] Lay the meat in,
        [trivet] Lay the meat on the trivet,
        [tall] Lay the meat on the tall trivet,
        [basket] Put the meat into the steamer basket,
       *[bed] Lay the meat on a bed of vegetables,
    } { $arrangement ->
        [coiled] coiled, bone side in.
        [nested] coiled inside each other, bone side in.
        [on_bed] side by side.
        [layered] in layers with vegetables between.
        [on_edge] standing on edge.
        [on_end] standing on end.
        [leaning] leaning against the wall, with gaps.
        [folded] folded over once.
        [criss_cross] in crossed layers, not packed.
        [heap] loosely.
        [side_by_side] side by side, not on each other.
        [one] fat side up.
       *[stacked] partly on each other.
    }
convert-leave_out = Leave out { LIST($names) } for now.
convert-on_top = Put { LIST($names) } on top; do not stir.
convert-lid = Check the lid: gasket seated, pin free, valve screen clear, valve closed, inner pot dry outside and in place.
convert-never_force = Never force it.
convert-set = Cook at high pressure for { PANEL($hold_min) }. The likely range is { MINUTESSPAN($low_min, $high_min) }, depending on how thick it really is.
convert-set_own = Cook at { $level ->
        [low] low
       *[high] high
    } pressure for { PANEL($hold_min) }, as your recipe says.
convert-come_up = It takes about { DURATION($up_s) } to come to pressure.
convert-look = Check it: { LOOKS($cut, $texture) }.
convert-cook_longer_glazed = If it is firmer than that, pour in { VOLUME($liquid_m3) } of water, put the lid back on and cook it longer: a glaze scorches under the lid.
convert-cook_longer = If it is firmer than that, put the lid back on and cook it longer.
convert-rest = Rest the meat for { MINUTESSPAN($low_min, $high_min) }, tented loosely with foil.
convert-rest_in_juice = Leave the meat in its juice for { MINUTESSPAN($low_min, $high_min) }.
convert-own_run = While it rests, cook { LIST($names) } separately, half full at most.
convert-boil_as_pack = Meanwhile boil { LIST($names) } separately, as the pack says.
convert-pulses_first = First cook { LIST($names) } separately in plenty of water, half full at most, { MINUTES($time_min) } under pressure. Let the pressure fall undisturbed, and set aside what is cooked with its liquid.
convert-fish_out = Take out { LIST($names) }.
convert-reduce = Strain the juice, let the fat rise and skim it. Simmer uncovered to reduce it to taste.
convert-reduce_with_all = Let the fat rise and skim it. Simmer uncovered to reduce it to taste.
convert-broth = Strain the broth, let the fat rise and skim it.
convert-broth_with_all = Let the fat rise and skim it.
convert-thicken = Thicken with { LIST($names) } stirred into cold water; simmer for 1 min.
convert-simmer_in = Add { LIST($names) } and simmer until tender, 5–10 min.
convert-seafood_in = Add { LIST($names) }, cover with any lid that is not locked, and simmer until cooked through, 3–8 min. Throw away shells that stay shut.
convert-stir_in = Stir in { LIST($names) }.
convert-dairy_last = Stir in { LIST($names) } last, off the heat.
convert-salt_last = Salt it only now.
convert-glaze_beside = Stir in { LIST($names) }, or serve it on the side.
convert-strew_sugar = Strew { LIST($names) } over it only once it is hot; sugar burns.
convert-brush_juice = Brush with the reduced juice only once it is hot; sugar burns.
convert-glaze = Brush with { LIST($names) } only once it is hot; sugar burns.
convert-finish_broiler = Finish close under the broiler for { MINUTESSPAN($low_min, $high_min) }. Look at half time.
convert-finish_grill = Finish on the grill at medium-high for { MINUTESSPAN($low_min, $high_min) }. Look at half time.
convert-finish_crisping = Finish under the air-fryer lid, in one layer, for { MINUTESSPAN($low_min, $high_min) }. Look at half time.
convert-finish_air_fryer = Finish in the air fryer at { TEMP(200) }, in one layer, for { MINUTESSPAN($low_min, $high_min) }. Turn it at half time.
convert-finish_pan = Crisp it in a hot pan with a little fat for { MINUTESSPAN($low_min, $high_min) }. Turn it once.
convert-burnt_ends = Cut the meat into cubes first, and toss them with the sauce.
convert-cut = { $family ->
        [ribs] Cut into sections or single bones, bone side up.
        [short_ribs] Serve whole, on or off the bone.
        [wings] Serve whole.
        [pieces] Serve the pieces whole.
        [brisket] { $slice_m ->
            [0] Pull it apart.
           *[other] Slice { LENGTH($slice_m) } thick across the grain. Flat and point run at a right angle.
        }
       *[shoulder] { $slice_m ->
            [0] Pull it on a rimmed tray. Pick out large fat; stir { VOLUME(0.000118) } of juice back in.
           *[other] Slice { LENGTH($slice_m) } thick across the grain.
        }
    }
convert-cut_small = Serve the pieces whole.
convert-pull_off = { $bones ->
        [yes] Pull the meat off the bones and shred it. Throw the bones away.
       *[no] Shred the meat.
    }
convert-season_late = Season it with { LIST($names) } first.
convert-dredge = Turn it in { LIST($names) } and shake off what is loose.
convert-serve_with = Serve with { LIST($names) }.
convert-keep_warm = It keeps warm in its juice for { DURATION($keep_s) } at most.
convert-leftovers = Cool leftovers in flat layers, never in the pot.
