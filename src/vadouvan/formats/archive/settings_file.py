"""Settings and own cuts as files."""

from __future__ import annotations

import math
from typing import Annotated, Literal, TypeVar

from pydantic import BaseModel, ConfigDict, Field, TypeAdapter, ValidationError

from vadouvan.core.cut.kind import CutKind
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
        _check_cut(kind, name)
    return cuts


def _check_cut(kind: CutKind, name: str) -> None:
    """Sizes and shares that a cut can have."""
    sizes = (kind.thickness_m, kind.thickness_low_m, kind.thickness_high_m, kind.mass_kg, kind.density_kg_per_m3)
    shares = (kind.bone_share, kind.water_share, kind.fat_share)
    if not all(math.isfinite(size) and size > 0 for size in (*sizes, kind.hold_max_s)):
        raise refused(f"{name}: {kind.name[:60]}: its sizes and hours have to be above 0.")
    if not all(0 <= share < 1 for share in shares):
        raise refused(f"{name}: {kind.name[:60]}: its shares of bone, water and fat have to be from 0 to below 1.")


def _read(model: type[Model], text: str, name: str) -> Model:
    try:
        return model.model_validate_json(text)
    except ValidationError as error:
        first = error.errors()[0]
        where = ".".join(str(step) for step in first["loc"]) or "the file"
        raise refused(f"{name}: {where}: {first['msg']}.", "See docs/formats.md for what it holds.") from None
