"""Reading what all batches share, as typed in Settings: litres free in the fridge, and the tubs there are."""

from __future__ import annotations

import re

from vadouvan.core.draft.typed import Text
from vadouvan.core.kitchen.shared import SharedKitchen
from vadouvan.core.measures.quantity import FRIDGE_ROOM, VESSEL_VOLUME, quantity
from vadouvan.errors import BadInput, InputError
from vadouvan.unchanging import unchanging

MOST_TUBS = 8


@unchanging
class SharedInput:
    """As typed: "38 l", and "2.5 l, 5 l". Empty: no limit."""

    fridge: Text = ""
    tubs: Text = ""


def read_shared(said: SharedInput) -> SharedKitchen:
    """Fridge and tubs as read; raises BadInput with every field that is wrong."""
    problems: list[InputError] = []
    fridge_l = None
    tubs: list[float] = []
    if said.fridge.strip():
        try:
            fridge_l = quantity(said.fridge, FRIDGE_ROOM, field="fridge") * 1000
        except InputError as error:
            problems.append(error)
    words = [word for word in re.split(r"\s*(?:,\s|;|\n|\band\b)\s*", said.tubs.strip()) if word]
    try:
        tubs = [quantity(word, VESSEL_VOLUME, field="tubs") * 1000 for word in words]
    except InputError as error:
        problems.append(error)
    if len(words) > MOST_TUBS:
        wrong, accepted = f"{len(words)} tubs are listed.", f"List the {MOST_TUBS} that you use most."
        problems.append(InputError(field="tubs", given=said.tubs, wrong=wrong, accepted=accepted))
    if problems:
        raise BadInput(problems)
    return SharedKitchen(fridge_l, tuple(tubs))
