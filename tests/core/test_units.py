"""Typed measures against published conversions, and both systems shown."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from pneumachron.core.errors import MeasureError
from pneumachron.core.units import (
    Quantity,
    parse_measure,
    show_altitude,
    show_length,
    show_mass,
    show_temperature,
    show_volume,
    typed_system,
)

# published: NIST Special Publication 811 and Handbook 44, appendix C (exact definitions)
OUNCE_KG = 0.028_349_523_125
INCH_M = 0.0254
CUP_M3 = 2.365_882_365e-4


@pytest.mark.parametrize(
    ("text", "quantity", "value"),
    [
        ("3 lb 2 oz", "mass", 50 * OUNCE_KG),
        ("3lb2oz", "mass", 50 * OUNCE_KG),
        ("3 lbs. 2 ounces", "mass", 50 * OUNCE_KG),
        ("3lb2", "mass", 50 * OUNCE_KG),
        ("3 lb 2", "mass", 50 * OUNCE_KG),
        ("2.5#", "mass", 40 * OUNCE_KG),
        ("half a kilo", "mass", 0.5),
        ("two pounds", "mass", 32 * OUNCE_KG),
        ("Two and a half pounds", "mass", 40 * OUNCE_KG),
        ("a quarter of a pound", "mass", 4 * OUNCE_KG),
        ("1 1/2-inch", "length", 1.5 * INCH_M),
        ("an inch", "length", INCH_M),
        ("Sea level", "altitude", 0.0),
        ("1.4 kg", "mass", 1.4),
        ("1,4 kg", "mass", 1.4),
        ("1400 g", "mass", 1.4),
        ("2 1/4 in", "length", 2.25 * INCH_M),
        ("2¼ in", "length", 2.25 * INCH_M),
        ('2 1/4"', "length", 2.25 * INCH_M),
        (" 5.5 CM ", "length", 0.055),
        (".5 in", "length", 0.5 * INCH_M),
        ("1½ cups", "volume", 1.5 * CUP_M3),
        ("1 cup 2 tbsp", "volume", 1.125 * CUP_M3),
        ("8 fl oz", "volume", CUP_M3),
        ("350 ml", "volume", 3.5e-4),
        ("40 °F", "temperature", 40 / 9),
        ("-18 C", "temperature", -18.0),
        ("4°", "temperature", 4.0),
        ("1,150 m", "altitude", 1150.0),
        ("3000 ft", "altitude", 914.4),
    ],
)
def test_reads(text: str, quantity: Quantity, value: float) -> None:
    assert parse_measure(text, quantity, "field") == pytest.approx(value, rel=1e-9)


@pytest.mark.parametrize(
    ("text", "quantity", "code"),
    [
        ("", "mass", "empty"),
        ("   ", "mass", "empty"),
        ("3", "mass", "unit_missing"),
        ("3 kg 2", "mass", "unit_missing"),
        ("3 cm", "mass", "unit_unknown"),
        ("3 stone", "mass", "unit_unknown"),
        ("heavy", "mass", "unreadable"),
        ("2 oz 3 lb", "mass", "unreadable"),
        ("1/0 cup", "volume", "unreadable"),
        ("5 kg <script>", "mass", "unreadable"),
        ("4 °C 3 °C", "temperature", "unreadable"),
        ("9" * 61, "mass", "unreadable"),
    ],
)
def test_says_what_is_wrong(text: str, quantity: Quantity, code: str) -> None:
    with pytest.raises(MeasureError) as caught:
        parse_measure(text, quantity, "mass")
    assert caught.value.code == code
    assert caught.value.field == "mass"
    assert caught.value.params["quantity"]


@given(st.text(max_size=70))
def test_never_breaks(text: str) -> None:
    try:
        value = parse_measure(text, "mass", "mass")
    except MeasureError:
        return
    assert isinstance(value, float)


@given(st.floats(0.03, 12.0))
def test_mass_round_trip(mass_kg: float) -> None:
    shown = show_mass(mass_kg)
    assert parse_measure(shown.metric, "mass", "x") == pytest.approx(mass_kg, abs=0.0051)
    assert parse_measure(shown.us, "mass", "x") == pytest.approx(mass_kg, abs=OUNCE_KG / 1.9)


@given(st.floats(0.01, 0.4))
def test_length_round_trip(length_m: float) -> None:
    shown = show_length(length_m)
    assert parse_measure(shown.metric, "length", "x") == pytest.approx(length_m, abs=5.1e-4)
    assert parse_measure(shown.us, "length", "x") == pytest.approx(length_m, abs=INCH_M / 15.9)


def test_shows_as_cooks_read() -> None:
    assert show_mass(50 * OUNCE_KG).us == "3 lb 2 oz"
    assert show_mass(50 * OUNCE_KG).metric == "1.42 kg"
    assert show_mass(0.35).metric == "350 g"
    assert show_length(1.75 * INCH_M).us == "1¾ in"
    assert show_volume(1.5 * CUP_M3).us == "1½ cups"
    assert show_volume(CUP_M3).metric == "240 ml"
    assert show_volume(CUP_M3, at_most=True).metric == "235 ml"
    assert show_volume(CUP_M3 / 8).us == "2 Tbsp"
    assert show_temperature(62.78).us == "145 °F"
    assert show_altitude(914.4).us == "3000 ft"


@pytest.mark.parametrize(
    ("text", "system"),
    [
        ("1¾ in", "us"), ("9in", "us"), ('2"', "us"), ("3 lb 2 oz", "us"), ("40 °F", "us"),
        ("4.5 cm", "metric"), ("1,4 kg", "metric"), ("900g", "metric"), ("4 °C", "metric"),
        ("half a kilo", "metric"), ("two pounds", "us"), ("950", None), ("", None),
        ("frozen", None),
    ],
)  # fmt: skip
def test_knows_which_system_was_typed(text: str, system: str | None) -> None:
    assert typed_system(text) == system
