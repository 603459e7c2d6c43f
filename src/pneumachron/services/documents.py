"""A plan as a document: plain values with units in their names, for the wire and the store."""

from dataclasses import asdict
from typing import Any

import numpy as np

from pneumachron.core import ENGINE_VERSION
from pneumachron.core.catalog.cuts import cut_by_id
from pneumachron.core.catalog.pots import Pot
from pneumachron.core.physics.tenderness import TEXTURES
from pneumachron.core.planning.cautions import Caution
from pneumachron.core.planning.course import Phase, PieceResult, Trace
from pneumachron.core.planning.habits import habits_of
from pneumachron.core.planning.load import Piece
from pneumachron.core.planning.plan import Batch, Plan
from pneumachron.core.planning.plan_summary import PlanSummary
from pneumachron.core.planning.pouring import Measure, pouring_marks
from pneumachron.core.planning.ready_by import Way
from pneumachron.core.planning.reasons import Reason
from pneumachron.core.planning.recovery import texture_near
from pneumachron.core.planning.releases import is_full, release_kinds
from pneumachron.core.planning.request import CookRequest, ResolvedRequest
from pneumachron.core.planning.two_cycles import EarlyOut
from pneumachron.core.planning.what_if import Alternative
from pneumachron.core.procedure.tasks import Task, plan_tasks
from pneumachron.core.units import (
    Shown,
    show_altitude,
    show_length,
    show_mass,
    show_temperature,
    show_volume,
)
from pneumachron.services.inputs import PlanInputs

RESULTS_VERSION = 4
"""2 had its sentences in it, 1 also lacked drawings and most reasons."""


def plan_document(plan: Plan) -> dict[str, Any]:
    """Everything a screen, a script or the store needs of a plan."""
    request = plan.setup.request
    return {
        "results_version": RESULTS_VERSION,
        "engine_version": ENGINE_VERSION,
        "setting": {
            "hold_min": plan.hold_min,
            "hold_low_min": plan.hold_range_min[0],
            "hold_high_min": plan.hold_range_min[1],
            "level": request.level,
            "gauge_pa": plan.gauge_pa,
            "hold_temp_c": _round(plan.hold_c, 2),
            "boil_temp_c": _round(plan.boil_c, 2),
            "texture": TEXTURES[round(request.tenderness_step)],
            "liquid_style": request.liquid_style,
            "release": plan.setup.release,
            "rack": plan.setup.arrangement.rack,
            "altitude_m": request.altitude_m,
            "altitude_shown": shown_document(show_altitude(request.altitude_m)),
        },
        "range": [asdict(part) for part in plan.range.parts],
        "release": _release(plan.setup),
        "liquid": _liquid(plan),
        "ending": _ending(plan),
        "arrangement": _arrangement(plan.setup),
        "pot": pot_document(request.pot),
        "pieces": [_piece(outcome) for outcome in plan.outcomes],
        "serving": _serving(plan),
        "phases": [_phase(phase) for phase in plan.phases],
        "phases_through": [_phase(phase) for phase in plan.phases_through],
        "tasks": [_task(task) for task in plan_tasks(plan)],
        "lid_on_to_open_s": _round(plan.lid_on_to_open_s, 1),
        "done_s": _round(plan.done_s, 1),
        "longest_delay_s": _round(
            min(outcome.safety.longest_delay_s for outcome in plan.outcomes), 0
        ),
        "all_done_s": _round(plan.all_done_s, 1),
        "later": [_batch(batch) for batch in plan.later],
        "expectation": _expectation(plan),
        "trace": _trace(plan.trace),
        "reasons": [_plainly(reason) for reason in plan.reasons],
        "cautions": [_plainly(caution) for caution in plan.cautions],
    }


def _plainly(item: Reason | Caution) -> dict[str, Any]:
    """With parameters that JSON can hold, to more digits than anybody reads."""
    params = {
        name: value if isinstance(value, str) else float(f"{value:.6g}")
        for name, value in item.params.items()
    }
    return {**asdict(item), "params": params}


def _phase(phase: Phase) -> dict[str, Any]:
    return {
        "kind": phase.kind,
        "start_s": _round(phase.start_s, 1),
        "duration_s": _round(phase.duration_s, 1),
        "core_temp_c": _round(phase.core_c, 1),
    }


def _batch(batch: Batch) -> dict[str, Any]:
    return {
        "pieces": len(batch.load.pieces),
        "mass_shown": shown_document(show_mass(batch.load.mass_kg)),
        "hold_min": batch.hold_min,
        "lid_on_to_open_s": _round(batch.lid_on_to_open_s, 1),
        "goes_on": batch.goes_on,
        "hold_low_min": batch.hold_range_min[0],
        "hold_high_min": batch.hold_range_min[1],
    }


def _expectation(plan: Plan) -> dict[str, Any] | None:
    found = plan.expectation
    if found is None:
        return None
    return {
        "usual_min": found.usual_min,
        "usual_low_min": round(plan.range.low_min),
        "usual_high_min": round(plan.range.high_min),
        "tenderness_step": _round(found.tenderness_step, 2),
        "low_step": _round(found.low_step, 2),
        "high_step": _round(found.high_step, 2),
        "texture_reached": texture_near(found.tenderness_step),
        "low_reached": texture_near(found.low_step),
        "high_reached": texture_near(found.high_step),
        "below": found.tenderness_step < -0.5,
        "sure_ratio": _round(found.sure_ratio, 3),
    }


def habits_document(inputs: PlanInputs) -> list[dict[str, Any]]:
    """The two habits of a cut, while the cook has not said which is meant."""
    if inputs.texture is not None or inputs.my_minutes is not None:
        return []
    return [asdict(habit) for habit in habits_of(cut_by_id(inputs.pieces[0].cut))]


def early_out_document(request: CookRequest, found: EarlyOut | None) -> dict[str, Any] | None:
    """Two cycles for unlike pieces."""
    if found is None:
        return None
    kinds = request.load.kinds()
    pieces = [
        {
            "cut_id": piece.cut.cut_id,
            "thickness_shown": shown_document(show_length(piece.thickness_m)),
            "out_early": index in found.out,
            "tenderness_step": _round(step, 2),
            "texture_reached": texture_near(step),
        }
        for index, ((piece, _), step) in enumerate(zip(kinds, found.tenderness_steps, strict=True))
    ]
    return {
        "first_min": found.first_min,
        "second_min": found.second_min,
        "done_s": _round(found.done_s, 1),
        "pieces": pieces,
    }


def whole_document(piece: Piece, count: int) -> dict[str, Any]:
    """Alike pieces as they were bought."""
    return {
        "total_mass_shown": shown_document(show_mass(count * piece.mass_kg)),
        "thickness_m": _round(piece.thickness_m, 4),
        "length_m": _round(piece.length_m, 4),
        "width_m": _round(piece.width_m, 4),
        "thickness_shown": shown_document(show_length(piece.thickness_m)),
        "length_shown": shown_document(show_length(piece.length_m)),
        "width_shown": shown_document(show_length(piece.width_m)),
    }


def _release(setup: ResolvedRequest) -> dict[str, Any]:
    kind = release_kinds()[setup.release]
    after = setup.after
    return {
        "method": setup.release,
        "usual": setup.choice.method,
        "wait_s": None if after.wait_s == float("inf") else after.wait_s,
        "keep_s": after.keep_s,
        "boil_s": after.boil_s,
        "soak_s": after.stand_s if setup.release == "soak" else 0.0,
        "why": setup.choice.why,
        "pulses": kind.vents and is_full(setup.filling.fill_ratio),
    }


def _arrangement(setup: ResolvedRequest) -> dict[str, Any]:
    arrangement = setup.arrangement
    line, spans = arrangement.section(setup.request.pot)
    return {
        "coiled": arrangement.coiled,
        "kind": arrangement.kind,
        "tight": arrangement.tight,
        "rack_height_m": arrangement.rack_height_m,
        "rack_inset_m": arrangement.rack_kind.inset_m,
        "meat_height_m": _round(arrangement.meat_height_m, 4),
        "layers": arrangement.layers,
        "beds": [
            {
                "bottom_m": _round(arrangement.rack_height_m + low, 4),
                "height_m": _round(high - low, 4),
            }
            for low, high in arrangement.beds
        ],
        "placed": [
            {
                "kind": item.kind,
                "outline_m": [[_round(x, 4), _round(y, 4)] for x, y in item.outline_m],
                "bottom_m": _round(arrangement.rack_height_m + item.bottom_m, 4),
                "height_m": _round(item.height_m, 4),
            }
            for item in arrangement.placed
        ],
        "section_m": _round(line, 4),
        "section": [
            {"placed": index, "left_m": _round(left, 4), "right_m": _round(right, 4)}
            for index, left, right in spans
        ],
    }


def _ending(plan: Plan) -> dict[str, Any]:
    end = plan.ending
    return {
        "steam_m3": _round(end.steam_m3, 7),
        "juice_m3": _round(end.juice_m3, 7),
        "fat_m3": _round(end.fat_m3, 7),
        "liquid_m3": _round(end.liquid_m3, 7),
        "meat_kg": _round(end.meat_kg, 4),
        "level_m": _round(end.level_m, 4),
        "juice_shown": shown_document(show_volume(end.juice_m3)),
        "liquid_shown": shown_document(show_volume(end.liquid_m3)),
    }


def _serving(plan: Plan) -> dict[str, Any]:
    served = plan.serving
    return {
        "plates_from": served.plates[0],
        "plates_to": served.plates[1],
        "bought_shown": shown_document(show_mass(sum(served.bought_kg) / 2)),
        "served_shown": shown_document(show_mass(sum(served.served_kg) / 2)),
    }


def pot_document(pot: Pot) -> dict[str, Any]:
    """What a screen shows of a pot."""
    return {
        "name": pot.name,
        "usable_volume_m3": pot.usable_volume_m3,
        "inner_diameter_m": pot.inner_diameter_m,
        "inner_height_m": pot.inner_height_m,
        "heater_w": pot.heater_w,
        "min_liquid_m3": pot.min_liquid_m3,
        "min_level_m": _round(pot.min_liquid_m3 / pot.floor_m2, 4),
        "max_fill_ratio": pot.max_fill_ratio,
        "max_level_m": _round(pot.max_level_m, 4),
        "gauge_high_pa": pot.gauge_high_pa,
        "gauge_low_pa": pot.gauge_low_pa,
        "longest_hold_min": pot.longest_hold_min,
        "heat_ratio": _round(pot.heat_ratio, 3),
        "panel_step_min": pot.panel_step_min,
        "has_start_key": pot.has_start_key,
        "has_crisping_lid": pot.has_crisping_lid,
        "is_stovetop": pot.is_stovetop,
        "min_liquid_shown": shown_document(show_volume(pot.min_liquid_m3)),
        "max_volume_shown": shown_document(show_volume(pot.max_volume_m3, at_most=True)),
        "inner_diameter_shown": shown_document(show_length(pot.inner_diameter_m)),
        "inner_height_shown": shown_document(show_length(pot.inner_height_m)),
    }


def summary_document(answer: PlanSummary) -> dict[str, Any]:
    """What a cook comes to, in short."""
    step = texture_near(answer.tenderness_step)
    return {
        "hold_min": answer.hold_min,
        "lid_on_to_open_s": _round(answer.lid_on_to_open_s, 1),
        "done_s": _round(answer.done_s, 1),
        "tenderness_step": _round(answer.tenderness_step, 2),
        "texture_reached": step,
        "core_at_open_c": _round(answer.core_at_open_c, 1),
        "then_min": answer.then_min,
    }


def alternative_document(alternative: Alternative) -> dict[str, Any]:
    """One thing changed: an answer, or why there is none."""
    answer, trouble = alternative.answer, alternative.trouble
    return {
        "kind": alternative.kind,
        "value": alternative.value,
        "answer": None if answer is None else summary_document(answer),
        "refused": None
        if trouble is None
        else {"code": trouble.code, "params": dict(trouble.params)},
    }


def way_document(way: Way) -> dict[str, Any]:
    """One way to be at the table in time."""
    return {
        "parts": way.parts,
        "release": way.release,
        "finish": way.finish,
        "answer": summary_document(way.answer),
        "rest_s": _round(way.rest_s, 1),
        "finish_s": _round(way.finish_s, 1),
        "table_s": _round(way.table_s, 1),
        "spare_s": _round(way.spare_s, 1),
    }


def _liquid(plan: Plan) -> dict[str, Any]:
    filling = plan.setup.filling
    return {
        "volume_m3": filling.liquid_m3,
        "sauce_m3": filling.sauce_m3,
        "bed_m3": filling.bed_m3,
        "max_volume_m3": filling.max_volume_m3,
        "usual_volume_m3": filling.usual_m3,
        "lowest_m3": filling.lowest_m3,
        "highest_m3": filling.highest_m3,
        "marks_metric": _marks(plan.setup, "ml"),
        "marks_us": _marks(plan.setup, "cups"),
        "level_m": _round(filling.level_m, 4),
        "fill_ratio": _round(filling.fill_ratio, 4),
        "solids_m3": filling.solids_m3,
        "shown": shown_document(show_volume(filling.liquid_m3)),
        "usual_shown": shown_document(show_volume(filling.usual_m3)),
        "lowest_shown": shown_document(show_volume(filling.lowest_m3)),
        "highest_shown": shown_document(show_volume(filling.highest_m3, at_most=True)),
        "level_shown": shown_document(show_length(filling.level_m)),
    }


def _marks(setup: ResolvedRequest, measure: Measure) -> list[dict[str, Any]]:
    marks = pouring_marks(setup, measure)
    return [{"typed": mark.typed, "level_m": _round(mark.level_m, 4)} for mark in marks]


def _piece(outcome: PieceResult) -> dict[str, Any]:
    piece = outcome.piece
    step, safety = texture_near(outcome.tenderness_step), outcome.safety
    return {
        "cut": piece.cut.cut_id,
        "count": outcome.count,
        "mass_kg": piece.mass_kg,
        "thickness_m": piece.thickness_m,
        "width_m": piece.width_m,
        "length_m": piece.length_m,
        "start_temp_c": _round(piece.start_temp_c, 1),
        "shape": piece.shape,
        "frozen": piece.frozen,
        "bone": piece.has_bone,
        "membrane": piece.has_membrane,
        "total_mass_shown": shown_document(show_mass(piece.mass_kg * outcome.count)),
        "mass_shown": shown_document(show_mass(piece.mass_kg)),
        "thickness_shown": shown_document(show_length(piece.thickness_m)),
        "width_shown": shown_document(show_length(piece.width_m)),
        "length_shown": shown_document(show_length(piece.length_m)),
        "start_shown": shown_document(show_temperature(piece.start_temp_c)),
        "tenderness_step": _round(outcome.tenderness_step, 2),
        "texture_reached": step,
        "dry": outcome.dry,
        "dryness_ratio": _round(outcome.dryness_ratio, 3),
        "lethality_ratio": _round(min(safety.lethality_ratio, 999.0), 2),
        "core_at_open_c": _round(outcome.core_at_open_c, 1),
        "core_at_open_shown": shown_document(show_temperature(outcome.core_at_open_c)),
        "above_safe_s": safety.above_safe_s,
        "size_spread_ratio": piece.size_spread_ratio,
        "safe_core_shown": shown_document(show_temperature(piece.cut.safe_core_c)),
        "safe_rest_s": piece.cut.safe_rest_s,
    }


def _task(task: Task) -> dict[str, Any]:
    return {
        "id": task.task_id,
        "low_s": _round(task.duration.low_s, 1),
        "likely_s": _round(task.duration.likely_s, 1),
        "high_s": _round(task.duration.high_s, 1),
        "needs": list(task.needs),
        "after": list(task.after),
        "may_wait_s": task.may_wait_s,
    }


def _trace(trace: Trace) -> dict[str, Any]:
    return {
        "time_s": np.round(trace.time_s, 1).tolist(),
        "gauge_pa": np.round(trace.gauge_pa, 0).tolist(),
        "pot_temp_c": np.round(trace.pot_c, 2).tolist(),
        "core_temp_c": np.round(trace.core_c, 2).tolist(),
        "tenderness_step": np.round(trace.tenderness_step, 3).tolist(),
        "softens_from_s": trace.softens_from_s,
    }


def shown_document(shown: Shown) -> dict[str, str]:
    """A measure in both systems."""
    return {"metric": shown.metric, "us": shown.us}


def _round(value: float, digits: int) -> float:
    return round(float(value), digits)
