"""Our steps from the open lid to the table: the sauce, the finish, the knife."""

import re
from collections.abc import Set

from pneumachron.core.planning.finish import afterwards, carving, rests_in_juice
from pneumachron.core.planning.plan import is_pulled
from pneumachron.core.procedure.cook_plan import CookPlan, cook_plan
from pneumachron.core.procedure.step import Brought
from pneumachron.core.procedure.to_table import carve_steps, pulled_first_steps
from pneumachron.recipes.converting.late import strewn_late
from pneumachron.recipes.converting.marks import OutLine, OutStep, OwnWords
from pneumachron.recipes.converting.own_words import SIMMERS_THE_RESERVED
from pneumachron.recipes.converting.parts import parts_apart
from pneumachron.recipes.converting.pot_work import is_soup, shreds, thickens
from pneumachron.recipes.converting.seasoning import shared_lines
from pneumachron.recipes.converting.work import Work, listed, minutes_of, say, told_whole
from pneumachron.recipes.model import Part
from pneumachron.recipes.understanding.ingredients import JOINT, Kind
from pneumachron.recipes.understanding.naming import around, rows_named
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.spelling_out import names_all_of

_SUGARS: frozenset[Kind] = frozenset({"sugar", "sugar_thick"})


def in_the_glaze(work: Work) -> list[OutLine]:
    """What is sweet goes into the juice before it is boiled down to a glaze, and not behind."""
    glaze = work.finish.kind == "glaze"
    return [
        line for line in work.lines if glaze and line.when == "after" and line.food.kind in _SUGARS
    ]


_CUT_UP = re.compile(r"\b(?:chopp|minc|ground|crush|grat|pick|strip|powder|fine)", re.I)


def _is_taken_out(work: Work, line: OutLine, named: Set[int]) -> bool:
    """Whole leaves, sticks, stalks and sachets gave their taste to the liquid; nobody eats them."""
    if line.when not in {"pot", "sear"}:
        return False
    if line.food.kind in _SOME_TAKEN_OUT and line.origin in named:
        return True  # “Remove the scotch bonnet without bursting it”
    if line.food.kind != "woody_herb":
        return False
    raw = "" if line.origin is None else work.understood.ingredients[line.origin].line.raw
    return not _CUT_UP.search(raw)


_SOME_TAKEN_OUT: frozenset[Kind] = frozenset({"chilli", "acid", "spice", "other_meat", "aromatic"})
_OUT = any_of(
    r"\b(?:remove|discard|(?:fish|take|lift|pick|pull) out)\b"
    r"(?! (?:the )?(?:seeds?|stems?|skins?|fat)\b)"
)
_CLAUSES = re.compile(
    r"[.;]|,? (?:and |then )?(?=(?:strip|slice|shred|pull|chop|cut|pick|return|put|stir|mash|skim"
    r"|discard|remove|serve)\b)"
)


_MEAT = re.compile(r"\b(?:ribs?|meat|pork|beef|brisket|shoulder|roast)\b(?! of)", re.I)


def _named_to_take_out(work: Work) -> frozenset[int]:
    """Rows that the recipe takes out of the juice, by name, behind the long heat."""
    main = work.understood.cooking.main
    late = () if main is None else around(work.understood.said, *main)[1]
    clauses = (text for step in late for text in _CLAUSES.split(step) if _OUT.search(text))
    # “Remove the ribs” are no ribs of celery
    named = (rows_named(work.understood, _MEAT.sub("", text)) for text in clauses)
    return frozenset().union(*named)


_FOR_DREDGING = re.compile(r"(?:\s+for\s| \+ |/\d).*", re.I)


_STAYS_HARD = re.compile(r"\b(?<!green )(?<!spring )(?:apples?|äpfel|onions?|leeks?)$", re.I)
"""Stirred into a hot juice it is still raw."""
_IS_READY = re.compile(r"\b(?:capers?|olives?|gherkins?|pickled|jarred|sun-dried)\b", re.I)
"""Out of a jar: it is only stirred in."""
_BUTTERED = re.compile(r"beurre mani|\broux\b|\bbutter\b", re.I)
"""Flour that is bound in butter is stirred in as it is."""


def sauce(work: Work) -> OutStep | None:
    """What becomes of the juice, and all that goes into it."""
    sweet = in_the_glaze(work)
    after = [line for line in work.of("after") if line not in sweet] + work.of("first_run")
    # “Simmer the reserved sauce with the cornstarch”, in the recipe's own words
    apart = {
        row for each in work.kept if SIMMERS_THE_RESERVED.search(each.text)
        for row in rows_named(work.understood, each.text)
    }  # fmt: skip
    apart |= _boiled_eggs(work) | _in_a_second_pan(work)
    after = [line for line in after if line.origin not in apart]
    slurry = [
        line for line in after
        if thickens(line.food) and not _BUTTERED.search(f"{line.name} {line.aside}")
    ]  # fmt: skip
    # "starch mixed with cold water": the step says with what itself
    thick = [_FOR_DREDGING.sub("", JOINT.split(line.name)[0]) for line in slurry]
    milk = [line.called for line in after if line.food.kind == "dairy"]
    fried = _fried_apart(work)
    after = [line for line in after if not (line.food.kind == "fat" and line.origin in fried)]
    raw = [
        line.called for line in after
        if line.origin not in fried
        and (line.food.kind in {"tender_veg", "other_meat"} or _STAYS_HARD.search(line.food.words))
        and not _IS_READY.search(line.name)
    ]  # fmt: skip
    shells = [line.called for line in after if line.food.kind == "seafood"]
    # the water of a slurry is told with it
    wet = [line for line in after if slurry and line.food.words == "water"]
    # “Salt it only now” says so of salt to taste
    salt = [line.called for line in after if line.food.kind == "salt" and line.amount is None]
    named = {*milk, *raw, *shells, *salt}
    made = {
        row: part.name for part in parts_stirred_in(work) for row in part.lines
        if any(is_made_in(work, told, part) for told in work.kept)
    }  # fmt: skip
    rest = [
        _FOR_THE.sub("", made[line.origin]).strip(" :") if line.origin in made else line.called
        for line in after if line not in [*slurry, *wet] and line.called not in named
    ]  # fmt: skip
    stages = (
        ("simmer_in", raw),
        ("thicken", thick),
        ("stir_in", rest),
        ("seafood_in", shells),
        ("dairy_last", milk),
    )
    said = [say(code, names=listed(names)) for code, names in stages if names]
    named_out = _named_to_take_out(work)
    out = listed(line.called for line in work.lines if _is_taken_out(work, line, named_out))
    taken_out = (say("fish_out", names=out),) if out else ()
    if work.finish.kind == "glaze":  # what is boiled down around the meat is the sauce
        return OutStep("sauce", (*taken_out, *said), (2.0, 5.0)) if taken_out or said else None
    juice = "broth" if is_soup(work.understood) else "reduce"
    if not _is_strained(work):
        juice = f"{juice}_with_all"
    return OutStep("sauce", (*taken_out, say(juice), *said, say("salt_last")), (10.0, 25.0))


def _in_a_second_pan(work: Work) -> frozenset[int]:
    """“Heat oil in a skillet. Sauté the peppers … add the beef”, in the recipe's own words."""
    rows: frozenset[int] = frozenset()
    for told in work.kept:
        if not (told.before_heat or told.serves) and _SECOND_PAN.search(told.text):
            named = rows_named(work.understood, told.text)
            rows |= named if len(named) >= _LEAST_IN_A_PAN else frozenset()
    return rows


_SECOND_PAN = any_of(
    r"\bin an? (?:\w+ )?(?:skillet|frying pan|saut[eé] pan|wok)\b"
    r"[^;]*\b(?:meat|beef|pork|brisket)\b"
)
_LEAST_IN_A_PAN = 4
"""Foods that a step cooks together with the shredded meat. Judgement."""


def _boiled_eggs(work: Work) -> frozenset[int]:
    """“Boil the eggs for 7 minutes and peel them”, in the recipe's own words: none are stirred."""
    told = [text for each in work.kept for text in sentences_in(each.text)]
    rows = rows_named(work.understood, " ; ".join(filter(_EGGS_BOILED.search, told)))
    return frozenset(row for row in rows if work.understood.ingredients[row].food.words == "eggs")


_EGGS_BOILED = any_of(r"\b(?:boil|peel|shell|poach|fry|halve|slip|nestle|add)\b[^.;]*\beggs\b")
_FRIED: frozenset[Kind] = frozenset({"tender_veg", "aromatic", "root", "fat"})
_FRIES = any_of(r"\b(?:saut[eé]|fry|brown|roast|cook|sizzle)\b")


def _fried_apart(work: Work) -> frozenset[int]:
    """“Sauté the mushrooms in the butter”, in the recipe's own words: they are only stirred in."""
    return frozenset().union(*(fried_in(work, told) for told in work.kept))


def fried_in(work: Work, told: OwnWords) -> frozenset[int]:
    """Rows that a step behind the heat fries or cooks, in its own words."""
    texts = [] if told.before_heat else filter(_FRIES.search, sentences_in(told.text))
    named: frozenset[int] = frozenset().union(*(rows_named(work.understood, t) for t in texts))
    return frozenset(row for row in named if work.understood.ingredients[row].kind in _FRIED)


_STRAINED = any_of(
    r"\bstrain", r"\bsieve\b", r"\b(?:fine |wire )?mesh\b", r"\bdiscard\w* (?:the |all )?(?:solids"
    r"|vegetables|veg|aromatics|onions?)\b", r"\bdurch ein (?:\w+ )?sieb\b", r"\bdurchs(?:ie|ei)b",
    r"\bdurchseih", r"\bpassier",
)  # fmt: skip
_EATEN_IN_IT: frozenset[Kind] = frozenset(
    {"aromatic", "root", "tender_veg", "thick", "foaming", "beside", "unknown", "other_meat"}
)
"""What stays in a stew; a juice that only spices gave their taste to is strained."""
_IN_SMALL_PIECES = any_of(
    r"\b(?:chop|slic|dic|minc|grat|crush|press|pur[eé]|gehackt|gewürfelt|in ringe|fein)\w*"
)


def _is_strained(work: Work) -> bool:
    """Whether the recipe strains its juice, or nothing in the pot is eaten with it."""
    if any(_STRAINED.search(step) for step in work.understood.recipe.steps):
        return True
    under_lid = [line for line in work.lines if line.when in {"pot", "sear", "top"}]
    return not any(_is_eaten_in_it(work, line) for line in under_lid)


def _is_eaten_in_it(work: Work, line: OutLine) -> bool:
    """Whether a line stays in the juice; an onion that went in whole only gave its taste to it."""
    if line.food.kind != "aromatic" or line.when == "sear":
        return line.food.kind in _EATEN_IN_IT or line.food.words == "pepperoncini"
    raw = "" if line.origin is None else work.understood.ingredients[line.origin].line.raw
    return _IN_SMALL_PIECES.search(raw) is not None


def parts_stirred_in(work: Work) -> list[Part]:
    """Sauces of several foods that go in after pressure."""
    after = {line.origin for line in work.lines if line.when == "after"}
    parts = work.understood.recipe.parts
    return [
        part for part in parts
        if part.role == "sauce" and len(after.intersection(part.lines)) > 1
    ]  # fmt: skip


def is_made_in(work: Work, told: OwnWords, part: Part) -> bool:
    """Whether a step that keeps its own words makes such a sauce."""
    named = rows_named(work.understood, told.text)
    return not told.serves and len(named.intersection(part.lines)) > 1


_DRY: frozenset[Kind] = frozenset({"salt", "spice", "rub", "dried_herb", "chilli", "baking"})
"""What is strewn on before the crust, and not brushed."""


def finish(work: Work) -> OutStep | None:
    """The crust, and what is brushed or strewn on for it."""
    kind = work.finish.kind
    late = [line for line in work.of("finish") if kind != "pan" or line.food.kind != "fat"]
    made = _made_apart(work)
    strewn = strewn_late(work.understood)
    dry = listed(line.called for line in late if line.food.kind in _DRY and line.origin in strewn)
    glaze = listed(
        made.get(-1 if line.origin is None else line.origin, line.called) for line in late
        if line.food.kind != "meat" and not (line.food.kind in _DRY and line.origin in strewn)
    )  # fmt: skip
    dredge = listed(line.called for line in late if kind == "pan" and thickens(line.food))
    glaze = listed(name for name in glaze.split("\n") if name and name not in dredge.split("\n"))
    if kind == "glaze":  # it was made in the open cooker, as the release tells
        return OutStep("finish", (say("glaze", names=glaze),)) if glaze else None
    if kind == "none":
        sweet = listed(line.called for line in late if line.food.kind in _SUGARS)
        others = listed(
            name for name in glaze.split("\n") if name and name not in sweet.split("\n")
        )
        told = (("stir_in", sweet), ("glaze_beside", others))
        said = [say(code, names=names) for code, names in told if names]
        return OutStep("finish", tuple(said)) if said else None
    low, high = minutes_of(work.finish.each_s)
    mixed = _mixed_in(work)
    glaze = listed(name for name in glaze.split("\n") if name and name not in mixed)
    said = [say(f"finish_{kind}", low_min=low, high_min=high)]
    if "burnt_ends" in work.understood.crust.characters and not work.understood.cubed:
        said.insert(0, say("burnt_ends"))
    if not glaze and _brushes_the_juice(work):
        said.append(say("brush_juice"))
    if glaze:
        named = glaze.split("\n")
        sugar = all(line.food.kind == "sugar" for line in late if line.called in named)
        sugar = sugar and not made.keys() & {line.origin for line in late}
        said.append(say("strew_sugar" if sugar else "glaze", names=glaze))
    first = (("season_late", dry), ("dredge", dredge))
    said[:0] = [say(code, names=names) for code, names in first if names]
    said[:0] = [step.said for step in pulled_first_steps(_cooked(work), _as_crisped(work))]
    return OutStep("finish", tuple(said), minutes_of(work.finish.total_s))


def _mixed_in(work: Work) -> list[str]:
    """Sauces that go in with the pulled meat, and not onto its crust."""
    if work.finish.kind in {"none", "glaze"} or not is_pulled(work.plan.setup.request):
        return []
    main = work.understood.cooking.main
    late = () if main is None else around(work.understood.said, *main)[1]
    told = [text for step in late for text in sentences_in(step)]
    mixed = rows_named(work.understood, " ".join(filter(_MIXED_IN.search, told)))
    brushed = rows_named(work.understood, " ".join(filter(_SAUCED.search, told)))
    # “Shred, and toss with the reserved mojo”
    tossed = any(map(_REST_TOSSED.search, told)) and not any(map(_BRUSHES.search, told))
    rest = shared_lines(work.understood) if tossed else frozenset()
    return [
        line.called for line in work.of("finish")
        if (line.food.kind == "sweet_sauce" and line.origin in mixed - brushed)
        or line.origin in rest
    ]  # fmt: skip


_REST_TOSSED = any_of(
    r"\b(?:toss|dress|moisten|mix|drizzle)\b[^.;]*\b(?:reserved|remaining|rest of)\b"
)
_BRUSHES = any_of(r"\b(?:brush|baste|glaze|paint)\w*\b")
_MIXED_IN = any_of(r"\b(?:add|mix|stir|toss|dress)\b")


def _cooked(work: Work) -> CookPlan:
    return cook_plan(work.plan, work.finish.kind)


def _as_crisped(work: Work) -> Brought:
    """Pulled before it is crisped or after it, as in the recipe."""
    return Brought(pulled_first=work.understood.crust.pulled_first)


def _made_apart(work: Work) -> dict[int, str]:
    """Rows of a sauce to brush on that the recipe's own words make: it is called by its name."""
    own = [each for each in work.kept if not each.serves]
    return {
        row: _FOR_THE.sub("", part.name).strip(" :").lower()
        for part in work.understood.recipe.parts
        if part.role in {"sauce", "glaze"}
        and any(
            len(rows_named(work.understood, told.text) & {*part.lines}) > 1
            or names_all_of(part, told.text)
            for told in own
        )
        for row in part.lines
    }  # fmt: skip


def _brushes_the_juice(work: Work) -> bool:
    """“Boil the sauce until sticky. Brush the ribs with it”: what the pot itself gave."""
    main = work.understood.cooking.main
    late = () if main is None else around(work.understood.said, *main)[1]
    told = [text for step in late for text in sentences_in(step)]
    boiled = next((at for at, text in enumerate(told) if _BOILED_STICKY.search(text)), None)
    return boiled is not None and any(map(_SAUCED.search, told[boiled:]))


_BOILED_STICKY = any_of(
    r"\b(?:boil|simmer|reduce|bubble|cook)\w*\b[^.;]*\b"
    r"(?:sticky|syrupy|thick(?:ens?|ened)?|glaz\w*|coats?|half)\b"
)
_SAUCED = any_of(
    r"\b(?:brush|baste|glaze|paint|coat|toss)\w*\b[^.;]*\b(?:sauce|juices?|liquid|glaze|it)\b",
    r"\bspoon (?:the |some )?(?:sauce|glaze|juices) over (?:the )?(?:ribs|meat|pork|beef|them)\b"
    r"[^.;]{0,20}\b(?:broil|grill)",
)


def carve(work: Work) -> OutStep:
    """How it is cut or pulled, and what is served with it."""
    cut = work.plan.outcomes[0].piece.cut
    pulled = is_pulled(work.plan.setup.request)
    how = carving(work.plan.setup.request.load, pulled=pulled, cold=False)
    stew = rests_in_juice(work.plan.setup.request.load) and work.finish.kind == "none"
    cubed = work.understood.thickness_m is not None and work.understood.cubed
    ends = "burnt_ends" in work.understood.crust.characters
    small = (ends and work.finish.kind != "none") or (cubed and (not pulled or ends))
    said = [say("cut_small") if small else say("cut", **how.params)]
    if pulled_first_steps(_cooked(work), _as_crisped(work)):
        said = [step.said for step in carve_steps(_cooked(work), _as_crisped(work))]
    if cut.family == "short ribs" and shreds(work.understood):
        bones = work.plan.outcomes[0].piece.has_bone
        said = [say("pull_off", bones="yes" if bones else "no")]
    if stew and not pulled:
        said = []  # nothing of it is cut or lifted out
    if mixed := _mixed_in(work):
        said.append(say("glaze_beside", names=listed(mixed)))
    if beside := _served(work):
        said.append(say("serve_with", names=beside))
    keep_s = afterwards()[cut.family].keep_warm_s
    return OutStep("carve", (*said, say("keep_warm", keep_s=keep_s)))


def keep(_: Work) -> OutStep:
    """What is left over is put away."""
    return OutStep("keep", (say("leftovers"),))


_FOR_THE = re.compile(r"^(?:for |f(?:ü|ue)r )?(?:(?:the|den|die|das) )?", re.I)


def _served(work: Work) -> str:
    """What is served with it: a sauce or salad of several foods by its own name."""
    lines = [line for line in work.lines if line.when == "beside" and line.food.kind != "meat"]
    name_of = {
        row: _in_small_letters(_FOR_THE.sub("", part.name).strip(" :"))
        for part in (*work.understood.recipe.parts, *parts_apart(work.understood).values())
        if part.role in {"sauce", "beside"} and not _SERVING.search(part.name)
        and sum(line.origin in part.lines for line in lines) > 1
        for row in part.lines
        # “Tortillas and cilantro for serving”, or buns, below the last food of the slaw
        if not _FOR_SERVING.search(work.understood.ingredients[row].line.raw)
    }  # fmt: skip
    names = [
        name_of.get(-1 if line.origin is None else line.origin, told_whole(line)) for line in lines
    ]
    # “Pico de gallo, lime crema”, and the crema's own part below
    made = set(name_of.values())
    told = ", ".join(name for name in names if name not in made).lower()
    return listed(name for name in names if name not in made or name.lower() not in told)


_FOR_SERVING = any_of(
    r"\b(?:for|to) serv(?:e|ing)\b",
    r"\b(?:buns?|rolls?|baps?|bread|baguettes?)[ .]*(?:, (?:toasted|split|warmed)[ .]*)?$",
)


def _in_small_letters(name: str) -> str:
    """A heading in capitals is shouted in a sentence."""
    return name.lower() if name.isupper() else name


_SERVING = re.compile(
    r"\b(?:serv\w|bowl|taco|garnish|topping|finish|assembl|beilage|sandwich|slider|accompan"
    r"|trimmings|fixings|anrichten)|^(?:for |at |on )?(?:the )?(?:table|sides?|extras?|plates?)\b",
    re.I,
)
"""A heading that says when and not what."""
