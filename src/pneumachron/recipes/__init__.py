"""Recipes: read them, understand them, convert them, write them. Pure, like the core.

    text -> reading -> Recipe -> understanding -> Understood -> converting -> Converted -> writing

Nothing here knows a database, the web or a clock.
"""
