"""Readers: pasted text, Markdown, saved web pages, JSON-LD, our own export."""

from pneumachron.recipes.reading.read import read_recipe

__all__ = ["read_recipe"]
