"""Where the fat of a recipe goes when nothing is fried in it."""

from collections.abc import Sequence
from dataclasses import replace

from pneumachron.core.planning.finish import Finish
from pneumachron.recipes.converting.caramel import is_caramel
from pneumachron.recipes.converting.marks import OutLine, When
from pneumachron.recipes.converting.pot_work import WET
from pneumachron.recipes.converting.seasoning import SEASONED
from pneumachron.recipes.converting.work import is_simmered_off
from pneumachron.recipes.understanding.naming import EXCEPT, before_the_heat, rows_named
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.sentences import sentences_in
from pneumachron.recipes.understanding.understand import Understood

_PASTE = any_of(r"\bpaste\b", r"\brub\b", r"\bmarinade\b")


def is_fried(line: OutLine) -> bool:
    """Whether something is fried in the pot that is no fat."""
    alone = is_simmered_off(line) or is_caramel(line)
    return line.when == "sear" and line.food.kind != "fat" and not alone


_BRUSHED_RAW = any_of(
    r"\bbrush (?:the |both |all |your )*(?:ribs?|racks?|meat|pork|beef|brisket|shoulder|roast|joint"
    r"|skin|it|them) (?:\w+ )?with\b"
)
SEVERAL = 4
"""A sentence that names so many lines says what goes into the pot together. Judgement."""


def where_fat_goes(
    understood: Understood, lines: Sequence[OutLine]
) -> tuple[frozenset[int], frozenset[int]]:
    """Lines that go onto the meat with its seasoning, and those that go in with the rest."""
    sentences = [text for step in before_the_heat(understood) for text in sentences_in(step)]
    on_meat = [text for text in sentences if SEASONED.search(text) or _BRUSHED_RAW.search(text)]
    oiled = rows_named(understood, " ".join(on_meat))
    # oil of a caramel goes where the caramel goes
    wet = understood.cooking.method in WET
    poured = {line.origin for line in lines if wet and line.food.words.endswith("oil")}
    meat = {item.index for item in understood.ingredients if item.kind == "meat"}
    meat |= {line.origin for line in lines if line.when == "beside" and line.origin is not None}
    at = {when: {line.origin for line in lines if line.when == when} for when in ("season", "pot")}
    told = [rows_named(understood, EXCEPT.sub("", text)) for text in sentences]
    told += [frozenset(part.lines) for part in understood.recipe.parts if _PASTE.search(part.name)]
    for rows in (each - meat for each in told):
        on_it, in_pot = rows & at["season"], rows & at["pot"]
        if len(on_it) >= max(1, len(in_pot)):  # “mash the garlic, salt and oil”
            oiled |= rows
        elif len(rows) >= SEVERAL and 2 * len(in_pot) >= len(rows):
            poured |= rows  # “add the onion, bay and lard”
    if wet:
        poured |= put_on_top(understood)
    return oiled, frozenset(row for row in poured if row is not None) - oiled


def put_on_top(understood: Understood) -> frozenset[int]:
    """Fat that is laid over what is in the pot, before the long heat, and fried with nothing."""
    sentences = [text for step in before_the_heat(understood) for text in sentences_in(step)]
    laid = rows_named(understood, " ; ".join(
        clause[0] for text in sentences for clause in _LAID_ON.finditer(text)
    ))  # fmt: skip
    fried = rows_named(understood, " ; ".join(filter(_FRIED_IN.search, sentences)))
    return frozenset(
        row for row in laid - fried if understood.ingredients[row].kind == "fat"
    )  # fmt: skip


def laid_on_top(understood: Understood, lines: Sequence[OutLine]) -> list[OutLine]:
    """The lines with what fat is laid on top in the pot, where another fat browns the meat."""
    on_top = put_on_top(understood)
    fats = [line for line in lines if line.when == "sear" and line.food.kind == "fat"]
    if all(line.origin in on_top for line in fats):
        return list(lines)
    return [
        replace(line, when="pot") if line in fats and line.origin in on_top else line
        for line in lines
    ]


_LAID_ON = any_of(
    r"\b(?:spoon|dot|dab|lay|put|place|drop|spread|scatter|pour|drizzle|arrange|stick)\b"
    r"[^.;]{0,60}\b(?:over (?:the |it )?(?:top|all|everything)|on top|all over)\b",
    r"\b(?:top|dot|crown|cover) (?:it |everything |the (?:meat|roast|pork|beef|brisket|pot) )?"
    r"with\b[^.;]{0,60}",
)
"""“Spoon the lard over the top”, “top with the peppers and the butter”."""
_FRIED_IN = any_of(
    r"\b(?:sear|brown|fry|saut[eé]|soften|sweat|heat|melt|render|crisp)\w*\b(?! sugar)"
)


def unfried(
    line: OutLine, oiled: frozenset[int], poured: frozenset[int], finish: Finish
) -> OutLine:
    """Fat where nothing is fried: rubbed on, put in with the rest, or melted into the juice.

    Oil does not melt, and nobody stirs it into a juice that was just skimmed.
    """
    if line.when != "sear" or line.food.kind != "fat":
        return line
    if line.origin in poured and finish.kind != "pan":
        return replace(line, when="pot")
    late: When = "finish" if finish.kind == "pan" else "after"
    on_it = line.origin in oiled or (line.food.words.endswith("oil") and late == "after")
    return replace(line, when="season" if on_it else late)
