"""No word on a screen stands outside the catalogs: a locale that marks every letter of theirs.

The same look, at a household with US units, also finds metric ones that are left.

Left out are what a person typed (recipes, names, notes and measures), what the browser itself
writes, and the signs of measures, which are the same in every locale.
"""

import json
import re
from collections.abc import Iterator
from urllib.request import urlopen

import pytest
from playwright.sync_api import Page

from pneumachron.core.catalog.pots import ready_pots
from pneumachron.text.reader import MARKED
from pneumachron.text.vocabulary import by_its_size
from tests import some
from tests.browser.test_two_kitchens import (
    BOTH,
    COUNT_REQUESTS,
    METRIC,
    STATES,
    at_rest,
    household,
    seen,
)
from tests.live import serving

MARKED_LETTER = re.compile("[A-Za-z]\u030a")
SIGNS = re.compile(
    r"\b(?:°?[CF]|kg|g|cm|mm|m|ml|l|L|kPa|psi|W|lb|oz|in|ft|qt|cups?|Tbsp|tsp|min|h|mm|AM|PM|days"
    r"|JSON|LD|CSV|kB|MB|GB|and|at)\b"
    r"|\b(?:Mon|Tue|Wed|Thu|Fri|Sat|Sun|Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec)[a-z]*"
)
NAMES = ("name", "pot_name", "title", "tags", "cook", "note")
SIZES = [by_its_size(pot).name for pot in ready_pots().values()]
"""What the cookers of the first kitchen were called when it was made, in plain words."""
LISTS = ("household", "people", "pots", "plans", "schedules", "cooks", "recipes")


def named(value: object) -> Iterator[str]:
    """What people named, anywhere in an answer."""
    if isinstance(value, list):
        for item in value:
            yield from named(item)
    elif isinstance(value, dict):
        for key, item in value.items():
            if key in NAMES:
                yield from (item if isinstance(item, list) else [item] if item else [])
            else:
                yield from named(item)


def ingredients(kitchen: str) -> Iterator[str]:
    """Lines of the recipes, and the foods that a conversion adds by name: steps speak of them."""
    with urlopen(f"{kitchen}/api/recipes") as reply:
        ids = [item["id"] for item in json.load(reply)["recipes"]]
    for recipe_id in ids:
        with urlopen(f"{kitchen}/api/recipes/{recipe_id}") as reply:
            yield from json.load(reply)["recipe"]["ingredients"]
    yield from ("water", "smoked paprika")


@pytest.fixture(scope="module")
def kitchen(tmp_path_factory: pytest.TempPathFactory) -> Iterator[str]:
    with serving(tmp_path_factory.mktemp("marked"), demo=True) as address:
        household(address, units="us", locale=MARKED)
        yield address


@pytest.fixture(scope="module")
def typed(kitchen: str) -> re.Pattern[str]:
    """The names in the demo, longest first."""
    found: set[str] = set()
    for part in LISTS:
        with urlopen(f"{kitchen}/api/{part}") as reply:
            found |= {name for name in named(json.load(reply)) if isinstance(name, str)}
    found |= {word for line in ingredients(kitchen) for word in re.findall("[A-Za-z]{3,}", line)}
    # a cooker is called by its nickname alone where there is little room
    found |= {name.partition(", ")[0] for name in found} | set(SIZES)
    plain = sorted((name for name in found if "\u030a" not in name), key=len, reverse=True)
    return re.compile("|".join(re.escape(name) for name in plain if len(name) > 1))


@pytest.mark.parametrize("state", some(STATES, 1, usual=6))
def test_no_word_outside_the_catalogs_and_no_metric_unit(
    page: Page, kitchen: str, typed: re.Pattern[str], state: str
) -> None:
    address, act = STATES[state]
    page.add_init_script(COUNT_REQUESTS)
    page.goto(kitchen + address)
    at_rest(page, "en-US", MARKED)
    if act is not None:
        act(page, MARKED)
        at_rest(page, "en-US", MARKED)
    texts = seen(page, "en-US", MARKED)  # until the app has answered nobody knows which
    assert any(MARKED_LETTER.search(text) for text in texts)
    plain = {
        text
        for text in texts
        if re.search("[A-Za-z]{2}", SIGNS.sub("", MARKED_LETTER.sub("", typed.sub("", text))))
    }
    assert not plain, "\n".join(sorted(plain))
    metric = [text for text in texts if METRIC.search(BOTH.sub("", text.replace("\u030a", "")))]
    assert not metric, "\n".join(metric)
