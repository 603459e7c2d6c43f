"""The real build in Debian's Chromium, served by the real program with the demo."""

import os
from collections.abc import Iterator
from typing import Any
from urllib.parse import urlsplit

import pytest
from playwright.sync_api import BrowserContext, Locator, Page, expect

from tests.live import PATIENCE_S, WORKER, chromium, serving

expect.set_options(timeout=1000 * PATIENCE_S)

FLAGS = [
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
    "--disable-dev-shm-usage",
]
DESK = {"width": 1280, "height": 800}
PHONE = {"width": 390, "height": 844}
BRISKET = "/plan?cut=brisket_flat&pieces=2&weight=3+lb+2+oz&thickness=1+3/4+in"


@pytest.fixture(scope="session")
def browser_type_launch_args() -> dict[str, Any]:
    root = ["--no-sandbox"] if os.geteuid() == 0 else []  # Chromium refuses root otherwise
    return {"executable_path": str(chromium()), "args": [*FLAGS, *root]}


@pytest.fixture(scope="session")
def address(tmp_path_factory: pytest.TempPathFactory) -> Iterator[str]:
    # one worker's program fills its empty folder with the demo, as a first start does
    with serving(tmp_path_factory.mktemp("browser"), demo=True, fresh=WORKER == 0) as served:
        yield served


@pytest.fixture(autouse=True)
def patience(context: BrowserContext) -> None:
    """A press or a page has as long as what is expected of it."""
    context.set_default_timeout(1000 * PATIENCE_S)


@pytest.fixture
def browser_context_args(address: str) -> dict[str, Any]:
    return {"viewport": DESK, "base_url": address, "color_scheme": "light"}


def own_alert(page: Page) -> Locator:
    """What a view complains of; not the bar above it, where the timers of other cooks ring."""
    return page.locator("[role=alert]:not(.print\\:hidden)")


@pytest.fixture
def outside(context: BrowserContext, address: str) -> list[str]:
    """Requests that left the app's own address; a test asserts that there are none."""
    found: list[str] = []
    own = urlsplit(address).netloc

    def note(url: str) -> None:
        if not url.startswith("data:") and urlsplit(url).netloc != own:
            found.append(url)

    context.on("request", lambda request: note(request.url))
    return found


@pytest.fixture
def complaints(page: Page) -> list[str]:
    """What the browser's console complains of: refused styles and scripts, crashes."""
    found: list[str] = []
    page.on("pageerror", lambda error: found.append(str(error)))

    def note(kind: str, text: str) -> None:
        # a 422 is an answer; the browser logs it all the same
        if kind == "error" and "422" not in text:
            found.append(text)

    page.on("console", lambda message: note(message.type, message.text))
    return found
