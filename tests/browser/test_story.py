"""The whole story with the keyboard alone: cut, mix, judgement, plan, power cut, file."""

from __future__ import annotations

import json
import re
import unittest
from datetime import timedelta

from playwright.sync_api import Page, expect

from tests.browser.keyboard import answer, tab_to, tab_to_back
from tests.browser.support import BrowserCase, Held
from tests.saturday import saturday_kitchen


class KeyboardStory(BrowserCase):
    """An empty kitchen, no mouse."""

    loses_power = True

    def test_from_nothing_to_a_plan_that_survives_a_power_cut(self) -> None:
        """Describe, mix, read the judgement, give the meal, lose the power, find it all again."""
        page = self.open("/")
        expect(page.get_by_role("heading", name="nothing on the counter yet")).to_be_visible()
        page.keyboard.press("n")
        self.describe_the_cut(page)
        self.write_the_mix(page)
        self.give_the_meal(page)
        expect(page.get_by_role("status").filter(has_text="All kept")).to_be_attached()
        self.lose_the_power(page)
        self.go_out_and_in_as_a_file(page)

    def describe_the_cut(self, page: Page) -> None:
        """Lamb in 30 mm cubes; a wrong weight is told and stays until it is mended."""
        kind = page.get_by_role("combobox", name="What is it?")
        expect(kind).to_be_visible()
        tab_to(page, kind)
        page.keyboard.type("lamb cubes")
        page.keyboard.press("Enter")
        expect(kind).to_have_value(re.compile("lamb, shoulder or leg cubes"))
        expect(page.get_by_text("assumed: 500 g")).to_be_visible()
        weight = page.get_by_role("textbox", name="How heavy?")
        answer(page, "How heavy?", "50 kg")
        expect(page.get_by_text("too much for a mass")).to_be_visible()
        expect(weight).to_have_value("50 kg")
        page.keyboard.press("Control+A")
        page.keyboard.type("1.8 kg")
        expect(page.get_by_text("too much for a mass")).to_have_count(0)
        answer(page, "Edge of a cube?", "30 mm")
        expect(page.get_by_role("img", name="Section to scale, 30 mm thick")).to_be_visible()
        expect(page.get_by_text("assumed: about 63 cubes")).to_be_visible()

    def write_the_mix(self, page: Page) -> None:
        """Five lines as people say them; one that cannot be read says so, and is mended."""
        tab_to(page, page.get_by_role("link", name="Mix"))
        page.keyboard.press("Enter")
        entry = page.get_by_role("textbox", name="Add an ingredient")
        tab_to(page, entry)
        for line in (
            "2 tbsp cider vinegar",
            "a third of a cup of yoghurt",
            "6-7 curry leaves",
            "22 g salt",
            "3 handfuls",
        ):
            page.keyboard.insert_text(line)
            page.keyboard.press("Enter")
        expect(page.get_by_text("of what?").first).to_be_visible()
        expect(page.get_by_text("One thing to mend before this can be judged.").first).to_be_visible()
        bad = page.get_by_role("textbox", name="What you wrote: 3 handfuls")
        tab_to_back(page, bad)
        page.keyboard.press("End")
        page.keyboard.type(" of coriander")
        expect(page.get_by_text("Coriander leaf (cilantro), fresh")).to_be_visible()
        expect(page.get_by_role("button", name=re.compile(r"Cider vinegar, 5%: 30 g"))).to_be_visible()
        expect(
            page.get_by_role("region", name="Salt").get_by_role("button", name=re.compile("salt per kilogram"))
        ).to_contain_text("12 g/kg")
        expect(page.get_by_text(re.compile("Pull (between|by) .* best about"))).to_be_visible()

    def give_the_meal(self, page: Page) -> None:
        """A meal the day after tomorrow; the plan says in, out, and between when and when."""
        page.evaluate("document.activeElement.blur()")
        page.keyboard.press("h")
        meal = page.get_by_label("Meal on the table")
        tab_to(page, meal)
        day = self.at + timedelta(days=2)
        page.keyboard.type(f"{day:%A} 7 pm")
        page.keyboard.press("Enter")
        expect(page.get_by_text(re.compile(r"In \w{3} \d\d:\d\d.*, out \w{3} 18:00\. It may come out"))).to_be_visible()
        expect(meal).to_have_value(f"{day:%a} {day.day} {day:%b} 19:00")

    def lose_the_power(self, page: Page) -> None:
        """The server is killed, started again on the same file, and the page reloaded."""
        port, address = self.kitchen.port, page.url
        self.kitchen.kill()
        self.kitchen.start(port)
        page.goto(address.replace("/hold", "/mix"))
        expect(page.get_by_role("textbox", name="What you wrote: 6-7 curry leaves")).to_be_visible()
        expect(page.get_by_text(re.compile("In .* out .* 18:00"))).to_be_visible()

    def go_out_and_in_as_a_file(self, page: Page) -> None:
        """Written to a file from the menu, read in again from the counter."""
        tab_to(page, page.get_by_role("button", name="More", exact=True))
        page.keyboard.press("Enter")
        expect(page.get_by_role("menuitem", name="Write to a file")).to_be_visible()
        with page.expect_download() as started:
            page.keyboard.press("Enter")
        written = json.loads(started.value.path().read_text())
        self.assertEqual((written["format"], written["cut"]["mass_g"]), ("vadouvan-batch", 1800))
        page.evaluate("document.activeElement.blur()")
        page.keyboard.press("b")
        reader = page.get_by_role("button", name="Read a file")
        expect(reader).to_be_visible()
        tab_to(page, reader)
        with page.expect_file_chooser() as chooser:
            page.keyboard.press("Enter")
        chooser.value.set_files(started.value.path())
        expect(page.get_by_role("textbox", name="How heavy?")).to_have_value("1.8 kg")


class Keeping(BrowserCase):
    """Saving, conflicts and files."""

    loses_power = True

    filled = staticmethod(saturday_kitchen)

    def test_what_is_typed_while_the_kitchen_is_down_is_kept_on_the_device(self) -> None:
        """The page says so, and hands it over when the kitchen is back."""
        page = self.open("/")
        page.get_by_role("link", name=re.compile("Slip skewers")).click()
        entry = page.get_by_role("textbox", name="Add an ingredient")
        expect(entry).to_be_visible()
        port = self.kitchen.port
        self.kitchen.kill()
        entry.fill("5 g honey")
        entry.press("Enter")
        expect(page.get_by_text("held on this device; trying again")).to_be_visible()
        self.kitchen.start(port)
        expect(page.get_by_text("All kept")).to_be_visible(timeout=15_000)
        page.reload()
        expect(page.get_by_role("textbox", name="What you wrote: 5 g honey")).to_be_visible()

    def test_two_devices_on_one_batch(self) -> None:
        """Edits of different fields both stand without a word; of one field both values are told, and one chosen."""
        first = self.open("/")
        first.get_by_role("link", name=re.compile("Quick flank")).click()
        expect(first.get_by_role("textbox", name="Add an ingredient")).to_be_visible()
        second = self.open(first.url.replace(self.kitchen.address, ""))
        self.write(first, "4 g honey")
        expect(first.get_by_text("All kept")).to_be_visible()
        self.write(second, "9 g sugar")
        expect(second.get_by_role("textbox", name="What you wrote: 4 g honey")).to_be_visible()
        expect(second.get_by_role("textbox", name="What you wrote: 9 g sugar")).to_be_visible()
        named = "Flank of the second"
        first.route(
            "**/api/**", lambda route: route.abort()
        )  # so that it does not hear of it before it has named the dish as well
        with second.expect_response(lambda response: named in (response.request.post_data or "")):
            self.name(second, named)  # what was kept before may still be on its way
        self.write(first, "2 g thyme")
        self.name(first, "Flank of the first")
        expect(first.get_by_text("held on this device")).to_be_visible()
        first.unroute_all()
        alert = first.get_by_role("alert")
        expect(alert).to_contain_text("Here “Flank of the first”, elsewhere “Flank of the second”.")
        first.reload()
        expect(alert).to_contain_text("Here “Flank of the first”")  # what is asked is still asked
        alert.get_by_role("button", name="What stands elsewhere").click()
        expect(first.get_by_role("textbox", name="Name of the dish")).to_have_value("Flank of the second")
        second.reload()
        for line in ("4 g honey", "9 g sugar", "2 g thyme"):
            expect(second.get_by_role("textbox", name=f"What you wrote: {line}")).to_be_visible()

    def test_what_was_typed_last_leaves_with_the_cook(self) -> None:
        """Typed and gone to the Counter at once; a batch that was removed elsewhere; a name that is too long."""
        page = self.open("/")
        page.get_by_role("link", name=re.compile("Harbour tofu")).first.click()
        self.name(page, "Harbour tofu, pressed")
        page.get_by_role("link", name=re.compile("Counter")).click()
        expect(page.get_by_role("link", name=re.compile("Harbour tofu, pressed"))).to_be_visible()
        page.get_by_role("link", name=re.compile("Harbour tofu, pressed")).click()
        self.name(page, "x" * 2001)
        expect(page.get_by_role("alert")).to_contain_text("at most 2000")
        expect(page.get_by_role("textbox", name="Name of the dish")).to_have_value("x" * 2001)
        self.name(page, "Harbour tofu")
        expect(page.get_by_text("All kept")).to_be_visible()
        identity = page.url.split("/batch/")[1].split("/")[0]
        self.ask(f"/api/batches/{identity}", method="DELETE", body={})
        self.name(page, "Tofu that nobody has any more")
        page.get_by_role("link", name="Counter").first.click()
        waiting = page.get_by_role("region", name="Not sent yet")
        expect(waiting).to_contain_text("Tofu that nobody has any more")
        waiting.get_by_role("button", name="Make it a batch again").click()
        expect(waiting).to_have_count(0)
        page.reload()
        expect(page.get_by_role("link", name=re.compile("Tofu that nobody has any more"))).to_be_visible()

    @staticmethod
    def name(page: Page, name: str) -> None:
        """Name the dish."""
        page.get_by_role("textbox", name="Name of the dish").fill(name)

    @staticmethod
    def write(page: Page, line: str) -> None:
        """Enter a line."""
        page.get_by_role("textbox", name="Add an ingredient").fill(line)
        page.keyboard.press("Enter")

    def test_out_to_a_file_and_in_again(self) -> None:
        """The file is our format; a broken one gets its sentence."""
        page = self.open("/")
        page.get_by_role("link", name=re.compile("Harbour tofu")).click()
        page.get_by_role("button", name="More", exact=True).click()
        with page.expect_download() as started:
            page.get_by_role("menuitem", name="Write to a file").click()
        text = started.value.path().read_text()
        self.assertEqual(json.loads(text)["name"], "Harbour tofu")
        page.get_by_role("link", name="Vadouvan").click()
        chooser = page.get_by_label("Batch file, recipe or list")
        chooser.set_input_files({"name": "x.json", "mimeType": "application/json", "buffer": b"{broken"})
        expect(page.get_by_role("alert")).to_contain_text("broken or not JSON")
        chooser.set_input_files({"name": "b.json", "mimeType": "application/json", "buffer": text.encode()})
        expect(page.get_by_role("textbox", name="Name of the dish")).to_have_value("Harbour tofu")

    def test_a_way_to_the_salt_is_taken_with_one_press(self) -> None:
        """Short of salt: the offer changes its line; one to amounts of before does nothing."""
        page = self.open("/")
        page.get_by_role("link", name=re.compile("Saturday legs")).click()
        way = page.get_by_role("button", name=re.compile("table salt instead of 29 g"))
        expect(way).to_be_enabled()
        held = Held(page, "**/salt-offers")
        page.get_by_role("textbox", name=re.compile("What you wrote: .*yoghurt")).fill("610 g yoghurt")
        expect(way).to_be_disabled()
        expect(page.get_by_text("All kept")).to_be_visible()
        way.press("Enter")
        held.let_go()
        page.unroute_all()
        expect(way).to_be_enabled()
        expect(page.get_by_role("textbox", name=re.compile("What you wrote: 29 g"))).to_be_visible()
        way.press("Enter")
        expect(page.get_by_role("textbox", name=re.compile("What you wrote: 33.* g table salt"))).to_be_visible()
        expect(page.get_by_text("salt as aimed").first).to_be_visible()
        expect(page.get_by_role("list", name="Ways to the salt you aim for")).to_have_count(0)
        expect(page.get_by_text("All kept")).to_be_visible()

    def test_the_balance_in_a_kilogram_of_mix(self) -> None:
        """Asked for when it is looked at: other figures on the same rules, with a working of their own."""
        page = self.open("/")
        page.get_by_role("link", name=re.compile("Saturday legs")).click()
        page.get_by_role("radio", name="in a kilogram of mix").click()
        expect(page.get_by_role("region", name="Salt", exact=True)).to_contain_text("Fine table salt · Yoghurt")
        enzyme = page.get_by_role("region", name="Enzyme").get_by_role("button", name=re.compile("^live enzyme"))
        expect(enzyme).to_be_visible()
        page.get_by_role("button", name=re.compile("^salt per kilogram of mix")).first.click()
        expect(page.get_by_text("All salt in the mix over its weight.")).to_be_visible()

    def test_the_pantry_forgives_spelling_and_tells_its_sources(self) -> None:
        """A misspelt search finds it; opened, it tells make-up, pieces, enzyme, allergens and source."""
        page = self.open("/")
        page.keyboard.press("p")
        page.get_by_role("searchbox", name="Look for").fill("buttermlk")
        expect(page.get_by_role("button", name=re.compile("Buttermilk"))).to_be_visible()
        page.get_by_role("searchbox", name="Look for").fill("kiwi")
        page.get_by_role("button", name=re.compile("Kiwifruit, green")).press("Enter")
        expect(page.get_by_text(re.compile("actinidin, 1.8"))).to_be_visible()
        expect(page.get_by_text("each 70 g")).to_be_visible()
        expect(page.get_by_text(re.compile("US food composition tables"))).to_be_visible()
        page.get_by_role("searchbox", name="Look for").fill("qqqq")
        expect(page.get_by_text("Try a plainer word")).to_be_visible()

    def test_the_pantry_is_never_counted_and_empty(self) -> None:
        """With the number of ingredients their first rows are there, however long the hundreds below take."""
        page = self.open("/")
        page.evaluate(
            """() => { const look = () => {
            const told = document.querySelector('main [role=status]')?.innerText ?? ''
            if (/\\d ingredients/.test(told)) window.firstRows = document.querySelectorAll('main li').length
            else requestAnimationFrame(look) }; look() }"""
        )
        page.get_by_role("link", name="Pantry").click()
        page.wait_for_function("() => window.firstRows !== undefined")
        self.assertGreaterEqual(page.evaluate("window.firstRows"), 20)

    def test_a_pasted_list_becomes_lines(self) -> None:
        """Three lines pasted on the counter are three lines of a mix."""
        page = self.open("/")
        page.get_by_role("button", name="Paste an ingredient list").click()
        listed = "200 g yoghurt\n\n2 tsp salt\n4 cloves garlic\n\nMix the yoghurt, salt and garlic."
        page.get_by_label("One ingredient a line").fill(listed)
        page.get_by_role("button", name="Start with this list").click()
        expect(
            page.get_by_role("listitem").filter(has=page.get_by_role("button", name=re.compile("^What to do with")))
        ).to_have_count(3)

    def test_what_was_left_out_is_told_until_it_was_seen(self) -> None:
        """A note a line, a long one folded; once it was seen it is gone, and the focus is not."""
        page = self.open("/")
        page.get_by_role("button", name="Paste an ingredient list").click()
        deeds = "Whisk the yoghurt with the salt and the cumin. Chill overnight. Roast at 200 C until it is done. " * 3
        page.get_by_label("One ingredient a line").fill(
            f"Friday thighs\n\n1 kg chicken thighs\n200 g yoghurt\n12 g salt\nGlaze:\n40 g honey\n\n{deeds}"
        )
        page.get_by_role("button", name="Start with this list").click()
        told = page.get_by_role("status").filter(has_text="Read in.")
        expect(told.get_by_role("listitem")).to_have_count(3)
        expect(
            told.get_by_text("At the fire, as its directions say: “Roast at 200 C until it is done”.")
        ).to_be_visible()
        expect(told.get_by_text("Beside the mix, under Plate")).to_be_visible()
        told.get_by_text("Left out: Whisk").first.click()
        expect(told.get_by_text("until it is done.", exact=False).last).to_be_visible()
        page.get_by_role("button", name="Seen").focus()
        page.keyboard.press("Enter")
        expect(told).to_have_count(0)
        page.wait_for_function("() => document.activeElement !== document.body")

    def test_thrown_away_only_when_asked_twice(self) -> None:
        """Leave it leaves it."""
        page = self.open("/")
        page.get_by_role("link", name=re.compile("Crown for Sunday")).click()
        page.get_by_role("button", name="More", exact=True).click()
        page.get_by_role("menuitem", name="Throw away").click()
        expect(page.get_by_role("heading", name="Throw away Crown for Sunday?")).to_be_visible()
        page.get_by_role("button", name="Leave it").click()
        page.get_by_role("link", name="Vadouvan").click()
        expect(page.get_by_role("link", name=re.compile("Crown for Sunday"))).to_be_visible()

    def test_a_view_that_cannot_be_fetched_is_told(self) -> None:
        """On the way to it and when it is the first that is opened; what is shown then leads on."""
        page = self.open("/")
        page.route("**/assets/views-*.js", lambda route: route.abort())
        page.get_by_role("link", name="Logbook").click()
        broken = page.get_by_role("heading", name="This page broke")
        expect(broken).to_be_visible()
        page.goto(f"{self.kitchen.address}/pantry")
        expect(broken).to_be_visible()
        page.unroute_all()
        page.get_by_role("button", name="Open it again").click()
        expect(page.get_by_role("searchbox", name="Look for")).to_be_visible()
        self.complaints.clear()  # of what was kept from it

    def test_every_figure_opens_its_working(self) -> None:
        """A figure tells its rule, inputs and source."""
        page = self.open("/")
        page.get_by_role("link", name=re.compile("Saturday legs")).click()
        page.get_by_role("link", name="Hold").click()
        page.get_by_role("button", name=re.compile("^latest:")).click()
        expect(page.get_by_text("The first of these to be passed.")).to_be_visible()
        expect(page.get_by_text("diffusivity of salt")).to_be_visible()


if __name__ == "__main__":
    unittest.main()
