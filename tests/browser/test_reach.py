"""Without a mouse and with large or wide letters: where the focus goes, and that nothing is cut."""

import re

import httpx2
import pytest
from playwright.sync_api import Page, expect

from tests import some
from tests.browser.conftest import BRISKET
from tests.browser.test_sound import VIEWS
from tests.browser.words import screen
from tests.conftest import BRISKET as PLAN

SPACED = """() => {
  const sheet = new CSSStyleSheet();
  sheet.replaceSync(`* { line-height: 1.5 !important; letter-spacing: 0.12em !important;
    word-spacing: 0.16em !important; } p { margin-bottom: 2em !important; }`);
  document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet];
}"""
"""The distances of WCAG 2.2, success criterion 1.4.12."""
CUT_OFF = """() => {
  const wide = document.documentElement.scrollWidth - document.documentElement.clientWidth;
  const found = wide > 0 ? [`the page is ${wide} px too wide`] : [];
  for (const box of document.querySelectorAll('#main *')) {
    const look = getComputedStyle(box);
    const hides = /hidden|clip/.test(look.overflowX + look.overflowY);
    const words = [...box.childNodes].some((node) => node.nodeType === 3 && node.data.trim());
    if (!hides || !words || box.closest('.sr-only') || look.textOverflow === 'ellipsis') continue;
    const blank = 0.5 * parseFloat(look.fontSize);  // below the feet of digits there is no ink
    if (box.scrollWidth > box.clientWidth + 1 || box.scrollHeight > box.clientHeight + blank)
      found.push(box.textContent.slice(0, 60));
  }
  return found;
}"""


def settle(page: Page, path: str) -> None:
    page.goto(path)
    expect(page.locator("#main")).to_contain_text(re.compile(r"\w{4}"))
    page.wait_for_timeout(200)


@pytest.mark.parametrize("path", some([*VIEWS, BRISKET], 2, usual=4))
def test_text_with_wide_spacing_is_not_cut(page: Page, path: str) -> None:
    settle(page, path)
    page.evaluate(SPACED)
    assert page.evaluate(CUT_OFF) == []


@pytest.mark.browser_context_args(viewport={"width": 640, "height": 400}, device_scale_factor=2)
@pytest.mark.parametrize("path", some([BRISKET, *VIEWS], 2, usual=4))
def test_twice_as_large_on_a_laptop(page: Page, path: str) -> None:
    """1280 by 800 at 200 %, as a browser's zoom makes it (WCAG 2.2, 1.4.4)."""
    settle(page, path)
    assert page.evaluate(CUT_OFF) == []
    if path == BRISKET:
        page.get_by_test_id("hold").scroll_into_view_if_needed()
        expect(page.get_by_test_id("hold")).to_be_in_viewport()


def test_a_dialog_gives_the_focus_back(page: Page) -> None:
    opens = (
        (BRISKET, "Save plan"),
        ("/kitchen", "Add your own cooker"),
    )
    for path, name in opens:
        page.goto(path)
        opener = page.get_by_role("button", name=name)
        expect(opener).to_be_enabled()
        opener.press("Enter")
        dialog = page.get_by_role("dialog")
        expect(dialog).to_be_visible()
        expect(dialog.locator(":focus")).to_have_count(1)
        page.keyboard.press("Escape")
        expect(dialog).to_have_count(0)
        expect(opener).to_be_focused()


def test_what_vanishes_hands_the_focus_to_its_undo(page: Page, address: str) -> None:
    made = httpx2.post(f"{address}/api/plans", json={"name": "Soon gone", "inputs": PLAN}).json()
    page.goto("/plan/saved")
    row = page.get_by_role("listitem").filter(has_text="Soon gone")
    row.get_by_role("button", name=screen("log-delete")).press("Enter")
    undo = page.get_by_role("button", name=screen("shared-undo"))
    expect(undo).to_be_focused()
    undo.press("Enter")
    expect(row).to_be_visible()
    expect(undo).to_have_count(0)
    # not at the top of the browser again: Tab goes on from the page
    expect(page.locator("#main")).to_be_focused()
    httpx2.delete(f"{address}/api/plans/{made['id']}")


def test_an_answer_to_an_older_question_is_pale_and_busy(page: Page, address: str) -> None:
    """Convert: while the server works, what it said before is marked, and again black after."""
    page.goto("/convert")
    page.get_by_role("link", name=re.compile("Short ribs", re.I)).first.click()
    busy = page.locator("#main [aria-busy=true]")
    expect(page.locator("#main [aria-busy=false]")).to_be_visible()
    expect(busy).to_have_count(0)
    page.route("**/api/recipes/convert", lambda _: None)
    page.get_by_label(screen("convert-in-the-cooker")).select_option(index=1)
    expect(busy).to_have_count(1)
    expect(busy).to_have_class(re.compile("stale"))
    page.unroute("**/api/recipes/convert")


def test_work_after_an_update_is_shown_and_over_when_it_is(page: Page, address: str) -> None:
    healthy = httpx2.get(f"{address}/api/health").json()
    assert healthy["relearning"] is None
    page.route(
        "**/api/health",
        lambda route: route.fulfill(json={**healthy, "relearning": {"done": 3, "of": 12}}),
    )
    page.goto("/log")
    told = page.get_by_role("status").filter(has_text="is reading the log again")
    expect(told).to_contain_text("3 of 12 cooks")
    page.unroute("**/api/health")
    expect(told).to_have_count(0)
