"""Where the focus goes when what had it is gone, and that what has it is seen: by keyboard, and under a finger."""

from __future__ import annotations

import re
from collections.abc import Callable

from playwright.sync_api import Locator, Page, expect
from playwright.sync_api import TimeoutError as PlaywrightTimeout

from tests.browser.support import PHONE, BrowserCase, Held
from tests.saturday import saturday_kitchen

HAS_FOCUS = """() => { const e = document.activeElement
    return e === document.body ? 'nothing' : e.getAttribute('aria-label') ?? e.innerText.trim() }"""
UNDER_THE_FOOT = """() => { const e = document.activeElement, foot = document.querySelector('footer')
    if (e === document.body || foot === null || foot.contains(e)) return false
    if (getComputedStyle(foot).position !== 'sticky') return false
    const box = e.getBoundingClientRect(), edge = foot.getBoundingClientRect().top
    return box.height > 0 && box.bottom > edge + 2 && box.height < edge }"""
MOST_TABS = 120
LETS_GO_LATE = """async () => { const e = document.activeElement
    Object.defineProperty(document, 'activeElement', { get: () => e, configurable: true })
    e.disabled = true
    await new Promise((done) => setTimeout(done, 800))
    delete document.activeElement
    e.disabled = false }"""


class Kept(BrowserCase):
    """Nothing that is pressed leaves a cook with a keyboard, or a reader, outside of the page."""

    filled = staticmethod(saturday_kitchen)

    def path(self, name: str, stage: str) -> str:
        """Where a stage of a batch is."""
        found = next(one["id"] for one in self.ask("/api/batches") if one["draft"]["name"] == name)
        return f"/batch/{found}/{stage}"

    def press(self, page: Page, button: Locator) -> None:
        """With the keyboard."""
        button.focus()
        page.keyboard.press("Enter")

    def expect_focus(self, page: Page, wanted: str | re.Pattern[str]) -> None:
        """What has the focus, by its name or its words, within a moment."""
        page.wait_for_function("() => document.activeElement !== document.body")
        self.traffic.settle()
        pattern = wanted.pattern if isinstance(wanted, re.Pattern) else wanted
        is_there = f"pattern => new RegExp(pattern).test(({HAS_FOCUS})())"
        try:
            page.wait_for_function(is_there, arg=pattern)
        except PlaywrightTimeout:
            self.fail(f"{page.evaluate(HAS_FOCUS)!r} has the focus, not {pattern!r}")

    def from_menu(self, page: Page, menu: str | re.Pattern[str], item: str | re.Pattern[str]) -> None:
        """An item of a menu."""
        self.press(page, page.get_by_role("button", name=menu).first)
        page.get_by_role("menuitem", name=item).hover()
        page.keyboard.press("Enter")

    def test_in_the_mix(self) -> None:
        """A line taken out leaves the next one; what stands in the place of an offer; a dialog, and back from it."""
        page = self.open(self.path("Saturday legs", "mix"))
        offer = page.get_by_role("button", name=re.compile("^Bring the salt"))
        self.press(page, offer.first)
        expect(offer).to_have_count(0)
        self.expect_focus(page, "Yoghurt")
        self.from_menu(page, "What to do with 600 g yoghurt", re.compile("^Take out"))
        self.expect_focus(page, "^(?!.*oghurt)")
        self.from_menu(page, "More", "Throw away")
        expect(page.get_by_role("button", name="Leave it")).to_be_focused()
        page.evaluate("document.activeElement.blur()")  # as a late part of the page may: a dialog gets it back
        expect(page.get_by_role("button", name="Leave it")).to_be_focused()
        page.keyboard.press("Escape")
        expect(page.get_by_role("button", name="More")).to_be_focused()

    def test_at_the_scale(self) -> None:
        """What is weighed or skipped leaves the next ingredient's figure, also where the scale has something on it."""
        self.ask("/api/devices/bench", {"action": "put", "amount": 50})
        page = self.open(self.path("Saturday legs", "weigh"))
        grams = page.get_by_label(re.compile("^Grams of"))
        for button in ("It is in", "Skip it for now"):
            before = grams.get_attribute("aria-label") or ""
            expect(page.get_by_role("button", name="It is in")).to_be_enabled(timeout=10_000)
            if button == "It is in":
                grams.fill("600")
            self.press(page, page.get_by_role("button", name=button))
            expect(page.get_by_label(before, exact=True)).to_have_count(0)
            self.expect_focus(page, "^Grams of")
        self.press(page, page.get_by_role("button", name="Take it back"))
        self.expect_focus(page, "Take it back|^Grams of")

    def test_at_the_scale_with_a_slow_answer(self) -> None:
        """Longer than is waited for: it is never lost to a part that is folded."""
        page = self.open(self.path("Saturday legs", "weigh"))
        self.press(page, page.get_by_role("button", name="Skip it for now"))
        self.expect_focus(page, "^Grams of")

        held = Held(page, "**/api/weigh/**", "POST")
        self.press(page, page.get_by_role("button", name="Take it back"))
        expect(page.get_by_role("button", name="Take it back")).to_be_disabled()
        page.wait_for_function("() => document.activeElement !== document.body")  # not answered yet
        held.let_go()
        self.expect_focus(page, "Take it back|^Grams of|Skip")

    def test_on_a_slow_machine(self) -> None:
        """The browser draws late, and lets go of a button that is being answered only when the answer comes."""
        page = self.open(self.path("Saturday legs", "weigh"))
        page.get_by_role("button", name="Skip it for now").focus()
        page.evaluate(LETS_GO_LATE)
        expect(page.get_by_role("button", name="Skip it for now")).to_be_focused()

    def test_on_the_way(self) -> None:
        """Another view and a batch begun have it on what they show; a list to paste, where it is pasted."""
        page = self.open("/")
        self.press(page, page.get_by_role("button", name="Paste an ingredient list"))
        expect(page.locator("textarea")).to_be_focused()
        self.press(page, page.get_by_role("link", name="Today"))
        expect(page.get_by_role("heading", name="what to do, and when")).to_be_visible()
        expect(page.locator("main")).to_be_focused()
        page = self.open("/")
        page.keyboard.press("n")
        expect(page.get_by_role("combobox", name="What is it?")).to_be_visible()
        expect(page.locator("main")).to_be_focused()

    def test_under_a_finger_no_letters_come_up(self) -> None:
        """The next ingredient has it, and not its field."""
        context = self.another_context(viewport=PHONE, has_touch=True)
        page = context.new_page()
        page.goto(self.kitchen.address + self.path("Saturday legs", "weigh"))
        first = page.get_by_label(re.compile("^Grams of")).get_attribute("aria-label") or ""
        page.get_by_role("button", name="Skip it for now").tap()
        expect(page.get_by_label(first, exact=True)).to_have_count(0)
        page.wait_for_function("() => document.activeElement !== document.body")
        self.assertEqual(page.evaluate("document.activeElement.matches('input, textarea')"), False)

    def test_what_has_it_is_never_under_the_foot(self) -> None:
        """Tab by Tab on a phone, where the foot stays while the page moves."""
        stages: tuple[Callable[[], str], ...] = (
            lambda: self.path("Saturday legs", "mix"),
            lambda: self.path("Saturday legs", "cut"),
        )
        for path in (stage() for stage in stages):
            page = self.open(path, phone=True)
            hidden = []
            for _ in range(MOST_TABS):
                page.keyboard.press("Tab")
                if page.evaluate(UNDER_THE_FOOT):
                    hidden.append(page.evaluate(HAS_FOCUS))
                if page.evaluate("document.querySelector('footer')?.contains(document.activeElement)"):
                    break
            self.assertEqual(hidden, [], path)
            page.close()
