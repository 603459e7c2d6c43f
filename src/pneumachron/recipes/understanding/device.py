"""What a recipe is made for: which heat its words name, and what in them is no heat at all."""

import re
from collections.abc import Iterable
from typing import Literal, TypeAlias

from pneumachron.recipes.model import Recipe
from pneumachron.recipes.understanding.durations import durations_in, temperatures_in
from pneumachron.recipes.understanding.oven_heat import heat_named_c
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import THEN, sentences_in

_SLOW = re.compile(
    r"(?<!\bno )(?<!without a )\bslow[- ]?cook(er|ed|ing)?\b"
    r"|(?<!\bno )\bcrock[- ]?pot\b|\b(?:the|my|your|in) crock\b(?! of)|\bschongarer\b",
    re.I,
)
_SLOW_COOKER = re.compile(
    r"(?<!\bno )(?<!without a )\bslow[- ]?cooker\b|(?<!\bno )\bcrock[- ]?pot\b"
    r"|\b(?:the|my|your|in) crock\b|\bschongarer\b",
    re.I,
)
_SMOKER = re.compile(
    r"(?<!liquid )(?<!without a )(?<!no )(?<!no-)\bsmok(e|er|ed|ing)\b"
    r"(?! paprika| salt)|\bpellet (grill|cooker)\b"
    r"|\boffset\b|\br(?:ä|ae)uchern\b"
    r"|\bpit (?:(is |was |up )?(at|to|around|running|holding)\b|@)|\bthe pit\b|\bkamado\b|\bdrum\b"
    r"|\bceramic (cooker|grill|barbecue)\b"
    r"|\bchunks? (of )?(cherry|apple|hickory|oak|mesquite|pecan|maple)\b"
    r"|\b(cherry|apple|hickory|oak|mesquite|pecan|maple|alder|fruit)[- ]?(wood|chips|chunks)\b"
    r"|\b\d{3} ?°?F?\b[^.;\d]{0,12}\b(?:hickory|post oak|mesquite|pecan wood|cherry wood)\b"
    r"|\bover (post )?(oak|hickory|pecan|mesquite|cherry|apple|maple|alder)\b",
    re.I,
)
_STOVETOP = re.compile(
    r"(?<!no )(?<!without a )(?<!without )\bpressure[- ]cook(er|ed|ing)?\b"
    r"|\bpressure (?:canner|saucepan|pan|kettle)\b"
    r"|\b(?:min\w*\.?|hours?) at (?:5|10|15) (?:lbs?|pounds?)\b"
    r"|\bpsi\b|\bfull pressure\b|\b(first|second) ring\b"
    r"|\bweight\b.{0,20}\b(jiggl|rock|rattl|hiss)|\bschnellkocht|\bdampfkochtopf",
    re.I,
)
_ON_THE_STOVE = any_of(
    r"\bstove ?top\b", r"\bon the stove\b", r"\bpsi\b", r"\bfull pressure\b", r"\bflame\b",
    r"\bpressure (?:canner|saucepan|pan|kettle)\b", r"\bat (?:5|10|15) (?:lbs?|pounds?)\b",
    r"\b(first|second) ring\b", r"\bweight\b.{0,20}\b(jiggl|rock|rattl|hiss)", r"\bhob\b",
)  # fmt: skip
_UNDER_PRESSURE = (
    r"\bmulti[- ]?cooker\b", r"\b(high|low) pressure\b",
    r"\bpressure[- ]cook (on |at )?(high|low)\b", r"\bnatural(ly)? (pressure )?releas",
    r"\bquick releas", r"\bvalve\b", r"\belectric (pressure|multi)",
    r"\bmin(ute)?s? natural\b", r"\bNP?R\b", r"\bQR\b(?! code)",
    r"\bQPR\b",
)  # fmt: skip
_PRESSURE = any_of(*_UNDER_PRESSURE)
"""Pressure, whatever the cooker is called: “keep warm” alone is said of any meat."""
_ELECTRIC = any_of(*_UNDER_PRESSURE, r"\belectric\b", r"\belektrisch", r"\bkeep[- ]warm\b")
_ELECTRIC_WAY = re.compile(r"\belectric(?: pressure cooker)?\s*:", re.I)
"""“Electric: 25 min. Stovetop: 20 min.”"""
_GRILL = re.compile(
    r"\bcharcoal\b|(?<!in a )(?<!in the )(?<!in your )(?<!heavy )(?<!large )(?<!soup )\bkettle\b"
    r"|\bhood down\b|\bbbq with\b|\bgrill(ed|ing|s)?\b"
    r"|\bbarbecue(d)? over\b|\bon (?:the|a|your) (?:\w+ )?barbecue\b(?! sauce)"
    r"|\bindirect\b|\bover coals\b|\btwo-zone\b|\b(cool|hot) side\b"
    r"|\bcoals\b|\bbriquettes?\b|\bon the grates?\b",
    re.I,
)
BROIL = re.compile(
    r"\bbroil(er|ed|ing)?\b|\bunder (the |a )?(hot )?grill\b|\bgrill \(broil\)", re.I
)
OVEN = re.compile(
    r"(?<!dutch )\boven\b|ofen\b|\bbräter\b|\bbraeter\b|\broast(ed|ing)?\b|\bbak(e|ed|ing)\b"
    r"|\bbrais(e|ed|ing)\b",
    re.I,
)
LID = any_of(
    r"\bcover(ed)?\b",
    r"\blid\b",
    r"\bfoil\b",
    r"\bwrap(ped)?\b",
    r"\bdutch oven\b",
    r"\bcasserole\b",
    r"\btightly\b",
    r"\b(packets?|parcels?|pouch(es)?)\b",
    r"\b(roasting|oven|cooking) bag\b",
    r"\bclay pot\b|\b(?:römer|ton)topf\b",
    r"\btagine\b",
    r"\bschmor\w+",
    r"\b(zugedeckt|abgedeckt|abdecken|deckel|alufolie)\b",
)
SIMMER = any_of(r"\bsimmer(ed|ing)?\b", r"\bpoach(ed|ing)?\b",
                 r"\bsteam(ed|ing)? (?:over|for|until|till|them|it|the|\d)",
                 r"\bin (?:a|the) (?:bamboo )?steamer\b", r"\bstew(ed)?\b",
                 r"\bcook (?:very )?(?:gently|slowly)\b", r"\bboil(ed)?\b", r"\btagine\b",
                 r"\bschmor(en|t)\b",
                 r"\b(low|lowest|gentlest|smallest|soft) (gas|heat|flame|fire)\b",
                 r"\bblip(s|ping)?\b", r"\b(?:lazy|gentle|bare|slow) bubble\b",
                 r"\btick(s|ing)? over\b", r"\bbarely (?:a )?(?:bubbl|trembl|shiver)\w*",
                 r"\bbubbl(e|es|ing) (away|along|gently|quietly|slowly)\b",
                 r"\b(hob|burner|gas|flame|ring|heat)\b.{0,20}\b(low(est)?|down|off) as\b",
                 r"\bturn the (heat|gas|flame) (\w+ )?down\b", r"\bköcheln\b",
                 r"\b(?:reduce|lower)\b (?:the )?heat (?:to (?:medium[- ])?low|as far as)\b",
                 r"\bcover,? (?:on )?low,? (?=[\d½])",
                 r"\bbei (schwacher|kleiner|niedriger|milder|mittlerer) hitze\b",
                 r"\bon the (hob|stove( ?top)?|back burner)\b")  # fmt: skip
IN_THE_OVEN = r"(?: (?:the |an? )?(?:[\w-]+ )?oven\b)"
ASIDE = any_of(
    r"\blet (?:it|them|em|['’]em) sweat\b",
    r"\bmin\w* to set\b",
    r"\brest(s|ed|ing)?\b",
    r"\bstand\b",
    r"\bleave\b",
    r"\bmarinat\w*",
    r"^\W*(?:then )?brine\b",
    rf"\bovernight in\b(?!{IN_THE_OVEN})",
    r"\bfridge\b",
    r"\b(?:in den|im) k(?:ü|ue)hlschrank\b",
    r"\brefrigerat\w*",
    r"\bchill(ed)?\b",
    r"\bsoak\b",
    r"\b(?:boiling|hot|warm) water\b",
    r"\bpar-?(boil|cook)\w*",
    r"\bblanch\w*",
    r"\bhold (\w+ )?in\b",
    r"\b(in|into) (a|the|your) (\w+ )?cooler\b",
    r"\bs[ia]t\b",
    r"\bset aside\b",
    r"\b(?:to|at) room temp",
    r"\bon the counter\b",
    r"\bcool(ed)?\b",
    r"\breheat\w*",
    r"\bwarm (it |them )?through\b",
    r"\bsear(ed)?\b",
    r"\bbrown(ed)?\b",
    r"(?<!air )(?<!air-)\bfry\b",
    r"\bsoften(ed)?\b",
    r"\bonions?\b.*\b(until|till)\b",
    r"\bper side\b",
    r"\ba side\b",
    r"\bper batch\b",
    r"\ba batch\b",
    r"\bevery\b",
    r"\b(for|in|during) the (last|final)\b",
    r"^\W*meanwhile\b",
    r"\bfor the (\w+ )?(sauce|glaze|salsa|slaw|gravy|dressing|relish|pickles?)\b",
    r"\b(small|little|separate|another) (sauce)?pan\b",
    r"\b(uncover|unwrap|foil off|lid off)\w*,? (for )?(the )?(last|final)\b",
    r"\b(ruhen|abkühlen|marinieren|ziehen|einkochen|anbraten|anbräunen|anrösten|mitrösten)\b",
    r"\b(über nacht|pro seite|je seite)\b",
    r"\b(simmer|boil|heat|warm|bring) (the |all )*(sauce|glaze|mop)\b",
    r"\b(while|as) the (meat|pork|beef|ribs?|racks?|slabs?|brisket|shoulder|butt|roast|joint)"
    r" (is |are )?(cook|smok|roast|bak|grill|brais|rest)(s|es|ing)?\b",
    r"\bthicken\w*",
    r"^\W*if the (gravy|sauce|liquid|juices?)\b",
    r"\b(boil|cook|simmer)\w* (it |them |the juices? |the sauce )?down\b(?! to)",
    r"\breduc\w+(?! (to|heat|the heat)\b)",
    r"\b(slurry|veg(etables)? in)\b",
    r"\bwith the wine\b",
)
SIDES = re.compile(r"\b(per|a|each) side\b", re.I)


Device: TypeAlias = Literal[
    "smoker", "oven", "slow", "grill", "stovetop", "pressure", "simmer"
]  # fmt: skip


def device_of(recipe: Recipe) -> Device | None:
    """What the recipe is made for: the most special thing it names.

    What stands above it (“a house that smells of slow cooking”) counts where the steps name none.
    """
    told = _device_in(recipe, _EITHER.sub("", recipe.title))
    if told is not None and told != "simmer":
        return told
    above = recipe.description
    if told is not None:
        above = _COOKED_SLOWLY.sub("", above)
    return _device_in(recipe, f"{_EITHER.sub('', recipe.title)} {above}")


_EITHER = re.compile(r"\([^()]*\b(?:or|oder)\b[^()]*\)", re.I)
"""“(pressure cooker or casserole)”, in a title: the steps tell which."""


_COOKED_SLOWLY = re.compile(r"\bslow[- ]?cook(?:ing|ed)?\b(?! (?:recipe|pot))", re.I)
"""Said of any pot: a slow cooker is one."""


def _device_in(recipe: Recipe, above: str) -> Device | None:
    """The device by its steps, and by some words above them."""
    work = " ".join(recipe.steps)
    text = f"{above} {work}"
    if _SLOW_MODE.search(work):
        return "slow"
    if _STOVETOP.search(text) or _PRESSURE.search(work):
        whole = f"{recipe.description} {text}"
        stove = _ON_THE_STOVE.search(whole) or not _ELECTRIC.search(whole)
        stove = stove and not _ELECTRIC_WAY.search(work)
        return "stovetop" if stove else "pressure"
    grilled = any(_GRILL.search(step) and not BROIL.search(step) for step in recipe.steps)
    hot = any(temperatures_in(step) for step in recipe.steps)
    oven = OVEN.search(work) is not None
    # what was smoked before, or is only called so, cooks in the oven or the pot
    pot = oven or any(SIMMER.search(step) and _longest_s([step]) >= LONG_S for step in recipe.steps)
    smoked = _SMOKER.search(_without_a_bottle(recipe, work if pot else text)) is not None
    # “Cook on low 8 hours”, and a baking sheet under the broiler
    slow = _LOW_FOR_LONG.search(work) is not None
    elsewhere = [
        sentence for step in recipe.steps for sentence in sentences_in(step)
        if not (BROIL.search(sentence) or _ON_A_SHEET.search(sentence))
    ]  # fmt: skip
    slow = slow and not any(OVEN.search(text) or temperatures_in(text) for text in elsewhere)
    named: tuple[tuple[Device, bool], ...] = (
        ("slow", slow and not any(_GRILL.search(text) for text in elsewhere)),
        # “slow-cooked brisket”, in an oven at 150 °C
        ("slow", bool((_SLOW_COOKER if oven and hot else _SLOW).search(text))),
        ("grill", smoked and bool(_GAS_GRILL.search(text) and not _ITS_OWN_SMOKER.search(text))),
        # “electric smoker or oven”, and the steps roast it
        ("smoker", smoked),
        ("oven", oven or _wrapped_for_longer(recipe)),
        ("oven", hot and _covered_before_grilled(recipe)),
        ("grill", grilled and not _simmers_longer(recipe)),
        # a covered pot or foil at so many degrees
        ("oven", hot and bool(LID.search(text))),
        # a casserole, and “Oven: Regulo 3” above the recipe
        ("oven", heat_named_c(recipe.description) is not None and bool(LID.search(work))),
        # "350 – 1 hr", beside a sauce that simmers
        ("oven", any(_hot_for_long(step) for step in recipe.steps)),
        # “8 hours on low”, and no word of what has such a level
        ("slow", not hot and bool(_LOW_FOR_LONG.search(work))),
        ("simmer", bool(SIMMER.search(text))),
        # so many degrees, and no word of what is so hot
        ("oven", hot),
        # what only the title says: “Slow-roast shoulder”
        ("oven", bool(OVEN.search(recipe.title))),
        ("grill", bool(_GRILL.search(recipe.title) or _OVER_COALS.search(work))),
    )
    return next((device for device, found in named if found), None)


def _covered_before_grilled(recipe: Recipe) -> bool:
    """“In a tray under foil, 140 °C for 3 hours. Grill for 4 minutes”: no fire was lit before."""
    for step in recipe.steps:
        if _GRILL.search(step):
            return False
        if LID.search(step) and temperatures_in(step) and _longest_s([step]) >= LONG_S:
            return True
    return False


_GAS_GRILL = re.compile(r"\bgas grill\b(?! or\b)|\b(?:outside|outer|unlit) burners?\b", re.I)
_ITS_OWN_SMOKER = re.compile(r"\b(?:smoker|pellet|kettle|offset|oven)\b", re.I)
"""Chips in a pouch make no smoker of a gas grill."""
_ON_A_SHEET = re.compile(r"\b(?:baking|sheet) (?:sheet|tray|pan)\b", re.I)
_LOW_FOR_LONG = re.compile(
    r"\b(?:on|to) low\b(?! (?:heat|flame|burner|simmer))[^.;]{0,30}?\b(?:[5-9]|1\d)"
    r"(?: ?(?:½|1/2))?(?:\s?(?:-|–|to)\s?\d{1,2})? ?(?:h|hrs?|hours?)\b"
    r"|\b(?:[5-9]|1\d)(?:\s?(?:-|–|to)\s?\d{1,2})? ?(?:h|hrs?|hours?),? (?:on )?low\b"
    r"(?! (?:heat|flame|burner|oven|simmer))"
    r"|\b(?:auf|stufe) low\b|\b(?:stunden?|std)\b\.? (?:auf|bei) (?:stufe )?low\b"
    r"|\bauf (?:niedriger|hoher) stufe\b[^.;]{0,12}\d? ?(?:stunden|std|garen)\b"
    r"|\bauf high \d (?:stunden|std)\b"
    r"|\blow (?:[5-9]|1\d)(?:\s?(?:-|–|to)\s?\d{1,2})? ?(?:h|hrs?|hours?)\b",
    re.I,
)


_SLOW_MODE = re.compile(
    r"\bslow[- ]?cook(?:er|ing)? (?:mode|function|setting)\b|\b(?:on|to) slow[- ]?cook\b", re.I
)
"""Of a cooker that does both."""
_OVER_COALS = re.compile(r"\bbriquett?es?\b|\bbarbecue (?:it|them|low|for|the|over)\b", re.I)


def _hot_for_long(step: str) -> bool:
    """Whether a step that simmers nothing says how hot it is for half an hour and more."""
    long = any(span.high_s >= LONG_S / 2.0 for span in durations_in(step))
    return long and not SIMMER.search(step) and bool(temperatures_in(step))


_FROM_A_BOTTLE = re.compile(r"\bliquid smoke\b", re.I)
_THE_BOTTLE = re.compile(
    r"(?:\b(?:then|the|and|with|of|drops?|dash)|&) smoke\b(?! (?:at|for|it|them|until|over))", re.I
)


def _without_a_bottle(recipe: Recipe, text: str) -> str:
    """“Rub salt, then smoke”: out of the bottle that the list has."""
    bottled = any(_FROM_A_BOTTLE.search(line) for line in recipe.ingredients)
    return _THE_BOTTLE.sub("", text) if bottled else text


LONG_S = 3600.0
"""Who simmers meat for an hour and then grills it, for no told time, chars it only. Judgement."""


def _simmers_longer(recipe: Recipe) -> bool:
    """Whether the meat simmers in a pot for longer than it then lies on the grill."""
    told = [
        text for step in recipe.steps for sentence in sentences_in(step)
        for text in THEN.split(sentence)
    ]  # fmt: skip
    simmered_s = _longest_s(text for text in told if _simmers_until_done(text))
    grilled_s = _longest_s(text for text in told if _GRILL.search(text))
    chars = grilled_s > 0.0 or simmered_s >= LONG_S
    return chars and simmered_s > 2.0 * grilled_s


def _wrapped_for_longer(recipe: Recipe) -> bool:
    """“Wrap in foil, 135 °C, 2 h 15”, before ten minutes over coals: that is an oven."""
    told = [text for step in recipe.steps for text in sentences_in(step)]
    wrapped = [
        text for text in told
        if LID.search(text) and heat_named_c(text) is not None and not _GRILL.search(text)
    ]  # fmt: skip
    coals_s = _longest_s(text for text in told if _GRILL.search(text))
    return _longest_s(wrapped) >= max(LONG_S, 2.0 * coals_s)


def _simmers_until_done(sentence: str) -> bool:
    """A sauce that is boiled down, and the parboiling of what is grilled for long, are asides."""
    return SIMMER.search(sentence) is not None and ASIDE.search(sentence) is None


def _longest_s(sentences: Iterable[str]) -> float:
    """The longest time in them, on both sides where they say so; 0 without any."""
    return max(
        (
            (2.0 if SIDES.search(text) else 1.0) * span.high_s
            for text in sentences
            for span in durations_in(text)
        ),
        default=0.0,
    )
