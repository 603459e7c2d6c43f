#!/usr/bin/env python3
"""Set up and run: `python3 dev.py start` serves the demo, `python3 dev.py test` passes all tests.

Needs Python 3.11+ and Node 20.19+ on Debian; installs everything else, once. Standard library
only, because it runs before anything is installed.
"""

import hashlib
import os
import shutil
import subprocess
import sys
from concurrent.futures import ThreadPoolExecutor
from pathlib import Path

ROOT = Path(__file__).resolve().parent
VENV = ROOT / ".venv"
BIN = VENV / "bin"
STATE = ROOT / ".dev"
FRONTEND = ROOT / "frontend"
WEB = ROOT / "src" / "pneumachron" / "web"
BROWSERS = (Path("/usr/bin/chromium-headless-shell"), Path("/usr/bin/chromium"))
"""The first is Chromium without its windows: half the work of a test."""
APT_ENV = {**os.environ, "DEBIAN_FRONTEND": "noninteractive"}
API_TYPES = ["npx", "--no-install", "openapi-typescript", "../docs/openapi.json"]
OLDEST_PYTHON = (3, 11)


def main() -> int:
    """Run one of the commands."""
    commands = {
        "start": start,
        "watch": watch,
        "test": test,
        "bench": bench,
        "validation": validation,
        "pictures": pictures,
        "refresh-api": refresh_api,
        "faults": faults,
        "notices": notices,
        "sbom": sbom,
    }
    # where the machine forbids Python to keep what it compiled, every start of the app or of the
    # tests compiles all of it again; in this folder, which git ignores, it may be kept
    os.environ.pop("PYTHONDONTWRITEBYTECODE", None)
    command = commands.get(sys.argv[1] if len(sys.argv) > 1 else "")
    if command is None:
        print(f"usage: python3 dev.py {' | '.join(commands)}", file=sys.stderr)
        return 2
    return command(sys.argv[2:])


def start(arguments: list[str]) -> int:
    """Serve the app with the demo data."""
    set_up(browser=False)
    data = ["--data", str(STATE / "demo")]
    os.execv(BIN / "pneumachron", ["pneumachron", "serve", "--demo", *data, *arguments])


def watch(_arguments: list[str]) -> int:
    """Serve the demo and follow every change: the API reloads, the page is the newest."""
    set_up(browser=False)
    data = STATE / "demo"
    api = [
        str(BIN / "uvicorn"), "--factory", "pneumachron.cli:watched_app", "--port", "8137",
        "--reload", "--reload-dir", "src", "--timeout-graceful-shutdown", "1",
    ]  # fmt: skip
    page = ["npx", "--no-install", "vite", "--host", "127.0.0.1"]
    started = [
        subprocess.Popen(api, cwd=ROOT, env={**os.environ, "PNEUMACHRON_DATA": str(data)}),
        subprocess.Popen(page, cwd=FRONTEND),
    ]
    try:
        return started[1].wait()
    except KeyboardInterrupt:
        return 0
    finally:
        for process in started:
            process.terminate()


def test(arguments: list[str]) -> int:
    """Format, lint, types, import rules, then the tests; pytest speaks last.

    `--quick` leaves out what is slow. `--whole` has the long sweeps too, as CI does, and so has
    what is asked for by name; `--deep` draws more examples and kills more often. `--cov` shows how
    much of the code the tests run, in both languages.
    """
    depths = [each for each in ("--deep", "--whole") if each in arguments]
    rest = [each for each in arguments if each not in ("--quick", "--cov", *depths)]
    by_name = bool(rest)
    set_up(browser="--quick" not in arguments)
    if "--quick" in arguments:
        rest += ["-n", "2", "-m", "not slow"]
    elif not rest:
        check()
        # two servers and two browsers at a time are what a small machine stands
        rest = ["-n", "auto", "--maxprocesses", "2", "--dist", "worksteal"]
    if "--cov" in arguments:
        run(["npx", "--no-install", "vitest", "run", "--coverage"], FRONTEND)
        rest += ["--cov=pneumachron", "--cov-report=term:skip-covered"]
    depth = depths[0].strip("-") if depths else "whole" if by_name else "usual"
    env = {**os.environ, "PNEUMACHRON_TESTS": depth}
    return subprocess.run([BIN / "pytest", *rest], cwd=ROOT, env=env, check=False).returncode


def check() -> None:
    """Everything that is not a test."""
    npx = ["npx", "--no-install"]
    steps: list[tuple[list[str], Path]] = [
        ([str(BIN / "ruff"), "format", "--check", "."], ROOT),
        ([str(BIN / "ruff"), "check", "."], ROOT),
        ([str(BIN / "mypy")], ROOT),
        ([str(BIN / "lint-imports")], ROOT),
        (
            [
                str(BIN / "codespell"),
                "README.md",
                "CHANGELOG.md",
                "docs",
                "src/pneumachron/text",
                "--skip",
                "*.json,*.png,*.svg,__pycache__",
            ],
            ROOT,
        ),
        ([*npx, "biome", "ci", "."], FRONTEND),
        ([*npx, "tsc", "--noEmit"], FRONTEND),
        ([*npx, "vitest", "run"], FRONTEND),
    ]
    with ThreadPoolExecutor(2) as pool:
        outcomes = list(pool.map(lambda step: _quiet(*step), steps))
    failed = [text for code, text in outcomes if code]
    if not types_are_fresh():
        failed.append("The TypeScript types of the API are stale: python3 dev.py refresh-api")
    for text in failed:
        print(text, file=sys.stderr)
    if failed:
        raise SystemExit(1)
    print("format, lint, types and import rules: ok", flush=True)


def _quiet(command: list[str], folder: Path) -> tuple[int, str]:
    done = subprocess.run(command, cwd=folder, capture_output=True, text=True, check=False)
    return done.returncode, f"$ {' '.join(command)}\n{done.stdout}{done.stderr}"


def types_are_fresh() -> bool:
    """Whether the committed types are those of the committed description."""
    made = STATE / "schema.d.ts"
    run([*API_TYPES, "-o", str(made)], FRONTEND)
    return made.read_bytes() == (FRONTEND / "src" / "api" / "schema.d.ts").read_bytes()


def bench(arguments: list[str]) -> int:
    """Speed, beside the independent solution doing the same work; writes docs/performance.md."""
    set_up()
    figures = STATE / "bench.json"
    command = [str(BIN / "pytest"), "tests/bench", "--benchmark-only", "-o", "addopts="]
    columns = ["--benchmark-columns=median,iqr,rounds", "--benchmark-sort=name"]
    kept = [f"--benchmark-json={figures}"]
    code = subprocess.run([*command, *columns, *kept, *arguments], cwd=ROOT, check=False).returncode
    if code == 0 and not arguments:
        run([str(BIN / "python"), "-m", "tests.bench.write_performance", str(figures)], ROOT)
        run([str(BIN / "python"), "-m", "tests.bench.measure_drag"], ROOT)
        run([str(BIN / "python"), "-m", "tests.bench.measure_log"], ROOT)
    return code


def validation(_arguments: list[str]) -> int:
    """Write docs/validation.md."""
    set_up(browser=False)
    run([str(BIN / "python"), "-m", "tests.reference.write_validation"], ROOT)
    return 0


def pictures(_arguments: list[str]) -> int:
    """Draw docs/pictures from the code."""
    set_up(browser=False)
    run([str(BIN / "python"), "-m", "tests.reference.draw_pictures"], ROOT)
    return 0


def refresh_api(_arguments: list[str]) -> int:
    """Write docs/openapi.json and the TypeScript types made from it."""
    set_up(browser=False)
    text = subprocess.run(
        [BIN / "pneumachron", "openapi"], cwd=ROOT, check=True, capture_output=True
    ).stdout
    (ROOT / "docs" / "openapi.json").write_bytes(text)
    run([*API_TYPES, "-o", "src/api/schema.d.ts"], FRONTEND)
    return 0


def faults(arguments: list[str]) -> int:
    """The whole fault suite: every kill of every path, every spoiled backup, a hundred kills."""
    set_up(browser=False)
    deep = {**os.environ, "PNEUMACHRON_TESTS": "deep"}
    tests = [str(BIN / "pytest"), "tests/faults", "tests/hostile", *arguments]
    code = subprocess.run(tests, cwd=ROOT, env=deep, check=False).returncode
    if code or arguments:
        return code
    python = str(BIN / "python")
    for command in (
        ["tests.faults.killed", "100"],
        ["tests.faults.test_under_load"],
        ["tests.faults.test_one_cook", "20"],
    ):
        code = subprocess.run([python, "-m", *command], cwd=ROOT, check=False).returncode
        if code:
            return code
    return 0


def notices(_arguments: list[str]) -> int:
    """Write THIRD_PARTY_NOTICES.txt."""
    set_up(browser=False)
    run([str(BIN / "python"), "-m", "tools.notices"], ROOT)
    return 0


def sbom(_arguments: list[str]) -> int:
    """Write software bills of materials (CycloneDX) of what runs: Python's, and the pages'."""
    set_up(browser=False)
    folder = STATE / "sbom"
    folder.mkdir(exist_ok=True)
    python = ["environment", "--output-reproducible", "--of", "JSON", "-o"]
    run([str(BIN / "cyclonedx-py"), *python, str(folder / "python.cdx.json"), str(VENV)], ROOT)
    pages = ["sbom", "--omit", "dev", "--package-lock-only", "--sbom-format", "cyclonedx"]
    made = subprocess.run([*npm(), *pages], cwd=FRONTEND, check=True, capture_output=True)
    (folder / "pages.cdx.json").write_bytes(made.stdout)
    say(f"written: {folder.relative_to(ROOT)}")
    return 0


def set_up(*, browser: bool = True) -> None:
    """Install what is missing; quick when nothing is."""
    check_versions()
    tasks = [install_python, build_frontend]
    if browser:
        tasks.append(install_browser)
    with ThreadPoolExecutor(len(tasks)) as pool:
        for future in [pool.submit(task) for task in tasks]:
            future.result()


def check_versions() -> None:
    """Say plainly what is too old."""
    if sys.version_info < OLDEST_PYTHON:
        stop(f"Python 3.11 or newer is needed; this is {sys.version.split()[0]}.")
    if shutil.which("node") is None or shutil.which("npm") is None:
        stop("Node 20.19 or newer with npm is needed; install Debian's nodejs and npm.")
    STATE.mkdir(exist_ok=True)


def install_python() -> None:
    """The virtual environment from the lock, and the app itself in place."""
    locks = [ROOT / "bootstrap.lock", ROOT / "requirements.lock", ROOT / "pyproject.toml"]
    stamp = fingerprint(locks, str(sys.version))
    if is_done("python", stamp) and (BIN / "pneumachron").exists():
        return
    say("installing Python packages")
    if not (BIN / "python").exists():
        make_venv()
    python = str(BIN / "python")
    # the installer itself is checked by its hash too
    bootstrap = ["--require-hashes", "-r", "bootstrap.lock"]
    run(
        [python, "-m", "pip", "install", "--quiet", "--disable-pip-version-check", *bootstrap], ROOT
    )
    pip = [str(BIN / "uv"), "pip", "install", "--quiet", "--python", python]
    run([*pip, "--compile-bytecode", "--require-hashes", "-r", "requirements.lock"], ROOT)
    run([*pip, "--no-deps", "--editable", "."], ROOT)
    run([python, "-m", "compileall", "-q", "src"], ROOT)
    mark_done("python", stamp)


def make_venv() -> None:
    """Debian keeps ensurepip in a package of its own."""
    command = [sys.executable, "-m", "venv", str(VENV)]
    if subprocess.run(command, capture_output=True, check=False).returncode == 0:
        return
    version = f"{sys.version_info.major}.{sys.version_info.minor}"
    apt_install([f"python{version}-venv"])
    run(command, ROOT)


def build_frontend() -> None:
    """Node packages from their lock, then the built pages."""
    locks = [FRONTEND / "package.json", FRONTEND / "package-lock.json", FRONTEND / ".npmrc"]
    stamp = fingerprint(locks, "")
    if not is_done("node", stamp) or not (FRONTEND / "node_modules").is_dir():
        check_node()
        say("installing Node packages")
        run([*npm(), "ci", "--no-fund", "--no-audit", "--loglevel=error"], FRONTEND)
        mark_done("node", stamp)
    settings = [FRONTEND / "index.html", FRONTEND / "vite.config.ts", FRONTEND / "tsconfig.json"]
    sources = sorted(path for path in (FRONTEND / "src").rglob("*") if path.is_file())
    public = sorted(path for path in (FRONTEND / "public").rglob("*") if path.is_file())
    built = fingerprint([*settings, *sources, *public], stamp)
    if not is_done("web", built) or not (WEB / "index.html").exists():
        say("building the front end")
        run(["npx", "--no-install", "vite", "build", "--logLevel", "warn"], FRONTEND)
        mark_done("web", built)


def check_node() -> None:
    """Vite needs 20.19."""
    text = subprocess.run(["node", "--version"], capture_output=True, text=True, check=True).stdout
    numbers = tuple(int(part) for part in text.strip().lstrip("v").split(".")[:2])
    if numbers < (20, 19):
        stop(f"Node 20.19 or newer is needed; this is {text.strip()}.")


def npm() -> list[str]:
    """Npm 11 or newer; the one that came with Node 20 runs a newer one for the install."""
    text = subprocess.run(["npm", "--version"], capture_output=True, text=True, check=True).stdout
    if int(text.split(".", maxsplit=1)[0]) >= 11:
        return ["npm"]
    return ["npm", "exec", "--yes", "npm@11", "--"]


def install_browser() -> None:
    """Debian's Chromium without windows, for the browser tests; the whole one serves as well."""
    light, whole = BROWSERS
    if light.exists() or is_done("browser", "whole"):
        return
    say("installing Chromium")
    if not whole.exists():
        apt_install([light.name, "fonts-liberation"])
    elif not apt_installs([light.name]):
        mark_done("browser", "whole")


def apt_install(packages: list[str]) -> None:
    """Install Debian packages, or say how."""
    line = f"apt-get install -y {' '.join(packages)}"
    if os.geteuid() != 0 or shutil.which("apt-get") is None:
        stop(f"{' '.join(packages)} must be installed first: sudo {line}")
    for command in apt_commands(packages):
        run(command, ROOT, APT_ENV)


def apt_installs(packages: list[str]) -> bool:
    """Whether Debian packages can be installed here; they are then."""
    if os.geteuid() != 0 or shutil.which("apt-get") is None:
        return False
    return all(
        subprocess.run(command, env=APT_ENV, capture_output=True, check=False).returncode == 0
        for command in apt_commands(packages)
    )


def apt_commands(packages: list[str]) -> list[list[str]]:
    """Refresh what is known of Debian's packages, then install some; not waiting long for a net."""
    quick = ["-qq", "-o", "Acquire::Retries=0", "-o", "Acquire::http::Timeout=20"]
    return [
        ["apt-get", *quick, "update"],
        ["apt-get", *quick, "install", "-y", "--no-install-recommends", *packages],
    ]


def fingerprint(paths: list[Path], salt: str) -> str:
    """One hash over files and their names."""
    total = hashlib.sha256(salt.encode())
    for path in paths:
        total.update(str(path.relative_to(ROOT)).encode())
        total.update(path.read_bytes())
    return total.hexdigest()


def is_done(name: str, stamp: str) -> bool:
    """Whether a step was finished for exactly this."""
    path = STATE / f"{name}.stamp"
    return path.exists() and path.read_text() == stamp


def mark_done(name: str, stamp: str) -> None:
    """Remember that a step is finished."""
    (STATE / f"{name}.stamp").write_text(stamp)


def run(command: list[str], folder: Path, env: dict[str, str] | None = None) -> None:
    """Run a step; show its output only when it fails."""
    done = subprocess.run(command, cwd=folder, env=env, capture_output=True, text=True, check=False)
    if done.returncode:
        stop(f"This failed: {' '.join(command)}\n{done.stdout[-4000:]}{done.stderr[-4000:]}")


def say(text: str) -> None:
    """A word on what takes time."""
    print(f"… {text}", flush=True)


def stop(text: str) -> None:
    """Give up, saying why."""
    raise SystemExit(text)


if __name__ == "__main__":
    sys.exit(main())
