"""One batch: judged, read in from other files, compared, made again, tasted, on a card."""

from __future__ import annotations

import sys
from pathlib import Path
from typing import Annotated, Literal

import typer

from vadouvan.cli.common import (
    BAD_INPUT,
    AsJson,
    BatchFile,
    ClockRead,
    Now,
    Units,
    draft_in,
    moment_in,
    refusing,
    tell,
    text_in,
)
from vadouvan.cli.streaming import judge_stream
from vadouvan.core.advice.comparing import Change, compared
from vadouvan.core.draft.typed import CutInput
from vadouvan.core.judgement.caution_triggers import cautions_of
from vadouvan.core.judgement.judge import judge as judge_draft
from vadouvan.core.measures.retelling import ToldIn
from vadouvan.core.snapshot.kitchen import BatchSnapshot
from vadouvan.core.tasting.again import made_again
from vadouvan.core.tasting.next_time import all_taken, next_time
from vadouvan.core.tasting.teaching import Tasted, taught
from vadouvan.core.tasting.verdict import VerdictInput, read_verdict
from vadouvan.data.tables import shipped_kitchen
from vadouvan.errors import InputError
from vadouvan.formats import batch_file
from vadouvan.formats.any_file import read_any
from vadouvan.formats.archive.records import read_batch
from vadouvan.formats.card import card_told_anew, markdown_of
from vadouvan.formats.cut_out import cube_choices_out
from vadouvan.formats.judgement import JudgementOut, judgement_out
from vadouvan.formats.judgement_text import judgement_text
from vadouvan.formats.recipe import write_recipe
from vadouvan.formats.tasting_out import NextTimeOut, correction_out
from vadouvan.formats.told_anew import answer_told_anew
from vadouvan.formats.weighing_out import weigh_out
from vadouvan.shapes import json_of
from vadouvan.use_cases.cards import card_of_batch
from vadouvan.use_cases.counter import counter_stand

CardForm = Literal["markdown", "pdf", "recipe"]
Said = Annotated[list[str] | None, typer.Option(help='A verdict, such as "salt=a little too much"; again for more.')]
Depth = Annotated[str, typer.Option(help='Depth seen on the knife, "9 mm" or "through".')]


def add_to(app: typer.Typer) -> None:
    """The commands of this module."""
    for command in (judge, cautions, read, cubes, compare, again, verdict, card, weigh):
        app.command()(command)


@refusing
def judge(
    file: Annotated[Path, typer.Argument(help="A batch file, or - for standard input.")] = Path("-"),
    as_json: AsJson = False,
    stream: Annotated[
        bool,
        typer.Option("--stream", help="Batch files from standard input, one a line; one judgement a line comes out."),
    ] = False,
    units: Units = "metric",
    clock: ClockRead = "24",
    now: Now = "",
) -> None:
    """Print the judgement of a batch file. Exit code 2 if something has to be mended first."""
    if stream:
        judge_stream(sys.stdin, typer.echo, now=moment_in(now), as_json=as_json)
        return
    kitchen = shipped_kitchen()
    as_told = judgement_out(judge_draft(draft_in(file), kitchen, now=moment_in(now)), kitchen)
    answer = answer_told_anew(as_told, ToldIn(units, clock))
    typer.echo(json_of(answer, indent=2) if as_json else judgement_text(answer))
    if _unfit(answer):
        raise typer.Exit(BAD_INPUT)


@refusing
def cautions(file: BatchFile, as_json: AsJson = False, now: Now = "") -> None:
    """Cautions for this batch, the gravest first."""
    kitchen = shipped_kitchen()
    found = cautions_of(judge_draft(draft_in(file), kitchen, now=moment_in(now)), kitchen.cautions)
    answer = [{"id": one.id, "kind": one.kind, "where": one.where, "says": one.says} for one in found]
    tell(answer, [f"{one.kind}: {one.says}" for one in found] or ["Nothing in particular."], as_json=as_json)


@refusing
def read(
    file: Annotated[Path, typer.Argument(help="A recipe (JSON-LD), a list of ingredients, or a batch file; - reads.")],
) -> None:
    """Print a batch file made from a recipe or a list; what could not be taken over goes to standard error."""
    kitchen = shipped_kitchen()
    brought = read_any(text_in(file, "Recipes and lists are text in UTF-8."), kitchen)
    typer.echo(batch_file.write(brought.draft), nl=False)
    for note in (*brought.notes, *(f"- {kitchen.cuts[one.kind].name}" for one in brought.cuts_meant)):
        typer.echo(note, err=True)


@refusing
def cubes(file: BatchFile, as_json: AsJson = False, now: Now = "") -> None:
    """Effects of bigger and smaller cubes of the same meat in the same mix."""
    found = cube_choices_out(judge_draft(draft_in(file), shipped_kitchen(), now=moment_in(now)))
    lines = (
        f"{'> ' if one.current else '  '}{one.edge_told['metric']:>8}  best {one.best}, {one.span}" for one in found
    )
    tell(found, lines, as_json=as_json)


@refusing
def compare(
    file: BatchFile,
    change: Annotated[Change, typer.Argument(help="The thing that changes.")],
    value: Annotated[str, typer.Argument(help="Its other value, where it needs one.")] = "",
    at_h: Annotated[float, typer.Option(help="The hour to compare at.")] = 12.0,
    as_json: AsJson = False,
    now: Now = "",
) -> None:
    """The same batch with one thing changed, and what that does."""
    found = compared(draft_in(file), shipped_kitchen(), now=moment_in(now), change=change, value=value, at_h=at_h)
    tell({"at_h": found.at_h, "says": list(found.says)}, found.says, as_json=as_json)


@refusing
def again(
    file: BatchFile,
    kind: Annotated[str, typer.Option(help="Another cut, by its id in the table of cuts.")] = "",
    mass: Annotated[str, typer.Option(help="Another weight.")] = "",
    thickness: Annotated[str, typer.Option(help="Another thickness, or edge of a cube.")] = "",
    now: Now = "",
) -> None:
    """Print a batch file of the same dish on another cut, worked out anew; what is other goes to standard error."""
    cut = CutInput(kind=kind, mass=mass, thickness=thickness)
    draft, says = made_again(draft_in(file), shipped_kitchen(), now=moment_in(now), cut=cut)
    typer.echo(batch_file.write(draft), nl=False)
    for words in says:
        typer.echo(words, err=True)


@refusing
def verdict(
    file: BatchFile,
    said: Said = None,
    depth: Depth = "",
    write: Annotated[bool, typer.Option(help="Print the batch file of the next one instead.")] = False,
    as_json: AsJson = False,
    now: Now = "",
) -> None:
    """Changes that a verdict on a batch asks for next time, and what it teaches of your pace and your salt."""
    draft, kitchen, moment = draft_in(file), shipped_kitchen(), moment_in(now)
    words = dict(_pair(one) for one in said or [])
    read_said = read_verdict(VerdictInput("", words, depth))
    if write:
        following, says = all_taken(draft, [read_said], kitchen, now=moment)
        typer.echo(batch_file.write(following), nl=False)
        for change in says:
            typer.echo(change, err=True)
        return
    advice = [
        NextTimeOut(id=one.id, says=one.says, costs=list(one.costs))
        for one in next_time(draft, [read_said], kitchen, now=moment)
    ]
    tasted = [Tasted("batch", draft, (read_said,))]
    learned = correction_out(taught(tasted, kitchen, now=moment), tasted)
    lines = [f"{one.says} {'; '.join(one.costs)}".strip() for one in advice] or ["Nothing to change."]
    lessons = [one.says for one in (*learned.pace, learned.salt)]
    tell({"advice": advice, "learned": lessons}, [*lines, *lessons], as_json=as_json)


@refusing
def card(
    file: BatchFile,
    form: Annotated[CardForm, typer.Option(help="recipe is JSON-LD, always in grams.")] = "markdown",
    out: Annotated[Path | None, typer.Option(help="Where to write it; a PDF needs this.")] = None,
    units: Units = "metric",
    clock: ClockRead = "24",
    now: Now = "",
) -> None:
    """A batch as a card or a recipe."""
    moment = moment_in(now)
    batch = BatchSnapshot("batch", draft_in(file), moment)
    made = card_of_batch(batch, shipped_kitchen(), now=moment)
    told = card_told_anew(made, ToldIn(units, clock))
    if form == "pdf":
        if out is None:
            accepted = "Choose markdown or recipe, or name a file with --out."
            raise InputError(field="form", given=form, wrong="A PDF cannot be printed here.", accepted=accepted)
        from vadouvan.formats.paper_card import cards_pdf

        out.write_bytes(cards_pdf([told], now=moment))
        return
    text = markdown_of(told) if form == "markdown" else write_recipe(batch, made)
    if out is None:
        typer.echo(text, nl=False)
    else:
        out.write_text(text, encoding="utf-8")


@refusing
def weigh(
    file: BatchFile,
    record: Annotated[Path, typer.Argument(help="The record of its presses, as an archive holds it (records/...).")],
    as_json: AsJson = False,
    now: Now = "",
) -> None:
    """Where a weigh-in stands after its presses, and what to do about an overshoot."""
    kitchen, moment = shipped_kitchen(), moment_in(now)
    accepted = "Batch and record are JSON in UTF-8."
    batch = read_batch(text_in(record, accepted), text_in(file, accepted), name=str(record))
    stand = counter_stand(batch.draft, batch.events, kitchen, now=moment)
    answer = weigh_out(stand.session, stand.advice, moment)
    lines = [
        answer.sentence or answer.salt_says,
        *(says for one in answer.advice for says in (one.says, *(f"  {way.says}" for way in one.ways))),
    ]
    tell(answer, [line for line in lines if line], as_json=as_json)


def _pair(text: str) -> tuple[str, str]:
    name, equals, word = text.partition("=")
    if not equals:
        accepted = 'Write a thing and a word for it, such as "salt=just right".'
        raise InputError(field="said", given=text, wrong=f'"{text}" is no verdict.', accepted=accepted)
    return name.strip(), word.strip()


def _unfit(answer: JudgementOut) -> bool:
    return bool(answer.problems or answer.waiting)
