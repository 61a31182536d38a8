"""Contents of a list or a recipe, as the answers of a draft."""

from __future__ import annotations

from vadouvan.core.draft.typed import CutInput
from vadouvan.core.parsing.cut_figures import CutNamed


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
