"""The model against common practice: what it was fitted to, what it was not, known misses."""

import pytest

from pneumachron.core.plan import Plan, make_plan
from tests.core.kitchen import LB_KG, load, wish
from tests.reference.fit import fit_dose_min
from tests.reference.practice import (
    FAMILIES,
    P1,
    P2,
    P3,
    P4,
    P5,
    P6_THICK,
    P6_THIN,
    P7_FALLS,
    P7_HOLDS,
    P9,
    P10,
    S1,
    S2,
    S3,
    S4,
    S5,
    S6,
    S7,
    UNFITTED,
    Case,
)


def ratio(case: Case) -> float:
    return make_plan(case.wish()).hold_exact_min / case.stated_min


# common practice, ± 20 %
@pytest.mark.parametrize("case", [P1, P4, P6_THICK, P6_THIN, P10], ids=lambda case: case.name)
def test_main_cases(case: Case) -> None:
    assert ratio(case) == pytest.approx(1.0, abs=0.20)


# common practice: more scattered, or from spans
@pytest.mark.parametrize("case", [P7_HOLDS, P7_FALLS, P9], ids=lambda case: case.name)
def test_other_cases(case: Case) -> None:
    assert ratio(case) == pytest.approx(1.0, abs=0.25)


@pytest.mark.parametrize("case", [S1, S2, S3, S5, S6, S7], ids=lambda case: case.name)
def test_usual_spans(case: Case) -> None:
    assert case.span is not None
    low, high = case.span
    assert low <= make_plan(case.wish()).hold_exact_min <= high


# Known misses, over the stated minutes: they may neither grow nor vanish unannounced.
# P2 contradicts P1 under any model of time and temperature; P5 stands against S2, which is the
# same cook by the usual span; S4 ends 3 min above its span, where P4 would have it at 75.
@pytest.mark.parametrize(
    ("case", "least", "most"),
    [(P2, 2.4, 3.0), (P3, 1.1, 1.4), (P5, 1.2, 1.45), (S4, 1.11, 1.2)],
    ids=["P2", "P3", "P5", "S4"],
)
def test_known_misses(case: Case, least: float, most: float) -> None:
    assert least <= ratio(case) <= most


def test_every_case_belongs_somewhere() -> None:
    fitted = [case for family in FAMILIES.values() for case in family]
    assert all(case.fitted for case in fitted)
    assert not any(case.fitted for case in UNFITTED)


@pytest.mark.parametrize("family", FAMILIES)
def test_doses_in_the_table_are_the_fitted_ones(family: str) -> None:
    cases = FAMILIES[family]
    cut = cases[0].pieces.pieces[0].cut
    assert cut.tender_dose_min == pytest.approx(fit_dose_min(cases, cut.thickness_factor), rel=0.01)


def minutes(plan: Plan, kind: str) -> float:
    return sum(phase.duration_s for phase in plan.phases if phase.kind == kind) / 60


def test_whole_run_of_a_halved_flat() -> None:
    # common practice (P1): lid on to open in about 2 h
    assert make_plan(P1.wish()).lid_on_to_open_s / 60 == pytest.approx(120, rel=0.1)


def test_come_up() -> None:
    # common practice: 5–10 min for a cup of liquid with little meat, near half an hour nearly full
    little = make_plan(wish(load("brisket_flat", 0.25, 0.03), liquid_m3=2.4e-4))
    assert 5 <= minutes(little, "come_up") <= 10
    assert minutes(make_plan(P7_HOLDS.wish()), "come_up") == pytest.approx(27, abs=4)


def test_vent() -> None:
    # common practice (P11): 1–2 min nearly empty, about 4 min for a litre
    empty = make_plan(wish(load("brisket_flat", 0.25, 0.03), liquid_m3=2.4e-4, release="quick"))
    assert 0.8 <= minutes(empty, "venting") <= 2.2
    litre = make_plan(wish(load("brisket_flat", 0.25, 0.03), liquid_m3=1.0e-3, release="quick"))
    assert minutes(litre, "venting") == pytest.approx(4, abs=1.2)
    # nearly full, vented at once: about 9 min
    full = make_plan(wish(load("back_ribs", 5 * LB_KG, 0.03, 2), school="bath", release="quick"))
    assert minutes(full, "venting") == pytest.approx(9, abs=3)


def test_natural_release_of_a_cup_of_water() -> None:
    # common practice: the pin of a pot with a cup of water and little else drops in 10–15 min
    little = make_plan(wish(load("brisket_flat", 0.1, 0.02), liquid_m3=2.4e-4))
    assert 9 <= minutes(little, "natural_release") <= 15
