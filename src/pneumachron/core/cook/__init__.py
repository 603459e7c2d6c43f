"""Beside the pot: steps in the order of work, what happened, what comes next."""
