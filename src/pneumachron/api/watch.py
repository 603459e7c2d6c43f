"""Asks the pots of running cooks every second, whether or not a screen is open.

It cannot die unseen: an error in one cook is logged and the others go on, and its last beat is told
by `/api/health`.
"""

import time
from dataclasses import dataclass
from datetime import UTC, datetime, timedelta
from pathlib import Path
from threading import Event, Thread

from pneumachron.api.lan import Lan, keep_uses
from pneumachron.logs import note, note_error
from pneumachron.services import connected_pots, cook_clocks, cooks
from pneumachron.services.cook_numbers import work_through
from pneumachron.services.live_kitchen import LiveKitchen
from pneumachron.store import copies
from pneumachron.store.db import Database
from pneumachron.store.errors import StoreError
from pneumachron.store.folder import free_bytes

EVERY_S = 1.0
DISK_EVERY = 20
"""Beats between looks at the disk."""
STALE_S = 15.0
"""A watch that has not beaten for so long is said to have stopped."""
LITTLE_BYTES = 50 * 1024 * 1024
"""Less room than this is said."""


@dataclass(frozen=True, slots=True)
class Health:
    """What is known of the app's own state."""

    beat_age_s: float
    database: bool
    free_bytes: int | None

    @property
    def troubles(self) -> tuple[str, ...]:
        """Codes of what is wrong."""
        found = []
        if not self.database:
            found.append("database")
        if self.beat_age_s > STALE_S:
            found.append("watch")
        if self.free_bytes is not None and self.free_bytes < LITTLE_BYTES:
            found.append("disk")
        return tuple(found)


class Watch:
    """A thread of its own; a database that is busy or full is asked again."""

    def __init__(self, database: Database, kitchen: LiveKitchen, lan: Lan | None = None) -> None:
        self._database, self._kitchen, self._lan = database, kitchen, lan
        self._over = Event()
        self._thread = Thread(target=self._run, daemon=True, name="watch")
        self._worker = Thread(target=self._work_through, daemon=True, name="worker")
        self._beat = time.monotonic()
        self.relearning = (0, 0)
        """Lessons computed again for today's engine, and how many there are."""
        self._database_answers = True
        self._free: int | None = None
        self._copied_on: str | None = None

    def start(self) -> None:
        """Begin; no cook starts earlier than what was written down of it."""
        try:
            with self._database.session() as session:
                cook_clocks.settle(session, self._kitchen)
        except StoreError as error:
            note_error("clocks_not_settled", error)
        self._look_at_disk()
        self._thread.start()
        self._worker.start()

    def stop(self) -> None:
        """Finish the round."""
        self._over.set()
        self._thread.join()
        self._worker.join()
        try:
            with self._database.session() as session:
                cook_clocks.follow_wall(session, self._kitchen)
        except StoreError as error:
            note_error("clocks_not_kept", error)

    def health(self) -> Health:
        """How it is, from what was last seen; asks nothing."""
        age = time.monotonic() - self._beat if self._thread.is_alive() else STALE_S * 2
        return Health(age, self._database_answers, self._free)

    def _run(self) -> None:
        count = 0
        while not self._over.wait(EVERY_S):
            try:
                self.look_around()
                count += 1
                if count % DISK_EVERY == 0:
                    self._look_at_disk()
                    if self._lan is not None:
                        keep_uses(self._database, self._lan)
                if count % DISK_EVERY == 1:
                    self._copy_daily()
            except Exception as error:
                note_error("watch_failed", error)
            self._beat = time.monotonic()

    def _work_through(self) -> None:
        """Once after the start: what older cooks lack, and lessons of an older engine."""

        def told(done: int, of: int) -> None:
            self.relearning = (done, of)

        try:
            count = work_through(self._database, lambda: not self._over.is_set(), told)
            if count:
                note("relearned", lessons=count)
        except Exception as error:
            note_error("not_worked_through", error)
        finally:
            self.relearning = (0, 0)

    def look_around(self) -> None:
        """One beat: follow the wall clock, and ask the pots beside cooks under way."""
        try:
            with self._database.session() as session:
                moved_s = cook_clocks.follow_wall(session, self._kitchen)
                if moved_s:
                    note("wall_clock_set", by_s=round(moved_s))
                beside_a_pot = cooks.connected_ids(session)
            self._database_answers = True
        except StoreError as error:
            self._database_answers = False
            note_error("database_silent", error)
            return
        for cook_id in beside_a_pot:
            try:
                with self._database.session() as session:
                    connected_pots.ask_pot(session, self._kitchen, cook_id)
            except Exception as error:
                note_error("cook_not_asked", error, cook=cook_id)

    def _look_at_disk(self) -> None:
        try:
            self._free = free_bytes(self._database.path.parent)
        except OSError:
            self._free = None

    def _copy_daily(self) -> None:
        """The copy of the day, when there is none of the last 24 hours."""
        data: Path = self._database.path.parent
        today = datetime.now(UTC)
        made = [copy.made_at for copy in copies.listed(data) if copy.reason == "daily"]
        if made and today - made[0] < timedelta(hours=24):
            return
        if self._copied_on == today.date().isoformat():
            return  # tried today, and it did not work
        self._copied_on = today.date().isoformat()
        try:
            copies.make(self._database.path, "daily")
            note("copied", reason="daily")
        except (OSError, StoreError, copies.CopyError) as error:
            note_error("not_copied", error)
