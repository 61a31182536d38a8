"""Plans: offers where one does not work, several batches together, what is next, the calendar, labels."""

from __future__ import annotations

from datetime import timedelta
from pathlib import Path
from typing import Annotated, get_args

import typer

from vadouvan.cli.common import AsJson, BatchFile, ClockRead, Now, Units, draft_in, moment_in, refusing, tell
from vadouvan.core.advice.offers import plan_offers
from vadouvan.core.interpretation.shared import SharedInput, read_shared
from vadouvan.core.joint_schedule.gather import Batch, Clock
from vadouvan.core.joint_schedule.together import clashes_as_planned, plan_together
from vadouvan.core.judgement.judge import judge
from vadouvan.core.measures.retelling import ToldIn
from vadouvan.core.schedule.moving import Mark, moved
from vadouvan.data.tables import shipped_kitchen
from vadouvan.errors import InputError
from vadouvan.formats import batch_file
from vadouvan.formats.calendar_file import calendar_text
from vadouvan.formats.today import today_out
from vadouvan.formats.told_anew import model_told_anew

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
    mark: Annotated[str, typer.Argument(help="meal, pull or start.")],
    to: Annotated[str, typer.Argument(help='A moment with its offset, such as "2026-11-28T20:00+00:00".')],
    now: Now = "",
) -> None:
    """Print the batch file with its meal, its pull or its start at another moment; its plan goes to standard error."""
    kitchen, moment = shipped_kitchen(), moment_in(now)
    draft = draft_in(file)
    plan = judge(draft, kitchen, now=moment).plan
    marks: dict[str, Mark] = {name: name for name in get_args(Mark)}
    if mark not in marks:
        accepted = "Choose from " + ", ".join(marks) + "."
        raise InputError(field="mark", given=mark, wrong=f'"{mark}" is no mark of a plan.', accepted=accepted)
    if plan is None:
        accepted = "Say the meal, and mend what stops the plan."
        raise InputError(field="plan", given=mark, wrong="This batch has no plan to move.", accepted=accepted)
    other = moved(draft, plan, marks[mark], moment_in(to))
    typer.echo(batch_file.write(other), nl=False)
    typer.echo(judge(other, kitchen, now=moment).plan_says, err=True)


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
    drafts = [(str(file), draft_in(file)) for file in files]
    batches = [Batch(name, draft, judge(draft, kitchen, now=moment)) for name, draft in drafts]
    clock = Clock(moment, kitchen.routine)
    clashes = [clash.says for clash in clashes_as_planned(batches, shared, clock)]
    plan = plan_together(batches, shared, kitchen, clock)
    moved = {one.batch.id: judge(one.draft, kitchen, now=moment).plan_says for one in plan.moved}
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
    answer = model_told_anew(today_out(judged, moment, timedelta(hours=hours)), ToldIn(units, clock))
    lines = [f"{step.day} {step.hour}  {step.batch}: {step.says}" for step in answer.steps]
    tell(answer, lines or ["Nothing to do in this time."], as_json=as_json)


@refusing
def calendar(files: BatchFiles, now: Now = "") -> None:
    """The plans of these batches as a calendar (iCalendar)."""
    kitchen, moment = shipped_kitchen(), moment_in(now)
    drafts = [(file.stem, draft_in(file)) for file in files]
    plans = [(name, draft.name, judge(draft, kitchen, now=moment).steps) for name, draft in drafts]
    typer.echo(calendar_text(plans, now=moment), nl=False)
