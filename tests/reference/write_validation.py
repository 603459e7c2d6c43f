"""Writes docs/validation.md: `python3 dev.py validation`. A test notices when it is stale."""

from collections.abc import Callable, Iterable
from pathlib import Path

import numpy as np
from CoolProp.CoolProp import PropsSI
from fluids.atmosphere import ATMOSPHERE_1976

from pneumachron.core import ENGINE_VERSION
from pneumachron.core.catalog.cuts import cut_by_id
from pneumachron.core.catalog.pots import ready_pot
from pneumachron.core.constants import US_CUP
from pneumachron.core.physics.conduction import slab_coefficients, slab_roots, slab_step_response
from pneumachron.core.physics.properties import Composition, heat_properties
from pneumachron.core.physics.steam import (
    ambient_pressure_pa,
    latent_heat_j_kg,
    saturation_temp_c,
)
from pneumachron.core.physics.tenderness import cumulative_softening_min
from pneumachron.core.planning.likely_range import altitude_rule_min
from pneumachron.core.planning.other_methods import OtherMethod, cooked_by, hold_of_softening_min
from pneumachron.core.planning.plan import make_plan
from pneumachron.core.planning.sauce import reduce_sauce
from pneumachron.core.safety.cooling import COOLERS, cooling
from pneumachron.core.safety.limits import needed_time_s
from pneumachron.text.say import say_cut
from tests.core.kitchen import LB_KG, cook_request, first_search, load, vented_at_once_min
from tests.recipes.measure import line_scores, recipe_scores
from tests.recipes.placing.report import report
from tests.recipes.strangers.measure import SETS, count, first_run, measure
from tests.reference.fit import ENGINE, Law, fit, left_out, off_span, rms
from tests.reference.practice import FITTED, LEFT_OUT, P1, P10, Case
from tests.reference.sweep import Step, largest
from tests.reference.test_frozen import SHAPES, TEMPS_C, thawed_times_s

SHORT_MIN = 10.0
"""Below this a case is counted in minutes and not as a ratio."""
PAGE = Path(__file__).parents[2] / "docs" / "validation.md"


def row(*cells: object) -> str:
    return f"| {' | '.join(str(cell) for cell in cells)} |"


def table(head: tuple[str, ...], rows: Iterable[str]) -> list[str]:
    return [row(*head), row(*("---" for _ in head)), *rows, ""]


def published() -> list[str]:
    lean_pork = Composition(0.7255, 0.2105, 0.0536, 0.0104)
    values: list[tuple[str, float, float, str]] = []
    for kpa in (90.0, 101.325, 140.0, 176.325, 201.325, 210.0):
        theirs = PropsSI("T", "P", 1000 * kpa, "Q", 0, "Water") - 273.15
        ours = float(saturation_temp_c(1000 * kpa))
        values.append((f"saturation at {kpa:g} kPa, °C", theirs, ours, "CoolProp (IAPWS-95)"))
    for temp in (100.0, 120.0):
        theirs = (
            PropsSI("H", "T", temp + 273.15, "Q", 1, "Water")
            - PropsSI("H", "T", temp + 273.15, "Q", 0, "Water")
        ) / 1000
        ours = float(latent_heat_j_kg(temp)) / 1000
        values.append((f"latent heat at {temp:g} °C, kJ/kg", theirs, ours, "CoolProp (IAPWS-95)"))
    for metres in (0.0, 1150.0, 2000.0, 3000.0):
        theirs, ours = ATMOSPHERE_1976(metres).P / 1000, ambient_pressure_pa(metres) / 1000
        values.append((f"air at {metres:g} m, kPa", theirs, ours, "fluids (US 1976)"))
    for biot, root, coefficient in ((0.1, 0.3111, 1.0161), (10.0, 1.4289, 1.2620)):
        roots = slab_roots(np.array(biot))
        source = "plane-wall table, Incropera & DeWitt 5.1 (from memory)"
        values.append((f"slab root, Bi {biot:g}", root, float(roots[0]), source))
        ours = float(slab_coefficients(roots)[0])
        values.append((f"slab coefficient, Bi {biot:g}", coefficient, ours, source))
    for fourier, left in ((0.2, 0.77231), (1.0, 0.10798)):
        centre = slab_step_response(np.array([fourier]), np.array(1e7)).core
        source = "Carslaw & Jaeger 3.3"
        values.append((f"held slab, Fo {fourier:g}", left, float(centre[0]), source))
    values += worked_examples() + trade_limits()
    meat = heat_properties(lean_pork, 20.0)
    for cut_id in ("brisket_flat", "back_ribs", "shoulder_boneless", "wings"):
        cut = cut_by_id(cut_id)
        theirs = choi_okos_conductivity(cut.composition, 65.0)
        name = f"conductivity of {say_cut(cut.cut_id, 'short')} at 65 °C, W/mK"
        values.append((name, theirs, cut.meat.conductivity_w_mk, "Choi & Okos, written out apart"))
    for name, theirs, ours in (
        ("density, kg/m³", 1051.7, meat.density_kg_m3),
        ("specific heat, J/kgK", 3577.0, meat.specific_heat_j_kgk),
        ("conductivity, W/mK", 0.509, meat.conductivity_w_mk),
    ):
        values.append((f"lean pork at 20 °C: {name}", theirs, ours, "Choi & Okos (1986)"))
    return table(
        ("value", "reference", "ours", "difference", "source"),
        (
            row(name, f"{theirs:.5g}", f"{ours:.5g}", f"{100 * (ours / theirs - 1):+.2f} %", source)
            for name, theirs, ours, source in values
        ),
    )


def choi_okos_conductivity(made: Composition, temp: float) -> float:
    """The parallel model written out once more, from the published polynomials. [W/mK]"""
    parts = made.shares()
    density = {
        "water": 997.18 + 3.1439e-3 * temp - 3.7574e-3 * temp**2,
        "protein": 1329.9 - 0.5184 * temp,
        "fat": 925.59 - 0.41757 * temp,
        "ash": 2423.8 - 0.28063 * temp,
    }
    conductivity = {
        "water": 0.57109 + 1.7625e-3 * temp - 6.7036e-6 * temp**2,
        "protein": 0.17881 + 1.1958e-3 * temp - 2.7178e-6 * temp**2,
        "fat": 0.18071 - 2.7604e-4 * temp - 1.7749e-7 * temp**2,
        "ash": 0.32962 + 1.4011e-3 * temp - 2.9069e-6 * temp**2,
    }
    volume = {name: share / density[name] for name, share in parts.items()}
    total = sum(volume.values())
    return sum(conductivity[name] * part / total for name, part in volume.items())


Value = tuple[str, float, float, str]


def worked_examples() -> list[Value]:
    """Two plane walls of the textbooks, from memory, here as time left at the end."""
    found: list[Value] = []
    # pipe wall 40 mm insulated on one side: h 500, k 63.9, α 18.8e-6, 8 min, −20 into 60 °C
    fourier = np.array([18.8e-6 * 480 / 0.04**2])
    centre = slab_step_response(fourier, np.array(500 * 0.04 / 63.9)).core
    source = "Incropera & DeWitt ch. 5, pipe wall (from memory)"
    found.append(("pipe wall after 8 min, insulated side, °C", 42.9, 60 - 80 * centre[0], source))
    # brass plate 4 cm: h 120, k 110, α 33.9e-6, 7 min, 20 into 500 °C
    fourier, biot = np.array([33.9e-6 * 420 / 0.02**2]), np.array(120 * 0.02 / 110)
    centre = slab_step_response(fourier, biot).core
    surface = centre[0] * np.cos(slab_roots(biot)[0])
    source = "Çengel ch. 4, brass plate (from memory)"
    found.append(("brass plate after 7 min, surface, °C", 282.0, 500 - 480 * surface, source))
    return found


def trade_limits() -> list[Value]:
    """What the trade publishes: lethality, cooling, altitude rule, cups."""
    brisket = cut_by_id("brisket_flat")
    found: list[Value] = []
    for celsius, minutes in ((54.4, 112.0), (60.0, 12.0), (62.8, 4.0)):
        ours = float(needed_time_s(np.array(celsius), "beef")) / 60
        name = f"time asked for at {celsius:g} °C, min"
        found.append((name, minutes, ours, "FSIS Appendix A (from memory)"))
    found.append(("safe minimum, beef and pork, °C", 62.8, brisket.safe_core_c, "USDA FSIS"))
    found.append(("safe minimum, poultry, °C", 73.9, cut_by_id("wings").safe_core_c, "USDA FSIS"))
    for cooler, hours in (("refrigerator", (3.3, 10.0)), ("ice_bath", (0.5, 1.4))):
        kind = next(item for item in COOLERS if item == cooler)
        cooled = cooling(brisket, 0.045, kind)
        where = cooler.replace("_", " ")
        pairs = ((21, hours[0], cooled.to_first_s), (5, hours[1], cooled.to_last_s))
        for to, reference, seconds in pairs:
            name = f"4.5 cm slab, {where}, 57 to {to} °C, h"
            found.append((name, reference, seconds / 3600, "common practice"))
    found.append(
        ("altitude rule at 3000 m", 1.392, altitude_rule_min(1.0, 3000.0), "extension services")
    )
    found.append(("US cup, ml", 236.5882365, 1e6 * US_CUP.value, "NIST Handbook 44"))
    pot = ready_pot("tenor")
    reduced = reduce_sauce(pot, 0.0, 1e-3, 0.5)
    minutes = (reduced.heat_s + reduced.boil_s) / 60
    found.append(("P12 a litre halves, 1000 W, min", 22.5, minutes, "common practice, 20–25"))
    return found


def vents() -> list[str]:
    """P11: how long venting takes."""
    rows = []
    little = load("brisket_flat", 0.25, 0.03)
    cases = (
        ("nearly empty, a cup", cook_request(little, liquid_m3=2.4e-4, release="quick"), "1–2"),
        ("a litre", cook_request(little, liquid_m3=1.0e-3, release="quick"), "4"),
        (
            "nearly full, vented in pulses",
            cook_request(
                load("back_ribs", 5 * LB_KG, 0.03, 2), liquid_style="bath", release="quick"
            ),
            "9",
        ),
    )
    for name, wanted, stated in cases:
        rows.append(row(f"P11 {name}", stated, f"{vented_at_once_min(wanted):.1f}"))
    return table(("venting (common practice)", "states, min", "model, min"), rows)


def braises() -> list[str]:
    """P13, the side that is a braise: the same softening at 96 °C as under pressure."""
    rows = []
    for name, case, hours, stated in (
        ("short ribs as P10, 2¾ h at 96 °C", P10, 2.75, "33"),
        ("brisket as P1, 3½ h at 96 °C", P1, 3.5, "58"),
    ):
        search = first_search(case.cook_request())
        meat = search.meat
        response = meat.blocks().response(30.0, int(hours * 120) + 1)
        read = 4.0 + 92.0 * response.reading_step
        dose = cumulative_softening_min(read, step_s=30.0)[..., -1:]
        rows.append(row(f"P13 {name}", stated, f"{float(search.solve(dose)[0, 0]) / 60:.0f}"))
    head = ("oven braise of equal softening", "prototype, min", "under pressure, min")
    return table(head, rows)


def frozen() -> list[str]:
    """The stand-in for thawing against the enthalpy solution."""
    rows = []
    for shape in SHAPES:
        theirs, ours = thawed_times_s(shape)
        rows.append(
            row(shape[0], *(f"{t:.0f} / {o:.0f}" for t, o in zip(theirs, ours, strict=True)))
        )
    head = ("shape", *(f"to {temp:g} °C, s (reference / ours)" for temp in TEMPS_C))
    return table(head, rows)


def practice() -> list[str]:
    """Every case by the fitted doses, and by those that the other cases give."""
    others = dict(left_out(FITTED))
    rows = [
        row(
            case.name,
            _states(case),
            f"{minutes:.0f}",
            f"{minutes / case.middle_min:.2f}",
            _off(case, minutes),
            f"{others[case]:.0f}" if case in others else "–",
            _off(case, others[case]) if case in others else "–",
        )
        for case in FITTED
        for minutes in (make_plan(case.cook_request()).hold_exact_min,)
    ]
    head = ("case (common practice)", "states, min", "model, min", "ratio", "off its span",
            "left out, min", "off its span")  # fmt: skip
    return table(head, rows)


def not_fitted() -> list[str]:
    """Cases that took no part, and why."""
    rows = [
        row(case.name, _states(case), f"{make_plan(case.cook_request()).hold_exact_min:.0f}", why)
        for why, case in LEFT_OUT.items()
    ]
    return table(("case (common practice)", "states, min", "model, min", "why not"), rows)


def _states(case: Case) -> str:
    low, high = case.span
    return f"{low:g}" if low == high else f"{low:g}–{high:g}"


def _off(case: Case, minutes: float) -> str:
    away = off_span(case, minutes)
    return f"{100 * (np.exp(away) - 1):+.0f} %" if away else "inside"


def doses() -> list[str]:
    found = fit(FITTED)
    rows = []
    for cut, dose in found.cut.items():
        cases = [case for case in FITTED if case.cut == cut]
        family = float(np.exp(found.family[cases[0].family]))
        rows.append(row(say_cut(cut, "name"), len(cases), f"{np.exp(dose):.1f}", f"{family:.1f}"))
    return table(("cut", "cases", "dose for tender, min at 100 °C", "of its family"), rows)


def errors() -> list[str]:
    """Each case left out: rms of ln(model / stated), of cases of ten minutes and more."""
    rows = []
    for name, law in (
        ("as read now", ENGINE),
        ("as read at first", Law(first_reading=True)),
        ("z 22 K instead of 28", Law(z_k=22.0)),
        ("z 33 K", Law(z_k=33.0)),
        ("steps of 1.2 instead of 1.3", Law(step_ratio=1.2)),
        ("steps of 1.4", Law(step_ratio=1.4)),
    ):
        found = [
            (case, minutes)
            for case, minutes in left_out(FITTED, law)
            if case.middle_min >= SHORT_MIN
        ]
        single = [(case, minutes) for case, minutes in found if case.span[0] == case.span[1]]
        rows.append(
            row(
                name,
                len(found),
                f"{rms([off_span(case, minutes) for case, minutes in found]):.2f}",
                f"{rms([off_span(case, minutes) for case, minutes in single]):.2f}",
                f"{rms([float(np.log(m / case.middle_min)) for case, m in found]):.2f}",
            )
        )
    head = ("law of softening", "cases", "off the span", "single recipes alone",
            "off the middle of the span")  # fmt: skip
    return table(head, rows)


def jumps() -> list[str]:
    """The largest step of each cut when it grows by a millimetre."""
    rows = []
    for cut_id, (within, across) in largest().items():
        rows.append(row(say_cut(cut_id, "name"), *_jump(within), *_jump(across)))
    head = ("cut", "within one way of lying", "of", "where the way changes", "of")
    return table(head, rows)


def _jump(step: Step | None) -> tuple[str, str]:
    if step is None:
        return "–", "–"
    ways = step.way if step.way == step.next_way else f"{step.way} to {step.next_way}"
    return (
        f"{step.moved_min:.1f} min, {100 * step.share:.0f} %",
        f"{step.before_min:.0f} min at {1000 * step.thick_m:.0f} mm, {step.said}: {ways}",
    )


def coverage() -> str:
    """How many stated times lie in the band, with doses from the other cases alone."""
    inside, counted = 0, 0
    for case, minutes in left_out(FITTED):
        plan = make_plan(case.cook_request())
        share = minutes / max(plan.hold_exact_min, 1.0)
        low, high = plan.range.low_min * share, plan.range.high_min * share
        counted += 1
        inside += case.span[0] <= high and case.span[1] >= low
    return (
        f"Of {counted} cases left out, the band of 8 of 10 kitchens around what the others give "
        f"meets what {inside} of them state.\n"
    )


INTRO = """\
Written by `python3 dev.py validation`; a test fails when it is stale. The independent solution of
a whole cook is in `tests/reference`, speed in `python3 dev.py bench`.
"""
PRACTICE = """\
Sizes, weights, starts, pots and releases that practice does not state were written down in
`tests/reference/practice.py` before anything was fitted, from memory. All in a 5.7 l pot at sea
level. A span counts as met inside it; outside, the nearer end counts. "Left out" is worked out with
doses from the other cases alone.
"""
MISSES = """\
P11 to P13 follow below; of P13 the smoker, the grill and the slow cooker are not modelled here.
"""
FROZEN = """\
A frozen piece is heated from a stand-in start of −88 °C with the properties of thawed meat; the
reference is a 3-D enthalpy solution (`tests/reference/enthalpy.py`). Two minutes are added on top.
"""
DOSES = """\
Softening is read six tenths of the way from the middle to the surface. One dose a cut is fitted to
its cases, pooled over its family: how far a cut lies from its family has a prior of 0.2 (ln dose).
A case weighs by how much its family scatters in practice; what is far off counts less (Huber, 1.5).
Neighbouring steps of tenderness differ by 1.3. The z-value is not fixed by pressure cooks (22 to 33
fit alike); it stays at 28 K. A cut with one case rests on that and on its family; flanken has no
kin. Errors are of the logarithm: 0.10 is about 10 %.
"""


def reading() -> list[str]:
    """How well recipes are read, field by field."""
    scores = line_scores() | recipe_scores()
    rows = [
        row(field, score.right + score.missed, f"{score.precision:.3f}", f"{score.recall:.3f}")
        for field, score in scores.items()
    ]
    return table(("field", "labels", "precision", "recall"), rows)


STRANGERS = """\
Strangers' recipes: 100 invented texts in many voices, labeled and committed before the reader was
changed for them (`tests/recipes/strangers`). Precision / recall in %, the first run and the last.
The test half is not looked at while mending. The later 36 were written when both halves had been
measured many times; their first run tells how a text is read that nothing was mended for. Of what
is to be kept out of the pot, two labels of the test half name no line of their recipe: they count
as missed.

Two more checks need no label: each text of the first half is dressed otherwise (capitals, units in
full, numbers in words, a page, Markdown: `test_in_other_dress.py`), and three are put among lines
that stand around recipes (`company.txt`, `test_in_other_company.py`). What a cook would read in
them stays the same.
"""


def strangers() -> list[str]:
    """The same on recipes in strangers' voices, set by set."""
    first = first_run()
    now = {half: measure(half).fields for half in SETS}
    names = {name for scores in now.values() for name in scores}
    fields = sorted(names | {name for _, name in first})
    rows = []
    for name in fields:
        cells = []
        for half in SETS:
            before, after = first.get((half, name)), now[half].get(name)
            cells.append("" if before is None else f"{100 * before[0]:.0f} / {100 * before[1]:.0f}")
            cells.append(
                "" if after is None else f"{100 * after.precision:.0f} / {100 * after.recall:.0f}"
            )
            cells.append("" if after is None else str(count(after)))
        rows.append(row(name, *cells))
    head = ("field", "mending, first", "last", "n", "test, first", "last", "n",
            "later, first", "last", "n")  # fmt: skip
    return table(head, rows)


def other_methods() -> list[str]:
    """Other methods by equal softening, with their own heating up counted."""
    rows = []
    cases: list[tuple[str, Case, OtherMethod, float, str]] = [
        ("short ribs as P10, braised 2¾ h", P10, "oven_lid", 2.75, "33"),
        ("brisket as P1, braised 3½ h", P1, "oven_lid", 3.5, "58"),
        ("brisket as P1, smoked 11 h", P1, "smoker", 11.0, "68 to 118"),
    ]
    for name, case, method, hours, stated in cases:
        wanted = case.cook_request()
        dose = cooked_by(wanted.load.pieces[0], method, 3600 * hours, 0.0).softening_min
        rows.append(row(name, stated, f"{hold_of_softening_min(wanted, dose):.0f}"))
    head = ("other methods (common practice)", "prototype, min", "under pressure, min")
    return table(head, rows)


JUMPS = """\
Every cut through its usual sizes a millimetre at a time, 0.9 and 1.6 kg in several counts, at sea
level: the largest step of the cook time in minutes. Within one way of lying 6 % (thin ribs 8 %) or
1.5 min is the bound; where the way changes 10 %, or the other way can be chosen in the Plan.
"""
PICTURES = """\
Drawn from the code by `python3 dev.py pictures`.

![cook time over thickness](pictures/thickness.svg)

![how many kitchens the band holds](pictures/band.svg)

![what is learned over cooks](pictures/learning.svg)

![the largest jump of each cut](pictures/jumps.svg)
"""
READING = """\
Labels of 136 ingredient lines and 26 whole recipes were written and committed before the parser;
both are by the same hands, so strangers' recipes will read worse. A wrong answer counts against
precision and recall, an empty one against recall. A time is right within what the label spans.
"""


TITLE = f"# Validation, engine {ENGINE_VERSION}"
SECTIONS: dict[str, Callable[[], list[str]]] = {
    "Against published values": published,
    "Against common practice": lambda: [
        *(PRACTICE, *practice(), *not_fitted(), MISSES, *vents(), *braises(), *other_methods()),
    ],
    "Frozen starts": lambda: [FROZEN, *frozen()],
    "Doses, and leaving each case out": lambda: [DOSES, *doses(), *errors(), coverage()],
    "A millimetre more": lambda: [JUMPS, *jumps()],
    "Pictures": lambda: [PICTURES],
    "Reading of recipes": lambda: [READING, *reading(), STRANGERS, *strangers()],
    "Where foods go, read twice": report,
}
"""Headings in their order, and what writes the lines below each."""


def page() -> str:
    parts = [TITLE, "", INTRO]
    for heading, lines in SECTIONS.items():
        parts += [f"## {heading}", "", *lines()]
    return "\n".join(parts)


if __name__ == "__main__":
    PAGE.write_text(page(), encoding="utf-8")
