"""What the Log says of pieces and of two cooks, in either kitchen."""

from collections.abc import Iterator
from contextlib import contextmanager

from pneumachron.core.message import Message
from pneumachron.core.session.compare import CameOut, Difference, KindsIn
from pneumachron.core.session.piece_traces import Against
from pneumachron.core.session.pieces import Beside, Rated
from pneumachron.services.log_words import difference_document, say_against, say_beside
from pneumachron.text.reader import READING, Reader

METRIC, US = Reader("en-US", "metric"), Reader("en-US", "us")


def kind(membrane: str = "unsaid", thickness_m: float = 0.0, number: int = 0) -> Message:
    sized = "yes" if thickness_m else "no"
    return Message(
        "log-kind",
        {"cut": "back_ribs", "membrane": membrane, "sized": sized, "thickness_m": thickness_m,
         "number": number},
    )  # fmt: skip


@contextmanager
def read_by(reader: Reader) -> Iterator[None]:
    token = READING.set(reader)
    try:
        yield
    finally:
        READING.reset(token)


def lines(said: list[str]) -> list[str]:
    return [line.replace("\u00a0", " ") for line in said]


def test_kinds_beside_each_other_in_the_units_of_the_kitchen() -> None:
    told = (Message("log-firmer", {"steps": 1.0}), Message("log-warm_together", {"warm_c": 90.0}))
    against = [Against(kind("on"), kind("off"), told)]
    firmer = (
        "Baby back ribs, membrane on: by the numbers one step firmer than "
        "Baby back ribs, membrane off."
    )
    warm = "Baby back ribs, membrane on: the middle reaches {} together with {}."
    other = "Baby back ribs, membrane off"
    for reader, shown in ((US, "194 °F"), (METRIC, "90 °C")):
        with read_by(reader):
            assert lines(say_against(against)) == [firmer, warm.format(shown, other)]


def test_sized_kinds_are_told_in_the_units_of_the_kitchen() -> None:
    names = KindsIn((kind(thickness_m=0.06), kind(thickness_m=0.035, number=2)), (2, 1))
    item = Difference("differs-pieces", names, names)
    for reader, shown in (
        (US, "2 × Baby back ribs, 2⅜ in; 1 × Baby back ribs, 1⅜ in (2)"),
        (METRIC, "2 × Baby back ribs, 6 cm; 1 × Baby back ribs, 3.5 cm (2)"),
    ):
        with read_by(reader):
            assert lines([difference_document(item)["first"]]) == [shown]


def test_rated_pieces_beside_the_first() -> None:
    first = Rated(0, 1, "membrane on")
    softer = (
        Message("apart-texture", {"way": "more", "steps": 1}),
        Message("apart-juicy", {"way": "less", "steps": 2}),
        Message("apart-taste", {"way": "same", "steps": 0}),
    )
    firmer = (
        Message("apart-texture", {"way": "less", "steps": 2}),
        Message("apart-juicy", {"way": "same", "steps": 0}),
    )
    items = [
        Beside(first, Rated(0, 2, "membrane off"), softer),
        Beside(first, Rated(0, 3), firmer),
        Beside(first, Rated(5, 4), ()),
    ]
    with read_by(US):
        assert say_beside(items, [kind()]) == [
            "Baby back ribs 2 (membrane off), beside Baby back ribs 1 (membrane on): "
            "one step softer, drier by 2, and taste the same.",
            "Baby back ribs 3, beside Baby back ribs 1 (membrane on): 2 steps firmer and as juicy.",
            "Baby back ribs 4 and Baby back ribs 1 (membrane on) were not rated alike, "
            "so nothing can be said.",
        ]


def test_how_two_cooks_came_out() -> None:
    names = (kind("off"), kind("on"))
    unlike = CameOut(names, "ribs", ((Rated(0), "very"), (Rated(1), "tender")))
    alike = CameOut(names, "ribs", ((Rated(0), "very"), (Rated(1), "very")))
    nobody = CameOut(names, "ribs", ())
    with read_by(METRIC):
        assert difference_document(Difference("differs-came_out", unlike, alike)) == {
            "about": "Came out",
            "first": "Baby back ribs, membrane off: very tender; "
            "Baby back ribs, membrane on: tender on the bone",
            "then": "very tender",
        }
        said = difference_document(Difference("differs-came_out", nobody, alike))
        assert said["first"] == "not rated"
