"""Questions about a mix over HTTP, own ingredients, pasted lists."""

from __future__ import annotations

import unittest
from typing import Any

from fastapi.testclient import TestClient

from tests.api.kitchen import kitchen_app
from tests.mixes import FIVE_SALTY

STEAK: dict[str, Any] = {
    "cut": {"kind": "beef_sirloin", "mass": "1 kg", "thickness": "25 mm"},
    "mix": [{"id": str(number), "text": text} for number, text in enumerate(FIVE_SALTY, start=1)],
    "aims": {"acid": "3"},
}
LABEL = {"name": "shelf soy", "like": "soy_regular", "basis": "per_100g", "label": "Salt 16 g, Sugars 2 g"}


class Questions(unittest.TestCase):
    """Answers without anything being kept."""

    def setUp(self) -> None:
        """A client on an empty kitchen."""
        self.client = TestClient(kitchen_app(self), raise_server_exceptions=False, base_url="http://127.0.0.1")

    def ask(self, what: str, **body: Any) -> Any:
        """The answer to a question about the steak."""
        response = self.client.post(f"/api/mix/{what}", json={"draft": STEAK, **body})
        self.assertEqual(response.status_code, 200, response.text)
        return response.json()

    def test_amounts(self) -> None:
        """Each line with its grams before and after, each aim with its words."""
        answer = self.ask("amounts")
        self.assertEqual([line["line_id"] for line in answer["lines"]], [line["id"] for line in STEAK["mix"]])
        self.assertTrue(all(one["met"] for one in answer["reached"]))
        self.assertIn("acid 3 g/kg, as aimed", [one["says"] for one in answer["reached"]])

    def test_amounts_for_a_drag(self) -> None:
        """Other contents for a kilogram of meat."""
        answer = self.ask("amounts", in_mix_g_per_kg={"acid": 4})
        self.assertAlmostEqual(next(one["got"] for one in answer["reached"] if one["aim"] == "acid"), 4, delta=0.05)

    def test_corrections_and_swaps(self) -> None:
        """With effects, allergens and words."""
        ways = self.ask("corrections", taste="too_salty", degree="clearly")
        self.assertIn("water", [way["id"] for way in ways])
        swaps = self.ask("swaps", line_id="1", without=["soy"])
        self.assertTrue(swaps)
        self.assertTrue(all("soy" in swap["loses"] for swap in swaps))

    def test_another_size(self) -> None:
        """With the factors in words."""
        answer = self.ask("scaled", cut={"kind": "lamb_shoulder_cubes", "mass": "1.8 kg", "thickness": "30 mm"})
        self.assertIn("each figure for a kilogram stays", answer["says"])
        self.assertAlmostEqual(answer["meat_factor"], 1.8, delta=0.01)

    def test_what_cannot_be_judged_is_refused_with_the_reason(self) -> None:
        """422 with the field and what would do."""
        for what, body in (
            ("amounts", {"draft": {"cut": {"kind": "beef_sirloin"}, "mix": []}}),
            ("swaps", {"draft": STEAK, "line_id": "99"}),
            ("scaled", {"draft": STEAK, "cut": {"kind": "beef_sirloin", "mass": "900 kg"}}),
        ):
            response = self.client.post(f"/api/mix/{what}", json=body)
            self.assertEqual(response.status_code, 422, what)
            self.assertTrue(response.json()["problems"][0]["accepted"], what)

    def test_pasted(self) -> None:
        """Two mixes come back as two; a glaze stands beside them, and is the mix where there is no other."""
        glaze = "Glaze:\n1 tbsp honey\n1 tsp soy sauce"
        text = f"Paste:\n2 tbsp miso\n1 tsp salt\nMarinade:\n3 tbsp oil\n{glaze}"
        for said, mixes, beside in (
            (text, [("Paste", 2), ("Marinade", 1)], [("Glaze", 2)]),
            (glaze, [("Glaze", 2)], []),
        ):
            found = self.client.post("/api/mix/pasted", json={"text": said}).json()
            self.assertEqual([(mix["title"], len(mix["lines"])) for mix in found["mixes"]], mixes)
            self.assertEqual([(mix["title"], len(mix["lines"])) for mix in found["companions"]], beside)

    def test_pasted_with_what_is_to_be_done(self) -> None:
        """A list and its directions are one mix, not two to choose from; meat, name and deeds are told."""
        listed = "Pan chicken\n8 chicken thighs\n3 tbsp harissa\n12 g salt"
        text = f"{listed}\n\n1. Stir the harissa with the salt.\n2. Chill 1 h."
        found = self.client.post("/api/mix/pasted", json={"text": text}).json()
        self.assertEqual([mix["lines"][-2:] for mix in found["mixes"]], [["3 tbsp harissa", "12 g salt"]])
        self.assertEqual(found["meat"], ["8 chicken thighs"])
        self.assertEqual(found["name"], "Pan chicken")
        self.assertEqual(found["left_out"], ["Stir the harissa with the salt.", "Chill 1 h."])
        headed = self.client.post("/api/mix/pasted", json={"text": f"Serves 4\n{text}\n\nRub:\n2 tsp cumin\n5 g salt"})
        self.assertEqual(len(headed.json()["mixes"]), 2)

    def test_pasted_is_read_as_a_file_is(self) -> None:
        """A side by its name, what goes on after the hold, what the directions tell: the same lines by either way."""
        text = (
            "---\ntitle: Pork (serves 4)\n---\n"
            "2 pork tenderloins, 1 lb each\n3 tbsp Dijon mustard\nKosher salt\n1 cup panko\n2 tbsp butter\n"
            "Tzatziki\n1 cup Greek yogurt\n1/2 cucumber\n\nRub the mustard and 2 tsp kosher salt over the pork; "
            "marinate 2 hours. Toss panko with butter and press it on."
        )
        pasted = self.client.post("/api/mix/pasted", json={"text": text}).json()
        brought = self.client.post("/api/batches/from-file", json={"text": text}).json()["batch"]["draft"]
        self.assertEqual([line["text"] for line in brought["mix"]], ["3 tbsp Dijon mustard", "2 tsp kosher salt"])
        self.assertEqual([mix["lines"] for mix in pasted["mixes"]], [[line["text"] for line in brought["mix"]]])
        self.assertEqual(
            {one["title"]: "\n".join(one["lines"]) for one in pasted["companions"]},
            {one["title"]: one["text"] for one in brought["companions"]},
        )
        self.assertEqual(len(pasted["companions"]), 2)
        self.assertEqual((pasted["name"], brought["name"], brought["occasion"]["servings"]), ("Pork", "Pork", "4"))
        self.assertIn("as its directions say", pasted["told"][0])

    def test_a_spice_mix_is_part_of_the_mix(self) -> None:
        """A part with a name beside what has none is no second mix to choose, unless both have an ingredient."""
        text = "1 kg lamb, cubed\n4 garlic cloves\n80ml olive oil\nSpice mix:\n2 tsp cumin\n½ tsp cloves\n"
        for more, mixes in (("", 1), ("1 tbsp olive oil\n", 2)):
            found = self.client.post("/api/mix/pasted", json={"text": text + more}).json()
            self.assertEqual(len(found["mixes"]), mixes, found["mixes"])

    def test_meat_that_may_be_two_cuts_is_no_mix(self) -> None:
        """It stands with the meat, and is asked about once the batch is begun."""
        text = "Fajitas\nMarinade\n• 60ml oil\n• 6 g salt\nDish\n• 700g skirt or flank steak\n• 2 onions, sliced"
        found = self.client.post("/api/mix/pasted", json={"text": text}).json()
        self.assertEqual([mix["lines"] for mix in found["mixes"]], [["60ml oil", "6 g salt"]])
        self.assertEqual(found["meat"], ["700g skirt or flank steak"])
        self.assertEqual([one["lines"] for one in found["companions"]], [["2 onions, sliced"]])

    def test_three_hundred_lines_are_kept_and_told(self) -> None:
        """None is lost; what is too much for one mix is said."""
        mix = [{"id": str(number), "text": "1 g salt"} for number in range(300)]
        made = self.client.post("/api/batches", json={**STEAK, "mix": mix}).json()
        self.assertEqual(len(made["draft"]["mix"]), 300)
        self.assertIn("300 lines are more than one mix has", made["judgement"]["problems"][0]["wrong"])


class Holds(unittest.TestCase):
    """Another way of holding, and guided examples."""

    def setUp(self) -> None:
        """A client on an empty kitchen."""
        self.client = TestClient(kitchen_app(self), raise_server_exceptions=False, base_url="http://127.0.0.1")

    def test_comparison(self) -> None:
        """The other judgement, and the differences in words."""
        body = {"draft": STEAK, "change": "thickness", "value": "15 mm", "at_h": 4}
        answer = self.client.post("/api/hold/comparison", json=body).json()
        self.assertTrue(answer["says"])
        self.assertEqual(answer["judgement"]["piece"]["thickness_mm"], 15)
        bad = self.client.post("/api/hold/comparison", json={**body, "value": "thick"})
        self.assertEqual(bad.status_code, 422)
        self.assertTrue(bad.json()["problems"][0]["accepted"])

    def test_what_lies_behind_an_answer_is_asked_for_by_itself(self) -> None:
        """The course of a hold and the working of a figure; an answer to an edit stays small."""
        made = self.client.post("/api/batches", json=STEAK)
        batch = made.json()
        self.assertLess(len(made.content), 20_000)
        self.assertNotIn("course", batch["judgement"])
        course = self.client.get(f"/api/batches/{batch['id']}/course").json()
        self.assertEqual(len(course["salt_g_per_kg"]), len(course["hours"]))
        self.assertEqual(len(course["salt_g_per_kg"][0]), len(course["depth_mm"]))
        self.assertNotIn("rule", batch["judgement"]["figures"]["window.best"])
        for name in batch["judgement"]["figures"]:
            working = self.client.get(f"/api/batches/{batch['id']}/working", params={"figure": name}).json()
            self.assertTrue(working["rule"], name)
        in_mix = self.client.get(f"/api/batches/{batch['id']}/balance-in-mix").json()
        self.assertEqual([span["substance"] for span in in_mix["spans"]][:2], ["salt", "sugar"])
        salt = in_mix["figures"][in_mix["spans"][0]["figure"]]
        self.assertEqual(salt["value"], in_mix["spans"][0]["value"])
        self.assertNotIn(salt["name"], batch["judgement"]["figures"])
        told = {"figure": salt["name"]}
        self.assertTrue(self.client.get(f"/api/batches/{batch['id']}/working", params=told).json()["rule"])
        unknown = self.client.get(f"/api/batches/{batch['id']}/working", params={"figure": "charm"})
        self.assertEqual(unknown.status_code, 404)
        empty = self.client.post("/api/batches", json={}).json()
        self.assertIsNone(self.client.get(f"/api/batches/{empty['id']}/course").json())
        self.assertEqual(self.client.get(f"/api/batches/{empty['id']}/salt-offers").json(), [])
        self.assertEqual(self.client.get(f"/api/batches/{empty['id']}/balance-in-mix").json()["spans"], [])

    def test_lessons(self) -> None:
        """Questions without answers; each answer on its own."""
        lessons = self.client.get("/api/lessons").json()
        self.assertGreaterEqual(len(lessons), 6)
        self.assertNotIn("right", lessons[0])
        for lesson in lessons:
            outcome = self.client.get(f"/api/lessons/{lesson['id']}").json()
            self.assertIn(outcome["right"], range(len(lesson["options"])))
            asked = [(side["name"], side["mix"], side["piece"]) for side in lesson["sides"]]
            told = [(side["name"], side["mix"], side["piece"]) for side in (outcome["this"], outcome["other"])]
            self.assertEqual(asked, told)
        self.assertEqual(self.client.get("/api/lessons/none").status_code, 404)


class OwnIngredients(unittest.TestCase):
    """Labels kept, changed, used, removed."""

    def setUp(self) -> None:
        """A client on an empty kitchen."""
        self.client = TestClient(kitchen_app(self), raise_server_exceptions=False, base_url="http://127.0.0.1")

    def salt(self) -> float:
        """Salt a kilogram of a steak with 100 g of the own ingredient."""
        draft = {**STEAK, "mix": [{"id": "1", "text": "100 g shelf soy"}]}
        return float(self.client.post("/api/batches", json=draft).json()["judgement"]["salt_g_per_kg"])

    def test_kept_used_changed_removed(self) -> None:
        """From then on the mix knows it, by its own figures."""
        kept = self.client.post("/api/own-ingredients", json=LABEL)
        self.assertEqual(kept.status_code, 201, kept.text)
        self.assertAlmostEqual(self.salt(), 16.0)
        identity = kept.json()["id"]
        changed = self.client.put(f"/api/own-ingredients/{identity}", json={**LABEL, "label": "Salt 12 g"})
        self.assertEqual(changed.status_code, 200)
        self.assertAlmostEqual(self.salt(), 12.0)
        found = self.client.get("/api/pantry", params={"search": "shelf soy"}).json()
        self.assertEqual([(item["name"], item["own"]) for item in found[:1]], [("shelf soy", True)])
        self.assertEqual(self.client.delete(f"/api/own-ingredients/{identity}").status_code, 204)
        self.assertEqual(self.client.get("/api/own-ingredients").json(), [])
        self.assertEqual(self.client.delete(f"/api/own-ingredients/{identity}").status_code, 404)
        self.assertEqual(self.client.put(f"/api/own-ingredients/{identity}", json=LABEL).status_code, 404)

    def test_a_bad_label_is_not_kept(self) -> None:
        """Refused with the field; read as typed it is an answer."""
        bad = {**LABEL, "label": "Salt 160 g"}
        self.assertEqual(self.client.post("/api/own-ingredients", json=bad).status_code, 422)
        reading = self.client.post("/api/own-ingredients/reading", json=bad).json()
        self.assertIn("do not fit", reading["problem"]["wrong"])

    def test_start_from_a_shipped_one(self) -> None:
        """Its figures as a label."""
        start = self.client.get("/api/own-ingredients/start/soy_regular").json()
        self.assertEqual((start["like"], start["name"]), ("soy_regular", "my soy sauce"))
        self.assertIn("Salt 14.3 g", start["label"])
        self.assertEqual(self.client.get("/api/own-ingredients/start/unicorn").status_code, 422)
