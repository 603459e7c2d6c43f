"""Pages, cards and mails of a late autumn; each went wrong at one place. Common practice."""

import pytest

from pneumachron.recipes.understanding.ingredients import foods_in, read_ingredients
from tests.recipes.supper import told
from tests.recipes.test_usual_cards import of, when


def test_seasoned_ribs_of_a_braise_get_salt_and_pepper() -> None:
    """“Season the ribs”, and cumin and ginger went on them instead of into the sauce."""
    places = when(of("short_ribs_with_prunes"))
    assert places["salt and freshly ground black pepper"] == "season"
    assert {places[name] for name in ("ground cumin", "ground ginger", "ground cinnamon")} == {
        "pot"
    }


def test_the_second_food_of_a_bare_line_is_kept() -> None:
    """“Carrots, potatoes if you want” lost its potatoes."""
    (line,) = read_ingredients(("carrots, potatoes if you want",))
    assert [food.line.name for food in foods_in(line)] == ["carrots", "potatoes"]
    done = of("brisket_as_it_was_on_the_card")
    assert "carrots and potatoes" in told(done)


def test_both_juices_go_into_the_pot() -> None:
    """Lime wedges at the table made the lime juice one more thing to serve, and lard a rub."""
    places = when(of("carnitas_under_the_broiler"))
    assert places["Lime wedges"] == "beside"
    assert places["orange juice"] == "pot"
    assert places["lime juice"] != "beside"
    assert places["lard or vegetable oil"] == "pot"


def test_a_sauce_from_a_pan_of_its_own_is_served() -> None:
    """Raw apples were stirred into the gravy."""
    done = of("pork_with_apple_sauce_of_its_own")
    places = when(done)
    assert {places[name] for name in ("cooking apples", "butter", "caster sugar")} == {"beside"}
    assert "put the apples in a small pan" in told(done)


def test_sesame_oil_finishes_a_sauce() -> None:
    """It was brushed on, because the next sentence glazes the ribs."""
    assert when(of("short_ribs_finished_with_sesame"))["sesame oil"] == "after"


def test_apples_mixed_with_kraut_stay_with_it() -> None:
    assert when(of("country_ribs_on_kraut"))["apple"] == "sear"


@pytest.mark.parametrize("name", ["Zwiebeln", "Möhren", "Knollensellerie"])
def test_german_steps_shorten_a_compound(name: str) -> None:
    """“Sellerie” is the Knollensellerie, and was boiled apart."""
    assert when(of("querrippe_in_rotwein"))[name] == "sear"


def test_sugar_is_strewn_on_and_not_brushed() -> None:
    assert "Strew turbinado sugar over it" in told(of("smoked_backs_with_a_mop"))


def test_hours_until_it_is_probe_tender() -> None:
    """From 10 pm to noon: two hours in a cooler were taken for the smoke."""
    cooking = of("butt_by_the_clock_of_a_forum").understood.cooking
    assert cooking.low_s == pytest.approx(14 * 3600)


def test_a_heading_of_sandwiches_is_nothing_to_serve() -> None:
    """“Serve with SANDWICHES”; and how they are pressed was lost."""
    done = of("mojo_sandwiches")
    assert "SANDWICHES" not in told(done)
    assert "press on a griddle" in told(done)
    assert "soft rolls" in told(done)


@pytest.mark.parametrize("name", ["cubes_in_a_caramel", "carnitas_under_the_broiler"])
def test_oil_of_a_braise_is_no_seasoning(name: str) -> None:
    season = {line.food.words for line in of(name).lines if line.when == "season"}
    assert not {words for words in season if words.endswith("oil")}


def test_what_is_shaken_in_the_bag_is_on_the_meat() -> None:
    assert when(of("short_ribs_shaken_in_a_bag"))["pepper"] == "season"


def test_a_paste_told_in_two_steps_is_rubbed_on() -> None:
    """Fennel and pepper went into the pot, and the zest of two lemons as their juice."""
    places = when(of("shoulder_with_a_fennel_paste"))
    names = ("fennel seed", "black peppercorns", "red-pepper flakes", "garlic", "rosemary leaves")
    assert {places[name] for name in names} == {"season"}
    lines = of("shoulder_with_a_fennel_paste").lines
    assert [line.when for line in lines if line.name == "lemons"] == ["season"]


def test_rib_ends_are_pieces() -> None:
    assert of("rib_ends_and_beans").understood.cut == "rib_pieces"


def test_steaks_of_the_shoulder_are_not_sliced() -> None:
    assert "Serve the pieces whole" in told(of("steaks_over_two_zones"))
