"""Dinners through the whole app: Plan, Schedule and Cook show the same steps, as long as there.

What is compared is read back from the pages, not from the model.
"""

import re

import pytest
from playwright.sync_api import Page, expect

from tests import only_deep, some
from tests.browser.words import screen

DINNERS = {
    # sections of three bones, half a cup and more, 15 minutes and a wait, on the grill
    "ribs with a wait": "cut=back_ribs&pieces=1&weight=1+kg&thickness=2.8+cm&release=timed"
    "&minutes=10&finish=grill",
    # brisket halves, opened at once, left in the liquid for half an hour
    "brisket in its liquid": "cut=brisket_flat&pieces=2&weight=3+lb+2+oz&thickness=1+3/4+in"
    "&release=soak&minutes=30&finish=broiler",
    # single ribs, then simmered to a glaze in the open cooker
    "single ribs to a glaze": "cut=rib_pieces&pieces=10&weight=1+kg&thickness=2+cm&release=quick"
    "&boil=10&finish=none",
    # wings in a basket, opened at once, crisped
    "wings, crisped": "cut=wings&pieces=24&weight=1.2+kg&thickness=3+cm&rack=basket"
    "&release=quick&finish=broiler",
    # single ribs, ten minutes in their glaze in the open cooker
    "single ribs, glazed in the cooker": "cut=rib_pieces&pieces=10&weight=1+kg&thickness=2+cm"
    "&release=quick&finish=glaze",
    # chunks pulled apart and crisped in a pan
    "shoulder, crisped in a pan": "cut=shoulder_boneless&pieces=6&weight=1.8+kg&thickness=6+cm"
    "&release=timed&minutes=15&finish=pan",
    "flanken for four": "cut=flanken&pieces=8&weight=1.2+kg&thickness=1.5+cm&release=quick"
    "&finish=broiler",
    # a cooker so full that it has to calm down before it is opened
    "full, and opened": "cut=shoulder_boneless&pieces=8&weight=3.6+kg&thickness=6+cm"
    "&liquid-style=bath&release=quick&texture=falls",
    # sections that were not thawed: a frozen rack does not coil
    "sections from the freezer": "cut=back_ribs&pieces=1&weight=1+kg&thickness=2.2+cm"
    "&start=frozen&cut-as=sections:3&release=timed&minutes=10&finish=broiler",
    # on potatoes or onions, with a thick sauce on top, pulled
    "brisket on a bed, shredded": "cut=brisket_flat&pieces=2&weight=1.3+kg&thickness=4+cm"
    "&rack=bed&texture=falls&release=natural&finish=none&sauce=200+ml&sauce-on=top",
    "short ribs, criss-cross": "cut=short_ribs_boneless&pieces=6&weight=1.3+kg&thickness=4+cm"
    "&lying=criss_cross&release=natural&finish=pan",
    # coiled, the membrane on, opened at once
    "membrane on": "cut=back_ribs&pieces=1&weight=1.1+kg&thickness=2.5+cm&membrane=on"
    "&lying=coiled&release=quick&finish=grill",
    "shoulder kept warm": "cut=shoulder_boneless&pieces=2&weight=1.6+kg&thickness=6+cm"
    "&texture=falls&release=keep_warm&minutes=45",
}
USUALLY = frozenset({"ribs with a wait", "single ribs to a glaze", "sections from the freezer"})
"""Opened after a wait, with a boil, from frozen; all others come with `--deep`. Steps of Plan, Cook
and Schedule are compared for many more dinners in `tests/core/test_law.py`."""
NOT_IN_SCHEDULE = ("Spare time", "Trim, measure")
"""Slack of the day alone; and seasoning, which is a stretch of its own there."""


def minutes_of(text: str) -> int:
    """`1 h 23 min`, `83 min`, `2.5 h` as minutes."""
    hours = re.search(r"([\d.]+)\s*h", text)
    minutes = re.search(r"(\d+)\s*min", text)
    return round(60 * float(hours[1]) if hours else 0) + (int(minutes[1]) if minutes else 0)


def plain(text: str) -> str:
    return " ".join(text.replace("\u00a0", " ").split())


def steps_of_plan(page: Page, address: str, first: str = "Trim, measure") -> list[tuple[str, int]]:
    page.goto(f"/plan?{address}")
    page.get_by_role("tab", name=screen("plan-steps")).click()
    rows = page.get_by_role("list", name=screen("plan-steps-2")).get_by_role("listitem")
    expect(rows.first).to_contain_text(first)
    found = []
    for row in rows.all():
        spans = row.locator("> span")
        title = plain(spans.nth(1).inner_text().split("\n")[0])
        found.append((title, minutes_of(spans.nth(2).inner_text())))
    return found


def steps_of_schedule(page: Page) -> dict[str, int]:
    tasks = page.get_by_role("list", name=screen("schedule-tasks"))
    expect(tasks).to_contain_text("It cooks under pressure")
    expect(page.locator("#main [aria-busy=true]")).to_have_count(0)
    day = {}
    for row in tasks.get_by_role("listitem").locator("li").all():
        text = plain(row.inner_text())
        title = re.sub(r"^\d{1,2}:\d\d [AP]M ", "", text)
        told = re.search(r"^(.*) ([\d.]+ (?:min|h))(?:;.*)?$", title)
        assert told is not None, text
        day[told[1]] = minutes_of(told[2])
    return day


def done(page: Page, following: str) -> None:
    """The step shown is done; time that is still counted is cut short knowingly."""
    for tick in (
        page.get_by_role("list", name=screen("cook-to-confirm")).get_by_role("button").all()
    ):
        tick.click()
        expect(tick).to_be_disabled()
    page.get_by_role("button", name="; next:").first.click()
    early = page.get_by_role("button", name=screen("cook-go-on-now"))
    title = page.get_by_test_id("step").filter(has_text=following)
    expect(early.or_(title).first).to_be_visible()
    if early.is_visible():
        early.click()
    expect(title).to_be_visible()


@pytest.mark.parametrize(
    "dinner", [pytest.param(name, marks=() if name in USUALLY else only_deep) for name in DINNERS]
)
def test_every_view_tells_the_same_cook(page: Page, dinner: str) -> None:
    plan = steps_of_plan(page, DINNERS[dinner])

    page.get_by_text(screen("plan-add-to-schedule")).first.click()
    day = steps_of_schedule(page)
    for title, length in plan:
        assert title in day, (title, day)
        assert abs(day[title] - length) <= max(1, 0.06 * length), title  # `2.5 h` is rounded
    assert {title for title in day if not title.startswith(NOT_IN_SCHEDULE)} == {
        title for title, _ in plan if not title.startswith(NOT_IN_SCHEDULE)
    }

    page.goto(f"/plan?{DINNERS[dinner]}")
    page.get_by_role("button", name=screen("cook-start-cooking")).click()
    page.wait_for_url("**/cook?cook=*")
    step = page.get_by_test_id("step")
    expect(step).to_have_text(plan[0][0])
    for number, (words, _) in enumerate(plan):
        expect(step).to_have_text(words)
        done(page, plan[number + 1][0] if number + 1 < len(plan) else "How was it?")


@pytest.mark.parametrize(
    ("dinner", "finish"),
    [
        pytest.param("ribs with a wait", "Finish on the grill", marks=only_deep),
        ("brisket in its liquid", "Finish close under the broiler"),
    ],
)
def test_made_the_day_before(page: Page, dinner: str, finish: str) -> None:
    """Cooked, cooled and chilled in the evening; the finish that was chosen comes on the day."""
    page.goto(f"/plan?{DINNERS[dinner]}")
    page.get_by_text(screen("plan-add-to-schedule")).first.click()
    page.get_by_label(re.compile("^cooked")).last.select_option("day_before")
    expect(page.get_by_role("list", name=screen("schedule-tasks"))).to_contain_text("ice water")
    day = steps_of_schedule(page)
    assert any(title.startswith(finish) for title in day)
    assert day["Chill meat and juice overnight, covered, in the refrigerator"] == 480
    page.get_by_role("button", name=re.compile("^cook .* now$")).last.click()
    page.wait_for_url("**/cook?cook=*")
    cook = page.request.get(f"/api/cooks/{page.url.split('=')[1]}").json()
    told = {plain(step["title"]): round(step["likely_s"] / 60) for step in cook["steps"]}
    assert set(told) - {"How was it?"} == {
        title for title in day if not title.startswith("Spare time")
    }
    # published: 57 to 21 °C within 2 h, to 5 °C within 6 h in all (FDA Food Code 3-501.14)
    ice = next(length for title, length in told.items() if "ice water" in title)
    assert ice <= 6 * 60


def test_marinated_overnight_and_thickened(page: Page) -> None:
    """What is chosen in the Schedule is a lane there, and a step in Cook, as long as there."""
    page.goto(f"/plan?{DINNERS['flanken for four']}")
    page.get_by_text(screen("plan-add-to-schedule")).first.click()
    page.get_by_role("combobox", name=screen("schedule-marinade")).last.select_option("mild")
    page.get_by_role("combobox", name=screen("schedule-juice")).last.select_option("thick")
    page.get_by_role("checkbox", name=screen("schedule-rub-on-overnight")).last.click()
    expect(page.get_by_role("list", name=screen("schedule-tasks"))).to_contain_text("cornstarch")
    day = steps_of_schedule(page)
    page.get_by_role("button", name=re.compile("^cook .* now$")).last.click()
    page.wait_for_url("**/cook?cook=*")
    cook = page.request.get(f"/api/cooks/{page.url.split('=')[1]}").json()
    told = {plain(step["title"]): round(step["likely_s"] / 60) for step in cook["steps"]}
    cold = [title for title in told if "in the refrigerator" in title]
    assert [title.split(",")[0].split()[0] for title in cold] == ["Leave", "Marinate"]
    starch = next(title for title in told if "cornstarch" in title)
    for title in (*cold, starch):
        assert abs(day[title] - told[title]) <= 3, title
    step = page.get_by_test_id("step")
    expect(step).to_contain_text("Trim")
    done(page, cold[0])
    done(page, cold[1])


BATCHES = {
    "cut=shoulder_boneless&pieces=3&weight=6+kg&thickness=9+cm&batches=3&texture=falls": 3,
    # a whole brisket parted into flat and point
    "cut=brisket_whole&pieces=1&weight=5.5+kg&thickness=8+cm&cut-as=parted&pot=bass": 3,
}


@pytest.mark.parametrize("dinner", some(BATCHES, 2))
def test_batches_are_the_same_steps_again(page: Page, dinner: str) -> None:
    """Batches one after the other in Plan, Schedule and Cook, each with all its steps."""
    plan = steps_of_plan(page, dinner, first="Separate" if "parted" in dinner else "Trim, measure")
    page.get_by_text(screen("plan-add-to-schedule")).first.click()
    steps_of_schedule(page)
    tasks = page.get_by_role("list", name=screen("schedule-tasks"))
    day = []
    for row in tasks.get_by_role("listitem").locator("li").all():
        text = re.sub(r"^\d{1,2}:\d\d [AP]M ", "", plain(row.inner_text()))
        told = re.search(r"^(.*) ([\d.]+ (?:min|h))(?:;.*)?$", text)
        assert told is not None, text
        if not told[1].startswith(NOT_IN_SCHEDULE):
            day.append((told[1], minutes_of(told[2])))
    wanted = [item for item in plan if not item[0].startswith(NOT_IN_SCHEDULE)]
    assert sorted(title for title, _ in day) == sorted(title for title, _ in wanted)
    assert [title for title, _ in day].count("It cooks under pressure; nothing to do") == BATCHES[
        dinner
    ]
    for one, other in zip(sorted(day), sorted(wanted), strict=True):
        assert one[1] == pytest.approx(other[1], abs=max(1, 0.06 * other[1])), one
    page.get_by_role("button", name=re.compile("^cook .* now$")).last.click()
    page.wait_for_url("**/cook?cook=*")
    cook = page.request.get(f"/api/cooks/{page.url.split('=')[1]}").json()
    titles = [plain(step["title"]) for step in cook["steps"]]
    last = "How was it?"
    assert [title for title in titles if title != last] == [t for t, _ in plan if t != last]


@only_deep
def test_a_thin_rack_comes_out_first(page: Page) -> None:
    """Chosen in What if; both runs of the cooker in Plan, Schedule and Cook, to the log."""
    unlike = ("cut=back_ribs&pieces=1&weight=0.9+kg&thickness=20+mm&also=spare_ribs_trimmed"
              "&also-pieces=1&also-weight=1.1+kg&also-thickness=35+mm&finish=grill")  # fmt: skip
    page.goto(f"/plan?{unlike}")
    page.get_by_role("tab", name=screen("plan-what-if")).click()
    page.get_by_role("button", name=screen("plan-cook-it-in-two-steps")).click()
    expect(page.get_by_test_id("two-steps")).to_be_visible()
    # what is drawn below goes through both, and says so
    expect(page.get_by_text("both steps, first lid on to last lid off")).to_be_visible()
    plan = steps_of_plan(page, page.url.partition("?")[2])
    titles = [title for title, _ in plan]
    out = next(index for index, title in enumerate(titles) if title.startswith("Take out what is"))
    hold = "It cooks under pressure; nothing to do"
    assert titles.count(hold) == 2
    assert titles.index(hold) < out < titles.index(hold, out)
    assert 0 < plan[titles.index(hold, out)][1] < plan[titles.index(hold)][1]

    page.get_by_text(screen("plan-add-to-schedule")).first.click()
    day = steps_of_schedule(page)
    assert {title for title in day if not title.startswith(NOT_IN_SCHEDULE)} == {
        title for title in titles if not title.startswith(NOT_IN_SCHEDULE)
    }
    page.get_by_role("button", name=re.compile("^cook .* now$")).last.click()
    page.wait_for_url("**/cook?cook=*")
    step = page.get_by_test_id("step")
    for number, words in enumerate(titles):
        expect(step).to_have_text(words)
        done(page, titles[number + 1] if number + 1 < len(titles) else "How was it?")
    cook = page.request.get(f"/api/cooks/{page.url.split('=')[1]}").json()
    assert [plain(item["title"]) for item in cook["steps"]][:-1] == titles
    assert cook["name"] == "0.9 kg baby back ribs and 1.1 kg St. Louis-style ribs"


STOVE = {
    "name": "The vestry pot", "volume": "6 l", "diameter": "22 cm", "height": "16.5 cm",
    "power_w": 1500, "least_liquid": "250 ml", "high": "15 psi", "stovetop": True,
}  # fmt: skip


@pytest.mark.parametrize("servings", [pytest.param(2, marks=only_deep), 12])
def test_for_two_and_for_twelve_in_the_mountains_in_a_small_cooker(
    page: Page, servings: int
) -> None:
    """At 2,000 m: the weight for so many, as many batches as it takes, shopping for all of them."""
    page.goto("/plan")
    home = page.request.get("/api/household").json()
    usual = {
        "name": home["name"], "start": f"{home['start_temp_c']} °C", "units": home["units"],
        "altitude": f"{home['altitude_m']} m",
    }  # fmt: skip
    made = page.request.post("/api/pots", data={"ready_id": "treble"})
    assert made.ok, made.text()
    pot_id = made.json()["id"]
    try:
        high = page.request.put("/api/household", data=usual | {"altitude": "2000 m"})
        assert high.ok, high.text()
        _cook_for(page, servings, pot_id)
    finally:  # other tests count the cookers of this kitchen, and cook where it is
        page.request.put("/api/household", data=usual)
        page.request.delete(f"/api/pots/{pot_id}")


def _cook_for(page: Page, servings: int, pot_id: str) -> None:
    pieces = 1 if servings == 2 else 4
    cut = f"cut=shoulder_boneless&pieces={pieces}&weight=1+kg&thickness=6+cm&texture=falls"
    page.goto(f"/plan?{cut}&release=natural&finish=none&pot={pot_id}")
    page.get_by_label(screen("plan-to-serve")).fill(str(servings))
    page.get_by_role("button", name=screen("plan-use-it")).click()
    expect(page.locator("#main [aria-busy=true]")).to_have_count(0)
    batches = 1
    if servings > 2:
        page.get_by_test_id("fix").get_by_role("button").click()
        expect(page.get_by_test_id("batches")).to_contain_text("batches")
        batches = int(re.findall(r"\d+", page.get_by_test_id("batches").inner_text())[0])
        assert batches > 1
    page.get_by_text(screen("plan-add-to-schedule")).first.click()
    card = page.get_by_test_id("card")
    least, most = (
        int(number) for number in re.findall(r"for (\d+) to (\d+) servings", card.inner_text())[0]
    )
    assert least <= servings <= most
    day = steps_of_schedule(page)
    # what is bought is what is cooked, trimmed
    bought = page.get_by_role("heading", name=screen("schedule-shopping-list")).locator("..")
    number, unit = re.findall(r"([\d.]+)\s(k?g)", bought.inner_text())[0]
    kilograms = float(number) / (1 if unit == "kg" else 1000)
    # common practice: 200 to 350 g of raw boneless shoulder a plate
    assert 0.2 * servings <= kilograms <= 0.35 * servings
    page.get_by_role("button", name=re.compile("^cook .* now$")).last.click()
    page.wait_for_url("**/cook?cook=*")
    cook = page.request.get(f"/api/cooks/{page.url.split('=')[1]}").json()
    runs = [step for step in cook["steps"] if step["kind"] == "hold"]
    assert len(runs) == batches
    assert {plain(step["title"]) for step in cook["steps"]} - {"How was it?"} == {
        title for title in day if not title.startswith("Spare time")
    }


def test_three_dishes_and_guests_who_are_late(page: Page) -> None:
    """One of them is under way beside its cooker: what waits is a step there, and dinner later."""
    for dinner in ("shoulder kept warm", "flanken for four", "ribs with a wait"):
        page.goto(f"/plan?{DINNERS[dinner]}&pot={'bass' if dinner[0] == 'f' else 'tenor'}")
        page.get_by_text(screen("plan-add-to-schedule")).first.click()
    steps_of_schedule(page)
    cooks = page.get_by_role("button", name=re.compile("^cook .* now$"))
    expect(cooks).to_have_count(3)
    cooks.first.click()
    page.wait_for_url("**/cook?cook=*")
    cook_id = page.url.split("=")[1]
    before = page.request.get(f"/api/cooks/{cook_id}").json()
    page.go_back()
    page.get_by_label(screen("schedule-guests-are-late-by")).select_option("45")
    late = page.get_by_role("region", name=screen("schedule-guests-are-late"))
    expect(late.get_by_role("listitem")).to_have_count(3)
    # nothing of it is hot yet: the raw meat goes back into the refrigerator
    expect(late.get_by_role("listitem").first).to_contain_text("begin 45")
    late.get_by_role("button").click()
    expect(late.get_by_role("listitem")).to_have_count(0)
    after = page.request.get(f"/api/cooks/{cook_id}").json()
    more = [step for step in after["steps"] if step["step_id"] == "late1"]
    assert [step["likely_s"] for step in more] == [2700]
    assert len(after["steps"]) == len(before["steps"]) + 1
    page.goto(f"/cook?cook={cook_id}")
    step = page.get_by_test_id("step")
    done(page, "The guests are late")
    expect(step).to_contain_text("Put the raw meat back into the refrigerator for 45")


def test_on_the_stove(page: Page) -> None:
    """Ribs at 15 psi on a flame: nobody is told to press a button, in no view."""
    page.goto("/plan")
    made = page.request.post("/api/pots/own", data=STOVE)
    assert made.ok, made.text()
    pot_id = made.json()["id"]
    try:
        _cook_on_the_stove(page, pot_id)
    finally:  # other tests count the cookers of this kitchen
        page.request.delete(f"/api/pots/{pot_id}")


def _cook_on_the_stove(page: Page, pot_id: str) -> None:
    address = f"{DINNERS['flanken for four']}&release=natural&pot={pot_id}"
    plan = steps_of_plan(page, address.replace("&release=quick", ""))
    titles = [title for title, _ in plan]
    assert any(title.startswith("Put it over high heat") for title in titles)
    assert "Turn the heat down until the weight just jiggles, and keep it there" in titles
    assert "Take it off the heat and let the pressure fall: natural release" in titles
    assert not [title for title in titles if title.startswith(("Set ", "Switch off"))]
    page.get_by_text(screen("plan-add-to-schedule")).first.click()
    tasks = page.get_by_role("list", name=screen("schedule-tasks"))
    expect(tasks).to_contain_text("Turn the heat down until the weight just jiggles")
    expect(tasks).not_to_contain_text("It cooks under pressure")
    page.get_by_role("button", name=re.compile("^cook .* now$")).last.click()
    page.wait_for_url("**/cook?cook=*")
    cook = page.request.get(f"/api/cooks/{page.url.split('=')[1]}").json()
    told = {plain(step["title"]): step["likely_s"] / 60 for step in cook["steps"]}
    for title, length in plan:
        assert told[title] == pytest.approx(length, abs=max(1, 0.06 * length)), title


def test_the_cooks_own_searing_and_steps(page: Page) -> None:
    """Searing as the cook wants it, honey at the end, what is left in portions: told alike."""
    page.goto("/plan?cut=short_ribs_english&pieces=6&weight=1.6+kg&thickness=4.5+cm")
    page.get_by_text(screen("plan-add-to-schedule")).first.click()
    page.get_by_label(screen("schedule-sear-min-a-batch")).last.fill("6")
    page.get_by_label(screen("schedule-batches"), exact=True).last.fill("3")
    page.get_by_label(screen("schedule-people-at-the-table")).last.fill("2")
    page.get_by_label(screen("schedule-what-is-left")).last.select_option("freeze")
    page.get_by_text(screen("schedule-own-step"), exact=True).last.click()
    page.get_by_placeholder(screen("schedule-own-step-such-as")).last.fill("Stir in the honey")
    page.get_by_role("button", name=screen("schedule-add-this-step")).last.click()
    expect(page.get_by_role("list", name=screen("schedule-tasks"))).to_contain_text("honey")
    day = steps_of_schedule(page)
    assert day["Sear in 3 batches, one layer each"] == 18
    assert day["Stir in the honey"] == 5
    assert any(re.match(r"Bag \d+ portions? of \d+ g", title) for title in day)
    page.get_by_role("button", name=re.compile("^cook .* now$")).last.click()
    page.wait_for_url("**/cook?cook=*")
    cook = page.request.get(f"/api/cooks/{page.url.split('=')[1]}").json()
    told = [plain(step["title"]) for step in cook["steps"]]
    assert set(told) - {"How was it?"} == {
        title for title in day if not title.startswith("Spare time")
    }
    assert told.index("Stir in the honey") < next(
        index for index, title in enumerate(told) if title.startswith("Serve whole")
    )


def test_a_trimmed_fat_cap_is_told_alike(page: Page) -> None:
    page.goto("/plan?cut=brisket_flat&pieces=2&weight=1.4+kg&thickness=4.5+cm")
    page.get_by_text(screen("plan-add-to-schedule")).first.click()
    page.get_by_label(screen("schedule-fat-cap")).last.select_option("6")
    trimmed = "Trim the fat cap to 0.6 cm, and weigh the meat again"
    expect(page.get_by_role("list", name=screen("schedule-tasks"))).to_contain_text("fat cap")
    assert steps_of_schedule(page)[trimmed] == 10
    page.get_by_role("button", name=re.compile("^cook .* now$")).last.click()
    page.wait_for_url("**/cook?cook=*")
    expect(page.get_by_test_id("step")).to_contain_text(trimmed)
    cook = page.request.get(f"/api/cooks/{page.url.split('=')[1]}").json()
    told = {plain(step["title"]): step["likely_s"] for step in cook["steps"]}
    assert told[trimmed] == 600
