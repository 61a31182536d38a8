"""Hold in the real interface: time dragged, another hold beside it, vessels, lessons."""

from __future__ import annotations

import re
from datetime import timedelta
from zoneinfo import ZoneInfo

import vobject  # type: ignore[import-untyped]
from playwright.sync_api import Page, expect

from tests.browser.keyboard import tab_to, tab_to_back
from tests.browser.support import BrowserCase, Held
from tests.saturday import saturday_kitchen


class HoldByKeyboard(BrowserCase):
    """The demo kitchen, no mouse."""

    filled = staticmethod(saturday_kitchen)

    def hold_of(self, name: str) -> Page:
        """The hold of a demo batch."""
        page = self.open("/")
        page.get_by_role("link", name=re.compile(name)).click()
        expect(page.get_by_role("textbox", name="Add an ingredient")).to_be_visible()
        page.evaluate("document.activeElement.blur()")
        page.keyboard.press("h")
        expect(page.get_by_role("slider", name="Hour to look at")).to_be_visible()
        return page

    def test_time_is_dragged_and_two_sections_compared(self) -> None:
        """Arrow keys move the hour; the other hold follows; only the differences are said."""
        page = self.hold_of("Quick flank")
        slider = page.get_by_role("slider", name="Hour to look at")
        before = slider.get_attribute("aria-valuetext") or ""
        tab_to(page, slider)
        for _ in range(8):
            page.keyboard.press("ArrowLeft")
        expect(slider).not_to_have_attribute("aria-valuetext", before)
        earlier = slider.get_attribute("aria-valuetext") or ""
        expect(page.get_by_text(earlier, exact=True)).to_be_visible()
        page.keyboard.press("Shift+Tab")
        page.keyboard.press("Shift+Tab")
        page.keyboard.press("Space")
        page.keyboard.type("its fruit")
        page.keyboard.press("Enter")
        differences = page.get_by_role("status", name="What is different")
        expect(differences).to_contain_text("no longer because the kiwi turns the surface too soft")
        expect(page.get_by_role("img", name=re.compile("^Section to scale"))).to_have_count(2)
        said = differences.inner_text()
        tab_to(page, slider)
        page.keyboard.press("End")
        expect(differences).not_to_have_text(said)

    def test_hours_run_by_themselves_and_a_rest_evens_out(self) -> None:
        """The ends of the window stand under the track; pressed, the hours go on until stopped; a rest is told."""
        page = self.hold_of("Slip skewers")
        slider = page.get_by_role("slider", name="Hour to look at")
        for mark in ("opens", "best", "ends"):
            expect(page.get_by_text(mark, exact=True).last).to_be_visible()
        page.get_by_label(re.compile("^rested 8 h")).check()
        expect(page.get_by_text(re.compile("at the outside, .* when it was pulled"))).to_be_visible()
        page.get_by_label(re.compile("^rested 8 h")).uncheck()
        began = int(slider.input_value())
        page.clock.resume()
        page.get_by_role("button", name="let it run").press("Enter")
        expect(slider).not_to_have_value(str(began))
        page.get_by_role("button", name="stop").press("Enter")
        stopped = int(slider.input_value())
        self.assertGreater(stopped, began)
        expect(page.get_by_role("button", name="let it run")).to_be_visible()

    def test_what_each_hour_is_worth(self) -> None:
        """A table with the picture: the worst stands out, and follows the hour of the slider."""
        page = self.hold_of("Quick flank")
        page.get_by_role("tab", name="Limits").click()
        worth = page.get_by_role("table", name="What each hour is worth")
        soft = worth.get_by_role("row", name=re.compile("^not too soft"))
        expect(soft).to_contain_text("10 of 10")
        tab_to_back(page, page.get_by_role("slider", name="Hour to look at"))
        page.keyboard.press("End")
        expect(soft).to_contain_text("the worst at this hour")
        expect(soft).not_to_contain_text("10 of 10")

    def test_another_thickness_is_asked_for_and_a_bad_one_told(self) -> None:
        """What is typed stays; what would do is said."""
        page = self.hold_of("Slip skewers")
        page.get_by_role("button", name=re.compile("^beside it")).click()
        page.get_by_role("option", name="another thickness or cube").click()
        field = page.get_by_role("textbox", name="How thick")
        field.fill("a thumb")
        expect(page.get_by_role("alert")).to_contain_text("could not be read")
        expect(field).to_have_value("a thumb")
        field.fill("15 mm")
        expect(page.get_by_role("img", name="Section to scale, 15 mm thick")).to_be_visible()
        expect(page.get_by_role("status", name="What is different")).to_contain_text("instead of")
        self.assertLessEqual(page.evaluate("document.documentElement.scrollHeight - innerHeight"), 0)

    def test_acid_in_aluminium_stops_the_plan(self) -> None:
        """And glass lets it go on."""
        page = self.hold_of("Slip skewers")
        page.get_by_role("tab", name="Vessel").click()
        page.get_by_role("button", name=re.compile("^made of")).click()
        page.get_by_role("option", name="aluminium").click()
        expect(page.get_by_text(re.compile("^Stop. Acid takes up aluminium")).first).to_be_visible()
        page.get_by_role("tab", name="Limits").click()
        expect(page.get_by_role("tabpanel", name="Limits")).to_contain_text("Acid takes up aluminium")
        page.get_by_role("tab", name="Vessel").click()
        page.get_by_role("button", name=re.compile("^made of")).click()
        page.get_by_role("option", name="no metal").click()
        expect(page.get_by_text(re.compile("In .* out"))).to_be_visible()

    def test_a_lesson_is_guessed_first(self) -> None:
        """The two pieces first; the answer comes after the guess, with both through the hours."""
        page = self.open("/")
        page.keyboard.press("l")
        expect(page.get_by_role("heading", name=re.compile("How much deeper"))).to_be_visible()
        expect(page.get_by_role("img", name=re.compile("^Section"))).to_have_count(2)  # what it is about
        expect(page.get_by_role("slider", name="Hour to look at")).to_have_count(0)  # nothing is worked out yet
        tab_to(page, page.get_by_role("radio", name="no deeper"))
        page.keyboard.press("Space")
        expect(page.get_by_role("status")).to_contain_text("The model says: about a third to a half deeper")
        expect(page.get_by_role("img", name=re.compile("^Section"))).to_have_count(2)


class PlanOnThePage(BrowserCase):
    """Steps, collisions with their offers, a late contact, the calendar, the cook's week."""

    filled = staticmethod(saturday_kitchen)

    def plan_of(self, name: str) -> Page:
        """The plan of a demo batch."""
        page = self.open("/")
        page.get_by_role("link", name=re.compile(name)).click()
        expect(page.get_by_role("textbox", name="Add an ingredient")).to_be_visible()
        page.goto(page.url.replace("/mix", "/hold"))
        page.get_by_role("tab", name="Plan").click()
        return page

    def test_a_collision_offers_plans_that_work(self) -> None:
        """A meal in half an hour: later; one press and it is planned."""
        page = self.plan_of("Slip skewers")
        page.get_by_role("tab", name="Answers").click()
        soon = self.at.astimezone(ZoneInfo("Europe/Lisbon")) + timedelta(minutes=30)
        page.get_by_label("Meal on the table").fill(f"{soon:%Y-%m-%dT%H:%M}")
        page.get_by_role("tab", name="Plan").click()
        offers = page.get_by_role("region", name="Plans that work")
        expect(offers).to_be_visible()
        offers.get_by_role("button", name=re.compile("^Eat at")).click()
        expect(offers).to_have_count(0)
        expect(page.get_by_role("list", name="The plan step by step")).to_contain_text("next:")

    def test_the_meal_in_words(self) -> None:
        """Read when the field is left, told with its date; what cannot be read stays, with what would do."""
        page = self.plan_of("Slip skewers")
        page.get_by_role("tab", name="Answers").click()
        meal = page.get_by_label("Meal on the table")
        day = self.at.astimezone(ZoneInfo("Europe/Lisbon")) + timedelta(days=3)
        meal.fill(f"{day:%A} at 8 pm")
        meal.blur()
        expect(meal).to_have_value(f"{day:%a} {day.day} {day:%b} 20:00")
        expect(page.get_by_text("All kept")).to_be_visible()
        meal.fill("when the moon is full")
        meal.press("Enter")
        expect(meal).to_have_value("when the moon is full")
        expect(meal).to_have_attribute("aria-invalid", "true")
        meal.fill("")
        meal.blur()
        expect(meal).to_have_attribute("aria-invalid", "false")

    def test_to_a_calendar_and_back(self) -> None:
        """Written, the meal moved an hour in it, read back: meal and pull move; a foreign file is told."""
        page = self.plan_of("Saturday legs")
        with page.expect_download() as started:
            page.get_by_role("link", name="Write to a calendar").click()
        text = started.value.path().read_text()
        self.assertIn("BEGIN:VALARM", text)
        calendar = vobject.readOne(text)
        for event in calendar.vevent_list:
            if event.uid.value.startswith("serve."):
                event.dtstart.value += timedelta(hours=1)
                event.dtend.value += timedelta(hours=1)
        chooser = page.get_by_label("Calendar file")
        chooser.set_input_files({"name": "a.ics", "mimeType": "text/calendar", "buffer": calendar.serialize().encode()})
        expect(page.get_by_role("status").filter(has_text="Taken over: the meal, to Sat 20:00")).to_be_visible()
        expect(page.get_by_text(re.compile("^In Sat .*out Sat 18:40"))).to_be_visible()
        chooser.set_input_files({"name": "b.ics", "mimeType": "text/calendar", "buffer": b"hello"})
        expect(page.get_by_role("status").filter(has_text="no calendar file")).to_be_visible()

    def test_the_cooks_week_moves_the_plan(self) -> None:
        """Away on Fridays until late: the contact on Friday evening is no longer free."""
        page = self.plan_of("Saturday legs")
        before = page.get_by_role("list", name="The plan step by step").inner_text()
        address = page.url
        page.goto(self.kitchen.address + "/settings")
        page.get_by_role("textbox", name="At work from").fill("noon")
        page.get_by_role("textbox", name="until").fill("22:30")
        page.get_by_role("button", name="Keep this week").click()
        expect(page.get_by_text('"noon" is no time of day.').first).to_be_visible()
        page.get_by_role("textbox", name="At work from").fill("08:00")
        page.get_by_role("textbox", name="until").focus()  # what is left is kept, with or without the button
        expect(page.get_by_role("form", name="Your week").get_by_role("status")).to_contain_text("Kept.")
        page.goto(address)
        page.get_by_role("tab", name="Plan").click()
        expect(page.get_by_role("list", name="The plan step by step")).not_to_have_text(before)

    def test_an_answer_that_comes_late_silences_nothing(self) -> None:
        """A refusal of what no longer stands there is dropped; what stands there is kept when it is left."""
        page, address = self.open("/settings"), "**/api/settings/routine"
        held = Held(page, address)
        working = page.get_by_role("textbox", name="At work from")
        with page.expect_request(address):
            working.fill("at noon")
            working.blur()
        working.fill("08:30")
        with page.expect_response(address):
            held.let_go()
        page.unroute_all()
        page.get_by_role("textbox", name="until").focus()
        expect(page.get_by_role("form", name="Your week").get_by_role("status")).to_contain_text("Kept.")
