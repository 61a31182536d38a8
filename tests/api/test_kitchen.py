"""The whole kitchen over HTTP: archive, backup, restore, check, removal; household and files that are brought."""

from __future__ import annotations

import unittest
from dataclasses import asdict
from typing import Any
from unittest.mock import patch

from fastapi.testclient import TestClient

from tests.api.kitchen import kitchen_app
from tests.drafts import NOW
from tests.saturday import saturday_drafts
from vadouvan.api.routers import kitchen as router
from vadouvan.core.draft.typed import Draft
from vadouvan.store import snapshots

SURE = {"sure": "remove everything"}


class WholeKitchenOverHttp(unittest.TestCase):
    """A kitchen with the demo's first two batches, one tasted, a label, a week."""

    def setUp(self) -> None:
        """Over HTTP, as the page makes them."""
        self.app = kitchen_app(self)
        self.client = TestClient(self.app, base_url="http://127.0.0.1")
        self.ids = []
        for draft in saturday_drafts(NOW)[:2]:
            made = self.client.post("/api/batches", json=_body(draft))
            self.ids.append(made.json()["id"])
        self.client.put(f"/api/taste/{self.ids[0]}", json={"eater": "Odile", "words": {"salt": "a little too much"}})
        label = {"name": "Harbour sauce", "basis": "per_100g", "label": "Salt 10 g, Sugars 2 g"}
        self.assertEqual(self.client.post("/api/own-ingredients", json=label).status_code, 201)
        self.client.put("/api/settings/shared", json={"fridge": "38 l", "tubs": ""})

    def everything(self) -> list[Any]:
        """What a cook sees of it."""
        addresses = ("batches", "logbook", "own-ingredients", "settings/shared", "taste/correction")
        return [self.client.get(f"/api/{address}").json() for address in addresses]

    def test_out_removed_in_and_the_same(self) -> None:
        """The archive brings everything back, and a second time nothing."""
        before = self.everything()
        archive = self.client.get("/api/kitchen/archive")
        self.assertEqual(archive.headers["content-type"], "application/zip")
        refused = self.client.delete("/api/kitchen")
        self.assertEqual((refused.status_code, self.everything()), (422, before))
        removed = self.client.delete("/api/kitchen", params=SURE).json()
        self.assertIn("A backup of it is kept in", removed["says"])
        self.assertEqual(self.client.get("/api/batches").json(), [])
        preview = self.client.post("/api/kitchen/archive/preview", content=archive.content).json()
        self.assertEqual(preview["says"], "Would come in: 2 batches, 1 ingredient, 1 setting.")
        self.assertEqual(self.client.get("/api/batches").json(), [], "a preview changes nothing")
        done = self.client.post("/api/kitchen/archive", content=archive.content).json()
        self.assertEqual(done["says"], "Taken in: 2 batches, 1 ingredient, 1 setting.")
        after = self.everything()
        for one in (before, after):
            for batch in one[0]:
                batch.update(revision=0, can_undo=False)
        self.assertEqual(after, before)
        again = self.client.post("/api/kitchen/archive", content=archive.content).json()
        self.assertEqual((again["says"], again["counts"]["same"]), ("Nothing was new.", 4))

    def test_a_long_archive_shows_how_far_it_is_and_is_stopped(self) -> None:
        """While it is read and written the work is shown; stopped in the middle of writing, nothing of it is kept."""
        archive = self.client.get("/api/kitchen/archive").content
        self.client.delete("/api/kitchen", params=SURE)
        self.assertIsNone(self.client.get("/api/kitchen/work").json())
        other = TestClient(self.app, base_url="http://127.0.0.1")
        seen: list[Any] = []

        def first_written(*written: Any) -> None:
            """Another device looks, and stops it, once a part of it is written."""
            add(*written)
            seen.append(other.get("/api/kitchen/work").json())
            other.post("/api/kitchen/work/stop")

        add = snapshots._add
        with patch.object(snapshots, "EVERY", 1), patch.object(snapshots, "_add", first_written):
            stopped = self.client.post("/api/kitchen/archive", content=archive)
        self.assertEqual(stopped.status_code, 409)
        self.assertEqual(stopped.json()["sentence"], "Stopped, as you asked. Nothing was changed.")
        self.assertEqual(seen, [{"what": "Writing", "done": 0, "total": 2, "can_stop": True}])
        self.assertEqual(self.client.get("/api/batches").json(), [])
        self.assertIsNone(self.client.get("/api/kitchen/work").json())
        done = self.client.post("/api/kitchen/archive", content=archive).json()
        self.assertEqual(done["says"], "Taken in: 2 batches, 1 ingredient, 1 setting.")

    def test_settings_only_if_asked(self) -> None:
        """Those that differ stay; asked for, they are taken over."""
        archive = self.client.get("/api/kitchen/archive").content
        self.client.put("/api/settings/shared", json={"fridge": "20 l", "tubs": ""})
        self.assertEqual(self.client.post("/api/kitchen/archive", content=archive).json()["counts"]["kept"], 1)
        self.assertEqual(self.client.get("/api/settings/shared").json()["fridge"], "20 l")
        taken = self.client.post("/api/kitchen/archive?settings=true", content=archive).json()
        self.assertEqual(taken["counts"]["replaced"], 1)
        self.assertEqual(self.client.get("/api/settings/shared").json()["fridge"], "38 l")

    def test_backup_and_restore(self) -> None:
        """A batch thrown away comes back with the backup, with its undo; another file is refused with words."""
        backup = self.client.get("/api/kitchen/backup").content
        self.client.delete(f"/api/batches/{self.ids[1]}")
        put = self.client.post("/api/kitchen/restore", content=backup)
        self.assertIn("Put back", put.json()["says"])
        self.assertEqual(self.client.get(f"/api/batches/{self.ids[1]}").status_code, 200)
        refused = self.client.post("/api/kitchen/restore", content=b"x" * 5000)
        self.assertEqual(refused.status_code, 422)
        self.assertIn("no backup of a kitchen", refused.json()["sentence"])

    def test_check(self) -> None:
        """All well, by the number of rows."""
        checked = self.client.get("/api/kitchen/check").json()
        self.assertEqual(checked["findings"], [])
        self.assertRegex(checked["says"], r"All well: \d+ rows read")

    def test_too_large_is_refused_as_it_comes(self) -> None:
        """By what it says of its size, and by what comes; 500 MB are told as such."""
        said = self.client.post(
            "/api/kitchen/archive", content=b"x", headers={"content-length": "500000000"}
        )  # the length is believed before anything is read
        self.assertEqual(said.status_code, 422)
        self.assertIn("500 MB", said.json()["sentence"])
        with patch.object(router, "LARGEST_ARCHIVE_BYTES", 1000):
            streamed = self.client.post("/api/kitchen/archive", content=(b"x" * 600 for _ in range(3)))
        self.assertEqual(streamed.status_code, 422)

    def test_another_page_may_not_act(self) -> None:
        """What a browser sends for a page of another origin is refused; the kitchen's own page and programs are not."""
        archive = self.client.get("/api/kitchen/archive").content
        for origin, status in (("http://evil.example", 403), ("null", 403), ("http://127.0.0.1", 200)):
            with self.subTest(origin):
                answer = self.client.post("/api/kitchen/archive", content=archive, headers={"origin": origin})
                self.assertEqual(answer.status_code, status)
        self.assertEqual(self.client.get("/api/batches", headers={"origin": "http://evil.example"}).status_code, 200)

    def test_only_the_kitchens_own_names_answer(self) -> None:
        """A page elsewhere that turns its name to this machine gets nothing, reads included."""
        own = ("127.0.0.1", "127.0.0.1:8000", "localhost:8000", "[::1]:8000", "[::1]")
        others = ("evil.example", "evil.example:8000", "127.0.0.1.evil.example", "localhost@evil.example", "[::1", "")
        for host, status in (*((name, 200) for name in own), *((name, 400) for name in others)):
            with self.subTest(host):
                headers = {"host": host, "origin": f"http://{host}"}
                self.assertEqual(self.client.get("/api/batches", headers=headers).status_code, status)
                made = self.client.post("/api/batches", json={}, headers=headers)
                self.assertEqual(made.status_code == 400, status == 400)

    def test_a_backup_too_large(self) -> None:
        """Refused as it comes."""
        with patch.object(router, "LARGEST_BACKUP_BYTES", 1000):
            refused = self.client.post("/api/kitchen/restore", content=b"x" * 5000)
        self.assertEqual(refused.status_code, 422)
        self.assertIn("up to", refused.json()["sentence"])

    def test_no_archive(self) -> None:
        """Words say what would do; nothing changes."""
        before = self.everything()
        refused = self.client.post("/api/kitchen/archive", content=b"no zip")
        self.assertEqual(refused.status_code, 422)
        self.assertIn("Settings writes", refused.json()["sentence"])
        self.assertEqual(self.everything(), before)

    def test_a_batch_as_recipe_and_cards(self) -> None:
        """Each with its type and a name to save it under."""
        kinds = {"file": "application/json", "recipe": "application/ld+json", "card": "text/markdown",
                 "card.pdf": "application/pdf"}  # fmt: skip
        for kind, media in kinds.items():
            answer = self.client.get(f"/api/batches/{self.ids[0]}/{kind}")
            with self.subTest(kind):
                self.assertIn(media, answer.headers["content-type"])
                self.assertIn("attachment", answer.headers["content-disposition"])
        self.assertIn("Odile", self.client.get(f"/api/batches/{self.ids[0]}/card").text)
        self.assertEqual(self.client.get("/api/batches/none/card").status_code, 404)

    def test_a_long_line_can_be_written_out(self) -> None:
        """What is too long for one ingredient is kept, told, and goes to the file."""
        draft = _body(saturday_drafts(NOW)[0])
        draft["mix"][0]["text"] = "x" * 900
        made = self.client.post("/api/batches", json=draft).json()
        self.assertTrue(made["judgement"]["problems"])
        text = self.client.get(f"/api/batches/{made['id']}/file").text
        again = self.client.post("/api/batches/from-file", json={"text": text}).json()
        self.assertEqual(again["batch"]["draft"]["mix"][0]["text"], "x" * 900)
        self.assertEqual(self.client.get("/api/kitchen/archive").status_code, 200)

    def test_verdict_without_a_batch_or_too_long(self) -> None:
        """404 for none; 20,000 letters are too long for a note, with what would do."""
        words = {"words": {"salt": "just right"}}
        self.assertEqual(self.client.put("/api/taste/none", json=words).status_code, 404)
        refused = self.client.put(f"/api/taste/{self.ids[0]}", json={**words, "note": "a" * 20_000})
        self.assertEqual(refused.status_code, 422)
        self.assertIn("20000 letters are too long", refused.json()["problems"][0]["wrong"])


class Household(unittest.TestCase):
    """What is set once about the household changes each mix."""

    def setUp(self) -> None:
        """An empty kitchen."""
        self.client = TestClient(kitchen_app(self), base_url="http://127.0.0.1")

    def keep(self, **said: object) -> int:
        """Keep it; the answer's status."""
        return self.client.put("/api/settings/household", json=said).status_code

    def legs(self, *lines: str) -> dict[str, Any]:
        """The demo's legs with another mix, as the page gets them."""
        draft = _body(saturday_drafts(NOW)[0])
        draft["mix"] = [{"id": str(n), "text": text} for n, text in enumerate(lines, start=1)]
        answer = self.client.post("/api/batches", json=draft)
        self.assertEqual(answer.status_code, 201, answer.text)
        return dict(answer.json())

    def test_salt_on_the_shelf(self) -> None:
        """A tablespoon of "salt" weighs what that of the flakes on the shelf does; what is named stays."""

        def grams(line: str) -> float:
            judged = self.legs(line)["judgement"]
            return float(judged["ingredients"][0]["grams"])

        fine, named = grams("1 tbsp salt"), grams("1 tbsp fine salt")
        self.assertEqual(fine, named)
        self.assertEqual(self.keep(salt="salt_kosher_light"), 200)
        self.assertLess(grams("1 tbsp salt"), 0.7 * fine)
        self.assertEqual(grams("1 tbsp salt"), grams("1 tbsp light kosher salt"))
        legs = self.legs("200 g yoghurt")
        self.assertFalse(legs["judgement"]["salt_on_target"])
        offers = self.client.get(f"/api/batches/{legs['id']}/salt-offers").json()
        self.assertIn("light kosher salt", offers[0]["lines"][0]["text"])
        self.assertEqual(grams("1 tbsp fine salt"), named)

    def test_way_of_salting_of_new_batches(self) -> None:
        """Where they say none themselves; examples too."""
        self.keep(school="equilibrium")
        draft = self.legs("20 g salt")["draft"]
        self.assertEqual(draft["aims"]["school"], "equilibrium")
        read = self.client.post("/api/batches/from-file", json={"text": "1 kg lamb shoulder\n12 g salt"}).json()
        self.assertEqual(read["batch"]["draft"]["aims"]["school"], "equilibrium")
        started = self.client.post("/api/examples/skewers").json()
        self.assertEqual(started["draft"]["aims"]["school"], "equilibrium")

    def test_allergens_are_told_and_left_out_of_swaps(self) -> None:
        """Sure ones with what brings them, possible ones by the label; none for another household."""
        self.assertEqual(self.keep(allergens=["milk", "soy"]), 200)
        made = self.legs("200 g yoghurt", "10 g salt", "30 g soy sauce")
        judged = made["judgement"]
        told = " ".join(judged["mix"]["household"])
        self.assertIn("Has milk (", told)
        self.assertIn("Has soy (", told)
        swaps = self.client.post("/api/mix/swaps", json={"draft": made["draft"], "line_id": "1", "without": []}).json()
        self.assertTrue(swaps)
        self.assertTrue(all("milk" in swap["loses"] for swap in swaps), swaps)
        self.keep(allergens=["lupin"])
        judged = self.legs("200 g yoghurt", "10 g salt")["judgement"]
        self.assertEqual(judged["mix"]["household"], [])

    def test_low_salt_eaters(self) -> None:
        """Told above a third of a day's 2 g of sodium (WHO), and not below; it defers to medical advice."""
        self.keep(low_salt="2")
        for grams, told in (("40 g salt", True), ("8 g salt", False)):
            judged = self.legs(grams)["judgement"]
            sodium = judged["figures"]["sodium_mg_per_serving"]["value"]
            with self.subTest(grams):
                self.assertEqual(sodium > 2000 / 3, told)
                self.assertEqual(bool(judged["mix"]["household"]), told)
                self.assertTrue(not told or "Medical advice comes first" in judged["mix"]["household"][0])

    def test_what_cannot_be(self) -> None:
        """Each field with what would do, all at once; nothing is kept."""
        answer = self.client.put(
            "/api/settings/household",
            json={"salt": "honey", "school": "by ear", "allergens": ["rain"], "low_salt": "some"},
        )
        self.assertEqual(answer.status_code, 422)
        self.assertEqual(
            [problem["field"] for problem in answer.json()["problems"]], ["salt", "school", "allergens", "low_salt"]
        )
        self.assertEqual(self.client.get("/api/settings/household").json()["said"]["salt"], "")
        for text in ("1.5", "-1", "200"):
            self.assertEqual(self.keep(low_salt=text), 422, text)


def _body(draft: Draft) -> dict[str, Any]:
    return asdict(draft)


if __name__ == "__main__":
    unittest.main()


class ChangedElsewhere(unittest.TestCase):
    """Settings and own ingredients changed on two devices: nothing acknowledged is put back by something older."""

    def setUp(self) -> None:
        """A kitchen over HTTP."""
        self.client = TestClient(kitchen_app(self), base_url="http://127.0.0.1")

    def put(self, path: str, since: dict[str, Any], prefer: str | None = None, **said: Any) -> Any:
        """A change made from a state that was seen."""
        return self.client.put(f"/api/{path}", json={**since, **said, "since": since, "prefer": prefer})

    def test_settings(self) -> None:
        """Other answers stand beside each other; of one answer both values are told, and a second press keeps mine."""
        for path, first, mine, theirs in (
            ("settings/shared", "fridge", "20 l", "30 l"),
            ("settings/routine", "sleep_from", "22:00", "23:30"),
            ("settings/household", "low_salt", "1", "2"),
        ):
            with self.subTest(path):
                found = self.client.get(f"/api/{path}").json()
                seen = found.get("said", found)
                self.assertEqual(self.put(path, seen, **{first: theirs}).status_code, 200)
                other = {"tubs": "2.5 l"} if path.endswith("shared") else {"away": "sat 14:00 to 15:00"}
                if not path.endswith("household"):
                    both = self.put(path, seen, **other).json()
                    self.assertEqual({**both, **other, first: theirs}, both)
                refused = self.put(path, seen, **{first: mine})
                self.assertEqual(refused.status_code, 409)
                (problem,) = refused.json()["problems"]
                self.assertEqual(problem["field"], first)
                self.assertIn(mine, problem["wrong"])
                self.assertIn(theirs, problem["wrong"])
                kept = self.put(path, seen, "mine", **{first: mine}).json()
                self.assertEqual(kept.get("said", kept)[first], mine)

    def test_a_set_of_days_clashes_as_a_whole(self) -> None:
        """Days of work are one answer."""
        seen = self.client.get("/api/settings/routine").json()
        self.put("settings/routine", seen, work_days=["mon"])
        refused = self.put("settings/routine", seen, work_days=["tue", "wed"])
        self.assertEqual((refused.status_code, refused.json()["problems"][0]["field"]), (409, "work_days"))
        self.assertIn("tue; wed", refused.json()["sentence"])

    def test_an_own_ingredient(self) -> None:
        """Its name changed here, its label there; then both the name."""
        nutrition = {"basis": "per_100g", "serving": "", "label": "Salt 10 g, Sugars 2 g"}
        label = {"name": "Harbour sauce", "like": "", "allergens": "", **nutrition}
        made = self.client.post("/api/own-ingredients", json=label).json()
        path = f"own-ingredients/{made['id']}"
        self.put(path, label, label="Salt 12 g, Sugars 2 g")
        both = self.put(path, label, name="Slip sauce").json()["said"]
        self.assertEqual((both["name"], both["label"]), ("Slip sauce", "Salt 12 g, Sugars 2 g"))
        self.assertEqual(self.put(path, label, name="Quay sauce").status_code, 409)
        self.assertEqual(self.put(path, label, "theirs", name="Quay sauce").json()["said"]["name"], "Slip sauce")
