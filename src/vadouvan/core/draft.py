"""A batch as the cook typed it: texts and choices, kept exactly, read later.

Every field is text, so that nothing typed is ever lost, whether it can be read or not. Empty
means "not said"; what is then assumed is told in the reading.
"""

from __future__ import annotations

from dataclasses import dataclass, field

MOST_LINES = 60
MOST_STEPS = 20
MOST_STAGES = 8
LONGEST_TEXT = 200
LONGEST_KEPT = 2000  # letters of a field that are kept, readable or not
YES = "yes"  # a ticked answer


@dataclass(frozen=True)
class StepSaid:
    """One thing done to the cut, as typed; only what its kind asks for is filled in."""

    id: str
    kind: str
    amount: str = ""
    depth: str = ""
    spacing: str = ""
    crosswise: str = ""
    through_skin: str = ""
    count: str = ""
    stuffed_with: str = ""


@dataclass(frozen=True)
class OccasionSaid:
    """For how many: servings, appetite, share for the freezer."""

    servings: str = ""
    appetite: str = ""
    frozen: str = ""


@dataclass(frozen=True)
class CutSaid:
    """Answers about the cut. ``kind`` is an id of the table of cuts; ``state`` whether it starts fresh or frozen;
    ``age`` how long it has been raw in the fridge, bought or thawed, when it goes into the mix.
    """

    kind: str = ""
    mass: str = ""
    shape: str = ""
    thickness: str = ""
    width: str = ""
    length: str = ""
    pieces: str = ""
    bone: str = ""
    bone_share: str = ""
    cover: str = ""
    cover_on: str = ""
    evenness: str = ""
    steps: tuple[StepSaid, ...] = ()
    state: str = ""
    age: str = ""


@dataclass(frozen=True)
class LineSaid:
    """One typed line of the mix with an identity of its own.

    ``locked``: the solver leaves its amount alone; ``lifted``: fished out before cooking;
    ``first``: goes on the meat before the rest, as a step of its own.
    """

    id: str
    text: str
    locked: str = ""
    lifted: str = ""
    first: str = ""


@dataclass(frozen=True)
class AimsSaid:
    """What the mix should come to: the school of salting with what it asks for, and other aims."""

    school: str = ""
    spoon_salt: str = ""
    spoons: str = ""
    bath_time: str = ""
    sugar: str = ""
    acid: str = ""
    heat: str = ""


@dataclass(frozen=True)
class QuantitySaid:
    """How the mix meets the meat, in what, and what is kept clean: a weight or a share of the mix."""

    form: str = ""
    container: str = ""
    size: str = ""
    coat: str = ""
    set_aside: str = ""
    set_aside_for: str = ""


@dataclass(frozen=True)
class MakingSaid:
    """How the mix is made before it meets the meat."""

    method: str = ""
    simmer: str = ""
    reduce_to: str = ""
    cooling: str = ""
    texture: str = ""
    first_contact: str = ""


@dataclass(frozen=True)
class HoldSaid:
    """Answers about the hold; ``readings`` are temperatures as they were noted: "0 h 4 C, 6 h 9 C"; ``room`` is how
    warm the kitchen is.
    """

    fridge: str = ""
    goal: str = ""
    salt_target: str = ""
    vacuum_school: str = ""
    turned: str = ""
    metal: str = ""
    open_air: str = ""
    readings: str = ""
    room: str = ""


@dataclass(frozen=True)
class MealSaid:
    """Answers about the meal: local date and time, time from pull to plate, time zone name.

    ``start`` is when the cook wants to put the meat in; ``contact`` when it went in and ``pulled`` when it came
    out, once they have. ``early`` is how long before the meal it is done, and kept warm. ``thaw_for`` is another
    meal, for the part that goes to the freezer in its mix.
    """

    at: str = ""
    lead: str = ""
    time_zone: str = ""
    start: str = ""
    contact: str = ""
    pulled: str = ""
    early: str = ""
    thaw_for: str = ""


@dataclass(frozen=True)
class StageSaid:
    """One stage of cooking: where, how hot, in moving air or not, how long or up to which core, turned, brushed."""

    id: str
    place: str = ""
    heat: str = ""
    air: str = ""
    minutes: str = ""
    core: str = ""
    turn: str = ""
    brush: str = ""


@dataclass(frozen=True)
class FireSaid:
    """How it is cooked: its surface, the stages, doneness with a core of one's own, and the used mix.

    ``freeze`` says whether the part for the freezer goes there raw in its mix or cooked.
    """

    surface: str = ""
    stages: tuple[StageSaid, ...] = ()
    doneness: str = ""
    core: str = ""
    sauce: str = ""
    boil: str = ""
    reduce_to: str = ""
    freeze: str = ""


@dataclass(frozen=True)
class Draft:
    """A whole batch as typed."""

    name: str = ""
    cut: CutSaid = field(default_factory=CutSaid)
    mix: tuple[LineSaid, ...] = ()
    hold: HoldSaid = field(default_factory=HoldSaid)
    meal: MealSaid = field(default_factory=MealSaid)
    occasion: OccasionSaid = field(default_factory=OccasionSaid)
    aims: AimsSaid = field(default_factory=AimsSaid)
    quantity: QuantitySaid = field(default_factory=QuantitySaid)
    making: MakingSaid = field(default_factory=MakingSaid)
    fire: FireSaid = field(default_factory=FireSaid)
