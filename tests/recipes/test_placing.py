"""A second reading of where foods go: what it finds likely, what it asks, what the cook says."""

from collections.abc import Callable
from math import isclose, isfinite
from typing import get_args

import pytest

from pneumachron.recipes.converting import placed as placing
from pneumachron.recipes.converting.convert import Converted, convert
from pneumachron.recipes.converting.kitchen import Choices, PlacedWhen
from pneumachron.recipes.converting.placed import SCORCHES
from pneumachron.recipes.placing.likely import ALWAYS, PLACES, likely, likely_places, weights
from pneumachron.recipes.placing.work import clauses_in, work_in
from pneumachron.recipes.reading import read_recipe
from pneumachron.recipes.understanding.understand import Understood, understand
from tests import by_depth
from tests.recipes.placing.examples import examples, labels, open_texts
from tests.recipes.strangers.measure import KITCHEN
from tests.text.words import sentence, words

BAKED = """Ribs for a crowd

4 lb country style pork ribs
1 cup cola
1 bottle barbecue sauce
1/2 cup apricot preserves
1 tsp dry mustard

Arrange ribs in a dish, pour in the cola, and seal with foil. Bake at 325 F for 2 hours. Drain.
Stir barbecue sauce, preserves and mustard together. Spread over the ribs.
Bake uncovered 30 minutes more, basting now and then.
"""
STEW = """Shoulder stew

3 lb pork shoulder, cut in 2-inch cubes
1 tbsp oil
1 onion, chopped
2 leeks, sliced
500 ml chicken stock
2 tbsp tomato paste
100 ml cream
1 tsp caraway
parsley

Brown the pork in the oil. Soften the onion. Add leeks, stock, paste and caraway, cover and simmer
2 hours until tender. Stir in the cream. Scatter with parsley.
"""


def read(text: str) -> Understood:
    return understand(read_recipe(text).recipe)


def made(text: str, *moves: tuple[int, PlacedWhen]) -> Converted:
    return convert(read(text), KITCHEN, Choices(placed=moves))


def when(done: Converted, row: int) -> list[str]:
    return [line.when for line in done.lines if line.origin == row]


def test_every_sign_has_a_weight_for_every_place() -> None:
    assert ALWAYS in weights()
    for sign, row in weights().items():
        assert len(row) == len(PLACES), sign
        assert all(map(isfinite, row)), sign


def test_what_is_likely_makes_one_together_and_what_is_not_known_says_nothing() -> None:
    plain = likely(())
    assert isclose(sum(plain.values()), 1.0)
    assert likely({"no such sign"}) == plain
    assert likely({"part glaze"})["finish"] > plain["finish"]


# common practice, each of them
SAID = [
    ("1 bunch chives", "Snip the chives over each plate and serve.", "beside"),
    ("1/3 cup maple syrup", "Brush the ribs with the maple syrup and broil 3 minutes.", "finish"),
    ("1 tbsp ground cumin", "First rub the ribs all over with the cumin.", "season"),
    ("400 ml beef stock", "First pour the stock around the ribs.", "pot"),
    ("100 ml cream", "Stir the cream into the juices and heat gently.", "after"),
]


@pytest.mark.parametrize(("line", "said", "place"), SAID, ids=lambda value: str(value)[:14])
def test_what_is_done_with_a_food_says_where_it_goes(line: str, said: str, place: str) -> None:
    long = "Cover and bake the ribs at 150 °C for 3 hours."
    steps = f"{said}\n{long}" if said.startswith("First") else f"{long}\n{said}"
    odds = likely_places(read(f"Ribs\n\n2 kg back ribs\n{line}\n\n{steps}\n"))[1]
    assert max(odds, key=lambda each: odds[each]) == place, odds


def test_clauses_and_their_work() -> None:
    first, second = clauses_in("stir in the cream and scatter with parsley")
    assert "stir" in work_in(first)
    assert "serve" in work_in(second)
    assert work_in("walk the dog") == ()


def test_labels_fit_the_texts_and_the_weights_fit_the_labels() -> None:
    # labels of lines that are read otherwise by now are passed over; few may be
    every = by_depth(16, 1, 1)
    found = list(examples(every))
    names = [name for name, _ in open_texts()][::every]
    told = sum(len(labels().get(name, ())) for name in names)
    assert {name for name, _ in open_texts()} >= labels().keys()
    assert len(found) >= 0.97 * told
    right = 0
    for each in found:
        odds = likely(each.signs)
        right += max(odds, key=lambda place: odds[place]) == each.place
    assert right / len(found) >= 0.95


def read_as(place: str) -> Callable[[Understood], dict[int, dict[str, float]]]:
    """A second reading that finds one place likely, whatever it reads."""
    odds: dict[str, float] = {each: 0.95 if each == place else 0.01 for each in PLACES}
    return lambda found: dict.fromkeys(range(len(found.ingredients)), odds)


def test_what_can_be_read_either_way_is_asked_about(monkeypatch: pytest.MonkeyPatch) -> None:
    assert made(BAKED).doubts == ()
    monkeypatch.setattr(placing, "likely_places", read_as("season"))
    done = made(BAKED)
    # common practice: what is stirred together and spread on late is no seasoning of the raw meat
    assert when(done, 4) == ["finish"]
    asked = {doubt.index: doubt for doubt in done.doubts}
    assert asked[4].instead == "season"
    assert 0 not in asked  # the meat
    assert 3 not in asked  # preserves on the raw meat burn on the bottom
    said = sentence(asked[4].question)
    assert "dry mustard" in said
    assert "to season" in said
    assert "with the finish" in said


def test_what_is_clear_is_not_asked_about() -> None:
    assert made(STEW).doubts == ()


def test_the_cook_says_where_a_food_goes() -> None:
    done = made(BAKED, (4, "season"))
    assert when(done, 4) == ["season"]
    assert [mark.rule for mark in done.marks if mark.index == 4] == ["placed"]
    assert 4 not in {doubt.index for doubt in done.doubts}
    steps = {step.kind: words(step) for step in done.steps}
    assert "mustard" in steps["season"]
    assert "mustard" not in steps["finish"]


@pytest.mark.parametrize("place", get_args(PlacedWhen))
def test_a_food_goes_to_any_place_and_the_meat_stays(place: PlacedWhen) -> None:
    done = made(STEW, (7, place), (0, place), (99, place))
    assert when(done, 7) == [place]
    assert when(done, 0) == ["season"]


def test_a_cure_is_never_taken_apart() -> None:
    # published: nitrite is for the cure alone; what is in it stays in it, whatever is asked
    text = (
        "Corned brisket\n\n2 kg brisket\n2 l water\n100 g salt\n5 g pink curing salt\n\n"
        "Boil the water with the salt and the curing salt, cool. Cure the brisket in it 5 days.\n"
        "Rinse, cover with fresh water and simmer 3 hours.\n"
    )
    for row in (2, 3):
        assert when(made(text, (row, "pot")), row) == when(made(text), row) == ["cure"]


def test_what_scorches_goes_to_the_bottom_with_a_warning() -> None:
    done = made(STEW, (6, "pot"))
    assert when(done, 6) == ["pot"]
    mark = next(mark for mark in done.marks if mark.index == 6)
    assert mark.rule == "placed_to_scorch"
    assert "scorches" in sentence(mark.reason)


def test_liquid_that_the_cook_takes_out_is_made_up_with_water() -> None:
    before, after = made(STEW), made(STEW, (4, "beside"))
    assert when(after, 4) == ["beside"]
    water = [line for line in after.lines if line.origin is None]
    assert water
    need = before.plan.setup.filling.liquid_m3
    assert after.plan.setup.filling.liquid_m3 == pytest.approx(need, rel=0.15)
    back = made(STEW, (4, "pot"))
    assert when(back, 4) == ["pot"]
    assert [line.amount for line in back.lines if line.origin == 4] == [
        line.amount for line in before.lines if line.origin == 4
    ]


def test_no_guess_burns_or_leaves_raw(monkeypatch: pytest.MonkeyPatch) -> None:
    """Whatever the second reading finds: what scorches is not offered the bottom."""
    asked = 0
    for place in PLACES:
        monkeypatch.setattr(placing, "likely_places", read_as(place))
        for text in (STEW, BAKED):
            done = made(text)
            for doubt in done.doubts:
                kind = done.understood.ingredients[doubt.index].kind
                asked += 1
                assert doubt.instead not in {"pot", "sear"} or kind not in SCORCHES
                assert doubt.instead not in {"after", "finish"} or kind not in {"root", "foaming"}
                assert kind != "meat"
    assert asked > 10
