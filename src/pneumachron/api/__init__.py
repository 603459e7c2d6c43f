"""The web interface: schemas check form, routes make one call, one handler speaks of errors."""
