"""What the project promises of itself: docs, import rules, locks, words."""

import gzip
import re
import shutil
import subprocess
import sys
from itertools import pairwise
from pathlib import Path

import pytest
from typer.main import get_command

from pneumachron.api.app import create_app
from pneumachron.cli import app as cli
from pneumachron.core import ENGINE_VERSION
from pneumachron.core.catalog.cuts import cuts
from pneumachron.core.catalog.tables import read_numbers
from pneumachron.core.planning.plan import make_plan
from pneumachron.text.say import say_cut
from tests import USUAL, only_deep
from tests.conftest import ROOT
from tests.core.kitchen import cook_request, load
from tests.reference.write_validation import SECTIONS, TITLE
from tests.whole import IN_FILE, ONLY_WHOLE
from tools.notices import node_packages, python_packages

DOCS = ROOT / "docs"


def text_of(name: str) -> str:
    return (ROOT / name).read_text(encoding="utf-8")


@pytest.mark.skipif(USUAL, reason="they are left out of this run")
def test_what_is_left_to_the_whole_run_is_there(request: pytest.FixtureRequest) -> None:
    if request.config.option.keyword:
        pytest.skip("only some of the tests were asked for")
    here = [item.nodeid for item in request.session.items]
    files = {name.partition("::")[0] for name in here}
    asked = [name for name in ONLY_WHOLE if name.partition("::")[0] in files]
    assert [name for name in asked if not any(each.startswith(name) for each in here)] == []
    assert all((ROOT / name).exists() for name in IN_FILE)


def test_every_route_is_documented(tmp_path: Path) -> None:
    described = text_of("docs/api.md")
    paths = create_app(tmp_path).openapi()["paths"]
    assert len(paths) > 10
    for path, methods in paths.items():
        for method in methods:
            assert f"`{method.upper()} {path}`" in described


def test_every_command_is_in_the_readme() -> None:
    readme = text_of("README.md")
    commands = getattr(get_command(cli), "commands", {})
    assert {"serve", "plan"} <= set(commands)
    for name in commands:
        assert f"pneumachron {name}" in readme


def test_readme_links_every_picture() -> None:
    readme = text_of("README.md")
    pictures = sorted(path.name for path in (DOCS / "screenshots").glob("*.png"))
    assert 0 < len(pictures) < 20
    assert [name for name in pictures if f"docs/screenshots/{name}" not in readme] == []


def test_every_package_that_ships_has_its_notice() -> None:
    notices = text_of("THIRD_PARTY_NOTICES.txt")
    shipped = [*python_packages(), *node_packages()]
    assert len(shipped) > 40
    missing = [name for name, *_ in shipped if f"\n{name} " not in notices]
    assert missing == []  # `python3 dev.py notices` writes them


def test_changelog_speaks_of_this_engine() -> None:
    assert f"engine {ENGINE_VERSION}" in text_of("CHANGELOG.md")


def test_doses_in_the_docs_are_the_doses_of_the_table() -> None:
    page = text_of("docs/how-the-number-is-made.md")
    own = {name for name, row in read_numbers("cuts.csv").items() if "tender_softening_min" in row}
    for cut in cuts().values():
        if cut.cut_id in own:
            name = say_cut(cut.cut_id, "name")
            assert f"| {name} | {cut.tender_softening_min:g} |" in page, name


def test_worked_example_in_the_docs() -> None:
    # ours: the page walks through this case; its figures are those of the code
    page = text_of("docs/how-the-number-is-made.md")
    plan = make_plan(
        cook_request(
            load("brisket_flat", 1.4174761562500005, 0.04445, 2),
            altitude_m=1150.0,
        )
    )
    come_up, hold, fall = (round(phase.duration_s / 60) for phase in plan.phases[:3])
    for figure in (
        f"{plan.hold_min} min",
        f"{plan.hold_range_min[0]} to {plan.hold_range_min[1]} min",
        f"{come_up} min heating up",
        f"{hold} min hold",
        f"{fall} min",
        f"{plan.hold_c:.1f} °C",
    ):
        assert figure in page, figure


@pytest.mark.parametrize(
    ("module", "line"),
    [
        ("core/units.py", "import sqlalchemy"),
        ("core/planning/plan.py", "from pneumachron.store import plans"),
        ("core/physics/steam.py", "from pneumachron.core.planning import plan"),
        ("core/planning/plan.py", "from pneumachron.core.procedure import steps"),
        ("core/catalog/cuts.py", "from pneumachron.recipes import model"),
        ("core/catalog/cuts.py", "from pneumachron.text import say"),
        ("recipes/model.py", "from pneumachron.text import say"),
        ("recipes/model.py", "import sqlalchemy"),
        ("store/plans.py", "from pneumachron.api import app"),
        ("services/planning.py", "import fastapi"),
    ],
)
def test_import_rules_bite(tmp_path: Path, module: str, line: str) -> None:
    shutil.copytree(ROOT / "src/pneumachron", tmp_path / "pneumachron", ignore=_no_web)
    shutil.copy(ROOT / "pyproject.toml", tmp_path)
    broken = tmp_path / "pneumachron" / module
    broken.write_text(f"{broken.read_text()}\n\ndef _broken() -> None:\n    {line}\n")
    program = str(Path(sys.executable).with_name("lint-imports"))
    done = subprocess.run(
        [program, "--no-cache"], cwd=tmp_path, capture_output=True, text=True, check=False,
        env={"PYTHONPATH": str(tmp_path), "PATH": "/usr/bin:/bin"},
    )  # fmt: skip
    assert done.returncode != 0
    assert "BROKEN" in done.stdout


def _no_web(_folder: str, names: list[str]) -> list[str]:
    return [name for name in names if name in {"web", "__pycache__"}]


LONG_SECTIONS = ("Frozen starts", "A millimetre more")
"""Half a minute of computing; the laws behind their numbers have tests of their own."""


def validation_page() -> dict[str, str]:
    """What stands below each heading."""
    _, *sections = text_of("docs/validation.md").split("\n## ")
    return dict(section.split("\n", 1) for section in sections)


def test_validation_page_has_all_its_sections() -> None:
    assert text_of("docs/validation.md").startswith(f"{TITLE}\n")
    assert list(validation_page()) == list(SECTIONS)


@pytest.mark.parametrize(
    "heading",
    [pytest.param(name, marks=only_deep if name in LONG_SECTIONS else ()) for name in SECTIONS],
)
def test_validation_page_is_current(heading: str) -> None:
    stored = validation_page()[heading].split()
    fresh = "\n".join(SECTIONS[heading]()).split()
    # figures may differ in the last digit between machines; words may not
    assert len(stored) == len(fresh), "stale: python3 dev.py validation"
    for old, new in zip(stored, fresh, strict=True):
        if old != new:
            assert float(old) == pytest.approx(float(new), rel=0.02, abs=0.011), (old, new)


def test_pages_are_light() -> None:
    # 200 kB of script to begin with, 60 kB for each view that is fetched later, gzipped
    built = sorted((ROOT / "src/pneumachron/web/assets").glob("*.js"))
    index = (ROOT / "src/pneumachron/web/index.html").read_text(encoding="utf-8")
    sizes = {path.name: len(gzip.compress(path.read_bytes())) / 1024 for path in built}
    first = sum(size for name, size in sizes.items() if name in index)
    assert 0 < first <= 200
    assert all(size <= 60 for name, size in sizes.items() if name not in index)


def test_locks_carry_no_address() -> None:
    assert "http" not in re.sub(r"httpx2?|httpcore2?|http2?-", "", text_of("requirements.lock"))
    assert '"resolved"' not in text_of("frontend/package-lock.json")


BROKEN = {
    "src/lib/a.ts": ("@/ui/Button", "@/features/plan/Why", "@/parts/Photos", "../ui/Button"),
    "src/api/b.ts": ("@/features/log/LogView", "@/drawing/PotTop"),
    "src/drawing/c.ts": ("@/features/plan/deep/Why", "@/parts/Photos", "@/app/App"),
    "src/ui/d.ts": ("@/features/kitchen/KitchenView",),
    "src/parts/e.ts": ("@/features/cook/CookView", "@/app/App"),
    **{
        f"src/features/{view}/f.ts": (f"@/features/{other}/Some", "@/app/App", "./Own")
        for view, other in pairwise(
            ("plan", "convert", "cook", "schedule", "guide", "kitchen", "log", "saved", "plan")
        )
    },
}
ALLOWED = {
    "src/app/g.ts": ("@/features/plan/PlanView", "@/lib/format"),
    "src/parts/h.ts": ("@/ui/Button", "@/drawing/PotTop", "@/lib/format"),
    "src/features/plan/i.ts": ("@/features/plan/Why", "@/parts/Photos", "@/ui/Button"),
    "src/ui/j.ts": ("@/lib/format",),
}


def refused_imports(folder: Path, files: dict[str, tuple[str, ...]]) -> set[tuple[str, int]]:
    """File and line of every import that the rules of the front end refuse."""
    shutil.copy(ROOT / "frontend" / "biome.json", folder / "biome.json")
    for name, imports in files.items():
        place = folder / name
        place.parent.mkdir(parents=True, exist_ok=True)
        place.write_text("".join(f'import "{path}";\n' for path in imports))
    command = [str(ROOT / "frontend/node_modules/.bin/biome"), "lint", "--reporter=github", "."]
    done = subprocess.run(command, cwd=folder, capture_output=True, text=True, check=False)
    found = re.findall(
        r"title=lint/style/noRestrictedImports,file=(?:\./)?([^,]+),line=(\d+)", done.stdout
    )
    return {(str(Path(name).relative_to(folder)), int(line)) for name, line in found}


def test_import_rules_of_the_front_end_bite(tmp_path: Path) -> None:
    wanted = {(name, line + 1) for name, imports in BROKEN.items() for line in range(len(imports))}
    assert refused_imports(tmp_path, BROKEN) == wanted


def test_import_rules_of_the_front_end_let_through(tmp_path: Path) -> None:
    assert refused_imports(tmp_path, ALLOWED) == set()
