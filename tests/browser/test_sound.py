"""The page holds: without storage, with a full one, without the app, in two tabs, when it rings."""

import re
from pathlib import Path

import httpx2
import pytest
from playwright.sync_api import Browser, BrowserContext, Page, expect

from tests import only_deep
from tests.browser.conftest import BRISKET, DESK, PHONE
from tests.browser.words import screen
from tests.conftest import BRISKET as PLAN
from tests.live import PATIENCE_S, free_port, serving

VIEWS = {
    "/plan": "Plan", "/convert": "Convert", "/schedule": "Schedule", "/cook": "Cook", "/log": "Log",
    "/plan/saved": "Saved plans", "/kitchen": "My kitchen", "/guide": "Guide",
}  # fmt: skip
BLOCKED = """
  for (const name of ['localStorage', 'sessionStorage'])
    Object.defineProperty(window, name, {get() { throw new DOMException('no', 'SecurityError'); }});
"""
FULL = """
  Storage.prototype.setItem = () => { throw new DOMException('full', 'QuotaExceededError'); };
"""


@pytest.mark.parametrize("state", [BLOCKED, FULL], ids=["blocked", "full"])
def test_every_view_stands_without_storage(page: Page, complaints: list[str], state: str) -> None:
    page.add_init_script(state)
    for path in VIEWS:
        page.goto(path)
        expect(page.locator("#main")).to_contain_text(re.compile(r"\w{4}"))
        expect(page.get_by_text(screen("app-this-page-could-not-be-shown"))).to_have_count(0)
    page.goto(BRISKET)
    expect(page.get_by_test_id("hold")).to_be_visible()
    field = page.get_by_label(screen("plan-thickness"), exact=True)
    field.fill("2 in")
    field.press_sequentially("ches")
    expect(field).to_have_value("2 inches")
    expect(page.get_by_test_id("hold")).to_be_visible()
    assert complaints == []


def begin(address: str, seconds: float, name: str = "Ringing supper") -> tuple[str, str]:
    """A cook with a timer, over the API."""
    cook = httpx2.post(
        f"{address}/api/cooks", json={"name": name, "plan": PLAN}, timeout=PATIENCE_S
    ).json()["id"]
    timer = f"timer-{name[:4].lower()}"
    event = {"key": timer, "kind": "timer_started", "timer_id": timer, "step_id": "season",
             "title": "oven hot", "seconds": seconds}  # fmt: skip
    assert (
        httpx2.post(
            f"{address}/api/cooks/{cook}/events", json=event, timeout=PATIENCE_S
        ).status_code
        == 200
    )
    return cook, timer


def end_what_runs(address: str) -> None:
    """Cooks that other tests left under way ring too, when the machine is slow enough."""
    running = httpx2.get(
        f"{address}/api/cooks", params={"running": True}, timeout=PATIENCE_S
    ).json()["cooks"]
    for cook in running:
        over = {"key": "over-for-others", "kind": "abandoned"}
        httpx2.post(
            f"{address}/api/cooks/{cook['id']}/events", json=over, timeout=PATIENCE_S
        ).raise_for_status()


def test_a_due_timer_stands_on_every_view_until_it_is_heard(page: Page, address: str) -> None:
    end_what_runs(address)
    cook, timer = begin(address, 1.0)
    for path, name in VIEWS.items():
        page.goto(path)
        bar = page.get_by_role("alert").filter(has_text="Time is up: oven hot")
        expect(bar).to_contain_text("Ringing supper")
        expect(page).to_have_title(f"oven hot! · {name} · Pneumachron")
    page.get_by_role("button", name=screen("app-ring-out-loud-on-this-device")).click()
    page.reload()
    expect(page.get_by_role("alert").filter(has_text="Time is up")).to_be_visible()
    # it was switched on once, and the device keeps that
    expect(
        page.get_by_role("button", name=screen("app-ring-out-loud-on-this-device"))
    ).to_have_count(0)
    page.get_by_role("button", name=screen("cook-got-it")).click()
    expect(page.get_by_text("Time is up")).to_have_count(0)
    expect(page).to_have_title("Guide · Pneumachron")
    events = httpx2.get(f"{address}/api/cooks/{cook}/events", timeout=PATIENCE_S).json()["events"]
    assert [item["body"] for item in events if item["kind"] == "timer_rang"] == [
        {"timer_id": timer}
    ]
    over = {"key": "over-ringing", "kind": "abandoned"}
    httpx2.post(f"{address}/api/cooks/{cook}/events", json=over, timeout=PATIENCE_S)


def test_minutes_count_down_without_a_connected_cooker(page: Page, address: str) -> None:
    cook, _ = begin(address, 5000.0, "Handmade supper")
    found = httpx2.get(f"{address}/api/cooks/{cook}", timeout=PATIENCE_S).json()
    for step in found["steps"]:
        for number, tick in enumerate(step["ticks"]):
            event = {"key": f"tick-{step['step_id']}-{number}", "kind": "ticked",
                     "step_id": step["step_id"], "tick": tick["code"]}  # fmt: skip
            httpx2.post(f"{address}/api/cooks/{cook}/events", json=event, timeout=PATIENCE_S)
        event = {"key": f"done-{step['step_id']}", "kind": "done", "step_id": step["step_id"]}
        httpx2.post(f"{address}/api/cooks/{cook}/events", json=event, timeout=PATIENCE_S)
        if step["kind"] == "come_up":
            break
    page.goto(f"/cook?cook={cook}")
    expect(page.get_by_test_id("step")).to_contain_text("cooks under pressure")
    countdown = page.get_by_test_id("countdown")
    expect(countdown).to_be_visible()
    first = countdown.inner_text()
    expect(countdown).not_to_have_text(first)
    assert (
        page.evaluate(
            "() => parseFloat(getComputedStyle(document.querySelector('[data-testid=countdown]'))"
            ".fontSize)"
        )
        >= 96
    )
    httpx2.post(
        f"{address}/api/cooks/{cook}/events",
        json={"key": "over-hand", "kind": "abandoned"},
        timeout=PATIENCE_S,
    )


def test_two_tabs_do_not_write_over_each_other(context: BrowserContext, address: str) -> None:
    made = httpx2.post(
        f"{address}/api/plans", json={"name": "Two tabs", "inputs": PLAN}, timeout=PATIENCE_S
    ).json()
    one, two = context.new_page(), context.new_page()
    for tab in (one, two):
        tab.goto("/plan/saved")
        tab.get_by_role("button", name="Two tabs", exact=True).click()
        expect(tab.get_by_test_id("stored")).to_contain_text("Two tabs")
    one.get_by_label(screen("plan-thickness"), exact=True).fill("2 in")
    expect(one.locator("[aria-busy=true]")).to_have_count(0)
    one.get_by_role("button", name=screen("plan-save-changes")).click()
    one.get_by_role("button", name=screen("plan-save"), exact=True).click()
    expect(one.get_by_role("dialog")).to_have_count(0)
    # the other tab sees it without being asked
    expect(two.get_by_test_id("stored")).to_contain_text("has changed, and is not saved yet")
    two.get_by_label(screen("plan-thickness"), exact=True).fill("1 1/2 in")
    expect(two.locator("[aria-busy=true]")).to_have_count(0)
    # over the network somebody changes it once more, unseen
    httpx2.put(f"{address}/api/plans/{made['id']}", json={"name": "Two tabs", "inputs": PLAN})
    two.get_by_role("button", name=screen("plan-save-changes")).click()
    two.get_by_role("button", name=screen("plan-save"), exact=True).click()
    expect(two.get_by_role("dialog")).to_contain_text("was changed in another window")
    two.get_by_role("button", name=screen("ui-keep-my-version")).click()
    expect(two.get_by_role("dialog")).to_have_count(0)
    kept = httpx2.get(f"{address}/api/plans/{made['id']}", timeout=PATIENCE_S).json()
    assert kept["inputs"]["pieces"][0]["thickness"] == "1 1/2 in"


def test_a_phone_counts_on_when_the_app_is_gone_and_sends_what_waits(
    browser: Browser, tmp_path: Path
) -> None:
    port = free_port()
    page = browser.new_page(viewport={"width": PHONE["width"], "height": PHONE["height"]})
    with serving(tmp_path, demo=True, port=port) as address:
        cook, _ = begin(address, 600.0)
        page.goto(f"{address}/cook?cook={cook}")
        expect(page.get_by_role("timer")).to_be_visible()
    expect(
        page.get_by_role("alert").filter(has_text=screen("app-the-app-does-not-answer-2"))
    ).to_be_visible()
    expect(page.get_by_text("This device keeps counting on its own")).to_be_visible()
    before = page.get_by_role("timer").inner_text()
    expect(page.get_by_role("timer")).not_to_have_text(before)
    page.get_by_role("button", name=re.compile("^Done")).click()
    expect(page.get_by_text("One press waits to be sent")).to_be_visible()
    with serving(tmp_path, demo=True, port=port) as address:
        expect(page.get_by_test_id("step")).not_to_contain_text("Trim, measure")
        expect(page.get_by_text(screen("app-the-app-does-not-answer-2"))).to_have_count(0)
        events = httpx2.get(f"{address}/api/cooks/{cook}/events", timeout=PATIENCE_S).json()[
            "events"
        ]
        assert "done" in {event["kind"] for event in events}
    page.close()


@only_deep
def test_long_words_and_small_screens(page: Page, address: str) -> None:
    word = "Brisket" * 17  # one unbroken word of 119 letters
    httpx2.post(f"{address}/api/plans", json={"name": word, "inputs": PLAN}, timeout=PATIENCE_S)
    cook = httpx2.post(
        f"{address}/api/cooks", json={"name": word, "plan": PLAN}, timeout=PATIENCE_S
    ).json()["id"]
    for size in ({"width": 320, "height": 640}, DESK):
        page.set_viewport_size({"width": size["width"], "height": size["height"]})
        for path in (*VIEWS, f"/cook?cook={cook}"):
            page.goto(path)
            expect(page.locator("#main")).to_contain_text(re.compile(r"\w{4}"))
            page.wait_for_timeout(150)
            wide = page.evaluate(
                "() => document.documentElement.scrollWidth - document.documentElement.clientWidth"
            )
            assert wide <= 0, (path, size, wide)
    over = {"key": "over-long", "kind": "abandoned"}
    httpx2.post(f"{address}/api/cooks/{cook}/events", json=over, timeout=PATIENCE_S)
    httpx2.delete(f"{address}/api/cooks/{cook}")
