"""The first minutes of an empty kitchen: what the app asks once, and what it does with it."""

import json
from pathlib import Path
from urllib.request import urlopen

from playwright.sync_api import Page, expect

from tests.browser.words import screen
from tests.live import serving


def test_the_first_run_sets_the_kitchen_up(page: Page, tmp_path: Path) -> None:
    with serving(tmp_path, demo=False) as address:
        page.goto(f"{address}/plan")
        setup = page.get_by_role("form", name=screen("plan-your-kitchen-2"))
        expect(setup).to_be_visible()
        setup.get_by_role("radio", name=screen("shared-lb-in-cups-f")).click()
        setup.get_by_role("radio", name=screen("shared-british")).click()
        setup.get_by_label(screen("plan-altitude")).fill("3770 ft")
        setup.get_by_label(screen("plan-people-at-the-table")).fill("6")
        setup.get_by_role("button", name=screen("plan-save-my-kitchen")).click()
        expect(setup).to_be_hidden()
        with urlopen(f"{address}/api/household") as reply:
            home = json.load(reply)
    told = (home["units"], home["locale"], home["servings"], home["introduced"])
    assert told == ("us", "en-GB", 6, True)
    assert home["altitude_shown"]["us"] == "3770 ft"
