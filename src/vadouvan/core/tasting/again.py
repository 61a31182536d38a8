"""A batch from the logbook made again on another cut: amounts by the rules of cut and mix, not multiplied."""

from __future__ import annotations

from dataclasses import replace
from datetime import datetime

from vadouvan.core.advice.scaling import scaled_to
from vadouvan.core.draft.typed import CutInput, Draft
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.tasting.next_time import fresh


def made_again(draft: Draft, kitchen: Kitchen, *, now: datetime, cut: CutInput) -> tuple[Draft, tuple[str, ...]]:
    """A fresh draft for another cut, and what is other, in words; ``cut`` has only what is said anew.

    Raises InputError or BadInput where either cut cannot be judged.
    """
    plain = fresh(draft)
    was = plain.cut
    other_kind = cut.kind not in ("", was.kind)
    if other_kind:
        wanted = CutInput(kind=cut.kind, mass=cut.mass or was.mass, thickness=cut.thickness)
    else:
        wanted = replace(was, mass=cut.mass or was.mass, thickness=cut.thickness or was.thickness)
        if wanted != was:
            wanted = replace(wanted, pieces="", width="", length="")
    if wanted == was:
        return plain, ()
    scaled = scaled_to(plain, kitchen, now=now, cut=wanted)
    return scaled.draft, (*_told(was, wanted, kitchen), scaled.says)


def _told(was: CutInput, now: CutInput, kitchen: Kitchen) -> tuple[str, ...]:
    told = []
    if was.kind != now.kind:
        names = [kitchen.cuts[kind].name if kind in kitchen.cuts else kind for kind in (now.kind, was.kind)]
        told.append(f"{names[0]} instead of {names[1]}.")
    if was.mass != now.mass:
        told.append(f"{now.mass} instead of {was.mass}.")
    if was.thickness != now.thickness and now.thickness:
        told.append(f"{now.thickness} thick instead of {was.thickness}.")
    return tuple(told)
