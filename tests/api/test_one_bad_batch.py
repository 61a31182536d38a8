"""One bad batch over HTTP: it is told, and all the others stand."""

from __future__ import annotations

import sqlite3
import tempfile
import unittest
from collections.abc import Iterator
from contextlib import closing
from dataclasses import fields, is_dataclass, replace
from io import BytesIO
from pathlib import Path
from typing import Any, cast
from unittest.mock import patch
from zipfile import ZipFile

from fastapi import FastAPI
from fastapi.testclient import TestClient

from tests.core.test_life import SKEWERS
from tests.drafts import NOW, SATURDAY
from vadouvan.core.draft.typed import MOST_LINES
from vadouvan.core.tasting.verdict import VerdictInput
from vadouvan.main import build
from vadouvan.settings import Settings
from vadouvan.shapes import DRAFT


class OneBadBatch(unittest.TestCase):
    """One batch never takes the kitchen away."""

    def setUp(self) -> None:
        """A kitchen with one good batch."""
        self.folder = tempfile.TemporaryDirectory()
        self.addCleanup(self.folder.cleanup)
        path = Path(self.folder.name)
        self.client = TestClient(build(Settings(data_dir=path, clock=NOW)), base_url="http://127.0.0.1")
        self.database = path / "kitchen.sqlite"
        self.good = self.client.post("/api/batches", json=DRAFT.dump_python(SKEWERS, mode="json")).json()["id"]

    def assert_all_stand(self) -> list[dict[str, object]]:
        """Every listing answers, and the good batch is judged in it."""
        for path in ("/api/batches", "/api/plan/today", "/api/kitchen/archive"):
            self.assertEqual(self.client.get(path).status_code, 200, path)
        self.assertEqual(self.client.post("/api/plan/table").status_code, 200)
        listed: list[dict[str, object]] = self.client.get("/api/batches").json()
        good = next(one for one in listed if one["id"] == self.good)
        self.assertTrue(cast(dict[str, object], good["judgement"])["window"])
        return listed

    def test_hostile_dates_numbers_and_zones(self) -> None:
        """Kept as typed, told, and nothing else falls."""
        plain = DRAFT.dump_python(replace(SKEWERS, name="bad", meal=SATURDAY), mode="json")
        for part, field, text in (
            ("meal", "start", "9999-12-31T23:59"),
            ("meal", "contact", "0001-01-01T00:00+14:00"),
            ("meal", "pulled", "0001-01-01T00:00+14:00"),
            ("meal", "time_zone", "A" * 1980),
            ("cut", "mass", "9" * 309 + ".5 kg"),
            ("cut", "mass", "1" + "0" * 400 + " kg"),
            ("hold", "fridge", "9" * 400),
        ):
            with self.subTest(f"{part}.{field}", text=text[:20]):
                hostile = {**plain, part: {**plain[part], field: text}}
                made = self.client.post("/api/batches", json=hostile)
                self.assertEqual(made.status_code, 201)
                self.assertTrue(made.json()["judgement"]["problems"])
                self.assertEqual(made.json()["draft"][part][field], text)
                self.assert_all_stand()
                self.client.delete(f"/api/batches/{made.json()['id']}")

    def test_a_tasted_batch_with_a_word_that_nobody_knows(self) -> None:
        """In any of its fields: the logbook lists it beside the others, and its verdict is shown."""
        here = cast("FastAPI", self.client.app).state.context
        odd = list(_with_one_word("weird", replace(SKEWERS, meal=SATURDAY)))
        self.assertGreater(len(odd), 70)
        for number, (_, draft) in enumerate(odd):
            here.batches.add(f"odd-{number}", draft, now=NOW)
            here.verdicts.keep(f"odd-{number}", VerdictInput(words={"salt": "just right"}), now=NOW)
        listed = self.client.get("/api/logbook")
        self.assertEqual((listed.status_code, listed.json()["count"]), (200, len(odd)))
        for number, (field, _) in enumerate(odd):
            with self.subTest(field):
                self.assertEqual(self.client.get(f"/api/taste/odd-{number}").status_code, 200)

    def test_a_list_of_a_thousand_lines(self) -> None:
        """The first are taken, the rest is told."""
        text = "\n".join(f"{number} g salt" for number in range(1, 1200))
        made = self.client.post("/api/batches/from-file", json={"text": text})
        self.assertEqual((made.status_code, len(made.json()["batch"]["draft"]["mix"])), (201, MOST_LINES))
        self.assertIn("are the most of one mix", " ".join(made.json()["notes"]))
        self.assert_all_stand()

    def test_a_damaged_row_is_shown_and_can_be_taken_out(self) -> None:
        """It says so, its text can be written out, it is not written over, and it can be removed."""
        with closing(sqlite3.connect(self.database)) as database:
            database.execute("insert into batch select 'bad', '{oops', 1, made_at, changed_at, 1 from batch limit 1")
            database.commit()
        bad = next(one for one in self.assert_all_stand() if one["id"] == "bad")
        self.assertIn("cannot be judged", cast(dict[str, str], bad["judgement"])["sentence"])
        self.assertEqual(self.client.get("/api/batches/bad/file").text, "{oops")
        change = {"revision": 1, "draft": DRAFT.dump_python(SKEWERS, mode="json")}
        self.assertEqual(self.client.put("/api/batches/bad", json=change).status_code, 422)
        with ZipFile(BytesIO(self.client.get("/api/kitchen/archive").content)) as archive:
            self.assertEqual(archive.read("damaged/bad.txt"), b"{oops")
        self.assertEqual(self.client.delete("/api/batches/bad").status_code, 204)

    def test_any_damaged_row_stands_aside(self) -> None:
        """A verdict, a press, an own cut or ingredient, a setting, a photograph: all else stands, and each is told."""
        other = self.client.post("/api/batches", json=DRAFT.dump_python(SKEWERS, mode="json")).json()["id"]
        of_it, when = f"from batch where id = '{other}'", "'2026-11-25T00:00:00+00:00'"
        damaged = {
            "verdict": f"insert into verdict select id, '', '{{', 0, 0, {when} {of_it}",
            "press 1": "insert into press (batch_id, number, at, press, kind) "
            f"select id, 1, {when}, '{{', 'turned' {of_it}",
            "goes on from": f"insert into descent select id, id, '{{' {of_it}",
            "photograph": f"insert into cut_face select id, x'00', 1, 1, '{{' {of_it}",
            "own cut": f"insert into own_cut values ('own-x', '{{', {when})",
            "own ingredient": f"insert into own_ingredient values ('own-y', '{{', {when})",
            "routine": "insert into setting values ('routine', '{')",
            "household": "insert into setting values ('household', '[1]')",
        }
        self.assertEqual(self.unread()["rows"], 0)
        with closing(sqlite3.connect(self.database)) as database:
            for statement in damaged.values():
                database.execute(statement)
            database.commit()
        self.assert_all_stand()
        for path in ("/api/logbook", "/api/settings/routine", f"/api/taste/{other}", "/api/plan/calendar.ics"):
            self.assertEqual(self.client.get(path).status_code, 200, path)
        unread = self.unread()
        self.assertEqual(unread["rows"], len(damaged))
        with ZipFile(BytesIO(self.client.get("/api/kitchen/archive").content)) as archive:
            kept = " ".join(
                archive.read(name).decode() for name in archive.namelist() if name.startswith("damaged/row")
            )
        for where in damaged:
            self.assertIn(where, " ".join(unread["findings"]))
            self.assertIn(where, kept)
        self.assertIn("Press 1", self.client.get(f"/api/weigh/{other}").json()["sentence"])
        self.client.delete(f"/api/batches/{other}")  # its rows go with it, and are told no more
        self.assertEqual(self.client.get("/api/kitchen/unread").json()["rows"], 4)

    def unread(self) -> Any:
        """Rows told as unread by a kitchen that looks again: as it does when it is opened or put back."""
        cast("FastAPI", self.client.app).state.context.look_again()
        return self.client.get("/api/kitchen/unread").json()

    def test_a_damaged_letter_takes_no_list_away(self) -> None:
        """A byte that is no letter shows as a damaged one; the check finds it, and no backup of it is put back."""
        with closing(sqlite3.connect(self.database)) as database:
            database.execute("update batch set draft = replace(draft, 'Test', 'Te' || cast(x'ff' as text))")
            database.commit()
        listed = self.assert_all_stand()
        self.assertEqual(cast(dict[str, str], listed[0]["draft"])["name"], "Te\ufffd")
        found = self.client.get("/api/kitchen/check").json()["findings"]
        self.assertIn("letters that cannot be read", " ".join(found))
        backup = self.client.get("/api/kitchen/backup").content
        self.assertEqual(self.client.post("/api/kitchen/restore", content=backup).status_code, 422)

    def test_a_fault_of_ours_is_told_in_its_batch(self) -> None:
        """Whatever breaks in the working of one, the others stand."""
        with patch("vadouvan.core.judgement.judge.held", side_effect=ZeroDivisionError("by hand")):
            other = DRAFT.dump_python(replace(SKEWERS, name="other"), mode="json")
            made = self.client.post("/api/batches", json=other).json()
        self.assertIn("ZeroDivisionError", made["judgement"]["problems"][0]["wrong"])
        self.assertEqual(made["draft"]["name"], "other")
        self.assert_all_stand()


def _with_one_word(word: str, part: Any) -> Iterator[tuple[str, Any]]:
    """The same with this word in one of its texts, for each of them at any depth."""
    for one in fields(part):
        held = getattr(part, one.name)
        if isinstance(held, str):
            yield one.name, replace(part, **{one.name: word})
        elif is_dataclass(held):
            for name, other in _with_one_word(word, held):
                yield f"{one.name}.{name}", replace(part, **{one.name: other})
        elif isinstance(held, tuple) and held:
            for name, other in _with_one_word(word, held[0]):
                yield f"{one.name}.{name}", replace(part, **{one.name: (other, *held[1:])})


if __name__ == "__main__":
    unittest.main()
