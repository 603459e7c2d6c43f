"""The model against common practice: what it was fitted to, what it was not, known misses."""

from functools import cache

import numpy as np
import pytest

from pneumachron.core.catalog.cuts import cut_by_id, cuts
from pneumachron.core.planning.plan import Plan, make_plan
from tests.core.kitchen import LB_KG, cook_request, load, vented_at_once_min
from tests.reference.fit import Fit, fit, left_out, off_span, rms
from tests.reference.practice import FITTED, LEFT_OUT, P1, P2, P3, P7_HOLDS, P8, P9, Case

SHORT_MIN = 10.0
WITHIN = 0.35
WITHIN_MIN = 4.0


@cache
def others() -> list[tuple[Case, float]]:
    return left_out(FITTED)


@cache
def fitted() -> Fit:
    return fit(FITTED)


@pytest.mark.parametrize("case", FITTED, ids=lambda case: case.name)
def test_fitted_cases(case: Case) -> None:
    """Common practice: within 35 % of the nearer end of its span; a short one within 4 min."""
    found = make_plan(case.cook_request()).hold_exact_min
    if case.middle_min < SHORT_MIN:
        assert abs(found - case.middle_min) <= WITHIN_MIN
    else:
        assert abs(off_span(case, found)) <= np.log(1 + WITHIN)


def test_each_case_left_out() -> None:
    """Common practice, by doses in which the case had no part."""
    long = [(case, found) for case, found in others() if case.middle_min >= SHORT_MIN]
    assert len(long) >= 25
    assert rms([off_span(case, found) for case, found in long]) <= 0.22
    single = [(case, found) for case, found in long if case.span[0] == case.span[1]]
    assert rms([off_span(case, found) for case, found in single]) <= 0.17
    # wings disagree with each other by more than they should (W2 against W1 and P14): the aim of
    # 4 min is missed by one of them
    short = [abs(m - case.middle_min) for case, m in others() if case.middle_min < SHORT_MIN]
    assert sorted(short)[-2] <= WITHIN_MIN
    assert max(short) <= 6.0


# Known misses, over the stated minutes: they may neither grow nor vanish unannounced.
@pytest.mark.parametrize(
    ("case", "least", "most"),
    [(P2, 1.2, 2.0), (P9, 0.55, 0.75), (P3, 1.5, 2.5), (P8, 4.0, 6.0)],
    ids=["P2", "P9", "P3", "P8"],
)
def test_known_misses(case: Case, least: float, most: float) -> None:
    assert least <= make_plan(case.cook_request()).hold_exact_min / case.middle_min <= most


def test_every_case_belongs_somewhere() -> None:
    assert all(case.fitted for case in FITTED)
    assert not any(case.fitted for case in LEFT_OUT.values())


@pytest.mark.parametrize("cut", sorted({case.cut for case in FITTED}))
def test_doses_in_the_table_are_the_fitted_ones(cut: str) -> None:
    assert cut_by_id(cut).tender_softening_min == pytest.approx(np.exp(fitted().cut[cut]), rel=0.01)


@pytest.mark.parametrize("cut", list(cuts()))
def test_few_sources_are_said(cut: str) -> None:
    like = "brisket_flat" if cut == "brisket_whole" else cut
    assert cuts()[cut].practice_cases == sum(case.cut == like for case in FITTED)
    reasons = make_plan(cook_request(load(cut, 0.9, None))).reasons
    said = any(reason.fact == "few_sources" for reason in reasons)
    assert said == (cuts()[cut].practice_cases <= 1)


def test_a_cut_without_a_case_has_its_family() -> None:
    assert cut_by_id("rib_pieces").tender_softening_min == pytest.approx(
        np.exp(fitted().family["ribs"]), rel=0.01
    )


def minutes(plan: Plan, kind: str) -> float:
    return sum(phase.duration_s for phase in plan.phases if phase.kind == kind) / 60


def test_whole_run_of_a_halved_flat() -> None:
    # common practice (P1): lid on to open in about 2 h
    # (its own minutes are a fifth under what it states, docs/validation.md)
    assert make_plan(P1.cook_request()).lid_on_to_open_s / 60 == pytest.approx(120, rel=0.15)


def test_come_up() -> None:
    # common practice: 5–10 min for a cup of liquid with little meat, near half an hour nearly full
    little = make_plan(cook_request(load("brisket_flat", 0.25, 0.03), liquid_m3=2.4e-4))
    assert 5 <= minutes(little, "come_up") <= 10
    assert minutes(make_plan(P7_HOLDS.cook_request()), "come_up") == pytest.approx(27, abs=4)


def test_vent() -> None:
    # common practice (P11): 1–2 min nearly empty, about 4 min for a litre
    empty = make_plan(
        cook_request(load("brisket_flat", 0.25, 0.03), liquid_m3=2.4e-4, release="quick")
    )
    assert 0.8 <= minutes(empty, "venting") <= 2.2
    litre = make_plan(
        cook_request(load("brisket_flat", 0.25, 0.03), liquid_m3=1.0e-3, release="quick")
    )
    assert minutes(litre, "venting") == pytest.approx(4, abs=1.2)
    # nearly full, vented at once: about 9 min
    full = cook_request(load("back_ribs", 5 * LB_KG, 0.03, 2), liquid_style="bath", release="quick")
    assert vented_at_once_min(full) == pytest.approx(9, abs=3)
    # after a calm quarter of an hour there is less to let out
    assert minutes(make_plan(full), "waiting") == pytest.approx(12)
    assert minutes(make_plan(full), "venting") < vented_at_once_min(full)


def test_natural_release_of_a_cup_of_water() -> None:
    # common practice: the pin of a pot with a cup of water and little else drops in 10–15 min
    little = make_plan(cook_request(load("brisket_flat", 0.1, 0.02), liquid_m3=2.4e-4))
    assert 9 <= minutes(little, "natural_release") <= 15
