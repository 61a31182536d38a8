"""Hostile text in every field of a draft."""

from __future__ import annotations

import random
from dataclasses import fields, is_dataclass, replace
from typing import Any

from tests.drafts import NOW
from tests.torture.tally import Tally
from vadouvan.core.judgement.judge import UNJUDGED, judge
from vadouvan.data.tables import shipped_kitchen
from vadouvan.demo import demo_kitchen
from vadouvan.formats.judgement import judgement_out
from vadouvan.main import new_id
from vadouvan.shapes import draft_to_json, json_of

KITCHEN = shipped_kitchen()
HOSTILE = (
    "9" * 309 + ".5", "9" * 400 + " kg", "1e999", "-1 g", "0", "nan", "inf", "1/0", "½½½", "12 g", "half",
    "a third of it",
    "9999-12-31T23:59", "0001-01-01T00:00+14:00", "2026-02-30T10:00", "2026-11-28T19:00", "Moon/Crater", "A" * 1980,
    " " * 1990 + "x", "degrees " * 240, "-" * 2000, "(" * 2000, "١٢ كغ", "十二公斤", "\u202e\u0000\ufeff", "🧂" * 300,
    "\n" * 900,
    "'; DROP TABLE batch; --", "<script>alert(1)</script>", "=1+1", "{{7*7}}", "%s%n", "../../etc/passwd",
    "1 tbsp fish sauce, 1 tbsp oyster sauce; and a tablespoon each of A, B and C", "pink curing salt 2 g", "200 C",
    "74 F",
)  # fmt: skip


def hostile_drafts(count: int, seed: int) -> Tally:
    """Drafts with hostile text in some fields: each is judged, and its answer can be written."""
    chance, tally = random.Random(seed), Tally("hostile drafts")
    bases = [batch.draft for batch in demo_kitchen(NOW, KITCHEN, new_id).batches]
    for _ in range(count):
        draft = _spoilt(chance.choice(bases), chance, chance.choice((0.02, 0.1, 0.5)))
        tally.tried += 1
        try:
            judgement = judge(draft, KITCHEN, now=NOW)
            json_of(judgement_out(judgement, KITCHEN))
            if judgement.sentence.startswith(UNJUDGED):
                tally.broken.append(f"{judgement.reading.problems[0].wrong}: {draft_to_json(draft)[:2000]}")
        except Exception as fault:
            tally.broken.append(f"{type(fault).__name__}: {fault}: {draft_to_json(draft)[:2000]}")
    return tally


def _spoilt(value: Any, chance: random.Random, share: float) -> Any:
    """The same with hostile text in a share of its fields; lists grow and shrink."""
    if isinstance(value, str):
        return chance.choice(HOSTILE)[:2000] if chance.random() < share else value
    if isinstance(value, tuple):
        kept = tuple(_spoilt(one, chance, share) for one in value if chance.random() > share / 4)
        return kept * (20 if kept and chance.random() < share / 20 else 1)
    if is_dataclass(value) and not isinstance(value, type):
        names = [one.name for one in fields(value) if one.name != "id"]
        return replace(value, **{name: _spoilt(getattr(value, name), chance, share) for name in names})
    return value
