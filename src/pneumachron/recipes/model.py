"""A recipe as its writer left it: texts only, nothing understood yet."""

import re
from dataclasses import dataclass
from typing import Literal, TypeAlias

from pneumachron.core.message import Message

Format: TypeAlias = Literal["text", "markdown", "html", "jsonld"]

MAX_BYTES = 2_000_000
"""Of a file; far above any recipe page. Judgement."""
MAX_LINES = 400
"""Ingredients and steps together. Judgement: a feast has some eighty."""
MAX_TEXT = 2_000
"""Characters in one line or step. Judgement."""
MAX_TITLE = 200
MAX_PARTS = 20
"""Headings over ingredients. Judgement: a feast has six."""


PartRole: TypeAlias = Literal["main", "rub", "brine", "marinade", "glaze", "sauce", "beside"]
_ROLE_WORDS: tuple[tuple[PartRole, str], ...] = (
    ("brine", r"\b(brines?|cures?|inject|injections?)\b"),
    ("marinade", r"\b(?!trocken)\w*marinade[ns]?\b"
                 r"|\bbeize\b|\b(?:jerk|wet|spice|herb|garlic) paste\b"),
    ("rub", r"\b(rubs?|crust|dust|seasoning|spice mix|spice blend|dry mix|(?:ge)?würzmischung"
            r"|trockenmarinade)\b"),
    ("glaze", r"\b(glaze|glasur|mop|basting|baste|paint|lacquer|varnish|wrap)\b"),
    ("beside", r"\b(mash|mashed|pur[eé]es?|spätzle|rice|noodles|greens|vinaigrette|hummus|tapenade"
               r"|creams?|crema|raita|guacamole|tzatziki|polenta|grits|couscous"
               r"|risotto|pilaf|pilau|colcannon|gnocchi|cornbread"
               r"|dips?|dipping|(?:cole)?slaws?|salads?|kimchi|relish|salsas?|garnish(?:es)?|accompaniments?|condiments?|serve|serving"
               r"|toppings?|on top|on the side|alongside|for the table|finishing"
               r"|(?:pink|pickled|crispy|marinated) (?:red )?(?:onions?|cabbage|cucumbers?)|"
               r"to finish|^finish\W*$|buns?|rolls?|pickle[sd]?|butter|aioli|mayo\w*|chutney"
               r"|gremolata"
               r"|dumplings?|pastry|nachos|quesadillas|burritos|enchiladas|tacos?|tortillas?"
               r"|sandwich\w*|(?<!in a )bowls?"
               r"|chimichurri|pesto|\w*kren|\w*salat|\w*quark"
               r"|beilagen?|garnitur|wraps|assembly|to assemble|sides?)\b"),
    ("sauce", r"\b(sauces?|\w*so(?:ß|ss)en?|gravy|dressing|slurry|thickener)\b"),
)  # fmt: skip
"""What a heading over some ingredients says of them; looked for in this order."""
_ROLES = tuple((role, re.compile(words)) for role, words in _ROLE_WORDS)


@dataclass(frozen=True, slots=True)
class Part:
    """Some of the ingredients under a heading of their own, and what they are for."""

    name: str
    role: PartRole
    lines: tuple[int, ...]
    """Rows of the ingredients."""

    @staticmethod
    def of(name: str, lines: tuple[int, ...]) -> "Part":
        """A part by its heading."""
        low = name.lower()
        for role, words in _ROLES:
            if words.search(low):
                return Part(name, role, lines)
        return Part(name, "main", lines)


@dataclass(frozen=True, slots=True)
class Section:
    """A heading over some of the steps: “For the glaze”."""

    name: str
    first: int
    """Row of its first step; it goes on to the next section."""


@dataclass(frozen=True, slots=True)
class Recipe:
    """Title, yield, ingredient lines and steps. `plan` is our own extension, when it has one."""

    title: str
    ingredients: tuple[str, ...]
    steps: tuple[str, ...]
    yields: str = ""
    description: str = ""
    prep_s: float | None = None
    cook_s: float | None = None
    total_s: float | None = None
    notes: tuple[str, ...] = ()
    plan: dict[str, str | int | float] | None = None
    author: str = ""
    """Who wrote it: credit is never lost."""
    source: str = ""
    """Where it stands: an address, a book."""
    image: str = ""
    """Address of a picture; it is passed on, never fetched."""
    parts: tuple[Part, ...] = ()
    sections: tuple[Section, ...] = ()
    left_out: tuple[str, ...] = ()
    """Lines of the text that are no part of the recipe."""


@dataclass(frozen=True, slots=True)
class ReadRecipe:
    """What a reader made of a text, and what it has to say about that."""

    recipe: Recipe
    format: Format
    remarks: tuple[Message, ...] = ()
