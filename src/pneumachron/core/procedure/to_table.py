"""Steps after the cooker: rest, sauce, crust, knife; cooling and reheating. Common practice."""

from dataclasses import replace

from pneumachron.core.errors import Param
from pneumachron.core.planning.batches import whole_load
from pneumachron.core.planning.finish import carving_params, rests_in_juice, slice_m
from pneumachron.core.planning.load import thaw_hours
from pneumachron.core.planning.sauce import VOLUME_RANGE_M3, slurry
from pneumachron.core.planning.serving import leftovers, serving
from pneumachron.core.procedure.choices import (
    FRIDGE,
    OVEN,
    PAN,
    USUAL_SAUCE_M3,
    Ahead,
)
from pneumachron.core.procedure.cook_plan import CookPlan
from pneumachron.core.procedure.step import (
    FINISH_PLACE,
    LOOK_TIMER,
    MINUTE_S,
    STEPS_VERSION,
    Brought,
    Step,
    StepTimer,
)
from pneumachron.core.procedure.under_pressure import is_glazed

BAG_S = 900.0
"""Bagging and layering what is cooled. Common practice."""
CHILL_LEAST_S, CHILL_MOST_S = 8 * 3600.0, 3 * 86_400.0
"""Overnight, and at most three days at 4 °C. Common practice; USDA, from memory."""
FLAT_M = 0.025
"""Bags are laid this flat, to cool in time and to thaw overnight. Common practice: 2–3 cm."""
REHEAT_S = (1200.0, 1800.0, 2400.0)
"""Covered, with juice, to 74 °C in the oven. Common practice."""
SIMMER_S, THICKEN_S = 300.0, 180.0
"""Heating up what is thickened, and stirring the starch in. Common practice."""


EMPTY_S = 180.0
"""The inner pot emptied, wiped dry, and the meat put back. Common practice."""
SKIM_S, CARVE_S, SERVE_S, WRITE_S = 300.0, 300.0, 120.0, 120.0
"""Hands, likely. Common practice."""
KEEP_S = (600.0, 900.0, 1800.0)
"""Bagging and layering what is left. Common practice."""


def rest_steps(plan: CookPlan) -> tuple[Step, ...]:
    """The meat stands before the knife."""
    rest_s = plan.numbers.rest_s
    return (
        Step("rest", "rest", rest_s, hands=False, timers=(StepTimer("rest", rest_s),),
             params={"rest_min": rest_s / MINUTE_S,
                     "in_juice": "yes" if rests_in_juice(plan.request.load) else "no"}),
    )  # fmt: skip


GLAZE_SHARE = 1.5
"""Boiling down to a quarter over boiling down to half: three quarters go, not two."""


def sauce_steps(plan: CookPlan, brought: Brought) -> tuple[Step, ...]:
    """Fat off, then boiled down or thickened."""
    if brought.sauce == "none" or is_glazed(plan):
        return ()  # what is boiled down to a glaze around the meat leaves no juice for a sauce
    half_s = plan.numbers.sauce_s
    to_m3 = brought.sauce_m3 or USUAL_SAUCE_M3
    boil_s = {
        "half": half_s,
        "glaze": GLAZE_SHARE * half_s,
        "volume": max(2.0 * (1.0 - to_m3 / plan.numbers.left_m3) * half_s, SIMMER_S),
    }.get(brought.sauce, SIMMER_S)
    work = "" if brought.sauce == "half" else f"sauce_{brought.sauce}"
    sauce = Step("sauce", "sauce", boil_s, hands=False, needs=(PAN,), span_s=(0.8 * boil_s,
                 1.3 * boil_s), timers=(StepTimer("sauce", boil_s),), work=work,
                 params={"sauce_m3": to_m3})  # fmt: skip
    if not plan.numbers.phases:
        return (replace(sauce, hands=True, work="sauce_told"),)
    found = (Step("skim", "skim", SKIM_S, needs=(PAN,)), sauce)
    return (*found, _thicken(plan)) if brought.sauce == "thick" else found


def _thicken(plan: CookPlan) -> Step:
    """Starch in cold water, stirred into the simmering juice."""
    low_m3, high_m3 = VOLUME_RANGE_M3
    how = slurry(min(max(plan.numbers.left_m3, low_m3), high_m3), "medium")
    return Step("thicken", "thicken", THICKEN_S, needs=(PAN,),
                params={"starch_kg": how.starch_kg, "spoons": how.spoons,
                        "water_m3": how.water_m3})  # fmt: skip


PREHEAT_S = 60.0
"""Hands to switch it on; lighting coals takes longer, and is counted as heating up."""


def is_lit_early(plan: CookPlan) -> bool:
    """What takes longer to be hot than the meat rests is lit while the pressure falls.

    A quick release needs the hands; then it is lit after it.
    """
    crust, phases = plan.numbers.crust, plan.numbers.phases
    if plan.numbers.later_phases:
        phases = plan.numbers.later_phases[-1]
    falls = bool(phases) and phases[0][0] in {"natural_release", "waiting"}
    return crust is not None and falls and crust.heat_up_s > plan.numbers.rest_s


def preheat_steps(plan: CookPlan, *, in_hot_oven: bool = False) -> tuple[Step, ...]:
    """Broiler, grill or air fryer switched on, in time to be hot for the crust.

    Parameters
    ----------
    in_hot_oven : the oven is hot already; a broiler then needs no time of its own
    """
    crust = plan.numbers.crust
    if crust is None or crust.heat_up_s <= 0 or (in_hot_oven and crust.kind == "broiler"):
        return ()
    return (_preheat("preheat", f"preheat_{crust.kind}", crust.heat_up_s),)


def preheat_oven_steps(plan: CookPlan) -> tuple[Step, ...]:
    """The oven switched on, for what is reheated in it."""
    heat_s = plan.numbers.oven_heat_s
    return (_preheat("preheat_oven", "preheat_oven", heat_s),) if heat_s > 0 else ()


def _preheat(step_id: str, work: str, heat_s: float) -> Step:
    return Step(step_id, "preheat", PREHEAT_S, beside=True, work=work,
                timers=(StepTimer("preheat", heat_s),),
                params={"heat_min": heat_s / MINUTE_S})  # fmt: skip


RIND_HEAT_S = 1200.0
"""An oven to 220 °C. Common practice: 15 to 20 min."""
RIND_S = (1500.0, 2100.0, 2700.0)
"""A flat rind crackles at 220 °C in 25 to 45 min. Common practice."""


def rind_oven_steps(brought: Brought) -> tuple[Step, ...]:
    """The oven switched on for the rind."""
    return (_preheat("heat_rind", "preheat_rind", RIND_HEAT_S),) if brought.crackling else ()


def crackling_steps(brought: Brought) -> tuple[Step, ...]:
    """The rind roasted crisp in a hot oven, beside the cooker."""
    if not brought.crackling:
        return ()
    low, likely, high = RIND_S
    return (
        Step("crackling", "extra", likely, hands=False, beside=True, needs=(OVEN,),
             span_s=(low, high), work="rind_roast",
             timers=(StepTimer("rind", low), StepTimer("rind_done", high)),
             params={"low_min": low / MINUTE_S, "high_min": high / MINUTE_S}),
    )  # fmt: skip


def crust_steps(plan: CookPlan, brought: Brought) -> tuple[Step, ...]:
    """The finish that was chosen, or the habit of the cut."""
    crust = plan.numbers.crust
    if crust is None or is_glazed(plan):
        return ()  # the glaze is made while the meat simmers in the open cooker
    low, high = crust.each_low_s, crust.each_high_s
    place = FINISH_PLACE[crust.kind]
    crisps = crust.kind == "crisping" and brought.version >= STEPS_VERSION
    # what stands wet in the cooker steams, and does not crisp
    emptied = (Step("empty", "empty", EMPTY_S, pot=True),) if crisps else ()
    return (
        *pulled_first_steps(plan, brought),
        *emptied,
        Step("finish", "finish", (crust.total_low_s + crust.total_high_s) / 2,
             pot=place is None, needs=() if place is None else (place,),
             span_s=(crust.total_low_s, crust.total_high_s),
             timers=(StepTimer(LOOK_TIMER, low / 2), StepTimer("finish", high)),
             work=f"finish_{crust.kind}",
             params={"low_min": low / MINUTE_S, "high_min": high / MINUTE_S,
                     "batches": max(round(crust.total_low_s / low), 1) if low > 0 else 1}),
    )  # fmt: skip


def pulled_first_steps(plan: CookPlan, brought: Brought) -> tuple[Step, ...]:
    """Pulled and spread out before the crust; nothing where it is sliced, or has no crust."""
    crust = plan.numbers.crust
    if not (brought.pulled_first and plan.numbers.pulled) or crust is None or is_glazed(plan):
        return ()
    return (Step("pull", "slice", CARVE_S, work="pull_first"),)


def carve_steps(
    plan: CookPlan, brought: Brought | None = None, *, cold: bool = False
) -> tuple[Step, ...]:
    """Cut or pulled, and served."""
    if pulled_first_steps(plan, brought or Brought()):
        return (Step("carve", "carve", SERVE_S, work="serve_crisped"),)
    pulled = plan.numbers.pulled
    params = carving_params(plan.request.load, pulled=pulled, cold=cold)
    return (Step("carve", "carve", CARVE_S, work="pull" if pulled else "carve", params=params),)


def last_steps(plan: CookPlan, brought: Brought) -> tuple[Step, ...]:
    """What is left is put away, and what was learned is written down."""
    served = serving(whole_load(plan.request), pulled=plan.numbers.pulled).served_kg
    left = leftovers(sum(served) / 2, brought.eaters)
    portions: dict[str, Param] = {
        "portions": left.portions,
        "portion_kg": left.mass_kg / max(left.portions, 1),
        "juice_m3": left.juice_m3 / max(left.portions, 1),
    }
    return (
        Step(
            "keep",
            "keep",
            KEEP_S[1],
            span_s=(KEEP_S[0], KEEP_S[2]),
            params=portions,
            work="keep_frozen" if brought.leftovers == "freeze" else "",
        ),
        Step("write_down", "write_down", WRITE_S),
    )


def cool_steps(plan: CookPlan, ahead: Ahead) -> tuple[Step, ...]:
    """Made ahead: out of the hot juice at once, cold within the limits, then chilled or frozen."""
    cool_s = plan.numbers.ice_bath_s
    found = [
        Step("bag", "bag", BAG_S),
        Step("cool", "cool", cool_s, hands=False, timers=(StepTimer("cool", cool_s),),
             params={"cool_min": cool_s / MINUTE_S}),
    ]  # fmt: skip
    if ahead == "frozen":
        thaw_s = 3600.0 * thaw_hours(FLAT_M)
        found += [
            Step("freeze", "freeze", BAG_S),
            Step("thaw_cooked", "thaw", thaw_s, hands=False, needs=(FRIDGE,),
                 span_s=(thaw_s, 1.5 * thaw_s), work="thaw_bags"),
        ]  # fmt: skip
    else:
        found.append(Step("chill", "chill", CHILL_LEAST_S, hands=False, needs=(FRIDGE,)))
    return tuple(found)


def reheat_steps(plan: CookPlan) -> tuple[Step, ...]:
    """Sliced cold where nothing more is browned; heated through, with juice."""
    cold = plan.numbers.crust is None and _is_sliced(plan)
    slices = Step("slice", "slice", CARVE_S, params=_slices(plan))
    heat = Step("reheat", "reheat", REHEAT_S[1], hands=False, needs=(OVEN,),
                span_s=(REHEAT_S[0], REHEAT_S[2]),
                timers=(StepTimer("reheat", REHEAT_S[1]),))  # fmt: skip
    return (slices, heat) if cold else (heat,)


def cold_carve_steps(plan: CookPlan, brought: Brought | None = None) -> tuple[Step, ...]:
    """What was not sliced cold is cut or pulled once it is hot."""
    sliced = plan.numbers.crust is None and _is_sliced(plan)
    return () if sliced else carve_steps(plan, brought)


def _is_sliced(plan: CookPlan) -> bool:
    cut = plan.request.load.pieces[0].cut
    return slice_m(cut, pulled=plan.numbers.pulled, cold=True) > 0


def _slices(plan: CookPlan) -> dict[str, Param]:
    cut = plan.request.load.pieces[0].cut
    return {"slice_m": slice_m(cut, pulled=plan.numbers.pulled, cold=True)}
