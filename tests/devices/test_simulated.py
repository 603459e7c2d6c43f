"""Simulated devices: the clock, the pot behind its protocol, and what breaks."""

import time
from collections.abc import Sequence
from datetime import UTC, datetime, timedelta
from pathlib import Path
from typing import Any

import pytest

from pneumachron.core.planning.request import ResolvedRequest, resolve
from pneumachron.devices.clock import (
    ClockOfCook,
    CookClock,
    KitchenClock,
    boot_s,
    read_cook_clock,
)
from pneumachron.devices.protocol import (
    AwayError,
    Change,
    DeviceError,
    HandledPot,
    PotCommand,
    PotDriver,
    PotReading,
    Sample,
)
from pneumachron.devices.simulated import Faults, SimulatedPot, hidden_truth
from pneumachron.files import write_whole
from tests.core.kitchen import cook_request, load

NOON = datetime(2026, 11, 28, 12, 0, tzinfo=UTC)
BRISKET = cook_request(load("brisket_flat", 1.4, 0.045, 2))


class SteppedClock:
    """A clock that a test moves."""

    speed = 1
    ahead_s = 0.0

    def __init__(self) -> None:
        self.moment = NOON

    def now(self) -> datetime:
        return self.moment

    def step(self, seconds: float) -> None:
        self.moment += timedelta(seconds=seconds)


def read(_: dict[str, Any]) -> ResolvedRequest:
    return resolve(BRISKET)


@pytest.fixture
def clock() -> SteppedClock:
    return SteppedClock()


def pot_in(folder: Path, clock: SteppedClock) -> SimulatedPot:
    return SimulatedPot(BRISKET.pot, 0.0, folder / "pot.jsonl", clock, read)


def started(folder: Path, clock: SteppedClock, hold_s: float = 1800.0) -> SimulatedPot:
    pot = pot_in(folder, clock)
    pot.load({})
    pot.hands("lid_on")
    pot.command("set", hold_s=hold_s, gauge_pa=75e3)
    pot.command("start")
    return pot


def states(pot: SimulatedPot) -> list[str]:
    return [change.state for change in pot.changes(NOON - timedelta(days=1))]


def test_a_run_through_the_protocol(tmp_path: Path, clock: SteppedClock) -> None:
    pot = started(tmp_path, clock)
    assert isinstance(pot, HandledPot)
    clock.step(5400)
    run = ["open", "shut", "heating", "under_pressure", "holding", "falling"]
    assert states(pot)[: len(run)] == run
    changes = {change.state: change.at for change in pot.changes(NOON)}
    held = (changes["falling"] - changes["holding"]).total_seconds()
    assert held == pytest.approx(1800, abs=10)
    samples = pot.samples(NOON)
    assert len(samples) > 300
    peak = max(sample.gauge_pa for sample in samples)
    assert peak == pytest.approx(75e3, rel=0.12)  # hidden truth and noise
    # a probe is believable only when the pot is open
    assert pot.probe_c() == pytest.approx(pot.reading().temp_c, abs=5)
    pot.command("vent")
    clock.step(900)
    pot.hands("lid_off")
    assert pot.reading().state == "open"
    assert 60 < pot.probe_c() < 115


def test_killed_in_mid_hold_it_goes_on(tmp_path: Path, clock: SteppedClock) -> None:
    pot = started(tmp_path, clock)
    clock.step(1500)
    seen = pot.reading()
    again = pot_in(tmp_path, clock)  # the app was killed and started
    assert again.reading() == seen
    assert again.changes(NOON) == pot.changes(NOON)
    clock.step(3600)
    assert again.reading() == pot.reading()
    assert again.samples(NOON) == pot.samples(NOON)


def test_a_line_cut_short_is_none(tmp_path: Path, clock: SteppedClock) -> None:
    pot = started(tmp_path, clock)
    clock.step(600)
    whole = pot.reading()
    file = tmp_path / "pot.jsonl"
    with file.open("a", encoding="utf-8") as opened:
        opened.write('{"at": "2026-11-28T12:1')
    assert pot_in(tmp_path, clock).reading() == whole
    file.write_bytes(b"\xff\xfe not a log")
    assert pot_in(tmp_path, clock).reading().state == "open"


def test_refused_is_not_written_down(tmp_path: Path, clock: SteppedClock) -> None:
    pot = pot_in(tmp_path, clock)
    pot.load({})
    before = (tmp_path / "pot.jsonl").read_text()
    with pytest.raises(DeviceError, match="lid_off"):
        pot.command("start")
    assert (tmp_path / "pot.jsonl").read_text() == before


def test_faults_and_away(tmp_path: Path, clock: SteppedClock) -> None:
    pot = started(tmp_path, clock)
    pot.set_faults(Faults(stuck_base=True))
    clock.step(900)
    assert states(pot)[-1] == "stopped_hot"
    pot.set_faults(Faults(away=True))
    for asked in (pot.reading, lambda: pot.changes(NOON), lambda: pot.command("stop")):
        with pytest.raises(AwayError, match="device_away"):
            asked()
    pot.set_faults(Faults())
    assert pot.reading().state == "stopped_hot"  # gone and back
    pot.load({})
    pot.set_faults(Faults(leaking_gasket=True))
    pot.hands("lid_on")
    pot.command("set", hold_s=600.0, gauge_pa=75e3)
    pot.command("start")
    clock.step(5400)
    assert "not_sealed" in states(pot)
    assert "holding" not in states(pot)


def test_hidden_truths_differ_but_not_wildly() -> None:
    heats = [hidden_truth(seed).heat_ratio for seed in range(200)]
    assert len(set(heats)) > 150
    assert all(0.8 <= heat <= 1.2 for heat in heats)


class DoubledPot:
    """A driver of somebody else's: the protocol is enough."""

    def __init__(self) -> None:
        self.pressed: list[tuple[PotCommand, float, float]] = []

    def reading(self) -> PotReading:
        return PotReading(NOON, "shut", 20.0, pin_up=False, left_s=None, spitting=False)

    def changes(self, after: datetime) -> Sequence[Change]:
        return [Change(NOON, "shut")] if after < NOON else []

    def samples(self, after: datetime) -> Sequence[Sample]:
        return []

    def command(self, command: PotCommand, *, hold_s: float = 0.0, gauge_pa: float = 0.0) -> None:
        self.pressed.append((command, hold_s, gauge_pa))


def test_a_double_is_a_driver() -> None:
    double = DoubledPot()
    assert isinstance(double, PotDriver)
    assert not isinstance(double, HandledPot)
    driver: PotDriver = double
    driver.command("set", hold_s=60.0, gauge_pa=75e3)
    assert double.pressed == [("set", 60.0, 75e3)]


def test_the_kitchen_goes_by_a_steady_count_until_it_follows_the_wall() -> None:
    walls, counts = [NOON], [0.0]
    clock = KitchenClock(lambda: walls[0], lambda: counts[0])
    counts[0] = 60.0
    walls[0] = NOON - timedelta(hours=5)  # somebody sets the wall clock back
    assert clock.now() == NOON + timedelta(minutes=1)
    assert clock.difference_s() == -5 * 3600 - 60
    clock.set_right({})
    assert clock.now() == walls[0]
    assert clock.difference_s() == 0.0


def test_a_cook_has_its_own_speed_and_never_goes_back() -> None:
    walls, counts = [NOON], [0.0]
    kitchen = KitchenClock(lambda: walls[0], lambda: counts[0])
    own = CookClock(NOON, NOON, 240)
    cook = ClockOfCook(kitchen, "cook", own)
    counts[0] = 10.0
    assert cook.now() == NOON + timedelta(minutes=40)
    assert cook.ahead_s == 40 * 60 - 10
    assert ClockOfCook(kitchen, "cook", None).now() == NOON + timedelta(seconds=10)
    assert own.at(NOON - timedelta(hours=3)) == NOON
    assert read_cook_clock(own.to_document()) == own


def test_who_has_read_a_clock_of_before_sees_no_jump() -> None:
    """What is kept and what the kitchen goes by change in one moment, whoever reads meanwhile."""
    walls, counts = [NOON], [0.0]
    kitchen = KitchenClock(lambda: walls[0], lambda: counts[0])
    fast = CookClock(NOON, NOON, 10)
    read = [ClockOfCook(kitchen, "slow", None), ClockOfCook(kitchen, "fast", fast)]
    counts[0], walls[0] = 60.0, NOON - timedelta(days=1)
    before = [clock.now() for clock in read]
    kept = kitchen.set_right({"slow": None, "fast": fast})
    after = [ClockOfCook(kitchen, name, own) for name, own in kept.items()]
    assert [clock.now() for clock in read] == before
    assert [clock.now() for clock in after] == before
    assert ClockOfCook(kitchen, "begun since", None).now() == kitchen.now()
    counts[0] += 6.0
    assert [clock.now() for clock in read] == [clock.now() for clock in after]
    assert after[1].now() == before[1] + timedelta(minutes=1)
    kitchen.set_back()  # it could not be kept
    assert kitchen.now() == NOON + timedelta(seconds=66)
    assert read[0].now() == kitchen.now()


def test_a_cook_brought_back_goes_by_the_kitchen_again() -> None:
    walls, counts = [NOON], [0.0]
    kitchen = KitchenClock(lambda: walls[0], lambda: counts[0])
    walls[0] = NOON + timedelta(hours=1)
    kitchen.set_right({"one": None})
    assert ClockOfCook(kitchen, "one", None).now() == NOON
    kitchen.forget("one")
    assert ClockOfCook(kitchen, "one", None).now() == kitchen.now() == walls[0]


@pytest.mark.parametrize(
    "document",
    [
        {},
        {"base": "2026-11-28T12:00:00+00:00", "cook": "2026-11-28T12:00:00", "speed": 1},
        {"base": "2026-11-28T12:00:00+00:00", "cook": "2026-11-28T12:00:00+00:00", "speed": 7},
        {"base": "0001-01-01T00:00:00+00:00", "cook": "2026-11-28T12:00:00+00:00", "speed": 1},
        {"base": 5, "cook": None, "speed": 1},
    ],
)
def test_a_clock_that_cannot_be_is_refused(document: dict[str, object]) -> None:
    with pytest.raises(ValueError, match="clock"):
        read_cook_clock(document)


def test_the_count_goes_on_while_the_machine_sleeps() -> None:
    # Linux: CLOCK_BOOTTIME counts a suspend, CLOCK_MONOTONIC does not (clock_gettime(2))
    assert abs(boot_s() - time.clock_gettime(time.CLOCK_BOOTTIME)) < 1.0


def test_a_file_is_there_whole_or_not_at_all(
    tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    file = tmp_path / "kept.json"
    write_whole(file, b"one")

    def broken(_: int) -> None:
        raise OSError("the disk is full")

    monkeypatch.setattr("pneumachron.files.os.fsync", broken)
    with pytest.raises(OSError, match="full"):
        write_whole(file, b"two")
    assert file.read_text() == "one"
