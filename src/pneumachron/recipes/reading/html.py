"""Saved web pages: JSON-LD first, microdata next, and if neither is there the plain words."""

import re

from selectolax.lexbor import LexborHTMLParser, LexborNode

from pneumachron.recipes.model import MAX_LINES, MAX_TEXT, Recipe, Section
from pneumachron.recipes.reading.headings import may_be_marked
from pneumachron.recipes.reading.jsonld import (
    loads,
    recipes_in,
    seconds_of,
    to_recipe,
    under_headings,
)

_BLOCKS = "p, li, h1, h2, h3, h4, div, tr, br, dt, dd, section, article"
_OUTSIDE = (
    "script, style, nav, header, footer, aside, form, noscript, template, svg, button, select"
)


MAX_DEEP = 400
"""Tags that stand in each other; a page has some thirty."""
_TAG = re.compile(r"<(/?)([a-z][\w-]*)[^<>]*>", re.IGNORECASE)
_NEVER_DEEP = frozenset(
    [
        "area",
        "base",
        "br",
        "col",
        "dd",
        "dt",
        "embed",
        "hr",
        "img",
        "input",
        "li",
        "link",
        "meta",
        "option",
        "p",
        "param",
        "source",
        "tbody",
        "td",
        "tfoot",
        "th",
        "thead",
        "tr",
        "track",
        "wbr",
        "script",
        "html",
        "head",
        "body",
    ]
)
"""Tags without an end or with one that may be left out, and those that stand once."""


def _flat(text: str) -> str:
    """The page, or its words and scripts alone when its tags stand in each other without end.

    Looking for a script or a word costs time for each tag above it, so that a page of nothing but
    opened tags would take four times as long for twice its size.
    """
    depth = deepest = 0
    for tag in _TAG.finditer(text):
        if tag[2].lower() not in _NEVER_DEEP:
            depth += -1 if tag[1] else 1
            deepest = max(deepest, depth)
    if deepest <= MAX_DEEP:
        return text
    return _TAG.sub(lambda tag: tag[0] if tag[2].lower() == "script" else "<br>", text)


def recipes_of_page(text: str) -> list[Recipe]:
    """Recipes that the page marks as such."""
    page = LexborHTMLParser(_flat(text))
    found: list[Recipe] = []
    for script in page.css("script[type*='ld+json']"):
        data = loads(_uncommented(script.text()))
        found += [to_recipe(node) for node in recipes_in(data)]
    if not found:
        found = [_microdata(item) for item in page.css("[itemtype*='schema.org/Recipe']")[:5]]
    return found


def _uncommented(script: str) -> str:
    text = script.strip()
    for start, end in (("<!--", "-->"), ("//<![CDATA[", "//]]>"), ("/*<![CDATA[*/", "/*]]>*/")):
        if text.startswith(start):
            text = text[len(start) :].removesuffix(end)
    return text.strip().removesuffix(";")


def _microdata(item: LexborNode) -> Recipe:
    def one(name: str) -> str:
        node = item.css_first(f"[itemprop='{name}']")
        if node is None:
            return ""
        return " ".join((node.attributes.get("content") or node.text(separator=" ")).split())

    def many(*names: str) -> list[str]:
        nodes = [node for name in names for node in item.css(f"[itemprop='{name}']")]
        return [" ".join(node.text(separator=" ").split()) for node in nodes[: 2 * MAX_LINES]]

    def time(name: str) -> float | None:
        node = item.css_first(f"[itemprop='{name}']")
        told = {} if node is None else node.attributes
        return seconds_of(told.get("content") or told.get("datetime"))

    def address(name: str) -> str:
        node = item.css_first(f"[itemprop='{name}']")
        told = {} if node is None else node.attributes
        found = told.get("href") or told.get("src") or told.get("content") or ""
        return found[:MAX_TEXT] if found.startswith(("https://", "http://")) else ""

    steps: list[str] = []
    sections: list[Section] = []
    for node in item.css("[itemprop='recipeInstructions']")[: 2 * MAX_LINES]:
        if "HowToSection" in (node.attributes.get("itemtype") or ""):
            name = node.css_first("[itemprop='name'], h2, h3, h4")
            if name is not None:
                sections.append(Section(" ".join(name.text().split()), len(steps)))
        parts = node.css("li") or node.css("[itemprop='text']") or node.css("p")
        texts = [part.text(separator=" ") for part in parts] or node.text(separator="\n").split(
            "\n"
        )
        steps += filter(None, (" ".join(text.split()) for text in texts))
    ingredients, headed = under_headings(
        list(filter(None, many("recipeIngredient", "ingredients")))
    )
    return Recipe(
        title=one("name"),
        ingredients=tuple(ingredients),
        steps=tuple(steps),
        yields=one("recipeYield"),
        description=one("description"),
        prep_s=time("prepTime"),
        cook_s=time("cookTime"),
        total_s=time("totalTime"),
        author=one("author"),
        source=address("url"),
        image=address("image"),
        parts=headed,
        sections=tuple(section for section in sections if section.first < len(steps)),
    )


def _is_heading(bold: LexborNode, paragraph: LexborNode) -> bool:
    """A paragraph that is nothing but a few bold words, and no sentence."""
    words = bold.text().strip()
    return words == paragraph.text().strip() and may_be_marked(words)


def _is_above_a_list(paragraph: LexborNode) -> bool:
    """Whether the next element behind a paragraph is a list: “<p><i>Sauce</i></p><ul>”."""
    after = paragraph.next
    while after is not None and after.tag == "-text" and not after.text().strip():
        after = after.next
    return after is not None and after.tag in {"ul", "ol"}


def _begins_a_paragraph(bold: LexborNode) -> bool:
    """“<p><b>Christmas brisket</b><br>1 whole brisket<br>…”: bold words on their own first line."""
    after, before = bold.next, bold.prev
    first = before is None or not before.text().strip()
    alone = after is not None and after.tag == "br"
    return first and alone and may_be_marked(bold.text().strip())


def _set_apart(body: LexborNode) -> None:
    """A line for each block, a tab between cells, and gaps around lists and above paragraphs."""
    for node in body.css("td + td, th + th"):
        node.insert_before("\t")
    for node in body.css("span + span"):
        node.insert_before(" ")
    for node in body.css(_BLOCKS):
        node.insert_after("\n")
    for node in body.css("ul, ol, dl, table"):
        node.insert_after(f"\n{_GAP}\n")
    for node in body.css("p, ol"):
        node.insert_before(f"\n{_GAP}\n")


_GAP = "\u2063"
"""Stands for the empty line behind a list, or above a paragraph."""


def words_of_page(text: str) -> str:
    """The page as lines of plain words, for a page that marks nothing.

    An empty line stands behind a list and above a paragraph.
    """
    page = LexborHTMLParser(_flat(text))
    body = page.body
    if body is None:
        return ""
    for node in body.css(_OUTSIDE):
        node.decompose()
    _set_apart(body)
    for node in body.css("h2, h3, h4, h5"):
        node.insert_before("\n# ")
    for node in body.css("p > b, p > strong"):
        if node.parent is not None and _is_heading(node, node.parent):
            node.parent.insert_before("\n# ")
        elif _begins_a_paragraph(node):
            node.insert_before("\n# ")
    for node in body.css("p > i, p > em"):
        parent = node.parent
        if parent is not None and _is_heading(node, parent) and _is_above_a_list(parent):
            parent.insert_before("\n# ")
    title = page.css_first("h1")
    lines = [" ".join(line.split()) for line in body.text(separator="").split("\n")]
    head = " ".join(title.text().split()) if title else ""
    kept = [line for line in lines if line]
    if head and kept and kept[0] != head:
        kept = [head, *[line for line in kept if line != head]]
    return "\n".join("" if line == _GAP else line for line in kept)
