"""Pictures of docs/validation.md, drawn from the code: python3 dev.py pictures."""

from pathlib import Path

import matplotlib as mpl
import numpy as np
import pytest
from matplotlib.axes import Axes
from matplotlib.figure import Figure

from pneumachron.core import ENGINE_VERSION
from pneumachron.core.catalog.cuts import LiquidStyle, cut_by_id
from pneumachron.core.errors import RequestError
from pneumachron.core.planning.plan import make_plan
from pneumachron.text.say import say_cut
from tests.core.kitchen import cook_request, load
from tests.core.test_band import KITCHENS, LOADS, in_a_kitchen
from tests.core.test_learn import cook_on, rmse
from tests.reference.practice import FITTED
from tests.reference.sweep import largest

FOLDER = Path(__file__).parents[2] / "docs" / "pictures"
INK, MEAT, PAPER, PENCIL = "#1f2a3c", "#a03b24", "#f7f2e6", "#6b6f76"
WISHED = ((2.0, "tender", INK), (3.0, "very tender", PENCIL), (4.0, "falls apart", MEAT))
SIDES = ((-0.2, 0, INK, "within one way of lying"), (0.2, 1, MEAT, "where the way changes"))
FAMILIES: tuple[tuple[str, str, float, LiquidStyle], ...] = (
    ("ribs", "back_ribs", 1.1, "steam"),
    ("brisket", "brisket_flat", 1.5, "short_braise"),
    ("short ribs", "short_ribs_english", 0.35, "short_braise"),
    ("shoulder", "shoulder_boneless", 2.0, "short_braise"),
)


def save(figure: Figure, name: str) -> None:
    """The same bytes for the same numbers."""
    FOLDER.mkdir(exist_ok=True)
    figure.savefig(
        FOLDER / f"{name}.svg",
        facecolor=PAPER,
        metadata={"Date": None, "Title": f"{name}, engine {ENGINE_VERSION}"},
    )


def thickness() -> None:
    """Cook time over thickness for each family, with what practice states of it."""
    figure = Figure(figsize=(9.0, 6.4), layout="constrained")
    panels = np.ravel(figure.subplots(2, 2))
    for (family, cut_id, kilos, liquid_style), axes in zip(FAMILIES, panels, strict=True):
        cut = cut_by_id(cut_id)
        low, high = cut.usual_thickness_m
        centimetres, minutes = [], []
        for thick in np.linspace(low, high, 40):
            try:
                plan = make_plan(
                    cook_request(load(cut_id, kilos, float(thick)), texture=cut.default_texture,
                         liquid_style=liquid_style)
                )  # fmt: skip
            except RequestError:
                continue
            centimetres.append(100 * thick)
            minutes.append((plan.range.low_min, plan.hold_exact_min, plan.range.high_min))
        lows, holds, highs = np.array(minutes).T
        axes.fill_between(centimetres, lows, highs, color=MEAT, alpha=0.15, lw=0)
        axes.plot(centimetres, holds, color=MEAT)
        for case in (item for item in FITTED if item.family == family):
            at = 100 * case.pieces.pieces[0].thickness_m
            start, end = case.span
            axes.plot([at, at], [start, max(end, start + 0.6)], color=INK, lw=3)
            name = case.name.split()[0]
            axes.annotate(name, (at, end), (3, 2), textcoords="offset points", fontsize=7)
        axes.set_title(
            f"{say_cut(cut.cut_id, 'name')}, {kilos:g} kg in one piece, {cut.default_texture}",
            fontsize=9,
        )
        _labels(axes, "thickness, cm", "cook time, min")
    figure.suptitle("Cook time over thickness, band of 8 of 10 kitchens; bars: cases of practice, "
                    "each with its own load and tenderness", fontsize=9)  # fmt: skip
    save(figure, "thickness")


def band() -> None:
    """How many simulated kitchens the band holds, load by load."""
    rng = np.random.default_rng(4)
    names, shares = [], []
    for wanted in LOADS:
        found = make_plan(wanted).range
        with pytest.MonkeyPatch.context() as patch:
            drawn = [in_a_kitchen(wanted, rng, patch) for _ in range(KITCHENS)]
        names.append(say_cut(wanted.load.pieces[0].cut.cut_id, "name"))
        shares.append(100 * np.mean([found.low_min <= one <= found.high_min for one in drawn]))
    figure = Figure(figsize=(9.0, 3.0), layout="constrained")
    axes = figure.subplots()
    axes.barh(names, shares, color=MEAT, alpha=0.6)
    axes.axvspan(75, 85, color=INK, alpha=0.12, lw=0)
    axes.axvline(80, color=INK, lw=1)
    axes.set_xlim(0, 100)
    _labels(axes, f"kitchens inside the band, % of {KITCHENS} (aim 75 to 85 over all)", "")
    save(figure, "band")


def learning() -> None:
    """What is not known yet of a household, over its cooks."""
    figure = Figure(figsize=(9.0, 3.4), layout="constrained")
    axes = figure.subplots()
    counts = [0, 1, 2, 4, 8, 12, 16, 24, 32]
    for wished, name, color in WISHED:
        rng = np.random.default_rng(int(wished))
        offset = rng.normal(0.0, 0.25, 80)
        errors = [0.25] + [
            rmse(cook_on(np.random.default_rng(n), wished, np.tile(offset, (n, 1)), None), offset)
            for n in counts[1:]
        ]
        axes.plot(counts, errors, "o-", color=color, label=name, ms=4)
    axes.axhline(0.13, color=MEAT, lw=1, ls=":")
    axes.axhline(0.08, color=INK, lw=1, ls=":")
    axes.set_ylim(0, 0.3)
    axes.legend(frameon=False, fontsize=8)
    _labels(axes, "rated cooks (dotted: aims after 32)", "rms error of ln dose")
    save(figure, "learning")


def jumps() -> None:
    """The largest step of each cut when it grows by a millimetre."""
    figure = Figure(figsize=(9.0, 4.2), layout="constrained")
    axes = figure.subplots()
    found = largest()
    names = [say_cut(cut, "name") for cut in found]
    rows = np.arange(len(names))
    for shift, which, color, label in SIDES:
        steps = [pair[which] for pair in found.values()]
        widths = [0.0 if step is None else step.moved_min for step in steps]
        axes.barh(rows + shift, widths, 0.38, color=color, label=label)
    axes.set_yticks(rows, names, fontsize=8)
    axes.invert_yaxis()
    axes.legend(frameon=False, fontsize=8)
    _labels(axes, "largest step of the cook time for one millimetre more, min", "")
    save(figure, "jumps")


def _labels(axes: Axes, across: str, up: str) -> None:
    axes.set_facecolor(PAPER)
    axes.set_xlabel(across, fontsize=8)
    axes.set_ylabel(up, fontsize=8)
    axes.tick_params(labelsize=8)
    axes.spines[["top", "right"]].set_visible(False)


def main() -> None:
    """All of them."""
    mpl.rcParams.update({"svg.hashsalt": "pneumachron", "svg.fonttype": "none"})
    for draw in (thickness, band, learning, jumps):
        draw()


if __name__ == "__main__":
    main()
