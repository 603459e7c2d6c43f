"""The numbers a cook is cooked by, worked out once when it begins and kept with it.

A later engine works out other minutes. A cook that is under way, and a log entry that is over,
keep theirs: their steps are made from these numbers and from nothing else of the engine.
"""

from collections.abc import Mapping, Sequence
from dataclasses import asdict, dataclass, fields, is_dataclass, replace
from math import isfinite
from typing import Any, get_args, get_type_hints

from pneumachron.core import ENGINE_VERSION
from pneumachron.core.catalog.cuts import ReleaseMethod
from pneumachron.core.catalog.racks import RACK_KINDS, Rack
from pneumachron.core.errors import ShapeError
from pneumachron.core.planning.batches import whole_load
from pneumachron.core.planning.course import Phase
from pneumachron.core.planning.finish import Finish, FinishKind, finish_for, rest_for
from pneumachron.core.planning.load import Load
from pneumachron.core.planning.lying import ARRANGEMENT_KINDS, ArrangementKind
from pneumachron.core.planning.plan import Plan, is_pulled
from pneumachron.core.planning.request import CookRequest
from pneumachron.core.planning.sauce import reduce_sauce
from pneumachron.core.planning.season import searing
from pneumachron.core.safety.cooling import cooling

AFTER_HOLD = frozenset(
    {"natural_release", "waiting", "venting", "keeping_warm", "boiling", "soaking"}
)
"""Phases of a plan after the cook time that are steps; what stands with the lid off rests."""
MAX_PHASES = 12
REDUCED_RATIO = 0.5
"""The juice is boiled down to half. Common practice."""
OVEN_HEAT_S = 900.0
"""Ten to fifteen minutes to 160 °C. Common practice."""
MAX_TRACE = 400
LARGEST = 14 * 86_400.0
"""Two weeks in seconds; no pressure in pascals is more either."""


@dataclass(frozen=True, slots=True)
class SearNumbers:
    """Browning: batches, and from and to in seconds."""

    batches: int
    batch_low_s: float
    batch_high_s: float
    total_low_s: float
    total_high_s: float


@dataclass(frozen=True, slots=True)
class CrustNumbers:
    """The crust: from and to in seconds, of one batch and of all."""

    kind: FinishKind
    each_low_s: float
    each_high_s: float
    total_low_s: float
    total_high_s: float
    heat_up_s: float = 0.0
    """Before it is hot; 0 too for a cook that began before this was told."""


@dataclass(frozen=True, slots=True)
class CookNumbers:
    """Everything the engine said that a cook goes by. SI, and no words."""

    engine: str
    hold_min: int
    gauge_pa: float
    thickness_m: float
    """Of the first kind of piece."""
    liquid_m3: float
    wet_m3: float
    """With the juice."""
    fill_ratio: float
    left_m3: float
    """Liquid when it is opened, for the sauce."""
    rack: Rack
    arrangement: ArrangementKind
    release: ReleaseMethod
    wait_s: float | None
    """Before the valve is opened; None: the pressure falls by itself."""
    come_up_s: float
    natural_release_s: float
    venting_s: float
    open_pot_s: float
    """How long the meat softens on in the open pot."""
    sear: SearNumbers | None
    rest_s: float
    sauce_s: float
    crust: CrustNumbers | None
    pulled: bool
    trace: tuple[tuple[float, float], ...]
    """Planned gauge pressure [Pa] over time from lid on [s]."""
    reconstructed: bool = False
    """Worked out after the cook, not when it began."""
    phases: tuple[tuple[str, float], ...] = ()
    """What follows the cook time, with its seconds, in order; empty for a cook of version 1."""
    hold_range_s: tuple[float, float] | None = None
    """Likely range of the cook time."""
    later: tuple[tuple[float, float, float], ...] = ()
    """Batches after this one: cook time [s], from lid on to meat out [s], mass [kg]."""
    later_lying: tuple[tuple[Rack, ArrangementKind], ...] = ()
    """How each of them lies; empty for a cook that was kept before this was known."""
    later_liquid_m3: tuple[float, ...] = ()
    """Liquid of each."""
    later_up_s: tuple[float, ...] = ()
    """To pressure, of each."""
    later_phases: tuple[tuple[tuple[str, float], ...], ...] = ()
    """What follows the cook time of each, as `phases`."""
    goes_on: str | None = None
    """The later batch is no new meat: what was not done with the first is cooked on. Its cut."""
    ice_bath_s: float = 0.0
    """In ice water until the thickest piece is cold, when it is made ahead; 0: too thick for it."""
    oven_heat_s: float = 0.0
    """Before the oven is hot that reheats it; 0 for a cook that began before this was told."""


@dataclass(frozen=True, slots=True)
class CookPlan:
    """A cook's own plan: what was asked for, and the numbers it is cooked by."""

    request: CookRequest
    numbers: CookNumbers

    @property
    def hold_min(self) -> int:
        """Minutes that were set at first."""
        return self.numbers.hold_min


def cook_plan(plan: Plan, finish: FinishKind | None = None, meat: Load | None = None) -> CookPlan:
    """Take from a plan what a cook goes by.

    Parameters
    ----------
    meat : of all batches, where the plan is of one of them: rest and crust are for all of it
    """
    setup = plan.setup
    request = setup.request
    meat = whole_load(request) if meat is None else meat
    reduced = reduce_sauce(
        request.pot, request.altitude_m, max(plan.ending.liquid_m3, 1e-4), REDUCED_RATIO
    )
    low, high = rest_for(meat)
    numbers = CookNumbers(
        engine=ENGINE_VERSION,
        hold_min=plan.hold_min,
        gauge_pa=plan.gauge_pa,
        thickness_m=request.load.pieces[0].thickness_m,
        liquid_m3=setup.filling.liquid_m3,
        wet_m3=setup.filling.wet_m3,
        fill_ratio=setup.filling.fill_ratio,
        left_m3=plan.ending.liquid_m3,
        rack=setup.arrangement.rack,
        arrangement=setup.arrangement.kind,
        release=setup.release,
        wait_s=setup.after.wait_s if isfinite(setup.after.wait_s) else None,
        come_up_s=_phase_s(plan, "come_up"),
        natural_release_s=_phase_s(plan, "natural_release"),
        venting_s=_phase_s(plan, "venting"),
        open_pot_s=setup.after.open_pot_s,
        sear=sear_numbers(request),
        rest_s=(low + high) / 2,
        sauce_s=reduced.heat_s + reduced.boil_s,
        crust=_crust(finish_for(meat, request.pot, finish)),
        pulled=is_pulled(request),
        phases=_after_hold(plan.phases),
        hold_range_s=(60.0 * plan.hold_range_min[0], 60.0 * plan.hold_range_min[1]),
        later=tuple(
            (60.0 * batch.hold_min, batch.done_s, batch.load.mass_kg) for batch in plan.later
        ),
        later_lying=tuple((batch.rack, batch.arrangement) for batch in plan.later),
        later_liquid_m3=tuple(batch.liquid_m3 for batch in plan.later),
        later_up_s=tuple(
            sum(phase.duration_s for phase in batch.phases if phase.kind == "come_up")
            for batch in plan.later
        ),
        later_phases=tuple(_after_hold(batch.phases) for batch in plan.later),
        goes_on=next(
            (batch.load.pieces[0].cut.cut_id for batch in plan.later if batch.goes_on), None
        ),
        ice_bath_s=_ice_bath_s(request),
        oven_heat_s=OVEN_HEAT_S,
        trace=tuple(
            (round(float(at), 1), round(float(gauge), 1))
            for at, gauge in zip(plan.trace.time_s, plan.trace.gauge_pa, strict=True)
        ),
    )
    return CookPlan(request, numbers)


def _after_hold(phases: Sequence[Phase]) -> tuple[tuple[str, float], ...]:
    return tuple(
        (phase.kind, phase.duration_s)
        for phase in phases
        if phase.kind in AFTER_HOLD and phase.duration_s > 0
    )


def reconstructed(plan: CookPlan) -> CookPlan:
    """The same, marked as worked out afterwards; it keeps the steps that cooks of its time had."""
    numbers = replace(plan.numbers, reconstructed=True, phases=(), later=())
    return replace(plan, numbers=numbers)


def _ice_bath_s(request: CookRequest) -> float:
    piece = max(request.load.pieces, key=lambda item: item.thickness_m)
    found = cooling(piece.cut, piece.thickness_m, "ice_bath")
    return found.to_last_s if found.safe else 0.0


def sear_numbers(request: CookRequest) -> SearNumbers | None:
    """How its meat is seared; None where it is not."""
    piece = request.load.pieces[0]
    if not piece.cut.sears or piece.frozen:
        return None
    how = searing(request.load, request.pot)
    return SearNumbers(how.batches, *how.batch_s, *how.total_s)


def _crust(found: Finish) -> CrustNumbers | None:
    if found.kind == "none":
        return None
    return CrustNumbers(found.kind, *found.each_s, *found.total_s, found.heat_up_s)


def _phase_s(plan: Plan, kind: str) -> float:
    return sum(phase.duration_s for phase in plan.phases if phase.kind == kind)


# kept with the cook as plain values


def to_document(numbers: CookNumbers) -> dict[str, Any]:
    """As plain values, ready for JSON."""
    return asdict(numbers) | {"trace": [list(point) for point in numbers.trace]}


def from_document(document: Mapping[str, Any]) -> CookNumbers:
    """Read what `to_document` wrote.

    Raises
    ------
    ShapeError : something is missing, of another kind, or not a number that can be.
    """
    try:
        values = {**document, "trace": tuple(_point(item) for item in document["trace"])}
        values["phases"] = tuple(_phase(item) for item in document.get("phases", ()))
        values["later"] = tuple(tuple(item) for item in document.get("later", ()))
        values["later_lying"] = tuple(_lying(item) for item in document.get("later_lying", ()))
        for name in ("later_liquid_m3", "later_up_s"):
            values[name] = tuple(document.get(name, ()))
        values["later_phases"] = tuple(
            tuple(_phase(item) for item in rows) for rows in document.get("later_phases", ())
        )
        if document.get("hold_range_s") is not None:
            values["hold_range_s"] = _point(document["hold_range_s"])
        for name, kind in (("sear", SearNumbers), ("crust", CrustNumbers)):
            if values.get(name) is not None:
                values[name] = kind(**values[name])
        found = CookNumbers(**values)
    except (TypeError, KeyError, ValueError) as error:
        raise ShapeError(
            f"the numbers of this cook are not whole: {type(error).__name__}"
        ) from None
    _check_batches(found)
    _check(found)
    return found


def _phase(item: Any) -> tuple[str, float]:  # noqa: ANN401 - whatever a file holds
    kind, seconds = item
    if kind not in AFTER_HOLD:
        raise ValueError(kind)
    return kind, seconds


def _lying(item: Any) -> tuple[Rack, ArrangementKind]:  # noqa: ANN401 - whatever a file holds
    rack, arrangement = item
    if rack not in RACK_KINDS or arrangement not in ARRANGEMENT_KINDS:
        raise ValueError(item)
    return rack, arrangement


def _point(item: Any) -> tuple[float, float]:  # noqa: ANN401 - whatever a file holds
    at, gauge = item
    return at, gauge


LISTS = frozenset({"phases", "later", "hold_range_s", "later_liquid_m3", "later_up_s"})
ROWS = frozenset({"hold_range_s", "later_liquid_m3", "later_up_s"})
"""Lists of numbers alone."""


LATER = ("later_lying", "later_liquid_m3", "later_up_s", "later_phases")
"""What is told of each later batch: of all of them, or, by earlier versions, of none."""


def _check_batches(found: CookNumbers) -> None:
    """Each later batch has all its numbers."""
    count = len(found.later)
    lengths = {len(getattr(found, name)) for name in LATER}
    if count > MAX_PHASES or lengths not in ({count}, {0}):
        raise ShapeError("the later batches of this cook are not whole")


def _check(found: object) -> None:
    """Each value of the kind its field names, finite and not huge."""
    hints = get_type_hints(type(found))
    for field in fields(found) if is_dataclass(found) else ():
        value = getattr(found, field.name)
        if is_dataclass(value):
            _check(value)
        elif field.name == "trace":
            if len(value) > MAX_TRACE or not all(_is_number(x) for point in value for x in point):
                raise ShapeError("the trace of this cook is not a curve")
        elif field.name in {"later_lying", "later_phases"}:
            if len(value) > MAX_PHASES or not all(
                _is_number(x) and x >= 0
                for rows in value
                for row in rows
                if not isinstance(row, str)
                for x in row[1:]
            ):
                raise ShapeError(f"{field.name} of this cook cannot be")
        elif field.name in LISTS:
            rows = () if value is None else (value,) if field.name in ROWS else value
            numbers = [x for row in rows for x in row if x not in AFTER_HOLD]
            if len(rows) > MAX_PHASES or not all(_is_number(x) and x >= 0 for x in numbers):
                raise ShapeError(f"{field.name} of this cook cannot be")
        elif not _fits(value, hints[field.name]):
            raise ShapeError(f"{field.name} of this cook cannot be")


def _fits(value: object, hint: Any) -> bool:  # noqa: ANN401 - a type hint
    words = get_args(hint)
    if value is None:
        return type(None) in words
    if words and all(isinstance(word, str) for word in words):
        return value in words
    if hint is bool:
        return isinstance(value, bool)
    if hint in {str, str | None}:
        return isinstance(value, str) and 0 < len(value) <= 20
    if hint is int:
        return isinstance(value, int) and not isinstance(value, bool) and 0 <= value <= 1000
    return isinstance(value, int | float) and _is_number(value) and abs(value) <= LARGEST


def _is_number(value: Any) -> bool:  # noqa: ANN401 - whatever a file holds
    return isinstance(value, int | float) and not isinstance(value, bool) and isfinite(value)
