"""Tasted, learned from, and made again with what was learned."""

from __future__ import annotations

import re

from playwright.sync_api import FilePayload, expect

from tests.browser.support import BrowserCase
from tests.photographs import photograph
from tests.saturday import saturday_kitchen


class Tasting(BrowserCase):
    """The demo kitchen."""

    filled = staticmethod(saturday_kitchen)

    def test_a_verdict_goes_into_the_next_batch_and_moves_the_correction(self) -> None:
        """Two eaters and a depth; advice in grams; one press makes the next batch; what is learned has moved."""
        page = self.open("/logbook")
        learned = page.get_by_role("region", name="what was learned")
        before = learned.inner_text()
        page.get_by_role("link", name="Papaya-ginger beef skewers").click()
        form = page.get_by_role("form", name="A verdict")
        form.get_by_label("Who says it").fill("Tobiah")
        form.get_by_label("A note").fill("the edge")
        form.get_by_role("radiogroup", name="salt").get_by_role("radio", name="far too much").click()
        page.reload()  # what is said so far is held on the device until it is kept
        expect(form.get_by_label("A note")).to_have_value("the edge")
        expect(form.get_by_role("radiogroup", name="salt").get_by_role("radio", name="far too much")).to_be_checked()
        form.get_by_role("radiogroup", name="tenderness").get_by_role("radio", name="mushy").click()
        depth = form.get_by_role("slider", name="Depth seen on the knife")
        section = form.get_by_role("img", name=re.compile("^Section to scale, 28 mm thick"))
        drawn = section.locator("rect.cursor-crosshair")
        box = drawn.bounding_box()
        assert box is not None
        drawn.click(position={"x": box["width"] / 2, "y": box["height"] / 4})
        expect(depth).to_have_attribute("aria-valuetext", "7 mm")
        for _ in range(8):
            depth.press("ArrowRight")
        form.get_by_role("button", name="Keep this verdict").click()
        expect(form.get_by_text("Kept, from Tobiah.")).to_be_visible()
        said = page.get_by_role("region", name="what was said")
        expect(said).to_contain_text("seen to 11 mm")
        said.get_by_role("button", name="Take back what Tobiah said").click()
        expect(said).not_to_contain_text("seen to 11 mm")
        said.get_by_role("button", name="Put it back").click()
        expect(said).to_contain_text("seen to 11 mm")
        advice = page.get_by_role("region", name="next time")
        expect(advice).to_contain_text(re.compile(r"Salt: .* less"))
        expect(advice).to_contain_text("papaya instead of 180 g")
        advice.get_by_role("button", name="Make the next batch with it").click()
        expect(page.get_by_role("textbox", name="Add an ingredient")).to_be_visible()
        page.get_by_role("link", name=re.compile("^Taste")).click()
        expect(page.get_by_role("region", name="what was said")).to_contain_text(
            "Goes on from Papaya-ginger beef skewers"
        )
        page.goto(f"{self.kitchen.address}/logbook")
        expect(learned).to_contain_text("from 3 depths")
        self.assertNotEqual(learned.inner_text(), before)
        learned.get_by_text("What it rests on").click()
        learned.get_by_role("button", name="Forget Papaya-ginger beef skewers").click()
        expect(learned).not_to_contain_text("from 3 depths")

    def test_side_by_side_and_found_again(self) -> None:
        """Two runs of a dish: only what differs; the thread; a search that finds one."""
        page = self.open("/logbook")
        for name in ("Pork collar, mustard and cider", "Pork collar, mustard and cider, longer"):
            page.get_by_role("checkbox", name=f"{name} side by side", exact=True).check()
        beside = page.get_by_role("region", name="Side by side")
        expect(beside.get_by_role("row", name=re.compile("^fine salt"))).to_contain_text("17 g")
        expect(beside).not_to_contain_text("mustard 80")
        beside.get_by_role("button", name="Close").click()
        page.get_by_role("button", name=re.compile("^Cut ")).click()
        page.get_by_role("option", name="quail, whole or spatchcocked").click()
        expect(page.get_by_text("2 found")).to_be_visible()
        page.get_by_role("button", name=re.compile("^Cut ")).click()
        page.get_by_role("option", name="anything").click()
        page.get_by_label("Search").fill("one to keep")
        expect(page.get_by_text("1 found")).to_be_visible()
        page.get_by_role("button", name="All repeats of this dish").click()
        thread = page.get_by_role("list", name="Repeats of this dish")
        expect(thread.get_by_role("listitem")).to_have_count(2)

    def test_a_photograph_tells_the_depth(self) -> None:
        """Kept, three points marked by pointer and keys, the depth in the form; there again after a reload; removed."""
        page = self.open("/logbook")
        page.get_by_role("link", name="Papaya-ginger beef skewers").click()
        face = page.get_by_role("region", name="the cut face")
        picture = FilePayload(name="face.png", mimeType="image/png", buffer=photograph("PNG"))
        face.get_by_label("Keep a photograph").set_input_files(picture)
        shown = face.get_by_role("img", name="The cut face")
        expect(shown).to_have_js_property("complete", True)
        for share in (0.1, 0.9, 0.3):
            box = shown.bounding_box()
            assert box is not None
            shown.click(position={"x": box["width"] / 2, "y": box["height"] * share}, force=True)
        expect(face).to_contain_text("Seasoned 7 mm deep, with 28 mm from face to face.")
        depth = page.get_by_role("slider", name="Depth seen on the knife")
        expect(depth).to_have_attribute("aria-valuetext", "7 mm")
        reached = face.get_by_role("button", name="Seasoned to here")
        for _ in range(10):
            reached.press("ArrowDown")
        expect(depth).to_have_attribute("aria-valuetext", "10.5 mm")
        page.reload()
        expect(face).to_contain_text("Seasoned 10.5 mm deep")
        face.get_by_role("button", name="Remove the photograph").click()
        page.get_by_role("button", name="Leave it").click()
        expect(shown).to_be_visible()
        face.get_by_role("button", name="Remove the photograph").click()
        page.get_by_role("button", name="Remove it").click()
        expect(shown).to_be_hidden()
        face.get_by_label("Keep a photograph").set_input_files({**picture, "buffer": b"no picture"})
        expect(face).to_contain_text("This is no picture, or it was cut short.")
