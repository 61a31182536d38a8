"""Moving through a page with the keyboard alone."""

from __future__ import annotations

from playwright.sync_api import Locator, Page

TABS_AT_MOST = 60


def tab_to(page: Page, target: Locator) -> None:
    """Press Tab until the target has the focus; fail if it cannot be reached."""
    _press_until(page, target, "Tab")


def tab_to_back(page: Page, target: Locator) -> None:
    """Press Shift+Tab until the target has the focus."""
    _press_until(page, target, "Shift+Tab")


def answer(page: Page, question: str, text: str) -> None:
    """Reach a field by Tab and type into it, over what is there."""
    tab_to(page, page.get_by_role("textbox", name=question, exact=True))
    page.keyboard.press("Control+A")
    page.keyboard.type(text)


def _press_until(page: Page, target: Locator, key: str) -> None:
    for _ in range(TABS_AT_MOST):
        if target.evaluate("element => element === document.activeElement"):
            return
        page.keyboard.press(key)
    raise AssertionError(f"{target} cannot be reached with {key}")
