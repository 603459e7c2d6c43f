"""The rest of Plan, My kitchen and Guide, driven as a cook drives them."""

import json
import re
from pathlib import Path

from playwright.sync_api import Page, expect

from tests.browser.conftest import BRISKET, own_alert
from tests.browser.test_other_views import axe_clean
from tests.browser.test_plan import HOLD, field, hold, minutes
from tests.browser.words import screen

MOST_ACTIONS, MOST_KEYS = 12, 20


class Counted:
    """A page whose actions are counted: each click, each field typed into, each key pressed."""

    def __init__(self, page: Page) -> None:
        self.page, self.actions, self.keys = page, 0, 0

    def click(self, role: str, name: str) -> None:
        self.actions += 1
        self.page.locator(f"[role={role}]", has_text=name).first.click()

    def fill(self, label: str, text: str) -> None:
        self.actions += 2  # click into it, type
        field(self.page, label).fill(text)

    def press(self, key: str, times: int = 1) -> None:
        self.keys += times
        for _ in range(times):
            self.page.keyboard.press(key, delay=40)

    def type(self, text: str) -> None:
        self.page.keyboard.type(text)


def test_a_right_plan_in_few_actions_by_mouse(page: Page) -> None:
    page.goto("/plan")
    cook = Counted(page)
    page.get_by_role("button", name=screen("plan-start-with-your-own")).click()
    cook.actions += 1
    cook.click("radio", "brisket")
    cook.fill("weight", "3 lb 2 oz")
    cook.fill("pieces", "2")
    cook.fill("thickness", "1 3/4 in")
    expect(page.get_by_text("4.4 cm", exact=True)).to_be_visible()
    expect(hold(page)).to_have_text(HOLD)
    assert cook.actions <= MOST_ACTIONS


def test_a_right_plan_in_few_keys(page: Page) -> None:
    # keys other than the measures themselves, which have to be typed in any case
    page.goto("/plan")
    page.get_by_role("button", name=screen("plan-start-with-your-own")).press("Enter")
    expect(page.get_by_role("radio", name="brisket")).to_be_visible()
    cook = Counted(page)
    cook.keys += 1
    for _ in range(MOST_KEYS):
        cook.press("Tab")
        if page.evaluate("document.activeElement.getAttribute('role')") == "radio":
            break
    cook.press("Tab")
    cook.type("3 lb 2 oz")
    cook.press("Tab")
    page.keyboard.press("Control+a")
    cook.type("2")
    cook.press("Tab", 2)
    cook.type("1 3/4 in")
    expect(field(page, "weight")).to_have_value("3 lb 2 oz")
    expect(field(page, "pieces")).to_have_value("2")
    expect(field(page, "thickness")).to_have_value("1 3/4 in")
    expect(hold(page)).to_have_text(HOLD)
    assert cook.keys <= MOST_KEYS


def test_the_liquid_line_is_dragged_stepped_and_typed(page: Page) -> None:
    page.goto(BRISKET)
    before = minutes(page)
    line = page.get_by_role("slider", name=screen("drawing-liquid-line-drag"))
    box = line.bounding_box()
    assert box is not None
    middle = box["x"] + box["width"] / 2
    page.mouse.move(middle, box["y"] + box["height"] / 2)
    page.mouse.down()
    page.mouse.move(middle, box["y"] - 40, steps=10)
    page.mouse.up()
    expect(field(page, "liquid")).to_have_value(re.compile(r"^\d+00 ml$|^\d+50 ml$"))
    expect(hold(page)).not_to_have_text(f"{before} min")
    assert minutes(page) < before  # more liquid, slower release, shorter hold
    poured = field(page, "liquid").input_value()
    line.focus()
    page.keyboard.press("ArrowDown")
    expect(field(page, "liquid")).not_to_have_value(poured)
    page.keyboard.press("Home")
    expect(field(page, "liquid")).to_have_value("250 ml")
    page.go_back()
    expect(field(page, "liquid")).not_to_have_value("250 ml")


def test_ready_by_says_what_makes_it(page: Page) -> None:
    page.goto(BRISKET)
    expect(hold(page)).to_have_text(HOLD)
    page.get_by_role("tab", name=screen("plan-ready-by")).click()
    soon = page.evaluate("new Date(Date.now() + 200 * 60000).toTimeString().slice(0, 5)")
    page.get_by_label(screen("plan-serve-at")).fill(soon)
    ways = page.get_by_role("table", name=screen("plan-ways-to-be-ready")).get_by_role("row")
    expect(ways.first).to_contain_text("to spare")
    expect(ways.first).to_contain_text("as it is")
    axe_clean(page)


def test_around_and_when_it_goes_wrong(page: Page) -> None:
    page.goto(BRISKET)
    expect(hold(page)).to_have_text(HOLD)
    page.get_by_label(screen("plan-finish-2")).select_option("grill")
    page.get_by_role("tab", name=screen("plan-prep-and-serving")).click()
    expect(page.get_by_text("Salt:")).to_be_visible()
    page.get_by_label(screen("plan-marinade")).select_option("fruit_enzymes")
    expect(page.get_by_text("Marinade:")).to_be_visible()
    expect(page.get_by_text("look after")).to_be_visible()
    page.get_by_role("tab", name=screen("plan-not-done")).click()
    field(page, "or thermometer").fill("70 °C")
    expect(page.get_by_test_id("opened")).to_contain_text("Cook it longer.")
    page.get_by_label("opened after").select_option("holds")
    expect(page.get_by_test_id("opened")).to_contain_text("Cook it longer.")
    page.get_by_label(screen("plan-minutes-after-lid-on")).fill("10")
    page.get_by_label(screen("plan-minutes-ago")).fill("200")
    expect(page.get_by_test_id("stopped")).to_contain_text("Throw it away")
    axe_clean(page)


def test_a_second_kind_in_the_pot(page: Page) -> None:
    page.goto("/plan?cut=brisket_flat&pieces=1&weight=0.8+kg&thickness=5+cm&also=brisket_flat")
    piece = page.get_by_role("region", name=screen("plan-your-meat"))
    piece.get_by_label(screen("plan-weight"), exact=True).nth(1).fill("0.4 kg")
    piece.get_by_label(screen("plan-thickness"), exact=True).nth(1).fill("3 cm")
    expect(page.get_by_role("list", name=screen("plan-cautions"))).to_contain_text(
        "thickest piece sets"
    )
    page.reload()
    expect(page.get_by_role("list", name=screen("plan-cautions"))).to_contain_text(
        "thickest piece sets"
    )


def test_the_trace_is_read_and_laid_over(page: Page) -> None:
    page.goto(BRISKET)
    expect(hold(page)).to_have_text(HOLD)
    reader = page.get_by_role("slider", name=screen("drawing-a-moment-of-the-cook"))
    reader.focus()
    page.keyboard.press("End")
    expect(page.get_by_test_id("reading")).to_contain_text("lid off")
    page.keyboard.press("Home")
    expect(page.get_by_test_id("reading")).to_contain_text("0:00 coming to pressure: 0")
    expect(reader).to_have_attribute("aria-valuetext", re.compile("center 4.°C"))
    page.get_by_label(screen("plan-compare-other-releases")).click()
    expect(page.get_by_test_id("trace-other")).to_have_count(2)
    expect(page.get_by_role("list", name=screen("plan-other-releases"))).to_contain_text(
        "quick release"
    )


def test_two_plans_on_one_sheet(page: Page) -> None:
    page.goto("/plan/saved")
    ticks = page.get_by_role("checkbox", name=screen("log-compare"))
    ticks.nth(0).click()
    ticks.nth(1).click()
    sheet = page.get_by_role("region", name=screen("saved-two-plans-compared"))
    expect(sheet.get_by_test_id("trace-other")).to_have_count(1)
    expect(
        sheet.get_by_role("row").filter(has_text=screen("plan-total-time-lid-on-to-lid"))
    ).to_be_visible()
    axe_clean(page)
    page.get_by_role("button", name=screen("saved-close")).click()
    page.get_by_role("button", name=re.compile("^copy ")).first.click()
    expect(hold(page)).to_have_text(HOLD)
    expect(page.get_by_role("button", name=screen("plan-save-plan"))).to_be_visible()


def test_own_pot_and_boil_test(page: Page) -> None:
    page.goto("/kitchen")
    page.get_by_role("button", name=screen("kitchen-add-your-own-cooker")).click()
    axe_clean(page)
    for label, text in (
        ("What do you call it?", "The bell-ringers' pot"),
        ("Size on its label", "6 l"),
        ("Watts on its label", "900"),
        ("Inside, wall to wall", "12 cm"),
        ("Inside, bottom to rim", "15.5 cm"),
    ):
        page.get_by_label(label).fill(text)
    page.get_by_role("button", name=screen("kitchen-add-cooker")).click()
    expect(own_alert(page)).to_contain_text("Measure again")
    page.get_by_label(screen("kitchen-inside-wall-to-wall")).fill("22 cm")
    page.get_by_role("button", name=screen("kitchen-add-cooker")).click()
    card = page.get_by_role("listitem").filter(has_text="The bell-ringers' pot")
    expect(card).to_contain_text("900 W")
    card.get_by_text(screen("kitchen-boil-test"), exact=True).click()
    card.get_by_label("minutes for a liter").fill("20")
    card.get_by_role("button", name=screen("kitchen-save-boil-test")).click()
    expect(card).to_contain_text("% of its label")
    page.get_by_role("link", name=screen("plan-plan"), exact=True).click()
    page.goto(BRISKET)
    page.get_by_role("combobox", name=screen("plan-in-the-cooker")).select_option(
        label="The bell-ringers' pot"
    )
    expect(page.get_by_role("list", name=screen("plan-reasons"))).to_contain_text("boil test")
    page.goto("/kitchen")
    page.get_by_role("button", name="remove The bell-ringers' pot").click()
    expect(page.get_by_role("status")).to_contain_text("is removed")


def test_a_copy_is_read_back_after_a_dry_run(page: Page, tmp_path: Path) -> None:
    page.goto("/kitchen")
    with page.expect_download() as saved:
        page.get_by_role("link", name=screen("kitchen-download-backup")).click()
    file = tmp_path / "copy.json"
    saved.value.save_as(file)
    content = json.loads(file.read_text())
    content["people"].append({"person_id": "0f3d0000-0000-4000-8000-000000000001", "name": "Ruan"})
    file.write_text(json.dumps(content))
    page.get_by_label(screen("kitchen-restore-a-backup")).set_input_files(file)
    report = page.get_by_test_id("restore")
    expect(report).to_contain_text("would change")
    expect(report).to_contain_text("people: 1 new")
    page.get_by_role("button", name=screen("kitchen-restore"), exact=True).click()
    expect(report).to_contain_text("Done")
    page.get_by_label(screen("kitchen-restore-a-backup")).set_input_files(
        {"name": "x.json", "mimeType": "application/json", "buffer": b"<script>"}
    )
    expect(own_alert(page)).to_contain_text("cannot be read")


def test_guide_uses_the_cooks_own_plan(page: Page) -> None:
    page.goto(BRISKET)
    expect(hold(page)).to_have_text(HOLD)
    page.get_by_role("link", name=screen("plan-how-the-number-is-made")).click()
    expect(page.get_by_role("heading", name=screen("plan-how-the-number-is-made"))).to_be_visible()
    expect(page.get_by_text("Your last plan")).to_be_visible()
    expect(page.get_by_text("Thickness matters most")).to_be_visible()
    page.goto("/guide#cautions")
    expect(page.get_by_role("heading", name="Cautions")).to_be_in_viewport()


def test_what_does_not_fit_is_mended_by_a_button(page: Page) -> None:
    page.goto("/plan?cut=brisket_flat&pieces=6&weight=4+kg&thickness=4.5+cm")
    expect(page.get_by_test_id("fix")).to_contain_text("batches of")
    page.get_by_role("button", name="Cook in 2 batches").click()
    expect(hold(page)).to_have_text(HOLD)
    expect(field(page, "pieces")).to_have_value("6")
    expect(page.get_by_test_id("batches")).to_contain_text("2 batches")
    expect(page.get_by_test_id("pieces")).to_contain_text("serves 16 to 18")
    page.goto("/plan?cut=brisket_flat&pieces=1&weight=2.6+kg&thickness=4.5+cm")
    page.get_by_role("button", name="Cut each piece across into 2").click()
    expect(page.get_by_label(screen("plan-how-each-piece-is-cut"))).to_have_value("across:2")
    expect(page.get_by_test_id("piece")).to_have_count(2)
    expect(page.get_by_test_id("fix")).to_have_count(0)


def test_the_knife_makes_the_pieces(page: Page) -> None:
    page.goto("/plan?cut=brisket_flat&pieces=1&weight=3+lb+5+oz&thickness=1+3/4+in")
    expect(hold(page)).to_have_text(HOLD)
    page.get_by_label(screen("plan-how-each-piece-is-cut")).select_option("lengthwise:2")
    expect(page.get_by_test_id("pieces")).to_contain_text("2 of 751 g")
    expect(page.get_by_test_id("piece")).to_have_count(2)
    expect(field(page, "thickness")).to_have_value("1 3/4 in")  # as it was typed
    page.get_by_label(screen("plan-how-each-piece-is-cut")).select_option("cubes")
    field(page, "cubes of").fill("2 in")
    expect(page.get_by_test_id("pieces")).to_contain_text("5 × 5 × 4.4 cm")
    page.reload()
    expect(field(page, "cubes of")).to_have_value("2 in")
    field(page, "cubes of").fill("9 in")
    expect(own_alert(page)).to_contain_text("Cubes of")


def test_own_minutes_say_what_to_expect(page: Page) -> None:
    page.goto(BRISKET)
    expect(hold(page)).to_have_text(HOLD)
    usual = hold(page).inner_text()
    page.get_by_role("button", name=screen("plan-use-my-own-time")).click()
    field(page, "my own time").fill("40")
    expect(hold(page)).to_have_text("40 min")
    expected = page.get_by_test_id("expected")
    expect(expected).to_contain_text("With your own time, expect")
    expect(expected).to_contain_text("The chance of")
    expect(page.get_by_test_id("range")).to_contain_text(f"The plan would set {usual}")
    expect(page.get_by_label("cook time 40 min, likely range")).to_be_visible()
    field(page, "my own time").fill("9000")
    expect(own_alert(page)).to_contain_text("0 to 720")
    field(page, "my own time").fill("")
    expect(hold(page)).to_have_text(usual)


def test_flanken_asks_which_habit_is_meant(page: Page) -> None:
    page.goto("/plan?cut=flanken&pieces=6&weight=1+kg&thickness=1.3+cm")
    expect(page.get_by_test_id("habits")).to_contain_text("Which do you want?")
    page.get_by_role("button", name="Warmed for 2 min, then crisped").click()
    expect(hold(page)).to_have_text("2 min")
    expect(page.get_by_test_id("habits")).to_have_count(0)
    expect(page.get_by_test_id("expected")).to_contain_text("only warmed through")
    expect(page.get_by_label(screen("plan-finish-2"))).to_have_value("broiler")


def test_unlike_pieces_in_two_cycles(page: Page) -> None:
    page.goto(
        "/plan?cut=back_ribs&pieces=1&weight=0.9+kg&thickness=2+cm"
        "&also=spare_ribs_trimmed&also-pieces=1&also-weight=1.1+kg&also-thickness=3.5+cm"
    )
    page.get_by_role("tab", name=screen("plan-what-if")).click()
    early = page.get_by_test_id("early-out")
    expect(early).to_contain_text("open after")
    expect(early).to_contain_text("back ribs, 2 cm")


def test_plates_give_a_weight(page: Page) -> None:
    page.goto("/plan?cut=brisket_flat&pieces=2&thickness=4.5+cm")
    field(page, "to serve").fill("6")
    expect(page.get_by_text("Buy 1.71 kg")).to_be_visible()
    page.get_by_role("button", name=screen("plan-use-it")).click()
    expect(field(page, "weight")).to_have_value("1.71 kg")
    expect(page.get_by_role("checkbox", name="weighed as bought")).to_be_checked()


def test_taste_of_the_household_moves_the_texture(page: Page) -> None:
    page.goto("/kitchen")
    page.get_by_role("radio", name=screen("kitchen-one-step-softer")).click()
    with page.expect_response("**/api/household"):
        page.get_by_role("button", name=screen("plan-save"), exact=True).click()
    page.goto(BRISKET)
    expect(hold(page)).to_have_text(HOLD)
    expect(page.get_by_role("radio", name="pulls apart")).to_be_checked()
    page.goto("/kitchen")
    page.get_by_role("radio", name=screen("plan-usual")).click()
    with page.expect_response("**/api/household"):
        page.get_by_role("button", name=screen("plan-save"), exact=True).click()


def test_each_number_says_why_beside_it(page: Page) -> None:
    page.goto(BRISKET)
    expect(hold(page)).to_have_text(HOLD)
    for number, words in (
        ("cook time", "Thickness matters most"),
        ("range", "8 of 10"),
        ("liquid", "ml"),
        ("release", "keeps"),
        ("total", "coming to pressure: "),
    ):
        page.get_by_role("button", name=f"why this {number}", exact=True).click()
        beside = page.get_by_role("dialog", name=f"why this {number}")
        expect(beside).to_contain_text(words)
        page.keyboard.press("Escape")
        expect(beside).to_have_count(0)
    page.get_by_role("button", name="why this cook time").click()
    axe_clean(page)


def test_a_line_is_taken_over_by_one_key(page: Page) -> None:
    page.goto(BRISKET)
    page.get_by_role("tab", name=screen("plan-what-if")).click()
    table = page.get_by_role("table", name="what if")
    line = table.get_by_role("row").filter(has_text=re.compile(r"^1"))
    expect(line).to_contain_text(re.compile(r"\d+\smin"))
    promised = line.get_by_role("cell").nth(1).inner_text()
    field(page, "weight").focus()
    page.keyboard.press("1")  # a focused control keeps its keys
    expect(field(page, "weight")).to_have_value("3 lb 2 oz1")
    page.keyboard.press("Backspace")
    line.get_by_role("button").focus()
    page.keyboard.press("1")
    expect(hold(page)).to_have_text(promised)


def test_keys_are_shown_and_can_be_switched_off(page: Page) -> None:
    page.goto(BRISKET)
    expect(hold(page)).to_have_text(HOLD)
    page.keyboard.press("v")
    expect(page.get_by_role("radio", name=screen("plan-top"))).to_be_checked()
    page.keyboard.press("?")
    sheet = page.get_by_role("dialog", name=screen("app-keys"))
    expect(sheet).to_contain_text("save the plan")
    sheet.get_by_role("checkbox", name=screen("app-single-keys-work")).click()
    sheet.get_by_role("button", name=screen("ui-close")).click()
    expect(sheet).to_have_count(0)
    page.get_by_role("heading", name=screen("plan-your-meat")).click()
    page.keyboard.press("v")
    page.keyboard.press("s")
    expect(page.get_by_role("radio", name=screen("plan-top"))).to_be_checked()
    expect(page.get_by_role("dialog")).to_have_count(0)


def test_rarer_choices_are_on_the_bench(page: Page) -> None:
    page.goto(BRISKET)
    before = minutes(page)
    page.get_by_label(screen("plan-pressure-2"), exact=True).select_option("own")
    field(page, "own pressure").fill("100 kPa")
    expect(page.locator("p:not(.sr-only)").filter(has_text="at 100 kPa")).to_be_visible()
    assert minutes(page) < before
    spoken = page.locator("p.sr-only").filter(has_text="at 100 kPa")
    expect(spoken).to_contain_text(f"{minutes(page)}")
    field(page, "own pressure").fill("400 kPa")
    expect(own_alert(page)).to_contain_text("outside what this can plan")
    field(page, "own pressure").fill("100 kPa")
    page.get_by_text(screen("plan-more-shape-sauce-a-second-cut")).click()
    field(page, "length").fill("40 cm")
    field(page, "width").fill("30 cm")
    expect(own_alert(page)).to_contain_text("weighs about")
    field(page, "length").fill("")
    field(page, "width").fill("")
    expect(own_alert(page)).to_have_count(0)
    single = minutes(page)
    page.get_by_label(screen("plan-arrangement")).select_option(label="partly on each other")
    expect(hold(page)).not_to_have_text(f"{single} min")
    assert minutes(page) > single  # little heat gets between them
    page.reload()
    expect(page.get_by_label(screen("plan-arrangement"))).to_have_value("stacked")
    page.get_by_role("checkbox", name="keep pieces apart").click()


def test_sauce_sides_and_the_minutes_of_a_recipe(page: Page) -> None:
    page.goto(BRISKET)
    expect(hold(page)).to_have_text(HOLD)
    page.get_by_role("tab", name=screen("plan-sauce-and-sides")).click()
    expect(page.get_by_test_id("sauce")).to_contain_text("Skim the fat")
    field(page, "liquid left in the pot").fill("1 l")
    expect(page.get_by_test_id("sauce")).to_contain_text("leave 500 ml")
    expect(page.get_by_role("table", name=screen("plan-sides"))).to_contain_text("cook separately")
    axe_clean(page)
    page.get_by_role("tab", name=screen("plan-check-a-recipes-time")).click()
    field(page, "minutes").fill("20")
    expect(page.get_by_test_id("given")).to_contain_text(
        re.compile("20.min here would make it chewy")
    )
    field(page, "recipe’s pressure").fill("100 kPa")
    expect(page.get_by_test_id("given")).to_contain_text(re.compile("20.min are"))


HOLD_SHAPE = re.compile(r"^\d+\smin$")


def test_the_scale_moves_weight_and_plan(page: Page) -> None:
    page.goto("/plan?cut=shoulder_boneless&weight=1+kg")
    expect(hold(page)).to_have_text(HOLD_SHAPE)
    before = minutes(page)
    page.get_by_role("button", name=screen("plan-weigh-it-on-the-scale")).click()
    expect(page.get_by_role("button", name=screen("plan-use-this-weight"))).to_be_disabled()
    page.get_by_label(screen("plan-what-lies-on-the-simulated-scale")).fill("2.4 kg")
    page.get_by_role("button", name=screen("plan-put-it-on")).click()
    # it settles; until then it may not be taken
    expect(page.get_by_text("steady")).to_be_visible()
    expect(page.get_by_test_id("scale-shows")).to_have_text(re.compile(r"^2\.[34]\d* kg$"))
    expect(field(page, "weight")).to_have_value(re.compile(r"^2\.[34]\d* kg$"))
    page.get_by_label(screen("plan-what-lies-on-the-simulated-scale")).fill("2.4 in")
    page.get_by_role("button", name=screen("plan-put-it-on")).click()
    expect(
        page.get_by_role("region", name=screen("plan-the-scale")).get_by_role("alert")
    ).to_be_visible()
    axe_clean(page)
    page.get_by_role("button", name=screen("plan-use-this-weight")).click()
    expect(page.get_by_test_id("scale-shows")).to_have_count(0)
    # common practice: a heavier block of shoulder is a thicker one, and wants longer
    expect(hold(page)).not_to_have_text(f"{before} min")
    assert minutes(page) > before


def test_a_bare_number_takes_the_unit_in_use(page: Page) -> None:
    page.goto("/plan?cut=brisket_flat&pieces=1&weight=1.4+kg&thickness=4.5+cm")
    expect(hold(page)).to_have_text(HOLD)
    field(page, "thickness").fill("4")
    expect(page.get_by_role("alert").filter(has_text="has no unit")).to_contain_text("has no unit")
    field(page, "weight").fill("1,2")
    expect(field(page, "thickness")).to_have_value("4 cm")
    field(page, "thickness").focus()
    expect(field(page, "weight")).to_have_value("1,2 kg")
    expect(hold(page)).to_have_text(HOLD)
