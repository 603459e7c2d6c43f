"""A pot that is cooking now: the heat balance of pot_heat.py stepped in time, with faults.

It knows what no maker prints: how strong its heater really is, whether its gasket leaks, whether
something sticks to its base. What it shows to the outside is a state, a pressure it does not
measure, and a count-down; see `devices/`.
"""

from dataclasses import dataclass, field, replace
from math import inf
from typing import Literal, TypeAlias

import numpy as np

from pneumachron.core.catalog.pots import Pot
from pneumachron.core.constants import (
    HEATER_EFFICIENCY,
    KITCHEN_TEMP,
    PIN_DROP_RISE,
    PURGE_HEAT,
    SPRAY_FILL_RATIO,
    TAP_WATER_TEMP,
    WATER_DENSITY,
    WATER_SPECIFIC_HEAT,
)
from pneumachron.core.cooker.pot_heat import PotCases
from pneumachron.core.errors import CodedError
from pneumachron.core.physics.steam import (
    ambient_pressure_pa,
    latent_heat_j_kg,
    saturation_pressure_pa,
    vent_flow_kg_s,
)
from pneumachron.core.physics.tenderness import cumulative_softening_min
from pneumachron.core.planning.request import ResolvedRequest
from pneumachron.core.session.simulated_meat import LiveMeat

LiveState: TypeAlias = Literal[
    "open", "shut", "heating", "under_pressure", "holding", "falling", "stopped_hot", "no_vessel",
    "not_sealed",
]  # fmt: skip

STEP_S = 5.0
STUCK_SHARE = 0.3
"""Contact that is left when something is burnt on: a guess that stops a pot within minutes."""
HOT_SHARE = 1.6
"""The plate's rise over the liquid at which it stops, over that at full power. Judgement."""
SEAL_WAIT_S = 600.0
"""Steam for ten minutes and no pressure: the lid is not sealed. Common practice: panels say so
after a few minutes to a quarter of an hour."""
SPRAY_CALM_S = 600.0
"""A full pot spits when it is vented within ten minutes of the hold. Common practice."""
LEAST_LIQUID_M3 = 6e-5
"""Below this the base falls dry. Judgement."""
SUGAR_KG_M3 = 100.0
"""Sugar in a sauce on the base above which it scorches [kg/m³, as g/L]. Common practice."""


class LiveError(CodedError):
    """Something that cannot be done with a pot as it stands."""


@dataclass(frozen=True, slots=True)
class Truth:
    """What is so and nobody knows. Ratios are over what the pot's numbers say."""

    heat_ratio: float = 1.0
    loss_ratio: float = 1.0
    gauge_ratio: float = 1.0
    leak_m2: float = 0.0
    """Of the gasket, as an orifice; the valve itself is about 1e-6 m²."""
    size_ratio: float = 1.0


@dataclass(frozen=True, slots=True)
class Inside:
    """What goes into a pot: meat by kind, liquid, and whether the base is bare."""

    meat: tuple[LiveMeat, ...]
    liquid_m3: float
    solids_m3: float
    bed_m3: float = 0.0
    """Vegetables under the meat: they warm like water."""
    stuck: bool = False
    """Something burnt on, or a thick sweet sauce lying on the base."""


def inside_of(setup: ResolvedRequest, truth: Truth, *, stuck: bool = False) -> Inside:
    """What a settled request puts into the pot."""
    meat = tuple(
        LiveMeat(piece, count, setup.arrangement.covered, truth.size_ratio)
        for piece, count in setup.request.load.kinds()
    )
    sauce = setup.request.sauce
    sweet = sauce.place == "base" and sauce.volume_m3 > 0 and sauce.sugar_kg_m3 > SUGAR_KG_M3
    filling = setup.filling
    return Inside(meat, filling.wet_m3, filling.solids_m3, filling.bed_m3, stuck or sweet)


@dataclass
class LivePot:
    """A pot in the kitchen. Times in seconds since it was made."""

    pot: Pot
    altitude_m: float
    inside: Inside
    truth: Truth = Truth()
    state: LiveState = "open"
    clock_s: float = 0.0
    water_c: float = TAP_WATER_TEMP.value
    plate_c: float = KITCHEN_TEMP.value
    gauge_set_pa: float = 0.0
    hold_set_s: float = 0.0
    held_s: float = 0.0
    venting: bool = False
    spitting: bool = False
    _cases: PotCases = field(init=False)
    _purge_j: float = PURGE_HEAT.value
    _boiling_s: float = 0.0
    _since_hold_s: float = 0.0
    _heater: bool = False
    _softening_min: dict[int, float] = field(default_factory=dict)

    def __post_init__(self) -> None:
        """Fill it, lid off."""
        self._refill()
        self._softening_min = dict.fromkeys(range(len(self.inside.meat)), 0.0)

    def _refill(self) -> None:
        ambient = float(ambient_pressure_pa(self.altitude_m))
        gauge = self.gauge_set_pa or self.pot.gauge_high_pa
        one = np.ones(1)
        self._cases = PotCases(
            pot=self.pot,
            ambient_pa=ambient * one,
            gauge_pa=self.truth.gauge_ratio * gauge * one,
            liquid_m3=self.inside.liquid_m3 * one,
            solids_m3=self.inside.solids_m3 * one,
            bed_m3=self.inside.bed_m3 * one,
            start_c=self.water_c * one,
        )

    @property
    def boil_c(self) -> float:
        """Boiling temperature here, lid off."""
        return float(self._cases.boil_c[0])

    @property
    def gauge_pa(self) -> float:
        """Pressure over that of the kitchen."""
        if self.state in {"open", "no_vessel"} or self.water_c <= self.boil_c:
            return 0.0
        return float(saturation_pressure_pa(self.water_c) - self._cases.ambient_pa[0])

    @property
    def pin_up(self) -> bool:
        """Whether the lid is locked by pressure."""
        return self.state not in {"open", "no_vessel"} and self.water_c > (
            self.boil_c + PIN_DROP_RISE.value
        )

    @property
    def core_c(self) -> float:
        """The coldest middle of all pieces; the liquid when there is none."""
        return min((meat.core_c for meat in self.inside.meat), default=self.water_c)

    def softening_min(self, kind: int) -> float:
        """Softening of a kind of piece so far [min at 100 °C]."""
        return self._softening_min[kind]

    @property
    def left_s(self) -> float:
        """What the panel counts down; infinite before it counts."""
        return max(self.hold_set_s - self.held_s, 0.0) if self.hold_set_s else inf

    # what a panel does

    def set_program(self, hold_s: float, gauge_pa: float) -> None:
        """Minutes and pressure."""
        if not 0 <= hold_s <= 60.0 * self.pot.longest_hold_min:
            raise LiveError("panel_too_long", most_min=self.pot.longest_hold_min)
        if self.state in {"heating", "under_pressure", "holding"}:
            raise LiveError("running")
        self.hold_set_s, self.gauge_set_pa, self.held_s = hold_s, gauge_pa, 0.0
        self._refill()

    def start(self) -> None:
        """Heat up to what was set."""
        if self.state == "no_vessel":
            raise LiveError("no_vessel")
        if self.state == "open":
            raise LiveError("lid_off")
        if self.hold_set_s <= 0:
            raise LiveError("not_set")
        self.state, self._boiling_s, self._since_hold_s = "heating", 0.0, 0.0
        if not self.pin_up:
            self._purge_j = PURGE_HEAT.value

    def stop(self) -> None:
        """Heater off; the pressure falls by itself."""
        if self.state in {"heating", "under_pressure", "holding", "not_sealed", "stopped_hot"}:
            self.state = "falling" if self.pin_up else "shut"

    def vent(self, *, on: bool) -> None:
        """Open or shut the valve."""
        if on and self.state in {"heating", "under_pressure", "holding"}:
            self.stop()
        self.venting = on and self.state not in {"open", "no_vessel"}

    # what a person does

    def lid_on(self) -> None:
        """Lock the lid."""
        if self.state == "no_vessel":
            raise LiveError("no_vessel")
        if self.state == "open":
            self.state, self.venting = "shut", False
            self._purge_j = PURGE_HEAT.value

    def lid_off(self) -> None:
        """Open it; with the pin up it cannot be."""
        if self.pin_up:
            raise LiveError("pin_up")
        if self.state != "no_vessel":
            self.state, self.venting, self.spitting = "open", False, False

    def stir(self) -> None:
        """Scrape the base bare."""
        self._needs_open("stir")
        self.inside = replace(self.inside, stuck=False)

    def pour(self, volume_m3: float) -> None:
        """Cold liquid in."""
        self._needs_open("pour")
        heat = self._water_j_k()
        added = volume_m3 * WATER_DENSITY.value * WATER_SPECIFIC_HEAT.value
        self.water_c = (heat * self.water_c + added * TAP_WATER_TEMP.value) / (heat + added)
        self.inside = replace(self.inside, liquid_m3=self.inside.liquid_m3 + volume_m3)
        self._refill()

    def vessel(self, *, present: bool) -> None:
        """Lift the vessel out, or put it back; one that is in stays as it is."""
        if not present:
            self._needs_open("vessel")
            self.state = "no_vessel"
        elif self.state == "no_vessel":
            self.state = "open"

    def _needs_open(self, what: str) -> None:
        if self.state != "open":
            raise LiveError("lid_on")

    # time

    def advance(self, seconds: float) -> None:
        """Let time pass, in steps of `STEP_S`; what is left over waits for the next call."""
        end_s = self.clock_s + seconds
        while self.clock_s + STEP_S <= end_s + 1e-9:
            self._step()
            self.clock_s += STEP_S

    def _water_j_k(self) -> float:
        wet_m3 = self.inside.liquid_m3 + self.inside.bed_m3
        return wet_m3 * WATER_DENSITY.value * WATER_SPECIFIC_HEAT.value + self.pot.vessel_j_k

    def _step(self) -> None:
        heat_w = self._heater_w()
        contact = self.pot.plate_w_k * (STUCK_SHARE if self._sticks() else 1.0)
        lid_off = self.state in {"open", "no_vessel"}
        loss = self.pot.loss_open_w_k if lid_off else self.pot.loss_closed_w_k
        loss *= self.truth.loss_ratio
        before = [meat.reading_c for meat in self.inside.meat]
        into_meat_j = sum(meat.step(self.water_c, STEP_S) for meat in self.inside.meat)
        steam = not lid_off and self.water_c > self.boil_c
        stored = self._water_j_k() + (float(self._cases.headspace_j_k[0]) if steam else 0.0)
        plate = self.pot.plate_j_k
        # both nodes at once, implicit; the meat's share is of this step already
        a = plate / STEP_S + contact
        d = stored / STEP_S + contact + loss
        right_plate = plate / STEP_S * self.plate_c + heat_w
        right_water = (
            stored / STEP_S * self.water_c + loss * KITCHEN_TEMP.value - into_meat_j / STEP_S
        )
        determinant = a * d - contact * contact
        self.plate_c = (right_plate * d + contact * right_water) / determinant
        new = (a * right_water + contact * right_plate) / determinant
        self.water_c = self._steamed(new, stored, lid_off=lid_off)
        for kind, (meat, read) in enumerate(zip(self.inside.meat, before, strict=True)):
            pair = np.array([read, meat.reading_c])
            self._softening_min[kind] += float(cumulative_softening_min(pair, step_s=STEP_S)[-1])
        self._next_state()

    def _heater_w(self) -> float:
        power = HEATER_EFFICIENCY.value * self.pot.power_w * self.truth.heat_ratio
        if self.state in {"heating", "not_sealed"}:
            self._heater = True
        elif self.state in {"under_pressure", "holding"}:
            self._heater = self.water_c < float(self._cases.hold_c[0]) - (
                0.0 if self._heater else 0.3
            )
        else:
            self._heater = False
        return power if self._heater else 0.0

    def _sticks(self) -> bool:
        return self.inside.stuck or self.inside.liquid_m3 < LEAST_LIQUID_M3

    def _steamed(self, new_c: float, stored_j_k: float, *, lid_off: bool) -> float:
        """What boils off, leaks or is vented takes its heat along."""
        boil = self.boil_c
        if new_c <= boil:
            self.spitting = False
            return new_c
        if lid_off:
            self._evaporate((new_c - boil) * stored_j_k, boil)
            return boil
        surplus_j = (new_c - boil) * stored_j_k
        spent_j = min(surplus_j, self._purge_j)
        self._purge_j -= spent_j
        new_c -= spent_j / stored_j_k
        open_m2 = self.truth.leak_m2 + (self.pot.orifice_m2 if self.venting else 0.0)
        if open_m2 > 0 and new_c > boil:
            pressure = saturation_pressure_pa(new_c)
            flow = float(vent_flow_kg_s(pressure, new_c, self._cases.ambient_pa[0], open_m2))
            out_j = min(flow * float(latent_heat_j_kg(new_c)) * STEP_S, (new_c - boil) * stored_j_k)
            self._evaporate(out_j, new_c)
            new_c -= out_j / stored_j_k
        full = float(self._cases.fill_ratio[0]) > SPRAY_FILL_RATIO.value
        self.spitting = self.venting and full and self._since_hold_s < SPRAY_CALM_S
        return new_c

    def _evaporate(self, heat_j: float, at_c: float) -> None:
        gone = heat_j / float(latent_heat_j_kg(at_c)) / WATER_DENSITY.value
        self.inside = replace(self.inside, liquid_m3=max(self.inside.liquid_m3 - gone, 0.0))

    def _next_state(self) -> None:
        hold_c = float(self._cases.hold_c[0])
        full_rise = HEATER_EFFICIENCY.value * self.pot.power_w / self.pot.plate_w_k
        if self._heater and self.plate_c - self.water_c > HOT_SHARE * full_rise:
            self.state = "stopped_hot"
        elif self.state in {"heating", "not_sealed"}:
            self._boiling_s += STEP_S if self.water_c > self.boil_c - 0.5 else 0.0
            if self.pin_up:
                self.state = "under_pressure"
            elif self._boiling_s > SEAL_WAIT_S:
                self.state = "not_sealed"
        elif self.state == "under_pressure" and self.water_c >= hold_c - 0.2:
            self.state = "holding"
        elif self.state == "holding":
            self.held_s += STEP_S
            if self.held_s >= self.hold_set_s:
                self.state = "falling"
        elif self.state == "falling":
            self._since_hold_s += STEP_S
            if not self.pin_up:
                self.state = "shut"
