"""How CPU time and memory grow with the size of what is sent: twice as much takes about twice.

No absolute times here. A reader that is quadratic takes four times as long for twice the input; the
bound leaves room for a noisy machine and a constant start. Inputs are the kinds that once held the
kitchen for half a minute.
"""

import gc
import json
import re
import time
import tracemalloc
from collections.abc import Callable
from contextlib import suppress
from pathlib import Path
from typing import Any
from uuid import uuid4

import pytest
from fastapi.testclient import TestClient

from pneumachron.api.app import LOCAL_HOSTS, create_app
from pneumachron.api.sane import InsaneError, sane_json
from pneumachron.core.schedule.constraints import DayLimits
from pneumachron.core.schedule.model import Block, Segment, Wait
from pneumachron.core.schedule.schedule import schedule
from pneumachron.core.schedule.solver import WORK
from pneumachron.recipes.converting.marinade import in_marinade
from pneumachron.recipes.converting.rubs import rubbed_lines
from pneumachron.recipes.errors import RecipeError
from pneumachron.recipes.model import Recipe
from pneumachron.recipes.reading import read_recipe
from pneumachron.recipes.reading.jsonld import loads, markup_free, recipes_in
from pneumachron.recipes.understanding.durations import durations_in
from pneumachron.recipes.understanding.naming import rows_named
from pneumachron.recipes.understanding.plates import read_plates
from pneumachron.recipes.understanding.understand import Understood, understand
from pneumachron.services.log_rows import rows_of
from tests.faults.test_restore_mutation import small_backup

MOST = 3.2
"""Times as long (or as much) for twice the input; four is quadratic."""
START_S, START_BYTES = 0.004, 50_000
"""What a reader takes for nothing at all."""


def page(count: int) -> str:
    return f"<html><body>{'<div>' * count}ribs{'</div>' * count}</body></html>"


READERS: dict[str, tuple[Callable[[int], str], int]] = {
    "gap": (lambda n: f"ribs\n1{' ' * n}x", 200_000),
    "gaps in a step": (lambda n: f"ribs\n1 rack of ribs\n\nCook {' ' * n} 2 hours", 200_000),
    "many lines": (lambda n: "ribs\n" + "1 cup of stock\n" * n, 150),
    "long line": (lambda n: "ribs\n" + "1 rack of back ribs, trimmed, " * n, 2_000),
    "nested tags": (page, 4_000),
    "nested unknown tags": (lambda n: page(n).replace("div", "x-box"), 4_000),
    "flat tags": (lambda n: f"<html><body>{'<p>1 cup of stock</p>' * n}</body></html>", 150),
    "emphasis": (lambda n: "# Ribs\n\n" + "**a*" * n, 2_000),
    "brackets": (lambda n: "[" * n, 100_000),
    "Markdown brackets": (lambda n: "# Ribs\n\n" + "[" * n, 2_000),
    "empty lists": (lambda n: "[" + "[]," * n + "[]]", 20_000),
    "an open bracket": (
        lambda n: "Ribs\n\nI buy 2 racks of St Louis, 6 lbs together. My rub (" + "1 t salt 2 " * n,
        400,
    ),
    "points between": (lambda n: "ribs\nfor the sauce: " + "1 cup stock · " * n, 1_000),
    "strokes": (lambda n: "ribs\n1 tbsp cornstarch" + "/1 tbsp water" * n, 1_000),
    "times beside the yield": (lambda n: "Ribs\nServes 4   Smoke: " + "8 " * n + "hrs", 4_000),
    "names between dashes": (lambda n: "Ribs\n" + "-- my own rub --\n1 tsp salt\n" * n, 150),
    "dashes": (lambda n: "Ribs\n" + "-" * n + " rub", 100_000),
    "rubs behind dots": (lambda n: "Ribs\n8 lb butt" + ". rub = 1/2 c salt" * n, 1_000),
    "numbers": (lambda n: f"ribs\n{'9' * n} g salt", 100_000),
    "divided words": (lambda n: "Ribs\n" + "1 cup of chicken sto-\nck\n" * n, 150),
    "columns": (lambda n: "Ribs\nIngredients    Method\n" + "1 onion    1 Cook it.\n" * n, 150),
    "two foods on a line": (lambda n: "Ribs\n" + "1 onion    2 leeks\n" * n, 150),
    "foods on one line": (lambda n: "Ribs\n1 leek    2 leeks\n" + "1 leek    " * n, 2_000),
    "two amounts": (lambda n: "Ribs\n   For 2    For 4\n" + "Onion    1    2\n" * n, 150),
    "amounts on one line": (lambda n: "Ribs\nFor 2    For 4\nLeek" + "    1 g" * n, 2_000),
    "scanned": (lambda n: "Ribs\n" + "l cup stock, 1O minutes\n" * n, 150),
    "boxes": (lambda n: "Ribs\n" + "▢\n1\ncup\nstock\n" * n, 150),
    "lists with something said between": (
        lambda n: "Ribs\n" + "1 leek\n2 onions\n3 plums\nthe market was nice\n" * n,
        50,
    ),
    "recipes behind each other": (
        lambda n: "".join(
            f"\nPot {at}\n\n1 leek\n2 kg pork {at}\n3 plums\n\nBraise for 3 hours.\n"
            for at in range(n)
        ),
        25,
    ),
    "told again": (lambda n: "Ribs\n" + "How to make it\nBraise for 3 hours.\n" * n, 100),
    "a template": (
        lambda n: "{{recipe}}\n|title = Ribs\n|ingredients =\n" + "* 1 cup stock\n" * n,
        150,
    ),
}


ATTEMPTS = 3
TRACED_SHARE = 4
"""Memory is traced slowly, and grows with smaller inputs as it does with large ones."""
TRACED_RUNS = 3
"""The least of these counts. Once in a while a run also holds what is not its own: a pattern that
Python had let go (it keeps 512) and compiles afresh, or the warming up of an app that another test
has just started."""


def spent(work: Callable[[], object], runs: int) -> float:
    """Least CPU time of some runs [s]."""
    found = []
    for _ in range(runs):
        gc.collect()
        start = time.process_time()
        work()
        found.append(time.process_time() - start)
    return min(found)


def taken(work: Callable[[], object]) -> int:
    """Least of some runs of the most memory that Python held meanwhile [byte]."""
    found = []
    for _ in range(TRACED_RUNS):
        tracemalloc.start()
        try:
            work()
            found.append(tracemalloc.get_traced_memory()[1])
        finally:
            tracemalloc.stop()
    return min(found)


def test_what_is_compiled_afresh_is_no_growth() -> None:
    pattern = "|".join(f"ribs{number}" for number in range(300))
    re.purge()
    assert taken(lambda: re.search(pattern, "ribs")) < START_BYTES


def grows_evenly(make: Callable[[int], Any], work: Callable[[Any], object], size: int) -> None:
    small, large = make(size), make(2 * size)
    work(make(8))  # grammars and tables are loaded
    # a neighbour on the machine can slow one of the two: the small one is taken at its quickest,
    # and what really grows grows each time
    for _ in range(ATTEMPTS):
        few_s, many_s = spent(lambda: work(small), 3), spent(lambda: work(large), 1)
        if many_s <= MOST * few_s + START_S:
            break
    assert many_s <= MOST * few_s + START_S
    small, large = (make(times * size // TRACED_SHARE) for times in (1, 2))
    assert taken(lambda: work(large)) <= MOST * taken(lambda: work(small)) + START_BYTES


def read(text: str) -> None:
    with suppress(RecipeError):
        read_recipe(text.encode())


@pytest.mark.parametrize("name", READERS)
def test_reading(name: str) -> None:
    make, size = READERS[name]
    grows_evenly(make, read, size)


def test_markup_and_durations() -> None:
    grows_evenly(lambda n: "<" * n + " yields 6", markup_free, 30_000)
    grows_evenly(lambda n: "simmer 1 - 2 hours " * n, durations_in, 200)


def test_a_long_story_above_a_recipe() -> None:
    def told(count: int) -> Recipe:
        return Recipe("Ribs", ("2 kg ribs",), ("Cook them.",), description="we say i and " * count)

    grows_evenly(told, read_plates, 200)


def test_graphs() -> None:
    def graph(count: int) -> str:
        return json.dumps({"@graph": [{"@type": "Thing"}] * count})

    grows_evenly(graph, lambda text: list(recipes_in(loads(text))), 8_000)


def test_conversion() -> None:
    def recipe(count: int) -> str:
        lines = "".join(f"{n % 7 + 1} tsp spice number {n}\n" for n in range(count))
        steps = "".join(
            f"Stir in spice {n} and cook for {n % 9 + 1} minutes.\n" for n in range(count)
        )
        return f"Ribs\n\nIngredients\n2 lb back ribs\n{lines}\nMethod\n{steps}"

    grows_evenly(lambda n: read_recipe(recipe(n).encode()).recipe, understand, 40)


@pytest.mark.parametrize(
    "words",
    [
        "mix the soy sauce ", "sprinkle the ribs ", "put the pork in a big ", "boil the marinade ",
        "scatter the salt over ", "add salt to the ", "coriander and ",
        "das Fleisch mit ", "mit Salz das Fleisch ", "reibe das Fleisch ", "put soy sauce in a ",
        "pour the sauce over ", "mit der Beize das Fleisch ", "bring to a boil; cook ",
    ],
)  # fmt: skip
def test_one_long_sentence(words: str) -> None:
    foods = ("2 kg pork shoulder", "1 cup soy sauce", "1 tbsp salt", "2 tsp ground coriander")

    def told(count: int) -> Understood:
        return understand(Recipe("Pork", foods, (words * count,)))

    grows_evenly(told, rubbed_lines, 200)
    grows_evenly(told, in_marinade, 200)


def test_foods_with_a_word_in_common() -> None:
    """A hundred sugars took 48 s to convert: each was compared with all others, in each step."""

    def sugars(count: int) -> Understood:
        names = [f"{first}{last}" for first in "bcdfghlmnp" for last in ("ana", "eso", "iru")]
        lines = tuple(f"1 cup {names[n % 30]} {'abc'[n % 3]}sugar" for n in range(count))
        return understand(Recipe("Pork", ("2 kg pork shoulder", *lines), ("Stir in the sugar.",)))

    grows_evenly(sugars, lambda found: rows_named(found, "stir in the asugar and ana bsugar"), 60)


def test_the_log() -> None:
    head = (
        "started [ISO 8601],name,cut,pieces,mass [kg],thickness [cm],pot,hold [min],come up [min]\n"
    )
    row = "2026-11-27T09:00:00+00:00,Supper,brisket_flat,2,1.4,4.5,Tenor,90,12\n"
    grows_evenly(lambda n: head + row * n, lambda text: list(rows_of(text)), 800)


def test_bodies() -> None:
    def parse(body: bytes) -> None:
        with suppress(InsaneError, json.JSONDecodeError):
            sane_json(body)

    grows_evenly(lambda n: b"[" + b"[]," * n + b"[]]", parse, 20_000)
    grows_evenly(lambda n: b"[" * n, parse, 300_000)
    grows_evenly(lambda n: json.dumps(["x" * 20] * n).encode(), parse, 20_000)


def test_a_restore(tmp_path: Path) -> None:
    whole = small_backup()

    def backup(count: int) -> bytes:
        plans = [{**whole["plans"][0], "plan_id": str(uuid4())} for _ in range(8 * count)]
        cooks = [{**whole["cooks"][2], "cook_id": str(uuid4())} for _ in range(count)]
        return json.dumps({**whole, "plans": plans, "cooks": cooks}).encode()

    with TestClient(create_app(tmp_path, LOCAL_HOSTS), base_url="http://127.0.0.1") as client:

        def dry_run(body: bytes) -> None:
            head = {"Content-Type": "application/json"}
            answer = client.post("/api/restore?dry_run=true", content=body, headers=head)
            assert answer.status_code == 200, answer.text

        grows_evenly(backup, dry_run, 4)


def test_days() -> None:
    def blocks(count: int) -> list[Block]:
        found = []
        for number in range(count):
            part = Segment("cook", 600.0, 600.0, 600.0, ("hands",))
            before = (Wait(f"b{number - 1}"),) if number % 4 else ()
            found.append(Block(f"b{number}", f"dish {number // 4}", (part,), before, 0.0))
        return found

    def plan(work: list[Block]) -> None:
        # searches that would go on for long end after the same work, however large the day
        schedule(work, DayLimits({"hands": 2}), work=WORK / 5)

    grows_evenly(blocks, plan, 48)


def test_one_moment_of_reading_is_enough_for_a_real_page() -> None:
    """The bounds refuse none of what people save: a page of 5,000 tags with a recipe in it."""
    menu = "<nav>" + "<li><a href='#'>more</a></li>" * 1_500 + "</nav>"
    body = "<h1>Ribs</h1><h2>Ingredients</h2><li>2 lb back ribs</li><li>1 cup stock</li>"
    steps = "<h2>Method</h2><li>Rub the ribs with salt.</li><li>Bake for 2 hours.</li>"
    found = read_recipe(f"<html><body>{menu}{body}{steps}</body></html>".encode()).recipe
    assert found.ingredients == ("2 lb back ribs", "1 cup stock")
