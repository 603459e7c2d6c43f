"""The plan in a cell of the log's files, on its way in: checked like any other plan."""

import json

from pydantic import ValidationError

from pneumachron.api.schemas.plan import PlanIn
from pneumachron.services.inputs import PlanInputs


def read_plan(cell: str, pot_id: str) -> PlanInputs:
    """What was typed, for a pot of this household.

    Raises
    ------
    ValueError : it is no plan of ours; says where.
    """
    try:
        told = json.loads(cell)
        whole = {**told, "pot": pot_id} if isinstance(told, dict) else told
        return PlanIn.model_validate(whole).to_inputs()
    except RecursionError:
        raise ValueError("the plan is nested too deeply") from None
    except json.JSONDecodeError as error:
        raise ValueError(f"the plan is no JSON: {error.msg}") from None
    except ValidationError as error:
        first = error.errors()[0]
        where = ".".join(str(part) for part in first["loc"])
        raise ValueError(f"the plan cannot be read at {where[:80]}: {first['msg']}") from None
