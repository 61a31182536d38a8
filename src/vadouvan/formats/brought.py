"""A draft made of a file that a cook brings, with what is told of it; contents of a list as the answers of a draft."""

from __future__ import annotations

from vadouvan.core.draft.typed import YES, CutInput, Draft, StepInput
from vadouvan.core.parsing.cut_figures import CutNamed
from vadouvan.unchanging import unchanging

LONGEST_NAME = 200
NO_MEAT = "No line names a cut with its weight: say it under Cut."


@unchanging
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
        state="frozen" if named.is_frozen else "",
        steps=tuple(
            StepInput(
                str(number),
                one.kind,
                depth=one.depth,
                spacing=one.spacing,
                count=one.count,
                crosswise=YES if one.crosswise else "",
                through_skin=YES if one.through_skin else "",
            )
            for number, one in enumerate(named.done, start=1)
        ),
    )


def done_to(meat: CutNamed | None) -> list[str]:
    """Deeds that a line of meat tells, which now stand under Cut, that it is frozen, and what was assumed of it."""
    if meat is None:
        return []
    said = "; ".join(dict.fromkeys(f"“{one.said}”" for one in meat.done))
    has_figures = any(one.kind in ("scored", "slits", "divided") for one in meat.done)
    where = "See under Cut how deep and how far apart." if has_figures else "It stands under Cut."
    notes = [f"Done to it, as its line says: {said}. {where}"] if said else []
    notes += ["It is frozen, as its line says: thawing is in the plan."] if meat.is_frozen else []
    return [*notes, *([meat.assumed] if meat.assumed else [])]
