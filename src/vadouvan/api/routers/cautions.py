"""Cautions: the whole page, and those that a batch calls for."""

from __future__ import annotations

from typing import Annotated

from fastapi import Path

from vadouvan.api.context import Here
from vadouvan.api.router import router_of
from vadouvan.core.judgement.caution_triggers import cautions_of
from vadouvan.core.kitchen.caution import Caution, CautionKind, Where
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.unchanging import unchanging

router = router_of("/api/cautions", "cautions")


@unchanging(kw_only=True)
class CautionOut:
    """One caution, where it applies, and what it rests on."""

    id: str
    kind: CautionKind
    where: Where
    says: str
    source: str
    standing: str


def _out(caution: Caution, kitchen: Kitchen) -> CautionOut:
    return CautionOut(
        id=caution.id,
        kind=caution.kind,
        where=caution.where,
        says=caution.says,
        source=kitchen.sources[caution.source],
        standing=kitchen.standings[caution.source],
    )


@router.get("")
def list_cautions(here: Here) -> list[CautionOut]:
    """Every caution."""
    return [_out(caution, here.tables) for caution in here.tables.cautions.values()]


@router.get("/{identity}")
def list_cautions_of_batch(identity: Annotated[str, Path(max_length=64)], here: Here) -> list[CautionOut]:
    """Those that a batch calls for, the gravest first."""
    kitchen = here.kitchen
    judgement = here.judged(here.batches.get(identity).draft)
    return [_out(caution, kitchen) for caution in cautions_of(judgement, kitchen.cautions)]
