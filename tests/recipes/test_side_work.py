"""Sentences beside the meat: no side, thaw or rest changes by what or how long it is cooked.

The sentences are invented; that none of them heats the meat is common practice.
"""

import pytest

from pneumachron.recipes.reading import read_recipe
from pneumachron.recipes.understanding.method import read_method
from pneumachron.recipes.understanding.understand import understand

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


DINNERS: dict[str, tuple[str, str, str]] = {
    "brisket": (
        "1.4 kg beef brisket flat, 5 cm thick\n500 ml stock\n3 onions\n2 tsp salt",
        "Brown the beef.\nAdd onions and stock.\nCover; 150 C oven for 3 hours, until fork-tender.",
        "Serves 6",
    ),
    "ribs": (
        "2 racks baby back ribs, 1 kg each\n3 Tbsp rub\n1 cup sauce",
        "Rub the ribs.\nSmoke at 225 F for 5 hours, until they bend.",
        "Serves 4",
    ),
    "shoulder": (
        "2 kg boneless pork shoulder, in 2 pieces\n500 ml cider\n3 onions",
        "Put everything in the slow cooker.\nCook on low for 8 hours, until it falls apart.",
        "Serves 8",
    ),
    "short ribs": (
        "8 bone-in beef short ribs, about 2 kg\n500 ml wine\n3 onions",
        "Brown the ribs.\nAdd wine.\nCover and simmer for 3 hours, until tender.",
        "Serves 4",
    ),
}
"""Foods, steps and servings of a plain recipe for each family."""
SAID_BESIDE = (
    "Serves 6 with leftovers for 2 sandwiches.",
    "Cut the carrots into 2-inch pieces.",
    "Slice the onions 1 cm thick.",
    "Cut the potatoes in 4 cm chunks.",
    "Roll out the pastry 5 mm thick.",
    "Trim the fat to 1/4 inch thick.",
    "The fat cap should be 1 cm thick.",
    "Simmer the sauce until it falls from the spoon.",
    "Cook the onions until very soft.",
    "Cook the carrots until tender.",
    "Mash the potatoes until smooth.",
    "Use a 6-quart pot.",
    "You need a 4 kg pot for this.",
    "Makes 2 cups of sauce.",
    "I made this for 40 people once.",
    "For 12 people double it.",
    "Freezes in 4 portions.",
    "Cut the meat into 1 cm slices to serve.",
    "Slice across the grain, 5 mm thick.",
    "Shred what is left over for tacos.",
    "If you want it to fall apart, cook it an hour longer.",
    "Not fall-apart, please.",
    "A 3 kg piece takes an hour longer.",
    "Each person gets 2 ribs.",
    "I sometimes use lamb instead.",
    "Works with chicken thighs too.",
    "A brisket of 5 kg is for a party.",
    "Skewer the onions on 2 inch sticks.",
    "Cut the bread into 3 cm cubes.",
    "Cube the squash, 2 cm.",
    "Halve the onions.",
    "Quarter the lemons.",
    "Cut the cabbage in 8 wedges.",
)
LISTED_BESIDE = (
    "2 ribs celery, sliced",
    "1/2 lb bacon, diced",
    "200 g chorizo",
    "1 beef stock cube",
    "2 lb potatoes",
    "1 rack of lamb rub",
    "4 pork sausages, 400 g",
    "1 tsp beef bouillon",
    "500 g carrots",
    "1 ham hock",
    "3 slices prosciutto",
    "2 chicken thighs for the stock",
    "1 pork rind",
    "50 g beef dripping",
    "1 can pork and beans",
    "2 Tbsp pork rub",
    "1 cup chicken broth",
    "1 cinnamon stick",
    "12 small potatoes",
)


def meat_of(
    family: str, *, line: str = "", before: str = "", behind: str = ""
) -> tuple[object, ...]:
    """What is known of the meat, how soft it shall get and for how many it is."""
    foods, steps, serves = DINNERS[family]
    work = f"{before}\n{steps}\n{behind}"
    text = f"Sunday dinner\n{serves}\n\nIngredients\n{line}\n{foods}\n\nMethod\n{work}\n"
    found = understand(read_recipe(text).recipe)
    size = (found.mass_kg, found.thickness_m, found.count)
    return (found.cut, *size, found.bone, found.texture, found.plates)


@pytest.mark.parametrize(
    "behind", ["Grill the corn for 10 minutes.", "Toast the buns on the grill."]
)
def test_a_side_on_the_grill_is_no_crust(behind: str) -> None:
    foods, steps, _ = DINNERS["brisket"]
    text = f"Dinner\n\nIngredients\n{foods}\n\nMethod\n{steps}\n{behind}\n"
    assert understand(read_recipe(text).recipe).crust.kind is None


@pytest.mark.parametrize("family", DINNERS)
def test_nothing_beside_the_meat_changes_what_is_known_of_it(family: str) -> None:
    """“Slice across the grain, 5 mm thick” made a plan for meat of 5 mm."""
    told = meat_of(family)
    found = {text: meat_of(family, before=text) for text in SAID_BESIDE}
    found |= {f"{text} ": meat_of(family, behind=text) for text in SAID_BESIDE}
    found |= {text: meat_of(family, line=text) for text in LISTED_BESIDE}
    assert {text: meat for text, meat in found.items() if meat != told} == {}
