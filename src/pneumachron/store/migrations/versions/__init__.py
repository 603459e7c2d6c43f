"""One module for each step."""
