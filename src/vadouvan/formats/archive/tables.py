"""The pantry and the logbook as tables; own ingredients come back from the pantry's."""

from __future__ import annotations

import re
from collections.abc import Iterable, Mapping, Sequence
from dataclasses import fields

from vadouvan.core.cut.kind import CutKind
from vadouvan.core.draft.typed import CutInput, Draft
from vadouvan.core.figure import number_told
from vadouvan.core.pantry.ingredient import Ingredient
from vadouvan.core.parsing.label import LabelInput
from vadouvan.core.snapshot.kitchen import IDENTITY, OwnLabel
from vadouvan.core.tasting.logbook import Entry, held_hours
from vadouvan.core.tasting.verdict import ASPECTS
from vadouvan.formats.archive.container import refused
from vadouvan.formats.archive.csv_text import read_csv, write_csv
from vadouvan.formats.batch_fields import NUMBERS

OWN, SHIPPED = "own", "shipped"
LABEL_COLUMNS = tuple(f"label_{part.name}" for part in fields(LabelInput))
MAKE_UP = ("water", "salt", "sugar", "acid", "fat", "alcohol", "protein")
PANTRY_COLUMNS = (
    "id", "name", "whose", *(f"{what}_g_per_100g" for what in MAKE_UP), "ph", "allergens", "source", *LABEL_COLUMNS,
)  # fmt: skip
LOGBOOK_COLUMNS = (
    "id", "name", "eaten_on", "cut", "species", "mass_g", "thickness_mm", "school", "held_h", "eaters", *ASPECTS,
    "notes", "goes_on_from",
)  # fmt: skip


def pantry_csv(items: Iterable[Ingredient], labels: Sequence[OwnLabel]) -> str:
    """All ingredients with their make-up; those of the cook's own with their labels as typed, readable or not."""
    own = {label.id: label for label in labels}
    rows = {item.id: _item_row(item, own.get(item.id)) for item in items}
    for label in labels:
        rows.setdefault(label.id, {"id": label.id, "name": label.said.name, "whose": OWN, **_label_row(label)})
    return write_csv(PANTRY_COLUMNS, rows.values())


def labels_in(text: str, *, name: str) -> tuple[OwnLabel, ...]:
    """The cook's own ingredients in a pantry table; raises FormatError."""
    found: dict[str, OwnLabel] = {}
    for number, row in enumerate(read_csv(text, name=name, columns=("id", "whose", *LABEL_COLUMNS)), start=2):
        if row["whose"] not in (OWN, SHIPPED):
            raise refused(f"{name}, line {number}: whose is {row['whose'][:20]!r}.", f"It is {OWN} or {SHIPPED}.")
        if row["whose"] == SHIPPED:
            continue
        if not re.fullmatch(IDENTITY, row["id"]):
            raise refused(f"{name}, line {number}: {row['id'][:40]!r} is no identity.")
        if row["id"] in found:
            raise refused(f"{name}, line {number}: {row['id']} is in it twice.")
        said = LabelInput(**{part.name: row[f"label_{part.name}"] for part in fields(LabelInput)})
        found[row["id"]] = OwnLabel(row["id"], said)
    return tuple(found.values())


def logbook_csv(entries: Iterable[Entry], cuts: Mapping[str, CutKind]) -> str:
    """Meals eaten, a line each, for a spreadsheet; it is not read back, the batches are."""
    return write_csv(LOGBOOK_COLUMNS, (_entry_row(entry, cuts) for entry in entries))


def _item_row(item: Ingredient, own: OwnLabel | None) -> dict[str, str]:
    shares = {
        "water": item.water, "salt": item.salt.value, "sugar": item.sugar.value, "acid": item.acid.value,
        "fat": item.fat, "alcohol": item.alcohol, "protein": item.protein,
    }  # fmt: skip
    return {
        "id": item.id,
        "name": item.name,
        "whose": OWN if own else SHIPPED,
        **{f"{what}_g_per_100g": number_told(share * 100) for what, share in shares.items()},
        "ph": "" if item.ph is None else number_told(item.ph),
        "allergens": ", ".join(item.allergens),
        "source": item.source,
        **(_label_row(own) if own else {}),
    }


def _label_row(label: OwnLabel) -> dict[str, str]:
    return {f"label_{part.name}": getattr(label.said, part.name) for part in fields(LabelInput)}


def _entry_row(entry: Entry, cuts: Mapping[str, CutKind]) -> dict[str, str]:
    draft = entry.draft
    kind = cuts.get(draft.cut.kind)
    hours = held_hours(draft)
    sizes = _sizes(draft)
    return {
        "id": entry.id,
        "name": draft.name,
        "eaten_on": entry.eaten_on,
        "cut": kind.cut if kind else draft.cut.kind,
        "species": kind.species if kind else "",
        **sizes,
        "school": draft.aims.school,
        "held_h": "" if hours is None else f"{hours:.1f}",
        "eaters": ", ".join(verdict.eater for verdict in entry.verdicts if verdict.eater),
        **{str(aspect): word for aspect, word in entry.verdict_words.items()},
        "notes": "\n".join(verdict.note for verdict in entry.verdicts if verdict.note),
        "goes_on_from": entry.from_id,
    }


def _sizes(draft: Draft) -> dict[str, str]:
    """Weight and thickness as numbers, where they can be read."""
    wanted = [field for field in NUMBERS[CutInput] if field.name in ("mass_g", "thickness_mm")]
    found = {field.name: field.number(getattr(draft.cut, field.said)) for field in wanted}
    return {name: "" if number is None else f"{number:g}" for name, number in found.items()}
