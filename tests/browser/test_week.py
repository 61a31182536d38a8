"""The demo on every weekday at five hours by turns, at changes of the clock, and at ends of months and years."""

from __future__ import annotations

import tempfile
import threading
import unittest
from collections.abc import Collection, Iterable
from datetime import UTC, datetime, timedelta
from pathlib import Path
from typing import Any, ClassVar
from zoneinfo import ZoneInfo

import uvicorn
from fastapi.testclient import TestClient
from playwright.sync_api import Page, ViewportSize
from starlette.types import ASGIApp, Receive, Scope, Send

from tests.browser.support import LAPTOP, PHONE, Traffic, the_browser
from vadouvan.cli.serving import listener_on
from vadouvan.main import build
from vadouvan.settings import Settings

LISBON, NEW_YORK = ZoneInfo("Europe/Lisbon"), ZoneInfo("America/New_York")
HOURS = ((0, 5), (7, 30), (12, 45), (18, 55), (23, 50))
ASKED, SHOWN = (0, 2, 3), (0, 2)
MONDAY = datetime(2026, 11, 23, tzinfo=LISBON)
TOO_WIDE = "document.documentElement.scrollWidth - innerWidth"


class Switchboard:
    """One address for one kitchen after another."""

    def __init__(self) -> None:
        self.kitchen: ASGIApp | None = None

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Hand a request to the kitchen that is on."""
        assert self.kitchen is not None
        await self.kitchen(scope, receive, send)


class Week(unittest.TestCase):
    """Counter, Today and the planner at phone and laptop widths."""

    page: ClassVar[Page]
    board: ClassVar[Switchboard]
    address: ClassVar[str]
    zone = "Europe/Lisbon"

    @classmethod
    def setUpClass(cls) -> None:
        """One server whose kitchen is exchanged, and one page."""
        listener = listener_on(0)
        cls.board, cls.address = Switchboard(), f"http://127.0.0.1:{listener.getsockname()[1]}"
        server = uvicorn.Server(uvicorn.Config(cls.board, log_level="warning", lifespan="off"))
        thread = threading.Thread(target=server.run, kwargs={"sockets": [listener]}, daemon=True)
        thread.start()
        cls.addClassCleanup(thread.join, 5)
        cls.addClassCleanup(setattr, server, "should_exit", True)
        context = the_browser().new_context(viewport=LAPTOP, timezone_id=cls.zone, locale="en-GB")
        cls.addClassCleanup(context.close)
        cls.page = context.new_page()

    def check(self, moments: Iterable[datetime], *, shown: Collection[datetime] | None = None) -> None:
        """The demo first opened at each of these moments; looked at on a page at those that are ``shown``, or all."""
        traffic = Traffic(self.page)
        for moment in moments:
            with self.subTest(moment=f"{moment:%a %Y-%m-%d %H:%M %Z}"), tempfile.TemporaryDirectory() as folder:
                app = build(Settings(data_dir=Path(folder), demo=True, clock=moment))
                self.board.kitchen = app
                self.assert_at_work(TestClient(app, base_url="http://127.0.0.1"), moment)
                if shown is None or moment in shown:
                    self.assert_told(traffic, moment)

    def assert_at_work(self, client: TestClient, moment: datetime) -> None:
        """One in its bag, one being weighed, one on the heat, two later that clash, and they can be planned."""
        batches = {one["draft"]["name"]: one for one in client.get("/api/batches").json()}
        plans = {name: one["judgement"]["plan"] for name, one in batches.items()}
        self.assertEqual({name: plan["trouble"] for name, plan in plans.items()}, dict.fromkeys(plans))
        crown, skewers = plans["Harbour crown"], plans["Slip skewers"]
        self.assertLess(datetime.fromisoformat(crown["contact_at"]), moment - timedelta(hours=12))
        self.assertTrue(skewers["has_come_out"])
        cook = next(step for step in skewers["steps"] if step["id"] == "cook")
        began = datetime.fromisoformat(cook["at"])
        self.assertLessEqual(began, moment + timedelta(minutes=3))
        self.assertGreater(began + timedelta(minutes=cook["minutes"]), moment)
        weigh = client.get(f"/api/weigh/{batches['Quick flank']['id']}").json()
        self.assertEqual((weigh["phase"], sum(bool(line["tares_g"]) for line in weigh["lines"])), ("weigh", 2))
        self.assertGreater(datetime.fromisoformat(plans["Saturday legs"]["meal_at"]), moment + timedelta(hours=24))
        together: Any = client.post("/api/plan/table").json()
        self.assertTrue(any("Saturday legs" in says or "Harbour tofu" in says for says in together["moved"]))
        self.assertTrue(together["proven"])
        self.assertEqual(together["left_out"], [])
        self.assertTrue(client.get("/api/plan/today").json()["steps"])

    def assert_told(self, traffic: Traffic, moment: datetime) -> None:
        """Counter and Today hold what is to be done, within the width of a laptop and a phone."""
        page = self.page
        page.context.clock.set_fixed_time(moment)
        page.set_viewport_size(LAPTOP)
        page.goto(self.address)
        self._assert_told_on(traffic, "what needs hands next", LAPTOP)
        page.get_by_role("link", name="Today").click()
        self._assert_told_on(traffic, "what to do, and when", LAPTOP)
        self._assert_told_on(traffic, "what to do, and when", PHONE)
        page.go_back()
        self._assert_told_on(traffic, "what needs hands next", PHONE)

    def _assert_told_on(self, traffic: Traffic, heading: str, size: ViewportSize) -> None:
        page = self.page
        page.set_viewport_size(size)
        page.get_by_role("heading", name=heading).wait_for()
        page.wait_for_function("wide => innerWidth === wide", arg=size["width"])
        traffic.settle()
        self.assertLessEqual(page.evaluate(TOO_WIDE), 0, (heading, size))


class Weekdays(Week):
    """Each weekday at three of five hours, other ones each day; a page shows two of them."""

    def test_first_half(self) -> None:
        """Monday to Wednesday."""
        self.check(_moments(range(3), ASKED), shown=_moments(range(3), SHOWN))

    def test_second_half(self) -> None:
        """Thursday to Sunday."""
        self.check(_moments(range(3, 7), ASKED), shown=_moments(range(3, 7), SHOWN))


class OddDays(Week):
    """Days on which something else is odd."""

    def test_changes_of_the_clock(self) -> None:
        """Forward and back in Lisbon, half an hour before each."""
        self.check(
            datetime(year, month, day, 0, 35, tzinfo=LISBON) for year, month, day in ((2027, 3, 28), (2026, 10, 25))
        )

    def test_ends_of_months_and_years(self) -> None:
        """29 February and 31 December."""
        self.check(datetime(*day, 12, 45, tzinfo=UTC) for day in ((2028, 2, 29), (2026, 12, 31)))


class Elsewhere(Week):
    """The same from a device in New York."""

    zone = "America/New_York"

    def test_changes_of_the_clock(self) -> None:
        """Forward and back there."""
        self.check(
            datetime(year, month, day, 1, 35, tzinfo=NEW_YORK) for year, month, day in ((2027, 3, 14), (2026, 11, 1))
        )


def _moments(days: Iterable[int], places: Iterable[int]) -> list[datetime]:
    """Hours of each of these days after a Monday: those at these places among the five, one further each day."""
    return [
        MONDAY.replace(hour=h, minute=m) + timedelta(days=day)
        for day in days
        for h, m in (HOURS[(day + place) % len(HOURS)] for place in places)
    ]
