"""When food is on the table."""

from __future__ import annotations

from datetime import datetime, timedelta

from vadouvan.core.clock.routine import later
from vadouvan.unchanging import unchanging


@unchanging
class Meal:
    """When food is on the table, and how long before that the meat leaves its mix.

    ``start_at`` is when the cook wants to put it in; ``contact_at`` when it went in and ``pulled_at`` when it came
    out, once they have; ``early`` how long before the meal it is done and kept warm; ``thaw_for`` when a part that is
    frozen in its mix is on the table.
    """

    at: datetime
    lead: timedelta
    contact_at: datetime | None = None
    start_at: datetime | None = None
    pulled_at: datetime | None = None
    early: timedelta = timedelta(0)
    thaw_for: datetime | None = None

    @property
    def pull_at(self) -> datetime:
        """When the meat came out of the mix, or has to be out to be ready for the meal."""
        return self.pulled_at or later(self.at, -self.lead - self.early)
