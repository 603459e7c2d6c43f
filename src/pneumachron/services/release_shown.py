"""What a release is called, with its own minutes."""

from pneumachron.core.planning.plan import Plan
from pneumachron.text.say import say

_USUAL_MIN = 10
"""The wait that the name of a timed release speaks of."""


def release_shown(plan: Plan) -> str:
    """The release as it happens: what falls by itself before the valve is due is natural."""
    setup = plan.setup
    if setup.release != "timed":
        return say(f"release-{setup.release}")
    if any(phase.kind == "natural_release" for phase in plan.phases):
        return say("release-natural")
    wait_min = round(setup.after.wait_s / 60)
    if wait_min == _USUAL_MIN:
        return say("release-timed")
    return say("release-timed_for", {"wait_min": wait_min})
