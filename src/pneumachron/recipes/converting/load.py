"""From an understood recipe to a load that goes into the pot: scaled, portioned, in runs."""

from dataclasses import dataclass

from pneumachron.core.catalog.cuts import cut_by_id
from pneumachron.core.errors import RequestError
from pneumachron.core.learning.learn import taught
from pneumachron.core.physics.tenderness import TEXTURES
from pneumachron.core.planning.batches import batches, planned_batches
from pneumachron.core.planning.finish import simmered_s
from pneumachron.core.planning.load import Load, make_piece
from pneumachron.core.planning.request import CookRequest
from pneumachron.core.planning.serving import mass_for_plates_kg
from pneumachron.recipes.converting.kitchen import Choices, Kitchen
from pneumachron.recipes.errors import RecipeError
from pneumachron.recipes.understanding.understand import MAX_COUNT, Understood

NO_WATER = "water_added:-"
"""The mark that adds water; crossed out, the pot goes lean."""
NOT_OWN_MINUTES = "minutes_kept:-"
"""The mark that keeps a recipe's own minutes; crossed out, those of the plan stand."""
MOST_CUTS = 8
"""Into how many portions one piece is cut to make it fit. Judgement."""

LEAST_CUT_KG = 0.4
"""Slices and ribs lighter than this are cooked in two runs rather than cut up. Judgement."""

THROUGH_BONE = frozenset({"short_ribs_english", "flanken", "shoulder_bone_in", "picnic_bone_in"})
"""Cut across, these want a saw: they go in more runs, where they fit whole. Common practice."""


@dataclass(frozen=True, slots=True)
class Portioned:
    """The runs of the pot; `cuts` is into how many portions each piece of the recipe is cut."""

    runs: tuple[CookRequest, ...]
    mass_kg: float
    scale: float
    """Over the recipe's weight."""
    cuts: int

    @property
    def first(self) -> CookRequest:
        """The fullest run: what the plan is made for."""
        return max(self.runs, key=lambda run: run.load.mass_kg)


def portion(understood: Understood, kitchen: Kitchen, choices: Choices) -> Portioned:
    """The load, cut along its length as little as makes it fit, in the fewest runs.

    Raises
    ------
    RecipeError : it does not fit whatever is done; says what would help.
    """
    scale, mass = _scaled(understood, choices)
    count = max(round(understood.count * scale), 1)
    refusal: RequestError | None = None
    best: Portioned | None = None
    for cuts in range(1, MOST_CUTS + 1):
        if count * cuts > MAX_COUNT:
            break
        try:
            request = _request(understood, kitchen, choices, mass_kg=mass, count=count * cuts)
            # what was cooked in such a cooker went in at once, one on the other where it had to
            runs = planned_batches(request) if request.own_hold_min else batches(request)
        except RequestError as error:
            refusal = refusal or error
            continue
        found = Portioned(runs, mass, scale, cuts)
        if best is None or len(runs) < len(best.runs):
            best = found
        sawn = understood.cut in THROUGH_BONE
        if len(runs) == 1 or cuts >= 4 or mass / count < LEAST_CUT_KG or sawn:
            break
    if best is None:
        raise _refused(refusal)
    return best


def _refused(error: RequestError | None) -> RecipeError:
    if error is None:
        return RecipeError("too_much", "mass")
    return RecipeError.of(error)


def _scaled(understood: Understood, choices: Choices) -> tuple[float, float]:
    if choices.plates is None:
        return 1.0, understood.mass_kg
    if understood.plates:
        scale = choices.plates / understood.plates
        return scale, scale * understood.mass_kg
    mass = mass_for_plates_kg(cut_by_id(understood.cut), choices.plates)[0]
    return mass / understood.mass_kg, mass


def _request(
    understood: Understood, kitchen: Kitchen, choices: Choices, *, mass_kg: float, count: int
) -> CookRequest:
    cut = taught(cut_by_id(understood.cut), dict(kitchen.taste_ln), dict(kitchen.taste_sd))
    bone = understood.bone if cut.bone_ratio > 0 else None
    piece = make_piece(
        cut,
        mass_kg=mass_kg / count,
        thickness_m=understood.thickness_m,
        has_bone=bone,
        start_temp_c=kitchen.start_temp_c,
    )
    own = None if NOT_OWN_MINUTES in choices.overruled else understood.pressure
    release = choices.release or (own.release if own else None)
    return CookRequest(
        load=Load((piece,) * count),
        pot=kitchen.pot,
        tenderness_step=float(TEXTURES.index(understood.texture)),
        liquid_style=choices.liquid_style
        or ("lean" if NO_WATER in choices.overruled else cut.default_liquid_style),
        release=release,
        wait_s=own.wait_s if own and release == own.release else None,
        own_hold_min=own.hold_min if own else None,
        level=own.level if own else "high",
        boil_s=simmered_s(choices.finish or understood.crust.kind, 0.0),
        altitude_m=kitchen.altitude_m,
        log_heat_ratio=kitchen.log_heat_ratio,
    )
