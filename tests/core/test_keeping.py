"""Cooling against a finite-difference solution of our own making, apart from the core's series."""

import numpy as np
import pytest

from pneumachron.core.catalog.cuts import cut_by_id
from pneumachron.core.safety.cooling import (
    COOLER_C,
    COOLER_W_M2K,
    Cooler,
    cooling,
    thickest_safe_m,
)
from pneumachron.core.safety.limits import COOL_FROM
from tests import only_deep, some

CELLS = 60


def cooled_s(thickness_m: float, cooler: Cooler, cut_id: str) -> tuple[float, float]:
    """Times [s] until the middle of a slab is at 21.1 and 5 °C: explicit steps, half the slab.

    The scheme is that of any textbook (Incropera, Fundamentals of Heat and Mass Transfer, 5.10,
    from memory): cells in the middle insulated, at the face in series with the film.
    """
    meat = cut_by_id(cut_id).meat
    width = thickness_m / 2 / CELLS
    film = 1.0 / (1.0 / COOLER_W_M2K[cooler] + width / 2 / meat.conductivity_w_mk)
    step = 0.2 * width**2 / meat.diffusivity_m2_s
    capacity = meat.conductivity_w_mk / meat.diffusivity_m2_s  # density × specific heat
    temp = np.full(CELLS, COOL_FROM.value)
    clock, found = 0.0, []
    for target in (21.1, 5.0):
        while temp[0] > target:
            flow = meat.conductivity_w_mk * np.diff(temp) / width
            out = film * (COOLER_C[cooler] - temp[-1])
            temp += step / (capacity * width) * (np.append(flow, out) - np.append(0.0, flow))
            clock += step
        found.append(clock)
    return found[0], found[1]


@pytest.mark.parametrize("cooler", ["refrigerator", "ice_bath"])
@pytest.mark.parametrize("thickness_m", some([0.03, 0.05, 0.08], 2))
def test_cooling_against_finite_differences(thickness_m: float, cooler: Cooler) -> None:
    found = cooling(cut_by_id("brisket_flat"), thickness_m, cooler)
    first, last = cooled_s(thickness_m, cooler, "brisket_flat")
    # 2 %: what a hundred and twenty cells and minutes of the core's own sampling leave
    assert found.to_first_s == pytest.approx(first, rel=0.02)
    assert found.to_last_s == pytest.approx(last, rel=0.02)


@pytest.mark.parametrize("cooler", [pytest.param("refrigerator", marks=only_deep), "ice_bath"])
def test_the_thickest_safe_layer_just_meets_the_food_code(cooler: Cooler) -> None:
    # published: 2 h to 21.1 °C and 6 h in all to 5 °C (FDA Food Code 3-501.14, from memory)
    cut = cut_by_id("shoulder_boneless")
    thick = thickest_safe_m(cut, cooler)
    first, last = cooled_s(thick, cooler, "shoulder_boneless")
    assert first <= 7200 * 1.02
    assert last <= 21_600 * 1.02
    first, last = cooled_s(thick + 0.004, cooler, "shoulder_boneless")
    assert first > 7200 * 0.98 or last > 21_600 * 0.98
