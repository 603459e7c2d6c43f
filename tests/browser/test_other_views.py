"""Plans and Kit, and what holds for every view."""

import re
from itertools import repeat
from typing import Any, Literal

import pytest
from axe_playwright_python.sync_playwright import Axe
from playwright.sync_api import Page, expect

from tests import some
from tests.browser.conftest import BRISKET, PHONE, own_alert
from tests.browser.words import screen

VIEWS = {
    "plan": BRISKET,
    "empty plan": "/plan?cut=back_ribs",
    "plans": "/plan/saved",
    "kit": "/kitchen",
    "guide": "/guide",
}


COLORS = {"runOnly": {"type": "rule", "values": ["color-contrast"]}}
"""All that a dark page may do worse than the light one, which has the same elements."""


def axe_clean(page: Page, options: dict[str, Any] | None = None) -> None:
    # WCAG 2.5.8: a target has 24 px, or room around it; axe looks at that only when it is asked
    results = Axe().run(page, options=options or {"rules": {"target-size": {"enabled": True}}})
    assert results.violations_count == 0, results.generate_report()


@pytest.mark.parametrize(
    ("view", "scheme"),
    [
        *zip(VIEWS, repeat("light"), strict=False),
        *zip(some(VIEWS, 3), repeat("dark"), strict=False),
    ],
)
def test_axe(page: Page, view: str, scheme: Literal["light", "dark"]) -> None:
    page.emulate_media(color_scheme=scheme)
    page.goto(VIEWS[view])
    page.wait_for_load_state("networkidle")
    expect(page.locator("html")).to_have_attribute("data-theme", scheme)
    # each view comes when it is first needed; until then its heading says so
    loading = re.compile(f"{screen('app-loading-the-page')}|{screen('shared-loading')}")
    expect(page.locator("h1").filter(has_not_text=loading).first).to_be_visible()
    axe_clean(page, COLORS if scheme == "dark" else None)


def test_the_guide_says_that_it_loads(page: Page) -> None:
    """It was an empty page until its words came."""
    page.route("**/api/guide", lambda _: None)  # as slow as can be
    with page.expect_request("**/api/guide"):  # the view is there, and asks for its words
        page.goto("/guide")
    expect(page.get_by_role("heading", name=screen("app-loading-the-page"))).to_be_visible()


@pytest.mark.parametrize(
    ("view", "asked"), [("/cook", "plans"), ("/log", "cooks"), ("/convert", "recipes")]
)
def test_a_list_says_that_it_loads(page: Page, view: str, asked: str) -> None:
    """Where a list had not come yet stood nothing, as if there were none."""
    page.route(re.compile(rf"/api/{asked}(\?|$)"), lambda _: None)  # as slow as can be
    page.goto(view)
    expect(page.get_by_text(screen("shared-loading"))).to_be_visible()


def test_axe_on_a_dialog_and_on_trouble(page: Page) -> None:
    page.goto(BRISKET)
    page.get_by_role("tab", name=screen("plan-what-if")).click()
    expect(page.get_by_role("table")).to_be_visible()
    axe_clean(page)
    page.get_by_role("button", name=screen("plan-save-plan")).click()
    expect(page.get_by_role("dialog")).to_be_visible()
    axe_clean(page)
    page.keyboard.press("Escape")
    expect(page.get_by_role("dialog")).to_have_count(0)
    page.get_by_label(screen("saved-liquid"), exact=True).fill("9 l")
    expect(own_alert(page)).to_be_visible()
    axe_clean(page)


def test_axe_on_the_phone(page: Page) -> None:
    page.set_viewport_size({"width": PHONE["width"], "height": PHONE["height"]})
    page.goto(BRISKET)
    expect(page.get_by_test_id("hold")).to_be_visible()
    axe_clean(page)


def test_theme_is_kept(page: Page) -> None:
    page.goto("/plan/saved")
    page.get_by_role("button", name=screen("app-dark-colors")).click()
    page.reload()
    expect(page.locator("html")).to_have_attribute("data-theme", "dark")
    page.get_by_role("button", name=screen("app-light-colors")).click()
    expect(page.locator("html")).to_have_attribute("data-theme", "light")


def test_delete_can_be_undone_and_names_changed(page: Page) -> None:
    page.goto("/plan/saved")
    rows = page.get_by_role("list", name=screen("saved-saved-plans-2")).get_by_role("listitem")
    expect(rows.filter(has_text="Snowed-in shoulder")).to_have_count(1)
    page.get_by_role("button", name="delete Snowed-in shoulder, the whole choir").click()
    expect(rows.filter(has_text="Snowed-in shoulder")).to_have_count(0)
    page.get_by_role("button", name=screen("log-undo")).click()
    expect(rows.filter(has_text="Snowed-in shoulder")).to_have_count(1)
    page.get_by_role("button", name="rename Ribs off the bone for the basses").click()
    page.get_by_label(screen("saved-new-name")).fill("Ribs for everybody")
    page.keyboard.press("Enter")
    expect(rows.filter(has_text="Ribs for everybody")).to_have_count(1)


def test_household_moves_every_plan_and_stored_ones_keep_their_numbers(page: Page) -> None:
    page.goto("/plan/saved")
    page.get_by_role("button", name="Alto section supper", exact=True).click()
    stored = page.get_by_test_id("stored")
    expect(stored).to_contain_text("Saved with a cook time of")
    # as it was stored, whatever other cooks have taught since
    kept = re.search(r"cook time of (\d+)", stored.inner_text())
    assert kept is not None
    before = kept[1]
    page.get_by_role("link", name=screen("kitchen-my-kitchen")).click()
    page.get_by_label(screen("kitchen-altitude")).fill("high up")
    page.get_by_role("button", name=screen("kitchen-save")).click()
    expect(own_alert(page)).to_contain_text("is not a measure")
    page.get_by_label(screen("kitchen-altitude")).fill("2300 m")
    page.get_by_role("button", name=screen("kitchen-save")).click()
    page.get_by_role("link", name=screen("plan-plan"), exact=True).click()
    expect(stored).to_contain_text("Recalculated, it differs")
    expect(stored).to_contain_text(f"cook time of {before}")
    expect(stored).to_contain_text(re.compile(r"Cook time: \d+\smin → \d+\smin"))
    page.get_by_role("button", name=screen("plan-save-the-new-numbers")).click()
    expect(stored).not_to_contain_text("differs")
    expect(stored).not_to_contain_text(f"cook time of {before}")
    page.get_by_role("link", name=screen("kitchen-my-kitchen")).click()
    page.get_by_label(screen("kitchen-altitude")).fill("1150 m")
    page.get_by_role("button", name=screen("kitchen-save")).click()
    expect(page.get_by_label(screen("kitchen-altitude"))).to_have_value("1150 m")


def test_pots_are_taken_in_and_put_away(page: Page) -> None:
    page.goto("/kitchen")
    pots = page.get_by_role("heading", level=3)
    expect(pots).to_have_text(["Tenor, 6-quart cooker (5.7 L)", "Bass, 8-quart cooker (7.6 L)"])
    page.get_by_role("button", name="3-quart cooker (3 L)").click()
    expect(pots).to_have_count(3)
    page.get_by_role("button", name="remove 3-quart cooker (3 L)").click()
    expect(pots).to_have_count(2)
    page.get_by_role("button", name=screen("log-undo")).click()
    expect(pots).to_have_count(3)


def test_an_address_of_nothing(page: Page) -> None:
    page.goto("/nowhere")
    page.get_by_role("link", name=screen("app-go-to-plan")).click()
    expect(page.get_by_role("list", name=screen("plan-examples"))).to_be_visible()


def test_what_did_not_get_through_is_said_at_the_foot(page: Page) -> None:
    crashes: list[str] = []
    page.on("pageerror", lambda error: crashes.append(str(error)))
    page.goto("/plan/saved")
    rows = page.get_by_role("list", name=screen("saved-saved-plans-2"))
    expect(rows).to_be_visible()
    page.route("**/api/plans/*", lambda route: route.abort())
    rows.get_by_role("button", name="Alto section supper", exact=True).click()
    slip = page.get_by_role("status").filter(has_text=screen("app-the-app-does-not-answer-2"))
    expect(slip).to_be_visible()
    axe_clean(page)
    slip.get_by_role("button", name=screen("ui-ok")).click()
    expect(slip).to_have_count(0)
    rows.get_by_role("button", name="delete Alto section supper").click()
    expect(slip).to_be_visible()
    page.unroute("**/api/plans/*")
    # it is back: what gets through takes the word away
    rows.get_by_role("button", name="Alto section supper", exact=True).click()
    expect(page.get_by_test_id("hold")).to_be_visible()
    expect(slip).to_have_count(0)
    # a refusal that no place of its own says: another window was quicker
    page.goto("/plan/saved")
    made = page.request.get("/api/plans").json()["plans"][0]
    copied = page.request.get(f"/api/plans/{made['id']}").json()
    body = {"name": "Gone meanwhile", "inputs": copied["inputs"]}
    gone = page.request.post("/api/plans", data=body).json()
    page.reload()
    expect(rows).to_contain_text("Gone meanwhile")
    page.request.delete(f"/api/plans/{gone['id']}")
    rows.get_by_role("button", name="Gone meanwhile", exact=True).click()
    expect(page.get_by_role("status")).to_contain_text("There is no such plan here")
    assert crashes == []
