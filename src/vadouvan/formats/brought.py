"""A draft made of a file that a cook brings, with what is told of it; contents of a list as the answers of a draft."""

from __future__ import annotations

from dataclasses import dataclass

from vadouvan.core.draft.typed import CutInput, Draft
from vadouvan.core.parsing.cut_figures import CutNamed

LONGEST_NAME = 200
NO_MEAT = "No line names a cut with its weight: say it under Cut."


@dataclass(frozen=True)
class Brought:
    """A draft from a file, and in words what could not be taken over; ``is_ours`` for a batch file.

    ``cuts_meant`` are the few cuts that ``meat_line`` may mean, where it does not say which.
    """

    draft: Draft
    notes: tuple[str, ...] = ()
    is_ours: bool = False
    meat_line: str = ""
    cuts_meant: tuple[CutNamed, ...] = ()


def cut_input(named: CutNamed | None) -> CutInput:
    """A cut that a line names; nothing said where none does."""
    if named is None:
        return CutInput()
    return CutInput(
        kind=named.kind,
        mass=named.mass,
        shape=named.shape,
        thickness=named.thickness,
        width=named.side,
        length=named.side,
        pieces=named.pieces,
        bone=named.bone,
        cover=named.cover,
    )
