"""Writes docs/performance.md from the figures of `python3 dev.py bench`."""

import json
import sys
from pathlib import Path

PAGE = Path(__file__).parents[2] / "docs" / "performance.md"
INTRO = """\
# Performance

Written by `python3 dev.py bench`; medians of one run, no gate. The reference is an independent
finite-volume solution in scipy on the coarsest grid that keeps the core within 0.2 K
(`tests/reference/finite_difference.py`), doing the same work in the same run.
"""
ROWS = (
    ("test_plan", "a plan with range, reasons and trace", 12.0),
    ("test_plan_with_eight", "the same with eight what-ifs", 50.0),
    ("test_what_changes", "all what-ifs", None),
    ("test_ready_by", "ready by", 150.0),
    ("test_put_back", "opened too firm", None),
    ("test_convert_recipe", "a recipe of 40 lines read and converted", 300.0),
    ("test_day", "five dishes, 60 tasks, three pots: planned and counted back", 300.0),
    ("test_cook", "one cook with a given hold", None),
    ("test_same_cook_by_finite_differences", "one cook by the reference", None),
    ("test_same_plan_by_finite_differences", "the same plan by the reference", None),
)


def page(figures: dict[str, float], cores: int) -> str:
    """The page; `figures` are medians in seconds by test."""
    lines = [
        INTRO,
        f"Machine: {cores} cores.",
        "",
        "| what | median | aim |",
        "| --- | --- | --- |",
    ]
    for name, what, aim in ROWS:
        aimed = "" if aim is None else f"{aim:g} ms"
        lines.append(f"| {what} | {1000 * figures[name]:.1f} ms | {aimed} |")
    plan = figures["test_same_plan_by_finite_differences"] / figures["test_plan"]
    cook = figures["test_same_cook_by_finite_differences"] / figures["test_cook"]
    lines += [
        "",
        f"The plan is {plan:.0f} times as fast as the reference (aim: 200), one cook {cook:.0f} "
        "times.",
        "",
    ]
    return "\n".join(lines)


if __name__ == "__main__":
    run = json.loads(Path(sys.argv[1]).read_text(encoding="utf-8"))
    medians = {item["name"]: item["stats"]["median"] for item in run["benchmarks"]}
    PAGE.write_text(page(medians, run["machine_info"]["cpu"]["count"]), encoding="utf-8")
