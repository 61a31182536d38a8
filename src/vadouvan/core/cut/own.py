"""A cut of the cook's own, made from a described one."""

from __future__ import annotations

from dataclasses import replace

from vadouvan.core.constants import QUANTILE_OF_80
from vadouvan.core.cut.cut import Cut
from vadouvan.core.cut.kind import CutKind
from vadouvan.errors import InputError

OWN = "own-"
LONGEST_NAME = 80


def own_kind(cut: Cut, name: str, identity: str) -> CutKind:
    """The kind that a described cut stands for: its size, bone and cover as defaults, limits as its species has them.

    Raises InputError for a name that is empty or too long.
    """
    name = name.strip()
    if not name or len(name) > LONGEST_NAME:
        wrong = "A cut of your own needs a name." if not name else f"A name of {len(name)} letters is too long."
        raise InputError(
            field="name", given=name, wrong=wrong, accepted=f"Write a name of up to {LONGEST_NAME} letters."
        )
    spread = QUANTILE_OF_80.value * cut.thickness_log_sd
    return replace(
        cut.kind,
        id=f"{OWN}{identity}",
        cut=name,
        shape=cut.shape,
        thickness_m=cut.thickness_m,
        thickness_low_m=cut.thickness_m * (1 - spread),
        thickness_high_m=cut.thickness_m * (1 + spread),
        mass_kg=cut.mass_kg / cut.pieces,
        bone=cut.bone,
        bone_share=cut.bone_share,
        cover=cut.cover,
        cover_all_round=cut.cover_all_round,
        confidence="high",
        also_called=(name,),
    )
