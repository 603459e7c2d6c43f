"""Whatever a panel and hands do to a simulated pot, in any order: it stays a pot.

What holds for every pot: no temperature above that of the highest pressure (steam tables), none
above the boil when it is open, a lid under pressure stays on; and a pot that is read again from its
file is the same pot.
"""

import tempfile
from collections.abc import Callable
from datetime import UTC, datetime, timedelta
from functools import partial
from itertools import pairwise
from pathlib import Path
from typing import Any

from hypothesis import HealthCheck, Phase, settings
from hypothesis import strategies as st
from hypothesis.stateful import RuleBasedStateMachine, initialize, invariant, rule

from pneumachron.core.constants import PIN_DROP_RISE
from pneumachron.core.physics.steam import ambient_pressure_pa, saturation_temp_c
from pneumachron.core.planning.request import ResolvedRequest, resolve
from pneumachron.devices.protocol import AwayError, DeviceError, HandAction, PotCommand
from pneumachron.devices.simulated import Faults, SimulatedPot
from pneumachron.text.reader import ANYBODY
from pneumachron.text.render import has_message
from tests.core.kitchen import cook_request, load

NOON = datetime(2026, 11, 28, 12, 0, tzinfo=UTC)
SHORT_RIBS = cook_request(load("short_ribs_english", 1.1, 0.04, 4), altitude_m=1150.0)
OUTSIDE_PA = float(ambient_pressure_pa(1150.0))
BOIL_C = float(saturation_temp_c(OUTSIDE_PA))
"""96.1 °C at 1,150 m by the standard atmosphere and the steam tables (ICAO 1976, IAPWS)."""
OPEN_C = BOIL_C + PIN_DROP_RISE.value
"""The pin drops a little above the boil; what is left flashes off in the first seconds."""
HOTTEST_C = float(saturation_temp_c(OUTSIDE_PA + 1.15 * SHORT_RIBS.pot.gauge_high_pa))
NOISE_C = 1.0
HANDS: tuple[HandAction, ...] = ("lid_on", "lid_off", "stir", "vessel_out", "vessel_in")
HANDS_TO_BEGIN: tuple[HandAction, ...] = ("vessel_in", "lid_on")
PRESSES: tuple[PotCommand, ...] = ("start", "stop", "vent", "shut_valve")


class Moved:
    """A clock that only moves when it is told to."""

    speed = 1
    ahead_s = 0.0

    def __init__(self) -> None:
        self.moment = NOON

    def now(self) -> datetime:
        return self.moment


def read(_: dict[str, Any]) -> ResolvedRequest:
    return resolve(SHORT_RIBS)


class AnyHands(RuleBasedStateMachine):
    """Presses, hands, faults and time."""

    @initialize(seed=st.integers(0, 1000))
    def fill(self, seed: int) -> None:
        self.folder = tempfile.TemporaryDirectory()
        self.clock, self.seed = Moved(), seed
        self.pot = self.made()
        self.pot.load({})

    def made(self) -> SimulatedPot:
        file = Path(self.folder.name) / "pot.jsonl"
        return SimulatedPot(
            SHORT_RIBS.pot, SHORT_RIBS.altitude_m, file, self.clock, read, seed=self.seed
        )

    def tried(self, do: Callable[[], None]) -> bool:
        """Whether it was taken; a refusal says why and what to do, and changes nothing."""
        before, refused = self.shown(), None
        try:
            do()
        except DeviceError as error:
            refused = error
        if refused is None:
            return True
        assert has_message(f"error-{refused.code}.hint", ANYBODY)
        assert self.shown() == before
        return False

    def shown(self) -> tuple[str, float, bool] | None:
        try:
            reading = self.pot.reading()
        except AwayError:
            return None
        return reading.state, reading.temp_c, reading.pin_up

    @rule(minutes=st.sampled_from([0.1, 1.0, 7.0, 25.0, 90.0]))
    def time_passes(self, minutes: float) -> None:
        self.clock.moment += timedelta(minutes=minutes)

    @rule(hold_min=st.integers(0, 90), share=st.sampled_from([0.5, 1.0]))
    def set_it(self, hold_min: int, share: float) -> None:
        gauge = share * SHORT_RIBS.pot.gauge_high_pa
        self.tried(lambda: self.pot.command("set", hold_s=60.0 * hold_min, gauge_pa=gauge))

    @rule(what=st.sampled_from(PRESSES))
    def press(self, what: PotCommand) -> None:
        self.tried(lambda: self.pot.command(what))

    @rule(minutes=st.sampled_from([3.0, 15.0, 25.0, 50.0]), lid=st.booleans())
    def a_cook_begins(self, minutes: float, *, lid: bool) -> None:
        """The usual order, with nothing broken, so that pressure is seen often enough."""
        self.pot.set_faults(Faults())
        for hand in HANDS_TO_BEGIN:
            self.tried(partial(self.pot.hands, hand))
        self.set_it(20, 1.0)
        self.press("start")
        self.clock.moment += timedelta(minutes=minutes)
        if lid:
            self.hand("lid_off")

    @rule(what=st.sampled_from(HANDS))
    def hand(self, what: HandAction) -> None:
        under_pressure = (self.shown() or ("", 0.0, False))[2]
        taken = self.tried(lambda: self.pot.hands(what))
        if what == "lid_off" and under_pressure:
            assert not taken  # never forced

    @rule(millilitres=st.sampled_from([50, 200]))
    def pour(self, millilitres: int) -> None:
        volume = 1e-6 * millilitres
        self.tried(lambda: self.pot.hands("pour", volume_m3=volume))

    @rule(weak=st.booleans(), leaking=st.booleans(), stuck=st.booleans(), away=st.booleans())
    def something_breaks(self, *, weak: bool, leaking: bool, stuck: bool, away: bool) -> None:
        self.pot.set_faults(
            Faults(weak_heater=weak, leaking_gasket=leaking, stuck_base=stuck, away=away)
        )

    @invariant()
    def it_stays_a_pot(self) -> None:
        seen = self.shown()
        if seen is None:
            return
        state, temp_c, pin_up = seen
        assert 0.0 < temp_c < HOTTEST_C + NOISE_C
        if state in {"open", "no_vessel"}:
            assert temp_c < OPEN_C + NOISE_C
            assert not pin_up
        if state in {"under_pressure", "holding"}:
            assert temp_c > BOIL_C - NOISE_C
        samples = self.pot.samples(NOON - timedelta(seconds=1))
        assert all(one.at < two.at for one, two in pairwise(samples))
        assert all(sample.gauge_pa >= 0 for sample in samples)

    @rule()
    def read_again_it_is_the_same(self) -> None:
        again = self.made()
        if again.faults.away:
            assert self.pot.faults.away
            return
        assert again.reading() == self.pot.reading()
        since = NOON - timedelta(seconds=1)
        assert list(again.changes(since)) == list(self.pot.changes(since))

    def teardown(self) -> None:
        if hasattr(self, "folder"):
            self.folder.cleanup()


AnyHands.TestCase.settings = settings(
    max_examples=30,
    stateful_step_count=12,
    deadline=None,
    # the same hands in every run; a dozen steps are short enough to be read as they are
    derandomize=True,
    phases=(Phase.explicit, Phase.generate),
    suppress_health_check=[HealthCheck.too_slow],
)
TestAnyHands = AnyHands.TestCase
