"""The logbook in memory is at any time what a fresh reading gives."""

from __future__ import annotations

import unittest
from dataclasses import asdict, replace
from datetime import timedelta
from unittest.mock import patch

from fastapi.testclient import TestClient
from sqlalchemy import update

from tests.api.kitchen import kitchen_app
from tests.drafts import NOW
from tests.saturday import eaten_logbook
from vadouvan.core.snapshot.kitchen import KitchenSettings
from vadouvan.core.snapshot.merging import Merge
from vadouvan.errors import NotKept
from vadouvan.store.rows import BATCH
from vadouvan.store.standing import KeptBatch
from vadouvan.use_cases.logbook_cache import LogbookCache
from vadouvan.use_cases.running_kitchen import RunningKitchen

WORDS = {"eater": "Odile", "words": {"salt": "a little too much"}, "depth": "8 mm"}


class InStep(unittest.TestCase):
    """Every way in which batches and verdicts change."""

    def setUp(self) -> None:
        """Three eaten batches, the shelf read once."""
        app = kitchen_app(self)
        self.client = TestClient(app, base_url="http://127.0.0.1")
        self.context: RunningKitchen = app.state.context
        self.ids = []
        for one in eaten_logbook(NOW)[:3]:
            made = self.client.post("/api/batches", json=asdict(one.draft)).json()
            self.ids.append(made["id"])
            self.assertEqual(self.client.put(f"/api/taste/{made['id']}", json=WORDS).status_code, 200)
        self.context.logbook_cache.entries()

    def assert_in_step(self, what: str) -> None:
        """The shelf is as a new one, and so is what it teaches."""
        with self.subTest(what):
            new = LogbookCache(self.context.batches, self.context.verdicts)
            logbook_cache = self.context.logbook_cache
            self.assertEqual({one.id: one for one in logbook_cache.entries()}, {one.id: one for one in new.entries()})
            taught = [one.lessons(one.tasted(), self.context.kitchen, now=NOW) for one in (logbook_cache, new)]
            self.assertEqual(
                *([(x.family, x.salt, x.depth and x.depth.depth_m) for x in lessons] for lessons in taught)
            )

    def test_after_every_change(self) -> None:
        """Said again in other words, forgotten, said by another, taken back, renamed, removed, taken in, put back."""
        first, second, third = self.ids
        archive = self.client.get("/api/kitchen/archive").content
        backup = self.client.get("/api/kitchen/backup").content
        self.client.put(f"/api/taste/{first}", json={**WORDS, "words": {"salt": "far too much"}})
        self.assert_in_step("said again")
        self.client.post("/api/taste/lesson", json={"batch_id": first, "lesson": "forgotten"})
        self.assert_in_step("forgotten")
        self.client.put(f"/api/taste/{second}", json={**WORDS, "eater": "Ines"})
        self.assert_in_step("another eater")
        self.client.delete(f"/api/taste/{second}", params={"eater": "Ines"})
        self.assert_in_step("taken back")
        batch = self.client.get(f"/api/batches/{third}").json()
        change = {"revision": batch["revision"], "draft": {**batch["draft"], "name": "Another name"}}
        self.assertEqual(self.client.put(f"/api/batches/{third}", json=change).status_code, 200)
        self.assert_in_step("renamed")
        self.client.delete(f"/api/batches/{third}")
        self.assert_in_step("removed")
        self.client.post("/api/kitchen/archive", content=archive)
        self.assert_in_step("taken in")
        self.client.delete("/api/kitchen", params={"sure": "remove everything"})
        self.assert_in_step("all removed")
        self.client.post("/api/kitchen/restore", content=backup)
        self.assert_in_step("put back")
        self.assertEqual(len(self.context.logbook_cache.entries()), 3)

    def test_another_state_under_the_same_identity(self) -> None:
        """Removed unlooked at, and taken in with the same verdicts but another draft: the new one is on the shelf."""
        snapshot = self.context.snapshots.read()
        other = tuple(replace(one, draft=replace(one.draft, name="Another name")) for one in snapshot.batches)
        self.context.logbook_cache.entries()
        self.context.snapshots.clear(first=lambda: None)
        merge = Merge(other, (), (), KitchenSettings(), ())
        self.context.snapshots.take_in(lambda _: merge, now=NOW + timedelta(hours=1))
        self.assertEqual({one.draft.name for one in self.context.logbook_cache.entries()}, {"Another name"})

    def test_what_cannot_be_read_stays_on_the_shelf(self) -> None:
        """Neither broken JSON nor JSON that is no draft takes the logbook away: each stands there by a name."""
        for text, name in (("{", "A batch that cannot be read"), ('{"name": 3, "mix": [7]}', "")):
            change = update(BATCH.table).where(BATCH.c.id == self.ids[0])
            with self.context.batches._engine.begin() as connection:
                connection.execute(change.values(draft=text, revision=BATCH.c.revision + 1))
            with self.subTest(text):
                spines = {one.id: one.spine.name for one in self.context.logbook_cache.entries()}
                self.assertEqual(spines[self.ids[0]], name)
                listed = self.client.get("/api/logbook")
                self.assertEqual((listed.status_code, listed.json()["count"]), (200, 3))

    def test_one_that_is_removed_while_it_is_asked_for(self) -> None:
        """It teaches no more; the others do."""
        get, gone = self.context.batches.get, self.ids[1]

        def removed(identity: str) -> KeptBatch:
            """As if another device had removed one since the shelf was looked at."""
            if identity == gone:
                raise NotKept("batch", identity)
            return get(identity)

        with patch.object(self.context.batches, "get", removed):
            shelf = LogbookCache(self.context.batches, self.context.verdicts)
            self.assertEqual({one.batch_id for one in shelf.tasted()}, {*self.ids} - {gone})

    def test_the_latest_teach(self) -> None:
        """No more than are learned from, and of those the latest."""
        with patch("vadouvan.use_cases.logbook_cache.MOST_LESSONS", 2):
            taught = [one.draft.meal.pulled for one in self.context.logbook_cache.tasted()]
        every = sorted(one.eaten_on for one in self.context.logbook_cache.entries())
        self.assertEqual(taught, every[-2:])

    def test_another_salt_on_the_shelf_teaches_anew(self) -> None:
        """What a batch taught rests on the kitchen's tables: other tables, other lessons."""
        self.client.put("/api/settings/household", json={"salt": "salt_kosher_light"})
        self.assert_in_step("another salt")


if __name__ == "__main__":
    unittest.main()
