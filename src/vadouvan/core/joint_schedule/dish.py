"""A dish as the planner of several sees it, on a clock of five-minute slots; and the kitchen they share."""

from __future__ import annotations

from dataclasses import field

from vadouvan.unchanging import unchanging

SLOT_MIN = 5


@unchanging
class Stretch:
    """Slots from ``start`` up to, not including, ``end``."""

    start: int
    end: int

    def moved(self, by: int) -> Stretch:
        """The same stretch so many slots later."""
        return Stretch(self.start + by, self.end + by)

    def meets(self, other: Stretch) -> bool:
        """Whether the two share a slot."""
        return self.start < other.end and other.start < self.end


@unchanging
class OvenUse:
    """The oven at one heat [C, in still air] for a stretch."""

    stretch: Stretch
    heat_c: float


@unchanging
class Choice:
    """One way to place a part of a dish: the slot, what it costs, and the stretches in which it wants your hands."""

    slot: int
    cost: float
    hands: tuple[Stretch, ...] = ()
    oven: tuple[OvenUse, ...] = ()


@unchanging
class Dish:
    """One batch with every contact and every pull that it could have.

    ``earliest`` and ``latest`` are slots between contact and pull; ``room_l`` the litres that it takes up in the
    fridge meanwhile, ``tub_l`` the least tub that it needs, 0 for a bag.
    """

    id: str
    name: str
    contacts: tuple[Choice, ...]
    pulls: tuple[Choice, ...]
    earliest: int
    latest: int
    room_l: float = 0.0
    tub_l: float = 0.0

    def held(self, contact: Choice, pull: Choice) -> Stretch:
        """When it is in the fridge."""
        return Stretch(contact.slot, max(contact.slot, pull.slot))

    def within(self, contact: Choice, pull: Choice) -> bool:
        """Whether the hold between the two is long enough and not too long."""
        return self.earliest <= pull.slot - contact.slot <= self.latest


@unchanging
class Placed:
    """A dish with its contact and pull, and the tub it is in, by its place in the list of tubs."""

    dish: Dish
    contact: Choice
    pull: Choice
    tub: int | None = None

    @property
    def held(self) -> Stretch:
        """When it is in the fridge."""
        return self.dish.held(self.contact, self.pull)

    @property
    def hands(self) -> tuple[Stretch, ...]:
        """When it wants your hands."""
        return (*self.contact.hands, *self.pull.hands)

    @property
    def oven(self) -> tuple[OvenUse, ...]:
        """When it wants the oven, and how hot."""
        return (*self.contact.oven, *self.pull.oven)

    @property
    def cost(self) -> float:
        """How far it is from its best [h]."""
        return self.contact.cost + self.pull.cost


@unchanging
class TablePlan:
    """Dishes that found their place, and for each that did not the reason in words, by its id.

    ``proven``: nothing better exists; otherwise it is the best that was found in ten seconds.
    """

    placed: tuple[Placed, ...]
    left_out: dict[str, str] = field(default_factory=dict)
    proven: bool = True

    @property
    def cost(self) -> float:
        """Hours away from best, all dishes together."""
        return sum(one.cost for one in self.placed)
