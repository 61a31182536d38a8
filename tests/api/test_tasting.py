"""Verdicts over HTTP: kept, learned from, forgotten; the next batch; the logbook."""

from __future__ import annotations

import unittest
from typing import Any

from fastapi.testclient import TestClient

from tests.api.kitchen import kitchen_app
from tests.photographs import photograph

ZIP = {"Content-Type": "application/zip"}

EATEN: dict[str, Any] = {
    "name": "Skewers",
    "cut": {"kind": "lamb_shoulder_cubes", "mass": "1 kg", "thickness": "30 mm"},
    "mix": [{"id": "1", "text": "16 g salt"}, {"id": "2", "text": "50 g lemon juice"}],
    "meal": {
        "at": "2026-11-24T19:00", "lead": "60 min", "time_zone": "UTC",
        "contact": "2026-11-24T08:00", "pulled": "2026-11-24T18:00",
    },
}  # fmt: skip


class AnEatenBatch(unittest.TestCase):
    """A kitchen with one."""

    def setUp(self) -> None:
        """A client on an empty kitchen, and the batch in it."""
        self.client = TestClient(kitchen_app(self), raise_server_exceptions=False, base_url="http://127.0.0.1")
        self.batch = self.client.post("/api/batches", json=EATEN).json()["id"]

    def say(self, batch: str = "", **verdict: Any) -> Any:
        """A verdict that is kept."""
        answer = self.client.put(f"/api/taste/{batch or self.batch}", json=verdict)
        self.assertEqual(answer.status_code, 200, answer.text)
        return answer.json()


class Tasting(AnEatenBatch):
    """Verdicts on it, and what follows from them."""

    def test_a_verdict_moves_the_batch_to_the_logbook_and_teaches(self) -> None:
        """Off the counter, in the logbook, with advice in grams; the correction moves, and the judgement with it."""
        before = self.client.get("/api/taste/correction").json()
        self.assertEqual((before["pace"], before["salt"]["count"]), ([], 0))
        taste = self.say(eater="Odile", words={"salt": "a little too much"}, depth="12 mm")
        self.assertIn("instead of 16 g", taste["advice"][0]["says"])
        self.assertEqual(self.client.get("/api/batches").json(), [])
        self.assertEqual(self.client.get("/api/logbook").json()["count"], 1)
        after = self.client.get("/api/taste/correction").json()
        self.assertLess(after["salt"]["factor"], 1)
        self.assertGreater(after["pace"][0]["factor"], 1)
        self.assertAlmostEqual(sum(after["pace"][0]["now"]), 1)
        fresh = self.client.post("/api/batches", json={**EATEN, "meal": {}}).json()
        self.assertIn("as your verdicts say", fresh["judgement"]["assumed"]["hold.salt_target_g_per_kg"])

    def test_forget_one_forget_all(self) -> None:
        """The correction goes back, and can be learned again; a batch without a verdict is told."""
        self.say(words={"salt": "far too much"})
        learned = self.client.get("/api/taste/correction").json()["salt"]["factor"]
        for batch in (self.batch, None):
            forgot = self.client.post("/api/taste/lesson", json={"batch_id": batch}).json()
            self.assertEqual(forgot["salt"]["factor"], 1)
            self.assertTrue(forgot["rests_on"][0]["forgotten"])
            again = self.client.post("/api/taste/lesson", json={"batch_id": batch, "lesson": "usual"}).json()
            self.assertAlmostEqual(again["salt"]["factor"], learned)
        self.assertEqual(self.client.post("/api/taste/lesson", json={"batch_id": "none"}).status_code, 404)

    def test_more_than_one_eater(self) -> None:
        """Each has one verdict, which can be said anew and taken back."""
        self.say(eater="Odile", words={"salt": "far too much"})
        self.say(eater="Odile", words={"salt": "just right"})
        both = self.say(eater="Ines", words={"salt": "a little too much"})
        self.assertEqual(len(both["verdicts"]), 2)
        entry = self.client.get("/api/logbook").json()["entries"][0]
        self.assertEqual((entry["eaters"], entry["verdicts"]["salt"]), (2, "just right"))
        left = self.client.delete(f"/api/taste/{self.batch}", params={"eater": "Odile"}).json()
        self.assertEqual([one["eater"] for one in left["verdicts"]], ["Ines"])
        self.assertEqual(self.client.delete(f"/api/taste/{self.batch}", params={"eater": "x"}).status_code, 404)

    def test_the_next_batch_remembers_where_it_comes_from(self) -> None:
        """Less salt, a fresh meal, and what was changed stays visible; in the logbook they are one thread."""
        self.say(words={"salt": "a little too much"})
        made = self.client.post(f"/api/taste/{self.batch}/next").json()
        self.assertEqual(made["draft"]["mix"][0]["text"], "13.4 g table salt")
        self.assertEqual(made["draft"]["meal"]["contact"], "")
        taste = self.client.get(f"/api/taste/{made['id']}").json()
        self.assertEqual(taste["from_name"], "Skewers")
        self.assertIn("13.4 g table salt instead of 16 g", taste["changed"][0])
        self.say(made["id"], words={"salt": "just right"})
        thread = self.client.get(f"/api/logbook/{made['id']}/thread").json()
        self.assertEqual([one["id"] for one in thread], [self.batch, made["id"]])
        beside = self.client.get("/api/logbook/beside", params={"ids": f"{self.batch},{made['id']}"}).json()
        self.assertIn("salt, as eaten", [row["what"] for row in beside["rows"]])

    def test_the_last_good_batch_of_the_dish(self) -> None:
        """None at first; then the balance of one that was just right, for its repeats and for others of its name."""
        made = self.client.post("/api/batches", json={**EATEN, "name": " skewers"}).json()
        place = f"/api/taste/{made['id']}/last-good"
        self.assertIsNone(self.client.get(place).json())
        self.say(words={"salt": "just right", "sour": "a little too much"})
        self.assertIsNone(self.client.get(place).json())
        self.say(words={"salt": "just right"})
        good = self.client.get(place).json()
        self.assertEqual((good["id"], good["name"], good["eaten_on"]), (self.batch, "Skewers", "2026-11-24"))
        salt = next(one for one in made["judgement"]["spans"] if one["substance"] == "salt")
        self.assertAlmostEqual(good["balance"]["salt"]["value"], salt["value"])
        self.assertRegex(good["balance"]["salt"]["shown"], r"^\d+ g/kg$")
        again = self.client.post(f"/api/taste/{self.batch}/next").json()
        self.client.put(
            f"/api/batches/{again['id']}",
            json={"revision": again["revision"], "draft": {**again["draft"], "name": "Another"}},
        )
        self.assertEqual(self.client.get(f"/api/taste/{again['id']}/last-good").json()["id"], self.batch)
        self.assertIsNone(self.client.get(f"/api/taste/{self.batch}/last-good").json())

    def test_what_cannot_be_is_told(self) -> None:
        """A verdict without a batch, without words, with a note of 20,000 letters; one batch beside nothing."""
        self.assertEqual(self.client.put("/api/taste/none", json={"words": {"salt": "just right"}}).status_code, 404)
        for body in ({}, {"words": {"salt": "lots"}}, {"note": "n" * 20_000}):
            answer = self.client.put(f"/api/taste/{self.batch}", json=body)
            self.assertEqual(answer.status_code, 422)
            self.assertTrue(answer.json()["problems"][0]["accepted"])
        self.assertEqual(self.client.get("/api/logbook/beside", params={"ids": self.batch}).status_code, 422)
        self.assertEqual(self.client.get("/api/logbook/beside", params={"ids": "a,b"}).status_code, 404)

    def test_found_by_filters(self) -> None:
        """Each alone; a page beyond the last is empty."""
        self.say(words={"salt": "just right"}, note="with flat bread")
        for question, count in (
            ({"search": "flat"}, 1), ({"species": "lamb"}, 1), ({"ingredient": "honey"}, 0),
            ({"verdict": "salt: just right"}, 1), ({"school": "equilibrium"}, 0), ({"page": 3}, 1),
        ):  # fmt: skip
            self.assertEqual(self.client.get("/api/logbook", params=question).json()["count"], count, question)
        self.assertEqual(self.client.get("/api/logbook", params={"page": 3}).json()["entries"], [])


class Overtaken(AnEatenBatch):
    """One eater's verdict said on two devices."""

    def test_different_things_come_together_and_the_same_is_asked(self) -> None:
        """Both said of nothing before: other aspects merge; the same one is 409 with both, until it is settled."""
        nothing = {"eater": "Odile"}
        self.say(eater="Odile", words={"salt": "far too much"}, since=nothing)
        both = self.say(eater="Odile", words={"sour": "just right"}, since=nothing)["verdicts"]
        self.assertEqual([one["words"] for one in both], [{"salt": "far too much", "sour": "just right"}])
        mine: dict[str, Any] = {"eater": "Odile", "words": {"salt": "just right"}, "since": nothing}
        refused = self.client.put(f"/api/taste/{self.batch}", json=mine)
        self.assertEqual(refused.status_code, 409, refused.text)
        self.assertIn("far too much", refused.json()["problems"][0]["wrong"])
        self.assertEqual(self.say(**mine, prefer="mine")["verdicts"][0]["words"]["salt"], "just right")

    def test_without_saying_what_it_was_made_from_it_replaces(self) -> None:
        """As a program does that knows nothing else."""
        self.say(eater="Odile", words={"salt": "far too much"})
        kept = self.say(eater="Odile", words={"sour": "just right"})["verdicts"]
        self.assertEqual([one["words"] for one in kept], [{"sour": "just right"}])


class CutFace(AnEatenBatch):
    """A photograph of the cut face."""

    MARKS = {"face": {"x": 0.5, "y": 0.1}, "opposite": {"x": 0.5, "y": 0.9}, "reached": {"x": 0.3, "y": 0.3}}  # noqa: RUF012

    def put(self, data: bytes) -> Any:
        """The answer to a photograph."""
        address = f"/api/taste/{self.batch}/photograph"
        return self.client.put(address, content=data, headers={"Content-Type": "image/jpeg"})

    def test_kept_marked_and_removed(self) -> None:
        """Without metadata; three points tell a depth of the 30 mm; a new one has no marks; removed, it is gone."""
        address = f"/api/taste/{self.batch}/photograph"
        kept = self.put(photograph()).json()["cut_face"]
        self.assertEqual((kept["width"], kept["height"], kept["face"], kept["depth"]), (400, 300, None, ""))
        self.assertIn("30 mm apart", kept["says"])
        picture = self.client.get(address)
        self.assertEqual(picture.headers["content-type"], "image/jpeg")
        self.assertNotIn(b"telephone", picture.content)
        marked = self.client.put(f"{address}/marks", json=self.MARKS).json()["cut_face"]
        self.assertEqual((marked["depth"], marked["reached"]), ("7.5 mm", self.MARKS["reached"]))
        self.assertIsNone(self.put(photograph()).json()["cut_face"]["face"])
        self.assertIsNone(self.client.delete(address).json()["cut_face"])
        self.assertEqual(self.client.get(address).status_code, 404)

    def test_what_cannot_be_used_is_told(self) -> None:
        """No picture, no batch, points in one place or off it, marks without a photograph."""
        address = f"/api/taste/{self.batch}/photograph"
        self.assertEqual(self.client.put(f"{address}/marks", json=self.MARKS).status_code, 404)
        self.assertIn("JPEG, PNG or WebP", self.put(b"no picture").json()["sentence"])
        self.assertIn("larger", self.put(b"0" * 9_000_000).json()["sentence"])
        self.assertEqual(self.client.put("/api/taste/none/photograph", content=photograph()).status_code, 404)
        self.put(photograph())
        for other in ({"opposite": self.MARKS["face"]}, {"reached": {"x": 1.5, "y": 0.3}}):
            refused = self.client.put(f"{address}/marks", json={**self.MARKS, **other})
            self.assertEqual(refused.status_code, 422, refused.text)

    def test_it_goes_out_and_in_again(self) -> None:
        """By an archive into an empty kitchen, marks and all; a second time changes nothing."""
        self.put(photograph())
        self.client.put(f"/api/taste/{self.batch}/photograph/marks", json=self.MARKS)
        archive = self.client.get("/api/kitchen/archive").content
        empty = TestClient(kitchen_app(self), base_url="http://127.0.0.1")
        for fate in ("new", "same"):
            taken = empty.post("/api/kitchen/archive", content=archive, headers=ZIP).json()
            self.assertEqual([one["fate"] for one in taken["told"] if one["kind"] == "batch"], [fate])
        there = empty.get(f"/api/taste/{self.batch}").json()["cut_face"]
        self.assertEqual((there["depth"], there["face"]), ("7.5 mm", self.MARKS["face"]))
        here = self.client.get(f"/api/taste/{self.batch}/photograph").content
        self.assertEqual(empty.get(f"/api/taste/{self.batch}/photograph").content, here)
        self.assertEqual(empty.get("/api/kitchen/check").json()["findings"], [])
