"""For how many a recipe is, as a line above it and in its last words. Common practice."""

import pytest

from pneumachron.recipes.reading import read_recipe
from pneumachron.recipes.understanding.plates import read_plates

ABOVE = (
    ("Serves 4", 4),
    ("Serves: 4-6", 5),
    ("Servings 8", 8),
    ("Makes 6 servings", 6),
    ("Yield: 10 portions", 10),
    ("Feeds a crowd of 12", 12),
    ("For 4 people", 4),
    ("Serves four to six", 5),
    ("Serves a family of five", 5),
    ("4 servings", 4),
    ("SERVES 6", 6),
    ("Portions: 8", 8),
    ("Yield 6-8 servings", 7),
    ("Serves about 10", 10),
    ("Serves 2 generously", 2),
    ("Serves 4 as a main", 4),
    ("Enough for 6", 6),
    ("Makes enough for 8", 8),
    ("(serves 6)", 6),
    ("6 people", 6),
    ("Für 4 Personen", 4),
    ("4 Portionen", 4),
    ("Rezept für 6 Personen", 6),
    ("Zutaten für 4 Personen", 4),
    ("Serves: 6 to 8 people", 7),
    ("Prep: 20 min | Cook: 3 h | Serves: 6", 6),
    ("Serves 6 | 20 min prep | 3 h cook", 6),
    ("Time: 3 hours. Serves: 6.", 6),
    ("Yield: 1 brisket (8 servings)", 8),
    ("Number of servings: 6", 6),
    ("Serves 6 with leftovers", 6),
    ("serves 6 hungry singers", 6),
    ("Makes: 6", 6),
    ("Quantity: 6 servings", 6),
    ("Servings per recipe: 8", 8),
    ("Dinner for two", 2),
    ("Dinner for 8", 8),
    ("Feeds 4 adults and 2 kids", 6),
    ("Serves 4 adults", 4),
    ("6 bis 8 Portionen", 7),
    ("Ergibt 6 Portionen", 6),
    ("Serves half a dozen", 6),
    ("Serves a dozen", 12),
    ("Servings\n6", 6),
    ("Yield\n6 servings", 6),
    ("Serves:\n4", 4),
)
LAST = (
    "Serve to 6 with mash.",
    "This feeds six.",
    "Serves 6.",
    "Enough for six people.",
    "Will do 6 easily.",
    "Makes six portions.",
    "Plenty for 6.",
    "For six.",
    "It will feed 6 people.",
    "Should serve six.",
    "Good for six people.",
    "Divide between 6 plates.",
    "Serve in 6 bowls.",
    "Reicht für 6 Personen.",
    "Serves 6 to 8, depending on appetite.",
)


def plates(above: str = "", last: str = "") -> float | None:
    return read_plates(read_recipe(
        f"Sunday dinner\n{above}\n\nIngredients\n2 kg pork shoulder\n2 onions\n500 ml stock\n\n"
        f"Method\nBrown the pork.\nAdd the rest, cover and simmer for 3 hours.\n{last}\n"
    ).recipe)  # fmt: skip


@pytest.mark.parametrize(("line", "many"), ABOVE)
def test_a_line_above(line: str, many: float) -> None:
    assert plates(above=line) == many


@pytest.mark.parametrize("words", LAST)
def test_last_words(words: str) -> None:
    assert plates(last=words) == (7 if "8" in words else 6)
