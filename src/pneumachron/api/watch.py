"""Asks the pots of running cooks every second, whether or not a screen is open."""

from threading import Event, Thread

from sqlalchemy.exc import SQLAlchemyError

from pneumachron.services import cooks
from pneumachron.services.live_kitchen import LiveKitchen
from pneumachron.store.db import Database

EVERY_S = 1.0


class Watch:
    """A thread of its own; a database that is busy or full is asked again."""

    def __init__(self, database: Database, kitchen: LiveKitchen) -> None:
        self._database, self._kitchen = database, kitchen
        self._over = Event()
        self._thread = Thread(target=self._run, daemon=True)

    def start(self) -> None:
        """Begin; the clock starts no earlier than what was written down."""
        with self._database.session() as session:
            last = cooks.last_moment(session)
        if last is not None:
            self._kitchen.clock.not_before(last)
        self._thread.start()

    def stop(self) -> None:
        """Finish the round and write down the time."""
        self._over.set()
        self._thread.join()
        self._kitchen.clock.keep()

    def _run(self) -> None:
        while not self._over.wait(EVERY_S):
            try:
                with self._database.session() as session:
                    cooks.running(session, self._kitchen)
            except SQLAlchemyError:
                continue  # nothing is lost: the pot keeps its own count
