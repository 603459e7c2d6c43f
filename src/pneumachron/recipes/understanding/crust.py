"""What a recipe does for a crust after the long heat, and what it is known for."""

import re
from dataclasses import dataclass
from itertools import takewhile
from typing import Literal, TypeAlias

from pneumachron.core.planning.finish import FinishKind
from pneumachron.recipes.model import Recipe
from pneumachron.recipes.understanding.main_heat import IN_PASTRY
from pneumachron.recipes.understanding.method import CRISP_C, Cooking
from pneumachron.recipes.understanding.oven_heat import of_the_oven
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import THEN, sentences_in
from pneumachron.recipes.understanding.side_work import is_side_work

Character: TypeAlias = Literal["burnt_ends", "bark", "crackling"]
"""What pressure does not give, and has to be made besides."""


@dataclass(frozen=True, slots=True)
class Crust:
    """How the recipe itself browns the meat at the end; None where it does not say."""

    kind: FinishKind | None
    characters: tuple[Character, ...] = ()
    pulled_first: bool = False
    """“Shred the pork, spread it on a tray and broil until the edges crisp.”"""


_CHARACTERS: tuple[tuple[Character, re.Pattern[str]], ...] = (
    ("burnt_ends", any_of(r"\bburnt ends?\b")),
    ("bark", any_of(r"\bbark\b(?! at)")),
    (
        "crackling",
        any_of(
            r"\bcrackl(e|es|ing|ings|y)\b",
            r"\bcrack (?:the |your )?skin\b|\bcuerito\b",
            r"\bcrisp (?:up )?(?:the )?(skin|rind)\b|\b(skin|rind)\b[^.;]{0,30}\b(shatter|crisp)",
            r"\b(skin|rind)\b.{0,200}\b(blister|puffs?\b|like glass)",
            r"\bschwarte\b.{0,400}\b(?:(?:auf)?knusp(?:rig|ern)|kross|r(?:ö|oe)sch|aufpopp|aufpuff)|\bkruste\b.{0,400}\b(?:knusprig|schwarte)",
        ),
    ),
)
_MEAT = (
    r"(the |all the |your )?(ribs?|racks?|meat|pork|wings?|pieces?|bones|chunks?|cubes?|them|it)"
)
_WAYS: tuple[tuple[FinishKind, re.Pattern[str]], ...] = (
    ("air_fryer", any_of(r"\bair[- ]?fr(y|ied|yer|ying)\b")),
    (
        "broiler",
        any_of(
            r"\bbroil(er|ed|ing)?\b|\bsalamander\b", r"\bunder (the |a )?(hot |very hot )?grill\b",

            r"\bgrill\b[^.;]{0,30}\b(?:tray|baking sheet)\b",
            r"\bcrisp\w* (\w+ ){0,3}in (the|a) (hot |very hot )?oven\b",
            r"\b(turn|raise|crank|up) (the )?oven\b",
            r"^\W*oven (?:up )?(?:to )?(?:2\d\d|4\d\d)\b", r"\bback in(to)? the oven\b",
            r"^\W*(?:then )?back in at \d{3}\b",
            r"\b(uncover|unwrap)\w*\b.{0,40}\b(raise|turn|crank|increase)\w*\b.{0,20}\d{3}",
            r"\b(bake|roast|cook)\w*\b.{0,30}\buncovered\b",
            r"\b(set|tack up) the (glaze|sauce)\b(?![^.;]*\b(?:indirect|grill|coals|smoker)\b)",
            r"\bblow ?torch\b", r"\bunder the (?:\w+ )?element\b",
            r"\b(?:remove|take off|lift off) the (?:foil|lid)\b[^.;]{0,40}"
            r"\bto (?:brown|crisp|colou?r)\b",
            r"\buncovered\b[^.;]{0,20}\bto set\b",
            r"\breturn(ed)? (it |them |the (ribs|meat|pork) )?(uncovered )?to (the|a)( \w+)? oven\b"
            r"(?![^.;]*\b(cover|tender|soft))",
            r"\bremove the (foil|lid)\b[^.;]{0,40}\boven\b",
            r"\b(sheet|tray|rack|sheet pan)\b[^.;]{0,40}\b(bake|roast)\b[^.;]{0,20}"
            r"\b(4\d\d|2[0-5]\d)(?!\d)",
            r"\b(bast|brush|glaz)\w*\b[^.;]{0,40}\blacquer",
            r"^(?!.*\bauf de[mn] (?:\w+ )?grill\b).*\bgrillen\b",
            r"\boberhitze\b|\büber(krust|back)en\b|\bunter de[mn] (?:\w+ )?grill\b",
            r"\buncovered\b.{0,50}\bcrisp",
            r"\b(uncover|unwrap|open)\w*\b.{0,60}\b(bake|roast|brown|oven)\b",
            r"\btake off the (?:lid|foil)\b.{0,80}\b(?:lacquer|crust|crisp|brown|colou?r)",
            r"\b(lid|foil) off\b.{0,50}\b(colou?r|brown|crust|crackl|crisp|bark|bast|sticky)",
            r"\buncover\w*\b.{0,40}\b(bast(e|ing)|glaz|colou?r|crust)",
            r"\bgrill (?:zu|ein)schalten\b",
            r"\bgrill\b.{0,30}\bknusprig|\b(knusprig|kross).{0,30}\b(grill|brat|back|bräun)"
            r"|\bübergrill",
        ),
    ),
    (
        "grill",
        any_of(
            r"\bdirect heat\b", r"\bindirect heat\b[^.;]{0,12}\b\d\d? ?min",
            r"\bauf de[mn] (?:\w+ )?grill\b",
            r"\b(on|over|onto) (the|a) (\w+ )?"
            r"(grill|barbecue|bbq|coals|fire)\b(?! sauce)",
            r"\b(on|over) (very )?(hot |medium )?coals\b",
            # “Wrap it and return it to the smoker” goes on cooking
            r"^(?!.*\bwrap(?:ped)?\b).*\breturn\b[^.;]{0,20}\b(grill|smoker|barbecue(?! sauce))\b"
            r"(?![^.;]*\b(?:until|till?) (?:it['’]?s? |they )?(?:reach\w* |hits? )?(?:19\d|20\d)\b)"
            r"(?![^.;]*\bhours?\b)",
            r"\bgrill (it|them|the|for|each|briefly|over|ribs|racks|hot|\d)",
            r"\b(medium-)?hot grill\b|\b(?:heat|light|preheat) (?:a|the) grill\b",
        ),
    ),
    (
        "glaze",
        any_of(
            r"\breduc\w*\b[^.;]{0,30}\bto an? (?:\w+ )?glaze\b[^.;]{0,12}\b(?:spoon|pour)\b",
            rf"\breduc\w*\b[^.;]{{0,30}}\bglaze\b[^.;]{{0,30}}\b(turn|toss|roll|coat)\w* {_MEAT}\b",
            rf"\b(turn|toss|roll|tumble|coat)\w* {_MEAT} in the (glaze|reduced|sticky|reduction)",
            rf"\b(return|put|add) {_MEAT}.{{0,30}}\b(turn|toss|roll)\w*\b.{{0,40}}"
            r"\b(sticky|gloss\w*|coated|glazed|shin[ey]\w*)\b",
            r"\b(reduc|boil|bubbl|cook)\w*\b[^.;]{0,40}\b(turn|toss|roll)ing "
            rf"{_MEAT}\b[^.;]{{0,40}}\b(gloss\w*|sticky|syrup\w*|glaz\w*)\b",
            r"\b(lid off|uncover\w*)\b.{0,80}\b(sticky|syrup\w*|gloss\w*|shin[ey]\w*)\b",
            r"\b(simmer|cook|boil|lid off|uncover)\w*\b.{0,60}\b(sauce|glaze) clings\b",
            r"\b(reduce|boil|bubble|simmer)\w*\b.{0,60}\b(coats?|clings? to|sticks? to) (the )?"
            r"(ribs?|meat|pork|beef|them|bones)\b",
        ),
    ),
    (
        "pan",
        any_of(
            r"(?<!\bthe )\bfinish\w* in (a|the) (\w+ )?(skillet|frying pan|pan|griddle)\b",
            r"\b(knusprig|kross) anbraten\b",
            r"\b(skillet|frying pan|hot pan|(?<!sheet )(?<!roasting )pan(?! juices)|griddle)\b"
            r".{0,40}"
            r"\b(crisp|brown(?! sugar)|fry|crust|golden)",
            r"\b(crisp|brown|fry|crust)\w*\b.{0,40}\b(skillet|frying pan|hot pan|griddle)\b",
            r"^\W*to crisp\b.{0,60}\bpan\b",
            r"\bfr(y|ies|ying) in (its|their) own (fat|lard)\b",
            r"\bin (the|its|their) (own )?(fat|lard)\b.{0,80}\b(brown|crisp)",
            r"\bfr(y|ied)\b.{0,40}\b(crisp|brown(?:ed)?|golden|edges|fat|lard)\b",
            r"\b(?:shallow|deep)[- ]?fr(?:y|ied)\b",
            r"\bsear\w*\b[^.;]{0,30}\b(?:pan|skillet|griddle)\b",
        ),
    ),
)  # fmt: skip
"""Looked for in this order."""
_HOTTER = any_of(
    r"\bturn (it |the oven )?up to\b",
    r"\b(turn|raise|crank|up) (up )?the heat\b",
    r"\bincrease (the )?(heat|oven)\b",
)
"""Of an oven; on the stove the same words only hurry the sauce."""


MELTS_CHEESE = any_of(
    r"\b(?:broil|toast|grill|bake)\w*\b[^.;]{0,30}\b(?:melt|cheese)",
    r"\b(?:cheese|provolone|cheddar|mozzarella|gruyere)\b[^.;]*\b(?:broil|toast|grill|melt)",
    r"\b(?:buns?|rolls?|bread|tortillas?|baguettes?)\b[^.;]{0,12}"
    r"\bunder (?:the |a )?(?:broiler|grill)\b",
    r"\b(?:rye|bread|sandwich\w*|slices)\b[^.;]*\bfr(?:y|ied) in butter\b",
    r"\b(?:butter the outsides?|sandwich\w*)\b[^.;]*\b(?:press|griddle|grill|toast|skillet|pan)\b",
    r"\btortillas?\b[^.;]*\b(?:fry|crisp)\b",
    r"\b(?:broil|toast|grill|warm|butter)\w* (?:the |your )?(?:\w+ )?"
    r"(?:buns?|rolls?|bread|tortillas?|baguettes?)\b",
)
"""“Fill the rolls with beef and cheese; broil until melted.”"""


def _is_of_the_meat(sentence: str) -> bool:
    others = (MELTS_CHEESE, _OF_A_PIE, _FRIES_OTHERS, _BAKED_ON_TOP)
    return not any(pattern.search(sentence) for pattern in others)


_FRIES_OTHERS = any_of(
    r"\b(?:fry|fries|brown|crisp|cook|saut[eé]) (?:the |your |some |up )*"
    r"(?:diced |chopped |sliced |crumbled )?(?:chorizo|bacon|lardons|pancetta|onions?|shallots?"
    r"|leeks?|garlic|tortillas?|eggs?|rice|mushrooms?|peppers|sage|capers"
    r"|apples?|pears?|plums?|peach\w*|pineapple|fruit|salsa|adobo|mole"
    r"|potato\w*|(?:curry |spice |tomato )?paste|breadcrumbs|noodles)\b",
    r"\b(?:grill|char|roast) (?:the |your |some )*(?:corn|ears|peppers|asparagus|zucchini"
    r"|courgettes|aubergines?|eggplants?|pineapple|peach\w*|onions|scallions|spring onions"
    r"|sweet potato\w*|lettuces?|limes?|lemons?|tomato\w*|vegetables|veg|potato\w*|bread"
    r"|flatbreads|mushrooms)\b",
)
"""“Fry the chorizo in the lard”: no crust of the meat."""


_BAKED_ON_TOP = any_of(
    r"\b(?:dumplings?|cobbler|scones?|bread ?crumbs|crumbs)\b(?![^.;]*\b(?:press|coat)\b)"
)
"""“Sit the dumplings on top and bake uncovered”, “scatter over the breadcrumbs”."""
_OF_A_PIE = any_of(
    r"\b(?:bake|roll|cover|brush|top)\w*\b[^.;]{0,30}\b(?:pies?|pastry|pasties|biscuits|cornbread)\b"
)


_HAS_AN_OVEN = any_of(
    r"\bbroil", r"\bbake\b", r"\boven\b", r"\bgrill", r"\bofen", r"\bbackofen", r"\bsalamander\b",
    r"\bsheet\b", r"\btray\b", r"\b\d{3} ?°", r"knusprig", r"\bkross", r"\bcrisp",
    r"\bcrust", r"\blacquer",
)  # fmt: skip
"""What is meant, where the meat was simmered and a crust is made."""
_WARMS = any_of(r"\bre-?heat", r"\bwarm", r"\baufw(ä|ae)rm")
_BOILED = any_of(r"\b(?:boil|bubbl|simmer|reduc)\w*\b(?![^.;]*\b(?:broil\w*|oven)\b)")
_ROASTED = any_of(r"\b(?:roast|bake)\b")
_FOIL_OFF = any_of(
    r"\b(?:remove|take off|lift off|pull off|discard)\b[^.;]{0,12}\b(?:foil|lid|cover)\b",
    r"\b(?:foil|lid) off\b",
)
_TO_A_CRUST = any_of(
    r"\b(?:bake|roast|cook)\b[^.;]*\b(?:sticky|crisp\w*|browned|golden|caramel\w*|glazed|dark"
    r"|charred|basting)\b"
)
_CHARRED = any_of(r"\bchar(red)?\b(?!coal)")
"""Over coals; where the meat cooks in an oven, close under its heat."""


_IN_THE_FAT = any_of(r"\b(?:brown|crisp|fr(?:y|ie))s? in (?:the|its|their) (?:own )?(?:fat|lard)\b")
_THICKENED = any_of(r"\buncovered\b[^.;]*\bthicken\w*", r"\bthicken\w*\b[^.;]*\buncovered\b")
_STIRRED_IN = any_of(
    r"\bstir in\b[^.;]*\buncovered\b",
    r"\badd (?:the )?(?:\w+ ){0,3}"
    r"(?:apples?|pears?|beans|mushrooms|peas|potatoes|carrots|dumplings)\b[^.;]*\buncovered\b",
)
_BAKED = any_of(r"\bbake\b[^.;]{0,30}\d ?min", r"\bbake\b[^.;]{0,30}(?:@|\bat) \d{3}\b")
_IN_A_DISH = any_of(
    r"\bcover(?:ed)?\b",
    r"\bfoil\b",
    r"\b(?:fill|stuff|roll|layer|spread|line)\w*\b",
    r"\b(?:tortillas?|pasta|noodles|dough|pastry|potato\w*|rolls|buns|bread|casserole of)\b",
)
"""What is covered gets no crust, and what is filled is another dish."""
_TURNED = any_of(rf"\b(?:return|add|put) {_MEAT}\b[^.;]{{0,30}}\b(?:turn|toss|roll) to coat\b")
_SYRUPY = any_of(r"\bsyrup\w*", r"\bsticky\b", r"\bglaz\w*", r"\bglossy\b")
_HEATS_A_GRILL = any_of(r"\b(?:heat|preheat|turn on|switch on) (?:the|your) grill\b")
_BRITISH = any_of(r"\bgas (?:mark )?\d", r"\b\d{3} ?°?C?/?,? ?\(?\d{0,3} ?°?C? ?fan\b", r"\bhob\b")
"""Ovens with gas marks and fans: the grill is the one in the oven."""
_OUTDOORS = any_of(r"\b(?:barbecues?|bbq|coals?|charcoal|fire ?pit|flames?)\b(?! (?:sauce|rub))")
_ON_A_TRAY = any_of(r"\b(?:foil|tray|baking sheet|roasting tin)\b")


def read_crust(recipe: Recipe, cooking: Cooking) -> Crust:
    """The last way to a crust that is named after the long heat began."""
    words = " ".join((recipe.title, *recipe.steps))
    characters = tuple(name for name, pattern in _CHARACTERS if pattern.search(words))
    kind: FinishKind | None = None
    later = _later(recipe, cooking)
    pie = any(_OF_A_PIE.search(text) or IN_PASTRY.search(text) for text in later)
    later = list(takewhile(lambda text: not IN_PASTRY.search(text), later))
    in_oven = cooking.method in {"oven_lid", "oven_open"}
    told, pulled = "", False
    for sentence in filter(_is_of_the_meat, later):
        pulled = pulled or (kind is None and _pulls_first(sentence))
        kind = next((way for way, pattern in _WAYS if pattern.search(sentence)), kind)
        told = f"{told} {sentence}"
        stove = _BOILED.search(sentence) and not _ROASTED.search(sentence)
        if kind == "broiler" and cooking.method == "simmer" and stove:
            kind = "glaze"  # nothing but the stove is hot
        elif kind == "broiler" and cooking.method == "simmer" and not _HAS_AN_OVEN.search(told):
            # "cook, uncovered, for 40 min more", or until "the meat browns in the fat"
            kind = "pan" if _IN_THE_FAT.search(sentence) else None
        if kind == "broiler" and _THICKENED.search(sentence) and not _HAS_AN_OVEN.search(sentence):
            kind = None  # “cook, uncovered, on high until thickened”: the sauce
        if kind == "broiler" and in_oven and _STIRRED_IN.search(sentence):
            kind = None  # “stir in the mushrooms and cook, uncovered”: a stew that thickens
        if cooking.method == "simmer" and _BAKED.search(sentence) and not _IN_A_DISH.search(told):
            kind = kind or "broiler"  # boiled first, and baked in a sauce
        if in_oven and _FOIL_OFF.search(told) and _TO_A_CRUST.search(sentence):
            kind = kind or "broiler"  # “Remove foil. Bake, basting, until sticky.”
        if _TURNED.search(sentence) and _SYRUPY.search(told):
            kind = kind or "glaze"
        if _CHARRED.search(sentence):
            kind = kind or ("broiler" if in_oven else "grill")
        hot = not pie and any(heat.temp_c >= CRISP_C for heat in of_the_oven(sentence))
        warms = _WARMS.search(sentence) is not None
        hotter = in_oven and _HOTTER.search(sentence) is not None
        if hotter or (hot and not warms and (in_oven or cooking.method == "simmer")):
            kind = kind or "broiler"
    british = in_oven and _BRITISH.search(words) and not _OUTDOORS.search(words)
    if kind == "grill" and (british or (_HEATS_A_GRILL.search(told) and _ON_A_TRAY.search(told))):
        kind = "broiler"  # a British grill, with its heat from above
    if kind == "glaze" and "burnt_ends" in characters:
        kind = "broiler"  # cubes that go back into the heat with their sauce
    return Crust(kind, characters, pulled and kind is not None)


_PULLS = any_of(
    r"\b(?:shred|pull|tear|break|pick|flake|fork)\b(?! (?:off|out|it out|(?:the )?\w+ out)\b)"
    r"[^.;]{0,30}\b(?:meat|pork|beef|brisket|shoulder|it|apart|up|roughly|forks?|pieces|chunks)\b",
    r"^\W*(?:shred|pull)(?:,| and| then|\W*$)",
    r"\b(?:shred|pull|tear|break) (?:it |them )?into (?:\w+ )?(?:hunks|chunks|strands|pieces)",
    r"(?:,|\b(?:then|and)) (?:shred|pull)\W*$|, (?:then )?(?:shred|pull)(?:,| and\b)",
    r"\b(?:zerpflück|zerzupf|zupf|auseinander ?(?:zieh|zupf))\w*",
)
_TO_CRISP = any_of(
    r"\bbroil", r"\bgrill\b", r"\bcrisp", r"\bfry\b", r"\broast\b", r"\bbake\b", r"\bbrown\b",
    r"\boven\b", r"\bknusprig", r"\bkross",
)  # fmt: skip


def _pulls_first(sentence: str) -> bool:
    """Whether the meat is pulled in a sentence, and not only when its crust is made."""
    pulls = _PULLS.search(sentence)
    return pulls is not None and not _TO_CRISP.search(sentence[: pulls.start()])


def crisps(step: str) -> bool:
    """Whether a step browns the meat once more under heat from above, over coals or in a pan."""
    way = any(pattern.search(step) for kind, pattern in _WAYS if kind != "glaze")
    return way or bool(_FOIL_OFF.search(step) and _TO_A_CRUST.search(step))


def glazes(step: str) -> bool:
    """Whether a step boils the juice down around the meat."""
    return any(pattern.search(step) for kind, pattern in _WAYS if kind == "glaze")


def _later(recipe: Recipe, cooking: Cooking) -> list[str]:
    """Sentences after that of the longest heat; none where the heat is not known."""
    if cooking.main is None:
        return []
    step, place = cooking.main
    same = sentences_in(recipe.steps[step])
    # "simmer 35 minutes, then uncover and cook until syrupy"
    same[place : place + 1] = THEN.split(same[place]) if place < len(same) else []
    rest = [text for later in recipe.steps[step + 1 :] for text in sentences_in(later)]
    # corn on the grill is no crust of the meat
    return [
        text for text in (*same[place + 1 :], *rest)
        if not is_side_work(text) or _pulls_first(text)
    ]  # fmt: skip
