"""Write THIRD_PARTY_NOTICES.txt: what ships with the app or is installed for it, and its licenses.

`python3 dev.py notices` runs it. Packages only used for tests and builds are left out.
"""

import json
import re
from collections.abc import Iterator
from importlib.metadata import Distribution, PackageNotFoundError, distribution
from pathlib import Path

from packaging.requirements import Requirement

ROOT = Path(__file__).resolve().parents[1]
OUT = ROOT / "THIRD_PARTY_NOTICES.txt"
MODULES = ROOT / "frontend" / "node_modules"
RULE = "=" * 78
_LICENSE = re.compile(r"(licen[cs]e|copying|notice|ofl)", re.I)
MAX_TEXT = 20_000
"""Of one license text; the longest of them repeat the licenses of what is bundled inside."""


def main() -> None:
    """Write the file."""
    parts = [
        "Third-party notices of Pneumachron",
        "",
        "Made by `python3 dev.py notices`. Python packages that the app needs to run:",
        *(_section(*item) for item in python_packages()),
        "JavaScript packages and fonts that are built into its pages:",
        *(_section(*item) for item in node_packages()),
    ]
    OUT.write_text("\n".join(parts).rstrip() + "\n", encoding="utf-8")


def _section(name: str, version: str, license_name: str, text: str) -> str:
    body = text.strip()[:MAX_TEXT] or "(The package carries no license text of its own.)"
    return f"\n{RULE}\n{name} {version} ({license_name})\n{RULE}\n\n{body}\n"


def python_packages() -> Iterator[tuple[str, str, str, str]]:
    """Name, version, license and its text of what the app needs to run, by name."""
    for name in sorted(_closure("pneumachron")):
        found = distribution(name)
        meta = found.metadata
        license_name = str(meta["License-Expression"] or meta["License"] or "see below")
        yield found.name, found.version, license_name.splitlines()[0][:80], _text_of(found)


def _closure(root: str) -> set[str]:
    """Everything that a package needs here, and what that needs."""
    waiting, seen = [root], set[str]()
    while waiting:
        try:
            found = distribution(waiting.pop())
        except PackageNotFoundError:
            continue  # for another system
        for line in found.requires or []:
            need = Requirement(line)
            name = re.sub(r"[-_.]+", "-", need.name).lower()
            wanted = need.marker is None or need.marker.evaluate({"extra": ""})
            if wanted and name not in seen:
                try:
                    distribution(name)
                except PackageNotFoundError:
                    continue
                seen.add(name)
                waiting.append(name)
    return seen


def _text_of(found: Distribution) -> str:
    texts = []
    for file in found.files or []:
        if _LICENSE.search(file.name) and ".dist-info" in str(file) and file.suffix != ".py":
            place = Path(str(file.locate()))
            if place.is_file():
                texts.append(place.read_text(encoding="utf-8", errors="replace").strip())
    return "\n\n".join(texts)


def node_packages() -> Iterator[tuple[str, str, str, str]]:
    """The same for what is built into the pages."""
    lock = json.loads((ROOT / "frontend" / "package-lock.json").read_text(encoding="utf-8"))
    for place, entry in sorted(lock["packages"].items()):
        if not place or entry.get("dev") or entry.get("optional") or entry.get("peer"):
            continue
        folder = ROOT / "frontend" / place
        name = place.rpartition("node_modules/")[2]
        texts = [
            file.read_text(encoding="utf-8", errors="replace")
            for file in sorted(folder.glob("*"))
            if file.is_file() and _LICENSE.search(file.name)
        ]
        yield name, entry["version"], entry.get("license", "see below"), "\n\n".join(texts)


if __name__ == "__main__":
    main()
