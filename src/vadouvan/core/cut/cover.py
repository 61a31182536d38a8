"""Covers over the meat that resist: skin, fat, membrane, shell.

Resistance is told as the length of lean meat that resists as much: thickness over the share of
it that lets salt through (``calibration``; uncertain by a factor of 2.5 either way).
"""

from __future__ import annotations

from typing import Literal

from vadouvan.core.constants import (
    FAT_CAP_RESISTANCE_M,
    FISH_SKIN_RESISTANCE_M,
    MEMBRANE_RESISTANCE_M,
    PORK_RIND_RESISTANCE_M,
    POULTRY_SKIN_RESISTANCE_M,
    SHELL_RESISTANCE_M,
)

Cover = Literal["none", "skin", "fat", "rind", "membrane", "shell"]


def cover_resistance_m(cover: Cover, *, fish: bool) -> float:
    """Resistance of a cover as a length of lean meat [m].

    >>> cover_resistance_m("skin", fish=False), cover_resistance_m("fat", fish=False)
    (0.0015, 0.1)
    """
    if cover == "skin":
        return (FISH_SKIN_RESISTANCE_M if fish else POULTRY_SKIN_RESISTANCE_M).value
    constants = {
        "fat": FAT_CAP_RESISTANCE_M,
        "rind": PORK_RIND_RESISTANCE_M,
        "membrane": MEMBRANE_RESISTANCE_M,
        "shell": SHELL_RESISTANCE_M,
    }
    return constants[cover].value if cover in constants else 0.0
