"""Days that are kept."""

from pneumachron.store.records import DayContent, StoredDay
from pneumachron.store.repository import Repository
from pneumachron.store.tables import DayRow


def _write(row: DayRow, content: DayContent) -> None:
    row.name, row.document = content.name, content.document


def _read(row: DayRow) -> DayContent:
    return DayContent(row.name, row.document)


DAYS = Repository("day", DayRow, DayRow.name, write=_write, read=_read, stored=StoredDay)
