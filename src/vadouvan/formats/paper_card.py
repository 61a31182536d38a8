"""Batches as cards on paper, a page each."""

from __future__ import annotations

from collections.abc import Sequence
from datetime import datetime

from fpdf import FPDF
from fpdf.enums import XPos, YPos

from vadouvan.formats.card import DEFERS, Card, CardLine
from vadouvan.formats.paper import LEAST_PT, LINE_MM, MARGIN_MM, SLAB, TEXT, new_paper, plain, printable, write

GRAMS_MM = 24.0


def cards_pdf(cards: Sequence[Card], *, now: datetime) -> bytes:
    """A PDF with a page, or more if need be, for each card."""
    paper = new_paper("Cards", now)
    for card in cards:
        _card(paper, card)
    if not cards:
        paper.add_page()
        write(paper, "No batches yet.")
    return bytes(paper.output())


def _card(paper: FPDF, card: Card) -> None:
    paper.add_page()
    paper.set_font(SLAB, size=20)
    paper.multi_cell(0, 10, printable(card.name), new_x=XPos.LMARGIN, new_y=YPos.NEXT, align="L")
    paper.set_font(TEXT, size=12)
    if card.meat:
        write(paper, plain(f"{card.meat}, for {card.servings}" if card.servings else card.meat))
    _section(paper, "Mix")
    _ledger(paper, card.lines)
    for one in card.beside:
        _section(paper, plain(one.title))
        _ledger(paper, one.lines)
        for says in one.says:
            write(paper, plain(says))
    if card.allergens:
        write(paper, card.allergens)
    if card.steps:
        _section(paper, "How")
    for number, step in enumerate(card.steps, start=1):
        write(paper, plain(f"{number}. {step}"))
    if card.went or card.tasted:
        _section(paper, "How it went")
    for words in (*card.went, *card.tasted):
        write(paper, plain(words))
    paper.ln(3)
    paper.set_font(TEXT, size=LEAST_PT)
    write(paper, DEFERS)


def _ledger(paper: FPDF, lines: Sequence[CardLine]) -> None:
    for line in lines:
        mark = f" ({line.mark})" if line.mark else ""
        if paper.will_page_break(LINE_MM * 2):
            paper.add_page()
        paper.set_x(MARGIN_MM)
        paper.cell(GRAMS_MM - 4, LINE_MM, line.grams, align="R")
        write(paper, plain(f"{line.beside_grams}{mark}"), left=GRAMS_MM)


def _section(paper: FPDF, title: str) -> None:
    paper.ln(3)
    paper.set_font(SLAB, size=14)
    paper.cell(0, 8, title, new_x=XPos.LMARGIN, new_y=YPos.NEXT, border="B")
    paper.ln(1)
    paper.set_font(TEXT, size=12)
