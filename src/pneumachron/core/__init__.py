"""The rules and computation of the job: no clock, database, network or web code.

`plan.make_plan` is the way in; `docs/nomenclature.md` explains the words.
"""

ENGINE_VERSION = "4"
"""Raised whenever a result changes; stored with every saved plan. See CHANGELOG.md."""
