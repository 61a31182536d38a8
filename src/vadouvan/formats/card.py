"""A batch as a card: what it is made of in grams, how it is done, how it was; as Markdown."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import replace
from datetime import datetime

from vadouvan.core.contact.allergens import allergens_of, allergens_told
from vadouvan.core.figure import hours_told, number_told
from vadouvan.core.interpretation.companions import CompanionKind
from vadouvan.core.interpretation.draft import Interpretation
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.measures.retelling import ToldIn, retold
from vadouvan.core.mix.measure import as_weighed_g, weighed_parts
from vadouvan.core.parsing.cut_name import line_of
from vadouvan.core.patterns import lazily
from vadouvan.core.snapshot.kitchen import BatchSnapshot, VerdictSnapshot
from vadouvan.core.tasting.logbook import held_hours
from vadouvan.unchanging import unchanging

DEFERS = "Times and temperatures follow common guidance; local rules and licensed practice come first."
_SPECIAL = lazily(r"([\\`*_{}\[\]<>#|~])")


@unchanging
class CardLine:
    """A line of the mix as typed, and in grams where it can be read."""

    text: str
    grams: str
    mark: str = ""

    @property
    def beside_grams(self) -> str:
        """Text beside the grams: only the name, for a line that was typed in grams."""
        parts = weighed_parts(self.text)
        return parts[1] if parts and self.grams else self.text


@unchanging
class BesideOnCard:
    """A mix beside the marinade: its name and kind, its lines, and what is to know of it."""

    title: str
    kind: CompanionKind
    lines: tuple[CardLine, ...]
    says: tuple[str, ...]


@unchanging
class Card:
    """All that a cook needs of a batch on one page, in words."""

    name: str
    meat: str
    servings: str
    lines: tuple[CardLine, ...]
    steps: tuple[str, ...]
    allergens: str
    went: tuple[str, ...]
    tasted: tuple[str, ...]
    beside: tuple[BesideOnCard, ...] = ()


def card_of(batch: BatchSnapshot, kitchen: Kitchen, reading: Interpretation, judgement: Judgement | None) -> Card:
    """The card of a batch; without a judgement it tells what was done, not what to do."""
    draft = batch.draft
    kind = kitchen.cuts.get(draft.cut.kind)
    return Card(
        name=draft.name.strip() or "Unnamed batch",
        meat=line_of(draft.cut.mass, kind, draft.cut.thickness) if kind else "",
        servings=draft.occasion.servings.strip(),
        lines=tuple(_lines(batch, reading)),
        steps=tuple(_steps(judgement)) if judgement else (),
        allergens=allergens_told(allergens_of(reading.all_portions, reading.cut.kind if reading.cut else None)),
        went=tuple(_went(batch)),
        tasted=tuple(_said(one) for one in batch.verdicts),
        beside=tuple(_beside(reading, judgement)),
    )


def card_told_anew(card: Card, told_in: ToldIn) -> Card:
    """The card in someone's own units and on their clock; lines of the mix stay as they were typed."""

    def anew(words: tuple[str, ...]) -> tuple[str, ...]:
        return tuple(retold(one, told_in) for one in words)

    def lines(of: tuple[CardLine, ...]) -> tuple[CardLine, ...]:
        return tuple(replace(line, grams=retold(line.grams, told_in)) for line in of)

    return replace(
        card,
        lines=lines(card.lines),
        steps=anew(card.steps),
        went=anew(card.went),
        tasted=anew(card.tasted),
        beside=tuple(replace(one, lines=lines(one.lines), says=anew(one.says)) for one in card.beside),
    )


def markdown_of(card: Card) -> str:
    """The card as Markdown."""
    return "\n".join(_markdown(card)) + "\n"


def _markdown(card: Card) -> Iterator[str]:
    yield f"# {_plain(card.name)}"
    yield ""
    if card.meat:
        servings = f", for {_plain(card.servings)}" if card.servings else ""
        yield f"{_plain(card.meat)}{servings}"
        yield ""
    if card.lines:
        yield "| weight | mix | |"
        yield "|---:|---|---|"
        yield from (f"| {line.grams} | {_plain(line.beside_grams)} | {line.mark} |" for line in card.lines)
        yield ""
    for one in card.beside:
        yield f"## {_plain(one.title)}"
        yield ""
        yield "| weight | | |"
        yield "|---:|---|---|"
        yield from (f"| {line.grams} | {_plain(line.beside_grams)} | {line.mark} |" for line in one.lines)
        yield ""
        yield from (_plain(says) for says in one.says)
        yield ""
    if card.allergens:
        yield card.allergens
        yield ""
    for number, step in enumerate(card.steps, start=1):
        yield f"{number}. {_plain(step)}"
    if card.steps:
        yield ""
    for words in (*card.went, *card.tasted):
        yield f"- {_plain(words)}"
    if card.went or card.tasted:
        yield ""
    yield f"_{DEFERS}_"


def _lines(batch: BatchSnapshot, reading: Interpretation) -> Iterator[CardLine]:
    grams = {portion.line_id: as_weighed_g(portion.mass_kg.value) for portion in reading.portions}
    for line in batch.draft.mix:
        if line.text.strip():
            marks = [words for said, words in ((line.first, "goes on first"), (line.lifted, "fished out")) if said]
            shown = f"{number_told(grams[line.id])} g" if line.id in grams else ""
            yield CardLine(line.text.strip(), shown, ", ".join(marks))


def _beside(reading: Interpretation, judgement: Judgement | None) -> Iterator[BesideOnCard]:
    told = {one.companion.id: one.says for one in judgement.plate.companions} if judgement and judgement.plate else {}
    for one in reading.companions:
        weighed = [CardLine(p.text.strip(), f"{number_told(as_weighed_g(p.mass_kg.value))} g") for p in one.portions]
        unread = [CardLine(bad.given.strip(), "", "not weighed") for bad in one.unread]
        yield BesideOnCard(one.title, one.kind, (*weighed, *unread), told.get(one.id, ()))


def _steps(judgement: Judgement) -> Iterator[str]:
    if not judgement.steps:
        yield judgement.sentence
        if judgement.fire is not None:
            yield judgement.fire.doneness.says
        return
    for step in judgement.steps:
        lasts = f" ({number_told(step.minutes)} min)" if step.minutes > 0 else ""
        yield f"{step.says}{lasts}"
        if step.kind == "contact":
            yield judgement.sentence
            if judgement.salt_line:
                yield judgement.salt_line


def _went(batch: BatchSnapshot) -> Iterator[str]:
    meal = batch.draft.meal
    hours = held_hours(batch.draft)
    if hours is not None:
        out = datetime.fromisoformat(meal.pulled)  # it could be read, or there were no hours
        yield f"In the mix for {hours_told(hours)}, out {out:%Y-%m-%d %H:%M}."
    if batch.changed:
        yield f"Changed against the batch before: {' '.join(batch.changed)}"


def _said(one: VerdictSnapshot) -> str:
    said = one.said
    parts = [f"{aspect} {word}" for aspect, word in said.words.items() if word]
    if said.depth:
        parts.append(f"seasoned {'right through' if said.depth == 'through' else said.depth + ' deep'}")
    if said.note.strip():
        parts.append(said.note.strip())
    return f"{said.eater.strip() or 'Tasted'}: {'; '.join(parts)}"


def _plain(words: str) -> str:
    """Words on one line, without letters that Markdown would take for marks."""
    return _SPECIAL.sub(r"\\\1", " ".join(words.split()))
