"""A second reading of where each food goes: by signs that were weighed on many recipes."""
