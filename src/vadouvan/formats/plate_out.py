"""The plate for programs and for the page: a serving part by part, and each mix beside the marinade."""

from __future__ import annotations

from vadouvan.core.figure import told
from vadouvan.core.interpretation.companions import Companion, CompanionKind
from vadouvan.core.judgement.plate import Plate
from vadouvan.core.weighing.event import beside_id
from vadouvan.formats.drawn import Drawn
from vadouvan.formats.problem_out import ProblemOut, problem_out
from vadouvan.unchanging import unchanging


@unchanging(kw_only=True)
class OnPlateOut:
    """Share of one part in a serving."""

    id: str
    title: str
    mass_g: Drawn
    salt_g: Drawn
    sugar_g: Drawn
    mass_shown: str
    salt_shown: str
    sugar_shown: str


@unchanging(kw_only=True)
class CompanionLineOut:
    """A line as it was read: what it is, and what it weighs; ``id`` names it at the counter."""

    id: str
    text: str
    ingredient: str
    mass_g: Drawn
    mass_shown: str
    guessed: bool


@unchanging(kw_only=True)
class CompanionOut:
    """A mix beside the marinade: its lines as read, and what is to know of it."""

    id: str
    kind: CompanionKind
    title: str
    eaten_pct: float
    mass_g: Drawn
    lines: list[CompanionLineOut]
    unread: list[ProblemOut]
    says: list[str]


@unchanging(kw_only=True)
class PlateOut:
    """A serving as eaten; the meat's own salt is not counted."""

    servings: float
    parts: list[OnPlateOut]
    says: list[str]


def plate_out(plate: Plate) -> PlateOut:
    """A plate as data."""
    parts = [
        OnPlateOut(
            id=part.id,
            title=part.title,
            mass_g=part.mass_kg * 1000,
            salt_g=part.salt_kg * 1000,
            sugar_g=part.sugar_kg * 1000,
            mass_shown=told(part.mass_kg * 1000, "g"),
            salt_shown=told(part.salt_kg * 1000, "g"),
            sugar_shown=told(part.sugar_kg * 1000, "g"),
        )
        for part in plate.parts
    ]
    return PlateOut(servings=plate.servings, parts=parts, says=list(plate.says))


def companions_out(companions: tuple[Companion, ...], plate: Plate | None) -> list[CompanionOut]:
    """Mixes beside the marinade as data, with or without a plate that they come to."""
    says = {one.companion.id: one.says for one in plate.companions} if plate else {}
    return [
        CompanionOut(
            id=one.id,
            kind=one.kind,
            title=one.title,
            eaten_pct=one.eaten_share * 100,
            mass_g=one.mass_kg * 1000,
            lines=[
                CompanionLineOut(
                    id=beside_id(one.id, number),
                    text=line.text.strip(),
                    ingredient=line.ingredient.name,
                    mass_g=line.mass_kg.value * 1000,
                    mass_shown=told(line.mass_kg.value * 1000, "g"),
                    guessed=line.guessed,
                )
                for number, line in enumerate(one.portions)
            ],
            unread=[problem_out(bad) for bad in one.unread],
            says=list(says.get(one.id, ())),
        )
        for one in companions
    ]
