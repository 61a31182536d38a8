"""Every screen in both themes and sizes: axe finds nothing, nothing overflows sideways, targets suit wet hands."""

from __future__ import annotations

import tempfile
import urllib.request
from pathlib import Path
from typing import Any

from axe_playwright_python.sync_playwright import Axe
from playwright.sync_api import Page, ViewportSize, expect

from tests.browser.support import LAPTOP, PHONE, BrowserCase
from tests.saturday import saturday_kitchen

TABLET, SMALLEST = ViewportSize(width=768, height=1024), ViewportSize(width=320, height=568)
VIEWS = (
    "/", "/logbook", "/pantry", "/learn", "/settings", "/settings/household", "/settings/data", "/settings/device",
    "/cautions", "/today",
)  # fmt: skip
COLOURS, OFF = ("color-contrast", "link-in-text-block"), {"enabled": False}
STAGES = ("cut", "mix", "hold", "weigh", "fire", "taste")
SMALL_TARGETS = """() => [...document.querySelectorAll('.act, .said, label:has(> [type=radio]), nav a, header button')]
    .filter(e => e.offsetParent && e.getBoundingClientRect().height < 44)
    .map(e => e.outerHTML.slice(0, 90))"""


class Looked(BrowserCase):
    """The Saturday kitchen, and what is asked of any screen."""

    filled = staticmethod(saturday_kitchen)

    def assert_clean(self, page: Page, where: str, part: str | None = None) -> None:
        """No finding of axe; the colours, which take it nine tenths of its time, only of the part that is new there.

        What axe asks of the page's styles is asked of whole views, since all have the same.
        """
        part_only = {"rules": dict.fromkeys(COLOURS, OFF), "preload": False}
        self.assert_finds_nothing(page, where, {} if part is None else part_only)
        if part is not None:
            self.assert_colours(page, where, part)

    def assert_clean_in_both_lights(self, page: Page, where: str, part: str) -> None:
        """Every rule by day; in the evening the colours, since they alone go by the light."""
        self.assert_clean(page, where, part)
        self.in_light(page, "evening")
        self.assert_colours(page, f"{where} in the evening", part)
        self.in_light(page, "light")

    def assert_colours(self, page: Page, where: str, part: str) -> None:
        """The colours of a part of the page can be told apart."""
        page.locator(part).first.wait_for(state="attached")
        self.assert_finds_nothing(page, where, {"runOnly": {"type": "rule", "values": COLOURS}, "preload": False}, part)

    def assert_finds_nothing(self, page: Page, where: str, options: dict[str, Any], part: str | None = None) -> None:
        """What axe tells of a page, or of a part of it, is nothing."""
        if not page.evaluate("'axe' in window"):
            page.evaluate(Axe().axe_script)
        run = "([part, options]) => axe.run(part ?? document, { resultTypes: ['violations'], ...options })"
        told = [
            f"{v['id']}: {[n['html'][:120] for n in v['nodes'][:3]]}"
            for v in page.evaluate(run, [part, options])["violations"]
        ]
        with self.subTest(where=where):
            self.assertEqual(told, [])

    def in_light(self, page: Page, theme: str) -> None:
        """The same page in another light, as the bulb in its head makes it."""
        page.evaluate("theme => { document.documentElement.dataset.theme = theme }", theme)

    def assert_fits(self, page: Page, path: str, size: ViewportSize) -> None:
        """No wider than a laptop or a phone; on a laptop a batch and the Counter need no scrolling."""
        page.set_viewport_size(size)
        page.wait_for_function("wide => innerWidth === wide", arg=size["width"])
        self.traffic.settle()
        # What is drawn to the width of its place is drawn anew a moment after the screen has another.
        page.evaluate("() => new Promise(done => setTimeout(() => requestAnimationFrame(done), 300))")
        with self.subTest(path=path, size=size):
            self.assertRegex(page.title(), r"^\S.* · Vadouvan$")
            wide, high = page.evaluate(
                "[document.documentElement.scrollWidth - innerWidth,"
                " document.documentElement.scrollHeight - innerHeight]"
            )
            self.assertLessEqual(wide, 0)
            if size == LAPTOP and (path == "/" or path.startswith("/batch/")):
                self.assertLessEqual(high, 0)
            if size == PHONE:
                self.assertEqual(page.evaluate(SMALL_TARGETS), [])

    def assert_fits_in_large_letters(self, page: Page, path: str) -> None:
        """No wider than a laptop whose owner has set letters twice as large."""
        page.set_viewport_size(LAPTOP)
        letters = page.context.new_cdp_session(page)
        letters.send("Page.setFontSizes", {"fontSizes": {"standard": 32, "fixed": 26}})
        page.wait_for_function("getComputedStyle(document.documentElement).fontSize === '34px'")
        self.traffic.settle()
        with self.subTest(path=path, letters="twice as large"):
            self.assertLessEqual(page.evaluate("document.documentElement.scrollWidth - innerWidth"), 0)

    def look_at(self, *paths: str) -> None:
        """Each screen on a laptop by day and on the smallest phone in the evening; it fits all between."""
        for path in paths:
            page = self.open(path)
            if path == "/pantry":  # a long list of rows that are all alike is looked at by a few of them
                page.get_by_role("searchbox", name="Look for").fill("vinegar")
                self.traffic.settle()
            self.assert_clean(page, path)
            self.assert_fits(page, path, LAPTOP)
            for size in (TABLET, PHONE, SMALLEST):
                self.assert_fits(page, path, size)
            self.in_light(page, "evening")
            self.assert_clean(page, f"{path} in the evening, on a small phone")
            self.assert_fits_in_large_letters(page, path)
            page.close()


class Views(Looked):
    """Everything that is not a batch."""

    def test_each(self) -> None:
        """Clean, and within the screen."""
        self.look_at(*VIEWS)


class ForcedColours(Looked):
    """Where the reader's own colours are forced."""

    def test_what_is_chosen_looks_another(self) -> None:
        """A tab, a stage, an answer: each chosen one has another ground than those beside it."""
        context = self.another_context(forced_colors="active")
        page = context.new_page()
        ground = "e => getComputedStyle(e).backgroundColor"
        identity = self.ask("/api/batches")[0]["id"]
        for path, chosen, beside in (
            (f"/batch/{identity}/mix", "[role=tab][aria-selected=true]", "[role=tab][aria-selected=false]"),
            (f"/batch/{identity}/mix", "header a[aria-current=page]", "header a[href$='/hold']"),
        ):
            with self.subTest(path=path, chosen=chosen):
                page.goto(self.kitchen.address + path)
                one = page.locator(chosen).first
                one.wait_for()
                self.assertNotEqual(one.evaluate(ground), page.locator(beside).first.evaluate(ground))


class Stages(Looked):
    """A batch, stage by stage."""

    def test_each(self) -> None:
        """Clean, and within the screen."""
        identity = self.ask("/api/batches")[0]["id"]
        self.look_at(*(f"/batch/{identity}/{stage}" for stage in STAGES))


class Printed(Looked):
    """A view on paper."""

    def test_what_it_shows_and_nothing_that_is_pressed(self) -> None:
        """The name of the batch, all lines, one under another; no tins, no foot, no place to type."""
        page = self.open(f"/batch/{self.ask('/api/batches')[0]['id']}/mix")
        page.emulate_media(media="print")
        expect(page.get_by_role("heading", level=1)).to_be_in_viewport()
        for part in ("header", "footer", ".act"):
            self.assertEqual(page.locator(f"{part} >> visible=true").count(), 0, part)
        lines = page.locator("main ol > li")
        last = lines.last.bounding_box()
        self.assertGreater(lines.count(), 5)
        assert last is not None
        self.assertLessEqual(
            last["y"] + last["height"], page.evaluate("document.querySelector('main').getBoundingClientRect().bottom")
        )


class Drawers(Looked):
    """What opens within a screen."""

    def test_of_the_mix(self) -> None:
        """Drawer by drawer; the swaps of a line."""
        page = self.open(f"/batch/{self.ask('/api/batches')[0]['id']}/mix")
        for name in ("Aims", "Taste", "Quantity", "Making", "Plate"):
            page.get_by_role("tab", name=name).click()
            if name == "Taste":
                page.get_by_role("radio", name="sour").click()
                self.traffic.settle()
            if name == "Plate":
                page.get_by_role("button", name="Add a glaze, sauce, dip").click()
                page.get_by_label("one ingredient a line").last.fill("80 g honey\nsome magic dust")
                self.traffic.settle()
            self.assert_clean_in_both_lights(page, name, "[role=tabpanel]")
        page.get_by_role("tab", name="Balance").click()
        page.get_by_role("button", name="What to do with 600 g yoghurt").click()
        page.get_by_role("menuitem", name="Swap for something else").click()
        self.traffic.settle()
        self.assert_clean_in_both_lights(page, "swap", "dialog")

    def test_of_the_hold(self) -> None:
        """Drawer by drawer."""
        page = self.open(f"/batch/{self.ask('/api/batches')[0]['id']}/hold")
        for name in ("Answers", "Plan", "Vessel", "Curve"):
            page.get_by_role("tab", name=name).click()
            self.assert_clean_in_both_lights(page, name, "[role=tabpanel]")

    def test_of_other_views(self) -> None:
        """A lesson answered; a label being entered."""
        page = self.open("/learn")
        page.get_by_role("radio", name="twice as deep").click()
        self.traffic.settle()
        self.assert_clean_in_both_lights(page, "learn", "main")
        page.close()
        page = self.open("/pantry")
        page.get_by_role("button", name="Enter from a label").click()
        page.get_by_role("textbox", name="The label, line by line").fill("Salt 3 g")
        self.traffic.settle()
        self.assert_clean_in_both_lights(page, "label", "dialog")


class AtTheCounter(Looked):
    """A weigh-in, phase by phase."""

    def test_axe_finds_nothing_at_the_counter(self) -> None:
        """Every phase of a weigh-in, on a laptop by day and on a phone in the evening; the fire with a probe in."""
        draft = self.ask("/api/batches")[1]["draft"]
        identity = self.ask("/api/batches", {**draft, "name": "Axe"})["id"]
        lines = self.ask(f"/api/weigh/{identity}")["lines"]
        weighed = [{"kind": "weighed", "line_id": line["id"], "mass_g": line["target_g"] * 1.3} for line in lines]
        steps: list[tuple[str, list[dict[str, object]]]] = [
            ("taste", [{"kind": "skipped", "line_id": lines[0]["id"]}, *weighed]),
            ("set aside", [{"kind": "tasted", "words": "good", "sure": True}]),
            ("contact", [{"kind": "set_aside", "mass_g": 10}]),
            (
                "in the mix",
                [
                    {"kind": "contact", "mass_g": 1800, "celsius": 4, "sure": True},
                    {"kind": "fridge", "celsius": 5},
                ],
            ),
            (
                "out",
                [{"kind": "pulled", "sure": True}, {"kind": "probe", "celsius": 20}, {"kind": "probe", "celsius": 30}],
            ),
        ]
        number = 0
        for where, presses in steps:
            for press in presses:
                number = self.ask(f"/api/weigh/{identity}", {"after": number, **press})["number"]
            page = self.open(f"/batch/{identity}/{'fire' if where == 'out' else 'weigh'}")
            self.assert_clean(page, where)
            page.set_viewport_size(PHONE)
            self.in_light(page, "evening")
            self.assert_clean(page, f"{where} in the evening, on a phone")
            page.close()


class Dialogs(Looked):
    """What opens over Settings and the logbook."""

    def test_axe_finds_nothing_in_what_opens_over_settings_and_logbook(self) -> None:
        """An archive looked at, the questions before something is put back or removed; a dish made again."""
        with tempfile.TemporaryDirectory() as folder:
            archive = Path(folder) / "kitchen.zip"
            with urllib.request.urlopen(f"{self.kitchen.address}/api/kitchen/archive") as answer:
                archive.write_bytes(answer.read())
            for theme, phone in (("light", False), ("evening", True)):
                page = self.open("/settings/data", theme=theme, phone=phone)
                page.get_by_label("Archive of a kitchen").set_input_files(archive)
                page.get_by_text("Each thing in it").click()
                self.assert_clean(page, f"archive {theme}")
                page.get_by_role("button", name="Remove everything").click()
                self.assert_clean(page, f"remove {theme}", "dialog")
                page.get_by_role("dialog").get_by_role("button", name="Leave it").click()
                page.get_by_label("Backup of a kitchen").set_input_files(archive)
                self.assert_clean(page, f"restore {theme}", "dialog")
                page.get_by_role("button", name="Put it back").click()
                page.get_by_role("alert").wait_for()
                self.assert_clean(page, f"refused {theme}", "[role=alert]")
                page.goto(f"{self.kitchen.address}/logbook")
                page.get_by_role("button", name="Make it again").first.click()
                self.assert_clean(page, f"again {theme}", "dialog")
                page.keyboard.press("Escape")
                page.get_by_role("radio", name="a wall of sections").click()
                page.get_by_text("just right").first.wait_for(state="attached")
                self.assert_clean(page, f"wall {theme}", "main")
                self.assertLessEqual(page.evaluate("document.documentElement.scrollWidth - innerWidth"), 0)
                page.close()
