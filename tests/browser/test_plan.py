"""Plan, as cooks use it."""

import re
from pathlib import Path
from typing import Any

import pytest
from playwright.sync_api import Locator, Page, expect

from tests import some
from tests.browser.conftest import BRISKET, DESK, PHONE, own_alert
from tests.browser.words import screen
from tests.live import serving

HOLD = re.compile(r"^\d+\smin$")
HOLD_ANYWHERE = re.compile(r"\d+\smin")


LABELS = """() => [...document.querySelectorAll('[data-testid=trace], [data-testid=pot-section]')]
  .flatMap(svg => {
    const sheet = svg.getBoundingClientRect();
    const found = [...svg.querySelectorAll('text')]
      .map(text => [text.textContent, text.getBoundingClientRect()]);
    const cut = found.filter(([, box]) => box.left < sheet.left - 1 || box.right > sheet.right + 1)
      .map(([words]) => `cut off: ${words}`);
    const hits = found.flatMap(([words, a], i) => found.slice(i + 1)
      .filter(([, b]) => Math.min(a.right, b.right) - Math.max(a.left, b.left) > 1
        && Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top) > 3)
      .map(([others]) => `${words} on ${others}`));
    return [...cut, ...hits];
  })"""
SPREAD = [
    "/plan?cut=back_ribs&pieces=3&weight=3.0+kg&thickness=2.6+cm&pot=bass&release=timed&texture=falls",
    "/plan?cut=back_ribs&pieces=2&weight=2.4+kg&thickness=2.3+cm&pot=bass&liquid-style=bath&release=timed",
    "/plan?cut=back_ribs&pieces=1&weight=1.1+kg&thickness=3+cm&sections=3",
    "/plan?cut=back_ribs&pieces=2&weight=2.2+kg&thickness=3+cm&sections=3&liquid-style=bath"
    "&release=keep_warm",
    "/plan?cut=brisket_point&pieces=2&weight=2.4+kg&thickness=5.7+cm&release=timed&texture=chewy",
    "/plan?cut=short_ribs_english&pieces=12&weight=1.9+kg&thickness=3.7+cm&liquid-style=bath&release=quick",
    "/plan?cut=short_ribs_english&pieces=22&weight=2.2+kg&thickness=4.5+cm&release=soak",
    "/plan?cut=flanken&pieces=9&weight=1.7+kg&thickness=1.3+cm&liquid-style=steam&release=natural",
    "/plan?cut=wings&pieces=18&weight=1.1+kg&thickness=2.1+cm&pot=bass&release=quick&texture=chewy",
    "/plan?cut=wings&pieces=24&weight=1.8+kg&thickness=2.7+cm&rack=basket",
    "/plan?cut=shoulder_boneless&pieces=1&weight=3+kg&thickness=11.5+cm&texture=falls",
    "/plan?cut=shoulder_boneless&pieces=4&weight=1.8+kg&thickness=5+cm&rack=bed",
    "/plan?cut=brisket_flat&pieces=1&weight=0.7+kg&thickness=4.7+cm&liquid-style=steam&release=timed",
    "/plan?cut=brisket_flat&pieces=1&weight=0.7+kg&thickness=4.7+cm&start=frozen",
    "/plan?cut=back_ribs&pieces=4&weight=4+kg&thickness=2.6+cm&pot=tenor",
    "/plan?cut=brisket_flat&pieces=2&weight=1.3+kg&thickness=4.5+cm&also=back_ribs"
    "&also-pieces=3&also-weight=0.3+kg&also-thickness=2.5+cm&pot=bass",
    "/plan?cut=brisket_flat&pieces=2&weight=1.4+kg&thickness=4.5+cm&liquid-style=bath"
    "&level=low&release=quick",
    "/plan?cut=rib_pieces&pieces=20&weight=1+kg&thickness=2.5+cm&pot=tenor&release=soak&minutes=60",
    "/plan?cut=picnic_bone_in&pieces=1&weight=2.6+kg&thickness=11+cm&pot=bass&texture=falls&rack=bed",
    "/plan?cut=spare_ribs&pieces=1&weight=1.5+kg&thickness=3.5+cm&liquid-style=bath"
    "&release=keep_warm&minutes=90",
]
TWO_RUNS = SPREAD[14:15]


def hold(page: Page) -> Locator:
    return page.get_by_test_id("hold")


def minutes(page: Page) -> int:
    expect(hold(page)).to_have_text(HOLD)
    return int(hold(page).inner_text().split()[0])


def field(page: Page, label: str) -> Locator:
    return page.get_by_label(label, exact=True)


def fill_in(page: Page) -> None:
    page.goto("/plan")
    page.get_by_role("button", name=screen("plan-start-with-your-own")).click()
    page.get_by_role("radio", name="brisket").click()
    field(page, "weight").fill("3 lb 2 oz")
    field(page, "pieces").fill("2")
    field(page, "thickness").fill("1 3/4 in")
    expect(page.get_by_text("4.4 cm", exact=True)).to_be_visible()  # its answer has come


def test_type_read_drag_save_find(page: Page, outside: list[str], complaints: list[str]) -> None:
    fill_in(page)
    first = minutes(page)
    assert 60 < first < 130
    expect(
        page.get_by_text(screen("plan-1-42-kg"))
    ).to_be_visible()  # the kitchen's own unit, beside it
    expect(page.get_by_test_id("range")).to_contain_text("likely range")
    expect(page.get_by_test_id("total")).to_have_text(re.compile(r"\d h"))
    expect(page.get_by_role("list", name=screen("plan-reasons"))).to_contain_text(
        "0.5 cm more adds"
    )

    thumb = page.get_by_role("slider", name=screen("plan-thickness-drag"))
    box = thumb.bounding_box()
    assert box is not None
    page.mouse.move(box["x"] + box["width"] / 2, box["y"] + box["height"] / 2)
    page.mouse.down()
    page.mouse.move(box["x"] + 30, box["y"] + 5, steps=8)
    page.mouse.up()
    expect(field(page, "thickness")).not_to_have_value("1 3/4 in")
    expect(hold(page)).not_to_have_text(f"{first} min")
    assert minutes(page) > first

    page.get_by_role("button", name=screen("plan-save-plan")).click()
    page.get_by_label(screen("plan-name")).fill("Thursday <b>brisket</b>")
    page.get_by_label(screen("plan-cook"), exact=True).select_option(label="Wilhelmina Thrupp")
    page.get_by_role("button", name=screen("plan-save"), exact=True).click()
    stored = page.get_by_test_id("stored")
    expect(stored).to_contain_text("Thursday <b>brisket</b>")
    kept = minutes(page)
    page.reload()
    assert minutes(page) == kept
    expect(stored).to_contain_text(f"cook time of {kept}")

    page.get_by_role("link", name=screen("plan-saved-plans")).click()
    page.get_by_label(screen("log-find")).fill("brisket thurs")
    found = page.get_by_role("list", name=screen("saved-saved-plans-2")).get_by_role("listitem")
    expect(found).to_have_count(1)
    expect(found).to_contain_text("Wilhelmina Thrupp")
    page.get_by_role("button", name="Thursday <b>brisket</b>", exact=True).click()
    assert minutes(page) == kept
    assert outside == []
    assert complaints == []


def test_by_keyboard_alone(page: Page) -> None:
    page.goto("/plan")
    page.get_by_role("button", name=screen("plan-start-with-your-own")).press("Enter")
    page.get_by_role("radio", name="brisket").focus()
    page.keyboard.press("ArrowRight", delay=60)  # as long as a finger rests on a key
    expect(page.get_by_role("radio", name="short ribs")).to_be_checked()
    page.keyboard.press("ArrowRight", delay=60)
    expect(page.get_by_role("radio", name="shoulder")).to_be_checked()
    for text in ("4 lb", "2", "7 cm"):
        page.keyboard.press("Tab")
        while page.evaluate("document.activeElement.tagName") != "INPUT":
            page.keyboard.press("Tab")
        page.keyboard.press("Control+a")
        page.keyboard.type(text)
    expect(page.get_by_text("2 of 907 g")).to_be_visible()
    expect(page.locator("#main [aria-busy=true]")).to_have_count(0)  # 7 cm is answered
    before = minutes(page)
    page.get_by_role("slider", name=screen("plan-thickness-drag")).focus()
    page.keyboard.press("ArrowRight")
    page.keyboard.press("PageUp")
    expect(field(page, "thickness")).to_have_value("8.1 cm")
    expect(hold(page)).not_to_have_text(f"{before} min")
    assert minutes(page) > before
    page.get_by_role("radio", name=re.compile("fork-tender")).focus()
    page.keyboard.press("Space")
    expect(page.get_by_test_id("reached")).to_have_text("fork-tender")
    page.get_by_role("button", name=screen("plan-save-plan")).focus()
    page.keyboard.press("Enter")
    expect(page.get_by_label(screen("plan-name"))).to_be_focused()
    page.keyboard.type("By keyboard")
    page.keyboard.press("Enter")
    expect(page.get_by_test_id("stored")).to_contain_text("By keyboard")


NINE = BRISKET.replace("pieces=2", "pieces=9")
TROUBLES = (
    (BRISKET, "thickness", "9 in", "4⅞"),
    (BRISKET, "thickness", "two fingers", "is not a unit"),
    (BRISKET, "weight", "3", "has no unit"),
    (BRISKET, "pieces", "0", "1 to 150"),
    (BRISKET, "from", "-1.5 °C", "neither thawed nor frozen"),
    (BRISKET, "liquid", "1 Tbsp", "minimum liquid"),
    (BRISKET, "liquid", "6 l", "max fill line"),
    (NINE, "weight", "9 kg", "batches"),
)
"""Where it is typed, what, and what is said of it."""


@pytest.mark.parametrize("plan", [BRISKET, NINE], ids=["two", "nine"])
def test_trouble_stands_at_its_field(page: Page, plan: str) -> None:
    page.goto(plan)
    expect(hold(page)).to_have_text(HOLD)
    before = hold(page).inner_text()
    last = {label: text for where, label, text, _ in TROUBLES if where == plan}
    for where, label, text, message in TROUBLES:
        if where != plan:
            continue
        typed = field(page, label).input_value()
        field(page, label).fill(text)
        trouble = own_alert(page)
        expect(trouble).to_have_count(1)
        expect(trouble).to_contain_text(message)
        described = field(page, label).get_attribute("aria-describedby")
        assert trouble.get_attribute("id") == described
        expect(hold(page)).to_have_text(before)  # the last answer stays, marked as such
        expect(page.get_by_text(screen("plan-this-is-for-your-last-valid"))).to_be_visible()
        if last[label] == text:
            page.reload()
            expect(field(page, label)).to_have_value(text)  # nothing typed is lost
            expect(own_alert(page)).to_contain_text(message)
        field(page, label).fill(typed)
        expect(own_alert(page)).to_have_count(0)
        expect(hold(page)).to_have_text(before)


def test_choices_change_the_answer_and_back_undoes(page: Page) -> None:
    page.goto(BRISKET)
    natural = minutes(page)
    page.get_by_label(screen("plan-release"), exact=True).select_option("quick")
    expect(page.get_by_test_id("release-minutes")).to_contain_text("release")
    assert minutes(page) > natural
    page.get_by_label(screen("plan-liquid-style")).select_option("steam")
    expect(page.get_by_label(screen("plan-trivet"), exact=True)).to_have_value("trivet")
    page.go_back()
    page.go_back()
    expect(hold(page)).to_have_text(f"{natural} min")


def test_what_changes_if_is_taken_over(page: Page) -> None:
    page.goto(BRISKET)
    before = minutes(page)
    page.get_by_role("tab", name=screen("plan-what-if")).click()
    table = page.get_by_role("table", name="what if")
    row = table.get_by_role("row").filter(has_text=re.compile("open the valve at once[^,]"))
    expect(row).to_contain_text(HOLD_ANYWHERE)
    promised = row.get_by_role("cell").nth(1).inner_text()
    expect(table.get_by_role("row").filter(has_text="halved")).to_contain_text(HOLD_ANYWHERE)
    row.get_by_role("button").click()
    expect(page.get_by_label(screen("plan-release"), exact=True)).to_have_value("quick")
    expect(hold(page)).to_have_text(promised)
    page.go_back()
    expect(hold(page)).to_have_text(f"{before} min")


def test_weight_alone_gives_a_guess_and_says_so(page: Page) -> None:
    page.goto("/plan?cut=back_ribs&pieces=1&weight=1.1+kg")
    expect(page.get_by_test_id("range")).to_contain_text("8 of 10 kitchens")
    expect(page.get_by_test_id("range")).to_contain_text("thickness guessed")
    expect(page.get_by_role("list", name=screen("plan-cautions"))).to_contain_text(
        "thickness is a guess"
    )
    field(page, "thickness").fill("3 cm")
    expect(page.get_by_test_id("range")).not_to_contain_text("guessed")
    expect(page.get_by_role("list", name=screen("plan-cautions"))).not_to_contain_text("a guess")


def test_ribs_have_a_membrane_and_brisket_has_not(page: Page) -> None:
    page.goto("/plan?cut=back_ribs&pieces=1&weight=2+lb+4+oz&thickness=3+cm")
    without = minutes(page)
    page.get_by_role("switch").click()
    expect(page.get_by_text(screen("shared-membrane-on"))).to_be_visible()
    expect(hold(page)).not_to_have_text(f"{without} min")
    assert minutes(page) > without
    page.get_by_role("radio", name="brisket").click()
    expect(page.get_by_role("switch")).to_have_count(0)


def test_what_is_drawn_is_what_was_computed(page: Page) -> None:
    with page.expect_response("**/api/plan") as answer:
        page.goto(BRISKET)
    plan: dict[str, Any] = answer.value.json()
    expect(hold(page)).to_have_text(HOLD)
    scale, base = 1500, 288  # drawing units per metre, and the line of the base
    surface = page.get_by_test_id("liquid").locator("rect").first
    top = float(surface.get_attribute("y") or "nan")
    assert base - top == pytest.approx(scale * plan["liquid"]["level_m"], abs=0.01)
    most = float(page.get_by_test_id("line-most").get_attribute("data-y") or "nan")
    assert base - most == pytest.approx(scale * plan["pot"]["max_level_m"], abs=0.01)
    spans, placed = plan["arrangement"]["section"], plan["arrangement"]["placed"]
    drawn = page.get_by_test_id("piece")
    assert drawn.count() == len(spans) == 2
    for index, span in enumerate(spans):
        box = drawn.nth(index).locator("rect").first
        left, width, bottom, height = (
            float(box.get_attribute(name) or "nan") for name in ("x", "width", "y", "height")
        )
        assert left - 246 == pytest.approx(scale * span["left_m"], abs=0.01)
        assert width == pytest.approx(scale * (span["right_m"] - span["left_m"]), abs=0.01)
        piece = placed[span["placed"]]
        assert height == pytest.approx(scale * piece["height_m"], abs=0.01)
        assert base - bottom - height == pytest.approx(scale * piece["bottom_m"], abs=0.01)
    ending = float(page.get_by_test_id("line-ending").get_attribute("data-y") or "nan")
    assert base - ending == pytest.approx(scale * plan["ending"]["level_m"], abs=0.01)
    page.get_by_role("radio", name=screen("plan-top")).click()
    assert page.get_by_test_id("piece-top").count() == len(placed)


def test_whole_plan_without_scrolling(page: Page) -> None:
    for path in (
        BRISKET,
        "/plan?cut=back_ribs&pieces=2&weight=2+kg&thickness=3+cm&liquid-style=bath&release=quick",
    ):
        page.goto(path)
        expect(hold(page)).to_have_text(HOLD)
        page.evaluate("document.fonts.ready.then(() => true)")
        sizes = page.evaluate(
            """() => [document.documentElement, ...document.querySelectorAll('section')]
              .map(e => [e.scrollWidth - e.clientWidth, e.scrollHeight - e.clientHeight])"""
        )
        assert all(wide <= 0 and tall <= 0 for wide, tall in sizes), sizes


@pytest.mark.parametrize("size", [DESK, PHONE], ids=["desk", "phone"])
def test_no_label_is_cut_off_or_on_another(page: Page, size: dict[str, int]) -> None:
    page.set_viewport_size({"width": size["width"], "height": size["height"]})
    for path in some(SPREAD, 2, first=size == PHONE):
        page.goto(path)
        if path in TWO_RUNS:
            page.get_by_test_id("fix").get_by_role("button").click()
        expect(hold(page)).to_have_text(HOLD)
        page.evaluate("document.fonts.ready.then(() => true)")
        assert page.evaluate(LABELS) == [], path


@pytest.mark.parametrize("width", some([360, 390, 768, 1024], 2))
def test_no_sideways_scroll(page: Page, width: int) -> None:
    page.set_viewport_size({"width": width, "height": PHONE["height"]})
    for path in (BRISKET, "/", "/convert", "/plan/saved", "/kitchen", "/guide"):
        page.goto(path)
        page.wait_for_load_state("networkidle")
        assert page.evaluate("document.documentElement.scrollWidth") <= width


def test_a_lost_server_is_said_and_nothing_is_lost(page: Page, tmp_path: Path) -> None:
    with serving(tmp_path, demo=True) as address:
        page.goto(address + BRISKET)
        expect(hold(page)).to_have_text(HOLD)
        before = hold(page).inner_text()
    field(page, "thickness").fill("2 in")
    # the bar says it, or the plan, or both
    said = page.get_by_role("alert").filter(has_text="does not answer")
    expect(said.first).to_be_visible(timeout=15_000)
    expect(field(page, "thickness")).to_have_value("2 in")
    expect(hold(page)).to_have_text(before)
    port = int(address.rsplit(":", maxsplit=1)[1])
    with serving(tmp_path, demo=True, port=port):
        page.goto(f"{address}/")  # the draft comes back without its address
        expect(field(page, "thickness")).to_have_value("2 in")
        expect(hold(page)).not_to_have_text(before)


COUNT = """
  window.most = 0;
  let flying = 0;
  const ask = window.fetch;
  window.fetch = async (...asked) => {
    if (!(asked[0] instanceof Request) || !asked[0].url.endsWith('/api/plan')) return ask(...asked);
    flying += 1;
    window.most = Math.max(window.most, flying);
    try { return await ask(...asked); } finally { flying -= 1; }
  };
"""


def test_a_drag_keeps_one_question_on_its_way_and_answers_the_last(page: Page) -> None:
    failed: list[str] = []
    page.on("requestfailed", lambda request: failed.append(request.url))
    page.add_init_script(COUNT)
    page.goto("/plan?cut=brisket_flat&pieces=2&weight=1.4+kg&thickness=4.5+cm")
    expect(page.get_by_test_id("hold")).to_be_visible()
    thumb = page.get_by_label(screen("plan-thickness-drag")).bounding_box()
    assert thumb is not None
    x, y = thumb["x"] + thumb["width"] / 2, thumb["y"] + thumb["height"] / 2
    page.mouse.move(x, y)
    page.mouse.down()
    for step in range(60):
        page.mouse.move(x + step % 30, y)
    page.mouse.move(x + 20, y)
    page.mouse.up()
    expect(page.locator("[aria-busy=true]")).to_have_count(0)
    thickness = page.get_by_label(screen("plan-thickness"), exact=True).input_value()
    assert thickness != "4.5 cm"
    shown = page.get_by_test_id("hold").get_attribute("data-thickness-mm")
    assert shown is not None
    assert int(shown) == round(10 * float(thickness.removesuffix(" cm")))
    assert page.evaluate("window.most") == 1
    assert failed == []


def test_each_edit_is_undone_and_done_again(page: Page) -> None:
    page.goto(BRISKET)
    expect(hold(page)).to_have_text(HOLD)
    undo = page.get_by_role("button", name=screen("shared-undo"))
    redo = page.get_by_role("button", name=screen("shared-redo"))
    expect(undo).to_be_disabled()
    field(page, "weight").press_sequentially(" ")
    field(page, "weight").fill("4 lb")
    field(page, "thickness").fill("2 in")
    page.get_by_label(screen("plan-release"), exact=True).select_option("quick")
    expect(redo).to_be_disabled()
    undo.click()
    expect(page.get_by_label(screen("plan-release"), exact=True)).to_have_value("natural")
    expect(field(page, "thickness")).to_have_value("2 in")
    undo.click()
    expect(field(page, "thickness")).to_have_value("1 3/4 in")
    expect(field(page, "weight")).to_have_value("4 lb")
    undo.click()
    expect(field(page, "weight")).to_have_value("3 lb 2 oz")
    expect(undo).to_be_disabled()
    redo.click()
    redo.click()
    expect(field(page, "thickness")).to_have_value("2 in")
    expect(redo).to_be_enabled()
