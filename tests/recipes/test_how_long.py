"""How a recipe cooks its meat, how long and how hot, in many words.

What each sentence comes to is common practice: where two heats follow each other, the long one
counts, with what goes on at the same heat.
"""

import pytest

from pneumachron.recipes.reading import read_recipe
from pneumachron.recipes.understanding.method import read_method

TOLD = (
    (
        "Roast at 220°C for 20 minutes, then turn down to 140°C and roast for 4 hours.",
        "oven_open",
        240,
        240,
        140,
    ),
    ("Put in the oven at gas 2 for 5 hours, covered with foil.", "oven_lid", 300, 300, 150),
    ("Bake, uncovered, at 250 degrees for 3 1/2 to 4 hours.", "oven_open", 210, 240, 121),
    (
        "Cover with a lid and slide into a low oven (140 C) for about three and a half hours.",
        "oven_lid",
        210,
        210,
        140,
    ),
    ("Slow cook on LOW for 8 hrs or HIGH for 4 hrs.", "slow_low", 480, 480, None),
    ("Pressure cook 1 hr 10 at high pressure, natural release.", "pressure", 70, 70, None),
    ("Cover, bake 300F 3 h. Turn off the oven, leave it 2 hours.", "oven_lid", 180, 180, 149),
    ("Cover, bake at 300F 3 h. Pickle the onions for 2 hours.", "oven_lid", 180, 180, 149),
    ("Cover, bake 300F 3 h. Proof the rolls 45 minutes, bake them.", "oven_lid", 180, 180, 149),
    ("Cook on high for 4-5 hours or low for 8-9 hours.", "slow_high", 240, 300, None),
    ("Set to low and leave it for 10 hours.", "slow_low", 600, 600, None),
    ("Put the tin in a 130C oven. Leave it for seven hours.", "oven_open", 420, 420, 130),
    ("Put it in the oven at 140C, cover, and leave it for 6 hours.", "oven_lid", 360, 360, 140),
    # in three stages meat is smoked
    ("Cook 3-2-1 at 225.", "smoker", 360, 360, 107),
    # the rest before carving is no heat
    ("Cook in the oven at 150C for 3 hours. Leave for 30 minutes.", "oven_open", 180, 180, 150),
    (
        "Roast in the oven at 150C for 3 hours, then leave it for 20 minutes.",
        "oven_open",
        180,
        180,
        150,
    ),
    ("Cook on low 8 hours. Broil at 500F on a baking sheet, 5 min.", "slow_low", 480, 480, None),
    ("Smoke for 3 hours at 180 until it has color.", "smoker", 180, 180, 82),
    ("Cook 1 hour on high, then 6 hours on low.", "slow_low", 420, 420, None),
    (
        "Smoke at 110°C until the bark is set, 4 hours, wrap in paper and cook another 3 hours.",
        "smoker",
        420,
        420,
        110,
    ),
    ("Smoke for 6 hours at 225 to 250.", "smoker", 360, 360, 107),
    ("Set the pellet grill to 250 and cook the butt for 8 hours.", "smoker", 480, 480, 121),
    ("Grill over indirect heat for 2 hours, lid closed, at about 150 C.", "grill", 120, 120, 150),
    ("Grill the ribs 15 minutes per side over medium coals.", "grill", 30, 30, None),
    ("Simmer gently, covered, for 2 1/2 hours on the stove.", "simmer", 150, 150, None),
    ("Bring to a boil, reduce the heat and simmer for an hour and a half.", "simmer", 90, 90, None),
    (
        "Pressure cook on high for 60 minutes and let the pressure come down naturally for 15.",
        "pressure",
        60,
        60,
        None,
    ),
    ("Cook at high pressure 45 min; natural release 20 min.", "pressure", 45, 45, None),
    ("Pressure cook 1 hour 15 minutes. Quick release.", "pressure", 75, 75, None),
    (
        "Lock the lid, bring to full pressure on the stove, cook 50 minutes.",
        "stovetop_pressure",
        50,
        50,
        None,
    ),
    (
        "Braise in the oven at 325F, lid on, 3 hours; remove the lid for the last half hour.",
        "oven_lid",
        180,
        180,
        163,
    ),
    (
        "Oven 300F. Foil tight. 2.5 hours. Then 30 min uncovered with sauce.",
        "oven_lid",
        180,
        180,
        149,
    ),
    (
        "Place in a cold oven, set it to 160 °C and cook for 4 hours under a lid.",
        "oven_lid",
        240,
        240,
        160,
    ),
    ("Bake in a roasting bag at 150C for 4 h.", "oven_lid", 240, 240, 150),
    ("Schmoren Sie das Fleisch zugedeckt bei 160 °C 3 Stunden im Ofen.", "oven_lid", 180, 180, 160),
    ("Bei 120 °C Umluft 5 Stunden garen.", "oven_open", 300, 300, 120),
    ("Im Smoker bei 110 °C 6 Stunden räuchern.", "smoker", 360, 360, 110),
    ("Roast 30 min per 500 g at 160C.", "oven_open", 120, 120, 160),
    ("Roast for 45 minutes per kilo plus 30 minutes at 170 C.", "oven_open", 120, 120, 170),
    ("Cook overnight in the slow cooker on low.", "slow_low", None, None, None),
    ("Leave in the oven overnight at 90C, covered, 10 hours.", "oven_lid", 600, 600, 90),
    (
        "Let it tick over on the back burner for three hours with the lid on.",
        "simmer",
        180,
        180,
        None,
    ),
    ("Air fry at 180C for 25 minutes.", "oven_open", 25, 25, 180),
    ("Barbecue over low coals for 1 hour, turning often.", "grill", 60, 60, None),
    ("Cook in the crock pot 8 hours.", "slow_low", 480, 480, None),
    ("Turn the cooker to HIGH; cook for 5 hours.", "slow_high", 300, 300, None),
    ("Bake at 300 for an hour per pound.", "oven_open", 240, 240, 149),
    (
        "Put the lid on and bake 2 hrs at 325°. Turn the meat. Bake 1 hr more.",
        "oven_lid",
        180,
        180,
        163,
    ),
    ("Roast at 275F until the internal temp is 195F, 5 to 6 hours.", "oven_open", 300, 360, 135),
    ("In the oven: 3 hours, 150 C, lid on.", "oven_lid", 180, 180, 150),
    ("Cover. 150C. 3 hours.", "oven_lid", 180, 180, 150),
    (
        "Cook covered in a Dutch oven at 300 F in the oven, about 3 hours.",
        "oven_lid",
        180,
        180,
        149,
    ),
    (
        "Simmer in the pot for 1 hour, then bake at 200C for 20 minutes with the glaze.",
        "simmer",
        60,
        60,
        None,
    ),
    ("Boil the ribs for 45 minutes, then grill 10 minutes with sauce.", "simmer", 45, 45, None),
    (
        "Smoke 2 hours, then braise covered in the oven at 150C for 3 hours.",
        "smoker",
        300,
        300,
        150,
    ),
    ("Bring to 95°C core in a 120°C oven, covered, 6 h.", "oven_lid", 360, 360, 120),
    ("Lid on, three twenty-five for three hours.", "oven_lid", 180, 180, 163),
    (
        "Braise covered at 325 for 3 hours. Add the prunes and continue until tender, about 30"
        " minutes more.",
        "oven_lid",
        210,
        210,
        163,
    ),
    (
        "Roast on a rack at 200C for 25 min, turn, another 20. Brush with honey, 5 min under the"
        " grill.",
        "oven_open",
        45,
        45,
        200,
    ),
)
IN_A_SLOW_COOKER = ("slow_low", "slow_high")


@pytest.mark.parametrize(("words", "method", "low_min", "high_min", "temp_c"), TOLD)
def test_how_it_is_cooked(
    words: str, method: str, low_min: float | None, high_min: float | None, temp_c: float | None
) -> None:
    meat = "4 lb pork shoulder" if "pound" in words else "2 kg pork shoulder"
    put = "Put everything into the slow cooker." if method in IN_A_SLOW_COOKER else "Season it."
    found = read_method(read_recipe(
        f"Sunday dinner\nServes 6\n\nIngredients\n{meat}, boneless\n2 onions\n500 ml stock\n\n"
        f"Method\n{put}\n{words}\nServe with rice.\n"
    ).recipe)  # fmt: skip
    assert found.method == method
    if low_min is None or high_min is None:
        assert (found.low_s, found.high_s) == (None, None)
    else:
        assert found.low_s == pytest.approx(60 * low_min)
        assert found.high_s == pytest.approx(60 * high_min)
    assert (found.temp_c and round(found.temp_c)) == temp_c
