"""Many at once: every plan is answered, and the kitchen hears meanwhile.

Real processes and real sockets on this machine; bounded in count and time.
"""

import asyncio
import time
from collections import Counter
from pathlib import Path

import httpx2

from tests.conftest import BRISKET
from tests.live import run_apart, serving

AT_ONCE = 200
ALL_WITHIN_S = 15.0
"""The aim of the project; `docs/reliability.md` has what was measured."""


async def ask_all(address: str) -> tuple[Counter[int], float, list[float]]:
    """Answers of so many plans at once, how long they took, and how long health took meanwhile."""
    limits = httpx2.Limits(max_connections=AT_ONCE + 10)
    async with httpx2.AsyncClient(base_url=address, timeout=60, limits=limits) as client:

        async def plan(number: int) -> int:
            piece = {**BRISKET["pieces"][0], "thickness": f"{30 + number % 60} mm"}
            reply = await client.post("/api/plan", json={**BRISKET, "pieces": [piece]})
            return reply.status_code

        async def health() -> list[float]:
            took = []
            for _ in range(10):
                start = time.monotonic()
                assert (await client.get("/api/health")).status_code == 200
                took.append(time.monotonic() - start)
                await asyncio.sleep(0.1)
            return took

        start = time.monotonic()
        asked = asyncio.gather(*(plan(number) for number in range(AT_ONCE)))
        heard = await health()
        return Counter(await asked), time.monotonic() - start, heard


def test_two_hundred_plans_at_once(tmp_path: Path) -> None:
    with serving(tmp_path, demo=False) as address:
        found, _, _ = run_apart(lambda: ask_all(address))
    assert found == {200: AT_ONCE}


def test_clients_that_leave_do_not_deafen_the_server(tmp_path: Path) -> None:
    """What a drag did: hundreds of questions, each abandoned at once."""

    async def leave(address: str) -> int:
        async with httpx2.AsyncClient(base_url=address, timeout=30) as client:
            for number in range(AT_ONCE):
                piece = {**BRISKET["pieces"][0], "thickness": f"{30 + number % 60} mm"}
                asking = asyncio.create_task(
                    client.post("/api/plan", json={**BRISKET, "pieces": [piece]})
                )
                await asyncio.sleep(0.005)
                asking.cancel()
            return (await client.post("/api/plan", json=BRISKET)).status_code

    with serving(tmp_path, demo=False) as address:
        assert run_apart(lambda: leave(address)) == 200


if __name__ == "__main__":
    import tempfile

    with tempfile.TemporaryDirectory() as folder, serving(Path(folder), demo=False) as served:
        answers, took_s, health_s = asyncio.run(ask_all(served))
        print(answers, f"{took_s:.1f} s", f"health at most {1000 * max(health_s):.0f} ms")
