"""The HTTP interface: making, changing, refusing, and never a 5xx."""

from __future__ import annotations

import unittest
from typing import Any

import schemathesis
from fastapi.testclient import TestClient
from hypothesis import HealthCheck, given, settings

from tests import drawn
from tests.api.kitchen import kitchen_app

STEAK = {
    "name": "Steak",
    "cut": {"kind": "beef_sirloin", "mass": "1 kg", "thickness": "25 mm"},
    "mix": [{"id": "1", "text": "12 g salt"}],
}


class Batch(unittest.TestCase):
    """One batch over HTTP."""

    def setUp(self) -> None:
        """A client on an empty kitchen."""
        self.client = TestClient(kitchen_app(self), raise_server_exceptions=False, base_url="http://127.0.0.1")

    def test_made_judged_changed_and_found_again(self) -> None:
        """The answer to a change is the new judgement, without the draft that was sent."""
        made = self.client.post("/api/batches", json=STEAK).json()
        self.assertAlmostEqual(made["judgement"]["salt_g_per_kg"], 11.82, delta=0.01)
        draft = {**made["draft"], "mix": [{"id": "1", "text": "24 g salt"}]}
        changed = self.client.put(f"/api/batches/{made['id']}", json={"revision": 1, "draft": draft}).json()
        self.assertEqual(changed["revision"], 2)
        self.assertIsNone(changed["draft"])
        self.assertAlmostEqual(changed["judgement"]["salt_g_per_kg"], 23.64, delta=0.01)
        found = self.client.get(f"/api/batches/{made['id']}").json()
        self.assertEqual(found["draft"]["mix"][0]["text"], "24 g salt")
        self.assertAlmostEqual(found["judgement"]["salt_g_per_kg"], 23.64, delta=0.01)
        self.assertEqual(len(self.client.get("/api/batches").json()), 1)

    def test_change_from_an_older_state_is_refused(self) -> None:
        """409 with a sentence, and nothing changed."""
        made = self.client.post("/api/batches", json=STEAK).json()
        change = {"revision": 1, "draft": made["draft"]}
        self.assertEqual(self.client.put(f"/api/batches/{made['id']}", json=change).status_code, 200)
        refused = self.client.put(f"/api/batches/{made['id']}", json=change)
        self.assertEqual(refused.status_code, 409)
        self.assertIn("changed elsewhere", refused.json()["sentence"])

    def test_edits_of_two_are_brought_together(self) -> None:
        """With the draft it was made from: other fields stay; one field is asked about."""
        made = self.client.post("/api/batches", json=STEAK).json()
        address, since = f"/api/batches/{made['id']}", made["draft"]
        longer = {**since, "hold": {**since["hold"], "fridge": "2"}}
        self.client.put(address, json={"revision": 1, "draft": {**since, "name": "Sunday steak"}})
        kept = self.client.put(address, json={"revision": 1, "draft": longer, "since": since}).json()
        self.assertEqual((kept["draft"]["name"], kept["draft"]["hold"]["fridge"]), ("Sunday steak", "2"))
        mine = {"revision": 1, "draft": {**since, "name": "Monday steak"}, "since": since}
        refused = self.client.put(address, json=mine)
        self.assertEqual(refused.status_code, 409)
        (clash,) = refused.json()["problems"]
        self.assertEqual(clash["field"], "name")
        self.assertEqual(clash["wrong"], "Here “Monday steak”, elsewhere “Sunday steak”.")
        settled = self.client.put(address, json={**mine, "prefer": "mine"}).json()
        self.assertEqual((settled["draft"]["name"], settled["draft"]["hold"]["fridge"]), ("Monday steak", "2"))

    def test_bad_answers_are_kept_and_told(self) -> None:
        """What was typed stays, whatever it was; the judgement lists what to mend."""
        body = {"name": "x", "cut": {"kind": "beef_flank", "mass": "-5"}, "mix": [{"id": "7", "text": "3 handfuls"}]}
        made = self.client.post("/api/batches", json=body).json()
        self.assertEqual(made["draft"]["cut"]["mass"], "-5")
        self.assertEqual({problem["field"] for problem in made["judgement"]["problems"]}, {"cut.mass_g", "mix.7"})

    def test_file_out_and_in(self) -> None:
        """A batch written to a file and read back has the same draft."""
        made = self.client.post("/api/batches", json=STEAK).json()
        text = self.client.get(f"/api/batches/{made['id']}/file").text
        again = self.client.post("/api/batches/from-file", json={"text": text})
        self.assertEqual(again.status_code, 201)
        self.assertEqual(again.json()["batch"]["draft"], made["draft"])

    def test_broken_file_is_refused_with_its_sentence(self) -> None:
        """422, and nothing is kept."""
        refused = self.client.post("/api/batches/from-file", json={"text": "{oops"})
        self.assertEqual(refused.status_code, 422)
        self.assertIn("broken or not JSON", refused.json()["sentence"])
        self.assertEqual(self.client.get("/api/batches").json(), [])

    def test_examples_start_a_batch(self) -> None:
        """Three starts, each judged at once."""
        examples = self.client.get("/api/examples").json()
        self.assertEqual(len(examples), 3)
        for example in examples:
            made = self.client.post(f"/api/examples/{example['id']}")
            self.assertIsNotNone(made.json()["judgement"]["window"])
        self.assertEqual(self.client.post("/api/examples/none").status_code, 404)

    def test_line_as_typed(self) -> None:
        """A line is weighed before it is entered; a bad one is an answer too."""
        good = self.client.post("/api/lines/reading", json={"text": "3 tbsp light soy"}).json()
        self.assertEqual(good["problem"], None)
        self.assertGreater(good["salt_g"], 5)
        self.assertIn(
            "of what?", self.client.post("/api/lines/reading", json={"text": "3 handfuls"}).json()["problem"]["wrong"]
        )

    def test_requests_that_make_no_sense(self) -> None:
        """Half characters, NaN, huge numbers, unknown fields: 4xx with a sentence."""
        made = self.client.post("/api/batches", json=STEAK).json()
        address = f"/api/batches/{made['id']}"
        for body in (
            '{"name": "\\ud800"}',
            '{"revision": NaN, "draft": {}}',
            '{"revision": 99999999999999999999999, "draft": {}}',
            '{"surprise": 1}',
            "not json",
        ):
            for answer in (
                self.client.post("/api/batches", content=body, headers={"Content-Type": "application/json"}),
                self.client.put(address, content=body, headers={"Content-Type": "application/json"}),
            ):
                self.assertIn(answer.status_code, (201, 422), body)
                self.assertTrue(answer.json())

    def test_undo_and_redo(self) -> None:
        """Over HTTP, with the judgement of the state gone to."""
        made = self.client.post("/api/batches", json=STEAK).json()
        address = f"/api/batches/{made['id']}"
        draft = {**made["draft"], "mix": [{"id": "1", "text": "24 g salt"}]}
        changed = self.client.put(address, json={"revision": 1, "draft": draft}).json()
        self.assertEqual((changed["can_undo"], changed["can_redo"]), (True, False))
        back = self.client.post(f"{address}/undo", json={"revision": 2}).json()
        self.assertAlmostEqual(back["judgement"]["salt_g_per_kg"], 11.82, delta=0.01)
        forth = self.client.post(f"{address}/redo", json={"revision": 3}).json()
        self.assertAlmostEqual(forth["judgement"]["salt_g_per_kg"], 23.64, delta=0.01)
        self.assertEqual(self.client.post(f"{address}/undo", json={"revision": 1}).status_code, 409)

    def test_own_cut(self) -> None:
        """Kept, offered first, used in a batch, removed; an undescribed one is refused."""
        made = self.client.post("/api/batches", json=STEAK).json()
        own = self.client.post("/api/own-cuts", json={"batch": made["id"], "name": "Slipway steak"}).json()
        self.assertEqual(self.client.get("/api/tables").json()["cuts"][0]["name"], "beef, Slipway steak")
        used = self.client.post("/api/batches", json={"cut": {"kind": own["id"]}, "mix": STEAK["mix"]}).json()
        self.assertEqual(used["judgement"]["piece"]["thickness_mm"], 25)
        self.assertEqual(self.client.delete(f"/api/own-cuts/{own['id']}").status_code, 204)
        blank = self.client.post("/api/batches", json={}).json()
        refused = self.client.post("/api/own-cuts", json={"batch": blank["id"], "name": "x"})
        self.assertEqual(refused.status_code, 422)
        self.assertIn("not described well enough", refused.json()["sentence"])

    def test_cube_series(self) -> None:
        """Six edges for cubes, nothing while not judged."""
        cubes = self.client.post("/api/examples/skewers").json()
        series = self.client.get(f"/api/batches/{cubes['id']}/cubes").json()
        self.assertEqual([choice["current"] for choice in series], [False, False, False, True, False, False])
        blank = self.client.post("/api/batches", json={}).json()
        self.assertEqual(self.client.get(f"/api/batches/{blank['id']}/cubes").json(), [])

    def test_removed(self) -> None:
        """Gone, and gone twice is told."""
        made = self.client.post("/api/batches", json=STEAK).json()
        self.assertEqual(self.client.delete(f"/api/batches/{made['id']}").status_code, 204)
        self.assertEqual(self.client.delete(f"/api/batches/{made['id']}").status_code, 404)


class NeverAServerError(unittest.TestCase):
    """Requests made up from the interface's own document."""

    def test_no_request_ends_in_5xx(self) -> None:
        """Every operation answers any request with something below 500."""
        own = {"host": "127.0.0.1"}
        schema = schemathesis.openapi.from_asgi("/api/openapi.json", kitchen_app(self), headers=own)
        for operation in schema.get_all_operations():
            found = operation.ok() if hasattr(operation, "ok") else None
            assert found is not None, operation
            if found.path == "/api/devices/stream":
                continue  # it does not end, and takes no input; the weigh-in drives it in a browser

            @settings(max_examples=drawn(8), suppress_health_check=list(HealthCheck))
            @given(scenario=found.as_strategy())
            def call(scenario: schemathesis.Case[Any]) -> None:
                self.assertLess(scenario.call(headers=own).status_code, 500, scenario.operation.label)

            with self.subTest(operation=found.label):
                call()


if __name__ == "__main__":
    unittest.main()
