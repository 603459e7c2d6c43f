"""Every operation with generated input: documented answers only, never a server error."""

from collections.abc import Iterator
from typing import Any

import pytest
import requests
import schemathesis
from hypothesis import HealthCheck, settings
from schemathesis.checks import not_a_server_error
from schemathesis.core.result import Ok
from schemathesis.specs.openapi.checks import (
    response_schema_conformance,
    status_code_conformance,
)

from tests import DEEP, USUAL, by_depth
from tests.conftest import ROOT
from tests.live import serving


@pytest.fixture(scope="module")
def address(tmp_path_factory: pytest.TempPathFactory) -> Iterator[str]:
    with serving(tmp_path_factory.mktemp("fuzz"), demo=True) as served:
        yield served


@pytest.fixture(scope="module")
def session() -> Iterator[requests.Session]:
    """One connection for thousands of questions, and no look for a proxy at each."""
    with requests.Session() as opened:
        opened.trust_env = False
        yield opened


WRAPPED = (
    "POST /api/plan/what-if", "POST /api/plan/ready-by", "POST /api/plan/batches",
    "POST /api/plan/steps", "POST /api/plan/prep", "POST /api/plan/other-methods",
    "POST /api/plan/not-done", "POST /api/plan/interrupted", "POST /api/plan/minutes",
    "POST /api/plan/other-pressure", "POST /api/plans", "PUT /api/plans/{plan_id}",
    "POST /api/schedule", "POST /api/schedule/fixes", "POST /api/schedule/calendar",
    "POST /api/schedule/guests-late", "POST /api/schedule/calendar/read",
    "POST /api/schedules", "PUT /api/schedules/{day_id}", "PUT /api/recipes/{recipe_id}",
    "POST /api/cooks", "POST /api/recipes/convert", "POST /api/recipes/export",
)  # fmt: skip
"""Their bodies are, or are wrapped around, those of `/api/plan` and `/api/recipes`, whose every
boundary is met there. Here it is met with `--deep`; drawn bodies come
to all of them."""
UNBOUNDED = () if DEEP else WRAPPED
config = schemathesis.Config.from_dict({
    "phases": {"coverage": {"enabled": not USUAL}},  # the boundaries are for the whole run
    "operations": [
        {"include-name": name, "phases": {"coverage": {"enabled": False}}} for name in UNBOUNDED
    ],
})  # fmt: skip
schema = schemathesis.openapi.from_path(ROOT / "docs" / "openapi.json", config=config).exclude(
    path_regex="/stream$"  # it does not end; tests/api/test_following.py follows one
)


def test_what_is_left_to_the_deep_run_is_there() -> None:
    named = {
        operation.ok().label for operation in schema.get_all_operations()
        if isinstance(operation, Ok)
    }  # fmt: skip
    assert set(WRAPPED) <= named


@schema.parametrize()
@settings(max_examples=by_depth(2, 8, 25), deadline=None, suppress_health_check=list(HealthCheck))
def test_api(case: schemathesis.Case[Any], address: str, session: requests.Session) -> None:
    case.call_and_validate(
        base_url=address,
        session=session,
        checks=[not_a_server_error, status_code_conformance, response_schema_conformance],
    )
