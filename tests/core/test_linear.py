"""What is linear is solved at once: the same as walking it step by step."""

import random
from dataclasses import fields, replace

import numpy as np
import pytest

from pneumachron.core.catalog.cuts import RELEASE_METHODS, ReleaseMethod, cuts
from pneumachron.core.catalog.pots import ready_pots
from pneumachron.core.cooker.come_up import ComeUp, come_up, stepped_come_up
from pneumachron.core.cooker.cook_time import Search
from pneumachron.core.cooker.let_go import Release, release
from pneumachron.core.cooker.meat_cases import MeatCases
from pneumachron.core.cooker.pot_heat import AfterHold, PotCases, linear_rises
from pneumachron.core.errors import RequestError
from pneumachron.core.planning.load import Load
from pneumachron.core.planning.request import CookRequest, resolve
from pneumachron.core.planning.scenarios import cases_of, first_cases
from tests.core.kitchen import cook_request, load
from tests.reference.stepped import stepped_release

LOADS = 60


def loads() -> list[CookRequest]:
    rng = random.Random(5)
    found: list[CookRequest] = []
    everything = list(cuts().values())
    while len(found) < LOADS:
        cut = rng.choice(everything)
        low, high = cut.usual_thickness_m
        release_by: ReleaseMethod = RELEASE_METHODS[len(found) % len(RELEASE_METHODS)]
        try:
            wanted = cook_request(
                load(cut.cut_id, rng.uniform(0.5, 2.2), rng.uniform(low, min(high, 0.1)),
                     rng.choice((1, 2, 4))),
                pot=rng.choice(list(ready_pots())),
                liquid_style=rng.choice(("steam", "short_braise", "bath")),
                release=release_by,
                altitude_m=rng.choice((0.0, 1150.0, 2500.0)),
                boil_s=rng.choice((0.0, 0.0, 600.0)),
            )  # fmt: skip
            resolve(wanted)
        except RequestError:
            continue
        found.append(wanted)
    return found


def searches() -> list[tuple[Search, AfterHold]]:
    made = []
    for wanted in loads():
        setup = resolve(wanted)
        made.append((Search(*cases_of(setup), setup.after), setup.after))
    return made


def alike(one: ComeUp | Release, other: ComeUp | Release) -> None:
    for field in fields(one):
        a, b = getattr(one, field.name), getattr(other, field.name)
        np.testing.assert_allclose(a, b, rtol=1e-7, atol=1e-6, err_msg=field.name)


def test_come_up_and_release_are_those_that_are_walked() -> None:
    met = set()
    for search, after in searches():
        alike(search.up, stepped_come_up(search.cases, search.heat, np.zeros((6, 0))))
        holds_s = np.array([[0.0, 600.0, 1800.0]]) + np.zeros((6, 1))
        args = (search.cases, search.held, search.up, holds_s)
        alike(release(*args, search.after), stepped_release(*args, after))
        met.add((after.wait_s, after.keep_s > 0, after.boil_s > 0))
    assert len(met) >= 5


def test_a_pot_put_on_again_is_the_one_that_is_walked() -> None:
    for search, _ in searches()[:12]:
        past = np.full((6, 30), 0.4)
        alike(
            come_up(search.cases, search.heat, past),
            stepped_come_up(search.cases, search.heat, past),
        )


def test_liquid_on_frozen_meat_is_walked() -> None:
    frozen = load("back_ribs", 0.8, 0.025, 4)
    pieces = tuple(replace(piece, start_temp_c=-18.0) for piece in frozen.pieces)
    setup = resolve(cook_request(Load(pieces), liquid_style="steam", release="quick"))
    search = Search(*cases_of(setup), setup.after)
    alike(search.up, stepped_come_up(search.cases, search.heat, np.zeros((6, 0))))


def test_linear_rises_solve_their_matrix() -> None:
    """Linear algebra: the matrix written out and solved by numpy."""
    rng = np.random.default_rng(3)
    stiff, lagged = rng.uniform(200, 400, 2), rng.uniform(0, 20, (2, 12))
    source = rng.uniform(-500, 900, (2, 3, 12))
    found = linear_rises(source, stiff, lagged)
    for case in range(2):
        column = np.concatenate([stiff[case : case + 1], lagged[case, :11]])
        rows = [[column[i - j] if i >= j else 0.0 for j in range(12)] for i in range(12)]
        matrix = np.array(rows)
        assert pytest.approx(np.linalg.solve(matrix, source[case].T)) == found[case].T


def test_ways_of_releasing_side_by_side_are_those_alone() -> None:
    """Each case of a batch is let go in its own way; what the others do changes nothing."""
    wanted = cook_request(load("brisket_flat", 1.2, 0.045, 2), altitude_m=1150.0)
    setups = [resolve(replace(wanted, release=way)) for way in RELEASE_METHODS]
    setups.append(resolve(replace(wanted, boil_s=600.0)))
    cases, meats = zip(*(first_cases(setup) for setup in setups), strict=True)
    ways = [setup.after for setup in setups]
    together = Search(PotCases.stacked(cases), MeatCases.stacked(meats), ways)
    hold_s = np.full(len(setups), 2400.0)
    open_s, dose, core = together.openings(hold_s)
    for row, setup in enumerate(setups):
        alone = Search(*first_cases(setup), setup.after, at_least_s=2400.0)
        one_s, one_dose, one_core = alone.openings(hold_s[:1])
        assert open_s[row] == pytest.approx(one_s[0], abs=1e-6)
        assert dose[row] == pytest.approx(one_dose[0], rel=1e-9)
        assert core[row] == pytest.approx(one_core[0], abs=1e-6)
