"""Speed of this engine beside another version of it, in one run on one machine.

    git worktree add ../before <commit>
    python -m tests.bench.compare_engines ../before

Both are asked the same single-layer loads, turn by turn, each in a process of its own.
"""

import json
import subprocess
import sys
from pathlib import Path
from statistics import median

HERE = Path(__file__).parents[2]
ROUNDS = 5
ASK = """
import json, sys, time
sys.path.insert(0, sys.argv[1] + "/src")
from pneumachron.core.planning.what_if import what_changes
from pneumachron.core.catalog.cuts import cut_by_id
from pneumachron.core.planning.load import Load, make_piece
from pneumachron.core.planning.plan import make_plan
from pneumachron.core.catalog.pots import ready_pot, ready_pots
from pneumachron.core.planning.request import CookRequest

def cook_request(cut, kg, thick, count, liquid_style, release, step):
    piece = make_piece(cut_by_id(cut), mass_kg=kg / count, thickness_m=thick, start_temp_c=4.0)
    return CookRequest(
        load=Load((piece,) * count), pot=ready_pot("tenor"), tenderness_step=step,
        liquid_style=liquid_style,
        release=release, level="high", altitude_m=1150.0,
    )

WISHES = [
    cook_request("brisket_flat", 1.2, 0.0444, 2, "short_braise", "natural", 2.0),
    cook_request("shoulder_boneless", 2.0, 0.08, 1, "short_braise", "natural", 3.0),
    cook_request("back_ribs", 1.1, 0.025, 1, "steam", "timed", 2.0),
    cook_request("short_ribs_english", 1.2, 0.045, 4, "short_braise", "natural", 2.0),
]

def best_ms(job, times):
    spent = []
    for _ in range(times):
        begun = time.perf_counter()
        job()
        spent.append(1e3 * (time.perf_counter() - begun))
    return sorted(spent)[len(spent) // 4]

found = {}
for number, item in enumerate(WISHES):
    pots = list(ready_pots().values())
    make_plan(item); what_changes(item, pots)
    count = len(what_changes(item, pots))
    found[number] = {
        "plan": best_ms(lambda: make_plan(item), 20),
        "what_ifs": best_ms(lambda: what_changes(item, pots), 6),
        "count": count,
    }
print(json.dumps(found))
"""


def ask(tree: Path) -> dict[str, dict[str, float]]:
    """Milliseconds of a plan and of all what-ifs, load by load."""
    command = [sys.executable, "-c", ASK, str(tree)]
    done = subprocess.run(command, capture_output=True, text=True, check=True)
    answer: dict[str, dict[str, float]] = json.loads(done.stdout)
    return answer


def main() -> None:
    """Print both, and how many times as fast this one is."""
    trees = {"before": Path(sys.argv[1]).resolve(), "now": HERE}
    rounds = [{name: ask(tree) for name, tree in trees.items()} for _ in range(ROUNDS)]
    for load in rounds[0]["now"]:
        for what in ("plan", "what_ifs"):
            before, now = (
                median(found[name][load][what] for found in rounds) for name in ("before", "now")
            )
            counts = [int(rounds[0][name][load]["count"]) for name in ("before", "now")]
            share = "" if what == "plan" else f", of {counts[0]} and {counts[1]}"
            print(f"load {load} {what}: {before:.1f} ms, {now:.1f} ms{share}: {before / now:.2f} x")


if __name__ == "__main__":
    main()
