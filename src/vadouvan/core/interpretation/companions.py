"""Reading what stands beside the marinade: glaze, sauce, dip, finishing seasoning, pot; the same language of lines."""

from __future__ import annotations

import math
from collections.abc import Iterator
from functools import cached_property
from typing import Literal, get_args

from vadouvan.core.constants import EATEN_COATING, EATEN_DIP, EATEN_GLAZE, GLAZE_DENSITY, GLAZE_ROUND_M
from vadouvan.core.draft.typed import MOST_COMPANIONS, MOST_LINES, CompanionInput, LineInput
from vadouvan.core.interpretation.line import portion_of, single_lines
from vadouvan.core.interpretation.moment import CookMoment, moment_typed
from vadouvan.core.interpretation.notes import Notes, kept_as_read
from vadouvan.core.interpretation.reduced import reduced_to
from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.measures.quantity import decimal
from vadouvan.core.mix.reduction import AS_IT_IS, Reduction
from vadouvan.core.pantry.pantry import Pantry
from vadouvan.core.parsing.amount import Portion
from vadouvan.core.parsing.curing import names_curing_salt
from vadouvan.errors import InputError
from vadouvan.unchanging import unchanging

CompanionKind = Literal["glaze", "sauce", "dip", "finish", "pot", "coating"]
KINDS: dict[str, CompanionKind] = {kind: kind for kind in get_args(CompanionKind)}
USUALLY_EATEN: dict[CompanionKind, float] = {
    "glaze": EATEN_GLAZE.value,
    "dip": EATEN_DIP.value,
    "coating": EATEN_COATING.value,
}
NAMED: dict[CompanionKind, tuple[str, ...]] = {
    "glaze": ("glaze", "glazing", "baste", "basting", "lacquer", "mop", "brush", "brushing"),
    "coating": (
        "coating",
        "coat",
        "breading",
        "breadcrumbs",
        "crumb",
        "crust",
        "batter",
        "dredge",
        "dredging",
        "dusting",
    ),
    "dip": ("dip", "dipping"),
    "finish": ("finish", "finishing", "garnish", "topping", "sprinkle", "dust", "serve", "serving", "rub"),
    "pot": ("pot", "braise", "braising", "stew", "roasting", "vegetables", "liquid", "tin"),
    "sauce": ("sauce", "gravy", "dressing", "relish", "salsa"),
}


@unchanging
class Companion:
    """A mix beside the marinade as read, line by line: weighed, or why it could not be."""

    id: str
    kind: CompanionKind
    title: str
    lines: tuple[Portion | InputError, ...]
    eaten_share: float
    reduction: Reduction = AS_IT_IS
    moment: CookMoment | None = None

    @cached_property
    def table_kg(self) -> float:
        """Mass of it once it is boiled down or thinned [kg]: its water goes, never more."""
        wanted_kg = self.reduction.of(self.mass_kg)
        return self.mass_kg if wanted_kg is None else max(wanted_kg, self.mass_kg - self.water_kg)

    @cached_property
    def boils_off_kg(self) -> float:
        """Water that boils away [kg]."""
        return max(0.0, self.mass_kg - self.table_kg)

    @cached_property
    def thinned_by_kg(self) -> float:
        """Water that is added to it [kg]."""
        return max(0.0, self.table_kg - self.mass_kg)

    @cached_property
    def water_kg(self) -> float:
        """Water in its lines [kg]."""
        return sum(portion.ingredient.water * portion.mass_kg.value for portion in self.portions)

    @cached_property
    def portions(self) -> tuple[Portion, ...]:
        """Its lines that could be weighed."""
        return tuple(line for line in self.lines if isinstance(line, Portion))

    @cached_property
    def unread(self) -> tuple[InputError, ...]:
        """Its lines that could not."""
        return tuple(line for line in self.lines if isinstance(line, InputError))

    @cached_property
    def mass_kg(self) -> float:
        """Mass of its lines [kg]."""
        return sum(portion.mass_kg.value for portion in self.portions)


def kind_named(title: str) -> CompanionKind:
    """Kind that a heading names, a sauce where it names nothing we know.

    >>> kind_named("late honey glaze"), kind_named("for the gravy"), kind_named("to serve")
    ('glaze', 'sauce', 'finish')
    """
    words = title.lower().split()
    return next((kind for kind, names in NAMED.items() if any(word in names for word in words)), "sauce")


def read_companions(
    said: tuple[CompanionInput, ...], pantry: Pantry, notes: Notes, meat_kg: float | None
) -> tuple[Companion, ...]:
    """Every mix beside the marinade; what cannot be weighed of it is listed with it and stops nothing else.

    A curing salt is a problem of the whole batch, wherever it stands.
    """
    if len(said) > MOST_COMPANIONS:
        wrong = f"{len(said)} mixes beside the marinade are more than one dish has."
        accepted = f"Keep up to {MOST_COMPANIONS}."
        notes.problems.append(InputError(field="companions", given=str(len(said)), wrong=wrong, accepted=accepted))
    return tuple(_companion(notes, one, pantry, meat_kg) for one in said[:MOST_COMPANIONS])


@kept_as_read
def _companion(notes: Notes, said: CompanionInput, pantry: Pantry, meat_kg: float | None) -> Companion:
    path = f"companions.{said.id}"
    named = kind_named(said.title)
    kind = notes.choice(said.kind, KINDS, (named, named), f"{path}.kind")
    lines: list[Portion | InputError] = []
    for number, text in enumerate(_lines(said.text, pantry), start=1):
        try:
            lines.append(portion_of(LineInput(f"{said.id}.{number}", text), pantry, meat_kg))
        except InputError as error:
            found = InputError(field=path, given=text, wrong=error.wrong, accepted=error.accepted)
            lines.append(found)
            if names_curing_salt(text):
                notes.problems.append(found)
    title = said.title.strip() or kind
    reduction = reduced_to(said.reduce_to, f"{path}.reduce_to", notes)
    moment = moment_typed(said.when, f"{path}.when", notes)
    return Companion(said.id, kind, title, tuple(lines), _eaten(said.eaten, kind, path, notes), reduction, moment)


def glaze_rounds(one: Companion, open_area_m2: float) -> int:
    """Thin rounds that a glaze is brushed on in."""
    return max(1, math.ceil(glaze_film_m(one, open_area_m2) / GLAZE_ROUND_M.value))


def glaze_film_m(one: Companion, open_area_m2: float) -> float:
    """How thick a glaze comes to over the whole surface [m]."""
    return one.table_kg * one.eaten_share / GLAZE_DENSITY.value / open_area_m2


def _lines(text: str, pantry: Pantry) -> Iterator[str]:
    written = [line for line in text.splitlines() if line.strip()]
    for line in written[:MOST_LINES]:
        yield from single_lines(line.strip(), pantry)


def _eaten(said: str, kind: CompanionKind, path: str, notes: Notes) -> float:
    """A share in words or per cent: "half", "a third", "80 %", "all"."""
    usual = USUALLY_EATEN.get(kind, 1.0)
    text = said.strip().lower()
    if not text:
        return notes.assume(f"{path}.eaten_pct", usual, f"{usual * 100:.0f} %")
    if text in ("all", "all of it"):
        return 1.0
    part = leading_number(text)
    if part is not None and not part.rest.strip() and 0 < part.number.value < 1:
        return part.number.value
    accepted = 'Write a share such as "half" or "80 %".'
    share = notes.attempt(
        lambda: decimal(text, field=f"{path}.eaten_pct", low=0, high=100, units=("%",), accepted=accepted)
    )
    return usual if share is None else share / 100
