"""The guests come later: what waits stays safe, and no softer than is said."""

import pytest

from pneumachron.core.constants import KEEP_WARM_TEMP
from pneumachron.core.safety.limits import ZONE_HIGH
from pneumachron.core.schedule.dish import Dish
from pneumachron.core.schedule.guests_late import WARM_OVEN_C, LateHow, Stage, when_late
from tests.core.kitchen import load, wish

RIBS = Dish("a", "Ribs", wish(load("back_ribs", 1.0, 0.028)))
SHOULDER = Dish("b", "Shoulder", wish(load("shoulder_boneless", 1.4, 0.06, 2)))

PULLED = Dish("c", "Pulled", wish(load("shoulder_boneless", 1.4, 0.06, 2), texture="falls"))


@pytest.mark.parametrize(
    ("dish", "stage", "late_min", "how"),
    [
        (RIBS, "not_begun", 90, "later"),
        # common practice: what is out waits in foil in a warm oven, two hours at most for ribs,
        # three for a shoulder in its juice
        (RIBS, "out", 40, "rest_warm"),
        (RIBS, "out", 121, "chill"),
        (SHOULDER, "out", 150, "rest_warm"),
        (SHOULDER, "out", 200, "chill"),
        (RIBS, "carved", 30, "cover"),
        (RIBS, "carved", 90, "chill"),
        # common practice: ribs are out of the cooker within half an hour, or fall off the bone
        (RIBS, "in_cooker", 60, "take_out"),
        (SHOULDER, "in_cooker", 20, "take_out"),
        # what is pulled anyway may get softer
        (PULLED, "in_cooker", 20, "keep_warm"),
    ],
)
def test_how_a_dish_waits(dish: Dish, stage: Stage, late_min: int, how: LateHow) -> None:
    assert when_late(dish, stage, 60.0 * late_min).how == how


def test_what_waits_in_the_oven_is_out_of_the_danger_zone() -> None:
    """Published: held hot at 60 °C or above (USDA; 57 °C in the FDA Food Code), from memory."""
    assert ZONE_HIGH.value + 10 <= WARM_OVEN_C
    assert KEEP_WARM_TEMP.value >= ZONE_HIGH.value


def test_longer_under_the_lid_is_softer_and_is_said() -> None:
    softer = [when_late(PULLED, "in_cooker", 60.0 * late).softer_steps for late in (5, 10, 20)]
    assert softer == sorted(softer)
    assert softer[0] > 0.0
    for dish, most in ((PULLED, 1.0), (SHOULDER, 0.5), (RIBS, 0.5)):
        for late_min in (2, 5, 15, 30, 60, 120):
            late = when_late(dish, "in_cooker", 60.0 * late_min)
            # more is not taken: it is lifted out instead
            assert late.softer_steps <= most
            assert (late.how == "keep_warm") == (late.softer_steps > 0)
