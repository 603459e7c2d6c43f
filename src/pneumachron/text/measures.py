"""Numbers, units and durations as a reader writes them.

Masses, lengths and volumes come from the core in both systems; the chosen one leads everywhere,
the other one stands in brackets only for safety figures.
"""

from babel.lists import format_list
from babel.numbers import format_decimal

from pneumachron.core.units import (
    Quantity,
    Shown,
    show_length,
    show_mass,
    show_temperature,
    show_volume,
    unit_factor,
)
from pneumachron.text.reader import Reader

THIN = "\u00a0"
"""A number and its unit stay on one line."""
STEP_OF_THICKNESS_M = {"metric": 0.005, "us": 0.00635}
"""Half a centimeter, or a quarter of an inch: what a cook measures thickness to."""

EXAMPLES: dict[Quantity, Shown] = {
    "mass": Shown("1.4 kg", "3 lb 2 oz"),
    "length": Shown("4.5 cm", "1¾ in"),
    "volume": Shown("350 ml", "1½ cups"),
    "altitude": Shown("1150 m", "3770 ft"),
    "temperature": Shown("4 °C", "40 °F"),
    "pressure": Shown("75 kPa", "11 psi"),
}
"""How a measure of each kind is typed."""


def shown_to(shown: Shown, reader: Reader) -> str:
    """One of the two systems, its parts on one line."""
    text = shown.metric if reader.units == "metric" else shown.us
    return text.replace(" ", THIN)


def number(value: float, reader: Reader, digits: int = 1) -> str:
    """A plain number with at most so many decimals: `1,150`, `2.5`."""
    pattern = "#,##0." + "#" * digits if digits else "#,##0"
    return str(format_decimal(value, pattern, locale=reader.babel))


def mass(mass_kg: float, reader: Reader) -> str:
    """`1.42 kg` or `3 lb 2 oz`."""
    return shown_to(show_mass(mass_kg), reader)


def length(length_m: float, reader: Reader) -> str:
    """`4.5 cm` or `1¾ in`."""
    return shown_to(show_length(length_m), reader)


def volume(volume_m3: float, reader: Reader) -> str:
    """`350 ml` or `1½ cups`; never less than what is meant."""
    return shown_to(show_volume(volume_m3), reader)


def volume_at_most(volume_m3: float, reader: Reader) -> str:
    """The same for an upper limit: never more than what is meant."""
    return shown_to(show_volume(volume_m3, at_most=True), reader)


def temperature(temp_c: float, reader: Reader) -> str:
    """`63 °C` or `145 °F`."""
    return shown_to(show_temperature(temp_c), reader)


def safe_temperature(temp_c: float, reader: Reader) -> str:
    """A safety figure, in both systems: `63 °C (145 °F)`."""
    shown = show_temperature(temp_c)
    first, second = (
        (shown.metric, shown.us) if reader.units == "metric" else (shown.us, shown.metric)
    )
    return f"{first} ({second})".replace(" °", f"{THIN}°")


def altitude(altitude_m: float, reader: Reader) -> str:
    """`1,150 m` or `3,773 ft`."""
    if reader.units == "metric":
        return f"{number(altitude_m, reader, 0)}{THIN}m"
    return f"{number(altitude_m / unit_factor('foot', 'meter'), reader, 0)}{THIN}ft"


def pressure(pressure_pa: float, reader: Reader) -> str:
    """`75 kPa` or `11 psi`."""
    if reader.units == "metric":
        return f"{number(pressure_pa / 1000.0, reader, 0)}{THIN}kPa"
    return f"{number(pressure_pa / unit_factor('psi', 'pascal'), reader, 1)}{THIN}psi"


def minutes(time_min: float, reader: Reader) -> str:
    """A cook time or what is added to one: always minutes."""
    return f"{number(round(time_min), reader, 0)}{THIN}min"


def hours_minutes(time_min: float) -> str:
    """As a cooker that shows hours has it: `1:38`."""
    hours, rest = divmod(round(time_min), 60)
    return f"{hours}:{rest:02d}"


def minutes_change(time_min: float, reader: Reader) -> str:
    """The same with its sign: `+20 min`, `−3 min`."""
    sign = "+" if round(time_min) >= 0 else "−"
    return sign + minutes(abs(time_min), reader)


def minutes_span(low_min: float, high_min: float, reader: Reader) -> str:
    """`74–129 min`; one number when both ends round to it."""
    low, high = round(low_min), round(high_min)
    if low == high:
        return minutes(low, reader)
    return f"{number(low, reader, 0)}–{minutes(high, reader)}"


def duration(time_s: float, reader: Reader) -> str:
    """Any other time: minutes below an hour, `1 h 8 min` from there on, days from two on."""
    whole = round(time_s / 60.0)
    if whole >= 2 * 24 * 60:
        return f"{number(whole / 1440.0, reader)}{THIN}days"
    hours, rest = divmod(whole, 60)
    if hours == 0:
        return minutes(rest, reader)
    if rest == 0:
        return f"{hours}{THIN}h"
    return f"{hours}{THIN}h {rest}{THIN}min"


def percent(ratio: float, _reader: Reader) -> str:
    """`15%`."""
    return f"{100.0 * ratio:.0f}%"


def listing(lines: str, reader: Reader) -> str:
    """Names, a line each, as a list in words: `salt, pepper, and thyme`."""
    return str(format_list(lines.split("\n"), locale=reader.babel))


def hours_span(low_s: float, high_s: float, reader: Reader) -> str:
    """`2–4 h`; one number when both ends are the same, minutes below an hour."""
    if high_s < 3600.0:
        return minutes_span(low_s / 60.0, high_s / 60.0, reader)
    if low_s == high_s:
        return f"{number(low_s / 3600.0, reader)}{THIN}h"
    return f"{number(low_s / 3600.0, reader)}–{number(high_s / 3600.0, reader)}{THIN}h"
