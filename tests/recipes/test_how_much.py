"""How much of each liquid, what a marinade needs, small pieces: words and numbers agree.

Recipes are invented; the trade's words are common practice.
"""

import pytest

from pneumachron.core.planning.season import searing
from pneumachron.recipes.converting.convert import Converted
from pneumachron.recipes.understanding.measures import unit_of
from tests.recipes.supper import WET, made, read, told, went

CUP_M3 = 0.2366e-3


def volume_m3(done: Converted, row: int | None, *whens: str) -> float:
    return sum(
        line.amount[0] * unit_of(line.unit).factor
        for line in done.lines
        if line.origin == row and line.amount is not None and (not whens or line.when in whens)
    )


SOUR = ("3/4 cup cane vinegar", "1/2 cup soy sauce", "1 head garlic", "1 cup water")
SOAKED = (
    "Marinate the pork in the vinegar, soy and garlic overnight. Drain, reserving the marinade.",
    "Brown the pork.",
    "Add the marinade and the water, bring to a boil, cover and simmer for 1 hour until tender.",
)


def test_the_liquid_in_all_is_what_is_poured_in() -> None:
    done = made(*SOAKED, meat="1 kg pork shoulder, in 5 cm cubes", more=SOUR)
    poured = sum(volume_m3(done, row, "pot", "sear") for row in (1, 2, 4))
    assert done.plan.setup.filling.liquid_m3 == pytest.approx(poured, rel=0.02)


def test_vinegar_makes_room_for_less_water() -> None:
    done = made("Pour the vinegar over. " + WET, more=("1 cup white vinegar",))
    plain = made("Pour the vinegar over. " + WET, more=("1 tbsp white vinegar",))
    less = volume_m3(plain, None) - volume_m3(done, None)
    assert less == pytest.approx(volume_m3(done, 1, "pot"), rel=0.05)


def test_garlic_of_the_marinade_is_not_fried() -> None:
    assert went(made(*SOAKED, more=SOUR), 3) == ["pot"]


def test_all_the_wine_of_a_marinade_is_listed() -> None:
    done = made(
        "Put the beef in a bowl with the wine and onion. Cover and refrigerate overnight.",
        "Lift out the beef, dry it and brown it. Pour in the wine from the marinade. " + WET,
        meat="1.5 kg brisket",
        more=("750 ml red wine", "1 onion, sliced"),
    )
    assert volume_m3(done, 1) == pytest.approx(0.75e-3, rel=0.01)
    assert volume_m3(done, 1, "season") > volume_m3(done, 1, "sear") > 0


def test_a_sour_marinade_cooks_as_sour_as_it_was() -> None:
    """A quarter of the liquid is vinegar in the bowl, and not more of it in the cooker."""
    done = made(
        "Das Fleisch in Wein, Essig und Wasser 3 Tage im Kühlschrank marinieren.",
        "Das Fleisch trocken tupfen und anbraten. Mit der Hälfte der Marinade ablöschen und "
        "zugedeckt bei schwacher Hitze 2 1/2 Stunden schmoren.",
        meat="1,5 kg Rinderbrust",
        more=("500 ml Rotwein", "300 ml Rotweinessig", "400 ml Wasser"),
    )
    assert volume_m3(done, 2) == pytest.approx(0.3e-3, rel=0.02)
    sour = volume_m3(done, 2, "pot")
    assert 0 < sour < 0.5 * done.plan.setup.filling.liquid_m3


def test_what_is_measured_goes_in_before_what_is_not() -> None:
    done = made(
        "Add the coconut water, and water to cover. " + WET,
        more=("1 can (400 ml) coconut water", "water"),
    )
    assert volume_m3(done, 2) < 0.05 * volume_m3(done, 1)


def test_a_soup_keeps_its_chili_powder() -> None:
    more = ("4 tbsp chili powder", "3 cups beef stock")
    soup = made("Stir in all. " + WET, "Ladle into bowls.", more=more)
    assert volume_m3(soup, 1) == pytest.approx(0.75 * 4 * 14.8e-6, rel=0.02)


def test_juice_and_zest_are_named_and_not_halved() -> None:
    done = made(
        "Add the orange zest and juice and the stock. " + WET,
        "Stir in the lime juice.",
        more=("zest and juice of 1 orange", "2 cups stock", "juice of 2 limes"),
    )
    assert went(done, 1) == ["pot"]
    assert "zest and juice of orange" in told(done)
    assert "Stir in juice of limes" in told(done)


def test_single_ribs_look_like_single_ribs() -> None:
    done = made(
        "Add the stock. Cover and simmer 1 1/2 hours until very tender.",
        meat="1.5 kg pork spare ribs, cut into individual ribs",
        more=("300 ml stock",),
    )
    assert "rack" not in told(done)
    assert "single bones" not in told(done)


def test_a_stew_rests_in_its_juice() -> None:
    stew = made(
        "Add the stock. " + WET, meat="1 kg pork shoulder, in 4 cm cubes", more=("1 l stock",)
    )
    assert "Leave the meat in its juice" in told(stew)
    assert "tented" not in told(stew)
    assert "tented" in told(made("Add the stock. " + WET, more=("1 l stock",)))


def test_one_roast_is_seared_at_once() -> None:
    done = made(
        "Brown the pork. Add the stock. " + WET, meat="3.5 kg pork shoulder", more=("1 l stock",)
    )
    request = done.plan.setup.request
    assert searing(request.load, request.pot).batches <= len(request.load.pieces)


@pytest.mark.parametrize("size", ["bite-size pieces", "bite-sized pieces", "big bite-size chunks"])
def test_bites_are_small(size: str) -> None:
    done = made(
        "Add the stock. " + WET, meat=f"2 lb pork shoulder, in {size}", more=("1 cup stock",)
    )
    assert done.understood.thickness_m == pytest.approx(0.03)


def test_one_measure_told_for_several_in_prose() -> None:
    recipe = read(
        "Pork\n\nGet a 2 kg boneless shoulder, rub it with 2 tbsp sugar, 1 tbsp each of smoked "
        "paprika, cumin and salt. Put 2 onions in the slow cooker with a cup of apple juice, "
        "low for 9 hours."
    )
    assert {"1 tbsp smoked paprika", "1 tbsp cumin", "1 tbsp salt"} <= set(recipe.ingredients)


def test_the_weight_behind_the_count() -> None:
    done = made("Cover and bake at 250 F for 5 hours.", meat="1 5-6# brisket")
    assert done.lines[0].name == "brisket"
    assert done.understood.mass_kg == pytest.approx(5.5 * 0.45359, rel=0.01)


def test_honey_and_the_next_three() -> None:
    done = made(
        "Rub the ribs with salt. Bake, covered, at 325 F for 1 1/2 hours; drain.",
        "Stir together honey and next 3 ingredients. Pour over ribs; bake, uncovered, 30 minutes.",
        meat="2 racks baby back ribs",
        more=(
            "1 tsp salt",
            "1/3 cup honey",
            "1/3 cup mustard",
            "1/4 cup vinegar",
            "3 cloves garlic",
        ),
    )
    assert [went(done, row) for row in range(2, 6)] == [["finish"]] * 4
    assert went(done, 1) == ["season"]
