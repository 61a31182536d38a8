"""The counter over HTTP: presses, two devices at once, locks, readings, the bench, the printer."""

from __future__ import annotations

import json
import unittest
from typing import Any
from unittest.mock import patch

from fastapi.testclient import TestClient

from tests.api.kitchen import kitchen_app
from vadouvan.core.weighing.session import carry_out

SKEWERS: dict[str, Any] = {
    "name": "Skewers",
    "cut": {"kind": "lamb_shoulder_cubes", "mass": "1 kg", "thickness": "30 mm"},
    "mix": [{"id": "1", "text": "12 g salt"}, {"id": "2", "text": "50 g lemon juice"}],
    "meal": {"at": "2026-11-25T22:00", "lead": "60 min", "time_zone": "Europe/Lisbon"},
}


class OneBatch(unittest.TestCase):
    """One batch at the counter."""

    def setUp(self) -> None:
        """A client on an empty kitchen, and the batch in it."""
        self.client = TestClient(kitchen_app(self), raise_server_exceptions=False, base_url="http://127.0.0.1")
        self.batch = self.client.post("/api/batches", json=SKEWERS).json()
        self.path = f"/api/weigh/{self.batch['id']}"
        self.number = 0

    def event(self, kind: str, **more: Any) -> Any:
        """A press that is carried out."""
        answer = self.client.post(self.path, json={"after": self.number, "kind": kind, **more})
        self.assertEqual(answer.status_code, 200, answer.text)
        self.number = answer.json()["number"]
        return answer.json()

    def to_contact(self) -> None:
        """By the book."""
        self.event("weighed", line_id="1", mass_g=12.5)
        self.event("weighed", line_id="2", mass_g=50)
        self.event("tasted", words="good")
        self.event("set_aside", mass_g=0)
        self.event("contact", mass_g=950, celsius=4)

    def ready(self) -> None:
        """Weighed, tasted, nothing set aside."""
        self.event("weighed", line_id="1", mass_g=12.5)
        self.event("weighed", line_id="2", mass_g=50)
        self.event("tasted", words="good")
        self.event("set_aside", mass_g=0)

    def refused(self, says: str, **body: Any) -> None:
        """A press that is refused with these words and changes nothing."""
        answer = self.client.post(self.path, json={"after": self.number, **body})
        self.assertEqual(answer.status_code, 422, answer.text)
        self.assertIn(says, answer.json()["sentence"])


class Together(OneBatch):
    """An edit and an event in the same moment: neither is lost."""

    def test_an_edit_between_reading_and_writing_stays(self) -> None:
        """The name that was typed while contact was worked out is there afterwards, and so is the contact."""
        self.ready()
        edited: list[int] = []

        def with_an_edit(*args: Any, **kwargs: Any) -> Any:
            if not edited:
                kept = self.client.get(f"/api/batches/{self.batch['id']}").json()
                change = {"revision": kept["revision"], "draft": {**kept["draft"], "name": "Typed meanwhile"}}
                edited.append(self.client.put(f"/api/batches/{self.batch['id']}", json=change).status_code)
            return carry_out(*args, **kwargs)

        with patch("vadouvan.use_cases.counter.carry_out", side_effect=with_an_edit):
            self.event("contact", mass_g=950, celsius=4)
        kept = self.client.get(f"/api/batches/{self.batch['id']}").json()
        self.assertEqual((edited, kept["draft"]["name"], kept["locked"]), ([200], "Typed meanwhile", True))


class Weighing(OneBatch):
    """In its order."""

    def test_counts_down_and_keeps_what_was_pressed(self) -> None:
        """What is left of a line, over several tares; found again by another look."""
        half = self.event("weighed", line_id="2", mass_g=20)
        line = next(line for line in half["lines"] if line["id"] == "2")
        self.assertEqual((line["left_g"], line["tares_g"], line["state"]), (30, [20], "short"))
        enough_g, give_g = line["enough_from_g"], line["tolerance_g"]
        self.assertAlmostEqual(enough_g, 30 - give_g, delta=0.01)
        self.assertAlmostEqual(line["enough_to_g"], 30 + give_g, delta=0.01)
        self.assertEqual(self.client.get(self.path).json()["lines"], half["lines"])
        for more_g, state in ((enough_g - 0.1, "short"), (0.2, "within"), (give_g * 2, "over")):
            pressed = self.event("weighed", line_id="2", mass_g=more_g)
            self.assertEqual(next(one for one in pressed["lines"] if one["id"] == "2")["state"], state)

    def test_two_devices_pressing_at_once(self) -> None:
        """The second one is told, and nothing is weighed twice."""
        body = {"after": 0, "kind": "weighed", "line_id": "1", "mass_g": 12}
        first, second = (self.client.post(self.path, json=body) for _ in range(2))
        self.assertEqual((first.status_code, second.status_code), (200, 409))
        self.assertEqual(self.client.get(self.path).json()["total_g"], 12)

    def test_refused_presses_change_nothing(self) -> None:
        """Contact first, less than nothing, no number, no such press: each with what would do."""
        for body in (
            {"kind": "contact", "mass_g": 900},
            {"kind": "weighed", "line_id": "1", "mass_g": -37},
            {"kind": "weighed", "line_id": "1"},
            {"kind": "fly"},
        ):
            answer = self.client.post(self.path, json={"after": 0, **body})
            self.assertEqual(answer.status_code, 422)
            self.assertTrue(answer.json()["sentence"])
        nan = self.client.post(
            self.path, content='{"after":0,"kind":"weighed","line_id":"1","mass_g":NaN}',
            headers={"Content-Type": "application/json"},
        )  # fmt: skip
        self.assertEqual(nan.status_code, 422)
        self.assertEqual(self.client.get(self.path).json()["number"], 0)
        self.assertEqual(self.client.get("/api/weigh/none").status_code, 404)

    def test_contact_locks_and_starts_the_clock(self) -> None:
        """The draft is as weighed; mix and cut refuse changes and undo across it, the plan does not."""
        self.to_contact()
        batch = self.client.get(f"/api/batches/{self.batch['id']}").json()
        self.assertTrue(batch["locked"])
        self.assertEqual([line["text"] for line in batch["draft"]["mix"]], ["12.5 g table salt", "50 g lemon juice"])
        self.assertTrue(batch["judgement"]["plan"]["has_gone_in"])
        self.assertIn("Not yet", batch["judgement"]["pull_now"])
        other = {**batch["draft"], "mix": batch["draft"]["mix"][:1]}
        path = f"/api/batches/{self.batch['id']}"
        refused = self.client.put(path, json={"revision": batch["revision"], "draft": other})
        self.assertEqual((refused.status_code, refused.json()["problems"][0]["field"]), (422, "mix"))
        undone = self.client.post(f"{path}/undo", json={"revision": batch["revision"]})
        self.assertEqual(undone.status_code, 422)
        plan = {**batch["draft"], "meal": {**batch["draft"]["meal"], "lead": "90 min"}}
        kept = self.client.put(path, json={"revision": batch["revision"], "draft": plan})
        self.assertTrue(kept.json()["locked"])
        self.assertEqual(kept.status_code, 200, kept.text)
        again = self.client.post(self.path, json={"after": self.number, "kind": "contact", "mass_g": 900})
        self.assertIn("It went in at", again.json()["sentence"])

    def test_the_hold_goes_on_from_presses(self) -> None:
        """Turned, a warm fridge noted, something added later, pulled, probed: all of it in one state."""
        self.to_contact()
        self.event("turned")
        self.event("fridge", celsius=6.0)
        self.event("later", mass_g=10, words="olive oil")
        self.event("pulled", sure=True)
        answer = self.event("probe", celsius=20.0)
        self.assertEqual(
            (answer["phase"], len(answer["turned_at"]), answer["later"][0]["words"]), ("out", 1, "olive oil")
        )
        self.assertIn("20 °C", answer["probe_says"])
        batch = self.client.get(f"/api/batches/{self.batch['id']}").json()
        self.assertEqual(batch["draft"]["hold"]["readings"], "0 h 6 C")
        self.assertTrue(batch["judgement"]["plan"]["has_come_out"])

    def test_an_overshoot_is_answered_at_once(self) -> None:
        """8 g too much salt: told, with ways out that say the figure before and after."""
        self.event("weighed", line_id="2", mass_g=50)
        advice = self.event("weighed", line_id="1", mass_g=20)["advice"]
        self.assertIn("8 g too much table salt", advice[0]["says"])
        self.assertTrue(all("salt 20" in way["says"] for way in advice[0]["ways"] if way["id"] != "go-on"))

    def test_removing_a_batch_removes_its_presses(self) -> None:
        """Nothing is left of it."""
        self.event("weighed", line_id="1", mass_g=12)
        self.assertEqual(self.client.delete(f"/api/batches/{self.batch['id']}").status_code, 204)
        self.assertEqual(self.client.get(self.path).status_code, 404)


class Devices(unittest.TestCase):
    """Readings and the bench."""

    def setUp(self) -> None:
        """A client on an empty kitchen."""
        self.client = TestClient(kitchen_app(self), raise_server_exceptions=False, base_url="http://127.0.0.1")

    def test_readings_as_a_stream(self) -> None:
        """Server-sent events, each with all devices."""
        with self.client.stream("GET", "/api/devices/stream", params={"most": 2}) as answer:
            self.assertEqual(answer.headers["content-type"].split(";")[0], "text/event-stream")
            events = [json.loads(line[6:]) for line in answer.iter_lines() if line.startswith("data: ")]
        self.assertEqual(len(events), 2)
        self.assertEqual(set(events[0]), {"scale", "fridge", "probe"})
        self.assertEqual(events[0]["scale"]["state"], "ok")

    def test_the_bench(self) -> None:
        """Unplugged there is no value; what cannot be done is told."""
        unplugged = self.client.post("/api/devices/bench", json={"action": "unplug_scale"}).json()
        self.assertEqual(unplugged["scale"], {"value": None, "state": "unplugged"})
        for body in ({"action": "explode"}, {"action": "put", "amount": 1e9}):
            self.assertEqual(self.client.post("/api/devices/bench", json=body).status_code, 422)

    def test_the_printer(self) -> None:
        """It prints, and says when it has no paper."""
        batch = self.client.post("/api/batches", json=SKEWERS).json()
        self.assertEqual(self.client.post(f"/api/devices/print/{batch['id']}").json()["state"], "printed")
        self.client.post("/api/devices/bench", json={"action": "paper_out"})
        self.assertIn("no paper", self.client.post(f"/api/devices/print/{batch['id']}").json()["says"])


class AsTyped(OneBatch):
    """What a cook types at the counter is read on the server, told back, or refused in words."""

    def test_the_weight_at_contact(self) -> None:
        """Kilograms, pounds, thousands; told back in grams."""
        for typed, grams in (("2.6 kg", 2600), ("1,100", 1100), ("1,1 kg", 1100), ("1.100 g", 1100), ("2 lb", 907.2)):
            with self.subTest(typed):
                self.setUp()
                self.ready()
                after = self.event("contact", mass=typed, degrees="38 F")
                self.assertAlmostEqual(after["meat_g"], grams, delta=0.1)
                self.assertAlmostEqual(after["meat_c"], 3.3, delta=0.05)
                self.assertIn(f"{grams:.0f} g", after["last_says"])

    def test_unclear_is_refused_in_words(self) -> None:
        """One gram or a thousand on the scale; no weight at all; a piece that no cut can be: nothing is locked."""
        self.refused("may be 1 g or 1000 g", kind="weighed", line_id="1", mass="1,000")
        self.refused("could not be read", kind="weighed", line_id="1", mass="some")
        self.ready()
        self.refused("too little", kind="contact", mass="1.1 g")
        self.refused("could not be read", kind="contact", mass="950", degrees="cold")
        self.assertIsNone(self.client.get(self.path).json()["contact_at"])

    def test_read_while_it_is_typed(self) -> None:
        """The beam follows what the kitchen understands."""
        self.assertEqual(
            self.client.post("/api/weigh/typed", json={"mass": "1.2 kg"}).json(), {"grams": 1200, "told": "1200 g"}
        )
        self.assertEqual(self.client.post("/api/weigh/typed", json={"mass": "much"}).status_code, 422)


class TakenBack(OneBatch):
    """Every event goes back by an event of its own, the last one first, and the draft with it."""

    def test_all_of_a_weigh_in(self) -> None:
        """From out of the mix back to the empty bowl; the draft is as it was."""
        drafts = [self.draft()]
        self.ready()
        drafts.append(self.draft())
        self.event("contact", mass="950 g")
        drafts.append(self.draft())
        self.event("later", mass="15 g", words="soy sauce")
        self.event("fridge", degrees="7 C")
        self.event("pulled", sure=True)
        for _ in ("pulled", "fridge", "later"):
            after = self.event("undone")
        self.assertEqual((after["phase"], after["pulled_at"], after["fridge"], after["later"]), ("hold", None, [], []))
        self.assertEqual(self.draft(), drafts[2])
        path = f"/api/batches/{self.batch['id']}"
        self.assertTrue(self.client.get(path).json()["locked"])
        self.assertEqual(self.event("undone")["phase"], "contact")
        self.assertFalse(self.client.get(path).json()["locked"])
        self.assertFalse(
            next(one for one in self.client.get("/api/batches").json() if one["id"] == path[13:])["locked"]
        )
        self.assertEqual(self.draft(), drafts[1])
        self.assertEqual([self.event("undone")["phase"] for _ in range(3)], ["set_aside", "taste", "weigh"])
        self.assertEqual(self.event("undone")["total_g"], 0)
        self.assertEqual(self.draft(), drafts[0])
        self.refused("Nothing has been pressed", kind="undone")

    def test_undo_of_the_draft_does_not_half_clear_it(self) -> None:
        """Moments that the counter noted go back there, or not at all."""
        self.to_contact()
        self.event("pulled", sure=True)
        batch = self.client.get(f"/api/batches/{self.batch['id']}").json()
        undone = self.client.post(f"/api/batches/{self.batch['id']}/undo", json={"revision": batch["revision"]})
        self.assertEqual(undone.status_code, 422)
        self.assertIn("Take it back under Weigh-in", undone.json()["sentence"])
        self.assertEqual(self.client.get(self.path).json()["phase"], "out")

    def test_far_off_and_too_early_are_asked(self) -> None:
        """A line of 2 for 50 g before tasting and again before contact; a pull after seconds."""
        self.event("weighed", line_id="1", mass_g=12.5)
        self.event("weighed", line_id="2", mass_g=2)
        self.refused("2 of 50 g lemon juice", kind="tasted", words="good")
        self.event("tasted", words="good", sure=True)
        self.event("set_aside", mass_g=0)
        self.refused("2 of 50 g lemon juice", kind="contact", mass="1 kg")
        self.event("contact", mass="1 kg", sure=True)
        self.assertEqual(self.client.get(self.path).json()["questions"], {})  # it may go straight to the heat

    def test_a_pull_before_its_time_is_asked(self) -> None:
        """In a wet mix, which leaves little on the meat, minutes do nothing."""
        wet = {**SKEWERS, "mix": [{"id": "1", "text": "12 g salt"}, {"id": "2", "text": "700 g yoghurt"}]}
        self.path = f"/api/weigh/{self.client.post('/api/batches', json=wet).json()['id']}"
        self.event("weighed", line_id="1", mass_g=12)
        self.event("weighed", line_id="2", mass_g=700)
        self.event("tasted", words="good")
        self.event("set_aside", mass_g=0)
        self.event("contact", mass="1 kg")
        self.refused("It is early", kind="pulled")
        self.assertEqual(self.event("pulled", sure=True)["phase"], "out")

    def draft(self) -> Any:
        """The draft as it is kept."""
        return self.client.get(f"/api/batches/{self.batch['id']}").json()["draft"]
