"""What the log taught in minutes, on a usual piece."""

import pytest

from pneumachron.core.catalog.cuts import cuts
from pneumachron.core.learning.usual_piece import more_minutes


@pytest.mark.parametrize("cut", list(cuts()))
def test_more_softening_takes_more_minutes(cut: str) -> None:
    firm, none, soft, far = more_minutes(cut, (-0.2, 0.0, 0.2, 0.6), 1150.0)
    assert none == 0.0
    assert firm <= 0.0 <= soft <= far
    assert far > 0.0
