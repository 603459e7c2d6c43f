"""Convert, as a cook uses it: bring a recipe, answer, cross out, scale, and take it away again."""

import json
import re
from pathlib import Path

import pytest
from playwright.sync_api import Page, Route, expect

from tests.browser.conftest import PHONE, own_alert
from tests.browser.test_other_views import axe_clean
from tests.browser.test_plan import HOLD, field, hold
from tests.browser.words import screen
from tests.recipes.supper import DOUBTED

RECIPE = """Lantern braise <b>bold</b>

Serves 5

Ingredients
1 brisket
2 Tbsp flour
1 l beef stock
100 ml red wine
2 onions
1 cup barbecue sauce

Method
Heat the oven to 150 °C.
Dust the brisket with flour and brown it.
Add stock, wine and onions, cover and braise in the oven for 3 1/2 hours until tender.
Slice <script>alert(1)</script> and brush with the sauce.
"""


def bring(page: Page, text: str) -> None:
    page.goto("/convert")
    page.get_by_label("Paste it, or drop a file here").fill(text)
    page.get_by_role("button", name=screen("convert-read-it")).click()
    expect(page.get_by_test_id("converted-hold")).to_have_text(HOLD)


def test_paste_answer_overrule_scale_export_and_back(
    page: Page, outside: list[str], complaints: list[str], tmp_path: Path
) -> None:
    bring(page, RECIPE)
    expect(page.get_by_role("heading", level=1)).to_have_text("Lantern braise <b>bold</b>")
    questions = page.get_by_test_id("questions")
    expect(questions).to_contain_text("What does the meat weigh?")
    field(page, "weight").fill("3 lb 2 oz")
    field(page, "thickness").fill("1 3/4 in")
    page.get_by_label(screen("convert-cut"), exact=True).select_option("brisket_flat")
    expect(questions).not_to_contain_text("this is assumed")
    first = page.get_by_test_id("converted-hold").inner_text()

    rows = page.get_by_role(
        "list", name=screen("convert-ingredients-with-their-marks")
    ).get_by_role("listitem")
    stock = rows.filter(has_text="1 l beef stock")
    stock.get_by_role("button", name="changed").click()
    expect(page.get_by_test_id("mark-reason")).to_contain_text("Nothing boils away")
    page.get_by_role("button", name=screen("convert-leave-it-unchanged")).click()
    expect(stock).to_contain_text("left unchanged")
    expect(page.get_by_test_id("mark-reason")).to_contain_text("makes the sauce thin")
    expect(page.get_by_test_id("converted-hold")).not_to_have_text(first)
    page.get_by_role("button", name=screen("convert-use-the-change")).click()
    expect(page.get_by_test_id("converted-hold")).to_have_text(first)

    field(page, "servings").fill("10")
    expect(rows.filter(has_text="2 onions")).to_contain_text("4 onions")
    page.reload()  # nothing typed is lost
    expect(field(page, "servings")).to_have_value("10")
    expect(field(page, "weight")).to_have_value("3 lb 2 oz")
    page.get_by_role("tab", name=screen("convert-shopping-list")).click()
    expect(page.get_by_text("onions: 4")).to_be_visible()
    page.get_by_role("tab", name=screen("convert-next")).click()

    with page.expect_download() as saved:
        page.get_by_role("button", name=screen("convert-json-ld")).click()
    file = tmp_path / "out.jsonld"
    saved.value.save_as(file)
    node = json.loads(file.read_text("utf-8"))
    assert node["recipeYield"] == "10 servings"
    page.get_by_role("button", name=screen("convert-save-recipe")).click()
    expect(page.get_by_text(screen("convert-saved"), exact=True)).to_be_visible()

    page.goto("/convert")
    page.locator("input[type=file]").set_input_files(file)
    expect(page.get_by_role("heading", level=1)).to_contain_text("(pressure cooker)")
    expect(
        page.get_by_role("list", name=screen("convert-ingredients-with-their-marks"))
    ).to_contain_text("4 onions")
    assert outside == []
    assert complaints == []


def with_a_doubt(route: Route) -> None:
    """The server's answer, as it is where the mustard of DOUBTED can be read either way."""
    reply = route.fetch()
    done = reply.json()
    if not json.loads(route.request.post_data or "{}")["choices"]["placed"]:
        text = "“1 tsp dry mustard”: with the finish, or after pressure?"
        done["doubts"] = [{"index": 3, "when": "finish", "instead": "after", "text": text}]
    route.fulfill(response=reply, json=done)


def test_a_place_in_doubt_is_answered_with_one_press_and_taken_back(page: Page) -> None:
    page.route("**/api/recipes/convert", with_a_doubt)
    bring(page, DOUBTED)
    doubt = page.get_by_test_id("place-doubt")
    expect(doubt.get_by_role("button").last).to_have_text("after pressure")
    rows = page.get_by_role(
        "list", name=screen("convert-ingredients-with-their-marks")
    ).get_by_role("listitem")
    place = rows.filter(has_text="dry mustard").get_by_role("combobox")
    expect(place).to_have_value("finish")
    axe_clean(page)
    doubt.get_by_role("button").last.click()
    expect(doubt).to_have_count(0)
    expect(place).to_have_value("after")
    page.reload()  # what was said is not lost
    expect(place).to_have_value("after")
    place.select_option(label=screen("convert-as-the-app-reads-it"))
    expect(place).to_have_value("finish")
    expect(doubt).to_have_count(1)
    rows.filter(has_text="1 cup cola").get_by_role("combobox").select_option("beside")
    expect(rows.filter(has_text="water")).to_have_count(1)
    page.unroute_all(behavior="wait")


def test_marks_by_keyboard_and_to_the_bench(page: Page) -> None:
    page.goto("/convert")
    page.get_by_role("link", name="Short ribs for the snowed-in weekend").click()
    expect(page.get_by_test_id("converted-hold")).to_have_text(HOLD)
    marks = page.locator("[data-mark]")
    marks.first.focus()
    expect(page.get_by_test_id("mark-reason")).to_contain_text("Flour on the meat burns")
    page.keyboard.press("ArrowDown")
    expect(page.get_by_test_id("mark-reason")).to_contain_text("scorches on the bottom")
    page.keyboard.press("x")
    expect(marks.nth(1)).to_have_text("left unchanged")
    page.keyboard.press("x")
    expect(marks.nth(1)).to_have_text("moved")
    axe_clean(page)
    shown = page.get_by_test_id("converted-hold").inner_text()
    page.get_by_role("link", name=screen("convert-open-in-plan")).click()
    expect(hold(page)).to_have_text(shown)
    expect(field(page, "thickness")).to_have_value("5 cm")


def test_library_finds_deletes_and_notices_twins(page: Page) -> None:
    page.goto("/convert")
    kept = page.get_by_role("list", name=screen("convert-saved-recipes")).get_by_role("listitem")
    page.get_by_role("button", name="allotment", exact=True).click()
    expect(kept).to_have_count(1)
    page.get_by_role("button", name="delete Allotment smoked brisket").click()
    expect(page.get_by_role("status")).to_contain_text("is deleted")
    page.get_by_role("button", name=screen("convert-undo")).click()
    expect(kept).to_have_count(1)
    page.get_by_role("button", name=screen("convert-show-all")).click()
    page.get_by_label(screen("convert-find")).fill("snowed")
    expect(kept).to_have_count(1)
    kept.get_by_role("link").click()
    original = page.get_by_role("heading", level=1)
    expect(original).to_contain_text("snowed-in")
    steps = page.get_by_role("list", name=screen("convert-steps-for-the-pressure-cooker-2"))
    expect(steps).to_contain_text("Never force it")
    page.goto("/convert")
    expect(kept.first).to_be_visible()
    axe_clean(page)
    page.get_by_label("Paste it, or drop a file here").fill("nothing")
    page.get_by_role("button", name=screen("convert-read-it")).click()
    expect(own_alert(page)).to_contain_text("no recipe in this")
    expect(page.get_by_label("Paste it, or drop a file here")).to_have_value("nothing")


@pytest.mark.parametrize("width", [360, 1024])
def test_worksheet_without_sideways_scroll(page: Page, width: int) -> None:
    page.set_viewport_size({"width": width, "height": PHONE["height"]})
    page.goto("/convert")
    page.get_by_role("link", name=re.compile("Rehearsal-night")).click()
    expect(page.get_by_test_id("converted-hold")).to_have_text(HOLD)
    assert page.evaluate("document.documentElement.scrollWidth") <= width


def test_another_way_on_the_bench(page: Page) -> None:
    page.goto("/plan?cut=brisket_flat&pieces=2&weight=1.4+kg&thickness=4.5+cm")
    expect(hold(page)).to_have_text(HOLD)
    page.get_by_role("tab", name=screen("plan-check-a-recipes-time")).click()
    page.get_by_label(screen("plan-without-the-cooker")).select_option("oven_lid")
    expect(page.get_by_test_id("other-way")).to_contain_text("163 °C")


def test_from_the_recipe_straight_to_the_pot(page: Page) -> None:
    bring(page, RECIPE.replace("2 onions", "7 onions"))
    field(page, "weight").fill("3 lb 2 oz")
    field(page, "thickness").fill("1 3/4 in")
    page.get_by_label(screen("convert-cut"), exact=True).select_option("brisket_flat")
    expect(page.get_by_test_id("questions")).not_to_contain_text("this is assumed")
    page.get_by_role("button", name=screen("shared-start-cooking")).click()
    step = page.get_by_role("article", name=screen("cook-the-step-now"))
    expect(page.get_by_test_id("step")).to_contain_text("Trim, measure")
    # what the recipe says of a step stands at that step, and all of it is at hand
    page.keyboard.press("Space")
    expect(page.get_by_test_id("step")).to_contain_text(re.compile("^Sear "))
    expect(step).to_contain_text("sear the meat")
    page.get_by_text("The recipe: Lantern braise <b>bold</b>").click()
    expect(page.get_by_role("list", name=screen("shared-ingredients"))).to_contain_text("onions")
    axe_clean(page)
    cook = page.url.rpartition("=")[2]
    page.request.post(f"/api/cooks/{cook}/events", data={"key": "over-now", "kind": "ended"})


MESSY = """Home  Recipes  About
Sticky ribs for a crowd
By Ida Marsh
My aunt made this next to a rack of ribs every summer.
Serves 6
Ingredients
2 (2 pound) racks baby back ribs
1 Tbsp smoked paprika
1 cup apple cider
For the glaze
1/3 cup plum jam
Directions
Rub the ribs, wrap in foil with the cider, and bake at 300 for two and a half hours.
Brush the jam on and broil until sticky.
A pinch of patience
12 comments
"""


LOST = """Sunday pork

4 lb pork shoulder
1 onion
1 cup stock

Rub it with salt. Braise at 300 F for 4 hours.
Before serving mix 1/2 cup ketchup with 1/4 cup honey and brush it on.
"""


def test_foods_that_no_line_has_are_told_and_added(page: Page) -> None:
    bring(page, LOST)
    reading = page.get_by_test_id("reading")
    expect(reading).to_contain_text("3 ingredients, 2 steps")
    # it is told without opening anything
    told = page.get_by_text(
        screen("convert-foods-on-no-line", foods="1/2 cup ketchup, 1/4 cup honey")
    )
    expect(told).to_be_visible()
    axe_clean(page)
    page.get_by_role("button", name=screen("convert-add-them")).click()
    expect(reading).to_contain_text("5 ingredients, 2 steps")
    expect(told).to_have_count(0)
    rows = page.get_by_role(
        "list", name=screen("convert-ingredients-with-their-marks")
    ).get_by_role("listitem")
    expect(rows.filter(has_text="ketchup")).to_contain_text("with the finish")
    # what was added may be put otherwise, and is not told again
    reading.click()
    page.get_by_label("line: 1/4 cup honey").fill("1/2 cup honey")
    expect(page.get_by_role("button", name=screen("convert-add-them"))).to_have_count(0)
    page.reload()
    expect(page.get_by_test_id("reading")).to_contain_text("5 ingredients, 2 steps")


@pytest.mark.parametrize("size", [None, PHONE], ids=["desk", "phone"])
def test_lines_are_looked_over_and_put_right(page: Page, size: dict[str, int] | None) -> None:
    if size is not None:
        page.set_viewport_size({"width": size["width"], "height": size["height"]})
    bring(page, MESSY)
    expect(page.get_by_role("heading", level=1)).to_have_text("Sticky ribs for a crowd")
    expect(page.get_by_test_id("credit")).to_have_text("by Ida Marsh")
    reading = page.get_by_test_id("reading")
    expect(reading).to_contain_text("4 ingredients, 2 steps")
    expect(reading).to_contain_text("left out")
    reading.click()
    lines = page.get_by_role("list", name=screen("convert-lines-of-the-recipe"))
    expect(lines.get_by_label("what it is: For the glaze")).to_have_value("part")
    expect(lines.get_by_label("what it is: 12 comments")).to_have_value("out")
    rows = page.get_by_role(
        "list", name=screen("convert-ingredients-with-their-marks")
    ).get_by_role("listitem")
    expect(rows.filter(has_text="plum jam")).to_contain_text("with the finish")
    axe_clean(page)
    # what was left out comes back as a step, and an amount is put right
    lines.get_by_label("what it is: A pinch of patience").select_option(label="step")
    expect(reading).to_contain_text("4 ingredients, 3 steps")
    lines.get_by_label("line: 2 (2 pound) racks baby back ribs").fill("1 (2 pound) rack back ribs")
    expect(field(page, "pieces")).to_have_attribute("placeholder", "1")
    # it is kept over a reload
    page.reload()
    expect(page.get_by_test_id("reading")).to_contain_text("4 ingredients, 3 steps")
