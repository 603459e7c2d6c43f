"""The names that cuts go by in shops and kitchens."""

import re

from pneumachron.recipes.understanding.misspelled import spelled_right
from pneumachron.recipes.understanding.patterns import HEAVY_UNIT, LENGTH

BONELESS = re.compile(
    r"\bbone[- ]?less\b|\bbnle?ss?\b|\bno bones?\b|\bboned\b|\boff the bone\b"
    r"|\bwith(out| no) (the )?bones?\b"
    r"|\bw/o bones?\b|\bbones? removed\b",
    re.I,
)


BONED = re.compile(
    r"\bbone[- ]in\b|\bb/i\b|\bw/ ?(?:the )?bones?\b|\bon the bone\b|\bwith (the )?bone\b", re.I
)


BONE_IS_IN = re.compile(
    r"\b(?:the|blade|shoulder) (?:blade )?bone\b|\b(?:until|til|till) bone\b"
    r"|\b(?:remove|discard) bones?\b|\bbones? should\b",
    re.I,
)
"""The steps speak of a bone that comes out."""


_TIED = re.compile(
    r"\btied\b|\brolled\b|\bchunks?\b|\bcubed?s?\b|\bdiced?\b|\bstrips\b"
    r"|\bcut (in|into) .*pieces\b",
    re.I,
)
"""What no bone is left in."""


def cut_in(text: str) -> tuple[str | None, bool]:
    """A cut that a text names, and whether it is sure of it."""
    low = spelled_right(text.lower())
    fatty = _OR_LEAN.sub(lambda found: found["kept"] or "", low)
    if fatty != low:  # “tenderloin or pork shoulder”: the one that pressure makes tender
        return cut_in(fatty)[0], False
    boneless, boned = bool(BONELESS.search(low)), bool(BONED.search(low))
    for pattern, choose in _CUTS:
        if re.search(pattern, low):
            return choose(low, boneless, boned)
    return None, False


_FATTY = r"(?:shoulder|butt|collar|blade)"
_LEAN = r"(?:tenderloin|loin(?: roast)?|fillet)"
_OR_LEAN = re.compile(
    rf"\b(?:pork )?{_LEAN} ?(?:or|/) ?(?=(?:pork |boneless |bone-in |a )*{_FATTY}\b)"
    rf"|\b(?P<kept>{_FATTY}) ?(?:or|/) ?(?:pork |boneless )*{_LEAN}\b"
)


def _brisket(low: str, _: bool, __: bool) -> tuple[str, bool]:
    both = re.search(r"\bpoint\b", low) and re.search(r"\bflat\b", low)
    if re.search(
        r"\b(?:point(?: end| cut)?(?: or|/|,? or) (?:the )?flat|flat(?: cut)? or (?:the )?point)\b",
        low,
    ):
        return "brisket_flat", False
    half = re.search(r"\bflat (?:half|only|cut)\b|\(flat\)|\b(?:just|only) the flat\b", low)
    if both or (re.search(r"\bpacker\b", low) and not half):
        return "brisket_whole", True
    if re.search(r"\bpoint\b", low):
        return "brisket_point", True
    if re.search(r"\bflat\b|\bhalf a brisket\b|first cut|\bflaches\b", low):
        return "brisket_flat", True
    if re.search(r"\bwhole\b|\bfull\b", low):
        return "brisket_whole", True
    return "brisket_flat", False


def _short_ribs(low: str, boneless: bool, _: bool) -> tuple[str, bool]:
    if re.search(r"flanken|across the bones?|thin[- ]cut|korean|\bla[- ](?:cut|style)\b", low):
        return "flanken", True
    return ("short_ribs_boneless", True) if boneless else ("short_ribs_english", True)


def _ribs(low: str, _: bool, __: bool) -> tuple[str, bool]:
    if re.search(r"\b1[- ]?(inch|in)\b|riblets|rib (pieces|tips|bites)", low) or CHOPPED.search(
        low
    ):
        return "rib_pieces", True
    return "back_ribs", False


CHOPPED = re.compile(
    r"\b(?:chopped|cut|sawn|hacked)\b(?: across(?: the bones?)?)?(?: in(?:to)?)? (?:about )?"
    rf"[\d½¼¾⅓⅔/ .-]+(?:{LENGTH}|\")[- ]?(?:long )?"
    r"(?:lengths?|pieces|chunks|sections|bits|bites)"
    r"|\bacross the bones?\b.{0,12}\bpieces\b"
)
"""“Chopped into 4 cm lengths” by the butcher."""
SLICE_KG = 0.25
"""A country-style rib, or a steak of the shoulder. Common practice: half a pound."""
STEAK_M = 0.025
"""Common practice: an inch."""
_SLICES_M = (
    (re.compile(r"\bcountry[- ]?(?:style|cut)?(?: pork)? ribs?\b", re.I), 0.035),
    (re.compile(r"\b(?:shoulder|collar|neck|blade|pork|butt) (?:steaks?|slices)\b", re.I), STEAK_M),
)
"""Slices of the blade end, and how thick they are. Common practice: 1 to 1½ in; an inch."""


def slice_thickness_m(text: str) -> float | None:
    """Usual thickness of meat that is bought in slices; None where it is not [m]."""
    return next((thick_m for name, thick_m in _SLICES_M if name.search(text)), None)


CUT_ACROSS = frozenset({"rib_pieces", "short_ribs_english"})
"""Cuts whose bones are sawn to a length; their thickness is another."""


def are_lengths(cut: str | None, line: str) -> bool:
    """Whether the size on a line is that along the bone."""
    return cut in CUT_ACROSS and CHOPPED.search(line.lower()) is not None


def _shoulder(low: str, boneless: bool, boned: bool) -> tuple[str, bool]:
    if boned:
        return "shoulder_bone_in", True
    return "shoulder_boneless", boneless or bool(_TIED.search(low))


def _spare(low: str, _: bool, __: bool) -> tuple[str, bool]:
    if CHOPPED.search(low) or re.search(r"\briblets\b|\brib (pieces|tips|bites)\b", low):
        return "rib_pieces", True
    trimmed = re.search(r"trimmed spare|square[- ]cut|\bst\.?[- ]?louis\b|\bstl\b", low)
    return ("spare_ribs_trimmed" if trimmed else "spare_ribs"), True


def _hand(_: str, boneless: bool, __: bool) -> tuple[str, bool]:
    return ("shoulder_boneless" if boneless else "shoulder_bone_in"), True


def _german_shoulder(low: str, boneless: bool, boned: bool) -> tuple[str, bool]:
    boneless = boneless or bool(
        re.search(r"ohne (\w+ (und|&) )?knochen|ausgel(ö|oe)st|nacken|hals", low)
    )
    boned = boned or bool(re.search(r"mit (\w+ (und|&) )?knochen|sch(ä|ae)ufele", low))
    return _shoulder(low, boneless, boned)


_CUTS = (
    # lean meat that dries out long before pressure makes it tender
    (r"\b(?:pork )?(?:tenderloins?|loin (?:roast|joint|fillet|chops?))\b|\bpork (?:loin|chops?)\b"
     r"(?! (?:back |end )*ribs?)|\brack of pork\b(?! (?:[\w-]+ )?ribs?)|\bpork rack\b(?! of)",
     lambda *_: (None, True)),
    (r"spare[- ]?rib chops?\b", lambda *_: ("shoulder_boneless", False)),
    (r"\bcountry[- ]?(?:style|cut)?(?: pork)? ribs?\b",
     lambda _, __, boned: (
         "shoulder_bone_in" if boned else "shoulder_boneless", False
     )),
    (r"schweine(schulter|nacken|hals|bug)|\bsch(ä|ae)ufele\b", _german_shoulder),
    (r"\brinder?brust\b|\bbrustkern\b", _brisket),
    (r"\bschweine(?:leiter|rippe?n|rippchen|spareribs)\b(?!.*\bst\.?[- ]?louis\b)"
     r"|\bvom schwein\b.*\bleiterchen\b", _ribs),
    (r"\b(quer|leiter|zwerch)rippen?\b|\bleiterchen\b", _short_ribs),
    (r"\bsch(ä|ae)lripp(chen|en?)\b|\b(?:schweine)?rippchen\b(?!.*\bst\.?[- ]?louis\b)"
     r"|\bleiterstück\b|\bkotelettrippen?\b", _ribs),
    (r"\bbelly ribs?\b|\bdicke rippen?\b|\bbauchrippen?\b|\brippen? vom schwein\b",
     lambda *_: ("spare_ribs", False)),
    (r"back[- ]ribs?\b|loin ribs?\b|\bbaby[- ]?backs?\b|\bloin backs?\b",
     lambda *_: ("back_ribs", True)),
    (r"spare[- ]?ribs?\b|\bspares\b|\bst\.?[- ]?louis\b", _spare),
    (r"\briblets?\b|\brib (tips|bites|ends)\b", lambda *_: ("rib_pieces", True)),
    (r"\bflanken\b", lambda *_: ("flanken", True)),
    (r"\bdino(?:saur)?s?(?: ribs?| bones?)?\b|\bbeef plate ribs?\b"
     r"|\b(?:[2-5]|two|three|four)[- ]bone (?:beef )?plates?\b"
     r"|\bplate (?:of )?(?:beef )?ribs?\b|\bchuck ribs?\b",
     lambda *_: ("short_ribs_english", True)),
    (r"short[- ]?ribs?\b|\bjacob[’']?s[- ]ladder\b|\benglish[- ]cut\b", _short_ribs),
    (r"\bbriskets?\b|\bpackers?\b"
     rf"|^\W*\d[\d½¼¾./ –to-]* ?{HEAVY_UNIT}\.? (?:flat|point)\b(?! iron)", _brisket),
    (r"(?<!church )(?<!for the )(?<!for a )(?<!summer )(?<!family )(?<!school )\bpicnics?\b"
     r"(?! (?:table|basket|blanket|lunch|food|day)\b)",
     lambda _, less, __: ("picnic_boneless" if less else "picnic_bone_in", True)),
    (r"\bhand (and spring )?of pork\b|\bpork hand\b|\bhand and spring\b", _hand),
    (r"\bneck bones?\b", lambda *_: (None, False)),
    (r"\bshoulders?\b|\bbutts?\b|\bneck end\b|\b(pork )?collars?\b|\bpork neck\b|\bneck of pork\b"
     r"|\bpork (?:\w+ )?blade\b|\bblade (?:roast|of pork|steak)\b|\bpork scotch\b", _shoulder),
    (r"\bwings?\b|\bwingettes?\b|\bdrumettes?\b", lambda *_: ("wings", True)),
    (r"\b(pork )?ribs?\b(?![\"'”’]? of)", _ribs),
)  # fmt: skip
"""Names that cuts go by in shops and kitchens, the more telling ones first. Common practice."""


_OF_PORK = re.compile(r"\bpork\b|\bschwein|\bracks?\b|\bslabs?\b", re.I)


def are_short_ribs(line: str, title: str) -> bool:
    """Whether “Ribs: 2.2 kg” are those of beef, as the cut that the title names is.

    Parameters
    ----------
    title : the cut that the title names
    """
    only_ribs = re.search(r"\bribs\b", line, re.I) is not None and not _OF_PORK.search(line)
    return only_ribs and title.startswith("short_ribs")
