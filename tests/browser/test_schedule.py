"""The Schedule, as a cook uses it: saved plans as dishes, the table moved, a start pinned."""

import re
from datetime import datetime, timedelta
from pathlib import Path

import pytest
from icalendar import Calendar
from playwright.sync_api import Page, expect

from tests.browser.conftest import BRISKET, PHONE, own_alert
from tests.browser.test_other_views import axe_clean
from tests.browser.test_plan import HOLD, hold
from tests.browser.words import screen

TWO = ("Alto section supper", "Allotment working party short ribs")
CLOCK = re.compile(r"\d{1,2}:\d\d\s[AP]M")


def on_the_clock(typed: str) -> re.Pattern[str]:
    """A time as it was typed, on the clock of twelve hours."""
    hour, minute = int(typed[-5:-3]), typed[-2:]
    half = "PM" if hour >= 12 else "AM"
    return re.compile(rf"^{hour % 12 or 12}:{minute}\s{half}$")


def lay(page: Page) -> None:
    page.goto("/schedule")
    for name in TWO:
        page.get_by_label(screen("schedule-add-a-saved-plan")).select_option(label=name)
        expect(page.get_by_role("button", name=f"remove {name}")).to_be_visible()
    expect(page.get_by_test_id("start")).to_have_text(CLOCK)


def table(page: Page) -> datetime:
    return datetime.fromisoformat(page.get_by_label(screen("schedule-serve-at-2")).input_value())


def test_count_back_drag_pin_and_done(
    page: Page, outside: list[str], complaints: list[str], tmp_path: Path
) -> None:
    lay(page)
    tasks = page.get_by_role("list", name=screen("schedule-tasks"))
    expect(tasks).to_contain_text("Check the lid, then lock it")
    # the letters on the lanes are those of the list
    dish = page.get_by_role("region", name=screen("schedule-dishes")).get_by_role("listitem")
    for letter, name in zip("AB", TWO, strict=True):
        expect(dish.filter(has_text=name)).to_contain_text(letter)
        said = page.locator(f'[data-testid="bar-words"][data-dish="{name}"]')
        expect(said.filter(has_text="It cooks")).to_have_text(re.compile(f"^{letter} It cooks"))
    first = page.get_by_test_id("start").inner_text()
    before = table(page)

    page.get_by_role("button", name=screen("schedule-15-minutes-later")).click()
    expect(page.get_by_test_id("start")).not_to_have_text(first)
    assert table(page) - before == timedelta(minutes=15)
    handle = page.get_by_role("slider", name=screen("drawing-serving-time-drag"))
    handle.focus()
    page.keyboard.press("ArrowLeft")
    expect(page.get_by_label(screen("schedule-serve-at-2"))).to_have_value(
        (before + timedelta(minutes=10)).strftime("%Y-%m-%dT%H:%M")
    )
    box = handle.bounding_box()
    assert box is not None
    middle = box["y"] + box["height"] / 2
    page.mouse.move(box["x"] + box["width"] / 2, middle)
    page.mouse.down()
    page.mouse.move(box["x"] - 40, middle, steps=8)
    page.mouse.up()
    expect(page.get_by_test_id("start")).not_to_have_text(first)
    assert table(page) < before

    # a pin stands, and what comes before it follows
    season = tasks.get_by_role("listitem").filter(has_text="season all faces").first
    pin = season.get_by_label(re.compile("^lock start time Trim"))
    early = (table(page) - timedelta(hours=8)).strftime("%Y-%m-%dT%H:%M")
    pin.fill(early)
    expect(page.get_by_test_id("start")).to_have_text(on_the_clock(early))
    page.reload()  # nothing typed is lost
    expect(page.get_by_test_id("start")).to_have_text(on_the_clock(early))

    with page.expect_download() as saved:
        page.get_by_role("button", name=screen("schedule-calendar-file")).click()
    file = tmp_path / "day.ics"
    saved.value.save_as(file)
    events = Calendar.from_ical(file.read_bytes()).walk("VEVENT")
    assert len(events) > 8
    assert any("Is the pin down?" in str(event["summary"]) for event in events)
    axe_clean(page)
    assert outside == []
    assert complaints == []


def test_under_way_and_too_late(page: Page) -> None:
    lay(page)
    later = "new Date(Date.now() + 30 * 60000 - new Date().getTimezoneOffset() * 60000)"
    soon = str(page.evaluate(f"{later}.toISOString().slice(0, 16)"))
    page.get_by_label(screen("schedule-serve-at-2")).fill(soon)
    # nothing that should have begun is planned without a word
    missed = page.get_by_test_id("missed")
    expect(missed).to_contain_text("It should have started")
    missed.get_by_role("button").click()
    expect(page.get_by_role("checkbox", name="I have started")).to_be_checked()
    expect(missed).to_have_count(0)
    expect(page.get_by_test_id("delay")).to_contain_text("later than you wanted")
    page.get_by_role("checkbox", name=screen("schedule-done")).first.click()
    expect(page.get_by_role("checkbox", name=screen("schedule-done")).first).to_be_checked()


def test_from_the_bench_to_the_day_and_on_a_phone(page: Page) -> None:
    page.goto(BRISKET)
    expect(hold(page)).to_have_text(HOLD)
    page.get_by_role("link", name=screen("plan-add-to-schedule")).click()
    expect(page.get_by_role("region", name=screen("schedule-dishes"))).to_contain_text(
        "3 lb 2 oz brisket"  # as it was typed
    )
    page.set_viewport_size({"width": 360, "height": PHONE["height"]})
    expect(page.get_by_role("list", name=screen("schedule-tasks"))).to_contain_text(
        "It cooks under pressure"
    )
    assert page.evaluate("document.documentElement.scrollWidth") <= 360


def test_the_printed_day_is_whole(page: Page) -> None:
    lay(page)
    expect(page.get_by_test_id("card")).to_have_count(2)
    expect(page.get_by_test_id("lane-trace")).to_have_count(2)
    expect(page.get_by_label(screen("schedule-to-buy"))).to_contain_text("Brisket flat: 1.6")
    page.emulate_media(media="print")
    expect(page.get_by_role("list", name=screen("schedule-tasks"))).to_be_visible()
    expect(page.get_by_role("button", name=screen("schedule-calendar-file"))).to_be_hidden()
    # published: A4 at 96 px to the inch is 794 px wide; nothing runs off the sheet
    page.set_viewport_size({"width": 794, "height": 1123})
    assert page.evaluate("document.documentElement.scrollWidth") <= 794
    # every card is a page of its own
    whole = pages(page)
    page.evaluate("document.querySelectorAll('[data-testid=card]').forEach(card => card.remove())")
    assert whole >= pages(page) + 2


def pages(page: Page) -> int:
    return len(re.findall(rb"/Type\s*/Page[^s]", page.pdf(format="A4")))


def test_lanes_are_drawn_where_they_were_computed(page: Page) -> None:
    page.goto("/schedule")
    with page.expect_response("**/api/schedule") as answer:
        page.get_by_label(screen("schedule-add-a-saved-plan")).select_option(label=TWO[0])
    day = answer.value.json()
    expect(page.get_by_test_id("start")).to_have_text(CLOCK)
    run = next(item for item in day["blocks"] if item["block_id"].endswith(":run0"))
    begin = datetime.fromisoformat(run["start"])
    lane = next(lane for lane in run["segments"][-1]["lanes"] if lane.startswith("pot:"))
    bars = page.locator(f'[data-testid=bar][data-lane="{lane}"]')
    expect(bars).to_have_count(len(run["segments"]))
    drawn = [float(bars.nth(index).get_attribute("data-x") or "nan")
             for index in range(len(run["segments"]))]  # fmt: skip
    offsets = [sum(part["likely_s"] for part in run["segments"][:index])
               for index in range(len(run["segments"]))]  # fmt: skip
    # closed form: one scale for all of them, time along
    scale = (drawn[-1] - drawn[0]) / (offsets[-1] - offsets[0])
    for x, offset in zip(drawn, offsets, strict=True):
        assert abs(x - drawn[0] - scale * offset) < 0.05
    assert begin.tzinfo is not None


def test_kept_opened_and_put_away(page: Page) -> None:
    lay(page)
    page.get_by_role("checkbox", name=screen("schedule-with-a-shopping-trip")).click()
    tasks = page.get_by_role("list", name=screen("schedule-tasks"))
    expect(tasks).to_contain_text("Buy what is on the list")
    start = page.get_by_test_id("start").inner_text()
    page.get_by_label(screen("schedule-name")).fill("Rehearsal <b>supper</b>")
    page.get_by_role("button", name=screen("schedule-save-schedule")).click()
    expect(page.get_by_role("status").filter(has_text=screen("schedule-saved"))).to_be_visible()
    page.get_by_role("button", name=screen("schedule-new-schedule")).click()
    expect(tasks).to_be_hidden()
    page.get_by_label(screen("schedule-open-a-saved-schedule")).select_option(
        label="Rehearsal <b>supper</b>"
    )
    expect(page.get_by_test_id("start")).to_have_text(start)
    page.get_by_role("button", name=screen("schedule-delete"), exact=True).click()
    expect(page.get_by_role("status")).to_contain_text("is deleted")
    page.get_by_role("button", name=screen("schedule-undo")).click()
    expect(page.get_by_role("button", name=screen("schedule-save-changes"))).to_be_visible()


def test_night_and_real_times(page: Page) -> None:
    page.goto("/schedule")
    page.get_by_label(screen("schedule-add-a-saved-plan")).select_option(label=TWO[0])
    noon = page.get_by_label(screen("schedule-serve-at-2")).input_value()[:11] + "08:00"
    page.get_by_label(screen("schedule-serve-at-2")).fill(noon)
    tasks = page.get_by_role("list", name=screen("schedule-tasks")).get_by_role("listitem")
    season = tasks.filter(has_text="season all faces").first
    expect(season).to_be_visible()
    # common practice: some three hours and a half of work, hands at both ends of the run; so when
    # nobody is up between eleven and six, all of it comes before
    expect(page.get_by_test_id("night").first).to_be_attached()
    expect(page.get_by_test_id("start")).to_have_text(re.compile(r"^(7|8|9|10):.*PM"))
    page.get_by_role("checkbox", name=screen("schedule-nobody-is-cooking-from")).click()
    expect(page.get_by_test_id("start")).to_have_text(re.compile(r"^[345]:.*AM"))
    season.get_by_role("checkbox", name=screen("schedule-started")).click()
    expect(season.get_by_role("checkbox", name=screen("schedule-started"))).to_be_checked()
    season.get_by_role("checkbox", name=screen("schedule-done")).click()
    expect(season.get_by_label(re.compile("^ended Trim"))).to_be_visible()
    expect(season.get_by_role("checkbox", name=screen("schedule-done"))).to_be_checked()


def test_the_calendar_comes_back(page: Page, tmp_path: Path) -> None:
    lay(page)
    with page.expect_download() as saved:
        page.get_by_role("button", name=screen("schedule-calendar-file")).click()
    file = tmp_path / "day.ics"
    saved.value.save_as(file)
    back = page.get_by_label("Moved in your calendar")
    back.set_input_files(file)
    expect(page.get_by_text("Nothing was moved.")).to_be_visible()
    calendar = Calendar.from_ical(file.read_bytes())
    event = next(item for item in calendar.walk("VEVENT") if "season" in str(item["summary"]))
    begin = event.decoded("dtstart")
    assert isinstance(begin, datetime)
    del event["dtstart"]
    event.add("dtstart", begin - timedelta(hours=5))
    file.write_bytes(calendar.to_ical())
    back.set_input_files(file)
    expect(page.get_by_text("1 moved and locked.")).to_be_visible()
    file.write_text("no calendar at all")
    back.set_input_files(file)
    expect(own_alert(page)).to_contain_text("This is not a calendar file.")


def test_from_the_day_to_the_pot_and_what_is_done_there_is_done_here(page: Page) -> None:
    lay(page)
    page.get_by_role("button", name=f"cook {TWO[0]} now").click()
    expect(page.get_by_test_id("step")).to_contain_text("Trim, measure")
    page.keyboard.press("Space")
    expect(page.get_by_test_id("step")).to_contain_text("Sear in")
    page.get_by_role("link", name=screen("schedule-schedule"), exact=True).click()
    expect(page.get_by_role("link", name=screen("schedule-cooking-now"))).to_be_visible()
    tasks = page.get_by_role("list", name=screen("schedule-tasks")).get_by_role("listitem")
    # of the two dishes, the one that is cooked; which of them stands first is a matter of the hour
    season = tasks.filter(has_text="season all faces")
    over = season.get_by_role("checkbox", name=screen("schedule-done"), checked=True)
    expect(over).to_have_count(1)
    # the run goes on till the end that can be seen by now
    page.get_by_role("checkbox", name="I have started").click()
    runs = tasks.filter(has_text="It cooks under pressure")
    begun = runs.get_by_role("checkbox", name=screen("schedule-started"), checked=True)
    expect(begun).to_have_count(1)
    ended = runs.get_by_role("checkbox", name=screen("schedule-done"), checked=True)
    expect(ended).to_have_count(0)


@pytest.mark.browser_context_args(timezone_id="Europe/Vienna")
def test_an_hour_that_the_clocks_leave_out_is_said(page: Page) -> None:
    """In central Europe summer time begins at 01:00 UTC on March's last Sunday (directive
    2000/84/EC): on 2027-03-28 no clock shows half past two."""
    lay(page)
    told = page.get_by_role("alert").filter(has_text="This time does not exist")
    for typed, times in (("2027-03-28T02:30", 1), ("2027-03-28T03:30", 0)):
        page.get_by_label(screen("schedule-serve-at-2")).fill(typed)
        expect(told).to_have_count(times)


@pytest.mark.browser_context_args(timezone_id="Europe/Vienna")
def test_counting_back_over_the_changed_hour_and_over_midnight(page: Page) -> None:
    """The night of 2027-03-28 is an hour short: by the clock on the wall the same work begins an
    hour earlier than the night before, and both begin on the day before."""
    lay(page)
    starts = []
    for day in ("2027-03-27", "2027-03-28"):
        page.get_by_label(screen("schedule-serve-at-2")).fill(f"{day}T05:00")
        shown = page.get_by_test_id("start")
        before = int(day[-2:]) - 1
        expect(page.locator("p", has=shown)).to_contain_text(f"March {before}")
        expect(page.locator("#main [aria-busy=true]")).to_have_count(0)
        clock = shown.inner_text().replace("\u00a0", " ")
        starts.append(datetime.strptime(f"2027-03-{before} {clock}", "%Y-%m-%d %I:%M %p"))  # noqa: DTZ007 - as on the wall
    assert starts[1] - starts[0] == timedelta(hours=23)
