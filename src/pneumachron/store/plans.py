"""Saved plans."""

from pneumachron.store.records import PlanContent, StoredPlan
from pneumachron.store.repository import Repository
from pneumachron.store.tables import PlanRow


def _write(row: PlanRow, content: PlanContent) -> None:
    row.name, row.person_id = content.name, content.person_id
    row.inputs_version, row.inputs = content.inputs_version, content.inputs
    row.results_version, row.results = content.results_version, content.results
    row.engine_version = content.engine_version


def _read(row: PlanRow) -> PlanContent:
    return PlanContent(
        name=row.name,
        person_id=row.person_id,
        inputs_version=row.inputs_version,
        inputs=row.inputs,
        results_version=row.results_version,
        results=row.results,
        engine_version=row.engine_version,
    )


PLANS = Repository("plan", PlanRow, PlanRow.name, write=_write, read=_read, stored=StoredPlan)
