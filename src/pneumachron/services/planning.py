"""Planning: work out a request, keep the plan, work it out again."""

from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import asdict, dataclass
from typing import Any

from sqlalchemy.orm import Session

from pneumachron.core import ENGINE_VERSION
from pneumachron.core.catalog.pots import Pot, ready_pot, ready_pots
from pneumachron.core.errors import RequestError
from pneumachron.core.physics.tenderness import TEXTURES, Texture
from pneumachron.core.planning.batches import batches
from pneumachron.core.planning.finish import FinishKind
from pneumachron.core.planning.other_methods import BackMethod, other_way
from pneumachron.core.planning.plan import make_plan
from pneumachron.core.planning.ready_by import ways_in_time
from pneumachron.core.planning.recovery import judge_opened, judge_stopped, translate_minutes
from pneumachron.core.planning.remedies import with_fix
from pneumachron.core.planning.request import CookRequest
from pneumachron.core.planning.sauce import Body
from pneumachron.core.planning.season import Marinade
from pneumachron.core.planning.two_cycles import early_out
from pneumachron.core.planning.what_if import (
    summary_for_minutes,
    what_changes,
    what_changes_in_two,
)
from pneumachron.core.procedure.cook_plan import cook_plan
from pneumachron.core.procedure.steps import cook_steps
from pneumachron.core.units import parse_measure
from pneumachron.services.answers import (
    around_document,
    opened_document,
    runs_document,
    sauce_document,
    stopped_document,
    translated_document,
)
from pneumachron.services.conversion_documents import other_way_document
from pneumachron.services.documents import (
    RESULTS_VERSION,
    alternative_document,
    early_out_document,
    habits_document,
    plan_document,
    summary_document,
    way_document,
    whole_document,
)
from pneumachron.services.errors import VersionError
from pneumachron.services.households import current_household
from pneumachron.services.inputs import (
    INPUTS_VERSION,
    Defaults,
    PieceInputs,
    PlanInputs,
    is_uncut,
    located,
    read_request,
    whole_pieces,
)
from pneumachron.services.learning import (
    defaults_with,
    household_defaults,
    learned_document,
    learned_of,
)
from pneumachron.services.log_words import Changed, plan_differences
from pneumachron.services.step_documents import step_document
from pneumachron.store import households, pots
from pneumachron.store.db import give_back, writing
from pneumachron.store.plans import PLANS
from pneumachron.store.records import PlanContent, StoredPlan
from pneumachron.text.vocabulary import ready_cooker

NOWHERE = Defaults(altitude_m=0.0, start_temp_c=4.0)
"""Sea level and a cold refrigerator, for a plan without a household."""


@dataclass(frozen=True, slots=True)
class Recomputed:
    """A stored plan worked out with today's engine, pot and household. Nothing is saved."""

    results: dict[str, Any]
    engine_version: str
    differences: tuple[Changed, ...]


def work_out(inputs: PlanInputs, pot: Pot, defaults: Defaults = NOWHERE) -> dict[str, Any]:
    """A plan document for what was typed.

    Raises
    ------
    RequestError : the request cannot be met; its field is a path into the inputs.
    """
    with _telling_where():
        request = read_request(inputs, pot, defaults)
        try:
            plan = make_plan(request)
        except RequestError as error:
            raise with_fix(request, error, uncut=is_uncut(inputs)) from None
        wholes = zip(whole_pieces(inputs, defaults), inputs.pieces, strict=True)
        return plan_document(plan) | {
            "habits": habits_document(inputs),
            "wholes": [whole_document(piece, entry.count) for piece, entry in wholes],
        }


@contextmanager
def _telling_where() -> Iterator[None]:
    """Turn the field of an error into its path in the inputs."""
    try:
        yield
    except RequestError as error:
        raise located(error) from None


def _request_here(session: Session, inputs: PlanInputs) -> CookRequest:
    """The request in the household's pot, with its defaults."""
    household = current_household(session)
    pot = find_pot(session, household.household_id, inputs.pot)
    defaults = household_defaults(session, inputs)
    give_back(session)
    return read_request(inputs, pot, defaults)


def plan_here(session: Session, inputs: PlanInputs) -> dict[str, Any]:
    """A plan document with the household's pot and defaults, and how far its log moved it."""
    learned = learned_of(session, inputs)
    home = current_household(session).household_id
    pot = find_pot(session, home, inputs.pot)
    defaults = defaults_with(session, learned)
    give_back(session)
    document = work_out(inputs, pot, defaults)
    moved = {
        reason["fact"]: {"moved_min": round(reason["effect"], 1)} for reason in document["reasons"]
    }
    return document | {
        "learned": [
            learned_document(item) | (moved.get("log", {}) if item.kind == "taste" else {})
            for item in learned
        ]
    }


def what_if_here(session: Session, inputs: PlanInputs) -> dict[str, Any]:
    """The same request with one thing different at a time, and unlike pieces in two cycles."""
    home = current_household(session).household_id
    with _telling_where():
        kept = [item.pot for item in pots.list_pots(session, home)]
        request = _request_here(session, inputs)
        early = early_out(request)
        in_two = request.thin_first and early is not None
        others = [pot for pot in kept if pot.name != request.pot.name]
        found = what_changes_in_two(request, others) if in_two else what_changes(request, others)
        return {
            "alternatives": [alternative_document(alternative) for alternative in found],
            "early_out": early_out_document(request, early),
        }


def minutes_here(session: Session, inputs: PlanInputs, hold_min: int) -> dict[str, Any]:
    """What a recipe's minutes would make of this load, in the household's pot."""
    with _telling_where():
        return summary_document(summary_for_minutes(_request_here(session, inputs), hold_min))


def ready_by_here(
    session: Session, inputs: PlanInputs, available_min: int, finish: FinishKind | None
) -> list[dict[str, Any]]:
    """Ways of cutting, releasing and finishing that are at the table in time, best first."""
    with _telling_where():
        ways = ways_in_time(
            _request_here(session, inputs), 60.0 * available_min, finish or inputs.finish
        )
        return [way_document(way) for way in ways]


def opened_here(
    session: Session,
    inputs: PlanInputs,
    hold_min: int,
    *,
    seen: Texture | None,
    probe: str | None,
    open_min: float,
) -> dict[str, Any]:
    """Opened after a hold: done, put back, or rescue."""
    with _telling_where():
        request = _request_here(session, inputs)
        found = judge_opened(
            request,
            hold_min,
            seen_step=None if seen is None else float(TEXTURES.index(seen)),
            probe_c=None if probe is None else parse_measure(probe, "temperature", "probe"),
            open_min=open_min,
        )
        return opened_document(request, found)


def stopped_here(
    session: Session, inputs: PlanInputs, at_min: float, since_min: float
) -> dict[str, Any]:
    """A run that stopped by itself or for want of power."""
    with _telling_where():
        return stopped_document(judge_stopped(_request_here(session, inputs), at_min, since_min))


def other_pressure_here(
    session: Session, inputs: PlanInputs, hold_min: int, gauge: str
) -> dict[str, Any]:
    """Minutes of another pressure, for the household's pot."""
    with _telling_where():
        gauge_pa = parse_measure(gauge, "pressure", "gauge")
        return translated_document(
            translate_minutes(_request_here(session, inputs), hold_min, gauge_pa)
        )


def other_way_here(session: Session, inputs: PlanInputs, method: BackMethod) -> dict[str, Any]:
    """The same meal by another method, for the day the pot is in use."""
    with _telling_where():
        return other_way_document(other_way(_request_here(session, inputs), method))


def batches_here(session: Session, inputs: PlanInputs) -> list[dict[str, Any]]:
    """How many runs a load takes, and what each comes to."""
    with _telling_where():
        return runs_document(batches(_request_here(session, inputs)))


def around_here(
    session: Session,
    inputs: PlanInputs,
    *,
    finish: FinishKind | None,
    marinade: Marinade | None,
    brined: bool,
) -> dict[str, Any]:
    """What is done before and after the pot."""
    with _telling_where():
        request = _request_here(session, inputs)
        return around_document(
            request, finish=finish or inputs.finish, marinade=marinade, brined=brined
        )


def steps_here(session: Session, inputs: PlanInputs) -> list[dict[str, Any]]:
    """The steps of a plan from the board to the notes, as Cook plays them and Schedule lays them.

    Raises
    ------
    RequestError : the request cannot be met; its field is a path into the inputs.
    """
    with _telling_where():
        plan = make_plan(_request_here(session, inputs))
    cook = cook_plan(plan, inputs.finish)
    return [step_document(step) for step in cook_steps(cook) if step.kind != "write_down"]


def sauce_here(
    session: Session, pot_id: str, volume: str, left_ratio: float, body: Body
) -> dict[str, Any]:
    """Reduce and thicken what is left in a pot."""
    household = current_household(session)
    pot = find_pot(session, household.household_id, pot_id)
    volume_m3 = parse_measure(volume, "volume", "volume")
    return sauce_document(pot, household.altitude_m, volume_m3, left_ratio, body)


def find_pot(session: Session, household_id: str, pot_id: str) -> Pot:
    """A pot of the household by its id, or a ready pot by its name."""
    if pot_id in ready_pots():
        return ready_cooker(pot_id)
    return pots.get_pot(session, household_id, pot_id).pot


def list_plans(
    session: Session, *, search: str, limit: int, offset: int
) -> tuple[list[StoredPlan], int]:
    """Saved plans, the newest first, and how many there are."""
    home = current_household(session).household_id
    return PLANS.page(session, home, search=search, limit=limit, offset=offset)


def get_plan(session: Session, plan_id: str) -> StoredPlan:
    """A plan as it was stored."""
    return PLANS.get(session, current_household(session).household_id, plan_id)


def save_plan(
    session: Session,
    *,
    name: str,
    person_id: str | None,
    inputs: PlanInputs,
    plan_id: str | None = None,
    seen: int | None = None,
) -> StoredPlan:
    """Work out and keep a plan: a new one, or in place of `plan_id`.

    Parameters
    ----------
    seen : the version that the change was made from; None writes over any

    Raises
    ------
    StaleError : it was changed elsewhere since; nothing was written.
    """
    home = current_household(session).household_id
    if person_id is not None:
        households.check_person(session, home, person_id)
    content = PlanContent(
        name=name,
        person_id=person_id,
        inputs_version=INPUTS_VERSION,
        inputs=asdict(inputs),
        results_version=RESULTS_VERSION,
        results=plan_here(session, inputs),
        engine_version=ENGINE_VERSION,
    )
    with writing(session):
        if plan_id is None:
            return PLANS.add(session, home, content)
        return PLANS.replace(session, home, plan_id, content, seen)


def rename_plan(session: Session, plan_id: str, name: str, seen: int | None = None) -> StoredPlan:
    """Give a plan another name; its numbers stay as stored."""
    home = current_household(session).household_id
    stored = PLANS.get(session, home, plan_id).content
    renamed = PlanContent(
        name,
        stored.person_id,
        stored.inputs_version,
        stored.inputs,
        stored.results_version,
        stored.results,
        stored.engine_version,
    )
    return PLANS.replace(session, home, plan_id, renamed, seen)


def set_plan_deleted(session: Session, plan_id: str, *, deleted: bool) -> None:
    """Delete a plan, or undo that."""
    home = current_household(session).household_id
    PLANS.set_deleted(session, home, plan_id, deleted=deleted)


def recompute(session: Session, plan_id: str) -> Recomputed:
    """Work a stored plan out anew and say what differs.

    Raises
    ------
    VersionError : its inputs were written by a newer version of the app.
    """
    stored = get_plan(session, plan_id).content
    if stored.inputs_version > INPUTS_VERSION:
        raise VersionError("plan", stored.inputs_version, INPUTS_VERSION)
    fresh = plan_here(session, stored_inputs(stored.inputs))
    return Recomputed(fresh, ENGINE_VERSION, plan_differences(stored.results, fresh))


def stored_inputs(inputs: dict[str, Any]) -> PlanInputs:
    """Inputs as they are stored."""
    pieces = tuple(PieceInputs(**entry) for entry in inputs["pieces"])
    return PlanInputs(**{**inputs, "pieces": pieces})


def warm_up() -> None:
    """Load tables, units and solvers, so that the first cook does not wait for them."""
    pieces = (PieceInputs("brisket_flat", 2, "3 lb", "4.5 cm", start="4 °C"),)
    work_out(PlanInputs(pieces, "tenor", liquid="1 1/2 cups"), ready_pot("tenor"))
