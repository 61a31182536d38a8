"""Plans over HTTP: offers, calendars, the cook's week."""

from __future__ import annotations

import unittest
from datetime import datetime
from typing import Any

from fastapi.testclient import TestClient

from tests.api.kitchen import kitchen_app

SKEWERS: dict[str, Any] = {
    "name": "Skewers",
    "cut": {"kind": "lamb_shoulder_cubes", "mass": "1 kg", "thickness": "30 mm"},
    "mix": [{"id": "1", "text": "12 g salt"}, {"id": "2", "text": "50 g lemon juice"}],
    "meal": {"at": "2026-11-28T19:00", "lead": "60 min", "time_zone": "Europe/Lisbon"},
}


class Plans(unittest.TestCase):
    """One batch with a plan."""

    def setUp(self) -> None:
        """A client on an empty kitchen, and the batch in it."""
        self.client = TestClient(kitchen_app(self), raise_server_exceptions=False, base_url="http://127.0.0.1")
        self.batch = self.client.post("/api/batches", json=SKEWERS).json()

    def test_steps_in_the_judgement(self) -> None:
        """From weighing to serving, with the next that needs hands."""
        plan = self.batch["judgement"]["plan"]
        self.assertEqual([plan["steps"][0]["id"], plan["steps"][-1]["id"]], ["shop", "serve"])
        self.assertEqual(plan["next_step"]["id"], "shop")
        self.assertEqual(plan["due"]["deed"], plan["next_step"]["says"])
        self.assertEqual([plan["due"]["at"], plan["due"]["soon"]], [plan["next_step"]["at"], "later"])
        self.assertRegex(plan["due"]["left"], r"^in \d")

    def test_calendar_out_and_in(self) -> None:
        """What goes out comes back as nothing moved; all batches together too."""
        out = self.client.get(f"/api/plan/{self.batch['id']}/calendar.ics")
        self.assertTrue(out.headers["content-type"].startswith("text/calendar"))
        back = self.client.post(f"/api/plan/{self.batch['id']}/from-calendar", json={"text": out.text}).json()
        self.assertEqual(back["says"], [])
        self.assertIn("Skewers", self.client.get("/api/plan/calendar.ics").text)
        bad = self.client.post(f"/api/plan/{self.batch['id']}/from-calendar", json={"text": "hello"})
        self.assertEqual(bad.status_code, 422)

    def test_today(self) -> None:
        """Nothing in a day, all steps in a week with day and hour; a label that says when it comes out."""
        self.assertEqual(self.client.get("/api/plan/today").json()["steps"], [])
        week = self.client.get("/api/plan/today", params={"hours": 168}).json()
        last = week["steps"][-1]
        self.assertEqual((last["step_id"], last["day"], last["hour"]), ("serve", "Saturday 28 November", "19:00"))
        label = week["labels"][0]
        self.assertEqual((label["batch"], label["comes_out"]), ("Skewers", "Sat 28 Nov 18:00"))
        self.assertTrue(label["meat_told"].endswith("1000 g, raw"), label["meat_told"])
        plan = self.batch["judgement"]["plan"]
        self.assertIn(f"{datetime.fromisoformat(plan['pull_until']):%H:%M}", label["not_after"])
        self.assertGreater(plan["pull_until"], plan["pull_at"])
        self.assertEqual(self.client.get("/api/plan/today", params={"hours": 0}).status_code, 422)

    def test_what_gets_no_label_and_what_is_not_raw(self) -> None:
        """A meal that has been, or that cannot be met, needs no label; tofu is not raw meat."""
        tofu = {**SKEWERS, "cut": {"kind": "tofu_firm", "mass": "500 g", "thickness": "20 mm"}}
        been = {**SKEWERS["meal"], "at": "2026-11-24T19:00", "contact": "2026-11-24T08:00"}
        self.client.post("/api/batches", json={**tofu, "name": "Tofu"})
        self.client.post("/api/batches", json={**SKEWERS, "name": "Eaten", "meal": been})
        soon = {**SKEWERS["meal"], "at": "2026-11-25T09:40"}
        late = self.client.post("/api/batches", json={**SKEWERS, "name": "Late", "meal": soon}).json()
        self.assertIsNotNone(late["judgement"]["plan"]["trouble"])
        labels = {label["batch"]: label for label in self.client.get("/api/plan/today").json()["labels"]}
        self.assertEqual(set(labels), {"Skewers", "Tofu"})
        self.assertTrue(labels["Tofu"]["meat_told"].endswith("500 g"))

    def test_two_batches_at_the_same_hour(self) -> None:
        """Each step before contact says that the other wants hands then."""
        self.client.post("/api/batches", json={**SKEWERS, "name": "More skewers"})
        steps = self.client.get("/api/plan/today", params={"hours": 168}).json()["steps"]
        self.assertIn(["More skewers"], [step["beside"] for step in steps if step["step_id"] == "weigh"])

    def test_offers(self) -> None:
        """A meal in half an hour: later, or thinner; each draft can be taken as it is."""
        late = {**SKEWERS, "meal": {**SKEWERS["meal"], "at": "2026-11-25T09:40"}}
        offers = self.client.post("/api/plan/offers", json={"draft": late}).json()
        self.assertTrue(offers)
        made = self.client.post("/api/batches", json=offers[0]["draft"]).json()
        self.assertIsNone(made["judgement"]["plan"]["trouble"])

    def test_cautions(self) -> None:
        """All with source and date; those of a batch gravest first."""
        everything = self.client.get("/api/cautions").json()
        self.assertTrue(all(caution["source"] and caution["standing"] for caution in everything))
        of_batch = [caution["kind"] for caution in self.client.get(f"/api/cautions/{self.batch['id']}").json()]
        self.assertEqual(of_batch, sorted(of_batch, key=["stop", "warn", "note"].index))
        self.assertIn("warn", of_batch)

    def test_away_besides(self) -> None:
        """Every Saturday morning, and one Friday: the contact keeps out of both; what is no such time is told."""
        week = {"sleep_from": "23:00", "sleep_to": "06:30", "work_from": "", "work_to": "", "work_days": []}
        away = {**week, "away": "saturday 6:30 to 12:00, 2026-11-27 16:00-22:55"}
        self.assertEqual(self.client.put("/api/settings/routine", json=away).status_code, 200)
        contact = self.client.get(f"/api/batches/{self.batch['id']}").json()["judgement"]["plan"]["contact_at"]
        self.assertGreaterEqual(contact, "2026-11-28T12:00")
        stretches = self.client.get("/api/settings/busy", params={"zone": "Europe/Lisbon"}).json()
        self.assertEqual(len([one for one in stretches if one["what"] == "away"]), 3)
        for wrong in ("noon", "sat 25:00 to 26:00", "2026-02-30 08:00 to 09:00", "sat 8:00 to 8:00"):
            bad = self.client.put("/api/settings/routine", json={**week, "away": wrong})
            self.assertEqual((bad.status_code, bad.json()["problems"][0]["field"]), (422, "away"))

    def test_stretches_for_the_rail(self) -> None:
        """Two weeks of nights, in a zone; a zone that is none is refused."""
        stretches = self.client.get("/api/settings/busy", params={"zone": "Europe/Lisbon"}).json()
        self.assertGreaterEqual(len(stretches), 14)
        self.assertEqual({stretch["what"] for stretch in stretches}, {"sleep"})
        self.assertEqual(self.client.get("/api/settings/busy", params={"zone": "Moon"}).status_code, 422)

    def test_the_cooks_week(self) -> None:
        """Sleep from 20:00 to 13:00 moves the contact; bad times are told one by one and not kept."""
        before = self.batch["judgement"]["plan"]["contact_at"]
        week = {"sleep_from": "20:00", "sleep_to": "13:00", "work_from": "", "work_to": "", "work_days": []}
        self.assertEqual(self.client.put("/api/settings/routine", json=week).status_code, 200)
        after = self.client.get(f"/api/batches/{self.batch['id']}").json()["judgement"]["plan"]["contact_at"]
        self.assertNotEqual(before, after)
        bad = self.client.put(
            "/api/settings/routine", json={**week, "sleep_from": "late", "work_from": "8", "work_days": ["someday"]}
        )
        self.assertEqual(bad.status_code, 422)
        fields = {problem["field"] for problem in bad.json()["problems"]}
        self.assertEqual(fields, {"sleep_from", "work_from", "work_to", "work_days"})
        all_day = self.client.put("/api/settings/routine", json={**week, "sleep_to": "20:00"})
        self.assertIn("sleep all day", all_day.text)
        self.assertEqual(self.client.get("/api/settings/routine").json(), {**week, "away": ""})


class Moving(unittest.TestCase):
    """Marks moved, and all batches at one table."""

    def setUp(self) -> None:
        """A client on an empty kitchen, and the batch in it."""
        self.client = TestClient(kitchen_app(self), raise_server_exceptions=False, base_url="http://127.0.0.1")
        self.batch = self.client.post("/api/batches", json=SKEWERS).json()

    def move(self, mark: str, to: str, draft: Any = None) -> Any:
        """The answer to a moved mark."""
        return self.client.post("/api/plan/move", json={"draft": draft or SKEWERS, "mark": mark, "to": to})

    def test_moved_marks(self) -> None:
        """To five minutes; what cannot be is refused with what would do, and nothing is kept."""
        self.assertEqual(self.move("meal", "2026-11-28T20:02:00Z").json()["draft"]["meal"]["at"], "2026-11-28T20:00")
        self.assertEqual(self.move("pull", "2026-11-28T17:30:00Z").json()["draft"]["meal"]["lead"], "90 min")
        self.assertIn("out Sat 17:30", self.move("pull", "2026-11-28T17:30:00Z").json()["says"])
        for mark, to, status in (("pull", "2026-11-28T21:00:00Z", 422), ("moon", "2026-11-28T21:00:00Z", 422)):
            answer = self.move(mark, to)
            self.assertEqual(answer.status_code, status)
            self.assertTrue(answer.json()["sentence"])
        self.assertEqual(self.move("pull", "2026-11-28T17:30:00Z", {**SKEWERS, "meal": {}}).status_code, 422)
        kept = self.client.get(f"/api/batches/{self.batch['id']}").json()
        self.assertEqual(kept["revision"], 1)

    def test_at_one_table(self) -> None:
        """Two batches that want the same hands: told, planned around each other, kept, and then at peace."""
        self.client.post("/api/batches", json={**SKEWERS, "name": "More skewers"})
        clashes = self.client.get("/api/plan/table").json()["clashes"]
        self.assertEqual(clashes, ["Skewers and More skewers want your hands in the same minutes."])
        answer = self.client.post("/api/plan/table").json()
        self.assertEqual((len(answer["moved"]), answer["left_out"], answer["proven"]), (2, [], True))
        self.assertEqual(self.client.get("/api/plan/table").json()["clashes"], [])
        contacts = {one["judgement"]["plan"]["contact_at"] for one in self.client.get("/api/batches").json()}
        self.assertEqual(len(contacts), 2)

    def test_what_all_batches_share(self) -> None:
        """Kept as typed; a fridge of no size, a tub of words: told by field; too small for all: one is left out."""
        self.assertEqual(self.client.get("/api/settings/shared").json(), {"fridge": "", "tubs": ""})
        bad = self.client.put("/api/settings/shared", json={"fridge": "big", "tubs": "2.5 l, blue"})
        self.assertEqual(bad.status_code, 422)
        self.assertEqual([problem["field"] for problem in bad.json()["problems"]], ["fridge", "tubs"])
        self.client.put("/api/settings/shared", json={"fridge": "1 l", "tubs": "2.5 l and 5 l"})
        self.client.post("/api/batches", json={**SKEWERS, "name": "More skewers"})
        left = self.client.post("/api/plan/table").json()["left_out"]
        self.assertGreaterEqual(len(left), 1)
        self.assertIn("1 l are free", left[0]["says"])

    def test_paper(self) -> None:
        """List and label as PDF, the code as a drawing; a batch that is not there is told."""
        identity = self.batch["id"]
        for path, kind in (
            ("today.pdf?hours=168", "application/pdf"),
            (f"{identity}/label.pdf", "application/pdf"),
            (f"{identity}/code.svg", "image/svg+xml"),
        ):
            answer = self.client.get(f"/api/plan/{path}")
            self.assertEqual((answer.status_code, answer.headers["content-type"].split(";")[0]), (200, kind))
        self.assertEqual(self.client.get("/api/plan/none/label.pdf").status_code, 404)
