# The Log: pieces of one pot beside each other, and two cooks laid together.

log-kind = { CUT($cut, "name") }{ $membrane ->
        [on] , membrane on
        [off] , membrane off
       *[unsaid] {""}
    }{ $sized ->
        [yes] , { LENGTH($thickness_m) }
       *[no] {""}
    }{ $number ->
        [0] {""}
       *[other] {" "}({ PLAIN($number) })
    }
log-piece = { $kind }{ $number ->
        [0] {""}
       *[other] {" "}{ PLAIN($number) }
    }{ $mark ->
        [none] {""}
       *[other] {" "}({ $mark })
    }

# Reckoned, each with the names of two kinds: $firm and $soft.
log-hardly = { $firm }: by the numbers hardly softened, beside { $soft }.
log-as_soft = { $firm }: by the numbers as soft as { $soft }.
log-firmer = { $firm }: by the numbers { $steps ->
        [one] one step
       *[other] { PLAIN($steps) } steps
    } firmer than { $soft }.
log-ends = { $firm }: the middle ends at { TEMP($firm_c) }, of { $soft } at { TEMP($soft_c) }.
log-warm_together = { $firm }: the middle reaches { TEMP($warm_c) } together with { $soft }.
log-warm_later = { $firm }: the middle reaches { TEMP($warm_c) } { MINUTES($late_min) } later than { $soft }.
log-warm_sooner = { $firm }: the middle reaches { TEMP($warm_c) } { MINUTES($late_min) } sooner than { $soft }.

# Rated, a piece beside the first one.
log-apart = { $other }, beside { $first }: { LIST($told) }.
log-unlike = { $other } and { $first } were not rated alike, so nothing can be said.
apart-texture = { $way ->
        [same] as tender
        [more] { $steps ->
            [one] one step softer
           *[other] { PLAIN($steps) } steps softer
        }
       *[less] { $steps ->
            [one] one step firmer
           *[other] { PLAIN($steps) } steps firmer
        }
    }
apart-juicy = { $way ->
        [same] as juicy
        [more] juicier by { PLAIN($steps) }
       *[less] drier by { PLAIN($steps) }
    }
apart-taste = { $way ->
        [same] taste the same
        [more] better liked by { PLAIN($steps) }
       *[less] less liked by { PLAIN($steps) }
    }

# Two cooks laid together: what differs, and a side of it.
differs-set = Cook time
differs-came_out = Came out
differs-wished = Wanted
differs-pieces = Pieces
differs-weight = Weight
differs-thickest = Thickest
differs-pot = Cooker
differs-pressure = Pressure
differs-liquid = Liquid
differs-release = Release
differs-runs = Times under pressure
differs-to_pressure = Time to pressure
differs-yield = Yield
differs-altitude = Altitude
differs-low = Low end of the range
differs-high = High end of the range
differs-total = Total time
differs-minutes = { MINUTES($time_min) }
differs-duration = { DURATION($time_s) }
differs-texture = { TENDERNESS($family, $texture) }
differs-mass = { MASS($mass_kg) }
differs-length = { LENGTH($length_m) }
differs-volume = { VOLUME($volume_m3) }
differs-gauge = { PRESSURE($gauge_pa) }
differs-height = { ALTITUDE($altitude_m) }
differs-way_out = { NAME("release", $release) }
differs-count = { PLAIN($count) }
differs-share = { PERCENT($share) }
differs-name = { $name }
differs-kinds = { PLAIN($count) } × { $kind }
differs-rated = { $piece }: { $texture }
differs-not_rated = not rated
