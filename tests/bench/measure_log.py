"""A log of fifty thousand cooks: how long it takes to come in, and to list, search and compare.

Prints the figures; `dev.py bench` runs it. Invented rows, for measuring only.
"""

import tempfile
import time
from collections.abc import Callable
from pathlib import Path

import numpy as np
from fastapi.testclient import TestClient

from pneumachron.api.app import LOCAL_HOSTS, create_app
from pneumachron.services import log_files
from pneumachron.services.households import add_ready_pot
from pneumachron.store.db import Database
from tests.api.test_log_files import csv_of

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
        with database.session() as session:
            pot = add_ready_pot(session, "tenor").pot.name
        text = csv_of(pot, *rows(COOKS))
        begin = time.perf_counter()
        found = log_files.Imported()
        log_files.read_in_batches(database.session, log_files.rows_of(text), found, lambda _: True)
        print(f"{found.added} cooks in: {time.perf_counter() - begin:.1f} s")
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
                pair = ids[number % 40 : number % 40 + 2]
                return [client.get(f"/api/cooks/{cook_id}") for cook_id in pair]

            for name, ask in (("list", listed), ("search", searched), ("compare", compared)):
                ask(0)
                print(f"{name}: {percentile_ms(ask):.0f} ms, 95th percentile of {ASKED}")


if __name__ == "__main__":
    main()
