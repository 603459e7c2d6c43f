"""The steps of the converted recipe, in the order of the work, in our words."""

from dataclasses import dataclass
from math import isfinite

from pneumachron.core.finish import Finish, FinishKind, afterwards, carving, finish_for, rest_for
from pneumachron.core.plan import Plan, is_pulled
from pneumachron.core.sauce import MARINADE_BOIL_S
from pneumachron.core.season import marinating, searing
from pneumachron.core.tenderness import TEXTURES
from pneumachron.core.units import show_length, show_volume
from pneumachron.recipes.converting.load import Portioned
from pneumachron.recipes.converting.marks import OutLine, OutStep, When
from pneumachron.recipes.converting.themes import theme_of

RELEASE_TEXT = {
    "natural": "Switch off and wait till the pin drops by itself, about {minutes} min",
    "timed": "Wait {wait} min, then open the valve, face and hands out of the jet",
    "quick": "Open the valve at once, face and hands out of the jet",
    "soak": "Vent at once and leave the meat in the open pot for half an hour",
    "keep_warm": "Let it fall by itself and keep it warm under the lid",
}
_ARRANGED = {
    "coiled": "coiled, bone side in",
    "nested": "coiled inside each other, bone side in",
    "on_bed": "side by side on the vegetables",
    "layered": "in layers, with vegetables between them",
    "on_edge": "standing on edge",
    "on_end": "standing on end",
    "leaning": "leaning against the wall, with gaps",
    "folded": "folded over once",
    "criss_cross": "criss-cross, not packed",
    "heap": "loosely heaped",
    "side_by_side": "side by side, never on each other",
    "one": "fat side up",
    "stacked": "partly on each other",
}
_RACKS = {
    "none": "straight on the base",
    "trivet": "on the low rack",
    "tall": "on the tall rack",
    "basket": "in the basket",
    "bed": "on a bed of vegetables",
}


@dataclass(frozen=True, slots=True)
class Work:
    """All that the steps are written from."""

    plan: Plan
    portioned: Portioned
    lines: tuple[OutLine, ...]
    finish: Finish
    sears: bool
    marinades: bool
    kept: tuple[str, ...]
    """Steps that stay in their own words."""
    cures: tuple[str, ...]
    """Steps of a cure or brine, in their own words and their own order, before everything else."""
    metric: bool

    def names(self, *whens: When) -> str:
        """Names of the lines of some stages, as a list in words."""
        names = [
            line.name for line in self.lines if line.when in whens and line.food.kind != "meat"
        ]
        unique = list(dict.fromkeys(names))
        if len(unique) <= 1:
            return "".join(unique)
        return f"{', '.join(unique[:-1])} and {unique[-1]}"


def write_steps(work: Work) -> tuple[OutStep, ...]:
    """The steps, as many as there is something to do."""
    makers = (
        _season, _marinate, _sear, _soften, _pot, _lid, _set, _release, _judge, _rest, _own_run,
        _sauce, _finish, _carve,
    )  # fmt: skip
    steps = [step for make in makers if (step := make(work)) is not None]
    # what keeps its own words is done before the meal is served, but for what serves it
    kept = [OutStep("own_words", text) for text in work.kept]
    serving = [step for step in kept if theme_of(step.text) == "serve"]
    early = [step for step in kept if step not in serving]
    served = next((n for n, step in enumerate(steps) if step.kind == "carve"), len(steps))
    cures = [OutStep("cure", text) for text in work.cures]
    return (*cures, *steps[:served], *early, *steps[served:], *serving)


def _minutes(span_s: tuple[float, float]) -> tuple[float, float]:
    return span_s[0] / 60.0, span_s[1] / 60.0


def _span(span_s: tuple[float, float]) -> str:
    low, high = (round(value) for value in _minutes(span_s))
    return f"{low} min" if low == high else f"{low}–{high} min"


def _season(work: Work) -> OutStep:
    piece = work.plan.outcomes[0].piece
    thick = show_length(piece.thickness_m)
    size = thick.metric if work.metric else thick.us
    portion = ""
    if work.portioned.cuts > 1:
        portion = f"Cut the meat into {work.portioned.cuts} portions along its length. "
    runs = len(work.portioned.runs)
    more = f" It goes in {runs} runs of the pot." if runs > 1 else ""
    rub = work.names("season")
    with_what = f" Season all faces, the cut ones too: {rub}." if rub else ""
    rinse = "" if work.cures else "; do not rinse it"
    return OutStep(
        "season",
        f"{portion}Trim the meat, measure it (about {size} thick) and pat it dry{rinse}."
        f"{more}{with_what}",
    )


def _marinate(work: Work) -> OutStep | None:
    if not work.marinades:
        return None
    span = marinating(work.plan.setup.wish.load, "mild").time_s
    hours = f"{span[0] / 3600:.2g}–{span[1] / 3600:.2g} h"
    return OutStep(
        "marinate",
        f"Marinate in the refrigerator, {hours}. Boil what is left of it for "
        f"{MARINADE_BOIL_S / 60:.0f} min before it is a sauce.",
        _minutes(span),
    )


def _sear(work: Work) -> OutStep | None:
    if not work.sears:
        return None
    found = searing(work.plan.setup.wish.load, work.plan.setup.wish.pot)
    how = "in one layer" if found.batches == 1 else f"in {found.batches} batches, one layer each"
    return OutStep(
        "sear",
        f"Heat the pot, then the oil, then brown the meat {how}; it is ready when it lets go of "
        "the metal. Take it out.",
        _minutes(found.total_s),
    )


def _soften(work: Work) -> OutStep | None:
    early = [line for line in work.lines if line.when == "sear" and line.food.kind != "fat"]
    off = [line.name for line in early if line.aside.endswith("lid-off")]
    first = [line.name for line in early if not line.aside.endswith("lid-off")]
    parts = []
    if first:
        parts.append(f"Soften {_listed(first)} for some minutes")
    if off:
        parts.append(
            f"pour in the {_listed(off)}, away from a flame, and let it simmer lid-off till it no "
            "longer smells sharp"
        )
    if not parts and not work.sears:
        return None
    parts.append("add a splash of the liquid and scrape the base bare, or it will scorch")
    text = "; ".join(parts) + "."
    return OutStep("deglaze", text[0].upper() + text[1:], (3.0, 8.0))


def _listed(names: list[str]) -> str:
    unique = list(dict.fromkeys(names))
    if len(unique) == 1:
        return unique[0]
    return f"{', '.join(unique[:-1])} and {unique[-1]}"


def _pot(work: Work) -> OutStep:
    setup = work.plan.setup
    poured = show_volume(setup.filling.liquid_m3)
    amount = poured.metric if work.metric else poured.us
    arranged = _ARRANGED.get(setup.standing.arrangement, "in one layer")
    top = work.names("top")
    over = f" {top[0].upper()}{top[1:]} on top, not stirred in." if top else ""
    each = " for each run" if len(work.portioned.runs) > 1 else ""
    return OutStep(
        "pot",
        f"Liquid in first: {amount} in all{each}"
        f"{_with(work.names('pot'))}. The meat {_RACKS[setup.standing.rack]}, {arranged}.{over}",
    )


def _with(names: str) -> str:
    return f", with {names}" if names else ""


def _lid(_: Work) -> OutStep:
    return OutStep(
        "lid",
        "Check the lid: gasket seated, pin free, valve screen clear, valve to sealing, pot dry "
        "outside and in place. Never force it.",
        (1.0, 2.0),
    )


def _clock(minutes: float) -> str:
    return f"{round(minutes) // 60}:{round(minutes) % 60:02d}"


def _set(work: Work) -> OutStep:
    low, high = work.plan.hold_range_min
    up = next((phase.duration_s for phase in work.plan.phases if phase.kind == "come_up"), 0.0)
    return OutStep(
        "set",
        f"High pressure, {_clock(work.plan.hold_min)} (between {_clock(low)} and {_clock(high)}, "
        f"by how thick it really is). It takes about {round(up / 60)} min to come to pressure.",
        (float(work.plan.hold_min), float(work.plan.hold_min)),
    )


def _release(work: Work) -> OutStep:
    plan = work.plan
    fall = sum(phase.duration_s for phase in plan.phases if phase.kind == "natural_release") / 60
    wait_s = plan.setup.after.wait_s
    wait = wait_s / 60 if isfinite(wait_s) else 0.0
    text = RELEASE_TEXT[plan.setup.release].format(minutes=round(fall), wait=round(wait))
    return OutStep(
        "release",
        f"{text}. Open only with the pin down, the lid away from your face.",
        (fall or wait, fall or wait),
    )


def _judge(work: Work) -> OutStep:
    piece = work.plan.outcomes[0].piece
    texture = TEXTURES[round(work.plan.setup.wish.texture_step)]
    return OutStep(
        "judge",
        f"Look: {piece.cut.looks[texture]}. If it is firmer than that, lid back on for some more "
        "minutes.",
    )


def _rest(work: Work) -> OutStep:
    span = rest_for(work.plan.setup.wish.load)
    return OutStep("rest", f"Rest the meat {_span(span)} under a loose tent.", _minutes(span))


def _own_run(work: Work) -> OutStep | None:
    lines = [line for line in work.lines if line.when == "own_run"]
    if not lines:
        return None
    return OutStep(
        "own_run",
        f"While it rests: {_listed([line.name for line in lines])} in a run of its own, filled to "
        "half at most.",
        (5.0, 15.0),
    )


def _sauce(work: Work) -> OutStep | None:
    after = [line for line in work.lines if line.when == "after"]
    thick = [line.name for line in after if line.food.kind in {"flour", "starch"}]
    milk = [line.name for line in after if line.food.kind == "dairy"]
    rest = [line.name for line in after if line.name not in {*thick, *milk}]
    parts = ["Strain the juice, let the fat rise and skim it; boil it down to taste"]
    if thick:
        parts.append(f"thicken with {_listed(thick)} stirred into cold water, 1 min at a simmer")
    if rest:
        parts.append(f"then {_listed(rest)}")
    if milk:
        parts.append(f"{_listed(milk)} last, off the boil")
    parts.append("salt it only now")
    return OutStep("sauce", "; ".join(parts) + ".", (10.0, 25.0))


def _finish(work: Work) -> OutStep | None:
    glaze = work.names("finish")
    if work.finish.kind == "none":
        return OutStep("finish", f"Stir in {glaze}, or serve it beside.") if glaze else None
    where = {
        "broiler": "close under the broiler",
        "grill": "on the grill, medium-high",
        "crisping": "under the crisping lid, in one layer",
    }[work.finish.kind]
    brushed = f" Brush with {glaze} only once it is hot: sugar burns." if glaze else ""
    return OutStep(
        "finish",
        f"For the crust {where}, {_span(work.finish.each_s)}; look at half time.{brushed}",
        _minutes(work.finish.total_s),
    )


def _carve(work: Work) -> OutStep:
    cut = work.plan.outcomes[0].piece.cut
    beside = work.names("beside")
    serve = f" Serve with {beside}." if beside else ""
    keep = afterwards()[cut.family].keep_warm_s / 60
    how = carving(cut, pulled=is_pulled(work.plan.setup.wish), cold=False).rstrip(".")
    return OutStep(
        "carve",
        f"{how[0].upper()}{how[1:]}.{serve} It keeps warm in its juice for "
        f"{keep:.0f} min at most; what is left is cooled in layers, never in the pot.",
    )


def finish_of(plan: Plan, kind: FinishKind | None, *, glazed: bool) -> Finish:
    """The finish that was chosen, or the cut's own; a glaze wants one."""
    wish = plan.setup.wish
    found = finish_for(wish.load, wish.pot, kind)
    if kind is None and glazed and found.kind == "none" and not is_pulled(wish):
        return finish_for(wish.load, wish.pot, "broiler")
    return found
