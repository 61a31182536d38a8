"""Settings and own cuts as files."""

from __future__ import annotations

from typing import Annotated, Literal, TypeVar

from pydantic import BaseModel, ConfigDict, Field, TypeAdapter, ValidationError

from vadouvan.core.cut.kind import CutKind, wrong_sizes
from vadouvan.core.interpretation.household import HouseholdInput
from vadouvan.core.interpretation.routine import RoutineInput
from vadouvan.core.interpretation.shared import SharedInput
from vadouvan.core.snapshot.kitchen import KitchenSettings
from vadouvan.formats.archive.container import refused


class SettingsFile(BaseModel):
    """Settings made once for all batches; null where nothing was."""

    model_config = ConfigDict(extra="forbid")

    format: Literal["vadouvan-settings"] = "vadouvan-settings"
    version: Literal[1] = 1
    routine: RoutineInput | None = None
    shared: SharedInput | None = None
    household: HouseholdInput | None = None


class CutsFile(BaseModel):
    """The cook's own cuts, in SI units."""

    model_config = ConfigDict(extra="forbid")

    format: Literal["vadouvan-cuts"] = "vadouvan-cuts"
    version: Literal[1] = 1
    cuts: Annotated[list[CutKind], Field(max_length=10_000)] = []


Model = TypeVar("Model", SettingsFile, CutsFile)


def write_settings(settings: KitchenSettings) -> str:
    """Settings as the text of their file."""
    return SettingsFile(**{name: part for name, part in vars(settings).items()}).model_dump_json(indent=2) + "\n"


def read_settings(text: str, *, name: str) -> KitchenSettings:
    """Settings from their file; raises FormatError."""
    read = _read(SettingsFile, text, name)
    return KitchenSettings(read.routine, read.shared, read.household)


def write_cuts(cuts: tuple[CutKind, ...]) -> str:
    """Own cuts as the text of their file."""
    return TypeAdapter(CutsFile).dump_json(CutsFile(cuts=list(cuts)), indent=2).decode() + "\n"


def read_cuts(text: str, *, name: str) -> tuple[CutKind, ...]:
    """Own cuts from their file; raises FormatError."""
    cuts = tuple(_read(CutsFile, text, name).cuts)
    ids = [kind.id for kind in cuts]
    if len(set(ids)) != len(ids):
        raise refused(f"{name} has two cuts with one identity.")
    for kind in cuts:
        wrong = wrong_sizes(kind)
        if wrong:
            raise refused(f"{name}: {kind.name[:60]}: {wrong}.")
    return cuts


def _read(model: type[Model], text: str, name: str) -> Model:
    try:
        return model.model_validate_json(text)
    except ValidationError as error:
        first = error.errors()[0]
        where = ".".join(str(step) for step in first["loc"]) or "the file"
        raise refused(f"{name}: {where}: {first['msg']}.", "See docs/formats.md for what it holds.") from None
