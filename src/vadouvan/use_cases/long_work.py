"""Work that takes long, such as taking an archive of thousands of batches in: shown while it goes on, and stopped."""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass
from threading import Lock

from vadouvan.errors import Stopped


@dataclass
class Work:
    """One piece of work: the part that is being done, how far it is, and whether it can still be stopped, or is to."""

    what: str = ""
    done: int = 0
    total: int = 0
    can_stop: bool = True
    is_to_stop: bool = False

    def tell(self, what: str, done: int, total: int) -> None:
        """Show how far it is; raises Stopped when it is to stop."""
        if self.is_to_stop:
            raise Stopped
        self.what, self.done, self.total = what, done, total

    def kept(self, what: str) -> None:
        """From here on it is kept: this last part cannot be stopped any more."""
        self.what, self.done, self.total, self.can_stop = what, 0, 0, False


class LongWork:
    """The work of this kitchen that goes on now; the latest is shown if there are two."""

    def __init__(self) -> None:
        self._going_on: list[Work] = []
        self._lock = Lock()

    @property
    def now(self) -> Work | None:
        """The latest piece of work; none while nothing takes long."""
        with self._lock:
            return self._going_on[-1] if self._going_on else None

    def stop(self) -> None:
        """Ask all of it to stop."""
        with self._lock:
            for work in self._going_on:
                work.is_to_stop = True

    @contextmanager
    def going_on(self) -> Iterator[Work]:
        """Work that is shown for as long as it takes."""
        work = Work()
        with self._lock:
            self._going_on.append(work)
        try:
            yield work
        finally:
            with self._lock:
                self._going_on.remove(work)
