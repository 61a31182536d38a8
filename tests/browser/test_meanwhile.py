"""What is typed while an answer is on its way stays: in forms, at the scale, at the heat."""

from __future__ import annotations

import re
import unittest
from datetime import timedelta
from typing import Any

from playwright.sync_api import Locator, expect

from tests.browser.support import BrowserCase, Held
from tests.saturday import saturday_kitchen


class TypedMeanwhile(BrowserCase):
    """The kitchen takes its time to answer, or another device is quicker."""

    filled = staticmethod(saturday_kitchen)

    def batch(self, name: str) -> str:
        """The identity of a batch in hand."""
        return str(next(one["id"] for one in self.ask("/api/batches") if one["draft"]["name"] == name))

    def press_elsewhere(self, batch: str, kind: str, **more: Any) -> None:
        """A press on another device."""
        number = self.ask(f"/api/weigh/{batch}")["number"]
        self.ask(f"/api/weigh/{batch}", {"after": number, "kind": kind, "sure": True, **more})

    @staticmethod
    def look_elsewhere_from(field: Locator, words: str) -> None:
        """What is typed at the counter is there again when the cook has looked at the hold."""
        page = field.page
        field.fill(words)
        page.get_by_role("link", name=re.compile("^Hold")).click()
        expect(page.get_by_role("tab", name="Limits")).to_be_visible()
        page.get_by_role("link", name=re.compile("^Weigh-in")).click()
        expect(field).to_have_value(words)

    def test_in_a_household(self) -> None:
        """What was said since it was sent is not put back by what was kept."""
        page = self.open("/settings/household")
        form = page.get_by_role("form", name="Household")
        held = Held(page, "**/api/settings/household", "PUT")
        form.get_by_role("checkbox", name="celery").check()
        form.get_by_role("button", name="Keep the household").click()
        form.get_by_role("checkbox", name="mustard").check()
        with page.expect_response(lambda answer: answer.request.method == "PUT"):
            held.let_go()
        form.get_by_role("button", name="Keep the household").click()
        held.let_go()
        expect(form.get_by_text("Kept. Every mix is judged for it.")).to_be_visible()
        page.reload()
        for name in ("celery", "mustard"):
            expect(form.get_by_role("checkbox", name=name)).to_be_checked()

    def test_in_a_verdict(self) -> None:
        """A note that goes on while the first part of it is kept."""
        page = self.open("/logbook")
        page.get_by_role("link", name="Papaya-ginger beef skewers").click()
        form = page.get_by_role("form", name="A verdict")
        note = form.get_by_label("A note")
        form.get_by_label("Who says it").fill("Ilse")
        note.fill("the edge")
        held = Held(page, "**/api/taste/*", "PUT")
        form.get_by_role("button", name="Keep this verdict").click()
        note.fill("the edge is dry")
        held.let_go()
        expect(form.get_by_text("Kept, from Ilse.")).to_be_visible()
        expect(note).to_have_value("the edge is dry")
        page.reload()
        expect(note).to_have_value("the edge is dry")

    def test_a_moment(self) -> None:
        """A meal that is said anew while the first words are read; and one that is read when the cook has gone on."""
        batch = self.batch("Harbour tofu")
        page = self.open(f"/batch/{batch}/hold")
        answers, meal = page.get_by_role("tab", name="Answers"), page.get_by_label("Meal on the table")
        answers.click()
        held = Held(page, "**/api/plan/moment")
        meal.fill(f"{self.at + timedelta(days=3):%A} 7 pm")
        meal.press("Enter")
        meal.fill(f"{self.at + timedelta(days=2):%A} 6 pm")
        with page.expect_response("**/api/plan/moment"):
            held.let_go()
        expect(meal).to_have_value(f"{self.at + timedelta(days=2):%A} 6 pm")
        changes = Held(page, f"**/api/batches/{batch}", "PUT")
        page.get_by_role("textbox", name="Name of the dish").fill("Harbour tofu, late")
        meal.press("Enter")
        page.get_by_role("link", name="Counter").first.click()
        expect(page.get_by_role("button", name="Start a batch")).to_be_visible()
        held.let_go()
        changes.let_go()
        page.unroute_all()
        self.traffic.settle()  # what told of it goes, and the list moves up
        page.get_by_role("link", name=re.compile("Harbour tofu, late")).click()
        page.get_by_role("link", name=re.compile("^Hold")).click()
        answers.click()
        expect(meal).to_have_value(re.compile(f"^{self.at + timedelta(days=2):%a} .* 18:00"))

    def test_a_moment_that_is_not_read_yet(self) -> None:
        """The page goes while the words are read, which were left: they are read when it comes again."""
        batch = self.batch("Slip skewers")
        page = self.open(f"/batch/{batch}/hold")
        answers, meal = page.get_by_role("tab", name="Answers"), page.get_by_label("Meal on the table")
        answers.click()
        page.route("**/api/plan/moment", lambda route: None, times=1)
        with page.expect_request("**/api/plan/moment"):
            meal.fill(f"{self.at + timedelta(days=2):%A} 6 pm")
            meal.press("Enter")
        page.reload()
        answers.click()
        expect(meal).to_have_value(re.compile(f"^{self.at + timedelta(days=2):%a} .* 18:00"))
        page.reload()
        answers.click()
        expect(meal).to_have_value(re.compile(f"^{self.at + timedelta(days=2):%a} .* 18:00"))

    def test_pressed_twice(self) -> None:
        """A batch that is on its way is made once."""
        before = len(self.ask("/api/batches"))
        page = self.open("/")
        held = Held(page, "**/api/batches", "POST")
        start = page.get_by_role("button", name="Start a batch")
        start.click()
        start.click()
        page.keyboard.press("n")
        held.let_go()
        expect(page.get_by_role("textbox", name="How heavy?")).to_be_visible()
        page.unroute_all()
        self.traffic.settle()
        self.assertEqual(len(self.ask("/api/batches")), before + 1)

    def test_on_a_label(self) -> None:
        """Left by a press beside it, it stands there again; what is typed while it is kept is kept next."""
        page = self.open("/pantry")
        enter = page.get_by_role("button", name="Enter from a label")
        enter.click()
        name, like = page.get_by_label("What you call it"), page.get_by_role("combobox", name="Most like")
        name.fill("shelf cider vinegar")
        page.mouse.click(5, 5)
        expect(name).to_have_count(0)
        page.reload()
        enter.click()
        expect(name).to_have_value("shelf cider vinegar")
        page.get_by_role("button", name="Begin again").click()
        expect(name).to_have_value("")
        like.fill("cider vinegar")
        like.press("Enter")
        page.get_by_label("Allergens it names").fill("none")
        name.fill("shelf vinegar")
        held = Held(page, "**/api/own-ingredients", "POST")
        keep = page.get_by_role("button", name="Keep this ingredient")
        keep.click()
        name.fill("shelf vinegar, strong")
        with page.expect_response("**/api/own-ingredients"):
            held.let_go()
        expect(name).to_have_value("shelf vinegar, strong")
        keep.click()
        expect(name).to_have_count(0)
        self.assertEqual([one["said"]["name"] for one in self.ask("/api/own-ingredients")], ["shelf vinegar, strong"])
        enter.click()
        expect(name).to_have_value("")

    def test_before_it_is_sent(self) -> None:
        """A line that is not entered and a list that is not started: looked elsewhere, reloaded."""
        batch = self.batch("Slip skewers")
        page = self.open(f"/batch/{batch}/mix")
        entry = page.get_by_role("textbox", name="Add an ingredient")
        entry.fill("2 tbsp cider")
        page.get_by_role("link", name=re.compile("^Hold")).click()
        expect(page.get_by_role("tab", name="Limits")).to_be_visible()
        page.get_by_role("link", name=re.compile("^Mix")).click()
        expect(entry).to_have_value("2 tbsp cider")
        page.reload()
        entry.press("End")
        page.keyboard.type(" vinegar")
        entry.press("Enter")
        expect(page.get_by_role("textbox", name="What you wrote: 2 tbsp cider vinegar")).to_be_visible()
        expect(entry).to_have_value("")
        page.reload()
        expect(entry).to_have_value("")
        page.get_by_role("link", name="Counter").first.click()
        page.get_by_role("button", name="Paste an ingredient list").click()
        page.get_by_label("One ingredient a line").fill("200 g yoghurt")
        page.get_by_role("link", name="Pantry").click()
        expect(page.get_by_role("searchbox", name="Look for")).to_be_visible()
        page.reload()
        page.get_by_role("link", name="Counter").first.click()
        expect(page.get_by_label("One ingredient a line")).to_have_value("200 g yoghurt")
        page.get_by_role("button", name="Start with this list").click()
        expect(page.get_by_role("textbox", name="What you wrote: 200 g yoghurt")).to_be_visible()
        page.get_by_role("link", name="Counter").first.click()
        expect(page.get_by_role("button", name="Paste an ingredient list")).to_be_visible()

    def test_at_the_scale(self) -> None:
        """Another device presses something: the grams that are being typed for the line stay."""
        batch = self.batch("Quick flank")
        last = self.ask(f"/api/weigh/{batch}")["lines"][-1]["id"]
        page = self.open(f"/batch/{batch}/weigh")
        grams = page.get_by_role("textbox", name=re.compile("^Grams of"))
        grams.fill("123")
        self.press_elsewhere(batch, "skipped", line_id=last)
        expect(page.get_by_role("complementary", name="All ingredients")).to_contain_text("skipped")
        expect(grams).to_have_value("123")

    def test_an_answer_of_before(self) -> None:
        """What was asked before a press and is answered after it does not put back what was before it."""
        mix = [{"id": text[-3:], "text": text} for text in ("20 g table salt", "80 g honey", "100 g olive oil")]
        cut = {"kind": "chicken_thigh", "mass": "1 kg"}
        made = self.ask("/api/batches", {"name": "Slip thighs", "cut": cut, "mix": mix})
        page = self.open(f"/batch/{made['id']}/weigh")
        held = Held(page, "**/api/weigh/*", "GET", answers=True)
        held.wait()
        skip, all_lines = page.get_by_role("button", name="Skip it for now"), page.get_by_role("complementary")
        skip.click()
        expect(all_lines.get_by_text("skipped: still to weigh")).to_have_count(1)
        held.let_go()
        skip.click()
        expect(all_lines.get_by_text("skipped: still to weigh")).to_have_count(2)
        expect(page.get_by_text("pressed on another device")).to_have_count(0)
        page.unroute_all(behavior="wait")

    def test_at_the_heat(self) -> None:
        """A core that is typed while the one before is noted is noted in its turn, and nothing else."""
        batch = self.batch("Saturday legs")
        lines = self.ask(f"/api/weigh/{batch}")["lines"]
        for line in lines:
            self.press_elsewhere(batch, "weighed", line_id=line["id"], mass_g=line["target_g"], how="typed")
        self.press_elsewhere(batch, "tasted")
        self.press_elsewhere(batch, "set_aside", mass_g=0)
        page = self.open(f"/batch/{batch}/weigh")
        self.look_elsewhere_from(page.get_by_label("The meat weighs"), "2.55 kg")
        self.press_elsewhere(batch, "contact", mass_g=2600)
        later = page.get_by_label("What was added later")
        page.get_by_label("Grams added later").fill("15 g")
        self.look_elsewhere_from(later, "lemon juice")
        page.get_by_role("button", name="Note it as later").click()
        expect(page.get_by_role("list", name="What happened")).to_contain_text("15 g lemon juice added later")
        expect(later).to_have_value("")
        self.press_elsewhere(batch, "pulled")
        page.goto(f"{self.kitchen.address}/batch/{batch}/fire")
        page.get_by_role("tab", name="Done").click()
        probe = page.get_by_role("region", name="the probe")
        core = probe.get_by_label("Core in degrees")
        held = Held(page, "**/api/weigh/*", "POST")
        core.fill("20")
        probe.get_by_role("button", name="Note the core").click()
        core.fill("35")
        held.let_go()
        expect(probe).to_contain_text("20 °C")
        expect(core).to_have_value("35")
        probe.get_by_role("button", name="Note the core").click()
        held.let_go()
        expect(probe).to_contain_text("35 °C")
        expect(core).to_have_value("")


if __name__ == "__main__":
    unittest.main()
