"""Reading what the cook set once about the household: the salt on the shelf, the school, allergens, low-salt eaters."""

from __future__ import annotations

from typing import Annotated

from annotated_types import Len

from vadouvan.core.draft.typed import Text
from vadouvan.core.interpretation.mix import SCHOOLS
from vadouvan.core.kitchen.household import Household
from vadouvan.core.measures.quantity import decimal
from vadouvan.core.pantry.pantry import Pantry
from vadouvan.core.parsing.label import ALLERGENS
from vadouvan.errors import BadInput, InputError
from vadouvan.unchanging import unchanging

MOST_EATERS, MOST_ALLERGENS = 100, 20
IS_SALT = 0.5  # share of salt from which an ingredient is one


@unchanging
class HouseholdInput:
    """As typed: ids of a salt and a school, allergens by name, how many eat low in salt. Empty: nothing said."""

    salt: Text = ""
    school: Text = ""
    allergens: Annotated[tuple[Text, ...], Len(0, MOST_ALLERGENS)] = ()
    low_salt: Text = ""


def read_household(said: HouseholdInput, pantry: Pantry) -> Household:
    """The household; raises BadInput with every field that is wrong."""
    problems: list[InputError] = []
    salt = pantry.by_id.get(said.salt)
    if said.salt and (salt is None or salt.salt.value < IS_SALT):
        wrong, accepted = f'"{said.salt[:60]}" is no salt.', "Choose one of the salts in the pantry."
        problems.append(InputError(field="salt", given=said.salt[:60], wrong=wrong, accepted=accepted))
    if said.school and said.school not in SCHOOLS:
        wrong, accepted = f'"{said.school[:60]}" is no way of salting.', "Choose one of those listed."
        problems.append(InputError(field="school", given=said.school[:60], wrong=wrong, accepted=accepted))
    for name in said.allergens:
        if name not in ALLERGENS:
            wrong, accepted = f'"{name[:60]}" is not one of the 14.', "Choose from " + ", ".join(ALLERGENS) + "."
            problems.append(InputError(field="allergens", given=name[:60], wrong=wrong, accepted=accepted))
    eaters = _eaters(said.low_salt, problems)
    if problems:
        raise BadInput(problems)
    return Household(said.salt, frozenset(said.allergens), eaters)


def _eaters(text: str, problems: list[InputError]) -> int:
    if not text.strip():
        return 0
    accepted = f"Write how many of those who eat with you keep low in salt, 0 to {MOST_EATERS}."
    try:
        count = decimal(text, field="low_salt", low=0, high=MOST_EATERS, units=(), accepted=accepted)
    except InputError as error:
        problems.append(error)
        return 0
    if count != int(count):
        problems.append(
            InputError(field="low_salt", given=text, wrong=f"{text} are not whole people.", accepted=accepted)
        )
    return int(count)
