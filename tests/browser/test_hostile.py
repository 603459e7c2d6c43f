"""Script in every text field: it is shown as text on every view, and runs nowhere."""

from collections.abc import Iterator
from pathlib import Path
from typing import Any

import pytest
from playwright.sync_api import Page, expect

from tests.browser.words import screen
from tests.live import serving

BAD = "<img src=x onerror=window.pwned=1><script>window.pwned=1</script>"
BRISKET = {"cut": "brisket_flat", "count": 2, "mass": "1.4 kg", "thickness": "4.5 cm"}


class Kitchen:
    """A data folder of its own, filled over the wire."""

    def __init__(self, page: Page, address: str) -> None:
        self.page, self.address = page, address
        ready = self.ask("GET", "/api/pots")["pots"][0]
        self.pot: str = ready["id"]

    def ask(self, method: str, path: str, body: object = None) -> dict[str, Any]:
        reply = self.page.request.fetch(f"{self.address}{path}", method=method, data=body)
        assert reply.ok, f"{method} {path}: {reply.text()}"
        found: dict[str, Any] = {} if reply.status == 204 else reply.json()
        return found

    def cook(self, name: str) -> str:
        """A cook with bad text wherever text goes."""
        card = {
            "title": f"recipe {BAD}",
            "ingredients": [f"salt {BAD}"],
            "steps": [{"kind": "season", "text": f"season {BAD}"}],
        }
        plan = {"pieces": [BRISKET], "pot": self.pot}
        body = {"name": f"{name} {BAD}", "plan": plan, "recipe": card}
        cook: str = self.ask("POST", "/api/cooks", body)["id"]
        timer = {"step_id": "season", "timer_id": "timer-one", "title": BAD[:80], "seconds": 900}
        self.tell(cook, "timer_started", **timer)
        return cook

    def close(self, cook: str) -> None:
        piece = {"texture": "tender", "group": 0, "number": 1, "mark": "<b>on</b>"}
        self.tell(cook, "outcome", pieces=[piece, {**piece, "number": 2, "mark": "<i>off</i>"}])
        self.tell(cook, "note", text=f"note {BAD}")
        self.tell(cook, "ended")

    def tell(self, cook: str, kind: str, **body: object) -> None:
        told = {"key": f"{kind}-key", "kind": kind, **body}
        self.ask("POST", f"/api/cooks/{cook}/events", told)


@pytest.fixture
def kitchen(page: Page, tmp_path: Path) -> Iterator[Kitchen]:
    with serving(tmp_path, demo=True) as address:
        yield Kitchen(page, address)


def test_script_in_every_text_field_is_text(kitchen: Kitchen, complaints: list[str]) -> None:
    page = kitchen.page
    person = kitchen.ask("POST", "/api/people", {"name": f"Ann {BAD}"})["id"]
    plan = {"pieces": [BRISKET], "pot": kitchen.pot}
    kitchen.ask("POST", "/api/plans", {"name": f"Plan {BAD}", "person_id": person, "inputs": plan})
    household = kitchen.ask("GET", "/api/household")
    typed = {name: household[name] for name in ("units", "taste_step")}
    kitchen.ask(
        "PUT",
        "/api/household",
        {**typed, "name": f"Home {BAD}", "altitude": "1150 m", "start": "4 °C"},
    )
    day = {
        "table": "2027-01-02T18:00:00Z",
        "dishes": [{"dish_id": "dish-1", "title": f"Dish {BAD}", "plan": plan}],
    }
    shop = {"dish-1": [{"section": "meat", "items": [f"ribs {BAD}"]}]}
    kitchen.ask("POST", "/api/schedules", {"name": f"Day {BAD}", "day": day, "shopping": shop})
    running, first, second = (kitchen.cook(name) for name in ("Runs", "One", "Two"))
    for cook in (first, second):
        kitchen.close(cook)

    seen = {
        "/plan/saved": ("Plan <img", "Ann <img"),
        "/cook": ("Runs <img",),
        f"/cook?cook={running}": ("Runs <img", "season <img", "recipe <img"),
        "/log": ("One <img", "note <img"),
        f"/log?cook={first}": ("One <img", "note: note <img", "(<b>on</b>)", "<i>off</i>"),
        f"/log?cook={first}&with={second}": ("One <img", "Two <img"),
        "/schedule": (),
        "/kitchen": (),
    }
    for path, texts in seen.items():
        page.goto(f"{kitchen.address}{path}")
        for text in texts:
            expect(page.locator("main, body").first).to_contain_text(text)
        if path == "/schedule":
            page.get_by_label(screen("schedule-open-a-saved-schedule")).select_option(
                label=f"Day {BAD}"
            )
            expect(page.get_by_text("Dish <img").first).to_be_visible()
            expect(page.get_by_text("ribs <img").first).to_be_attached()
        if path == "/kitchen":
            expect(page.get_by_label(screen("plan-name"), exact=True)).to_have_value(f"Home {BAD}")
        assert page.evaluate("window.pwned === undefined"), path
        assert page.locator("img[src=x]").count() == 0, path
    # nor did the page's policy have to refuse anything
    assert [text for text in complaints if "Content Security Policy" in text] == []
