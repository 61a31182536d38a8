"""Batches on cards, and a whole kitchen as an archive: judged here, written by formats."""

from __future__ import annotations

from datetime import datetime

from vadouvan.core.interpretation.draft import read_draft
from vadouvan.core.judgement.judge import judge
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.snapshot.kitchen import BatchSnapshot, KitchenSnapshot
from vadouvan.formats.archive.kitchen_archive import BatchOnCard, pack_archive
from vadouvan.formats.card import Card, card_of


def card_of_batch(batch: BatchSnapshot, kitchen: Kitchen, *, now: datetime) -> Card:
    """The card of one batch: what to do while it is in hand, what was done once it was tasted."""
    return _on_card(batch, kitchen, now).card


def write_archive(snapshot: KitchenSnapshot, kitchen: Kitchen, *, now: datetime) -> bytes:
    """The archive of a kitchen; ``kitchen`` has the tables with the cook's own in them."""
    on_cards = [_on_card(batch, kitchen, now) for batch in snapshot.batches if not batch.damaged]
    return pack_archive(snapshot, kitchen, on_cards, now=now)


def _on_card(batch: BatchSnapshot, kitchen: Kitchen, now: datetime) -> BatchOnCard:
    judgement = None if batch.verdicts else judge(batch.draft, kitchen, now=now)
    reading = judgement.reading if judgement else read_draft(batch.draft, kitchen, now=now)
    steps = judgement.steps if judgement and judgement.plan else ()
    return BatchOnCard(batch, card_of(batch, kitchen, reading, judgement), steps)
