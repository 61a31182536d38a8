"""The kitchen's data are the cook's: tasted, learned from, taken out, removed, taken in, and the same again."""

from __future__ import annotations

import json
import re
import tempfile
import urllib.request
from pathlib import Path
from typing import Any

from playwright.sync_api import Page, expect

from tests.browser.support import BrowserCase
from tests.saturday import saturday_kitchen

RECIPE = {
    "@context": "https://schema.org",
    "@type": "Recipe",
    "name": "Harbour skewers",
    "recipeIngredient": ["1.2 kg lamb shoulder cubes", "2 tsp salt", "juice of 1 lemon"],
    "recipeInstructions": "Mix and wait.",
}


class WholeStory(BrowserCase):
    """The demo kitchen, by keyboard where a file dialog allows it."""

    filled = staticmethod(saturday_kitchen)

    def everything(self) -> list[Any]:
        """What a cook sees of the kitchen, without the numbers that count changes."""
        found = []
        for path in ("batches", "logbook", "taste/correction", "own-ingredients", "settings/routine",
                     "settings/shared", "settings/household"):  # fmt: skip
            with urllib.request.urlopen(f"{self.kitchen.address}/api/{path}") as answer:
                found.append(json.load(answer))
        for batch in found[0]:
            batch.update(revision=0, can_undo=False, judgement={"window": batch["judgement"]["window"]})
        return found

    def press(self, page: Page, name: str, key: str = "Enter") -> None:
        """A button by keyboard."""
        page.get_by_role("button", name=name, exact=True).focus()
        page.keyboard.press(key)

    def test_tasted_taken_out_removed_and_taken_in_again(self) -> None:
        """A verdict moves the correction, its advice goes into the next batch; the archive brings all of it back."""
        page = self.open("/logbook")
        learned = page.get_by_role("region", name="what was learned")
        expect(learned).to_contain_text("In your red meat")
        before = learned.inner_text()
        page.get_by_role("link", name="Pork collar, mustard and cider, longer").click()
        form = page.get_by_role("form", name="A verdict")
        form.get_by_label("Who says it").fill("Ines")
        salt = form.get_by_role("radiogroup", name="salt")
        salt.get_by_role("radio", name="far too little").focus()
        for _ in range(3):
            page.keyboard.press("ArrowRight")
        depth = form.get_by_role("slider", name="Depth seen on the knife")
        for _ in range(14):
            depth.press("ArrowRight")
        self.press(page, "Keep this verdict")
        expect(form.get_by_text("Kept, from Ines.")).to_be_visible()
        advice = page.get_by_role("region", name="next time")
        expect(advice).to_contain_text(re.compile(r"Salt: .* less: .* instead of"))
        expect(advice).to_contain_text(re.compile(r"right through (takes|would take) about \d+ h"))
        expect(advice).to_contain_text(re.compile(r"salt \d+ to \d+ g/kg"))
        self.press(page, "Make the next batch with it")
        expect(page.get_by_role("textbox", name="Add an ingredient")).to_be_visible()
        page.get_by_role("link", name=re.compile("^Taste")).click()
        expect(page.get_by_role("region", name="what was said")).to_contain_text(
            re.compile("Goes on from Pork collar, mustard and cider, longer.*Salt: .* less", re.DOTALL)
        )
        page.goto(f"{self.kitchen.address}/logbook")
        expect(learned).to_contain_text("In your red meat")
        self.assertNotEqual(learned.inner_text(), before)

        self._out_removed_and_in(page)

    def _out_removed_and_in(self, page: Page) -> None:
        """The archive written, the kitchen removed and empty, the archive looked at and taken in: all as it was."""
        kept = self.everything()
        count = len(kept[0]) + kept[1]["count"]
        page.goto(f"{self.kitchen.address}/settings/data")
        with tempfile.TemporaryDirectory() as folder:
            archive = Path(folder) / "kitchen.zip"
            with page.expect_download() as download:
                page.get_by_role("link", name="Write the archive").press("Enter")
            download.value.save_as(archive)
            self.press(page, "Remove everything")
            sure = page.get_by_role("dialog", name="Remove everything?")
            expect(sure.get_by_role("button", name="Remove it")).to_be_disabled()
            sure.get_by_role("textbox").fill("remove everything")
            sure.get_by_role("button", name="Remove it").press("Enter")
            expect(page.get_by_role("status").filter(has_text="Everything was removed")).to_be_visible()
            page.goto(self.kitchen.address)
            expect(page.get_by_text("nothing on the counter yet")).to_be_visible()
            page.goto(f"{self.kitchen.address}/settings/data")
            page.get_by_label("Archive of a kitchen").set_input_files(archive)
            looked = page.get_by_role("region", name="What it would do")
            expect(looked).to_contain_text(f"Would come in: {count} batches")
            self.assertEqual(self.everything()[0], [], "looking changes nothing")
            looked.get_by_text("Each thing in it").click()
            expect(looked.get_by_text("Slip skewers is new here and comes in.")).to_be_visible()
            self.press(page, "Take it in")
            expect(page.get_by_text(f"Taken in: {count} batches")).to_be_visible()
            self.assertEqual(self.everything(), kept)
            page.get_by_label("Archive of a kitchen").set_input_files(archive)
            expect(looked).to_contain_text("Nothing in it is new here.")

    def test_backup_restore_check_and_what_is_none(self) -> None:
        """A copy, put back after a question; all is well; a file of another kind is refused in words."""
        page = self.open("/settings/data")
        kept = self.everything()
        with tempfile.TemporaryDirectory() as folder:
            copy, none = Path(folder) / "kitchen.sqlite", Path(folder) / "none.zip"
            with page.expect_download() as download:
                page.get_by_role("link", name="Write a backup").press("Enter")
            download.value.save_as(copy)
            page.get_by_label("Backup of a kitchen").set_input_files(copy)
            asked = page.get_by_role("dialog", name=re.compile("^Put kitchen.sqlite back"))
            asked.get_by_role("button", name="Put it back").press("Enter")
            expect(page.get_by_role("status").filter(has_text="Put back,")).to_be_visible()
            self.assertEqual(self.everything(), kept)
            self.press(page, "Check what is kept")
            expect(page.get_by_role("status", name="Check")).to_contain_text("All well")
            none.write_bytes(b"none")
            page.get_by_label("Archive of a kitchen").set_input_files(none)
            expect(page.get_by_role("alert")).to_contain_text("not an archive of a kitchen")

    def test_what_cannot_be_read_is_told_where_the_cook_begins(self) -> None:
        """On the Counter, with the way to the backups; nothing where all can be read."""
        page = self.open("/")
        expect(page.get_by_role("heading", name="begin")).to_be_visible()
        expect(page.get_by_text("cannot be read any more")).to_have_count(0)
        told = {
            "says": "1 thing in the kitchen's file cannot be read any more.",
            "rows": 1,
            "findings": ["own cut own-x"],
        }
        page.route("**/api/kitchen/unread", lambda route: route.fulfill(json=told))
        page.reload()
        alert = page.get_by_role("alert")
        expect(alert).to_contain_text("own cut own-x")
        alert.get_by_role("link", name="the kitchen’s data").press("Enter")
        expect(page.get_by_role("link", name="Write a backup")).to_be_visible()

    def test_made_again_from_the_logbook_on_another_cut(self) -> None:
        """By keyboard: a dish of the logbook for half the weight, its amounts worked out anew."""
        page = self.open("/logbook")
        page.get_by_role("button", name="Make it again").first.focus()
        page.keyboard.press("Enter")
        asked = page.get_by_role("dialog")
        asked.get_by_role("textbox", name="Weight").fill("a lot")
        asked.get_by_role("button", name="Make it").press("Enter")
        expect(asked.get_by_role("alert")).to_contain_text("weight")
        asked.get_by_role("textbox", name="Weight").fill("800 g")
        of_what = asked.get_by_role("combobox", name="Of what")
        was = of_what.input_value()
        of_what.fill("chops")
        asked.get_by_role("textbox", name="Weight").click()
        asked.get_by_role("button", name="Make it").press("Enter")
        expect(of_what).to_have_accessible_description(re.compile('"chops" may be one of several cuts'))
        asked.get_by_role("group", name="What may be meant").get_by_role("button").first.click()
        expect(of_what).to_have_accessible_description("")
        of_what.fill(was)
        page.get_by_role("option", name=was, exact=True).click()
        asked.get_by_role("button", name="Make it").press("Enter")
        expect(page.get_by_role("textbox", name="Add an ingredient")).to_be_visible()
        page.get_by_role("link", name=re.compile("^Taste")).click()
        expect(page.get_by_role("region", name="what was said")).to_contain_text("800 g instead of")

    def test_a_household_and_a_recipe_from_elsewhere(self) -> None:
        """Somebody keeps off milk, and the mix says so; a recipe is read in with what was not taken over."""
        page = self.open("/settings/household")
        form = page.get_by_role("form", name="Household")
        form.get_by_role("checkbox", name="milk").press("Space")
        form.get_by_role("textbox", name=re.compile("low in salt")).fill("some")
        form.get_by_role("button", name="Keep the household").press("Enter")
        expect(form.get_by_text("Write how many").first).to_be_visible()
        form.get_by_role("textbox", name=re.compile("low in salt")).fill("1")
        form.get_by_role("button", name="Keep the household").press("Enter")
        expect(form.get_by_text("Kept. Every mix is judged for it.")).to_be_visible()
        page.goto(self.kitchen.address)
        page.get_by_role("link", name=re.compile("Saturday legs")).first.click()
        expect(page.get_by_text(re.compile(r"Has milk \(yogh?urt.*\): somebody in your household"))).to_be_visible()
        page.goto(self.kitchen.address)
        with tempfile.TemporaryDirectory() as folder:
            path = Path(folder) / "recipe.jsonld"
            path.write_text(json.dumps(RECIPE))
            page.get_by_label("Batch file, recipe or list").set_input_files(path)
            expect(page.get_by_text("Its instructions were not taken over")).to_be_visible()
            expect(page.get_by_role("heading", name="Harbour skewers: cut")).to_be_attached()
        page.goto(f"{self.kitchen.address}/settings/household")
        form.get_by_role("checkbox", name="milk").press("Space")
        form.get_by_role("button", name="Keep the household").press("Enter")
        expect(form.get_by_text("Kept. Every mix is judged for it.")).to_be_visible()

    def test_light_and_units_of_this_device(self) -> None:
        """As the device asks for, or chosen; ounces, inches and a 12-hour clock wherever something is told."""
        page = self.open("/settings/device")
        page.emulate_media(color_scheme="dark")
        light = page.get_by_role("radiogroup", name="Light")
        light.get_by_role("radio", name="as the device").click()
        expect(page.locator("html")).to_have_attribute("data-theme", "evening")
        page.emulate_media(color_scheme="light")
        expect(page.locator("html")).to_have_attribute("data-theme", "light")
        light.get_by_role("radio", name="evening").click()
        expect(page.locator("html")).to_have_attribute("data-theme", "evening")
        page.get_by_role("radiogroup", name="Told in").get_by_role("radio", name="ounces").click()
        page.get_by_role("radiogroup", name="Clock").get_by_role("radio", name="7:00 pm").click()
        draft = {
            "name": "Inches", "cut": {"kind": "pork_chop_bone", "mass": "1.2 kg", "thickness": "30 mm"},
            "mix": [{"id": "1", "text": "30 g salt"}],
            "meal": {"start": "2026-11-28T19:00", "time_zone": "Europe/Lisbon"},
        }  # fmt: skip
        made = self.ask("/api/batches", draft)
        page.goto(f"{self.kitchen.address}/batch/{made['id']}/mix")
        expect(page.get_by_text("1.1", exact=True)).to_be_visible()
        expect(page.get_by_text("oz", exact=True)).to_be_visible()
        page.get_by_role("link", name=re.compile("^Hold")).click()
        expect(page.get_by_text(re.compile(r"\d:\d\d [ap]m")).first).to_be_visible()
        expect(page.get_by_role("img", name="1 1/8 in thick").first).to_be_visible()

    def test_letters_as_keys_jump_and_are_turned_off(self) -> None:
        """From part to part of a page and back; turned off, a letter does nothing."""
        draft = {"name": "Keys", "cut": {"kind": "pork_chop_bone"}, "mix": [{"id": "1", "text": "5 g salt"}]}
        made = self.ask("/api/batches", draft)
        page = self.open(f"/batch/{made['id']}/mix")
        page.get_by_role("tab", name="Balance").wait_for()
        page.keyboard.press("Escape")
        page.evaluate("document.activeElement.blur()")
        named = "document.activeElement.getAttribute('aria-label') ?? document.activeElement.textContent.slice(0, 20)"
        parts = []
        for _ in range(12):
            page.keyboard.press("j")
            parts.append(page.evaluate(named))
        self.assertIn("Balance", parts)
        self.assertGreater(len(set(parts)), 2)
        self.assertEqual(parts[0], parts[len(set(parts))], "from the last to the first")
        page.keyboard.press("J")
        self.assertEqual(page.evaluate(named), parts[-2])
        page.goto(f"{self.kitchen.address}/settings/device")
        page.get_by_role("radiogroup", name="Single letters as keys").get_by_role("radio", name="do nothing").click()
        page.evaluate("document.activeElement.blur()")
        page.keyboard.press("p")
        page.keyboard.press("g")
        self.assertTrue(page.url.endswith("/settings/device"))


class FirstMinute(BrowserCase):
    """An empty kitchen: no sign-up, no tour."""

    def test_one_press_to_a_judgement(self) -> None:
        """Three starts with a line on each; one press, and the judgement stands there."""
        page = self.open("/")
        starts = page.get_by_role("list", name="Examples").get_by_role("button")
        expect(starts).to_have_count(3)
        starts.first.press("Enter")
        expect(page.get_by_text(re.compile("Pull (?:between|by)"))).to_be_visible()
