"""A continuous drag of the thickness, in the real interface: what a moving hand sees.

Twelve seconds of pointer moves, faster than any answer. Counted are the values that were set, the
pictures that came (changes of the curve that were painted), and how old the value of a picture was
when it was painted. `python3 dev.py bench` runs it and writes docs/performance.md; it is no gate.
"""

import math
import tempfile
import time
from dataclasses import dataclass
from pathlib import Path

import numpy as np
from playwright.sync_api import sync_playwright

from tests.live import chromium, serving

PAGE = Path(__file__).parents[2] / "docs" / "performance.md"
SECONDS = 12
WISH = "/?cut=brisket_flat&pieces=2&weight=1.4+kg&thickness=4.5+cm&pot=tenor"
WATCH = """() => {
  const field = () => Math.round(
    10 * parseFloat(document.querySelector('input[placeholder="4.5 cm"]').value));
  const shown = () => Number(document.querySelector('[data-testid=hold]').dataset.thicknessMm);
  const setAt = new Map();   // thickness [mm] -> when it was set last
  const found = {values: 0, lags: [], going: true};
  let picture = shown(), last = field();
  const look = () => {
    const typed = field();
    if (typed !== last) { found.values += 1; last = typed; setAt.set(typed, performance.now()); }
    const now = shown();
    if (now !== picture) {
      picture = now;
      if (setAt.has(now)) found.lags.push(performance.now() - setAt.get(now));
    }
    if (found.going) requestAnimationFrame(() => setTimeout(look));
  };
  look();
  window.dragged = {found, field, shown};
}"""
STOP = """() => {
  const {found, field, shown} = window.dragged;
  found.going = false;
  return {...found, field: field(), shown: shown()};
}"""
MOVE_S = 0.008


@dataclass(frozen=True, slots=True)
class Drag:
    """What a drag of `SECONDS` came to."""

    values: int
    pictures_s: float
    lag_p50_ms: float
    lag_p95_ms: float
    last_answered: bool


def measure() -> Drag:
    """One drag on a fresh demo."""
    with (
        tempfile.TemporaryDirectory() as folder,
        serving(Path(folder), demo=True) as address,
        sync_playwright() as play,
    ):
        browser = play.chromium.launch(executable_path=chromium(), args=["--no-sandbox"])
        page = browser.new_page(viewport={"width": 1280, "height": 800})
        page.goto(address + WISH)
        page.get_by_test_id("hold").wait_for()
        page.evaluate(WATCH)
        thumb = page.locator('[aria-label="thickness, drag"]').bounding_box()
        assert thumb is not None
        x, y = thumb["x"] + thumb["width"] / 2, thumb["y"] + thumb["height"] / 2
        page.mouse.move(x, y)
        page.mouse.down()
        begin = time.monotonic()
        while (at := time.monotonic() - begin) < SECONDS:
            page.mouse.move(x + 35 * math.sin(2.0 * at), y)
            time.sleep(MOVE_S)
        page.mouse.up()
        page.wait_for_timeout(1500)
        found = page.evaluate(STOP)
        browser.close()
    lags = found["lags"] or [float("inf")]
    return Drag(
        found["values"],
        len(found["lags"]) / SECONDS,
        float(np.percentile(lags, 50)),
        float(np.percentile(lags, 95)),
        found["shown"] == found["field"],
    )


if __name__ == "__main__":
    drag = measure()
    line = (
        f"Dragging the thickness for {SECONDS} s (headless, two cores): {drag.values} values set, "
        f"{drag.pictures_s:.0f} pictures a second (aim: 20), the value of a "
        f"picture {drag.lag_p50_ms:.0f} ms old when it is painted, 95th percentile "
        f"{drag.lag_p95_ms:.0f} ms; the last value was {'' if drag.last_answered else 'not '}"
        "answered."
    )
    print(line)
    text = PAGE.read_text(encoding="utf-8").rstrip()
    PAGE.write_text(f"{text}\n\n{line}\n", encoding="utf-8")
