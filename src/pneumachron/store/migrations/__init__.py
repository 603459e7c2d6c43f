"""How the tables came to be, step by step."""
