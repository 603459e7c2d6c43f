"""A log of fifty thousand cooks: how long it takes to come in, and to list, search and compare.

Adds the figures to the page of speeds; `dev.py bench` runs it. Invented rows, for measuring only.
"""

import tempfile
import time
from collections.abc import Callable
from pathlib import Path

import numpy as np
from fastapi.testclient import TestClient

from pneumachron.api.app import LOCAL_HOSTS, create_app
from pneumachron.api.plan_cells import read_plan
from pneumachron.services import log_files, log_rows
from pneumachron.services.households import add_ready_pot
from pneumachron.store.db import Database
from tests.api.test_log_files import csv_of
from tests.conftest import BRISKET

PAGE = Path(__file__).parents[2] / "docs" / "performance.md"
COOKS = 50_000
ASKED = 60
TEXTURES = ("holds", "tender", "very")
CUTS = ("brisket_flat", "back_ribs", "shoulder_boneless")


def rows(count: int) -> list[dict[str, str]]:
    return [
        {
            "cut": CUTS[index % 3],
            "thickness [cm]": "3" if index % 3 == 1 else "4.5",
            "texture": TEXTURES[index % 5 % 3],
            "come up [min]": str(10 + index % 7),
            "note": f"line {index % 997} for next time",
        }
        for index in range(count)
    ]


def percentile_ms(ask: Callable[[int], object]) -> float:
    took = []
    for number in range(ASKED):
        begin = time.perf_counter()
        ask(number)
        took.append(1000 * (time.perf_counter() - begin))
    return float(np.percentile(took, 95))


def main() -> None:
    with tempfile.TemporaryDirectory() as folder:
        database = Database(Path(folder))
        with database.writing() as session:
            pot = add_ready_pot(session, "tenor").pot.name
        text = csv_of(pot, *rows(COOKS))
        begin = time.perf_counter()
        found = log_files.Imported()
        read = log_rows.rows_of(text)
        log_files.read_in_batches(database.session, read, found, read_plan, lambda _: True)
        told = [f"{found.added:,} cooks came in in {time.perf_counter() - begin:.0f} s (aim: 60)"]
        database.close()
        with TestClient(
            create_app(Path(folder), LOCAL_HOSTS), base_url="http://127.0.0.1"
        ) as client:
            ids = [item["id"] for item in client.get("/api/cooks").json()["cooks"]]

            def listed(number: int) -> object:
                return client.get("/api/cooks", params={"offset": 700 * number, "limit": 50})

            def searched(number: int) -> object:
                words = {"search": f"line {number * 13} next", "cut": CUTS[number % 3]}
                return client.get("/api/cooks", params=words)

            def compared(number: int) -> object:
                one, other = ids[number % 40 : number % 40 + 2]
                return client.get("/api/cooks/compare", params={"one": one, "other": other})

            def common(number: int) -> object:
                return client.get(
                    "/api/cooks", params={"search": ("next time", "line")[number % 2]}
                )

            begun = client.post("/api/cooks", json={"name": "Supper", "plan": BRISKET}).json()
            step = begun["steps"][0]["step_id"]

            def confirmed(number: int) -> object:
                kind = ("done", "undone")[number % 2]
                body = {"key": f"press-{number}", "kind": kind, "step_id": step}
                return client.post(f"/api/cooks/{begun['id']}/events", json=body)

            def followed(_: int) -> object:
                return client.get(f"/api/cooks/{begun['id']}")

            def planned(number: int) -> object:
                return client.post("/api/plan", json={**BRISKET, "servings": 1 + number % 9})

            measured = (
                ("list", listed),
                ("search", searched),
                ("search for a word of every line", common),
                ("compare", compared),
                ("a step confirmed", confirmed),
                ("a look at a cook", followed),
                ("a plan with what the log teaches", planned),
            )
            for name, ask in measured:
                ask(0)
                told.append(f"{name} {percentile_ms(ask):.0f} ms")
    line = f"A long log (95th percentile of {ASKED}, aim: 50 ms): {'; '.join(told)}."
    text = PAGE.read_text(encoding="utf-8").rstrip()
    PAGE.write_text(f"{text}\n\n{line}\n", encoding="utf-8")
    print(line)


if __name__ == "__main__":
    main()
