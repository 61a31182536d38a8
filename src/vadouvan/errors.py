"""Every error that Vadouvan raises on purpose.

    VadouvanError
    ├── InputError        something a cook typed or a file holds cannot be used as it stands
    │   ├── FormatError   a file is broken, foreign or from a newer version
    │   └── BadInput      several InputErrors found together
    ├── NotKept           nothing is stored under that name
    ├── Overtaken         the stored batch moved on since it was read
    ├── NoKitchen         the file that holds the kitchen cannot be opened
    ├── Busy              another change holds the kitchen's file
    ├── NotWritten        the disk is full, or the kitchen's file may not be written to any more
    └── TableError        a shipped data table breaks its own rules

Facts are attributes, so that a program can act on them; ``str(error)`` is the sentence for
the cook. It says what is wrong, then what would be accepted.
"""

from __future__ import annotations

from collections.abc import Sequence

from vadouvan.unchanging import unchanging


class VadouvanError(Exception):
    """Root of all errors raised on purpose."""


@unchanging
class Choice:
    """A text that would do, and what it comes to."""

    text: str
    shown: str


class InputError(VadouvanError):
    """A value that cannot be used: where it stands, what was given, what would do.

    ``field`` is a dotted path in glossary words (``cut.mass_g``, ``mix.2``); ``choices`` are texts that would do, if it
    can be told what was meant.
    """

    choices: tuple[Choice, ...] = ()

    def __init__(self, *, field: str, given: str, wrong: str, accepted: str) -> None:
        self.field = field
        self.given = given
        self.wrong = wrong
        self.accepted = accepted
        super().__init__(f"{wrong} {accepted}".strip())

    def anew(self) -> InputError:
        """The same, to be raised: one that is kept with a judgement would hold on to where it was raised."""
        again = InputError(field=self.field, given=self.given, wrong=self.wrong, accepted=self.accepted)
        again.choices = self.choices
        return again


class FormatError(InputError):
    """A file that is not a batch of ours, is cut short, or comes from a newer version."""


class BadInput(VadouvanError):
    """All input errors of one batch, found together."""

    def __init__(self, errors: Sequence[InputError]) -> None:
        self.errors = tuple(errors)
        super().__init__("\n".join(str(error) for error in errors))


class NotKept(VadouvanError):
    """Nothing is stored under that identity."""

    def __init__(self, kind: str, identity: str) -> None:
        self.kind = kind
        self.identity = identity
        super().__init__(f"There is no {kind} {identity!r} here. It may have been removed on another device.")


class Overtaken(VadouvanError):
    """A change was made to an older state than the stored one; ``clashes`` are the fields that both changed."""

    def __init__(self, identity: str, *, expected: int, stored: int, clashes: Sequence[InputError] = ()) -> None:
        self.identity = identity
        self.expected = expected
        self.stored = stored
        self.clashes = tuple(clashes)
        super().__init__(
            " ".join(["This was changed elsewhere in the same place.", *(clash.wrong for clash in clashes)])
            if clashes
            else f"This batch was changed elsewhere since you opened it (state {stored}, yours {expected}). "
            "Look at the newer state, then make your change again."
        )


class TableError(VadouvanError):
    """A shipped table row breaks the table's own rules."""

    def __init__(self, table: str, row: str, wrong: str) -> None:
        self.table = table
        self.row = row
        super().__init__(f"{table}, row {row!r}: {wrong}")


class NoKitchen(VadouvanError):
    """The file that holds the kitchen is missing, damaged, newer, somebody else's, or has no room."""

    def __init__(self, wrong: str, accepted: str) -> None:
        self.wrong = wrong
        self.accepted = accepted
        super().__init__(f"{wrong} {accepted}")


class Busy(VadouvanError):
    """Another change held the kitchen's file for longer than is waited: nothing of this one was written."""

    def __init__(self) -> None:
        super().__init__("The kitchen is busy with another change. Nothing of this one was kept; try again.")


class Stopped(VadouvanError):
    """Long work was stopped by the cook before anything of it was kept."""

    def __init__(self) -> None:
        super().__init__("Stopped, as you asked. Nothing was changed.")


class NotWritten(VadouvanError):
    """A change could not be written: ``says`` is the database's own word for it. Nothing of the change was kept."""

    def __init__(self, says: str) -> None:
        self.says = says
        why = next((told for word, told in NOT_WRITTEN.items() if word in says), f"The disk failed ({says}).")
        super().__init__(f"{why} Nothing of this change was kept; what was kept before is there.")


NOT_WRITTEN = {
    "full": "There is no room on the disk for the kitchen: make room, then try again.",
    "readonly": "The kitchen's file may not be written to any more: give it back its rights, then try again.",
}
