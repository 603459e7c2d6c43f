"""What the steps of a recipe are about, and which ingredients they rub, spray or marinate."""

import re
from typing import Literal, TypeAlias

from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in

Theme: TypeAlias = Literal[
    "heat", "spray", "marinate", "season", "sear", "soften", "deglaze", "sauce", "finish",
    "rest", "carve", "serve", "other",
]  # fmt: skip
_MEAT = r"(?:meat|pork|beef|brisket|ribs?|shoulder|butt|roast)"
_SEASONING = (
    r"(?:the |some |a )?(?:spice|rub\b|seasoning|chil[il]|paprika|salt|cumin|dry|coriander|garlic"
    r"|pepper)"
)
PUSHED = (
    rf"\b(?:seasoning|rubbing) (?:the |your )?{_MEAT}\b"
    rf"|\b(?:roll|dredge|smear|cover) (?:the |your )?{_MEAT} (?:all over )?(?:in|with) {_SEASONING}"
    rf"|\b(?:coating|dusting) of {_SEASONING}|\buse it to coat the {_MEAT}\b"
    r"|\b(?:push|press|poke|massage|work|pat|sprinkle|scatter)\b[^.;]{0,50}?"
    r"\b(?:into|over|onto|on|with)\b[^.;]{0,20}\b(?:slits|scores|cuts|meat|pork|beef|brisket|ribs|skin|rind)\b"
    r"|\bsprinkle (?:the )?(?:meat|pork|beef|brisket|ribs?|roast|steaks|chops) (?:all over )?with\b"
    r"|\b(?:sprinkle|strew|dust|shower|shake)\b[^.;]{0,100}?"
    r"\b(?:both|all|each|the fat|the meaty) sides?\b"
    r"|\b(?:sprinkle|strew|shake|apply)\b[^.;]{0,100}? (?:over|on|onto|to) (?:the )?"
    r"(?:raw |whole )?(?:meat|pork|beef|brisket|ribs|roast)\b"
    r"|\b(?:meat|pork|beef|brisket|ribs|roast)\b[^.;]{0,40}\bsprinkle with (?:the )?"
    r"(?:salt|spices?|rub|chil[il]i?|paprika|cumin|dry)\b"
)
"""Rubbed in by another word."""
TOSSED = (
    r"\btoss (?:the |your |all )?"
    r"(?:meat|pork|beef|ribs?|wings?|chunks|cubes|pieces|brisket|shoulder)"
    r" (?:well )?(?:in|with|through)\b"
)
"""Raw meat tossed with its seasoning."""
_THEMES: tuple[tuple[Theme, re.Pattern[str]], ...] = (
    (
        "heat",
        any_of(
            r"^(cook(ing)? )?temp(erature)?\s*:",
            r"^(wood|fuel|pit|smoker|grill|fire|slow([- ]cooker)?|crock[- ]?pot)\s*:",
            r"^oven\s*:?\s*\d",
            r"^\W*(it(['’]s| is) )?done (at|when|once)\b",
            r"^\W*([a-z]{3,9} )?\d{1,2}([:.][0-5]\d( ?[ap]m)?| ?[ap]m)\W+"
            r"([\w°]+\W+){0,2}(on|off|out|in|smoker|pit|internal|done|light|lit|rest|foil(ed)?|wrap(ped)?)\b"
            r"(?! the)",
            r"^\W*(?:then )?wrapped (?:it |them )?in (?:pink |butcher )?(?:paper|foil)\b",
            r"^\W*(?:19\d|20\d)(?: ?°? ?F)? (?:at|by|around) \d",
            r"^\W*(NP?R|QP?R|(natural|quick) (pressure )?release)\b",
            r"^\W*(?:carefully |then )?open (?:up )?(?:the |each |your )?(?:foil )?"
            r"(?:packets?|parcels?|pouch(?:es)?)\b[^.;]{0,50}[.;]?$",
            r"^\W*(?:uncover|unwrap|(?:foil|lid) off|remove the (?:foil|lid))(?: it| them)?,? "
            r"(?:for|in|during) the (?:last|final) [^.;,]{1,30}[.;]?$",
        ),
    ),
    (
        "spray",
        any_of(
            r"\bsprit?z",
            r"\bmop(s|ped|ping)?\b",
            r"\bspraying\b|^\W*spray (?:hourly|every|once|often)\b",
            r"\bspray (?:it|them|the (?:meat|ribs?|pork|beef|brisket|bark))\b"
            r"(?![^.;]{0,30}\boil\b)",
        ),
    ),
    (
        "heat",
        any_of(
            r"\bpreheat",
            r"\b(?:in|into|bowl of|inside of|insert of) (?:the|a|your) slow cooker",
            r"\bslow cooker (on|to) (low|high)\b",
            r"\b(charcoal|briquettes?|lit coals|chimney)\b",
            r"\b(pre)?heat (the |your |an? )?(oven|grill|smoker|barbecue|bbq)\b",
            r"\bin den (?:slow[- ]?cooker|schongarer|crock[- ]?pot|br(?:ä|ae)ter|topf)\b",
            r"\boven at\b|^\W*\d{3} ?°? ?[FC]? oven\b",
            r"(?:^\W*|[.;] )(?:(?:pellet|gas|charcoal|wood|electric) )?(?:oven|smoker|grill|pit)"
            r" (?:on|to|at|\d{3})\b",
            r"\bget the oven",
            r"^\W*\d{3} ?°? ?[FC]? (?:on|in) the (?:drum|smoker|grill|pit|oven|kettle)\b",
            r"\bbring the smoker",
            r"\bset (up )?(?:the|a|your) (?:\w+ ){0,2}(?:grill|barbecue|bbq|kettle)\b"
            r"|^\W*set up (?:grill|smoker|barbecue|kettle)\b",
            r"\bfire (up )?(the |your )?(pit|smoker|grill)",
            r"\bset the smoker",
            r"^\W*(?:take|bring|run|cook) (?:it |them )?(?:on )?to (?:about )?"
            r"(?:19\d|20\d|9[0-7])\b",
            r"^\W*(?:then |next |now )?smoke\b(?! (?:paprika|salt))",
            r"\b(?:run|get|bring|set|start|warm|crank|light|fire)\b[^.;]{0,20}"
            r"\b(?:smoker|pit|barbecue|kettle|oven|grill)\b[^.;]{0,20}"
            r"(?:\b(?:at|to|up|going|hot)\b|\d{3})",
            r"\bclose, bring\b",
            r"^\W*steam (?:the|them|it|over|for)\b[^.;]*\b(?:\d\d min|hours?\b)",
            r"\block the lid",
            r"\b(?:put|place|set|lay|sit|arrange)\b[^.;]{0,60}"
            r"\b(?:roaster|(?:roasting|baking) (?:pan|tin|dish)|9 ?x ?13)\b[^.;]{0,80}"
            r"\bcover\w*\b[^.;]*\b(?:foil|lid|tight)",
            r"\b(?:put|place|lay|set)\b[^.;]{0,60}\bfoil\b[^.;]{0,80}\b(?:packet|parcel|seal|fold)\b",
            r"\bpar-?boil\b.{0,80}\b(?:[2-9]\d min|hours?\b)",
            r"\bturn down to",
            r"\bwrap\b(?![^.;]{0,40}\b(?:plastic|cling|clingfilm|film)\b)"
            r"(?![.;,]? (?:and )?(?:chill|refrigerate)\b)",
            r"\b(?:boil|simmer)\b[^.;]{0,60}\b[2-9]\d min\w*.{0,60}\bdrain\b",
            r"\b[2-9]\d Min\w*.{0,60}\b(?:köcheln|kochen)\b.{0,40}\babgie(?:ß|ss)en",
            r"\b(vorheizen|schmoren|garen|einregeln)\b",
        ),
    ),
    (
        "marinate",
        any_of(
            r"\bmarinat",
            r"^(?!.*\b(?:boil|bring)\b).*\bmarinade\b.{0,300}"
            r"\b(?:refrigerat\w*|fridge|chill|overnight)\b",
            r"\bpour (?:it |this )?over the (?:ribs?|meat|pork|beef)\b[^.;]*"
            r"\b(?:refrigerat\w*|chill)\b",
            r"\b(?:turn|toss|stir|mix|roll)\b[^.;]{0,24}\b(?:to coat|in it|well|through)\b"
            r"[^.;]{0,20}[.;,] (?:then |and )?(?:cover|seal|chill|refrigerate)\b[^.;]{0,40}"
            r"\b(?:hours?|hrs?|overnight)\b",
            r"\bmarinieren\b",
            r"\boverlay in\b",
            r"\bfor \d+ hours? in the (fridge|refrigerator)",
            r"\bmarinier(?:t|e)\b|\b(marinieren|einlegen)\b.*\b(stunden|nacht)\b",
            r"\b(?:stunden?|nacht|kühlschrank)\b[^.;]*"
            r"\b(?:einlegen|eingelegt|(?:durch)?ziehen lassen)\b",
            r"\b(?:dazu|dazugeben|hinein)\b[^.;]{0,80}"
            r"\b(?:kühlschrank|kühl stellen|kalt stellen)\b",
            r"\bdarin (?:wenden|wälzen|einlegen)\b[^.;]*\b(?:stunden?|nacht|kühlschrank|kalt)\b",
        ),
    ),
    (
        "season",
        any_of(
            r"\brub\b|\brubbed (?:\w+ )?(?:with|in)\b",
            r"\bseason\b|\bseasoned with\b",
            r"\bsalt the",
            r"(?<!to )\bcoat\b(?! (a|the) (back of )?(a |the )?spoon)",
            r"\bshake\b[^.;]{0,20}\bto coat\b",
            r"\bslather",
            r"\bdust\b",
            r"\btoss the",
            TOSSED,
            PUSHED,
            r"\bstab\b",
            r"\bpat\b",
            r"\btrim\b",
            r"\bmembrane",
            r"\bmix (the )?(salt|sugar|spices)",
            r"\bmixed dry spices",
            r"\b(salzen|pfeffern|w(ü|ue)rzen|einreiben|einmassieren|trocken ?tupfen)\b",
            r"\b(?:würze|eingerieben|gesalzen|trocken ?getupft)\b|\breibe?n?\b[^.;]*\bein\b",
            r"\b(?:fleisch|rippchen|rippen|spareribs|braten|\w*brust|schulter|damit)\b[^.;]{0,200}"
            r"\b(?:bestreuen|bestreut|wälzen|bestäuben)\b",
        ),
    ),
    (
        "sear",
        any_of(
            r"\bbrown (the|in|on|it|them)",
            r"\bsear\b|\bcolou?r the (?:meat|joint|beef|pork|ribs?|brisket|pieces)\b",
            r"\bfry the\b",
            r"\bbrown\b(?! (?:sugar|rice|ale|gravy|sauce|mustard|stock)\b)",
            r"\ban(braten|gebraten)\b|\bbrate\b[^.;]{0,120}\ban\b",
        ),
    ),
    (
        "soften",
        any_of(
            r"\bsoften",
            r"\bonions?\b",
            r"\bgarlic\b",
            r"\b(an(r(ö|oe)sten|schwitzen)|(an)?d(ü|ue)nsten)\b",
            r"\bmit(?:braten|r(?:ö|oe)sten|d(?:ü|ue)nsten)\b|\bglasig\b",
        ),
    ),
    (
        "deglaze",
        any_of(
            r"\bwine\b",
            r"\bdeglaz",
            r"\bscrape",
            r"\babl(ö|oe)schen\b",
            r"\bl(?:ö|oe)sche\b[^.;]{0,60}\bab\b",
        ),
    ),
    (
        "finish",
        any_of(
            r"\bbroil",
            r"\bglaze",
            r"\bbrush",
            r"\bpaint\b",
            r"\bcrisp",
            r"\b(?:be|ein)(?:streich|pinsel|pinsl)\w*|\b(?:glasier|lackier)\w*",
            r"\bbaste\b[^.;]*\b(?:reserved|remaining|rest of)\b",
            r"\b(?:open|foil)\b[^.;]{0,24}\b(?:crank|turn|up)\b"
            r"[^.;]{0,16}\b(?:2[0-5]\d|4[0-7]\d)\b",
            r"\bknusprig",
            r"\b(foil|lid) off\b.{0,60}\b(char|crisp|brown|sticky|colou?r)",
            r"\btake off the (lid|foil)\b.{0,80}\b(lacquer|crust|crisp|brown|colou?r)",
            r"\bdirect heat",
            r"\bunder the grill",
            r"\b(medium-)?hot grill\b",
        ),
    ),
    (
        "rest",
        any_of(
            "^(let )?(it )?rest",
            r"^\W*(?:let )?(?:it |the meat )?stand (?:for )?\d",
            r"\brest \d",
            r"\brest for",
            r"\bhold in",
            r"\brest wrapped",
            r"\bchill overnight",
            r"\bruhen( lassen)?\b",
        ),
    ),
    (
        "carve",
        any_of(
            r"\bslice",
            r"\bcarve",
            r"\bpull\b",
            r"\bshred",
            r"\bcut between",
            r"\blift out",
            r"\b(in scheiben|aufschneiden|zerpfl(ü|ue)cken|zerrupfen|tranchieren)\b",
        ),
    ),
    (
        "sauce",
        any_of(
            r"\bthicken",
            r"\bstir\b[^.;]{0,40}(?:starch|cornflour|slurry)\b",
            r"(?:starch|corn ?flour|arrowroot)\b[^.;]{0,40}\bwater\b"
            r"[^.;]{0,20}\b(?:stir|add|pour)\b",
            r"\bskim",
            r"\breduc",
            r"\bgravy",
            r"\bsauce\b",
            r"\bstir (?:in|through)\b",
            r"\bstir the\b",
            r"\bboil it down",
            r"\bwhisk\b",
            r"\bmelt\b",
            r"\bin (?:for|during) the last\b",
            r"\bwarm the",
            r"\b(abschmecken|einkochen|binden|andicken|abseihen)\b",
        ),
    ),
    (
        "serve",
        any_of(
            r"\bscatter",
            r"\bsprinkle",
            r"\bserve\b",
            r"\bover\b",
            r"\bgarnish",
            r"\bassemble\b|^\W*(?:build|fill) (?:the |your |each )?\w+",
            r"\bdivide\b.*\b(among|between)\b",
            r"\btop(ped)? (it |them |each |off )?with\b",
            r"\bladle\b",
            r"\bpile\b",
            r"\b(servieren|anrichten|servier|reichen)\b",
        ),
    ),
)


_ONLY_EARLY: frozenset[Theme] = frozenset({"season", "marinate", "soften", "deglaze"})


def theme_of(step: str, *, late: bool = False) -> Theme:
    """What a step is mostly about.

    Parameters
    ----------
    late : it stands behind the long heat: onions are strewn on then, and not softened
    """
    for theme, pattern in _THEMES:
        if not (late and theme in _ONLY_EARLY) and pattern.search(step):
            return "heat" if theme == "serve" and _LETS_PRESSURE_GO.search(step) else theme
    return "heat" if _LETS_PRESSURE_GO.search(step) else "other"


_LETS_PRESSURE_GO = any_of(
    r"\bpressure\b[^.;]{0,20}\b(down|drops?|falls?|releas\w*|reduced?|go)\b",
    r"\b(release|vent|reduce|drop|lower|let (out|off|go))\b[^.;]{0,20}\b(pressure|steam)\b",
    r"\bcold (water|tap)\b[^.;]{0,30}\b(lid|cooker)\b",
    r"\b(lid|cooker)\b[^.;]{0,30}\bcold (water|tap)\b",
)
"""Another cooker's way down: cold water over its lid is none for an electric one."""


_OWN_WORK = any_of(
    r"\bblend(er|ed)?\b", r"\bpürier\w*",
    r"(^|[.;,] |\band )pur[eé]e (the|it|until|in (?:a|the|your|batches)|with|them)\b",
    r"\bblitz\w*", r"\bliquidi[sz]e\w*",
    r"\bwhi(z|zz)\b", r"\bprocess(or)?\b", r"\btoast\b", r"\bsoak\b", r"\bgrind\b",
    r"\bpound (?:the|it|garlic|ginger|with a)\b|(^|[.;,] )pound\b(?! of)",
    r"\bpar-?boil\w*", r"\bblanch\w*", r"\bchar (the )?(tomato|onion|pepper|chil)",
    r"\bpickle\b", r"\breheat\b",
    r"(?<!better )(?<!best )\bnext day\b"
    r"(?!,? (?:brown|sear|rub|heat|get|put|preheat|take|line)\b)",
    r"\b(refrigerate|chill)\b.*\bovernight\b",
    r"\bovernight\b.*\b(fridge|refrigerator)\b", r"\bbash\b",
    r"\bgriddle\b", r"\b(?:sandwich|panini) press\b",
    r"(?<!orange )(?<!lemon )(?<!lime )(?<!tangerine )"
    r"\bpeel (?:off |and |(?:the|them|it|your|all|both|each|\d+)\b)", r"\bdry-?fry\b",
)  # fmt: skip


_PARBOILS = any_of(
    # “Cover the ribs with fresh water and bring to a boil; cook 5 minutes. Drain and rinse.”
    r"\bbring\b[^.;]{0,24}\bboil\b[^.;]{0,12}[.;,] ?(?:and |then )?(?:cook|boil|simmer|blanch)\b"
    r"[^.;]{0,12}\b(?:[1-9]|1\d)(?:(?:-|–| to )1?\d)? min\w*[^;]{0,40}"
    r"\b(?:drain|rinse|discard|throw)\b",
    r"\b(?:par-?)?boil\b[^.;]{0,60}\b(?:for )?(?:[1-9]|1\d)(?:(?:-|–| to )1?\d)? min\w*[^;]{0,40}"
    r"\b(?:drain|rinse|discard|throw)\b",
)


def parboils(text: str) -> bool:
    """“Boil the ribs for 10 minutes, drain and rinse”: the first water is thrown away."""
    return _PARBOILS.search(text) is not None


def is_own_work(text: str) -> bool:
    """Whether a text tells work that no step of ours does."""
    return _OWN_WORK.search(text) is not None


_GRINDS = any_of(
    r"\bblend (?!of\b)", r"\bblitz\b", r"\bliquidi[sz]e\b", r"\bgrind (?!of\b)",
    r"(^|[.;,] |\band )(?:pound|process|pur[eé]e(?! and\b)|whizz?|toast|soak)\b"
    r"(?! of\b)(?![^.;]*\b(?:wood|chips|chunks|planks?|string|leaves)\b)",
)  # fmt: skip


def pierces(text: str) -> bool:
    """Whether a text cuts into the raw meat, so that what is rubbed on goes in."""
    return _PIERCES.search(text) is not None


_PIERCES = any_of(
    r"\b(?:cut|make|stab|poke)\b[^.;]{0,40}\b(?:slits|holes|pockets|incisions)\b",
    r"\b(?:poke|prick|pierce|stab)\b[^.;]{0,30}\b(?:all over|with a (?:fork|knife|skewer))\b"
    r"(?![^.;]*\b(?:bag|foil|potato|film|squash)\b)",
    r"\bscore (?:the )?(?:fat|membrane|top)\b",
)


def grinds(text: str) -> bool:
    """Whether a text makes a rub or marinade with more than a spoon."""
    return _GRINDS.search(text) is not None


_FOR_THE_RIND = any_of(
    r"\b(?:boiling water|kettle)\b[^.;]*\b(?:rind|skin)\b",
    r"\b(?:dry|score|slash|salt)\b[^.;]*\b(?:rind|skin)\b",
    r"\b(?:rind|skin)\b[^.;]*\b(?:dry|score|slash)\b",
    r"\buncovered\b[^.;]*\b(?:fridge|refrigerator)\b",
)


def prepares_the_rind(text: str) -> bool:
    """Whether a text scalds, dries, scores or salts the rind that is to crackle."""
    return _FOR_THE_RIND.search(text) is not None


MIXED = any_of(
    r"\b(stir|mix|whisk|blend|whi[zs]+|blitz|combine|beat|shake"
    r"|(?<!tomato )(?<!and )(?<!the )pur[eé]e)\b"
    r"(?! (it |them |everything )?(in|into)\b)",
    r"\bbring [^.;]*(,|\band\b)[^.;]* to (a|the) (simmer|boil)\b",
    r"\b(r(ü|ue)hren|verr(ü|ue)hren|vermischen|mischen|verquirlen|vermengen)\b",
)
WITH_THE_MEAT = any_of(
    r"\b(ribs?|meat|pork|beef|brisket|shoulder|roast|joint|wings?|cooker|crock|dutch oven)\b",
    r"\bpour(ed)? (it |this |them )?(over|around|in)\b", r"\bmarinat", r"\bmarinieren\b",
    r"\b(fleisch|rippchen|rippen|braten|nacken|schulter)\b",
)  # fmt: skip


def mixes_a_glaze(step: str) -> bool:
    """Whether a step stirs something together that is no work on the meat."""
    return any(MIXED.search(text) and not WITH_THE_MEAT.search(text) for text in sentences_in(step))


_DEVICE = any_of(
    r"^\W*(?:i|we) use (?:my|our|an?|the) [^.;]*\b(?:works|is fine|will do)\b[^.;]*\W*$",
    r"^\W*(?:(?:the )?next day, )?line (?:a|the|your|an?) [^.;]{0,24}"
    r"\b(?:pan|tray|tin|sheet|crock|cooker)\b[^.;]*\W*$",
    r"^\W*(?:transfer|move) (?:it |them |everything |the \w+ )?(?:in)?to (?:the|a|your) "
    r"(?:slow cooker|crock|oven|smoker|grill)\W*$",
    r"^\W*(?:place|put|slide|pop|return|set) (?:it |them |the \w+ )?in(?:to)? (?:the|a|your) "
    r"(?:hot |preheated )?(?:oven|smoker|roasting bag|oven bag)\W*$",
    r"\b(?:lid|liner)\b[^.;]{0,20}\b(?:slow cooker|crock)\b|\bslow cooker liner\b",
    r"^\W*(?:set|lay|place|put|wrap|seal|cent(?:er|re))\b[^.;]*\b(?:on|in) "
    r"(?:an?|the|two|its own|\d) (?:\w+ ){0,3}(?:sheets?|pieces?|lengths?|layers?|packets?)"
    r" of (?:\w+[ -]){0,3}foil\b",
    r"^\W*spray (?:the|a|your) (?:crock|slow cooker|grates?|rack)\b",
    r"^(?!.*\bmarinat).*\b(?:roasting|oven) bag\b",
    r"^\W*(?:put|place|set|fill|position|adjust|move)\b[^.;]{0,30}"
    r"\b(?:water pan|drip (?:tray|pan)|oven racks?)\b",
    r"^\W*(?:add|top up|replenish) (?:more |the )?(?:coals|charcoal|wood|chips|chunks|pellets)\b",
    r"^\W*(?:insert|stick) (?:a|the|your) [^.;]{0,24}\b(?:probe|thermometer)\b",
    r"^\W*(?:pit|smoker|grill|oven) ?@ ?\d{2,3}\b[^.;]*\W*$",
    r"^\W*(?:let|allow) (?:the|your) (?:grill|smoker|oven|pit|barbecue)\b",
    r"^\W*(?:heat|light|turn|set|leave)\b[^.;]{0,30}\b(?:gas grill|burners?|one side|both sides"
    r"|side of (?:a|the) grill)\b(?![^.;]*\b(?:ribs?|meat|pork|beef|rack)\b)[^.;]*\W*$",
    r"^\W*(?:put|place|set|lay|add|toss|scatter|drop)\b[^.;]{0,40}\b(?:wood chips|wood chunks"
    r"|smoker box|hickory|pellet tube)\b"
    r"[^.;]*\b(?:burners?|coals|flame|grates?|fire|heat)\b[^.;]*\W*$",
    r"^\W*(?:open|close|adjust|shut) (?:the |both |all )?(?:\w+ )?(?:vents?|dampers?)\b",
    r"^\W*(?:turn|switch) (?:the )?oven off\b",
    r"^\W*\d{3} ?°? ?[FC]? indirect\b[^.;]*\W*$",
    r"^\W*\d{3} ?°? ?[FC]?,? (?:pellet |charcoal |gas )?(?:grill|smoker|pit)\W*$",
    r"\bwater bath\b|\bsous[ -]?vide\b",
    r"^\W*(?:put|place|lay|set)\b[^.;]{0,30}\b(?:gastronorm|hotel|steam table) (?:pan|tray)s?\b",
    r"^(?!.*\b(?:brush|sauce|glaze|add|pour|baste|stir)\b)\W*[^.,;]{3,40} (?:on|onto|over) "
    r"(?:the |a )(?:grates?|grill|smoker|pit|coals)\b[^.;]{0,80}$",
    r"^\W*soak (?:the |your |some )?(?:wood|hickory|apple|oak|chips|planks?|skewers)\b",
    r"\b(?:grill|smoker|ofen|backofen)\b[^.;]{0,30}\b(?:einstellen|aufheizen|vorbereiten)\b",
)
"""Sentences about another device and nothing else."""


def without_devices(text: str) -> str:
    """A step without its sentences about another device; empty when it has no others."""
    sentences = sentences_in(text)
    kept = [part for part in sentences if not _DEVICE.search(part)]
    return text if len(kept) == len(sentences) else " ".join(kept)
