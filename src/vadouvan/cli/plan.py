"""Plans: offers where one does not work, several batches together, what is next, the calendar, labels."""

from __future__ import annotations

from datetime import datetime, timedelta
from functools import partial
from pathlib import Path
from typing import Annotated

import typer

from vadouvan.cli.common import AsJson, BatchFile, ClockRead, Now, Units, draft_in, moment_in, refusing, tell
from vadouvan.core.advice.offers import plan_offers
from vadouvan.core.interpretation.shared import SharedInput, read_shared
from vadouvan.core.joint_schedule.gather import Clock
from vadouvan.core.joint_schedule.together import plan_together
from vadouvan.core.judgement.judge import judge
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.measures.retelling import ToldIn
from vadouvan.core.schedule.moving import Mark
from vadouvan.data.tables import shipped_kitchen
from vadouvan.formats import batch_file
from vadouvan.formats.today import today_out
from vadouvan.formats.told_anew import answer_told_anew
from vadouvan.use_cases.planning import Judging, at_the_table, clashes_told, move_mark

BatchFiles = Annotated[list[Path], typer.Argument(help="Batch files.")]


def add_to(app: typer.Typer) -> None:
    """The commands of this module."""
    for command in (offers, move, together, today, calendar):
        app.command()(command)


@refusing
def offers(file: BatchFile, as_json: AsJson = False, now: Now = "") -> None:
    """The nearest plans that work, for a batch whose plan does not."""
    found = plan_offers(draft_in(file), shipped_kitchen(), now=moment_in(now))
    says = [offer.says for offer in found]
    tell(says, says or ["Its plan works, or nothing near it does."], as_json=as_json)


@refusing
def move(
    file: BatchFile,
    mark: Annotated[Mark, typer.Argument(help="The mark that moves.")],
    to: Annotated[str, typer.Argument(help='A moment with its offset, such as "2026-11-28T20:00+00:00".')],
    now: Now = "",
) -> None:
    """Print the batch file with its meal, its pull or its start at another moment; its plan goes to standard error."""
    moved = move_mark(draft_in(file), mark, moment_in(to), _judging(shipped_kitchen(), moment_in(now)))
    typer.echo(batch_file.write(moved.draft), nl=False)
    typer.echo(moved.says, err=True)


@refusing
def together(
    files: BatchFiles,
    fridge: Annotated[str, typer.Option(help='Litres free, such as "38 l".')] = "",
    tubs: Annotated[str, typer.Option(help='Tubs, such as "2.5 l, 5 l".')] = "",
    as_json: AsJson = False,
    now: Now = "",
) -> None:
    """Several batches planned around each other: what clashed, what moves, what finds no place and why."""
    kitchen, moment = shipped_kitchen(), moment_in(now)
    shared = read_shared(SharedInput(fridge, tubs))
    judging = _judging(kitchen, moment)
    batches = at_the_table([(str(file), draft_in(file)) for file in files], judging)
    clock = Clock(moment, kitchen.routine)
    clashes = clashes_told(batches, shared, clock)
    plan = plan_together(batches, shared, kitchen, clock)
    moved = {one.batch.id: judging(one.draft).plan_says for one in plan.moved}
    left = {one.batch.id: f"{one.says} {one.later_says}".strip() for one in plan.left_out}
    answer = {"clashes": clashes, "moved": moved, "left_out": left, "proven": plan.proven}
    lines = [*clashes, *(f"{name}: {says}" for name, says in (*moved.items(), *left.items()))]
    tell(answer, lines or ["They go together as they are."], as_json=as_json)


@refusing
def today(
    files: BatchFiles,
    hours: Annotated[float, typer.Option(help="How far ahead.")] = 24.0,
    as_json: AsJson = False,
    units: Units = "metric",
    clock: ClockRead = "24",
    now: Now = "",
) -> None:
    """Steps of all these batches that begin within so many hours, and the labels of their bags."""
    kitchen, moment = shipped_kitchen(), moment_in(now)
    drafts = [(str(file), draft_in(file)) for file in files]
    judged = [(name, draft.name, judge(draft, kitchen, now=moment)) for name, draft in drafts]
    answer = answer_told_anew(today_out(judged, moment, timedelta(hours=hours)), ToldIn(units, clock))
    lines = [f"{step.day} {step.hour}  {step.batch}: {step.says}" for step in answer.steps]
    tell(answer, lines or ["Nothing to do in this time."], as_json=as_json)


@refusing
def calendar(files: BatchFiles, now: Now = "") -> None:
    """The plans of these batches as a calendar (iCalendar)."""
    from vadouvan.formats.calendar_file import calendar_text

    kitchen, moment = shipped_kitchen(), moment_in(now)
    drafts = [(file.stem, draft_in(file)) for file in files]
    plans = [(name, draft.name, judge(draft, kitchen, now=moment).steps) for name, draft in drafts]
    typer.echo(calendar_text(plans, now=moment), nl=False)


def _judging(kitchen: Kitchen, now: datetime) -> Judging:
    return partial(judge, kitchen=kitchen, now=now)
