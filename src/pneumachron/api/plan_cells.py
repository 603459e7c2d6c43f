"""The plan in a cell of the log's files, on its way in: checked like any other plan."""

import json

from pydantic import ValidationError

from pneumachron.api.schemas.cook_request import PlanIn
from pneumachron.services.errors import RowError
from pneumachron.services.inputs import PlanInputs


def read_plan(cell: str, pot_id: str) -> PlanInputs:
    """What was typed, for a pot of this household.

    Raises
    ------
    RowError : it is no plan of ours; says where.
    """
    try:
        told = json.loads(cell)
        whole = {**told, "pot": pot_id} if isinstance(told, dict) else told
        return PlanIn.model_validate(whole).to_inputs()
    except RecursionError:
        raise RowError("row_plan_nested") from None
    except json.JSONDecodeError:
        raise RowError("row_plan_no_json") from None
    except ValidationError as error:
        first = error.errors()[0]
        where = ".".join(str(part) for part in first["loc"])
        raise RowError("row_plan_at", where=where[:80]) from None
