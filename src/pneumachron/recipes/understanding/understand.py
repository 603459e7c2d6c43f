"""All that can be read of a recipe, and one list of questions for the rest."""

import re
from dataclasses import dataclass, field, replace
from typing import Literal, TypeAlias

from pneumachron.core.catalog.cuts import Cut, cut_by_id, cuts
from pneumachron.core.errors import RequestError
from pneumachron.core.message import Message
from pneumachron.core.physics.tenderness import TEXTURES, Texture
from pneumachron.core.planning.load import usual_thickness_m
from pneumachron.core.planning.serving import other_form
from pneumachron.core.units import parse_measure
from pneumachron.recipes.errors import RecipeError
from pneumachron.recipes.model import Recipe
from pneumachron.recipes.understanding.counting import no_unit
from pneumachron.recipes.understanding.crust import Crust, read_crust
from pneumachron.recipes.understanding.cut_names import CUT_ACROSS, SLICE_KG, STEAK_M
from pneumachron.recipes.understanding.cutting import BITE_M, CHUNK_M, Cutting, read_cutting
from pneumachron.recipes.understanding.ingredients import Ingredient, foods, read_ingredients
from pneumachron.recipes.understanding.lines import read_line
from pneumachron.recipes.understanding.meat import (
    Meat,
    read_meat,
    usual_mass_kg,
    with_told_count,
    with_told_mass,
)
from pneumachron.recipes.understanding.method import METHODS, Cooking, Method, read_method
from pneumachron.recipes.understanding.misspelled import spelled_right
from pneumachron.recipes.understanding.other_names import OtherNames, other_names
from pneumachron.recipes.understanding.other_ways import in_one_way
from pneumachron.recipes.understanding.patterns import any_of
from pneumachron.recipes.understanding.plates import read_plates
from pneumachron.recipes.understanding.pressure import Pressure, read_pressure
from pneumachron.recipes.understanding.spelling_out import spelled_out
from pneumachron.recipes.understanding.texture import texture_of
from pneumachron.recipes.understanding.twins import Companies, companies

Asked: TypeAlias = Literal[
    "cut", "mass", "count", "thickness", "bone", "method", "method_minutes", "texture"
]
MAX_COUNT = 60


@dataclass(frozen=True, slots=True)
class Answers:
    """What the cook answered or put right, as typed; None takes the guess."""

    cut: str | None = None
    mass: str | None = None
    count: int | None = None
    thickness: str | None = None
    bone: bool | None = None
    method: Method | None = None
    method_minutes: int | None = None
    texture: Texture | None = None


NO_ANSWERS = Answers()


@dataclass(frozen=True, slots=True)
class Question:
    """Something that was not read, with the guess that stands until it is answered."""

    asked: Asked
    said: Message
    guess: Message
    options: tuple[tuple[str, Message], ...] = ()
    """Value and words of each choice; empty when it is typed."""


@dataclass(frozen=True, slots=True)
class Understood:
    """A recipe as the rules take it."""

    recipe: Recipe
    ingredients: tuple[Ingredient, ...]
    meat_index: int | None
    cut: str
    mass_kg: float
    count: int
    thickness_m: float | None
    """None: not measured; the plan guesses and widens its range."""
    cubed: bool
    """Cut into cubes or chunks: nobody slices them at the table."""
    bone: bool | None
    cooking: Cooking
    pressure: Pressure | None
    """What a recipe for an electric pressure cooker sets."""
    crust: Crust
    texture: Texture
    plates: float | None
    questions: tuple[Question, ...]
    said: tuple[str, ...] = field(default=())
    """The steps, with “the next 5 ingredients” and “everything” written out by name."""
    companies: Companies = field(default_factory=dict)
    """Foods that share a word with others."""
    other_names: OtherNames = field(default_factory=dict)
    """Foods that the steps call otherwise than the list."""
    unread: tuple[int, ...] = field(default=())
    """Lines of ingredients whose food is not known here."""


def understand(recipe: Recipe, answers: Answers = NO_ANSWERS) -> Understood:
    """Read all, take the answers, guess the rest and ask about it.

    Raises
    ------
    RecipeError : there is no meat in it that this is for, or an answer cannot be read.
    """
    ingredients = read_ingredients(recipe.ingredients)
    way = in_one_way(recipe)
    meat = read_meat(ingredients, recipe.title, way.steps, answers.cut)
    meat = with_told_mass(meat, recipe.description)
    if meat.index is None:  # “4 bone plate rib, just shy of 6 lbs”, told and never listed
        meat = with_told_mass(meat, " ".join(recipe.steps[:1]))
    meat = with_told_count(meat, " ".join((recipe.description, *recipe.steps[:1])))
    cut = answers.cut or meat.cut
    if answers.cut is None and meat.others:
        raise _in_doubt(meat)
    if cut is None:
        raise RecipeError("no_cut", "cut")
    ingredients = _with_meat(ingredients, meat)
    known = _known_cut(cut)
    questions: list[Question] = []
    read = read_method(recipe)
    bought = meat.count
    cutting = _cutting_of(way, read, meat)
    if answers.cut is None and cutting.off_bone and known.cut_id.endswith("_bone_in"):
        known, meat = other_form(known) or known, replace(meat, bone=False)
    meat = _as_cut(meat, known, cutting)
    if answers.cut is None and not meat.cut_sure:
        questions.append(_ask_cut(known))
    count = answers.count or meat.count or _pieces(known.cut_id)
    plates = read_plates(recipe)
    if plates and any(map(_EACH_FEEDS.search, (*recipe.left_out, *recipe.notes))):
        plates *= count  # “One slab feeds 2–3.”
    if plates and answers.count is None and (each := _FOR_EACH.search(meat.text)):
        # “a rack for each of us”, “500 g per 2 people”: so many, and so heavy
        times = plates / (_number(each["many"]) if each["many"] else 1.0)
        count = min(max(round(count * times), 1), MAX_COUNT)
        bought = count
        meat = replace(meat, mass_kg=times * meat.mass_kg if meat.mass_kg else None)
    mass = _mass(answers, replace(meat, count=bought), known.cut_id, questions)
    count = answers.count or _fitting(meat, known.cut_id, mass, count)
    cooking = _cooking(read, answers, questions)
    texture = answers.texture or texture_of(way)
    cubed = meat.cubed or _CUBED.search(meat.text) is not None
    if texture is None:
        texture = _usual_texture(known, whole=cubed or _SERVED_WHOLE.search(meat.text) is not None)
        questions.append(_ask_texture(texture, known.family))
    thickness = _thickness(answers, meat, questions, guess_m=usual_thickness_m(known, mass / count))
    plain = tuple(map(spelled_right, way.steps))
    said = spelled_out(plain, ingredients, recipe.parts, recipe.sections)
    return Understood(
        recipe=recipe,
        ingredients=ingredients,
        meat_index=meat.index,
        cut=known.cut_id,
        mass_kg=mass,
        count=count,
        thickness_m=thickness,
        cubed=cubed,
        bone=meat.bone if answers.bone is None else answers.bone,
        cooking=cooking,
        pressure=read_pressure(way, cooking),
        crust=read_crust(way, cooking),
        texture=texture,
        plates=plates,
        questions=tuple(questions),
        said=said,
        companies=companies(ingredients, recipe.parts, said),
        other_names=other_names(ingredients, said),
        unread=tuple(item.index for item in ingredients if item.kind == "unknown"),
    )


_EACH_FEEDS = re.compile(r"\b(?:one|each|an?|per) (?:rack|slab) (?:feeds|serves) \d", re.I)
_FOR_EACH = re.compile(
    r"\b(?:per|for each|each|for every|pro) (?:(?P<many>\d|two|three|four|zwei|vier) )?"
    r"(?:persons?|people|guests?|eaters?|heads?|kopf|personen)\b|\ba head\b",
    re.I,
)
_FEW = {"two": 2.0, "zwei": 2.0, "three": 3.0, "four": 4.0, "vier": 4.0}


def _number(word: str) -> float:
    """“2”, “two”; at least one."""
    return _FEW.get(word.lower()) or max(float(word), 1.0)


_BITES = any_of(r"\bbite[- ]?sized?\b", r"\bmundgerecht\w*")
_CUBED = any_of(
    r"\bcubes?\b", r"\bcubed\b", r"\bdiced?\b", r"(?<!two )(?<!2 )(?<!half )\bchunks?\b",
    r"\bw(?:ü|ue)rfeln?\b", r"\bgew(?:ü|ue)rfelt", r"\bgulasch(?:fleisch)?\b",
    r"\bfist[- ]sized? (?:pieces|lumps|hunks)\b", _BITES.pattern,
)  # fmt: skip
_SQUARE = re.compile(
    r"(?:\bin(?:to)? (?:about |large |big )?|, |\()\d[\d./½¼¾]{0,5}[- ]?(?:cm|in(?:ch)?|\")[- ]?"
    r"(?:square )?pieces\b",
    re.I,
)
"""“In 6 cm pieces”, “brisket, 4 cm pieces”: cubes, where there is no bone."""


_SERVED_WHOLE = any_of(r"\bcountry\b[^.;]{0,24}\bribs?\b", r"\bsteaks?\b", r"\bchops?\b")


def _usual_texture(cut: Cut, *, whole: bool) -> Texture:
    """What is usual of a cut; cubes and steaks of what else is pulled stay whole: fork-tender."""
    return "very" if whole and cut.default_texture == "falls" else cut.default_texture


def _with_meat(ingredients: tuple[Ingredient, ...], meat: Meat) -> tuple[Ingredient, ...]:
    """The line that was read as the meat is meat, by whatever name it goes."""
    return tuple(
        replace(item, food=foods()["brisket"])
        if item.index == meat.index and item.kind != "meat"
        else item
        for item in ingredients
    )


def _as_cut(meat: Meat, cut: Cut, cutting: Cutting) -> Meat:
    """The meat as the steps cut it, where its own line does not say."""
    if cutting.cube_m is not None and meat.thickness_m is None and cut.cut_id not in CUT_ACROSS:
        sure = meat.cut_sure or cut.cut_id.endswith("boneless")  # nobody cubes what has a bone
        return replace(meat, thickness_m=cutting.cube_m, cut_sure=sure, cubed=True)
    boneless = cut.cut_id.endswith("boneless") or cut.family == "brisket"
    same = cutting.cube_m is not None and cutting.cube_m == meat.thickness_m
    if same and cut.family in _CUBED_FAMILIES and not _SLICED.search(meat.text):
        return replace(meat, cubed=(meat.count or 1) == 1)  # “bone-in, cut into 3-inch pieces”
    chunks = cutting.chunks or _CUBED.search(meat.text) is not None
    chunks = chunks or (boneless and _SQUARE.search(meat.text) is not None)
    if chunks and boneless and meat.thickness_m is None and (meat.count or 1) == 1:
        size_m = BITE_M if _BITES.search(meat.text) else CHUNK_M
        return replace(meat, usual_m=size_m, cubed=True)
    if chunks and meat.thickness_m is not None and (meat.count or 1) == 1:
        return replace(meat, cubed=True)
    said = meat.count is not None and meat.count > 1 and cut.family != "ribs"
    if cutting.parts is None or said or cut.cut_id in _PIECE_KG:
        return meat
    count = (meat.count or 1) * cutting.parts
    return replace(meat, count=count if count <= MAX_COUNT else meat.count)


def _in_doubt(meat: Meat) -> RecipeError:
    """Another animal, or two meats: nothing is cooked on a guess. The recipe itself stays."""
    said = "”, “".join(item.text[:80] for item in meat.others[:2])
    if meat.cut is None:
        return RecipeError("out_of_scope", "cut", meat=said)
    return RecipeError("two_meats", "cut", meat=meat.text[:80], other=said)


def _known_cut(cut: str) -> Cut:
    try:
        return cut_by_id(cut)
    except RequestError as error:
        raise RecipeError.of(error, "cut") from None


def _ask_cut(guess: Cut) -> Question:
    family = [cut.cut_id for cut in cuts().values() if cut.family == guess.family]
    options = tuple((cut, Message("guess-cut", {"cut": cut})) for cut in family)
    return Question(
        "cut", Message("question-cut"), Message("guess-cut", {"cut": guess.cut_id}), options
    )


def _pieces(cut_id: str) -> int:
    return 12 if cut_id in {"short_ribs_english", "flanken", "wings", "rib_pieces"} else 1


def _mass(answers: Answers, meat: Meat, cut: str, questions: list[Question]) -> float:
    if answers.mass is not None:
        return _typed(answers.mass, "mass")
    if meat.mass_kg is not None:
        if not meat.mass_sure:
            said = Message("question-mass_of_all", {"said": meat.text[:80]})
            questions.append(Question("mass", said, _mass_guess(meat.mass_kg)))
        return meat.mass_kg
    guess = usual_mass_kg(cut, meat.count)
    number = Message("question-mass_no_unit", {"said": meat.text[:80]})
    asked = number if no_unit(read_line(meat.text)) else Message("question-mass")
    questions.append(Question("mass", asked, _mass_guess(guess)))
    return guess


def _mass_guess(mass_kg: float) -> Message:
    return Message("guess-mass", {"mass_kg": mass_kg})


def _typed(text: str, field_name: Literal["mass", "thickness"]) -> float:
    quantity: Literal["mass", "length"] = "mass" if field_name == "mass" else "length"
    try:
        return parse_measure(text, quantity, field_name)
    except RequestError as error:
        raise RecipeError.of(error, field_name) from None


_SLICED = re.compile(r"\b(?:slices?|steaks?|strips?|scheiben|streifen)\b", re.I)
_IN_SLICES = re.compile(r"\b(?:slices|steaks|scheiben)\b", re.I)
_CUBED_FAMILIES = frozenset({"shoulder", "brisket"})
"""Meat that is cut into pieces as long as thick; ribs are cut between or across their bones."""
_PIECE_KG: dict[str, float] = {
    "short_ribs_english": 0.2,
    "short_ribs_boneless": 0.15,
    "flanken": 0.2,
    "wings": 0.05,
    "rib_pieces": 0.03,
}
"""What one of them usually weighs. Common practice."""


def _fitting(meat: Meat, cut: str, mass_kg: float, count: int) -> int:
    """How many pieces: as read, from the size of cubes, or from what one usually weighs."""
    if meat.count is not None and meat.count > 1:
        return min(meat.count, MAX_COUNT)
    if meat.cubed and meat.thickness_m is None and meat.usual_m is not None:
        return _bounded(mass_kg / (DENSITY_KG_M3 * meat.usual_m**3))
    if meat.thickness_m and not meat.cubed and _IN_SLICES.search(meat.text):
        return _bounded(mass_kg / (SLICE_KG * meat.thickness_m / STEAK_M))
    cubes = cut.endswith(("boneless", "point")) or meat.cubed
    if cubes and meat.thickness_m and (meat.thickness_m <= CUBE_M or meat.cubed):
        return _bounded(mass_kg / (DENSITY_KG_M3 * meat.thickness_m**3))
    one_kg = SLICE_KG if meat.usual_m is not None else _PIECE_KG.get(cut)
    return min(max(count, 1), MAX_COUNT) if one_kg is None else _bounded(mass_kg / one_kg)


CUBE_M = 0.055
"""Boneless meat this thin in a recipe is cut in cubes. Judgement."""
DENSITY_KG_M3 = 1050.0


def _bounded(pieces: float) -> int:
    return min(max(round(pieces), 1), MAX_COUNT)


def _cooking(read: Cooking, answers: Answers, questions: list[Question]) -> Cooking:
    method = answers.method or read.method
    if method is None:
        options = tuple((key, Message("guess-method", {"method": key})) for key in METHODS)
        questions.append(Question("method", Message("question-method"), UNSAID, options))
    if answers.method_minutes is not None:
        low = high = 60.0 * answers.method_minutes
    elif read.low_s is not None and read.high_s is not None:
        low, high = read.low_s, read.high_s
    else:
        if method is not None:
            questions.append(Question("method_minutes", Message("question-method_minutes"), UNSAID))
        return replace(read, method=method, low_s=None, high_s=None)
    return replace(read, method=method, low_s=low, high_s=high)


UNSAID = Message("guess-unsaid")


def _cutting_of(recipe: Recipe, read: Cooking, meat: Meat) -> Cutting:
    """How the raw meat is cut: as its own line says, or the steps before it is done."""
    line = () if meat.index is None else (recipe.ingredients[meat.index],)
    said = read_cutting(line, (0, len(line))) if line else Cutting()
    return said if said != Cutting() else read_cutting(recipe.steps, read.main)


def _ask_texture(guess: Texture, family: str) -> Question:
    said = {
        texture: Message("guess-texture", {"family": family, "texture": texture})
        for texture in TEXTURES
    }
    return Question("texture", Message("question-texture"), said[guess], tuple(said.items()))


def _thickness(
    answers: Answers, meat: Meat, questions: list[Question], *, guess_m: float
) -> float | None:
    if answers.thickness is not None:
        return _typed(answers.thickness, "thickness")
    if meat.thickness_m is not None:
        return meat.thickness_m
    questions.append(
        Question(
            "thickness",
            Message("question-thickness"),
            Message("guess-thickness", {"thickness_m": meat.usual_m or guess_m}),
        )
    )
    return meat.usual_m
