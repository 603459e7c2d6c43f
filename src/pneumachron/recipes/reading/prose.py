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
from pneumachron.recipes.understanding.sentences import sentences_in

_HEAVY = r"\d[\d./½¼¾ -]{0,8}\s?-?(?:lbs?|pounds?|kg|kilos?)\b"
_MEAT = re.compile(
    r"\b(?P<meat>(?:(?:two|three|\d) )?\(?\d[\d./½¼¾ -]{0,8}\s?-?"
    r"(?:lbs?|pounds?|kg|kilos?|#)\)?\.?\s(?:of )?(?:[a-z-]+ ){0,4}?"
    r"(?:butts?|shoulders?|briskets?|(?:short |spare |back )?ribs?|picnics?|wings)"
    r"|(?:\d|a|two|three|four|six) (?:racks?|slabs?) of (?:[a-z.-]+ ){0,3}?(?:ribs|baby backs)"
    rf"(?:[^.!?]{{0,60}}?{_HEAVY} (?:a|per|to the) (?:rack|slab)| \([^()]{{3,40}}\))?"
    rf"|(?:an?|one|the|your) (?:[a-z-]+ ){{0,4}}?(?:butt|shoulder|brisket|picnic)\b"
    rf"[^.!?]{{0,40}}?{_HEAVY})(?!\w)",
    re.I,
)
_MANY = re.compile(
    r"\b(?P<meat>(?:\d|two|three|four|five|six) (?:[a-z-]+ ){0,4}?"
    rf"(?:butts|shoulders|briskets|picnics)\b[^.!?]{{0,40}}?{_HEAVY}(?: each| apiece)?)(?!\w)",
    re.I,
)
"""“Two boneless pork butts at around 6 pounds each”."""
_FIRST = re.compile(
    r"(?:^|(?<=[.!?]\s))(?P<meat>(?P<word>[a-z-]+)(?: [a-z-]+){0,3}?"
    r"(?:(?<=butt)|(?<=shoulder)|(?<=brisket)|(?<=picnic)|(?<=ribs)|(?<=flanken)|(?<=baby backs))"
    rf"\b[^.!?:;]{{0,30}}?{_HEAVY})(?!\w)",
    re.I,
)
"""A sentence that begins with the meat: “Pork shoulder bone in 4.5 kg, skin off.”"""
_FEW_WORDS = 4
"""What is left of a sentence that only names the meat. Judgement."""
_APART = re.compile(
    r",\s*(?:and\s+|then\s+)?|;\s*|\s+(?:with|plus|into|\+)\s+|(?:^|\s+)w/\s*|:\s+"
    r"|(?<!\d)\s+(?=\d[\d/.]*\s?(?:T|t|c|C|tsp|tbsp|Tbsp|cups?|oz)\b)"
    r"|\s+and\s+(?=\d|[½¼¾⅓⅔]|(?:an?|one|two|three|four|half|some|plenty|lots)\s"
    r"|the (?:juice|zest)\b)"
    r"|(?<![\s\d]c)(?<![\s\d]t)(?<![\s\d]T)[.!](?:\s+|$)"
)
_PART = re.compile(r"^(?P<name>(?:(?:for )?the )?[a-z]+(?: [a-z]+){0,2}):\s+(?=\S)", re.I)
_EACH = re.compile(r"\beach\b", re.I)
_PUT_ON = re.compile(
    r"\b(?:rub|season|coat|mix|stir|add|pour|brush|baste|mop|sprit?z|wrap|toss|sprinkle|slather"
    r"|smear|marinate|sauce|glaze|dust|mustard|top|smoke)",
    re.I,
)
"""Sentences in which a food that has no amount goes somewhere."""
_RUB_IT = re.compile(
    r"\b(?:rub|season|salt|pepper) (?=(?:it|them|the|all|each|both|down|with)\b|w/)", re.I
)
"""“Rub it with”: work, and no jar of rub."""
_OF_THE = re.compile(r"\bof (?:the|that|this)\b", re.I)
_NOT_FOOD: frozenset[Kind] = frozenset({"meat", "other_meat", "unknown"})
_TOO_PLAIN = frozenset({"fat", "water", "mix", "sauce", "stock", "juice", "liquid"})
"""Words that say nothing of what is bought, or speak of what is there already."""
MOST_FOODS = 40
"""Judgement: a told recipe has a dozen."""


_IN_WORDS = {"one": 1, "two": 2, "three": 3, "four": 4, "five": 5, "six": 6, "seven": 7,
             "eight": 8, "nine": 9, "ten": 10}  # fmt: skip
_POUNDS = re.compile(
    rf"\b(?P<count>{'|'.join(_IN_WORDS)})(?P<half> and a half)?(?=[ -](?:lbs?|pounds?|kilos?)\b)",
    re.I,
)


_AND_A_HALF = re.compile(
    r"\b(?P<count>an?|one|two|three|four) (?P<unit>(?:kilo|pound)s?) and a half\b", re.I
)
_SOME_POUNDS = re.compile(r"\b(half a|a couple of|a)(?= (?:kilos?|pounds?)\b)", re.I)
_SOME = {"half a": "1/2", "a couple of": "2", "a": "1"}


def _figures(text: str) -> str:
    """“Three and a half pounds”, “a kilo and a half” in figures."""
    text = _AND_A_HALF.sub(
        lambda found: f"{_IN_WORDS.get(found['count'].lower(), 1)} 1/2 {found['unit']}", text
    )
    text = _SOME_POUNDS.sub(lambda found: _SOME[found[1].lower()], text)
    return _POUNDS.sub(
        lambda found: f"{_IN_WORDS[found['count'].lower()]}{' 1/2' if found['half'] else ''}", text
    )


def meat_in_prose(texts: Sequence[str]) -> list[str]:
    """“I take an 8 lb bone-in butt, slather it …”: the meat of a recipe without a list."""
    found = next((meat for text in texts if (meat := _meat_of(_figures(text)))), None)
    return [found] if found else []


def _meat_of(text: str) -> str:
    """The words of a text that name the meat and how much of it; empty when none do."""
    for pattern in (_MEAT, _MANY):
        if found := pattern.search(text):
            return found["meat"]
    first = next((each for each in _FIRST.finditer(text) if not _is_work(each["word"])), None)
    return first["meat"] if first else ""


def _is_work(word: str) -> bool:
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
    for sentence in (text for step in texts for text in sentences_in(step)):
        part = _PART.match(sentence)
        before = len(lines)
        for line, words in _foods_of(sentence):
            if not words <= named and len(lines) < MOST_FOODS:
                named |= words
                lines.append(line)
        if part and len(lines) > before:
            rows = tuple(range(first + before, first + len(lines)))
            parts.append(Part.of(part["name"], rows))
    return lines, parts


def is_told_part(line: str) -> bool:
    """“Vinegar sauce: 1 cup vinegar, 2 tbs sugar”: a part told in one line."""
    return _PART.match(line) is not None and len(list(_foods_of(sentences_in(line)[0]))) > 1


def _foods_of(sentence: str) -> Iterator[tuple[str, set[str]]]:
    """Lines for the foods of a sentence, with the words by which they are known."""
    told = _PUT_ON.search(sentence) is not None or _PART.match(sentence) is not None
    named = _PART.sub("", sentence)
    for chunk in filter(None, (_from_amount(part.strip()) for part in _APART.split(named))):
        line, each = read_line(chunk), _EACH.search(chunk)
        plain = line.low is None  # so much stock is bought, “the stock” was told before
        foods = [
            food for food in foods_named(_RUB_IT.sub("", chunk)) if _is_bought(food, plain=plain)
        ]
        words = {food.words for food in foods}
        # "a cup of the sauce" was told before; "2 hours" and "250°" are no amounts of food
        of_it = _OF_THE.search(chunk) or durations_in(chunk) or temperatures_in(chunk)
        countable = bool(line.unit) or food_of(line.name).kind in _COUNTED_KINDS
        counted = line.low is not None and countable and not of_it
        if not foods or _OF_THE.search(chunk):
            continue
        if counted and each and len(foods) > 1:
            names = ", ".join(food.words for food in foods)
            yield f"{chunk[: each.end()]}: {names}", words
        elif counted and food_of(line.name) is not UNKNOWN:
            yield chunk.strip(" ."), words
        elif told:
            yield from ((food.words, {food.words}) for food in foods)


_AMOUNT = re.compile(
    r"(?:^|\s)(?P<rest>(?:[\d½¼¾⅓⅔]"
    r"|(?:half an?|an?|one|two|three|four) (?:bottles?|glass(?:es)?|cups?|splash|pinch|handfuls?"
    r"|cans?|tins?|jars?|knob|sprigs?|tablespoons?|teaspoons?|packets?|envelopes?)\b"
    r"|a (?:few|couple of)\b"
    r"|(?:two|three|four|five|six)\s(?!hours?|minutes?|days?)).*)"
)
_WHEN = re.compile(
    r"\s+(?:the (?:night|day) before|overnight|at the (?:end|start)|in the bottom|on top)\W*$", re.I
)
"""When or where it goes, behind a food."""
_COUNTED_KINDS: frozenset[Kind] = frozenset(
    {"aromatic", "root", "tender_veg", "acid", "woody_herb", "chilli"}
)
"""Foods that are counted by the piece."""


def _from_amount(chunk: str) -> str:
    """“Sit it on 3 sliced onions”: what stands before the amount is work."""
    chunk = _WHEN.sub("", chunk)
    found = _AMOUNT.search(chunk)
    rest = found["rest"] if found else ""
    told = read_line(rest) if rest else None
    return rest if told and told.low is not None and food_of(told.name) is not UNKNOWN else chunk


def _is_bought(food: Food, *, plain: bool) -> bool:
    return food.kind not in _NOT_FOOD and not (plain and food.words in _TOO_PLAIN)
