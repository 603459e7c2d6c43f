"""Sentences beside the meat: no side, thaw or rest changes by what or how long it is cooked.

The sentences are invented; that none of them heats the meat is common practice.
"""

import pytest

from pneumachron.recipes.reading import read_recipe
from pneumachron.recipes.understanding.method import read_method

COOKED: dict[str, tuple[str, str, tuple[str, float]]] = {
    "oven": (
        "1.4kg beef brisket\n500ml stock\n3 onions",
        "Brown the beef.\nAdd onions and stock.\nCover; put into the oven at 150 C for 3 hrs.",
        ("oven_lid", 10800),
    ),
    "simmer": (
        "1.4kg beef brisket\n500ml stock\n3 onions",
        "Brown the beef well.\nAdd onions and stock.\nCover and simmer for 3 hours.",
        ("simmer", 10800),
    ),
    "slow": (
        "1.4kg pork shoulder\n500ml stock\n3 onions",
        "Put everything in the slow cooker.\nCook on low for 8 hours.",
        ("slow_low", 28800),
    ),
    "smoker": (
        "2 racks back ribs, 2 lb each\n3 Tbsp rub\n1 cup sauce",
        "Rub the ribs.\nSmoke at 225 F for 5 hours.",
        ("smoker", 18000),
    ),
    "grill": (
        "2 racks back ribs, 2 lb each\n3 Tbsp rub\n1 cup sauce",
        "Rub the ribs.\nGrill over indirect heat at 150 C for 3 hours, lid closed.",
        ("grill", 10800),
    ),
    "pressure": (
        "1.4kg pork shoulder\n500ml stock\n3 onions",
        "Brown the pork.\nCook at high pressure for 45 minutes.\nNatural release 15 min.",
        ("pressure", 2700),
    ),
}
"""A plain recipe for each device: foods, steps, and how its meat is cooked, how many seconds."""
BEFORE = (
    "Take the meat out of the fridge 1 hour before cooking.",
    "Remove the meat from the refrigerator 2 hours ahead.",
    "Soak the beans overnight.",
    "Bring to room temperature, about an hour.",
    "Preheat the grill to medium-high for searing.",
    "Line a baking tray with foil.",
    "Salt the meat the day before.",
    "Trim, and leave at room temperature for 2 hours.",
    "Dry brine uncovered for 24 hours.",
    "Toast the spices in a dry pan for 2 minutes.",
    "Roast the garlic at 200 C for 40 minutes.",
    "Blanch the ribs for 5 minutes.",
    "Marinate for at least 4 hours, or up to 24.",
    "Season with smoked paprika.",
    "Let the rub sit for 30 minutes.",
    "Pat dry with paper towels; rest 20 minutes.",
    "Heat the oil over high heat.",
    "Freeze the meat for 30 minutes to firm it up.",
    "Boil the kettle.",
    "Reduce the wine by half, about 10 minutes.",
    "Caramelize the onions slowly for 45 minutes.",
    "Cook the bacon until crisp, 10 minutes.",
)
BEHIND = (
    "Lift out the beef and keep warm.",
    "Rest for 1 hour wrapped in towels in a cooler.",
    "Let stand 20 minutes before slicing.",
    "Simmer the sauce for 20 minutes until thick.",
    "Chill overnight and lift off the fat.",
    "Reheat in a 160 C oven for 30 minutes.",
    "Rewarm gently for 1 hour on low.",
    "Serve with rice cooked for 15 minutes.",
    "Grill the corn for 10 minutes.",
    "Freeze for up to 3 months.",
    "Keeps in the fridge for 4 days.",
    "Broil for 5 minutes until crisp.",
    "Crisp under a hot grill for 5 minutes.",
    "Bake the potatoes at 200 C for 1 hour.",
    "Roast the carrots for 40 minutes at 200 C.",
    "Cook the pasta for 10 minutes.",
    "Boil the juices for 15 minutes to reduce.",
    "Skim the fat.",
    "Scan the QR code.",
    "Brush with barbecue sauce and serve.",
    "Serve with smoked sausage.",
    "Serve from the slow cooker set to warm.",
    "Leave to cool for 2 hours, then shred.",
    "Cover with foil and rest for 45 minutes.",
    "Hold in a low oven (80 C) for up to 2 hours.",
    "The leftovers can be reheated in the microwave for 3 minutes.",
    "Steam the buns for 5 minutes.",
    "Toast the buns on the grill.",
    "Fry the tortillas for 2 minutes.",
    "Make the gravy: simmer 25 minutes.",
    "Meanwhile bake the cornbread for 25 minutes at 200 C.",
    "Best made a day ahead.",
    "Total time: 4 hours.",
)


def method_of(device: str, before: str = "", behind: str = "") -> tuple[str | None, float | None]:
    foods, steps, _ = COOKED[device]
    text = f"Sunday dinner\n\nIngredients\n{foods}\n\nMethod\n{before}\n{steps}\n{behind}\n"
    found = read_method(read_recipe(text).recipe)
    return found.method, found.high_s


@pytest.mark.parametrize("device", COOKED)
def test_no_work_beside_the_meat_changes_its_heat(device: str) -> None:
    """Of 330 such pairs 60 had another device, or the hours of a side, of a thaw or of a rest."""
    told = COOKED[device][2]
    found = {text: method_of(device, before=text) for text in ("", *BEFORE)}
    found |= {text: method_of(device, behind=text) for text in BEHIND}
    assert {text: heat for text, heat in found.items() if heat != told} == {}


@pytest.mark.parametrize(("sentence", "minutes"), [
    ("Take it out of the fridge an hour before, then bake 2 hours at 150 C.", 120),
    ("Cook the vegetables with the meat 30 minutes more.", 210),
    ("Boil bones with onion 1 hour.", 240),
])  # fmt: skip
def test_what_does_heat_the_meat_still_counts(sentence: str, minutes: float) -> None:
    steps = "Cover and simmer for 3 hours." if minutes > 180 else ""
    text = f"Dinner\n\nIngredients\n2 lb pork rib tips\n1 onion\n\nMethod\n{steps}\n{sentence}\n"
    found = read_method(read_recipe(text).recipe)
    assert found.high_s == pytest.approx(60 * minutes)
