"""The household: its settings, its people and its pots."""

from dataclasses import dataclass, replace

from sqlalchemy.orm import Session

from pneumachron.core.catalog.pots import Pot, ready_pots, scaled_pot
from pneumachron.core.constants import TAP_WATER_TEMP
from pneumachron.core.cooker.boil_test import heat_ratio_of
from pneumachron.core.errors import RequestError
from pneumachron.core.physics.steam import ALTITUDE_RANGE_M
from pneumachron.core.planning.load import START_RANGE_C
from pneumachron.core.units import Quantity, parse_measure
from pneumachron.store import devices, households, lessons, pots
from pneumachron.store.db import writing
from pneumachron.store.devices import Device
from pneumachron.store.records import Household, KeptPot, Locale, Person, Units, new_id, now
from pneumachron.text.reader import Reader
from pneumachron.text.vocabulary import by_its_size, called_there, ready_cooker


def current_household(session: Session) -> Household:
    """The household of this database; made at sea level with all ready pots at the first call."""
    household = households.get_household(session)
    return _first_household(session) if household is None else household


def _first_household(session: Session) -> Household:
    with writing(session):
        household = households.get_household(session)  # two may be the first at once
        if household is None:
            household = Household(new_id(), "Our kitchen", 0.0, 4.0, "metric")
            households.save_household(session, household)
            for ready_id, pot in ready_pots().items():
                pots.add_pot(session, household.household_id, by_its_size(pot), ready_id)
    return household


def change_household(
    session: Session,
    *,
    name: str,
    altitude: str,
    start: str,
    units: Units,
    taste_step: float = 0.0,
    simulated_teach: bool = False,
    locale: Locale | None = None,
    servings: int | None = None,
    seen: int | None = None,
) -> Household:
    """Set what is usual here; altitude and start are typed with their units.

    Parameters
    ----------
    locale, servings : what they are now when None
    seen : the version that the change was made from; None writes over any

    Raises
    ------
    StaleError : it was changed elsewhere since; nothing was written.
    RequestError : a value that cannot be.
    """
    altitude_m = parse_measure(altitude, "altitude", "altitude")
    low, high = ALTITUDE_RANGE_M
    if not low <= altitude_m <= high:
        raise RequestError("altitude", "altitude", altitude_m=altitude_m, most_m=high)
    start_c = parse_measure(start, "temperature", "start")
    if not START_RANGE_C[0] <= start_c <= START_RANGE_C[1]:
        raise RequestError("start", "start", start_c=start_c)
    here = current_household(session)
    household = replace(
        here,
        name=name,
        altitude_m=altitude_m,
        start_temp_c=start_c,
        units=units,
        taste_step=taste_step,
        simulated_teach=simulated_teach,
        locale=locale or here.locale,
        servings=servings or here.servings,
        introduced=True,
    )
    households.save_household(session, household, seen)
    if household.locale != here.locale:
        _call_cookers(session, household)
    return current_household(session)


def _call_cookers(session: Session, household: Household) -> None:
    """Call the ready cookers by their size in the household's words."""
    reader = Reader(household.locale, household.units)
    for kept in pots.list_pots(session, household.household_id):
        name = called_there(kept.pot.name, kept.ready_id or "", reader)
        if name != kept.pot.name:
            pots.change_pot(session, household.household_id, replace(kept.pot, name=name))


def skip_introduction(session: Session) -> Household:
    """What is assumed of this kitchen is taken as it is; it can be set later."""
    here = current_household(session)
    households.save_household(session, replace(here, introduced=True))
    return current_household(session)


def reader_here(session: Session) -> Reader:
    """Who reads: the household's locale and units."""
    here = current_household(session)
    return Reader(here.locale, here.units)


def list_people(session: Session) -> list[Person]:
    """Everybody who cooks here."""
    return households.list_people(session, current_household(session).household_id)


def add_person(session: Session, name: str) -> Person:
    """Somebody new."""
    return households.add_person(session, current_household(session).household_id, name)


def list_pots(session: Session) -> list[KeptPot]:
    """The pots here."""
    return pots.list_pots(session, current_household(session).household_id)


def add_ready_pot(session: Session, ready_id: str, nickname: str = "") -> KeptPot:
    """Take one of the ready pots into the kitchen, by its size or also by a nickname."""
    home, pot = current_household(session).household_id, ready_cooker(ready_id)
    name = f"{nickname}, {pot.name}" if nickname else pot.name
    return pots.add_pot(session, home, replace(pot, name=name), ready_id)


@dataclass(frozen=True, slots=True)
class OwnPot:
    """A pot as a cook describes it: what a ruler and the plate say. Measures are typed."""

    name: str
    volume: str
    diameter: str
    height: str
    power_w: float
    least_liquid: str | None = None
    high: str | None = None
    low: str | None = None
    longest_min: float | None = None
    panel_step_min: float | None = None
    start_key: bool = False
    crisping_lid: bool = False
    stovetop: bool = False


def add_own_pot(session: Session, own: OwnPot) -> KeptPot:
    """A pot of the cook's own; the rest is scaled from the ready pot nearest in size.

    Raises
    ------
    RequestError : a measure that cannot be read, or a pot that cannot be.
    """
    return pots.add_pot(session, current_household(session).household_id, _own_pot(own), None)


def change_pot(session: Session, pot_id: str, own: OwnPot) -> KeptPot:
    """Other numbers for a pot that is here; a boil test of it stays.

    Raises
    ------
    RequestError : as `add_own_pot`.
    """
    home = current_household(session).household_id
    kept = pots.get_pot(session, home, pot_id)
    changed = replace(_own_pot(own), pot_id=pot_id, heat_ratio=kept.pot.heat_ratio)
    return pots.change_pot(session, home, changed)


def _own_pot(own: OwnPot) -> Pot:
    volume = parse_measure(own.volume, "volume", "volume")
    base = min(ready_pots().values(), key=lambda pot: abs(pot.usable_volume_m3 - volume))
    numbers = {
        "usable_volume_m3": volume,
        "inner_diameter_m": parse_measure(own.diameter, "length", "diameter"),
        "inner_height_m": parse_measure(own.height, "length", "height"),
        "heater_w": own.power_w,
        "min_liquid_m3": _typed(own.least_liquid, "volume", "least_liquid", base.min_liquid_m3),
        "gauge_high_pa": _typed(own.high, "pressure", "high", base.gauge_high_pa),
        "gauge_low_pa": _typed(own.low, "pressure", "low", base.gauge_low_pa),
        "longest_hold_min": own.longest_min or base.longest_hold_min,
        "panel_step_min": own.panel_step_min or 1.0,
    }
    try:
        pot = scaled_pot(base, "own", own.name, **numbers)
    except RequestError as error:
        field = _OWN_FIELDS.get(error.field, error.field)
        raise error.at_field(field) from None
    return replace(
        pot,
        has_start_key=own.start_key,
        has_crisping_lid=own.crisping_lid,
        is_stovetop=own.stovetop,
    )


_OWN_FIELDS = {
    "usable_volume_m3": "volume",
    "inner_diameter_m": "diameter",
    "inner_height_m": "height",
    "heater_w": "power_w",
    "min_liquid_m3": "least_liquid",
    "gauge_high_pa": "high",
    "gauge_low_pa": "low",
    "longest_hold_min": "longest_min",
}


def _typed(text: str | None, quantity: Quantity, field: str, usual: float) -> float:
    return parse_measure(text, quantity, field) if text and text.strip() else usual


def calibrate_pot(session: Session, pot_id: str, minutes: float, start: str | None) -> KeptPot:
    """Calibrate a pot by the minutes a litre of water took; no minutes set it back.

    What cooks taught of its heat before was told against other numbers, so it is learned anew.

    Raises
    ------
    RequestError : minutes that cannot be.
    """
    household = current_household(session)
    kept = pots.get_pot(session, household.household_id, pot_id)
    start_c = _typed(start, "temperature", "start", TAP_WATER_TEMP.value)
    ratio = heat_ratio_of(kept.pot, household.altitude_m, start_c, minutes) if minutes > 0 else 1.0
    lessons.forget(session, household.household_id, "heat", pot_id, now())
    return pots.change_pot(session, household.household_id, replace(kept.pot, heat_ratio=ratio))


def set_pot_deleted(session: Session, pot_id: str, *, deleted: bool) -> None:
    """Put a pot away, or take it back out."""
    home = current_household(session).household_id
    pots.set_pot_deleted(session, home, pot_id, deleted=deleted)


def list_devices(session: Session) -> list[Device]:
    """Browsers that are paired."""
    return devices.list_devices(session)


def forget_device(session: Session, device_id: str) -> str:
    """Forget a paired browser; gives the digest of its cookie."""
    digest = next(
        (item.digest for item in devices.list_devices(session) if item.device_id == device_id), ""
    )
    devices.forget_device(session, device_id)
    return digest
