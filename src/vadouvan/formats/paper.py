"""Today's list and the labels of the bags as PDF, in the letters of the application."""

from __future__ import annotations

import io
from collections.abc import Sequence
from datetime import datetime
from functools import cache
from pathlib import Path

from fontTools.ttLib import TTFont
from fpdf import FPDF
from fpdf.enums import XPos, YPos

from vadouvan.formats.code import batch_address, code_of
from vadouvan.formats.today import BagLabelOut, TodayOut, TodayStepOut

FONTS = Path(__file__).parent / "fonts"
SLAB, TEXT = "Besley", "Hyperlegible"
MARGIN_MM, HOUR_MM, LINE_MM = 15.0, 18.0, 5.6
LABEL_MM, LABEL_HIGH_MM, GAP_MM, CODE_MM = 87.0, 66.0, 6.0, 24.0
LABELS_A_PAGE, COLUMNS = 8, 2
LEAST_PT = 9.0  # read at arm's length, on a bag
KEEP_COLD = "Keep cold, at the bottom of the fridge. The used mix is not a sauce."


def today_pdf(today: TodayOut, *, title: str, address: str, now: datetime) -> bytes:
    """The list, day by day, then the labels on pages of their own."""
    paper = new_paper(title, now)
    paper.add_page()
    paper.set_font(SLAB, size=20)
    paper.cell(0, 10, title, new_x=XPos.LMARGIN, new_y=YPos.NEXT)
    if not today.steps:
        write(paper, "Nothing to do in this time.")
    for day in dict.fromkeys(step.day for step in today.steps):
        paper.ln(2)
        paper.set_font(SLAB, size=14)
        paper.cell(0, 8, day, new_x=XPos.LMARGIN, new_y=YPos.NEXT, border="B")
        for step in today.steps:
            if step.day == day:
                _step(paper, step)
    _labels(paper, today.labels, address)
    return bytes(paper.output())


def labels_pdf(labels: Sequence[BagLabelOut], *, address: str, now: datetime) -> bytes:
    """Labels alone, eight to a page."""
    paper = new_paper("Bag labels", now)
    _labels(paper, labels, address)
    if paper.page == 0:
        paper.add_page()
        paper.set_font(TEXT, size=12)
        write(paper, "No batch has a plan: nothing to label yet.")
    return bytes(paper.output())


def new_paper(title: str, now: datetime) -> FPDF:
    """An empty document with the shipped letters."""
    paper = FPDF(format="A4")
    paper.set_margin(MARGIN_MM)
    paper.set_auto_page_break(auto=True, margin=MARGIN_MM)
    paper.set_title(title)
    paper.set_creator("Vadouvan")
    paper.set_lang("en-GB")
    paper.set_creation_date(now)
    paper.add_font(SLAB, fname=FONTS / "besley-600.ttf")
    paper.add_font(TEXT, fname=FONTS / "hyperlegible-400.ttf")
    paper.add_font(TEXT, style="B", fname=FONTS / "hyperlegible-700.ttf")
    paper.set_font(TEXT, size=12)
    return paper


def _step(paper: FPDF, step: TodayStepOut) -> None:
    if paper.will_page_break(LINE_MM * 3):
        paper.add_page()
    paper.set_font(TEXT, style="B", size=12)
    paper.cell(HOUR_MM, LINE_MM, step.hour)
    lasts = f" ({step.minutes:.0f} min)" if step.minutes > 0 else ""
    by_itself = "" if step.hands_on else " By itself."
    beside = f" Hands are wanted then for {' and '.join(step.beside)} too." if step.beside else ""
    paper.set_font(TEXT, size=12)
    write(paper, f"**{plain(step.batch)}:** {step.says}{lasts}{by_itself}{beside}", left=HOUR_MM)


def write(paper: FPDF, words: str, left: float = 0.0) -> None:
    """Words down the page; ** marks what is bold."""
    paper.set_x(MARGIN_MM + left)
    paper.multi_cell(0, LINE_MM, printable(words), new_x=XPos.LMARGIN, new_y=YPos.NEXT, align="L", markdown=True)


def _labels(paper: FPDF, labels: Sequence[BagLabelOut], address: str) -> None:
    for number, label in enumerate(labels):
        place = number % LABELS_A_PAGE
        if place == 0:
            paper.add_page()
            paper.set_auto_page_break(auto=False)
        x = MARGIN_MM + (place % COLUMNS) * (LABEL_MM + GAP_MM)
        y = MARGIN_MM + (place // COLUMNS) * (LABEL_HIGH_MM + GAP_MM / 2)
        _label(paper, label, x, y, batch_address(address, label.batch_id))


def _label(paper: FPDF, label: BagLabelOut, x: float, y: float, opens: str) -> None:
    paper.rect(x, y, LABEL_MM, LABEL_HIGH_MM)
    inside, wide = x + 3, LABEL_MM - 6
    code = code_of(opens)
    picture = io.BytesIO()
    code.save(picture, kind="png", scale=8, border=2)
    paper.image(picture, x + LABEL_MM - CODE_MM - 1, y + 1, w=CODE_MM, h=CODE_MM, alt_text=opens)
    paper.set_xy(inside, y + 3)
    paper.set_font(SLAB, size=13)
    _within(paper, inside, wide - CODE_MM, plain(label.batch), 5.6, lines=2)
    paper.set_font(TEXT, size=10)
    _within(paper, inside, wide - CODE_MM, label.meat_told, 4.4, lines=2)
    paper.set_y(max(paper.get_y(), y + CODE_MM))
    rows = [
        ("in", label.went_in),
        ("turn", label.turns),
        ("out", f"{label.comes_out}, not after {label.not_after}"),
        ("table", label.table),
        ("contains", label.contains),
        ("may contain", f"{label.check_label}: read the packets" if label.check_label else ""),
    ]
    for name, says in rows:
        if says:
            paper.set_font(TEXT, size=10)
            _within(paper, inside, wide, f"{name}: **{says}**", 4.2, lines=2)
    paper.set_font(TEXT, size=LEAST_PT)
    paper.set_y(y + LABEL_HIGH_MM - 8)
    _within(paper, inside, wide, KEEP_COLD, 3.6, lines=2)


def _within(paper: FPDF, x: float, wide: float, words: str, line: float, *, lines: int) -> None:
    """Words in a column, cut off after so many lines."""
    paper.set_x(x)
    fitted = printable(words)
    while len(paper.multi_cell(wide, line, fitted, dry_run=True, output="LINES", markdown=True)) > lines:  # type: ignore[arg-type]
        fitted = f"{fitted.rstrip('*. ')[:-4].rstrip()}…" + ("**" if "**" in words else "")
    paper.multi_cell(wide, line, fitted, new_x=XPos.LEFT, new_y=YPos.NEXT, align="L", markdown=True)


def plain(name: str) -> str:
    """A name without marks that would be read as emphasis."""
    for mark in ("**", "__", "--", "~~"):
        name = name.replace(mark, "")
    return name


def printable(words: str) -> str:
    """Words without letters that the shipped fonts do not have: each is replaced, never silently dropped."""
    known = _letters()
    return "".join(letter if ord(letter) in known or letter == "\n" else "?" for letter in words)


@cache
def _letters() -> frozenset[int]:
    return frozenset(TTFont(FONTS / "hyperlegible-400.ttf").getBestCmap())
