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
