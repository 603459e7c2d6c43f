"""The app as `dev.py watch` serves it: made anew whenever a file of it changes."""

import os
from pathlib import Path

from fastapi import FastAPI

from pneumachron.api.app import LOCAL_HOSTS, create_app
from pneumachron.demo import scenario
from pneumachron.store.db import Database


def watched_app() -> FastAPI:
    """The demo in the folder that `PNEUMACHRON_DATA` names."""
    folder = Path(os.environ["PNEUMACHRON_DATA"])
    database = Database(folder)
    with database.writing() as session:
        scenario.fill(session, folder)
    database.close()
    return create_app(folder, LOCAL_HOSTS)
