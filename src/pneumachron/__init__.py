"""Pneumachron: pressure-cooker minutes for tough cuts, worked out from heat and time."""

from importlib.metadata import version

__version__ = version("pneumachron")
