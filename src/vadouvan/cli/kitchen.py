"""The kitchen's file: out and in as an archive, backup, restore, check."""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path
from typing import TYPE_CHECKING, Annotated

import typer

from vadouvan.cli.common import AsJson, bytes_in, moment_in, refusing, tell
from vadouvan.core.snapshot.kitchen import KitchenSnapshot, kitchen_of
from vadouvan.core.snapshot.merging import FATES, Merge, merged
from vadouvan.data.tables import shipped_kitchen
from vadouvan.errors import InputError, NoKitchen, VadouvanError
from vadouvan.formats.archive.kitchen_archive import kitchen_to_take_in
from vadouvan.settings import Settings
from vadouvan.use_cases.archives import put_back
from vadouvan.use_cases.cards import write_archive

if TYPE_CHECKING:
    from vadouvan.store.keeping import KitchenFile
    from vadouvan.store.snapshots import Snapshots

DataDir = Annotated[Path | None, typer.Option(help="Folder that keeps the kitchen.")]


def add_to(app: typer.Typer) -> None:
    """The commands of this module."""
    app.command("export")(export)
    app.command("import")(take_in)
    for command in (backup, restore, check):
        app.command()(command)


@refusing
def export(file: Annotated[Path, typer.Argument(help="Where to write it.")], data_dir: DataDir = None) -> None:
    """Write the whole kitchen as one archive of open files. The server may be running."""
    with _opened(data_dir) as (snapshot, _):
        found = snapshot.read()
        file.write_bytes(write_archive(found, kitchen_of(found, shipped_kitchen()), now=moment_in("")))
    typer.echo(f"{len(found.batches)} batches are in {file}.")


@refusing
def take_in(
    file: Annotated[Path, typer.Argument(help="An archive.")],
    preview: Annotated[bool, typer.Option(help="Only say what it would do.")] = False,
    settings: Annotated[bool, typer.Option(help="Take its settings over as well.")] = False,
    as_json: AsJson = False,
    data_dir: DataDir = None,
) -> None:
    """Take an archive in: by identity, and never losing what is there."""
    there, notes = kitchen_to_take_in(bytes_in(file), shipped_kitchen().pantry)

    def merging(own: KitchenSnapshot) -> Merge:
        return merged(own, there, with_settings=settings)

    if preview and not _database(data_dir).exists():
        merge = merging(KitchenSnapshot())
    else:
        with _opened(data_dir, may_be_new=True) as (snapshot, _):
            merge = merging(snapshot.read()) if preview else snapshot.take_in(merging, now=moment_in(""))
    told = [f"{one.name} {FATES[one.fate]}." for one in merge.told]
    answer = {"counts": {fate: merge.count(fate) for fate in FATES}, "told": told, "notes": list(notes)}
    tell(answer, [*notes, *told], as_json=as_json)


@refusing
def backup(file: Annotated[Path, typer.Argument(help="Where to write it.")], data_dir: DataDir = None) -> None:
    """Copy the kitchen's file, with undo and all. The server may be running."""
    if file.exists():
        wrong, accepted = f"{file} is there already.", "Name a file that is not."
        raise InputError(field="file", given=str(file), wrong=wrong, accepted=accepted)
    with _opened(data_dir) as (_, kept):
        kept.backup(file)
    typer.echo(f"The kitchen is copied to {file}.")


@refusing
def restore(file: Annotated[Path, typer.Argument(help="A backup.")], data_dir: DataDir = None) -> None:
    """Put a backup in the place of the kitchen, which is kept beside it first."""
    bytes_in(file)
    with _opened(data_dir, may_be_new=True) as (_, kept):
        checked, aside = put_back(kept, file, now=moment_in(""))
    typer.echo(f"Put back, {checked.rows} rows. The kitchen as it was is kept in {aside}.")


@refusing
def check(data_dir: DataDir = None, as_json: AsJson = False) -> None:
    """Read everything that is kept. Exit code 1 if something is not as it should be."""
    with _opened(data_dir) as (_, kept):
        checked = kept.check()
    findings = [f"{one.where}: {one.says}" for one in checked.findings]
    tell(
        {"rows": checked.rows, "findings": findings},
        findings or [f"All well: {checked.rows} rows read."],
        as_json=as_json,
    )
    if findings:
        raise typer.Exit(1)


def _database(data_dir: Path | None) -> Path:
    return (Settings() if data_dir is None else Settings(data_dir=data_dir)).database


@contextmanager
def _opened(data_dir: Path | None, *, may_be_new: bool = False) -> Iterator[tuple[Snapshots, KitchenFile]]:
    """The kitchen of a folder; one that was made for a command which then failed is not left behind."""
    from vadouvan.store.database import open_database
    from vadouvan.store.keeping import KitchenFile
    from vadouvan.store.snapshots import Snapshots

    path = _database(data_dir)
    is_new = not path.exists()
    if is_new and not may_be_new:
        raise NoKitchen(f"There is no kitchen in {path.parent}.", "Name the folder that keeps it, with --data-dir.")
    try:
        engine = open_database(path)
        try:
            yield Snapshots(engine), KitchenFile(engine)
        finally:
            engine.dispose()
    except VadouvanError:
        if is_new:
            path.unlink(missing_ok=True)
        raise
