"""Two kitchens: nothing on any page is in a unit the household does not use.

Left out are what a person typed (recipes, titles, notes and measures in a field) and temperatures
for safety, which stand in both systems. The size of a cooker is its name: "6-quart cooker (5.7 L)".
US units are usually looked at with marked words (`test_marked_words.py`), here with `--deep`.
"""

import json
import re
from collections.abc import Callable, Iterator
from typing import Literal, TypeAlias
from urllib.request import Request, urlopen

import pytest
from playwright.sync_api import Page, expect

from pneumachron.text.reader import LOCALES, Locale
from tests import only_deep, some
from tests.browser.conftest import BRISKET, own_alert
from tests.browser.words import screen
from tests.live import serving

NUMBER = r"(?:\d|[½¼¾⅓⅔⅛⅜⅝⅞])[\s\u00a0-]?"
METRIC = re.compile(NUMBER + r"(?:°C|kg|g|cm|mm|m|ml|l|kPa|bar)(?![\w/²³])")
US = re.compile(
    NUMBER + r"(?:°F|lb|oz|in(?! the )|ft|psi|cups?|Tbsp|tsp|qt|inch(?:es)?|quarts?)(?!\w)"
)
BOTH = re.compile(
    r"\d-quart cooker(?: \([\d.]+ L\))?"
    r"|\d+\s°F(?: or \w+)?,? \(\d+(?:[–-]\d+)?\s°C\)"
    r"|\d+\s°C(?: or \w+)?,? \(\d+(?:[–-]\d+)?\s°F\)"
)

SEEN = """() => {
  const typed = "[data-typed], textarea, pre, code";
  const told = ["placeholder", "title", "aria-label", "aria-valuetext"];
  const whole = "p, li, dt, dd, td, th, h1, h2, h3, label, button, text, figcaption, div";
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  const found = [];
  const blocks = new Map();
  while (walker.nextNode()) {
    const node = walker.currentNode;
    const parent = node.parentElement;
    if (!parent || parent.closest(typed) || parent.closest("script, style")) continue;
    const block = parent.closest(whole);
    blocks.set(block, (blocks.get(block) ?? "") + node.data);
  }
  found.push(...blocks.values());
  for (const element of document.querySelectorAll(told.map((name) => `[${name}]`).join())) {
    if (element.closest(typed)) continue;
    for (const name of told) {
      const text = element.getAttribute(name);
      if (text) found.push(text);
    }
  }
  return [...new Set(found.map((text) => text.replace(/[\\n ]+/g, " ").trim()))].filter(Boolean);
}"""


Act: TypeAlias = Callable[[Page, Locale], None]


def tab(message: str) -> Act:
    def press(page: Page, locale: Locale) -> None:
        page.get_by_role("tab", name=screen(message, locale)).click()

    return press


def a_schedule(page: Page, locale: Locale) -> None:
    saved = page.get_by_label(screen("schedule-open-a-saved-schedule", locale))
    saved.select_option(index=1)
    expect(page.get_by_test_id("start")).to_be_visible()


def a_conversion(page: Page, locale: Locale) -> None:
    page.get_by_role("button", name="Rehearsal-night").or_(
        page.get_by_role("link", name="Rehearsal-night")
    ).first.click()
    expect(page.get_by_text(screen("convert-loading-the-recipe", locale))).to_have_count(0)


def an_entry(page: Page, _locale: Locale) -> None:
    page.get_by_role("link", name="Ribs two ways").first.click()
    expect(page.get_by_role("heading", level=1)).to_be_visible()


def a_cook(page: Page, locale: Locale) -> None:
    page.get_by_role("button", name=screen("shared-start-cooking", locale)).first.click()
    page.wait_for_url("**/cook**")


def too_thick(page: Page, locale: Locale) -> None:
    weight = page.get_by_label(screen("plan-weight", locale), exact=True)
    us = "lb" in str(weight.get_attribute("placeholder")).replace("\u030a", "")
    thickness = page.get_by_label(screen("plan-thickness", locale), exact=True)
    thickness.fill("9 in" if us else "23 cm")
    own_alert(page).wait_for()


STATES: dict[str, tuple[str, Act | None]] = {
    "start": ("/plan", None),
    "plan": (BRISKET, None),
    **{
        f"plan: {name}": (BRISKET, tab(f"plan-{name}"))
        for name in (
            "steps", "what-if", "ready-by", "prep-and-serving", "sauce-and-sides",
            "check-a-recipes-time", "not-done",
        )
    },
    "plan: what does not fit": (BRISKET, too_thick),
    "plan: ribs": ("/plan?cut=back_ribs&pieces=2", None),
    "plan: typed in the other unit": (BRISKET.replace("3+lb+2+oz", "1.4+kg"), None),
    "saved plans": ("/plan/saved", None),
    "convert": ("/convert", None),
    "convert: a recipe": ("/convert", a_conversion),
    "schedule": ("/schedule", None),
    "schedule: saved": ("/schedule", a_schedule),
    "cook: none": ("/cook", None),
    "cook": (BRISKET, a_cook),
    "log": ("/log", None),
    "log: an entry": ("/log", an_entry),
    "my kitchen": ("/kitchen", None),
    "guide": ("/guide", None),
}  # fmt: skip


def household(address: str, **changes: str) -> None:
    with urlopen(f"{address}/api/household") as reply:
        home = json.load(reply)
    body = {
        "name": home["name"],
        "units": home["units"],
        "altitude": home["altitude_shown"]["metric"],
        "start": home["start_shown"]["metric"],
        **changes,
    }
    request = Request(
        f"{address}/api/household",
        json.dumps(body).encode(),
        {"Content-Type": "application/json"},
        method="PUT",
    )
    urlopen(request).close()


@pytest.fixture(scope="module")
def kitchen(tmp_path_factory: pytest.TempPathFactory) -> Iterator[str]:
    with serving(tmp_path_factory.mktemp("kitchen"), demo=True) as address:
        yield address


COUNT_REQUESTS = """
  window.underWay = 0;
  const sent = window.fetch;
  window.fetch = async (...request) => {
    window.underWay += 1;
    try { return await sent(...request); } finally { window.underWay -= 1; }
  };
"""
"""Puts a count of the requests that are under way into a page, before its own scripts run."""
AT_REST = """async () => {
  for (let quiet = 0; quiet < 3; ) {
    await new Promise((go) => setTimeout(go, 50));
    quiet = window.underWay === 0 ? quiet + 1 : 0;
  }
}"""
"""Until nothing was asked for a while; half a second, as the browser's driver waits, is long."""


def at_rest(page: Page, *locales: Locale) -> None:
    """Wait until the view itself is there, with all it asked for."""
    expect(page.get_by_role("main")).to_contain_text(re.compile("(?:[^\\W\\d_]\u030a?){4}"))
    for locale in locales:
        expect(page.get_by_text(screen("app-loading-the-page", locale))).to_have_count(0)
    page.evaluate(AT_REST)


LEAST_TEXTS = 8
"""On any view, once it is there."""


def seen(page: Page, *locales: Locale) -> list[str]:
    """All texts of a page that has come whole: what is on it comes in pieces."""
    for locale in locales:
        for message in ("shared-loading", "app-loading-the-page", "convert-loading-the-recipe"):
            expect(page.get_by_text(screen(message, locale))).to_have_count(0)
    texts: list[str] = page.evaluate(SEEN)
    for _ in range(100):
        if len(texts) > LEAST_TEXTS:
            break
        page.wait_for_timeout(200)
        texts = page.evaluate(SEEN)
    assert len(texts) > LEAST_TEXTS, texts
    return texts


@pytest.mark.parametrize("units", [pytest.param("us", marks=only_deep), "metric"])
@pytest.mark.parametrize("state", some(STATES, 1, 1, usual=6))
def test_no_unit_of_the_other_kitchen(
    page: Page, kitchen: str, state: str, units: Literal["us", "metric"]
) -> None:
    locale = LOCALES[units == "metric"]
    household(kitchen, units=units, locale=locale)
    address, act = STATES[state]
    page.add_init_script(COUNT_REQUESTS)
    page.goto(kitchen + address)
    at_rest(page, locale)
    if act is not None:
        act(page, locale)
        at_rest(page, locale)
    foreign = METRIC if units == "us" else US
    texts = seen(page, locale)
    wrong = [text for text in texts if foreign.search(BOTH.sub("", text))]
    assert not wrong, "\n".join(wrong)
