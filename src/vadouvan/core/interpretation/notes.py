"""Notes made while a draft is read: problems, assumptions, open questions."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, field
from functools import lru_cache
from typing import TypeVar, TypeVarTuple

from vadouvan.errors import InputError

T = TypeVar("T")
Said = TypeVarTuple("Said")
KEPT_AS_READ = 256


@dataclass
class Notes:
    """Collected in one reading.

    ``assumed`` maps field paths to the words of what was assumed; ``problems`` are to be mended;
    ``waiting`` are questions not yet answered, without which there is no judgement; ``unweighed`` are lines of the mix
    that could not be weighed and season nothing: it is judged without them, and says so.
    """

    problems: list[InputError] = field(default_factory=list)
    assumed: dict[str, str] = field(default_factory=dict)
    waiting: list[str] = field(default_factory=list)
    unweighed: list[InputError] = field(default_factory=list)

    def take(self, noted: Notes) -> None:
        """Add what was noted elsewhere, such as of a part that is kept as read."""
        self.problems += noted.problems
        self.assumed |= noted.assumed
        self.waiting += noted.waiting
        self.unweighed += noted.unweighed

    def attempt(self, read: Callable[[], T]) -> T | None:
        """The result of a reader, or nothing with its error listed."""
        try:
            return read()
        except InputError as error:
            self.problems.append(error)
            return None

    def assume(self, path: str, value: T, words: str) -> T:
        """A value that was not said, noted as assumed."""
        self.assumed[path] = words
        return value

    def choice(self, said: str, choices: dict[str, T], default: tuple[T, str], path: str) -> T:
        """A value chosen by its word, or the default (value, word), noted as assumed."""
        value, word = default
        if not said:
            return self.assume(path, value, word)
        if said not in choices:
            wrong, accepted = f'"{said}" is not one of the choices.', "Choose " + " or ".join(choices) + "."
            self.problems.append(InputError(field=path, given=said, wrong=wrong, accepted=accepted))
        return choices.get(said, value)


def kept_as_read(read: Callable[[Notes, *Said], T]) -> Callable[[Notes, *Said], T]:
    """A reader of one part of a draft that reads the same part once: most edits are of another.

    What was noted of it is noted at each reading.
    """

    @lru_cache(maxsize=KEPT_AS_READ)
    def alone(*said: *Said) -> tuple[T, Notes]:
        """The part by itself, with what was noted of it."""
        notes = Notes()
        return read(notes, *said), notes

    def noted(notes: Notes, /, *said: *Said) -> T:
        """The same with its notes among those of the draft."""
        found, of_it = alone(*said)
        notes.take(of_it)
        return found

    return noted
