"""The meat of a recipe: which cut, how much, how thick, how many pieces, bone or not."""

import re
from dataclasses import dataclass, replace

from pneumachron.core.catalog.cuts import cuts
from pneumachron.core.units import unit_factor
from pneumachron.recipes.understanding.animal import (
    OtherMeat,
    belongs,
    is_meat_line,
    is_other_meat,
)
from pneumachron.recipes.understanding.counting import TIMES, count_in
from pneumachron.recipes.understanding.cut_names import (
    BONE_IS_IN,
    BONED,
    BONELESS,
    are_lengths,
    are_short_ribs,
    cut_in,
    slice_thickness_m,
)
from pneumachron.recipes.understanding.ingredients import Ingredient
from pneumachron.recipes.understanding.lines import Line, read_line
from pneumachron.recipes.understanding.measures import unit_of
from pneumachron.recipes.understanding.number_words import in_figures
from pneumachron.recipes.understanding.patterns import LENGTH, WEIGHT_UNIT
from pneumachron.recipes.understanding.sentences import sentences_in

_WHOLE_BRISKET_KG = 4.5
"""A brisket heavier than this is a whole one. Common practice: 10 lb and up."""
_RACK_KG = {"back_ribs": 1.0, "spare_ribs": 1.6, "spare_ribs_trimmed": 1.2}
"""A rack of each. Common practice."""


@dataclass(frozen=True, slots=True)
class Meat:
    """What was read of the meat; None where nothing was."""

    index: int | None
    """Which line of ingredients."""
    cut: str | None
    cut_sure: bool
    mass_kg: float | None
    thickness_m: float | None
    count: int | None
    bone: bool | None
    mass_sure: bool = True
    """Whether the weight is that of all pieces together without a doubt."""
    usual_m: float | None = None
    """How thick what goes by this name is sold."""
    text: str = ""
    """The line it was read from."""
    cubed: bool = False
    """The steps cut it into cubes as thick as that."""
    others: tuple[OtherMeat, ...] = ()
    """Meat of another animal, or a second meat: which one goes in is asked."""


SMALL_CUTS = frozenset(
    {"short_ribs_english", "short_ribs_boneless", "flanken", "wings", "rib_pieces"}
)
"""Sold by the piece, many to a meal."""
_SOLD_IN_SLICES = re.compile(r"\b(?:steaks|slices|chops|scheiben)\b", re.I)
"""“4 blade steaks (3½ lb)”: no steak weighs that much."""
NOTHING = Meat(None, None, False, None, None, None, None)


def read_meat(
    ingredients: tuple[Ingredient, ...],
    title: str,
    steps: tuple[str, ...],
    chosen: str | None = None,
) -> Meat:
    """The main meat: the heaviest line that names a cut of the right animal.

    A cut comes from a line of meat or from the title, never from the steps: those speak of ribs of
    celery and of what to serve it with.

    Parameters
    ----------
    chosen : the cut the cook says it is; then nothing is in doubt
    """
    lines = [item for item in ingredients if is_meat_line(item) and cut_in(item.line.raw)[0]]
    named = [
        item for item in lines
        if _belongs(item.line.raw) and not _COOKED.search(item.line.raw)
    ]  # fmt: skip
    # clams beside the pork go in at the end; it is no question which of them is cooked
    others = tuple(
        OtherMeat(item.index, item.line.raw)
        for item in ingredients
        if item not in named
        and _is_main(item)
        and (item in lines or is_other_meat(item))
        and not (named and item.kind == "seafood")
    )
    if not named and (plain := _unnamed(ingredients, title)) is not None:
        named = [plain]
    if not named:
        cut, _ = cut_in(title)
        if cut is not None and not _belongs(title):
            others = (*others, OtherMeat(-1, title))
            cut = None
        return replace(NOTHING, cut=None if others else cut, others=others)
    main = max(named, key=lambda item: _mass(item.line) or 0.0)
    text = main.line.raw
    cut, sure = cut_in(text)
    if cut is None:
        cut, sure = cut_in(f"{text} {title}")
    if len(either := _either(text)) > 1:
        # “spareribs or baby back ribs”: what stands first, and it is asked
        cut, sure = either[0], False
    second = tuple(
        OtherMeat(item.index, item.line.raw)
        for item in named
        if item is not main and _is_main(item) and _family(cut_in(item.line.raw)[0]) != _family(cut)
    )
    if not sure:
        # the title may say which
        told, told_sure = cut_in(title)
        family = cuts()[cut].family if cut else ""
        if told and told_sure and (cuts()[told].family == family or are_short_ribs(text, told)):
            cut, sure = told, True
    mass, mass_sure = _mass_of(main.line)
    # "12 short ribs (about 1.5 kg)" is said of all of them: nobody's rib weighs that much
    mass_sure = mass_sure or cut in SMALL_CUTS or _SOLD_IN_SLICES.search(text) is not None
    # “point or flat” is asked
    if cut == "brisket_flat" and not sure and mass is not None and "point" not in text.lower():
        cut, sure = ("brisket_whole", True) if mass > _WHOLE_BRISKET_KG else (cut, True)
    sized = None if are_lengths(cut, text) else thickness_in(text) or _sliced_in(text)
    if cut == "flanken":
        sized = sized or _slice_in(text)
    if cut == "shoulder_boneless" and not sure and BONE_IS_IN.search(" ".join(steps)):
        cut = "shoulder_bone_in"
    bone = False if BONELESS.search(text) else True if BONED.search(text) else None
    return Meat(
        index=main.index,
        cut=chosen or cut,
        cut_sure=sure,
        mass_kg=mass,
        thickness_m=sized or thickness_in(" ".join(_own_lines(steps))),
        count=count_in(main.line, text),
        bone=bone,
        mass_sure=mass_sure,
        usual_m=slice_thickness_m(text),
        text=text,
        others=() if chosen else (*others, *second),
    )


_EITHER = re.compile(r"\s+or\s+|\s+/\s+", re.I)


def _either(text: str) -> list[str]:
    """The cuts between which a line leaves the choice, those first that are as thick as it says."""
    named = [cut for part in _EITHER.split(text) if (cut := cut_in(part)[0]) is not None]
    thick = (thickness_in(text) or 0.0) > _MOST_OF_A_SLICE_M
    return sorted(dict.fromkeys(named), key=lambda cut: thick and cut == "flanken")


_COOKED = re.compile(
    r"\b(?<!slow[- ])(?<!with )(?<!for )(?:cooked|leftovers?|left-over|pre-?cooked)\b"
    r"(?! (?:off|down|out))",
    re.I,
)
"""Done already: there is nothing to soften."""
_LEAST_UNNAMED_KG = 0.4
"""A line of this weight that names no food is the meat of a title that names a cut. Judgement."""
_SLABS = re.compile(r"\b(racks?|slabs?|flats?|joints?|roasts?|meat|pork|beef)\b", re.I)


def _unnamed(ingredients: tuple[Ingredient, ...], title: str) -> Ingredient | None:
    """`6 lb flat` under “My brisket”: the cut stands in the title alone."""
    cut, _ = cut_in(title)
    if cut is None or not _belongs(title):
        return None
    found = [
        item
        for item in ingredients
        if _SLABS.search(item.line.raw)
        and is_meat_line(item)
        and belongs(cuts()[cut].family, item.line.raw)
        and ((_mass(item.line) or 0.0) >= _LEAST_UNNAMED_KG or item.line.unit == "rack")
    ]
    return max(found, key=lambda item: _mass(item.line) or 0.0, default=None)


def _family(cut: str | None) -> str:
    return cuts()[cut].family if cut else ""


def _belongs(text: str) -> bool:
    """Whether the cut that a text names may be one of ours, by its animal."""
    cut, _ = cut_in(text)
    return cut is not None and belongs(cuts()[cut].family, text)


_MAIN_KG = 0.25
"""Less meat than this beside another one flavors it and is no second dish. Judgement."""


def _is_main(item: Ingredient) -> bool:
    mass = _mass(item.line)
    return mass is None or mass >= _MAIN_KG


def _own_lines(steps: tuple[str, ...]) -> list[str]:
    """Sentences that speak of the meat's thickness, and not of slices, dough or onions."""
    return [
        text for step in steps for text in sentences_in(step)
        if re.search(r"\bthick\b", text) and not _OTHERWISE_THICK.search(text)
    ]  # fmt: skip


_OTHERWISE_THICK = re.compile(
    r"\b(?:slice[sd]?|slicing|carv\w*|serve\w*|roll(?:ed)? out|pastry|dough|bread|fat|onions?"
    r"|potato\w*|carrots?|apples?|sauce|glaze)\b",
    re.I,
)


def _mass(line: Line) -> float | None:
    """Weight of a line: its amount, or one in its words (“about 12 pounds”, “2 lb each”)."""
    return _mass_of(line)[0]


_EACH = re.compile(
    r"\beach\b|\bea\b|\bje\b|\bpro (?:st(?:ü|ue)ck|leiter)\b|(?<=[\s(])à(?=\s?(?:ca\.? ?|etwa )?\d)"
    r"|@\s?\d|\bavg\b|\baverage\b"
    r"|\bapiece\b|\ba piece\b|\bper (rack|slab|piece|roast|rib|portion)\b"
    rf"|{WEIGHT_UNIT}\.? (?:a|to the|to a) (?:rack|slab|roast|rib|portion|side)\b",
    re.I,
)
_TOGETHER = re.compile(
    r"\b(in all|all in|in total|altogether|together|total|for both|combined"
    r"|(?:mine|ours|they|it all|all of them) (?:came to|weighed))\b",
    re.I,
)
_SIZED = re.compile(
    r"^\W*(?:\d+|an?|one|two|three|four|five|six|eight|ten)\s+\(?\s*(?:about\s+)?"
    rf"\d[\d.,/½¼¾⅓⅔ -]*\s?-?{WEIGHT_UNIT}\b\)?\s+[a-z]",
    re.I,
)
"""“2 (2 pound) racks”, “two 3-lb slabs”: the weight stands between the number and the thing."""


_SIZED_NAME = re.compile(rf"\d[\d.,/½¼¾⅓⅔ -]*\s?-?{WEIGHT_UNIT}\b", re.I)
"""“One 6.5 kg brisket (point 2.4 kg, flat 3.6 kg)”: what it weighs stands first."""


def _mass_of(line: Line) -> tuple[float | None, bool]:
    """Weight of all pieces of a line, and whether that is beyond doubt."""
    if line.amount is not None and unit_of(line.unit).kind == "mass":
        return line.amount * unit_of(line.unit).factor, True
    told = (line.name, line.aside) if _SIZED_NAME.match(line.name) else (line.aside, line.name)
    for text in told:
        for match in _WEIGHT.finditer(text):
            inner = read_line(_HYPHEN.sub(" ", match[0]).replace(", ", " "))
            unit = unit_of(inner.unit)
            if unit.kind == "mass" and inner.amount:
                one = inner.amount * unit.factor
                many = line.amount or 1.0
                if many <= 1.0 or _TOGETHER.search(line.raw):
                    return one, True
                each = bool(
                    _EACH.search(line.raw)
                    or TIMES.match(line.raw)
                    or _SIZED.match(in_figures(line.raw))
                )
                # “2 racks, about 3 lb” is said of both, or of each: it is asked
                return (one * many, True) if each else (one, False)
    return None, True


_WEIGHT = re.compile(
    r"\d+(?:[.,]\d+)?(?:[ -]\d/\d|[ -]?[½¼¾⅓⅔])?"
    r"(?:\s*(?:[-–]\s*to(?:\s*[-–])?|[-–]|to|or)\s*\d+(?:[.,]\d+)?(?: \d/\d|[½¼¾])?)?[ -]?"
    r"(?:(?:lbs?|pounds?)\.?,? \d{1,2} ?(?:oz|ounces?)\b"
    rf"|{WEIGHT_UNIT}\b|#)",
    re.I,
)


_WEIGHED = re.compile(
    r"\b(?:spare ?ribs?|ribs?|briskets?|shoulders?|butts?|picnics?|racks?|slabs?)\b"
    r"[^.!?;]{0,30}?\b(?:just (?:shy of|under|over|about)|about|around|roughly"
    r"|a hair (?:under|over)|weigh(?:s|ed|ing)(?: in at)?|came (?:in )?(?:to|at)) "
    rf"(?P<weight>{_WEIGHT.pattern})"
    r"(?=\s*(?:$|[.,;)!?]|(?:after|before|total|in all|each|with|without|bone|trimmed|when|or so"
    r"|and)\b))",
    re.I,
)
"""“Ribs, just shy of 6 lbs after trimming”, and not “ribs with about 1 lb onions”."""
_HYPHEN = re.compile(r"(?<=[\d½¼¾⅓⅔])-\s?(?=[a-z])", re.I)
"""“3- to 4-pound”."""
_TOLD = re.compile(
    r"\b(?:spare ?ribs|ribs?|briskets?|shoulders?|butts?|picnics?|racks?|slabs?)\b"
    rf"[^.!?;]{{0,24}}?(?P<weight>{_WEIGHT.pattern})(?! of\b)(?! (?:cooker|pot)\b)",
    re.I,
)


def with_told_mass(meat: Meat, description: str) -> Meat:
    """The meat with the weight that the words above the recipe give, where its line gives none.

    “… with a slab of spare ribs (about 3½ lb)”; said of several pieces it is in doubt.
    """
    if meat.mass_kg is not None:
        return meat
    # (without a line of its own, the meat is weighed in words and not beside the potatoes)
    found = (_WEIGHED if meat.index is None else _TOLD).search(description)
    if found is None:
        return meat
    told = read_line(found["weight"])
    mass_kg = (told.amount or 0.0) * unit_of(told.unit).factor
    if not _MAIN_KG <= mass_kg <= _MOST_TOLD_KG:
        return meat
    return replace(meat, mass_kg=mass_kg, mass_sure=(meat.count or 1) == 1)


def with_told_count(meat: Meat, description: str) -> Meat:
    """The meat with as many pieces as the words above the recipe give, where no line lists it.

    “This is for two racks”, in a mail whose list has only the rub.
    """
    found = _TOLD_COUNT.search(description)
    if meat.index is not None or meat.count is not None or found is None:
        return meat
    count = read_line(f"{found['count']} ribs").amount
    return replace(meat, count=round(count)) if count else meat


_TOLD_COUNT = re.compile(
    r"\b(?P<count>[2-9]|two|three|four|five|six) (?:\w+ ){0,2}?"
    r"(?:racks|slabs|butts|briskets|shoulders|picnics)\b",
    re.I,
)
_MOST_TOLD_KG = 15.0
"""More is said of a whole animal, or of a year. Judgement."""


def usual_mass_kg(cut: str, count: int | None) -> float:
    """A guess to ask about: racks by number, other cuts by what is usually bought."""
    if cut in _RACK_KG:
        return _RACK_KG[cut] * (count or 1)
    return 1.5


_SIZE = (
    r"(?P<size>\d/\d|\d+(?:[.,]\d+)?(?:[ -]\d/\d)?|(?:\d[ -]?)?[½¼¾⅓⅔])[ -]?"
    rf"(?P<unit>{LENGTH}\.?|[\"\u2033\u201d])"
)
_THICK = re.compile(
    rf"{_SIZE}[- ]*"
    r"(?P<what>thick|cubes?|chunks?|pieces?|dice|blocks?|dick|stark|w(?:ü|ue)rfel)?",
    re.I,
)
_AT_THE_THICK_END = re.compile(
    rf"{_SIZE} at (?:the|its) thick(?:est)? (?:end|part|point|side)",
    re.I,
)
_CUBES_OF = re.compile(
    r"\b(?:cubed|diced|cubes?|chunks?|dice|w(?:ü|ue)rfeln?|gew(?:ü|ue)rfelt)\b"
    rf"(?:,? \(?(?:of |about |approx\.? |ca\.? |roughly |von |zu )*|\s?\()(?:\d ?x ?)?{_SIZE}",
    re.I,
)
"""“Cubed 1 1/2 inch”, “cubes of 4 cm”."""
_THICK_ASIDE = re.compile(
    r"\bthick\b[^.;()]{0,24}\((?:about |approx\.? |ca\.? )?([^()]{2,14})\)", re.I
)
"""“In 2 thick strips (about 4 cm)”."""
FIST_M = 0.08
"""A piece the size of a fist. Common practice."""
_FISTS = re.compile(r"\bfist[- ]sized? (?:pieces|chunks|lumps|hunks)\b", re.I)
_UNITS = {"c": "centimeter", "m": "millimeter"}
"""By the first letter; all others are inches."""
_MOST_OF_A_SLICE_M = 0.026
"""Flanken is sawn no thicker than an inch. Common practice."""


def _slice_in(text: str) -> float | None:
    """“Thin flanken, 3/8"”: of strips sawn across the bones the one size told is the thickness."""
    sizes = [size for found in _THICK.finditer(text) if (size := _size_m(found)) is not None]
    return next((size for size in sizes if size <= _MOST_OF_A_SLICE_M), None)


_SLICED = re.compile(rf"\b(?:in|into) {_SIZE}[- ]*(?:slices|strips|steaks|scheiben)\b", re.I)


def _sliced_in(text: str) -> float | None:
    """“Cut into ½-inch slices”, on the line of the meat."""
    found = _SLICED.search(text)
    return _size_m(found) if found else None


def _size_m(found: re.Match[str]) -> float | None:
    """A size in metres, when it may be one of meat."""
    amount = read_line(f"{found['size'].strip()} g").amount
    metres = unit_factor(_UNITS.get(found["unit"][0].lower(), "inch"), "meter")
    return amount * metres if amount and 0.005 <= amount * metres <= 0.15 else None


def thickness_in(text: str) -> float | None:
    """A thickness or the edge of cubes that a text names."""
    for match in _THICK.finditer(text):
        before = re.split(r"[,;(]", text[max(0, match.start() - 30) : match.start()].lower())[-1]
        if (
            re.search(r"fat|trim|length(?!ways|wise)|apart|score|slices?", before)
            or not match["what"]
        ):
            continue
        if (size := _size_m(match)) is not None:
            return size
    for pattern in (_AT_THE_THICK_END, _CUBES_OF):
        if (told := pattern.search(text)) is not None:
            return _size_m(told)
    if (aside := _THICK_ASIDE.search(text)) is not None:
        return thickness_in(f"{aside[1]} thick")
    return FIST_M if _FISTS.search(text) else None
