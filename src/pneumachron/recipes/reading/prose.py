"""A recipe told in prose, without a list: its meat and its foods, out of the sentences."""

import re
from collections.abc import Iterator, Sequence

from pneumachron.recipes.model import Part
from pneumachron.recipes.reading.looks import ALSO_ADJECTIVES, VERBS
from pneumachron.recipes.understanding.durations import durations_in, temperatures_in
from pneumachron.recipes.understanding.ingredients import (
    UNKNOWN,
    Food,
    Kind,
    food_of,
    foods_named,
)
from pneumachron.recipes.understanding.lines import read_line
from pneumachron.recipes.understanding.number_words import in_figures, of_one_powder
from pneumachron.recipes.understanding.patterns import HEAVY_UNIT
from pneumachron.recipes.understanding.sentences import sentences_in

_RANGE = r"(?:\d[\d./½¼¾]{0,4} (?:to|or) )?"
"""The lower end of “6 to 7 lb”."""
_HEAVY = (
    rf"{_RANGE}(?:\d[\d./½¼¾ -]{{0,8}}\s?-?{HEAVY_UNIT}\b(?:\s\d{{1,2}}\s?oz\b)?"
    r"|\d{3,4}\s?(?:g|gram(?:me)?s?)\b)"
)
_MEAT = re.compile(
    rf"\b(?P<meat>(?:(?:two|three|\d) )?\(?{_RANGE}\d[\d./½¼¾ -]{{0,8}}\s?-?"
    rf"(?:{HEAVY_UNIT}|#)\)?\.?\s(?:of )?(?:[a-z-]+ ){{0,4}}?"
    r"(?:butts?|shoulders?|briskets?|packers?|points?|flats?|(?:short |spare |back )?ribs?"
    r"|spareribs|baby backs"
    r"|picnics?|wings|hands? of pork|(?<=pork )(?:scotch|collars?|necks?|blades?)\b)"
    r"|(?:\d|a|two|three|four|six) (?:(?:big|large|full|whole|nice|meaty) )?"
    r"(?:(?:st\.? ?louis|baby back|back rib|spare ?rib)"
    r"(?:[- ](?:style|cut))? (?:racks|slabs)|(?:racks?|slabs?|sides?)(?: of)? (?:[a-z.-]+ ){0,3}?"
    r"(?:ribs|baby backs|st\.? louis\b(?!-?(?:style|cut)? (?:spare ?)?ribs?)|spares\b))"
    rf"(?:[^.!?]{{0,60}}?{_HEAVY} (?:a|per|to the) (?:rack|slab)"
    rf"|[^.!?]{{0,20}}?\beach(?: one|['’]s| is| weigh\w+| about)+[^.!?]{{0,12}}?{_HEAVY}"
    rf"|[^.!?]{{0,30}}?{_HEAVY} (?:each|apiece|altogether|together|total|in all)"
    rf"|, (?:about |around )?{_HEAVY}| \([^()]{{3,40}}\))?"
    rf"|(?:an?|one|the|your) (?:[a-z-]+ ){{0,4}}?"
    r"(?:butt|shoulder|brisket|packer|picnic|hand of pork)\b"
    rf"[^.!?]{{0,60}}?{_HEAVY})(?:,? (?:cut|diced) (?:in|into) [^.,;!?]{{3,40}}"
    r"|,? (?:in|into) [^.,;!?]{1,24}?(?:cubes?|chunks?|pieces|dice))?(?!\w)",
    re.I,
)
_MANY = re.compile(
    r"\b(?P<meat>(?:\d|two|three|four|five|six) (?:[a-z-]+ ){0,4}?"
    r"(?:butts|shoulders|briskets|picnics|(?:plate|short|beef) (?:ribs|bones)"
    r"|jacob['’]?s ladder(?: ribs)?)\b"
    rf"[^.!?]{{0,40}}?{_HEAVY}(?: each| apiece)?)(?!\w)",
    re.I,
)
"""“Two boneless pork butts at around 6 pounds each”."""
_FIRST = re.compile(
    r"(?:^|(?<=[.!?:]\s))(?:there (?:are|is|were|was) (?:usually |still )?)?"
    r"(?P<meat>(?P<word>[a-z-]+)(?: [a-z-]+){0,3}?"
    r"(?:(?<=butt)|(?<=shoulder)|(?<=brisket)|(?<=picnic)|(?<=ribs)|(?<=flanken)|(?<=baby backs))"
    rf"\b(?:[^.!?:;]{{0,30}}?|[^.!?:;()]{{0,40}}\([^()]{{0,30}}?){_HEAVY})(?!\w)",
    re.I,
)
"""A sentence that begins with the meat: “Pork shoulder bone in 4.5 kg, skin off.”"""
_FEW_WORDS = 4
"""What is left of a sentence that only names the meat. Judgement."""
_APART = re.compile(
    r",\s*(?:and\s+|then\s+)?|;\s*|\s+(?:with|plus|into|\+)\s+|(?:^|\s+)w(?:/\s*|\s+)|:\s+"
    r"|\s+then\s+|\s+(?:and )?(?:stir|mix|whisk|pour|tip) (?:in )?(?=\d)"
    r"|(?<!\d)\s+(?=\d[\d/.]*\s?(?:T|t|c|C|tsp|tbsp|Tbsp|cups?|oz|table ?spoons?|tea ?spoons?)\b)"
    r"|(?<!half)(?<!of)\s+(?=(?:an?|two|three|four) (?:half |quarter )?"
    r"(?:cup|tablespoon|teaspoon)s?\b)"
    r"|\s+and\s+(?=(?:boiling |cold |hot |enough )?water\b)|\s+(?=(?:stuck|studded)\s+with\b)"
    r"|\s+(?:and|&)\s+(?=\d|[½¼¾⅓⅔]|(?:an?|one|two|three|four|half|some|plenty|lots)\s"
    r"|the (?:juice|zest)\b)"
    r"|(?<![\s\d]c)(?<![\s\d]t)(?<![\s\d]T)[.!](?:\s+|$)"
)
_PART = re.compile(
    r"^(?!(?:the )?(?:night|day|morning|evening|next|first|then|finally|later)\b"
    r"|to (?:finish|cook|freeze|make|serve|prepare)\b)"
    r"(?P<name>(?:(?:for )?(?:the|my|our) )?(?:[a-z]+(?: [a-z]+){0,2}(?=:)"
    r"|(?:[a-z]+ )?(?:rub|sauce|glaze|marinade|mop|spritz|brine)(?= [—–=] )"
    r"|(?:[a-z]+ )?(?:rub|sauce|glaze|marinade|mop|spritz|brine)(?= is\b)))"
    r"(?::| [—–=]| is(?: just| simply| only)?:?)\s+(?=\S)",
    re.I,
)
"""“Mojo: …”, “the rub is half a cup of sugar …”."""
_OF_THE_SAME = re.compile(r"^(?P<many>\d|half|an?|one|two|three|four) of (?=[a-z])", re.I)
"""“2 tablespoons of paprika, one of salt”: a measure that was told just before."""
_EACH = re.compile(r"\beach\b", re.I)
_EACH_OF = re.compile(
    r"(?P<amount>[\d½¼¾⅓⅔][\d./½¼¾ ]{0,5} ?"
    r"(?:tbsp|tsp|tablespoons?|teaspoons?|cups?|T|t|g|ml)\b\.?)"
    r" each (?:of )?(?P<foods>[a-z][a-z ]{1,30}(?:, [a-z][a-z ]{1,30}){1,6}?,? (?:and|&|\+) "
    r"[a-z][a-z ]{1,30})",
    re.I,
)
"""“1 tbsp each of smoked paprika, cumin and salt”: it is told once for all of them."""
_PUT_ON = re.compile(
    r"\b(?:rub|season|coat|mix|stir|add|pour|brush|baste|mop|sprit?z|wrap|toss|sprinkle|slather"
    r"|smear|marinate|sauce|glaze|dust|mustard|top|smoke)"
    r"|\b(?:ribs|meat|pork|beef|brisket) back in\b(?! the)",
    re.I,
)
"""Sentences in which a food that has no amount goes somewhere."""
_RUB_IT = re.compile(
    r"\b(?:rub|season|salt|pepper) (?=(?:it|them|the|all|each|both|down|with|w)\b|w/)", re.I
)
"""“Rub it with”: work, and no jar of rub."""
_RUB_WITH = re.compile(r"\brub (?=with?\b|w\b|in\b)", re.I)
_NO_FOOD = re.compile(
    r"\b(?:serves|feeds|makes) (?:about |around |up to )?\d{1,2}\b(?:\s?(?:-|–|to)\s?\d{1,2}\b)?|"
    r"\b(?:50\s?/\s?50|1\s?:\s?1)\b|"
    r"\b(?:the )?size of an? (?:\w+ )?\w+|\bmash (?=the|it|them|every)|\(or [^()]*\)|"
    r"\blike (?:\w+ )?butter\b|(?<=[a-z]), half and half\b"
    r"|\b(?:\d )?chunks? (?:of )?(?:apple|cherry|hickory|oak|pecan|mesquite|maple)\b",
    re.I,
)
"""“Probes like butter”, “50/50 salt and pepper”, “half and half”: neither butter nor cream."""
_ONE_ROOT = re.compile(
    r"(?<!half )\ban?(?= (?:(?:large|big|small|medium|red|yellow|brown|white|sweet|whole) )*"
    r"(?:onion|carrot|leek|shallot|parsnip|swede|turnip|lemon|lime|orange|apple)\b)",
    re.I,
)
"""“You want an onion, 3 carrots and half a swede.”"""
_SHARE_OF_A_CUP = re.compile(
    r"\b(?:an?|one|two|three|four) (?:dozen|cups?|pints?|pounds?|kilos?)"
    r" and an? (?:half|quarter)\b"
    r"|\b(?:an? |one |two |three )?(?:thirds?|quarters?) (?:of )?an? (?:cup|pint|pound|kilo)\b",
    re.I,
)
"""“A dozen and a half of prunes”, “a third of a cup of sugar” are one food."""
_ONLY_SEASONED = re.compile(
    r"^\W*(?:just |only |plain )?salt (?:and|&|\+) (?:\w+ )?pepper\b(?:\W+\w+){0,6}\W*$", re.I
)
"""“Salt and pepper only, half and half.”"""
_SAID_BESIDES = re.compile(
    r"(?<=[a-z])\s\((?![^()]{0,60}\b(?:cups?|spoons?|cans?|jars?|bottles?|use|some)\b)"
    r"[^()\d]{1,60}\)"
)
"""“1 orange (juice + the squeezed halves)”: no foods of their own."""
_OF_THE = re.compile(r"\bof (?:the|that|this)\b", re.I)
_NEAR = 24
"""Characters: “a cup of the sauce”, but not “two onions in the bottom of the pot”. Judgement."""
_NOT_FOOD: frozenset[Kind] = frozenset({"meat", "other_meat", "tool", "unknown"})
_TOO_PLAIN = frozenset({"fat", "water", "mix", "sauce", "stock", "juice", "liquid"})
"""Words that say nothing of what is bought, or speak of what is there already."""
MOST_FOODS = 40
"""Judgement: a told recipe has a dozen."""


_RUB_OF = re.compile(r"\brub of (?=\d|[½¼¾]|an? )", re.I)
_A_POUND = re.compile(r"\ban?(?= (?:kilo(?:gram(?:me)?)?s?|pounds?)\b)", re.I)


def _figures(text: str) -> str:
    """“Three and a half pounds”, “a pound of ribs” in figures."""
    return _A_POUND.sub("1", in_figures(text))


def meat_in_prose(texts: Sequence[str]) -> list[str]:
    """“I take an 8 lb bone-in butt, slather it …”: the meat of a recipe without a list."""
    found = next((meat for text in texts if (meat := _meat_of(_figures(text)))), None)
    return [found] if found else []


_THE_JOINT_IS = re.compile(
    r"\b(?:the|my|our) (?:joint|roast|meat|piece) (?:is|was) (?=an? \d)", re.I
)
"""“The joint is a 2.4 kg rolled brisket.”"""


def _meat_of(text: str) -> str:
    """The words of a text that name the meat and how much of it; empty when none do."""
    text = _THE_JOINT_IS.sub("", text)
    for pattern in (_MEAT, _MANY):
        if found := pattern.search(text):
            return found[0]
    first = next((each for each in _FIRST.finditer(text) if not is_work(each["word"])), None)
    return first["meat"] if first else ""


def is_work(word: str) -> bool:
    """Whether a word is a verb of the kitchen, and no adjective as well."""
    return word.lower() in VERBS - ALSO_ADJECTIVES


def without_meat_only(steps: Sequence[str]) -> list[str]:
    """The steps but those that name the meat and say nothing of work."""
    found = []
    for step in steps:
        kept = [
            text for text in sentences_in(step)
            if not _names_only_meat(text)
        ]  # fmt: skip
        if kept:
            found.append(" ".join(kept))
    return found


def _names_only_meat(sentence: str) -> bool:
    sentence = _figures(sentence)
    meat = _meat_of(sentence)
    return bool(meat) and len(sentence.replace(meat, "").split()) < _FEW_WORDS


def foods_in_prose(texts: Sequence[str], first: int) -> tuple[list[str], list[Part]]:
    """The foods that sentences name, as lines, and the parts that are told as “Sauce: …”.

    Parameters
    ----------
    first : row of the first of these lines in the list of ingredients
    """
    lines: list[str] = []
    parts: list[Part] = []
    named: set[str] = set()
    told = (text for step in texts for text in sentences_in(step))
    for sentence in (text for whole in told for text in _brackets_apart(whole)):
        part = _PART.match(sentence)
        before = len(lines)
        if lines and (served := _foods_alone(sentence)):
            rows = tuple(range(first + before, first + before + len(served)))
            lines += served
            parts.append(Part.of("To serve", rows))
            continue
        for line, words in _foods_of(sentence):
            # “sauce = 200ml vinegar, 2 tbsp sugar”: its sugar is none of the rub's
            again = part is not None and read_line(line).low is not None
            if (again or not _all_told(words, named)) and len(lines) < MOST_FOODS:
                named |= words
                lines.append(line)
        if part and len(lines) > before:
            rows = tuple(range(first + before, first + len(lines)))
            parts.append(Part.of(part["name"], rows))
    return lines, parts


_ON_THE_TABLE = re.compile(
    r"^(?:with|plus) |\s+(?:on the (?:table|side)|alongside|to (?:serve|go with))$", re.I
)
LISTED = re.compile(r",\s*(?:and\s+)?|\s+(?:&|and|or|\+)\s+")
LEAST_ALONE = 3
"""Foods in a sentence of nothing else. Judgement."""


def _foods_alone(sentence: str) -> list[str]:
    """“Tortillas, onion, cilantro, lime wedges.”: what stands on the table, behind the work."""
    told = _ON_THE_TABLE.sub("", sentence.strip(" ."))
    foods = [text.strip() for text in LISTED.split(told) if text.strip()]
    bare = all(
        0 < len(text.split()) <= LEAST_ALONE
        and food_of(text).kind not in _NOT_FOOD
        and read_line(text).low is None
        and not is_work(text.split()[0])
        for text in foods
    )
    return foods if bare and LEAST_ALONE <= len(foods) <= MOST_FOODS else []


_IN_BRACKETS = re.compile(
    r"\b(?P<name>rub|sauce|glaze|marinade|mop|spritz|brine)\s*\((?:which is|that['’]s|it['’]s"
    r"|just|:)?\s*(?P<foods>[^()]{0,200}\d[^()]{0,200},[^()]{0,200})\)",
    re.I,
)
"""“My rub (which is 2 T paprika, 1 T salt)”."""


def _brackets_apart(sentence: str) -> list[str]:
    """A sentence, and what its brackets tell of a rub as a sentence of its own."""
    inner = [f"{found['name']}: {found['foods']}." for found in _IN_BRACKETS.finditer(sentence)]
    return [_IN_BRACKETS.sub("", sentence), *inner]


def _all_told(words: set[str], named: set[str]) -> bool:
    """Whether all of them were told before: “the wine” is the red wine that was bought."""
    whole = {told for told in named if not told.endswith((" pollen", " seed", " seeds", " powder"))}
    return all(
        word in named or any(told.startswith(f"{word} ") for told in whole)
        or any(told.endswith(f" {word}") for told in named) for word in words
    )  # fmt: skip


_ALSO_PLAIN: frozenset[Kind] = frozenset({"rub", "binder"})
"""“Slather with mustard, then the rub”: bought, though nobody says how much."""


def told_as_well(steps: Sequence[str], lines: Sequence[str]) -> list[str]:
    """“1 cup stock in”, where only the rub is listed: foods of the steps that have an amount."""
    known = {food_of(line).words for line in lines}
    foods, _ = foods_in_prose(steps, len(lines))
    rub = sum(food_of(read_line(line).name).kind in _OF_A_RUB for line in lines)
    return [
        line for line in foods
        if food_of(line).words not in known
        and not (food_of(line).kind == "rub" and rub >= LEAST_ALONE)  # “make the rub” is of those
        and (read_line(line).low is not None or food_of(line).kind in _ALSO_PLAIN)
    ]  # fmt: skip


_OF_A_RUB: frozenset[Kind] = frozenset({"salt", "spice", "sugar", "dried_herb", "chilli"})


def is_told_part(line: str) -> bool:
    """“Vinegar sauce: 1 cup vinegar, 2 tbs sugar”: a part told in one line."""
    return _PART.match(line) is not None and len(list(_foods_of(sentences_in(line)[0]))) > 1


def _foods_of(sentence: str) -> Iterator[tuple[str, set[str]]]:
    """Lines for the foods of a sentence, with the words by which they are known."""
    named = _NO_FOOD.sub("", _PART.sub("", _SAID_BESIDES.sub("", sentence)))
    named = _FREELY.sub("", _RUB_OF.sub("", _RUB_WITH.sub("", named)))
    named = of_one_powder(_ONE_ROOT.sub("1", named))
    named = _SHARE_OF_A_CUP.sub(lambda found: in_figures(found[0]), named)
    told = (
        _PUT_ON.search(sentence) is not None
        or _PART.match(sentence) is not None
        or _ONLY_SEASONED.match(named) is not None
    )
    chunks = _in_the_same_unit(_APART.split(_EACH_OF.sub(_told_apart, named)))
    for chunk in filter(None, (_from_amount(_AS_MUCH.sub("", part)) for part in chunks)):
        line, each = read_line(chunk), _EACH.search(chunk)
        plain = line.low is None  # so much stock is bought, “the stock” was told before
        foods = [
            food for food in foods_named(_RUB_IT.sub("", chunk)) if _is_bought(food, plain=plain)
        ]
        words = {food.words for food in foods}
        # "a cup of the sauce" was told before; "2 hours" and "250°" are no amounts of food
        of_it = _OF_THE.search(chunk[:_NEAR]) or durations_in(chunk) or temperatures_in(chunk)
        food = food_of(line.name)
        countable = bool(line.unit) or food.kind in _COUNTED_KINDS or food.piece_g > 0
        # “spoon some juice on” is work, and no spoon
        counted = line.low is not None and countable and not of_it and not _SPOONS.match(chunk)
        if counted and line.unit and line.name.lower() == "sauce":  # “heavy foil, 1 1/2 c sauce”
            yield _tidy(chunk), {"sauce"}
            continue
        if not foods or _OF_THE.search(chunk[:_NEAR]):
            continue
        if counted and each and len(foods) > 1:
            names = ", ".join(food.words for food in foods)
            yield f"{chunk[: each.end()]}: {names}", words
        elif counted and food is not UNKNOWN:
            yield _tidy(chunk), words
        elif told:
            yield from ((food.words, {food.words}) for food in foods)


_LOOSE_END = re.compile(r"\s+(?:in|on|over|out|to|and|with)$", re.I)
"""“1 cup stock in”."""


_IN_A_PAN = re.compile(
    r"\s+(?:in|on|over|under) (?:an?|the|your) (?:\w+ ){0,2}"
    r"(?:skillet|pan|pot|bowl|blender|oven|grill|broiler|grate|flame|fat|drippings?|roaster|tin"
    r"|dish|casserole|cooker|crock)\b.*$",
    re.I,
)
"""“2 chilies in a dry skillet”: where it is done is no part of its name."""


def _told_apart(found: re.Match[str]) -> str:
    foods = re.split(r",? (?:and|&|\+) |, ", found["foods"])
    return ", ".join(f"{found['amount']} {food}" for food in foods)


def _tidy(chunk: str) -> str:
    text = _LOOSE_END.sub("", _IN_A_PAN.sub("", chunk).strip(" ."))
    if text.count("(") > text.count(")"):  # “a splash of juice (maybe 1/4 cup)”
        text = text.rpartition("(")[0].rstrip()
    return text if "(" in text else text.rstrip(") ")


def _in_the_same_unit(chunks: Sequence[str]) -> Iterator[str]:
    unit = ""
    for chunk in map(str.strip, chunks):
        same = _OF_THE_SAME.match(chunk)
        if same and unit:
            yield f"{same['many']} {unit} of {chunk[same.end() :]}"
            continue
        unit = read_line(_from_amount(chunk)).unit if chunk else unit
        yield chunk


_AMOUNT = re.compile(
    r"(?:^|\s)(?P<rest>(?:[\d½¼¾⅓⅔]"
    r"|(?:half an?|an? half|an? quarter|an?|one|two|three|four) (?:bottles?|glass(?:es)?|cups?"
    r"|splash|pinch"
    r"|handfuls?|cans?|tins?|jars?|knob|sprigs?|tablespoons?|teaspoons?|packets?|envelopes?)\b"
    r"|a (?:few|couple of)\b"
    r"|(?:two|three|four|five|six)\s(?!hours?|minutes?|days?)).*)"
)
_AS_MUCH = re.compile(r"\b(?:half |twice )?as much (?:of )?|\bequal parts (?:of )?", re.I)
_FREELY = re.compile(
    r",?\s+and as (?:much|many) [^.;,]{2,40}? as you (?:like|want|need|please)", re.I
)
"""“Mix with 1 cup barbecue sauce and as much juice as you like.”"""
_SPOONS = re.compile(r"spoon (?!of\b)", re.I)
_WHEN = re.compile(
    r"\s+(?:the (?:night|day) before|overnight|at the (?:end|start)|on top"
    r"|(?:in|over|on) the (?:bottom|base)(?: of [^.;]{3,40})?"
    r"|for (?:about |another |\w+ more )?\d[\d./½¼¾-]{0,5}\s?(?:hours?|hrs?|h|minutes?|mins?))\W*$",
    re.I,
)
"""When or where it goes, behind a food."""
_AND_ITS_WORK = re.compile(
    r"\s+(?:those|that|which|they) (?:go|goes|get|sit)\b.*$"
    r"|\s+(?:till?|until) (?:it|they)\b.*$|\s+(?:boiled|reduced) (?:down|by)\b.*$"
    r"|\s+and (?:then )?(?:back\b|cook|serve|eat|fry|brown|soften|sweat|saut\S*|simmer|boil"
    r"|melt|toast|let|put|throw|give|leave|toss|stir|cut|slice|chop|peel|sit|set|lay|wrap|place|pour|rub|brush)\b.*$",
    re.I,
)
"""“Four big onions and cook them slowly”: what is done with a food, behind it."""
_COUNTED_KINDS: frozenset[Kind] = frozenset(
    {"aromatic", "root", "tender_veg", "acid", "woody_herb", "chilli", "spice"}
)
"""Foods that are counted by the piece."""


def _from_amount(chunk: str) -> str:
    """“Sit it on 3 sliced onions”: what stands before the amount is work."""
    chunk = _AND_ITS_WORK.sub("", _WHEN.sub("", chunk))
    found = _AMOUNT.search(chunk)
    rest = found["rest"] if found else ""
    told = read_line(rest) if rest else None
    return rest if told and told.low is not None and food_of(told.name) is not UNKNOWN else chunk


def _is_bought(food: Food, *, plain: bool) -> bool:
    return food.kind not in _NOT_FOOD and not (plain and food.words in _TOO_PLAIN)
