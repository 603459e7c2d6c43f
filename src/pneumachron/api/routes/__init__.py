"""Routes, a module for each thing."""
