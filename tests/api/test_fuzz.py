"""Every operation with generated input: documented answers only, never a server error."""

from collections.abc import Iterator
from typing import Any

import pytest
import requests
import schemathesis
from hypothesis import HealthCheck, settings
from schemathesis.checks import not_a_server_error
from schemathesis.specs.openapi.checks import (
    response_schema_conformance,
    status_code_conformance,
)

from tests import DEEP
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


schema = schemathesis.openapi.from_path(ROOT / "docs" / "openapi.json").exclude(
    path_regex="/stream$"  # it does not end; tests/api/test_following.py follows one
)


@schema.parametrize()
@settings(max_examples=25 if DEEP else 8, deadline=None, suppress_health_check=list(HealthCheck))
def test_api(case: schemathesis.Case[Any], address: str, session: requests.Session) -> None:
    case.call_and_validate(
        base_url=address,
        session=session,
        checks=[not_a_server_error, status_code_conformance, response_schema_conformance],
    )
