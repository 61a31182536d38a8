"""The demo Saturday: four dishes, one oven, one fridge, sleep; a late guest; a calendar and back."""

from __future__ import annotations

import json
import re
import urllib.request
from datetime import datetime, timedelta
from pathlib import Path
from tempfile import TemporaryDirectory
from typing import Any
from zoneinfo import ZoneInfo

import vobject  # type: ignore[import-untyped]
from playwright.sync_api import Page, expect

from tests.browser.support import BrowserCase
from tests.saturday import saturday_kitchen
from vadouvan.core.clock.routine import Routine, later
from vadouvan.core.interpretation.routine import read_routine
from vadouvan.demo import DEMO_WEEK

LISBON = ZoneInfo("Europe/Lisbon")
SATURDAY = ("Saturday legs", "Slip skewers", "Quick flank", "Harbour tofu")


class Saturday(BrowserCase):
    """From the Counter, by one press, and through what happens then."""

    filled = staticmethod(saturday_kitchen)

    def get(self, path: str) -> Any:
        """An answer of the kitchen."""
        with urllib.request.urlopen(self.kitchen.address + path) as answer:
            return json.load(answer)

    def batches(self) -> dict[str, Any]:
        """Batches by name."""
        return {batch["draft"]["name"]: batch for batch in self.get("/api/batches")}

    def assert_no_night_step(self) -> None:
        """Every hands-on step of every dish falls outside sleep and work; the table has no clash."""
        week: Routine = read_routine(DEMO_WEEK)
        for name, batch in self.batches().items():
            plan = batch["judgement"]["plan"]
            self.assertIsNone(plan["trouble"], name)
            for step in plan["steps"]:
                if step["hands_on"]:
                    at = datetime.fromisoformat(step["at"]).astimezone(LISBON)
                    self.assertTrue(week.free_for(at, timedelta(minutes=step["minutes"])), (name, step["id"], at))
        self.assertEqual(self.get("/api/plan/table")["clashes"], [])

    def plan_together(self, page: Page) -> None:
        """One press on the Counter, and the answer."""
        together = page.get_by_role("region", name="All dishes together")
        together.get_by_role("button", name="Plan them around each other").click()
        expect(together.get_by_text("They go together now")).to_be_visible()

    def test_it_plans_itself_survives_a_guest_and_goes_to_a_calendar_and_back(self) -> None:
        """The whole of it, in the order of the day."""
        page = self.open("/")
        together = page.get_by_role("region", name="All dishes together")
        expect(together.get_by_text("want the one oven at")).to_be_visible()
        self.plan_together(page)
        self.assert_no_night_step()
        legs = self.batches()["Saturday legs"]["judgement"]["plan"]
        self.assertIn("keep-warm", [step["id"] for step in legs["steps"]])

        # A guest is an hour late: every Saturday dish is moved on the rail, by the keyboard.
        for name in SATURDAY:
            meal = page.get_by_role("slider", name=f"Meal of {name}")
            before = meal.get_attribute("aria-valuenow")
            with page.expect_response(re.compile(r"/api/batches/[^/]+$")) as kept:
                meal.press("PageUp")
            self.assertTrue(kept.value.ok)
            expect(meal).not_to_have_attribute("aria-valuenow", str(before))
            expect(meal).to_have_attribute("aria-valuetext", "Sat 20:00")
        if self.get("/api/plan/table")["clashes"]:
            page.reload()
            self.plan_together(page)
        self.assert_no_night_step()

        # To a calendar, moved there, and back.
        skewers = self.batches()["Slip skewers"]
        page.goto(f"{self.kitchen.address}/batch/{skewers['id']}/hold")
        page.get_by_role("tab", name="Plan").click()
        with page.expect_download() as download:
            page.get_by_role("link", name="Write to a calendar").click()
        with TemporaryDirectory() as folder:
            file = Path(folder) / "moved.ics"
            download.value.save_as(file)
            calendar = vobject.readOne(file.read_text())
            for event in calendar.vevent_list:
                if event.uid.value.startswith("serve."):
                    event.dtstart.value = later(event.dtstart.value, timedelta(minutes=15))
                    event.dtend.value = later(event.dtend.value, timedelta(minutes=15))
            file.write_text(calendar.serialize())
            with page.expect_file_chooser() as chooser:
                page.get_by_role("button", name="Take moved times back").click()
            chooser.value.set_files(file)
            expect(page.get_by_text("Taken over: the meal, to Sat 20:15.")).to_be_visible()
        expect(page.get_by_text("All kept")).to_be_visible()
        self.assertTrue(self.batches()["Slip skewers"]["draft"]["meal"]["at"].endswith("T20:15"))
        self.assert_no_night_step()

    def test_marks_are_moved_by_touch(self) -> None:
        """A finger on the meal of the Sunday crown, drawn to the right: the meal is later."""
        context = self.another_context(has_touch=True)
        page = context.new_page()
        page.goto(self.kitchen.address)
        meal = page.get_by_role("slider", name="Meal of Crown for Sunday")
        expect(page.get_by_role("slider", name="Meal of Slip skewers")).to_be_visible()
        expect(meal).to_be_hidden()  # the rail shows what is next, until it is looked at wider
        page.get_by_role("button", name="Wider in time").click()
        before = meal.get_attribute("aria-valuenow")
        box = meal.bounding_box()
        assert box is not None
        finger = context.new_cdp_session(page)
        x, y = box["x"] + 6, box["y"] + box["height"] / 2

        def touch(kind: str, at: float) -> None:
            finger.send("Input.dispatchTouchEvent", {"type": kind, "touchPoints": [{"x": at, "y": y}]})

        context.clock.pause_at(self.at)
        touch("touchStart", x)  # brushed in passing: nothing moves
        touch("touchMove", x + 30)
        context.clock.run_for(600)
        finger.send("Input.dispatchTouchEvent", {"type": "touchEnd", "touchPoints": []})
        expect(meal).to_have_attribute("aria-valuenow", str(before))
        touch("touchStart", x)
        context.clock.run_for(600)  # it rests until the mark is taken hold of
        context.clock.resume()
        expect(meal.locator("span")).to_be_visible()
        touch("touchMove", x + 4)
        touch("touchMove", x + 9)
        expect(meal).to_contain_text("out")  # what it would do, before it is let go
        with page.expect_response(re.compile(r"/api/batches/[^/]+$")) as kept:
            finger.send("Input.dispatchTouchEvent", {"type": "touchEnd", "touchPoints": []})
        self.assertTrue(kept.value.ok)
        expect(meal).not_to_have_attribute("aria-valuenow", str(before))
        after = meal.get_attribute("aria-valuenow")
        self.assertGreater(int(after or 0), int(before or 0))
        self.assertNotIn("T19:00", self.batches()["Crown for Sunday"]["draft"]["meal"]["at"])
        page.get_by_role("button", name="Move it back").click()
        expect(meal).to_have_attribute("aria-valuenow", str(before))

    def test_the_rail_is_looked_at_nearer_by_keys_and_wheel(self) -> None:
        """Plus and the wheel with Ctrl come nearer, arrows move along, Home goes to now, Escape shows all again."""
        page = self.open("/")
        rail = page.get_by_role("img", name=re.compile("^Slip skewers: in|: in .*Slip skewers: in"))
        nearer = page.get_by_role("button", name="Nearer in time")
        everything = page.get_by_role("button", name="all", exact=True)
        expect(rail).to_be_visible()
        first = rail.text_content() or ""
        for key in ("+", "ArrowRight"):
            before = rail.text_content() or ""
            nearer.press(key)
            expect(rail).not_to_have_text(before)
        nearer.press("Home")
        expect(rail).to_contain_text("now")
        nearer.press("Escape")
        expect(everything).to_be_hidden()
        expect(rail).to_have_text(first)
        box = rail.bounding_box()
        assert box is not None
        page.mouse.move(box["x"] + box["width"] / 2, box["y"] + box["height"] / 2)
        page.keyboard.down("Control")
        page.mouse.wheel(0, -100)
        page.keyboard.up("Control")
        expect(everything).to_be_visible()
        everything.click()
        expect(rail).to_have_text(first)

    def test_the_rail_names_its_steps(self) -> None:
        """By keys one after another, under the mouse, and under a finger; each with its moment."""
        batch = self.batches()["Saturday legs"]
        steps = [one for one in batch["judgement"]["plan"]["steps"] if one["hands_on"] and one["kind"] != "serve"]
        page = self.open(f"/batch/{batch['id']}/cut")
        line = page.get_by_role("slider", name="Steps of Saturday legs")
        line.focus()
        expect(line).to_contain_text(steps[0]["says"])
        page.keyboard.press("ArrowRight")
        expect(line).to_contain_text(steps[1]["says"])
        expect(line).to_have_attribute("aria-valuetext", re.compile(re.escape(steps[1]["says"])))
        page.keyboard.press("Tab")
        expect(line).to_have_text("")
        box = line.bounding_box()
        assert box is not None
        ticks = page.locator("footer svg path[d$='v6']")
        tick = ticks.first.bounding_box()
        assert tick is not None
        page.mouse.move(tick["x"] + 1, box["y"] + 4)
        expect(line).to_contain_text(steps[0]["says"])
        page.mouse.move(tick["x"] + 1, box["y"] - 200)
        expect(line).to_have_text("")

    def test_marks_are_moved_by_mouse(self) -> None:
        """A start dragged to the right comes later; one that cannot be is refused with words, and stays."""
        identity = self.batches()["Crown for Sunday"]["id"]
        page = self.open(f"/batch/{identity}/mix")
        start = page.get_by_role("slider", name="Start of Crown for Sunday")
        before = start.get_attribute("aria-valuenow")
        box = start.bounding_box()
        assert box is not None
        middle = (box["x"] + box["width"] / 2, box["y"] + box["height"] / 2)
        page.mouse.move(*middle)
        page.mouse.down()
        page.mouse.move(middle[0] + 5, middle[1], steps=3)
        with page.expect_response(re.compile(r"/api/batches/[^/]+$")):
            page.mouse.up()
        expect(start).not_to_have_attribute("aria-valuenow", str(before))
        expect(page.get_by_text("All kept")).to_be_visible()
        moved = self.batches()["Crown for Sunday"]["draft"]["meal"]["start"]
        self.assertNotEqual(moved, "")
        pull = page.get_by_role("slider", name="Pull of Crown for Sunday")
        at = pull.get_attribute("aria-valuenow")
        box = pull.bounding_box()
        beyond = page.get_by_role("slider", name="Meal of Crown for Sunday").bounding_box()
        assert box is not None
        assert beyond is not None
        page.mouse.move(box["x"] + box["width"] / 2, middle[1])
        page.mouse.down()
        page.mouse.move(beyond["x"] + beyond["width"] + 20, middle[1], steps=3)
        page.mouse.up()
        expect(page.get_by_role("alert")).to_contain_text("Not moved. The pull would be")
        expect(pull).to_have_attribute("aria-valuenow", str(at))

    def test_two_heats_at_one_hour_offer_another_meal(self) -> None:
        """No half hour of keeping warm helps two roasts of two hours: the one left out is offered a later meal."""
        for name, heat in (("Hot roast", "220 C"), ("Slow roast", "140 C")):
            draft = self.get("/api/batches")[-1]["draft"]
            draft["name"], draft["meal"]["start"] = name, ""
            draft["cut"]["mass"] = "2 kg"
            draft["fire"]["stages"] = [{"id": "1", "place": "oven", "heat": heat, "minutes": "2 h"}]
            request = urllib.request.Request(
                f"{self.kitchen.address}/api/batches",
                json.dumps(draft).encode(),
                {"Content-Type": "application/json"},
            )
            urllib.request.urlopen(request).close()
        page = self.open("/")
        together = page.get_by_role("region", name="All dishes together")
        together.get_by_role("button", name="Plan them around each other").click()
        expect(together.get_by_text("finds no place").first).to_be_visible(timeout=30_000)
        expect(together.get_by_text("want the one oven").first).to_be_visible()
        expect(together.get_by_role("button", name=re.compile("^Eat .* at .* instead$")).first).to_be_visible()


class Reminders(BrowserCase):
    """Told by the browser while it is open; where it cannot, that is said."""

    def test_refused_and_missing_say_what_to_do_instead(self) -> None:
        """The calendar's alarms."""
        for script, says in (
            ("Object.defineProperty(Notification, 'permission', { get: () => 'denied' })", "was told not to show"),
            ("delete window.Notification", "shows no reminders"),
        ):
            page = self.context.new_page()
            self.addCleanup(page.close)
            page.add_init_script(script)
            page.goto(f"{self.kitchen.address}/settings/device")
            expect(page.get_by_role("region", name="reminders")).to_contain_text(says)
            expect(page.get_by_role("region", name="reminders")).to_contain_text("its alarms ring ten minutes ahead")

    def test_a_step_that_begins_now_is_told_once(self) -> None:
        """A batch whose contact is due: one reminder with its words, and no second one."""
        context = self.another_context(permissions=["notifications"])
        page = context.new_page()
        page.add_init_script(
            """localStorage.setItem('vadouvan.reminders', 'yes'); window.told = []
            window.Notification = class { static permission = 'granted'
              constructor(title, options) { window.told.push(`${title}: ${options.body}`) } }"""
        )
        page.route(
            "**/api/plan/today?*",
            lambda route: route.fulfill(
                json={
                    "labels": [],
                    "steps": [
                        {
                            "batch_id": "b", "batch": "Slip skewers", "step_id": "contact", "day": "", "hour": "18:00",
                            "at": (self.at.astimezone(LISBON) - timedelta(minutes=1)).isoformat(),
                            "says": "Meat into the mix.", "minutes": 5, "hands_on": True, "beside": [],
                        }
                    ],
                }
            ),
        )  # fmt: skip
        page.goto(f"{self.kitchen.address}/settings/device")
        expect(page.get_by_role("button", name="No reminders")).to_be_visible()
        page.wait_for_function("() => window.told.length > 0")
        self.assertEqual(page.evaluate("window.told"), ["Slip skewers: 18:00: Meat into the mix."])
        page.get_by_role("button", name="No reminders").click()
        expect(page.get_by_role("button", name="Remind me")).to_be_visible()
