"""Before lines are sorted: one line that holds several is unfolded."""

import re
from collections.abc import Iterator

from pneumachron.recipes.model import Part, PartRole
from pneumachron.recipes.reading.headings import heading_of
from pneumachron.recipes.reading.looks import BULLET, GEAR, VERBS, look_at
from pneumachron.recipes.reading.nested import END_OF_PART
from pneumachron.recipes.reading.numbering import numbered_apart
from pneumachron.recipes.understanding.durations import durations_in
from pneumachron.recipes.understanding.ingredients import UNKNOWN, food_of
from pneumachron.recipes.understanding.lines import read_line
from pneumachron.recipes.understanding.number_words import in_figures

_LABELLED = re.compile(
    r"^\W{0,4}(?:(?:step )?1[.):]\s+)?(?P<label>ingredients"
    r"|(?:what )?you(?:[’']ll)? (?:need|want)|need|(?:what to )?buy"
    r"|shopping(?: list)?|zutaten|method|directions|instructions|what to do|zubereitung)"
    r"\*{0,2}\s*[:–]\*{0,2}\s+"
    r"(?!(?:ca\.? )?\d[\d.,–-]{0,4} ?(?:min\w*|std|stunden?|h|hrs?|hours?)\b\.?\s*(?:$|[/|,;·]))"
    r"(?P<rest>\S.*)$",
    re.I,
)
_WORKS = frozenset({"method", "directions", "instructions", "what to do", "zubereitung"})
_DIVIDED = re.compile(r"\s+[|•·]\s+|\s*;\s+|\s+/\s+(?=[\d½¼¾⅓⅔])")
_BY_AMOUNT = re.compile(r",\s+(?=(?:about |around )?[\d½¼¾⅓⅔])")
_UNCOUNTED = re.compile(
    r",\s+(?:and\s+)?(?=(?:[a-z ]{2,40})\bto (?:serve|finish|garnish|scatter|top|taste)\b)"
    r"|,\s+(?:and\s+)?(?=(?:sea |flaky |kosher )?salt\b|(?:black )?pepper\b(?! flakes)|oil\b"
    r"|an? (?:drip|water|foil) (?:pan|tray)\b|[a-z ]{3,20} in an? spray bottle"
    r"|an? (?=\d)|(?:a )?(?:thumb|knob|pinch|handful|bunch|few|splash|piece|couple|sprig)\b)",
    re.I,
)
"""“… five spice, spring onions to finish”: foods without a number."""
MOST_ON_A_LINE = 60
"""Foods behind one label. Judgement."""


_EMPHASIZED_LABEL = re.compile(r"(?<![*\w])[*_]{1,2}([^*_\n:]{2,40}:)[*_]{1,2}(?=\s)")
_GEAR = re.compile(
    rf"(?:{GEAR})|\W*per (?:serving|portion)\b.*\d|\W*nutrition\w*\b[^:]{{0,30}}:.*\d", re.I
)  # “40 g fat”
_LETTER = re.compile(r"^\s*\([A-Z]\)\s*(?P<rest>\S.*)$")


_FAVORITE = re.compile(
    r"^\W*(?P<sauce>(?:bbq |barbecue )?(?:sauce|rub))\s*:\s+"
    r"(?P<bought>(?:your (?:own )?favou?rite|any good|(?:a )?store[- ]bought|homemade)), "
    r"(?P<amount>\d[\d ./½¼¾-]{0,6}\s?[a-z]{1,7}\.?)$",
    re.I,
)
"""“Sauce: your favorite, 2 c.” is a food, and no part with one."""
_OPTIONAL = re.compile(r"^(?P<bullet>\W*)optional\s*:\s+(?P<food>[\d½⅓⅔¼¾⅛][^.;]{3,80})$", re.I)
"""“Optional: 1 tsp chile flakes”: so much of a food."""


_THE_MEAT = re.compile(r"^\W*(?:the )?meat[*_]{0,2}\s*[–—-]\s+(?=\d)", re.I)
_SHOUTED = re.compile(r"^(\W*(?:(?:TO|FOR) (?:SERV(?:E|ING)|FINISH)|GARNISH))\s+(?=[a-z\d])")
"""“TO SERVE tortillas, lime” is a part, and “Meat – 3 kg pork shoulder” a food."""


def unfolded(line: str) -> Iterator[str]:
    """“Ingredients: 1 kg ribs | 2 onions | salt”: a heading and its lines."""
    line = _EMPHASIZED_LABEL.sub(r"\1", line)  # "*Chimichurri:* parsley, 4 cloves garlic"
    line = _THE_MEAT.sub("", _SHOUTED.sub(r"\1: ", line))
    line = _FAVORITE.sub(r"\g<amount> \g<bought> \g<sauce>", line)
    line = _OPTIONAL.sub(r"\g<bullet>\g<food>, optional", line)
    if _GEAR.match(line):
        yield line
        return
    if lettered := _LETTER.match(line):  # “(A) dashi 400 ml / sake 100 ml / soy sauce 4 tbsp”
        slashed = lettered["rest"].split(" / ", MOST_ON_A_LINE)
        if len(slashed) > 1 and all(map(_is_counted, slashed)):
            yield from slashed
            return
    found = _LABELLED.match(line.strip()) or _wanted(line.strip())
    if found is None:
        lines = numbered_apart(line)
        for told in lines if len(lines) > 1 else _seasonings_apart(line):
            for part in _labels_apart(told):
                for food in _gaps_apart(part):
                    yield from _part_on_a_line(food)
        return
    yield f"{found['label'].rstrip(':')}:"
    rest = found["rest"]
    if found["label"].lower() in _WORKS:
        yield from numbered_apart(rest)
        return
    rest = in_figures(rest)  # "…, two and a half cups of ale" begins with an amount
    parts = _DIVIDED.split(rest, MOST_ON_A_LINE)
    if len(parts) > _LEAST_IN_A_RUN and " / " in rest:
        parts = [food for part in parts for food in part.split(" / ")]
    short = _SHORT_ONES.split(rest, MOST_ON_A_LINE)
    if len(parts) == 1 and len(short) > 1:
        parts = [food for part in short for food in _counted_apart(part.strip(" ."))]
    counted = parts if len(parts) > 1 else _BY_AMOUNT.split(rest, MOST_ON_A_LINE)
    for part in counted:
        for food in _UNCOUNTED.split(part):
            yield from _with_its_neighbors(food)


_SEASONINGS_FIRST = re.compile(
    r"(?P<both>(?:salt|salz)(?:,| and| &| \+| und) (?:\w+ )?(?:pepper|pfeffer)),\s+"
    r"(?P<rest>[\d½¼¾⅓⅔].*)$",
    re.I,
)


def _seasonings_apart(line: str) -> list[str]:
    """“Salz, Pfeffer, 2 EL Butterschmalz”: what has no amount, and then what has one."""
    bare = BULLET.sub("", line)
    found = _SEASONINGS_FIRST.match(bare)
    bullet = line[: len(line) - len(bare)]
    return [f"{bullet}{found[name]}" for name in ("both", "rest")] if found else [line]


def _counted_apart(text: str) -> list[str]:
    """“2 onions, 3 carrots” are two foods; “pork, 7 or 8 lb” is one."""
    foods = _BY_AMOUNT.split(text)
    return foods if all(map(_is_counted, foods)) else [text]


_WANTED = re.compile(
    r"^(?P<label>you(?:['’]ll| will)? (?:want|need)|(?:for|f(?:ü|ue)r) \d{1,2}(?:[ –-]\w{1,12})?:)"
    r"\s+(?P<rest>\S.*)$",
    re.I,
)
_LEAST_WANTED = 6
"""Foods in a sentence that begins so, and makes a list. Judgement."""
_LEAST_ALL_COUNTED = 4
"""The same where each of them has its amount. Judgement."""


def _wanted(line: str) -> re.Match[str] | None:
    """“You want 5 fat short ribs, 2 onions, …” is a list; “you need to soak it” is none."""
    found = _WANTED.match(line)
    if found is None:
        return None
    foods = _COMMAS.split(in_figures(found["rest"]), MOST_ON_A_LINE)
    counted = sum(map(_is_counted, foods))
    all_counted = counted == len(foods) >= _LEAST_ALL_COUNTED
    return found if counted >= _LEAST_WANTED or all_counted else None


_WIDE = re.compile(r"(?:\s{3,}|\s+[|·•]\s+)(?=[A-Z][a-z]{2,12}\s?:\s)")
_CARD_LABEL = re.compile(r"\s*[A-Z][a-z]{2,12}(?: [a-z]{2,8})?\s?:\s")


def _labels_apart(line: str) -> list[str]:
    """“Chile Pork    Serves: 6    Time: 2 hr”, across the head of a card."""
    parts = _WIDE.split(line, MOST_ON_A_LINE)
    return parts if len(parts) > 1 and all(map(_CARD_LABEL.match, parts[1:])) else [line]


_GAPS = re.compile(r"(?<=\S)\s{2,}(?=\S)")
MOST_IN_A_GAP = 5
"""Words of a food between two gaps. Judgement."""


def _gaps_apart(line: str) -> list[str]:
    """“salt 1/4 c   brown sugar 1/4 c   overnight”, on the back of an envelope."""
    parts = _GAPS.split(line.strip(), MOST_ON_A_LINE)
    short = all(len(part.split()) <= MOST_IN_A_GAP for part in parts)
    several = len(parts) > 1 and short and sum(map(_is_counted, parts)) >= _LEAST_COUNTED
    return parts if several else [line]


_SHORT_ONES = re.compile(
    r"(?<=[a-z)]{2})(?<!\bca)(?<![Tt]bsp)(?<![Tt]sp)(?<!\boz)(?<!\blb)(?<!\blbs)(?<!\bpkg)\.\s+(?=[A-Z\d])"
)
"""“Bottle of dressing. Jar of peppers. Stick of butter.”"""


def _with_its_neighbors(food: str) -> Iterator[str]:
    """“2 T balsamic, rosemary.”: a bare food behind another is one of its own."""
    whole, last = [], food.strip(" .").split(", ")
    while len(last) > 1 and _is_short_food(last[-1]):
        whole.append(last.pop())
    yield ", ".join(last)
    yield from reversed(whole)


def _is_short_food(text: str) -> bool:
    """“vinegar”, “tomato sauce”; nothing that may say more of the food before it."""
    food = food_of(text)
    bought = food is not UNKNOWN and food.kind not in {"meat", "other_meat"}
    return bought and len(text.split()) <= _SHORT_FOOD


_SHORT_FOOD = 2
_PART_LINE = re.compile(
    r"^\W{0,4}(?P<part>(?:(?:for|to) )?(?:the )?[^\W\d_](?:[^\W\d_]| ){2,30})"
    r"(?:/[^\W\d_]{3,12})?(?: \((?:[^()\d]{2,24}|(?:per|for|makes|enough for) [^()]{2,24}"
    r"|\d[\d –-]{0,5}(?:days?|nights?|hours?|hrs?))\))?"
    r"(?:\s*:| [–→=-]| [-=]>)\s+(?P<rest>\S.*)$",
    re.I,
)
_COMMAS = re.compile(r"[,;]\s+(?:and\s+)?(?![^(]*\))")


def _part_on_a_line(line: str) -> Iterator[str]:
    """“For mustard sauce: 4 cups mustard, 2 cups honey”: a part and its foods."""
    found = _PART_LINE.match(line.strip())
    told, work = _without_work(found["rest"]) if found else ("", "")
    foods = _foods_of(found["part"], told) if found else []
    if found is None or not foods:
        yield from _run_of_foods(line)
        return
    # “To cook: 1 onion, 1 carrot” is no heading of the steps
    name = f"{found['part']}:"
    yield END_OF_PART if heading_of(name) == "steps" else name
    yield from foods
    yield END_OF_PART
    if work:
        yield work


_SENTENCE_BEHIND = re.compile(r"(?<=[a-z)])\.\s+(?=(?P<word>[A-Z][a-z]+)\b)")


def _without_work(rest: str) -> tuple[str, str]:
    """“6 c. vinegar, 2 T. salt. Heat till it dissolves.”: the foods, and the work behind them."""
    behind = next(
        (each for each in _SENTENCE_BEHIND.finditer(rest) if each["word"].lower() in VERBS), None
    )
    return (rest[: behind.start()], rest[behind.end() :]) if behind else (rest, "")


_BUILDS = re.compile(r"\W*(?:(?:build|assemble|fill|stack|layer) (?:the )?\w+|inject$)", re.I)
"""“Build bowls: rice, beans” puts together what the list has; “Inject: 2 cups broth” is work."""


def _foods_of(part: str, rest: str) -> list[str]:
    """The foods behind the name of a part; none where it is a sentence, or no name of a part."""
    if _WHILE.match(rest) or _BUILDS.match(part):
        return []
    if part.lower().startswith("for "):
        barred = _BARS.split(rest, MOST_ON_A_LINE)
        counted = barred if len(barred) > 1 else _listed(rest)
        counted = _of_as_much(counted)
        one = len(counted) == 1 and read_line(rest).low is not None and look_at(rest).work <= 0
        return counted if len(counted) > 1 or one else []
    role = Part.of(part, ()).role
    if role == "main" and _VESSEL.match(part) and _is_counted(rest) and look_at(rest).work <= 0.0:
        return _BY_AMOUNT.split(rest, MOST_ON_A_LINE)
    if role == "main" and not _WRAP.fullmatch(part.strip()):
        return _all_counted(rest)
    if "," not in rest:  # “paint: 1c ketchup 1/2c sugar 2T mustard”
        rest = _NEXT_SPOON.sub(", ", rest)
    barred = _BARS.split(rest, MOST_ON_A_LINE)
    if rest.count(" / ") > 1:  # "60 g sugar / 30 g paprika / 10 g each pepper, onion"
        barred = rest.split(" / ", MOST_ON_A_LINE)
    if " + " in rest and "," not in rest:  # "rub = 1 T paprika + 2 t salt"
        barred = rest.split(" + ", MOST_ON_A_LINE)
    dashed = _DASHES.split(rest, MOST_ON_A_LINE)  # "3/4 c soy sauce - 1/2 c mirin - 1 t pepper"
    if len(dashed) > _LEAST_COUNTED and all(map(_is_counted, dashed)):
        barred = dashed
    parts = barred if len(barred) > 1 else _COMMAS.split(rest, MOST_ON_A_LINE)
    foods = _each_food(parts, role)
    alone = len(foods) == 1 and role in _OF_ONE_FOOD
    words = foods[0].split(", ") if alone else []
    measured = len(words) > 1 and any(map(_ONLY_A_MEASURE.fullmatch, words[1:]))
    # “Soy sauce: 3 Tbsp” is no part
    one = measured or (
        alone and _is_counted(foods[0]) and food_of(read_line(foods[0]).name) is not UNKNOWN
    )
    return foods if len(foods) > 1 or one else []


def _each_food(parts: list[str], role: PartRole) -> list[str]:
    """The foods of a part, each with what is said of it; none where one of them is work."""
    foods: list[str] = []
    for told in parts:
        text = _A_DROP.sub("1 drop of", told)
        look = look_at(text)
        if look.work > max(look.food, 0.0) and not (foods and _is_counted(text)):
            return []
        each = bool(foods) and re.search(r"\beach\b", foods[-1], re.I) is not None
        if each and look.food > 0.0 and not _is_counted(text):
            foods[-1] += f", {text}"  # “1 T each chili powder, garlic powder, pepper”
            continue
        served = role == "beside" and len(text.split()) <= MOST_SERVED_WORDS
        of_all = _OF_ALL.match(text) is not None
        if foods and _ONLY_A_MEASURE.fullmatch(text):  # “your favorite sweet, 1 c, thinned with …”
            foods[-1] += f", {text}"
            continue
        if not foods or _is_counted(text) or ((look.food > 0.0 or served) and not of_all):
            foods.append(text)
        else:  # "2 cloves garlic, minced together"
            foods[-1] += f", {text}"
    return foods


def _of_as_much(foods: list[str]) -> list[str]:
    """“1 tbsp each salt, pepper and garlic granules”: what is bare behind it is of as much."""
    found: list[str] = []
    for food in foods:
        if found and _EACH.search(found[-1]) and not _is_counted(food):
            found[-1] += f", {food}"
        else:
            found.append(food)
    return found


_EACH = re.compile(r"\beach:? (?:of )?[^\W\d_]", re.I)


def _listed(rest: str) -> list[str]:
    """Foods behind “For finishing: 2 tsp cornstarch, scallions, sesame”."""
    parts = rest.split("; ", MOST_ON_A_LINE)  # “3 lb brisket, in cubes; 6 oz bacon, diced; …”
    if len(parts) > _LEAST_COUNTED or (len(parts) > 1 and all(map(_is_counted, parts))):
        return parts
    foods = _COMMAS.split(rest, MOST_ON_A_LINE)
    plain = len(foods) > _LEAST_COUNTED and all(map(_is_idle_food, foods))
    return foods if plain else _BY_AMOUNT.split(rest, MOST_ON_A_LINE)


def _is_idle_food(text: str) -> bool:
    look = look_at(text)
    return food_of(read_line(text).name) is not UNKNOWN and look.food > max(look.work, 0.0)


_WHILE = re.compile(r"(?:while|when|once|meanwhile|after|as)\b", re.I)
"""“Sauce: While the ribs bake, boil …” is work."""
_WRAP = re.compile(r"(?:the )?(?:wrap|foil|foil packet|boat)", re.I)
"""“Wrap: squeeze butter, ¼ c honey, ¼ c brown sugar”."""
_VESSEL = re.compile(r"(?:(?:to|for|in) )?(?:the )?(?:pot|slow cooker|pan|braise|liquid)$", re.I)
"""“Pot: 100 ml water” is food."""
_NEXT_SPOON = re.compile(
    r"(?<=[a-z])\s+(?=\d[\d/.½¼¾]*\s?(?:c|T|t|tsp|[Tt]bsp|cups?|oz|g|ml)\.?\s[a-z])"
)
_ONLY_A_MEASURE = re.compile(r"[\d½¼¾⅓⅔][\d./½¼¾⅓⅔ -]{0,6}(?:c|cups?|tbsp|tsp|T|t|oz|g|ml|lbs?)\.?")
_OF_ALL = re.compile(
    r"^all (?:\w+ly )?\w{3,}ed$|"
    r"^(?:all )?\w{3,}ed (?:all )?(?:together|up|well)\b|^(?:thinned|loosened|cut) w(?:ith\b|/)",
    re.I,
)
"""“… parsley, chopped together”: said of the foods before it."""
_A_DROP = re.compile(r"^(?:a )?drop of\b", re.I)
"""A noun there, and no work."""
_OF_ONE_FOOD: frozenset[PartRole] = frozenset({"glaze", "sauce", "marinade", "rub"})
"""“Glaze: 2 tbsp honey” is a part of one food."""


def _all_counted(rest: str) -> list[str]:
    """“Mojo: 1 head garlic, 2 tsp salt, 1 cup juice”: a name that says nothing, and its foods."""
    sign = ";" if ";" in rest else " + "
    by_signs = [text.strip() for text in rest.split(sign) if text.strip()]
    foods = by_signs if len(by_signs) > 2 else _BY_AMOUNT.split(rest, MOST_ON_A_LINE)
    # “2 arbol, soaked in hot water 20 min” is food
    bare = [*foods[:-1], foods[-1] if ". " in foods[-1] else foods[-1].split(", ")[0]]
    idle = all(look.food > max(look.work, 0.0) for look in map(look_at, bare))
    # “2 racks, 8 lb in all, 2.5" thick” is one food and its measures
    unknown = sum(food_of(read_line(food).name) is UNKNOWN for food in foods)
    several = len(foods) >= _LEAST_OF_A_NAME and unknown <= len(foods) / 4
    return foods if several and idle and all(map(_is_counted, foods)) else []


_LEAST_OF_A_NAME = 3
"""Foods with an amount behind a name that make it a part. Judgement."""


_MEANWHILE = re.compile(r"^(?:and |then |meanwhile,? )+", re.I)


def later_part(line: str) -> tuple[str, list[str], str] | None:
    """Name, foods and work of a line such as “Sauce: 2 cups vinegar, 1 Tbsp salt, shake in a jar”.

    None where it is no part, or where fewer than two foods have an amount.
    """
    found = _PART_LINE.match(line.strip())
    if found is None or Part.of(found["part"], ()).role == "main":
        return None
    foods: list[str] = []
    # with what stands between them
    texts = _ENDS_OF_FOODS.split(found["rest"], 2 * MOST_ON_A_LINE)
    for at, text in enumerate(texts[::2]):
        look = look_at(text)
        if look.work > max(look.food, 0.0) and sum(map(_is_counted, foods)) >= _LEAST_COUNTED:
            return _MEANWHILE.sub("", found["part"]), foods, "".join(texts[2 * at :])
        if durations_in(text):
            return None  # “while the ribs bake, boil the cola until reduced to 1 cup, 15 minutes”
        foods.append(text)
    return None


_ENDS_OF_FOODS = re.compile(rf"({_COMMAS.pattern}|(?<=[a-z)])\. (?=[A-Za-z]))")


def _run_of_foods(line: str) -> Iterator[str]:
    """“1/2 onion (grated), 1 pear, 4 cloves garlic, ½ c soy, pepper”: many foods, a line of each.

    Two or three on a line stay on it: `foods_in` parts them.
    """
    whole = line.startswith("|") or look_at(line).clutter
    barred = [line] if whole else _BARS.split(line, MOST_ON_A_LINE)
    if len(barred) >= _LEAST_IN_A_RUN and sum(map(_is_counted, barred)) > len(barred) / 2:
        yield from barred
        return
    bullet = BULLET.match(line)
    told = _WHAT_FOR.sub("", BULLET.sub("", line))
    foods = _with_their_bag(_COMMAS.split(told, MOST_ON_A_LINE))
    counted = sum(map(_is_counted, foods))
    known = [food_of(read_line(text).name) for text in foods]
    bare = sum(food is UNKNOWN for food in known) <= 1 and all(
        food.kind != "meat"
        and (food is not UNKNOWN or _is_counted(text))
        and not VERBS.intersection(text.lower().split()[:1])
        for food, text in zip(known, foods, strict=True)
    )
    idle = all(look.work < look.food for look in map(look_at, foods))
    many = len(foods) >= _LEAST_IN_A_RUN and counted > len(foods) / 2
    plain = len(foods) >= _LEAST_IN_A_RUN and all(
        food is not UNKNOWN and food.kind != "meat" and len(text.split()) <= MOST_SERVED_WORDS
        for food, text in zip(known, foods, strict=True)
    )
    if ((many and bare) or plain) and idle and not line.rstrip().endswith("."):
        yield from (f"{bullet[0] if bullet else ''}{text}" for text in foods)
    else:
        yield line


def _with_their_bag(foods: list[str]) -> list[str]:
    """“4 cloves, in a muslin bag” is one food."""
    found: list[str] = []
    for food in foods:
        if found and food.startswith(("in a ", "tied ")):
            found[-1] += f", {food}"
        else:
            found.append(food)
    return found


_WHAT_FOR = re.compile(r"\s+[-–—]\s+(?:all )?for (?:the )?\w+(?: \w+)?\s*$")
"""“Water, half an onion, 2 cloves garlic, bay - for the simmer.”"""
_BARS = re.compile(r"\s+[·•]\s+|\s*\|\s*")
_DASHES = re.compile(r"\s+[-–—]\s+(?=[\d½¼¾⅓⅔])")
_LEAST_IN_A_RUN = 4
"""Foods on one line. Judgement."""
_LEAST_COUNTED = 2
"""Foods with an amount that make a run of them. Judgement."""


def _is_counted(text: str) -> bool:
    return read_line(text).low is not None


MOST_SERVED_WORDS = 3
"""Of a food behind “Garnish:” that is not known. Judgement."""
